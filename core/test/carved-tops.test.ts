import { describe, expect, it } from 'vitest';
import {
  drawElevation,
  lieOn,
  newTopping,
  planBuild,
  readBuildFile,
  topAt,
  writeBuildFile,
  type Cut,
  type Topping,
} from '../src/index.ts';
import { answer, asked, base, pantry, plain, round, useSolids } from './solids-kit.ts';

/* What is set on a carved top lies where the knife left it, and slides where that is too steep. */

useSolids();

const slope = (slopeDeg: number, upMm: number): Cut => ({ ...base, id: 'p', kind: 'plane', bearingDeg: 180, slopeDeg, outMm: 0, upMm, away: 'above' }); // prettier-ignore

describe('the heights of a carved top', () => {
  it('are those of the plane that cut it, and as steep', () => {
    const { tops } = answer(plain(round(200), 120, [slope(30, 60)]));
    const at = (x: number, y: number) => topAt(tops, x, y)!;
    expect(at(0, 0)).toBeCloseTo(60, 0);
    // it falls one way by tan 30°, and not at all across that
    const fall = Math.abs(at(0, 40) - at(0, -40)) + Math.abs(at(40, 0) - at(-40, 0));
    expect(fall).toBeCloseTo(80 * Math.tan(Math.PI / 6), -0.3);
    expect(lieOn(tops, 20, 10).slopeDeg).toBeCloseTo(30, 0);
    expect(topAt(tops, 400, 0)).toBeNull();
    expect(lieOn(tops, 400, 0)).toEqual({ downMm: 0, slopeDeg: 0 });
  });
  it('of one that is cut level are all the same', () => {
    const { tops, topMm } = answer(plain(round(200), 120, [slope(0, 70)]));
    for (const [x, y] of [
      [0, 0],
      [50, 20],
      [-60, 40],
    ] as const) {
      // prettier-ignore
      expect(topAt(tops, x, y)).toBeCloseTo(topMm, 1);
      expect(lieOn(tops, x, y).slopeDeg).toBeCloseTo(0, 5);
    }
  });
});

describe('what is set on it', () => {
  const topped = (degrees: number, more: Partial<Topping> = {}) => {
    const { build } = asked([slope(degrees, 60)], (tier) => {
      tier.toppings = [
        {
          ...newTopping('nuts'),
          name: 'nuts',
          count: 8,
          odd: false,
          pieceG: 60,
          acrossMm: 18,
          ...more,
        },
      ];
    });
    const question = planBuild(build, pantry).tiers[0]!.carve!.question;
    const result = answer(question);
    const plan = planBuild(build, pantry, (key) => (key === result.key ? result : undefined));
    return { build, plan, result, one: plan.tiers[0]!.finish.toppings[0]! };
  };
  it('lies so far under the highest place as the cake does, in section and front', () => {
    const { build, plan, result, one } = topped(25);
    expect(one.lies).toHaveLength(one.count);
    one.places.forEach(({ x, y }, k) => {
      const { downMm, slopeDeg } = one.lies[k]!;
      expect(downMm).toBeCloseTo(result.topMm - topAt(result.tops, x, y)!, 0);
      expect(slopeDeg).toBeGreaterThan(15);
    });
    const lows = drawElevation(build, plan, pantry).shapes.filter(({ kind }) => kind === 'topping').map(({ y0 }) => y0); // prettier-ignore
    const deepest = Math.max(...one.lies.map(({ downMm }) => downMm));
    const shallow = Math.min(...one.lies.map(({ downMm }) => downMm));
    expect(Math.max(...lows) - Math.min(...lows)).toBeCloseTo(deepest - shallow, 6);
    expect(deepest - shallow).toBeGreaterThan(20);
  });
  it('slides where that is too steep, says so, and does not on a pick or on a level top', () => {
    const steep = topped(40);
    expect(steep.one.steepestDegrees).toBeLessThan(40);
    // one may lie where the cut left the top level
    expect(steep.one.sliding).toBeGreaterThanOrEqual(steep.one.count - 1);
    expect(steep.plan.cautions.some(({ id }) => id.endsWith('/slope') || id.includes('slope'))).toBe(true); // prettier-ignore
    const level = topped(0);
    expect(level.one.sliding).toBe(0);
    expect(level.plan.cautions.some(({ id }) => id.includes('slope'))).toBe(false);
    expect(topped(40, { pick: 'stick' }).one.sliding).toBe(0);
  });
  it('travels in the file with the heights that the solids found', () => {
    const { build, result } = topped(25);
    const read = readBuildFile(writeBuildFile(build, pantry, [result]));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.carvings.map(({ tops }) => tops)).toEqual([result.tops]);
  });
});
