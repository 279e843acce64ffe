<script setup lang="ts">
import {
  freshId,
  limits,
  newSurface,
  surfaceWays,
  type Surface,
  type SurfacePlan,
  type SurfaceWay,
  type Tier,
} from '@pyrgotect/core';
import TintField from '../../colours/TintField.vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import FoodPick from '../../pantry/FoodPick.vue';

/** What is glazed, painted, dusted or sprayed on a tier, one after the other. */
const props = defineProps<{ tier: Tier; plans: readonly SurfacePlan[] }>();
const emit = defineEmits<{ edit: [label: string, change: (tier: Tier) => void] }>();
const units = useUnits();
const words: Record<SurfaceWay, string> = {
  glaze: 'glazed with',
  paint: 'painted with',
  dust: 'dusted with',
  spray: 'sprayed with',
};
const wayChoices = surfaceWays.map((value) => ({ value, text: words[value] }));
const whereChoices = (['all over', 'side', 'top'] as const).map((value) => ({
  value,
  text: value === 'all over' ? value : `the ${value} alone`,
}));
const buttons: Record<SurfaceWay, string> = {
  glaze: 'Glaze it',
  paint: 'Paint it',
  dust: 'Dust it',
  spray: 'Spray it',
};
const set = (id: string, change: Partial<Surface>): void =>
  emit('edit', 'On the surface', (tier) => {
    tier.surfaces = tier.surfaces.map((one) => (one.id === id ? { ...one, ...change } : one));
  });
const add = (way: SurfaceWay): void =>
  emit('edit', buttons[way], (tier) => {
    tier.surfaces.push(newSurface(freshId('surface'), way));
  });
const remove = (id: string): void =>
  emit('edit', 'Off the surface', (tier) => {
    tier.surfaces = tier.surfaces.filter((one) => one.id !== id);
  });
const planOf = (id: string): SurfacePlan | undefined =>
  props.plans.find(({ surface }) => surface.id === id);
</script>

<template>
  <section data-test="surfaces">
    <h2>On the surface</h2>
    <p v-for="surface in tier.surfaces" :key="surface.id" class="sentence">
      It is
      <ChoiceField
        :model-value="surface.way"
        label="How it is put on"
        :options="wayChoices"
        @update:model-value="(way) => set(surface.id, { way })"
      />
      <FoodPick
        :model-value="surface.foodId"
        :name="surface.name"
        label="What is put on"
        @pick="(food) => set(surface.id, { foodId: food.id, name: food.name, allergens: [] })"
      />,
      <template v-if="surface.way === 'paint' || surface.way === 'spray'">
        <TintField
          :model-value="surface.tint"
          label="Colour of what is put on"
          @update:model-value="(tint) => set(surface.id, { tint })"
        />,
      </template>
      <ChoiceField
        :model-value="surface.where"
        label="Where it is put on"
        :options="whereChoices"
        @update:model-value="(where) => set(surface.id, { where })"
      />, in
      <QuantityField
        :model-value="surface.coats"
        :of="limits.surfaceCoats"
        label="Coats"
        @update:model-value="(coats) => set(surface.id, { coats })"
      />
      {{ surface.coats === 1 ? 'coat' : 'coats' }} of
      <QuantityField
        :model-value="surface.gPerCm2 * 100"
        :of="{ kind: 'fineMass', min: 0.05, max: 50 }"
        label="Grams of a coat to a hand’s breadth square"
        @update:model-value="(g) => set(surface.id, { gPerCm2: g / 100 })"
      />
      to {{ units.text(10000, 'area') }}, dry after
      <QuantityField
        :model-value="surface.dryMin"
        :of="limits.surfaceDryMin"
        label="Dry after"
        @update:model-value="(dryMin) => set(surface.id, { dryMin })"
      /><template v-if="planOf(surface.id)"
        >: <b>{{ units.text(planOf(surface.id)!.massG, 'fineMass') }}</b> on it,
        {{ units.text(planOf(surface.id)!.atHandG, 'fineMass') }} at hand</template
      >.
      <KeyButton variant="text" size="small" @click="remove(surface.id)"> leave it off </KeyButton>
    </p>
    <p v-if="tier.surfaces.length < limits.surfaces.max" class="ways">
      <KeyButton v-for="way in surfaceWays" :key="way" size="small" @click="add(way)">
        {{ buttons[way] }}
      </KeyButton>
    </p>
  </section>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
