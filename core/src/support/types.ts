import type { BoardMaterial } from '../pantry/types.ts';

/** A board cut to the outline of what stands on it. */
export interface Card {
  material: BoardMaterial;
  thicknessMm: number;
}

export const dowelCuts = ['longest', 'each'] as const;
/** All cut to the longest, or each to the height at its own place. */
export type DowelCut = (typeof dowelCuts)[number];

/** What stands in a tier and carries what is above it. */
export interface Dowels {
  dowelId: string;
  /** Null for as many as the load asks for. */
  count: number | null;
  /** Places set by hand, mm from the tier's axis; empty for the computed ring. */
  spots: [number, number][];
  cut: DowelCut;
}

/** A board half-way up a tall tier, on dowels of its own: it lies on the filling over a layer. */
export interface Deck {
  /** Counted from 0; the board lies over the filling on this layer. */
  afterLayer: number;
  card: Card;
  dowels: Dowels;
}

/** How a tier stands on what is below it, and what stands in it. */
export interface Standing {
  /** Its own board; null where it stands bare. The lowest tier stands on the build's board. */
  card: Card | null;
  /** Its axis from that of the tier below, mm. */
  offsetMm: [x: number, y: number];
  /** Room between it and the tier below, mm: the dowels of the tier below stand up as posts. */
  postMm: number;
  /** In this tier, under the tier above; null where cake alone carries it. */
  dowels: Dowels | null;
  /** From the bottom up. */
  decks: Deck[];
}

/** A rod through all tiers, fixed to the board. */
export interface Rod {
  dowelId: string;
  /** Where it goes through, from the axis of the lowest tier; null for the computed place. */
  at: [x: number, y: number] | null;
}

/** How the cake gets to the table. */
export interface Journey {
  byRoad: boolean;
  minutes: number;
  carC: number;
  /** Where the tiers are put on each other. */
  stackAt: 'home' | 'venue';
  /** Chilled through before it leaves. */
  chilled: boolean;
  /** In a box that holds the board on all sides. */
  boxed: boolean;
  /** On something non-slip. */
  mat: boolean;
  /** Days from baking to serving. */
  days: number;
}
