import type { Build, Corrections, DesignAnswer, Pantry, Wish } from '@pyrgotect/core';
import { proxy } from 'comlink';
import { usePantry } from '../stores/pantry.ts';
import { useHand } from '../stores/hand.ts';
import { useAnswer, type Answer } from '../workers/useAnswer.ts';

interface Question {
  base: Build;
  pantry: Pantry;
  wish: Wish;
  corrections: Corrections;
}

/** Designs for what is asked for, worked out beside the page; nothing is asked while there is no question. */
export function useDesigns(asked: () => { base: Build; wish: Wish } | null): Answer<DesignAnswer> {
  const pantry = usePantry();
  const hand = useHand();
  // what is weighed without the records would be another cake once it is taken
  void hand.ready();
  return useAnswer<Question, DesignAnswer>(
    () => {
      const of = asked();
      return of && hand.loaded
        ? { ...of, pantry: pantry.pantry, corrections: hand.corrections }
        : null;
    },
    (solver, { base, pantry: rows, wish, corrections }, progress) =>
      solver.designs(base, rows, wish, corrections, proxy(progress)),
  );
}
