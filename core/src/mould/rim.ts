import type { Lie } from '../carve/tops.ts';
import { grow, widthMm, type Outline } from '../outline/outline.ts';
import { mouldOutlineAt, mouldWidest, type MouldShape } from './mould.ts';

/*
 * Where the top of a cake ends. One that stands straight has a rim; one that a tin or a mould rounded off goes
 * over into its side, and what runs down it or stands on it begins where that is as steep as it is wide: 45°.
 */

/** The edge of a top: its outline with everything on it, and how far under the highest place it lies, mm. */
export interface Rim {
  outline: Outline;
  downMm: number;
  /** How far under the highest place something lies, so far from the axis along x; none on a level top. */
  wall: { halfMm: number; downMm: number }[];
}

/** A rounded top ends where its wall is so steep. */
const rimDeg = 45;
/** The wall is looked at so often, mm. */
const stepMm = 1;

/** Edge of the top of a tier `highMm` high without its coat; `finished` is its widest outline with everything on it. */
export function rimOf(
  shape: MouldShape | null,
  tierOutline: Outline,
  finished: Outline,
  highMm: number,
): Rim {
  if (!shape) return { outline: finished, downMm: 0, wall: [] };
  const coatMm = (widthMm(finished) - widthMm(tierOutline)) / 2;
  const halfAt = (downMm: number): number =>
    widthMm(mouldOutlineAt(shape, Math.max(0, highMm - downMm))) / 2;
  const wall: Rim['wall'] = [];
  let rimMm: number | null = null;
  for (let downMm = 0; downMm < highMm; downMm += stepMm) {
    const halfMm = halfAt(downMm);
    wall.push({ halfMm: halfMm + coatMm, downMm });
    if (halfAt(downMm + stepMm) - halfMm <= stepMm) {
      rimMm = downMm;
      break;
    }
  }
  const downMm = rimMm ?? 0;
  // drawn in from its own outline, which need not be that of its mould
  const inMm = widthMm(mouldWidest(shape)) / 2 - halfAt(downMm);
  const outline = grow(finished, -Math.max(0, inMm));
  return outline
    ? { outline, downMm, wall: downMm > 0 ? wall : [] }
    : { outline: finished, downMm: 0, wall: [] };
}

/** How something lies so far from the axis of a rounded top. */
export function lieWithin({ wall, downMm }: Rim, fromAxisMm: number): Lie {
  const i = wall.findIndex(({ halfMm }) => halfMm >= fromAxisMm);
  const [above, at] = [wall[i - 1], wall[i]];
  if (!at) return { downMm, slopeDeg: downMm > 0 ? rimDeg : 0 };
  const run = above ? at.halfMm - above.halfMm : Infinity;
  return { downMm: at.downMm, slopeDeg: (Math.atan2(stepMm, run) * 180) / Math.PI };
}

/** How far under the highest place of a top something lies, so far from the axis, mm. */
export const downAt = (rim: Rim, fromAxisMm: number): number => lieWithin(rim, fromAxisMm).downMm;
