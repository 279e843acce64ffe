import {
  dayTasks,
  doneOf,
  findRow,
  correctionsFor,
  planBuild,
  type DayTask,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { listen } from '../storage/channel.ts';
import { database, type ShelfEntry, type StoredBuild } from '../storage/database.ts';
import { useBuild } from './build.ts';
import { useCarvings } from './carvings.ts';
import { useHand } from './hand.ts';
import { usePantry } from './pantry.ts';

/** Cakes served within so many days of each other may meet in the kitchen. */
const nearDays = 4;

/** Another cake of the same days, with its tasks. */
export interface OtherCake {
  buildId: string;
  name: string;
  deadline: Date;
  tasks: DayTask[];
  done: Set<string>;
}

/** What else is made in the kitchen on the days of the open build. */
export const useKitchen = defineStore('kitchen', () => {
  const store = useBuild();
  const pantry = usePantry();
  const carvings = useCarvings();
  const hand = useHand();
  const stored = shallowRef<StoredBuild[]>([]);
  const shelf = shallowRef<ShelfEntry[]>([]);
  const wanted = computed(() => store.build?.day.together ?? []);

  async function load(): Promise<void> {
    const ids = wanted.value;
    shelf.value = await database.shelf.toArray();
    const found = await database.builds.bulkGet([...ids]);
    stored.value = found.filter((one): one is StoredBuild => one !== undefined);
  }
  watch(() => [store.build?.id, ...wanted.value].join('|'), load, { immediate: true });
  listen((word) => {
    if (word.kind === 'build' || word.kind === 'shelf') void load();
  });

  /** Cakes served on the same days, that may share the kitchen. */
  const neighbours = computed(() => {
    const at = store.build?.brief.serveAt;
    if (!at) return [];
    const served = parseISO(at).getTime();
    return shelf.value.filter(
      (entry) =>
        entry.id !== store.build!.id &&
        entry.serveAt !== null &&
        !entry.finished &&
        Math.abs(parseISO(entry.serveAt).getTime() - served) < nearDays * 86_400_000,
    );
  });
  const others = computed<OtherCake[]>(() =>
    stored.value.flatMap(({ build }): OtherCake[] => {
      if (!build.brief.serveAt || build.id === store.build?.id || build.bench.finished) return [];
      const corrections = correctionsFor(build, hand.corrections);
      const plan = planBuild(build, pantry.pantry, carvings.answerTo, corrections);
      return [
        {
          buildId: build.id,
          name: build.name,
          deadline: new Date(parseISO(build.brief.serveAt).getTime() - build.day.spareMin * 60_000),
          tasks: dayTasks(build, plan, (id) => findRow(pantry.pantry, 'spreads', id)),
          done: doneOf(build, plan.steps.ok ? plan.steps.value : []),
        },
      ];
    }),
  );
  return { neighbours, others };
});
