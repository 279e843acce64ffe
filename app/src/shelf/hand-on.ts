import type { Build, Corrections } from '@pyrgotect/core';

/** The shelf is drawn before the records are read, ms. */
const drawnFirst = 500;
let drawn: Promise<void> | null = null;

/** What the hand does to a cake on the shelf; how that is worked out is loaded when the first asks. */
export async function handOn(build: Build): Promise<Corrections> {
  await (drawn ??= new Promise((done) => setTimeout(done, drawnFirst)));
  const { correctionsNow } = await import('../stores/hand.ts');
  return correctionsNow(build);
}
