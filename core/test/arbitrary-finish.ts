import fc from 'fast-check';
import {
  allergens,
  arrangements,
  boardMaterials,
  cutKinds,
  dowelCuts,
  dripPatterns,
  dripTools,
  limits,
  motifs,
  modelledForms,
  newCut,
  nozzleForms,
  picks,
  pipedForms,
  pipedPlaces,
  sideArrangements,
  tones,
  toppingKinds,
  type Carving,
  type Cut,
  type Dowels,
  type Drip,
  type Piped,
  type Pour,
  type ReliefCut,
  type Standing,
  type Topping,
} from '../src/index.ts';
import { between, idOf, orNull, pantry } from './arbitrary-base.ts';

/* Anything that is carved, poured, dripped, put on and stood on. */

const anyRelief = (cut: ReliefCut): fc.Arbitrary<Cut> =>
  fc
    .record({
      motif: fc.constantFrom(...motifs),
      words: fc.constantFrom('', 'M', 'fifty years of clear skies'),
      wideMm: between(limits.motifMm),
      highMm: between(limits.motifMm),
      strokeMm: between(limits.strokeMm),
      areaMm2: between(limits.reliefMm2),
      where: fc.constantFrom('side' as const, 'top' as const),
      bearingDeg: between(limits.bearingDeg),
      outMm: between(limits.carvePlace),
      upMm: between(limits.carveUp),
      inlaySpreadId: orNull(idOf(pantry.spreads)),
      inlayTint: fc.constantFrom('', 'blue', 'rust'),
    })
    .map((some) => ({ ...cut, ...some }));
export const anyCut = (id: string): fc.Arbitrary<Cut> =>
  fc
    .constantFrom(...cutKinds.filter((kind) => kind !== 'set' && kind !== 'target'))
    .chain((kind) => {
      const cut = newCut(kind, id, { radiusMm: 90, widthMm: 180, heightMm: 110 });
      return cut.kind === 'relief' ? anyRelief(cut) : fc.constant(cut);
    });
export const anyCarving: fc.Arbitrary<Carving> = fc.record({
  cuts: fc
    .array(fc.nat(), { maxLength: 4 })
    .chain((list) => fc.tuple(...list.map((_, i) => anyCut(`cut-${i}`)))),
  chilled: fc.boolean(),
  guidesMm: fc.array(between(limits.guideMm), { maxLength: 3 }),
  lattice: orNull(
    fc.record({
      angleDeg: between(limits.latticeDeg),
      spacingMm: between(limits.latticeMm),
      studs: fc.boolean(),
    }),
  ),
  glueSpreadId: orNull(idOf(pantry.spreads)),
});

export const poured = {
  ganacheId: idOf(pantry.ganaches),
  ratio: fc.option(between(limits.ganacheRatio), { nil: null, freq: 2 }),
  fluidC: between(limits.fluidC),
  coatC: between(limits.coatC),
  tint: fc.constantFrom('', 'blue', 'rust'),
};
export const anyDrip: fc.Arbitrary<Drip> = fc.record({
  ...poured,
  widthMm: between(limits.dripWidthMm),
  feedS: between(limits.feedS),
  pattern: fc.constantFrom(...dripPatterns),
  spacingMm: between(limits.spacingMm),
  lengthMm: between(limits.dripMm),
  spreadMm: between(limits.dripSpreadMm),
  seed: fc.integer(limits.seed),
  curveMm: fc.array(between(limits.dripMm), { maxLength: 5 }),
  floodMm: between(limits.floodMm),
  tool: fc.constantFrom(...dripTools),
  squeezeG: orNull(between(limits.squeezeG)),
});
export const anyPour: fc.Arbitrary<Pour> = fc.record({
  ...poured,
  studded: orNull(
    fc.record({
      cover: between(limits.cover),
      highMm: between(limits.studMm),
      acrossMm: between(limits.studMm),
    }),
  ),
});
export const anyPiped: fc.Arbitrary<Piped> = fc.record({
  tierId: fc.constantFrom('tier-1', 'tier-2', 'tier-9'),
  form: fc.constantFrom(...pipedForms),
  nozzle: fc.constantFrom(...nozzleForms),
  wideMm: between(limits.nozzleWideMm),
  where: fc.constantFrom(...pipedPlaces),
  upMm: between(limits.upMm),
  insetMm: between(limits.insetFromRimMm),
  odd: fc.boolean(),
  count: orNull(fc.integer({ min: 0, max: 300 })),
  radiusMm: between(limits.rosetteMm),
  text: fc.constantFrom('', 'Jubilee', 'fifty years of clear skies'),
  letterMm: between(limits.letterMm),
  lengthMm: between(limits.apartMm),
  weighedG: orNull(between(limits.weighedG)),
});
export const anyTopping: fc.Arbitrary<Topping> = fc.record({
  id: fc.uuid(),
  name: fc.constantFrom('figs', 'shards'),
  kind: fc.constantFrom(...toppingKinds),
  tone: fc.constantFrom(...tones),
  foodId: fc.constantFrom(null, 'figs'),
  ganacheId: orNull(idOf(pantry.ganaches)),
  pieceG: between(limits.pieceG),
  acrossMm: between(limits.pieceMm),
  highMm: between(limits.pieceMm),
  arrangement: fc.constantFrom(...arrangements),
  count: fc.integer({ min: 0, max: 30 }),
  odd: fc.boolean(),
  linkedTo: fc.constantFrom(null, 'nothing'),
  every: fc.integer(limits.every),
  clusterOf: fc.integer(limits.clusterOf),
  share: between(limits.crescent),
  insetMm: between(limits.insetFromRimMm),
  seed: fc.integer(limits.seed),
  shift: between(limits.shift),
  spots: fc.constantFrom<[number, number][]>(
    [],
    [
      [10, -20],
      [900, 900],
    ],
  ),
  pick: fc.constantFrom(...picks),
  last: fc.boolean(),
  eaten: fc.boolean(),
  crisp: orNull(fc.record({ thickMm: between(limits.crispMm), filmed: fc.boolean() })),
  tray: orNull(
    fc.record({
      thickMm: between(limits.slabMm),
      wholeShare: between(limits.wholeShare),
      spreads: between(limits.slabSpreads),
    }),
  ),
  packing: between(limits.packing),
  densityGPerMl: between(limits.inclusionDensity),
  lengthMm: between(limits.apartMm),
  allergens: fc.subarray([...allergens]),
  side: orNull(
    fc.record({
      arrangement: fc.constantFrom(...sideArrangements),
      upMm: between(limits.upMm),
      toMm: between(limits.upMm),
      startShare: between(limits.shift),
      turnShare: between(limits.turn),
      spots: fc.constantFrom<[number, number][]>([], [[0.5, 40], [900, 900]]), // prettier-ignore
      dabSpreadId: orNull(idOf(pantry.spreads)),
    }),
  ),
  modelled: orNull(fc.record({ form: fc.constantFrom(...modelledForms) })),
  tint: fc.constantFrom('', 'ivory'),
});

export const spot = fc.tuple(between(limits.dowelPlace), between(limits.dowelPlace));
export const anyCard = fc.record({
  material: fc.constantFrom(...boardMaterials),
  thicknessMm: between(limits.cardMm),
});
export const anyDowels: fc.Arbitrary<Dowels> = fc.record({
  dowelId: idOf(pantry.dowels),
  count: fc.option(fc.integer({ min: 1, max: 12 }), { nil: null, freq: 2 }),
  spots: fc.oneof(
    { arbitrary: fc.constant<[number, number][]>([]), weight: 3 },
    fc.array(spot, { maxLength: 6 }),
  ),
  cut: fc.constantFrom(...dowelCuts),
});
/** Boards lie over layers that are there: the lowest tier has fewest. */
export const anyStanding: fc.Arbitrary<Standing> = fc.record({
  card: orNull(anyCard),
  offsetMm: fc.oneof(
    fc.constant<[number, number]>([0, 0]),
    fc.tuple(between(limits.offsetMm), between(limits.offsetMm)),
  ),
  postMm: fc.oneof(fc.constant(0), between(limits.postMm)),
  dowels: orNull(anyDowels),
  decks: fc
    .array(fc.record({ card: anyCard, dowels: anyDowels }), { maxLength: 2 })
    .map((decks) => decks.map((deck, i) => ({ ...deck, afterLayer: i * 2 }))),
});
