import type { Build, Tier } from '../document/types.ts';
import { areaMm2 } from '../outline/outline.ts';
import { findRow } from '../pantry/find.ts';
import type { Pantry } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { ifThere } from '../working/staged.ts';
import { cakeMass, chilledIn, tierMass } from './tier-times.ts';
import type { HeatQuestion } from '../heat/curve.ts';

/**
 * What `planHeat` is asked for one tier: its first cake in its tin, a layer of it, and the finished
 * tier with the density that its weight gives it.
 *
 * @returns null where nothing of the tier is baked in a tin, or a row is missing
 */
export function heatQuestion(
  tier: Tier,
  plan: TierPlan,
  pantry: Pantry,
  chillIn: Build['day']['chillIn'],
): HeatQuestion | null {
  const bake = plan.bake.ok ? plan.bake.value : null;
  const cake = bake?.cakes[0];
  const tin = ifThere(() => findRow(pantry, 'tins', tier.tinId));
  const sponge = ifThere(() => findRow(pantry, 'sponges', tier.spongeId));
  if (!bake || !cake || !tin || !sponge) return null;
  const recipe = ifThere(() => findRow(pantry, 'recipes', sponge.recipeId));
  const depthMm = ((cake.edgeMl + cake.capMl) * 1000) / areaMm2(tin.outline);
  return {
    baking: { outline: tin.outline, depthMm, ovenC: bake.ovenC, startC: bake.startC },
    rule: recipe?.bake ?? null,
    slower: bake.slower,
    cake: cakeMass(plan, tin)!,
    layer: {
      outline: tier.outline,
      heightMm: tier.layers[cake.layers[0]!]!.heightMm,
      densityGPerMl: bake.bakedDensity,
    },
    tier: tierMass(tier, plan),
    kitchen: pantry.kitchen,
    chilled: chilledIn(pantry.kitchen, chillIn),
  };
}
