import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  bloomGrams,
  builtUpMm,
  fillToBrim,
  findRow,
  freezeThroughMin,
  gelatineGPerKg,
  layerMl,
  limits,
  mouldFaces,
  mouldMl,
  mouldMlBetween,
  mouldOf,
  mouldOutlineAt,
  newBuild,
  newInset,
  newLayer,
  newTier,
  placeInsets,
  planBuild,
  planPourings,
  plankFactors,
  setMould,
  startingKitchen,
  thawThroughMin,
  widthMm,
  withInsets,
  type Build,
  type MouldShape,
  type Tier,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { mouldJobs } from './jobs/moulded.ts';

const built = (change: (build: Build) => void): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};
const othersOf = (build: Build) => {
  const { others } = planBuild(build, pantry).tiers[0]!;
  if (!others.ok) throw new Error(others.problem);
  return others.value;
};
const cautionIds = (build: Build): string[] =>
  planBuild(build, pantry).cautions.map(({ id }) => id);
const ring = (diameterMm: number, depthMm: number, flareMm = 0): MouldShape => ({
  tin: { outline: { kind: 'round', diameterMm }, depthMm, flareMm },
  order: 'upright',
  filledMm: depthMm,
});

describe('the shape of a mould', () => {
  it('of a straight ring is a cylinder', () => {
    const shape = ring(180, 45);
    expect(mouldMl(shape)).toBeCloseTo((Math.PI * 90 ** 2 * 45) / 1000, 6);
    const { sideMm2, topMm2 } = mouldFaces(shape, 45);
    expect(sideMm2).toBeCloseTo(Math.PI * 180 * 45, 3);
    expect(topMm2).toBeCloseTo(Math.PI * 90 ** 2, 6);
  });
  it('of a leaning wall is a frustum, and turned over it is the same', () => {
    const shape = ring(160, 50, 12);
    const [r, R, h] = [80, 92, 50];
    const ml = (Math.PI * h * (r * r + r * R + R * R)) / 3000;
    expect(mouldMl(shape)).toBeCloseTo(ml, 6);
    const turned: MouldShape = { ...shape, order: 'upside down' };
    expect(mouldMlBetween(turned, 0, 50)).toBeCloseTo(ml, 6);
    expect(widthMm(mouldOutlineAt(turned, 0))).toBeCloseTo(184, 9);
    expect(widthMm(mouldOutlineAt(turned, 50))).toBeCloseTo(160, 9);
    const side = Math.PI * (r + R) * Math.hypot(h, R - r);
    expect(mouldFaces(turned, 50).sideMm2).toBeCloseTo(side, 0);
  });
  it('of half a ball has two thirds of its cylinder, and the side of a half ball', () => {
    const ball: MouldShape = {
      tin: { outline: { kind: 'round', diameterMm: 160 }, depthMm: 80, flareMm: 0, form: 'ball' },
      order: 'upside down',
      filledMm: 80,
    };
    expect(mouldMl(ball)).toBeCloseTo((2 / 3) * Math.PI * 80 ** 3 * 1e-3, 6);
    const { sideMm2 } = mouldFaces(ball, 80);
    expect(sideMm2 / (2 * Math.PI * 80 ** 2)).toBeCloseTo(1, 2);
  });
  it('is parted among layers without loss', () => {
    const tins = pantry.tins.filter(({ form }) => form !== 'upright');
    fc.assert(
      fc.property(
        fc.constantFrom(...tins),
        fc.constantFrom('upright' as const, 'upside down' as const),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (tin, order, at) => {
          const shape = { tin, order, filledMm: tin.depthMm };
          const mm = at * tin.depthMm;
          const parts = mouldMlBetween(shape, 0, mm) + mouldMlBetween(shape, mm, tin.depthMm);
          expect(parts).toBeCloseTo(mouldMl(shape), 6);
          expect(mouldMlBetween(shape, 0, mm)).toBeGreaterThanOrEqual(0);
        },
      ),
      { numRuns: 80, seed: 5 },
    );
  });
});

describe('a tier set in a mould', () => {
  const inRing = (order: 'upright' | 'upside down' = 'upright', tinId = 'mousse-ring-18'): Tier => {
    const tier = newTier('tier-1', { kind: 'round', diameterMm: 200 }, 'round-20', 4, 25);
    setMould(tier, { tinId, order, setIn: 'freezer' }, pantry);
    return tier;
  };
  it('takes its size, keeps a foot, and is filled to the brim', () => {
    const tier = inRing();
    expect(widthMm(tier.outline)).toBe(180);
    expect(tier.tinId).toBe('round-18');
    expect(tier.layers.map(({ otherId }) => otherId)).toEqual([null, 'mousse']);
    expect(builtUpMm(tier)).toBeCloseTo(45, 9);
    tier.layers[1]!.heightMm = 20;
    fillToBrim(tier, findRow(pantry, 'tins', 'mousse-ring-18'), pantry.others);
    expect(builtUpMm(tier)).toBeCloseTo(45, 9);
  });
  it('takes as much cream as is left of it, in a ring and in a dome', () => {
    for (const [tinId, order] of [
      ['mousse-ring-18', 'upright'],
      ['mould-dome', 'upside down'],
    ] as const) {
      // prettier-ignore
      const tier = inRing(order, tinId);
      tier.layers[1]!.insets = [newInset([], null, 10), newInset([newInset([], null, 10)], 'fruit-jelly', 6)]; // prettier-ignore
      const build = built((b) => (b.tiers = [tier]));
      const [cream] = othersOf(build);
      const shape = mouldOf(tier, pantry.tins)!;
      const inside = cream!.insets.reduce((sum, { ml }) => sum + ml, 0);
      expect(cream!.insets).toHaveLength(2);
      expect(cream!.ml + inside).toBeCloseTo(layerMl(tier, 1, shape), 6);
      // what is poured in turn is all of it
      const poured = cream!.pourings.reduce((sum, { ml }) => sum + ml, 0);
      expect(poured).toBeCloseTo(cream!.ml, 6);
      expect(cream!.pourings.map(({ then }) => then?.inset.otherId)).toEqual(
        order === 'upright' ? [null, 'fruit-jelly', undefined] : ['fruit-jelly', null, undefined],
      );
      expect(cream!.pourings.at(-1)!.toMm).toBeCloseTo(tier.layers[1]!.heightMm, 6);
      // the dome gives fewer servings than a straight cake on its foot
      const servings = planBuild(build, pantry).tiers[0]!.servings;
      const straight = built((b) => (b.tiers = [{ ...tier, mould: null }]));
      const asStraight = planBuild(straight, pantry).tiers[0]!.servings;
      if (order === 'upright') expect(servings).toBe(asStraight);
      else expect(servings).toBeLessThan(asStraight);
    }
  });
  it('of two creams of one kind makes each by itself, its steps by keys of their own', () => {
    const tier = inRing('upright', 'mousse-ring-20');
    tier.layers[1]!.heightMm = 20;
    tier.layers.push({ ...newLayer(24, 'second'), otherId: 'mousse' });
    tier.gaps.push({ ...tier.gaps[0]! });
    const { steps } = planBuild(
      built((b) => (b.tiers = [tier])),
      pantry,
    );
    if (!steps.ok) throw new Error(steps.problem);
    const keys = steps.value.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys.filter((key) => key.includes('/other/') && key.endsWith('/mix'))).toHaveLength(2);
  });
  it('says what does not fit: another size, over the brim, below it, not in the pantry', () => {
    const of = (change: (tier: Tier) => void): string[] =>
      cautionIds(
        built((b) => {
          b.tiers = [inRing()];
          change(b.tiers[0]!);
        }),
      ).filter((id) => id.includes('/mould/'));
    expect(of(() => undefined)).toEqual([]);
    expect(of((t) => (t.outline = { kind: 'round', diameterMm: 200 }))).toEqual(['tier-1/mould/size']); // prettier-ignore
    expect(of((t) => (t.layers[1]!.heightMm += 5))).toEqual(['tier-1/mould/high']);
    expect(of((t) => (t.layers[1]!.heightMm -= 10))).toEqual(['tier-1/mould/low']);
    expect(of((t) => (t.mould!.tinId = 'gone'))).toEqual(['tier-1/mould/missing']);
  });
  it('is narrower above its foot in the drawing, as its wall is', () => {
    const { section } = planBuild(mouldJobs[1]!.build, pantry);
    const top = section.parts.find(({ id }) => id === 'tier-1/layer/1')!;
    const xs = (near: number): number[] =>
      top.lines![0]!.filter(([, y]) => Math.abs(y - near) < 3).map(([x]) => Math.abs(x));
    expect(Math.max(...xs(top.y1))).toBeLessThan(0.5 * Math.max(...xs(top.y0)));
    // a straight ring is drawn straight
    const straight = planBuild(mouldJobs[0]!.build, pantry).section;
    expect(straight.parts.every(({ lines }) => lines === undefined)).toBe(true);
  });
});

describe('what is set inside a cream', () => {
  it('lies in its order, never in what is below it, and never above the cream', () => {
    const inset = fc.record({
      id: fc.uuid(),
      otherId: fc.constant(null),
      heightMm: fc.double({ ...limits.insetMm, noNaN: true }),
      marginMm: fc.double({ min: 3, max: 40, noNaN: true }),
      upMm: fc.double({ ...limits.insetUpMm, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(inset, { maxLength: 4 }),
        fc.double({ min: 10, max: 90, noNaN: true }),
        (insets, high) => {
          // prettier-ignore
          const tier = newTier('t', { kind: 'round', diameterMm: 200 }, 'round-20', 1, high);
          tier.layers[0] = { ...newLayer(high), otherId: 'mousse', insets };
          const placed = placeInsets(tier, 0, null);
          placed.forEach(({ fromMm, toMm }, i) => {
            expect(fromMm).toBeGreaterThanOrEqual(placed[i - 1]?.toMm ?? 0);
            expect(toMm).toBeLessThanOrEqual(high + 1e-9);
          });
          const ml = planPourings(tier, 0, placed, null).reduce((sum, one) => sum + one.ml, 0);
          const inside = placed.reduce((sum, one) => sum + (areaMm2(one.outline) * (one.toMm - one.fromMm)) / 1000, 0); // prettier-ignore
          expect(ml).toBeCloseTo((areaMm2(tier.outline) * high) / 1000 - inside, 5);
        },
      ),
      { numRuns: 60, seed: 9 },
    );
  });
  it('is made, bought and declared: a jelly, a crisp disc, and a disc of its own sponge', () => {
    const build = built((b) => {
      const tier = b.tiers[0]!;
      setMould(tier, { tinId: 'mousse-ring-20', order: 'upright', setIn: 'fridge' }, pantry);
      tier.layers[1]!.insets = ['praline-crisp', 'fruit-jelly', null].reduce<Tier['layers'][number]['insets']>((all, id) => [...all, newInset(all, id, 5)], []); // prettier-ignore
    });
    const plan = planBuild(build, pantry);
    if (!plan.steps.ok || !plan.ingredients.ok) throw new Error('no plan');
    const all = withInsets(othersOf(build));
    expect(all.map(({ row }) => row.form)).toEqual(['crisp disc', 'mousse', 'biscuit', 'mousse']);
    expect(plan.allergens).toEqual(expect.arrayContaining(['tree nuts', 'milk', 'eggs']));
    const names = plan.ingredients.value.map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['raspberries', 'crisp wafer flakes']));
    const keys = plan.steps.value.map(({ key }) => key);
    const first = keys.indexOf('tier-1/first');
    for (const other of all.slice(0, 3)) {
      const made = keys.findIndex((key) => key.endsWith(other.placed!.inset.id));
      expect(made, other.row.name).toBeGreaterThanOrEqual(0);
      expect(made).toBeLessThan(first);
    }
    // the cream is made when it is its turn
    expect(keys.findIndex((key) => key.endsWith('/mix') && key.includes('/other/'))).toBeGreaterThan(first); // prettier-ignore
    // what only sets does not thaw
    expect(keys).not.toContain('tier-1/thaw');
  });
});

describe('freezing through', () => {
  it('has Plank’s factors of slab, rod and cube', () => {
    expect(plankFactors(1, 1).surface).toBeCloseTo(1 / 6, 9);
    expect(plankFactors(1, 1).inside).toBeCloseTo(1 / 24, 9);
    const slab = plankFactors(1e4, 1e4);
    expect(slab.surface).toBeCloseTo(1 / 2, 3);
    expect(slab.inside).toBeCloseTo(1 / 8, 3);
    const rod = plankFactors(1, 1e4);
    expect(rod.surface).toBeCloseTo(1 / 4, 3);
    expect(rod.inside).toBeCloseTo(1 / 16, 3);
    // whichever way round
    expect(plankFactors(2, 5)).toEqual(plankFactors(5, 2));
  });
  it('takes a night for a cake, longer the thicker, wetter or warmer the freezer is, and thaws over a night', () => {
    const mass = { outline: { kind: 'round' as const, diameterMm: 180 }, heightMm: 45, densityGPerMl: 0.6 }; // prettier-ignore
    const kitchen = startingKitchen;
    const minutes = freezeThroughMin(mass, 0.55, 21, kitchen)!;
    expect(minutes / 60).toBeGreaterThan(5);
    expect(minutes / 60).toBeLessThan(14);
    expect(freezeThroughMin({ ...mass, heightMm: 70 }, 0.55, 21, kitchen)!).toBeGreaterThan(1.3 * minutes); // prettier-ignore
    expect(freezeThroughMin(mass, 0.7, 21, kitchen)!).toBeGreaterThan(minutes);
    expect(freezeThroughMin(mass, 0.55, 21, { ...kitchen, freezerC: -10 })!).toBeGreaterThan(1.4 * minutes); // prettier-ignore
    expect(freezeThroughMin(mass, 0.55, 21, { ...kitchen, freezerC: -3 })).toBeNull();
    const thaw = thawThroughMin(mass, 0.55, kitchen)!;
    expect(thaw / 60).toBeGreaterThan(6);
    expect(thaw / 60).toBeLessThan(16);
    expect(thawThroughMin(mass, 0.55, { ...kitchen, fridgeC: -4 })).toBeNull();
  });
});

describe('gelatine of another grade', () => {
  it('sets as firm in other grams, there and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.integer({ min: 80, max: 300 }),
        fc.integer({ min: 80, max: 300 }),
        (g, a, b) => {
          expect(bloomGrams(bloomGrams(g, a, b), b, a)).toBeCloseTo(g, 9);
          if (a > b) expect(bloomGrams(g, a, b)).toBeGreaterThan(g);
        },
      ),
      { numRuns: 40, seed: 2 },
    );
    expect(bloomGrams(10, 200, 128)).toBeCloseTo(12.5, 9);
  });
  it('counts for what it is worth at 200 bloom', () => {
    const recipe = findRow(pantry, 'recipes', 'recipe-mousse');
    const weaker = { foods: pantry.foods.map((food) => (food.id === 'gelatine' ? { ...food, bloom: 128 } : food)) }; // prettier-ignore
    expect(gelatineGPerKg(recipe, weaker)).toBeCloseTo(0.8 * gelatineGPerKg(recipe, pantry), 9);
  });
});
