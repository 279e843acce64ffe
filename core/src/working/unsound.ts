import type { Plan } from '../plan/plan-types.ts';

/** Amounts that cannot be less than nothing, by the end of their field's name. */
const amounts = /(?:G|Ml|Mm2|Min)$/;
/** What may be less than nothing all the same: what is missing, taken away, or before the deadline. */
const signed = /^(?:spare|startMin|endMin|handsEndMin|againMin|makeUpG|missMm|planned|value)$/;

/**
 * What no plan may hold: a figure that is none, one without an end, a negative amount, a sentence
 * without words. Each with where it stands; empty for a sound plan.
 */
export function unsoundIn(plan: Plan): string[] {
  const found: string[] = [];
  const seen = new WeakSet();
  const walk = (value: unknown, path: string, key: string): void => {
    if (typeof value === 'number') {
      if (Number.isNaN(value)) found.push(`${path} is no number`);
      else if (amounts.test(key) && !signed.test(key) && value < -1e-6)
        found.push(`${path} is ${value}`);
      return;
    }
    if (typeof value !== 'object' || value === null || seen.has(value)) return;
    seen.add(value);
    for (const [inner, each] of Object.entries(value)) walk(each, `${path}.${inner}`, inner);
  };
  walk(plan.tiers, 'tiers', '');
  walk(plan.bowls, 'bowls', '');
  walk(plan.ingredients, 'ingredients', '');
  walk(plan.tally, 'tally', '');
  for (const { id, title, todo } of plan.cautions)
    for (const [which, { text, values }] of [
      ['title', title],
      ['todo', todo],
    ] as const) {
      if (text.trim() === '') found.push(`caution ${id} has no ${which}`);
      for (const [name, { value }] of Object.entries(values ?? {}))
        if (!Number.isFinite(value)) found.push(`caution ${id} says ${value} for {${name}}`);
    }
  for (const step of plan.steps.ok ? plan.steps.value : []) {
    if (step.title.trim() === '') found.push(`step ${step.key} has no title`);
    if (!Number.isFinite(step.handsOnMin) || step.handsOnMin < 0)
      found.push(`step ${step.key} takes ${step.handsOnMin} minutes`);
    for (const { label, value, kind } of [...step.amounts, ...step.list])
      if (!Number.isFinite(value) || (value < -1e-6 && kind !== 'temperature'))
        found.push(`step ${step.key} wants ${value} of ${label}`);
  }
  return found;
}
