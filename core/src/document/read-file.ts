import type { CarveResult } from '../carve/result.ts';
import type { CarriedRows } from '../pantry/fields.ts';
import { maxFileLength } from './limits.ts';
import { pantryTables } from '../pantry/types.ts';
import { startingPantry } from '../pantry/starting/index.ts';
import { isSame } from './three-way.ts';
import { migrate } from './migrations/migrate.ts';
import { crowdIn, lineOf, problemsOf, readJson, shorten, type FileProblem } from './read-json.ts';
import { buildSchema, carriedRowsSchema, carvingsSchema, contents } from './schema.ts';
import { buildVersion, type Build } from './types.ts';

export const fileFormat = 'pyrgotect-build';

export type ReadResult =
  | { ok: true; build: Build; rows: CarriedRows; carvings: CarveResult[] }
  | { ok: false; problems: FileProblem[] };

const one = (problem: Partial<FileProblem> & { message: string }): ReadResult => ({
  ok: false,
  problems: [{ line: null, path: null, value: null, ...problem }],
});

/** The built-in rows, by table and id. */
let known: ReadonlyMap<string, unknown> | null = null;
function builtIn(): ReadonlyMap<string, unknown> {
  if (known) return known;
  const pantry = startingPantry();
  return (known = new Map(
    pantryTables.flatMap((table) =>
      pantry[table].map((row): [string, unknown] => [`${table}/${row.id}`, row]),
    ),
  ));
}
/** True of rows that can be: most are the built-in ones, which are known to be so. */
function rowsHold(rows: unknown): boolean {
  if (typeof rows !== 'object' || rows === null) return false;
  const own = Object.entries(rows).map(([table, list]): [string, unknown] => [
    table,
    Array.isArray(list)
      ? list.filter(
          (row: { id?: unknown } | null) =>
            !isSame(row, builtIn().get(`${table}/${String(row?.id)}`)),
        )
      : list,
  ]);
  return carriedRowsSchema.isValidSync(Object.fromEntries(own), { strict: true });
}

/**
 * Reads a build file. Nothing is guessed: a file that is cut short, of another format, of a newer
 * version, too large, or with a value out of bounds comes back as problems that name the line, the
 * field and the value. Older versions are migrated; fields of a newer minor kind are kept.
 */
export function readBuildFile(text: string): ReadResult {
  const json = readJson(text, maxFileLength, 'build file');
  if (!json.ok) return json;
  const { file } = json;
  if (file.format !== fileFormat)
    return one({
      path: 'format',
      line: lineOf(json.text, ['format']),
      value: shorten(file.format),
      message: `This is not a Pyrgotect build: its format is ${shorten(file.format)}, not “${fileFormat}”.`,
    });
  const { version } = file;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return one({
      path: 'version',
      line: lineOf(json.text, ['version']),
      value: shorten(version),
      message: `The file’s version, ${shorten(version)}, is no whole number.`,
    });
  if (version > buildVersion)
    return one({
      path: 'version',
      line: lineOf(json.text, ['version']),
      value: shorten(version),
      message: `The file was made by a newer Pyrgotect (version ${version}; this one reads up to ${buildVersion}). Update the program and try again.`,
    });

  const migrated = version === buildVersion ? file : migrate(file);
  const crowd = crowdIn(contents, migrated, json.text);
  if (crowd) return { ok: false, problems: [crowd] };
  const problems = [
    ...problemsOf(buildSchema, migrated.build, 'build', json.text, contents),
    ...(rowsHold(migrated.pantry)
      ? []
      : problemsOf(carriedRowsSchema, migrated.pantry, 'pantry', json.text, contents)),
    ...problemsOf(carvingsSchema, migrated.carvings, 'carvings', json.text, contents),
  ];
  if (problems.length > 0) return { ok: false, problems };
  return {
    ok: true,
    build: migrated.build as Build,
    rows: migrated.pantry as CarriedRows,
    carvings: migrated.carvings as CarveResult[],
  };
}
