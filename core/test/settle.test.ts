import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  metric,
  say,
  areaMm2,
  flushSetbackMm,
  holdsN,
  newBuild,
  newPieces,
  newGap,
  newLayer,
  pileCount,
  planBuild,
  planGaps,
  settle,
  soakRows,
  soakStyles,
  type Build,
  type Plan,
  type Spread,
  type TierPlan,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const spreadOf = (id: string): Spread => pantry.spreads.find((s) => s.id === id)!;
const fresh = (change: (build: Build) => void = () => undefined): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};
const planOf = (change: (build: Build) => void): Plan => planBuild(fresh(change), pantry);
const tierOf = (change: (build: Build) => void): TierPlan => planOf(change).tiers[0]!;
const gapsOf = (tier: TierPlan) => (tier.gaps.ok ? tier.gaps.value : []);

describe('a caution of a filling under load', () => {
  const soft = (setbackMm: number, heightMm = 9): Build => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    build.tiers[0]!.restG = 1500;
    for (const gap of build.tiers[0]!.gaps)
      Object.assign(gap, { spreadId: 'caramel', setbackMm, heightMm });
    return build;
  };
  const squeezes = (build: Build) =>
    planBuild(build, pantry).cautions.filter((c) => c.id.includes('/squeeze/'));
  it('clears once the setback is set and nothing bulges', () => {
    expect(squeezes(soft(0)).length).toBeGreaterThan(0);
    const flush = Math.max(...planBuild(soft(0), pantry).tiers[0]!.loads!.map((l) => l.flushMm));
    const kept = soft(Math.ceil(flush));
    expect(planBuild(kept, pantry).tiers[0]!.loads!.every((l) => l.bulgeMl < 0.5)).toBe(true);
    expect(squeezes(kept)).toEqual([]);
  });
  it('is no noise: never of half a millimetre, a twentieth, or “0 mm short”', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...pantry.spreads.filter((row) => row.canFill).map((row) => row.id)),
        fc.double({ min: 1, max: 15, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (spreadId, heightMm, setbackMm) => {
          const build = soft(setbackMm, heightMm);
          for (const gap of build.tiers[0]!.gaps) gap.spreadId = spreadId;
          const { loads } = planBuild(build, pantry).tiers[0]!;
          for (const caution of squeezes(build)) {
            const i = Number(caution.id.split('/').at(-1));
            const lost = heightMm - loads![i]!.settledMm;
            expect(lost).toBeGreaterThan(0.5);
            expect(lost / heightMm).toBeGreaterThan(0.05);
            expect(say(caution.todo, metric)).not.toMatch(/\b0 mm short/);
          }
        },
      ),
      { numRuns: 60, seed: 15 },
    );
  });
  it('is a stop where setback and dam leave no room', () => {
    const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
    Object.assign(build.tiers[0]!.gaps[0]!, { setbackMm: 60, damMm: 40 });
    expect(planBuild(build, pantry).cautions.map((c) => `${c.severity} ${c.id}`)).toContain(
      'stop tier-1/no room/0',
    );
  });
  it('says at the step how thick the spread itself is, and how it fills up round a dome', () => {
    const lead = (change: (build: Build) => void): string => {
      const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
      change(build);
      const { steps } = planBuild(build, pantry);
      const step = steps.ok
        ? steps.value.find(({ key }) => key === 'tier-1/fill/layer-2+layer-3')!
        : null;
      return say(step!.lead!, metric);
    };
    const domed = lead((b) => (b.tiers[0]!.levelling = 'cut none'));
    expect(domed).toMatch(/fill up round it, \d+ mm at the rim and 7 mm in the middle/);
    const shared = lead((b) => {
      b.tiers[0]!.gaps[1]!.pieces = [
        { ...newPieces(), name: 'raspberries', foodId: 'raspberries', share: 0.5 },
      ];
    });
    expect(shared).toMatch(/Spread 3\.5 mm thick.*7 mm in all/);
  });
});

describe('a filling under load', () => {
  it('holds up to its capacity, and not a hair above', () => {
    const most = holdsN(200, 100, 8);
    expect(settle(200, 100, 100, 8, most * 0.999)).toMatchObject({ holds: true, thickMm: 8 });
    expect(settle(200, 100, 100, 8, most * 1.001).holds).toBe(false);
  });
  it('keeps its volume: what is under the layer and what bulges is what was spread', () => {
    fc.assert(
      fc.property(
        double(10, 500),
        double(40, 100),
        double(2, 20),
        double(0.5, 60),
        (stress, spread, thick, load) => {
          const rest = settle(stress, spread, 100, thick, load);
          const before = Math.PI * spread ** 2 * thick;
          const after = Math.PI * rest.radiusMm ** 2 * rest.thickMm + rest.bulgeMl * 1000;
          expect(after / before).toBeCloseTo(1, 6);
          expect(rest.thickMm).toBeLessThanOrEqual(thick + 1e-9);
          expect(rest.radiusMm).toBeLessThanOrEqual(100 + 1e-9);
        },
      ),
    );
  });
  it('comes to rest where it just holds', () => {
    const rest = settle(60, 70, 200, 12, 20);
    expect(rest.radiusMm).toBeLessThan(200);
    expect(holdsN(60, rest.radiusMm, rest.thickMm)).toBeCloseTo(20, 6);
    const past = settle(20, 100, 100, 12, 20);
    expect(past.bulgeMl).toBeGreaterThan(0);
    expect(holdsN(20, 100, past.thickMm)).toBeCloseTo(20, 6);
  });
  it('set back as advised arrives flush: no bulge, no gap at the edge', () => {
    fc.assert(
      fc.property(double(10, 200), double(3, 15), double(2, 40), (stress, thick, load) => {
        const back = flushSetbackMm(stress, 100, thick, load);
        if (back === 0) expect(settle(stress, 100, 100, thick, load).holds).toBe(true);
        else if (back < 94) {
          const rest = settle(stress, 100 - back, 100, thick, load);
          expect(rest.bulgeMl).toBeLessThan(1e-6);
          expect(rest.radiusMm).toBeCloseTo(100, 1);
        }
      }),
    );
  });
});

describe('settled fillings', () => {
  const soft = (build: Build): void => {
    for (const gap of build.tiers[0]!.gaps) gap.spreadId = 'cream';
  };
  it('feed the finished height, the lowest settling most', () => {
    const tier = tierOf(soft);
    const settled = tier.loads!.map((l) => l.settledMm);
    expect(settled[0]!).toBeLessThan(settled[2]!);
    expect(settled[0]!).toBeLessThan(7);
    const firm = tierOf(() => undefined);
    const lost = settled.reduce((sum, mm) => sum + 7 - mm, 0);
    expect(firm.stack.stackMm - tier.stack.stackMm).toBeCloseTo(lost, 6);
    expect(tier.stack.gaps[0]!.settledMm).toBeCloseTo(settled[0]!, 9);
  });
  it('rest on the true weight above them', () => {
    const tier = tierOf(soft);
    const above = [1, 2, 3].reduce((sum, i) => sum + tier.layersG![i]!, 0);
    const gaps = gapsOf(tier);
    expect(tier.loads![0]!.aboveG).toBeCloseTo(above + gaps[1]!.fillingG + gaps[2]!.fillingG, 6);
    const weighted = tierOf((b) => {
      soft(b);
      b.tiers[0]!.restG = 500;
    });
    expect(weighted.loads![0]!.aboveG - tier.loads![0]!.aboveG).toBeCloseTo(500, 6);
  });
  it('hold when cold what they do not hold warm', () => {
    const yolk = (build: Build): void => {
      build.tiers[0]!.outline = { kind: 'round', diameterMm: 120 };
      for (const gap of build.tiers[0]!.gaps)
        Object.assign(gap, { spreadId: 'yolk', heightMm: 15 });
      for (const layer of build.tiers[0]!.layers) layer.heightMm = 60;
    };
    expect(tierOf(yolk).loads![0]!.holds).toBe(false);
    const cold = (b: Build): void => {
      yolk(b);
      b.tiers[0]!.stackedAt = 'cold';
    };
    expect(tierOf(cold).loads![0]!.holds).toBe(true);
    const [caution] = planOf(yolk).cautions.filter((c) => c.id.includes('/squeeze/'));
    expect(caution!.todo.text).toMatch(/dam|Chill/);
  });
  it('that are held open by packed fruit do not settle', () => {
    const fruit = tierOf((b) => {
      soft(b);
      for (const gap of b.tiers[0]!.gaps) gap.pieces = [newPieces()];
    });
    expect(fruit.loads!.every((l) => l.holds && l.settledMm === 7)).toBe(true);
  });
});

describe('what lies in a gap', () => {
  const tier = fresh().tiers[0]!;
  const whole = (areaMm2(tier.outline) * 10) / 1000;
  const one = (change: Partial<ReturnType<typeof newGap>>) => {
    const t = {
      ...tier,
      layers: [newLayer(30), newLayer(30)],
      gaps: [{ ...newGap(10, 'cream'), ...change }],
    };
    return planGaps(t, spreadOf, [])[0]!;
  };
  const berries = { ...newPieces('berries'), gPerCm2: 0.8 };
  it('adds up to the gap: pieces, sauce, filling and dam', () => {
    fc.assert(
      fc.property(
        double(0, 30),
        double(0, 30),
        double(0.05, 0.9),
        double(0, 3),
        fc.boolean(),
        (damMm, setbackMm, share, g, packed) => {
          const gap = one({
            damMm,
            setbackMm,
            pieces: [{ ...berries, share, gPerCm2: g, how: packed ? 'packed' : 'scattered' }],
            drizzle: { spreadId: 'caramel', gPerCm2: g, tint: '' },
          });
          const ml = gap.piecesMl + gap.drizzleMl + gap.fillingMl + gap.damMl;
          const back = (Math.PI * (100 - setbackMm) ** 2 * 10) / 1000;
          expect(ml).toBeCloseTo(back, 6);
          expect(gap.fillingMl).toBeGreaterThan(0);
        },
      ),
    );
  });
  it('is fruit at its packing and cream for the voids', () => {
    const gap = one({ pieces: [berries] });
    expect(gap.piecesG).toBeCloseTo(whole * 0.58 * 0.95, 6);
    expect(gap.fillingMl).toBeCloseTo(whole * 0.42, 6);
  });
  it('is scattered by grams to the square centimetre', () => {
    const gap = one({ pieces: [{ ...berries, how: 'scattered' }] });
    expect(gap.piecesG).toBeCloseTo((0.8 * areaMm2(tier.outline)) / 100, 6);
  });
  it('puts sauce and pieces on the lists, with their allergens', () => {
    const plan = planOf((b) => {
      const [gap] = b.tiers[0]!.gaps;
      gap!.pieces = [{ ...berries, name: 'walnuts', allergens: ['tree nuts'] }];
      gap!.drizzle = { spreadId: 'caramel', gPerCm2: 0.2, tint: '' };
    });
    expect(plan.allergens).toContain('tree nuts');
    expect(plan.ingredients.ok && plan.ingredients.value.map((i) => i.name)).toContain('walnuts');
    const bowls = plan.bowls.ok ? plan.bowls.value : [];
    const sauce = bowls.find((b) => b.spreadId === 'caramel')!;
    expect(sauce.uses[0]!.massG).toBeCloseTo(0.2 * (areaMm2(tier.outline) / 100), 6);
  });
});

describe('the soak', () => {
  it('goes by volume of sponge, weighs, and weakens by its style', () => {
    const wet = tierOf((b) => {
      b.tiers[0]!.soak = 'medium';
      b.tiers[0]!.layers[0]!.soak = 'none';
    });
    const dry = tierOf(() => undefined);
    const ml = ((areaMm2(fresh().tiers[0]!.outline) * 25) / 1000) * 0.06;
    expect(wet.soak.map((s) => s.ml)).toEqual(
      [0, ml, ml, ml].map((x) => expect.closeTo(x, 6) as number),
    );
    expect(wet.massG! - dry.massG!).toBeCloseTo(3 * ml * 1.2, 6);
    const strengths = soakStyles.map((s) => soakRows[s].strength);
    expect(strengths).toEqual([...strengths].sort((a, b) => b - a));
  });
  it('beyond what the sponge holds is a caution', () => {
    const ids = (spongeId: string) =>
      planOf((b) => Object.assign(b.tiers[0]!, { soak: 'generous', spongeId })).cautions.map(
        (c) => c.id,
      );
    expect(ids('mud')).toContain('tier-1/soak');
    expect(ids('foam')).not.toContain('tier-1/soak');
  });
});

describe('a hidden centre', () => {
  const core = (b: Build, toLayer = 2): void => {
    b.tiers[0]!.centre = {
      outline: { kind: 'round', diameterMm: 60 },
      fromLayer: 1,
      toLayer,
      spreadId: 'caramel',
      pieces: null,
    };
  };
  it('takes out sponge and filling and puts its own in their place', () => {
    const cored = tierOf(core);
    const plain = tierOf(() => undefined);
    const area = Math.PI * 30 ** 2;
    expect(cored.centre!.fillMl).toBeCloseTo((area * (25 + 7 + 25)) / 1000, 6);
    expect(cored.centre).toMatchObject({ lidLayers: 1, floorLayers: 1, inside: true });
    const [before, after] = [gapsOf(plain), gapsOf(cored)];
    expect(before[1]!.fillingMl - after[1]!.fillingMl).toBeCloseTo((area * 7) / 1000, 6);
    expect(after[0]!.fillingMl).toBeCloseTo(before[0]!.fillingMl, 9);
    // sponge lost is the core's share of the two layers
    const lost = plain.layersG![1]! + plain.layersG![2]! - cored.layersG![1]! - cored.layersG![2]!;
    expect(lost).toBeCloseTo(cored.centre!.spongeG, 6);
  });
  it('without a lid, or with too little cake round it, is told', () => {
    expect(planOf((b) => core(b, 3)).cautions.map((c) => c.id)).toContain('tier-1/core lid');
    const wide = planOf((b) => {
      core(b);
      b.tiers[0]!.centre!.outline = { kind: 'round', diameterMm: 150 };
    });
    expect(wide.cautions.map((c) => c.id)).toContain('tier-1/core wall');
  });
});

describe('layers of other kinds', () => {
  it('pile up: crepes by their thickness and what is between them', () => {
    expect(pileCount(30, 1.2, 2)).toBe(10);
    expect(pileCount(0.5, 1.2, 0)).toBe(1);
    const tier = tierOf((b) => {
      b.tiers[0]!.layers[0] = {
        ...newLayer(30),
        otherId: 'crepe',
        between: { spreadId: 'firmcream', heightMm: 2 },
      };
    });
    const pile = tier.others.ok ? tier.others.value[0]! : null;
    expect(pile).toMatchObject({ count: 10 });
    expect(pile!.betweenG).toBeCloseTo(
      ((9 * 2 * areaMm2(fresh().tiers[0]!.outline)) / 1000) * 0.5,
      6,
    );
    // no batter is baked for it
    expect(tier.bake.ok && tier.bake.value.cakes.flatMap((c) => c.layers)).toEqual([1, 2, 3]);
  });
  it('are traced smaller by what they spread, and warned of at the knife', () => {
    const plan = planOf((b) => {
      b.tiers[0]!.layers[1] = { ...newLayer(12), otherId: 'meringue-disc' };
    });
    const [disc] = plan.tiers[0]!.others.ok ? plan.tiers[0]!.others.value : [];
    expect(disc!.traced).toEqual({ kind: 'round', diameterMm: 190 });
    // a quarter of a meringue's batter is water that leaves
    expect(disc!.batterG * 0.75).toBeCloseTo(disc!.ownG, 9);
    expect(disc!.ownG).toBeCloseTo(((Math.PI * 100 ** 2 * 12) / 1000) * 0.28, 6);
    expect(plan.cautions.map((c) => c.id)).toContain('tier-1/crisp/1');
    expect(plan.allergens).toContain('eggs');
  });
  it('of mousse surround what is set in them', () => {
    const tier = tierOf((b) => {
      b.tiers[0]!.layers[1] = {
        ...newLayer(40),
        otherId: 'mousse',
        insets: [{ id: 'disc', otherId: null, heightMm: 15, marginMm: 10, upMm: 10 }],
      };
    });
    const mousse = tier.others.ok ? tier.others.value[0]! : null;
    expect(mousse!.ml + mousse!.insets[0]!.ml).toBeCloseTo(
      (areaMm2(fresh().tiers[0]!.outline) * 40) / 1000,
      6,
    );
  });
  it('that are bought come in packs and thaw', () => {
    const plan = planOf((b) => {
      b.tiers[0]!.layers[0] = { ...newLayer(18), otherId: 'bought-sponge' };
    });
    expect(plan.cautions.map((c) => c.id)).toContain('tier-1/thaw/0');
  });
  it('whose thickness is not made up by whole pieces are told', () => {
    const plan = planOf((b) => {
      b.tiers[0]!.layers[0] = { ...newLayer(8), otherId: 'meringue-disc' };
    });
    expect(plan.cautions.map((c) => c.id)).toContain('tier-1/other thickness/0');
  });
});
