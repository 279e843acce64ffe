import { computed, type WritableComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';

/** Which of several turns of a page is open, kept in its address: a reload and a link lead to the same one. */
export function useQueryChoice<T extends string>(
  key: string,
  values: readonly T[],
  first: T,
): WritableComputedRef<T> {
  const route = useRoute();
  const router = useRouter();
  return computed<T>({
    get: () => values.find((value) => value === route.query[key]) ?? first,
    set: (value) =>
      void router.replace({
        query: { ...route.query, [key]: value === first ? undefined : value },
      }),
  });
}
