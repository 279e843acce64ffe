import type { Build } from '../document/types.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import type { Corrections } from '../hand/corrections.ts';
import type { Pantry, Recipe, Spread } from '../pantry/types.ts';
import type { Caution } from '../working/cautions.ts';
import type { FigureBook } from '../working/figures.ts';

/** What every part of the plan works with. */
export interface Work {
  /** False when only the shape of the cake is asked for. */
  withTimes: boolean;
  /** What the solids said so far. */
  carved: CarveAnswers;
  /** What the records say of the decorator's hand. */
  corrections: Corrections;
  build: Build;
  pantry: Pantry;
  book: FigureBook;
  cautions: Caution[];
  spreadOf: (id: string) => Spread;
  recipeOf: (id: string) => Recipe;
}

/** What one tier is planned with: everything but the build, so that its plan can be kept. */
export type TierWork = Omit<Work, 'build'>;
