<script setup lang="ts">
import {
  limits,
  showText,
  widthMm,
  type Build,
  type Caution,
  type Inclusion,
  type Plan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import CautionList from '../figures/CautionList.vue';
import ChoiceField from '../figures/ChoiceField.vue';
import FigureValue from '../figures/FigureValue.vue';
import QuantityField from '../figures/QuantityField.vue';
import { useSettings } from '../stores/settings.ts';
import IngredientList from './IngredientList.vue';
import TinDrawing from './TinDrawing.vue';
import { useSheet } from './useSheet.ts';

const props = defineProps<{ build: Build; plan: Plan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const settings = useSettings();
const { pantry, tier, tierPlan, editTier, cautionsOf, choices, sized } = useSheet(props);
const cautions = cautionsOf('bake');
const bake = computed(() => (tierPlan.value.bake.ok ? tierPlan.value.bake.value : null));
const tin = computed(() => pantry.pantry.tins.find((t) => t.id === tier.value.tinId) ?? null);
const sponge = computed(
  () => pantry.pantry.sponges.find((s) => s.id === tier.value.spongeId) ?? null,
);
const recipe = computed(
  () => pantry.pantry.recipes.find((r) => r.id === sponge.value?.recipeId) ?? null,
);
const tins = computed(() => sized(pantry.pantry.tins));
const sponges = computed(() => choices(pantry.pantry.sponges));

const title = computed(() => {
  if (!bake.value) return 'The batter cannot be worked out yet';
  const n = bake.value.cakes.length;
  return `${showText(bake.value.batterG + bake.value.inclusionG, 'bowl', settings.system)} of batter in ${n === 1 ? 'one tin' : `${n} tins`}`;
});
/** One scale for all tins, so that they can be compared. */
const scale = computed(() => {
  if (!bake.value || !tin.value) return { px: 1, high: 100 };
  const high =
    Math.max(tin.value.depthMm, ...bake.value.cakes.map((c) => c.edgeMm + c.crownMm)) + 4;
  const wide = widthMm(tin.value.outline) + 2 * tin.value.flareMm;
  return { px: Math.min(170 / wide, 130 / high), high };
});
const fig: Inclusion = { name: 'chopped pieces', gPerKg: 150, densityGPerMl: 0.7, allergens: [] };
const setInclusion = (change: Partial<Inclusion> | null): void =>
  editTier('Pieces in the batter', (t) => {
    t.inclusion = change === null ? null : { ...(t.inclusion ?? fig), ...change };
  });
const setBowl = (full: number | null, empty: number | null): void =>
  editTier('Weighed bowl', (t) => {
    t.bowl =
      full === null && empty === null
        ? null
        : { fullG: full ?? t.bowl?.fullG ?? 0, emptyG: empty ?? t.bowl?.emptyG ?? 0 };
  });
const fullest = computed(() => Math.max(...(bake.value?.cakes.map((c) => c.fillShare) ?? [0])));
</script>

<template>
  <div>
    <h1 data-test="sheet-title">{{ title }}</h1>
    <p class="sentence">
      Bake
      <ChoiceField
        :model-value="tier.spongeId"
        label="Sponge"
        :options="sponges"
        @update:model-value="
          (id) =>
            editTier('Sponge', (t) => {
              t.spongeId = id;
            })
        "
      />
      in the
      <ChoiceField
        :model-value="tier.tinId"
        label="Tin"
        :options="tins"
        @update:model-value="
          (id) =>
            editTier('Tin', (t) => {
              t.tinId = id;
            })
        "
      />
      and split each cake into
      <QuantityField
        :model-value="tier.slicesPerCake"
        kind="count"
        label="Layers from each cake"
        :min="limits.slicesPerCake.min"
        :max="limits.slicesPerCake.max"
        @update:model-value="
          (n) =>
            n !== null &&
            editTier('Layers from each cake', (t) => {
              t.slicesPerCake = n;
            })
        "
      />{{ tier.slicesPerCake === 1 ? ' layer (no split).' : ' layers.' }}
      <template v-if="tier.inclusion">
        Fold in
        <QuantityField
          :model-value="tier.inclusion.gPerKg"
          kind="small"
          label="Grams of pieces for a kilogram of batter"
          :min="1"
          :max="limits.inclusionGPerKg.max"
          @update:model-value="(n) => n !== null && setInclusion({ gPerKg: n })"
        />
        of
        <input
          class="text"
          aria-label="What is folded in"
          maxlength="80"
          :value="tier.inclusion.name"
          @change="
            setInclusion({ name: ($event.target as HTMLInputElement).value.trim() || fig.name })
          "
        />
        for each {{ settings.system.mass === 'g' ? 'kilogram' : '2 lb 3 oz' }} of batter.
        <button type="button" class="key small" @click="setInclusion(null)">
          Nothing folded in
        </button>
      </template>
      <button v-else type="button" class="key small" @click="setInclusion({})">
        Fold pieces in
      </button>
    </p>

    <CautionList :cautions="cautions" @go="(caution) => emit('goTo', caution)" />

    <template v-if="bake && tin">
      <div class="tins">
        <figure v-for="cake in bake.cakes" :key="cake.index">
          <TinDrawing
            :tin="tin"
            :cake="cake"
            :sponge="sponge"
            :px-per-mm="scale.px"
            :high="scale.high"
          />
          <figcaption>
            <FigureValue
              :value="cake.batterG + cake.inclusionG"
              kind="bowl"
              :figure="`${tier.id}/cake/${cake.index}/batter`"
              large
            />
            <span>
              into tin {{ cake.index + 1 }}, for
              {{
                cake.layers.length === 1
                  ? `layer ${cake.layers[0]! + 1}`
                  : `layers ${cake.layers[0]! + 1} to ${cake.layers.at(-1)! + 1}`
              }}
            </span>
            <span class="soft">
              bakes to
              <FigureValue
                :value="cake.edgeMm"
                kind="thickness"
                :figure="`${tier.id}/cake/${cake.index}/edge`"
              />
              at the edge;
              <FigureValue
                :value="cake.domeG + cake.trimG"
                kind="bowl"
                :figure="`${tier.id}/cake/${cake.index}/offcuts`"
              />
              of offcuts
            </span>
          </figcaption>
        </figure>
      </div>
      <p class="lead">
        Left of each tin: where the raw batter stands, {{ (fullest * 100).toFixed(0) }} % of its
        depth (half to two thirds is the custom). Right: the height of the blade above the board,
        dome first, then from the bottom up.
      </p>

      <h2>What is really in the bowl</h2>
      <p class="sentence">
        The full bowl weighs
        <QuantityField
          :model-value="tier.bowl?.fullG ?? null"
          kind="bowl"
          nullable
          auto="–"
          label="Weight of the full bowl"
          :min="0"
          :max="limits.bowlG.max"
          @update:model-value="(g) => setBowl(g, g === null ? null : (tier.bowl?.emptyG ?? 0))"
        />, the same bowl empty
        <QuantityField
          :model-value="tier.bowl?.emptyG ?? null"
          kind="bowl"
          nullable
          auto="–"
          label="Weight of the empty bowl"
          :min="0"
          :max="limits.bowlG.max"
          @update:model-value="(g) => g !== null && setBowl(null, g)"
        />.
        <template v-if="bake.bowl && bake.bowl.inBowlG > 0">
          That is <b>{{ showText(bake.bowl.inBowlG, 'bowl', settings.system) }}</b>:
          <template v-for="(g, i) in bake.bowl.perCakeG" :key="i">
            {{ i > 0 ? ', ' : '' }}tin {{ i + 1 }}
            <b>{{ showText(g, 'bowl', settings.system) }}</b></template
          ><template v-if="bake.bowl.leftG > 1"
            >, and <b>{{ showText(bake.bowl.leftG, 'bowl', settings.system) }}</b> over for a small
            tin</template
          >.
        </template>
      </p>

      <IngredientList
        v-if="tierPlan.batterRecipe.ok && recipe"
        :title="recipe.name"
        :ingredients="tierPlan.batterRecipe.value.ingredients"
        :note="`${tierPlan.batterRecipe.value.factor.toFixed(2)} times the recipe${recipe.bake ? `; its own time is ${recipe.bake.minutes} min at ${showText(recipe.bake.ovenC, 'temperature', settings.system)} in a ${showText(recipe.bake.tinMm, 'size', settings.system)} tin` : ''}`"
      />
    </template>
    <p v-else-if="!tierPlan.bake.ok" class="lead">{{ tierPlan.bake.problem }}</p>
  </div>
</template>

<style scoped>
.tins {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 6px;
  margin: 16px 0 6px -6px;
}
figure {
  margin: 0;
  width: 290px;
}
figure svg {
  display: block;
  margin: 0 auto;
}
figcaption {
  display: grid;
  justify-items: center;
  text-align: center;
  margin-top: 4px;
}
.text {
  font: inherit;
  font-weight: 600;
  color: var(--accent);
  background: var(--lift);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  padding: 1px 5px;
  field-sizing: content;
  max-width: 16em;
}
</style>
