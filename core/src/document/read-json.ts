import { findNodeAtLocation, parseTree, type Node, type ParseError } from 'jsonc-parser';
import { ValidationError } from 'yup';
import type { Field } from '../fields/field.ts';
import { hasOver, tooMany } from '../fields/too-many.ts';
import { fieldProblem } from './field-words.ts';
import { tooDeepAt } from './nesting.ts';

/* Reading JSON that comes from outside: its size, its depth, its parts, and where in it something is wrong. */

export interface FileProblem {
  /** Line in the file, from 1, where it is known. */
  line: number | null;
  /** Field, for instance "build.tiers[0].layers[2].heightMm". */
  path: string | null;
  /** The value found there, shortened. */
  value: string | null;
  message: string;
}

/** What was read, or why it was not. */
export type Json =
  | { ok: true; file: Record<string, unknown>; text: string }
  | { ok: false; problems: FileProblem[] };

const hostileKeys = new Set(['__proto__', 'constructor', 'prototype']);
const maxDepth = 40;

const lineAt = (text: string, offset: number): number => {
  let line = 1;
  for (let i = 0; i < offset && i < text.length; i++) if (text.charCodeAt(i) === 10) line += 1;
  return line;
};

type Path = (string | number)[];
export const toPath = (text: string): Path =>
  [...text.matchAll(/\[(\d+)\]|([^.[\]]+)/g)].map((m) =>
    m[1] !== undefined ? Number(m[1]) : m[2]!,
  );

/** Tells the line of a field, or of the nearest field around it that the file has. */
function linesOf(text: string): (path: Path) => number | null {
  let tree: Node | null | undefined;
  return (path) => {
    tree ??= parseTree(text) ?? null;
    if (!tree) return null;
    for (let length = path.length; length >= 0; length--) {
      const node = findNodeAtLocation(tree, path.slice(0, length));
      if (node) return lineAt(text, node.offset);
    }
    return null;
  };
}

/** Line of a field, or of the nearest field around it that the file has. */
export const lineOf = (text: string, path: Path): number | null => linesOf(text)(path);

export const shorten = (value: unknown): string => {
  const text = JSON.stringify(value) ?? 'nothing';
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
};

/** First key that could reach what is not the file's, as a path. */
function findHostile(value: unknown, path: string): string | null {
  if (typeof value !== 'object' || value === null) return null;
  for (const key of Object.keys(value)) {
    const here = Array.isArray(value) ? `${path}[${key}]` : path ? `${path}.${key}` : key;
    if (hostileKeys.has(key)) return here;
    const inside = findHostile((value as Record<string, unknown>)[key], here);
    if (inside) return inside;
  }
  return null;
}

const refused = (
  problem: Partial<FileProblem> & { message: string },
): Extract<Json, { ok: false }> => ({
  ok: false,
  problems: [{ line: null, path: null, value: null, ...problem }],
});

/**
 * The object that a JSON text holds; refused is one that is too long, cut, nested too deep, or has a field that
 * reaches what is not the file's.
 *
 * @param most longest text that is read, characters; @param what what the text should be, for messages
 */
export function readJson(given: string, most: number, what: string): Json {
  if (given.length > most)
    return refused({
      message: `The file is ${(given.length / 1e6).toFixed(1)} MB long. A ${what} is at most ${most / 1e6} MB.`,
    });
  const text = given.replace(/^\uFEFF/, '');
  const deepAt = tooDeepAt(text, maxDepth);
  if (deepAt !== null) {
    const line = lineAt(text, deepAt);
    return refused({
      line,
      message: `Line ${line}: the file nests deeper than ${maxDepth} brackets; a ${what} does not.`,
    });
  }
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return syntaxProblem(text);
  }
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    return refused({ line: 1, message: `This is not a ${what}: it holds no object.` });
  const file = parsed as Record<string, unknown>;
  const hostile = findHostile(file, '');
  if (hostile) {
    const line = lineOf(text, toPath(hostile));
    const message = `The file has a field “${hostile}” that a ${what} cannot have.`;
    return refused({ path: hostile, line, message });
  }
  return { ok: true, file, text };
}

/** The first list of a value that has more entries than it may; null where none has. */
export function crowdIn(field: Field<unknown>, value: unknown, text: string): FileProblem | null {
  const crowd = tooMany(field, value);
  if (!crowd) return null;
  const line = lineOf(text, toPath(crowd.path));
  const says = `has ${crowd.count} entries, and may have ${crowd.most}`;
  const where = fieldProblem(crowd.path, says, 'the file', field);
  const message = `${line === null ? '' : `Line ${line}: `}${where}.`;
  return { line, path: crowd.path, value: null, message };
}

function syntaxProblem(text: string): Extract<Json, { ok: false }> {
  const errors: ParseError[] = [];
  parseTree(text, errors);
  const first = errors[0] ?? { offset: text.length, length: 0 };
  const end = text.trimEnd().length;
  const cut = /^\s*[{[]/.test(text) && first.offset + first.length >= end;
  const offset = cut ? text.length : first.offset;
  const line = lineAt(text, offset);
  if (text.trim() === '') return refused({ line: 1, message: 'The file is empty.' });
  return refused({
    line,
    message: cut
      ? `The file ends too early, in line ${line}: part of it is missing.`
      : `The file is not JSON: line ${line} cannot be read.`,
  });
}

interface Checks {
  isValidSync(value: unknown, options: object): boolean;
  validateSync(value: unknown, options: object): unknown;
}

/** Of a value with more parts than this the first problem is enough: to gather all of them could take minutes. */
const gatheredParts = 30_000;

/**
 * At most ten problems of a value against its schema, each with field, line and value.
 *
 * @param root where the value stands in the file; @param of describes what stands there, for names of its fields
 */
export function problemsOf(
  schema: Checks,
  value: unknown,
  root: string,
  text: string,
  of: Field<unknown>,
): FileProblem[] {
  // most have none, and to look for the first is quicker than to gather all
  if (schema.isValidSync(value, { strict: true })) return [];
  try {
    schema.validateSync(value, { abortEarly: hasOver(value, gatheredParts), strict: true });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const all = error.inner.length > 0 ? error.inner : [error];
    const lineIn = linesOf(text);
    return all.slice(0, 10).map((problem) => {
      const inside = problem.path ?? '';
      const path = `${root}${root && inside && !inside.startsWith('[') ? '.' : ''}${inside}`;
      const line = lineIn(toPath(path));
      const found: unknown = (problem.params as { value?: unknown } | undefined)?.value;
      return {
        line,
        path,
        value: found === undefined ? null : shorten(found),
        message: `${line === null ? '' : `Line ${line}: `}${fieldProblem(path, problem.errors[0], root, of)}.`,
      };
    });
  }
}
