<script setup lang="ts">
import {
  goodUntil,
  pantryLimits,
  stockPlaces,
  takenOf,
  type Outline,
  type Stock,
  type StockPlace,
  valueWord,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { computed } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import WhenField from '../figures/WhenField.vue';
import { useUnits } from '../figures/units.ts';
import OutlineFields from '../sheets/OutlineFields.vue';
import { dayText } from '../locale/when.ts';
import { usePantry } from '../stores/pantry.ts';
import { leftText } from './stock-words.ts';

/** What was put away: layers of a sponge or a bowl of a filling or frosting, how much, where, since when. */
const props = defineProps<{ row: Stock }>();
const emit = defineEmits<{ change: [to: Partial<Stock>] }>();
const pantry = usePantry();
const units = useUnits();
const whatChoices = [
  { value: 'layers', text: 'layers' },
  { value: 'bowl', text: 'a bowl' },
];
const placeChoices = stockPlaces.map((value) => ({ value, text: valueWord(value) }));
const choices = computed(() =>
  (props.row.layer ? pantry.pantry.sponges : pantry.pantry.spreads).map(({ id, name }) => ({
    value: id,
    text: name,
  })),
);
const until = computed(() => goodUntil(props.row, pantry.pantry));
function setWhat(what: string): void {
  const { sponges, spreads } = pantry.pantry;
  const isLayers = what === 'layers';
  emit('change', {
    layer: isLayers ? { outline: { kind: 'round', diameterMm: 200 }, heightMm: 25 } : null,
    madeOfId: (isLayers ? sponges : spreads)[0]?.id ?? '',
    amount: isLayers ? 4 : 500,
    taken: [],
  });
}
const setLayer = (change: Partial<NonNullable<Stock['layer']>>): void =>
  emit('change', { layer: { ...props.row.layer!, ...change } });
const takenText = computed(() => leftText(props.row, takenOf(props.row), units.text));
</script>

<template>
  <div class="sentence" data-test="stock-fields">
    It is
    <ChoiceField
      :model-value="row.layer ? 'layers' : 'bowl'"
      label="Layers or a bowl"
      :options="whatChoices"
      @update:model-value="setWhat"
    />
    of
    <ChoiceField
      :model-value="row.madeOfId"
      label="What it is made of"
      :options="choices"
      @update:model-value="(madeOfId) => emit('change', { madeOfId })"
    />:
    <template v-if="row.layer">
      <QuantityField
        :model-value="row.amount"
        :of="{ ...pantryLimits.stockAmount, max: 200 }"
        label="How many layers"
        @update:model-value="(amount) => emit('change', { amount })"
      />
      {{ row.amount === 1 ? 'layer' : 'layers' }},
      <QuantityField
        :model-value="row.layer.heightMm"
        :of="pantryLimits.stockLayerMm"
        label="How high a layer is"
        @update:model-value="(heightMm) => setLayer({ heightMm })"
      />
      high.
      <OutlineFields
        :outline="row.layer.outline"
        subject="Each"
        @change="(outline: Outline) => setLayer({ outline })"
      />
    </template>
    <template v-else>
      <QuantityField
        :model-value="row.amount"
        :of="{ min: 1, max: 50000, kind: 'bowl' }"
        label="How much of it"
        @update:model-value="(amount) => emit('change', { amount })"
      />.
    </template>
    Made on
    <WhenField
      of="day"
      label="Made on"
      :model-value="row.madeOn"
      @update:model-value="(madeOn) => emit('change', { madeOn })"
    />, kept in the
    <ChoiceField
      :model-value="row.keptIn"
      label="Where it is kept"
      :options="placeChoices"
      @update:model-value="(keptIn: StockPlace) => emit('change', { keptIn })"
    />.
    <p class="soft">
      {{
        until === null
          ? 'Nobody says how long it keeps there.'
          : `Usually good until ${dayText(parseISO(until), 'dated')}; your local food code decides.`
      }}
      {{ row.taken.length > 0 ? `Taken so far: ${takenText}.` : '' }}
    </p>
  </div>
</template>
