import { groupedBy } from '../working/grouped.ts';
import { isShared, keptGroups } from './kept-groups.ts';

/** The batch of a filling or frosting of one cake, when it is made and last used by the plan of its days. Times in ms. */
export interface MadeBatch {
  cakeId: string;
  cake: string;
  recipeId: string;
  name: string;
  massG: number;
  mixes: number;
  /** Most that one mixing gives, g; null where there is no limit. */
  largestMixG: number | null;
  /** Hands for one mixing, weighing out with it, min. */
  minutesEach: number;
  madeAt: number;
  usedBy: number;
  /** How long it keeps, min; null where nobody says. */
  keepsMin: number | null;
}

/** What several cakes take of one recipe, made at once. */
export interface Together {
  id: string;
  recipeId: string;
  name: string;
  /** When the first of them is made, ms. */
  madeAt: number;
  massG: number;
  parts: { cakeId: string; cake: string; massG: number; olderMin: number }[];
  mixes: number;
  /** Hands that it saves, min. */
  savesMin: number;
  /** What is longest in the cold waits so much longer than it would, min; and keeps so long. */
  olderMin: number;
  keepsMin: number;
}

/**
 * Batches of one recipe that several cakes take and that keep from the first to the last use: made at
 * once, with what that saves in minutes and costs in freshness (docs/model.md#diets-cost-and-shopping). Those of
 * one recipe hold the same: no cake gets an allergen that it did not have. Most minutes first.
 *
 * @param washMin washing bowl and whisk between two makings
 */
export function madeTogether(batches: readonly MadeBatch[], washMin: number): Together[] {
  return [...groupedBy(batches, ({ recipeId }) => recipeId).values()]
    .flatMap((own) => keptGroups(own, (one) => one).flatMap((group) => togetherOf(group, washMin)))
    .sort((a, b) => b.savesMin - a.savesMin);
}

/** Less is not worth a word, min. */
const worthMin = 5;

function togetherOf(group: readonly MadeBatch[], washMin: number): Together[] {
  const [first] = group;
  if (!first || !isShared(group)) return [];
  const massG = group.reduce((sum, one) => sum + one.massG, 0);
  const apart = group.reduce((sum, { mixes }) => sum + mixes, 0);
  const mixes = Math.max(1, Math.ceil(massG / (first.largestMixG ?? Infinity) - 1e-9));
  const savesMin = Math.max(0, apart - mixes) * first.minutesEach + (group.length - 1) * washMin;
  const parts = group.map(({ cakeId, cake, massG: g, madeAt }) => ({
    cakeId,
    cake,
    massG: g,
    olderMin: (madeAt - first.madeAt) / 60_000,
  }));
  return savesMin >= worthMin
    ? [
        {
          id: `${first.recipeId}/${first.cakeId}`,
          recipeId: first.recipeId,
          name: first.name,
          madeAt: first.madeAt,
          massG,
          parts,
          mixes,
          savesMin,
          olderMin: Math.max(...parts.map(({ olderMin }) => olderMin)),
          keepsMin: first.keepsMin ?? 0,
        },
      ]
    : [];
}
