import { shallowRef } from 'vue';

/** What nobody caught, in words; null for nothing. */
const fault = shallowRef<string | null>(null);
export const useFault = () => fault;

/** Said by the browser where a drawing is laid out again in the same frame; nothing is wrong then. */
const harmless = /ResizeObserver loop/;

/** Shows what failed and nobody expected: a sentence in the page, and the whole of it in the console. */
export function report(error: unknown): void {
  const message = error instanceof Error ? error.message : String(error);
  if (harmless.test(message)) return;
  console.error(error);
  fault.value = message.slice(0, 300) || 'no reason was given';
}

/** Listens for what is thrown where no other part of the program listens. */
export function watchFaults(): void {
  window.addEventListener('error', ({ error, message }) => report(error ?? message));
  window.addEventListener('unhandledrejection', ({ reason }) => report(reason));
}
