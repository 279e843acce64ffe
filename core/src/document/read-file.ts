import { hasOver, tooMany } from '../fields/too-many.ts';
import { fieldProblem } from './field-words.ts';
import { findNodeAtLocation, parseTree, type ParseError } from 'jsonc-parser';
import { ValidationError } from 'yup';
import type { CarveResult } from '../carve/result.ts';
import type { CarriedRows } from '../pantry/fields.ts';
import { maxFileLength } from './limits.ts';
import { tooDeepAt } from './nesting.ts';
import { migrate } from './migrations/migrate.ts';
import { buildSchema, carriedRowsSchema, carvingsSchema, contents } from './schema.ts';
import { buildVersion, type Build } from './types.ts';

export const fileFormat = 'pyrgotect-build';

export interface FileProblem {
  /** Line in the file, from 1, where it is known. */
  line: number | null;
  /** Field, for instance "build.tiers[0].layers[2].heightMm". */
  path: string | null;
  /** The value found there, shortened. */
  value: string | null;
  message: string;
}

export type ReadResult =
  | { ok: true; build: Build; rows: CarriedRows; carvings: CarveResult[] }
  | { ok: false; problems: FileProblem[] };

const hostileKeys = new Set(['__proto__', 'constructor', 'prototype']);
const maxDepth = 40;

const lineAt = (text: string, offset: number): number => {
  let line = 1;
  for (let i = 0; i < offset && i < text.length; i++) if (text.charCodeAt(i) === 10) line += 1;
  return line;
};

type Path = (string | number)[];
const toPath = (text: string): Path =>
  [...text.matchAll(/\[(\d+)\]|([^.[\]]+)/g)].map((m) =>
    m[1] !== undefined ? Number(m[1]) : m[2]!,
  );

/** Line of a field, or of the nearest field around it that the file has. */
function lineOf(text: string, path: Path): number | null {
  const tree = parseTree(text);
  if (!tree) return null;
  for (let length = path.length; length >= 0; length--) {
    const node = findNodeAtLocation(tree, path.slice(0, length));
    if (node) return lineAt(text, node.offset);
  }
  return null;
}

const shorten = (value: unknown): string => {
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

const one = (problem: Partial<FileProblem> & { message: string }): ReadResult => ({
  ok: false,
  problems: [{ line: null, path: null, value: null, ...problem }],
});

/**
 * Reads a build file. Nothing is guessed: a file that is cut short, of another format, of a newer
 * version, too large, or with a value out of bounds comes back as problems that name the line, the
 * field and the value. Older versions are migrated; fields of a newer minor kind are kept.
 */
export function readBuildFile(text: string): ReadResult {
  if (text.length > maxFileLength)
    return one({
      message: `The file is ${(text.length / 1e6).toFixed(1)} MB long. A build file is at most ${maxFileLength / 1e6} MB.`,
    });
  const clean = text.replace(/^\uFEFF/, '');
  const deepAt = tooDeepAt(clean, maxDepth);
  if (deepAt !== null) {
    const line = lineAt(clean, deepAt);
    return one({
      line,
      message: `Line ${line}: the file nests deeper than ${maxDepth} brackets; a build does not.`,
    });
  }
  let parsed: unknown;
  try {
    parsed = JSON.parse(clean);
  } catch {
    return syntaxProblem(clean);
  }
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    return one({ line: 1, message: 'This is not a build file: it holds no object.' });
  const file = parsed as Record<string, unknown>;
  const hostile = findHostile(file, '');
  if (hostile)
    return one({
      path: hostile,
      line: lineOf(clean, toPath(hostile)),
      message: `The file has a field “${hostile}” that a build cannot have.`,
    });
  if (file.format !== fileFormat)
    return one({
      path: 'format',
      line: lineOf(clean, ['format']),
      value: shorten(file.format),
      message: `This is not a Pyrgotect build: its format is ${shorten(file.format)}, not “${fileFormat}”.`,
    });
  const { version } = file;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return one({
      path: 'version',
      line: lineOf(clean, ['version']),
      value: shorten(version),
      message: `The file’s version, ${shorten(version)}, is no whole number.`,
    });
  if (version > buildVersion)
    return one({
      path: 'version',
      line: lineOf(clean, ['version']),
      value: shorten(version),
      message: `The file was made by a newer Pyrgotect (version ${version}; this one reads up to ${buildVersion}). Update the program and try again.`,
    });

  const migrated = version === buildVersion ? file : migrate(file);
  const crowd = tooMany(contents, migrated);
  if (crowd) {
    const line = lineOf(clean, toPath(crowd.path));
    const where = fieldProblem(
      crowd.path,
      `has ${crowd.count} entries, and may have ${crowd.most}`,
      'the file',
      contents,
    );
    return one({
      line,
      path: crowd.path,
      message: `${line === null ? '' : `Line ${line}: `}${where}.`,
    });
  }
  const problems = [
    ...check(buildSchema, migrated.build, 'build', clean),
    ...check(carriedRowsSchema, migrated.pantry, 'pantry', clean),
    ...check(carvingsSchema, migrated.carvings, 'carvings', clean),
  ];
  if (problems.length > 0) return { ok: false, problems };
  return {
    ok: true,
    build: migrated.build as Build,
    rows: migrated.pantry as CarriedRows,
    carvings: migrated.carvings as CarveResult[],
  };
}

function syntaxProblem(text: string): ReadResult {
  const errors: ParseError[] = [];
  parseTree(text, errors);
  const first = errors[0] ?? { offset: text.length, length: 0 };
  const end = text.trimEnd().length;
  const cut = /^\s*[{[]/.test(text) && first.offset + first.length >= end;
  const offset = cut ? text.length : first.offset;
  const line = lineAt(text, offset);
  if (text.trim() === '') return one({ line: 1, message: 'The file is empty.' });
  return one({
    line,
    message: cut
      ? `The file ends too early, in line ${line}: part of it is missing.`
      : `The file is not JSON: line ${line} cannot be read.`,
  });
}

interface Checks {
  validateSync(value: unknown, options: object): unknown;
}

/** Of a value with more parts than this the first problem is enough: to gather all of them could take minutes. */
const gatheredParts = 30_000;

/** At most ten problems of a value against its schema, each with field, line and value. */
function check(schema: Checks, value: unknown, root: string, text: string): FileProblem[] {
  try {
    schema.validateSync(value, { abortEarly: hasOver(value, gatheredParts), strict: true });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const all = error.inner.length > 0 ? error.inner : [error];
    return all.slice(0, 10).map((problem) => {
      const inside = problem.path ?? '';
      const path = `${root}${inside && !inside.startsWith('[') ? '.' : ''}${inside}`;
      const line = lineOf(text, toPath(path));
      const found: unknown = (problem.params as { value?: unknown } | undefined)?.value;
      return {
        line,
        path,
        value: found === undefined ? null : shorten(found),
        message: `${line === null ? '' : `Line ${line}: `}${fieldProblem(path, problem.errors[0], root, contents)}.`,
      };
    });
  }
}
