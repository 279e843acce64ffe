import type { Correction } from '../hand/corrections.ts';
import type { Source } from '../pantry/types.ts';
import type { Kind } from '../units/kinds.ts';

/** The row of a table that a figure was read from. */
export interface TableValue {
  table: string;
  row: string;
  source: Source;
  range?: [low: number, high: number];
}

/** One thing that went into a figure; `from` names another figure where it was itself computed. */
export interface Input {
  label: string;
  value: number;
  kind: Kind;
  from?: string;
  read?: TableValue;
}

/** A computed value with the sum it came from, in words a baker can follow. */
export interface Figure {
  id: string;
  label: string;
  value: number;
  kind: Kind;
  how: string;
  inputs: Input[];
}

/** One writing of figures, in the order in which they are entered. */
export class FigurePage {
  readonly figures: Record<string, Figure> = {};

  /** Enters a figure with its sum. */
  add(id: string, label: string, value: number, kind: Kind, how: string, inputs: Input[]): void {
    this.figures[id] = { id, label, value, kind, how, inputs };
  }

  /** Says that the hand moved a figure, and by how much; nothing where it has nothing to say. */
  move(id: string, what: string, move: Correction | undefined): void {
    const figure = this.figures[id];
    if (figure && move)
      figure.inputs.push(
        given(`${what}, from ${move.count} of your records: times`, move.factor, 'factor'),
      );
  }
}

type Writing = (page: FigurePage) => void;

/**
 * The figures of a plan. A stage says how its figures are written, from what it has computed and will
 * not change again; they are written when somebody opens one, and a plan that is only drawn writes none.
 */
export class FigureBook {
  // hidden, so that two plans are the same where what they say is the same
  readonly #writings: Writing[];
  #page: FigurePage | null = null;

  /** @param books whose figures it holds to begin with */
  constructor(...books: readonly FigureBook[]) {
    this.#writings = books.flatMap((book) => book.#writings);
  }

  /** Leaves word how figures are written. */
  later(write: Writing): void {
    this.#writings.push(write);
    this.#page = null;
  }

  /** Takes in all figures of another book. */
  include(book: FigureBook): void {
    this.#writings.push(...book.#writings);
    this.#page = null;
  }

  /** The figure of this name; undefined where the plan has none. */
  of(id: string): Figure | undefined {
    return this.#written()[id];
  }

  /** Every figure, in the order of work. */
  all(): Figure[] {
    return Object.values(this.#written());
  }

  #written(): Record<string, Figure> {
    if (!this.#page) {
      this.#page = new FigurePage();
      for (const write of this.#writings) write(this.#page);
    }
    return this.#page.figures;
  }
}

/** An input that the user decided. */
export const given = (label: string, value: number, kind: Kind): Input => ({ label, value, kind });

/** An input that is itself a figure of the plan. */
export const from = (id: string, label: string, value: number, kind: Kind): Input => ({
  label,
  value,
  kind,
  from: id,
});

interface TableRow {
  name: string;
  source: Source;
  ranges?: Record<string, [number, number]>;
}

/** An input read from a pantry row; `field` picks the range that belongs to it. */
export function read<R extends TableRow>(
  table: string,
  row: R,
  field: keyof R & string,
  label: string,
  kind: Kind,
): Input {
  const range = row.ranges?.[field];
  return {
    label,
    value: row[field] as number,
    kind,
    read: { table, row: row.name, source: row.source, ...(range ? { range } : {}) },
  };
}
