import { useEventListener } from '@vueuse/core';
import { ref, watch, type Ref } from 'vue';
import { announce } from '../parts/announce.ts';
import { allowTone, ring } from './tone.ts';
import type { RunningTimer } from './useBench.ts';

/** A timer that is up rings again after so long until it is stopped, s. */
const againS = 30;
const buzzMs = [300, 150, 300];

/** What the browser lets this page show outside of it; "none" where it can show nothing. */
export type MayNotify = NotificationPermission | 'none';
const may = (): MayNotify =>
  typeof Notification === 'undefined' ? 'none' : Notification.permission;

/** Says outside of the page that time is up, once for each timer. */
async function notify({ id, label }: RunningTimer, cake: string): Promise<void> {
  const told = { body: cake, tag: id, requireInteraction: true };
  const title = `Time is up: ${label}`;
  const service = await navigator.serviceWorker?.getRegistration();
  // a phone shows them only by the service worker
  if (service) return service.showNotification(title, told);
  const shown = new Notification(title, told);
  shown.onclick = () => window.focus();
}

/**
 * Rings when a timer is up, and every half minute until it is stopped: a bell, a buzz where the device has one,
 * and a notice of the system where the page is not looked at and that is allowed.
 */
export function useAlarms(
  timers: Ref<readonly RunningTimer[]>,
  cake: () => string,
): { mayNotify: Ref<MayNotify>; ask: () => Promise<void> } {
  const mayNotify = ref(may());
  useEventListener('pointerdown', allowTone);
  useEventListener('keydown', allowTone);
  const up = (): RunningTimer[] => timers.value.filter(({ left }) => left <= 0);
  const told = new Set<string>();
  watch(
    () =>
      up()
        .map(({ id, left }) => `${id}/${Math.floor(-left / againS)}`)
        .join(),
    (ringing) => {
      if (ringing === '') return;
      ring();
      if ('vibrate' in navigator) navigator.vibrate(buzzMs);
      for (const timer of up()) {
        if (told.has(timer.id)) continue;
        told.add(timer.id);
        announce(`Time is up: ${timer.label}`, 'urgent');
        if (document.visibilityState === 'hidden' && may() === 'granted')
          // without it the bell is all there is
          void notify(timer, cake()).catch(() => undefined);
      }
    },
    { immediate: true },
  );
  const ask = async (): Promise<void> => {
    if (typeof Notification !== 'undefined') await Notification.requestPermission();
    mayNotify.value = may();
  };
  return { mayNotify, ask };
}

/** What the window's name says of timers: the next one, or those that are up; null without any. */
export function timersTitle(
  timers: readonly RunningTimer[],
  clock: (s: number) => string,
): string | null {
  const up = timers.filter(({ left }) => left <= 0);
  if (up.length > 1) return `${up.length} timers are up`;
  if (up.length === 1) return `Time is up: ${up[0]!.label}`;
  const [next] = timers;
  return next ? `${clock(next.left)} ${next.label}` : null;
}
