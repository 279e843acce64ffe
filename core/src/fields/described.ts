import type { Kind } from '../units/kinds.ts';
import type { Range } from '../units/field.ts';
import type { Field } from './field.ts';
import { valueWord } from '../units/value-words.ts';

/** A figure of a record, as a form shows it. */
export interface Described {
  key: string;
  /** What people call it. */
  label: string;
  hint: string | null;
  kind: Kind;
  range: Range;
  /** It may be left empty. */
  nullable: boolean;
}

/**
 * A figure of a record as its description has it.
 *
 * @throws Error when the record has no such figure, or nobody said how it is shown
 */
export function describedFigure<T>(of: Field<T>, key: keyof T & string): Described {
  const field = partOf(of, key);
  const inner = field && bare(field);
  if (!field || inner?.shape.kind !== 'figure' || !inner.shape.range.kind)
    throw new Error(`${key} is no figure that a form can show`);
  const { min, max, kind } = inner.shape.range;
  return {
    key,
    label: field.about.label ?? valueWord(wordsOfName(key)),
    hint: field.about.hint,
    kind,
    range: { min, max },
    nullable: field.shape.kind === 'null or',
  };
}

/** A field without its "or nothing". */
const bare = (field: Field<unknown>): Field<unknown> =>
  field.shape.kind === 'null or' ? bare(field.shape.of) : field;

/** The field of a record, whatever its kind, by its name; one entry of a list stands for the list. */
export function partOf(field: Field<unknown>, key: string): Field<unknown> | null {
  const { shape } = bare(field);
  switch (shape.kind) {
    case 'record':
      return Object.hasOwn(shape.fields, key) ? shape.fields[key]! : null;
    case 'list':
      return partOf(shape.of, key);
    case 'by kind':
      return Object.values(shape.of).reduce<Field<unknown> | null>(
        (found, of) => found ?? partOf(of, key),
        null,
      );
    case 'swift':
      return partOf(shape.like, key);
    default:
      return null;
  }
}

/** Units and references at the end of a field's name. */
const endings =
  /(?:GPerCm2|GPerKg|GPerMl|MlPerMl|Mm2|Mm|Ml|KPa|MPa|GPa|Pa|Deg|Min|Ids?|Share|G|C|S|W)$/;

/** A name of the program as words: "minSliceMm" as "min slice". */
export const wordsOfName = (name: string): string =>
  (name.replace(endings, '') || name).replace(/([a-z])([A-Z0-9])/g, '$1 $2').toLowerCase();
