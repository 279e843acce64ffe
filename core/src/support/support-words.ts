import type { AdvisedEdit } from '../document/advised.ts';
import type { Phrase } from '../units/phrase.ts';
import type { Caution, Severity } from '../working/cautions.ts';

/** Enters one caution of Support. */
export type Say = (
  id: string,
  severity: Severity,
  part: string | null,
  title: Phrase,
  todo: Phrase,
  advised?: AdvisedEdit,
) => void;

export const sayInto =
  (cautions: Caution[]): Say =>
  (id, severity, part, title, todo, advised) =>
    void cautions.push({
      id,
      severity,
      stage: 'support',
      part,
      title,
      todo,
      ...(advised && { advised }),
    });

/** "1.4 times", for a phrase. */
export const times = (n: number): [number, 'factor'] => [Math.round(n * 10) / 10, 'factor'];
