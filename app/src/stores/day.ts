import {
  dayTasks,
  doneOf,
  findRow,
  keepingClocks,
  tasksLeft,
  windowsBefore,
  type Clock,
  type DayAnswer,
  type DayQuestion,
  type DayTask,
  type Placed,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { useNow } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { useAnswer } from '../workers/useAnswer.ts';
import { useBuild } from './build.ts';
import { usePantry } from './pantry.ts';

/** Rounds in which the plan of the days is improved; some tenths of a second. */
const rounds = 1500;

/** The days of the open build: its tasks, the plan of them, and what keeps how long. */
export const useDay = defineStore('day', () => {
  const store = useBuild();
  const pantry = usePantry();
  /** The task that is chosen in chart or list. */
  const chosen = shallowRef<string | null>(null);
  const now = useNow({ interval: 30_000 });

  const tasks = computed<DayTask[]>(() =>
    store.build && store.plan
      ? dayTasks(store.build, store.plan, (id) => findRow(pantry.pantry, 'spreads', id))
      : [],
  );
  /** When all is to be done: serving, less the minutes in hand. Null where no time is set. */
  const deadline = computed<Date | null>(() => {
    const at = store.build?.brief.serveAt;
    if (!at) return null;
    return new Date(parseISO(at).getTime() - store.build!.day.spareMin * 60_000);
  });
  const windows = computed(() =>
    deadline.value && store.build ? windowsBefore(deadline.value, store.build.day.hours) : [],
  );
  const asked = (some: DayTask[]): DayQuestion => ({
    tasks: some,
    windows: windows.value,
    capacity: {
      hands: store.build!.day.people,
      oven: 1,
      mixer: 1,
      fridge: store.build!.day.fridgeMm,
    },
    seed: 1,
    rounds,
  });
  const { answer, current } = useAnswer<DayQuestion, DayAnswer>(
    () => (deadline.value && tasks.value.length > 0 ? asked(tasks.value) : null),
    (solver, question) => solver.day(question),
  );
  const plan = computed(() => (answer.value?.ok ? answer.value.plan : null));
  const taskOf = (id: string): DayTask | undefined => tasks.value.find((task) => task.id === id);
  const dateOf = (minutes: number): Date =>
    new Date((deadline.value?.getTime() ?? 0) + minutes * 60_000);
  const nowMin = computed(() =>
    deadline.value ? (now.value.getTime() - deadline.value.getTime()) / 60_000 : 0,
  );
  const left = computed(() => (store.build ? tasksLeft(tasks.value, doneOf(store.build)) : []));
  const clocks = computed<Clock[]>(() =>
    store.build && plan.value
      ? keepingClocks(
          store.build,
          tasks.value,
          plan.value.placed,
          (id) => pantry.pantry.spreads.find((row) => row.id === id) ?? null,
          Math.max(
            store.build.brief.venueC ?? 0,
            store.build.brief.kitchenC ?? pantry.pantry.kitchen.roomC,
          ),
        )
      : [],
  );
  /** Placed tasks with what they are. */
  const rows = computed<{ at: Placed; task: DayTask; isCritical: boolean }[]>(() =>
    (plan.value?.placed ?? []).flatMap((at) => {
      const task = taskOf(at.id);
      return task ? [{ at, task, isCritical: plan.value!.critical.includes(at.id) }] : [];
    }),
  );
  return {
    chosen,
    tasks,
    deadline,
    answer,
    current,
    plan,
    rows,
    clocks,
    left,
    nowMin,
    asked,
    taskOf,
    dateOf,
  };
});
