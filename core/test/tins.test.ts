import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  capVolumeMl,
  crownShare,
  cutHeights,
  edgeHeightMm,
  fillHeightMm,
  newLayer,
  newTier,
  plainKnifework,
  planBake,
  splitBowl,
  tinOutlineAt,
  tinVolumeMl,
  warnOfBake,
  type Caution,
  type Tier,
  type Tin,
  newInclusion,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const tin = (id: string): Tin => pantry.tins.find((t) => t.id === id)!;
const butter = pantry.sponges.find((s) => s.id === 'butter')!;
const bakeOf = (tier: Tier, tinRow: Tin) => {
  const cautions: Caution[] = [];
  const plan = planBake(tier, butter, tinRow, null, pantry.kitchen, pantry.foods);
  warnOfBake(tier, butter, tinRow, plan, pantry.tins, cautions);
  return { plan, cautions };
};
const round20 = (): Tier =>
  newTier('tier-1', { kind: 'round', diameterMm: 200 }, 'round-20', 4, 22);

describe('tins', () => {
  it('hold a cylinder and a frustum, by their closed forms', () => {
    expect(tinVolumeMl(tin('round-20'), 50)).toBeCloseTo((Math.PI * 100 ** 2 * 50) / 1000, 6);
    const cone = { outline: { kind: 'round' as const, diameterMm: 200 }, depthMm: 80, flareMm: 20 };
    const [r, R, h] = [100, 120, 80];
    expect(tinVolumeMl(cone, 80)).toBeCloseTo((Math.PI * h * (r * r + r * R + R * R)) / 3000, 6);
  });

  it('fill to the height of the volume poured in', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...pantry.tins),
        fc.double({ min: 5, max: 120, noNaN: true }),
        (t, h) => {
          expect(fillHeightMm(t, tinVolumeMl(t, h))).toBeCloseTo(h, 5);
        },
      ),
    );
    expect(fillHeightMm(tin('loaf-23'), 0)).toBe(0);
  });

  it('dome by their depth: a thin layer not at all, the recipe’s own depth by its row', () => {
    expect([5, 15, 32.5, 50, 200].map((mm) => crownShare(mm))).toEqual([0, 0, 0.5, 1, 1.25]);
    expect(crownShare(60, 60)).toBe(1);
    const thin = round20();
    thin.slicesPerCake = 1;
    for (const layer of thin.layers) layer.heightMm = 5;
    thin.levelling = 'cut none';
    const { plan, cautions } = bakeOf(thin, tin('round-20'));
    expect(plan.cakes[0]!.crownMm).toBe(0);
    // thin layers baked singly tear like thin slices
    expect(cautions.map((c) => c.id)).toContain('tier-1/thin/0');
    fc.assert(
      fc.property(fc.double({ min: 5, max: 100, noNaN: true }), (mm) => {
        expect(crownShare(mm + 1)).toBeGreaterThanOrEqual(crownShare(mm));
      }),
      { seed: 13 },
    );
  });

  it('bear a crown that is a spherical cap', () => {
    const [R, d] = [100, 12];
    const top = tinOutlineAt(tin('round-20'), 40);
    expect(capVolumeMl(top, d)).toBeCloseTo((Math.PI * d * (3 * R * R + d * d)) / 6000, 9);
    // a crown as high as the radius is half a ball
    expect(capVolumeMl(top, R)).toBeCloseTo(((2 / 3) * Math.PI * R ** 3) / 1000, 6);
  });
});

describe('batter', () => {
  it('is the baked volume over the rise, times its density', () => {
    const { plan } = bakeOf(round20(), tin('round-20'));
    const edge = 2 * 22 + 2 * 0.7;
    const crown = 0.12 * 100 * crownShare(edge);
    const ml =
      (Math.PI * 100 ** 2 * edge) / 1000 + (Math.PI * crown * (3 * 100 ** 2 + crown ** 2)) / 6000;
    expect(plan.cakes).toHaveLength(2);
    expect(plan.cakes[0]!.batterG).toBeCloseTo((ml / 1.75) * 0.85, 6);
    expect(plan.bakedDensity).toBeCloseTo((0.85 * 0.9) / 1.75, 9);
  });

  it('with pieces in it rises less: they add mass and their own volume only', () => {
    const plain = bakeOf(round20(), tin('round-20')).plan;
    const tier = round20();
    tier.inclusions = [
      {
        ...newInclusion('pieces'),
        name: 'figs',
        foodId: null,
        gPerKg: 200,
        densityGPerMl: 0.8,
        allergens: [],
        waterShare: 0.2,
        tempC: 20,
      },
    ];
    const { plan } = bakeOf(tier, tin('round-20'));
    expect(plan.batterG).toBeLessThan(plain.batterG);
    expect(plan.inclusionG).toBeCloseTo(plan.batterG * 0.2, 9);
    const ml = (g: number): number => (g / 0.85) * 1.75;
    expect(ml(plan.batterG) + plan.inclusionG / 0.8).toBeCloseTo(ml(plain.batterG), 6);
  });

  it('comes out again as layers, domes, trimmings and crumbs', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...pantry.tins),
        fc.array(fc.double({ min: 5, max: 60, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 1, max: 6 }),
        (t, heights, slices) => {
          const tier = newTier('tier-1', t.outline, t.id, heights.length, 20);
          tier.layers = heights.map((mm) => newLayer(mm));
          tier.slicesPerCake = slices;
          const { plan } = bakeOf(tier, t);
          for (const c of plan.cakes) {
            expect(c.layersG + c.domeG + c.trimG + c.crumbsG).toBeCloseTo(c.bakedG, 6);
            expect(c.batterG + c.inclusionG - c.ovenLossG).toBeCloseTo(c.bakedG, 6);
            expect(c.trimG).toBeGreaterThan(-1e-6);
          }
        },
      ),
    );
  });

  it('that the tin cannot hold is told, with what to do', () => {
    const tier = round20();
    tier.slicesPerCake = 4;
    const { cautions } = bakeOf(tier, tin('round-20'));
    const overflow = cautions.find((c) => c.id === 'tier-1/overflow');
    expect(overflow?.severity).toBe('stop');
    expect(overflow?.todo.text).toContain('into 3 instead of 4');
  });

  it('that only its crown passes the rim of is told too', () => {
    const tier = round20();
    tier.layers.forEach((l) => (l.heightMm = 35));
    const ids = bakeOf(tier, tin('round-20')).cautions.map((c) => c.id);
    expect(ids).not.toContain('tier-1/overflow');
    tier.layers.forEach((l) => (l.heightMm = 33));
    expect(bakeOf(tier, tin('round-20')).cautions.map((c) => c.id)).not.toContain('tier-1/crown');
    tier.layers.forEach((l) => (l.heightMm = 36.7));
    expect(bakeOf(tier, tin('round-20')).plan.cakes[0]!.edgeMm).toBeLessThan(75);
    const deep = newTier('tier-1', { kind: 'round', diameterMm: 300 }, 'round-30', 2, 36.7);
    expect(bakeOf(deep, tin('round-30')).cautions.map((c) => c.id)).toContain('tier-1/crown');
  });

  it('in too small a tin is a stop, in a larger one offcuts', () => {
    const tier = round20();
    expect(bakeOf(tier, tin('round-15')).cautions.map((c) => c.id)).toContain(
      'tier-1/tin too small',
    );
    const { plan, cautions } = bakeOf(tier, tin('square-25'));
    expect(cautions.map((c) => c.id)).toContain('tier-1/trim');
    expect(plan.cakes[0]!.trimG).toBeGreaterThan(plan.cakes[0]!.layersG * 0.5);
  });
});

describe('the knife', () => {
  it('takes the dome first, then splits from the bottom up', () => {
    expect(cutHeights([20, 25, 30], plainKnifework(0.7))).toEqual([
      { atMm: 20 + 0.7 + 25 + 0.7 + 30, kind: 'level' },
      { atMm: 20, kind: 'split' },
      { atMm: 45.7, kind: 'split' },
    ]);
    expect(edgeHeightMm([20, 25, 30], plainKnifework(0.7))).toBeCloseTo(77.1);
  });
});

describe('the bowl', () => {
  it('gives each tin what it wants and leaves the rest', () => {
    expect(splitBowl(1000, [300, 500])).toMatchObject({
      perCakeG: [300, 500],
      leftG: 200,
      shortG: 0,
    });
  });
  it('that is short is shared out in proportion', () => {
    const split = splitBowl(400, [300, 500]);
    expect(split.perCakeG).toEqual([150, 250]);
    expect(split.shortG).toBe(400);
  });
  it('never gives more than it holds, nor less than nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -100, max: 9000, noNaN: true }),
        fc.array(fc.double({ min: 0, max: 3000, noNaN: true }), { minLength: 1, maxLength: 6 }),
        (inBowl, wanted) => {
          const split = splitBowl(inBowl, wanted);
          const given = split.perCakeG.reduce((a, b) => a + b, 0);
          expect(given).toBeLessThanOrEqual(Math.max(0, inBowl) + 1e-6);
          for (const g of split.perCakeG) expect(g).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});
