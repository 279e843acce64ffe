import { innerSpreadId } from '../document/edit.ts';
import type { Gap, Tier } from '../document/types.ts';
import { areaMm2, equivalentRadiusMm, grow, grownAreaMm2 } from '../outline/outline.ts';
import type { Spread } from '../pantry/types.ts';
import { runsThroughGap } from './centre.ts';

/** What one gap takes. Volumes in mL, masses in g. */
export interface GapPlan {
  index: number;
  spreadId: string;
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
  piecesMl: number;
  piecesG: number;
  drizzleG: number;
  drizzleMl: number;
  drizzleSpreadId: string | null;
}

/** Pieces and sauce never take more than this share of a gap: the rest is needed to hold them. */
const mostOfGap = 0.9;

function piecesIn(gap: Gap, area: number, roomMl: number): { ml: number; g: number } {
  const { pieces } = gap;
  if (!pieces) return { ml: 0, g: 0 };
  const wanted =
    pieces.how === 'packed'
      ? roomMl * pieces.share
      : (pieces.gPerCm2 * area) / 100 / pieces.densityGPerMl;
  const ml = Math.min(wanted, mostOfGap * roomMl);
  return { ml, g: ml * pieces.densityGPerMl };
}

/** Least radius that must be left to fill inside setback and dam, mm (estimate). */
const leastFillMm = 15;

/** How far setback and dam may go in together before nothing is left to fill, mm; never negative. */
export const edgeRoomMm = (tier: Tier): number =>
  Math.max(0, equivalentRadiusMm(tier.outline) - leastFillMm);

/**
 * Filling, dam, pieces and sauce of each gap (docs/model.md#fillings-under-load): the area inside setback and dam
 * times the thickness as spread; pieces and sauce displace filling; domes left on are filled round.
 *
 * @param domeMl volume to fill round uncut domes in each gap
 */
export function planGaps(
  tier: Tier,
  spreadOf: (id: string) => Spread,
  domeMl: readonly number[],
): GapPlan[] {
  return tier.gaps.map((gap, index) => {
    const spread = spreadOf(gap.spreadId);
    const outer =
      gap.setbackMm > 0 ? grownAreaMm2(tier.outline, -gap.setbackMm) : areaMm2(tier.outline);
    const off = gap.setbackMm + gap.damMm;
    const inside = gap.damMm > 0 ? Math.min(outer, grownAreaMm2(tier.outline, -off)) : outer;
    const core = runsThroughGap(tier.centre, index) ? areaMm2(tier.centre!.outline) : 0;
    const area = Math.max(0, inside - core);
    const roomMl = (area * gap.heightMm) / 1000;
    const round = domeMl[index] ?? 0;
    const pieces = piecesIn(gap, area, roomMl);
    const sauce = gap.drizzle ? spreadOf(gap.drizzle.spreadId) : null;
    const drizzleMl = sauce
      ? Math.min(
          (gap.drizzle!.gPerCm2 * area) / 100 / sauce.densityGPerMl,
          Math.max(0, mostOfGap * roomMl - pieces.ml),
        )
      : 0;
    const fillingMl = roomMl - pieces.ml - drizzleMl + round;
    const damMl = ((outer - inside) * gap.heightMm) / 1000;
    const dam = gap.damMm > 0 ? spreadOf(innerSpreadId(tier)) : null;
    return {
      index,
      spreadId: gap.spreadId,
      heightMm: gap.heightMm,
      damMm: gap.damMm,
      setbackMm: gap.setbackMm,
      areaMm2: area,
      fillingMl,
      fillingG: fillingMl * spread.densityGPerMl,
      damMl,
      damG: dam ? damMl * dam.densityGPerMl : 0,
      domeMl: round,
      piecesMl: pieces.ml,
      piecesG: pieces.g,
      drizzleMl,
      drizzleG: sauce ? drizzleMl * sauce.densityGPerMl : 0,
      drizzleSpreadId: gap.drizzle?.spreadId ?? null,
    };
  });
}

/** Everything that lies in one gap, g. */
export const gapMassG = (gap: GapPlan): number =>
  gap.fillingG + gap.damG + gap.piecesG + gap.drizzleG;

/** The gap's filled outline, for drawings; the whole cake where nothing is left of it. */
export const filledOutline = (tier: Tier, gap: Gap) =>
  grow(tier.outline, -(gap.setbackMm + gap.damMm)) ?? tier.outline;
