import type { CoolPlace } from '../pantry/types.ts';
import type { Line } from '../workflow/operation.ts';

/** From when to when on a day of the week a person works, minutes after midnight; null for a day off. */
export type Hours = { from: number; to: number } | null;

/** A task of the user's own, beside those of the cake. */
export interface OwnTask {
  id: string;
  title: string;
  handsMin: number;
  waitMin: number;
  /** Task it comes after; null for whenever there is time. */
  after: string | null;
  /** Task it must be done before; null for any time before the cake is ready. */
  before: string | null;
}

/** When and by whom the cake is made. */
export interface DaySettings {
  people: number;
  /** From Monday to Sunday. */
  hours: Hours[];
  /** Height of the fridge's shelves together, mm. */
  fridgeMm: number;
  /** Height of the freezer's shelves together, mm; 0 for none. */
  freezerMm: number;
  /** Where stacks and coats get firm. */
  chillIn: 'fridge' | 'freezer';
  /** Where fillings and frostings cool, by spread; others where their recipe says. */
  cooling: { spreadId: string; where: CoolPlace }[];
  /** Minutes in hand before it is served. */
  spareMin: number;
  own: OwnTask[];
  /** Hands-on minutes by the user's own clock, by task. */
  minutes: { taskId: string; handsMin: number }[];
  /** Tasks that begin when the user wants them to, minutes before the deadline, negative. */
  pinned: { taskId: string; startMin: number }[];
  /** Other builds of the same days that share hands, oven, mixer and cold. */
  together: string[];
}

export const resources = ['hands', 'oven', 'mixer', 'fridge', 'freezer'] as const;
export type Resource = (typeof resources)[number];

/** Something that takes hands first, then time without them. Minutes. */
export interface DayTask {
  id: string;
  /** The bench steps it is made of. */
  stepKeys: string[];
  title: string;
  chapter: string;
  tierId: string | null;
  /** The line of work it belongs to; none for the user's own tasks. */
  line?: Line;
  handsMin: number;
  waitMin: number;
  /** Hands once more at the very end of the wait, as to take a tin out of the oven, and a wait after that. */
  again: { handsMin: number; waitMin: number } | null;
  /** Its wait does some good even where it is cut short to this, as the chill before the road, min. */
  shortestMin?: number;
  /**
   * What else it needs: while hands are first on it, while it first waits, or both; and so long before
   * that wait, as an oven that has to get hot.
   */
  uses: {
    resource: Resource;
    amount: number;
    when: 'hands' | 'wait' | 'all';
    leadMin?: number;
  }[];
  /** Tiers whose cakes come out of the oven with it. */
  bakes?: string[];
  /**
   * What it waits for: at least so long after that has ended, waiting included; at most so long,
   * where that would spoil.
   */
  after: { id: string; leastMin: number; mostMin: number | null }[];
  /** Ends so many minutes before the deadline at the latest, negative; for what is due before the others. */
  dueMin?: number;
  /** Begins then or, where that cannot be, earlier. */
  pinMin?: number;
}

/** How much of each there is. Fridge and freezer in mm of shelf height. */
export type Capacity = Record<Resource, number>;

/** What there is of each on the days of a build; a kitchen has one oven and one mixer. */
export const dayCapacity = ({ people, fridgeMm, freezerMm }: DaySettings): Capacity => ({
  hands: people,
  oven: 1,
  mixer: 1,
  fridge: fridgeMm,
  freezer: freezerMm,
});

/** One task in its place: minutes before the time the cake must be ready, as negative numbers. */
export interface Placed {
  id: string;
  startMin: number;
  /** Hands off. */
  handsEndMin: number;
  /** Hands on once more; null where that is not so. */
  againMin: number | null;
  endMin: number;
}
