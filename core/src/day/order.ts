import type { DayTask } from './types.ts';

/** Tasks so that each comes after what it waits for; what goes round in a loop, if anything does. */
export function inOrder(tasks: readonly DayTask[]): { order: DayTask[]; loop: string[] } {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const waits = new Map(
    tasks.map((task) => [task.id, task.after.filter(({ id }) => byId.has(id)).length]),
  );
  const followers = followersOf(tasks);
  const ready = tasks.filter((task) => waits.get(task.id) === 0);
  const order: DayTask[] = [];
  for (let i = 0; i < ready.length; i++) {
    const task = ready[i]!;
    order.push(task);
    for (const next of followers.get(task.id) ?? []) {
      const left = waits.get(next.task.id)! - 1;
      waits.set(next.task.id, left);
      if (left === 0) ready.push(next.task);
    }
  }
  const placed = new Set(order.map((task) => task.id));
  return {
    order,
    loop: tasks.filter((task) => !placed.has(task.id)).map((task) => task.id),
  };
}

/** What comes after a task, and how soon and how late. */
export interface Follower {
  task: DayTask;
  leastMin: number;
  mostMin: number | null;
}
export function followersOf(tasks: readonly DayTask[]): Map<string, Follower[]> {
  const followers = new Map<string, Follower[]>();
  const known = new Set(tasks.map((task) => task.id));
  for (const task of tasks)
    for (const { id, leastMin, mostMin } of task.after)
      if (known.has(id))
        followers.set(id, [...(followers.get(id) ?? []), { task, leastMin, mostMin }]);
  return followers;
}
