import type { DayQuestion } from './plan-types.ts';
import type { Placed, Resource } from './types.ts';
import { inHours, lengthOf, spansOf, Usage } from './usage.ts';

/** What stands against beginning a task at some time. */
export type Break =
  | { why: 'hours' }
  | { why: 'past due' }
  | { why: 'before'; id: string }
  | { why: 'after'; id: string }
  | { why: 'full'; resource: Resource };

/**
 * What breaks when one task of a plan begins at another time while all others stay where they are:
 * hours of work, what it waits for, what waits for it, and what there is of each resource. Empty
 * where nothing does.
 *
 * @param startMin minutes before the deadline, negative
 */
export function breaksAt(
  { tasks, windows, capacity }: DayQuestion,
  placed: readonly Placed[],
  id: string,
  startMin: number,
): Break[] {
  const task = tasks.find((one) => one.id === id);
  if (!task) return [];
  const at = new Map(placed.map((one) => [one.id, one.startMin]));
  const endMin = startMin + lengthOf(task);
  const found: Break[] = [];
  if (inHours(windows, task, startMin) !== startMin) found.push({ why: 'hours' });
  if (endMin > (task.dueMin ?? 0) + 1e-6) found.push({ why: 'past due' });
  for (const { id: before, leastMin } of task.after) {
    const one = tasks.find((other) => other.id === before);
    const start = at.get(before);
    if (one && start !== undefined && start + lengthOf(one) + leastMin > startMin + 1e-6)
      found.push({ why: 'before', id: before });
  }
  for (const other of tasks)
    for (const link of other.after)
      if (link.id === id && at.has(other.id) && endMin + link.leastMin > at.get(other.id)! + 1e-6)
        found.push({ why: 'after', id: other.id });
  const usage = new Map<Resource, Usage>();
  for (const other of tasks) {
    const start = at.get(other.id);
    if (other === task || start === undefined) continue;
    for (const span of spansOf(other, start)) {
      const own = usage.get(span.resource) ?? new Usage();
      own.add(span.from, span.to, span.amount);
      usage.set(span.resource, own);
    }
  }
  for (const { resource, from, to, amount } of spansOf(task, startMin)) {
    const isFull =
      amount > capacity[resource] ||
      (usage.get(resource)?.clash(from, to, amount, capacity[resource]) ?? 0) > 0;
    if (isFull && !found.some((one) => one.why === 'full' && one.resource === resource))
      found.push({ why: 'full', resource });
  }
  return found;
}
