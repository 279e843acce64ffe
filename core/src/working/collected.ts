import type { Caution } from './cautions.ts';
import { FigureBook } from './figures.ts';

/** What a stage gave, with the figures and cautions that belong to it. */
export interface Collected<T> {
  value: T;
  figures: FigureBook;
  cautions: Caution[];
}
interface Collecting {
  book: FigureBook;
  cautions: Caution[];
}

/** Runs a stage with a book and cautions of its own. */
export function collect<W extends Collecting, T>(work: W, stage: (own: W) => T): Collected<T> {
  const own: W = { ...work, book: new FigureBook(), cautions: [] };
  const value = stage(own);
  return { value, figures: own.book, cautions: own.cautions };
}

/** Enters what a stage collected, now or before, and gives its value. */
export function enter<T>({ book, cautions }: Collecting, collected: Collected<T>): T {
  book.include(collected.figures);
  cautions.push(...collected.cautions);
  return collected.value;
}
