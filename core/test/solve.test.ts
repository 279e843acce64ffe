import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  crownMm,
  mostBatterMl,
  tinOutlineAt,
  tinVolumeMl,
  crownShare,
  compareLevelling,
  fitAtOnce,
  inchesAndOunces,
  leftoverUses,
  metric,
  newBuild,
  newTier,
  offcutUses,
  say,
  type UnitSystem,
  orderByWeight,
  planBuild,
  planLoads,
  servingsByWeight,
  solveAsBaked,
  solveHeight,
  splitBowl,
  stepOf,
  takeWay,
  type Build,
  type HeightAnswer,
  type HeightQuestion,
  type Kitchen,
  newInclusion,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const fresh = (): Build => newBuild('b', 'Test', '2027-05-03T09:30:00Z');
const sponge = (id: string) => pantry.sponges.find((s) => s.id === id)!;
const spread = (id: string) => pantry.spreads.find((s) => s.id === id)!;
const tin = (id: string) => pantry.tins.find((t) => t.id === id)!;
const ask = (heightMm: number, more: Partial<HeightQuestion> = {}): HeightAnswer =>
  solveHeight({
    heightMm,
    tier: fresh().tiers[0]!,
    layerMm: [15, 40],
    gapMm: [4, 12],
    fillingShare: 0.25,
    stepMm: 1,
    maxLayers: 8,
    sponge: sponge('butter'),
    spread: spread('buttercream'),
    coatSpread: spread('buttercream'),
    tins: pantry.tins,
    kitchen: pantry.kitchen,
    onlyOwned: true,
    ...more,
  });

describe('the height solver', () => {
  it('reaches exactly 14 cm from the tins that are there, as the plan then shows', () => {
    for (const system of [metric, inchesAndOunces]) {
      const answer = ask(140, { stepMm: stepOf('thickness', system) });
      expect(answer.exact).toBe(true);
      expect(answer.problem).toBeNull();
      for (const way of answer.ways.filter((w) => Math.abs(w.missMm) < 0.05).slice(0, 6)) {
        const build = fresh();
        takeWay(build.tiers[0]!, way);
        const plan = planBuild(build, pantry);
        expect(plan.tally.heightMm).toBeCloseTo(140, 1);
        expect(plan.tiers[0]!.bake.ok && plan.tiers[0]!.bake.value.batterG).toBeCloseTo(
          way.batterG,
          4,
        );
        expect(plan.cautions.filter((c) => c.severity === 'stop' && c.stage === 'bake')).toEqual(
          [],
        );
      }
    }
  });
  it('agrees with the plan when fillings creep, and whatever is done with the domes', () => {
    for (const levelling of ['cut all', 'cut none', 'cut none, top inverted'] as const) {
      const tier = { ...fresh().tiers[0]!, levelling };
      const answer = ask(110, { tier, spread: spread('cream') });
      const way = answer.ways.find((w) => Math.abs(w.missMm) < 0.05)!;
      const build = fresh();
      build.tiers[0] = JSON.parse(JSON.stringify(tier)) as typeof tier;
      for (const gap of build.tiers[0].gaps) gap.spreadId = 'cream';
      takeWay(build.tiers[0], way);
      expect(planBuild(build, pantry).tally.heightMm).toBeCloseTo(110, 0);
    }
  });
  it('keeps to the ranges, the sponge, the tins and the oven', () => {
    fc.assert(
      fc.property(double(40, 300), double(0.05, 0.5), (heightMm, fillingShare) => {
        for (const way of ask(heightMm, { fillingShare }).ways) {
          expect(way.layerMm).toBeGreaterThanOrEqual(15 - 1e-9);
          expect(way.layerMm).toBeLessThanOrEqual(40 + 1e-9);
          if (way.layers > 1) {
            expect(way.gapMm).toBeGreaterThanOrEqual(4 - 1e-9);
            expect(way.gapMm).toBeLessThanOrEqual(12 + 1e-9);
          }
          expect(way.layers).toBe(way.cakes * way.slices);
          expect(way.edgeMm).toBeLessThanOrEqual(tin(way.tinId).depthMm);
          expect(tin(way.tinId).owned).toBeGreaterThan(0);
          expect(way.wasteG).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 25 },
    );
  });
  it('marks just those ways that no other beats', () => {
    const { ways } = ask(120);
    const counts = ways.map((w) => [
      Math.max(0.05, Math.abs(w.missMm)),
      Math.abs(w.fillingShare - 0.25),
      w.batterG,
      w.wasteG,
      w.loads,
      w.cakes,
    ]);
    ways.forEach((way, i) => {
      const beaten = counts.some(
        (c) =>
          c.every((x, k) => x <= counts[i]![k]! + 1e-9) &&
          c.some((x, k) => x < counts[i]![k]! - 1e-9),
      );
      expect(way.best).toBe(!beaten);
    });
    expect(ways.some((w) => w.best)).toBe(true);
  });
  it('gives the nearest and says what it misses when nothing reaches', () => {
    const low = ask(15);
    expect(low.exact).toBe(false);
    expect(low.nearest!.missMm).toBeGreaterThan(0);
    expect(low.problem).toContain('stand higher');
    const high = ask(600);
    expect(high.nearest!.missMm).toBeLessThan(0);
    expect(high.problem).toContain('more layers');
  });
  it('says why when there is no tin, or none that fits the oven', () => {
    const wide = { ...fresh().tiers[0]!, outline: { kind: 'round' as const, diameterMm: 500 } };
    expect(ask(100, { tier: wide }).problem).toContain('None of your tins');
    const small: Kitchen = { ...pantry.kitchen, shelfWideMm: 150, shelfDeepMm: 150 };
    expect(ask(100, { kitchen: small }).problem).toContain('oven');
    expect(ask(100, { tins: [] }).nearest).toBeNull();
  });
  it('tells its progress, from nothing to all', () => {
    const seen: number[] = [];
    solveHeight({ ...question(), heightMm: 140 }, (share) => seen.push(share));
    expect(seen[0]).toBe(0);
    expect(seen.at(-1)).toBe(1);
    expect(seen).toEqual([...seen].sort((a, b) => a - b));
  });
  const question = (): HeightQuestion => ({
    heightMm: 140,
    tier: fresh().tiers[0]!,
    layerMm: [15, 40],
    gapMm: [4, 12],
    fillingShare: 0.25,
    stepMm: 1,
    maxLayers: 8,
    sponge: sponge('butter'),
    spread: spread('buttercream'),
    coatSpread: spread('buttercream'),
    tins: pantry.tins,
    kitchen: pantry.kitchen,
    onlyOwned: true,
  });
});

describe('domes', () => {
  it('left on cost their cap in filling and their height, and save the offcuts', () => {
    const costs = compareLevelling(fresh(), 'tier-1', pantry);
    expect(costs.map((c) => c.levelling)).toHaveLength(4);
    const [cut, , none, inverted] = costs;
    expect(none!.offcutsG).toBeLessThan(cut!.offcutsG);
    expect(none!.heightMm).toBeGreaterThan(cut!.heightMm);
    // two cakes: one dome inside, one on top for the coat; inverted, both inside
    const R = 100;
    const d = 0.12 * R * crownShare(2 * 25 + 0.7);
    const voidMl = (Math.PI * R * R * d) / 1000 - (Math.PI * d * (3 * R * R + d * d)) / 6000;
    expect(none!.fillingG - cut!.fillingG).toBeCloseTo(voidMl * 0.95, 3);
    expect(inverted!.fillingG - cut!.fillingG).toBeCloseTo(2 * voidMl * 0.95, 3);
    // the cap is nearly half of its cylinder, so the void is nearly the cap
    expect(voidMl / ((Math.PI * d * (3 * R * R + d * d)) / 6000)).toBeCloseTo(1, 1);
    expect(none!.heightMm - cut!.heightMm).toBeCloseTo(2 * d, 6);
  });
  it('and trimmings are told what they can serve for', () => {
    const told = (system: UnitSystem): string =>
      offcutUses(300, 100, sponge('mud'))
        .map((use) => say(use.what, system))
        .join();
    expect(told(metric)).toMatch(/^5 glasses.*540 g of modelling paste.*carved/);
    // nothing metric for who thinks in ounces
    expect(told(inchesAndOunces)).toMatch(/glasses.* oz of modelling paste.*carved/);
    expect(offcutUses(5, 5, sponge('butter'))).toEqual([]);
  });
});

describe('oven loads', () => {
  const baking = (build: Build) => {
    const plan = planBuild(structuredClone(build), pantry);
    return build.tiers.map((tier, i) => {
      const { bake } = plan.tiers[i]!;
      if (!bake.ok) throw new Error(bake.problem);
      return {
        tierId: tier.id,
        sponge: sponge(tier.spongeId),
        tin: tin(tier.tinId),
        bake: bake.value,
      };
    });
  };
  it('hold every cake once, within the shelf, none on another', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10 }),
        fc.integer({ min: 1, max: 3 }),
        (layers, shelves) => {
          const build = fresh();
          build.tiers = ['round-20', 'round-15', 'loaf-23'].map((tinId, i) => {
            const tier = newTier(`tier-${i}`, tin(tinId).outline, tinId, layers, 25);
            tier.slicesPerCake = 1;
            return tier;
          });
          const kitchen = { ...pantry.kitchen, shelves };
          const { loads, tooLarge } = planLoads(baking(build), kitchen);
          expect(tooLarge).toEqual([]);
          const all = loads.flatMap((l) => l.shelves.flat());
          expect(new Set(all.map((p) => `${p.tierId}/${p.cake}`)).size).toBe(3 * layers);
          for (const load of loads)
            for (const shelf of load.shelves)
              shelf.forEach((a, i) => {
                const box = (p: typeof a) => {
                  const t = p.outline as {
                    diameterMm?: number;
                    widthMm?: number;
                    depthMm?: number;
                  };
                  const [w, d] = [t.diameterMm ?? t.widthMm!, t.diameterMm ?? t.depthMm!];
                  return p.turned ? [d, w] : [w, d];
                };
                const [w, d] = box(a);
                expect(a.x - w! / 2).toBeGreaterThanOrEqual(-1e-6);
                expect(a.x + w! / 2).toBeLessThanOrEqual(kitchen.shelfWideMm + 1e-6);
                expect(a.y + d! / 2).toBeLessThanOrEqual(kitchen.shelfDeepMm + 1e-6);
                for (const b of shelf.slice(i + 1)) {
                  const [bw, bd] = box(b);
                  // rounds stand staggered; none overlaps
                  const rounds = [a, b].every((p) => p.outline.kind === 'round');
                  const reach = (w! + bw!) / 2 - 1e-6;
                  const corner = rounds ? Math.hypot(a.x - b.x, a.y - b.y) >= reach : false;
                  const near = a.outline.kind === b.outline.kind ? 0 : 0.2 * Math.min(w!, bw!);
                  const apart =
                    corner ||
                    Math.abs(a.x - b.x) >= (w! + bw!) / 2 - 1e-6 - near ||
                    Math.abs(a.y - b.y) >= (d! + bd!) / 2 - 1e-6 - near;
                  expect(apart).toBe(true);
                }
              });
        },
      ),
      { numRuns: 25 },
    );
  });
  it('use no tin twice at once, and no more than are owned', () => {
    expect(fitAtOnce(tin('round-20'), 3, { ...pantry.kitchen, shelves: 2 })).toBe(3);
    expect(fitAtOnce(tin('round-20'), 9, pantry.kitchen)).toBe(2);
    const build = fresh();
    build.tiers[0] = newTier('tier-1', tin('round-28').outline, 'round-28', 3, 25);
    build.tiers[0].slicesPerCake = 1;
    expect(planLoads(baking(build), pantry.kitchen).loads).toHaveLength(3);
  });
  it('let batter wait for k - 1 bakes, and want it mixed again past its time', () => {
    const build = fresh();
    build.tiers[0] = {
      ...newTier('tier-1', tin('round-28').outline, 'round-28', 3, 25),
      slicesPerCake: 1,
    };
    build.tiers[0].spongeId = 'foam';
    const { loads } = planLoads(baking(build), pantry.kitchen);
    expect(loads[1]!.waitMin).toBeCloseTo(loads[0]!.minutes! + 10, 6);
    expect(loads[1]!.mixAgain).toEqual(['tier-1']);
    const { cautions } = planBuild(structuredClone(build), pantry);
    expect(cautions.map((c) => c.id)).toContain('tier-1/waits/2');
    build.tiers[0].spongeId = 'mud';
    expect(planLoads(baking(build), pantry.kitchen).loads[1]!.mixAgain).toEqual([]);
  });
  it('say which tin the oven does not take', () => {
    const build = fresh();
    const plan = planBuild(build, { ...pantry, kitchen: { ...pantry.kitchen, shelfDeepMm: 150 } });
    expect(plan.oven!.tooLarge[0]!.tin.id).toBe('round-20');
    expect(plan.cautions.find((c) => c.id === 'tier-1/oven')!.severity).toBe('stop');
  });
});

describe('the batter in hand', () => {
  it('shares out what is left when one tin has too much already', () => {
    const split = splitBowl(1500, [500, 500, 500], [620, null, null]);
    expect(split.perCakeG).toEqual([620, 440, 440]);
    expect(split.takeOutG).toEqual([120, 0, 0]);
    const close = splitBowl(1500, [500, 500, 500], [503, null, null]);
    expect(close.takeOutG).toEqual([0, 0, 0]);
  });
  it('is never more than there is, whatever was poured', () => {
    fc.assert(
      fc.property(
        double(0, 5000),
        fc.array(double(1, 1500), { minLength: 1, maxLength: 6 }),
        fc.array(fc.option(double(0, 800), { nil: null }), { maxLength: 6 }),
        (all, wanted, poured) => {
          const split = splitBowl(all, wanted, poured);
          const gone = wanted.reduce((sum, _, i) => sum + (poured[i] ?? 0), 0);
          const used = split.perCakeG.reduce((a, b) => a + b, 0);
          expect(used + split.leftG).toBeLessThanOrEqual(Math.max(all, gone) + 1e-6);
          expect(Math.min(...split.perCakeG, split.leftG, split.shortG)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
  it('left over goes into a spare tin or cupcakes, none of it lost', () => {
    const spare = pantry.tins.filter((t) => t.owned > 0);
    const uses = leftoverUses(400, sponge('butter'), spare, null, 20, 45);
    const into = uses[0]!;
    expect(into.tin).not.toBeNull();
    // never so full that it would run over once it has risen
    for (const each of pantry.sponges)
      for (const use of leftoverUses(3000, each, spare, null, 20, 45)) {
        if (!use.tin) continue;
        const crown = crownMm(
          tinOutlineAt(use.tin, use.bakesToMm),
          each.crownOverRadius * crownShare(use.bakesToMm),
        );
        expect(use.bakesToMm + crown).toBeLessThan(use.tin.depthMm + 10 + crown * 0.6 + 0.5);
        expect(mostBatterMl(use.tin, each) * each.rise).toBeLessThanOrEqual(
          tinVolumeMl(use.tin, use.tin.depthMm + 10),
        );
      }
    expect(into.bakesToMm / into.fillMm).toBeCloseTo(1.75, 1);
    const cakes = uses.at(-1)!;
    expect(cakes).toMatchObject({ tin: null, count: 8 });
    expect(cakes.count * 45 + cakes.restG).toBeCloseTo(400, 6);
    expect(leftoverUses(10, sponge('butter'), spare, null, 20, 45)).toEqual([]);
  });
  it('cold or with wet pieces in it bakes longer', () => {
    const minutes = (change: (b: Build) => void): number => {
      const build = fresh();
      change(build);
      const { bake } = planBuild(build, pantry).tiers[0]!;
      return bake.ok ? bake.value.cakes[0]!.window!.minutes : NaN;
    };
    const plain = minutes(() => undefined);
    const names = pantry.recipes
      .find((r) => r.id === 'recipe-butter')!
      .ingredients.map((i) => i.name);
    const cold = minutes((b) => (b.tiers[0]!.temps = names.map((name) => ({ name, tempC: 4 }))));
    expect(cold).toBeGreaterThan(plain * 1.03);
    const berries = {
      name: 'berries',
      foodId: null,
      gPerKg: 200,
      densityGPerMl: 0.95,
      allergens: [],
      waterShare: 0.85,
    };
    const wet = minutes(
      (b) => (b.tiers[0]!.inclusions = [{ ...newInclusion('pieces'), ...berries, tempC: 20 }]),
    );
    const frozen = minutes(
      (b) => (b.tiers[0]!.inclusions = [{ ...newInclusion('pieces'), ...berries, tempC: -18 }]),
    );
    expect(wet).toBeGreaterThan(plain);
    expect(frozen).toBeGreaterThan(wet * 1.03);
  });
});

describe('what came out of the oven', () => {
  it('is stacked again to the planned height, layers thinner and fillings thicker', () => {
    const build = fresh();
    build.tiers[0]!.asBaked = [
      { edgeMm: 48, acrossMm: 196 },
      { edgeMm: 53, acrossMm: null },
    ];
    expect(planBuild(build, pantry).cautions.map((c) => c.id)).toContain('tier-1/baked low/0');
    const again = solveAsBaked(build, 'tier-1', pantry);
    expect(again.misses).toBeNull();
    expect(again.heightMm).toBeCloseTo(again.plannedMm, 1);
    expect(again.tier.layers.map((l) => l.heightMm)).toEqual([
      expect.closeTo((48 - 1.4) / 2, 6),
      expect.closeTo((48 - 1.4) / 2, 6),
      25,
      25,
    ]);
    expect(again.tier.outline).toEqual({ kind: 'round', diameterMm: 196 });
    const plan = planBuild({ ...build, tiers: [again.tier] }, pantry);
    expect(plan.cautions.map((c) => c.id)).not.toContain('tier-1/baked low/0');
    const { bake } = plan.tiers[0]!;
    const cuts = bake.ok ? bake.value.cakes[0]!.cuts : [];
    expect(cuts.map((c) => c.atMm)).toEqual([
      expect.closeTo(48 - 0.7, 6),
      expect.closeTo((48 - 1.4) / 2, 6),
    ]);
  });
  it('too low for any filling to make up says so', () => {
    const build = fresh();
    build.tiers[0]!.asBaked = [
      { edgeMm: 20, acrossMm: null },
      { edgeMm: 20, acrossMm: null },
    ];
    const again = solveAsBaked(build, 'tier-1', pantry);
    expect(again.heightMm).toBeLessThan(again.plannedMm - 10);
    expect(again.misses).toContain('lower');
  });
  it('keeps its mass, whatever its height', () => {
    fc.assert(
      fc.property(double(15, 90), (edgeMm) => {
        const build = fresh();
        build.tiers[0]!.asBaked = [{ edgeMm, acrossMm: null }];
        const { bake } = planBuild(build, pantry).tiers[0]!;
        const c = bake.ok ? bake.value.cakes[0]! : null;
        expect(c!.layersG + c!.domeG + c!.trimG + c!.crumbsG).toBeCloseTo(c!.bakedG, 6);
      }),
      { numRuns: 30 },
    );
  });
});

describe('an order by weight', () => {
  it('is met by the layers, for one tier and for several', () => {
    fc.assert(
      fc.property(double(1500, 6000), fc.boolean(), (wanted, two) => {
        const build = fresh();
        if (two)
          build.tiers.push({ ...newTier('tier-2', tin('round-15').outline, 'round-15', 3, 25) });
        const order = orderByWeight(build, wanted, pantry)!;
        if (order.misses === null) expect(order.massG / wanted).toBeCloseTo(1, 2);
        else expect(order.misses).toMatch(/heavier|lighter/);
        const plan = planBuild(order.build, pantry);
        const board = pantry.boards.find((b) => b.id === build.boardId)!;
        expect(plan.tally.massG! - board.massG).toBeCloseTo(order.massG, 3);
      }),
      { numRuns: 12 },
    );
  });
  it('feeds a range, by the grams of a portion', () => {
    expect(servingsByWeight(3000, 'dessert')).toEqual([25, 33]);
    expect(servingsByWeight(3000, 'small')).toEqual([50, 60]);
  });
  it('that cannot be met says which way it misses', () => {
    expect(orderByWeight(fresh(), 60000, pantry)!.misses).toContain('lighter');
    expect(orderByWeight(fresh(), 300, pantry)!.misses).toContain('heavier');
  });
});
