<script setup lang="ts">
import { type Build, type Caution, type CakePlan, valueWord } from '@pyrgotect/core';
import { computed, defineAsyncComponent } from 'vue';
import CautionList from '../figures/CautionList.vue';
import SheetTabs from '../parts/SheetTabs.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import TierStrip from '../parts/TierStrip.vue';
import { useUnits } from '../figures/units.ts';
import TinsPanel from './bake/TinsPanel.vue';
import { useSheet } from './useSheet.ts';

const BowlPanel = defineAsyncComponent(() => import('./bake/BowlPanel.vue'));
const CutPanel = defineAsyncComponent(() => import('./bake/CutPanel.vue'));
const HeatPanel = defineAsyncComponent(() => import('./bake/HeatPanel.vue'));
const OvenPanel = defineAsyncComponent(() => import('./bake/OvenPanel.vue'));

const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const units = useUnits();
const { tier, tierPlan, cautionsOf } = useSheet(props);
const cautions = cautionsOf('bake');
const panels = {
  tins: TinsPanel,
  oven: OvenPanel,
  heat: HeatPanel,
  cut: CutPanel,
  bowl: BowlPanel,
} as const;
type Tab = keyof typeof panels;
const tabs: { id: Tab; text: string }[] = [
  { id: 'tins', text: 'Tins' },
  { id: 'oven', text: 'Oven loads' },
  { id: 'heat', text: 'Heat and cold' },
  { id: 'cut', text: 'Level and split' },
  { id: 'bowl', text: 'Batter in hand' },
];
const tab = useQueryChoice(
  'turn',
  tabs.map(({ id }) => id),
  'tins',
);
const title = computed(() => {
  const name = props.build.tiers.length > 1 ? `${tier.value.name}: ` : '';
  if (!tierPlan.value.bake.ok) return `${name}the batter cannot be worked out yet`;
  const { cakes, batterG, foldedG } = tierPlan.value.bake.value;
  const n = cakes.length;
  const { stock } = tierPlan.value.bake.value;
  if (stock)
    return `${name}${stock.count} ${stock.count === 1 ? 'layer' : 'layers'} out of the ${valueWord(stock.row.keptIn)}`;
  if (n === 0) return `${name}${name ? 'n' : 'N'}othing to bake in a tin`;
  return `${name}${units.text(batterG + foldedG, 'bowl')} of batter in ${n === 1 ? 'one tin' : `${n} tins`}`;
});
</script>

<template>
  <div>
    <TierStrip :build="build" :tier-id="tier.id" :may-add="false" />
    <h1 data-test="sheet-title">{{ title }}</h1>
    <SheetTabs v-model="tab" :tabs="tabs" label="Turns of the bake sheet">
      <CautionList :cautions="cautions" @go="(caution) => emit('goTo', caution)" />
      <component :is="panels[tab]" :key="tab" :build="build" :plan="plan" />
    </SheetTabs>
  </div>
</template>
