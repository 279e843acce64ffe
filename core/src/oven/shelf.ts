import { depthMm, widthMm, type Outline } from '../outline/outline.ts';
import type { Kitchen } from '../pantry/types.ts';

/** Where a tin stands on a shelf: its middle, mm from the front left corner. */
export interface Stand {
  x: number;
  y: number;
  turned: boolean;
}

interface Body {
  x: number;
  y: number;
  /** Half its width and depth. */
  hx: number;
  hy: number;
  isRound: boolean;
}

/**
 * A shelf of the oven being filled: round tins are packed as rounds, so that they may stand staggered,
 * others as the boxes round them. Each goes as far to the front, then to the left, as it can.
 */
export class Shelf {
  private readonly bodies: Body[] = [];
  constructor(
    private readonly kitchen: Pick<Kitchen, 'shelfWideMm' | 'shelfDeepMm' | 'tinGapMm'>,
  ) {}

  /** Where a rim finds room; null where there is none. It is then there. */
  place(rim: Outline): Stand | null {
    const isRound = rim.kind === 'round';
    const [wide, deep] = [widthMm(rim), depthMm(rim)];
    for (const turned of isRound || Math.abs(wide - deep) < 0.5 ? [false] : [false, true]) {
      const hx = (turned ? deep : wide) / 2;
      const hy = (turned ? wide : deep) / 2;
      let at: [number, number] | null = null;
      for (const place of this.places(hx, hy)) {
        const [x, y] = place;
        if (at && (y > at[1] || (y === at[1] && x >= at[0]))) continue;
        if (this.isFree({ x, y, hx, hy, isRound })) at = place;
      }
      if (!at) continue;
      this.bodies.push({ x: at[0], y: at[1], hx, hy, isRound });
      return { x: at[0], y: at[1], turned };
    }
    return null;
  }

  /** Corners, places beside what stands there, and, for two rounds, places that touch both or one and a wall. */
  private places(hx: number, hy: number): [number, number][] {
    const { shelfWideMm: W, shelfDeepMm: D, tinGapMm: gap } = this.kitchen;
    const xs = once([
      ...[hx, W - hx],
      ...this.bodies.flatMap((b) => [b.x + b.hx + gap + hx, b.x - b.hx - gap - hx]),
    ]);
    const ys = once([
      ...[hy, D - hy],
      ...this.bodies.flatMap((b) => [b.y + b.hy + gap + hy, b.y - b.hy - gap - hy]),
    ]);
    const found: [number, number][] = xs.flatMap((x) => ys.map((y): [number, number] => [x, y]));
    const reach = (b: Body): number => b.hx + hx + gap;
    const rounds = this.bodies.filter((b) => b.isRound);
    rounds.forEach((b, i) => {
      const r = reach(b);
      for (const x of xs) {
        const dy = Math.sqrt(Math.max(0, r * r - (x - b.x) ** 2));
        if (Math.abs(x - b.x) <= r) found.push([x, b.y + dy], [x, b.y - dy]);
      }
      for (const y of ys) {
        const dx = Math.sqrt(Math.max(0, r * r - (y - b.y) ** 2));
        if (Math.abs(y - b.y) <= r) found.push([b.x + dx, y], [b.x - dx, y]);
      }
      for (const c of rounds.slice(i + 1)) {
        const [dx, dy] = [c.x - b.x, c.y - b.y];
        const d = Math.hypot(dx, dy);
        const [r1, r2] = [r, reach(c)];
        if (d === 0 || d > r1 + r2 || d < Math.abs(r1 - r2)) continue;
        const a = (r1 * r1 - r2 * r2 + d * d) / (2 * d);
        const h = Math.sqrt(Math.max(0, r1 * r1 - a * a));
        const [mx, my] = [b.x + (a * dx) / d, b.y + (a * dy) / d];
        found.push([mx - (h * dy) / d, my + (h * dx) / d], [mx + (h * dy) / d, my - (h * dx) / d]);
      }
    });
    return found;
  }

  private isFree(one: Body): boolean {
    const { shelfWideMm: W, shelfDeepMm: D, tinGapMm: gap } = this.kitchen;
    const slack = 1e-6;
    if (one.x - one.hx < -slack || one.x + one.hx > W + slack) return false;
    if (one.y - one.hy < -slack || one.y + one.hy > D + slack) return false;
    return this.bodies.every((other) => distance(one, other) >= gap - slack);
  }
}

/** Lengths of which none is there twice: what stands in rows has many alike. */
const once = (mm: readonly number[]): number[] => [
  ...new Map(mm.map((each) => [Math.round(each * 1e6), each])).values(),
];

/** Room between two bodies, mm; negative where they overlap. */
function distance(a: Body, b: Body): number {
  const [dx, dy] = [Math.abs(a.x - b.x), Math.abs(a.y - b.y)];
  if (a.isRound && b.isRound) return Math.hypot(dx, dy) - a.hx - b.hx;
  if (!a.isRound && !b.isRound) {
    const [gx, gy] = [dx - a.hx - b.hx, dy - a.hy - b.hy];
    return Math.max(gx, gy);
  }
  const [round, box] = a.isRound ? [a, b] : [b, a];
  const [ox, oy] = [Math.max(0, dx - box.hx), Math.max(0, dy - box.hy)];
  return ox === 0 && oy === 0 ? -round.hx : Math.hypot(ox, oy) - round.hx;
}
