import type { Build, HandMoves } from '@pyrgotect/core';

/** What the hand does to a cake on the shelf; how that is worked out is loaded when the first asks. */
export async function handOn(build: Build): Promise<HandMoves> {
  const { movesNow } = await import('../stores/hand.ts');
  return movesNow(build);
}
