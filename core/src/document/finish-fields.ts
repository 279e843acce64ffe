import { usualDrip } from '../drip/flow.ts';
import { dripPatterns } from '../drip/pattern.ts';
import { tones } from '../pantry/types.ts';
import { nozzleForms } from '../piping/nozzles.ts';
import { pipedForms } from '../piping/shapes.ts';
import { arrangements } from '../toppings/place.ts';
import {
  dripTools,
  picks,
  pipedPlaces,
  modelledForms,
  sideArrangements,
  toppingKinds,
  type Modelled,
  type OnSide,
  type Drip,
  type Piped,
  type Pour,
  type Topping,
  type TrayPieces,
} from './finish-types.ts';
import { limits } from './limits.ts';
import { allergenList, name, tint } from './common-fields.ts';
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

const poured = (usualC: number) => ({
  ganacheId: id().called('ganache'),
  ratio: orNull(figure(limits.ganacheRatio)),
  fluidC: figure(limits.fluidC).called('temperature of what is poured').usually(usualC),
  coatC: figure(limits.coatC).called('temperature of the coat').usually(8),
  tint: tint().called('colour').since(14),
});

export const drip = record<Drip>({
  ...poured(32),
  widthMm: figure(limits.dripWidthMm).usually(usualDrip.widthMm),
  feedS: figure(limits.feedS).called('squeeze').usually(usualDrip.feedS),
  pattern: oneOf(dripPatterns).usually('random'),
  spacingMm: figure(limits.spacingMm).usually(20),
  lengthMm: figure(limits.dripMm).usually(40),
  spreadMm: figure(limits.dripSpreadMm).usually(14),
  seed: wholeFigure(limits.seed).usually(1),
  curveMm: list(figure(limits.dripMm), limits.curvePoints.max),
  floodMm: figure(limits.floodMm).usually(2.5),
  tool: oneOf(dripTools).usually('bottle'),
  squeezeG: orNull(figure(limits.squeezeG)),
});
export const pour = record<Pour>({
  ...poured(31),
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
  form: oneOf(pipedForms).usually('shell'),
  nozzle: oneOf(nozzleForms).usually('open star'),
  wideMm: figure(limits.nozzleWideMm).called('width of the nozzle').usually(8),
  where: oneOf(pipedPlaces).usually('foot'),
  upMm: figure(limits.upMm).called('height on the side').usually(30),
  insetMm: figure(limits.insetFromRimMm).usually(0),
  odd: flag(),
  count: orNull(wholeFigure(limits.pipedPieces)),
  radiusMm: figure(limits.rosetteMm).usually(15),
  text: words(limits.nameLength.max),
  letterMm: figure(limits.letterMm).called('height of the letters').usually(25),
  lengthMm: figure(limits.apartMm).usually(500),
  weighedG: orNull(figure(limits.weighedG)),
});
export const onSide = record<OnSide>({
  arrangement: oneOf(sideArrangements).usually('round'),
  upMm: figure(limits.upMm).called('height on the side').usually(30),
  toMm: figure(limits.upMm).called('height where it ends').usually(10),
  startShare: figure(limits.shift).usually(0.5),
  turnShare: figure(limits.turn).called('part of the way round').usually(0.25),
  spots: list(figures<[number, number]>({ min: 0, max: 1000 }, 2), limits.toppingCount.max),
  dabSpreadId: orNull(id()).called('stuck on with'),
});
export const topping = record<Topping>({
  id: id(),
  name: name().usually('raspberries'),
  kind: oneOf(toppingKinds).usually('pieces'),
  tone: oneOf(tones).usually('berry'),
  tint: tint().called('colour').since(16),
  foodId: orNull(id()).called('ingredient').usually('raspberries'),
  eaten: flag().usually(true).since(8),
  ganacheId: orNull(id()).called('ganache'),
  pieceG: figure(limits.pieceG).called('weight of one piece').usually(4),
  acrossMm: figure(limits.pieceMm).usually(20),
  highMm: figure(limits.pieceMm).called('height').usually(20),
  arrangement: oneOf(arrangements).usually('round'),
  count: wholeFigure(limits.toppingCount).usually(13),
  odd: flag().usually(true),
  linkedTo: orNull(id()),
  every: wholeFigure(limits.every).usually(1),
  clusterOf: wholeFigure(limits.clusterOf).usually(3),
  share: figure(limits.crescent).usually(0.4),
  insetMm: figure(limits.insetFromRimMm).usually(10),
  seed: wholeFigure(limits.seed).usually(1),
  shift: figure(limits.shift).usually(0),
  spots: list(figures<[number, number]>({ min: -1000, max: 1000 }, 2), limits.toppingCount.max),
  pick: oneOf(picks).usually('none'),
  last: flag().usually(true),
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
  packing: figure(limits.packing).usually(0.6),
  densityGPerMl: figure(limits.inclusionDensity).usually(1),
  lengthMm: figure(limits.apartMm).usually(600),
  allergens: allergenList(),
  side: orNull(onSide).since(15),
  modelled: orNull(
    record<Modelled>({
      form: oneOf(modelledForms).usually('ball'),
    }),
  ).since(15),
});
