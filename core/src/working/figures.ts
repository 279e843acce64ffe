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

export type Figures = Record<string, Figure>;

/** Collects the figures of a plan as they are computed. */
export class FigureBook {
  readonly figures: Figures = {};

  /** Enters a figure and returns its value. */
  add(id: string, label: string, value: number, kind: Kind, how: string, inputs: Input[]): number {
    this.figures[id] = { id, label, value, kind, how, inputs };
    return value;
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
