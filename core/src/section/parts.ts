import type { Lines } from '../carve/result.ts';
import type { Look } from '../pantry/types.ts';

export type PartKind =
  | 'board'
  | 'card'
  | 'dowel'
  | 'post'
  | 'rod'
  | 'fondant'
  | 'coat'
  | 'band'
  | 'crumb'
  | 'dab'
  | 'layer'
  | 'crown'
  | 'gap'
  | 'dam'
  | 'inset'
  | 'between'
  | 'centre'
  | 'hole'
  | 'veil'
  | 'flood'
  | 'drip'
  | 'piping'
  | 'topping';

/**
 * A rectangle of the section, in mm: x from the axis to the right, y up from the top of the board.
 * `tone` is the material's hatch; parts come in the order they are drawn, back to front.
 */
export interface SectionPart {
  id: string;
  kind: PartKind;
  tierId: string | null;
  label: string;
  tone: Look | 'board' | 'paper' | 'wood';
  /** A dome: drawn as an arc that rises to y1, or hangs down to y0. */
  arc?: 'up' | 'down';
  /** Which drip along the rim it is. */
  drip?: number;
  /** Closed lines of what is no rectangle; the box below is round them. */
  lines?: Lines;
  x0: number;
  x1: number;
  y0: number;
  y1: number;
}

/** The cut through a cake: its parts, the height of each tier, and how far everything reaches. */
export interface Section {
  parts: SectionPart[];
  tiers: { tierId: string; fromMm: number; toMm: number; widthMm: number; atMm: number }[];
  halfWidthMm: number;
  heightMm: number;
  /** How high anything of it reaches, toppings with it. */
  topMm: number;
  boardMm: number;
}
