<script setup lang="ts">
import { type Build, type Caution, type CakePlan } from '@pyrgotect/core';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import CautionList from '../figures/CautionList.vue';
import SheetTabs from '../parts/SheetTabs.vue';
import TierStrip from '../parts/TierStrip.vue';
import { useUnits } from '../figures/units.ts';
import LayersPanel from './stack/LayersPanel.vue';
import { useSheet } from './useSheet.ts';

const CentrePanel = defineAsyncComponent(() => import('./stack/CentrePanel.vue'));
const FillingsPanel = defineAsyncComponent(() => import('./stack/FillingsPanel.vue'));
const HeightPanel = defineAsyncComponent(() => import('./stack/HeightPanel.vue'));
const LevelPanel = defineAsyncComponent(() => import('./stack/LevelPanel.vue'));

const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const units = useUnits();
const { store, tier, tierPlan, cautionsOf } = useSheet(props);
const cautions = cautionsOf('stack');
const panels = {
  layers: LayersPanel,
  height: HeightPanel,
  level: LevelPanel,
  fillings: FillingsPanel,
  centre: CentrePanel,
} as const;
type Tab = keyof typeof panels;
const tabs: { id: Tab; text: string }[] = [
  { id: 'layers', text: 'Layers' },
  { id: 'height', text: 'Reach a height' },
  { id: 'level', text: 'Stand level' },
  { id: 'fillings', text: 'Fillings under load' },
  { id: 'centre', text: 'Soak and centre' },
];
const tab = ref<Tab>('layers');
// the hidden centre, chosen in the drawing, has its own turn
watch(
  () => store.selected,
  (id) => {
    if (id?.endsWith('/centre')) tab.value = 'centre';
  },
  { immediate: true },
);
const title = computed(() => {
  const n = tier.value.layers.length;
  const gaps = tier.value.gaps.length;
  const name = props.build.tiers.length > 1 ? `${tier.value.name}: ` : '';
  return `${name}${n} ${n === 1 ? 'layer' : 'layers'}, ${gaps} ${gaps === 1 ? 'filling' : 'fillings'}: ${units.text(tierPlan.value.stack.finishedMm, 'size')} high`;
});
</script>

<template>
  <div>
    <TierStrip :build="build" :tier-id="tier.id" may-add />
    <h1 data-test="sheet-title">{{ title }}</h1>
    <SheetTabs v-model="tab" :tabs="tabs" label="Turns of the stack sheet" />
    <CautionList
      v-if="tab !== 'layers'"
      :cautions="cautions"
      @go="(caution) => emit('goTo', caution)"
    />
    <component :is="panels[tab]" :key="tab" :build="build" :plan="plan" />
    <CautionList
      v-if="tab === 'layers'"
      :cautions="cautions"
      @go="(caution) => emit('goTo', caution)"
    />
  </div>
</template>
