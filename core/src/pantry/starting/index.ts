import type { Kitchen, Pantry } from '../types.ts';
import { startingDowels } from './dowels.ts';
import { startingFoods } from './foods.ts';
import { gels } from './gels.ts';
import { startingGanaches } from './ganaches.ts';
import { startingOthers } from './others.ts';
import { startingRecipes } from './recipes.ts';
import { startingSponges } from './sponges.ts';
import { startingSpreads } from './spreads.ts';
import { startingBoards, startingTins } from './tins.ts';

/**
 * A home kitchen with a 4.8 L mixer, a 60 cm oven and a still fridge; losses as trade custom gives
 * them, surface coefficients estimated.
 */
export const startingKitchen: Kitchen = {
  mixerMl: 4800,
  kerfMm: 0.7,
  dabG: 8,
  scrapingsShare: 0.15,
  toolsShare: 0.03,
  bagResidueG: 20,
  bagG: 350,
  roughnessMm: 0.6,
  shelfWideMm: 450,
  shelfDeepMm: 360,
  shelves: 1,
  tinGapMm: 15,
  turnaroundMin: 10,
  preheatMin: 20,
  trays: 2,
  washMin: 4,
  roomC: 21,
  fridgeC: 4,
  freezerC: -18,
  rackW: 14,
  roomW: 9,
  fridgeW: 7,
  freezerW: 11,
  cupcakeG: 45,
  processorG: 150,
  panMl: 3000,
  scoopMl: 60,
  spoonMl: 25,
  nozzleMm: 13,
  measuring: 'spooned',
  hourlyRate: 18,
  pieceSeconds: 6,
  metreMin: 1.5,
  refillMin: 1.5,
};

/** The pantry a new user starts with: every row can be edited. A fresh copy at each call. */
export function startingPantry(): Pantry {
  return structuredCopy({
    sponges: startingSponges,
    spreads: startingSpreads,
    tins: startingTins,
    boards: startingBoards,
    others: startingOthers,
    recipes: startingRecipes,
    foods: [...startingFoods, ...gels],
    ganaches: startingGanaches,
    dowels: startingDowels,
    stock: [],
    kitchen: startingKitchen,
  });
}

const structuredCopy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
