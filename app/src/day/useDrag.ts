import type { Break } from '@pyrgotect/core';
import { dayAndHour } from '../locale/when.ts';
import { computed, shallowRef } from 'vue';
import { useDay } from '../stores/day.ts';
import { followPointer } from '../drawings/follow-pointer.ts';

/** Dragged tasks keep to whole five minutes. */
const stepMin = 5;
/** A pointer that moved less has only chosen the task, px. */
const leastPx = 4;

/** Tasks that are taken by a pointer or by keys and put at another time, with what that breaks. */
export function useDrag(timeAt: (x: number, y: number) => number | null) {
  const day = useDay();
  const held = shallowRef<{ id: string; startMin: number } | null>(null);

  const startOf = (id: string): number | undefined =>
    day.rows.find(({ at }) => at.id === id)?.at.startMin;
  const rounded = (minutes: number): number => {
    const at = day.dateOf(minutes);
    at.setMinutes(Math.round(at.getMinutes() / stepMin) * stepMin, 0, 0);
    return Math.min(0, (at.getTime() - day.dateOf(0).getTime()) / 60_000);
  };
  function grab(press: PointerEvent, id: string): void {
    const startMin = startOf(id);
    if (startMin === undefined) return;
    const from = followPointer(press, {
      move: ({ x, y }) => {
        if (!from || fromMin === null) return;
        if (!held.value && Math.hypot(x - from.x, y - from.y) < leastPx) return;
        const atMin = timeAt(x, y);
        if (atMin !== null) held.value = { id, startMin: rounded(startMin + atMin - fromMin) };
      },
      end: () => {
        if (held.value) day.pin(id, held.value.startMin);
        else day.chosen = id;
        held.value = null;
      },
      cancel: () => (held.value = null),
    });
    const fromMin = from && timeAt(from.x, from.y);
    press.preventDefault();
  }
  function nudge(id: string, byMin: number): void {
    const pinned = day.tasks.find((task) => task.id === id)?.pinMin;
    const start = pinned ?? startOf(id);
    if (start !== undefined) day.pin(id, rounded(start + byMin));
  }

  function wordsOf(one: Break): string {
    switch (one.why) {
      case 'hours':
        return 'outside the hours of work';
      case 'past due':
        return 'not done in time';
      case 'before':
        return `“${day.taskOf(one.id)?.title ?? one.id}” is not done by then`;
      case 'after':
        return `“${day.taskOf(one.id)?.title ?? one.id}” has to move`;
      case 'full':
        return one.resource === 'hands'
          ? 'hands are on something else'
          : `no room: ${one.resource}`;
    }
  }
  /** What the time under the pointer would break, said at once. */
  const said = computed(() => {
    if (!held.value) return null;
    const { id, startMin } = held.value;
    const broken = day.breaks(id, startMin);
    const at = dayAndHour(day.dateOf(startMin), 'weekday');
    return {
      isAgainst: broken.length > 0,
      text:
        broken.length === 0
          ? `${at}: it fits`
          : `${at}: ${broken.map(wordsOf).slice(0, 2).join('; ')}`,
    };
  });
  return { held, said, grab, nudge };
}
