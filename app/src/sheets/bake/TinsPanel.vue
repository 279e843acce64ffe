<script setup lang="ts">
import {
  freshId,
  isNearTin,
  limits,
  nearestOwned,
  takeLayers,
  widthMm,
  type Build,
  type Inclusion,
  type CakePlan,
  type Stock,
  type Tin,
  valueWord,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import BatterPieces from './BatterPieces.vue';
import StockChoice from './StockChoice.vue';
import IngredientList from '../IngredientList.vue';
import TinDrawing from '../TinDrawing.vue';
import { useBakeSheet } from './useBakeSheet.ts';
import { dayText } from '../../locale/when.ts';
import { fixed } from '../../locale/number.ts';

/** Grams of batter to each tin, drawn in it, and what the batter is made of. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const units = useUnits();
const { pantry, tier, tierPlan, editTier, choices, bake, tin, sponge, recipe } =
  useBakeSheet(props);
const tins = computed(() =>
  choices(pantry.pantry.tins.filter(({ form, id }) => form !== 'ring' || id === tier.value.tinId)),
);
const sponges = computed(() => choices(pantry.pantry.sponges));
/** One scale for all tins, so that they can be compared. */
const scale = computed(() => {
  if (!bake.value || !tin.value) return { px: 1, high: 100 };
  const high =
    Math.max(tin.value.depthMm, ...bake.value.cakes.map((c) => c.neededMm + c.crownMm)) + 4;
  const wide = widthMm(tin.value.outline) + 2 * tin.value.flareMm;
  return { px: Math.min(170 / wide, 130 / high), high };
});
/** The cake is of another size than its tin, by more than a few millimetres. */
const misfit = computed(
  () =>
    tin.value !== null && tin.value.form === 'upright' && !isNearTin(tier.value.outline, tin.value),
);
const nearest = computed(() => nearestOwned(tier.value.outline, pantry.pantry.tins));
const takeSize = (row: Tin): void =>
  editTier('Size of the cake', (t) => {
    t.outline = { ...row.outline };
    t.tinId = row.id;
  });
const takeStock = (row: Stock | null): void =>
  editTier('Layers put away', (t) => takeLayers(t, row));
async function addTin(): Promise<void> {
  const { outline } = tier.value;
  const fresh: Tin = {
    id: freshId('own', 13),
    name: `${outline.kind.charAt(0).toUpperCase()}${outline.kind.slice(1)} ${units.outline(outline)}`,
    source: 'own',
    ranges: {},
    outline: { ...outline },
    depthMm: tin.value?.depthMm ?? 75,
    flareMm: 0,
    owned: 1,
    form: 'upright',
    waterG: null,
    flutes: null,
    wall: [],
  };
  await pantry.saveRow('tins', fresh);
  editTier('Tin', (t) => void (t.tinId = fresh.id));
}
const setPieces = (inclusions: Inclusion[]): void =>
  editTier('Pieces with the batter', (t) => void (t.inclusions = inclusions));
const fullest = computed(() => Math.max(...(bake.value?.cakes.map((c) => c.fillShare) ?? [0])));
</script>

<template>
  <div>
    <StockChoice :build="build" :tier="tier" @take="takeStock" />
    <p v-if="tier.stockId === null" class="sentence">
      Bake
      <ChoiceField
        :model-value="tier.spongeId"
        label="Sponge"
        rows-of="sponges"
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
        rows-of="tins"
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
        :of="limits.slicesPerCake"
        label="Layers from each cake"
        @update:model-value="
          (n) =>
            editTier('Layers from each cake', (t) => {
              t.slicesPerCake = n;
            })
        "
      />{{ tier.slicesPerCake === 1 ? ' layer (no split).' : ' layers.' }}
    </p>
    <BatterPieces
      v-if="tier.stockId === null"
      :tier="tier"
      :bake="bake ?? null"
      @change="setPieces"
    />

    <p v-if="misfit && tier.stockId === null" class="sentence" data-test="tin-misfit">
      <template v-if="nearest">
        Nearest that you own: {{ settings.words(nearest.name) }}.
        <KeyButton size="small" @click="takeSize(nearest)"> Make the cake that size </KeyButton>
      </template>
      <KeyButton size="small" @click="addTin">
        Add a tin of {{ units.outline(tier.outline) }} to the pantry
      </KeyButton>
    </p>

    <template v-if="bake && tin && bake.cakes.length > 0">
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
              :value="cake.batterG + cake.foldedG"
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
                :value="cake.neededMm"
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

      <IngredientList
        v-if="tierPlan.batterRecipe.ok && recipe"
        :title="recipe.name"
        :ingredients="tierPlan.batterRecipe.value.ingredients"
        :note="`${fixed(tierPlan.batterRecipe.value.factor, 2)} times the recipe${recipe.bake ? `; its own time is ${recipe.bake.minutes} min at ${units.text(recipe.bake.ovenC, 'temperature')} in a ${units.text(recipe.bake.tinMm, 'size')} tin` : ''}`"
      />
    </template>
    <p v-else-if="!tierPlan.bake.ok" class="lead">{{ tierPlan.bake.problem }}</p>
    <p v-else-if="tier.stockId !== null" class="lead" data-test="from-stock">
      Nothing of this tier is mixed or baked: its layers come
      {{
        bake?.stock
          ? `out of the ${valueWord(bake.stock.row.keptIn)}, made ${dayText(parseISO(bake.stock.row.madeOn), 'dated')}`
          : 'from what was put away'
      }}.
    </p>
    <p v-else class="lead">
      Nothing of this tier is baked in a tin: its layers are of other kinds.
    </p>
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
  background: var(--raised);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  padding: 1px 5px;
  field-sizing: content;
  max-width: 16em;
}
</style>
