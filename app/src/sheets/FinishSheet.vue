<script setup lang="ts">
import { type Build, type Caution, type CakePlan } from '@pyrgotect/core';
import { computed, defineAsyncComponent, watch } from 'vue';
import CautionList from '../figures/CautionList.vue';
import { partName } from '../parts/part-edits.ts';
import SheetTabs from '../parts/SheetTabs.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import TierStrip from '../parts/TierStrip.vue';
import { useUnits } from '../figures/units.ts';
import DripsPanel from './finish/DripsPanel.vue';
import { useSheet } from './useSheet.ts';

const GanachePanel = defineAsyncComponent(() => import('./finish/GanachePanel.vue'));
const PourPanel = defineAsyncComponent(() => import('./finish/PourPanel.vue'));
const PipingPanel = defineAsyncComponent(() => import('./finish/PipingPanel.vue'));
const ToppingsPanel = defineAsyncComponent(() => import('./finish/ToppingsPanel.vue'));
const GanacheRight = defineAsyncComponent(() => import('./finish/GanacheRight.vue'));

const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const units = useUnits();
const { store, tier, cautionsOf } = useSheet(props);
const cautions = cautionsOf('finish');
const tabs = [
  { id: 'drips', text: 'Drips' },
  { id: 'ganache', text: 'Ganache' },
  { id: 'pour', text: 'Pour' },
  { id: 'piping', text: 'Piping' },
  { id: 'toppings', text: 'Toppings' },
  { id: 'right', text: 'Put right' },
] as const;
type Tab = (typeof tabs)[number]['id'];
const turnOf: Record<string, Tab> = {
  drip: 'drips',
  flood: 'drips',
  pour: 'pour',
  piping: 'piping',
  topping: 'toppings',
};
const tab = useQueryChoice(
  'turn',
  tabs.map(({ id }) => id),
  'drips',
);
// what is chosen in the drawing opens its own turn
watch(
  () => store.selected,
  (id) => {
    const turn = id ? turnOf[partName(id)?.kind ?? ''] : undefined;
    if (turn) tab.value = turn;
  },
  { immediate: true },
);
const panels = {
  drips: DripsPanel,
  ganache: GanachePanel,
  pour: PourPanel,
  piping: PipingPanel,
  toppings: ToppingsPanel,
  right: GanacheRight,
};
// a cake is opened at the tier that has something on it
const finished =
  props.build.tiers.find((t) => t.drip ?? t.pour) ??
  props.build.tiers.find((t) => t.toppings.length > 0);
if (store.selected === null && finished && finished !== props.build.tiers[0])
  store.selected = finished.id;
/** What the finish of the whole cake comes to, in a line. */
const title = computed(() => {
  const { tiers, piping } = props.plan;
  const drips = tiers.flatMap(({ finish }) =>
    finish.drip.ok && finish.drip.value ? [finish.drip.value] : [],
  );
  const poured = tiers.flatMap(({ finish }) =>
    finish.pour.ok && finish.pour.value ? [finish.pour.value] : [],
  );
  const mass = (g: number): string => units.text(g, 'bowl');
  const toppings = tiers.reduce((sum, { finish }) => sum + finish.toppings.length, 0);
  const words = [
    ...(drips.length > 0
      ? [
          `${drips.reduce((sum, one) => sum + one.count, 0)} drips from ${mass(drips.reduce((sum, one) => sum + one.amounts.totalG, 0))}`,
        ]
      : []),
    ...(poured.length > 0
      ? [`${mass(poured.reduce((sum, one) => sum + one.pourG, 0))} to pour`]
      : []),
    ...(piping.length > 0
      ? [`${mass(piping.reduce((sum, job) => sum + job.massG, 0))} piped`]
      : []),
    ...(toppings > 0 ? [`${toppings} ${toppings === 1 ? 'topping' : 'toppings'}`] : []),
  ];
  return words.length > 0 ? words.join(', ') : 'Nothing on it yet: drips, borders, toppings?';
});
const isOfTier = computed(() => !['ganache', 'right', 'piping'].includes(tab.value));
</script>

<template>
  <div>
    <h1 data-test="sheet-title">{{ title }}</h1>
    <SheetTabs v-model="tab" :tabs="tabs" label="Finish">
      <TierStrip v-if="isOfTier" :build="build" :tier-id="tier.id" :may-add="false" />
      <component
        :is="panels[tab]"
        :key="tab === 'drips' ? tier.id : tab"
        :build="build"
        :plan="plan"
      />
      <CautionList :cautions="cautions" @go="(caution) => emit('goTo', caution)" />
    </SheetTabs>
  </div>
</template>
