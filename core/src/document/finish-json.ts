import { dripPatterns } from '../drip/pattern.ts';
import { tones } from '../pantry/types.ts';
import { nozzleForms } from '../piping/nozzles.ts';
import { pipedForms } from '../piping/shapes.ts';
import { arrangements } from '../toppings/place.ts';
import { dripTools, picks, pipedPlaces, toppingKinds } from './finish-types.ts';
import {
  allergenList,
  id,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  oneOf,
  text,
  type Schema,
} from './json-blocks.ts';
import { limits } from './limits.ts';

const flag: Schema = { type: 'boolean' };
const poured: Record<string, Schema> = {
  ganacheId: id,
  ratio: nullable(num(limits.ganacheRatio)),
  fluidC: num(limits.fluidC),
  coatC: num(limits.coatC),
};

/* The finish of a build as JSON Schema. */

export const drip = obj({
  ...poured,
  widthMm: num(limits.dripWidthMm),
  feedS: num(limits.feedS),
  pattern: oneOf(dripPatterns),
  spacingMm: num(limits.spacingMm),
  lengthMm: num(limits.dripMm),
  spreadMm: num(limits.dripSpreadMm),
  seed: int(limits.seed),
  curveMm: list(num(limits.dripMm), limits.curvePoints.max),
  floodMm: num(limits.floodMm),
  tool: oneOf(dripTools),
  squeezeG: nullable(num(limits.squeezeG)),
});

export const pour = obj({
  ...poured,
  studded: nullable(
    obj({
      cover: num(limits.cover),
      highMm: num(limits.studMm),
      acrossMm: num(limits.studMm),
    }),
  ),
});

export const piped = obj({
  tierId: id,
  form: oneOf(pipedForms),
  nozzle: oneOf(nozzleForms),
  wideMm: num(limits.nozzleWideMm),
  where: oneOf(pipedPlaces),
  upMm: num(limits.upMm),
  insetMm: num(limits.insetFromRimMm),
  odd: flag,
  count: nullable(int(limits.pipedPieces)),
  radiusMm: num(limits.rosetteMm),
  text: text(limits.nameLength.max),
  letterMm: num(limits.letterMm),
  lengthMm: num(limits.apartMm),
  weighedG: nullable(num(limits.weighedG)),
});

export const topping = obj({
  id,
  name,
  kind: oneOf(toppingKinds),
  tone: oneOf(tones),
  foodId: nullable(id),
  eaten: { type: 'boolean' },
  ganacheId: nullable(id),
  pieceG: num(limits.pieceG),
  acrossMm: num(limits.pieceMm),
  highMm: num(limits.pieceMm),
  arrangement: oneOf(arrangements),
  count: int(limits.toppingCount),
  odd: flag,
  linkedTo: nullable(id),
  every: int(limits.every),
  clusterOf: int(limits.clusterOf),
  share: num(limits.crescent),
  insetMm: num(limits.insetFromRimMm),
  seed: int(limits.seed),
  shift: num(limits.shift),
  spots: list(list(num({ min: -1000, max: 1000 }), 2, 2), limits.toppingCount.max),
  pick: oneOf(picks),
  last: flag,
  crisp: nullable(obj({ thickMm: num(limits.crispMm), filmed: flag })),
  tray: nullable(
    obj({
      thickMm: num(limits.slabMm),
      wholeShare: num(limits.wholeShare),
      spreads: num(limits.slabSpreads),
    }),
  ),
  packing: num(limits.packing),
  densityGPerMl: num(limits.inclusionDensity),
  lengthMm: num(limits.apartMm),
  allergens: allergenList,
});
