import { checksOf } from '../fields/checks.ts';
import { figure, id, isoTime, list, oneOf, orNull, record, words } from '../fields/field.ts';
import type { KeptRecord } from './corrections.ts';
import { handKinds } from './kinds.ts';
import type { Try } from './practice.ts';

/* What is kept of the hand, as it leaves one browser for another. */

const any = { min: -1e12, max: 1e12 };
const shownName = words(400);

export const keptRecord = record<KeptRecord>({
  id: words(200, 1),
  buildId: id(),
  buildName: shownName,
  at: isoTime(),
  kind: oneOf(handKinds),
  title: shownName,
  label: shownName,
  planned: figure(any),
  actual: figure(any),
  ratio: figure({ min: 0, max: 1e12 }),
  excluded: orNull(words(400)),
});
export const keptTry = record<Try>({
  id: words(200, 1),
  drill: words(40, 1),
  at: isoTime(),
  target: figure(any),
  actual: figure(any),
});
/** Kinds of figures that plans do not heed. */
export const keptOff = list(oneOf(handKinds), handKinds.length);

export const keptRecordSchema = checksOf(keptRecord);
export const keptTrySchema = checksOf(keptTry);
export const keptOffSchema = checksOf(keptOff);
