<script setup lang="ts">
import {
  stiffnessWords,
  stiffnessOf,
  tendernessWords,
  tendernessOf,
  withStiffness,
  withTenderness,
  type PantryTable,
  type Sponge,
  type Spread,
  type Stiffness,
  type Tenderness,
  valueWord,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import { columns } from './columns.ts';

/** The figures of a row: what one knows by hand in front, what somebody measured behind “more”. */
const props = defineProps<{ table: PantryTable; row: Record<string, unknown> }>();
const emit = defineEmits<{ change: [to: Record<string, unknown>] }>();
const groups = computed(() => {
  const all = columns[props.table];
  return {
    plain: all.filter(({ measured }) => !measured),
    measured: all.filter(({ measured }) => measured),
  };
});
const numberOf = (key: string): number | null => {
  const value = props.row[key];
  return typeof value === 'number' ? value : null;
};
const choices = <T extends string>(values: readonly T[]): { value: T; text: string }[] =>
  values.map((value) => ({ value, text: valueWord(value) }));
const spread = computed(() =>
  props.table === 'spreads' ? (props.row as unknown as Spread) : null,
);
const sponge = computed(() =>
  props.table === 'sponges' ? (props.row as unknown as Sponge) : null,
);
const changed = (row: Spread | Sponge): void => emit('change', { ...row });
const setStiffness = (is: Stiffness): void => changed(withStiffness(spread.value!, is));
const setTenderness = (is: Tenderness): void => changed(withTenderness(sponge.value!, is));
</script>

<template>
  <div v-if="spread" class="line">
    <span>in the room it is</span>
    <ChoiceField
      :model-value="stiffnessOf(spread)"
      label="How stiff it is"
      :options="choices(stiffnessWords)"
      @update:model-value="setStiffness"
    />
  </div>
  <div v-if="sponge" class="line">
    <span>it is</span>
    <ChoiceField
      :model-value="tendernessOf(sponge)"
      label="How tender it is"
      :options="choices(tendernessWords)"
      @update:model-value="setTenderness"
    />
  </div>
  <component
    :is="group === 'measured' ? 'details' : 'div'"
    v-for="group in ['plain', 'measured'] as const"
    v-show="groups[group].length > 0"
    :key="group"
  >
    <summary v-if="group === 'measured'">more: figures that the models use</summary>
    <div v-for="field in groups[group]" :key="field.key" class="line">
      <span
        >{{ field.label }} <small v-if="field.hint" class="soft">{{ field.hint }}</small></span
      >
      <QuantityField
        :model-value="numberOf(field.key)"
        :of="{ ...field.range, kind: field.kind }"
        :label="field.label"
        :nullable="field.nullable"
        auto="none"
        @update:model-value="
          (n) => (n !== null || field.nullable) && emit('change', { [field.key]: n })
        "
      />
    </div>
  </component>
</template>

<style scoped src="./line.css" />
<style scoped>
summary {
  padding: 8px 0;
  border-top: 1px solid var(--line);
  color: var(--accent);
  font-weight: 600;
  cursor: pointer;
}
</style>
