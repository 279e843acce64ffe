<script setup lang="ts">
import { type Build, type Caution, type CakePlan, word } from '@pyrgotect/core';
import { computed, defineAsyncComponent, watch } from 'vue';
import CautionList from '../figures/CautionList.vue';
import { partName } from '../parts/part-edits.ts';
import SheetTabs from '../parts/SheetTabs.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import TierStrip from '../parts/TierStrip.vue';
import { useUnits } from '../figures/units.ts';
import CutsPanel from './carve/CutsPanel.vue';
import { useSheet } from './useSheet.ts';

const OffcutsPanel = defineAsyncComponent(() => import('./carve/OffcutsPanel.vue'));
const GuidesPanel = defineAsyncComponent(() => import('./carve/GuidesPanel.vue'));
const StackForPanel = defineAsyncComponent(() => import('./carve/StackForPanel.vue'));
const CarvedPanel = defineAsyncComponent(() => import('./carve/CarvedPanel.vue'));

const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const units = useUnits();
const { store, tier, tierPlan, cautionsOf } = useSheet(props);
const cautions = cautionsOf('carve');
const tabs = [
  { id: 'cuts', text: 'Cuts' },
  { id: 'carved', text: 'What stands' },
  { id: 'offcuts', text: 'Offcuts' },
  { id: 'guides', text: 'Guides' },
  { id: 'stackfor', text: 'What to stack' },
] as const;
const tab = useQueryChoice(
  'turn',
  tabs.map(({ id }) => id),
  'cuts',
);
// a cut that is chosen elsewhere opens the list of cuts
watch(
  () => store.selected,
  (id) => {
    if (id && partName(id)?.kind === 'cut') tab.value = 'cuts';
  },
);
const panels = {
  cuts: CutsPanel,
  carved: CarvedPanel,
  offcuts: OffcutsPanel,
  guides: GuidesPanel,
  stackfor: StackForPanel,
};
// a cake is opened at the tier that is carved
const carved = props.build.tiers.find((t) => t.carving && t.carving.cuts.length > 0);
const isOn = (id: string | null): boolean =>
  id !== null && props.build.tiers.some((t) => t.id === partName(id)?.tierId && t.carving);
if (carved && !isOn(store.selected)) store.selected = carved.id;
const title = computed(() => {
  const { carve } = tierPlan.value;
  if (!carve) return `${tier.value.name} is left as it is stacked`;
  const count = carve.question.cuts.length;
  const [cuts, take] = count === 1 ? ['1 cut', word('takes')] : [`${count} cuts`, word('take')];
  if (!carve.result) return `${cuts}, being worked out …`;
  const { stackG, leftG } = carve.result;
  return `${cuts} ${take} ${units.text(stackG - leftG, 'bowl')}, ${units.text(leftG, 'bowl')} stand`;
});
</script>

<template>
  <div>
    <h1 data-test="sheet-title">{{ title }}</h1>
    <SheetTabs v-model="tab" :tabs="tabs" label="Carve">
      <TierStrip :build="build" :tier-id="tier.id" :may-add="false" />
      <component :is="panels[tab]" :key="`${tab}/${tier.id}`" :build="build" :plan="plan" />
      <CautionList :cautions="cautions" @go="(caution) => emit('goTo', caution)" />
    </SheetTabs>
  </div>
</template>
