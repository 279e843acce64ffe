import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  carriedBy,
  casesFor,
  cutSticks,
  dowelsAt,
  edgeDistanceMm,
  hullOf,
  newJourney,
  overhangBendMm,
  plateBendMm,
  plateOf,
  sharesOf,
  stripBendMm,
  type Point,
} from '../src/index.ts';

const ring = (n: number, r: number, turn = 0): Point[] =>
  Array.from({ length: n }, (_, k) => {
    const angle = turn + (2 * Math.PI * k) / n;
    return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
  });
const middle: Point = { x: 0, y: 0 };
const sum = (all: readonly number[]): number => all.reduce((a, b) => a + b, 0);
const place = fc.record({
  x: fc.double({ min: -200, max: 200, noNaN: true }),
  y: fc.double({ min: -200, max: 200, noNaN: true }),
});

describe('shares among dowels', () => {
  it('are even on a ring under a load in its middle', () => {
    for (const n of [3, 4, 5, 8])
      for (const share of sharesOf(ring(n, 60), 40, middle).n) expect(share).toBeCloseTo(40 / n, 9);
  });
  it('follow the lever between two, and hold nothing beside their line', () => {
    const two: Point[] = [
      { x: -50, y: 0 },
      { x: 50, y: 0 },
    ];
    const { n, stands } = sharesOf(two, 10, { x: 25, y: 0 });
    expect(stands).toBe(true);
    expect(n[0]).toBeCloseTo(2.5, 9);
    expect(n[1]).toBeCloseTo(7.5, 9);
    expect(sharesOf(two, 10, { x: 0, y: 1 }).stands).toBe(false);
    expect(sharesOf(two, 10, { x: 51, y: 0 }).stands).toBe(false);
  });
  it('are N/n + N·e·x/sum(x²) under a load off the middle of a square', () => {
    const square = ring(4, 60, Math.PI / 4);
    const at: Point = { x: 12, y: -7 };
    const xx = sum(square.map((p) => p.x ** 2));
    sharesOf(square, 30, at).n.forEach((share, i) => {
      const p = square[i]!;
      expect(share).toBeCloseTo(30 * (1 / 4 + (at.x * p.x + at.y * p.y) / xx), 9);
    });
  });
  it('leave out the dowel that would lift: at a corner of a triangle it carries all', () => {
    const three = ring(3, 80);
    const { n, stands } = sharesOf(three, 20, { x: 79.9999, y: 0 });
    expect(stands).toBe(true);
    expect(n[0]).toBeCloseTo(20, 3);
    // far off the middle of a ring of eight the far ones lift, and none of them pulls
    const eight = sharesOf(ring(8, 80), 20, { x: 60, y: 0 });
    expect(eight.n.filter((share) => share === 0).length).toBeGreaterThan(1);
    expect(sum(eight.n)).toBeCloseTo(20, 9);
  });
  it('balance forces and moments, none in tension, wherever they stand', () => {
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 3, maxLength: 9 }),
        fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: 9, maxLength: 9 }),
        fc.double({ min: 1, max: 200, noNaN: true }),
        (places, weights, loadN) => {
          const used = weights.slice(0, places.length);
          // a mean of the places lies inside their hull
          const all = sum(used);
          const at: Point = {
            x: sum(places.map((p, i) => p.x * used[i]!)) / all,
            y: sum(places.map((p, i) => p.y * used[i]!)) / all,
          };
          fc.pre(plateOf(places) !== null && edgeDistanceMm(places, at) > 0.5);
          const { n, stands } = sharesOf(places, loadN, at);
          expect(stands).toBe(true);
          for (const share of n) expect(share).toBeGreaterThanOrEqual(0);
          expect(Math.abs(sum(n) / loadN - 1)).toBeLessThan(1e-9);
          const arm = (of: (p: Point) => number): number =>
            sum(n.map((share, i) => share * of(places[i]!))) / loadN;
          expect(Math.abs(arm((p) => p.x) - at.x)).toBeLessThan(1e-9 * 400);
          expect(Math.abs(arm((p) => p.y) - at.y)).toBeLessThan(1e-9 * 400);
        },
      ),
      { numRuns: 300 },
    );
  });
  it('fall outside the hull, and only there', () => {
    fc.assert(
      fc.property(place, (at) => {
        const places = ring(5, 100);
        const inside = edgeDistanceMm(places, at);
        fc.pre(Math.abs(inside) > 1e-3);
        expect(sharesOf(places, 10, at).stands).toBe(inside > 0);
      }),
    );
  });
  it('do not depend on where the drawing has its middle, nor on its turn', () => {
    fc.assert(
      fc.property(place, fc.double({ min: 0, max: 6, noNaN: true }), (by, turn) => {
        const at: Point = { x: 20, y: -10 };
        const moved = (p: Point): Point => ({
          x: p.x * Math.cos(turn) - p.y * Math.sin(turn) + by.x,
          y: p.x * Math.sin(turn) + p.y * Math.cos(turn) + by.y,
        });
        const places = [...ring(5, 70), { x: 10, y: 5 }];
        const here = sharesOf(places, 25, at).n;
        const there = sharesOf(places.map(moved), 25, moved(at)).n;
        here.forEach((share, i) => expect(there[i]).toBeCloseTo(share, 7));
      }),
    );
  });
});

describe('the worst case', () => {
  const load = { weightN: 20, at: { x: 6, y: 3 }, upMm: 70 };
  const road = casesFor({ ...newJourney(), byRoad: true, stackAt: 'home' }, false);
  it('is never less than any direction tried one by one', () => {
    const places = ring(5, 65);
    const { worstN } = carriedBy(places, load, road);
    const under = dowelsAt(places);
    for (const { times, lean } of road)
      for (let k = 0; k < 24; k++) {
        const angle = (k * Math.PI) / 12;
        const away = lean * load.upMm;
        const { n } = under(times * load.weightN, {
          x: load.at.x + away * Math.cos(angle),
          y: load.at.y + away * Math.sin(angle),
        });
        n.forEach((share, i) => expect(worstN[i]! + 1e-9).toBeGreaterThanOrEqual(share));
      }
  });
  it('is rest alone for what is stacked where it stands, and upright with a rod', () => {
    const venue = casesFor({ ...newJourney(), stackAt: 'venue' }, false);
    expect(venue.map(({ name }) => name)).toEqual(['at rest']);
    for (const { lean } of casesFor(newJourney(), true)) expect(lean).toBe(0);
    const { restN, worstN } = carriedBy(ring(4, 60), load, venue);
    expect(worstN).toEqual(restN);
  });
  it('names the cases in which a tall light tier tips off a narrow ring', () => {
    const tall = { weightN: 8, at: middle, upMm: 200 };
    expect(carriedBy(ring(4, 40), tall, road).tips).toEqual(['over a bump', 'hard braking']);
    expect(carriedBy(ring(4, 160), tall, road).tips).toEqual([]);
  });
});

describe('hull and edges', () => {
  it('keeps the corners only, and measures to the nearest side', () => {
    const square: Point[] = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
      { x: 0, y: 10 },
      { x: 5, y: 5 },
      { x: 5, y: 0 },
    ];
    expect(hullOf(square)).toHaveLength(4);
    expect(edgeDistanceMm(square, { x: 5, y: 3 })).toBeCloseTo(3, 12);
    expect(edgeDistanceMm(square, { x: 13, y: 14 })).toBeCloseTo(-5, 12);
    expect(edgeDistanceMm(square.slice(0, 2), { x: 5, y: 2 })).toBeCloseTo(-2, 12);
    expect(edgeDistanceMm([], middle)).toBe(-Infinity);
  });
});

describe('boards bend', () => {
  it('by the textbook: a strip of 3 mm card over 100 mm, and the fourth power of the span', () => {
    // 5·p·s⁴/(384·E·I) with I = t³/12: 1 kPa, 100 mm, 1 GPa, 3 mm
    expect(stripBendMm(1000, 100, 1, 3)).toBeCloseTo(
      (5 * 0.001 * 100 ** 4) / (384 * 1000 * (27 / 12)),
      9,
    );
    expect(stripBendMm(1000, 200, 1, 3) / stripBendMm(1000, 100, 1, 3)).toBeCloseTo(16, 9);
    expect(stripBendMm(1000, 100, 1, 6) / stripBendMm(1000, 100, 1, 3)).toBeCloseTo(1 / 8, 9);
    // held at one end: p·s⁴/(8·E·I)
    expect(overhangBendMm(1000, 50, 1, 3)).toBeCloseTo(
      (0.001 * 50 ** 4) / (8 * 1000 * (27 / 12)),
      9,
    );
    // a round plate on its rim bends less than a strip of its width
    expect(plateBendMm(1000, 50, 1, 3)).toBeLessThan(stripBendMm(1000, 100, 1, 3));
    expect(plateBendMm(1000, 50, 1, 3)).toBeCloseTo(
      ((5.3 / (64 * 1.3)) * 0.001 * 50 ** 4) / ((1000 * 27) / (12 * 0.91)),
      9,
    );
  });
});

/** Fewest sticks by trying every way of putting pieces on sticks. */
function everyWay(lengths: readonly number[], stock: number, kerf: number): number {
  let best = lengths.length;
  const left: number[] = [];
  const put = (i: number): void => {
    if (left.length >= best) return;
    if (i === lengths.length) {
      best = left.length;
      return;
    }
    const size = lengths[i]! + kerf;
    for (let k = 0; k < left.length; k++)
      if (left[k]! >= size - 1e-9) {
        left[k]! -= size;
        put(i + 1);
        left[k]! += size;
      }
    left.push(stock + kerf - size);
    put(i + 1);
    left.pop();
  };
  put(0);
  return best;
}

describe('cutting rods', () => {
  const pieces = (lengths: readonly number[]) =>
    lengths.map((lengthMm, i) => ({ label: `${i}`, lengthMm }));
  it('takes as few sticks as any way does', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 290 }), { minLength: 1, maxLength: 7 }),
        fc.integer({ min: 0, max: 3 }),
        (lengths, kerf) => {
          const { sticks, fewest } = cutSticks(pieces(lengths), 300, kerf);
          expect(sticks.length).toBe(everyWay(lengths, 300, kerf));
          expect(fewest).toBeLessThanOrEqual(sticks.length);
        },
      ),
      { numRuns: 150 },
    );
  });
  it('beats taking the longest first where that wastes one', () => {
    // tightest fit needs three sticks of 10, another way two
    expect(cutSticks(pieces([4, 4, 3, 3, 3, 3]), 10, 0).sticks).toHaveLength(2);
  });
  it('loses no piece, overfills no stick, and says which are too long', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 10, max: 400, noNaN: true }), { maxLength: 40 }),
        (lengths) => {
          const { sticks, tooLong } = cutSticks(pieces(lengths), 300, 1);
          const cut = sticks.flatMap((stick) => stick.pieces.map((piece) => piece.label));
          const all = [...cut, ...tooLong.map((piece) => piece.label)];
          expect(all.sort()).toEqual(
            pieces(lengths)
              .map((piece) => piece.label)
              .sort(),
          );
          for (const { pieces: own, leftMm } of sticks) {
            const used = sum(own.map((piece) => piece.lengthMm)) + own.length - 1;
            expect(used).toBeLessThanOrEqual(300 + 1e-6);
            expect(leftMm).toBeCloseTo(300 - used, 6);
            expect([...own].sort((a, b) => b.lengthMm - a.lengthMm)).toEqual(own);
          }
          for (const piece of tooLong) expect(piece.lengthMm).toBeGreaterThan(300);
        },
      ),
    );
  });
});
