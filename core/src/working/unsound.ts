import type { Plan } from '../plan/plan-types.ts';

/** Amounts that cannot be less than nothing, by the end of their field's name. */
const amounts = /(?:G|Ml|Mm2|Min)$/;
/** What may be less than nothing all the same: what is missing, taken away, before the deadline, or an acceleration. */
const signed =
  /^(?:spare|startMin|endMin|handsEndMin|againMin|makeUpG|missMm|planned|value|brakeG)$/;

/**
 * More than any cake that a file may hold comes to: a year, ten tonnes, ten thousand litres, a thousand
 * square metres. A figure beyond is a fault of the models, not of the cake.
 */
const most = { G: 1e7, Ml: 1e7, Mm2: 1e9, Min: 527_040 };
const endOf = (key: string): keyof typeof most => amounts.exec(key)![0] as keyof typeof most;

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
      // what has no end is a bound that does not bind; no amount and no time is one
      else if (amounts.test(key) && value > most[endOf(key)]) found.push(`${path} is ${value}`);
      else if (amounts.test(key) && !signed.test(key) && value < -1e-6)
        found.push(`${path} is ${value}`);
      return;
    }
    if (typeof value !== 'object' || value === null || seen.has(value)) return;
    seen.add(value);
    for (const [inner, each] of Object.entries(value)) walk(each, `${path}.${inner}`, inner);
  };
  const { figures, cautions, steps, ...parts } = plan;
  for (const [name, part] of Object.entries(parts)) if (name !== 'section') walk(part, name, '');
  for (const { id, title, todo } of cautions)
    for (const [which, { text, values }] of [
      ['title', title],
      ['todo', todo],
    ] as const) {
      if (text.trim() === '') found.push(`caution ${id} has no ${which}`);
      for (const [name, { value }] of Object.entries(values ?? {}))
        if (!Number.isFinite(value)) found.push(`caution ${id} says ${value} for {${name}}`);
    }
  for (const { id, value, inputs } of figures.all())
    for (const each of [value, ...inputs.map((input) => input.value)])
      if (!Number.isFinite(each)) found.push(`figure ${id} is or rests on ${each}`);
  for (const step of steps.ok ? steps.value : []) {
    if (step.title.trim() === '') found.push(`step ${step.key} has no title`);
    if (!Number.isFinite(step.handsOnMin) || step.handsOnMin < 0)
      found.push(`step ${step.key} takes ${step.handsOnMin} minutes`);
    const ringsMin = step.timer?.minutes ?? 0;
    if (!(ringsMin >= 0 && ringsMin <= most.Min))
      found.push(`step ${step.key} rings after ${ringsMin} min`);
    for (const { label, value, kind } of [...step.amounts, ...step.list])
      if (!Number.isFinite(value) || (value < -1e-6 && kind !== 'temperature'))
        found.push(`step ${step.key} wants ${value} of ${label}`);
  }
  return found;
}
