import type { Build } from '../document/types.ts';
import type { CarveAnswers, TierCarve } from '../carve/apply.ts';

/* By what a plan is known again: the fields it follows from, and the answers of the solids it rests on. */

const notPlanned: ReadonlySet<string> = new Set<keyof Build>(['id', 'name', 'createdAt', 'bench']);

/**
 * What of a build its plan follows from: not its name, and of the bench only what was counted. What
 * was measured there is in the tiers as they happened.
 */
export function plannedBy(build: Build): unknown[] {
  const rest = Object.entries(build).filter(([field]) => !notPlanned.has(field));
  const counted = build.bench.notes.filter((note) => note.kind === 'count');
  return [
    ...rest.map(([, value]) => value as unknown),
    counted.map((note) => `${note.stepKey}=${note.value}`).join(),
  ];
}

/** True while the solids say of a carved tier what they said when it was planned. */
export const isStillCarvedSo = (carve: TierCarve | null, carved: CarveAnswers): boolean =>
  carve === null || (carved(carve.key) ?? null) === carve.result;
