import type { Step } from '../bench/steps.ts';
import type { Build, NoteKind } from '../build/types.ts';
import type { Kind } from '../units/kinds.ts';
import { isWildRatio } from './posterior.ts';

export const handKinds = ['fill', 'coat', 'amount', 'height', 'baking', 'time'] as const;
/** What a record is of: a filling, a coat, another amount, a height, minutes in the oven or other minutes. */
export type HandKind = (typeof handKinds)[number];

/** Something that was planned and was noted as it really came. */
export interface LogLine {
  noteId: string;
  stepKey: string;
  title: string;
  label: string;
  kind: HandKind;
  planned: number;
  actual: number;
  /** Actual over planned. */
  ratio: number;
  show: Kind;
  at: string;
  /** So far off that it may be a slip of the pen. */
  isWild: boolean;
}

function kindOf(key: string, kind: NoteKind): HandKind {
  if (kind === 'height') return 'height';
  if (kind === 'minutes') return key.endsWith('/bake') ? 'baking' : 'time';
  if (key.includes('/fill/')) return 'fill';
  return key.includes('coat') || key.includes('crumb') ? 'coat' : 'amount';
}

/**
 * Planned against actual for everything that was noted at a step with a planned figure, what is
 * furthest off first. The last note of a step counts; counts of parts are not of the hand.
 */
export function logOf(build: Build, steps: readonly Step[]): LogLine[] {
  const last = new Map(
    build.bench.notes
      .filter((note) => note.value !== null && note.kind !== 'words' && note.kind !== 'count')
      .map((note) => [`${note.stepKey}|${note.kind}`, note]),
  );
  const lines = steps.flatMap((step): LogLine[] => {
    const { record } = step;
    if (!record || record.kind === 'count' || record.planned <= 0) return [];
    const note = last.get(`${step.key}|${record.kind}`);
    if (!note || note.value === null || note.value <= 0) return [];
    const ratio = note.value / record.planned;
    return [
      {
        noteId: note.id,
        stepKey: step.key,
        title: step.title,
        label: record.label,
        kind: kindOf(step.key, record.kind),
        planned: record.planned,
        actual: note.value,
        ratio,
        show: record.show,
        at: note.at,
        isWild: isWildRatio(ratio),
      },
    ];
  });
  return lines.sort((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)));
}
