import { database, type Database } from './database.ts';

/*
 * What belongs to a cake that was taken off the shelf, its photos and its earlier versions, stays a day: as long as
 * it may be put back, here or in another window. Then it goes.
 */

const keptMs = 24 * 3_600_000;
const head = 'removed/';
export const removedKey = (id: string): string => `${head}${id}`;

/** Lets go of photos and versions of cakes that were taken off a day ago and are not back. */
export async function sweepRemoved(now = Date.now(), db: Database = database): Promise<number> {
  return db.transaction('rw', db.settings, db.builds, db.photos, db.revisions, async () => {
    const marks = await db.settings.where('key').startsWith(head).toArray();
    let swept = 0;
    for (const { key, value } of marks) {
      if (now - Date.parse(String(value)) < keptMs) continue;
      const id = key.slice(head.length);
      await db.settings.delete(key);
      if (await db.builds.get(id)) continue;
      await db.photos.where('buildId').equals(id).delete();
      await db.revisions.where('buildId').equals(id).delete();
      swept += 1;
    }
    return swept;
  });
}
