import type { Outline } from '../outline/outline.ts';

/** Where a starting value comes from. `own` is the user's own measurement. */
export type Source = 'textbook' | 'trade custom' | 'estimate' | 'own';

/** Low and high of a value in the field's own unit. */
export type Ranges = Record<string, [low: number, high: number]>;

interface Row {
  id: string;
  name: string;
  source: Source;
  ranges: Ranges;
}

/** Material hatch in drawings. */
export const tones = [
  'butter',
  'spice',
  'cocoa',
  'pale',
  'nut',
  'cream',
  'ivory',
  'ganache',
  'berry',
  'curd',
  'caramel',
  'leaf',
] as const;
export type Tone = (typeof tones)[number];

/** A kind of sponge: how its batter rises and what its crumb stands. */
export interface Sponge extends Row {
  batterDensityGPerMl: number;
  /** Baked volume over batter volume. */
  rise: number;
  /** Share of the batter's mass that leaves in the oven. */
  ovenLoss: number;
  /** Height of the crown over the radius of the tin. */
  crownOverRadius: number;
  minSliceMm: number;
  allowableKPa: number;
  /** How long the batter may stand before it goes into the oven, min. */
  waitMin: number;
  /** Syrup it holds, mL to the mL of sponge. */
  soakMlPerMl: number;
  tone: Tone;
  recipeId: string;
}

export const keepingClasses = [
  'sugar buttercream, fudge, firm ganache, caramel',
  'soft ganache',
  'meringue buttercream',
  'yolk buttercream, cream cheese',
  'whipped cream',
  'stabilised cream',
  'curd',
  'compote',
  'jam, nut spread',
] as const;
export type KeepingClass = (typeof keepingClasses)[number];

/** A filling or frosting. */
export interface Spread extends Row {
  densityGPerMl: number;
  /** Yield stress at 21 C and at 4 C, Pa. */
  stress21Pa: number;
  stress4Pa: number;
  canFill: boolean;
  canCoat: boolean;
  keeping: KeepingClass;
  tone: Tone;
  recipeId: string;
  /** Finished volume over the mixer's bowl; null when it is made in a pan or by hand. */
  mixerShare: number | null;
}

export const tinForms = ['upright', 'ball', 'mould'] as const;
/** Straight or leaning sides; a ball's bowl, its rim uppermost; a mould known by the water it holds. */
export type TinForm = (typeof tinForms)[number];

/**
 * A tin. `outline` is the inside at the bottom, and each side leans out by `flareMm` up to the rim;
 * of a ball's bowl it is the rim. A mould has the outline of its mouth and `waterG` to the brim.
 */
export interface Tin extends Row {
  outline: Outline;
  depthMm: number;
  flareMm: number;
  owned: number;
  form: TinForm;
  /** Water it holds to the brim, g; null when its measures are enough. */
  waterG: number | null;
}

export const otherForms = ['crepe', 'crisp disc', 'biscuit', 'mousse', 'bought'] as const;
export type OtherForm = (typeof otherForms)[number];

/** A layer that is not cut from a cake in a tin. */
export interface OtherLayer extends Row {
  form: OtherForm;
  thicknessMm: number;
  densityGPerMl: number;
  allowableKPa: number;
  /** How much it spreads beyond the circle it is piped on, mm all round. */
  spreadMm: number;
  /** Share of its batter's mass that leaves in the oven or the pan. */
  ovenLoss: number;
  /** Its recipe's own time and oven; null when it is not baked. */
  bake: { ovenC: number; minutes: number } | null;
  /** For bought ones: pieces to a pack, and hours to thaw. */
  packCount: number | null;
  thawH: number | null;
  allergens: Allergen[];
  tone: Tone;
}

export const boardMaterials = ['drum', 'card', 'foam board', 'MDF', 'acrylic'] as const;
export type BoardMaterial = (typeof boardMaterials)[number];
export interface Board extends Row {
  outline: Outline;
  thicknessMm: number;
  massG: number;
  material: BoardMaterial;
}

export const allergens = [
  'gluten cereals',
  'crustaceans',
  'eggs',
  'fish',
  'peanuts',
  'soy',
  'milk',
  'tree nuts',
  'celery',
  'mustard',
  'sesame',
  'sulphites',
  'lupin',
  'molluscs',
] as const;
export type Allergen = (typeof allergens)[number];

export interface Ingredient {
  name: string;
  massG: number;
  /** Grams of one piece where people count it, for instance 50 for a shelled medium egg. */
  pieceG?: number;
  allergens: Allergen[];
}

/** A recipe in grams, with its own yield and, for a sponge, its own tin and time. */
export interface Recipe extends Row {
  yieldG: number;
  ingredients: Ingredient[];
  steps: string[];
  bake: { ovenC: number; minutes: number; tinMm: number; depthMm: number } | null;
  caution: string | null;
}

/** The kitchen a build is made in. */
export interface Kitchen {
  mixerMl: number;
  /** Crumb lost at each cut, mm. */
  kerfMm: number;
  dabG: number;
  /** Share of the crumb coat scraped off, not used again. */
  scrapingsShare: number;
  /** Share that stays in bowl and on tools. */
  toolsShare: number;
  bagResidueG: number;
  /** Frosting one piping bag holds. */
  bagG: number;
  /** Mean unevenness of sponge sides, mm. */
  roughnessMm: number;
  /** Inside of the oven's shelf, how many shelves it bakes on at once, and room between tins. */
  shelfWideMm: number;
  shelfDeepMm: number;
  shelves: number;
  tinGapMm: number;
  /** Between one load and the next. */
  turnaroundMin: number;
  roomC: number;
  fridgeC: number;
  freezerC: number;
  /** Surface coefficients in W/m2K: on a rack, in a still room, in the fridge, in the freezer. */
  rackW: number;
  roomW: number;
  fridgeW: number;
  freezerW: number;
  /** Batter in one cupcake case. */
  cupcakeG: number;
}

export interface Pantry {
  sponges: Sponge[];
  spreads: Spread[];
  tins: Tin[];
  boards: Board[];
  others: OtherLayer[];
  recipes: Recipe[];
  kitchen: Kitchen;
}

export const pantryTables = ['sponges', 'spreads', 'tins', 'boards', 'others', 'recipes'] as const;
export type PantryTable = (typeof pantryTables)[number];
