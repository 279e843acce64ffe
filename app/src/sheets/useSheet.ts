import {
  tierOf,
  type Build,
  type Tier,
  type Caution,
  type CakePlan,
  type Stage,
} from '@pyrgotect/core';
import { computed, type ComputedRef } from 'vue';
import { useBuild } from '../stores/build.ts';
import { usePantry } from '../stores/pantry.ts';
import { partName } from '../parts/part-edits.ts';

/** What every sheet needs: the tier it is about, the pantry, and a way to edit the tier. */
export function useSheet(props: { build: Build; plan: CakePlan }) {
  const store = useBuild();
  const pantry = usePantry();
  const tierId = computed(
    () =>
      (store.selected ? partName(store.selected)?.tierId : undefined) ?? props.build.tiers[0]!.id,
  );
  const tier = computed(() => tierOf(props.build, tierId.value));
  const tierPlan = computed(
    () => props.plan.tiers.find((t) => t.tierId === tier.value.id) ?? props.plan.tiers[0]!,
  );
  const editTier = (label: string, recipe: (tier: Tier) => void): void =>
    store.edit(label, (draft) => recipe(tierOf(draft, tier.value.id)));
  const cautionsOf = (stage: Stage): ComputedRef<Caution[]> =>
    computed(() => store.cautions.filter((caution) => caution.stage === stage));
  const choices = <T extends { id: string; name: string }>(rows: readonly T[]) =>
    rows.map((row) => ({ value: row.id, text: row.name }));
  return { store, pantry, tier, tierPlan, editTier, cautionsOf, choices };
}
