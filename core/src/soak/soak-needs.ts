import type { Tier } from '../document/types.ts';
import type { SoakPlan } from './soak.ts';
import { soakIdOf } from './soak.ts';

/** One recipe that is brushed on, for all tiers that take it, g. */
export interface SoakNeed {
  recipeId: string;
  massG: number;
  tiers: { tierId: string; label: string; massG: number }[];
}

/** What has to be made of each soak, in the order of the tiers. */
export function soakNeeds(
  tiers: readonly Tier[],
  plans: readonly { soak: readonly SoakPlan[] }[],
): SoakNeed[] {
  const needs = new Map<string, SoakNeed>();
  tiers.forEach((tier, i) => {
    const massG = plans[i]!.soak.reduce((sum, each) => sum + each.massG, 0);
    if (massG <= 0) return;
    const recipeId = soakIdOf(tier);
    const need = needs.get(recipeId) ?? { recipeId, massG: 0, tiers: [] };
    need.massG += massG;
    need.tiers.push({ tierId: tier.id, label: tier.name, massG });
    needs.set(recipeId, need);
  });
  return [...needs.values()];
}
