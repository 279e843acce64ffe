import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { foldedG, juiceG, sinks, tinFilling } from '../src/batter/pieces.ts';
import {
  findRow,
  inclusionWays,
  newInclusion,
  planBuild,
  type Build,
  type Inclusion,
  type Plan,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, placeOf, stepsOf } from './work-kit.ts';

const pieces = (more: Partial<Inclusion>): Inclusion => ({ ...newInclusion('p'), foodId: 'hazelnuts', name: 'hazelnuts', ...more }); // prettier-ignore
const anyPieces = fc.array(
  fc.record({
    way: fc.constantFrom(...inclusionWays),
    gPerKg: fc.double({ min: 0, max: 600, noNaN: true }),
    densityGPerMl: fc.double({ min: 0.3, max: 2, noNaN: true }),
    eachTin: fc.option(fc.record({ count: fc.integer({ min: 1, max: 30 }), pieceG: fc.double({ min: 1, max: 30, noNaN: true }) })), // prettier-ignore
  }),
  { maxLength: 5 },
);
const withPieces = (...inclusions: Inclusion[]): Build => {
  const build = structuredClone(demo('meridian'));
  build.tiers[0]!.inclusions = inclusions.map((one, i) => ({ ...one, id: `p${i}` }));
  return build;
};
const bakeOf = (plan: Plan) => {
  const { bake } = plan.tiers[0]!;
  if (!bake.ok) throw new Error(bake.problem);
  return bake.value;
};

describe('pieces with the batter', () => {
  it('fill a tin with their batter to the millilitre, whatever they are', () => {
    fc.assert(
      fc.property(fc.double({ min: 200, max: 6000, noNaN: true }), fc.double({ min: 1, max: 3, noNaN: true }), anyPieces, (ml, mlPerG, some) => {
        const all = some.map((one) => pieces(one));
        const { batterG, piecesG } = tinFilling(ml, mlPerG, all);
        const piecesMl = all.reduce((sum, { densityGPerMl }, i) => sum + piecesG[i]! / densityGPerMl, 0); // prettier-ignore
        if (batterG > 0) expect(batterG * mlPerG + piecesMl).toBeCloseTo(ml, 6);
        else expect(piecesMl).toBeGreaterThanOrEqual(ml - 1e-6);
        all.forEach(({ eachTin, gPerKg }, i) =>
          expect(piecesG[i]).toBeCloseTo(eachTin ? eachTin.count * eachTin.pieceG : (batterG * gPerKg) / 1000, 6), // prettier-ignore
        );
        expect(foldedG(all, piecesG)).toBeLessThanOrEqual(piecesG.reduce((a, b) => a + b, 0) + 1e-9);
      }),
      { numRuns: 100, seed: 7 },
    ); // prettier-ignore
  });
  it('keep all mass: batter and pieces less the oven’s loss is layers, domes, trimmings and crumbs', () => {
    const bake = bakeOf(
      planBuild(
        withPieces(
          pieces({ gPerKg: 120 }),
          pieces({ way: 'laid under', eachTin: { count: 8, pieceG: 12 } }),
        ),
        pantry,
      ),
    );
    for (const cake of bake.cakes) {
      expect(cake.piecesG[1]).toBe(96);
      expect(cake.batterG + cake.inclusionG - cake.ovenLossG).toBeCloseTo(cake.bakedG, 6);
      expect(cake.layersG + cake.domeG + cake.trimG + cake.crumbsG).toBeCloseTo(cake.bakedG, 4);
    }
    expect(bake.inclusionG).toBeCloseTo(bake.piecesG[0]! + bake.piecesG[1]!, 9);
    expect(bake.foldedG).toBeCloseTo(bake.piecesG[0]!, 9);
  });
  it('folded in go with the batter; the others are weighed at the tin, beneath, through and on top', () => {
    const plan = planBuild(
      withPieces(
        pieces({ way: 'laid on top', foodId: 'walnuts', name: 'walnuts' }),
        pieces({ gPerKg: 100 }),
        pieces({ way: 'laid under', foodId: 'blueberries', name: 'blueberries' }),
        pieces({ way: 'swirled', foodId: 'jam', name: 'jam' }),
      ),
      pantry,
    );
    const steps = stepsOf(plan);
    const weighed = steps.find(({ kind }) => kind === 'weigh')!;
    expect(weighed.list.some(({ label }) => label.startsWith('hazelnuts'))).toBe(true);
    expect(weighed.list.some(({ label }) => /walnuts|blueberries/.test(label))).toBe(false);
    const filled = steps.find(({ kind }) => kind === 'fill tin')!;
    const order = filled.list.map(({ label }) => label.split(',')[0]);
    expect([...new Set(order)]).toEqual(['blueberries', 'jam', 'walnuts']);
    // each is bought for what goes in
    const bake = bakeOf(plan);
    const bought = plan.ingredients.ok ? plan.ingredients.value : [];
    const walnuts = bought.find(({ foodId }) => foodId === 'walnuts')!;
    expect(walnuts.massG).toBeCloseTo(bake.piecesG[0]!, 6);
    expect(placeOf(steps, filled.key)).toBeGreaterThan(placeOf(steps, weighed.key));
  });
  it('folded in cool the batter; what is laid into the tin does not, and both bake slower', () => {
    const frozen = { foodId: 'raspberries', waterShare: 0.86, tempC: -18, gPerKg: 200, densityGPerMl: 1 }; // prettier-ignore
    const [plain, folded, laid] = [
      withPieces(),
      withPieces(pieces(frozen)),
      withPieces(pieces({ ...frozen, way: 'laid on top' })),
    ].map((build) => bakeOf(planBuild(build, pantry)));
    expect(folded!.startC).toBeLessThan(plain!.startC - 5);
    expect(laid!.startC).toBeCloseTo(plain!.startC, 6);
    for (const slow of [folded!, laid!]) expect(slow.slower).toBeGreaterThan(plain!.slower + 0.05);
    expect(plain!.slower).toBe(1);
  });
  it('that are too many, that sink and that run are said, with what works', () => {
    const cautionOf = (build: Build, id: string) => planBuild(build, pantry).cautions.find((one) => one.id.startsWith(`${build.tiers[0]!.id}/${id}`)); // prettier-ignore
    const many = (count: number) => withPieces(pieces({ way: 'laid under', eachTin: { count, pieceG: 100 }, densityGPerMl: 1 })); // prettier-ignore
    expect(cautionOf(many(1), 'too many')).toBeUndefined();
    expect(cautionOf(many(200), 'too many')!.severity).toBe('stop');
    const some = cautionOf(many(20), 'too many')!;
    expect(some.severity).toBe('mind');
    // what it says is enough is enough
    const g = some.todo.values!.g!.value;
    expect(cautionOf(withPieces(pieces({ eachTin: { count: 1, pieceG: Math.min(500, g * 0.99) }, densityGPerMl: 1 })), 'too many')).toBeUndefined(); // prettier-ignore
    const sponge = findRow(pantry, 'sponges', demo('meridian').tiers[0]!.spongeId);
    const heavy = pieces({ densityGPerMl: sponge.batterDensityGPerMl * 1.3 });
    expect(sinks(heavy, sponge.batterDensityGPerMl)).toBe(true);
    expect(sinks({ ...heavy, way: 'laid on top' }, sponge.batterDensityGPerMl)).toBe(false);
    expect(cautionOf(withPieces(heavy), 'sinks')).toBeDefined();
    expect(juiceG(pieces({ waterShare: 0.85 }), 100)).toBeCloseTo(21.25, 9);
    expect(juiceG(pieces({ waterShare: 0.2 }), 100)).toBe(0);
    expect(cautionOf(withPieces(pieces({ waterShare: 0.85, gPerKg: 300 })), 'juice')).toBeDefined();
    expect(cautionOf(withPieces(pieces({ waterShare: 0.05, gPerKg: 300 })), 'juice')).toBeUndefined(); // prettier-ignore
  });
  it('each hold what their row holds', () => {
    const build = withPieces(pieces({}), pieces({ way: 'laid on top', foodId: 'walnuts', name: 'walnuts' })); // prettier-ignore
    expect(planBuild(build, pantry).allergens).toContain('tree nuts');
    expect(planBuild(withPieces(), pantry).allergens).not.toContain('tree nuts');
  });
});
