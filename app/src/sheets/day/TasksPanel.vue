<script setup lang="ts">
import {
  freshId,
  limits,
  type Build,
  type DayTask,
  type OwnTask,
  type CakePlan,
} from '@pyrgotect/core';
import { dayAndHour } from '../../locale/when.ts';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useBuild } from '../../stores/build.ts';
import { useDay } from '../../stores/day.ts';
import { useUnits } from '../../figures/units.ts';
import WordField from '../../figures/WordField.vue';

/** Every task in its place, with minutes by one's own clock, slack, and tasks of one's own. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const store = useBuild();
const day = useDay();
const units = useUnits();
const text = (n: number): string => units.text(n, 'minutes');
const own = computed(
  () => new Map(props.build.day.minutes.map(({ taskId, handsMin }) => [taskId, handsMin])),
);
const isOwn = (task: DayTask): boolean => props.build.day.own.some((one) => one.id === task.id);
function setMinutes(task: DayTask, handsMin: number | null): void {
  store.edit('Minutes of a task', (draft) => {
    const mine = draft.day.own.find((one) => one.id === task.id);
    if (mine) {
      if (handsMin !== null) mine.handsMin = handsMin;
      return;
    }
    draft.day.minutes = draft.day.minutes.filter((one) => one.taskId !== task.id);
    if (handsMin !== null) draft.day.minutes.push({ taskId: task.id, handsMin });
  });
}
const addOwn = (): void =>
  store.edit('Own task', (draft) => {
    draft.day.own.push({
      id: freshId('task', 13),
      title: 'Something of my own',
      handsMin: 15,
      waitMin: 0,
      after: null,
      before: null,
    });
  });
const editOwn = (id: string, to: Partial<OwnTask>): void =>
  store.edit('Own task', (draft) => {
    const one = draft.day.own.find((task) => task.id === id);
    if (one) Object.assign(one, to);
  });
const choices = (not: string) => [
  { value: '', text: 'whenever' },
  ...day.tasks
    .filter((task) => task.id !== not)
    .map((task) => ({ value: task.id, text: task.title.slice(0, 50) })),
];
</script>

<template>
  <div data-test="tasks">
    <div v-for="task in build.day.own" :key="task.id" class="own" data-test="own-task">
      <WordField
        class="name"
        :model-value="task.title"
        aria-label="What it is"
        :most="80"
        needed
        @update:model-value="editOwn(task.id, { title: $event })"
      />
      <p class="sentence">
        <QuantityField
          :model-value="task.handsMin"
          :of="limits.taskMin"
          label="Minutes of hands"
          @update:model-value="(n) => editOwn(task.id, { handsMin: n })"
        />
        of hands, after
        <ChoiceField
          :model-value="task.after ?? ''"
          label="After which task"
          :options="choices(task.id)"
          @update:model-value="(id) => editOwn(task.id, { after: id || null })"
        />, before
        <ChoiceField
          :model-value="task.before ?? ''"
          label="Before which task"
          :options="choices(task.id)"
          @update:model-value="(id) => editOwn(task.id, { before: id || null })"
        />
        <KeyButton
          variant="text"
          size="small"
          @click="
            store.edit(
              'Own task taken out',
              (draft) => void (draft.day.own = draft.day.own.filter((one) => one.id !== task.id)),
            )
          "
        >
          take it out
        </KeyButton>
      </p>
    </div>
    <p>
      <KeyButton size="small" data-test="add-own" @click="addOwn"> A task of my own </KeyButton>
    </p>
    <table v-if="day.rows.length > 0" class="ledger">
      <thead>
        <tr>
          <th>Begin</th>
          <th>Task</th>
          <th class="end">Hands</th>
          <th class="end">Wait</th>
          <th class="end">Earlier</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ at, task, isCritical } in day.rows"
          :key="task.id"
          :class="{ chosen: day.chosen === task.id }"
          @click="day.chosen = task.id"
        >
          <td class="when">{{ dayAndHour(day.dateOf(at.startMin), 'weekday') }}</td>
          <td>
            {{ task.title
            }}<span v-if="isCritical" v-tip="'If it takes longer, you begin earlier'" class="mark">
              ◆</span
            >
            <KeyButton
              v-if="task.pinMin !== undefined"
              size="small"
              data-test="unpin"
              @click.stop="day.pin(task.id, null)"
            >
              let it be placed
            </KeyButton>
          </td>
          <td class="end">
            <QuantityField
              :model-value="isOwn(task) ? task.handsMin : (own.get(task.id) ?? null)"
              :of="limits.taskMin"
              :label="`Minutes of hands: ${task.title}`"
              nullable
              :auto="text(task.handsMin)"
              @update:model-value="(n) => setMinutes(task, n)"
            />
          </td>
          <td class="end">
            {{
              task.waitMin + (task.again?.waitMin ?? 0) > 0
                ? text(task.waitMin + (task.again?.waitMin ?? 0))
                : ''
            }}
          </td>
          <td class="end">
            {{
              (day.plan?.slack[task.id]?.earlierMin ?? 0) > 0
                ? text(day.plan!.slack[task.id]!.earlierMin)
                : ''
            }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="soft">
      ◆ sets the start: if it takes a quarter of an hour longer, you begin earlier. Earlier: how
      much sooner it can be done by itself. Clear a field of minutes to go back to the plan’s.
    </p>
  </div>
</template>

<style scoped>
.ledger {
  width: 100%;
}
.when {
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.chosen td {
  background: var(--raised);
}
.mark {
  color: var(--accent);
}
.own {
  border-left: 3px solid var(--line);
  padding-left: 10px;
  margin-bottom: 8px;
}
.name.v-input {
  font: 600 var(--size-lead) var(--heading);
  width: 100%;
}
</style>
