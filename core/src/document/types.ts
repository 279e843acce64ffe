import type { DaySettings } from '../day/types.ts';
import type { Diet } from '../pantry/diets.ts';
import type { CoatStyle } from '../pantry/styles.ts';
import type { Allergen } from '../pantry/types.ts';
import type { Journey, Rod } from '../support/types.ts';
import type { Bench } from './bench-types.ts';
import type { Piped } from './finish-types.ts';
import type { Order } from './order-types.ts';
import type { Tier } from './tier-types.ts';

export * from './bench-types.ts';
export * from './order-types.ts';
export * from './tier-types.ts';

/** The version of the document that this program writes. */
export const buildVersion = 19;

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
  /** What the guests eat, kept by every ingredient. */
  diets: Diet[];
  /** How warm it is where it is coated and where it stands, C; null for the kitchen's own room. */
  kitchenC: number | null;
  venueC: number | null;
  notes: string;
}

/**
 * Something piped. `piped` says how, and its grams, pieces and length are computed; where it is null
 * they are as they stand here.
 */
export interface PipingJob {
  id: string;
  name: string;
  /** Null where it is piped with the coat of the lowest tier. */
  spreadId: string | null;
  tint: string;
  massG: number;
  pieces: number;
  lineMm: number;
  piped: Piped | null;
}

export const batchWays = ['grams', 'half recipes', 'whole recipes'] as const;
/** Batches scaled to the gram, or in halves or wholes of the recipe. */
export type BatchBy = (typeof batchWays)[number];

/** A colour of this cake: what it is called, how it looks, and the gel that a test spot asked, g to the kilogram. */
export interface Colour {
  name: string;
  hex: string;
  gPerKg: number | null;
  /** The gels that make it, each with its grams to the kilogram; none where it is left to the bench. */
  doses: GelDose[];
}
/** So much of one gel of the pantry. */
export interface GelDose {
  foodId: string;
  gPerKg: number;
}

/** What the user decided, and nothing that can be computed from it. */
export interface Build {
  id: string;
  name: string;
  createdAt: string;
  brief: Brief;
  order: Order;
  /** Kept to make cakes from, and never made itself. */
  isPattern: boolean;
  tiers: Tier[];
  boardId: string;
  /** Rolled fondant over the board, mm; 0 for a bare one. */
  boardCoverMm: number;
  rod: Rod | null;
  journey: Journey;
  day: DaySettings;
  piping: PipingJob[];
  /** What the names of colours stand for. */
  colours: Colour[];
  /** Share of each coat kept back for patching. */
  reserveShare: number;
  /** How often a bowl may run short: 0.05 is once in twenty cakes. */
  shortShare: number;
  batchBy: BatchBy;
  /** Kinds of use that get a bowl of their own, as "bowl/kind". */
  apart: string[];
  /** Spreads whose colours are mixed one by one, and not divided from one batch. */
  mixedApart: string[];
  /** Bowls put away before that are used up first, by their spread. */
  fromStock: { spreadId: string; stockId: string }[];
  bench: Bench;
}
