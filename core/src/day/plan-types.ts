import type { Window } from './hours.ts';
import type { Proof } from './proof.ts';
import type { Late, Levels } from './levels.ts';
import type { Capacity, DayTask, Placed, Resource } from './types.ts';

/** A plan of the days, with how good it is known to be. Minutes. */
export interface DayPlan {
  placed: Placed[];
  /** From the first hand laid on to the deadline. */
  spanMin: number;
  /** No plan can begin later than this before the deadline. */
  boundMin: number;
  /** How much longer than that it is, as a share. */
  gapShare: number;
  /** How good it is, level by level. */
  levels: Levels;
  /** How near that is to the best there can be. */
  proof: Proof;
  /** Hands-on time of all tasks. */
  handsMin: number;
  /** Times a result waits longer than it keeps: by task and what came before, and by how much. */
  late: Late[];
  /** How far each task can move earlier or later by itself, the others standing still. */
  slack: Record<string, { earlierMin: number; laterMin: number }>;
  /** Tasks that could not begin when they were wanted to, and when they do. */
  moved: { id: string; wantedMin: number; startMin: number }[];
  /** Tasks that would make the whole longer if they took longer. */
  critical: string[];
  rounds: number;
}

export type DayAnswer =
  | { ok: true; plan: DayPlan }
  | { ok: false; why: 'loop'; ids: string[] }
  | { ok: false; why: 'too little time'; id: string; neededMin: number }
  | { ok: false; why: 'no hours' }
  | { ok: false; why: 'no room'; id: string; resource: Resource };

/** What is asked of the scheduler. */
export interface DayQuestion {
  tasks: DayTask[];
  windows: Window[];
  capacity: Capacity;
  seed: number;
  /** Rounds of improvement. */
  rounds: number;
}
