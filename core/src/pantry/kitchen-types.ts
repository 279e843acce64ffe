export const measurings = ['spooned', 'sifted', 'scooped'] as const;
/** Schools of filling a cup: spooned and levelled, sifted then measured, scooped. */
export type Measuring = (typeof measurings)[number];

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
  /** Until the oven is hot, and how many baking trays there are. */
  preheatMin: number;
  trays: number;
  /** Washing the bowl and what whips in it before it is used for something else. */
  washMin: number;
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
  /** Nuts that the food processor grinds at once before they turn to paste, g. */
  processorG: number;
  /** The pan that fillings are cooked in, mL. */
  panMl: number;
  /** The user's own measures: a scoop, a heaped spoon, and the round nozzle on the bag, mm wide. */
  scoopMl: number;
  spoonMl: number;
  nozzleMm: number;
  /** How flour and sugar get into the cup. */
  measuring: Measuring;
  /** Labour: an hour's price, a piped piece, a piped metre, a fresh bag. */
  hourlyRate: number;
  pieceSeconds: number;
  metreMin: number;
  refillMin: number;
}
