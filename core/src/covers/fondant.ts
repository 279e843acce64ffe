import { colourOf } from '../colour/colour.ts';
import { tintNote, type TintNote } from '../colour/tint-note.ts';
import type { Food } from '../pantry/types.ts';
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

/** Panels that stand round a side under or over their top. Lengths in mm as they are cut. */
export interface FondantPanels {
  count: number;
  longMm: number;
  highMm: number;
  /** Upright joints: one for each panel, at the corners of a box, the last of a round at its back. */
  seams: number;
}

/** A sheet of fondant for one tier, or its top and the panels round it. Lengths in mm, masses in g. */
export interface FondantPlan {
  mm: number;
  tint: string;
  /** A disc has one measure, a sheet for a box two. */
  sheet: { acrossMm: number; deepMm: number; isDisc: boolean };
  /** Null where one sheet is draped over all of it. */
  panels: FondantPanels | null;
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
  if (tier.fondant.way === 'panels') return panelled(tier.fondant, outline, heightMm);
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
    panels: null,
    rolledG,
    onCakeG,
    trimG: rolledG - onCakeG,
    finished: coated(outline, mm),
  };
}

/** A panel longer than this tears or stretches as it is lifted, mm (trade custom). */
const longestPanelMm = 600;

/**
 * Top and panels (docs/model.md#covers): the top is cut flush with the side, panels stand up to cover its
 * edge, sides of a box one each and a round in as few as can be lifted. Trimmings of one are rolled again
 * for the next, so no more is at hand than lies on the cake and the largest trimming.
 */
function panelled(
  { mm, allowanceMm, tint }: NonNullable<Tier['fondant']>,
  outline: Outline,
  heightMm: number,
): FondantPlan {
  const isBox = outline.kind === 'square' || outline.kind === 'rectangle';
  const aroundMm = perimeterMm(coated(outline, mm));
  const count = isBox ? 4 : Math.max(1, Math.ceil(aroundMm / longestPanelMm - 1e-9));
  const highMm = heightMm + mm;
  const wide = { acrossMm: widthMm(outline), deepMm: depthMm(outline) };
  const gOf = (mm2: number): number => (mm2 * mm * fondantGPerMl) / 1000;
  const topG = gOf(areaMm2(outline));
  const sideG = gOf(aroundMm * highMm);
  const more = 2 * allowanceMm;
  const sheet = { acrossMm: wide.acrossMm + more, deepMm: wide.deepMm + more, isDisc: !isBox };
  const topCut = isBox
    ? sheet.acrossMm * sheet.deepMm
    : (Math.PI / 4) * Math.max(sheet.acrossMm, sheet.deepMm) ** 2;
  const longMm = aroundMm / count;
  const trims = [gOf(topCut) - topG, gOf((longMm + more) * (highMm + more) - longMm * highMm)];
  const onCakeG = topG + sideG;
  const trimG = Math.max(0, ...trims);
  return {
    mm,
    tint,
    sheet,
    panels: { count, longMm, highMm, seams: count },
    rolledG: onCakeG + trimG,
    onCakeG,
    trimG,
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
  foods: readonly Food[],
): TintNote | null =>
  tint.trim() ? tintNote(colourOf(colours, tint), rolledG, false, foods) : null;
