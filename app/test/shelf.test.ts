import { newBuild } from '@pyrgotect/core';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { firstOf, found, grouped, sortings } from '../src/shelf/arranged.ts';
import { entryOf, mergesNothing, saveBuild } from '../src/storage/builds.ts';
import { database, type ShelfEntry } from '../src/storage/database.ts';
import { exampleIds } from '../src/storage/examples.ts';
import { useShelf } from '../src/stores/shelf.ts';

beforeEach(async () => {
  setActivePinia(createPinia());
  await Promise.all(database.tables.map((table) => table.clear()));
});
const at = '2027-05-03T09:30:00Z';
const cake = (name: string, change: Partial<ShelfEntry> = {}): ShelfEntry => ({
  ...entryOf(newBuild(name, name, at), at),
  ...change,
});
const names = (entries: readonly ShelfEntry[]): string[] => entries.map(({ name }) => name);

describe('the shelf, arranged', () => {
  const all = [
    cake('Bell', { serveAt: '2027-06-12T16:00', customer: 'Harbour office', order: 'offered' }),
    cake('Arch', { customer: 'Choir', updatedAt: '2027-05-04T09:30:00Z', order: 'confirmed' }),
    cake('Dome', { isPattern: true }),
    cake('Cone', { serveAt: '2027-05-01T16:00' }),
    cake('Done', { finished: true, serveAt: '2027-04-01T16:00' }),
  ];
  it('finds each word in name, occasion and customer, and how far an order is', () => {
    expect(names(found(all, 'HARBOUR off', 'all'))).toEqual(['Bell']);
    expect(names(found(all, 'choir bell', 'all'))).toEqual([]);
    expect(names(found(all, '', 'confirmed'))).toEqual(['Arch']);
    expect(found(all, '  ', 'all')).toHaveLength(all.length);
  });
  it('shows every cake once, whatever the order', () => {
    for (const sorting of sortings) {
      const shown = grouped(all, sorting, '2027-05-10').flatMap(({ entries }) => names(entries));
      expect([...shown].sort(), sorting).toEqual(names(all).sort());
    }
  });
  it('goes by date in groups, by a word in one row, what has none last; patterns stand apart', () => {
    const byDate = grouped(all, 'date', '2027-05-10');
    expect(byDate.map(({ title, entries }) => [title, ...names(entries)])).toEqual([
      ['To be made', 'Bell'],
      ['Without a date', 'Arch'],
      ['Served', 'Cone'],
      ['Finished', 'Done'],
      ['Patterns', 'Dome'],
    ]);
    const row = (sorting: 'name' | 'customer' | 'changed'): string[] =>
      names(grouped(all, sorting, '2027-05-10')[0]!.entries);
    expect(row('name')).toEqual(['Arch', 'Bell', 'Cone', 'Done']);
    expect(row('customer').slice(0, 2)).toEqual(['Arch', 'Bell']);
    expect(row('changed')[0]).toBe('Arch');
    expect(grouped([], 'date', '2027-05-10')).toEqual([]);
  });
});

describe('the first of many', () => {
  it('are the first of all in their order, and not of those that came first', () => {
    const many = Array.from({ length: 40 }, (_, i) =>
      cake(`Cake ${String(40 - i).padStart(2, '0')}`),
    );
    const shown = firstOf(grouped(many, 'name', '2027-05-10'), 3).flatMap(({ entries }) => names(entries)); // prettier-ignore
    expect(shown).toEqual(['Cake 01', 'Cake 02', 'Cake 03']);
    const dated = [cake('b', { finished: true }), cake('a')];
    expect(firstOf(grouped(dated, 'date', '2027-05-10'), 1).map(({ title }) => title)).toEqual(['Without a date']); // prettier-ignore
    expect(firstOf(grouped(many, 'date', '2027-05-10'), 0)).toEqual([]);
  });
});

describe('cakes made from cakes', () => {
  const laid = async () => {
    const build = newBuild('first', 'Bell', at);
    const done = [{ stepKey: 'x', at }];
    await saveBuild(
      {
        ...build,
        brief: { ...build.brief, serveAt: '2027-06-12T16:00', occasion: 'wedding' },
        order: { ...build.order, customer: 'Choir', confirmed: true },
        bench: { ...build.bench, done },
      },
      0,
      mergesNothing,
      'New',
    );
    return useShelf();
  };
  it('remember the one they are made like, without its date and its customer', async () => {
    const shelf = await laid();
    const again = (await shelf.again('first'))!;
    expect(again.order).toMatchObject({ likeId: 'first', customer: '', confirmed: false });
    expect(again.brief.serveAt).toBeNull();
    expect(again.bench.done).toEqual([]);
    expect(again.name).toBe('Bell, again');
  });
  it('come from a pattern, which has no date, no customer and no occasion', async () => {
    const shelf = await laid();
    const pattern = (await shelf.asPattern('first'))!;
    expect(pattern.isPattern).toBe(true);
    expect(pattern.brief).toMatchObject({ serveAt: null, occasion: '' });
    const made = (await shelf.fromPattern(pattern.id))!;
    expect(made.isPattern).toBe(false);
    expect(made.tiers).toEqual(pattern.tiers);
    expect(shelf.entries.filter(({ isPattern }) => isPattern)).toHaveLength(1);
    expect(await shelf.again('nobody')).toBeNull();
  });
});

describe('the examples', () => {
  it('are laid on an empty shelf, put away as they were left, and brought back; own cakes stay', async () => {
    const shelf = useShelf();
    await shelf.create();
    expect(shelf.hasExamples).toBe(false);
    await shelf.bringExamples();
    const ids = await exampleIds();
    expect(ids.length).toBeGreaterThan(10);
    expect(shelf.entries).toHaveLength(ids.length + 1);
    expect(shelf.hasExamples).toBe(true);
    const one = (await database.builds.get(ids[0]!))!;
    const changed = { ...one.build, name: 'As I left it' };
    await saveBuild(changed, one.revision, () => null, 'Name');
    await shelf.remove(ids[1]!);
    await shelf.putExamplesAway();
    expect(names(shelf.entries)).toEqual(['New cake']);
    expect(shelf.hasExamples).toBe(false);
    // put away by an older version, they come back as this one writes them
    const away = (await database.settings.get('examples-away'))!.value as {
      version: number;
      stored: { build: Record<string, unknown> }[];
    };
    for (const { build } of away.stored) delete build.order;
    await database.settings.put({ key: 'examples-away', value: { ...away, version: 16 } });
    // put away twice nothing is lost
    await shelf.putExamplesAway();
    await shelf.bringExamples();
    expect((await database.builds.get(ids[0]!))!.build).toMatchObject({
      name: 'As I left it',
      order: { customer: '' },
    });
    // and what was taken off before lies there anew
    expect(await database.builds.get(ids[1]!)).toBeDefined();
    expect(shelf.entries).toHaveLength(ids.length + 1);
  }, 30_000);
});
