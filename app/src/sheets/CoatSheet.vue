<script setup lang="ts">
import { type Build, type Caution, type CakePlan } from '@pyrgotect/core';
import { computed, defineAsyncComponent, watch } from 'vue';
import CautionList from '../figures/CautionList.vue';
import { bandOf } from '../parts/part-edits.ts';
import SheetTabs from '../parts/SheetTabs.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import { useUnits } from '../figures/units.ts';
import CoatPanel from './coat/CoatPanel.vue';
import { useSheet } from './useSheet.ts';

const CoversPanel = defineAsyncComponent(() => import('./coat/CoversPanel.vue'));
const BowlsPanel = defineAsyncComponent(() => import('./coat/BowlsPanel.vue'));
const ChancePanel = defineAsyncComponent(() => import('./coat/ChancePanel.vue'));
const PutRightPanel = defineAsyncComponent(() => import('./coat/PutRightPanel.vue'));
const CostPanel = defineAsyncComponent(() => import('./coat/CostPanel.vue'));

const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ goTo: [caution: Caution] }>();
const units = useUnits();
const { store, cautionsOf } = useSheet(props);
const cautions = cautionsOf('coat');
const tabs = [
  { id: 'coat', text: 'Coat' },
  { id: 'covers', text: 'Covers' },
  { id: 'bowls', text: 'Shared out' },
  { id: 'chance', text: 'Chance' },
  { id: 'right', text: 'Put right' },
  { id: 'cost', text: 'Cost, diet' },
] as const;
const tab = useQueryChoice(
  'turn',
  tabs.map(({ id }) => id),
  'coat',
);
// a band that is pressed in the picture has its line there
watch(
  () => store.selected,
  (id) => {
    if (bandOf(id) !== null) tab.value = 'coat';
  },
  { immediate: true },
);
const panels = {
  coat: CoatPanel,
  covers: CoversPanel,
  bowls: BowlsPanel,
  chance: ChancePanel,
  right: PutRightPanel,
  cost: CostPanel,
};
const count = computed(() => (props.plan.bowls.ok ? props.plan.bowls.value.length : 0));
const title = computed(() =>
  props.plan.tally.frostingG === null
    ? 'The bowls cannot be worked out yet'
    : `${units.text(props.plan.tally.frostingG, 'bowl')} to make, in ${count.value === 1 ? 'one bowl' : `${count.value} bowls`}`,
);
</script>

<template>
  <div>
    <h1 data-test="sheet-title">{{ title }}</h1>
    <SheetTabs v-model="tab" :tabs="tabs" label="Coat and bowls">
      <component :is="panels[tab]" :build="build" :plan="plan" />
      <CautionList
        v-if="tab === 'coat' || tab === 'covers'"
        :cautions="cautions"
        @go="(caution) => emit('goTo', caution)"
      />
      <p v-if="!plan.bowls.ok" class="lead">{{ plan.bowls.problem }}</p>
    </SheetTabs>
  </div>
</template>
