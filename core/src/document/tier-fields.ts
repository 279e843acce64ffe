import { coatStyles } from '../pantry/styles.ts';
import { carving } from './carve-fields.ts';
import { standing } from './support-fields.ts';
import { drip, pour, topping } from './finish-fields.ts';
import { limits } from './limits.ts';
import { allergenList, name, outline, tint } from './common-fields.ts';
import { figure, flag, id, list, oneOf, orNull, record, wholeFigure } from '../fields/field.ts';
import {
  asTins,
  fondantWays,
  gapOrders,
  gapWays,
  inclusionWays,
  levellings,
  mouldOrders,
  mouldPlaces,
  soakStyles,
  surfaceWays,
  type AsBaked,
  type Band,
  type Centre,
  type Coat,
  type Comb,
  type Fondant,
  type Gap,
  type Inclusion,
  type Inset,
  type Layer,
  type Mould,
  type PartTemp,
  type LoosePieces,
  type Pieces,
  type Pressed,
  type Surface,
  type Tier,
  type WeighedBowl,
} from './types.ts';

/** The tests of a whole tier run beside those of its fields, which tell what is missing. */
const whole = (tier: Partial<Tier> | undefined): boolean =>
  [tier?.layers, tier?.gaps].every(
    (list) =>
      Array.isArray(list) &&
      list.every((part: unknown) => typeof part === 'object' && part !== null),
  );

export const inset = record<Inset>({
  id: id(),
  otherId: orNull(id()).called('what it is'),
  heightMm: figure(limits.insetMm).called('height').usually(12),
  marginMm: figure(limits.marginMm).called('cream round it').usually(12),
  upMm: figure(limits.insetUpMm).called('height of its underside').usually(10),
});

export const layer = record<Layer>({
  id: id().since(11),
  heightMm: figure(limits.layerMm),
  otherId: orNull(id()).called('kind of layer').since(3),
  tint: tint().called('colour of the batter').since(15),
  insets: list(inset, limits.insets.max).called('what is set inside it').since(14),
  between: orNull(
    record<NonNullable<Layer['between']>>({
      spreadId: id().called('filling or frosting'),
      heightMm: figure(limits.betweenMm),
    }),
  ).since(3),
  soak: orNull(oneOf(soakStyles)).since(3),
  rimMm: list(orNull(figure(limits.rimMm)), 8)
    .rule('four or eight', 'needs 4 or 8 readings, or none', (rim) =>
      [0, 4, 8].includes(rim.length),
    )
    .called('heights of the rim')
    .since(3),
  turnSteps: orNull(wholeFigure(limits.turnSteps)).called('turn').since(3),
  flipped: flag().since(3),
});

export const gapPieces = record<Pieces>({
  id: id().since(14),
  name: name().usually('fruit pieces'),
  foodId: orNull(id()).called('ingredient'),
  how: oneOf(['packed', 'scattered']).usually('packed'),
  densityGPerMl: figure(limits.inclusionDensity).usually(0.95),
  share: figure(limits.packing).usually(0.58),
  gPerCm2: figure(limits.gPerCm2).called('grams to the square centimetre').usually(0.5),
  allergens: allergenList(),
});
export const gap = record<Gap>({
  heightMm: figure(limits.gapMm),
  spreadId: id().called('filling or frosting'),
  damMm: figure(limits.damMm).usually(0),
  setbackMm: figure(limits.setbackMm).usually(0).since(3),
  pieces: list(gapPieces, limits.gapPieces.max).since(3),
  order: oneOf(gapOrders).usually('filling first').since(14),
  laid: oneOf(gapWays).usually('spread').since(14),
  tint: tint().called('colour').since(14),
  drizzle: orNull(
    record<NonNullable<Gap['drizzle']>>({
      spreadId: id().called('filling or frosting'),
      gPerCm2: figure(limits.gPerCm2).called('grams to the square centimetre'),
      tint: tint().called('colour').since(16),
    }),
  ).since(3),
});

export const coat = record<Coat>({
  style: oneOf(coatStyles).usually('smooth'),
  spreadId: id().called('filling or frosting'),
  innerSpreadId: orNull(id()).called('frosting of the crumb coat').since(4),
  topSpreadId: orNull(id()).called('frosting on top').since(4),
  tint: tint().called('colour').since(4),
  crumbTint: tint().called('colour of the crumb coat').since(14),
  bands: list(
    record<Band>({ tint: tint().called('colour'), share: figure(limits.bandShare) }),
    limits.bands.max,
  ).since(4),
  blended: flag().since(4),
  cover: orNull(figure(limits.cover)).called('share covered').since(4),
  comb: orNull(
    record<Comb>({
      peakMm: figure(limits.combPeakMm),
      depthMm: figure(limits.combDepthMm),
    }).rule(
      'depth',
      'is combed deeper than it is thick',
      (comb) => !(Number(comb.depthMm) > Number(comb.peakMm)),
    ),
  ).since(4),
  rimMm: figure(limits.rimRadiusMm).called('radius of the rim').usually(0).since(4),
  crumbMm: orNull(figure(limits.coatMm)).called('crumb coat'),
  sideMm: orNull(figure(limits.coatMm)).called('coat on the side'),
  topMm: orNull(figure(limits.coatMm)).called('coat on top'),
});

export const inclusion = record<Inclusion>({
  id: id().since(13),
  way: oneOf(inclusionWays).usually('folded in').since(13),
  eachTin: orNull(
    record<NonNullable<Inclusion['eachTin']>>({
      count: wholeFigure(limits.inclusionCount),
      pieceG: figure(limits.inclusionPieceG).called('weight of one piece'),
    }),
  ).since(13),
  name: name().usually('chopped pieces'),
  foodId: orNull(id()),
  gPerKg: figure(limits.inclusionGPerKg).usually(150),
  densityGPerMl: figure(limits.inclusionDensity).usually(0.7),
  allergens: allergenList(),
  waterShare: figure(limits.waterShare).usually(0.2),
  tempC: figure(limits.partC).usually(20),
});

export const surface = record<Surface>({
  id: id(),
  way: oneOf(surfaceWays),
  name: name(),
  foodId: orNull(id()).called('ingredient'),
  tint: tint().called('colour'),
  gPerCm2: figure(limits.surfaceGPerCm2).called('grams to the square centimetre'),
  coats: wholeFigure(limits.surfaceCoats),
  dryMin: figure(limits.surfaceDryMin).called('time to dry'),
  where: oneOf(['all over', 'side', 'top']).usually('all over'),
  allergens: allergenList(),
});

export const tier = record<Tier>({
  id: id(),
  name: name().usually('Cake'),
  outline: outline,
  spongeId: id().called('sponge').usually('butter'),
  tinId: id().called('tin'),
  slicesPerCake: wholeFigure(limits.slicesPerCake).usually(2),
  levelling: oneOf(levellings).usually('cut all, top inverted'),
  layers: list(layer, limits.layers.max, 1, 'has no layers').rule(
    'layer ids',
    'has two layers of one id',
    (layers) => new Set(layers.map((layer) => layer?.id)).size === layers.length,
  ),
  gaps: list(gap, limits.layers.max - 1),
  asTin: orNull(oneOf(asTins)).called('keeps the shape of its tin').since(15),
  mould: orNull(
    record<Mould>({
      tinId: id().called('ring or mould'),
      order: oneOf(mouldOrders).usually('upright'),
      setIn: oneOf(mouldPlaces).usually('freezer'),
    }),
  )
    .called('set in a mould')
    .since(14),
  inclusions: list(inclusion, limits.inclusions.max).called('pieces with the batter').since(13),
  coat,
  fondant: orNull(
    record<Fondant>({
      way: oneOf(fondantWays).usually('draped').since(15),
      mm: figure(limits.fondantMm).called('thickness'),
      allowanceMm: figure(limits.allowanceMm),
      tint: tint().called('colour'),
    }),
  ).since(4),
  pressed: orNull(
    record<Pressed>({
      name: name(),
      foodId: orNull(id()),
      gPerCm2: figure(limits.pressedGPerCm2),
      cover: figure(limits.cover),
      bandMm: orNull(figure(limits.bandMm)).called('height of the band'),
      onTop: flag(),
      allergens: allergenList(),
    }),
  ).since(4),
  surfaces: list(surface, limits.surfaces.max).since(12),
  stockId: orNull(id()).called('layers put away').since(12),
  bowl: orNull(
    record<WeighedBowl>({
      fullG: figure(limits.bowlG),
      emptyG: figure(limits.bowlG),
      pouredG: list(orNull(figure(limits.bowlG)), limits.layers.max),
    }),
  ),
  soak: oneOf(soakStyles).usually('none').since(3),
  soakId: orNull(id()).called('what it is soaked with').since(13),
  trim: record<Tier['trim']>({
    bottomMm: figure(limits.trimMm).usually(0),
    sideMm: figure(limits.trimMm).usually(0),
    topMm: figure(limits.trimMm).usually(0),
  }).since(3),
  centre: orNull(
    record<Centre>({
      outline: outline,
      fromLayer: wholeFigure({ min: 0, max: limits.layers.max - 1 }),
      toLayer: wholeFigure({ min: 0, max: limits.layers.max - 1 }),
      spreadId: id().called('filling or frosting'),
      pieces: orNull(
        record<LoosePieces>({
          name: name(),
          foodId: orNull(id()).called('ingredient'),
          densityGPerMl: figure(limits.inclusionDensity),
          share: figure(limits.packing),
          allergens: allergenList(),
        }),
      ).since(9),
    }),
  ).since(3),
  ovenC: orNull(figure(limits.ovenC)).called('oven').since(3),
  temps: list(
    record<PartTemp>({ name: name(), tempC: figure(limits.partC).called('temperature') }),
    60,
  )
    .called('temperatures')
    .since(3),
  stackedAt: oneOf(['room', 'cold']).usually('room').since(3),
  restG: figure(limits.restG).usually(0).since(3),
  asBaked: list(
    record<AsBaked>({
      edgeMm: figure(limits.layerMm),
      acrossMm: orNull(figure(limits.sideMm)),
    }),
    limits.layers.max,
  ).since(3),
  drip: orNull(drip).since(5),
  pour: orNull(pour).since(5),
  toppings: list(topping, limits.toppings.max).since(5),
  carving: orNull(carving).since(6),
  stand: standing.since(7),
  torched: flag().since(5),
})
  .rule(
    'core inside',
    'has a hidden centre that is not inside its layers',
    ({ centre, layers }) =>
      !centre ||
      !Array.isArray(layers) ||
      (centre.fromLayer <= centre.toLayer && centre.toLayer < layers.length),
  )
  .rule(
    'decks inside',
    'has a board between layers that are not there, or two in one place',
    ({ stand, layers }) => {
      if (!Array.isArray(stand?.decks) || !Array.isArray(layers)) return true;
      const after = stand.decks.map((deck) => Number(deck?.afterLayer));
      return after.every((at, i) => at < layers.length - 1 && (i === 0 || at > after[i - 1]!));
    },
  )
  .rule(
    'gaps',
    'needs one gap fewer than layers',
    (tier) => !whole(tier) || tier.gaps.length === tier.layers.length - 1,
  )
  .rule('gap below cake', 'has a filling thicker than the whole cake', (tier) => {
    if (!whole(tier)) return true;
    const cakeMm = tier.layers.reduce((sum, layer) => sum + layer.heightMm, 0);
    return tier.gaps.every((gap) => gap.heightMm <= cakeMm);
  });
