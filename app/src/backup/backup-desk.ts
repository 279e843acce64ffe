import {
  compareBackup,
  packBackup,
  planShape,
  readBackup,
  type BackupDifference,
  type CarveResult,
  type Pantry,
  type ReadBackup,
  type Unreadable,
} from '@pyrgotect/core';
import type { Database } from '../storage/database.ts';
import { gather, hereNow } from './gather.ts';
import { takeIn, type BackupChoice, type BackupTaken } from './take-in.ts';

/** What a backup holds, and what taking it in would change. */
export interface BackupPreview {
  madeAt: string;
  difference: BackupDifference;
  pictures: number;
  unreadable: Unreadable[];
}
export type BackupOpened = { ok: true; preview: BackupPreview } | { ok: false; problem: string };

/** Of making a backup, the share that gathering is; the rest is packing. */
const gatheringShare = 0.5;

/** What makes and reads backups; it runs beside the page, or in it where nothing is kept outside. */
export class BackupDesk {
  #open: { backup: ReadBackup; difference: BackupDifference } | null = null;
  constructor(private readonly db: () => Database) {}

  async make(
    withVersions: boolean,
    pantry: Pantry,
    progress: (share: number) => void,
  ): Promise<{ blob: Blob; cakes: number; pictures: number }> {
    const solved = (
      build: Parameters<typeof planShape>[0],
      known: ReadonlyMap<string, CarveResult>,
    ): CarveResult[] => {
      if (known.size === 0 || !build.tiers.some(({ carving }) => carving !== null)) return [];
      try {
        const { tiers } = planShape(build, pantry, (key) => known.get(key));
        return tiers.flatMap(({ carve }) => (carve?.result?.coat.exact ? [carve.result] : []));
      } catch {
        // a cake that cannot be worked out is kept all the same
        return [];
      }
    };
    const kept = await gather(this.db(), withVersions, solved, (share) =>
      progress(share * gatheringShare),
    );
    const bytes = packBackup(kept, pantry, new Date().toISOString(), (share) =>
      progress(gatheringShare + share * (1 - gatheringShare)),
    );
    const blob = new Blob([bytes as BlobPart], { type: 'application/zip' });
    return { blob, cakes: kept.cakes.length, pictures: kept.pictures.length };
  }

  /** Reads a backup and holds it until it is taken in, or another is opened. */
  async open(file: Blob, progress: (share: number) => void): Promise<BackupOpened> {
    this.#open = null;
    const read = readBackup(new Uint8Array(await file.arrayBuffer()), progress);
    if (!read.ok) return read;
    const { backup } = read;
    const difference = compareBackup(backup, await hereNow(this.db()));
    this.#open = { backup, difference };
    const { madeAt, pictures, unreadable } = backup;
    return { ok: true, preview: { madeAt, difference, pictures: pictures.length, unreadable } };
  }

  /** @throws Error in words where nothing is open, or it could not be written; then nothing has changed */
  async take(choice: BackupChoice, progress: (share: number) => void): Promise<BackupTaken> {
    if (!this.#open) throw new Error('The backup was put away. Open it again.');
    const { backup, difference } = this.#open;
    const taken = await takeIn(this.db(), backup, difference, choice, progress);
    this.#open = null;
    return taken;
  }
}
