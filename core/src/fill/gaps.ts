import { innerSpreadId, isBare } from '../document/edit.ts';
import type { Gap, GapLaid, Tier } from '../document/types.ts';
import {
  areaMm2,
  equivalentRadiusMm,
  grow,
  grownAreaMm2,
  type Outline,
} from '../outline/outline.ts';
import type { Spread } from '../pantry/types.ts';
import { runsThroughGap } from './centre.ts';

/** One kind of pieces in a gap: what has room, and what was wanted. */
export interface GapPieces {
  ml: number;
  g: number;
  wantedMl: number;
}

/** What one gap takes. Volumes in mL, masses in g. */
export interface GapPlan {
  index: number;
  spreadId: string;
  laid: GapLaid;
  heightMm: number;
  damMm: number;
  setbackMm: number;
  /** Area of the filling inside dam and setback, less a hidden centre. */
  areaMm2: number;
  fillingMl: number;
  fillingG: number;
  damMl: number;
  damG: number;
  /** Filling round domes that were left on; it is part of `fillingMl`. */
  domeMl: number;
  /** Each kind of pieces, with how much of it was wanted, and all of them. */
  pieces: GapPieces[];
  piecesMl: number;
  piecesG: number;
  /** Air that stays between beads or loose pieces. */
  voidMl: number;
  drizzleG: number;
  drizzleMl: number;
  drizzleSpreadId: string | null;
}

/** Pieces and sauce never take more than this share of a gap: the rest is needed to hold them. */
const mostOfGap = 0.9;

/** What of a gap is filling where it is laid so: beads that touch leave air between them (by their shape). */
const filledShare: Record<GapLaid, number> = {
  spread: 1,
  rings: Math.PI / 4,
  spiral: Math.PI / 4,
  // half balls, as close as they lie
  dots: (Math.PI / (2 * Math.sqrt(3))) * (2 / 3),
  loose: 0,
};

/** Each kind of pieces in its order: they share the room, and none is more than is left of it. */
function piecesIn({ pieces }: Gap, area: number, roomMl: number): GapPieces[] {
  let leftMl = mostOfGap * roomMl;
  return pieces.map((one) => {
    const wantedMl =
      one.how === 'packed' ? roomMl * one.share : (one.gPerCm2 * area) / 100 / one.densityGPerMl;
    const ml = Math.min(wantedMl, leftMl);
    leftMl -= ml;
    return { ml, g: ml * one.densityGPerMl, wantedMl };
  });
}

/** Least radius that must be left to fill inside setback and dam, mm (estimate). */
const leastFillMm = 15;

/** How far setback and dam may go in together before nothing is left to fill, mm; never negative. */
export const edgeRoomMm = (tier: Tier): number =>
  Math.max(0, equivalentRadiusMm(tier.outline) - leastFillMm);

/**
 * Filling, dam, pieces and sauce of each gap (docs/model.md#fillings-under-load): the area inside setback and dam
 * times the thickness as spread; pieces and sauce displace filling, and beads leave air; domes left on are
 * filled round.
 *
 * @param domeMl volume to fill round uncut domes in each gap; @param outlineAt that of each gap, for walls that lean
 */
export function planGaps(
  tier: Tier,
  spreadOf: (id: string) => Spread,
  domeMl: readonly number[],
  outlineAt: (index: number) => Outline = () => tier.outline,
): GapPlan[] {
  return tier.gaps.map((gap, index) => {
    const spread = spreadOf(gap.spreadId);
    const outline = outlineAt(index);
    const outer = gap.setbackMm > 0 ? grownAreaMm2(outline, -gap.setbackMm) : areaMm2(outline);
    const off = gap.setbackMm + gap.damMm;
    const inside = gap.damMm > 0 ? Math.min(outer, grownAreaMm2(outline, -off)) : outer;
    const core = runsThroughGap(tier.centre, index) ? areaMm2(tier.centre!.outline) : 0;
    const area = Math.max(0, inside - core);
    const roomMl = (area * gap.heightMm) / 1000;
    const round = domeMl[index] ?? 0;
    const pieces = piecesIn(gap, area, roomMl);
    const piecesMl = pieces.reduce((sum, { ml }) => sum + ml, 0);
    const sauce = gap.drizzle ? spreadOf(gap.drizzle.spreadId) : null;
    const drizzleMl = sauce
      ? Math.min(
          (gap.drizzle!.gPerCm2 * area) / 100 / sauce.densityGPerMl,
          Math.max(0, mostOfGap * roomMl - piecesMl),
        )
      : 0;
    const restMl = roomMl - piecesMl - drizzleMl;
    const share = filledShare[gap.laid];
    const domeMlHere = gap.laid === 'loose' || isBare(gap) ? 0 : round;
    const fillingMl = restMl * share + domeMlHere;
    const damMl = ((outer - inside) * gap.heightMm) / 1000;
    const dam = gap.damMm > 0 ? spreadOf(innerSpreadId(tier)) : null;
    return {
      index,
      spreadId: gap.spreadId,
      laid: gap.laid,
      heightMm: gap.heightMm,
      damMm: gap.damMm,
      setbackMm: gap.setbackMm,
      areaMm2: area,
      fillingMl,
      fillingG: fillingMl * spread.densityGPerMl,
      damMl,
      damG: dam ? damMl * dam.densityGPerMl : 0,
      domeMl: domeMlHere,
      pieces,
      piecesMl,
      piecesG: pieces.reduce((sum, { g }) => sum + g, 0),
      voidMl: restMl * (1 - share),
      drizzleMl,
      drizzleG: sauce ? drizzleMl * sauce.densityGPerMl : 0,
      drizzleSpreadId: isBare(gap) ? null : (gap.drizzle?.spreadId ?? null),
    };
  });
}

/** Everything that lies in one gap, g. */
export const gapMassG = (gap: GapPlan): number =>
  gap.fillingG + gap.damG + gap.piecesG + gap.drizzleG;

/** The gap's filled outline, for drawings; the whole cake where nothing is left of it. */
export const filledOutline = (tier: Tier, gap: Gap) =>
  grow(tier.outline, -(gap.setbackMm + gap.damMm)) ?? tier.outline;

/** Share of a gap that its filling takes where nothing else lies in it. */
export const laidShare = ({ laid }: Pick<Gap, 'laid'>): number => filledShare[laid];
