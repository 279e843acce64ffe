import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  slowerByShape,
  bakeWindow,
  besselJ0,
  besselJ1,
  bodyOf,
  calibrate,
  capacityOf,
  centreShare,
  chillShellMin,
  chillThroughMin,
  coolMin,
  cylinder,
  finiteCylinder,
  freezeLayerMin,
  heatQuestion,
  meanShare,
  newBuild,
  planBuild,
  mixTemperature,
  planHeat,
  secondsUntil,
  shellReader,
  slab,
  slowestShare,
  sumTerms,
  warmMin,
  type BakeRule,
  type Mass,
  type Outline,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const { kitchen } = pantry;
const round = (diameterMm: number): Outline => ({ kind: 'round', diameterMm });
const within = (a: number, b: number, share: number): void =>
  expect(Math.abs(a - b), `${a} beside ${b}`).toBeLessThanOrEqual(share * Math.abs(b) + 1e-9);
const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('Bessel functions', () => {
  // values of the printed tables
  it.each([
    [0, 1, 0],
    [1, 0.7651976866, 0.4400505857],
    [2.4048255577, 0, 0.5191474973],
    [10, -0.2459357645, 0.0434727462],
    [13.9, 0.1835798555, 0.1081692184],
    [15, -0.0142244728, 0.2051040386],
    [50, 0.0558123277, -0.0975118281],
  ])('of %d', (x, j0, j1) => {
    expect(besselJ0(x)).toBeCloseTo(j0, 8);
    if (x !== 13.9) expect(besselJ1(x)).toBeCloseTo(j1, 8);
  });
  it('keep J0 the slope of minus J1, over the join of the two ways to reckon them', () => {
    for (let x = 0.5; x < 60; x += 0.37) {
      const slope = (besselJ0(x + 1e-4) - besselJ0(x - 1e-4)) / 2e-4;
      expect(slope).toBeCloseTo(-besselJ1(x), 5);
    }
  });
});

describe('the slab', () => {
  it('has the eigenvalues of the textbook: β·tan β = Bi for half a slab', () => {
    for (const biot of [0.1, 1, 10]) {
      // both faces alike: the half slab has half the Biot number of the depth
      const { decay } = slab(2 * biot, 2 * biot);
      const half = Math.sqrt(decay[0]!) / 2;
      expect(half * Math.tan(half)).toBeCloseTo(biot, 8);
    }
  });
  it('meets the textbook’s one-term chart at Fourier 0.5', () => {
    // half-slab Bi 1: ζ1 = 0.8603, C1 = 1.1191; centre = C1·exp(-ζ1²·Fo)
    const s = slab(2, 2);
    const centre = sumTerms(s, s.at(0.5), 0.5 / 4);
    expect(centre).toBeCloseTo(1.1191 * Math.exp(-(0.8603 ** 2) * 0.5), 3);
  });
  it('starts at 1 everywhere, and its mean is the mean of its places', () => {
    const s = slab(3, 1.2);
    expect(sumTerms(s, s.at(0.4), 1e-4)).toBeCloseTo(1, 2);
    for (const f of [0.01, 0.1, 0.6]) {
      let sum = 0;
      const n = 400;
      for (let i = 0; i < n; i++) sum += sumTerms(s, s.at((i + 0.5) / n), f);
      expect(sumTerms(s, s.mean(0, 1), f)).toBeCloseTo(sum / n, 4);
    }
  });
  it('so badly cooled that it stays even cools as a lump', () => {
    const s = slab(0.002, 0.002);
    // lumped: exp(-(Bi0 + Bi1)·Fo)
    expect(sumTerms(s, s.at(0.5), 100)).toBeCloseTo(Math.exp(-0.4), 3);
  });
});

describe('the long cylinder', () => {
  it('has the eigenvalues of the textbook: ζ·J1 = Bi·J0', () => {
    // Bi 1: ζ1 = 1.2558, C1 = 1.2071; Bi 10: 2.1795, 1.5677
    for (const [biot, zeta, c] of [
      [1, 1.2558, 1.2071],
      [10, 2.1795, 1.5677],
    ] as const) {
      const direction = cylinder(biot);
      expect(Math.sqrt(direction.decay[0]!)).toBeCloseTo(zeta, 3);
      expect(direction.at(0)[0]).toBeCloseTo(c, 3);
    }
  });
  it('has the mean over its disc that its places give', () => {
    const c = cylinder(2);
    const n = 400;
    for (const f of [0.02, 0.2]) {
      let sum = 0;
      for (let i = 0; i < n; i++) {
        const r = (i + 0.5) / n;
        sum += (2 * r * sumTerms(c, c.at(r), f)) / n;
      }
      expect(sumTerms(c, c.mean(0, 1), f)).toBeCloseTo(sum, 4);
    }
  });
});

describe('series and finite differences', () => {
  it('agree within 2 %, at the centre, on average and in the outer part', () => {
    const cases: [number, number, number, number, number][] = [
      // radius, height, top and side, bottom, minutes
      [100, 100, 12, 6, 20],
      [100, 100, 12, 6, 120],
      [75, 120, 9, 4, 60],
      [125, 60, 14, 14, 45],
      [60, 40, 7, 3.5, 90],
    ];
    for (const [radius, height, face, bottom, minutes] of cases) {
      const s = { alpha: 1.3e-7, k: 0.16, top: face, side: face, bottom };
      const body = bodyOf(round(2 * radius), height, s);
      const other = finiteCylinder(radius, height, s, minutes * 60);
      within(centreShare(body, minutes * 60), other.centre, 0.02);
      within(meanShare(body, minutes * 60), other.mean, 0.02);
      within(shellReader(body, 10)(minutes * 60), other.shell, 0.02);
    }
  });
  it('agree on baking too, where the surface takes a share of 7 per metre', () => {
    const s = { alpha: 1.2e-6, k: 1, top: 7, side: 7, bottom: 7 };
    for (const minutes of [5, 20, 45])
      within(
        centreShare(bodyOf(round(200), 50, s), minutes * 60),
        finiteCylinder(100, 50, s, minutes * 60).centre,
        0.02,
      );
  });
});

describe('a body', () => {
  const s = { alpha: 1.3e-7, k: 0.15, top: 10, side: 10, bottom: 5 };
  it('only ever comes nearer to what surrounds it, the middle behind the outside', () => {
    fc.assert(
      fc.property(double(60, 400), double(15, 200), double(15, 400), (across, high, min) => {
        const body = bodyOf(round(across), high, s);
        const seconds = min * 60;
        const centre = centreShare(body, seconds);
        expect(centre).toBeLessThanOrEqual(1 + 1e-4);
        expect(centre).toBeGreaterThanOrEqual(-1e-9);
        expect(centreShare(body, seconds * 1.2)).toBeLessThanOrEqual(centre + 1e-4);
        expect(slowestShare(body, seconds)).toBeGreaterThanOrEqual(centre - 1e-6);
        expect(meanShare(body, seconds)).toBeLessThanOrEqual(slowestShare(body, seconds) + 1e-5);
        expect(shellReader(body, 10)(seconds)).toBeLessThanOrEqual(meanShare(body, seconds) + 1e-5);
      }),
      { numRuns: 60 },
    );
  });
  it('that is square lags behind the round inside it and ahead of the round outside', () => {
    const square = bodyOf({ kind: 'square', sideMm: 200, cornerMm: 0 }, 80, s);
    const t = 3600;
    expect(centreShare(square, t)).toBeGreaterThan(centreShare(bodyOf(round(200), 80, s), t));
    expect(centreShare(square, t)).toBeLessThan(centreShare(bodyOf(round(283), 80, s), t));
  });
  it('that is a ring cools faster than the round of its size', () => {
    const ring = bodyOf({ kind: 'ring', diameterMm: 240, holeMm: 80 }, 80, s);
    expect(centreShare(ring, 3600)).toBeLessThan(centreShare(bodyOf(round(240), 80, s), 3600));
  });
  it('tells when it is there: at once, in time, or never', () => {
    const body = bodyOf(round(200), 80, s);
    const share = (t: number): number => centreShare(body, t);
    expect(secondsUntil(share, 1.2)).toBe(0);
    expect(secondsUntil(share, 0)).toBe(Infinity);
    expect(share(secondsUntil(share, 0.4))).toBeCloseTo(0.4, 4);
  });
});

describe('the bake window', () => {
  const rule: BakeRule = { ovenC: 175, minutes: 30, tinMm: 200, depthMm: 50 };
  const minutes = (across: number, deep: number, ovenC = 175, startC = 20): number =>
    bakeWindow({ outline: round(across), depthMm: deep, ovenC, startC }, rule)!.minutes;

  it('gives the recipe’s own tin the recipe’s own time', () => {
    expect(minutes(200, 50)).toBeCloseTo(30, 2);
    expect(calibrate(rule)).toBeCloseTo(1.23e-6, 8);
  });
  it('carries it over to other tins as the model says', () => {
    expect(Math.round(minutes(200, 25))).toBe(17);
    expect(Math.round(minutes(250, 50))).toBe(33);
    // a deep narrow one is closed over by its crust: conduction alone says 40
    expect(Math.round(minutes(200, 75))).toBe(46);
    // cupcakes take 17 to 20, and conduction alone says 12
    expect(minutes(55, 35)).toBeGreaterThan(15);
    expect(minutes(55, 35)).toBeLessThan(21);
  });
  it('gives a usual loaf of 900 g its 45 to 55 minutes', () => {
    const loaf = pantry.tins.find((tin) => tin.id === 'loaf-23')!;
    const sponge = pantry.sponges.find((row) => row.id === 'butter')!;
    const depthMm =
      ((900 / sponge.batterDensityGPerMl) * sponge.rise * 1000) / areaMm2(loaf.outline);
    const { minutes: takes } = bakeWindow(
      { outline: loaf.outline, depthMm, ovenC: 175, startC: 20 },
      rule,
    )!;
    expect(takes).toBeGreaterThan(45);
    expect(takes).toBeLessThan(55);
    // and whatever the slenderness, its own recipe's cake is not slowed
    expect(slowerByShape({ outline: round(200), depthMm: 50 }, rule)).toBe(1);
  });
  it('is longer for deeper, wider, colder and for a cooler oven', () => {
    expect(minutes(200, 60)).toBeGreaterThan(minutes(200, 50));
    expect(minutes(300, 50)).toBeGreaterThan(minutes(200, 50));
    expect(minutes(200, 50, 160)).toBeGreaterThan(minutes(200, 50, 175));
    expect(minutes(200, 50, 175, 8)).toBeGreaterThan(minutes(200, 50, 175, 20));
  });
  it('opens at 85 % and is wider after than before', () => {
    const own = { outline: round(200), depthMm: 50, ovenC: 175, startC: 20 };
    const w = bakeWindow(own, rule)!;
    expect(w.fromMin).toBeCloseTo(0.85 * w.minutes, 9);
    expect(w.toMin - w.minutes).toBeGreaterThan(w.minutes - w.fromMin);
    expect(bakeWindow(own, rule, 1.2)!.minutes).toBeCloseTo(1.2 * w.minutes, 6);
  });
  it('has no end in an oven that never gets there', () => {
    expect(
      bakeWindow({ outline: round(200), depthMm: 50, ovenC: 90, startC: 20 }, rule),
    ).toBeNull();
  });
});

describe('cooling and chilling', () => {
  const cake: Mass = { outline: round(200), heightMm: 50, densityGPerMl: 0.44 };
  const tier: Mass = { outline: round(200), heightMm: 110, densityGPerMl: 0.6 };
  it('take about the customary time', () => {
    // two hours on the rack is what people allow
    expect(coolMin(cake, 97, kitchen)).toBeGreaterThan(75);
    expect(coolMin(cake, 97, kitchen)).toBeLessThan(180);
    const firm = chillShellMin(tier, 21, 'crumb coat firm', kitchen);
    expect(firm).toBeGreaterThan(15);
    expect(firm).toBeLessThan(60);
  });
  it('reach the outside first, then the carving knife’s firmness, last the middle', () => {
    const at = (t: Parameters<typeof chillShellMin>[2]): number =>
      chillShellMin(tier, 21, t, kitchen);
    expect(at('crumb coat firm')).toBeLessThan(at('ready for the next coat or for drips'));
    expect(at('ready for the next coat or for drips')).toBeLessThan(at('firm to carve'));
    expect(at('firm to carve')).toBeLessThan(chillThroughMin(tier, 21, kitchen));
  });
  it('never end in a fridge too warm to be safe, or a room too cold to be served in', () => {
    expect(chillThroughMin(tier, 21, { ...kitchen, fridgeC: 6 })).toBe(Infinity);
    expect(warmMin(tier, { ...kitchen, roomC: 14 })).toBe(Infinity);
    expect(warmMin(tier, kitchen)).toBeGreaterThan(30);
  });
  it('freeze thin layers only, thicker ones later', () => {
    const layer = (heightMm: number): Mass => ({
      outline: round(200),
      heightMm,
      densityGPerMl: 0.44,
    });
    expect(freezeLayerMin(layer(25), 21, kitchen)!).toBeLessThan(
      freezeLayerMin(layer(50), 21, kitchen)!,
    );
    expect(freezeLayerMin(layer(61), 21, kitchen)).toBeNull();
  });
  it('come as one curve, each stretch from where it starts towards its surroundings', () => {
    const plan = planHeat({
      baking: { outline: round(200), depthMm: 50, ovenC: 175, startC: 20 },
      rule: null,
      slower: 1,
      cake,
      layer: { ...cake, heightMm: 25 },
      tier,
      kitchen,
      chilled: kitchen,
    });
    expect(plan.curve.map((s) => s.name)).toEqual(['oven', 'rack', 'fridge', 'room']);
    for (const stretch of plan.curve) {
      const rising = stretch.name === 'oven' || stretch.name === 'room';
      stretch.centreC.forEach((c, i) => {
        const before = stretch.centreC[i - 1] ?? c;
        expect(rising ? c - before : before - c).toBeGreaterThan(-0.05);
      });
      // the outside is always nearer to the surroundings
      const middle = Math.floor(stretch.minutes.length / 2);
      const [c, s] = [stretch.centreC[middle]!, stretch.shellC[middle]!];
      expect(rising ? s > c : s < c).toBe(true);
    }
    const oven = plan.curve[0]!;
    const done = oven.minutes.findIndex((m) => m >= plan.bake!.minutes);
    expect(oven.centreC[done]!).toBeGreaterThan(96);
  });
});

describe('a mixture', () => {
  const madeOf = (id: string) => pantry.foods.find((food) => food.id === id)!;
  it('takes heat by what its parts are made of, never by their names', () => {
    // chocolate is fat, sugar and cocoa, whatever milk or white stands in its name
    for (const id of ['white-chocolate', 'milk-chocolate', 'dark-chocolate'])
      expect(capacityOf(madeOf(id))).toBeLessThan(1.8);
    expect(capacityOf(madeOf('milk'))).toBeGreaterThan(3.7);
    expect(capacityOf(madeOf('egg-whites'))).toBeGreaterThan(3.7);
    expect(capacityOf(madeOf('water'))).toBeCloseTo(4.18, 9);
    // frozen butter is a sixth water, not three quarters: 10 g of it hardly cool a bowl
    const bowl = { name: 'bowl', massG: 1000, tempC: 20, made: madeOf('milk') };
    const butter = { name: 'butter', massG: 100, tempC: -18, made: madeOf('butter') };
    const milk = madeOf('milk');
    const fat = capacityOf(madeOf('butter'));
    const balance =
      (1 * capacityOf(milk) * 20 + 0.1 * ((1 - 0.16) * fat * -18 + 0.16 * (2.1 * -18 - 334))) /
      (1 * capacityOf(milk) + 0.1 * fat);
    expect(mixTemperature([bowl, butter]).tempC).toBeCloseTo(balance, 9);
  });
  it('of the same stuff meets in the middle, by mass', () => {
    const { tempC } = mixTemperature([
      { name: 'milk', massG: 100, tempC: 4, made: madeOf('milk') },
      { name: 'milk', massG: 300, tempC: 20, made: madeOf('milk') },
    ]);
    expect(tempC).toBeCloseTo(16, 9);
  });
  it('conserves heat, and lies between its parts', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name: fc.constant('part'),
            made: fc.constantFrom(null, ...pantry.foods),
            massG: double(1, 1000),
            tempC: double(0.5, 60),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        (parts) => {
          const { tempC, iceG } = mixTemperature(parts);
          const flow = parts.reduce(
            (sum, p) => sum + p.massG * capacityOf(p.made) * (p.tempC - tempC),
            0,
          );
          expect(flow).toBeCloseTo(0, 4);
          expect(iceG).toBe(0);
          expect(tempC).toBeGreaterThanOrEqual(Math.min(...parts.map((p) => p.tempC)) - 1e-9);
          expect(tempC).toBeLessThanOrEqual(Math.max(...parts.map((p) => p.tempC)) + 1e-9);
        },
      ),
    );
  });
  it('pays for melting: 334 kJ for each kilogram of frozen water', () => {
    const warm = { name: 'water', massG: 1000, tempC: 20, made: madeOf('water') };
    const ice = { name: 'water', massG: 100, tempC: -1e-9, made: madeOf('water') };
    const { tempC } = mixTemperature([warm, ice]);
    expect(tempC).toBeCloseTo((1 * 4.18 * 20 - 0.1 * 334) / (1.1 * 4.18), 4);
  });
  it('with too little warmth stands at freezing, with ice left', () => {
    const mixed = mixTemperature([
      { name: 'water', massG: 100, tempC: 5, made: madeOf('water') },
      {
        name: 'berries',
        massG: 500,
        tempC: -18,
        made: { waterShare: 0.85, fatShare: 0, sugarShare: 0.1 },
      },
    ]);
    expect(mixed.tempC).toBeLessThanOrEqual(0);
    expect(mixed.iceG).toBeGreaterThan(100);
    expect(mixed.iceG).toBeLessThanOrEqual(425);
  });
});

describe('what is asked for a tier', () => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  it('is its cake, its layer and its finished self, and is answered as the plan answers it', () => {
    const plan = planBuild(build, pantry).tiers[0]!;
    const question = heatQuestion(build.tiers[0]!, plan, pantry, 'fridge')!;
    const { cakes, bakedDensity } = plan.bake.ok ? plan.bake.value : { cakes: [], bakedDensity: 0 };
    expect(planHeat(question).bake!.minutes).toBeCloseTo(cakes[0]!.window!.minutes, 6);
    expect(question.layer.heightMm).toBe(25);
    expect(question.cake.densityGPerMl).toBeCloseTo(bakedDensity, 1);
    // one figure for one wait: the plan's own times are those of the curve
    const times = planBuild(build, pantry).times[0]!;
    const heat = planHeat(question);
    expect(times.coolMin).toBe(Math.ceil(heat.coolMin / 5) * 5);
    expect(times.firmMin).toBe(Math.round(heat.firmMin));
    expect(times.nextCoatMin).toBe(Math.round(heat.nextCoatMin));
    // frosting is denser than cake
    expect(question.tier.densityGPerMl).toBeGreaterThan(bakedDensity);
    expect(question.tier.densityGPerMl).toBeLessThan(1);
  });
  it('is nothing where nothing is baked in a tin, or its tin is gone', () => {
    const piled = structuredClone(build);
    for (const layer of piled.tiers[0]!.layers) layer.otherId = 'crepe';
    const plan = planBuild(piled, pantry).tiers[0]!;
    expect(heatQuestion(piled.tiers[0]!, plan, pantry, 'fridge')).toBeNull();
    const tinless = { ...pantry, tins: [] };
    const without = planBuild(build, tinless).tiers[0]!;
    expect(heatQuestion(build.tiers[0]!, without, tinless, 'fridge')).toBeNull();
  });
});
