<script setup lang="ts">
import {
  coatStyles,
  limits,
  showText,
  styleRows,
  thicknessOf,
  type Build,
  type Caution,
  type CoatStyle,
  type Plan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import CautionList from '../figures/CautionList.vue';
import ChoiceField from '../figures/ChoiceField.vue';
import FigureValue from '../figures/FigureValue.vue';
import QuantityField from '../figures/QuantityField.vue';
import { useSettings } from '../stores/settings.ts';
import BowlColumn from './BowlColumn.vue';
import IngredientList from './IngredientList.vue';
import { useSheet } from './useSheet.ts';

const props = defineProps<{ build: Build; plan: Plan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const settings = useSettings();
const { store, pantry, tier, tierPlan, editTier, cautionsOf, choices } = useSheet(props);
const cautions = cautionsOf('coat');
const bowls = computed(() => (props.plan.bowls.ok ? props.plan.bowls.value : []));
const title = computed(() =>
  props.plan.tally.frostingG === null
    ? 'The bowls cannot be worked out yet'
    : `${showText(props.plan.tally.frostingG, 'bowl', settings.system)} to make, in ${bowls.value.length === 1 ? 'one bowl' : `${bowls.value.length} bowls`}`,
);
const coats = computed(() => choices(pantry.pantry.spreads.filter((s) => s.canCoat)));
const styles = coatStyles.map((value) => ({ value, text: styleRows[value].title.toLowerCase() }));
const now = computed(() => thicknessOf(tier.value));
const style = computed(() => styleRows[tier.value.coat.style]);
const coatPlan = computed(() => (tierPlan.value.coat.ok ? tierPlan.value.coat.value : null));
const high = 250;
const pxPerG = computed(() => (high - 8) / Math.max(1, ...bowls.value.map((b) => b.makeG)));
const spreadOf = (id: string) => pantry.pantry.spreads.find((s) => s.id === id) ?? null;
function setStyle(to: CoatStyle): void {
  store.edit('Style of the coat', (draft) => {
    draft.brief.look = to;
    const target = draft.tiers.find((t) => t.id === tier.value.id)!;
    target.coat = { ...target.coat, style: to, crumbMm: null, sideMm: null, topMm: null };
  });
}
const asideOf = (
  uses: { kind: string; label: string; massG: number }[],
): { label: string; massG: number }[] =>
  uses.filter((use) => use.kind === 'coat' || use.kind === 'piping');
</script>

<template>
  <div>
    <h1 data-test="sheet-title">{{ title }}</h1>
    <p class="sentence">
      Finish it
      <ChoiceField
        :model-value="tier.coat.style"
        label="Style"
        :options="styles"
        @update:model-value="setStyle"
      />
      in
      <ChoiceField
        :model-value="tier.coat.spreadId"
        label="Frosting of the coat"
        :options="coats"
        @update:model-value="
          (id) =>
            editTier('Frosting', (t) => {
              t.coat.spreadId = id;
            })
        "
      />: a crumb coat of
      <QuantityField
        :model-value="now.crumbMm"
        kind="thickness"
        label="Crumb coat"
        :min="0"
        :max="limits.coatMm.max"
        @update:model-value="
          (mm) =>
            editTier('Crumb coat', (t) => {
              t.coat.crumbMm = mm;
            })
        "
      />, then
      <QuantityField
        :model-value="now.sideMm"
        kind="thickness"
        label="Coat on the side"
        :min="0"
        :max="limits.coatMm.max"
        @update:model-value="
          (mm) =>
            editTier('Coat on the side', (t) => {
              t.coat.sideMm = mm;
            })
        "
      />
      on the side and
      <QuantityField
        :model-value="now.topMm"
        kind="thickness"
        label="Coat on top"
        :min="0"
        :max="limits.coatMm.max"
        @update:model-value="
          (mm) =>
            editTier('Coat on top', (t) => {
              t.coat.topMm = mm;
            })
        "
      />
      on top. Keep
      <QuantityField
        :model-value="build.pipingG"
        kind="bowl"
        label="Frosting for piping"
        :min="0"
        :max="limits.pipingG.max"
        @update:model-value="
          (g) =>
            g !== null &&
            store.edit('Piping', (d) => {
              d.pipingG = g;
            })
        "
      />
      for piping, and
      <QuantityField
        :model-value="build.reserveShare"
        kind="share"
        label="Kept back"
        :min="0"
        :max="limits.reserveShare.max"
        @update:model-value="
          (n) =>
            n !== null &&
            store.edit('Kept back', (d) => {
              d.reserveShare = n;
            })
        "
      />
      of the coats in case a hand lays it on thick.
    </p>
    <p v-if="coatPlan" class="lead">
      {{ style.title }}: {{ style.words }}. The crumb coat takes
      <FigureValue :value="coatPlan.crumbG" kind="bowl" :figure="`${tier.id}/crumb`" />, the coat
      <FigureValue :value="coatPlan.coatG" kind="bowl" :figure="`${tier.id}/coat`" />.
      <button
        v-if="tier.coat.crumbMm !== null || tier.coat.sideMm !== null || tier.coat.topMm !== null"
        type="button"
        class="key small"
        @click="setStyle(tier.coat.style)"
      >
        Back to the style’s own thickness
      </button>
    </p>

    <CautionList :cautions="cautions" @go="(caution) => emit('goTo', caution)" />
    <p v-if="!plan.bowls.ok" class="lead">{{ plan.bowls.problem }}</p>

    <div class="bowls">
      <BowlColumn
        v-for="bowl in bowls"
        :key="bowl.spreadId"
        :bowl="bowl"
        :spread="spreadOf(bowl.spreadId)"
        :px-per-g="pxPerG"
        :high="high"
      />
    </div>
    <template v-for="bowl in bowls" :key="bowl.spreadId">
      <p
        v-if="asideOf(bowl.uses).length > 0 && bowl.uses.length > asideOf(bowl.uses).length"
        class="aside"
      >
        From the {{ bowl.name.toLowerCase() }} set aside first, covered:
        <template v-for="(use, i) in asideOf(bowl.uses)" :key="use.label">
          {{ i > 0 ? ', and ' : '' }}<b>{{ showText(use.massG, 'bowl', settings.system) }}</b> for
          the {{ use.label }}</template
        >. Then fill and crumb coat from the rest.
      </p>
    </template>

    <IngredientList
      v-for="bowl in bowls"
      :key="bowl.spreadId"
      :title="bowl.recipe.name"
      :ingredients="bowl.recipe.ingredients"
      :note="`${bowl.mixes === 1 ? 'one mixing' : `each of ${bowl.mixes} mixings`}, ${bowl.recipe.factor.toFixed(2)} times the recipe${bowl.largestMixG === null ? '' : `; your mixer takes ${showText(bowl.largestMixG, 'bowl', settings.system)} at once`}`"
    />
  </div>
</template>

<style scoped>
.bowls {
  display: flex;
  flex-wrap: wrap;
  gap: 18px 30px;
  margin: 18px 0 12px;
  align-items: end;
}
.aside {
  border-left: 4px solid var(--accent);
  background: var(--accent-wash);
  padding: 7px 12px;
  margin-top: 8px;
}
</style>
