import type { BenchNote, Build } from '../document/types.ts';
import { weighableG } from '../units/format.ts';
import { dimensionOf } from '../units/kinds.ts';
import { isOfSame, type Recordable, type Step } from './steps.ts';

/** Something to set on the scale at a step, in the order in which it is weighed. */
export interface WeighTarget {
  label: string;
  /** Null where it is only read, such as what is left in a bowl. */
  wantedG: number | null;
  /** What a note of it is measured against; null for one line of a list, which is ticked and not noted. */
  record: Recordable | null;
}

const isMass = (kind: Recordable['show']): boolean => dimensionOf[kind] === 'mass';
/** A whole cake is not set on a kitchen scale. */
const isForScale = (kind: Recordable['show']): boolean => isMass(kind) && kind !== 'weight';

/** Everything that is weighed at a step: its list, its amounts, then what is weighed afterwards. */
export function weighTargets(step: Step): WeighTarget[] {
  const { record } = step;
  const own = record?.kind === 'mass' ? record : null;
  // lists of drips, dowels and places are looked up, not weighed
  const isWeighedOut = step.chapter === 'Bake' || step.chapter === 'Bowls';
  const targets: WeighTarget[] = step.list
    .filter((item) => isWeighedOut && isForScale(item.kind))
    .map(({ label, value, kind }) => ({ label, wantedG: weighableG(value, kind), record: null }));
  for (const amount of step.amounts) {
    if (!isForScale(amount.kind)) continue;
    const isOwn =
      own !== null && own.takenG === undefined && Math.abs(own.planned - amount.value) < 0.01;
    targets.push({
      label: amount.label,
      wantedG: weighableG(amount.value, amount.kind),
      record: isOwn
        ? own
        : {
            kind: 'mass',
            label: amount.label,
            what: `weighed/${amount.figure ?? amount.label}`,
            planned: amount.value,
            show: amount.kind,
            hand: null,
          },
    });
  }
  if (own && !targets.some((target) => target.record === own))
    targets.push({ label: own.label, wantedG: null, record: own });
  return targets;
}

/** How a target is ticked among the checks of the bench. */
export const weighedKey = (step: Step, { label }: WeighTarget): string =>
  `${step.key}|weighed|${label}`.slice(0, 200);

/** The last note of a target at its step. */
export const weighedNote = (
  build: Build,
  step: Step,
  { record }: WeighTarget,
): BenchNote | undefined =>
  record
    ? build.bench.notes.findLast(
        (note) =>
          note.stepKey === step.key && note.planned !== null && isOfSame(note.planned, record),
      )
    : undefined;

/** How near to what is wanted counts as there, g: two in a hundred, at least one gram. */
export const nearG = (wantedG: number): number => Math.max(1, 0.02 * wantedG);
