import type { Brief } from '../document/types.ts';
import { dietAnswer } from '../pantry/diets.ts';
import type { Pantry, Spread, Sponge } from '../pantry/types.ts';
import { recipeContents } from '../recipes/parts.ts';

/** Rows that somebody named for a cake; null where anything will do. */
export interface Flavour {
  spongeId: string | null;
  fillingId: string | null;
  frostingId: string | null;
}
export const anyFlavour: Flavour = { spongeId: null, fillingId: null, frostingId: null };

/**
 * How well a recipe keeps what the brief keeps out: 0 keeps it, 1 may hold traces, null breaks it, or
 * nobody can say. A brief that keeps nothing out takes everything.
 */
function keepsOut(pantry: Pantry, recipeId: string, { keepOut, diets }: Brief): 0 | 1 | null {
  if (keepOut.length === 0 && diets.length === 0) return 0;
  const recipe = pantry.recipes.find((row) => row.id === recipeId);
  if (!recipe) return null;
  const held = recipeContents(recipe, pantry);
  if (held.allergens.some((a) => keepOut.includes(a))) return null;
  if (diets.some((diet) => dietAnswer(diet, held) !== 'yes')) return null;
  if (keepOut.length > 0 && held.unknown.length > 0) return null;
  return held.mayContain.some((a) => keepOut.includes(a)) ? 1 : 0;
}

/** The first row that keeps out what is kept out, one without traces before one with them. */
function firstThatKeeps<R extends { recipeId: string }>(
  rows: readonly R[],
  pantry: Pantry,
  brief: Brief,
): R | undefined {
  return (
    rows.find((row) => keepsOut(pantry, row.recipeId, brief) === 0) ??
    rows.find((row) => keepsOut(pantry, row.recipeId, brief) === 1)
  );
}

const spongesFor = (pantry: Pantry, thinnestMm: number): Sponge[] => {
  const fits = pantry.sponges.filter((s) => s.minSliceMm <= thinnestMm);
  return [...fits, ...pantry.sponges.filter((s) => !fits.includes(s))];
};

function spreadsFor(pantry: Pantry, brief: Brief): Spread[] {
  const coats = pantry.spreads.filter((s) => s.canCoat && s.canFill);
  return brief.look === 'ganache shell'
    ? [...coats.filter((s) => s.id === 'ganache'), ...coats]
    : coats;
}

/** The sponge that was named, or the first that keeps to the brief and stands so thin. */
export const pickSponge = (
  pantry: Pantry,
  brief: Brief,
  { spongeId }: Flavour,
  thinnestMm: number,
): Sponge | undefined =>
  pantry.sponges.find(({ id }) => id === spongeId) ??
  firstThatKeeps(spongesFor(pantry, thinnestMm), pantry, brief);

/** The frosting that was named, or the first that keeps to the brief. */
export const pickFrosting = (
  pantry: Pantry,
  brief: Brief,
  { frostingId }: Flavour,
): Spread | undefined =>
  pantry.spreads.find(({ id }) => id === frostingId) ??
  firstThatKeeps(spreadsFor(pantry, brief), pantry, brief);

/** Why nothing can be designed that keeps out what is kept out; null when something can. */
export function nothingServes(pantry: Pantry, brief: Brief, flavour: Flavour): string | null {
  const kept = [...brief.keepOut.map((allergen) => `no ${allergen}`), ...brief.diets].join(', ');
  const named = [
    pantry.sponges.find(({ id }) => id === flavour.spongeId),
    pantry.spreads.find(({ id }) => id === flavour.fillingId),
    pantry.spreads.find(({ id }) => id === flavour.frostingId),
  ].find((row) => row && keepsOut(pantry, row.recipeId, brief) === null);
  if (named)
    return `${named.name} does not keep to: ${kept}, or nobody has said what is in it. Choose another, or leave it open: then one is found that does.`;
  const missing = [
    ...(pickSponge(pantry, brief, flavour, Infinity) ? [] : ['sponge']),
    ...(pickFrosting(pantry, brief, flavour) ? [] : ['frosting']),
  ];
  if (missing.length === 0) return null;
  return `The pantry has no ${missing.join(' and no ')} of which it is known that it keeps to: ${kept}. Add one, or swap the ingredient in a recipe: the pantry works out how much.`;
}
