import {
  breaksAt,
  dayCapacity,
  dayTasks,
  doneOf,
  findRow,
  keepingClocks,
  minutesLeft,
  ownPart,
  sharedId,
  shifted,
  tasksLeft,
  tasksTogether,
  tierCourses,
  windowsBefore,
  type Break,
  type Clock,
  type DayAnswer,
  type DayPlan,
  type DayQuestion,
  type DayTask,
  type Placed,
  type TierCourse,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { useNow } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { useAnswer } from '../workers/useAnswer.ts';
import { useBuild } from './build.ts';
import { useKitchen } from './kitchen.ts';
import { usePantry } from './pantry.ts';

/** Rounds in which the plan of the days is improved; some tenths of a second. */
const rounds = 1500;

/** Minutes by which what is left of a wait is counted. */
const leftStep = 5;

/** A placed task with what it is; `cake` names the other cake it is of, null for the open one. */
export interface DayRow {
  at: Placed;
  task: DayTask;
  isCritical: boolean;
  cake: string | null;
}

/** The days of the open build: its tasks, the plan of them, and what keeps how long. */
export const useDay = defineStore('day', () => {
  const store = useBuild();
  const pantry = usePantry();
  const kitchen = useKitchen();
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
  /** The last deadline of all cakes that share the kitchen. */
  const lastDeadline = computed<Date | null>(() =>
    deadline.value === null
      ? null
      : new Date(
          Math.max(
            deadline.value.getTime(),
            ...kitchen.others.map((one) => one.deadline.getTime()),
          ),
        ),
  );
  /** By how much the open build's deadline is before that, min. */
  const shiftMin = computed(() =>
    deadline.value && lastDeadline.value
      ? (lastDeadline.value.getTime() - deadline.value.getTime()) / 60_000
      : 0,
  );
  const windows = computed(() =>
    lastDeadline.value && store.build
      ? windowsBefore(lastDeadline.value, store.build.day.hours)
      : [],
  );
  /** The question of some of the open build's tasks, together with the other cakes of the kitchen. */
  const asked = (some: DayTask[], onlyLeft = false): DayQuestion => {
    const { id, day } = store.build!;
    const others = kitchen.others.map((other) => ({
      buildId: other.buildId,
      name: other.name,
      tasks: onlyLeft ? tasksLeft(other.tasks, other.done) : other.tasks,
      dueMin: (other.deadline.getTime() - lastDeadline.value!.getTime()) / 60_000,
    }));
    return {
      tasks:
        others.length === 0
          ? some
          : tasksTogether([
              { buildId: id, name: '', tasks: some, dueMin: -shiftMin.value },
              ...others,
            ]),
      windows: windows.value,
      capacity: dayCapacity(day),
      seed: 1,
      rounds,
    };
  };
  const isShared = computed(() => kitchen.others.length > 0);
  const question = computed<DayQuestion | null>(() =>
    deadline.value && tasks.value.length > 0 ? asked(tasks.value) : null,
  );
  const { answer, current, trouble, again } = useAnswer<DayQuestion, DayAnswer>(
    () => question.value,
    (solver, question) => solver.day(question),
  );
  /** What was asked names tasks by their cake where several share the kitchen. */
  const bareId = (id: string): string =>
    isShared.value && store.build && id.startsWith(sharedId(store.build.id, ''))
      ? id.slice(sharedId(store.build.id, '').length)
      : id;
  const plan = computed<DayPlan | null>(() => {
    const found = answer.value;
    if (!found?.ok || !store.build) return null;
    // an answer from before another cake came in or went out
    const knowsCakes = found.plan.placed.some(({ id }) => id.startsWith(`${store.build!.id}:`));
    if (knowsCakes !== isShared.value && found.plan.placed.length > 0) return null;
    return isShared.value ? ownPart(found.plan, store.build.id, shiftMin.value) : found.plan;
  });
  const taskOf = (id: string): DayTask | undefined =>
    tasks.value.find((task) => task.id === bareId(id)) ??
    kitchen.others.flatMap((one) => one.tasks).find((task) => id.endsWith(`:${task.id}`));
  const dateOf = (minutes: number): Date =>
    new Date((deadline.value?.getTime() ?? 0) + minutes * 60_000);
  const nowMin = computed(() =>
    deadline.value ? (now.value.getTime() - deadline.value.getTime()) / 60_000 : 0,
  );
  const steps = computed(() => (store.plan?.steps.ok ? store.plan.steps.value : []));
  /** Minutes that a wait which has begun still takes, by thermometer or timer. */
  const leftOf = (stepKey: string): number | null => {
    const step = steps.value.find(({ key }) => key === stepKey);
    if (!step || !store.build) return null;
    const { bench } = store.build;
    const minutes = minutesLeft(step, bench, pantry.pantry.kitchen, now.value.toISOString());
    // the rest is not planned anew with every minute that passes
    return minutes === null ? null : leftStep * Math.ceil(minutes / leftStep);
  };
  const left = computed(() =>
    store.build ? tasksLeft(tasks.value, doneOf(store.build, steps.value), leftOf) : [],
  );
  const clocks = computed<Clock[]>(() =>
    store.plan && plan.value ? keepingClocks(store.plan.outOfCold, plan.value.placed) : [],
  );
  /** How warm each tier is through its days; reckoned when somebody looks. */
  const courses = computed<TierCourse[]>(() =>
    store.build && store.plan && plan.value
      ? tierCourses({
          build: store.build,
          plan: store.plan,
          steps: steps.value,
          tasks: tasks.value,
          placed: plan.value.placed,
          pantry: pantry.pantry,
        })
      : [],
  );
  /** Placed tasks with what they are. */
  const rows = computed<DayRow[]>(() =>
    (plan.value?.placed ?? []).flatMap((at) => {
      const task = tasks.value.find((one) => one.id === at.id);
      return task
        ? [{ at, task, isCritical: plan.value!.critical.includes(at.id), cake: null }]
        : [];
    }),
  );
  /** What the other cakes of the kitchen take, in the minutes of the open one. */
  const otherRows = computed<DayRow[]>(() => {
    const found = answer.value;
    if (!found?.ok || !plan.value || !isShared.value) return [];
    return kitchen.others.flatMap(({ buildId, name, tasks: own }) =>
      own.flatMap((task): DayRow[] => {
        const id = sharedId(buildId, task.id);
        const at = found.plan.placed.find((one) => one.id === id);
        return at
          ? [{ at: shifted(at, id, shiftMin.value), task, isCritical: false, cake: name }]
          : [];
      }),
    );
  });
  /** What stands against beginning a task of the open build then, minutes before its deadline. */
  function breaks(id: string, startMin: number): Break[] {
    const found = answer.value;
    if (!found?.ok || !store.build) return [];
    return breaksAt(
      asked(tasks.value),
      found.plan.placed,
      isShared.value ? sharedId(store.build.id, id) : id,
      startMin - shiftMin.value,
    ).map((one) => ('id' in one ? { ...one, id: bareId(one.id) } : one));
  }
  function pin(id: string, startMin: number | null): void {
    store.edit(startMin === null ? 'Task let go' : 'Task put at its time', (draft) => {
      draft.day.pinned = draft.day.pinned.filter((one) => one.taskId !== id);
      if (startMin !== null)
        draft.day.pinned.push({ taskId: id, startMin: Math.min(0, Math.round(startMin)) });
    });
  }
  return {
    chosen,
    tasks,
    deadline,
    shiftMin,
    isShared,
    question,
    answer,
    current,
    trouble,
    again,
    plan,
    rows,
    otherRows,
    clocks,
    courses,
    left,
    nowMin,
    asked,
    bareId,
    breaks,
    pin,
    taskOf,
    dateOf,
  };
});
