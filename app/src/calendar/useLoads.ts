import { calendarDays, type Build, type CakeLoad, type CarveResult, type Corrections, type Pantry } from '@pyrgotect/core'; // prettier-ignore
import { proxy } from 'comlink';
import { computed, shallowRef, watch } from 'vue';
import { useCarvedOf } from '../parts/useCarvedOf.ts';
import { database } from '../storage/database.ts';
import { useHand } from '../stores/hand.ts';
import { usePantry } from '../stores/pantry.ts';
import { useAnswer } from '../workers/useAnswer.ts';

/** A cake with what is known of its carving, and the mark of both: with another mark it is another question. */
interface Asked {
  build: Build;
  carved: CarveResult[];
  mark: string;
}
interface Question {
  asked: Asked[];
  pantry: Pantry;
  corrections: Corrections;
}
interface Known {
  mark: string;
  load: CakeLoad;
}

/**
 * When hands are on which of some cakes, and what each day holds. A cake that was planned once is not planned
 * again, unless the solids say more of its carving.
 */
export function useLoads(ids: () => string[]) {
  const pantry = usePantry();
  const hand = useHand();
  const { carvedOf, carvedTiers } = useCarvedOf();
  const known = shallowRef<ReadonlyMap<string, Known>>(new Map());
  const builds = shallowRef<Build[]>([]);
  watch(
    ids,
    async (wanted) => {
      await hand.ready();
      const stored = await database.builds.bulkGet(wanted);
      builds.value = stored.flatMap((each) => each?.build ?? []);
    },
    { immediate: true },
  );
  watch([() => pantry.pantry, () => hand.corrections], () => (known.value = new Map()));
  const asked = computed(() =>
    builds.value.map((build): Asked => {
      const carved = carvedOf([build]);
      return { build, carved, mark: carved.map(({ key, coat }) => `${key} ${coat.exact}`).join() };
    }),
  );
  const { answer, progress, trouble, again } = useAnswer<Question, (Known & { id: string })[]>(
    () => {
      const missing = asked.value.filter(
        ({ build, mark }) => known.value.get(build.id)?.mark !== mark,
      );
      return missing.length === 0
        ? null
        : { asked: missing, pantry: pantry.pantry, corrections: hand.corrections };
    },
    async (solver, q, told) => {
      const loads = await solver.loads(
        q.asked.map(({ build }) => build),
        q.pantry,
        q.asked.flatMap(({ carved }) => carved),
        q.corrections,
        proxy(told),
      );
      return loads.map((load, i) => ({ id: load.cakeId, mark: q.asked[i]!.mark, load }));
    },
  );
  watch(answer, (found) => {
    if (found)
      known.value = new Map([...known.value, ...found.map((one) => [one.id, one] as const)]);
  });
  const loads = computed(() => ids().flatMap((id) => known.value.get(id)?.load ?? []));
  const days = computed(() => calendarDays(loads.value));
  /** Carved tiers among them, some of which may still be worked out. */
  const carved = computed(() => carvedTiers(builds.value));
  return { loads, days, carved, progress, trouble, again };
}
