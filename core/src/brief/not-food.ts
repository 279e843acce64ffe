import type { NonFood } from '../support/counts.ts';

/** What of a cake is not food, each name once with its count, in the order in which it goes in. */
export function notFoodByName(
  parts: readonly Pick<NonFood, 'name' | 'count'>[],
): { name: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const { name, count } of parts) counts.set(name, (counts.get(name) ?? 0) + count);
  return [...counts].map(([name, count]) => ({ name, count }));
}
