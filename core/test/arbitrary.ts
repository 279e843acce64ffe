import fc from 'fast-check';
import {
  allergens,
  coatStyles,
  cuttings,
  levellings,
  limits,
  portions,
  startingPantry,
  type Build,
  type Outline,
  type Pantry,
  type Range,
  type Tier,
} from '../src/index.ts';

export const pantry: Pantry = startingPantry();

const between = ({ min, max }: Range) =>
  fc.double({ min, max, noNaN: true, noDefaultInfinity: true });
const idOf = <T extends { id: string }>(rows: readonly T[]) =>
  fc.constantFrom(...rows.map((r) => r.id));

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

const orNull = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: null });

const tier = (n: number): fc.Arbitrary<Tier> =>
  fc
    .record({
      id: fc.constant(`tier-${n}`),
      name: fc.constant(`Tier ${n}`),
      outline: anyOutline,
      spongeId: idOf(pantry.sponges),
      tinId: idOf(pantry.tins),
      slicesPerCake: fc.integer(limits.slicesPerCake),
      levelling: fc.constantFrom(...levellings),
      layers: fc.array(fc.record({ heightMm: between(limits.layerMm) }), {
        minLength: 1,
        maxLength: limits.layers.max,
      }),
      gaps: fc.array(
        fc.record({
          heightMm: between(limits.gapMm),
          spreadId: idOf(pantry.spreads),
          damMm: between(limits.damMm),
        }),
        { minLength: limits.layers.max - 1, maxLength: limits.layers.max - 1 },
      ),
      inclusion: orNull(
        fc.record({
          name: fc.constant('walnuts'),
          gPerKg: between(limits.inclusionGPerKg),
          densityGPerMl: between(limits.inclusionDensity),
          allergens: fc.subarray([...allergens]),
        }),
      ),
      coat: fc.record({
        style: fc.constantFrom(...coatStyles),
        spreadId: idOf(pantry.spreads),
        crumbMm: orNull(between(limits.coatMm)),
        sideMm: orNull(between(limits.coatMm)),
        topMm: orNull(between(limits.coatMm)),
      }),
      bowl: orNull(fc.record({ fullG: between(limits.bowlG), emptyG: between(limits.bowlG) })),
    })
    .map((t) => {
      const cakeMm = t.layers.reduce((sum, l) => sum + l.heightMm, 0);
      return {
        ...t,
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
    notes: fc.constant(''),
  }),
  tiers: fc
    .integer({ min: 1, max: 3 })
    .chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => tier(i + 1)))),
  boardId: idOf(pantry.boards),
  pipingG: between(limits.pipingG),
  reserveShare: between(limits.reserveShare),
  bench: fc.constant({ stepKey: null, done: [], checks: [], notes: [], timers: [] }),
});
