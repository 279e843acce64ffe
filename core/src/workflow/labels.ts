import type { Bowl } from '../bowls/bowls.ts';
import { keepingRows, spongeKeepsMin } from '../day/keeping.ts';
import type { DayTask, Placed } from '../day/types.ts';
import type { Build } from '../document/types.ts';
import { withGanaches } from '../finish/ganache-recipe.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry, Recipe } from '../pantry/types.ts';
import { recipeLabel } from '../price/label.ts';
import { ifThere } from '../working/staged.ts';

/** What is written on what is put away. Times in minutes before the deadline, negative. */
export interface StoreLabel {
  id: string;
  name: string;
  madeMin: number;
  /** Used by then: it keeps so long in the cold, and goes no further than serving. */
  useByMin: number;
  /** What it holds, or that nobody knows. */
  contents: string;
}

interface Made {
  build: Build;
  bowls: readonly Bowl[];
  tasks: readonly DayTask[];
  placed: readonly Placed[];
  pantry: Pantry;
}

/** Longer than this after it was made it is put away and labelled, min. */
const awayMin = 60;

/**
 * A label for all that is made in one stretch of work and used in a later one: bowls and wrapped
 * cakes, with when it was made, until when it keeps and what it holds.
 */
export function storeLabels(made: Made): StoreLabel[] {
  const { build, bowls, tasks, placed, pantry } = made;
  const larder = withGanaches(build, pantry);
  const recipeOf = (id: string): Recipe | null => ifThere(() => findRow(larder, 'recipes', id));
  const at = new Map(placed.map((one) => [one.id, one]));
  const usedAfter = (ids: ReadonlySet<string>): number =>
    Math.max(
      -Infinity,
      ...tasks
        .filter((task) => !ids.has(task.id) && task.after.some(({ id }) => ids.has(id)))
        .map(({ id }) => at.get(id)?.startMin ?? -Infinity),
    );
  const label = (
    id: string,
    name: string,
    own: readonly DayTask[],
    keepsMin: number,
    recipe: Recipe | null,
  ): StoreLabel[] => {
    const ends = own.flatMap((task) => at.get(task.id)?.endMin ?? []);
    if (ends.length === 0 || !recipe) return [];
    const madeMin = Math.max(...ends);
    if (usedAfter(new Set(own.map((task) => task.id))) - madeMin < awayMin) return [];
    return [
      {
        id,
        name,
        madeMin,
        useByMin: Math.min(0, madeMin + keepsMin),
        contents: recipeLabel(recipe, larder),
      },
    ];
  };
  return [
    ...build.tiers.flatMap((tier) => {
      const own = tasks.filter(({ bakes }) => bakes?.includes(tier.id));
      const sponge = pantry.sponges.find(({ id }) => id === tier.spongeId);
      const recipe = sponge ? recipeOf(sponge.recipeId) : null;
      return label(`${tier.id}/cake`, `${tier.name}: ${sponge?.name ?? ''}`, own, spongeKeepsMin, recipe); // prettier-ignore
    }),
    ...bowls.flatMap((bowl) => {
      const own = tasks.filter(({ line }) => line?.batchId === bowl.batchId);
      const spread = ifThere(() => findRow(larder, 'spreads', bowl.spreadId));
      const recipe = spread ? recipeOf(spread.recipeId) : null;
      return spread
        ? label(`bowl/${bowl.id}`, bowl.name, own, keepingRows[spread.keeping].fridgeMin, recipe)
        : [];
    }),
  ];
}
