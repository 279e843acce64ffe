import type { OnSide, Topping } from '../document/finish-types.ts';
import { perimeterMm, type Outline, type Point } from '../outline/outline.ts';
import type { Spread } from '../pantry/types.ts';
import { placesAlong } from '../piping/shapes.ts';
import { steepestDegrees } from './holds.ts';

/** A place on the side of a tier: where on its outline, as a share of the rim from the back, and how high above the foot. */
export interface SidePlace extends Point {
  share: number;
  upMm: number;
}

/** The side that pieces stand out from. */
export interface SideFace {
  finished: Outline;
  highMm: number;
}

const turned = (share: number): number => ((share % 1) + 1) % 1;

/** A place on the outline by its share of the rim, the middle of its back first. */
export const rimPoint = (outline: Outline, share: number): Point =>
  placesAlong(outline, 1, turned(share))[0]!;

/** The share of the rim at which one looks at a tier from there: quarters of any outline. */
export const quarterShares = { back: 0, left: 0.25, front: 0.5, right: 0.75 } as const;

/** So far along the rim its direction is read, as a share of it. */
const besideShare = 0.004;

/**
 * Which of some places on a side are seen from the front, the outermost first, and how much each faces
 * it: 1 in front, 0 where one looks along the side.
 */
export function sideSeen(
  outline: Outline,
  shares: readonly number[],
): { i: number; x: number; facing: number }[] {
  return shares
    .map((share, i) => {
      const [a, b] = [
        rimPoint(outline, share - besideShare),
        rimPoint(outline, share + besideShare),
      ];
      // the rim runs to the right along the front
      const facing = (b.x - a.x) / Math.max(1e-9, Math.hypot(b.x - a.x, b.y - a.y));
      return { i, x: rimPoint(outline, share).x, facing };
    })
    .filter(({ facing }) => facing > -0.05)
    .map((one) => ({ ...one, facing: Math.max(0, one.facing) }))
    .sort((a, b) => a.facing - b.facing);
}

/** Most pieces that stand side by side in one row round the tier. */
export const mostRound = (outline: Outline, acrossMm: number): number =>
  Math.max(0, Math.floor(perimeterMm(outline) / Math.max(1, acrossMm) + 1e-9));

/**
 * Places of so many pieces on a side: evenly round at one height, along a line that winds down, or where
 * a hand set them. Each stays with all of itself between foot and edge; of a row no more than stand side by side.
 */
export function sidePlaces(
  { finished, highMm }: SideFace,
  { arrangement, upMm, toMm, startShare, turnShare, spots }: OnSide,
  count: number,
  acrossMm: number,
): SidePlace[] {
  const half = acrossMm / 2;
  const at = (share: number, up: number): SidePlace => ({
    ...rimPoint(finished, share),
    share: turned(share),
    upMm: highMm <= acrossMm ? highMm / 2 : Math.min(highMm - half, Math.max(half, up)),
  });
  switch (arrangement) {
    case 'round': {
      const fits = Math.min(count, mostRound(finished, acrossMm));
      return Array.from({ length: fits }, (_, k) => at(startShare + k / fits, upMm));
    }
    case 'cascade':
      return Array.from({ length: count }, (_, k) => {
        const t = count < 2 ? 0 : k / (count - 1);
        return at(startShare + turnShare * t, upMm + (toMm - upMm) * t);
      });
    case 'free':
      return spots.slice(0, count).map(([share, up]) => at(share, up));
  }
}

/** A seat of frosting is so thick once the piece is pressed on, mm (estimate). */
const seatMm = 2;

/** Frosting under one piece, by the foot it stands on, g. */
export const seatG = (footCm2: number, spread: Pick<Spread, 'densityGPerMl'>): number =>
  (footCm2 * seatMm * spread.densityGPerMl) / 10;

/** What keeps a piece on an upright side, and whether it does. */
export interface SideHold {
  by: 'coat' | 'seat' | 'pick';
  /** Least foot that would hold it, cm2; null for what a pick holds, or where nothing is known of the coat. */
  leastCm2: number | null;
  slides: boolean;
}

/**
 * Whether a piece stays on an upright side (docs/model.md#piping-and-toppings): its weight against the yield
 * stress of what it sticks in, over its foot. A pick carries it whatever the coat does.
 */
export function sideHold(
  piece: { massG: number; contactCm2: number },
  stuckIn: Spread | null,
  { pick, side }: Pick<Topping, 'pick' | 'side'>,
  tempC: number,
): SideHold {
  if (pick !== 'none') return { by: 'pick', leastCm2: null, slides: false };
  const by = side!.dabSpreadId === null ? 'coat' : 'seat';
  if (!stuckIn) return { by, leastCm2: null, slides: false };
  const steepest = steepestDegrees(piece, stuckIn, tempC);
  // the foot scales with the weight it holds: sin of the steepest slope is the share it bears
  const share = steepest >= 90 ? 1 : Math.sin((steepest * Math.PI) / 180);
  return { by, leastCm2: piece.contactCm2 / Math.max(1e-6, share), slides: steepest < 90 };
}

/** A ribbon's ends lie over each other so far, mm. */
const overlapMm = 20;
/** Cloth ribbon, g to the square metre (trade custom). */
const ribbonGPerM2 = 150;

/** Length of a ribbon round a tier, mm. */
export const ribbonMm = (outline: Outline): number => perimeterMm(outline) + overlapMm;

/** A cloth ribbon's mass, g. */
export const ribbonG = (lengthMm: number, wideMm: number): number =>
  (lengthMm * wideMm * ribbonGPerM2) / 1e6;
