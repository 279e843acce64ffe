import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cellFor,
  lengthTable,
  meltsCoatC,
  restAt,
  settingOf,
  tempsForLooks,
  combineFits,
  countFor,
  dripAmounts,
  filmTempC,
  fitTestDrip,
  ganacheFluid,
  gramsForLength,
  keptShare,
  mostDrips,
  otherFluid,
  otherFluids,
  pourAmounts,
  restLengthMm,
  runDrip,
  standsAtMm,
  stiffened,
  tempForLength,
  tempForVeil,
  usualDrip,
  wantedLengths,
  type DripSetting,
} from '../src/index.ts';

const setting = (more: Partial<DripSetting> = {}): DripSetting => ({
  fluid: ganacheFluid(1.6),
  fluidC: 30,
  coatC: 8,
  sideMm: 200,
  ...usualDrip,
  ...more,
});
const grams = fc.double({ min: 0.6, max: 5, noNaN: true });
const warm = fc.double({ min: 25, max: 38, noNaN: true });

describe('a drip', () => {
  it('at constant temperature rests at V/(w·dy)', () => {
    for (const g of [1, 2, 4]) {
      const even = setting({ fluidC: 28, coatC: 28, sideMm: 400 });
      const run = runDrip(g, even, 20_000, 2, 1000);
      expect(run.restMm / restLengthMm(g, even, 28)).toBeCloseTo(1, 1.7);
    }
    // and comes to it as one over time: after a minute it is still short
    const even = setting({ fluidC: 28, coatC: 28, sideMm: 400 });
    const run = runDrip(4, even, 60, 2);
    expect(run.restMm).toBeLessThan(restLengthMm(4, even, 28));
  });

  it('keeps its volume, on the side and on the board', () => {
    fc.assert(
      fc.property(grams, warm, fc.double({ min: 20, max: 200, noNaN: true }), (g, t, sideMm) => {
        const own = setting({ fluidC: t, sideMm });
        const run = runDrip(g, own);
        expect(keptShare(run, own)).toBeCloseTo(1, 3);
        expect(run.restMm).toBeLessThanOrEqual(sideMm + 1e-9);
        expect(run.profileMm.every((mm) => mm >= 0 && Number.isFinite(mm))).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('converges: halved and halved again, no drip of 15 to 120 mm moves by a hundredth', () => {
    for (const [firmness, fluidC, coatC] of [
      [1.64, 32, 5],
      [1.64, 36, 12],
      [1.9, 33, 8],
    ] as const) {
      const spec = {
        fluid: { kind: 'ganache' as const, firmness, stiffer: 1, coatEffusivity: 0.6 },
        fluidC,
        coatC,
        widthMm: 10,
        feedS: 1.5,
      };
      const setting = settingOf(spec, 300);
      const table = lengthTable(spec);
      for (const wanted of [15, 30, 60, 120]) {
        const { massG } = restAt(wanted, table, setting.beadG);
        const cell = cellFor(massG, setting);
        expect(cell).toBeLessThanOrEqual(1);
        const [own, half, quarter] = [1, 2, 4].map(
          (parts) => runDrip(massG, setting, 300, cell / parts, 300).restMm,
        );
        expect(Math.abs(own! / half! - 1)).toBeLessThan(0.01);
        expect(Math.abs(half! / quarter! - 1)).toBeLessThan(0.01);
        // grams from the table run to the length they were asked for
        expect(Math.abs(own! / wanted - 1)).toBeLessThan(0.01);
      }
    }
  });
  it('is never offered so warm that it melts its coat', () => {
    for (const firmness of [1, 1.64, 2.4, 3.2]) {
      const fluid = { kind: 'ganache' as const, firmness, stiffer: 1, coatEffusivity: 0.6 };
      const spec = { fluid, fluidC: 32, coatC: 5, widthMm: 10, feedS: 1.5 };
      for (const at of Object.values(tempsForLooks({ spec, lengthMm: 40 })))
        if (at !== null) expect(at).toBeLessThanOrEqual(meltsCoatC);
    }
  });
  it('runs further the hotter, the heavier and the warmer its coat', () => {
    fc.assert(
      fc.property(grams, warm, fc.double({ min: 4, max: 18, noNaN: true }), (g, t, coatC) => {
        const at = (more: Partial<DripSetting>, mass = g): number =>
          runDrip(mass, setting({ fluidC: t, coatC, sideMm: 500, ...more })).restMm;
        const own = at({});
        const slack = 0.6;
        expect(at({ fluidC: t + 3 })).toBeGreaterThan(own - slack);
        expect(at({}, g + 0.5)).toBeGreaterThan(own - slack);
        expect(at({ coatC: coatC + 4 })).toBeGreaterThan(own - slack);
        expect(at({ fluid: ganacheFluid(2.4) })).toBeLessThan(own + slack);
      }),
      { numRuns: 25 },
    );
  });

  it('never grows shorter, and says when it stands', () => {
    const run = runDrip(2.5, setting());
    expect(run.lengthsMm).toHaveLength(301);
    run.lengthsMm.forEach((mm, i) =>
      expect(mm).toBeGreaterThanOrEqual((run.lengthsMm[i - 1] ?? 0) - 0.5),
    );
    expect(run.restS).toBeGreaterThan(3);
    expect(run.restS).toBeLessThan(120);
    expect(run.thickMm).toBeGreaterThanOrEqual(run.meanMm);
  });

  it('pools on the board where the side is too short for it', () => {
    const run = runDrip(4, setting({ sideMm: 30, fluidC: 34 }));
    expect(run.restMm).toBeCloseTo(30, 0);
    expect(run.pooledG).toBeGreaterThan(0.5);
  });

  it('of nothing but its bead does not run', () => {
    expect(runDrip(0.2, setting()).restMm).toBe(0);
    expect(runDrip(0, setting()).pooledG).toBe(0);
  });
});

describe('fluids', () => {
  it('cool as their film does, from their own warmth to the coat’s', () => {
    const fluid = ganacheFluid(1.6);
    expect(filmTempC(fluid, 0, 32, 8)).toBe(32);
    const cooled = [0.1, 1, 5, 50].map((s) => filmTempC(fluid, s, 32, 8));
    expect(cooled).toEqual([...cooled].sort((a, b) => b - a));
    expect(filmTempC(fluid, 1e6, 32, 8)).toBeCloseTo(8, 1);
  });
  it('each have laws of their own', () => {
    for (const kind of otherFluids) {
      const fluid = otherFluid(kind);
      expect(standsAtMm(fluid, 25)).toBeGreaterThan(standsAtMm(fluid, 35));
      expect(runDrip(2, setting({ fluid, fluidC: 36 })).restMm).toBeGreaterThan(10);
    }
    expect(otherFluid('compound coating').stressPa(40)).toBeCloseTo(5, 9);
  });
});

describe('the other way round', () => {
  it('finds the grams for a length, and they give it', () => {
    for (const wanted of [20, 45, 90]) {
      const found = gramsForLength(wanted, setting());
      expect(found.reached).toBe(true);
      expect(Math.abs(runDrip(found.value, setting()).restMm - wanted)).toBeLessThan(2);
    }
  });
  it('says the nearest where a length is beyond the side', () => {
    const found = gramsForLength(150, setting({ sideMm: 80 }));
    expect(found.reached).toBe(false);
    expect(found.lengthMm).toBeLessThanOrEqual(80.01);
  });
  it('finds the warmth for a look', () => {
    const found = tempForLength(2, 60, setting());
    expect(found.reached).toBe(true);
    expect(Math.abs(runDrip(2, setting({ fluidC: found.value })).restMm - 60)).toBeLessThan(2);
  });
});

describe('a test drip', () => {
  const made = (stiffer: number, massG: number) => ({
    massG,
    fluidC: 30,
    coatC: 8,
    afterS: 60,
    ratio: 1,
    at: null,
    lengthMm: runDrip(
      massG,
      setting({ fluid: stiffened(ganacheFluid(1.6), stiffer), sideMm: 400 }),
      60,
    ).restMm,
  });
  it('recovers the yield stress it was made with, and says how sure it is', () => {
    for (const stiffer of [0.6, 1, 1.8]) {
      const fit = fitTestDrip(made(stiffer, 2), setting());
      expect(fit.problem).toBeNull();
      expect(fit.stiffer / stiffer).toBeCloseTo(1, 1);
      expect(fit.low).toBeLessThanOrEqual(fit.stiffer);
      expect(fit.high).toBeGreaterThanOrEqual(fit.stiffer);
    }
  });
  it('joins others, and is surer with them', () => {
    const fits = [1.5, 2, 2.6].map((g) => fitTestDrip(made(1.4, g), setting()));
    const joined = combineFits(fits)!;
    expect(joined.stiffer / 1.4).toBeCloseTo(1, 1);
    expect(joined.high / joined.low).toBeLessThan(fits[0]!.high / fits[0]!.low);
    expect(combineFits([])).toBeNull();
  });
  it('that contradicts physics is said', () => {
    const far = fitTestDrip(
      { massG: 0.5, fluidC: 26, coatC: 8, afterS: 60, lengthMm: 390, ratio: 1, at: null },
      setting(),
    );
    expect(far.problem).toContain('ran further');
    const none = fitTestDrip(
      { massG: 2, fluidC: 30, coatC: 8, afterS: 60, lengthMm: 0.5, ratio: 1, at: null },
      setting(),
    );
    expect(none.problem).toContain('did not leave the rim');
    expect(combineFits([far, none])).toBeNull();
  });
});

describe('drips round a rim', () => {
  const wanted = {
    pattern: 'even' as const,
    count: 24,
    lengthMm: 40,
    spreadMm: 15,
    seed: 4,
    curveMm: [],
  };
  it('are even, alternate, differ by a seed, or follow a drawn curve', () => {
    expect(new Set(wantedLengths(wanted))).toEqual(new Set([40]));
    expect(wantedLengths({ ...wanted, pattern: 'alternating' }).slice(0, 4)).toEqual([
      55, 25, 55, 25,
    ]);
    const random = wantedLengths({ ...wanted, pattern: 'random' });
    expect(wantedLengths({ ...wanted, pattern: 'random' })).toEqual(random);
    expect(new Set(random).size).toBe(24);
    for (const mm of random) expect(Math.abs(mm - 40)).toBeLessThanOrEqual(15);
    const curve = wantedLengths({ ...wanted, pattern: 'curve', curveMm: [20, 60] });
    expect(curve[0]).toBeCloseTo(20, 9);
    expect(curve[12]).toBeCloseTo(60, 9);
    expect(curve[18]).toBeCloseTo(40, 9);
  });
  it('fit the rim: no more than it takes, and an even count where they alternate', () => {
    expect(mostDrips(Math.PI * 200, 10)).toBe(54);
    expect(countFor(628, 26, 'even')).toBe(24);
    fc.assert(
      fc.property(fc.double({ min: 200, max: 3000, noNaN: true }), (rim) => {
        expect(countFor(rim, 25, 'alternating') % 2).toBe(0);
      }),
    );
  });
  it('take rim, flood and residue with them', () => {
    const outline = { kind: 'round' as const, diameterMm: 200 };
    const amounts = dripAmounts(
      outline,
      Array.from({ length: 24 }, () => 1.5),
      2.5,
      1.15,
    );
    expect(amounts.dripsG).toBeCloseTo(36, 9);
    expect(amounts.rimG).toBeCloseTo(62.83 * 0.3 * 1.15, 1);
    expect(amounts.floodG).toBeCloseTo((Math.PI * 1e4 * 2.5 * 1.15) / 1000, 6);
    expect(amounts.totalG).toBeCloseTo(
      amounts.dripsG + amounts.rimG + amounts.floodG + amounts.residueG,
      9,
    );
  });
});

describe('a poured cover', () => {
  it('leaves its veil on side and top, and gives the rest back', () => {
    const fluid = ganacheFluid(1.6);
    const round = { kind: 'round' as const, diameterMm: 200 };
    const plan = pourAmounts(round, 100, 1, 1.15);
    const ml = (Math.PI * 200 * 100 * 1 + Math.PI * 100 ** 2 * 2) / 1000;
    expect(plan.staysG).toBeCloseTo(ml * 1.15, 6);
    expect(pourAmounts(round, 100, 1, 1.15, 2).staysG).toBeGreaterThan(1.4 * plan.staysG);
    // docs/model.md#ganache-and-drips: a veil of 1.5 to 2.5 mm wants 25 to 28 C
    expect(tempForVeil(fluid, 1.5)).toBeCloseTo(28, -0.5);
    expect(tempForVeil(fluid, 2.5)).toBeCloseTo(25, -0.5);
    expect(plan.pourG).toBeCloseTo(plan.staysG + plan.trayG, 9);
    expect(standsAtMm(fluid, tempForVeil(fluid, 2))).toBeCloseTo(2, 6);
  });
});
