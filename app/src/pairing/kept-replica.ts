import { mergeThree } from '@pyrgotect/core';
import type { Cursor, Known, Parcel, Replica, Settled, Whole } from '@pyrgotect/core/pairing';
import type { Database } from '../storage/database.ts';
import { changePairing, devicesNow, pairingNow } from './kept-pairing.ts';
import { itemOf, kindOf, kinds } from './things.ts';

/** What the browser keeps, as paired devices see it. */
export class KeptReplica implements Replica {
  constructor(private readonly db: Database) {}

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

  settle(
    item: string,
    decide: (current: unknown, known: Known | null) => Settled | null,
  ): Promise<Settled | null> {
    return this.db.transaction('rw', this.db.tables, async () => {
      const settled = decide(await this.current(item), await this.known(item));
      if (!settled) return null;
      await this.db.carried.put({ item, ...settled.known });
      const of = kindOf(item);
      if (settled.write && of) {
        const from = (await devicesNow(this.db))[settled.write.from]?.name ?? 'another device';
        await of.kind.write(this.db, of.id, settled.write, `From ${from}`);
      }
      return settled;
    });
  }
  async agree(item: string, known: Known): Promise<void> {
    await this.db.carried.put({ item, ...known });
  }
  accept(parcel: Parcel): Promise<unknown> {
    const of = kindOf(parcel.item);
    return of ? of.kind.accept(parcel, of.id) : Promise.resolve(undefined);
  }
  /** Where they never agreed, what the others have stands: what was here is among the earlier versions. */
  merge(item: string, base: unknown, { value: theirs }: Parcel, mine: unknown): unknown {
    // what one took away and the other changed stands
    if (mine === null || theirs === null) return mine ?? theirs;
    const kind = kindOf(item)?.kind;
    if (base === null) return item === 'examples' ? kind!.merge!(base, theirs, mine) : theirs;
    return kind?.merge ? kind.merge(base, theirs, mine) : mergeThree(base, theirs, mine).value;
  }
  async cursor(): Promise<Cursor> {
    return (await pairingNow(this.db))?.cursor ?? { of: '', at: 0, isOwed: false };
  }
  setCursor = (cursor: Cursor): Promise<void> => changePairing(this.db, () => ({ cursor }));
}
