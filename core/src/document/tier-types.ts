import type { Carving } from '../carve/types.ts';
import type { Outline } from '../outline/outline.ts';
import type { CoatStyle } from '../pantry/styles.ts';
import type { Allergen } from '../pantry/types.ts';
import type { Standing } from '../support/types.ts';
import type { Drip, Pour, Topping } from './finish-types.ts';

/* One tier as it was decided: layers and what lies between them, what goes over it, what shapes it. */

export const levellings = [
  'cut all',
  'cut all, top inverted',
  'cut none',
  'cut none, top inverted',
] as const;
/** What becomes of the domes: cut off or left on, the top layer the right way up or upside down. */
export type Levelling = (typeof levellings)[number];

export const soakStyles = ['none', 'light', 'medium', 'generous'] as const;
export type SoakStyle = (typeof soakStyles)[number];

/**
 * A disc, jelly, cream or crisp set inside a set cream, `marginMm` of cream all round and its underside
 * `upMm` above the layer's. Without a row it is a disc of the tier's own sponge.
 */
export interface Inset {
  id: string;
  otherId: string | null;
  heightMm: number;
  marginMm: number;
  upMm: number;
}

/** A layer of the tier's own sponge, or of a row among the other layers where `otherId` is set. */
export interface Layer {
  /** Stays with it wherever it lies: what is ticked off and noted of it goes by this. */
  id: string;
  heightMm: number;
  otherId: string | null;
  /** What its batter is coloured; empty for batter as it is mixed. */
  tint: string;
  /** What is set inside a set cream, from the bottom up. */
  insets: Inset[];
  /** What is spread between the pieces of a layer that is a pile, such as crepes. */
  between: { spreadId: string; heightMm: number } | null;
  /** Null where the tier's own soak holds. */
  soak: SoakStyle | null;
  /** Heights at the rim as measured, 4 or 8 of them from 12 o'clock on; empty when not measured. */
  rimMm: (number | null)[];
  /** Turn given to the layer when it is stacked, in steps of 15 degrees; null until decided. */
  turnSteps: number | null;
  flipped: boolean;
}

/**
 * Pieces in a gap. `packed` pieces fill `share` of it and the spread fills the voids between;
 * `scattered` ones lie in it, so many grams to the square centimetre.
 */
export interface Pieces {
  id: string;
  name: string;
  /** The ingredient they are; null where that was never said, and nothing is known of them. */
  foodId: string | null;
  how: 'packed' | 'scattered';
  densityGPerMl: number;
  share: number;
  gPerCm2: number;
  allergens: Allergen[];
}
export const gapOrders = ['filling first', 'pieces first'] as const;
export type GapOrder = (typeof gapOrders)[number];
export const gapWays = ['spread', 'rings', 'spiral', 'dots', 'loose'] as const;
/** Spread level; piped in rings, a spiral or dots; or loose pieces without any filling. */
export type GapLaid = (typeof gapWays)[number];
/**
 * What lies between two layers; of no height, one layer lies on the other. `damMm` is the width of a piped
 * ring of the coat's frosting; 0 for none.
 */
export interface Gap {
  heightMm: number;
  spreadId: string;
  damMm: number;
  /** How far short of the edge the filling is kept. */
  setbackMm: number;
  /** In the order in which they are laid. */
  pieces: Pieces[];
  /** Pieces pressed into the filling, or laid first and the filling run over them. */
  order: GapOrder;
  /** Spread, piped with gaps between the beads, or nothing but the pieces. */
  laid: GapLaid;
  /** Colour of the filling by its name; empty as it is, as everywhere. */
  tint: string;
  /** Sauce run over the filling. */
  drizzle: { spreadId: string; gPerCm2: number; tint: string } | null;
}
export const inclusionWays = ['folded in', 'laid under', 'laid on top', 'swirled'] as const;
/** Through all of the batter, on the bottom of the tin, on the batter, or drawn through it in the tin. */
export type InclusionWay = (typeof inclusionWays)[number];
/** Pieces that go with the batter: grams for a kilogram of it, or so many to each tin. */
export interface Inclusion {
  id: string;
  way: InclusionWay;
  /** Null where they go by the kilogram of batter. */
  eachTin: { count: number; pieceG: number } | null;
  name: string;
  /** The ingredient they are; null where that was never said, and nothing is known of them. */
  foodId: string | null;
  gPerKg: number;
  densityGPerMl: number;
  allergens: Allergen[];
  /** Water in them, as a share of their mass, and how cold they go in. */
  waterShare: number;
  tempC: number;
}
/** An ingredient of the batter that is not at room temperature. */
export interface PartTemp {
  name: string;
  tempC: number;
}
/** Pieces poured loose into a room, with air between them: `share` of it is pieces. */
export interface LoosePieces {
  name: string;
  /** The ingredient they are; null where that was never said, and nothing is known of them. */
  foodId: string | null;
  /** Of one piece. */
  densityGPerMl: number;
  share: number;
  allergens: Allergen[];
}
/**
 * A core cut through the layers from one to another and filled; a floor below, a lid above. Where it
 * holds loose pieces, they alone fill it, and the spread waits for when they are taken out again.
 */
export interface Centre {
  outline: Outline;
  fromLayer: number;
  toLayer: number;
  spreadId: string;
  pieces: LoosePieces | null;
}
/** What came out of one tin: the lowest height at its edge, and its diameter where it shrank. */
export interface AsBaked {
  edgeMm: number;
  acrossMm: number | null;
}
/** A stripe of colour round the side, over its share of the height. */
export interface Band {
  tint: string;
  share: number;
}
/** Ridges of a combed coat: how thick it is at the ridge, and how deep the comb cuts. */
export interface Comb {
  peakMm: number;
  depthMm: number;
}
/** Thicknesses are null where the style's own value holds. */
export interface Coat {
  style: CoatStyle;
  spreadId: string;
  /** Frosting of the dab, the dams and the crumb coat; null where it is the coat's own. */
  innerSpreadId: string | null;
  /** Frosting of the top; null where it is that of the side. */
  topSpreadId: string | null;
  /** Colour of the coat and of its crumb coat by their names; empty as it is. */
  tint: string;
  crumbTint: string;
  /** From the bottom up; empty for one colour. Their shares are taken of their sum. */
  bands: Band[];
  /** Bands run into each other, as an ombre does. */
  blended: boolean;
  /** Share of the cake the crumb coat hides. */
  cover: number | null;
  comb: Comb | null;
  /** Radius of a rounded rim; 0 for a sharp one. */
  rimMm: number;
  crumbMm: number | null;
  sideMm: number | null;
  topMm: number | null;
}

/** Rolled fondant over the coat. `allowanceMm` is cut off all round at the foot. */
export const fondantWays = ['draped', 'panels'] as const;
/** A sheet laid over all of it, or panels stood round it under a disc of its own. */
export type FondantWay = (typeof fondantWays)[number];
export interface Fondant {
  way: FondantWay;
  mm: number;
  allowanceMm: number;
  tint: string;
}
/** Nuts, sprinkles or shavings pressed on: over the side, or a band of it from the foot up. */
export interface Pressed {
  name: string;
  foodId: string | null;
  gPerCm2: number;
  cover: number;
  /** Null for the whole side. */
  bandMm: number | null;
  onTop: boolean;
  allergens: Allergen[];
}

export const surfaceWays = ['glaze', 'paint', 'dust', 'spray'] as const;
/** Brushed on and set, painted, dusted dry, sprayed as a fine film. */
export type SurfaceWay = (typeof surfaceWays)[number];
/** What is put on the finished coat or cover, so many grams to the square centimetre, coat by coat. */
export interface Surface {
  id: string;
  way: SurfaceWay;
  name: string;
  foodId: string | null;
  tint: string;
  gPerCm2: number;
  coats: number;
  /** Until the next coat, or until it can be touched, min. */
  dryMin: number;
  where: 'all over' | 'side' | 'top';
  allergens: Allergen[];
}

export const mouldOrders = ['upright', 'upside down'] as const;
/** Foot first, as in a ring; or top first, and turned out onto its foot. */
export type MouldOrder = (typeof mouldOrders)[number];
export const mouldPlaces = ['fridge', 'freezer'] as const;
export const asTins = ['turned over', 'mouth to mouth'] as const;
/** One cake on its mouth, or two of them put together at their mouths. */
export type AsTin = (typeof asTins)[number];

/** The ring or mould that a tier is built up and sets in; frozen through where it is glazed or sprayed. */
export interface Mould {
  tinId: string;
  order: MouldOrder;
  setIn: (typeof mouldPlaces)[number];
}

export interface Tier {
  id: string;
  name: string;
  /** The cake itself, without its coat. */
  outline: Outline;
  spongeId: string;
  tinId: string;
  /** How many layers each baked cake is split into. */
  slicesPerCake: number;
  levelling: Levelling;
  /** From the bottom up; one gap fewer than layers. */
  layers: Layer[];
  /** Null for a tier that is stacked free. */
  mould: Mould | null;
  /** It keeps the shape of the tin that it was baked in; null where it is stacked straight. */
  asTin: AsTin | null;
  gaps: Gap[];
  inclusions: Inclusion[];
  coat: Coat;
  fondant: Fondant | null;
  pressed: Pressed | null;
  /** Painted, dusted, glazed or sprayed on, in this order. */
  surfaces: Surface[];
  /** Layers put away before that it is stacked from; null where it is baked for it. */
  stockId: string | null;
  /** Weight of the bowl of batter and of the same bowl empty, when it has been weighed. */
  bowl: WeighedBowl | null;
  /** Brushed on each cut face before it meets its filling: how much, and which recipe; null for plain syrup. */
  soak: SoakStyle;
  soakId: string | null;
  /** Crust cut from every cake, besides its dome. */
  trim: { bottomMm: number; sideMm: number; topMm: number };
  centre: Centre | null;
  /** The oven for this tier; null for the recipe's own. */
  ovenC: number | null;
  temps: PartTemp[];
  /** Stacked at room temperature, or with everything cold. */
  stackedAt: 'room' | 'cold';
  /** A weight laid on the stack while it rests, g. */
  restG: number;
  /** One entry for each tin once measured; empty before. */
  asBaked: AsBaked[];
  drip: Drip | null;
  pour: Pour | null;
  toppings: Topping[];
  /** Browned with a torch once it is piped. */
  torched: boolean;
  /** Null for a tier that is left as it is stacked. */
  carving: Carving | null;
  stand: Standing;
}

export interface WeighedBowl {
  fullG: number;
  emptyG: number;
  /** What already went into each tin, where it was weighed. */
  pouredG: (number | null)[];
}
