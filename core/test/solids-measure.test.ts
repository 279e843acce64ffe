import { describe, expect, it } from 'vitest';
import { carveKey, type CarveQuestion, type Cut, type Outline } from '../src/index.ts';
import { carveView } from '../src/solids/index.ts';
import {
  answer,
  asked,
  base,
  carver,
  linesArea,
  near,
  plain,
  plane,
  round,
  useSolids,
} from './solids-kit.ts';

useSolids();

describe('what is measured on it', () => {
  it('a line is drawn over the cake as it lies before it', () => {
    const line = (seen: 'front' | 'side'): Cut => ({
      ...base,
      id: 'line',
      kind: 'silhouette',
      seen,
      drawn: 'knife',
      points: [
        [-20, 0],
        [20, 0],
        [20, 300],
        [-20, 300],
      ],
    });
    const laid: Cut = { ...base, id: 'lay', kind: 'lay', bearingDeg: 90, overDeg: 90 };
    const box = (lines: [number, number][][]): [number, number] => [
      Math.max(...lines.flat().map((p) => p[0])) - Math.min(...lines.flat().map((p) => p[0])),
      Math.max(...lines.flat().map((p) => p[1])),
    ];
    const upright = answer(plain(round(160), 60, [line('front')])).steps[0]!;
    expect(box(upright.behind)[0]).toBeCloseTo(160, 0);
    expect(box(upright.behind)[1]).toBeCloseTo(60, 1);
    // laid over to the right: as wide as it was high, and as high as it was wide
    const lying = answer(plain(round(160), 60, [laid, line('front')])).steps;
    expect(lying[0]!.behind).toEqual([]);
    expect(box(lying[1]!.behind)[0]).toBeCloseTo(60, 1);
    expect(box(lying[1]!.behind)[1]).toBeCloseTo(160, 0);
    const side = answer(plain(round(160), 60, [laid, line('side')])).steps[1]!;
    expect(box(side.behind)[0]).toBeCloseTo(160, 0);
  });
  it('guides give the distance from the axis at 24 bearings', () => {
    const box = plain({ kind: 'square', sideMm: 200, cornerMm: 0 }, 100, [plane({ upMm: 80 })]);
    const [foot] = answer(box).guides;
    expect(foot!.outMm).toHaveLength(24);
    expect(foot!.outMm[0]).toBeCloseTo(100, 1);
    expect(foot!.outMm[3]).toBeCloseTo(100 * Math.SQRT2, 1);
    expect(foot!.outMm[1]).toBeCloseTo(100 / Math.cos(Math.PI / 12), 1);
  });
  it('a waist, an overhang and a cake that falls are told', () => {
    const hourglass: Cut = {
      ...base,
      id: 'w',
      kind: 'profile',
      points: [
        [70, 0],
        [25, 60],
        [80, 120],
      ],
      curved: false,
      drawn: 'knife',
    };
    const waist = answer(plain(round(180), 120, [hourglass]));
    near(waist.neck!.upMm, 60, 0.05);
    near(waist.neck!.acrossMm, 50, 0.1);
    near(waist.overhang.mm, 10, 0.05);
    expect(waist.stands).toBe(true);
    expect(waist.drapes).toBe(false);
    const undercut = plane({ bearingDeg: 90, slopeDeg: 40, outMm: 0, upMm: 60, away: 'below' });
    const turned = answer(plain(round(180), 120, [undercut]));
    expect(turned.steps[0]!.problem).toBeNull();
    expect(turned.stands).toBe(false);
  });
  it('seams of panels are as long as the edges that meet: box, cylinder and half ball', () => {
    const seams = (outline: Outline, heightMm: number, cuts: Cut[] = []) => {
      const { panels } = answer(plain(outline, heightMm, [...cuts, plane({ upMm: heightMm - 1 })]));
      return Object.fromEntries(panels.map((panel) => [panel.name, panel]));
    };
    const box = seams({ kind: 'rectangle', widthMm: 200, depthMm: 120, cornerMm: 0 }, 81);
    near(box.top!.seamMm, 2 * (200 + 120));
    near(box.front!.seamMm, 200 + 2 * 80);
    near(box.right!.seamMm, 120 + 2 * 80);
    near(box.front!.areaMm2, 200 * 80);
    const drum = seams(round(160), 81);
    near(drum.top!.seamMm, Math.PI * 160);
    near(drum.back!.seamMm, (Math.PI * 160) / 4 + 2 * 80, 0.01);
    near(drum.back!.areaMm2, (Math.PI * 160 * 80) / 4, 0.01);
    // on a ball the seam between two sides is an arc of a great circle from corner to corner
    const ball = answer(
      plain(round(200), 100, [
        {
          ...base,
          id: 'd',
          kind: 'profile',
          curved: false,
          drawn: 'knife',
          points: Array.from({ length: 61 }, (_, i): [number, number] => {
            const up = (i / 60) * (Math.PI / 2);
            return [99.9 * Math.cos(up), 99.9 * Math.sin(up)];
          }),
        },
      ]),
    ).panels;
    const top = ball.find((panel) => panel.name === 'top')!;
    near(top.seamMm, 4 * 2 * Math.atan(Math.SQRT1_2) * 99.9, 0.01);
    // a sixth of the whole ball
    near(top.areaMm2, (4 / 6) * Math.PI * 99.9 ** 2, 0.01);
  });
  it('the parts of the section add up to the whole of it', () => {
    const { question } = asked([plane({ slopeDeg: 45, bearingDeg: 90, outMm: 60, upMm: 80 })]);
    const r = answer(question);
    const parts = r.section.reduce((sum, { lines }) => sum + linesArea(lines), 0);
    near(parts, linesArea(r.sectionLines), 0.002);
    near(linesArea(r.plan), Math.PI * 100 ** 2, 0.01);
  });
  it('the view has every part, and offcuts beside the cake', () => {
    const { question } = asked([plane({ slopeDeg: 45, outMm: 60, upMm: 80 })]);
    carver.carve(question);
    const view = carveView(carver, null);
    expect(view.pieces[0]!.parts).toContain('gap/0');
    expect(view.offcuts).toHaveLength(1);
    const open = carveView(carver, 0);
    expect(open.pieces[0]!.corners.length).toBeGreaterThan(0);
    // no corner of the opened cake lies in front of where it was opened
    for (let i = 1; i < open.pieces[0]!.corners.length; i += 3)
      expect(open.pieces[0]!.corners[i]).toBeGreaterThan(-0.01);
  });
  it('the view shades a curved face without its facets, and a sharp edge as one', () => {
    carver.carve(plain(round(160), 80, [plane({ upMm: 60 })]));
    for (const { corners, normals } of carveView(carver, null).pieces)
      for (let k = 0; k < corners.length; k += 3) {
        const [x, y] = [corners[k]!, corners[k + 1]!];
        const up = normals[k + 2]!;
        // level on top, at the foot level below, and on the side straight out from the axis
        if (Math.abs(up) > 0.5) expect(Math.abs(up)).toBeCloseTo(1, 3);
        else {
          const out = Math.hypot(x, y);
          expect((normals[k]! * x + normals[k + 1]! * y) / out).toBeGreaterThan(0.9999);
        }
      }
  });
  it('the same question has the same key, another a different one', () => {
    const a = plain(round(180), 100, [plane({ upMm: 40 })]);
    expect(carveKey(a)).toBe(carveKey(JSON.parse(JSON.stringify(a)) as CarveQuestion));
    expect(carveKey(a)).toBe(carveKey({ ...a, tierId: 'another' }));
    expect(carveKey(a)).not.toBe(carveKey(plain(round(180), 100, [plane({ upMm: 41 })])));
  });
});
