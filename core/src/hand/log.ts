import { isOfSame, whatOf, type Recordable, type Step } from '../bench/steps.ts';
import type { BenchNote, Build } from '../document/types.ts';
import type { Kind } from '../units/kinds.ts';
import type { HandKind } from './kinds.ts';
import { ratioOf } from './corrections.ts';
import { isWildRatio } from './wild.ts';

/** Something that was planned and was noted as it really came. */
export interface LogLine {
  noteId: string;
  stepKey: string;
  title: string;
  label: string;
  /** What the hand learns from it; null for nothing. */
  hand: HandKind | null;
  planned: number;
  actual: number;
  /** True where what was left was weighed: then the ratio is of what was taken. */
  isLeft: boolean;
  /** Taken over planned; where what was left was weighed, what was really taken. */
  ratio: number;
  show: Kind;
  at: string;
  /** So far off that it may be a slip of the pen. */
  isWild: boolean;
}

/** What can be noted at a step: its own figure first, then everything else. */
export const recordablesOf = (step: Step): Recordable[] => [
  ...(step.record && step.record.kind !== 'count' ? [step.record] : []),
  ...step.also,
];

/** What a note was planned to be: as it was kept with it, or, for an older one, as it is planned now. */
function plannedOf(note: BenchNote, steps: ReadonlyMap<string, Step>): BenchNote['planned'] {
  if (note.planned) return note.planned;
  const step = steps.get(note.stepKey);
  const record = step?.record;
  if (!step || !record || record.kind !== note.kind || record.planned <= 0) return null;
  return {
    title: step.title,
    label: record.label,
    what: whatOf(record),
    value: record.planned,
    takenG: record.takenG ?? null,
    movedBy: record.movedBy ?? 1,
    hand: record.hand ?? null,
    show: record.show,
  };
}

/**
 * Planned against actual for everything that was noted with a planned figure, what is furthest off
 * first. The last note of a step on one thing counts; counts of parts are not of the hand. What was
 * planned is as it was when it was noted: a finished build stays as it was planned and as it went.
 */
export function logOf(build: Build, steps: readonly Step[]): LogLine[] {
  const byKey = new Map(steps.map((step) => [step.key, step]));
  const last = new Map<string, LogLine>();
  for (const note of build.bench.notes) {
    if (note.value === null || note.kind === 'words' || note.kind === 'count') continue;
    const planned = plannedOf(note, byKey);
    const ratio = planned && ratioOf(note.value, { ...planned, movedBy: 1 });
    if (!planned || ratio === null) continue;
    last.set(`${note.stepKey}|${planned.what || planned.label}`, {
      noteId: note.id,
      stepKey: note.stepKey,
      title: planned.title,
      label: planned.label,
      hand: planned.hand,
      planned: planned.value,
      actual: note.value,
      isLeft: planned.takenG !== null,
      ratio,
      show: planned.show,
      at: note.at,
      isWild: isWildRatio(ratio),
    });
  }
  return [...last.values()].sort(
    (a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)),
  );
}

/** What one made of a cake teaches the next of its kind. */
export interface Lessons {
  /** What came otherwise than planned, what is furthest off first. */
  lines: LogLine[];
  /** What was said of it in words. */
  words: BenchNote[];
}
/** As many as one reads before beginning. */
const mostLessons = 6;
/** Nearer to the plan than this there is nothing to learn, as a share. */
const worthLearning = 0.03;

/** What the notes of a cake say to whoever makes it again; slips of the pen are left out. */
export const lessonsOf = (build: Build): Lessons => ({
  lines: logOf(build, [])
    .filter(({ ratio, isWild }) => !isWild && Math.abs(ratio - 1) > worthLearning)
    .slice(0, mostLessons),
  words: build.bench.notes.filter(({ kind, text }) => text !== '' && kind !== 'count'),
});

/**
 * A note of something that really happened at a step. Noted once more, it is measured against what
 * was planned the first time, since the plan has followed the first note already.
 */
export function noteOf(
  build: Build,
  step: Step,
  record: Recordable | null,
  { id, at, value, text }: { id: string; at: string; value: number | null; text: string },
): BenchNote {
  const before = record
    ? build.bench.notes.find(
        (note) =>
          note.stepKey === step.key && note.planned !== null && isOfSame(note.planned, record),
      )?.planned
    : undefined;
  return {
    id,
    stepKey: step.key,
    at,
    kind: value === null || !record ? 'words' : record.kind,
    value,
    text,
    planned:
      before ??
      (record && value !== null && (record.planned > 0 || record.takenG !== undefined)
        ? {
            title: step.title.slice(0, 200),
            label: record.label.slice(0, 200),
            what: whatOf(record).slice(0, 200),
            value: record.planned,
            takenG: record.takenG ?? null,
            movedBy: record.movedBy ?? 1,
            hand: record.hand ?? null,
            show: record.show,
          }
        : null),
  };
}
