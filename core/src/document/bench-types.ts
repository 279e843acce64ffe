import type { HandKind } from '../hand/kinds.ts';
import type { Kind } from '../units/kinds.ts';

/* What happened at the bench. */

export const noteKinds = [
  'mass',
  'height',
  'length',
  'minutes',
  'temperature',
  'words',
  'count',
  'photo',
] as const;
export type NoteKind = (typeof noteKinds)[number];

/** What was planned where something was noted, kept as it was then: plans change, what was noted stays. */
export interface Planned {
  title: string;
  label: string;
  /** What was noted, whatever it was called; empty in notes of older versions. */
  what: string;
  value: number;
  /** Where what is noted is what is left: how much was to be taken. Null where the figure itself was planned. */
  takenG: number | null;
  /** By how much the hand had moved it already; 1 for not at all. */
  movedBy: number;
  /** What the hand learns from it; null for nothing. */
  hand: HandKind | null;
  show: Kind;
}

/** A photo is kept beside, under the id of its note. */
export interface BenchNote {
  id: string;
  stepKey: string;
  at: string;
  kind: NoteKind;
  value: number | null;
  text: string;
  planned: Planned | null;
}
export interface BenchTimer {
  id: string;
  stepKey: string;
  label: string;
  startedAt: string;
  minutes: number;
  stoppedAt: string | null;
}
/** A build that is done: its notes are its record, and no later record moves its plan. */
export interface Finished {
  at: string;
  moves: { hand: HandKind; factor: number; cv: number; count: number }[];
}
/** What happened at the bench. */
export interface Bench {
  stepKey: string | null;
  done: { stepKey: string; at: string }[];
  checks: string[];
  notes: BenchNote[];
  timers: BenchTimer[];
  /** When it was done for good, and what the hand did to its plan: from then on that stays. */
  finished: Finished | null;
}
