import { mergeThree } from '@pyrgotect/core';
import type { Cursor, Known, Parcel, Replica, Settled, Whole } from '@pyrgotect/core/pairing';
import type { Database } from '../storage/database.ts';
import { changePairing, devicesNow, pairingNow } from './kept-pairing.ts';
import { itemOf, kindOf, kinds } from './things.ts';

/** Two devices had changed the same of a thing apart: this one's stands. */
export interface BothChanged {
  kind: 'both changed';
  item: string;
  /** The other device. */
  from: string;
  /** Paths of fields; empty of the whole. */
  places: string[];
}

/** What the browser keeps, as paired devices see it. */
export class KeptReplica implements Replica {
  /** What was put together last, where both had changed the same, and what the other had. */
  #met: (BothChanged & { theirs: unknown }) | null = null;

  constructor(
    private readonly db: Database,
    private readonly bothChanged: (what: BothChanged) => void,
  ) {}

  async items(): Promise<string[]> {
    const all: string[] = [];
    for (const [name, kind] of Object.entries(kinds))
      all.push(...(await kind.ids(this.db)).map((id) => itemOf(name, id)));
    return all;
  }
  async current(item: string): Promise<unknown> {
    const of = kindOf(item);
    return of ? of.kind.current(this.db, of.id) : null;
  }
  async whole(item: string): Promise<Whole> {
    const of = kindOf(item);
    if (!of) return { value: null, bytes: null };
    const value = await of.kind.current(this.db, of.id);
    const bytes = value === null ? null : ((await of.kind.bytes?.(this.db, of.id)) ?? null);
    return { value, bytes };
  }
  async known(item: string): Promise<Known | null> {
    const kept = await this.db.carried.get(item);
    return kept ? { mark: kept.mark, changes: kept.changes, value: kept.value } : null;
  }
  allKnown = (): Promise<string[]> => this.db.carried.toCollection().primaryKeys();

  async settle(
    item: string,
    decide: (current: unknown, known: Known | null) => Settled | null,
  ): Promise<Settled | null> {
    let met: BothChanged | null = null;
    const done = await this.db.transaction('rw', this.db.tables, async () => {
      const [current, known] = [await this.current(item), await this.known(item)];
      this.#met = null;
      const settled = decide(current, known);
      met = await this.#keepOther();
      if (!settled) return null;
      await this.db.carried.put({ item, ...settled.known });
      const of = kindOf(item);
      if (settled.write && of) {
        const from = (await devicesNow(this.db))[settled.write.from]?.name ?? 'another device';
        await of.kind.write(this.db, of.id, settled.write, `From ${from}`);
      }
      return settled;
    });
    if (met) this.bothChanged(met);
    return done;
  }
  /** The other's version of what both had changed is kept, where its kind keeps versions. */
  async #keepOther(): Promise<BothChanged | null> {
    if (!this.#met) return null;
    const { theirs, ...met } = this.#met;
    const of = kindOf(met.item);
    const name = (await devicesNow(this.db))[met.from]?.name ?? 'another device';
    await of?.kind.keepOther?.(this.db, of.id, theirs, `As ${name} had it`);
    return met;
  }
  async agree(item: string, known: Known): Promise<void> {
    await this.db.carried.put({ item, ...known });
  }
  accept(parcel: Parcel): Promise<unknown> {
    const of = kindOf(parcel.item);
    return of ? of.kind.accept(parcel, of.id) : Promise.resolve(undefined);
  }
  /** Where they never agreed, what the others have stands: what was here is among the earlier versions. */
  merge(item: string, base: unknown, { value: theirs, from }: Parcel, mine: unknown): unknown {
    // what one took away and the other changed stands
    if (mine === null || theirs === null) return mine ?? theirs;
    const kind = kindOf(item)?.kind;
    if (base === null) return item === 'examples' ? kind!.merge!(base, theirs, mine).value : theirs;
    if (!kind?.merge) return mergeThree(base, theirs, mine).value;
    const { value, places } = kind.merge(base, theirs, mine);
    if (places.length > 0) this.#met = { kind: 'both changed', item, from, places, theirs };
    return value;
  }
  async cursor(): Promise<Cursor> {
    return (await pairingNow(this.db))?.cursor ?? { of: '', at: 0, isOwed: false };
  }
  setCursor = (cursor: Cursor): Promise<void> => changePairing(this.db, () => ({ cursor }));
}
