import type { AdvisedEdit } from '../document/advised.ts';
import type { Phrase } from '../units/phrase.ts';

export const stages = [
  'brief',
  'stack',
  'bake',
  'carve',
  'coat',
  'finish',
  'support',
  'day',
  'bench',
] as const;
export type Stage = (typeof stages)[number];

/** `stop`: the build cannot be made so. `mind`: it can, with care. `note`: good to know. */
export type Severity = 'stop' | 'mind' | 'note';

/** Something to mind: where it is, what it is, and what to do about it, with the amount. */
export interface Caution {
  id: string;
  severity: Severity;
  stage: Stage;
  /** Part of the section it belongs to, for instance "tier-1/gap/0"; null for the whole build. */
  part: string | null;
  title: Phrase;
  todo: Phrase;
  /** Where one edit does what is advised. */
  advised?: AdvisedEdit;
}

const order: Record<Severity, number> = { stop: 0, mind: 1, note: 2 };

/** Worst first, then in the order of work. */
export const sortCautions = (cautions: readonly Caution[]): Caution[] =>
  [...cautions].sort(
    (a, b) =>
      order[a.severity] - order[b.severity] || stages.indexOf(a.stage) - stages.indexOf(b.stage),
  );
