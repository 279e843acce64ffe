import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  mergeRows,
  planBuild,
  pantryTables,
  rowsUsed,
  type Build,
  type CarriedRows,
  type Pantry,
  type Plan,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';
import { layeredJobs } from './jobs/layered.ts';
import { shapedJobs } from './jobs/shaped.ts';
import { demo } from './work-kit.ts';

/* What a build file carries is all that its cake needs, and comes to the same cake in another kitchen. */

const cakes: Build[] = [
  ...['jubilee', 'harbour-light', 'comet-crepes', 'star-party', 'keepers-loaf'].map(demo),
  ...[...layeredJobs, ...shapedJobs].map(({ build }) => build),
];
/** A kitchen with nothing but some rows. */
const kitchenOf = (rows: CarriedRows): Pantry => ({ ...rows, kitchen: pantry.kitchen });

/** What a plan comes to: all its figures, what it holds, what is bought, what it costs. */
const comesTo = (plan: Plan): unknown => ({
  tally: plan.tally,
  allergens: [...plan.allergens].sort(),
  unknown: plan.unknownLines,
  problems: plan.cautions.map(({ id, severity }) => [id, severity]),
  bought: plan.ingredients.ok && plan.ingredients.value.map(({ name, massG }) => [name, massG]),
  cutLists: plan.cutLists,
  steps: plan.steps.ok && plan.steps.value.map(({ key, handsOnMin }) => [key, handsOnMin]),
});

/** Ganaches name these by what they are, so they stay who they are in every kitchen. */
const fixed = new Set(['butter', 'glucose', 'caster-sugar', 'fondant']);

/** The same rows as another house has them: every figure that decides something a little different. */
function elsewhere(rows: CarriedRows): CarriedRows {
  const by = 1.04;
  const moved = <T extends { id: string }>(list: readonly T[], change: (row: T) => Partial<T>): T[] =>
    list.map((row) => (fixed.has(row.id) ? row : { ...row, ...change(row) })); // prettier-ignore
  return {
    ...rows,
    sponges: moved(rows.sponges, ({ batterDensityGPerMl }) => ({ batterDensityGPerMl: batterDensityGPerMl * by })),
    spreads: moved(rows.spreads, ({ densityGPerMl }) => ({ densityGPerMl: densityGPerMl * by })),
    tins: moved(rows.tins, ({ depthMm }) => ({ depthMm: depthMm - 1 })),
    boards: moved(rows.boards, ({ massG }) => ({ massG: massG * by })),
    others: moved(rows.others, ({ densityGPerMl }) => ({ densityGPerMl: densityGPerMl * by })),
    recipes: moved(rows.recipes, ({ yieldG }) => ({ yieldG: yieldG * 0.97 })),
    foods: moved(rows.foods, ({ waterShare }) => ({ waterShare: waterShare * 0.96 })),
    ganaches: moved(rows.ganaches, ({ ratio }) => ({ ratio: ratio * by })),
    dowels: moved(rows.dowels, ({ outerMm }) => ({ outerMm: outerMm + 0.5 })),
  }; // prettier-ignore
}

/** A kitchen after the rows that came with a file were added. */
const withAdded = (added: CarriedRows): Pantry =>
  pantryTables.reduce<Pantry>(
    (all, table) => ({ ...all, [table]: [...all[table], ...added[table]] }),
    pantry,
  );
/** Names tell of the file a row is from; nothing is decided by them. */
const plain = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value).replaceAll(' (from file)', '')) as unknown;

describe('the rows that a build file carries', () => {
  const bears = (build: Build): void => {
    const alone = planBuild(build, kitchenOf(rowsUsed(build, pantry)));
    expect(comesTo(alone)).toEqual(comesTo(planBuild(build, pantry)));
  };
  it.each(cakes.map((build) => [build.name, build] as const))('are all that %s needs', (_, build) =>
    bears(build),
  );
  it('are all that any cake needs', () => {
    fc.assert(fc.property(anyBuild, bears), { numRuns: 12, seed: 29 });
  });
  it('are no more than it needs: a row that nobody names stays at home', () => {
    const rows = rowsUsed(demo('meridian'), pantry);
    for (const table of ['sponges', 'spreads', 'tins', 'recipes', 'foods'] as const) {
      expect(rows[table].length).toBeGreaterThan(0);
      expect(rows[table].length).toBeLessThan(pantry[table].length);
    }
    expect([rows.dowels, rows.ganaches, rows.others, rows.stock]).toEqual([[], [], [], []]);
  });
});

describe('a build file from another house', () => {
  /** Steps and problems of a bowl or a soak go by its row, which has another name here. */
  const figures = (plan: Plan): unknown => ({
    tally: plan.tally,
    allergens: [...plan.allergens].sort(),
    severities: plan.cautions.map(({ severity }) => severity),
    minutes: plan.steps.ok && plan.steps.value.map(({ handsOnMin }) => handsOnMin),
    bought: plan.ingredients.ok && plan.ingredients.value.map(({ massG }) => massG),
  });
  it.each(cakes.map((build) => [build.name, build] as const))('comes to the same cake here: %s', (_, build) => {
    const theirs = elsewhere(rowsUsed(build, pantry));
    const { build: here, added } = mergeRows(build, theirs, pantry);
    const there = planBuild(build, kitchenOf(theirs));
    const now = planBuild(here, withAdded(added));
    expect(plain(figures(now))).toEqual(plain(figures(there)));
    // nothing of this house was changed by it
    for (const table of pantryTables)
      for (const row of added[table])
        expect(pantry[table].some(({ id }) => id === row.id), `${table}/${row.id}`).toBe(false);
    // brought once more it adds nothing
    const again = mergeRows(build, theirs, withAdded(added));
    expect(Object.values(again.added).flat()).toEqual([]);
    expect(again.build).toEqual(here);
  }); // prettier-ignore
  it('of the same house adds nothing and changes nothing', () => {
    for (const build of cakes) {
      const { build: here, added } = mergeRows(build, rowsUsed(build, pantry), pantry);
      expect(Object.values(added).flat()).toEqual([]);
      expect(here).toEqual(build);
    }
  });
});
