<script setup lang="ts">
import { isBare, onePile, type Build, type Caution, type CakePlan } from '@pyrgotect/core';
import { computed, defineAsyncComponent, watch } from 'vue';
import CautionList from '../figures/CautionList.vue';
import SheetTabs from '../parts/SheetTabs.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
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
const tab = useQueryChoice(
  'turn',
  tabs.map(({ id }) => id),
  'layers',
);
// the hidden centre, chosen in the drawing, has its own turn
watch(
  () => store.selected,
  (id) => {
    if (id?.endsWith('/centre')) tab.value = 'centre';
  },
  { immediate: true },
);
/** A tier that is nothing but piles of one kind, such as crepes: its name, and how many there are. */
const pile = computed(() =>
  tierPlan.value.others.ok ? onePile(tier.value, tierPlan.value.others.value) : null,
);
const title = computed(() => {
  const n = tier.value.layers.length;
  const gaps = tier.value.gaps.filter((gap) => !isBare(gap)).length;
  const name = props.build.tiers.length > 1 ? `${tier.value.name}: ` : '';
  const layers = pile.value
    ? `${pile.value.name}, ${pile.value.count} on each other`
    : `${n} ${n === 1 ? 'layer' : 'layers'}`;
  const fillings = gaps === 0 && pile.value ? '' : `, ${gaps === 0 ? 'no' : gaps} ${gaps === 1 ? 'filling' : 'fillings'}`; // prettier-ignore
  return `${name}${layers}${fillings}: ${units.text(tierPlan.value.stack.finishedMm, 'size')} high`;
});
</script>

<template>
  <div>
    <TierStrip :build="build" :tier-id="tier.id" may-add />
    <h1 data-test="sheet-title">{{ title }}</h1>
    <SheetTabs v-model="tab" :tabs="tabs" label="Turns of the stack sheet">
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
    </SheetTabs>
  </div>
</template>
