import { isArchive } from '../archive/cake-archive.ts';
import { maxFileLength } from '../document/limits.ts';
import {
  byName,
  id,
  isoTime,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
  type Field,
} from '../fields/field.ts';
import { jsonOf, type JsonSchema } from '../fields/json-schema.ts';
import { keptOff, keptRecord, keptTry } from '../hand/kept-fields.ts';
import type { HandKind } from '../hand/kinds.ts';
import type { KeptRecord } from '../hand/corrections.ts';
import type { Try } from '../hand/practice.ts';
import { rowFields, type CarriedRows } from '../pantry/fields.ts';
import { pantryTables, type Kitchen, type PantryTable } from '../pantry/types.ts';
import { kitchen } from '../pantry/ware-fields.ts';

/* What a backup holds besides its cakes, which are build files, and its pictures. */

export const backupFormat = 'pyrgotect-backup';
/** Version of the backup's own files; its cakes and rows go by the version of the build file. */
export const backupVersion = 1;

/** Most of each that a backup may hold. A kitchen has some hundred cakes and some thousand rows. */
export const backupLimits = {
  cakes: 5000,
  pictures: 20_000,
  rows: 20_000,
  records: 200_000,
  /** Bytes of the whole, as a file. */
  bytes: 1_500_000_000,
  /** Bytes of one file in it, unpacked: the versions of a cake are many cakes. */
  eachBytes: 120 * maxFileLength,
} as const;

/** One file of the backup and how long it is, so that what is missing is known. */
export interface BackupEntry {
  name: string;
  bytes: number;
}
export interface BackupManifest {
  format: string;
  version: number;
  /** Version of the build file in which cakes, rows and earlier versions are written. */
  buildVersion: number;
  madeAt: string;
  cakes: { id: string; updatedAt: string }[];
  pictures: { id: string; buildId: string; at: string }[];
  files: BackupEntry[];
}
export const manifest = record<BackupManifest>({
  format: oneOf([backupFormat]),
  version: wholeFigure({ min: 1, max: backupVersion }),
  buildVersion: wholeFigure({ min: 1, max: 1000 }),
  madeAt: isoTime(),
  cakes: list(record({ id: id(), updatedAt: isoTime() }), backupLimits.cakes),
  pictures: list(record({ id: id(), buildId: id(), at: isoTime() }), backupLimits.pictures),
  files: list(
    record<BackupEntry>({ name: words(200, 1), bytes: wholeFigure({ min: 0, max: 2e9 }) }),
    2 * backupLimits.cakes + backupLimits.pictures + 4,
  ),
});

/** The user's own rows, the built-in ones that were taken out, and the kitchen. */
export interface BackupPantry {
  rows: CarriedRows;
  removed: { table: PantryTable; id: string }[];
  kitchen: Kitchen | null;
}
const rowsOf = <T>(of: Field<T>): Field<T[]> => list(of, backupLimits.rows);
export const backupPantry = record<BackupPantry>({
  rows: record<CarriedRows>({
    sponges: rowsOf(rowFields.sponges),
    spreads: rowsOf(rowFields.spreads),
    tins: rowsOf(rowFields.tins),
    boards: rowsOf(rowFields.boards),
    others: rowsOf(rowFields.others),
    recipes: rowsOf(rowFields.recipes),
    foods: rowsOf(rowFields.foods),
    ganaches: rowsOf(rowFields.ganaches),
    dowels: rowsOf(rowFields.dowels),
    stock: rowsOf(rowFields.stock),
  }),
  removed: list(record({ table: oneOf(pantryTables), id: id() }), backupLimits.rows),
  kitchen: orNull(kitchen),
});

/** What was learnt of the hand: records, drills, and which kinds plans do not heed. */
export interface BackupHand {
  records: KeptRecord[];
  tries: Try[];
  off: HandKind[];
}
export const backupHand = record<BackupHand>({
  records: list(keptRecord, backupLimits.records),
  tries: list(keptTry, backupLimits.records),
  off: keptOff,
});

/** How the program is set: units, colours, habits. Whoever reads it checks it by itself. */
export type BackupSettings = Record<string, unknown>;
export const backupSettings: Field<BackupSettings> = byName<unknown>(null, 'are no settings');

/** JSON Schema (draft 2020-12) of the files of a backup that are no build files. */
export function backupSchema(): JsonSchema {
  const known = new Map<string, JsonSchema>();
  const parts = {
    'backup.json': jsonOf(manifest, known),
    'pantry.json': jsonOf(backupPantry, known),
    'hand.json': jsonOf(backupHand, known),
    'settings.json': jsonOf(backupSettings, known),
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `urn:pyrgotect:backup:${backupVersion}`,
    title: 'Files of a Pyrgotect backup',
    description:
      'A zip archive; each file of it by its name. Files in “cakes” are build files, files in “versions” hold earlier builds of one cake, files in “pictures” are JPEG.',
    type: 'object',
    properties: parts,
    $defs: Object.fromEntries(known),
  };
}

const firstName = new TextEncoder().encode('backup.json');
/** True of an archive whose first file is the list of a backup. @param head its first 41 bytes or more */
export const isBackup = (head: Uint8Array): boolean =>
  isArchive(head) && firstName.every((byte, i) => head[zipNameAt + i] === byte);
/** In an archive the name of its first file begins here. */
const zipNameAt = 30;
