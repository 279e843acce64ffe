import { shallowRef } from 'vue';

/** What nobody caught: in words, and whether the storage was full. */
export interface Fault {
  message: string;
  isFull: boolean;
}
const fault = shallowRef<Fault | null>(null);
export const useFault = () => fault;

/** The browser's name for a storage that takes nothing more. */
const fullName = 'QuotaExceededError';

/** Shows what failed and nobody expected: a sentence in the page, and the whole of it in the console. */
export function report(error: unknown): void {
  console.error(error);
  const { name, message, inner } = (error ?? {}) as Partial<Error> & { inner?: Partial<Error> };
  fault.value = {
    message: (message ?? String(error)).slice(0, 300),
    isFull: name === fullName || inner?.name === fullName,
  };
}

/** Listens for what is thrown where no other part of the program listens. */
export function watchFaults(): void {
  // without an error it is only a word of the browser about its own layout
  window.addEventListener('error', ({ error }: { error?: unknown }) => {
    if (error) report(error);
  });
  window.addEventListener('unhandledrejection', ({ reason }) => report(reason));
}
