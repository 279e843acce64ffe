import type { Tier } from '../document/types.ts';
import type { TakenLayers } from '../stock/layers.ts';
import { splitBowl, type BowlSplit } from '../batter/divide.ts';
import { batterMixture, slowerBy } from '../batter/start-temperature.ts';
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
  inclusionG: number;
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
  bakedG: number;
  offcutsG: number;
  crumbsG: number;
  ovenLossG: number;
  ovenC: number;
  /** Temperature of the batter as it goes into the tins, and ice that does not melt in it. */
  startC: number;
  iceG: number;
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

/** mL of baked cake from one gram of batter, with `x` g of pieces to the gram that do not rise. */
const bakedMlPerG = (sponge: Sponge, x: number, pieceDensity: number): number =>
  sponge.rise / sponge.batterDensityGPerMl + x / pieceDensity;

/** Area of one layer as it comes from the tin, mm2: the cake's, or less where the tin is smaller. */
function layerArea(tier: Tier, tin: Tin, edgeMm: number): number {
  const across = Math.min(Infinity, ...tier.asBaked.flatMap((b) => b.acrossMm ?? []));
  const shrunk = Number.isFinite(across) ? (Math.PI / 4) * across ** 2 : Infinity;
  // a bowl's or a mould's cake keeps its own shape
  const inside =
    tin.form === 'upright'
      ? grownAreaMm2(tin.outline, -tier.trim.sideMm)
      : (tinVolumeMl(tin, edgeMm) * 1000) / edgeMm;
  return Math.min(areaMm2(tier.outline), inside, shrunk);
}

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
  const x = (tier.inclusion?.gPerKg ?? 0) / 1000;
  const pieceDensity = tier.inclusion?.densityGPerMl ?? 1;
  const mlPerG = bakedMlPerG(sponge, x, pieceDensity);
  const bakedDensity = (1 - sponge.ovenLoss + x) / mlPerG;
  const cutting = knifeworkOf(tier, kitchen);
  const ovenC = tier.ovenC ?? recipe?.bake?.ovenC ?? plainOvenC;
  const mixture = recipe ? batterMixture(tier, recipe, kitchen, foods) : null;
  const startC = mixture ? Math.min(60, mixture.tempC) : kitchen.roomC;
  const plainMlPerG = sponge.rise / sponge.batterDensityGPerMl;
  const slower = recipe ? slowerBy(tier, recipe, plainMlPerG, foods) : 1;
  let layerMm2 = areaMm2(tier.outline);
  const cakes = cakesOf(spongeLayers(tier), tier.slicesPerCake).map((layers, index): BakedCake => {
    const heights = layers.map((i) => tier.layers[i]!.heightMm);
    const neededMm = edgeHeightMm(heights, cutting);
    const measured = tier.asBaked[index]?.edgeMm;
    const edgeMm = measured ?? neededMm;
    layerMm2 = layerArea(tier, tin, neededMm);
    const crown = crownMm(
      tinOutlineAt(tin, neededMm),
      sponge.crownOverRadius * crownShare(neededMm, recipe?.bake?.depthMm),
    );
    const capMl = capVolumeMl(tinOutlineAt(tin, neededMm), crown);
    const neededMl = tinVolumeMl(tin, neededMm);
    const batterG = (neededMl + capMl) / mlPerG;
    const inclusionG = batterG * x;
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
    const batterMl = batterG / sponge.batterDensityGPerMl + inclusionG / pieceDensity;
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
    inclusionG: sum((c) => c.inclusionG),
    bakedG: sum((c) => c.bakedG),
    offcutsG: sum((c) => c.domeG + c.trimG),
    crumbsG: sum((c) => c.crumbsG),
    ovenLossG: sum((c) => c.ovenLossG),
    ovenC,
    startC,
    iceG: mixture && recipe ? (mixture.iceG * sum((c) => c.batterG)) / recipe.yieldG : 0,
    bowl: tier.bowl
      ? splitBowl(
          tier.bowl.fullG - tier.bowl.emptyG,
          cakes.map((c) => c.batterG + c.inclusionG),
          tier.bowl.pouredG,
        )
      : null,
  };
}
