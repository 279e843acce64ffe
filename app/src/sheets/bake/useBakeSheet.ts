import type { Build, CakePlan, Recipe, Sponge, Tin } from '@pyrgotect/core';
import { computed } from 'vue';
import { useSheet } from '../useSheet.ts';

/** What the turns of the bake sheet share: the tier's baking, its tin, sponge and recipe. */
export function useBakeSheet(props: { build: Build; plan: CakePlan }) {
  const sheet = useSheet(props);
  const { pantry, tier, tierPlan } = sheet;
  const bake = computed(() => (tierPlan.value.bake.ok ? tierPlan.value.bake.value : null));
  const tin = computed<Tin | null>(
    () => pantry.pantry.tins.find((row) => row.id === tier.value.tinId) ?? null,
  );
  const sponge = computed<Sponge | null>(
    () => pantry.pantry.sponges.find((row) => row.id === tier.value.spongeId) ?? null,
  );
  const recipe = computed<Recipe | null>(
    () => pantry.pantry.recipes.find((row) => row.id === sponge.value?.recipeId) ?? null,
  );
  return { ...sheet, bake, tin, sponge, recipe };
}
