import type { Break } from '@pyrgotect/core';
import { useEventListener } from '@vueuse/core';
import { format } from 'date-fns';
import { computed, shallowRef, type Ref } from 'vue';
import { useDay } from '../stores/day.ts';

/** Dragged tasks keep to whole five minutes. */
const stepMin = 5;
/** A pointer that moved less has only chosen the task, px. */
const leastPx = 4;

/** Tasks that are taken by a pointer or by keys and put at another time, with what that breaks. */
export function useDrag(
  pane: Ref<HTMLElement | null>,
  timeAt: (x: number, y: number) => number | null,
) {
  const day = useDay();
  const held = shallowRef<{ id: string; startMin: number } | null>(null);
  let from: { id: string; atMin: number; startMin: number; x: number; y: number } | null = null;

  const startOf = (id: string): number | undefined =>
    day.rows.find(({ at }) => at.id === id)?.at.startMin;
  const rounded = (minutes: number): number => {
    const at = day.dateOf(minutes);
    at.setMinutes(Math.round(at.getMinutes() / stepMin) * stepMin, 0, 0);
    return Math.min(0, (at.getTime() - day.dateOf(0).getTime()) / 60_000);
  };
  function pointOf(event: PointerEvent): { x: number; y: number } | null {
    const box = pane.value?.querySelector('svg')?.getBoundingClientRect();
    return box ? { x: event.clientX - box.left, y: event.clientY - box.top } : null;
  }
  function grab(event: PointerEvent, id: string): void {
    const point = pointOf(event);
    const startMin = startOf(id);
    const atMin = point && timeAt(point.x, point.y);
    if (event.button !== 0 || !point || startMin === undefined || atMin === null) return;
    from = { id, atMin, startMin, ...point };
    event.preventDefault();
  }
  useEventListener(window, 'pointermove', (event: PointerEvent) => {
    const point = from && pointOf(event);
    if (!from || !point) return;
    if (!held.value && Math.hypot(point.x - from.x, point.y - from.y) < leastPx) return;
    const atMin = timeAt(point.x, point.y);
    if (atMin !== null)
      held.value = { id: from.id, startMin: rounded(from.startMin + atMin - from.atMin) };
  });
  useEventListener(window, 'pointerup', () => {
    if (!from) return;
    if (held.value) day.pin(held.value.id, held.value.startMin);
    else day.chosen = from.id;
    from = null;
    held.value = null;
  });
  useEventListener(window, 'pointercancel', () => {
    from = null;
    held.value = null;
  });
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key !== 'Escape' || !from) return;
    from = null;
    held.value = null;
  });
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
    const at = format(day.dateOf(startMin), 'EEE HH:mm');
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
