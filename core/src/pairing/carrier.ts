import { commonOf, isSame } from '../document/three-way.ts';
import type { Head, Heads } from './messages.ts';
import {
  knownTogether,
  knowsAll,
  packParcel,
  unpackParcel,
  type Changes,
  type Parcel,
} from './parcel.ts';
import {
  bytesOf,
  openBox,
  sealForDevice,
  sealForKitchen,
  tagOf,
  textOf,
  type Box,
  type DeviceKeys,
  type KitchenKey,
} from './seal.ts';

/** What a device knows to be agreed of a thing: the box that stood at the server, and what was in it. */
export interface Known {
  /** Null where the server has nothing of it any more. */
  mark: string | null;
  changes: Changes;
  value: unknown;
}
/** A thing as it is kept: its value, and bytes that belong to it. */
export interface Whole {
  value: unknown;
  bytes: Uint8Array | null;
}
/** What a thing is to be from now on. */
export interface Settled {
  known: Known;
  /** Undefined where it stays as it is. */
  write?: Whole & { from: string; at: string };
}

/** How far a device has taken in what is at the server; another mailbox counts anew. */
export interface Cursor {
  of: string;
  at: number;
  /** The server was found to have another mailbox: what not all had taken in is sent again. */
  isOwed: boolean;
}

/** What a device keeps, as the carrier sees it. A value of null is a thing that is not there. */
export interface Replica {
  /** Every thing that is here, by its name. */
  items(): Promise<string[]>;
  /** The value of a thing, without its bytes. */
  current(item: string): Promise<unknown>;
  whole(item: string): Promise<Whole>;
  known(item: string): Promise<Known | null>;
  allKnown(): Promise<string[]>;
  /** In one go: nothing changes the thing between what `decide` is told and what is written. */
  settle(
    item: string,
    decide: (current: unknown, known: Known | null) => Settled | null,
  ): Promise<Settled | null>;
  /** Keeps what is agreed of a thing, which itself stays as it is. */
  agree(item: string, known: Known): Promise<void>;
  /** The value of a parcel as this program knows it; undefined where it is nothing that can be. */
  accept(parcel: Parcel): Promise<unknown>;
  /** What two made of one thing; `base` is null where they never agreed. */
  merge(item: string, base: unknown, theirs: Parcel, mine: unknown): unknown;
  cursor(): Promise<Cursor>;
  setCursor(cursor: Cursor): Promise<void>;
}

/** The way to the server. */
export interface Line {
  put(
    tag: string,
    after: string | null,
    box: Box,
  ): Promise<
    { kind: 'kept'; mark: string } | { kind: 'other'; mark: string | null; box: Box | null }
  >;
  heads(since: number): Promise<Heads>;
  get(tag: string): Promise<{ mark: string | null; box: Box | null }>;
  seen(of: string, at: number): Promise<void>;
}

/** Who this device is in its kitchen, and by which keys. */
export interface Identity {
  mailbox: string;
  device: string;
  keys: DeviceKeys;
  tagKey: string;
  /** The newest last: with it is sealed. */
  kitchen: KitchenKey[];
}

/** Why something of another device was not taken in. */
export type Trouble =
  | { kind: 'cannot be'; item: string; from: string }
  | { kind: 'not sealed by us'; tag: string }
  | { kind: 'too large'; item: string };

/** The program of another device is newer: nothing is taken in or sent until this one is as new. */
export class NewerProgram extends Error {
  override readonly name = 'NewerProgram';
  constructor(readonly from: string) {
    super('Another device has a newer Pyrgotect.');
  }
}

/** A box larger than this the server does not take, characters. */
const largestBox = 1_900_000;
/** So often one thing is tried again when others are quicker. */
const mostTries = 20;
const keyItem = /^key\//;

/**
 * Keeps what is here in step with what stands at the server. Each thing has one head there; a change takes its
 * place only where it was made from it, and else the two are put together here, by what they were made from. So
 * nothing is lost however messages are cut, doubled or late.
 */
export class Carrier {
  readonly #tags = new Map<string, string>();
  readonly #itemOf = new Map<string, string>();
  /** Tags of which the server has named a head. */
  readonly #listed = new Set<string>();
  constructor(
    private readonly replica: Replica,
    private readonly line: Line,
    private readonly identity: Identity,
    private readonly how: {
      buildVersion: number;
      now: () => string;
      /** A number that this device never gave before, and larger than those, such as the time in ms. */
      count: () => number;
      /** A new key of the kitchen came, or was made: it is kept with the others. */
      keepKey: (key: KitchenKey) => Promise<void>;
      trouble: (what: Trouble) => void;
      /** A thing changed here, for another device changed it. */
      changed: (item: string) => void;
    },
  ) {}

  #tag(item: string): string {
    const known = this.#tags.get(item);
    if (known) return known;
    const tag = tagOf(this.identity.tagKey, item);
    this.#tags.set(item, tag);
    this.#itemOf.set(tag, item);
    return tag;
  }
  #bound(tag: string): string {
    return `${this.identity.mailbox}|${tag}`;
  }

  /** Takes in what is new at the server. @returns the things that changed here */
  async pull(): Promise<string[]> {
    const changed: string[] = [];
    for (;;) {
      const since = await this.replica.cursor();
      const { of, heads, at, isAll } = await this.line.heads(since.at);
      if (of !== since.of && since.of !== '') {
        this.#listed.clear();
        await this.replica.setCursor({ of, at: 0, isOwed: true });
        continue;
      }
      for (const head of heads) {
        this.#listed.add(head.tag);
        const item = await this.#pullOne(head);
        if (item) changed.push(item);
      }
      await this.replica.setCursor({ of, at, isOwed: since.isOwed });
      await this.line.seen(of, at);
      if (isAll) return changed;
    }
  }

  async #pullOne({ tag, mark }: Head): Promise<string | null> {
    const item = this.#itemOf.get(tag);
    if (item !== undefined && (await this.replica.known(item))?.mark === mark) return null;
    const head = await this.line.get(tag);
    // it was let go, for all had it, and who comes new is sent it anew; or a newer one comes among the next heads
    if (!head.box || head.mark !== mark) return null;
    return this.#take(tag, mark, head.box);
  }

  /** Takes a box in. @returns the thing, where it changed here */
  async #take(tag: string, mark: string, box: Box): Promise<string | null> {
    const plain = openBox(box, this.identity.kitchen, this.identity.keys, this.#bound(tag));
    // what is sealed for another device is not for us
    if (!plain && box.kind === 'device') return null;
    const parcel = plain && unpackParcel(plain);
    if (!parcel || this.#tag(parcel.item) !== tag) {
      this.how.trouble({ kind: 'not sealed by us', tag });
      return null;
    }
    if (keyItem.test(parcel.item)) {
      await this.#takeKey(parcel);
      return null;
    }
    if (parcel.version > this.how.buildVersion) throw new NewerProgram(parcel.from);
    const value = parcel.value === null ? null : await this.replica.accept(parcel);
    if (value === undefined) {
      this.how.trouble({ kind: 'cannot be', item: parcel.item, from: parcel.from });
      return null;
    }
    let isOlder = false;
    const settled = await this.replica.settle(parcel.item, (current, known): Settled | null => {
      if (known?.mark === mark) return null;
      // the server has forgotten what came after it
      isOlder =
        known !== null &&
        !knowsAll(parcel.changes, known.changes) &&
        knowsAll(known.changes, parcel.changes);
      if (isOlder) return { known: { ...known!, mark } };
      const next = this.#together({ ...parcel, value }, current, known);
      const changes = knownTogether(parcel.changes, known?.changes ?? {});
      const agreed = { mark, changes, value };
      if (isSame(next, current)) return { known: agreed };
      const { bytes, from, at } = parcel;
      return { known: agreed, write: { value: next, bytes, from, at } };
    });
    if (isOlder) await this.push(parcel.item, true);
    if (!settled?.write) return null;
    this.how.changed(parcel.item);
    return parcel.item;
  }

  /** What becomes of a thing that another device has so, and this one so. */
  #together(theirs: Parcel, current: unknown, known: Known | null): unknown {
    const { value } = theirs;
    if (isSame(value, current)) return current;
    const isAfter = known === null || knowsAll(theirs.changes, known.changes);
    // the server forgot what both were made from
    if (!isAfter && value !== null && current !== null)
      return this.replica.merge(theirs.item, commonOf(value, current), theirs, current);
    const base = known?.value ?? null;
    if (!isAfter) return current ?? value;
    if (isSame(current, base)) return value;
    return isSame(value, base) ? current : this.replica.merge(theirs.item, base, theirs, current);
  }

  async #takeKey({ value }: Parcel): Promise<void> {
    const { id, key } = (value ?? {}) as { id?: unknown; key?: unknown };
    if (typeof id !== 'string' || typeof key !== 'string') return;
    if (this.identity.kitchen.some((one) => one.id === id)) return;
    const taken: KitchenKey = { id, key: bytesOf(key) };
    this.identity.kitchen.push(taken);
    await this.how.keepKey(taken);
  }

  /**
   * Sends a thing where it is otherwise than agreed.
   *
   * @param anyway sends it also where it is as agreed: to a device that has nothing yet
   * @returns true where it changed here, for others had changed it too
   */
  async push(item: string, anyway = false): Promise<boolean> {
    const tag = this.#tag(item);
    let must = anyway;
    let isChanged = false;
    for (let tries = 0; tries < mostTries; tries++) {
      const known = await this.replica.known(item);
      const isAgreed = isSame(await this.replica.current(item), known?.value ?? null);
      if (!must && isAgreed) return isChanged;
      const { value, bytes } = await this.replica.whole(item);
      const changes = this.#changes(known, isAgreed);
      const box = this.#sealed({ item, changes, value, bytes });
      if (box.body.length > largestBox) {
        this.how.trouble({ kind: 'too large', item });
        return isChanged;
      }
      const answer = await this.line.put(tag, known?.mark ?? null, box);
      if (answer.kind === 'kept') {
        // what was sent is agreed, whatever the thing has become meanwhile
        const agreed = { mark: answer.mark, changes, value };
        await this.replica.agree(item, agreed);
        must = false;
        continue;
      }
      if (answer.box && answer.mark !== null) {
        if (await this.#take(tag, answer.mark, answer.box)) isChanged = true;
        // what cannot be opened, or cannot be, is not written over
        if ((await this.replica.known(item))?.mark !== answer.mark) return isChanged;
        // it stands there for everybody; what is more here is sent below
        must = false;
        continue;
      }
      // let go, for all had it: who never knew it waits until it is sent anew
      if (!known && answer.mark !== null) return isChanged;
      // the server has forgotten what came later
      const left = {
        mark: answer.mark,
        changes: known?.changes ?? {},
        value: known?.value ?? null,
      };
      await this.replica.agree(item, left);
      must = true;
    }
    return isChanged;
  }

  /** The changes that a thing has in it when it is sent: this device's own is counted. */
  #changes(known: Known | null, isAgreed: boolean): Changes {
    const before = known?.changes ?? {};
    const { device } = this.identity;
    if (isAgreed && known) return before;
    // one that was sent and not answered may stand somewhere: what is sent now is another
    return { ...before, [device]: Math.max(this.how.count(), (before[device] ?? 0) + 1) };
  }
  #sealed(of: Pick<Parcel, 'item' | 'changes' | 'value' | 'bytes'>): Box {
    const plain = packParcel(this.#parcel(of));
    return sealForKitchen(this.identity.kitchen.at(-1)!, plain, this.#bound(this.#tag(of.item)));
  }
  #parcel(of: Pick<Parcel, 'item' | 'changes' | 'value' | 'bytes'>): Parcel {
    const { buildVersion: version, now } = this.how;
    return { ...of, version, from: this.identity.device, at: now() };
  }

  /** Every thing that is here or was agreed. */
  async #all(): Promise<string[]> {
    const all = [...new Set([...(await this.replica.items()), ...(await this.replica.allKnown())])];
    for (const item of all) this.#tag(item);
    return all;
  }
  /** Takes in what is new, and sends whatever is otherwise here. @returns the things that changed here */
  async meet(): Promise<string[]> {
    const all = await this.#all();
    const pulled = await this.pull();
    const cursor = await this.replica.cursor();
    if (cursor.isOwed) {
      // others may not have it, though the server that is gone said that they will
      for (const item of all) if (!this.#listed.has(this.#tag(item))) await this.push(item, true);
      await this.replica.setCursor({ ...cursor, isOwed: false });
    }
    // what was put together is sent as well
    return [...new Set([...pulled, ...(await this.pushAll([...all, ...pulled]))])];
  }
  /** Sends things where they are otherwise than agreed. @returns those that changed here */
  async pushAll(items: readonly string[]): Promise<string[]> {
    const changed: string[] = [];
    for (const item of new Set(items)) if (await this.push(item)) changed.push(item);
    return changed;
  }
  /** Sends everything once more, for a device that has nothing yet. */
  async sendAll(progress: (share: number) => void = () => undefined): Promise<void> {
    const all = await this.#all();
    for (const [i, item] of all.entries()) {
      if ((await this.replica.current(item)) !== null) await this.push(item, true);
      progress((i + 1) / all.length);
    }
  }

  /** Gives a new key of the kitchen to the devices that stay, each by a box for it alone, and seals with it. */
  async changeKey(
    key: KitchenKey,
    stay: readonly { device: string; box: string }[],
  ): Promise<void> {
    for (const { device, box: publicKey } of stay) {
      const item = `key/${key.id}/${device}`;
      const tag = this.#tag(item);
      const value = { id: key.id, key: textOf(key.key) };
      const plain = packParcel(
        this.#parcel({ item, changes: { [this.identity.device]: 1 }, value, bytes: null }),
      );
      await this.line.put(tag, null, sealForDevice(publicKey, plain, this.#bound(tag)));
    }
    this.identity.kitchen.push(key);
    await this.how.keepKey(key);
  }
}
