import { dripPatterns } from '../drip/pattern.ts';
import { tones } from '../pantry/types.ts';
import { nozzleForms } from '../piping/nozzles.ts';
import { pipedForms } from '../piping/shapes.ts';
import { arrangements } from '../toppings/place.ts';
import {
  dripTools,
  picks,
  pipedPlaces,
  toppingKinds,
  type Drip,
  type Piped,
  type Pour,
  type Topping,
  type TrayPieces,
} from './finish-types.ts';
import { limits } from './limits.ts';
import { allergenList, name } from './common-fields.ts';
import {
  figure,
  figures,
  flag,
  id,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
} from '../fields/field.ts';

/* What the finish of a build is said to be. */

const poured = () => ({
  ganacheId: id(),
  ratio: orNull(figure(limits.ganacheRatio)),
  fluidC: figure(limits.fluidC),
  coatC: figure(limits.coatC),
});

export const drip = record<Drip>({
  ...poured(),
  widthMm: figure(limits.dripWidthMm),
  feedS: figure(limits.feedS),
  pattern: oneOf(dripPatterns),
  spacingMm: figure(limits.spacingMm),
  lengthMm: figure(limits.dripMm),
  spreadMm: figure(limits.dripSpreadMm),
  seed: wholeFigure(limits.seed),
  curveMm: list(figure(limits.dripMm), limits.curvePoints.max),
  floodMm: figure(limits.floodMm),
  tool: oneOf(dripTools),
  squeezeG: orNull(figure(limits.squeezeG)),
});
export const pour = record<Pour>({
  ...poured(),
  studded: orNull(
    record<NonNullable<Pour['studded']>>({
      cover: figure(limits.cover),
      highMm: figure(limits.studMm),
      acrossMm: figure(limits.studMm),
    }),
  ),
});
export const piped = record<Piped>({
  tierId: id(),
  form: oneOf(pipedForms),
  nozzle: oneOf(nozzleForms),
  wideMm: figure(limits.nozzleWideMm),
  where: oneOf(pipedPlaces),
  upMm: figure(limits.upMm),
  insetMm: figure(limits.insetFromRimMm),
  odd: flag(),
  count: orNull(wholeFigure(limits.pipedPieces)),
  radiusMm: figure(limits.rosetteMm),
  text: words(limits.nameLength.max),
  letterMm: figure(limits.letterMm),
  lengthMm: figure(limits.apartMm),
  weighedG: orNull(figure(limits.weighedG)),
});
export const topping = record<Topping>({
  id: id(),
  name: name(),
  kind: oneOf(toppingKinds),
  tone: oneOf(tones),
  foodId: orNull(id()),
  eaten: flag(),
  ganacheId: orNull(id()),
  pieceG: figure(limits.pieceG),
  acrossMm: figure(limits.pieceMm),
  highMm: figure(limits.pieceMm),
  arrangement: oneOf(arrangements),
  count: wholeFigure(limits.toppingCount),
  odd: flag(),
  linkedTo: orNull(id()),
  every: wholeFigure(limits.every),
  clusterOf: wholeFigure(limits.clusterOf),
  share: figure(limits.crescent),
  insetMm: figure(limits.insetFromRimMm),
  seed: wholeFigure(limits.seed),
  shift: figure(limits.shift),
  spots: list(figures<[number, number]>({ min: -1000, max: 1000 }, 2), limits.toppingCount.max),
  pick: oneOf(picks),
  last: flag(),
  crisp: orNull(
    record<NonNullable<Topping['crisp']>>({
      thickMm: figure(limits.crispMm),
      filmed: flag(),
    }),
  ),
  tray: orNull(
    record<TrayPieces>({
      thickMm: figure(limits.slabMm),
      wholeShare: figure(limits.wholeShare),
      spreads: figure(limits.slabSpreads),
    }),
  ),
  packing: figure(limits.packing),
  densityGPerMl: figure(limits.inclusionDensity),
  lengthMm: figure(limits.apartMm),
  allergens: allergenList(),
});
