import type { Tier } from '../document/types.ts';
import type { TakenLayers } from '../stock/layers.ts';
import { splitBowl, type BowlSplit } from '../batter/divide.ts';
import { foldedG, isFoldedIn, tinFilling, type TinFilling } from '../batter/pieces.ts';
import { batterMixture, slowerBy, type PiecesPerG } from '../batter/start-temperature.ts';
import { bakeWindow, type BakeWindow } from '../heat/bake-time.ts';
import { areaMm2, grownAreaMm2 } from '../outline/outline.ts';
import type { Food, Kitchen, Recipe, Sponge, Tin } from '../pantry/types.ts';
import { cakesOf, spongeLayers } from './sponge-layers.ts';
import { cutCount, cutHeights, edgeHeightMm, type Knifework, type KnifeCut } from './knife.ts';
import {
  capVolumeMl,
  crownShare,
  crownMm,
  crownVoidMl,
  fillHeightMm,
  tinOutlineAt,
  tinVolumeMl,
} from './volume.ts';

/** One baked cake: what goes into its tin and what comes out of it. Masses in g, lengths in mm. */
export interface BakedCake {
  index: number;
  /** Layers cut from it, from the bottom up, as indices into the tier's layers. */
  layers: number[];
  /** Edge it has to have, or that was measured. */
  edgeMm: number;
  neededMm: number;
  crownMm: number;
  batterG: number;
  /** All pieces in it, each kind of them in their order, and those that are in the bowl of batter. */
  inclusionG: number;
  piecesG: number[];
  foldedG: number;
  batterMl: number;
  ovenLossG: number;
  bakedG: number;
  /** Layers with the dome that stays on them. */
  layersG: number;
  /** Dome that is cut off. */
  domeG: number;
  crumbsG: number;
  /** Crust and sides cut off, and what is over the needed height. */
  trimG: number;
  /** Volume to fill round the dome when it is left on, mL. */
  voidMl: number;
  keepsDome: boolean;
  /** How high the raw batter stands in the tin, and as a share of the tin's depth. */
  fillMm: number;
  fillShare: number;
  cuts: KnifeCut[];
  window: BakeWindow | null;
  /** Volumes behind the figures, mL. */
  edgeMl: number;
  capMl: number;
}

export interface BakePlan {
  /** Layers put away before that it is stacked from; null where its cakes are baked. */
  stock: TakenLayers | null;
  cakes: BakedCake[];
  /** Density of the baked crumb with what is folded into it, g/mL. */
  bakedDensity: number;
  /** Area of a layer as it comes out, mm2. */
  layerMm2: number;
  batterG: number;
  inclusionG: number;
  /** Each kind of pieces, in their order. */
  piecesG: number[];
  foldedG: number;
  bakedG: number;
  offcutsG: number;
  crumbsG: number;
  ovenLossG: number;
  ovenC: number;
  /** Temperature of the batter as it goes into the tins, and ice that does not melt in it. */
  startC: number;
  iceG: number;
  /** How much slower it bakes than plain batter, for the pieces in it. */
  slower: number;
  bowl: BowlSplit | null;
}

/** Oven for sponges whose recipe gives none, C. */
export const plainOvenC = 175;

export const keepsDomes = (tier: Pick<Tier, 'levelling'>): boolean =>
  tier.levelling.startsWith('cut none');
export const turnsTop = (tier: Pick<Tier, 'levelling'>): boolean =>
  tier.levelling.endsWith('top inverted');

export const knifeworkOf = (tier: Tier, kitchen: Kitchen): Knifework => ({
  kerfMm: kitchen.kerfMm,
  bottomMm: tier.trim.bottomMm,
  topMm: tier.trim.topMm,
  level: !keepsDomes(tier),
});

/** Area of one layer as it comes from the tin, mm2: the cake's, or less where the tin is smaller. */
function layerArea(tier: Tier, tin: Tin, edgeMm: number): number {
  const across = Math.min(Infinity, ...tier.asBaked.flatMap((b) => b.acrossMm ?? []));
  const shrunk = Number.isFinite(across) ? (Math.PI / 4) * across ** 2 : Infinity;
  // a bowl's or a mould's cake keeps its own shape
  const inside =
    tin.form === 'upright' && tier.asTin === null
      ? grownAreaMm2(tin.outline, -tier.trim.sideMm)
      : (tinVolumeMl(tin, edgeMm) * 1000) / edgeMm;
  return Math.min(areaMm2(tier.outline), inside, shrunk);
}

/** What one tin is asked for and what fills it. Lengths in mm, volumes in mL. */
interface FilledTin extends TinFilling {
  layers: number[];
  heights: number[];
  neededMm: number;
  crown: number;
  capMl: number;
  neededMl: number;
}

/** How high each cake has to stand, and the batter and pieces that bake to that, dome and all. */
function fillTins(
  tier: Tier,
  sponge: Sponge,
  tin: Tin,
  recipe: Recipe | null,
  cutting: Knifework,
): FilledTin[] {
  const mlPerG = sponge.rise / sponge.batterDensityGPerMl;
  return cakesOf(spongeLayers(tier), tier.slicesPerCake).map((layers) => {
    const heights = layers.map((i) => tier.layers[i]!.heightMm);
    const neededMm = edgeHeightMm(heights, cutting);
    const outline = tinOutlineAt(tin, neededMm);
    const crown = crownMm(
      outline,
      sponge.crownOverRadius * crownShare(neededMm, recipe?.bake?.depthMm),
    );
    const capMl = capVolumeMl(outline, crown);
    const neededMl = tinVolumeMl(tin, neededMm);
    const filling = tinFilling(neededMl + capMl, mlPerG, tier.inclusions);
    return { layers, heights, neededMm, crown, capMl, neededMl, ...filling };
  });
}

/** All tins together: baked volume, mL, batter and each kind of pieces, g. */
function allOf(tins: readonly FilledTin[], kinds: number): TinFilling & { ml: number } {
  const all = { ml: 0, batterG: 0, piecesG: new Array<number>(kinds).fill(0) };
  for (const { neededMl, capMl, batterG, piecesG } of tins) {
    all.ml += neededMl + capMl;
    all.batterG += batterG;
    piecesG.forEach((g, k) => (all.piecesG[k]! += g));
  }
  return all;
}

const sumOf = (grams: readonly number[]): number => grams.reduce((sum, g) => sum + g, 0);

/**
 * Batter for each tin of a tier, what is lost on the way, when it is done, and where the knife goes
 * (docs/model.md#batter). What goes in comes out again: batter and pieces less the oven's loss are
 * layers, domes, trimmings and crumbs.
 *
 * @param withTimes false leaves the bake windows out
 */
export function planBake(
  tier: Tier,
  sponge: Sponge,
  tin: Tin,
  recipe: Recipe | null,
  kitchen: Kitchen,
  foods: readonly Food[],
  withTimes = true,
): BakePlan {
  const { inclusions } = tier;
  const mlPerG = sponge.rise / sponge.batterDensityGPerMl;
  const cutting = knifeworkOf(tier, kitchen);
  const ovenC = tier.ovenC ?? recipe?.bake?.ovenC ?? plainOvenC;
  const filled = fillTins(tier, sponge, tin, recipe, cutting);
  const inAll = allOf(filled, inclusions.length);
  const piecesIn = sumOf(inAll.piecesG);
  const bakedDensity =
    inAll.ml > 0
      ? (inAll.batterG * (1 - sponge.ovenLoss) + piecesIn) / inAll.ml
      : (1 - sponge.ovenLoss) / mlPerG;
  const perG = inclusions.map((inclusion, k): PiecesPerG => ({
    inclusion,
    perG: inAll.batterG > 0 ? inAll.piecesG[k]! / inAll.batterG : 0,
  }));
  const mixture = recipe
    ? batterMixture(tier, recipe, kitchen, foods, perG.filter(({ inclusion }) => isFoldedIn(inclusion))) // prettier-ignore
    : null;
  const startC = mixture ? Math.min(60, mixture.tempC) : kitchen.roomC;
  const slower = recipe ? slowerBy(recipe, mlPerG, perG, foods) : 1;
  let layerMm2 = areaMm2(tier.outline);
  const cakes = filled.map((one, index): BakedCake => {
    const { layers, heights, neededMm, crown, capMl, neededMl, batterG, piecesG } = one;
    const measured = tier.asBaked[index]?.edgeMm;
    const edgeMm = measured ?? neededMm;
    layerMm2 = layerArea(tier, tin, neededMm);
    const inclusionG = sumOf(piecesG);
    const bakedG = batterG * (1 - sponge.ovenLoss) + inclusionG;
    // a cake that came out higher or lower than planned weighs what its batter makes it weigh
    const edgeMl = measured === undefined ? neededMl : tinVolumeMl(tin, edgeMm);
    const density = bakedG / (edgeMl + capMl);
    const keepsDome = !cutting.level;
    const heldCapMl = keepsDome ? Math.min(capMl, capVolumeMl(tier.outline, crown)) : 0;
    const cutMl = (heights.reduce((sum, h) => sum + h, 0) * layerMm2) / 1000;
    const crumbsMl = (cutCount(heights.length, cutting) * kitchen.kerfMm * layerMm2) / 1000;
    const room = Math.max(0, edgeMl + capMl - (keepsDome ? 0 : capMl));
    // from a cake that came out too low there is only so much to cut
    const share = Math.min(1, room / Math.max(1e-9, cutMl + heldCapMl + crumbsMl));
    const layersMl = (cutMl + heldCapMl) * share;
    const crumbMl = crumbsMl * share;
    const domeMl = keepsDome ? 0 : capMl;
    const piecesMl = inclusions.reduce((ml, { densityGPerMl }, k) => ml + piecesG[k]! / densityGPerMl, 0); // prettier-ignore
    const batterMl = batterG / sponge.batterDensityGPerMl + piecesMl;
    const fillMm = fillHeightMm(tin, batterMl);
    const depthMm = ((neededMl + capMl) * 1000) / areaMm2(tinOutlineAt(tin, neededMm));
    return {
      index,
      layers,
      edgeMm,
      neededMm,
      crownMm: crown,
      batterG,
      inclusionG,
      piecesG,
      foldedG: foldedG(inclusions, piecesG),
      batterMl,
      ovenLossG: batterG * sponge.ovenLoss,
      bakedG,
      layersG: layersMl * density,
      domeG: domeMl * density,
      crumbsG: crumbMl * density,
      trimG: Math.max(0, edgeMl + capMl - layersMl - domeMl - crumbMl) * density,
      voidMl: keepsDome ? crownVoidMl(tier.outline, crown) : 0,
      keepsDome,
      fillMm,
      fillShare: fillMm / tin.depthMm,
      cuts: cutHeights(heights, cutting),
      window: withTimes
        ? bakeWindow({ outline: tin.outline, depthMm, ovenC, startC }, recipe?.bake ?? null, slower)
        : null,
      edgeMl,
      capMl,
    };
  });
  const sum = (pick: (cake: BakedCake) => number): number =>
    cakes.reduce((total, cake) => total + pick(cake), 0);
  return {
    stock: null,
    cakes,
    bakedDensity,
    layerMm2,
    batterG: sum((c) => c.batterG),
    inclusionG: piecesIn,
    piecesG: inAll.piecesG,
    foldedG: foldedG(inclusions, inAll.piecesG),
    bakedG: sum((c) => c.bakedG),
    offcutsG: sum((c) => c.domeG + c.trimG),
    crumbsG: sum((c) => c.crumbsG),
    ovenLossG: sum((c) => c.ovenLossG),
    ovenC,
    startC,
    slower,
    iceG: mixture && recipe ? (mixture.iceG * sum((c) => c.batterG)) / recipe.yieldG : 0,
    bowl: tier.bowl
      ? splitBowl(
          tier.bowl.fullG - tier.bowl.emptyG,
          cakes.map((c) => c.batterG + c.foldedG),
          tier.bowl.pouredG,
        )
      : null,
  };
}
