/** Edits that follow each other closer than this are one run, such as a drag, ms. */
const pauseMs = 150;

/** Gives a function that has `work` done once, when calls pause and the page has nothing better to do. */
export function whenIdle(work: () => void): () => void {
  let waiting: ReturnType<typeof setTimeout> | undefined;
  return () => {
    clearTimeout(waiting);
    waiting = setTimeout(() => {
      // not every browser tells when it is idle
      if (typeof requestIdleCallback === 'function') requestIdleCallback(work, { timeout: 500 });
      else work();
    }, pauseMs);
  };
}
