import { rimOf } from '../mould/rim.ts';
import type { Build, Tier } from '../document/types.ts';
import {
  carvedCoat,
  carvedFondant,
  carvedOutline,
  carvedStack,
  type TierCarve,
} from '../carve/apply.ts';
import { enterCarving } from '../carve/carve-figures.ts';
import { warnOfCarving } from '../carve/carve-cautions.ts';
import { glueSpreadId } from '../carve/needs.ts';
import { carveKey, carveQuestion, type Stacked } from '../carve/stock.ts';
import { plainFaces, planCoat } from '../coat/coat.ts';
import { warnOfRoundRim } from '../coat/rim-cautions.ts';
import { planFondant } from '../covers/fondant.ts';
import { planPressed, warnOfPressed } from '../covers/pressed.ts';
import { planSurfaces, warnOfSurfaces } from '../covers/surfaces.ts';
import { dabSpreadId } from '../document/edit.ts';
import { centreDensity, planCentre } from '../fill/centre.ts';
import { factorOf } from '../hand/corrections.ts';
import type { BareTier } from './tier-plan.ts';
import { enterSoakAndCentre, warnOfCentre } from '../fill/centre-figures.ts';
import { enterGaps } from '../fill/gap-figures.ts';
import { loadsOf, openAtEdge, warnOfNoRoom } from '../fill/tier-gaps.ts';
import { gapMassG, planGaps } from '../fill/gaps.ts';
import { warnOfRim } from '../level/readings.ts';
import {
  layerHeights,
  layerMl,
  layerShare,
  mouldOf,
  mouldOutlineAt,
  mouldShare,
  straightOver,
} from '../mould/mould.ts';
import { warnOfMould } from '../mould/mould-cautions.ts';
import { discOfSponge } from '../others/insets.ts';
import { planOther, warnOfOthers } from '../others/other-layers.ts';
import { warnOfSetCreams } from '../others/set-cream.ts';
import { topScale } from '../labour/minutes.ts';
import { findRow } from '../pantry/find.ts';
import type { OtherLayer, Pantry } from '../pantry/types.ts';
import { scaleRecipe } from '../recipes/scale.ts';
import { countServings } from '../servings/servings.ts';
import { planSoak, soakIdOf, syrupGPerMl } from '../soak/soak.ts';
import { warnOfSoak } from '../soak/soak-cautions.ts';
import { crownsOf, domesIn, layerArea, layerMassG } from '../stack/layers.ts';
import { planStack } from '../stack/stack.ts';
import { bakeTier } from '../tins/bake-tier.ts';
import type { TierWork } from './work.ts';
import { attempt, ifThere, valueOf } from '../working/staged.ts';

/** What a tier's plan takes from the build around it. */
export interface TierAround extends Pick<Build['brief'], 'portion' | 'cutting' | 'halves'> {
  /** A tier stands over the hole of this ring. */
  isHoleShut: boolean;
}

/** One tier in the order of work: bake, fill, load, stack, coat; then what it all weighs. */
export function planTier(tier: Tier, around: TierAround, work: TierWork): BareTier {
  const { pantry, book, cautions, spreadOf } = work;
  const part = `${tier.id}/cake`;
  const bake = attempt('bake', part, cautions, () => bakeTier(tier, work));
  const batterRecipe = attempt('bake', part, bake.ok ? cautions : [], () => {
    const sponge = findRow(pantry, 'sponges', tier.spongeId);
    return scaleRecipe(
      findRow(pantry, 'recipes', sponge.recipeId),
      bake.ok ? Math.ceil(bake.value.batterG / factorOf(work.corrections, 'batter') / 5) * 5 : 0,
    );
  });
  const baked = valueOf(bake);
  const sponge = ifThere(() => findRow(pantry, 'sponges', tier.spongeId));
  const mould = mouldOf(tier, pantry.tins);
  const recipeOf = (id: string) => pantry.recipes.find((row) => row.id === id) ?? null;
  const rowOf = (id: string | null): OtherLayer =>
    id !== null
      ? findRow(pantry, 'others', id)
      : discOfSponge(
          findRow(pantry, 'sponges', tier.spongeId),
          sponge && recipeOf(sponge.recipeId),
          baked?.bakedDensity ?? usualBaked,
        );
  const others = attempt('stack', `${tier.id}/layer/0`, cautions, () =>
    tier.layers.flatMap((layer, i) =>
      layer.otherId === null
        ? []
        : [
            planOther(tier, i, findRow(pantry, 'others', layer.otherId), {
              rowOf,
              betweenDensity: layer.between ? spreadOf(layer.between.spreadId).densityGPerMl : 1,
              mould,
            }),
          ],
    ),
  );
  const crowns = crownsOf(tier, baked);
  const gaps = attempt('stack', `${tier.id}/gap/0`, cautions, () =>
    planGaps(
      tier,
      spreadOf,
      domesIn(tier, baked, crowns),
      mould ? (i) => mouldOutlineAt(mould, layerHeights(tier)[i]!.toMm) : undefined,
    ),
  );
  const soakRecipe = recipeOf(soakIdOf(tier)) ?? undefined;
  const soak = tier.layers.map((layer, i) =>
    planSoak(
      tier,
      layer,
      (layerArea(tier, baked) * tier.layers[i]!.heightMm) / 1000,
      soakRecipe?.soakGPerMl ?? syrupGPerMl,
    ),
  );
  const mlOf = (i: number): number => layerMl(tier, i, mould);
  const layersG =
    baked && others.ok
      ? tier.layers.map(
          (layer, i) =>
            layerMassG(tier, i, baked, others.value, tier.asTin && !tier.mould ? mlOf : undefined) *
              (layer.otherId === null && tier.mould ? layerShare(tier, i, mould) : 1) +
            soak[i]!.massG,
        )
      : null;
  const loads = gaps.ok && layersG ? loadsOf(tier, layersG, gaps.value.map(gapMassG), work) : null;
  if (gaps.ok) book.later((page) => enterGaps(page, tier, gaps.value, loads, spreadOf));
  const settled = tier.gaps.map((gap, i) => loads?.[i]?.settledMm ?? gap.heightMm);
  const centre = ifThere(() =>
    planCentre(
      tier,
      settled,
      baked?.bakedDensity ?? usualBaked,
      tier.centre ? centreDensity(tier.centre, spreadOf) : 1,
    ),
  );
  const dab = ifThere(() => spreadOf(dabSpreadId(tier)));
  // what is set in a mould stands on its own foot
  const dabG = tier.mould ? 0 : dabFor(tier, pantry.kitchen.dabG);
  const dabMl = dab ? dabG / dab.densityGPerMl : 0;
  const betweenMm = (valueOf(others) ?? []).reduce((sum, other) => sum + other.betweenMm, 0);
  const whole = planStack(tier, dabMl, settled, crowns, book, betweenMm);
  const carve = carveTier(tier, { stack: whole, layersG, gaps, centre, bake, dabG, mould }, work);
  const result = carve?.result ?? null;
  const stack = result ? carvedStack(whole, result) : whole;
  const stackCoat = attempt('coat', `${tier.id}/coat`, cautions, () =>
    planCoat(
      tier,
      whole.stackMm,
      spreadOf,
      pantry.kitchen,
      whole.topCrownMm > 0 ? (baked?.cakes.at(-1)?.voidMl ?? 0) : 0,
      gaps.ok ? openAtEdge(tier, gaps.value, settled) : 0,
      book,
      around.isHoleShut,
      mould ? straightOver(tier, mould, whole.stackMm) : plainFaces,
    ),
  );
  const coat: typeof stackCoat =
    result && stackCoat.ok
      ? {
          ok: true,
          value: carvedCoat(
            stackCoat.value,
            result,
            stackCoat.value.cover,
            spreadOf(stackCoat.value.crumbSpreadId),
          ),
        }
      : stackCoat;
  const bare = valueOf(coat);
  const sheet = bare ? planFondant(tier, bare.finished, stack.finishedMm - stack.fondantMm) : null;
  const fondant = sheet && result ? carvedFondant(sheet, result) : sheet;
  const upright = fondant?.finished ?? bare?.finished ?? tier.outline;
  const finished = carve && result ? carvedOutline(carve.question, result, upright) : upright;
  if (carve && result) book.later((page) => enterCarving(tier, carve, result, bare, page));
  const pressed = planPressed(tier, finished, stack.finishedMm);
  const surfaces = planSurfaces(tier, finished, stack.finishedMm);
  warnOfSurfaces(tier, cautions);
  if (bare) warnOfPressed(tier, bare.sideMm, cautions);
  warnOfRoundRim(tier, cautions);
  if (others.ok) {
    warnOfOthers(tier, others.value, cautions);
    warnOfSetCreams(tier, others.value, pantry, cautions);
  }
  warnOfMould(tier, mould, cautions);
  if (sponge) warnOfSoak(tier, sponge, soakRecipe, soak, pantry, cautions);
  warnOfRim(tier, cautions);
  warnOfNoRoom(tier, gaps.ok ? gaps.value : [], cautions);
  warnOfCentre(tier, centre, cautions);
  book.later((page) => enterSoakAndCentre(tier, soak, centre, spreadOf, page));
  const { portion, cutting, halves } = around;
  const servings =
    countServings(tier.outline, portion, cutting, halves) *
    eatenShare(tier, pantry) *
    Math.min(1, mouldShare(tier, mould));
  const glue = ifThere(() => spreadOf(glueSpreadId(tier)));
  if (carve) warnOfCarving(tier, carve, glue, cautions);
  return {
    tierId: tier.id,
    stack,
    bake,
    batterRecipe,
    others,
    mould,
    gaps,
    loads,
    soak,
    centre,
    coat,
    fondant,
    pressed,
    surfaces,
    finished,
    rim: rimOf(result ? null : mould, tier.outline, finished, whole.stackMm),
    dabG,
    layersG,
    // a carved cake gives the share of portions that it is of its stack
    servings: result
      ? Math.floor(servings * Math.min(1, result.leftMl / result.stackMl))
      : Math.floor(servings + 1e-9),
    carve,
    massG:
      layersG && gaps.ok && coat.ok
        ? layersG.reduce((sum, g) => sum + g, 0) +
          gaps.value.reduce((sum, gap) => sum + gapMassG(gap), 0) +
          (centre?.fillG ?? 0) +
          (result ? result.leftG - result.stackG : 0) +
          (result && glue ? result.glueMl * glue.densityGPerMl : 0) +
          coat.value.crumbG +
          coat.value.coatG +
          (fondant?.onCakeG ?? 0) +
          (pressed?.massG ?? 0) +
          surfaces.reduce((sum, one) => sum + one.massG, 0) +
          dabG
        : null,
  };
}

/** Baked sponge weighs so much until its own is known, g/mL (estimate). */
const usualBaked = 0.45;

/** A dab holds by its area: the kitchen's is for a cake of 20 cm, and goes with the size of the cake. */
const dabFor = (tier: Tier, dabG: number): number =>
  dabG * Math.min(4, Math.max(0.4, topScale(tier.outline)));

/** Share of a tier's height that is not foam. */
function eatenShare(tier: Tier, pantry: Pantry): number {
  const isFoam = (id: string | null): boolean =>
    id !== null && pantry.others.find((row) => row.id === id)?.form === 'foam';
  if (!tier.layers.some((layer) => isFoam(layer.otherId))) return 1;
  const high = (of: Tier['layers']): number => of.reduce((sum, layer) => sum + layer.heightMm, 0);
  return high(tier.layers.filter((layer) => !isFoam(layer.otherId))) / high(tier.layers);
}

/** What the carving of a tier asks of the solids, and the answer if it is known. */
function carveTier(tier: Tier, plan: Stacked, { pantry, carved }: TierWork): TierCarve | null {
  const tin = ifThere(() => findRow(pantry, 'tins', tier.tinId));
  const question = carveQuestion(tier, plan, tin);
  if (!question) return null;
  const key = carveKey(question);
  return { question, key, result: carved(key) ?? null };
}
