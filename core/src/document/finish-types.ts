import type { DripPattern } from '../drip/pattern.ts';
import type { Allergen, Tone } from '../pantry/types.ts';
import type { NozzleForm } from '../piping/nozzles.ts';
import type { PipedForm } from '../piping/shapes.ts';
import type { Arrangement } from '../toppings/place.ts';

/** What runs down a side: which ganache, how much chocolate to one of cream, how warm. */
export interface Poured {
  ganacheId: string;
  /** Chocolate to one part of cream; null for the ganache's own ratio. */
  ratio: number | null;
  fluidC: number;
  /** How cold the coat is under it. */
  coatC: number;
  /** Colour by its name; empty as it is. */
  tint: string;
}

export const dripTools = ['bottle', 'bag', 'spoon'] as const;
export type DripTool = (typeof dripTools)[number];
/** What the drips are run from, as one says it. */
export const dripToolNames: Record<DripTool, string> = {
  bottle: 'bottle',
  bag: 'bag',
  spoon: 'spoon',
};

/** Drips round a rim as they are wanted; what each takes is computed. */
export interface Drip extends Poured {
  widthMm: number;
  /** How long one drip is fed, s. */
  feedS: number;
  pattern: DripPattern;
  spacingMm: number;
  lengthMm: number;
  /** How far the longest and shortest are from that. */
  spreadMm: number;
  seed: number;
  /** Lengths drawn by hand along the rim, evenly from its start. */
  curveMm: number[];
  /** Ganache over the top, mm; 0 for none. */
  floodMm: number;
  tool: DripTool;
  /** One squeeze of the bottle, weighed; null before. */
  squeezeG: number | null;
}

/** Poured over the whole tier on a rack. */
export interface Pour extends Poured {
  /** Pieces that stud the side under it. */
  studded: { cover: number; highMm: number; acrossMm: number } | null;
}

export const pipedPlaces = ['top edge', 'foot', 'side', 'whole side', 'on top', 'apart'] as const;
/** Round the edge of the top, the foot, a height of the side, all of it in rows, a ring on the top; or apart by length. */
export type PipedPlace = (typeof pipedPlaces)[number];

/** How something is piped; its grams, pieces and length follow. */
export interface Piped {
  tierId: string;
  form: PipedForm;
  nozzle: NozzleForm;
  wideMm: number;
  where: PipedPlace;
  /** Height above the foot of the tier, for the side. */
  upMm: number;
  /** How far in from the rim, on the top. */
  insetMm: number;
  /** An odd number of pieces. */
  odd: boolean;
  /** Pieces; null for as many as fit. */
  count: number | null;
  /** Of a rosette. */
  radiusMm: number;
  /** What is written, and how high its letters are. */
  text: string;
  letterMm: number;
  /** Length of what is piped apart. */
  lengthMm: number;
  /** One piece, or 10 cm of line, weighed by one's own hand; null for the table. */
  weighedG: number | null;
}

export const toppingKinds = ['pieces', 'heap', 'wreath', 'drizzle', 'ribbon'] as const;
export type ToppingKind = (typeof toppingKinds)[number];
export const picks = ['none', 'pick', 'stick', 'wire'] as const;
/** What holds a piece up, taken out before the cake is eaten. */
export type Pick = (typeof picks)[number];

/** A slab made on a tray and broken into pieces. */
export interface TrayPieces {
  thickMm: number;
  /** Share of the slab that breaks into whole pieces. */
  wholeShare: number;
  /** Area in the oven after over before. */
  spreads: number;
}

export const sideArrangements = ['round', 'cascade', 'free'] as const;
export type SideArrangement = (typeof sideArrangements)[number];

/** Where pieces or a ribbon are on the side of a tier. Heights above its foot in mm; places round it as shares of its rim. */
export interface OnSide {
  arrangement: SideArrangement;
  /** Height of their middles, and where a cascade ends. */
  upMm: number;
  toMm: number;
  /** Where a round or a cascade begins, from the middle of the back by the left, and how far round a cascade runs. */
  startShare: number;
  turnShare: number;
  /** Places of pieces set by hand: share of the rim, and height. */
  spots: [number, number][];
  /** What they are stuck on with; null for what is pressed into the coat. */
  dabSpreadId: string | null;
}

export const modelledForms = ['ball', 'egg', 'cone', 'rope', 'block'] as const;
/** A piece modelled of rolled fondant: its mass goes by its measures. */
export interface Modelled {
  form: (typeof modelledForms)[number];
}

/** What is put on top: pieces one by one, a heap, a wreath, or a drizzle. Lengths in mm. */
export interface Topping {
  id: string;
  name: string;
  kind: ToppingKind;
  /** Hatch in drawings. */
  tone: Tone;
  /** Its colour by its name; empty as it is. */
  tint: string;
  foodId: string | null;
  /** False for what is only looked at, and taken off before the cake is eaten. */
  eaten: boolean;
  /** For a drizzle: the ganache it is run from. */
  ganacheId: string | null;
  pieceG: number;
  /** Across one piece, or across the heap, or the roll of the wreath, or the drizzle's bead. */
  acrossMm: number;
  highMm: number;
  arrangement: Arrangement;
  count: number;
  odd: boolean;
  /** The piping job or topping whose pieces it is counted by. */
  linkedTo: string | null;
  /** One for each, for every second … */
  every: number;
  clusterOf: number;
  share: number;
  insetMm: number;
  seed: number;
  /** Turns the round of pieces by a share of the room between two. */
  shift: number;
  /** Places of pieces set by hand. */
  spots: [number, number][];
  pick: Pick;
  /** It weeps, browns or softens: put on at the last moment. */
  last: boolean;
  /** A crisp piece on something moist. */
  crisp: { thickMm: number; filmed: boolean } | null;
  tray: TrayPieces | null;
  /** Share of a heap or wreath that is not air, and what the pieces weigh. */
  packing: number;
  densityGPerMl: number;
  /** Length of a drizzle. */
  lengthMm: number;
  allergens: Allergen[];
  /** On the side of the tier; null for what is on its top. */
  side: OnSide | null;
  modelled: Modelled | null;
}
