import { strFromU8 } from 'fflate';
import { unpack } from '../archive/unpack.ts';
import { migrate } from '../document/migrations/migrate.ts';
import { readBuildFile } from '../document/read-file.ts';
import { crowdIn, problemsOf, readJson, type FileProblem } from '../document/read-json.ts';
import { buildSchema } from '../document/schema.ts';
import { buildVersion, type Build } from '../document/types.ts';
import { checksOf } from '../fields/checks.ts';
import { isoTime, list, record, wholeFigure, words, type Field } from '../fields/field.ts';
import { build as buildField } from '../document/build-fields.ts';
import { noRows, type CarriedRows } from '../pantry/fields.ts';
import {
  backupFormat,
  backupHand,
  backupLimits,
  backupPantry,
  backupSettings,
  backupVersion,
  manifest,
  type BackupManifest,
} from './backup-fields.ts';
import type { Kept, KeptCake, KeptPicture, KeptVersion } from './pack.ts';

/** What of a backup cannot be read: a file of it, and why. */
export interface Unreadable {
  file: string;
  problems: FileProblem[];
}
export interface ReadBackup extends Kept {
  madeAt: string;
  /** Rows that each cake stands on, by the cake's id. */
  rowsOf: Map<string, CarriedRows>;
  /** Files that are left out, for they cannot be read; the rest can be taken. */
  unreadable: Unreadable[];
}
export type BackupResult = { ok: true; backup: ReadBackup } | { ok: false; problem: string };

const versionList = record<{ versions: Omit<KeptVersion, 'build'>[] }>({
  versions: list(
    record({
      revision: wholeFigure({ min: 0, max: 1e9 }),
      at: isoTime(),
      label: words(400),
    }),
    2000,
  ),
});
const nothing = {
  pantry: { rows: noRows(), removed: [], kitchen: null },
  hand: { records: [], tries: [], off: [] },
};

/** Of reading, the share that unpacking is; the rest is looking at what was unpacked. */
const unpackingShare = 0.4;

/**
 * Reads a backup. What is no backup, is cut, climbs, swells or lacks a file of its list is refused as a whole;
 * a file of it that holds what no cake or row can be is named, and left out.
 *
 * @param progress is told the share that is done
 */
export function readBackup(
  bytes: Uint8Array,
  progress: (share: number) => void = () => undefined,
): BackupResult {
  const refused = (problem: string): BackupResult => ({ ok: false, problem });
  if (bytes.length > backupLimits.bytes)
    return refused(
      `The file is ${Math.round(bytes.length / 1e6)} MB large. A backup is at most ${backupLimits.bytes / 1e6} MB.`,
    );
  const unpacked = unpack(
    bytes,
    {
      most: 2 * backupLimits.cakes + backupLimits.pictures + 10,
      mostEach: backupLimits.eachBytes,
      mostInAll: 2 * backupLimits.bytes,
    },
    (share) => progress(share * unpackingShare),
  );
  if (!unpacked.ok) return refused(unpacked.problem);
  const { files } = unpacked;
  const listed = files.get('backup.json');
  if (!listed)
    return refused(
      files.has('cake.json')
        ? 'This is one cake with its pictures, no backup: open it on the shelf.'
        : 'The archive has no “backup.json”: it is no backup of Pyrgotect.',
    );
  const head = part<BackupManifest>(listed, manifest, headProblem);
  if (!head.ok) return refused(`backup.json: ${head.problems[0]!.message}`);
  const missing = head.value.files.find(
    ({ name, bytes: size }) => files.get(name)?.length !== size,
  );
  if (missing)
    return refused(
      files.has(missing.name)
        ? `“${missing.name}” is not as long as the backup says: it was changed.`
        : `“${missing.name}” is missing in the backup.`,
    );
  return { ok: true, backup: contentsOf(head.value, files, progress) };
}

/** Why a list of a backup is none that can be read; null where it can. */
function headProblem(file: Record<string, unknown>): string | null {
  if (file.format !== backupFormat) return 'this is no backup of Pyrgotect.';
  const newer = (now: unknown, known: number): boolean => typeof now === 'number' && now > known;
  return newer(file.version, backupVersion) || newer(file.buildVersion, buildVersion)
    ? 'it was made by a newer Pyrgotect. Update the program and try again.'
    : null;
}

type Part<T> = { ok: true; value: T } | { ok: false; problems: FileProblem[] };
const problem = (message: string): { ok: false; problems: FileProblem[] } => ({
  ok: false,
  problems: [{ line: null, path: null, value: null, message }],
});

/** A JSON file of the backup, checked by its description. @param first what is looked at before */
function part<T>(
  bytes: Uint8Array,
  of: Field<T>,
  first: (file: Record<string, unknown>) => string | null = () => null,
): Part<T> {
  const json = readJson(strFromU8(bytes), backupLimits.eachBytes, 'part of a backup');
  if (!json.ok) return json;
  const told = first(json.file);
  if (told) return problem(told);
  const crowd = crowdIn(of, json.file, json.text);
  if (crowd) return { ok: false, problems: [crowd] };
  const problems = problemsOf(checksOf(of), json.file, '', json.text, of);
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: json.file as T };
}

function contentsOf(
  { madeAt, cakes, pictures, buildVersion: version }: BackupManifest,
  files: ReadonlyMap<string, Uint8Array>,
  progress: (share: number) => void,
): ReadBackup {
  const unreadable: Unreadable[] = [];
  const rowsOf = new Map<string, CarriedRows>();
  /** What a file holds; one that cannot be read is named. */
  const taken = <T>(file: string, read: (bytes: Uint8Array) => Part<T>): T | null => {
    const bytes = files.get(file);
    if (!bytes) return null;
    const found = read(bytes);
    if (!found.ok) unreadable.push({ file, problems: found.problems });
    return found.ok ? found.value : null;
  };
  const kept = cakes.flatMap(({ id, updatedAt }, i): KeptCake[] => {
    if (i % 10 === 0) progress(unpackingShare + (i / cakes.length) * (1 - unpackingShare));
    const cake = taken(`cakes/${id}.json`, (bytes) => {
      const read = readBuildFile(strFromU8(bytes));
      if (!read.ok) return read;
      if (read.build.id !== id) return problem(`The file holds another cake, “${read.build.id}”.`);
      return { ok: true as const, value: read };
    });
    if (!cake) return [];
    rowsOf.set(id, cake.rows);
    const versions = taken(`versions/${id}.json`, (bytes) => readVersions(bytes, version)) ?? [];
    return [{ build: cake.build, updatedAt, versions, carvings: cake.carvings }];
  });
  const photos = pictures.flatMap(({ id, buildId, at }): KeptPicture[] => {
    const bytes = files.get(`pictures/${id}.jpg`);
    return bytes ? [{ id, buildId, at, bytes }] : [];
  });
  return {
    madeAt,
    cakes: kept,
    pictures: photos,
    pantry: taken('pantry.json', (bytes) => readPantry(bytes, version)) ?? nothing.pantry,
    hand: taken('hand.json', (bytes) => part(bytes, backupHand)) ?? nothing.hand,
    settings: taken('settings.json', (bytes) => part(bytes, backupSettings)),
    rowsOf,
    unreadable,
  };
}

/** Rows as this program knows them, whichever wrote them. */
function readPantry(bytes: Uint8Array, version: number): Part<Kept['pantry']> {
  if (version === buildVersion) return part(bytes, backupPantry);
  const json = readJson(strFromU8(bytes), backupLimits.eachBytes, 'part of a backup');
  if (!json.ok) return json;
  const { pantry } = migrate({ version, build: {}, pantry: json.file.rows });
  const value = { ...json.file, rows: { ...noRows(), ...(pantry as object) } };
  const problems = problemsOf(checksOf(backupPantry), value, '', json.text, backupPantry);
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, value: value as unknown as Kept['pantry'] };
}

/** Earlier versions of a cake; each is a cake that can be, or all are left out. */
function readVersions(bytes: Uint8Array, version: number): Part<KeptVersion[]> {
  const read = part(bytes, versionList);
  if (!read.ok) return read;
  const versions: KeptVersion[] = [];
  for (const one of read.value.versions as KeptVersion[]) {
    const { build } = migrate({ version, build: one.build, pantry: {} });
    const [wrong] = problemsOf(buildSchema, build, 'build', '', record({ build: buildField }));
    if (wrong) return problem(`The version of ${one.at}: ${wrong.message}`);
    versions.push({ ...one, build: build as Build });
  }
  return { ok: true, value: versions };
}
