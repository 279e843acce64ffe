import { strToU8, zipSync, type Zippable } from 'fflate';
import type { CarveResult } from '../carve/result.ts';
import { buildVersion, type Build } from '../document/types.ts';
import { writeBuildFile } from '../document/write-file.ts';
import type { Pantry } from '../pantry/types.ts';
import {
  backupFormat,
  backupVersion,
  type BackupHand,
  type BackupManifest,
  type BackupPantry,
  type BackupSettings,
} from './backup-fields.ts';

/** An earlier state of a cake, as it was saved. */
export interface KeptVersion {
  revision: number;
  at: string;
  label: string;
  build: Build;
}
export interface KeptCake {
  build: Build;
  updatedAt: string;
  /** Earlier versions, if they are wanted. */
  versions: KeptVersion[];
  /** What the solids said of its carved tiers. */
  carvings: CarveResult[];
}
/** A photo, and the cake that it belongs to. */
export interface KeptPicture {
  id: string;
  buildId: string;
  at: string;
  /** A JPEG. */
  bytes: Uint8Array;
}
/** All that is kept. */
export interface Kept {
  cakes: KeptCake[];
  pictures: KeptPicture[];
  pantry: BackupPantry;
  hand: BackupHand;
  settings: BackupSettings | null;
}

/** How hard texts are compressed: a little better would take three times as long. */
const quick = 3;
/** Of packing, the share that writing the cakes is; the rest is the archive. */
const writingShare = 0.5;

/**
 * A zip of everything: each cake as a build file that opens by itself, its earlier versions, the photos, the
 * user's rows, what was learnt, the settings; and a list of all of it, so that what is missing is known.
 *
 * @param pantry what the cakes stand on, with the user's rows; @param madeAt an ISO time
 * @param progress is told the share that is done
 */
export function packBackup(
  kept: Kept,
  pantry: Pantry,
  madeAt: string,
  progress: (share: number) => void = () => undefined,
): Uint8Array {
  const files: Zippable = {};
  const sizes: BackupManifest['files'] = [];
  const put = (name: string, bytes: Uint8Array, level: 0 | 3 = quick): void => {
    files[name] = [bytes, { level }];
    sizes.push({ name, bytes: bytes.length });
  };
  const json = (name: string, value: unknown): void => put(name, strToU8(JSON.stringify(value)));
  kept.cakes.forEach(({ build, versions, carvings }, i) => {
    put(`cakes/${build.id}.json`, strToU8(writeBuildFile(build, pantry, carvings)));
    if (versions.length > 0) json(`versions/${build.id}.json`, { versions });
    if (i % 20 === 0) progress((i / kept.cakes.length) * writingShare);
  });
  json('pantry.json', kept.pantry);
  json('hand.json', kept.hand);
  if (kept.settings) json('settings.json', kept.settings);
  // they are compressed already
  for (const { id, bytes } of kept.pictures) put(`pictures/${id}.jpg`, bytes, 0);
  const list: BackupManifest = {
    format: backupFormat,
    version: backupVersion,
    buildVersion,
    madeAt,
    cakes: kept.cakes.map(({ build, updatedAt }) => ({ id: build.id, updatedAt })),
    pictures: kept.pictures.map(({ id, buildId, at }) => ({ id, buildId, at })),
    files: sizes,
  };
  progress(writingShare);
  // first in the archive, so that whoever looks into it sees what it is
  const bytes = zipSync({ 'backup.json': strToU8(JSON.stringify(list, null, 1)), ...files });
  progress(1);
  return bytes;
}
