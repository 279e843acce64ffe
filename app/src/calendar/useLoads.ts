import { calendarDays, type Build, type CakeLoad, type CarveResult, type Corrections, type Pantry } from '@pyrgotect/core'; // prettier-ignore
import { proxy } from 'comlink';
import { computed, shallowRef, watch } from 'vue';
import { useCarvedOf } from '../parts/useCarvedOf.ts';
import { database } from '../storage/database.ts';
import { useHand } from '../stores/hand.ts';
import { usePantry } from '../stores/pantry.ts';
import { useAnswer } from '../workers/useAnswer.ts';

interface Question {
  builds: Build[];
  pantry: Pantry;
  carved: CarveResult[];
  corrections: Corrections;
}

/** When hands are on which of some cakes, and what each day holds; a cake that was planned once is not planned again. */
export function useLoads(ids: () => string[]) {
  const pantry = usePantry();
  const hand = useHand();
  const { carvedOf } = useCarvedOf();
  const known = shallowRef<ReadonlyMap<string, CakeLoad>>(new Map());
  const builds = shallowRef<Build[]>([]);
  /** Those of them that are not planned yet. */
  watch(
    () => ids().filter((id) => !known.value.has(id)),
    async (missing) => {
      await hand.ready();
      const stored = await database.builds.bulkGet(missing);
      builds.value = stored.flatMap((each) => each?.build ?? []);
    },
    { immediate: true },
  );
  watch([() => pantry.pantry, () => hand.corrections], () => (known.value = new Map()));
  const { answer, progress, trouble, again } = useAnswer<Question, CakeLoad[]>(
    () =>
      builds.value.length === 0
        ? null
        : {
            builds: builds.value,
            pantry: pantry.pantry,
            carved: carvedOf(builds.value),
            corrections: hand.corrections,
          },
    (solver, q, told) => solver.loads(q.builds, q.pantry, q.carved, q.corrections, proxy(told)),
  );
  watch(answer, (found) => {
    if (found)
      known.value = new Map([...known.value, ...found.map((load) => [load.cakeId, load] as const)]);
  });
  const loads = computed(() => ids().flatMap((id) => known.value.get(id) ?? []));
  const days = computed(() => calendarDays(loads.value));
  return { loads, days, progress, trouble, again };
}
