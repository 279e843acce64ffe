import { usualMakeMin, type Food, type Recipe, type Stock } from './types.ts';

/** A new ingredient: nothing of it is known, and its label has not been read. */
export const emptyFood = (id: string, name = ''): Food => ({
  id,
  name,
  source: 'own',
  ranges: {},
  aliases: [],
  cupG: null,
  cupSiftedG: null,
  cupScoopedG: null,
  pieceG: null,
  boughtAs: null,
  waterShare: 0,
  fatShare: 0,
  sugarShare: 0,
  saltShare: 0,
  alcoholShare: 0,
  bloom: null,
  allergens: [],
  mayContain: [],
  traits: [],
  declared: false,
  packG: null,
  price: null,
  stockG: 0,
  keepsDays: null,
  cocoa: null,
  prep: null,
  piece: null,
  gel: null,
});

/** A new recipe, with nothing in it yet. */
export const emptyRecipe = (id: string): Recipe => ({
  id,
  name: '',
  source: 'own',
  ranges: {},
  yieldG: 1000,
  ingredients: [],
  steps: [],
  bake: null,
  caution: null,
  hazards: [],
  hottestC: null,
  holds: null,
  makeMin: usualMakeMin,
  soakGPerMl: null,
});

/** Layers put away on a day, nothing else said of them. */
export const emptyStock = (id: string, madeOn: string, madeOfId: string): Stock => ({
  id,
  name: '',
  source: 'own',
  ranges: {},
  madeOfId,
  layer: { outline: { kind: 'round', diameterMm: 200 }, heightMm: 25 },
  amount: 4,
  keptIn: 'freezer',
  madeOn,
  taken: [],
});
