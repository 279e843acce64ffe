import {
  byKind,
  figure,
  figures,
  list,
  oneOf,
  record,
  wholeFigure,
  words,
  wordsLike,
  type Field,
} from '../fields/field.ts';
import { lineProblem } from '../outline/line-problem.ts';
import type { Outline } from '../outline/outline.ts';
import { allergens, type Allergen } from '../pantry/types.ts';
import { limits } from './limits.ts';

/* What is stored in many places. */

export const name = (): Field<string> => words(limits.nameLength.max, 1);
export const tint = (): Field<string> => words(limits.tintLength.max);
/** A colour on the screen, such as #4f7fb8. */
export const hex = (): Field<string> =>
  wordsLike(/^#[0-9a-f]{6}$/, 7, 'is no colour such as #4f7fb8');
export const allergenList = (): Field<Allergen[]> => list(oneOf(allergens), allergens.length);

const side = figure(limits.sideMm);
const corner = figure(limits.cornerMm);

/** An outline seen from above, of any kind. */
export const outline = byKind<Outline>({
  round: record({ kind: oneOf(['round']), diameterMm: side }),
  square: record({ kind: oneOf(['square']), sideMm: side, cornerMm: corner }),
  rectangle: record({
    kind: oneOf(['rectangle']),
    widthMm: side,
    depthMm: side,
    cornerMm: corner,
  }),
  oval: record({ kind: oneOf(['oval']), widthMm: side, depthMm: side }),
  hexagon: record({ kind: oneOf(['hexagon']), acrossMm: side }),
  heart: record({ kind: oneOf(['heart']), widthMm: side }),
  petal: record({
    kind: oneOf(['petal']),
    diameterMm: side,
    petals: wholeFigure(limits.petals),
  }),
  ring: record<Extract<Outline, { kind: 'ring' }>>({
    kind: oneOf(['ring']),
    diameterMm: side,
    holeMm: figure({ min: 5, max: limits.sideMm.max }),
  }).rule(
    'hole',
    'has a hole as wide as the ring',
    ({ holeMm, diameterMm }) => !(Number(holeMm) >= Number(diameterMm) - 10),
  ),
  path: record<Extract<Outline, { kind: 'path' }>>({
    kind: oneOf(['path']),
    name: name(),
    points: list(figures<[number, number]>({ min: -1000, max: 1000 }, 2), 600, 3),
  }).rule(
    'line',
    'is no closed line that keeps clear of itself',
    ({ points }) => !Array.isArray(points) || lineProblem(points) === null,
  ),
}).knownAs('outline');
