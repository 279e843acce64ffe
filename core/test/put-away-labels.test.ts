import { describe, expect, it } from 'vitest';
import { keepingRows, spongeKeepsMin } from '../src/day/keeping.ts';
import { findRow, freeSteps, planBuild, recipeLabel, storeLabels, type Build, type DayTask, type Placed } from '../src/index.ts'; // prettier-ignore
import { pantry } from './arbitrary.ts';
import { bareTask, demo, placedOf, tasksOf } from './work-kit.ts';

/* What is written on what is put away, and what hands can do while something waits. */

const labelsOf = (build: Build, move: (placed: Placed[]) => Placed[] = (all) => all) => {
  const plan = planBuild(build, pantry);
  const tasks = tasksOf(build, plan);
  const placed = move(placedOf(build, tasks));
  const bowls = plan.bowls.ok ? plan.bowls.value : [];
  return { labels: storeLabels({ build, bowls, tasks, placed, pantry }), tasks, placed, bowls };
};

describe('a label', () => {
  it('is on what waits for another stretch of work: when it was made, how long it keeps, what it holds', () => {
    const { labels, tasks, placed } = labelsOf(demo('jubilee'));
    expect(labels.length).toBeGreaterThan(2);
    const cake = labels.find(({ id }) => id === 'tier-1/cake')!;
    const baked = tasks.filter(({ bakes }) => bakes?.includes('tier-1'));
    const ends = baked.map((task) => placed.find(({ id }) => id === task.id)!.endMin);
    expect(cake.madeMin).toBe(Math.max(...ends));
    expect(cake.useByMin).toBe(Math.min(0, cake.madeMin + spongeKeepsMin));
    for (const { name, madeMin, useByMin, contents } of labels) {
      expect(name).not.toBe('');
      expect(useByMin).toBeGreaterThan(madeMin);
      expect(useByMin).toBeLessThanOrEqual(0);
      expect(contents).not.toBe('');
    }
  });
  it('names what is in a bowl and gives it its own time', () => {
    const { labels, bowls } = labelsOf(demo('jubilee'));
    const made = labels.filter(({ id }) => id.startsWith('bowl/'));
    expect(made.length).toBeGreaterThan(0);
    for (const label of made) {
      const bowl = bowls.find(({ id }) => label.id === `bowl/${id}`)!;
      const spread = pantry.spreads.find(({ id }) => id === bowl.spreadId);
      if (!spread) continue;
      const keeps = keepingRows[spread.keeping].fridgeMin;
      expect(label.useByMin).toBe(Math.min(0, label.madeMin + keeps));
    }
  });
  it('says that something holds alcohol, and says it of nothing else', () => {
    const rum = findRow(pantry, 'recipes', 'recipe-rum-soak');
    expect(recipeLabel(rum, pantry)).toMatch(/ Holds alcohol\.$/);
    expect(recipeLabel(findRow(pantry, 'recipes', 'recipe-compote'), pantry)).not.toContain(
      'alcohol',
    );
  });
  it('is on nothing that is used at once, and on nothing where the days are not known', () => {
    const { labels } = labelsOf(demo('jubilee'), () => []);
    expect(labels).toEqual([]);
  });
});

describe('hands that are free', () => {
  const task = (id: string, stepKeys: string[], after: string[] = []): DayTask =>
    bareTask(id, 10, 0, {
      stepKeys,
      after: after.map((one) => ({ id: one, leastMin: 0, mostMin: null })),
    });
  const tasks = [
    task('bake', ['mix', 'bake']),
    task('cream', ['weigh', 'whip']),
    task('coat', ['crumb', 'coat'], ['bake', 'cream']),
  ];
  const free = (done: string[], waiting: string[], at: string): string[] =>
    freeSteps(tasks, new Set(done), new Set(waiting), at);
  it('take up the first step of what nothing stands before', () => {
    expect(free(['mix'], ['bake'], 'bake')).toEqual(['weigh']);
    expect(free(['mix', 'weigh'], ['bake'], 'bake')).toEqual(['whip']);
    expect(free(['mix', 'bake', 'weigh', 'whip'], [], 'nothing')).toEqual(['crumb']);
    // what runs already is no work, and what is at hand is not offered again
    expect(free([], ['weigh'], 'mix')).toEqual([]);
    expect(free(['mix', 'bake', 'weigh', 'whip', 'crumb', 'coat'], [], 'x')).toEqual([]);
  });
});
