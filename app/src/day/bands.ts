import type { DayTask, Placed } from '@pyrgotect/core';
import { format, startOfDay } from 'date-fns';
import { dayText } from '../locale/when.ts';
import type { DayRow } from '../stores/day.ts';

export type BarKind = 'hands' | 'oven' | 'fridge' | 'wait';

/** A stretch of hands or of waiting within one day, minutes after midnight. */
export interface Bar {
  key: string;
  id: string;
  from: number;
  to: number;
  lane: number;
  kind: BarKind;
  title: string;
  isCritical: boolean;
  cake: string | null;
}
/** One day, with the lines that its bars take. */
export interface Band {
  key: string;
  day: Date;
  title: string;
  bars: Bar[];
  hands: number;
  waits: number;
}

/** What the kinds of bars are called. */
export const barWords: Record<BarKind, string> = {
  hands: 'hands',
  oven: 'oven',
  fridge: 'cold',
  wait: 'standing',
};

/** Hands and waits of a placed task, minutes before the deadline. */
export function spansOf(at: Placed, task: DayTask): { from: number; to: number; kind: BarKind }[] {
  const uses = (resource: string): boolean => task.uses.some((use) => use.resource === resource);
  const waits: BarKind = uses('oven')
    ? 'oven'
    : uses('fridge') || uses('freezer')
      ? 'fridge'
      : 'wait';
  const again = at.againMin !== null ? task.again : null;
  const spans: { from: number; to: number; kind: BarKind }[] = [
    { from: at.startMin, to: at.handsEndMin, kind: 'hands' },
    { from: at.handsEndMin, to: at.againMin ?? at.endMin, kind: waits },
  ];
  if (again && at.againMin !== null)
    spans.push(
      { from: at.againMin, to: at.againMin + again.handsMin, kind: 'hands' },
      { from: at.againMin + again.handsMin, to: at.endMin, kind: 'wait' },
    );
  return spans.filter((span) => span.to > span.from);
}

type Piece = Omit<Bar, 'from' | 'to' | 'lane'> & { from: Date; to: Date };

/** Every stretch of hands and of waiting of one task, cut at midnight. */
function piecesOf(
  { at, task, isCritical, cake }: DayRow,
  dateOf: (minutes: number) => Date,
): Piece[] {
  return spansOf(at, task).flatMap((span, k) => {
    const cut: Piece[] = [];
    let from = dateOf(span.from);
    const end = dateOf(span.to);
    for (let n = 0; n < 20 && from < end; n++) {
      const midnight = new Date(from.getFullYear(), from.getMonth(), from.getDate() + 1);
      const to = end < midnight ? end : midnight;
      cut.push({
        key: `${at.id}/${k}/${n}`,
        id: at.id,
        title: task.title,
        kind: span.kind,
        isCritical,
        cake,
        from,
        to,
      });
      from = to;
    }
    return cut;
  });
}

/** Bars in as few lines as they fit without lying on each other. */
function lanesOf(bars: Bar[]): number {
  const ends: number[] = [];
  for (const bar of bars.sort((a, b) => a.from - b.from)) {
    let lane = ends.findIndex((end) => end <= bar.from + 1e-6);
    if (lane < 0) lane = ends.push(0) - 1;
    ends[lane] = bar.to;
    bar.lane = lane;
  }
  return ends.length;
}

export const minutesOf = (date: Date): number => date.getHours() * 60 + date.getMinutes();

/** The days on which hands are on something, one under the other. */
export function bandsOf(rows: readonly DayRow[], dateOf: (minutes: number) => Date): Band[] {
  const days = new Map<string, Band>();
  const pieces = rows
    .flatMap((row) => piecesOf(row, dateOf))
    .sort((a, b) => a.from.getTime() - b.from.getTime());
  for (const piece of pieces) {
    const day = startOfDay(piece.from);
    const key = format(day, 'yyyy-MM-dd');
    const band = days.get(key) ?? {
      key,
      day,
      title: dayText(day, 'long'),
      bars: [],
      hands: 0,
      waits: 0,
    };
    days.set(key, band);
    const from = minutesOf(piece.from);
    const long = (piece.to.getTime() - piece.from.getTime()) / 60_000;
    band.bars.push({ ...piece, from, to: Math.max(from + 3, from + long), lane: 0 });
  }
  for (const band of days.values()) {
    band.hands = lanesOf(band.bars.filter((bar) => bar.kind === 'hands'));
    band.waits = lanesOf(band.bars.filter((bar) => bar.kind !== 'hands'));
  }
  // a night in which something only stands needs no band of its own
  return [...days.values()].filter((band) => band.bars.some((bar) => bar.kind === 'hands'));
}
