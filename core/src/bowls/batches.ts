import type { BatchBy } from '../document/types.ts';
import type { Kitchen, Recipe, Spread } from '../pantry/types.ts';
import { scaledParts, scaleRecipe, weighedUp, type ScaledRecipe } from '../recipes/scale.ts';
import { addUp } from '../units/add-up.ts';
import type { BatchStock, TakeStock } from '../stock/bowls.ts';
import type { PlannedHold } from '../workflow/holds.ts';

/** One recipe made in one or several equal mixings, and the bowls it is divided into. Masses in g. */
export interface Batch {
  id: string;
  spreadId: string;
  name: string;
  bowlIds: string[];
  needG: number;
  /** What was put away before and is used up first; null for none. */
  stock: BatchStock | null;
  /** Mixings made now, and what each gives; none where what was put away is enough. */
  mixes: number;
  eachMixG: number;
  /** What there is in all, made now and put away before. */
  makeG: number;
  /** Most that one mixing gives, and what limits it; null where it is made by hand. */
  largestMixG: number | null;
  limit: 'mixer' | 'pan' | null;
  /** Less than the whisk reaches at the bottom of the bowl, g; null where there is no mixer. */
  smallestMixG: number | null;
  recipe: ScaledRecipe;
  /** Recipes among its ingredients, to be made before it. */
  parts: ScaledRecipe[];
  /** What it waits for before it is used, in the order of its recipe. */
  holds: PlannedHold[];
}

/** The waits of so much of a recipe, mixed at once. */
export type HoldsOf = (spread: Spread, recipe: Recipe, massG: number) => PlannedHold[];

/** Liquid that a whisk still reaches, over the mixer's bowl (docs/model.md#bowls). */
const smallestShare = 0.08;

/** Most of a spread that mixer or pan gives at once, g. */
export function largestMix(
  spread: Spread,
  kitchen: Kitchen,
): { g: number; limit: 'mixer' | 'pan' } | null {
  const { mixerShare, panShare, densityGPerMl } = spread;
  const mixer = mixerShare === null ? Infinity : kitchen.mixerMl * mixerShare * densityGPerMl;
  const pan = panShare === null ? Infinity : kitchen.panMl * panShare * densityGPerMl;
  const g = Math.min(mixer, pan);
  return Number.isFinite(g) ? { g, limit: mixer <= pan ? 'mixer' : 'pan' } : null;
}

/**
 * Equal mixings for so many grams: as few as mixer or pan allow, each scaled to 5 g, or in halves or
 * wholes of the recipe where those fit.
 */
export function planMixes(
  needG: number,
  yieldG: number,
  largestG: number | null,
  by: BatchBy,
): { mixes: number; eachMixG: number } {
  const most = largestG ?? Infinity;
  const mixes = Math.max(1, Math.ceil(needG / most - 1e-9));
  const unit = by === 'half recipes' ? yieldG / 2 : by === 'whole recipes' ? yieldG : null;
  if (unit !== null && unit <= most + 1e-9) {
    for (let n = mixes; n <= 4 * mixes; n++) {
      const each = Math.ceil(needG / n / unit - 1e-9) * unit;
      if (each <= most + 1e-9) return { mixes: n, eachMixG: each };
    }
  }
  return { mixes, eachMixG: weighedUp(needG / mixes) };
}

/** From here on a bowl is shown, and weighed off, by five grams. */
const coarseFromG = 500;

/**
 * What each bowl gets of one batch, g: at least what is safe for it, in the steps in which the batch
 * is weighed, so that what is shown of the bowls adds up to what is shown of the batch.
 */
export function shareOut(safeG: readonly number[], makeG: number): number[] {
  const step = makeG >= coarseFromG ? 5 : 1;
  const least = safeG.map((g) => Math.ceil(g / step - 1e-9) * step);
  const spare = Math.round(makeG / step) * step - sum(least);
  if (spare < 0) return [...safeG];
  const all = sum(safeG);
  const more = addUp(
    safeG.map((g) => (all > 0 ? (spare * g) / all : 0)),
    step,
  );
  return least.map((g, i) => g + more[i]!);
}
const sum = (some: readonly number[]): number => some.reduce((all, g) => all + g, 0);
/** Mass of a batch that lets every bowl be weighed off in whole steps, g. */
function weighableG(safeG: readonly number[]): number {
  const step = sum(safeG) >= coarseFromG - 5 * safeG.length ? 5 : 1;
  return safeG.length < 2 ? sum(safeG) : sum(safeG.map((g) => Math.ceil(g / step - 1e-9) * step));
}

/** The batch of a recipe that serves these bowls. */
export function planBatch(
  id: string,
  bowls: readonly { id: string; safeG: number }[],
  spread: Spread,
  recipe: Recipe,
  recipes: readonly Recipe[],
  kitchen: Kitchen,
  by: BatchBy,
  holdsOf: HoldsOf,
  takeStock: TakeStock = () => null,
): Batch {
  const needG = bowls.reduce((sum, bowl) => sum + bowl.safeG, 0);
  const largest = largestMix(spread, kitchen);
  const wantedG = weighableG(bowls.map((bowl) => bowl.safeG));
  const stock = takeStock(spread.id, wantedG);
  const freshG = wantedG - (stock?.massG ?? 0);
  const { mixes, eachMixG } =
    freshG > 0 || !stock
      ? planMixes(freshG, recipe.yieldG, largest?.g ?? null, by)
      : { mixes: 0, eachMixG: 0 };
  const scaled = scaleRecipe(recipe, eachMixG);
  return {
    id,
    spreadId: spread.id,
    name: spread.name,
    bowlIds: bowls.map((bowl) => bowl.id),
    needG,
    stock,
    mixes,
    eachMixG,
    makeG: (stock?.massG ?? 0) + mixes * eachMixG,
    largestMixG: largest?.g ?? null,
    limit: largest?.limit ?? null,
    smallestMixG: spread.mixerShare === null ? null : kitchen.mixerMl * smallestShare,
    recipe: scaled,
    holds: mixes > 0 ? holdsOf(spread, recipe, eachMixG) : [],
    parts: scaledParts(scaled, mixes, recipes),
  };
}
