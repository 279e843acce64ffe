import type { ReadLine } from '@pyrgotect/core';

/** One line of a pasted recipe as it is read, and as it was put right. */
export interface PastedLine {
  line: ReadLine;
  /** Grams, the ingredient and its name, as read or put right by hand. */
  massG: number | null;
  foodId: string | null;
  name: string;
  /** Its problem stands until somebody did something about it. */
  isPutRight: boolean;
  odd: string;
  said: string;
}
