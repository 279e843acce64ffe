import type { Recipe } from '../types.ts';
import { askedForRecipes } from './asked-for.ts';
import { moreBatters } from './asked-for-more.ts';
import { batterRecipes } from './batters.ts';
import { fillingRecipes } from './fillings.ts';
import { besideRecipes } from './layers-besides.ts';

/** Recipes of the house, invented for Pyrgotect. */
export const startingRecipes: Recipe[] = [
  ...batterRecipes,
  ...fillingRecipes,
  ...besideRecipes,
  ...askedForRecipes,
  ...moreBatters,
];
