import { contains, grow, polygon, coarse, type Outline } from '../outline/outline.ts';
import type { Point } from '../outline/point.ts';
import type { Dowel } from '../pantry/types.ts';
import type { Foot } from '../stack/feet.ts';
import { bendingMPa } from './stability.ts';
import { safetyOf } from './strength.ts';

/** A rod ends so far below the top of the highest tier, mm. */
const belowTopMm = 20;
/** Cake that must be left round it, mm. */
const wallMm = 25;

/** The rod through all tiers. */
export interface RodPlan {
  row: Dowel;
  /** From the axis of the lowest tier, mm. */
  at: Point;
  /** From the underside of the build's board up. */
  lengthMm: number;
  topMm: number;
  /** Tiers it does not stand safely inside of, by index. */
  outside: number[];
  /** Tiers whose hidden centre it goes through, by index. */
  throughCores: number[];
  /** Hole through each board. */
  holeMm: number;
}

/** How hard a rod is bent at its foot, for twice a hard stop, and what it may bear. */
export interface RodBend {
  stressMPa: number;
  allowedMPa: number;
  used: number;
}

/** @param momentNmm the most that any of the tiers asks of it */
export function bendRod({ row }: RodPlan, momentNmm: number): RodBend {
  const stressMPa = bendingMPa(momentNmm, row.outerMm);
  const allowedMPa = row.strengthMPa / safetyOf.table;
  return { stressMPa, allowedMPa, used: stressMPa / allowedMPa };
}

/** Does a rod at a place stand inside a tier with enough cake round it. */
const standsIn = (outline: Outline, foot: Foot, at: Point): boolean => {
  const inner = grow(coarse(outline), -wallMm);
  return inner !== null && contains(inner, { x: at.x - foot.x, y: at.y - foot.y });
};

/** The place that is furthest inside every tier, tried on the line between the lowest and highest axis. */
export function rodPlace(outlines: readonly Outline[], feet: readonly Foot[]): Point {
  const rims = outlines.map((outline) => polygon(coarse(outline), 6));
  const top = feet.at(-1)!;
  let best: Point = { x: 0, y: 0 };
  let most = -Infinity;
  const tries = top.x === 0 && top.y === 0 ? 0 : 20;
  for (let k = 0; k <= tries; k++) {
    const at: Point = { x: (top.x * k) / 20, y: (top.y * k) / 20 };
    const least = Math.min(
      ...outlines.map((outline, i) => {
        const own: Point = { x: at.x - feet[i]!.x, y: at.y - feet[i]!.y };
        const away = Math.min(...rims[i]!.map((p) => Math.hypot(p.x - own.x, p.y - own.y)));
        return contains(outline, own) ? away : -away;
      }),
    );
    if (least > most + 1e-9) [best, most] = [at, least];
  }
  return best;
}

/** A hidden centre: its tier, its axis, and from where on it is filled, above the board. */
export interface Core {
  index: number;
  outline: Outline;
  x: number;
  y: number;
  footMm: number;
  fromMm: number;
  isHighest: boolean;
}
/** A tier is held once so much of a rod stands in it, mm (estimate). */
const leastHeldMm = 20;

/** The rod at its place. @param topMm of the highest tier above the board */
export function planRod(
  row: Dowel,
  at: Point,
  outlines: readonly Outline[],
  feet: readonly Foot[],
  topMm: number,
  boardMm: number,
  cores: readonly Core[],
): RodPlan {
  const isIn = ({ outline, x, y }: Core): boolean =>
    contains(outline, { x: at.x - x, y: at.y - y }, row.outerMm / 2);
  const met = cores.filter(isIn);
  // in the highest tier it ends below the hidden centre, if it holds the tier by then
  const last = met.find((core) => core.isHighest && core.fromMm - core.footMm >= leastHeldMm);
  const endMm = last ? last.fromMm - 3 : Math.max(topMm / 2, topMm - belowTopMm);
  return {
    row,
    at,
    lengthMm: endMm + boardMm,
    topMm: endMm,
    outside: outlines.flatMap((outline, i) => (standsIn(outline, feet[i]!, at) ? [] : [i])),
    holeMm: row.outerMm + 1,
    throughCores: met.filter((core) => core !== last).map((core) => core.index),
  };
}
