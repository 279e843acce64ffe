import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  countServings,
  cuttingMap,
  cuttings,
  leastShare,
  polygonAreaMm2,
  portionBlocks,
  portions,
  type Outline,
} from '../src/index.ts';
import { anyOutline } from './arbitrary.ts';

const round = (cm: number): Outline => ({ kind: 'round', diameterMm: cm * 10 });
const square = (cm: number): Outline => ({ kind: 'square', sideMm: cm * 10, cornerMm: 0 });

describe('servings', () => {
  it('tile a square without a remainder', () => {
    expect(countServings(square(20), 'dessert', 'grid', false)).toBe(32);
    expect(countServings(square(20), 'small', 'grid', false)).toBe(64);
    expect(countServings(square(20), 'dessert', 'grid', true)).toBe(64);
  });

  it('of a tray count blocks whichever way they lie', () => {
    const tray: Outline = { kind: 'rectangle', widthMm: 300, depthMm: 200, cornerMm: 0 };
    expect(countServings(tray, 'dessert', 'grid', false)).toBe(48);
  });

  it('follow the customary wedges of rounds', () => {
    const wedges = [15, 20, 25, 30].map((cm) =>
      countServings(round(cm), 'dessert', 'wedges', false),
    );
    expect(wedges).toEqual([8, 12, 16, 22]);
  });

  it('of a grid shifted freely are no fewer than cut through the middle', () => {
    fc.assert(
      fc.property(anyOutline, fc.constantFrom(...portions), (outline, portion) => {
        const free = countServings(outline, portion, 'grid', false);
        expect(free).toBeGreaterThanOrEqual(countServings(outline, portion, 'middle grid', false));
      }),
    );
  });

  it('never take more cake than there is', () => {
    fc.assert(
      fc.property(
        anyOutline,
        fc.constantFrom(...cuttings),
        fc.constantFrom(...portions),
        (o, cutting, portion) => {
          const block = portionBlocks[portion];
          const count = countServings(o, portion, cutting, false);
          // a block of which three quarters are cake counts as a whole one
          const most = areaMm2(o) / (block.wideMm * block.deepMm * leastShare);
          expect(count).toBeLessThanOrEqual(Math.max(1, Math.ceil(most)) + 1);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('are as many as the counted pieces of the map', () => {
    fc.assert(
      fc.property(anyOutline, fc.constantFrom(...cuttings), (outline, cutting) => {
        const pieces = cuttingMap(outline, 'dessert', cutting).filter((p) => p.counted);
        expect(pieces.length).toBe(countServings(outline, 'dessert', cutting, false));
      }),
      { numRuns: 60 },
    );
  });

  it('in wedges are equal pieces of the whole', () => {
    const pieces = cuttingMap(round(25), 'dessert', 'wedges').map((p) => polygonAreaMm2(p.points));
    const mean = pieces.reduce((a, b) => a + b, 0) / pieces.length;
    for (const area of pieces) expect(area / mean).toBeCloseTo(1, 6);
    expect(mean * pieces.length).toBeCloseTo(areaMm2(round(25)), -2);
  });

  it('in rings are about one footprint each', () => {
    const footprint = 25 * 50;
    const pieces = cuttingMap(round(30), 'dessert', 'rings').map((p) => polygonAreaMm2(p.points));
    for (const area of pieces) {
      expect(area).toBeGreaterThan(footprint * 0.98);
      expect(area).toBeLessThan(footprint * 1.6);
    }
  });
});
