import type { Kitchen, Pantry } from '../types.ts';
import { startingRecipes } from './recipes.ts';
import { startingSponges } from './sponges.ts';
import { startingSpreads } from './spreads.ts';
import { startingBoards, startingTins } from './tins.ts';

/** A home kitchen with a 4.8 L mixer; losses as trade custom gives them. */
export const startingKitchen: Kitchen = {
  mixerMl: 4800,
  kerfMm: 0.7,
  dabG: 8,
  scrapingsShare: 0.15,
  toolsShare: 0.03,
  bagResidueG: 20,
  bagG: 350,
  roughnessMm: 0.6,
};

/** The pantry a new user starts with: every row can be edited. A fresh copy at each call. */
export function startingPantry(): Pantry {
  return structuredCopy({
    sponges: startingSponges,
    spreads: startingSpreads,
    tins: startingTins,
    boards: startingBoards,
    recipes: startingRecipes,
    kitchen: startingKitchen,
  });
}

const structuredCopy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
