import {
  bytesOf,
  textOf,
  type Cursor,
  type DeviceKeys,
  type Identity,
  type KitchenKey,
} from '@pyrgotect/core/pairing';
import type { Database } from '../storage/database.ts';

/** Under these keys stands who this device is, and which others there are. */
export const pairingKey = 'pairing';
export const devicesKey = 'paired devices';

/** Another device, or this one, as all of them know it. */
export interface PairedDevice {
  name: string;
  sign: string;
  box: string;
  addedAt: string;
  /** It has been sent everything, and sends its own from now on. */
  welcomed: boolean;
}
export type PairedDevices = Record<string, PairedDevice>;

/** Who this device is, as it is written down; keys as text. */
export interface KeptPairing {
  mailbox: string;
  device: string;
  keys: { sign: string; box: string };
  tagKey: string;
  kitchen: { id: string; key: string }[];
  /** All up to there was taken in. */
  cursor: Cursor;
  /** Devices that were let in and are not sent everything yet. */
  owed: string[];
  /** It takes in what there is, and sends nothing until that is done. */
  isNew: boolean;
}

export const pairingNow = async (db: Database): Promise<KeptPairing | null> =>
  ((await db.settings.get(pairingKey))?.value as KeptPairing | undefined) ?? null;
export const devicesNow = async (db: Database): Promise<PairedDevices> =>
  ((await db.settings.get(devicesKey))?.value as PairedDevices | undefined) ?? {};

export const keepPairing = (db: Database, pairing: KeptPairing): Promise<unknown> =>
  db.settings.put({ key: pairingKey, value: pairing });
export const changePairing = (
  db: Database,
  change: (now: KeptPairing) => Partial<KeptPairing>,
): Promise<void> =>
  db.transaction('rw', db.settings, async () => {
    const now = await pairingNow(db);
    if (now) await keepPairing(db, { ...now, ...change(now) });
  });

/** This device is of no kitchen any more; what it keeps stays. */
export const forgetPairing = (db: Database): Promise<void> =>
  db.transaction('rw', db.settings, db.carried, async () => {
    await db.settings.bulkDelete([pairingKey, devicesKey]);
    await db.carried.clear();
  });

export const keyText = ({ id, key }: KitchenKey): { id: string; key: string } => ({
  id,
  key: textOf(key),
});
export const keysText = ({ sign, box }: DeviceKeys): { sign: string; box: string } => ({
  sign: textOf(sign),
  box: textOf(box),
});
export const identityOf = ({ mailbox, device, keys, tagKey, kitchen }: KeptPairing): Identity => ({
  mailbox,
  device,
  tagKey,
  keys: { sign: bytesOf(keys.sign), box: bytesOf(keys.box) },
  kitchen: kitchen.map(({ id, key }) => ({ id, key: bytesOf(key) })),
});
