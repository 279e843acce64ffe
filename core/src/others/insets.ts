import type { Inset, Tier } from '../document/types.ts';
import { layerHeights, mouldMlBetween, mouldOutlineAt, type MouldShape } from '../mould/mould.ts';
import { areaMm2, grow, type Outline } from '../outline/outline.ts';
import type { OtherLayer, Recipe, Sponge } from '../pantry/types.ts';

/** Of the layer's height, so much at most is one thing set in it: cream below and above. */
export const mostInset = 0.9;
/** Thinner than this nothing is left of it, mm. */
const leastMm = 1;

/** Something set inside a cream, where it comes to lie in its layer. Heights above the layer's underside, mm. */
export interface PlacedInset {
  inset: Inset;
  outline: Outline;
  fromMm: number;
  toMm: number;
}

/**
 * Where what is set inside a layer comes to lie, from the bottom up: each over the one below, and none
 * above the cream. What finds no room is left out.
 */
export function placeInsets(tier: Tier, index: number, shape: MouldShape | null): PlacedInset[] {
  const { insets, heightMm } = tier.layers[index]!;
  const base = layerHeights(tier)[index]!.fromMm;
  let takenMm = 0;
  return [...insets]
    .sort((a, b) => a.upMm - b.upMm)
    .flatMap((inset) => {
      const fromMm = Math.max(inset.upMm, takenMm);
      const toMm = Math.min(fromMm + Math.min(inset.heightMm, heightMm * mostInset), heightMm);
      const outline = insetOutline(tier, inset, shape, base + fromMm, base + toMm);
      if (!outline || toMm - fromMm < leastMm) return [];
      takenMm = toMm;
      return [{ inset, outline, fromMm, toMm }];
    });
}

/** Cream all round it, at the narrower end of the wall. */
function insetOutline(
  tier: Tier,
  { marginMm }: Inset,
  shape: MouldShape | null,
  fromMm: number,
  toMm: number,
): Outline | null {
  if (!shape) return grow(tier.outline, -marginMm);
  const [low, high] = [mouldOutlineAt(shape, fromMm), mouldOutlineAt(shape, toMm)];
  return grow(areaMm2(low) < areaMm2(high) ? low : high, -marginMm);
}

/** One pouring of a cream: from the level that is reached to the next. Heights above the layer's underside, mm. */
export interface Pouring {
  toMm: number;
  ml: number;
  /** What is set in after it; null after the last. */
  then: PlacedInset | null;
}

/**
 * What is poured between the things that are set in, in the order of the hands: up to the underside of
 * the next, which displaces what rises round it. Together they are the layer without what lies in it.
 */
export function planPourings(
  tier: Tier,
  index: number,
  placed: readonly PlacedInset[],
  shape: MouldShape | null,
): Pouring[] {
  const { fromMm: base, toMm: top } = layerHeights(tier)[index]!;
  const highMm = top - base;
  const isTurned = shape?.order === 'upside down';
  // heights above the layer's underside, in the order in which they are reached
  const way = isTurned ? [...placed].reverse() : placed;
  const levels = [...way.map((one) => (isTurned ? one.toMm : one.fromMm)), isTurned ? 0 : highMm];
  const between = (a: number, b: number): number => {
    const [low, high] = [Math.min(a, b), Math.max(a, b)];
    const all = shape
      ? mouldMlBetween(shape, base + low, base + high)
      : (areaMm2(tier.outline) * (high - low)) / 1000;
    const inside = placed.reduce((sum, one) => {
      const mm = Math.min(high, one.toMm) - Math.max(low, one.fromMm);
      return sum + (Math.max(0, mm) * areaMm2(one.outline)) / 1000;
    }, 0);
    return Math.max(0, all - inside);
  };
  let atMm = isTurned ? highMm : 0;
  return levels.map((toMm, i): Pouring => {
    const ml = between(atMm, toMm);
    atMm = toMm;
    return { toMm: isTurned ? highMm - toMm : toMm, ml, then: way[i] ?? null };
  });
}

/** A thin sheet bakes so long, min (trade custom). */
const sheetMin = 10;

/** A disc of the tier's own sponge, spread thin on paper and baked by itself. */
export const discOfSponge = (
  sponge: Sponge,
  recipe: Recipe | null,
  densityGPerMl: number,
): OtherLayer => ({
  id: `sponge-${sponge.id}`,
  name: `${sponge.name} disc`,
  source: sponge.source,
  ranges: {},
  form: 'biscuit',
  thicknessMm: sponge.minSliceMm,
  densityGPerMl,
  allowableKPa: sponge.allowableKPa,
  spreadMm: 0,
  ovenLoss: sponge.ovenLoss,
  bake: { ovenC: recipe?.bake?.ovenC ?? 180, minutes: sheetMin, dryMin: 0 },
  packCount: null,
  thawH: null,
  allergens: [],
  tone: sponge.tone,
  recipeId: sponge.recipeId,
});
