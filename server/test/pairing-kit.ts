import { mergeThree } from '@pyrgotect/core';
import {
  Carrier,
  type Cursor,
  newDeviceKeys,
  newKitchenKey,
  newSecret,
  publicKeys,
  type Identity,
  type KitchenKey,
  type Known,
  type Line,
  type Parcel,
  type Replica,
  type Settled,
  type Trouble,
  type Whole,
} from '@pyrgotect/core/pairing';
import { Mailbox } from '../src/pairing/mailbox.ts';

/* Devices and a way to the server that a test can cut, double and delay. */

/** Numbers that look drawn, the same for the same seed. */
export function drawn(seed: number): () => number {
  let state = seed >>> 0 || 1;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

/** A device that keeps its things in memory. */
export class MemoryReplica implements Replica {
  readonly things = new Map<string, unknown>();
  readonly agreed = new Map<string, Known>();
  #cursor: Cursor = { of: '', at: 0, isOwed: false };
  /** What it refuses to take. */
  refuses: (parcel: Parcel) => boolean = () => false;

  items = (): Promise<string[]> => Promise.resolve([...this.things.keys()]);
  current = (item: string): Promise<unknown> => Promise.resolve(this.things.get(item) ?? null);
  whole = async (item: string): Promise<Whole> => ({
    value: await this.current(item),
    bytes: null,
  });
  known = (item: string): Promise<Known | null> => Promise.resolve(this.agreed.get(item) ?? null);
  allKnown = (): Promise<string[]> => Promise.resolve([...this.agreed.keys()]);
  settle(
    item: string,
    decide: (current: unknown, known: Known | null) => Settled | null,
  ): Promise<Settled | null> {
    const settled = decide(this.things.get(item) ?? null, this.agreed.get(item) ?? null);
    if (settled) {
      this.agreed.set(item, settled.known);
      if (settled.write) this.set(item, settled.write.value);
    }
    return Promise.resolve(settled);
  }
  agree(item: string, known: Known): Promise<void> {
    this.agreed.set(item, known);
    return Promise.resolve();
  }
  set(item: string, value: unknown): void {
    if (value === null) this.things.delete(item);
    else this.things.set(item, structuredClone(value));
  }
  accept = (parcel: Parcel): Promise<unknown> =>
    Promise.resolve(this.refuses(parcel) ? undefined : parcel.value);
  merge = (_item: string, base: unknown, theirs: Parcel, mine: unknown): unknown =>
    // what one took away and the other changed stands
    mine === null || theirs.value === null
      ? (mine ?? theirs.value)
      : mergeThree(base ?? thing(''), theirs.value as object, mine).value;
  cursor = (): Promise<Cursor> => Promise.resolve(this.#cursor);
  setCursor(cursor: Cursor): Promise<void> {
    this.#cursor = cursor;
    return Promise.resolve();
  }
}

/** How messages fare on their way, 0 to 1 each. */
export interface Weather {
  lost: number;
  /** It came to the server, and the answer did not come back. */
  unanswered: number;
  doubled: number;
}
export const calm: Weather = { lost: 0, unanswered: 0, doubled: 0 };

export class Cut extends Error {}

/** The way of one device to a mailbox. */
export function lineTo(
  mailbox: () => Mailbox,
  device: string,
  weather: () => Weather,
  next: () => number,
): Line {
  const sent = async <A>(work: () => A): Promise<A> => {
    // others may be quicker
    for (let waits = Math.floor(next() * 3); waits > 0; waits--) await Promise.resolve();
    const { lost, unanswered, doubled } = weather();
    if (next() < lost) throw new Cut();
    const answer = work();
    if (next() < doubled) work();
    if (next() < unanswered) throw new Cut();
    return structuredClone(answer);
  };
  return {
    put: (tag, after, box) => sent(() => mailbox().put(tag, after, box)!),
    heads: (since) => sent(() => mailbox().since(since)),
    get: (tag) => sent(() => mailbox().get(tag)),
    seen: (of, at) => sent(() => mailbox().seen(device, of, at)),
  };
}

export interface Device {
  name: string;
  replica: MemoryReplica;
  carrier: Carrier;
  identity: Identity;
  troubles: Trouble[];
  /** What it counts its changes by: it may be wrong, and go backwards. */
  clock: () => number;
}

/** The secrets of a kitchen, and its devices. */
export class Kitchen {
  readonly id = newSecret(9);
  readonly tagKey = newSecret(32);
  readonly first: KitchenKey = newKitchenKey();
  weather: Weather = calm;
  version = 17;
  constructor(
    private readonly mailbox: () => Mailbox,
    private readonly next: () => number,
  ) {}

  device(name: string, keys: KitchenKey[] = [this.first], version = this.version): Device {
    const replica = new MemoryReplica();
    const troubles: Trouble[] = [];
    let counted = 0;
    const identity: Identity = {
      ...{ mailbox: this.id, device: name, keys: newDeviceKeys(), tagKey: this.tagKey },
      kitchen: [...keys],
    };
    const line = lineTo(this.mailbox, name, () => this.weather, this.next);
    const carrier = new Carrier(replica, line, identity, {
      ...{ buildVersion: version, now: () => '2027-05-03T09:30:00Z' },
      count: () => device.clock(),
      keepKey: () => Promise.resolve(),
      trouble: (what) => void troubles.push(what),
      changed: () => undefined,
    });
    const clock = (): number => (counted += 1);
    const device: Device = { name, replica, carrier, identity, troubles, clock };
    return device;
  }
}
/** Tries to meet; a cut is no matter. */
export const tries = async ({ carrier }: Device): Promise<void> => {
  try {
    await carrier.meet();
  } catch (error) {
    if (!(error instanceof Cut)) throw error;
  }
};
/** Meets until nothing moves any more. */
export async function allMeet(devices: readonly Device[]): Promise<void> {
  for (let round = 0; round < 4; round++) for (const device of devices) await device.carrier.meet();
}

export interface Thing {
  name: string;
  guests: number;
  marks: { id: string }[];
}
export const thing = (name: string): Thing => ({ name, guests: 12, marks: [] });
const rough: Weather = { lost: 0.15, unanswered: 0.15, doubled: 0.2 };
export const thingsOf = ({ replica }: Device): Record<string, unknown> =>
  Object.fromEntries([...replica.things].sort(([a], [b]) => a.localeCompare(b)));

/** A mailbox with its devices admitted. */
export function kitchenOf(seed: number, names: readonly string[]) {
  let mailbox = new Mailbox('kitchen');
  const kitchen = new Kitchen(() => mailbox, drawn(seed));
  const devices = names.map((name) => kitchen.device(name));
  for (const { name, identity } of devices) mailbox.admit(name, publicKeys(identity.keys).sign);
  return {
    kitchen,
    devices,
    mailbox: () => mailbox,
    replace: (other: Mailbox) => void (mailbox = other),
  };
}

/** Three devices that change five things while messages are cut, doubled and late, and then meet. */
async function parted(
  seed: number,
): Promise<{ devices: Device[]; marks: Map<string, Set<string>> }> {
  const next = drawn(seed + 77);
  const { kitchen, devices, replace } = kitchenOf(seed, ['desk', 'tablet', 'phone']);
  const items = ['cake/a', 'cake/b', 'cake/c', 'row/tins/d', 'kitchen'];
  devices[0]!.replica.set('cake/a', thing('Plum'));
  kitchen.weather = rough;
  /** What was marked on each thing, and never taken away. */
  const marks = new Map<string, Set<string>>(items.map((item) => [item, new Set()]));
  for (let step = 0; step < 25; step++) {
    const device = devices[Math.floor(next() * devices.length)]!;
    const item = items[Math.floor(next() * items.length)]!;
    const there = device.replica.things.get(item) as Thing | undefined;
    const what = next();
    if (what < 0.6) {
      const id = `${device.name}-${step}`;
      const now = there ?? thing(item);
      device.replica.set(item, { ...now, guests: step, marks: [...now.marks, { id }] });
      marks.get(item)!.add(id);
    } else if (what < 0.65 && there) {
      for (const { id } of there.marks) marks.get(item)!.delete(id);
      device.replica.set(item, null);
    } else if (what < 0.68) {
      // the server is started anew with nothing
      const fresh = new Mailbox('kitchen');
      for (const { name } of devices) fresh.admit(name, 'key');
      replace(fresh);
    } else await tries(device);
  }
  kitchen.weather = calm;
  await allMeet(devices);
  return { devices, marks };
}

/** What is not as it should be after one parting: devices that differ, and marks that are gone. */
export async function lossesOf(seed: number): Promise<string[]> {
  const { devices, marks } = await parted(seed);
  const odd: string[] = [];
  const [desk, ...others] = devices.map((device) => JSON.stringify(thingsOf(device)));
  if (others.some((each) => each !== desk)) odd.push(`${seed}: not the same`);
  const things = devices[0]!.replica.things as Map<string, Thing>;
  for (const [item, ids] of marks)
    for (const id of ids)
      if (!things.get(item)?.marks.some((mark) => mark.id === id))
        odd.push(`${seed}: ${item} lost ${id}`);
  if (devices.some(({ troubles }) => troubles.length > 0)) odd.push(`${seed}: trouble`);
  return odd;
}
