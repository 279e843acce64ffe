import { areaMm2, perimeterMm, type Outline } from '../outline/outline.ts';
import type { PipingJob } from '../document/types.ts';
import type { Kitchen } from '../pantry/types.ts';
import type { CoatStyle } from '../pantry/styles.ts';

/** Hands-on minutes for a 20 cm tier, 100 mm high (docs/model.md#hands-on-time, estimates). */
export const handsOn = {
  weigh: 10,
  lineTins: 6,
  batter: 20,
  divide: 4,
  turnOut: 4,
  levelAndSplit: 12,
  fillAndStack: 12,
  soak: 3,
  crumbCoat: 10,
  box: 5,
  washUp: 15,
  pipingPer100G: 8,
  fondant: 25,
  pressed: 10,
  colour: 4,
  pour: 10,
  drip: 12,
  torch: 5,
  tray: 15,
  breakUp: 5,
  load: 5,
  setDown: 5,
  topping: 8,
  /** Strewing a hand's breadth square, 100 cm2. */
  strewPer100Cm2: 0.5,
} as const;

const coatMinutes: Record<CoatStyle, number> = {
  naked: 0,
  'semi-naked': 12,
  'crumb coat only': 10,
  smooth: 25,
  rustic: 12,
  combed: 15,
  thick: 20,
  'under fondant': 20,
  'ganache shell': 25,
  'poured veil': 10,
};

/**
 * Minutes to pipe a job: its pieces by seconds each and its length by minutes a metre, and a fresh
 * bag each time one is empty; by its grams where neither is known.
 */
export function pipingMin(
  job: Pick<PipingJob, 'massG' | 'pieces' | 'lineMm'>,
  kitchen: Kitchen,
): number {
  const bags = Math.max(0, Math.ceil(job.massG / kitchen.bagG) - 1);
  const counted = (job.pieces * kitchen.pieceSeconds) / 60 + (job.lineMm / 1000) * kitchen.metreMin;
  return (
    (counted > 0 ? counted : (job.massG / 100) * handsOn.pipingPer100G) + bags * kitchen.refillMin
  );
}

/** Minutes to strew loose pieces over an area, however many they are. */
export const strewMin = (mm2: number): number =>
  Math.max(0.5, (mm2 / 10_000) * handsOn.strewPer100Cm2);

const referenceSide = Math.PI * 200 * 100;
const referenceTop = (Math.PI * 200 ** 2) / 4;

/** How much larger than the 20 cm tier a side is: perimeter times height. */
export const sideScale = (outline: Outline, heightMm: number): number =>
  (perimeterMm(outline) * heightMm) / referenceSide;

/** How much larger than the 20 cm tier a top is. */
export const topScale = (outline: Outline): number => areaMm2(outline) / referenceTop;

/** Minutes to spread and finish the coat of a style. */
export const coatMin = (style: CoatStyle, outline: Outline, heightMm: number): number =>
  coatMinutes[style] * ((2 * sideScale(outline, heightMm) + topScale(outline)) / 3);
