<script setup lang="ts">
import type { Cut } from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { choiceOf, chosenValue, fieldsOf, type CutField } from './cut-fields.ts';

/** The figures of one cut, each with its label. */
const props = defineProps<{ cut: Cut }>();
const emit = defineEmits<{ change: [key: string, value: string | number | boolean | null] }>();
const fields = computed(() => fieldsOf(props.cut));
const numberOf = (key: string): number | null =>
  (props.cut as unknown as Record<string, number | null>)[key] ?? null;
const kindOf = (field: CutField) =>
  'kind' in field ? (field.kind === 'degrees' ? 'count' : field.kind) : 'count';
/** A bearing between the hours keeps its place in the list. */
function optionsOf(field: CutField) {
  if (!('options' in field)) return [];
  const now = choiceOf(props.cut, field.key);
  if (field.key !== 'bearingDeg' || field.options.some((o) => o.value === now))
    return field.options;
  return [...field.options, { value: now, text: `${now}° from the back` }];
}
</script>

<template>
  <dl class="fields">
    <div v-for="field in fields" :key="field.key">
      <dt>{{ field.label }}</dt>
      <dd>
        <ChoiceField
          v-if="'options' in field"
          :model-value="choiceOf(cut, field.key)"
          :label="field.label"
          :options="optionsOf(field)"
          @update:model-value="(value) => emit('change', field.key, chosenValue(field.key, value))"
        />
        <template v-else>
          <QuantityField
            :model-value="numberOf(field.key)"
            :of="{ ...field.range, kind: kindOf(field) }"
            :label="field.label"
            :nullable="field.nullable !== undefined"
            :auto="field.nullable ?? ''"
            @update:model-value="
              (n) => (n !== null || field.nullable) && emit('change', field.key, n)
            "
          /><template v-if="field.kind === 'degrees'">°</template>
        </template>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(215px, 1fr));
  gap: 4px 18px;
  margin: 6px 0 0;
}
.fields > div {
  display: flex;
  flex-direction: column;
}
dt {
  font-size: var(--size-note);
  color: var(--soft);
}
dd {
  margin: 0;
  font-size: var(--size-text);
}
</style>
