import type { Outline } from '../outline/outline.ts';
import type { Allergen } from '../pantry/types.ts';
import type { CoatStyle } from '../pantry/styles.ts';

/** The version of the document that this program writes. */
export const buildVersion = 2;

export const portions = ['dessert', 'small'] as const;
export type Portion = (typeof portions)[number];

export const cuttings = ['grid', 'middle grid', 'rings', 'wedges'] as const;
/** How the cake is cut up: blocks placed for most, blocks from a cut through the middle, rings, wedges. */
export type Cutting = (typeof cuttings)[number];

export interface Brief {
  occasion: string;
  place: string;
  servings: number;
  portion: Portion;
  cutting: Cutting;
  /** Tall tiers are cut once across at half height before they are portioned. */
  halves: boolean;
  look: CoatStyle;
  /** Local date and time of serving, "2027-06-12T16:00". */
  serveAt: string | null;
  keepOut: Allergen[];
  notes: string;
}

export const levellings = ['cut all', 'cut all, top inverted'] as const;
export type Levelling = (typeof levellings)[number];

export interface Layer {
  heightMm: number;
}
/** What lies between two layers. `damMm` is the width of a piped ring of the coat's frosting; 0 for none. */
export interface Gap {
  heightMm: number;
  spreadId: string;
  damMm: number;
}
/** Pieces folded into the batter, in grams for a kilogram of batter. */
export interface Inclusion {
  name: string;
  gPerKg: number;
  densityGPerMl: number;
  allergens: Allergen[];
}
/** Thicknesses are null where the style's own value holds. */
export interface Coat {
  style: CoatStyle;
  spreadId: string;
  crumbMm: number | null;
  sideMm: number | null;
  topMm: number | null;
}

export interface Tier {
  id: string;
  name: string;
  /** The cake itself, without its coat. */
  outline: Outline;
  spongeId: string;
  tinId: string;
  /** How many layers each baked cake is split into. */
  slicesPerCake: number;
  levelling: Levelling;
  /** From the bottom up; one gap fewer than layers. */
  layers: Layer[];
  gaps: Gap[];
  inclusion: Inclusion | null;
  coat: Coat;
  /** Weight of the bowl of batter and of the same bowl empty, when it has been weighed. */
  bowl: { fullG: number; emptyG: number } | null;
}

export const noteKinds = ['mass', 'height', 'minutes', 'words'] as const;
export type NoteKind = (typeof noteKinds)[number];

export interface BenchNote {
  id: string;
  stepKey: string;
  at: string;
  kind: NoteKind;
  value: number | null;
  text: string;
}
export interface BenchTimer {
  id: string;
  stepKey: string;
  label: string;
  startedAt: string;
  minutes: number;
  stoppedAt: string | null;
}
/** What happened at the bench. */
export interface Bench {
  stepKey: string | null;
  done: { stepKey: string; at: string }[];
  checks: string[];
  notes: BenchNote[];
  timers: BenchTimer[];
}

/** What the user decided, and nothing that can be computed from it. */
export interface Build {
  id: string;
  name: string;
  createdAt: string;
  brief: Brief;
  tiers: Tier[];
  boardId: string;
  /** Frosting kept for piping, and the share of each coat kept back in case it runs thick. */
  pipingG: number;
  reserveShare: number;
  bench: Bench;
}
