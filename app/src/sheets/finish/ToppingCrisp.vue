<script setup lang="ts">
import { limits, type Build, type Topping, type ToppingPlan } from '@pyrgotect/core';
import { formatISO, parseISO, subMinutes } from 'date-fns';
import { computed } from 'vue';
import QuantityField from '../../figures/QuantityField.vue';
import { servedText } from '../../locale/when.ts';
import { useUnits } from '../../figures/units.ts';

/** Whether a topping is crisp, for how long, and so from when on it may be put on. */
const props = defineProps<{ plan: ToppingPlan; build: Build }>();
const emit = defineEmits<{ change: [to: Partial<Topping>] }>();
const { text } = useUnits();
const topping = computed(() => props.plan.topping);
const set = (to: Partial<Topping>): void => emit('change', to);
/** When a crisp piece may go on so that it is still crisp when the cake is served. */
const onFrom = computed(() => {
  const { serveAt } = props.build.brief;
  if (!serveAt || props.plan.crispH === null) return '';
  return servedText(formatISO(subMinutes(parseISO(serveAt), props.plan.crispH * 60)));
});
</script>

<template>
  <span>
    <v-checkbox
      :model-value="topping.crisp !== null"
      label="crisp"
      @update:model-value="set({ crisp: topping.crisp ? null : { thickMm: 4, filmed: false } })"
    />
    <template v-if="topping.crisp">
      for about <b>{{ text((plan.crispH ?? 0) * 60, 'minutes') }}</b> at
      <QuantityField
        :model-value="topping.crisp.thickMm"
        :of="limits.crispMm"
        label="Thickness of the crisp piece"
        @update:model-value="(mm) => set({ crisp: { ...topping.crisp!, thickMm: mm } })"
      />,
      <v-checkbox
        :model-value="topping.crisp.filmed"
        label="under a film of chocolate or fat"
        @update:model-value="set({ crisp: { ...topping.crisp!, filmed: !topping.crisp!.filmed } })"
      /><template v-if="onFrom"
        >: on no earlier than <b>{{ onFrom }}</b></template
      >
    </template>
  </span>
</template>

<style scoped></style>
