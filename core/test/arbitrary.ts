import fc from 'fast-check';
import {
  newBench,
  allergens,
  asTins,
  apartKey,
  batchWays,
  coatStyles,
  cuttings,
  diets,
  levellings,
  gelsOf,
  limits,
  portions,
  gapOrders,
  gapWays,
  inclusionWays,
  mouldOrders,
  mouldPlaces,
  soakStyles,
  surfaceWays,
  type Build,
  type Inset,
  type Outline,
  type PartTemp,
  type Tier,
} from '../src/index.ts';
import { between, idOf, orNull, pantry } from './arbitrary-base.ts';
import {
  anyCarving,
  anyDrip,
  anyPour,
  anyPiped,
  anyTopping,
  anyStanding,
  spot,
} from './arbitrary-finish.ts';

export { pantry } from './arbitrary-base.ts';

export const anyOutline: fc.Arbitrary<Outline> = fc.oneof(
  fc.record({ kind: fc.constant('round' as const), diameterMm: between(limits.sideMm) }),
  fc.record({
    kind: fc.constant('square' as const),
    sideMm: between(limits.sideMm),
    cornerMm: between(limits.cornerMm),
  }),
  fc.record({
    kind: fc.constant('rectangle' as const),
    widthMm: between(limits.sideMm),
    depthMm: between(limits.sideMm),
    cornerMm: between(limits.cornerMm),
  }),
);

/** Outlines that are drawn as a line, and rings. */
export const drawnOutline: fc.Arbitrary<Outline> = fc.oneof(
  fc.record({
    kind: fc.constant('oval' as const),
    widthMm: between(limits.sideMm),
    depthMm: between(limits.sideMm),
  }),
  fc.record({ kind: fc.constant('hexagon' as const), acrossMm: between(limits.sideMm) }),
  fc.record({ kind: fc.constant('heart' as const), widthMm: between(limits.sideMm) }),
  fc.record({
    kind: fc.constant('petal' as const),
    diameterMm: between(limits.sideMm),
    petals: fc.integer(limits.petals),
  }),
  fc
    .record({ diameterMm: between({ min: 100, max: 900 }), share: between({ min: 0.1, max: 0.8 }) })
    .map(({ diameterMm, share }) => ({
      kind: 'ring' as const,
      diameterMm,
      holeMm: Math.max(5, diameterMm * share),
    })),
);

const tier = (n: number): fc.Arbitrary<Tier> =>
  fc
    .record({
      id: fc.constant(`tier-${n}`),
      name: fc.constant(`Tier ${n}`),
      outline: fc.oneof({ arbitrary: anyOutline, weight: 6 }, drawnOutline),
      spongeId: idOf(pantry.sponges),
      tinId: idOf(pantry.tins),
      slicesPerCake: fc.integer(limits.slicesPerCake),
      asTin: fc.option(fc.constantFrom(...asTins), { nil: null, freq: 5 }),
      levelling: fc.constantFrom(...levellings),
      layers: fc
        .array(
          fc.record({
            heightMm: between(limits.layerMm),
            otherId: fc.option(idOf(pantry.others), { nil: null, freq: 6 }),
            tint: fc.constantFrom('', 'ivory', 'deep blue'),
            insets: fc.oneof(
              { arbitrary: fc.constant<Inset[]>([]), weight: 3 },
              fc.uniqueArray(
                fc.record({
                  id: fc.uuid(),
                  otherId: fc.option(idOf(pantry.others), { nil: null }),
                  heightMm: between(limits.insetMm),
                  marginMm: between(limits.marginMm),
                  upMm: between(limits.insetUpMm),
                }),
                { selector: ({ id }) => id, maxLength: limits.insets.max },
              ),
            ),
            between: orNull(
              fc.record({ spreadId: idOf(pantry.spreads), heightMm: between(limits.betweenMm) }),
            ),
            soak: orNull(fc.constantFrom(...soakStyles)),
            rimMm: fc.constantFrom<(number | null)[]>([], [20, 21, 22, 21], [20, null, 240, 21]),
            turnSteps: orNull(fc.integer(limits.turnSteps)),
            flipped: fc.boolean(),
          }),
          { minLength: 1, maxLength: limits.layers.max },
        )
        .map((layers) => layers.map((layer, i) => ({ id: `layer-${i + 1}`, ...layer }))),
      mould: fc.oneof(
        { arbitrary: fc.constant(null), weight: 4 },
        fc.record({
          tinId: idOf(pantry.tins),
          order: fc.constantFrom(...mouldOrders),
          setIn: fc.constantFrom(...mouldPlaces),
        }),
      ),
      gaps: fc.array(
        fc.record({
          heightMm: between(limits.gapMm),
          spreadId: idOf(pantry.spreads),
          damMm: between(limits.damMm),
          setbackMm: between(limits.setbackMm),
          pieces: fc.uniqueArray(
            fc.record({
              id: fc.uuid(),
              name: fc.constant('berries'),
              foodId: orNull(idOf(pantry.foods)),
              how: fc.constantFrom('packed' as const, 'scattered' as const),
              densityGPerMl: between(limits.inclusionDensity),
              share: between(limits.packing),
              gPerCm2: between(limits.gPerCm2),
              allergens: fc.subarray([...allergens]),
            }),
            { maxLength: 2, selector: ({ id }) => id },
          ),
          order: fc.constantFrom(...gapOrders),
          laid: fc.constantFrom('spread' as const, ...gapWays),
          tint: fc.constantFrom('', 'gold'),
          drizzle: orNull(
            fc.record({
              spreadId: idOf(pantry.spreads),
              gPerCm2: between(limits.gPerCm2),
              tint: fc.constantFrom('', 'gold'),
            }),
          ),
        }),
        { minLength: limits.layers.max - 1, maxLength: limits.layers.max - 1 },
      ),
      inclusions: fc.uniqueArray(
        fc.record({
          id: fc.uuid(),
          way: fc.constantFrom(...inclusionWays),
          eachTin: orNull(
            fc.record({
              count: fc.integer(limits.inclusionCount),
              pieceG: between(limits.inclusionPieceG),
            }),
          ),
          name: fc.constant('walnuts'),
          foodId: orNull(idOf(pantry.foods)),
          gPerKg: between(limits.inclusionGPerKg),
          densityGPerMl: between(limits.inclusionDensity),
          allergens: fc.subarray([...allergens]),
          waterShare: between(limits.waterShare),
          tempC: between(limits.partC),
        }),
        { maxLength: 3, selector: ({ id }) => id },
      ),
      stockId: fc.constant(null),
      surfaces: fc.array(
        fc.record({
          id: fc.uuid(),
          way: fc.constantFrom(...surfaceWays),
          name: fc.constantFrom('cocoa', 'jam'),
          foodId: orNull(idOf(pantry.foods)),
          tint: fc.constantFrom('', 'gold'),
          gPerCm2: between(limits.surfaceGPerCm2),
          coats: fc.integer(limits.surfaceCoats),
          dryMin: between(limits.surfaceDryMin),
          where: fc.constantFrom('all over' as const, 'side' as const, 'top' as const),
          allergens: fc.subarray([...allergens]),
        }),
        { maxLength: 2 },
      ),
      coat: fc.record({
        style: fc.constantFrom(...coatStyles),
        spreadId: idOf(pantry.spreads),
        crumbMm: orNull(between(limits.coatMm)),
        sideMm: orNull(between(limits.coatMm)),
        topMm: orNull(between(limits.coatMm)),
        innerSpreadId: orNull(idOf(pantry.spreads)),
        topSpreadId: fc.option(idOf(pantry.spreads), { nil: null, freq: 3 }),
        tint: fc.constantFrom('', 'blue', 'Deep red', 'πράσινο <b>'),
        crumbTint: fc.constantFrom('', 'gold'),
        bands: fc.array(
          fc.record({
            tint: fc.constantFrom('pale blue', 'blue', 'navy', ''),
            share: between(limits.bandShare),
          }),
          { maxLength: 4 },
        ),
        blended: fc.boolean(),
        cover: orNull(between(limits.cover)),
        comb: orNull(
          fc
            .record({ peakMm: between(limits.combPeakMm), share: between({ min: 0.1, max: 0.9 }) })
            .map(({ peakMm, share }) => ({
              peakMm,
              depthMm: Math.min(15, Math.max(0.5, peakMm * share)),
            })),
        ),
        rimMm: between(limits.rimRadiusMm),
      }),
      fondant: orNull(
        fc.record({
          way: fc.constantFrom('draped' as const, 'panels' as const),
          mm: between(limits.fondantMm),
          allowanceMm: between(limits.allowanceMm),
          tint: fc.constantFrom('', 'ivory'),
        }),
      ),
      pressed: orNull(
        fc.record({
          name: fc.constant('pistachios'),
          foodId: fc.constantFrom(null, 'pistachios'),
          gPerCm2: between(limits.pressedGPerCm2),
          cover: between(limits.cover),
          bandMm: orNull(between(limits.bandMm)),
          onTop: fc.boolean(),
          allergens: fc.subarray([...allergens]),
        }),
      ),
      bowl: orNull(
        fc.record({
          fullG: between(limits.bowlG),
          emptyG: between(limits.bowlG),
          pouredG: fc.array(orNull(between(limits.bowlG)), { maxLength: 4 }),
        }),
      ),
      soak: fc.constantFrom(...soakStyles),
      soakId: fc.constantFrom(null, 'recipe-rum-soak', 'recipe-coffee-soak'),
      trim: fc.record({
        bottomMm: between(limits.trimMm),
        sideMm: between(limits.trimMm),
        topMm: between(limits.trimMm),
      }),
      centre: orNull(
        fc.record({
          outline: fc.constant({ kind: 'round' as const, diameterMm: 60 }),
          fromLayer: fc.constant(0),
          toLayer: fc.nat({ max: 4 }),
          spreadId: idOf(pantry.spreads),
          pieces: orNull(
            fc.record({
              name: fc.constant('sugar pearls'),
              foodId: orNull(idOf(pantry.foods)),
              densityGPerMl: between(limits.inclusionDensity),
              share: between(limits.packing),
              allergens: fc.subarray([...allergens], { maxLength: 1 }),
            }),
          ),
        }),
      ),
      ovenC: orNull(between(limits.ovenC)),
      temps: fc.constantFrom<PartTemp[]>([], [{ name: 'eggs, medium, shelled', tempC: 4 }]),
      stackedAt: fc.constantFrom('room' as const, 'cold' as const),
      restG: between(limits.restG),
      asBaked: fc.array(
        fc.record({ edgeMm: between(limits.layerMm), acrossMm: orNull(between(limits.sideMm)) }),
        { maxLength: 3 },
      ),
      drip: orNull(anyDrip),
      pour: fc.option(anyPour, { nil: null, freq: 2 }),
      toppings: fc.array(anyTopping, { maxLength: 2 }),
      torched: fc.boolean(),
      carving: orNull(anyCarving),
      stand: anyStanding,
    })
    .map((t) => {
      const cakeMm = t.layers.reduce((sum, l) => sum + l.heightMm, 0);
      return {
        ...t,
        stand: {
          ...t.stand,
          decks: t.stand.decks.filter((deck) => deck.afterLayer < t.layers.length - 1),
        },
        centre: t.centre && t.centre.toLayer < t.layers.length ? t.centre : null,
        gaps: t.gaps
          .slice(0, t.layers.length - 1)
          .map((g) => ({ ...g, heightMm: Math.min(g.heightMm, cakeMm) })),
      };
    });

/** Any build that the schema lets pass. */
export const anyBuild: fc.Arbitrary<Build> = fc.record({
  id: fc.constant('any'),
  name: fc.string({ minLength: 1, maxLength: 20, unit: fc.constantFrom(...'ab <>&"{}') }),
  createdAt: fc.constant('2027-05-03T09:30:00Z'),
  brief: fc.record({
    occasion: fc.constant('jubilee'),
    place: fc.constant(''),
    servings: fc.integer(limits.servings),
    portion: fc.constantFrom(...portions),
    cutting: fc.constantFrom(...cuttings),
    halves: fc.boolean(),
    look: fc.constantFrom(...coatStyles),
    serveAt: fc.constantFrom(null, '2027-06-12T16:00'),
    keepOut: fc.subarray([...allergens]),
    diets: fc.subarray([...diets]),
    kitchenC: orNull(between(limits.roomC)),
    venueC: orNull(between(limits.roomC)),
    notes: fc.constant(''),
  }),
  order: fc.record({
    customer: fc.string({ maxLength: 20 }),
    contact: fc.string({ maxLength: 40 }),
    priceOffered: orNull(between(limits.agreedPrice)),
    deposit: orNull(between(limits.agreedPrice)),
    depositPaid: fc.boolean(),
    confirmed: fc.boolean(),
    pictures: fc.subarray(['wish-1', 'wish-2']),
    likeId: fc.constantFrom(null, 'other'),
  }),
  isPattern: fc.boolean(),
  tiers: fc
    .integer({ min: 1, max: 3 })
    .chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => tier(i + 1)))),
  boardId: idOf(pantry.boards),
  boardCoverMm: between(limits.boardCoverMm),
  rod: orNull(fc.record({ dowelId: idOf(pantry.dowels), at: orNull(spot) })),
  fromStock: fc.constant([]),
  day: fc.record({
    people: fc.integer(limits.people),
    hours: fc.array(
      orNull(fc.record({ from: fc.integer(limits.clockMin), to: fc.integer(limits.clockMin) })),
      { minLength: 7, maxLength: 7 },
    ),
    freezerMm: fc.constantFrom(0, 400),
    chillIn: fc.constantFrom('fridge' as const, 'freezer' as const),
    cooling: fc.constantFrom(
      [],
      [
        { spreadId: 'caramel', where: 'tray' as const },
        { spreadId: 'curd', where: 'cold water' as const },
      ],
    ),
    pinned: fc.constantFrom([], [{ taskId: 'box', startMin: -90 }]),
    together: fc.constantFrom([], ['another']),
    fridgeMm: between(limits.fridgeMm),
    spareMin: between(limits.spareMin),
    own: fc.array(
      fc.record({
        id: fc.uuid(),
        title: fc.constantFrom('fetch flowers', 'iron the ribbon'),
        handsMin: between({ min: 0, max: 90 }),
        waitMin: between({ min: 0, max: 600 }),
        after: fc.constantFrom(null, 'tier-1/weigh', 'nothing'),
        before: fc.constantFrom(null, 'box', 'nothing'),
      }),
      { maxLength: 2 },
    ),
    minutes: fc.constantFrom([], [{ taskId: 'tier-1/weigh', handsMin: 12 }]),
  }),
  journey: fc.record({
    byRoad: fc.boolean(),
    minutes: between(limits.roadMin),
    carC: between(limits.carC),
    stackAt: fc.constantFrom('home' as const, 'venue' as const),
    chilled: fc.boolean(),
    boxed: fc.boolean(),
    mat: fc.boolean(),
    days: between(limits.days),
  }),
  piping: fc.array(
    fc.record({
      id: fc.uuid(),
      name: fc.constantFrom('border', 'stars'),
      spreadId: fc.option(idOf(pantry.spreads), { nil: null }),
      tint: fc.constantFrom('', 'blue', 'gold'),
      massG: between(limits.pipingG),
      pieces: fc.integer({ min: 0, max: 200 }),
      lineMm: between({ min: 0, max: 9000 }),
      piped: orNull(anyPiped),
    }),
    { maxLength: 3 },
  ),
  colours: fc.uniqueArray(
    fc.record({
      name: fc.constantFrom('blue', 'gold', 'Deep red', 'navy', 'rust'),
      hex: fc.constantFrom('#4f7fb8', '#c9993a', '#6d1a2d', '#f6e6ea'),
      gPerKg: orNull(between(limits.gelGPerKg)),
      doses: fc.array(
        fc.record({
          foodId: fc.constantFrom('gone', ...gelsOf(pantry.foods).map(({ id }) => id!)),
          gPerKg: between(limits.doseGPerKg),
        }),
        { maxLength: limits.doses.max },
      ),
    }),
    { maxLength: 4, selector: ({ name }) => name },
  ),
  shortShare: between({ min: 0.01, max: 0.5 }),
  batchBy: fc.constantFrom(...batchWays),
  apart: fc.subarray(
    pantry.spreads.flatMap((row) => [
      apartKey(row.id, '', 'gap'),
      apartKey(row.id, 'blue', 'coat'),
    ]),
    { maxLength: 4 },
  ),
  mixedApart: fc.subarray(
    pantry.spreads.map((row) => row.id),
    { maxLength: 3 },
  ),
  reserveShare: between(limits.reserveShare),
  bench: fc.constant(newBench()),
});
