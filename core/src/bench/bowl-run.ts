import type { Bowl } from '../bowls/bowls.ts';
import type { BowlUse } from '../bowls/uses.ts';
import type { Build } from '../document/types.ts';
import { coatKind } from '../hand/corrections.ts';
import { phrase } from '../units/phrase.ts';
import { isOfSame, leftLabel, type Step } from './steps.ts';

/** Grams below which nobody shares out. */
const slackG = 10;

/**
 * What really is in each bowl, step by step: what was noted of it counts, what was not noted went as
 * planned. Where a bowl no longer reaches, the steps still to do share what is left; where what is
 * left is weighed, the step says how much it should be.
 *
 * Steps are changed in place.
 */
export function runBowls(
  sheet: readonly Step[],
  bowls: readonly Bowl[],
  scrapingsShare: number,
  { bench, tiers }: Build,
): void {
  const order = new Map(sheet.map((step, i) => [step.key, i]));
  const done = new Set(bench.done.map(({ stepKey }) => stepKey));
  /** What was noted of a step's own figure; other things weighed there have names of their own. */
  const notedOf = (step: Step | undefined): number | null | undefined =>
    step?.record
      ? bench.notes.findLast(
          ({ stepKey, kind, value, planned }) =>
            stepKey === step.key &&
            kind === 'mass' &&
            value !== null &&
            (planned === null || isOfSame(planned, step.record!)),
        )?.value
      : undefined;
  const stepOf = (key: string | null): Step | undefined => sheet[order.get(key ?? '') ?? -1];
  for (const bowl of bowls) {
    const madeG = notedOf(stepOf(`bowl/${bowl.batchId}/make`));
    const batchG = bowls
      .filter((one) => one.batchId === bowl.batchId)
      .reduce((sum, one) => sum + one.makeG, 0);
    let leftG = madeG == null || batchG === 0 ? bowl.makeG : (madeG * bowl.makeG) / batchG;
    const uses = bowl.uses
      .map((use) => ({ use, key: use.step }))
      .sort((a, b) => (order.get(a.key ?? '') ?? Infinity) - (order.get(b.key ?? '') ?? Infinity));
    uses.forEach(({ use, key }, i) => {
      const step = stepOf(key);
      if (!step || key === null) return void (leftG -= use.massG);
      const weighsLeft = step.record?.label === leftLabel;
      const lostG = use.kind === 'crumb' ? use.massG * scrapingsShare : 0;
      const openG = uses.slice(i).reduce((sum, one) => sum + one.use.massG, 0);
      const share = Math.min(1, Math.max(0, leftG) / openG);
      const isShort = !done.has(key) && openG - leftG > slackG && bowl.needG > 0;
      const takenG = isShort ? use.massG * share : use.massG;
      // a bowl that begins too small was said so where it was planned
      if (isShort) shareOut(step, use, share, leftG, bowl.name);
      if (weighsLeft && step.record) {
        const tier = tiers.find(({ id }) => key.startsWith(`${id}/`));
        step.record = {
          ...step.record,
          planned: leftG - use.massG - lostG,
          takenG: use.massG + lostG,
          hand: use.kind === 'crumb' ? 'crumb' : tier ? coatKind(tier.coat.style) : null,
        };
      }
      const wasNoted = notedOf(step);
      if (weighsLeft && wasNoted != null) leftG = wasNoted;
      else leftG -= (use.kind === 'gap' && wasNoted != null ? wasNoted : takenG) + lostG;
    });
  }
}

function shareOut(step: Step, use: BowlUse, share: number, leftG: number, name: string): void {
  const amount = step.amounts.find(({ figure }) => figure !== null && figure === use.figure);
  if (!amount) return;
  const isOwn = step.record && Math.abs(step.record.planned - amount.value) < 0.01;
  amount.value *= share;
  if (step.record && isOwn) step.record = { ...step.record, planned: amount.value };
  step.cautions.unshift(
    phrase(
      `{left} of ${name.toLowerCase()} is left, which is short: what is left is shared out, {share} of each amount that was planned. Make more, or go on with this.`,
      { left: [Math.max(0, leftG), 'bowl'], share: [share, 'share'] },
    ),
  );
}
