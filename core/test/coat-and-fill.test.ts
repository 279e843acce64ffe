import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  edgeRoomMm,
  FigureBook,
  grownAreaMm2,
  holdsInDamN,
  holdsN,
  newGap,
  newTier,
  perimeterMm,
  planCoat,
  planGaps,
  planStack,
  roughnessMl,
  shellMl,
  stressAt,
  thicknessOf,
  type Tier,
} from '../src/index.ts';
import { anyOutline, pantry } from './arbitrary.ts';

const spreadOf = (id: string) => pantry.spreads.find((s) => s.id === id)!;
const tier = (): Tier => newTier('tier-1', { kind: 'round', diameterMm: 200 }, 'round-20', 3, 25);

describe('a coat', () => {
  it('on a round cake is the larger cylinder less the smaller', () => {
    const [R, H, t, tt] = [100, 120, 5, 6];
    const shell = shellMl({ kind: 'round', diameterMm: 200 }, H, t, tt);
    expect(shell).toBeCloseTo((Math.PI * ((R + t) ** 2 * (H + tt) - R ** 2 * H)) / 1000, 6);
  });

  it('on any outline is (A(t) - A)·H + A(t)·tt', () => {
    fc.assert(
      fc.property(anyOutline, fc.double({ min: 10, max: 300, noNaN: true }), (o, h) => {
        const expected = (perimeterMm(o) * 5 + Math.PI * 25) * h + grownAreaMm2(o, 5) * 4;
        expect(shellMl(o, h, 5, 4) / (expected / 1000)).toBeCloseTo(1, 9);
      }),
    );
  });

  it('agrees with counting points in a fine grid', () => {
    const square = { kind: 'square' as const, sideMm: 100, cornerMm: 10 };
    const step = 0.5;
    let cells = 0;
    for (let x = -60 + step / 2; x < 60; x += step)
      for (let y = -60 + step / 2; y < 60; y += step) {
        const dx = Math.max(0, Math.abs(x) - 40);
        const dy = Math.max(0, Math.abs(y) - 40);
        if (Math.hypot(dx, dy) <= 10 + 6) cells += 1;
      }
    const outer = cells * step * step;
    const counted = ((outer - areaMm2(square)) * 80 + outer * 6) / 1000;
    expect(shellMl(square, 80, 6, 6) / counted).toBeCloseTo(1, 2);
  });

  it('of the final kind goes on top of the crumb coat', () => {
    const plan = planCoat(tier(), 100, spreadOf, pantry.kitchen, 0, 0, new FigureBook());
    const outline = tier().outline;
    const crumb = shellMl(outline, 100, 1.5, 1.5) + roughnessMl(outline, 100, 0.6);
    expect(plan.crumbMl).toBeCloseTo(crumb, 6);
    expect(plan.coatMl).toBeCloseTo(shellMl({ kind: 'round', diameterMm: 203 }, 101.5, 5, 5), 6);
    expect(plan.finished).toEqual({ kind: 'round', diameterMm: 213 });
    expect(plan.coatG).toBeCloseTo(plan.coatMl * 0.95, 9);
  });

  it('covers the wall of a ring’s hole only where no tier stands over it', () => {
    const ring: Tier = { ...tier(), outline: { kind: 'ring', diameterMm: 200, holeMm: 60 } };
    ring.coat = { ...ring.coat, crumbMm: 1, sideMm: 4, topMm: 5 };
    const of = (shut: boolean) =>
      planCoat(ring, 100, spreadOf, pantry.kitchen, 0, 0, new FigureBook(), shut);
    const hole = (Math.PI / 4) * 60 ** 2;
    // shut: the side of a cylinder and a top with a hole in it
    const side = Math.PI * (105 ** 2 - 101 ** 2) * 101;
    const top = (Math.PI * 105 ** 2 - hole) * 5;
    expect(of(true).coatMl).toBeCloseTo((side + top) / 1000, 6);
    // open: the wall of the hole besides, and a top that reaches in over it
    const wall = Math.PI * (29 ** 2 - 25 ** 2) * 101;
    const inward = (hole - Math.PI * 25 ** 2) * 5;
    expect(of(false).coatMl - of(true).coatMl).toBeCloseTo((wall + inward) / 1000, 6);
    expect(of(true).finished).toMatchObject({ kind: 'ring', diameterMm: 210, holeMm: 60 });
    expect(of(false).finished).toMatchObject({ kind: 'ring', diameterMm: 210, holeMm: 50 });
  });
  it('left naked takes nothing; semi-naked takes its cover', () => {
    const naked = tier();
    naked.coat.style = 'naked';
    const none = planCoat(naked, 100, spreadOf, pantry.kitchen, 0, 0, new FigureBook());
    expect(none.crumbG + none.coatG).toBe(0);
    const semi = tier();
    semi.coat.style = 'semi-naked';
    const thin = planCoat(semi, 100, spreadOf, pantry.kitchen, 0, 0, new FigureBook());
    const full = shellMl(semi.outline, 100, 0.8, 0.8) + roughnessMl(semi.outline, 100, 0.6);
    expect(thin.crumbMl).toBeCloseTo(0.6 * full, 6);
    expect(thin.coatG).toBe(0);
  });

  it('takes the user’s own thickness before the style’s', () => {
    const own = tier();
    own.coat.sideMm = 9;
    expect(thicknessOf(own)).toMatchObject({ crumbMm: 1.5, sideMm: 9, topMm: 5 });
  });
});

describe('fillings', () => {
  it('and dam together fill the gap, whatever the dam’s width', () => {
    fc.assert(
      fc.property(anyOutline, fc.double({ min: 0, max: 40, noNaN: true }), (outline, damMm) => {
        const t = newTier('tier-1', outline, 'round-20', 2, 25);
        t.gaps = [{ ...newGap(8, 'curd'), damMm }];
        const [gap] = planGaps(t, spreadOf, []);
        expect(gap!.fillingMl + gap!.damMl).toBeCloseTo((areaMm2(outline) * 8) / 1000, 6);
        expect(gap!.fillingG).toBeCloseTo(gap!.fillingMl * 1.15, 6);
      }),
    );
  });

  it('hold a load in proportion to stiffness and radius cubed', () => {
    expect(holdsN(300, 100, 7)).toBeCloseTo((2 * Math.PI * 300 * 0.1 ** 3) / (3 * 0.007), 9);
    expect(holdsN(600, 100, 7)).toBeCloseTo(2 * holdsN(300, 100, 7), 9);
    expect(holdsN(300, 200, 7)).toBeCloseTo(8 * holdsN(300, 100, 7), 9);
  });

  it('in a dam hold more than without, and a dam of no width adds nothing', () => {
    expect(holdsInDamN(15, 300, 100, 0, 7)).toBeCloseTo(holdsN(15, 100, 7), 9);
    expect(holdsInDamN(15, 300, 88, 12, 7)).toBeGreaterThan(holdsN(15, 100, 7));
    // one material inside and out: the dam is the rest of the same disc
    expect(holdsInDamN(300, 300, 88, 12, 7)).toBeCloseTo(holdsN(300, 100, 7), 6);
  });

  it('stiffen on a straight line in the logarithm', () => {
    expect(stressAt(300, 15000, 21)).toBeCloseTo(300, 9);
    expect(stressAt(300, 15000, 4)).toBeCloseTo(15000, 6);
    expect(stressAt(300, 15000, 12.5)).toBeCloseTo(Math.sqrt(300 * 15000), 6);
  });
});

describe('setback and dam together', () => {
  it('leave at least a disc of 15 mm to fill, and never less than nothing', () => {
    expect(edgeRoomMm(tier())).toBeCloseTo(100 - 15, 9);
    const square: Tier = { ...tier(), outline: { kind: 'square', sideMm: 100, cornerMm: 0 } };
    // a square by the round that stands in it
    expect(edgeRoomMm(square)).toBeCloseTo(50 - 15, 6);
    expect(edgeRoomMm({ ...tier(), outline: { kind: 'round', diameterMm: 24 } })).toBe(0);
  });
});

describe('the stack', () => {
  it('adds up from the board', () => {
    const stack = planStack(tier(), 10, [7, 7], [], new FigureBook());
    const dab = 10000 / areaMm2(tier().outline);
    expect(stack.stackMm).toBeCloseTo(dab + 3 * 25 + 2 * 7, 9);
    expect(stack.finishedMm).toBeCloseTo(stack.stackMm + 1.5 + 5, 9);
    expect(stack.gaps).toHaveLength(2);
    expect(stack.fillingShare).toBeCloseTo(14 / 89, 9);
  });
});
