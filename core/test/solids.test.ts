import { describe, expect, it } from 'vitest';
import { type Cut, type Outline } from '../src/index.ts';
import { measuredCoat } from '../src/solids/index.ts';
import { answer, base, carver, cover, near, plain, plane, round, useSolids } from './solids-kit.ts';

useSolids();

describe('volumes, surfaces and centres against closed forms', () => {
  it('a cylinder cut level', () => {
    const r = answer(plain(round(160), 100, [plane({ upMm: 60 })]));
    near(r.leftMl, (Math.PI * 80 ** 2 * 60) / 1000);
    near(r.centre[2], 30);
    near(r.surfaceMm2, Math.PI * 80 ** 2 + 2 * Math.PI * 80 * 60);
    expect(r.topMm).toBeCloseTo(60, 6);
    near(r.footMm2, Math.PI * 80 ** 2);
  });
  it('a wedge of a cylinder: half of it on the mean, its centre moved aside', () => {
    // from the top on one side to the foot on the other: half the cylinder
    const slopeDeg = (Math.atan2(100, 160) * 180) / Math.PI;
    const r = answer(plain(round(160), 100, [plane({ slopeDeg, upMm: 50, bearingDeg: 90 })]));
    near(r.leftMl, (Math.PI * 80 ** 2 * 50) / 1000);
    // an ungula's centroid lies r/4 towards its high side, 5h/16 up
    near(r.centre[0], -80 / 4);
    near(r.centre[2], (5 / 16) * 100);
    expect(Math.abs(r.centre[1])).toBeLessThan(0.1);
  });
  it('a dome turned from it: a half ball', () => {
    const points = Array.from({ length: 33 }, (_, i): [number, number] => {
      const a = (Math.PI / 2) * (i / 32);
      return [80 * Math.cos(a), 80 * Math.sin(a)];
    });
    const dome: Cut = { ...base, id: 'd', kind: 'profile', points, curved: false, drawn: 'knife' };
    const r = answer(plain(round(160), 90, [dome]));
    near(r.leftMl, ((2 / 3) * Math.PI * 80 ** 3) / 1000);
    near(r.centre[2], (3 / 8) * 80);
    near(r.surfaceMm2, 2 * Math.PI * 80 ** 2);
  });
  it('a frustum, and the same by its finished line under a coat', () => {
    const cone = (drawn: 'finished' | 'knife'): Cut => ({
      ...base,
      id: 'c',
      kind: 'profile',
      points: [
        [80, 0],
        [40, 120],
      ],
      curved: false,
      drawn,
    });
    const frustum = (R: number, r: number, h: number): number =>
      ((Math.PI * h) / 3) * (R * R + R * r + r * r);
    const bare = answer(plain(round(160), 120, [cone('knife')]));
    near(bare.leftMl, frustum(80, 40, 120) / 1000);
    const coated = {
      ...plain(round(160), 120, [cone('finished')]),
      cover: { ...cover, sideMm: 5 },
    };
    const inner = answer(coated);
    // the slanted side moves in by 5 mm square to itself, the top comes down by 5 mm
    const aside = 5 / Math.cos(Math.atan2(40, 120));
    near(inner.leftMl, frustum(80 - aside, 40 - aside + 5 / 3, 115) / 1000);
    expect(inner.topMm).toBeCloseTo(115, 1);
  });
  it('a scoop: a cap of the ball where it meets the side', () => {
    const scoop: Cut = {
      ...base,
      id: 's',
      kind: 'scoop',
      bearingDeg: 0,
      outMm: 0,
      upMm: 100,
      radiusMm: 30,
    };
    const r = answer(plain({ kind: 'square', sideMm: 200, cornerMm: 0 }, 100, [scoop]));
    near(r.steps[0]!.removedMl, ((2 / 3) * Math.PI * 30 ** 3) / 1000);
  });
  it('a bevel and a rounding all round', () => {
    const edge = (form: 'bevelled' | 'rounded'): Cut => ({
      ...base,
      id: 'e',
      kind: 'edge',
      form,
      where: 'top',
      sizeMm: 20,
    });
    const box: Outline = { kind: 'square', sideMm: 160, cornerMm: 0 };
    const bevel = answer(plain(box, 100, [edge('bevelled')]));
    // a frustum of a pyramid on top
    const top = (20 / 3) * (160 ** 2 + 120 ** 2 + 160 * 120);
    near(bevel.leftMl, (160 ** 2 * 80 + top) / 1000);
    const rounded = answer(plain(round(160), 100, [edge('rounded')]));
    // Pappus: the corner's area outside the quarter round, turned round the axis
    const area = (1 - Math.PI / 4) * 400;
    const at = 80 - (20 * (10 - 3 * Math.PI)) / (12 - 3 * Math.PI);
    near(rounded.steps[0]!.removedMl, (2 * Math.PI * at * area) / 1000, 0.02);
    // true arcs: the quarter of a torus, to a hundredth; eight flat steps had a sixth too much
    const [R, e] = [80, 20];
    const arcs = plain(round(2 * R), 100, [{ ...edge('rounded'), sizeMm: e } as Cut]);
    const quarter = 2 * Math.PI * ((R - e) * (Math.PI / 2) * e + e * e);
    near(
      answer(arcs).surfaceMm2,
      // the surface is without the foot
      2 * Math.PI * R * (100 - e) + quarter + Math.PI * (R - e) ** 2,
      0.01,
    );
    const cone = plain(round(2 * R), 100, [{ ...edge('bevelled'), sizeMm: e } as Cut]);
    near(
      answer(cone).surfaceMm2,
      2 * Math.PI * R * (100 - e) + Math.PI * (R + R - e) * e * Math.SQRT2 + Math.PI * (R - e) ** 2,
      0.01,
    );
  });
  it.each(['top', 'foot'] as const)(
    'a rounded %s of a ring: its rim and the rim of its hole',
    (where) => {
      const [R, r, e, h] = [100, 40, 15, 60];
      const edge: Cut = { ...base, id: 'e', kind: 'edge', form: 'rounded', where, sizeMm: e };
      const ring = answer(plain({ kind: 'ring', diameterMm: 2 * R, holeMm: 2 * r }, h, [edge]));
      const outer = 2 * Math.PI * ((R - e) * (Math.PI / 2) * e + e * e);
      const inner = 2 * Math.PI * ((r + e) * (Math.PI / 2) * e - e * e);
      const level = where === 'top' ? (R - e) ** 2 - (r + e) ** 2 : R ** 2 - r ** 2;
      near(
        ring.surfaceMm2,
        2 * Math.PI * (R + r) * (h - e) + outer + inner + Math.PI * level,
        0.01,
      );
      // Pappus for the corners cut away on either side
      const corner = (1 - Math.PI / 4) * e * e;
      const middle = (e * (10 - 3 * Math.PI)) / (12 - 3 * Math.PI);
      near(
        ring.steps[0]!.removedMl,
        (2 * Math.PI * (R - middle + r + middle) * corner) / 1000,
        0.02,
      );
    },
  );
  it('a bevel round an L: its hollow corner leaves a quarter of a cone', () => {
    const [a, b, e, h] = [200, 100, 20, 80];
    const points: [number, number][] = [
      [-a / 2, -a / 2],
      [a / 2, -a / 2],
      [a / 2, b - a / 2],
      [b - a / 2, b - a / 2],
      [b - a / 2, a / 2],
      [-a / 2, a / 2],
    ];
    const edge: Cut = {
      ...base,
      id: 'e',
      kind: 'edge',
      form: 'bevelled',
      where: 'top',
      sizeMm: e,
    };
    const foot = 3 * b * b;
    const round4 = 4 * a;
    // five corners lose twice the inset, the hollow one gains an arc
    const within = round4 - 10 * e + (Math.PI / 2) * e;
    const top = foot - (e * (round4 + within)) / 2;
    const l = answer(plain({ kind: 'path', name: 'L', points }, h, [edge]));
    near(l.surfaceMm2, round4 * (h - e) + (Math.SQRT2 * e * (round4 + within)) / 2 + top, 0.005);
  });
  it('a groove and a core', () => {
    const groove: Cut = { ...base, id: 'g', kind: 'groove', upMm: 40, widthMm: 10, depthMm: 8 };
    const core: Cut = {
      ...base,
      id: 'k',
      kind: 'core',
      bearingDeg: 90,
      outMm: 20,
      upMm: 30,
      diameterMm: 40,
    };
    const r = answer(plain(round(160), 100, [groove, core]));
    near(r.steps[0]!.removedMl, (Math.PI * (80 ** 2 - 72 ** 2) * 10) / 1000);
    near(r.steps[1]!.removedMl, (Math.PI * 20 ** 2 * 70) / 1000);
  });
  it('a coat on a half ball, reckoned and measured', () => {
    const points = Array.from({ length: 33 }, (_, i): [number, number] => {
      const a = (Math.PI / 2) * (i / 32);
      return [75 * Math.cos(a), 75 * Math.sin(a)];
    });
    const dome: Cut = { ...base, id: 'd', kind: 'profile', points, curved: false, drawn: 'knife' };
    const question = {
      ...plain(round(150), 80, [dome]),
      cover: { crumbMm: 2, sideMm: 5, topMm: 5, fondantMm: 3 },
    };
    const r = answer(question);
    const shell = (a: number, b: number): number => ((2 / 3) * Math.PI * (b ** 3 - a ** 3)) / 1000;
    near(r.coat.crumbMl, shell(75, 77), 0.01);
    near(r.coat.coatMl, shell(77, 82), 0.01);
    const exact = measuredCoat(carver, question.cover);
    near(exact.crumbMl, shell(75, 77));
    near(exact.coatMl, shell(77, 82));
    near(exact.fondantMl, shell(82, 85));
    near(exact.finishedMm2, 2 * Math.PI * 85 ** 2, 0.01);
  });
});
