import { MissingRow, PantryProblem } from '../pantry/find.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution, Stage } from './cautions.ts';

/** What a stage gives: its result, or the problem that kept it from one. */
export type Staged<T> = { ok: true; value: T } | { ok: false; problem: string };

/**
 * Runs one stage of the plan. What is wrong with the pantry becomes the stage's problem and a caution, and
 * leaves the other stages alone.
 */
export function attempt<T>(
  stage: Stage,
  part: string | null,
  cautions: Caution[],
  work: () => T,
): Staged<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (!(error instanceof PantryProblem)) throw error;
    cautions.push({
      id: `missing/${stage}/${part ?? 'build'}/${error.key}`,
      severity: 'stop',
      stage,
      part,
      title: phrase(error.message),
      todo: phrase(
        error instanceof MissingRow
          ? 'Choose another one here, or add it to the pantry again.'
          : 'Change it in the pantry.',
      ),
    });
    return { ok: false, problem: error.message };
  }
}

/** What a stage gave, or null where it gave none. */
export const valueOf = <T>(stage: Staged<T>): T | null => (stage.ok ? stage.value : null);

/** What `find` finds, or null where the pantry has no such row. */
export function ifThere<T>(find: () => T): T | null {
  try {
    return find();
  } catch (error) {
    if (error instanceof PantryProblem) return null;
    throw error;
  }
}
