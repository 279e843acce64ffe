let last: Promise<void> = Promise.resolve();

/**
 * Resolves when it is this caller's turn, one to a task, in the order of asking: drawing many cards
 * must not keep the first from being painted.
 */
export function myTurn(): Promise<void> {
  last = last.then(() => new Promise((done) => setTimeout(done)));
  return last;
}
