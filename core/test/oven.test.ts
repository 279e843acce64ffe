import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitAtOnce, Shelf, startingPantry, type Tin } from '../src/index.ts';

const pantry = startingPantry();
const { kitchen } = pantry;
const tin = (id: string): Tin => pantry.tins.find((row) => row.id === id)!;

describe('a shelf of the oven', () => {
  it('takes two 23 cm tins staggered on 45 x 36 cm, with 15 mm between', () => {
    expect(fitAtOnce(tin('round-23'), 2, kitchen)).toBe(2);
    const shelf = new Shelf(kitchen);
    const [a, b] = [shelf.place(tin('round-23').outline)!, shelf.place(tin('round-23').outline)!];
    expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(230 + 15 - 1e-6);
    expect(shelf.place(tin('round-23').outline)).toBeNull();
    // a square of that size does not stagger
    const box = { kind: 'square' as const, sideMm: 230, cornerMm: 5 };
    const square = new Shelf(kitchen);
    expect(square.place(box)).not.toBeNull();
    expect(square.place(box)).toBeNull();
  });
  it('never shows tins nearer than they may stand, nor outside of it', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            fc.record({
              kind: fc.constant('round' as const),
              diameterMm: fc.integer({ min: 60, max: 300 }),
            }),
            fc.record({
              kind: fc.constant('rectangle' as const),
              widthMm: fc.integer({ min: 60, max: 330 }),
              depthMm: fc.integer({ min: 60, max: 300 }),
              cornerMm: fc.constant(5),
            }),
          ),
          { minLength: 1, maxLength: 12 },
        ),
        (rims) => {
          const shelf = new Shelf(kitchen);
          const placed = rims.flatMap((rim) => {
            const at = shelf.place(rim);
            if (!at) return [];
            const wide =
              rim.kind === 'round' ? rim.diameterMm : at.turned ? rim.depthMm : rim.widthMm;
            const deep =
              rim.kind === 'round' ? rim.diameterMm : at.turned ? rim.widthMm : rim.depthMm;
            return [{ ...at, wide, deep, isRound: rim.kind === 'round' }];
          });
          placed.forEach((a, i) => {
            expect(a.x - a.wide / 2).toBeGreaterThanOrEqual(-1e-6);
            expect(a.x + a.wide / 2).toBeLessThanOrEqual(kitchen.shelfWideMm + 1e-6);
            expect(a.y - a.deep / 2).toBeGreaterThanOrEqual(-1e-6);
            expect(a.y + a.deep / 2).toBeLessThanOrEqual(kitchen.shelfDeepMm + 1e-6);
            for (const b of placed.slice(i + 1)) {
              const [dx, dy] = [Math.abs(a.x - b.x), Math.abs(a.y - b.y)];
              const apart =
                a.isRound && b.isRound
                  ? Math.hypot(dx, dy) - (a.wide + b.wide) / 2
                  : Math.max(dx - (a.wide + b.wide) / 2, dy - (a.deep + b.deep) / 2);
              // a round beside a box may reach past its corner, and no nearer than the room between tins
              expect(apart).toBeGreaterThanOrEqual(
                a.isRound === b.isRound ? kitchen.tinGapMm - 1e-6 : -0.3 * Math.min(a.wide, b.wide),
              );
            }
          });
        },
      ),
      { seed: 18, numRuns: 150 },
    );
  });
});
