import type { Build, Finished } from '../document/types.ts';
import { handKinds, type HandKind } from './kinds.ts';
import { isWildRatio } from './wild.ts';

/** One thing that was planned and came out as it did, from one build. */
export interface KeptRecord {
  /** The note it was taken from. */
  id: string;
  buildId: string;
  buildName: string;
  at: string;
  kind: HandKind;
  title: string;
  label: string;
  planned: number;
  actual: number;
  ratio: number;
  /** Why it does not count; null where it counts. */
  excluded: string | null;
}

/** What the hand does to one kind of figure of a plan. */
export interface Correction {
  factor: number;
  /** Spread of the next one, in place of what is usual. */
  cv: number;
  count: number;
}
export type Corrections = Partial<Record<HandKind, Correction>>;
/** A hand of which no record says anything; always the same, so that what was planned with it is known. */
export const noCorrections: Corrections = {};

/**
 * How much of what was planned was really taken or done. Where what is left is weighed, it is what
 * was to be taken, and what is missing of the rest beside. Null where nothing can be said.
 */
export function ratioOf(
  actual: number,
  planned: { value: number; takenG: number | null; movedBy: number },
): number | null {
  const ratio =
    planned.takenG === null
      ? (actual / planned.value) * planned.movedBy
      : (planned.takenG + planned.value - actual) / planned.takenG;
  return Number.isFinite(ratio) && ratio > 0 ? ratio : null;
}

/**
 * Everything in a build that the hand can learn from; the last note of a step on one thing counts.
 * Records that are ten times off begin excluded, with that as the reason.
 */
export function recordsOf(build: Build): KeptRecord[] {
  const found = new Map<string, KeptRecord>();
  for (const { id, at, stepKey, value, planned } of build.bench.notes) {
    if (!planned?.hand || value === null) continue;
    const ratio = ratioOf(value, planned);
    if (ratio === null) continue;
    found.set(`${stepKey}|${planned.what || planned.label}`, {
      id,
      buildId: build.id,
      buildName: build.name,
      at,
      kind: planned.hand,
      title: planned.title,
      label: planned.label,
      planned: planned.value,
      actual: value,
      ratio,
      excluded: isWildRatio(ratio) ? 'so far off that it looks like a slip' : null,
    });
  }
  return [...found.values()];
}

/** Corrections as a finished build keeps them, and back. */
export const keptCorrections = (corrections: Corrections): Finished['moves'] =>
  handKinds.flatMap((hand) => (corrections[hand] ? [{ hand, ...corrections[hand] }] : []));
export const correctionsFromKept = (kept: Finished['moves']): Corrections =>
  Object.fromEntries(kept.map(({ hand, ...move }) => [hand, move]));

/** What the hand does to a build: a finished one keeps what it did to it then. */
export const correctionsFor = ({ bench }: Build, corrections: Corrections): Corrections =>
  bench.finished ? correctionsFromKept(bench.finished.moves) : corrections;

/** By how much the hand moves a kind of figure; 1 where it has nothing to say. */
export const factorOf = (corrections: Corrections, kind: HandKind): number =>
  corrections[kind]?.factor ?? 1;

/** For a coat of some style; null for a style that has no coat of its own. */
export function coatKind(style: string): HandKind | null {
  const kind = `coat ${style}` as HandKind;
  return handKinds.includes(kind) ? kind : null;
}
