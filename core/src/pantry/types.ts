import type { OtherFluid } from '../drip/fluid.ts';
import type { TestDrip } from '../drip/test-drip.ts';
import type { Outline } from '../outline/outline.ts';
import type { Hazard } from './hazards.ts';
import type { Kitchen } from './kitchen-types.ts';

export * from './kitchen-types.ts';

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
/** How something is drawn: hatched as its material, or in a colour of its own. */
export type Look = Tone | `#${string}`;

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
  /** It climbs up bare sides: the tin is not greased, and it cools upside down. */
  bareSides: boolean;
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
  /** Finished volume over the pan's, for what is cooked; null for others. */
  panShare: number | null;
}

export const tinForms = ['upright', 'ball', 'mould', 'ring', 'rounded', 'drawn'] as const;
/** Straight or leaning sides; a wall without a bottom, that nothing is baked in; a ball's bowl, its rim uppermost; a mould known by the water it holds. */
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
  /** Waves of its wall; null for a plain one. */
  flutes: Flutes | null;
  /** For a drawn wall: how wide it is at even heights from its bottom to its brim, as shares of its outline; else empty. */
  wall: number[];
}

/** So many waves round a wall, each so deep. */
export interface Flutes {
  count: number;
  depthMm: number;
}

export const otherForms = ['crepe', 'crisp disc', 'biscuit', 'mousse', 'bought', 'foam'] as const;
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
  /** Its recipe's own time and oven, and how long it dries on in there, switched off; null when it is not baked. */
  bake: { ovenC: number; minutes: number; dryMin: number } | null;
  /** For bought ones: pieces to a pack, and hours to thaw. */
  packCount: number | null;
  thawH: number | null;
  allergens: Allergen[];
  tone: Tone;
  /** Null for bought ones. */
  recipeId: string | null;
}

export const boardMaterials = [
  'drum',
  'card',
  'foam board',
  'corrugated',
  'MDF',
  'acrylic',
] as const;
export type BoardMaterial = (typeof boardMaterials)[number];
export interface Board extends Row {
  outline: Outline;
  thicknessMm: number;
  massG: number;
  material: BoardMaterial;
  price: number | null;
}

export const dowelForms = ['solid', 'tube'] as const;
export type DowelForm = (typeof dowelForms)[number];
/** A rod, tube or straw that stands in a cake, as it is bought. */
export interface Dowel extends Row {
  form: DowelForm;
  outerMm: number;
  /** Thickness of a tube's wall; null for a solid one. */
  wallMm: number | null;
  modulusGPa: number;
  strengthMPa: number;
  /** Share of its strength that is left after a day in the cake. */
  dampShare: number;
  lengthMm: number;
  packCount: number;
  price: number | null;
  owned: number;
  /** Readings of the scale at which pieces gave, g; empty when none was tried. */
  testsG: number[];
  /** How long those pieces were. */
  testedMm: number;
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

export const traits = ['animal', 'slaughtered', 'gelatine', 'alcohol', 'leaven'] as const;
/** What a diet or a scaled recipe asks of an ingredient. `animal`: milk, egg, honey and the like. */
export type Trait = (typeof traits)[number];

export const prepWays = [
  'wash',
  'peel',
  'hull',
  'toast',
  'cut',
  'grind',
  'grate',
  'mash',
  'sugar',
  'soak',
] as const;
/** What hands do to an ingredient before it is weighed out. */
export type PrepWay = (typeof prepWays)[number];

/** How an ingredient is made ready, in this order, and how long it waits after that. */
export interface FoodPrep {
  ways: PrepWay[];
  /** Hands-on minutes for 100 g of what is ready. */
  minPer100G: number;
  /** Share of what was bought that is left once stalks, peel and stones are off. */
  leftShare: number;
  /** Sugar strewn on it or hot water poured over it, g to the g; 0 for none. */
  inShare: number;
  /** What it weighs when it has stood and was drained, to what it weighed before. */
  drainedShare: number;
  /** It drains, dries or soaks for so long at least, and keeps ready for so long at most; null for days. */
  leastMin: number;
  mostMin: number | null;
}

/**
 * An ingredient as it is bought: what a cup of it weighs, what it is made of, what a pack costs.
 * Shares are of its mass.
 */
export interface Food extends Row {
  /** Other names under which recipes ask for it. */
  aliases: string[];
  /** Grams to a cup of 237 mL, spooned and levelled; null when it is not measured so. */
  cupG: number | null;
  /** The same sifted first, and scooped with the cup. */
  cupSiftedG: number | null;
  cupScoopedG: number | null;
  /** One of them, where they are counted. */
  pieceG: number | null;
  /** The ingredient it is taken out of, one piece from each, as a yolk from an egg. */
  boughtAs: string | null;
  waterShare: number;
  fatShare: number;
  sugarShare: number;
  saltShare: number;
  /** Pure alcohol, of its mass. */
  alcoholShare: number;
  /** Strength of a gelatine by its grade, g; null where it is not said, and for what is none. */
  bloom: number | null;
  allergens: Allergen[];
  mayContain: Allergen[];
  traits: Trait[];
  /** Somebody read its label: what is not listed is not in it. Until then nothing is known of it. */
  declared: boolean;
  packG: number | null;
  price: number | null;
  stockG: number;
  /** Days it keeps once bought; null when it outlasts any cake. */
  keepsDays: number | null;
  /** What of it is cocoa and milk, where it is a chocolate. */
  cocoa: CocoaParts | null;
  /** Null for what is used as it is bought. */
  prep: FoodPrep | null;
  /** One of it as it is set on a cake; null for what is never. */
  piece: FoodPiece | null;
  /** What it colours, where it is a gel. */
  gel: GelSpot | null;
}

/** What a gel colours, by a test spot: so much of it to the kilogram made a base look so. */
export interface GelSpot {
  /** How the base looked, and how it looked with the gel, "#rrggbb". */
  onHex: string;
  hex: string;
  gPerKg: number;
}

/** A berry, a nut, a flower or a kiss of meringue as it is set on a cake. */
export interface FoodPiece {
  massG: number;
  acrossMm: number;
  highMm: number;
  tone: Tone;
  /** It weeps, browns or wilts: put on at the last moment. */
  last: boolean;
  /** Thickness of what is crisp, mm; null for what never was. */
  crispMm: number | null;
}

/** Parts of a chocolate as shares of its mass; the rest is sugar. Other fat makes it a compound. */
export interface CocoaParts {
  butter: number;
  nonFat: number;
  milkSolids: number;
  milkFat: number;
  otherFat: number;
}

/**
 * A ganache, or something else that is dripped and poured, with the test drips that were made of it.
 * A ganache is composed of its chocolate and cream; the others have their own chocolate or spread.
 */
export interface Ganache extends Row {
  fluid: 'ganache' | OtherFluid;
  /** Chocolate and cream among the ingredients; null where it has none. */
  chocolateId: string | null;
  creamId: string | null;
  /** Chocolate to one part of cream, by weight. */
  ratio: number;
  /** Butter, syrup and dry sugar to one part of chocolate. */
  butterShare: number;
  syrupShare: number;
  sugarShare: number;
  /** The filling it is, where it has a recipe of its own. */
  spreadId: string | null;
  tests: TestDrip[];
}

export const coolPlaces = ['bowl', 'tray', 'cold water', 'fridge', 'tray in the fridge'] as const;
/** Where something cools: in its bowl on the bench, spread thin on a tray, in a bowl in cold water, in the fridge. */
export type CoolPlace = (typeof coolPlaces)[number];

/** A wait in a recipe's method: until it has cooled, or for as long as it rests, blooms or sets. */
export interface RecipeHold {
  /** After so many of its steps; after the last of them it waits for its use. */
  after: number;
  /** How warm it is when the wait begins and how warm it may be at its end, C; null where only time counts. */
  fromC: number | null;
  toC: number | null;
  /** Where it waits, unless the user chooses another place for it. */
  where: CoolPlace;
  /** No shorter than this however fast it cools, and no longer before what follows; null where it keeps. Min. */
  leastMin: number;
  mostMin: number | null;
}

/** A line of a recipe: an ingredient of the pantry, another recipe, or only a name. */
export interface Ingredient {
  name: string;
  massG: number;
  /** Grams of one piece where people count it, for instance 50 for a shelled medium egg. */
  pieceG?: number;
  /** Allergens known of this line besides its ingredient's own. */
  allergens: Allergen[];
  foodId: string | null;
  recipeId: string | null;
}

/** Making one mixing takes so long where nobody has said otherwise, min (estimate). */
export const usualMakeMin = 12;

/** A recipe in grams, with its own yield and, for a sponge, its own tin and time. */
export interface Recipe extends Row {
  yieldG: number;
  ingredients: Ingredient[];
  steps: string[];
  bake: { ovenC: number; minutes: number; tinMm: number; depthMm: number } | null;
  caution: string | null;
  /** What can hurt while it is made, and how hot it gets, C; null where nobody has said. */
  hazards: Hazard[];
  hottestC: number | null;
  /** What it waits for between its steps and before its use; null where nobody has said. */
  holds: RecipeHold[] | null;
  /** Hands-on minutes for one mixing of what is no batter. */
  makeMin: number;
  /** Density of what is brushed on layers, g/mL; null for what is not. */
  soakGPerMl: number | null;
}

export const stockPlaces = ['freezer', 'fridge'] as const;
export type StockPlace = (typeof stockPlaces)[number];
/** Made before and put away: layers of a sponge, levelled and wrapped, or a bowl of a filling or frosting. */
export interface Stock extends Row {
  /** The sponge that the layers are of, or the spread. */
  madeOfId: string;
  /** Of layers; null for a bowl. */
  layer: { outline: Outline; heightMm: number } | null;
  /** How many layers, or how many grams, were put away. */
  amount: number;
  keptIn: StockPlace;
  /** "2027-05-03" */
  madeOn: string;
  /** What cakes took of it. */
  taken: { buildId: string; amount: number }[];
}

export interface Pantry {
  sponges: Sponge[];
  spreads: Spread[];
  tins: Tin[];
  boards: Board[];
  others: OtherLayer[];
  recipes: Recipe[];
  foods: Food[];
  ganaches: Ganache[];
  dowels: Dowel[];
  stock: Stock[];
  kitchen: Kitchen;
}

export const pantryTables = [
  'sponges',
  'spreads',
  'tins',
  'boards',
  'others',
  'recipes',
  'foods',
  'ganaches',
  'dowels',
  'stock',
] as const;
export type PantryTable = (typeof pantryTables)[number];
