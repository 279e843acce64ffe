import type { Bowl } from '../bowls/bowls.ts';
import type { Spread } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Step } from './steps.ts';

/** Firmer than this at 21 C nothing spreads: it has set and is warmed first, Pa (estimate). */
const setPa = 5000;
/** Warmer than this chocolate leaves its crystals, C (trade custom). */
const neverAboveC = 30;

/**
 * What was made ahead and has set is warmed before it is spread: said at the first step of each tier
 * that takes from it. Steps are changed in place.
 */
export function sayRewarm(
  sheet: readonly Step[],
  bowls: readonly Bowl[],
  spreadOf: (id: string) => Spread,
): void {
  const at = new Map(sheet.map((step) => [step.key, step]));
  for (const bowl of bowls) {
    if (spreadOf(bowl.spreadId).stress21Pa < setPa) continue;
    const said = new Set<string>();
    for (const use of bowl.uses) {
      const step = at.get(use.step ?? '');
      const tierId = use.part?.split('/')[0] ?? '';
      // what is poured has a temperature of its own at its step
      if (!step || step.probe || said.has(tierId)) continue;
      said.add(tierId);
      step.cautions.push(
        phrase(
          `${bowl.name}, where it has set: warmed in short bursts or over warm water, stirred from the edge each time, until it spreads; never above {most}.`,
          { most: [neverAboveC, 'temperature'] },
        ),
      );
    }
  }
}
