import { describe, expect, it } from 'vitest';
import { mergeRows, movedSince, planBuild, readBuildFile, startingPantry, withRows, type Build, type Step } from '../src/index.ts'; // prettier-ignore
import { readFileSync } from 'node:fs';
import { create } from 'mutative';

const read = readBuildFile(
  readFileSync(new URL('../../demo/meridian.json', import.meta.url), 'utf8'),
);
if (!read.ok) throw new Error('the demo cannot be read');
const merged = mergeRows(read.build, read.rows, startingPantry());
const pantry = withRows(startingPantry(), merged.added);
const stepsOf = (build: Build): Step[] => {
  const { steps } = planBuild(build, pantry);
  if (!steps.ok) throw new Error('no steps');
  return steps.value;
};
const higher = (mm: number): Build =>
  create(merged.build, (draft) => {
    for (const gap of draft.tiers[0]!.gaps) gap.heightMm += mm;
  });
const none = new Map();
const nothingDone = new Set<string>();

describe('what moved at the bench', () => {
  const before = stepsOf(merged.build);

  it('is nothing where nothing changed', () => {
    expect(movedSince(before, stepsOf(higher(0)), none, nothingDone).size).toBe(0);
  });

  it('is the grams of a filling that was made thicker, with what they were', () => {
    const after = stepsOf(higher(4));
    const moved = movedSince(before, after, none, nothingDone);
    expect(moved.size).toBeGreaterThan(0);
    for (const [key, marks] of moved)
      for (const { label, was } of marks) {
        const [then, now] = [before, after].map((steps) => {
          const { amounts, list } = steps.find((step) => step.key === key)!;
          return [...amounts, ...list].find((one) => one.label === label)!.value;
        });
        expect(was).toBe(then);
        expect(now).not.toBe(then);
      }
  });

  it('keeps what it was at first, and is marked no more when it comes back', () => {
    const [more, most] = [stepsOf(higher(4)), stepsOf(higher(8))];
    const first = movedSince(before, more, none, nothingDone);
    const second = movedSince(more, most, first, nothingDone);
    for (const [key, marks] of first) expect(second.get(key)).toEqual(expect.arrayContaining([...marks])); // prettier-ignore
    expect(movedSince(most, before, second, nothingDone).size).toBe(0);
  });

  it('is nothing of what is done', () => {
    const after = stepsOf(higher(4));
    const [first] = [...movedSince(before, after, none, nothingDone).keys()];
    const done = new Set([first!]);
    expect(movedSince(before, after, none, done).has(first!)).toBe(false);
  });
});
