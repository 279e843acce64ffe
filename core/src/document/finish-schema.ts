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
import {
  allergenList,
  figure,
  flag,
  id,
  list,
  name,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
} from './schema-blocks.ts';

const poured = () => ({
  ganacheId: id(),
  ratio: orNull(figure(limits.ganacheRatio) as never),
  fluidC: figure(limits.fluidC),
  coatC: figure(limits.coatC),
});

/** Checks of what the finish of a build is said to be. */
export const finishSchemas = {
  drip: record<Drip>({
    ...poured(),
    widthMm: figure(limits.dripWidthMm),
    feedS: figure(limits.feedS),
    pattern: oneOf(dripPatterns),
    spacingMm: figure(limits.spacingMm),
    lengthMm: figure(limits.dripMm),
    spreadMm: figure(limits.dripSpreadMm),
    seed: wholeFigure(limits.seed),
    curveMm: list(figure(limits.dripMm) as never, limits.curvePoints.max),
    floodMm: figure(limits.floodMm),
    tool: oneOf(dripTools),
    squeezeG: orNull(figure(limits.squeezeG) as never),
  }),
  pour: record<Pour>({
    ...poured(),
    studded: orNull(
      record<NonNullable<Pour['studded']>>({
        cover: figure(limits.cover),
        highMm: figure(limits.studMm),
        acrossMm: figure(limits.studMm),
      }) as never,
    ),
  }),
  piped: record<Piped>({
    tierId: id(),
    form: oneOf(pipedForms),
    nozzle: oneOf(nozzleForms),
    wideMm: figure(limits.nozzleWideMm),
    where: oneOf(pipedPlaces),
    upMm: figure(limits.upMm),
    insetMm: figure(limits.insetFromRimMm),
    odd: flag(),
    count: orNull(wholeFigure(limits.pipedPieces) as never),
    radiusMm: figure(limits.rosetteMm),
    text: words(limits.nameLength.max),
    letterMm: figure(limits.letterMm),
    lengthMm: figure(limits.apartMm),
    weighedG: orNull(figure(limits.weighedG) as never),
  }),
  topping: record<Topping>({
    id: id(),
    name: name(),
    kind: oneOf(toppingKinds),
    tone: oneOf(tones),
    foodId: orNull(id() as never),
    eaten: flag(),
    ganacheId: orNull(id() as never),
    pieceG: figure(limits.pieceG),
    acrossMm: figure(limits.pieceMm),
    highMm: figure(limits.pieceMm),
    arrangement: oneOf(arrangements),
    count: wholeFigure(limits.toppingCount),
    odd: flag(),
    linkedTo: orNull(id() as never),
    every: wholeFigure(limits.every),
    clusterOf: wholeFigure(limits.clusterOf),
    share: figure(limits.crescent),
    insetMm: figure(limits.insetFromRimMm),
    seed: wholeFigure(limits.seed),
    shift: figure(limits.shift),
    spots: list(
      list(figure({ min: -1000, max: 1000 }) as never, 2).test(
        'two',
        'needs two numbers',
        (spot) => !Array.isArray(spot) || spot.length === 2,
      ) as never,
      limits.toppingCount.max,
    ),
    pick: oneOf(picks),
    last: flag(),
    crisp: orNull(
      record<NonNullable<Topping['crisp']>>({
        thickMm: figure(limits.crispMm),
        filmed: flag(),
      }) as never,
    ),
    tray: orNull(
      record<TrayPieces>({
        thickMm: figure(limits.slabMm),
        wholeShare: figure(limits.wholeShare),
        spreads: figure(limits.slabSpreads),
      }) as never,
    ),
    packing: figure(limits.packing),
    densityGPerMl: figure(limits.inclusionDensity),
    lengthMm: figure(limits.apartMm),
    allergens: allergenList(),
  }),
} as const;
