import { describe, expect, it } from 'vitest';
import { type Cut } from '../src/index.ts';
import { answer, base, near, plain, round, useSolids } from './solids-kit.ts';

useSolids();

describe('flutes', () => {
  const cut = (fromMm: number, toMm: number): Cut => ({
    ...base,
    id: 'f',
    kind: 'flutes',
    count: 12,
    depthMm: 8,
    widthMm: 20,
    fromMm,
    toMm,
  });
  it('run out at top and foot, and leave no skin that counts as surface', () => {
    const whole = answer(plain(round(160), 100, []));
    const fluted = answer(plain(round(160), 100, [cut(0, 100)]));
    // as high as the cake and no higher: the same section all the way, so foot and top lose alike
    const area = (fluted.leftMl / whole.leftMl) * Math.PI * 80 ** 2;
    const inner = answer(plain(round(160), 200, [cut(0, 200)]));
    const side = (inner.surfaceMm2 - fluted.surfaceMm2) / 100;
    near(fluted.surfaceMm2, area + side * 100, 0.01);
    near(fluted.footMm2, area, 0.01);
  });
  it('never add cake, whichever end is named first', () => {
    const up = answer(plain(round(160), 100, [cut(20, 80)]));
    const down = answer(plain(round(160), 100, [cut(80, 20)]));
    near(down.leftMl, up.leftMl, 1e-6);
    expect(down.leftMl).toBeLessThan(answer(plain(round(160), 100, [])).leftMl);
    near(answer(plain(round(160), 100, [cut(50, 50)])).leftMl, Math.PI * 64 * 10, 0.01);
  });
});
