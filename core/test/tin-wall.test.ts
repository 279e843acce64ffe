import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  fillHeightMm,
  mouldOf,
  newBuild,
  planBuild,
  setMould,
  tinOutlineAt,
  tinVolumeMl,
  wallShareAt,
  widthMm,
  type Tin,
} from '../src/index.ts';
import { MeshProblem, tinWallFrom } from '../src/solids/index.ts';
import { writeStl } from '../src/solids/stl.ts';
import { pantry } from './arbitrary.ts';

/* Moulds whose wall is drawn, by hand or from a solid of what they hold. */

const drawn = (wall: number[], more: Partial<Tin> = {}): Tin => ({
  ...pantry.tins.find(({ id }) => id === 'round-20')!,
  id: 'drawn',
  form: 'drawn',
  depthMm: 60,
  wall,
  ...more,
});

/** A body of revolution as an STL file: radii at heights, closed at both ends. */
function turned(profile: readonly [z: number, r: number][], round = 180, stretch = 1): Uint8Array {
  const points: number[] = [];
  const triangles: number[] = [];
  const at = (k: number, i: number): number => k * round + (i % round);
  for (const [z, r] of profile)
    for (let i = 0; i < round; i++) {
      const a = (2 * Math.PI * i) / round;
      points.push(stretch * r * Math.cos(a), r * Math.sin(a), z);
    }
  for (let k = 0; k + 1 < profile.length; k++)
    for (let i = 0; i < round; i++)
      triangles.push(at(k, i), at(k, i + 1), at(k + 1, i + 1), at(k, i), at(k + 1, i + 1), at(k + 1, i)); // prettier-ignore
  const last = profile.length - 1;
  const [low, high] = [points.length / 3, points.length / 3 + 1];
  points.push(0, 0, profile[0]![0], 0, 0, profile[last]![0]);
  for (let i = 0; i < round; i++)
    triangles.push(low, at(0, i + 1), at(0, i), high, at(last, i), at(last, i + 1));
  return writeStl(points, triangles);
}
/** A round of so many sides has less area than the round. */
const polygonArea = (r: number, n = 180): number => (n / 2) * r * r * Math.sin((2 * Math.PI) / n);

describe('a drawn wall', () => {
  it('is as wide as it is drawn, straight between its heights, and goes on over the brim', () => {
    const tin = drawn([0.5, 1, 0.8]);
    expect(widthMm(tinOutlineAt(tin, 0))).toBeCloseTo(100, 9);
    expect(widthMm(tinOutlineAt(tin, 15))).toBeCloseTo(150, 9);
    expect(widthMm(tinOutlineAt(tin, 30))).toBeCloseTo(200, 9);
    expect(widthMm(tinOutlineAt(tin, 90))).toBeCloseTo(160, 9);
    expect(wallShareAt([], 0.4)).toBe(1);
  });
  it('holds what its frustums do', () => {
    const cone = drawn([0.5, 1]);
    expect(tinVolumeMl(cone, 60)).toBeCloseTo((Math.PI * 60 * (50 ** 2 + 50 * 100 + 100 ** 2)) / 3000, 6); // prettier-ignore
    expect(tinVolumeMl(drawn([1, 1, 1]), 30)).toBeCloseTo((Math.PI * 100 ** 2 * 30) / 1000, 6);
    const share = fc.double({ min: 0.05, max: 1, noNaN: true });
    fc.assert(
      fc.property(fc.array(share, { minLength: 2, maxLength: 12 }), share, (wall, up) => {
        const tin = drawn(wall);
        // summed in thin slices
        let sum = 0;
        const steps = 4000;
        for (let i = 0; i < steps; i++) {
          const z = ((i + 0.5) * up * 60) / steps;
          sum += (areaMm2(tinOutlineAt(tin, z)) * up * 60) / steps / 1000;
        }
        expect(tinVolumeMl(tin, up * 60) / sum).toBeCloseTo(1, 4);
        expect(fillHeightMm(tin, tinVolumeMl(tin, up * 60))).toBeCloseTo(up * 60, 4);
      }),
      { numRuns: 30, seed: 5 },
    );
  });
});

describe('a mould from a solid file', () => {
  const cone = turned([[0, 40], [20, 60], [50, 90]]); // prettier-ignore
  it('has the depth, the widths and the volume of the solid', () => {
    const read = tinWallFrom(cone);
    expect(read.depthMm).toBeCloseTo(50, 4);
    expect(read.outline.kind).toBe('round');
    expect(widthMm(read.outline)).toBeCloseTo(2 * Math.sqrt(polygonArea(90) / Math.PI), 1);
    const frustum = (h: number, a: number, b: number): number =>
      (h * (polygonArea(a) + polygonArea(b) + Math.sqrt(polygonArea(a) * polygonArea(b)))) / 3000;
    const exact = frustum(20, 40, 60) + frustum(30, 60, 90);
    expect(read.volumeMl).toBeCloseTo(exact, 3);
    const tin = drawn(read.wall, { outline: read.outline, depthMm: read.depthMm });
    expect(tinVolumeMl(tin, read.depthMm) / exact).toBeCloseTo(1, 2);
    expect(widthMm(tinOutlineAt(tin, 20))).toBeCloseTo(120, 0);
  });
  it('drawn in inches or centimetres holds as much more', () => {
    const mm = tinWallFrom(cone, 'mm').volumeMl;
    expect(tinWallFrom(turned([[0, 4], [2, 6], [5, 9]]), 'cm').volumeMl).toBeCloseTo(mm, 1); // prettier-ignore
    expect(tinWallFrom(turned([[0, 1], [2, 3]]), 'in').depthMm).toBeCloseTo(50.8, 3); // prettier-ignore
  });
  it('stands with its wider end up, whichever way it was drawn, and says so', () => {
    const over = tinWallFrom(turned([[0, 90], [30, 60], [50, 40]])); // prettier-ignore
    expect(over.notes.join(' ')).toMatch(/turned/);
    expect(tinWallFrom(cone).notes).toEqual([]);
    over.wall.forEach((share, i) => expect(share).toBeCloseTo(tinWallFrom(cone).wall[i]!, 2));
  });
  it('longer than wide is an oval of equal area', () => {
    const read = tinWallFrom(turned([[0, 40], [50, 80]], 180, 1.5)); // prettier-ignore
    expect(read.outline).toMatchObject({ kind: 'oval' });
    expect(areaMm2(read.outline) / (1.5 * polygonArea(80))).toBeCloseTo(1, 2);
    expect(widthMm(read.outline)).toBeCloseTo(240, 0);
  });
  it('of many triangles is read, and what is no solid is refused in words', () => {
    const fine = turned(Array.from({ length: 900 }, (_, i) => [i / 20, 60 + i / 40]), 180); // prettier-ignore
    expect(tinWallFrom(fine).depthMm).toBeCloseTo(44.95, 3);
    expect(() => tinWallFrom(cone.slice(0, -60))).toThrow(MeshProblem);
  });
  it('shapes a cream that sets in it', () => {
    const { outline, depthMm, wall } = tinWallFrom(cone);
    const tin = drawn(wall, { outline, depthMm });
    const own = { ...pantry, tins: [...pantry.tins, tin] };
    const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
    setMould(build.tiers[0]!, { tinId: 'drawn', order: 'upside down', setIn: 'freezer' }, own);
    const plan = planBuild(build, own).tiers[0]!;
    expect(plan.mould).toEqual(mouldOf(build.tiers[0]!, own.tins));
    // its foot was the brim
    expect(widthMm(build.tiers[0]!.outline)).toBeCloseTo(180, 0);
    expect(plan.massG!).toBeGreaterThan(0);
  });
});
