import type { Quantity, Range } from '../units/field.ts';

/* What is stored is described once, as fields: from them come the checks of a file and its JSON Schema. */

/** A rule of a whole value, besides what its parts say; the message follows the field's name. */
export interface Rule {
  name: string;
  message: string;
  holds: (value: never) => boolean;
}

/** Least and greatest of a figure and, where it says so, how it is shown. */
type ShownRange = Range & Partial<Quantity>;

/** What a value may be, as plain data. */
export type Shape =
  | { kind: 'figure'; range: ShownRange; whole: boolean }
  | { kind: 'words'; least: number; most: number; pattern: { of: RegExp; message: string } | null }
  | { kind: 'time' }
  | { kind: 'flag' }
  | { kind: 'choice'; values: readonly string[] }
  | { kind: 'list'; of: Field<unknown>; least: number; most: number; tooFew: string }
  | { kind: 'record'; fields: Readonly<Record<string, Field<unknown>>> }
  | { kind: 'null or'; of: Field<unknown> }
  /** A record of one of several kinds, told by its own field "kind". */
  | { kind: 'by kind'; of: Readonly<Record<string, Field<unknown>>> }
  /** Values by names that are not known before; null where they may be anything. */
  | { kind: 'by name'; of: Field<unknown> | null; wrong: string }
  /** Tried by one function, where a check of each part would take seconds. */
  | { kind: 'swift'; like: Field<unknown>; message: string; isSo: (value: unknown) => boolean };

/** What is said of a stored thing besides its shape. */
interface About {
  rules: readonly Rule[];
  /** It may be left out. */
  mayMiss: boolean;
  /** The name under which a JSON Schema refers to it; null where it is written out in its place. */
  known: string | null;
  /** What people call it, where the name in the program does not say it. */
  label: string | null;
  /** What it means, where its label leaves that open. */
  hint: string | null;
  /** What it is until somebody decides; undefined where somebody must. */
  usual: unknown;
  /** The version of the build file that brought it. */
  since: number;
}
const plain: About = {
  rules: [],
  mayMiss: false,
  known: null,
  label: null,
  hint: null,
  usual: undefined,
  since: 1,
};

/** One stored thing: its shape and what is said of it. `T` is its type in the program. */
export class Field<T> {
  /** Only for the compiler. */
  declare readonly type: T;

  constructor(
    readonly shape: Shape,
    readonly about: About = plain,
  ) {}

  private with(about: Partial<About>): Field<T> {
    return new Field(this.shape, { ...this.about, ...about });
  }
  /** The same with one rule more. */
  rule(name: string, message: string, holds: (value: T) => boolean): Field<T> {
    return this.with({ rules: [...this.about.rules, { name, message, holds }] });
  }
  /** The same, but it may be left out. */
  orMissing(): Field<T> {
    return this.with({ mayMiss: true });
  }
  /** The same, written once in a JSON Schema and referred to by name. */
  knownAs(name: string): Field<T> {
    return this.with({ known: name });
  }
  /** The same, with what people call it and, where that leaves it open, what it means. */
  called(label: string, hint: string | null = null): Field<T> {
    return this.with({ label, hint });
  }
  /** The same, with what it is until somebody decides. */
  usually(usual: T): Field<T> {
    return this.with({ usual });
  }
  /** The same, as a later version of the build file brought it. */
  since(version: number): Field<T> {
    return this.with({ since: version });
  }
}

export const figure = (range: ShownRange): Field<number> =>
  new Field({ kind: 'figure', range, whole: false });
export const wholeFigure = (range: ShownRange): Field<number> =>
  new Field({ kind: 'figure', range, whole: true });
export const words = (most: number, least = 0): Field<string> =>
  new Field({ kind: 'words', least, most, pattern: null });
/** Words of letters, digits and little else. */
export const wordsLike = (of: RegExp, most: number, message: string): Field<string> =>
  new Field({ kind: 'words', least: 1, most, pattern: { of, message } });
export const id = (): Field<string> =>
  wordsLike(/^[A-Za-z0-9_-]{1,64}$/, 64, 'is no identifier (letters, digits, - and _)');
export const isoTime = (): Field<string> => new Field({ kind: 'time' });
export const flag = (): Field<boolean> => new Field({ kind: 'flag' });
export const oneOf = <T extends string>(values: readonly T[]): Field<T> =>
  new Field({ kind: 'choice', values });
export const list = <T>(of: Field<T>, most: number, least = 0, tooFew?: string): Field<T[]> =>
  new Field({ kind: 'list', of, least, most, tooFew: tooFew ?? `needs at least ${least} entries` });
/** So many figures, such as a place: two for one in the plane, three in space. */
export const figures = <T extends number[]>(range: Range, count: T['length']): Field<T> =>
  list(figure(range), count, count, `needs ${count === 2 ? 'two' : 'three'} numbers`) as never;
export const orNull = <T>(of: Field<T>): Field<T | null> => new Field({ kind: 'null or', of });
export const record = <T extends object>(fields: {
  [K in keyof T]-?: Field<Exclude<T[K], undefined>>;
}): Field<T> => new Field({ kind: 'record', fields: fields });
export const byKind = <T extends { kind: string }>(of: {
  [K in T['kind']]: Field<Extract<T, { kind: K }>>;
}): Field<T> => new Field({ kind: 'by kind', of: of });
export const byName = <T>(of: Field<T> | null, wrong: string): Field<Record<string, T>> =>
  new Field({ kind: 'by name', of, wrong });
export const swift = <T>(
  like: Field<T>,
  message: string,
  isSo: (value: unknown) => boolean,
): Field<T> => new Field({ kind: 'swift', like, message, isSo });
