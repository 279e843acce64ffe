import { describe, expect, it } from 'vitest';
import {
  dayTasks,
  findRow,
  planBuild,
  readBuildFile,
  startingPantry,
  tooEarly,
  type Step,
} from '../src/index.ts';
import { readFileSync } from 'node:fs';

const pantry = startingPantry();
const text = readFileSync(new URL('../../demo/jubilee.json', import.meta.url), 'utf8');
const read = readBuildFile(text);
if (!read.ok) throw new Error(read.problems[0]!.message);
const { build } = read;
const plan = planBuild(build, pantry);
const steps: Step[] = plan.steps.ok ? plan.steps.value : [];
const bowls = plan.bowls.ok ? plan.bowls.value : [];
const tasks = dayTasks(build, plan, (id) => findRow(pantry, 'spreads', id));
const whip = steps.find(({ key }) => key === 'bowl/whippedganache/then/1')!;
const of = (step: Step, done: readonly string[]) =>
  tooEarly(step, steps, tasks, bowls, new Set(done));

describe('what is used at once', () => {
  it('is not made while layers it goes between are still to be baked', () => {
    const found = of(whip, [])!;
    expect(found.keepsMin).toBe(15);
    expect(found.openMin).toBeGreaterThan(found.keepsMin);
    const use = steps.find(({ key }) => key === found.use)!;
    const bowl = bowls.find(({ id, batchId }) => [id, batchId].includes('whippedganache'))!;
    expect(bowl.uses.map((one) => one.step)).toContain(use.key);
    const first = found.first.map((key) => steps.find((one) => one.key === key)!);
    // everything that is named comes before its use on the sheet, and none of it is its own making
    for (const one of first) {
      expect(steps.indexOf(one)).toBeLessThan(steps.indexOf(use));
      expect(one.line.id).not.toBe(whip.line.id);
    }
    expect(first.some(({ kind }) => kind === 'bake')).toBe(true);
    expect(new Set(found.first).size).toBe(found.first.length);
  });

  it('is made when all that is open before its use takes no longer than it keeps', () => {
    const { first } = of(whip, [])!;
    expect(of(whip, first)).toBeNull();
    // a step of some minutes may be left for after it; one that bakes may not
    const short = steps.find(
      ({ key, handsOnMin, timer, oven }) =>
        first.includes(key) && handsOnMin < 15 && !timer && !oven,
    )!;
    expect(of(whip, first.filter((key) => key !== short.key))).toBeNull(); // prettier-ignore
    const baking = steps.find(({ key, kind }) => first.includes(key) && kind === 'bake')!;
    expect(of(whip, first.filter((key) => key !== baking.key))!.first).toEqual([baking.key]); // prettier-ignore
  });

  it('is said of nothing that keeps, nor when it has been used', () => {
    for (const step of steps) if (step.keepsMin === null) expect(of(step, [])).toBeNull();
    const uses = bowls
      .filter(({ id, batchId }) => [id, batchId].includes('whippedganache'))
      .flatMap((bowl) => bowl.uses.flatMap((one) => one.step ?? []));
    expect(of(whip, uses)).toBeNull();
  });
});
