import { thicknessOf } from '../coat/thickness.ts';
import { newGap } from '../document/create.ts';
import { freshId } from '../document/fresh-id.ts';
import type { Tier } from '../document/types.ts';
import { settle, stressAt } from '../fill/squeeze.ts';
import { stackC } from '../fill/load.ts';
import { nPerG } from '../units/gravity.ts';
import { areaMm2, equivalentRadiusMm, fitsInside, grow, type Outline } from '../outline/outline.ts';
import { fitAtOnce } from '../oven/loads.ts';
import type { Kitchen, Spread, Sponge, Tin } from '../pantry/types.ts';
import { keepsDomes, knifeworkOf, turnsTop } from '../tins/bake.ts';
import { edgeHeightMm } from '../tins/knife.ts';
import {
  capVolumeMl,
  crownMm,
  crownShare,
  crownVoidMl,
  tinOutlineAt,
  tinVolumeMl,
} from '../tins/volume.ts';

/** What the height solver is asked. Lengths in mm. */
export interface HeightQuestion {
  /** Finished, coat included. */
  heightMm: number;
  /** The tier as it is: its outline, coat, levelling and filling hold. */
  tier: Tier;
  layerMm: [least: number, most: number];
  gapMm: [least: number, most: number];
  /** Share of the stack that is wished to be filling. */
  fillingShare: number;
  /** Layers are cut to whole steps of this, mm. */
  stepMm: number;
  maxLayers: number;
  sponge: Sponge;
  /** Depth that the sponge's recipe is for, mm. */
  recipeDepthMm?: number;
  spread: Spread;
  coatSpread: Spread;
  tins: readonly Tin[];
  kitchen: Kitchen;
  /** Only tins that are owned; with false also others. */
  onlyOwned: boolean;
}

/** One workable way to reach the height. */
export interface HeightWay {
  tinId: string;
  cakes: number;
  slices: number;
  layers: number;
  layerMm: number;
  /** Thickness to spread, before it settles. */
  gapMm: number;
  heightMm: number;
  /** Finished height less the wanted one, mm. */
  missMm: number;
  fillingShare: number;
  batterG: number;
  /** Domes, trimmings and crumbs, g. */
  wasteG: number;
  loads: number;
  edgeMm: number;
  /** No other way is at least as good on every count. */
  best: boolean;
}

export interface HeightAnswer {
  ways: HeightWay[];
  /** True when at least one way reaches the height to the millimetre. */
  exact: boolean;
  /** The way that comes nearest; null when no tin serves at all. */
  nearest: HeightWay | null;
  /** Why there is none, or what the nearest misses, in words. */
  problem: string | null;
}

/** Within this a height is reached, mm. */
export const exactMm = 0.05;
const mostAboveRimMm = 10;
/** Nobody bakes a cake in a tin of more than twice its area and throws half of it away. */
const mostTinArea = 2;

/** Finished height of a stack of these layers, with the fillings as they settle. */
class Stacker {
  private readonly area: number;
  private readonly radius: number;
  private readonly stress: number;
  private readonly density: number;
  private readonly fixed: number;
  private readonly crown: boolean;
  constructor(private readonly q: HeightQuestion) {
    this.area = areaMm2(q.tier.outline);
    this.radius = equivalentRadiusMm(q.tier.outline);
    this.stress = stressAt(q.spread.stress21Pa, q.spread.stress4Pa, stackC[q.tier.stackedAt]);
    this.density = (q.sponge.batterDensityGPerMl * (1 - q.sponge.ovenLoss)) / q.sponge.rise;
    const { crumbMm, topMm } = thicknessOf(q.tier);
    const dabMm = (q.kitchen.dabG / q.coatSpread.densityGPerMl) * (1000 / this.area);
    this.fixed = dabMm + crumbMm + topMm;
    this.crown = keepsDomes(q.tier);
  }
  /** Height and settled filling; each filling carries the layers, fillings and domes above it. */
  heightOf(
    { cakes, slices, crown }: Combo,
    layerMm: number,
    gapMm: number,
  ): { heightMm: number; fillingMm: number } {
    const { tier, spread } = this.q;
    const layers = cakes * slices;
    const layerG = (this.area * layerMm * this.density) / 1000;
    const gapG = (this.area * gapMm * spread.densityGPerMl) / 1000;
    const capG = capVolumeMl(tier.outline, crown) * this.density;
    const voidG = crownVoidMl(tier.outline, crown) * spread.densityGPerMl;
    const held = (tier.gaps[0]?.damMm ?? 0) > 0;
    let aboveG = tier.restG;
    let fillingMm = 0;
    // from the top down: a dome on the last cake is the coat's to fill, unless it is turned under
    for (let gap = layers - 2; gap >= 0; gap--) {
      const endsCake = (gap + 2) % slices === 0;
      aboveG += layerG + (this.crown && endsCake ? capG : 0);
      const settled = held
        ? gapMm
        : settle(this.stress, this.radius, this.radius, gapMm, aboveG * nPerG).thickMm;
      fillingMm += settled;
      const domes =
        ((gap + 1) % slices === 0 ? 1 : 0) + (gap === layers - 2 && turnsTop(tier) ? 1 : 0);
      aboveG += gapG + (this.crown ? domes * voidG : 0);
    }
    const domesMm = this.crown ? cakes * crown : 0;
    return { heightMm: this.fixed + layers * layerMm + fillingMm + domesMm, fillingMm };
  }
}

/** Gap to spread so that the finished height is met; the nearest end of the range where it cannot be. */
function gapFor(
  height: (gapMm: number) => number,
  wanted: number,
  [least, most]: [number, number],
): number {
  if (height(least) >= wanted) return least;
  if (height(most) <= wanted) return most;
  let [low, high] = [least, most];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (height(middle) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

interface Combo {
  tin: Tin;
  cakes: number;
  slices: number;
  loads: number;
  crown: number;
}

function combosOf(q: HeightQuestion): Combo[] {
  return tinsFor(q).flatMap((tin) => {
    const owned = q.onlyOwned ? tin.owned : Math.max(1, tin.owned);
    const atOnce = fitAtOnce(tin, owned, q.kitchen);
    if (atOnce === 0) return [];
    const crown = crownMm(tinOutlineAt(tin, tin.depthMm), q.sponge.crownOverRadius);
    const combos: Combo[] = [];
    for (let cakes = 1; cakes <= q.maxLayers; cakes++)
      for (let slices = 1; slices <= 6 && cakes * slices <= q.maxLayers; slices++)
        combos.push({
          tin,
          cakes,
          slices,
          crown,
          loads: Math.ceil(cakes / atOnce),
        });
    return combos;
  });
}

/** Tins the cake can be cut from, without its crust. */
function tinsFor(q: HeightQuestion): Tin[] {
  return q.tins.filter((tin) => {
    if (tin.form !== 'upright' || (q.onlyOwned && tin.owned === 0)) return false;
    const inside: Outline | null = grow(tin.outline, -q.tier.trim.sideMm);
    if (areaMm2(tin.outline) > mostTinArea * areaMm2(q.tier.outline)) return false;
    return inside !== null && fitsInside(q.tier.outline, inside);
  });
}

/**
 * Every workable way to a finished height from the tins (docs/model.md#reaching-a-height): for each tin, number of
 * cakes and of slices, the layer thickness whose share of filling comes nearest to the wished one,
 * and the filling that then meets the height, with its squeeze, the dab and the coat counted.
 * Deterministic; ways are ordered by how far they miss, then by share of filling.
 *
 * @param progress told the share of the work that is done, now and then
 */
export function solveHeight(
  q: HeightQuestion,
  progress: (share: number) => void = () => undefined,
): HeightAnswer {
  const stacker = new Stacker(q);
  const combos = combosOf(q);
  const ways: HeightWay[] = [];
  combos.forEach((combo, n) => {
    if (n % 32 === 0) progress(n / combos.length);
    const way = bestWay(q, stacker, combo);
    if (way) ways.push(way);
  });
  markBest(ways, q.fillingShare);
  ways.sort(
    (a, b) =>
      Math.abs(Math.round(a.missMm * 10)) - Math.abs(Math.round(b.missMm * 10)) ||
      Number(b.best) - Number(a.best) ||
      Math.abs(a.fillingShare - q.fillingShare) - Math.abs(b.fillingShare - q.fillingShare) ||
      a.batterG - b.batterG,
  );
  progress(1);
  const nearest = ways[0] ?? null;
  const exact = nearest !== null && Math.abs(nearest.missMm) <= exactMm;
  return { ways, exact, nearest, problem: problemOf(q, combos, nearest, exact) };
}

function problemOf(
  q: HeightQuestion,
  combos: readonly Combo[],
  nearest: HeightWay | null,
  exact: boolean,
): string | null {
  if (exact) return null;
  if (tinsFor(q).length === 0)
    return q.onlyOwned
      ? 'None of your tins is as large as this cake. Make the cake smaller, or look at tins you do not own.'
      : 'No tin in the pantry is as large as this cake.';
  if (combos.length === 0) return 'The tins that are large enough do not fit the oven.';
  if (!nearest)
    return 'No way was found: the thinnest layer is thicker than the tins are deep, or thinner than the sponge stands.';
  return nearest.missMm < 0
    ? 'Not reached: more layers, thicker layers or thicker fillings than the ranges allow would be needed.'
    : 'Not reached: the thinnest layers and fillings allowed stand higher already.';
}

function bestWay(q: HeightQuestion, stacker: Stacker, combo: Combo): HeightWay | null {
  const { tin, cakes, slices } = combo;
  const crownAt = (edge: number): number => combo.crown * crownShare(edge, q.recipeDepthMm);
  const layers = cakes * slices;
  const knife = knifeworkOf(q.tier, q.kitchen);
  const least = Math.max(q.layerMm[0], slices > 1 ? q.sponge.minSliceMm : 0);
  let best: { layerMm: number; gapMm: number; heightMm: number; share: number } | null = null;
  let bestScore = Infinity;
  const start = Math.ceil(least / q.stepMm - 1e-9);
  const end = Math.floor(q.layerMm[1] / q.stepMm + 1e-9);
  for (let k = start; k <= end; k++) {
    const layerMm = k * q.stepMm;
    const edge = edgeHeightMm(Array<number>(slices).fill(layerMm), knife);
    if (edge > tin.depthMm) break;
    // the dome grows with the depth of the cake it stands on
    const domed = { ...combo, crown: crownAt(edge) };
    if (edge + domed.crown > tin.depthMm + mostAboveRimMm) break;
    const at = (gapMm: number) => stacker.heightOf(domed, layerMm, gapMm);
    const gapMm =
      layers === 1 ? q.gapMm[0] : gapFor((gap) => at(gap).heightMm, q.heightMm, q.gapMm);
    const { heightMm, fillingMm } = at(gapMm);
    const share = fillingMm / (fillingMm + layers * layerMm);
    // a height missed weighs more than any share
    const score = 10 * Math.abs(heightMm - q.heightMm) + Math.abs(share - q.fillingShare);
    if (score < bestScore - 1e-12) {
      bestScore = score;
      best = { layerMm, gapMm, heightMm, share };
    }
  }
  if (!best) return null;
  const edgeMm = edgeHeightMm(Array<number>(slices).fill(best.layerMm), knife);
  const top = tinOutlineAt(tin, edgeMm);
  const crown = crownAt(edgeMm);
  const bakedMl = tinVolumeMl(tin, edgeMm) + capVolumeMl(top, crown);
  const usedMl =
    (slices * best.layerMm * areaMm2(q.tier.outline)) / 1000 +
    (knife.level ? 0 : capVolumeMl(q.tier.outline, crown));
  const gramsPerMl = q.sponge.batterDensityGPerMl / q.sponge.rise;
  return {
    tinId: tin.id,
    cakes,
    slices,
    layers,
    layerMm: best.layerMm,
    gapMm: best.gapMm,
    heightMm: best.heightMm,
    missMm: best.heightMm - q.heightMm,
    fillingShare: best.share,
    batterG: cakes * bakedMl * gramsPerMl,
    wasteG: cakes * Math.max(0, bakedMl - usedMl) * gramsPerMl * (1 - q.sponge.ovenLoss),
    loads: combo.loads,
    edgeMm,
    best: false,
  };
}

/** Marks the ways that no other beats: on miss, share of filling, batter, waste, loads and cakes. */
function markBest(ways: HeightWay[], share: number): void {
  const counts = ways.map((way) => [
    Math.max(exactMm, Math.abs(way.missMm)),
    Math.abs(way.fillingShare - share),
    way.batterG,
    way.wasteG,
    way.loads,
    way.cakes,
  ]);
  const beats = (a: number[], b: number[]): boolean =>
    a.every((x, i) => x <= b[i]! + 1e-9) && a.some((x, i) => x < b[i]! - 1e-9);
  ways.forEach((way, i) => {
    way.best = !counts.some((other, j) => j !== i && beats(other, counts[i]!));
  });
}

/** A tier with a way taken over: its tin, its layers, their fillings. What fills the gaps stays. */
export function takeWay(tier: Tier, way: HeightWay): void {
  const layer = tier.layers[0]!;
  const gap = tier.gaps[0];
  tier.tinId = way.tinId;
  tier.slicesPerCake = way.slices;
  tier.asBaked = [];
  tier.mould = null;
  if (tier.centre && tier.centre.toLayer >= way.layers) tier.centre = null;
  tier.layers = Array.from({ length: way.layers }, (_, i) => ({
    ...layer,
    id: tier.layers[i]?.id ?? freshId('layer'),
    otherId: null,
    insets: [],
    heightMm: way.layerMm,
    rimMm: [],
    turnSteps: null,
    flipped: false,
  }));
  tier.gaps = Array.from({ length: way.layers - 1 }, (_, i) => ({
    ...(tier.gaps[i] ?? gap ?? newGap(way.gapMm, tier.coat.spreadId)),
    heightMm: way.gapMm,
  }));
}
