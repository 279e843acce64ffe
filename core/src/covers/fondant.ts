import { colourOf } from '../colour/colour.ts';
import { tintNote, type TintNote } from '../colour/tint-note.ts';
import type { Colour, Tier } from '../document/types.ts';
import { coated, shellMl } from '../coat/shell.ts';
import {
  areaMm2,
  depthMm,
  perimeterMm,
  polygon,
  widthMm,
  type Outline,
} from '../outline/outline.ts';

/** Rolled fondant, g/mL (docs/model.md#covers). */
export const fondantGPerMl = 1.4;

/** A sheet of fondant for one tier. Lengths in mm, masses in g. */
export interface FondantPlan {
  mm: number;
  tint: string;
  /** A disc has one measure, a sheet for a box two. */
  sheet: { acrossMm: number; deepMm: number; isDisc: boolean };
  rolledG: number;
  onCakeG: number;
  trimG: number;
  finished: Outline;
}

/** Width of the smallest circle about the outline's own middle that holds all of it, mm. */
const roundWidthMm = (outline: Outline): number =>
  2 * Math.max(...polygon(outline, 48).map(({ x, y }) => Math.hypot(x, y)));

/**
 * The sheet that covers a tier (docs/model.md#covers): as wide as the cake, its height twice and the
 * allowance on each side. Boxes get a sheet of their own proportions, everything else a disc.
 *
 * @param outline of the coated cake; @param heightMm its height under the fondant
 */
export function planFondant(tier: Tier, outline: Outline, heightMm: number): FondantPlan | null {
  if (!tier.fondant) return null;
  const { mm, allowanceMm, tint } = tier.fondant;
  const more = 2 * (heightMm + allowanceMm);
  const isBox = outline.kind === 'square' || outline.kind === 'rectangle';
  const acrossMm = (isBox ? widthMm(outline) : roundWidthMm(outline)) + more;
  const deepMm = isBox ? depthMm(outline) + more : acrossMm;
  const sheetMm2 = isBox ? acrossMm * deepMm : (Math.PI * acrossMm ** 2) / 4;
  const rolledG = (sheetMm2 * mm * fondantGPerMl) / 1000;
  const onCakeG = Math.min(rolledG, shellMl(outline, heightMm, mm, mm) * fondantGPerMl);
  return {
    mm,
    tint,
    sheet: { acrossMm, deepMm, isDisc: !isBox },
    rolledG,
    onCakeG,
    trimG: rolledG - onCakeG,
    finished: coated(outline, mm),
  };
}

/** What dresses the board: fondant round the cake, and the ribbon for its edge. */
export interface BoardCover {
  mm: number;
  massG: number;
  /** Width of the ring that shows at its widest, mm. */
  ringMm: number;
  ribbonMm: number;
}

/** Fondant under the edge of the cake, so that no seam shows, mm. */
const underEdgeMm = 10;

/** Fondant for the board round a cake; null for a bare board. */
export function planBoardCover(board: Outline, cake: Outline, mm: number): BoardCover | null {
  if (mm <= 0) return null;
  const cut = coated(cake, -underEdgeMm);
  const ring = Math.max(0, areaMm2(board) - areaMm2(cut));
  return {
    mm,
    massG: (ring * mm * fondantGPerMl) / 1000,
    ringMm: Math.max(0, (widthMm(board) - widthMm(cut)) / 2),
    ribbonMm: perimeterMm(board) + 20,
  };
}

/** Strips of paper that keep the board clean, pushed under the edge and drawn out at the end. */
export interface PaperStrips {
  count: number;
  lengthMm: number;
  wideMm: number;
}

/** Four strips round the foot that overlap each other by 4 cm; wider where more board shows. */
export function paperStrips(cake: Outline, board: Outline | null): PaperStrips {
  const shows = board ? Math.max(0, (widthMm(board) - widthMm(cake)) / 2) : 40;
  return {
    count: 4,
    lengthMm: perimeterMm(cake) / 4 + 40,
    wideMm: Math.max(60, Math.ceil((shows + 25) / 10) * 10),
  };
}

/** What a fondant is coloured with; null for one that is left as it is. */
export const fondantTinted = (
  { tint, rolledG }: Pick<FondantPlan, 'tint' | 'rolledG'>,
  colours: readonly Colour[],
): TintNote | null => (tint.trim() ? tintNote(colourOf(colours, tint), rolledG, false) : null);
