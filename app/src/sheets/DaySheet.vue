<script setup lang="ts">
import { type Build, type Caution, type CakePlan } from '@pyrgotect/core';
import { dayAndHour } from '../locale/when.ts';
import { computed, watch } from 'vue';
import ReadyLine from '../day/ReadyLine.vue';
import SheetTabs from '../parts/SheetTabs.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import { useBuild } from '../stores/build.ts';
import { useDay } from '../stores/day.ts';
import { noPlanWords } from '../day/no-plan.ts';
import WhenField from '../figures/WhenField.vue';
import TroubleLine from '../figures/TroubleLine.vue';
import { useUnits } from '../figures/units.ts';
import HoursPanel from './day/HoursPanel.vue';
import KeepingPanel from './day/KeepingPanel.vue';
import ListsPanel from './day/ListsPanel.vue';
import LogPanel from './day/LogPanel.vue';
import NowPanel from './day/NowPanel.vue';
import TasksPanel from './day/TasksPanel.vue';
import WarmthPanel from './day/WarmthPanel.vue';

const props = defineProps<{ build: Build; plan: CakePlan }>();
defineEmits<{ goTo: [caution: Caution] }>();
const day = useDay();
const units = useUnits();
const tabs = [
  { id: 'hours', text: 'Hours' },
  { id: 'tasks', text: 'Tasks' },
  { id: 'lists', text: 'Lists' },
  { id: 'keeping', text: 'Keeping' },
  { id: 'warmth', text: 'How warm' },
  { id: 'now', text: 'From now' },
  { id: 'log', text: 'Log' },
] as const;
const tab = useQueryChoice(
  'turn',
  tabs.map(({ id }) => id),
  'hours',
);
const panels = {
  hours: HoursPanel,
  tasks: TasksPanel,
  lists: ListsPanel,
  keeping: KeepingPanel,
  warmth: WarmthPanel,
  now: NowPanel,
  log: LogPanel,
};
// what is chosen in the chart is shown in the list
watch(
  () => day.chosen,
  (id) => {
    if (id) tab.value = 'tasks';
  },
);
const store = useBuild();
const setServed = (at: string): void =>
  store.edit('Serving time', (draft) => void (draft.brief.serveAt = at || null));
const title = computed(() => {
  if (!day.deadline)
    return props.build.isPattern ? 'A pattern has no day of its own' : 'When is it served?';
  if (day.trouble) return 'There is no plan of the days';
  if (!day.answer) return 'Planning the days…';
  if (!day.answer.ok) return 'There is no plan of the days';
  if (!day.plan) return 'Planning the days…';
  const first = day.plan.placed[0];
  if (!first) return 'Nothing to do';
  return `Begin ${dayAndHour(day.dateOf(first.startMin), 'long')}`;
});
const problem = computed(() =>
  noPlanWords(
    day.answer,
    (id) => day.taskOf(id)?.title ?? id,
    (min) => units.text(min, 'minutes'),
  ),
);
</script>

<template>
  <div>
    <h1 data-test="sheet-title">{{ title }}</h1>
    <p v-if="!day.deadline && !build.isPattern" class="sentence">
      Served
      <WhenField
        nullable
        label="Date and time of serving"
        :model-value="build.brief.serveAt?.slice(0, 16) ?? ''"
        @update:model-value="setServed"
      />: each task then lies as late as hands, oven, fridge and your hours let it.
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <TroubleLine :trouble="day.trouble" what="The plan of the days" @again="day.again" />
    <ReadyLine />
    <SheetTabs v-model="tab" :tabs="tabs" label="Day">
      <component :is="panels[tab]" :build="build" :plan="plan" />
    </SheetTabs>
  </div>
</template>

<style scoped>
.problem {
  border-left: 4px solid var(--stop);
  background: var(--stop-wash);
  padding: 8px 12px;
}
</style>
