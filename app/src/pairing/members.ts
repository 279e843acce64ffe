import { freshId } from '@pyrgotect/core';
import {
  newDeviceKeys,
  newKitchenKey,
  newSecret,
  publicKeys,
  type Member,
} from '@pyrgotect/core/pairing';
import type { Database } from '../storage/database.ts';
import {
  changePairing,
  devicesKey,
  devicesNow,
  keepPairing,
  keysText,
  keyText,
  type KeptPairing,
  type PairedDevice,
  type PairedDevices,
} from './kept-pairing.ts';
import type { Guest, Invitation } from './meeting.ts';
import type { DeviceLine } from './pairing-state.ts';

/* Who is of the kitchen, as this device has it written down. */

/** A device that may come into a kitchen: its own keys, and what the others are told of it. */
interface NewDevice {
  id: string;
  own: Pick<KeptPairing, 'device' | 'keys' | 'cursor' | 'owed'>;
  entry: Omit<PairedDevice, 'welcomed'>;
}
export function newDevice(name: string): NewDevice {
  const keys = newDeviceKeys();
  const id = freshId('device', 10);
  return {
    id,
    own: { device: id, keys: keysText(keys), cursor: { of: '', at: 0, isOwed: false }, owed: [] },
    entry: { name, ...publicKeys(keys), addedAt: new Date().toISOString() },
  };
}

const enterKitchen = (db: Database, kept: KeptPairing, devices: PairedDevices): Promise<void> =>
  db.transaction('rw', db.settings, db.carried, async () => {
    await db.carried.clear();
    await keepPairing(db, kept);
    await db.settings.put({ key: devicesKey, value: devices });
  });

/** A kitchen whose only device is this one. */
export function makeKitchen(db: Database, name: string): Promise<void> {
  const { id, own, entry } = newDevice(name);
  const secrets = {
    ...{ mailbox: newSecret(15), tagKey: newSecret(32), kitchen: [keyText(newKitchenKey())] },
  };
  return enterKitchen(
    db,
    { ...secrets, ...own, isNew: false },
    { [id]: { ...entry, welcomed: true } },
  );
}
/** Into the kitchen of the desk that gave this; it takes in what there is before it sends anything. */
export const joinKitchen = (
  db: Database,
  { id, own, entry }: NewDevice,
  { mailbox, tagKey, kitchen }: Invitation,
): Promise<void> =>
  enterKitchen(
    db,
    { mailbox, tagKey, kitchen, ...own, isNew: true },
    { [id]: { ...entry, welcomed: false } },
  );

/** Changes what stands of a device; nothing where it is not known. */
const changeDevice = async (
  db: Database,
  device: string,
  change: Partial<PairedDevice>,
): Promise<void> => {
  const devices = await devicesNow(db);
  const entry = devices[device];
  if (!entry) return;
  await db.settings.put({
    key: devicesKey,
    value: { ...devices, [device]: { ...entry, ...change } },
  });
};

/** Writes down who was let in, and that it is owed everything. */
export const letIn = (db: Database, { device, name, sign, box }: Guest): Promise<void> =>
  db.transaction('rw', db.settings, async () => {
    const entry = { name, sign, box, addedAt: new Date().toISOString(), welcomed: false };
    const value = { ...(await devicesNow(db)), [device]: entry };
    await db.settings.put({ key: devicesKey, value });
    await changePairing(db, ({ owed }) => ({ owed: [...owed, device] }));
  });
/** It was sent everything. */
export const setWelcomed = (db: Database, device: string): Promise<void> =>
  db.transaction('rw', db.settings, async () => {
    await changeDevice(db, device, { welcomed: true });
    await changePairing(db, ({ owed }) => ({ owed: owed.filter((one) => one !== device) }));
  });
/** Calls a device otherwise; false where it is called so already, or not known. */
export const renameDevice = (db: Database, device: string, name: string): Promise<boolean> =>
  db.transaction('rw', db.settings, async () => {
    const own = (await devicesNow(db))[device];
    if (!own || own.name === name) return false;
    await changeDevice(db, device, { name });
    return true;
  });
/** Strikes a device out. @returns those who stay, with the keys that seal for them */
export const strikeOut = (
  db: Database,
  device: string,
): Promise<{ device: string; box: string }[]> =>
  db.transaction('rw', db.settings, async () => {
    const { [device]: gone, ...stay } = await devicesNow(db);
    void gone;
    await db.settings.put({ key: devicesKey, value: stay });
    return Object.entries(stay).map(([id, { box }]) => ({ device: id, box }));
  });

/** The list of devices, with what the server knows of each. */
export const deviceLines = async (
  db: Database,
  own: string,
  members: readonly Member[],
): Promise<DeviceLine[]> =>
  Object.entries(await devicesNow(db)).map(([id, { name }]) => {
    const at = members.find(({ device }) => device === id);
    return {
      ...{ id, name, isThis: id === own },
      ...{ isHere: at?.isHere ?? false, lastAt: at?.lastAt ?? null },
    };
  });
