import { describe, expect, it } from 'vitest';
import { offcutServes, placeFor, type Cut } from '../src/index.ts';
import { answer, base, linesArea, near, plain, plane, round, useSolids } from './solids-kit.ts';

useSolids();

describe('pieces', () => {
  const corner = plane({ id: 'corner', slopeDeg: 45, outMm: 50, upMm: 90 });
  const setOn = (more: Partial<Extract<Cut, { kind: 'set' }>> = {}): Cut => ({
    ...base,
    id: 'set',
    kind: 'set',
    fromCutId: 'corner',
    piece: 0,
    bearingDeg: 0,
    outMm: 30,
    upMm: 120,
    turnDeg: 0,
    tiltDeg: 180,
    glueMm: 2,
    ...more,
  });
  it('an offcut set back on adds its own mass, needs glue, and is no longer spare', () => {
    const without = answer(plain(round(180), 100, [corner]));
    const piece = without.steps[0]!.pieces[0]!;
    const r = answer(plain(round(180), 100, [corner, setOn({ upMm: 100.5 })]));
    expect(r.steps[1]!.problem).toBeNull();
    near(r.leftMl, without.leftMl + piece.ml, 0.01);
    expect(r.steps[0]!.pieces[0]!.usedBy).toBe('set');
    expect(offcutServes(r.steps[0]!.pieces[0]!, [])).toBe('set back');
    expect(offcutServes(piece, [])).toBe('builds');
    const lack = { ml: 9, at: [30, 0, 60] as [number, number, number], sizeMm: piece.sizeMm };
    expect(offcutServes(piece, [lack])).toBe('fills');
    const lacking = { topMm: 100, steps: [{ ...r.steps[0]!, lacks: [lack] }] };
    expect(placeFor(piece, lacking)).toMatchObject({ bearingDeg: 90, outMm: 30 });
    expect(placeFor(piece, { topMm: 100, steps: [] })).toMatchObject({ outMm: 0, upMm: 100 });
    expect(r.glueMl).toBeGreaterThan(1);
    expect(r.held[0]!.areaMm2).toBeGreaterThan(500);
  });
  it('cannot be set twice, in the air, or from a cut that is gone; the cake stays as it was', () => {
    const twice = answer(
      plain(round(180), 100, [corner, setOn({ upMm: 99 }), setOn({ id: 'again', upMm: 140 })]),
    );
    expect(twice.steps[2]!.problem?.text).toContain('already');
    const air = answer(plain(round(180), 100, [corner, setOn({ upMm: 400 })]));
    expect(air.steps[1]!.problem?.text).toContain('touches the cake nowhere');
    expect(air.leftMl).toBeCloseTo(air.steps[0]!.leftMl, 6);
    const gone = answer(plain(round(180), 100, [setOn()]));
    expect(gone.steps[0]!.problem?.text).toContain('no longer there');
  });
  it('two halves are joined on their trimmed faces', () => {
    const halves: Cut = { ...base, id: 'h', kind: 'halves', upMm: 50, trimMm: 4, glueMm: 2 };
    const r = answer(plain(round(180), 100, [halves]));
    near(r.leftMl, (Math.PI * 90 ** 2 * 92) / 1000);
    expect(r.topMm).toBeCloseTo(94, 3);
    near(r.glueMl, (Math.PI * 90 ** 2 * 2) / 1000);
    const uneven = answer(plain(round(180), 100, [{ ...halves, upMm: 30 }]));
    expect(uneven.steps[0]!.note?.text).toContain('not equal');
  });
  it('two halves leave no slit: the frosting between them is coated over and can be cut', () => {
    const halves: Cut = { ...base, id: 'h', kind: 'halves', upMm: 40, trimMm: 2, glueMm: 3 };
    const glued = answer(plain(round(160), 80, [halves]));
    // one cylinder of 80 - 2 x 2 + 3 mm: nothing of the faces inside is surface
    near(glued.surfaceMm2, Math.PI * 80 ** 2 + Math.PI * 160 * 79, 0.003);
    near(glued.leftMl, (Math.PI * 80 ** 2 * 76) / 1000, 0.003);
    near(glued.glueMl, (Math.PI * 80 ** 2 * 3) / 1000, 0.003);
    const halved = answer(
      plain(round(160), 80, [halves, plane({ slopeDeg: 90, outMm: 0, bearingDeg: 90 })]),
    );
    near(halved.surfaceMm2, (Math.PI * 80 ** 2) / 2 + (Math.PI * 80 + 160) * 79, 0.003);
    near(
      halved.section.reduce((sum, part) => sum + linesArea(part.lines), 0),
      80 * 79,
      0.005,
    );
  });
  it('a hole shut under a lid is not coated inside', () => {
    // a core through the lower part, whose upper end the upper half closes
    const upper: Cut = { ...base, id: 'h', kind: 'halves', upMm: 50, trimMm: 0, glueMm: 0 };
    const shut = answer(
      plain(round(160), 80, [
        { ...base, id: 's', kind: 'scoop', bearingDeg: 0, outMm: 0, upMm: 50, radiusMm: 20 },
        upper,
      ]),
    );
    near(shut.surfaceMm2, Math.PI * 80 ** 2 + Math.PI * 160 * 80, 0.003);
    near(shut.leftMl, (Math.PI * 80 ** 2 * 80 - (4 / 3) * Math.PI * 20 ** 3) / 1000, 0.003);
  });
  it('what would leave nothing, or two pieces, is refused with the cake left as it was', () => {
    const all = answer(plain(round(180), 100, [plane({ upMm: -5 })]));
    expect(all.steps[0]!.problem?.text).toContain('whole cake');
    expect(all.leftMl).toBeCloseTo(all.stackMl, 6);
    const pillars: Cut = {
      ...base,
      id: 'two',
      kind: 'silhouette',
      seen: 'front',
      drawn: 'knife',
      points: [
        [-90, 0],
        [-60, 0],
        [0, -10],
        [60, 0],
        [90, 0],
        [90, 100],
        [60, 100],
        [0, -9],
        [-60, 100],
        [-90, 100],
      ],
    };
    const two = answer(plain(round(180), 100, [pillars]));
    expect(two.steps[0]!.problem?.text).toContain('two pieces');
  });
  it('is laid on its side and measured there', () => {
    const flat = plane({ id: 'flat', slopeDeg: 90, bearingDeg: 180, outMm: 60 });
    const lay: Cut = { ...base, id: 'l', kind: 'lay', bearingDeg: 180, overDeg: 90 };
    const r = answer(plain(round(180), 120, [flat, lay]));
    expect(r.topMm).toBeCloseTo(150, 0);
    near(r.footMm2, 2 * Math.sqrt(90 ** 2 - 60 ** 2) * 120, 0.01);
    expect(r.laid).toBe(true);
    near(r.leftMl, r.steps[0]!.leftMl, 1e-6);
  });
});
