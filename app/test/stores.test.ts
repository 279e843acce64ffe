import {
  newBuild,
  planShape,
  startingPantry,
  type Build,
  type CarveResult,
  type KeptRecord,
} from '@pyrgotect/core';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { mergesNothing, saveBuild } from '../src/storage/builds.ts';
import { database } from '../src/storage/database.ts';
import { useBuild } from '../src/stores/build.ts';
import { useCarvings } from '../src/stores/carvings.ts';
import { correctionsNow, useHand } from '../src/stores/hand.ts';
import { useKitchen } from '../src/stores/kitchen.ts';
import { usePantry } from '../src/stores/pantry.ts';
import { useSettings } from '../src/stores/settings.ts';
import { useShelf } from '../src/stores/shelf.ts';

beforeEach(async () => {
  setActivePinia(createPinia());
  await Promise.all(database.tables.map((table) => table.clear()));
});
/** The stores as another opening of the program finds them. */
const reopened = (): void => {
  setActivePinia(createPinia());
};
const demo = (name: string): string =>
  readFileSync(join(import.meta.dirname, `../../demo/${name}.json`), 'utf8');

describe('the pantry', () => {
  const sponge = () => usePantry().pantry.sponges.find((row) => row.id === 'butter')!;
  it('shows a changed row, keeps it, and gives the built-in one back', async () => {
    const pantry = usePantry();
    const rise = sponge().rise;
    await pantry.saveRow('sponges', { ...sponge(), rise: 1.5 });
    expect(sponge().rise).toBe(1.5);
    expect(pantry.isBuiltIn('sponges', 'butter')).toBe(true);
    reopened();
    await usePantry().load();
    expect(sponge().rise).toBe(1.5);
    await usePantry().resetRow('sponges', 'butter');
    expect(sponge().rise).toBe(rise);
  });
  it('refuses a row that cannot be, and changes nothing', async () => {
    const pantry = usePantry();
    await expect(pantry.saveRow('sponges', { ...sponge(), rise: 40 })).rejects.toThrow('at most 3');
    await expect(pantry.saveKitchen({ ...pantry.pantry.kitchen, shelves: 0 })).rejects.toThrow();
    expect(await database.pantry.count()).toBe(0);
    expect(await database.settings.get('kitchen')).toBeUndefined();
  });

  it('keeps two fields of a row that two windows changed, and two of the kitchen', async () => {
    const pantry = usePantry();
    await pantry.saveRow('sponges', { ...sponge(), rise: 1.4 });
    const mine = { ...sponge(), minSliceMm: 13 };
    // another window, of which this one has not heard yet
    await database.pantry.put({ key: 'sponges/butter', table: 'sponges', row: { ...sponge(), rise: 1.55 }, removed: false }); // prettier-ignore
    await pantry.saveRow('sponges', mine);
    expect(sponge()).toMatchObject({ rise: 1.55, minSliceMm: 13 });
    const kitchen = { ...pantry.pantry.kitchen };
    await database.settings.put({ key: 'kitchen', value: { ...kitchen, roomC: 25 } });
    await pantry.saveKitchen({ ...kitchen, fridgeC: 5 });
    expect(pantry.pantry.kitchen).toMatchObject({ roomC: 25, fridgeC: 5 });
  });
  it('takes a row away, and an own one in', async () => {
    const pantry = usePantry();
    const count = pantry.pantry.tins.length;
    const tin = pantry.pantry.tins[0]!;
    await pantry.removeRow('tins', tin.id);
    expect(pantry.pantry.tins.some((row) => row.id === tin.id)).toBe(false);
    await pantry.saveRows('tins', [{ ...tin, id: 'own-1', name: 'Copper ring' }]);
    expect(pantry.pantry.tins).toHaveLength(count);
    expect(pantry.isBuiltIn('tins', 'own-1')).toBe(false);
  });
  it('leaves out what in its store is no row, and stands without it', async () => {
    await database.pantry.bulkPut([
      { key: 'sponges/butter', table: 'sponges', row: { id: 'butter', rise: 'high' }, removed: false } as never, // prettier-ignore
      { key: 'cellar/x', table: 'cellar', row: {}, removed: false } as never,
    ]);
    await database.settings.put({ key: 'kitchen', value: { shelves: -3 } });
    await usePantry().load();
    expect(usePantry().pantry).toEqual(startingPantry());
  });
});

describe('the shelf', () => {
  const names = (): string[] => useShelf().entries.map(({ name }) => name);
  const put = (name: string, serveAt: string | null, finished = false): Promise<unknown> => {
    const build = newBuild(name, name, '2027-05-03T09:30:00Z');
    return saveBuild(
      {
        ...build,
        brief: { ...build.brief, serveAt },
        bench: { ...build.bench, finished: finished ? { at: '2027-05-03T09:30:00Z', moves: [] } : null },
      },
      0,
      mergesNothing,
      'New',
    ); // prettier-ignore
  };
  it('lists what is soonest first, then what has no date, then what is done', async () => {
    await put('later', '2027-08-01T10:00');
    await put('none', null);
    await put('done early', '2027-01-01T10:00', true);
    await put('done late', '2027-02-01T10:00', true);
    await put('soon', '2027-06-01T10:00');
    await useShelf().load();
    expect(names()).toEqual(['soon', 'later', 'none', 'done late', 'done early']);
  });
  it('copies a cake without what happened at its bench', async () => {
    const build = newBuild('a', 'Harbour', '2027-05-03T09:30:00Z');
    const done = [{ stepKey: 'x', at: '2027-05-03T09:30:00Z' }];
    await saveBuild({ ...build, bench: { ...build.bench, done } }, 0, mergesNothing, 'New');
    await useShelf().duplicate('a');
    const copy = (await database.builds.toArray()).find(({ id }) => id !== 'a')!.build;
    expect(copy.name).toBe('Harbour, copy');
    expect(copy.bench.done).toEqual([]);
    expect(copy.tiers).toEqual(build.tiers);
    await useShelf().duplicate('nobody');
    expect(names()).toHaveLength(2);
  });
  it('takes a cake off and puts it back as it was', async () => {
    const shelf = useShelf();
    const { id } = await shelf.create();
    const stored = (await shelf.remove(id))!;
    expect(names()).toEqual([]);
    expect(await shelf.remove(id)).toBeNull();
    await shelf.restore(stored);
    expect(names()).toEqual(['New cake']);
    expect((await database.builds.get(id))!.build).toEqual(stored.build);
  });
  it('brings a file back as it went out, carvings with it', async () => {
    const shelf = useShelf();
    const taken = await shelf.importText(demo('harbour-light'));
    if (!('build' in taken)) throw new Error(taken.problems[0]!.message);
    const out = (await shelf.exportText(taken.build.id))!;
    expect(out.name).toBe('Harbour light.json');
    const carvings = (text: string): unknown[] => (JSON.parse(text) as { carvings: unknown[] }).carvings; // prettier-ignore
    expect(carvings(out.text).length).toBeGreaterThan(0);
    expect(carvings(out.text)).toEqual(carvings(demo('harbour-light')));
    // again: it stands beside the first, under an id of its own
    const again = await shelf.importText(out.text);
    if (!('build' in again)) throw new Error(again.problems[0]!.message);
    expect(again.build.id).not.toBe(taken.build.id);
    expect({ ...again.build, id: '' }).toEqual({ ...taken.build, id: '' });
  });
  it('says what is wrong with a file and writes nothing', async () => {
    const answer = await useShelf().importText(demo('meridian').replace('"tiers"', '"storeys"'));
    expect('problems' in answer && answer.problems[0]!.message).toContain('tiers');
    expect(await database.builds.count()).toBe(0);
    expect(await database.pantry.count()).toBe(0);
  });
});

describe('the hand', () => {
  const record = (i: number, ratio: number): KeptRecord => ({
    id: `r${i}`,
    buildId: `cake-${i}`,
    buildName: 'A cake',
    at: `2027-05-${10 + i}T12:00:00Z`,
    kind: 'loss',
    title: 'A step',
    label: 'thrown away',
    planned: 100,
    actual: 100 * ratio,
    ratio,
    excluded: null,
  });
  const records = Array.from({ length: 8 }, (_, i) => record(i, 1.5 + (i % 3) / 100));
  it('corrections plans by its records, until they are switched off or left out', async () => {
    await database.records.bulkPut(records);
    const hand = useHand();
    await hand.ready();
    expect(hand.records[0]!.at > hand.records.at(-1)!.at).toBe(true);
    expect(hand.corrections.loss!.factor).toBeGreaterThan(1.2);
    await hand.switchKind('loss');
    expect(hand.corrections.loss).toBeUndefined();
    reopened();
    await useHand().load();
    expect(useHand().off).toEqual(['loss']);
    await useHand().switchKind('loss');
    await useHand().exclude(
      records.map(({ id }) => id),
      'a borrowed kitchen',
    );
    expect(useHand().corrections.loss).toBeUndefined();
    expect((await database.records.get('r3'))!.excluded).toBe('a borrowed kitchen');
    await useHand().exclude(['r0', 'r1', 'r2', 'r3', 'r4', 'r5', 'r6', 'r7'], null);
    expect(useHand().corrections.loss).toBeDefined();
  });
  it('leaves a finished cake as it was made', async () => {
    await database.records.bulkPut(records);
    const build = newBuild('a', 'A', '2027-05-03T09:30:00Z');
    const finished = { at: '2027-05-03T09:30:00Z', moves: [] };
    const done: Build = { ...build, bench: { ...build.bench, finished } };
    expect((await correctionsNow(build)).loss).toBeDefined();
    expect((await correctionsNow(done)).loss).toBeUndefined();
  });
});

describe('the settings', () => {
  it('are kept, and what is no setting is not believed', async () => {
    const settings = useSettings();
    expect(settings.unitsText).toBe('cm · g · °C');
    await settings.setUnits({ currency: '$' });
    await settings.switchUnits();
    await settings.setScheme('night');
    expect(settings.unitsText).toBe('in · oz · °F');
    reopened();
    await useSettings().load();
    expect(useSettings().system).toMatchObject({ length: 'in', currency: '$' });
    expect(useSettings().scheme).toBe('night');
    await database.settings.put({ key: 'settings', value: { system: { length: 'ells' } } });
    reopened();
    await useSettings().load();
    expect(useSettings().isMetric).toBe(true);
  });
});

describe('the kitchen', () => {
  it('knows the other cakes of the same days, with their tasks', async () => {
    const at = (id: string, serveAt: string, together: string[] = []): Promise<unknown> => {
      const build = newBuild(id, id, '2027-05-03T09:30:00Z');
      return saveBuild(
        { ...build, brief: { ...build.brief, serveAt }, day: { ...build.day, together } },
        0,
        mergesNothing,
        'New',
      );
    };
    await at('open', '2027-06-12T16:00', ['beside']);
    await at('beside', '2027-06-13T12:00');
    await at('near', '2027-06-10T12:00');
    await at('far', '2027-07-10T12:00');
    await useBuild().open('open');
    const kitchen = useKitchen();
    await vi.waitFor(() => expect(kitchen.others).toHaveLength(1));
    expect(kitchen.neighbours.map(({ id }) => id).sort()).toEqual(['beside', 'near']);
    const [other] = kitchen.others;
    expect(other!.name).toBe('beside');
    expect(other!.tasks.length).toBeGreaterThan(5);
    expect(other!.deadline.getTime()).toBeLessThan(new Date('2027-06-13T12:00').getTime());
  });
});

describe('what the solids said', () => {
  const file = JSON.parse(demo('harbour-light')) as { build: Build; carvings: CarveResult[] };
  it('is taken from a file, kept, and known at the next opening', async () => {
    useCarvings().take(file.carvings);
    await vi.waitFor(async () => expect(await database.carvings.count()).toBe(file.carvings.length)); // prettier-ignore
    reopened();
    await useCarvings().load();
    for (const { key } of file.carvings) expect(useCarvings().answerTo(key)).toBeDefined();
  });
  it('plans a carved cake as carved, and without it as the whole stack', () => {
    const carvings = useCarvings();
    const lowest = () =>
      planShape(structuredClone(file.build), startingPantry(), carvings.answerTo).tally.massG!;
    const whole = lowest();
    carvings.take(file.carvings);
    expect(lowest()).toBeLessThan(whole - 100);
  });
  it('of the oldest is forgotten when there are too many', () => {
    const carvings = useCarvings();
    const one = file.carvings[0]!;
    carvings.take(Array.from({ length: 90 }, (_, i) => ({ ...one, key: `key${i}` })));
    expect(carvings.answerTo('key0')).toBeUndefined();
    expect(carvings.answerTo('key89')).toBeDefined();
    expect(carvings.answers.size).toBe(80);
  });
  it('is not asked before it is known what is known', () => {
    const carvings = useCarvings();
    carvings.need(planShape(structuredClone(file.build), startingPantry()));
    expect(carvings.busy).toBe(false);
  });
});
