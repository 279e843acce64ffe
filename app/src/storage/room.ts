import { fixed } from '../locale/number.ts';
/** What the browser has for this program, and whether it keeps it when space gets short. */
export interface Room {
  usedMb: number;
  mostMb: number;
  isKept: boolean;
}

/** Asks the browser to keep what is stored even when space gets short; it may say no. */
export async function askToKeep(): Promise<void> {
  if (!('storage' in navigator) || !navigator.storage.persist) return;
  if (!(await navigator.storage.persisted())) await navigator.storage.persist();
}

/** Null where the browser does not say. */
export async function roomNow(): Promise<Room | null> {
  if (!('storage' in navigator) || !navigator.storage.estimate) return null;
  const { usage, quota } = await navigator.storage.estimate();
  if (usage === undefined || !quota) return null;
  const isKept = await navigator.storage.persisted();
  return { usedMb: usage / 1e6, mostMb: quota / 1e6, isKept };
}

/** Megabytes as people read them. */
export const roomText = (mb: number): string =>
  mb >= 1000 ? `${fixed(mb / 1000, 1)} GB` : `${fixed(mb, mb < 10 ? 1 : 0)} MB`;

/** From this share on it is said that the room gets short. */
const shortShare = 0.9;
export const isShort = ({ usedMb, mostMb }: Room): boolean => usedMb > shortShare * mostMb;
