import type { CoatPlan } from '../coat/coat.ts';
import type { FondantPlan } from '../covers/fondant.ts';
import { fondantGPerMl } from '../covers/fondant.ts';
import { grow, widthMm, depthMm, type Outline } from '../outline/outline.ts';
import type { Spread } from '../pantry/types.ts';
import type { StackPlan } from '../stack/stack.ts';
import type { CarveResult } from './result.ts';
import { insetOf } from './stock.ts';
import type { CarveQuestion } from './types.ts';

/** Answers known so far, by the key of their question. */
export type CarveAnswers = (key: string) => CarveResult | undefined;

/** A carved tier: what was asked of the solids, and the answer where it is known. */
export interface TierCarve {
  question: CarveQuestion;
  key: string;
  result: CarveResult | null;
}

/**
 * How far the carved tiers of a cake are worked out: not at all, so that its figures are those of the
 * whole stack; all but the coat, which is reckoned from area and curvature; or measured.
 */
export function carvingKnown(
  tiers: readonly { carve: TierCarve | null }[],
): 'stack only' | 'coat reckoned' | 'measured' {
  const carved = tiers.flatMap(({ carve }) => carve ?? []);
  if (carved.some(({ result }) => result === null)) return 'stack only';
  return carved.every(({ result }) => result!.coat.exact) ? 'measured' : 'coat reckoned';
}

/** Grooves that open fillings leave are filled as far as the carved surface still shows them. */
const shareLeft = (result: CarveResult): number =>
  result.stackMl > 0 ? result.leftMl / result.stackMl : 1;

/** The coat of a tier with the amounts of its real surface; its shares keep their proportions. */
export function carvedCoat(
  coat: CoatPlan,
  result: CarveResult,
  coverShare: number,
  crumbSpread: Spread,
): CoatPlan {
  const groove = coat.grooveMl * shareLeft(result);
  const rough = coat.crumbMm > 0 ? (result.surfaceMm2 * roughMm) / 1000 : 0;
  const crumbMl = coat.crumbMm > 0 ? (result.coat.crumbMl + rough) * coverShare + groove : 0;
  const by = coat.coatMl > 0 ? result.coat.coatMl / coat.coatMl : 1;
  const shares = coat.shares.map((share) => ({
    ...share,
    ml: share.ml * by,
    massG: share.massG * by,
  }));
  return {
    ...coat,
    crumbMl,
    crumbG: crumbMl * crumbSpread.densityGPerMl,
    grooveMl: groove,
    shares,
    coatMl: shares.reduce((sum, share) => sum + share.ml, 0),
    coatG: shares.reduce((sum, share) => sum + share.massG, 0),
  };
}
/** A cut face of crumb is rougher than it looks: this much of the crumb coat sinks in, mm (estimate). */
const roughMm = 0.4;

/** The sheet over a carved cake, from its real surface. */
export function carvedFondant(fondant: FondantPlan, result: CarveResult): FondantPlan {
  const onCakeG = result.coat.fondantMl * fondantGPerMl;
  const rolledG = Math.max(fondant.rolledG, onCakeG * 1.1);
  return { ...fondant, onCakeG, rolledG, trimG: rolledG - onCakeG };
}

/** Heights of a carved tier: its top is where the last cut left it; what it was stacked to stays known. */
export function carvedStack(stack: StackPlan, result: CarveResult): StackPlan {
  const finishedMm = result.topMm + stack.crumbMm + stack.coatTopMm + stack.fondantMm;
  return { ...stack, stackMm: result.topMm, finishedMm, topCrownMm: 0 };
}

/** The outline of a carved tier from above, with everything on it; its own where the cuts keep its rim. */
export function carvedOutline(
  question: CarveQuestion,
  result: CarveResult,
  finished: Outline,
): Outline {
  const { outline } = question.stock;
  const isWhole =
    Math.abs(result.widthMm - widthMm(outline)) < 1 &&
    Math.abs(result.depthMm - depthMm(outline)) < 1;
  if (isWhole) return finished;
  const rim = result.plan.reduce((a, b) => (b.length > a.length ? b : a), [] as [number, number][]);
  if (rim.length < 3) return finished;
  // one outline for one answer: what is known of its line is worked out once, not at every edit
  const insetMm = insetOf(question.cover);
  const known = carvedOutlines.get(result);
  if (known?.insetMm === insetMm) return known.outline;
  const every = Math.ceil(rim.length / 300);
  const bare: Outline = {
    kind: 'path',
    name: 'carved',
    points: rim.filter((_, i) => i % every === 0),
  };
  const grownOut = grow(bare, insetMm) ?? bare;
  carvedOutlines.set(result, { insetMm, outline: grownOut });
  return grownOut;
}
const carvedOutlines = new WeakMap<CarveResult, { insetMm: number; outline: Outline }>();
