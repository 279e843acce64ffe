import { onScopeDispose, shallowRef, type ShallowRef } from 'vue';

/** The time, once a second, also while the page is hidden and at once when the machine wakes. */
export function useSecond(): ShallowRef<Date> {
  const at = shallowRef(new Date());
  const tell = (): void => void (at.value = new Date());
  const every = setInterval(tell, 1000);
  let worker: Worker | null = null;
  if (typeof Worker !== 'undefined') {
    worker = new Worker(new URL('../workers/second.worker.ts', import.meta.url), {
      type: 'module',
    });
    worker.onmessage = tell;
    // without it the page's own clock goes on
    worker.onerror = (event) => event.preventDefault();
  }
  onScopeDispose(() => {
    clearInterval(every);
    worker?.terminate();
  });
  return at;
}
