<script setup lang="ts">
import { openCounts, wantedMargin, type Build, type Caution, type CakePlan } from '@pyrgotect/core';
import { computed, defineAsyncComponent, watch } from 'vue';
import CautionList from '../figures/CautionList.vue';
import { partName } from '../parts/part-edits.ts';
import SheetTabs from '../parts/SheetTabs.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import TierStrip from '../parts/TierStrip.vue';
import { useUnits } from '../figures/units.ts';
import StandPanel from './support/StandPanel.vue';
import { useSheet } from './useSheet.ts';

const DowelsPanel = defineAsyncComponent(() => import('./support/DowelsPanel.vue'));
const CutPanel = defineAsyncComponent(() => import('./support/CutPanel.vue'));
const RoadPanel = defineAsyncComponent(() => import('./support/RoadPanel.vue'));
const CountPanel = defineAsyncComponent(() => import('./support/CountPanel.vue'));

const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const units = useUnits();
const { store, tier, cautionsOf } = useSheet(props);
const cautions = cautionsOf('support');
const tabs = [
  { id: 'stand', text: 'Tiers' },
  { id: 'dowels', text: 'Dowels' },
  { id: 'cut', text: 'Cut list' },
  { id: 'road', text: 'Road' },
  { id: 'count', text: 'Not food' },
] as const;
const tab = useQueryChoice(
  'turn',
  tabs.map(({ id }) => id),
  'stand',
);
const panels = {
  stand: StandPanel,
  dowels: DowelsPanel,
  cut: CutPanel,
  road: RoadPanel,
  count: CountPanel,
};
// what is chosen in a drawing opens its own turn
watch(
  () => store.selected,
  (id) => {
    if (id === 'rod') tab.value = 'road';
    else if (id && partName(id)?.kind === 'dowels') tab.value = 'dowels';
    else if (id && ['card', 'deck'].includes(partName(id)?.kind ?? '')) tab.value = 'stand';
  },
  { immediate: true },
);
/** How the whole of it stands, in a line. */
const title = computed(() => {
  const { support } = props.plan;
  if (!support) return 'What it weighs is not known yet';
  const stops = cautions.value.filter((caution) => caution.severity === 'stop').length;
  if (stops > 0)
    return `It does not stand yet: ${stops} ${stops === 1 ? 'thing' : 'things'} to mend`;
  const dowels = support.lifts.reduce((sum, lift) => sum + lift.placed.length, 0);
  const needed = store.cautions.some(
    (caution) => caution.stage === 'support' && caution.severity !== 'note',
  );
  const stood = dowels > 0 ? `${dowels} dowels` : needed ? 'No dowels yet' : 'No dowels needed';
  if (!props.build.journey.byRoad) return `${stood}; it stays where it is made`;
  const least = Math.min(...support.tiers.map((one) => one.margin));
  const held = support.rod ? 'a rod holds it on the road' : null;
  return `${stood}; ${held ?? `holds ${units.text(least, 'margin')} times a hard braking${least < wantedMargin ? `, ${units.text(wantedMargin, 'margin')} wanted` : ''}`}`;
});
const isOfTier = computed(() => ['stand', 'dowels'].includes(tab.value));
const open = computed(() => openCounts(props.plan.nonFood).length);
</script>

<template>
  <div>
    <h1 data-test="sheet-title">{{ title }}</h1>
    <SheetTabs v-model="tab" :tabs="tabs" label="Support">
      <TierStrip
        v-if="isOfTier && build.tiers.length > 1"
        :build="build"
        :tier-id="tier.id"
        :may-add="false"
      />
      <component :is="panels[tab]" :build="build" :plan="plan" />
      <p v-if="open > 0 && tab !== 'count'" class="soft">
        <KeyButton variant="text" size="small" @click="tab = 'count'">
          {{ open }} {{ open === 1 ? 'count is' : 'counts are' }} open
        </KeyButton>
      </p>
      <CautionList :cautions="cautions" @go="(caution) => emit('goTo', caution)" />
      <p class="soft">
        An estimate for food on a table, not structural engineering of record. What may stand in
        food, and who may put a heavy cake where, your local code and the house decide.
      </p>
    </SheetTabs>
  </div>
</template>
