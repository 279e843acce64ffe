import { shallowRef } from 'vue';
import { atHome } from '../home.ts';

const waiting = shallowRef<ServiceWorker | null>(null);
/** A newer program that waits until it is asked for; null where there is none. */
export const useUpdate = () => waiting;

/** Keeps the program for use without a network, and looks whether a newer one has come. */
export async function keepProgram(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  // where the browser takes none, the program still works with a network
  const service = await navigator.serviceWorker.register(atHome('sw.js')).catch(() => undefined);
  if (!service) return;
  // where none rules the page yet, there is nothing older to be replaced
  const look = (): void => {
    if (service.waiting && navigator.serviceWorker.controller) waiting.value = service.waiting;
  };
  look();
  service.addEventListener('updatefound', () =>
    service.installing?.addEventListener('statechange', look),
  );
}

/** Takes the newer program; the page is loaded anew as soon as it is in charge. */
export function takeUpdate(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload());
  waiting.value?.postMessage({ type: 'SKIP_WAITING' });
}
