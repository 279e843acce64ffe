import { addTier, newBuild, newTopping, setLayerHeight, type Build } from '@pyrgotect/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { mergesNothing, removeBuild, revisionsOf, saveBuild } from '../src/storage/builds.ts';
import type { Word } from '../src/storage/channel.ts';
import { database } from '../src/storage/database.ts';
import { useBuild } from '../src/stores/build.ts';

/* One cake open in two windows: this one, and another that saves beside it. */

beforeEach(async () => {
  setActivePinia(createPinia());
  await Promise.all([database.builds.clear(), database.shelf.clear(), database.revisions.clear()]);
  await saveBuild(newBuild('cake', 'Cake', '2027-05-03T09:30:00Z'), 0, mergesNothing, 'New');
});
afterEach(() => useBuild().flush());
const opened = async () => {
  const store = useBuild();
  await store.open('cake');
  return store;
};
const stored = async () => (await database.builds.get('cake'))!;
/** What another window saves, without this one hearing of it. */
async function elsewhere(change: (build: Build) => void): Promise<void> {
  const { build, revision } = await stored();
  change(build);
  await saveBuild(build, revision, mergesNothing, 'Elsewhere');
}

describe('a cake in two windows', () => {
  it('keeps what both added, and shows it here', async () => {
    const store = await opened();
    await elsewhere((build) => void (addTier(build).name = 'Theirs'));
    store.edit('Tier', (draft) => void (addTier(draft).name = 'Mine'));
    await store.flush();
    const names = (await stored()).build.tiers.map(({ name }) => name).sort();
    expect(names).toEqual(['Mine', 'Theirs', 'Tier 1']);
    expect(store.build).toEqual((await stored()).build);
    expect(store.clash).toBeNull();
    expect(store.saveState).toBe('saved');
  });

  it('says what both changed: this one stands, and the other can be taken and taken back', async () => {
    const store = await opened();
    await elsewhere((build) => {
      setLayerHeight(build.tiers[0]!, 0, 41);
      build.brief.servings = 77;
    });
    store.edit('Layer', (draft) => setLayerHeight(draft.tiers[0]!, 0, 33));
    await store.flush();
    const height = (): number => store.build!.tiers[0]!.layers[0]!.heightMm;
    expect(height()).toBe(33);
    expect(store.build!.brief.servings).toBe(77);
    expect(store.clash!.places).toEqual(['tiers[0].layers[0].heightMm']);
    store.takeTheirs();
    expect(height()).toBe(41);
    expect(store.clash).toBeNull();
    store.undo();
    expect(height()).toBe(33);
    await store.flush();
    expect((await stored()).build.tiers[0]!.layers[0]!.heightMm).toBe(33);
  });

  it('undoes its own edit and not that of the other', async () => {
    const store = await opened();
    store.edit('Topping', (draft) => void draft.tiers[0]!.toppings.push(newTopping('mine')));
    await store.flush();
    await elsewhere((build) => void build.tiers[0]!.toppings.push(newTopping('theirs')));
    store.edit('Servings', (draft) => void (draft.brief.servings = 61));
    await store.flush();
    const ids = (): string[] => store.build!.tiers[0]!.toppings.map(({ id }) => id);
    expect(ids().sort()).toEqual(['mine', 'theirs']);
    store.undo();
    expect(store.build!.brief.servings).not.toBe(61);
    store.undo();
    expect(ids()).toEqual(['theirs']);
    store.redo();
    expect(ids().sort()).toEqual(['mine', 'theirs']);
  });

  it('keeps what is typed while a save is under way', async () => {
    const store = await opened();
    await elsewhere((build) => void (build.brief.place = 'the tower'));
    store.edit('Servings', (draft) => void (draft.brief.servings = 50));
    const saving = store.flush();
    store.edit('Name', (draft) => void (draft.name = 'Typed meanwhile'));
    await saving;
    await store.flush();
    const { build } = await stored();
    expect(build).toMatchObject({ name: 'Typed meanwhile', brief: { servings: 50, place: 'the tower' } }); // prettier-ignore
    expect(store.build).toEqual(build);
  });

  it('says that it was taken off, and puts it back with what was typed since', async () => {
    const store = await opened();
    store.edit('Servings', (draft) => void (draft.brief.servings = 19));
    await store.flush();
    await removeBuild('cake');
    store.edit('Servings', (draft) => void (draft.brief.servings = 23));
    await store.flush();
    expect(store.saveState).toBe('gone');
    store.edit('Name', (draft) => void (draft.name = 'Still typing'));
    await store.flush();
    expect(await database.builds.count()).toBe(0);
    await store.putBack();
    expect(store.saveState).toBe('saved');
    expect((await stored()).build).toMatchObject({ name: 'Still typing', brief: { servings: 23 } });
    // and its history goes on where it was
    const numbers = (await revisionsOf('cake')).map(({ revision }) => revision);
    expect(new Set(numbers).size).toBe(numbers.length);
  });

  it('that cannot be saved is not lost by opening another', async () => {
    await saveBuild(newBuild('other', 'Other', '2027-05-03T09:30:00Z'), 0, mergesNothing, 'New');
    const store = await opened();
    const put = vi.spyOn(database.builds, 'put').mockRejectedValue(new Error('full'));
    store.edit('Servings', (draft) => void (draft.brief.servings = 99));
    await store.flush();
    expect(store.saveState).toBe('failed');
    await store.open('other');
    expect(store.build!.name).toBe('Other');
    expect(store.saveState).toBe('saved');
    put.mockRestore();
    await store.open('cake');
    expect(store.build!.brief.servings).toBe(99);
    expect(store.saveState).toBe('saved');
    expect((await stored()).build.brief.servings).toBe(99);
  });
});

describe('a cake of another device', () => {
  /** What a window or the worker of paired devices says to all. */
  const say = (word: Word): void => {
    const channel = new BroadcastChannel('pyrgotect');
    channel.postMessage(word);
    channel.close();
  };
  it('opens by itself where it was waited for', async () => {
    const store = useBuild();
    await store.open('late');
    expect([store.missing, store.build]).toEqual([true, null]);
    await saveBuild(newBuild('late', 'Late', '2027-05-03T09:30:00Z'), 0, mergesNothing, 'New');
    say({ kind: 'build', id: 'other', revision: 1 });
    say({ kind: 'build', id: 'late', revision: 1 });
    await vi.waitFor(() => expect(store.build?.name).toBe('Late'));
    expect(store.missing).toBe(false);
  });
  it('says what both had changed, of this cake alone', async () => {
    const store = await opened();
    say({ kind: 'met', id: 'other', from: 'Tablet', places: ['name'] });
    say({ kind: 'met', id: 'cake', from: 'Tablet', places: ['brief.servings', 'name'] });
    await vi.waitFor(() => expect(store.notice).toContain('Tablet and this device'));
    expect(store.notice).toContain('earlier versions');
  });
});
