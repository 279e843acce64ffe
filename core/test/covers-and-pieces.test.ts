import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fondantGPerMl, paperStrips, planBoardCover, planFondant } from '../src/covers/fondant.ts';
import { sinks, steepestDegrees } from '../src/toppings/holds.ts';
import { drizzleG, heapG, heapHighMm, heapSlopeDeg, reposeDeg, studdedFactor, trayFor, wreathG } from '../src/toppings/tray.ts'; // prettier-ignore
import { areaMm2, findRow, newBuild, perimeterMm, startingPantry, type Outline, type Tier } from '../src/index.ts'; // prettier-ignore

/* What lies over a cake and on it: closed forms. */

const pantry = startingPantry();
const covered = (mm: number, allowanceMm: number): Tier => {
  const [tier] = newBuild('b', 'b', '2027-05-03T09:30:00Z').tiers;
  tier!.fondant = { way: 'draped', mm, allowanceMm, tint: '' };
  return tier!;
};
const round = (diameterMm: number): Outline => ({ kind: 'round', diameterMm });

describe('a sheet of fondant', () => {
  it('is as wide as the cake, its height twice, and what is allowed on each side', () => {
    const { sheet, rolledG } = planFondant(covered(4, 25), round(200), 100)!;
    expect(sheet).toEqual({ acrossMm: 450, deepMm: 450, isDisc: true });
    expect(rolledG).toBeCloseTo(((Math.PI / 4) * 450 ** 2 * 4 * fondantGPerMl) / 1000, 6);
    const box = planFondant(covered(4, 25), { kind: 'rectangle', widthMm: 300, depthMm: 200, cornerMm: 0 }, 80)!; // prettier-ignore
    expect(box.sheet).toEqual({ acrossMm: 510, deepMm: 410, isDisc: false });
  });
  it('is on the cake or comes back, and none where there is none', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 400 }),
        fc.integer({ min: 30, max: 250 }),
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 0, max: 80 }),
        (wideMm, highMm, mm, allowanceMm) => {
          const plan = planFondant(covered(mm, allowanceMm), round(wideMm), highMm)!;
          expect(plan.onCakeG + plan.trimG).toBeCloseTo(plan.rolledG, 6);
          expect(plan.trimG).toBeGreaterThanOrEqual(0);
          // top and side, and the thickness of the rim
          const bare = ((areaMm2(round(wideMm)) + perimeterMm(round(wideMm)) * highMm) * mm * fondantGPerMl) / 1000; // prettier-ignore
          expect(plan.onCakeG).toBeGreaterThan(0.99 * Math.min(bare, plan.rolledG));
          expect(areaMm2(plan.finished)).toBeGreaterThan(areaMm2(round(wideMm)));
        },
      ),
    );
    const [bare] = newBuild('b', 'b', '2027-05-03T09:30:00Z').tiers;
    expect(planFondant(bare!, round(200), 100)).toBeNull();
  });
  it('on the board goes a finger under the cake, with a ribbon round the edge', () => {
    const cover = planBoardCover(round(300), round(200), 3)!;
    expect(cover.ringMm).toBeCloseTo(60, 9);
    expect(cover.massG).toBeCloseTo((((Math.PI / 4) * (300 ** 2 - 180 ** 2)) * 3 * fondantGPerMl) / 1000, 6); // prettier-ignore
    expect(cover.ribbonMm).toBeCloseTo(Math.PI * 300 + 20, 6);
    expect(planBoardCover(round(300), round(200), 0)).toBeNull();
    expect(planBoardCover(round(180), round(200), 3)!.massG).toBe(0);
  });
  it('or paper keeps it clean: four strips that overlap and show beyond the cake', () => {
    const strips = paperStrips(round(200), round(300));
    expect(strips.count * (strips.lengthMm - 40)).toBeCloseTo(Math.PI * 200, 6);
    expect(strips.wideMm).toBeGreaterThan(50);
    expect(paperStrips(round(200), round(500)).wideMm).toBeGreaterThan(strips.wideMm);
    expect(paperStrips(round(200), null).wideMm).toBeGreaterThanOrEqual(60);
  });
});

describe('a slab that is broken', () => {
  it('is poured for its whole pieces, and what does not break well is crushed', () => {
    const tray = trayFor(20, 900, 5, 1.3, 0.75);
    expect(tray.wholeG).toBeCloseTo((20 * 900 * 5 * 1.3) / 1000, 9);
    expect(tray.massG).toBeCloseTo(tray.wholeG / 0.75, 9);
    expect(tray.crushedG).toBeCloseTo(tray.massG - tray.wholeG, 9);
    expect(tray.sideMm ** 2).toBeCloseTo(tray.trayMm2, 6);
    // what runs in the oven wants a larger tray and no more to pour
    const runs = trayFor(20, 900, 5, 1.3, 0.75, 1.6);
    expect([runs.massG, runs.trayMm2 / tray.trayMm2]).toEqual([tray.massG, 1.6]);
    expect(Number.isFinite(trayFor(20, 900, 5, 1.3, 0).massG)).toBe(true);
  });
});

describe('loose pieces', () => {
  it('pile as steep as they lie, and weigh their cone', () => {
    const high = heapHighMm(120);
    expect(high).toBeCloseTo(60 * Math.tan((40 * Math.PI) / 180), 9);
    expect(heapSlopeDeg(120, high)).toBeCloseTo(reposeDeg.usual, 9);
    expect(heapHighMm(120, reposeDeg.max)).toBeGreaterThan(heapHighMm(120, reposeDeg.min));
    expect(heapG(120, high, 0.6, 1)).toBeCloseTo(((Math.PI * 60 ** 2 * high) / 3) * 0.0006, 6);
    // twice as wide at the same slope is eight times as much
    expect(heapG(240, heapHighMm(240), 0.6, 1)).toBeCloseTo(8 * heapG(120, high, 0.6, 1), 6);
  });
  it('in a wreath or a drizzle are half a round roll along their line', () => {
    expect(wreathG(600, 40, 0.6, 1.1)).toBeCloseTo((600 * (Math.PI * 20 ** 2) / 2 * 0.6 * 1.1) / 1000, 9); // prettier-ignore
    expect(drizzleG(500, 4, 1.2)).toBeCloseTo((500 * ((Math.PI * 4) / 2) * 1.2) / 1000, 9);
  });
  it('make a veil take more, the more of them and the higher', () => {
    expect(studdedFactor(0, 8, 8)).toBe(1);
    expect(studdedFactor(0.5, 8, 8)).toBeCloseTo(2, 9);
    expect(studdedFactor(0.5, 8, 0)).toBeCloseTo(9, 9);
    // needles 60 mm high: a veil of 3 mm fills the room between them, 0.5 × 60 / 3, and no more
    expect(studdedFactor(0.5, 60, 1, 3)).toBeCloseTo(11, 9);
    expect(studdedFactor(0.5, 8, 8, 3)).toBeCloseTo(2, 9);
  });
});

describe('a piece on a slope', () => {
  const frosting = findRow(pantry, 'spreads', 'buttercream');
  const berry = { massG: 5, contactCm2: 1.5 };
  it('stays as steep as the frosting holds it, on a firm one on the upright side', () => {
    const warm = steepestDegrees(berry, frosting, 30);
    const cold = steepestDegrees(berry, frosting, 4);
    expect(cold).toBeGreaterThanOrEqual(warm);
    expect(steepestDegrees({ ...berry, massG: 0.001 }, frosting, 21)).toBe(90);
    const soft = { ...frosting, stress21Pa: 20, stress4Pa: 20 };
    // sin of the angle: yield stress times contact over its weight
    const holdsN = 20 * berry.contactCm2 * 1e-4;
    expect(Math.sin((steepestDegrees(berry, soft, 21) * Math.PI) / 180)).toBeCloseTo(holdsN / (5 * 0.00981), 3); // prettier-ignore
    expect(steepestDegrees({ ...berry, massG: 500 }, soft, 21)).toBeLessThan(1);
  });
  it('sinks in where it presses more than six times what the top bears', () => {
    const soft = { ...frosting, stress21Pa: 50, stress4Pa: 50 };
    // 300 Pa under 1.5 cm2: 4.6 g
    expect(sinks({ massG: 4.4, contactCm2: 1.5 }, soft, 21)).toBe(false);
    expect(sinks({ massG: 4.8, contactCm2: 1.5 }, soft, 21)).toBe(true);
    expect(sinks({ massG: 4.8, contactCm2: 3 }, soft, 21)).toBe(false);
  });
});
