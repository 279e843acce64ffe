import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bakeFromStock,
  goodUntil,
  leftFor,
  leftOf,
  mergeRows,
  misfitOf,
  missingLayers,
  newBench,
  newBuild,
  planBuild,
  plannedByOthers,
  readBuildFile,
  startingPantry,
  stockToCount,
  takeLayers,
  takenOf,
  withTaken,
  writeBuildFile,
  type Build,
  type Pantry,
  type Plan,
  type Stock,
} from '../src/index.ts';
import { stepsOf, tasksOf, placedOf, placeOf } from './work-kit.ts';

/* Layers baked weeks before and bowls made ahead: taken out, thawed, counted off. */

const layers: Stock = {
  id: 'six-rounds',
  name: 'Chocolate rounds',
  source: 'own',
  ranges: {},
  madeOfId: 'oil-chocolate',
  layer: { outline: { kind: 'round', diameterMm: 200 }, heightMm: 25 },
  amount: 6,
  keptIn: 'freezer',
  madeOn: '2027-05-03',
  taken: [],
};
const bowl: Stock = {
  ...layers,
  id: 'bowl-ahead',
  name: 'Buttercream of May',
  madeOfId: 'buttercream',
  layer: null,
  amount: 430,
};
const pantryWith = (...stock: Stock[]): Pantry => {
  const own = startingPantry();
  const [first] = own.sponges;
  return {
    ...own,
    stock: stock.map((row) =>
      row.layer && row.madeOfId === 'oil-chocolate' ? { ...row, madeOfId: first!.id } : row,
    ),
  };
};
const spongeId = startingPantry().sponges[0]!.id;
const built = (change: (build: Build) => void = () => undefined): Build => {
  const build = newBuild('stock', 'Stock', '2027-05-15T09:30:00Z');
  build.brief.serveAt = '2027-06-19T16:00';
  build.tiers[0]!.spongeId = spongeId;
  change(build);
  return build;
};
const frozen = built((build) => void (build.tiers[0]!.stockId = layers.id));
const cautionsOf = (plan: Plan): string[] =>
  plan.cautions.filter(({ id }) => id.includes('stock')).map(({ id }) => id);

describe('what is left of what was put away', () => {
  it('is what other cakes did not take; a cake that asks twice counts once', () => {
    const once = withTaken(layers, 'a', 4);
    expect([leftOf(once), leftFor(once, 'a'), leftFor(once, 'b')]).toEqual([2, 6, 2]);
    expect([takenOf(layers), takenOf(withTaken(once, 'b', 1))]).toEqual([0, 5]);
    expect(withTaken(once, 'a', 4)).toEqual(once);
    expect(withTaken(once, 'a', 0)).toEqual(layers);
    expect(leftOf(withTaken(once, 'b', 9))).toBe(0);
  });
  it('never comes to more than was put away, nor below none, whoever takes and gives back', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ who: fc.constantFrom('a', 'b', 'c'), n: fc.nat(8) })),
        (turns) => {
          const end = turns.reduce((row, { who, n }) => withTaken(row, who, n), layers);
          const last = new Map(turns.map(({ who, n }) => [who, n]));
          const sum = [...last.values()].reduce((all, n) => all + n, 0);
          expect(leftOf(end)).toBe(Math.max(0, 6 - sum));
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });
  it('is good for as long as it usually keeps where it lies', () => {
    const at = startingPantry();
    expect(goodUntil(layers, at)).toBe('2027-08-01');
    expect(goodUntil({ ...layers, keptIn: 'fridge' }, at)).toBe('2027-05-05');
    expect(goodUntil({ ...bowl, keptIn: 'fridge' }, at)).toBe('2027-05-17');
    expect(goodUntil({ ...bowl, madeOfId: 'nothing' }, at)).toBeNull();
  });
});

describe('a tier stacked from layers put away', () => {
  const pantry = pantryWith(layers);
  const plan = planBuild(frozen, pantry);
  const baked = planBuild(built(), pantry);
  const steps = stepsOf(plan);
  it('is not mixed, baked or bought, and stands as one that is', () => {
    const kinds = steps.map(({ kind }) => kind);
    for (const kind of ['bake', 'line tin', 'fill tin', 'turn out', 'split'] as const)
      expect(kinds, kind).not.toContain(kind);
    expect(steps.some(({ key }) => key === 'tier-1/mix' || key === 'tier-1/weigh')).toBe(false);
    expect(plan.section.heightMm).toBeCloseTo(baked.section.heightMm, 6);
    if (!plan.ingredients.ok || !baked.ingredients.ok) throw new Error('no ingredients');
    const flour = (of: typeof plan.ingredients.value): number =>
      of.filter(({ name }) => name.includes('flour')).reduce((all, { massG }) => all + massG, 0);
    expect(flour(baked.ingredients.value)).toBeGreaterThan(100);
    expect(flour(plan.ingredients.value)).toBe(0);
  });
  it('weighs what its layers weigh, baked or thawed', () => {
    const [thawed, fresh] = [plan, baked].map(({ tiers }) => tiers[0]!.layersG!);
    thawed!.forEach((g, i) => expect(g).toBeCloseTo(fresh![i]!, 0));
  });
  it('still says what it holds', () => {
    expect(plan.allergens).toEqual(baked.allergens);
    expect(plan.allergens).toContain('gluten cereals');
  });
  it('is thawed a night in the fridge before it is stacked, and not for longer than it keeps', () => {
    const out = steps[placeOf(steps, 'tier-1/stock')]!;
    expect(out.amounts[0]!.value).toBe(4);
    expect(out.timer!.minutes).toBe(480);
    expect(out.stock).toEqual({ rowId: layers.id, amount: 4 });
    const tasks = tasksOf(frozen, plan);
    const placed = placedOf(frozen, tasks);
    const at = (key: string) => {
      const task = tasks.find(({ stepKeys }) => stepKeys.includes(key))!;
      return placed.find(({ id }) => id === task.id)!;
    };
    const waits = at('tier-1/first').startMin - at('tier-1/stock').startMin;
    expect(waits).toBeGreaterThanOrEqual(480);
    expect(waits).toBeLessThanOrEqual(480 + 2 * 1440 + 60);
  });
  it('is cut to size, cold, where what lies there is larger or thicker', () => {
    expect(steps.some(({ key }) => key === 'tier-1/stock-cut')).toBe(false);
    const large = {
      ...layers,
      layer: { ...layers.layer!, outline: { kind: 'round' as const, diameterMm: 240 } },
    };
    const cut = stepsOf(planBuild(frozen, pantryWith(large)));
    expect(placeOf(cut, 'tier-1/stock-cut')).toBeLessThan(placeOf(cut, 'tier-1/first'));
    const thick = { ...layers, layer: { ...layers.layer!, heightMm: 30 } };
    expect(
      stepsOf(planBuild(frozen, pantryWith(thick)))[placeOf(cut, 'tier-1/stock-cut')]!.lead!.text,
    ).toContain('level');
  });
  it('says what does not reach, does not fit, or is too old', () => {
    expect(cautionsOf(plan)).toEqual([]);
    const of = (change: Partial<Stock>): string[] =>
      cautionsOf(planBuild(frozen, pantryWith({ ...layers, ...change })));
    expect(of({ amount: 3 })).toEqual(['tier-1/stock/too few']);
    expect(of({ taken: [{ buildId: 'other', amount: 3 }] })).toEqual(['tier-1/stock/too few']);
    // what this cake has taken itself is still there for it
    expect(of({ taken: [{ buildId: 'stock', amount: 4 }] })).toEqual([]);
    expect(of({ madeOfId: startingPantry().sponges[1]!.id })).toEqual(['tier-1/stock/sponge']);
    expect(of({ layer: { outline: { kind: 'round', diameterMm: 180 }, heightMm: 25 } })).toEqual([
      'tier-1/stock/small',
    ]);
    expect(of({ layer: { ...layers.layer!, heightMm: 18 } })).toEqual(['tier-1/stock/thin']);
    expect(of({ madeOn: '2027-02-01' })).toEqual(['tier-1/stock/age']);
    expect(of({ layer: null, madeOfId: 'buttercream' })).toEqual(['tier-1/stock/no layers']);
  });
  it('counts together what two tiers take of one', () => {
    const two = built((build) => {
      const [tier] = build.tiers;
      tier!.stockId = layers.id;
      build.tiers.push({ ...structuredClone(tier!), id: 'tier-2', name: 'Upper' });
    });
    expect(cautionsOf(planBuild(two, pantry))).toContain('tier-1/stock/too few');
    expect(cautionsOf(planBuild(two, pantryWith({ ...layers, amount: 8 })))).toEqual([]);
  });
  it('that is gone from the pantry is said, and the rest of the plan stands', () => {
    const gone = planBuild(frozen, pantryWith());
    expect(gone.tiers[0]!.bake.ok).toBe(false);
    expect(gone.bowls.ok).toBe(true);
  });
  it('takes the sponge that the layers are of', () => {
    const tier = structuredClone(built().tiers[0]!);
    tier.spongeId = 'another';
    takeLayers(tier, { ...layers, madeOfId: 'what-it-is' });
    expect([tier.stockId, tier.spongeId]).toEqual([layers.id, 'what-it-is']);
    takeLayers(tier, null);
    expect([tier.stockId, tier.spongeId]).toEqual([null, 'what-it-is']);
  });
  it('is compared in every measure', () => {
    const [tier] = frozen.tiers;
    const row = pantry.stock[0]!;
    expect(misfitOf(tier!, row)).toEqual({ otherSponge: false, tooSmall: false, thinnerMm: 0 });
    expect(misfitOf(tier!, { ...row, layer: { ...row.layer!, heightMm: 20 } })!.thinnerMm).toBe(5);
    expect(misfitOf(tier!, bowl)).toBeNull();
    expect(bakeFromStock(tier!, pantry.sponges[0]!, row).stock).toMatchObject({
      count: 4,
      cutAcross: false,
      cutDown: false,
    });
  });
});

describe('a bowl put away', () => {
  const using = built((build) => {
    build.fromStock = [{ spreadId: 'buttercream', stockId: bowl.id }];
  });
  const without = planBuild(built(), pantryWith());
  const wantedG = without.batches.find(({ id }) => id === 'buttercream')!.makeG;
  it('is used up first, and only the rest is made', () => {
    const plan = planBuild(using, pantryWith(bowl));
    const batch = plan.batches.find(({ id }) => id === 'buttercream')!;
    expect(batch.stock!.massG).toBe(430);
    expect(batch.makeG).toBeCloseTo(430 + batch.mixes * batch.eachMixG, 9);
    expect(batch.makeG).toBeGreaterThanOrEqual(batch.needG - 1e-9);
    expect(Math.abs(batch.makeG - wantedG)).toBeLessThanOrEqual(5);
    if (!plan.bowls.ok) throw new Error('no bowls');
    const inBowls = plan.bowls.value
      .filter(({ batchId }) => batchId === 'buttercream')
      .reduce((sum, { makeG }) => sum + makeG, 0);
    expect(inBowls).toBeCloseTo(batch.makeG, 0);
    const steps = stepsOf(plan);
    const made = steps[placeOf(steps, 'bowl/buttercream/make')]!;
    expect(made.record!.planned).toBe(batch.mixes * batch.eachMixG);
    expect(placeOf(steps, 'bowl/buttercream/stock')).toBeLessThan(placeOf(steps, 'tier-1/first'));
  });
  it('that is enough leaves nothing to make, to weigh or to buy', () => {
    const plan = planBuild(using, pantryWith({ ...bowl, amount: 5000 }));
    const batch = plan.batches.find(({ id }) => id === 'buttercream')!;
    expect([batch.mixes, batch.holds.length]).toEqual([0, 0]);
    expect(batch.stock!.massG).toBe(batch.makeG);
    const steps = stepsOf(plan);
    expect(steps.some(({ key }) => key === 'bowl/buttercream/make')).toBe(false);
    if (!plan.ingredients.ok || !without.ingredients.ok) throw new Error('no ingredients');
    const sugar = (of: typeof plan.ingredients.value): number =>
      of.find(({ foodId }) => foodId === 'icing-sugar')?.massG ?? 0;
    expect(sugar(without.ingredients.value)).toBeGreaterThan(100);
    expect(sugar(plan.ingredients.value)).toBe(0);
    // out of the freezer, warm, smooth, and only then spread
    const order = ['stock', 'stock-warm', 'stock-beat'].map((what) =>
      placeOf(steps, `bowl/buttercream/${what}`),
    );
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(plan.cautions.some(({ id }) => id === 'bowl/buttercream/small')).toBe(false);
  });
  it('gives each of its grams once, where two batches want it', () => {
    const apart = built((build) => {
      build.fromStock = [{ spreadId: 'buttercream', stockId: bowl.id }];
      build.mixedApart = ['buttercream'];
      build.tiers[0]!.coat.bands = [
        { tint: 'blue', share: 1 },
        { tint: 'red', share: 1 },
      ];
    });
    const { batches } = planBuild(apart, pantryWith({ ...bowl, amount: 300 }));
    const own = batches.filter(({ spreadId }) => spreadId === 'buttercream');
    expect(own.length).toBeGreaterThan(1);
    expect(own.reduce((sum, { stock }) => sum + (stock?.massG ?? 0), 0)).toBe(300);
  });
  it('of something else is not taken, and says so', () => {
    const plan = planBuild(using, pantryWith({ ...bowl, madeOfId: 'caramel' }));
    expect(plan.batches.every(({ stock }) => stock === null)).toBe(true);
    expect(cautionsOf(plan)).toEqual([`stock/${bowl.id}`]);
  });
});

describe('what was put away', () => {
  const priceOf = (build: Build, pantry: Pantry) => planBuild(build, pantry).price!;
  it('costs what it was made of, and no hands', () => {
    const pantry = pantryWith(layers);
    const [baked, thawed] = [priceOf(built(), pantry), priceOf(frozen, pantry)];
    expect(baked.putAway).toBe(0);
    expect(thawed.putAway).toBeGreaterThan(0);
    expect(thawed.ingredients).toBeLessThan(baked.ingredients);
    // the layers cost nearly what they cost baked today; scraps, domes and whole eggs make the rest
    const whole = thawed.ingredients + thawed.putAway;
    expect(whole).toBeGreaterThan(0.75 * baked.ingredients);
    expect(whole).toBeLessThan(1.02 * baked.ingredients);
    expect(thawed.total).toBeCloseTo(whole + thawed.board + thawed.labour, 6);
    expect(thawed.labour).toBeLessThan(baked.labour);
  });
  it('as a bowl is paid by the gram, with what is made beside it', () => {
    const own = built((build) => {
      build.fromStock = [{ spreadId: 'buttercream', stockId: bowl.id }];
    });
    const pantry = pantryWith(bowl);
    const [made, taken] = [priceOf(built(), pantry), priceOf(own, pantry)];
    expect(taken.putAway).toBeGreaterThan(0);
    expect(taken.ingredients + taken.putAway).toBeCloseTo(made.ingredients, 0);
    // twice as much put away costs twice as much
    const half = priceOf(own, pantryWith({ ...bowl, amount: bowl.amount / 2 }));
    expect(half.putAway).toBeCloseTo(taken.putAway / 2, 1);
  });
});

describe('what other cakes count on', () => {
  const other = (id: string, change: (build: Build) => void): Build =>
    built((build) => {
      Object.assign(build, { id, name: id });
      change(build);
    });
  it('is named with its layers until it is taken or the cake is finished', () => {
    const theirs = other('theirs', (build) => void (build.tiers[0]!.stockId = layers.id));
    const finished = other('finished', (build) => {
      build.tiers[0]!.stockId = layers.id;
      build.bench.finished = { at: '2027-06-01T10:00:00Z', moves: [] };
    });
    const all = [frozen, theirs, finished, other('none', () => undefined)];
    expect(plannedByOthers(layers, all, frozen.id)).toEqual([
      { buildId: 'theirs', name: 'theirs', layers: 4 },
    ]);
    const part = withTaken(layers, 'theirs', 3);
    expect(plannedByOthers(part, all, frozen.id)).toMatchObject([{ layers: 1 }]);
    expect(plannedByOthers(withTaken(layers, 'theirs', 4), all, frozen.id)).toEqual([]);
  });
  it('is missing by what all want together over what is left', () => {
    const others = [{ buildId: 'b', name: 'b', layers: 4 }];
    expect(missingLayers(layers, frozen, others)).toBe(2);
    expect(missingLayers({ ...layers, amount: 8 }, frozen, others)).toBe(0);
    expect(missingLayers(layers, frozen, [])).toBe(0);
    // what the other has taken already is gone from the row, and no longer counted on
    expect(missingLayers(withTaken(layers, 'b', 4), frozen, [])).toBe(2);
  });
  it('of a bowl is said without grams: it takes what it needs', () => {
    const theirs = other('theirs', (build) => {
      build.fromStock = [{ spreadId: 'buttercream', stockId: bowl.id }];
    });
    expect(plannedByOthers(bowl, [theirs], 'own')).toEqual([
      { buildId: 'theirs', name: 'theirs', layers: null },
    ]);
    expect(plannedByOthers(withTaken(bowl, 'theirs', 80), [theirs], 'own')).toEqual([]);
    expect(missingLayers(bowl, frozen, [{ buildId: 'b', name: 'b', layers: null }])).toBe(0);
  });
});

describe('counting off', () => {
  const pantry = pantryWith(layers);
  const steps = stepsOf(planBuild(frozen, pantry));
  const bench = newBench();
  const counted = (done: string[], of = bench, stock = pantry.stock): Stock[] =>
    stockToCount('stock', steps, new Set(done), of, stock);
  it('follows the tick, and goes back with it', () => {
    const [taken] = counted(['tier-1/stock']);
    expect(taken!.taken).toEqual([{ buildId: 'stock', amount: 4 }]);
    expect(counted(['tier-1/stock'], bench, [taken!])).toEqual([]);
    expect(counted([], bench, [taken!])[0]!.taken).toEqual([]);
    expect(counted([])).toEqual([]);
  });
  it('takes what was counted in place of what was planned', () => {
    const noted = {
      ...bench,
      notes: [
        {
          id: 'n',
          stepKey: 'tier-1/stock',
          at: '2027-06-18T09:00:00Z',
          kind: 'count' as const,
          value: 5,
          text: '',
          planned: null,
        },
      ],
    };
    expect(counted(['tier-1/stock'], noted)[0]!.taken[0]!.amount).toBe(5);
  });
});

describe('a file with something put away', () => {
  it('carries the row; another kitchen bakes it, for its freezer is another', () => {
    const pantry = pantryWith(layers, bowl);
    const both = { ...frozen, fromStock: [{ spreadId: 'buttercream', stockId: bowl.id }] };
    const read = readBuildFile(writeBuildFile(both, pantry));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.rows.stock).toEqual(pantry.stock);
    const there = mergeRows(read.build, read.rows, startingPantry());
    expect(there.build.tiers[0]!.stockId).toBeNull();
    expect(there.build.fromStock).toEqual([]);
    expect(there.added.stock).toEqual([]);
    const home = mergeRows(read.build, read.rows, pantry);
    expect(home.build.tiers[0]!.stockId).toBe(layers.id);
    expect(home.build.fromStock).toEqual(both.fromStock);
  });
  it('of half a layer, or of a day that is none, is refused at the row', () => {
    const file = JSON.parse(writeBuildFile(frozen, pantryWith(layers))) as { pantry: object };
    const problemsOf = (change: object): string => {
      const read = readBuildFile(
        JSON.stringify({ ...file, pantry: { ...file.pantry, stock: [{ ...layers, ...change }] } }),
      );
      return read.ok ? '' : read.problems.map(({ path }) => path).join();
    };
    expect(problemsOf({})).toBe('');
    expect(problemsOf({ amount: 2.5 })).toContain('stock[0]');
    expect(problemsOf({ madeOn: 'in May' })).toContain('stock[0].madeOn');
    expect(problemsOf({ amount: 0 })).toContain('stock[0].amount');
  });
});
