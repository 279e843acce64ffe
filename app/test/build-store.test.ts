import { newBuild, setLayerCount } from '@pyrgotect/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { setThickness, setTierHeight, thicknessOfPart, walkable } from '../src/parts/part-edits.ts';
import { mergesNothing, saveBuild } from '../src/storage/builds.ts';
import { database } from '../src/storage/database.ts';
import { saveAfterMs, useBuild } from '../src/stores/build.ts';

beforeEach(async () => {
  setActivePinia(createPinia());
  await Promise.all([database.builds.clear(), database.shelf.clear(), database.revisions.clear()]);
  await saveBuild(newBuild('cake', 'Cake', '2027-05-03T09:30:00Z'), 0, mergesNothing, 'New');
});
// what one test edits is written before the next begins
afterEach(() => useBuild().flush());
const opened = async () => {
  const store = useBuild();
  await store.open('cake');
  return store;
};
const layers = (store: ReturnType<typeof useBuild>): number[] =>
  store.build!.tiers[0]!.layers.map((l) => l.heightMm);

describe('the open build', () => {
  it('undoes and redoes any run of edits exactly', async () => {
    const store = await opened();
    const states = [JSON.stringify(store.build)];
    const edits: (() => void)[] = [
      () => setThickness('tier-1/layer/1', 31, false),
      () => setThickness('tier-1/gap/0', 12, true),
      () => store.edit('Layers', (d) => setLayerCount(d.tiers[0]!, 6)),
      () => store.edit('Servings', (d) => void (d.brief.servings = 12)),
    ];
    for (const edit of edits) {
      edit();
      store.endRun();
      states.push(JSON.stringify(store.build));
    }
    for (let i = states.length - 2; i >= 0; i--) {
      store.undo();
      expect(JSON.stringify(store.build)).toBe(states[i]);
    }
    store.undo();
    for (let i = 1; i < states.length; i++) {
      store.redo();
      expect(JSON.stringify(store.build)).toBe(states[i]);
    }
  });

  it('takes a whole drag as one step', async () => {
    const store = await opened();
    for (const mm of [26, 27, 28, 29]) setThickness('tier-1/layer/0', mm, false);
    store.endRun();
    expect(store.undoStack).toHaveLength(1);
    store.undo();
    expect(layers(store)[0]).toBe(25);
  });

  it('saves every edit and opens with it again', async () => {
    const store = await opened();
    setThickness('tier-1/layer/0', 33, false);
    expect(store.saveState).toBe('saving');
    await store.flush();
    expect(store.saveState).toBe('saved');
    setActivePinia(createPinia());
    expect(layers(await opened())[0]).toBe(33);
  });

  it('is done saving when all is kept, whoever asked and however often', async () => {
    const store = await opened();
    const kept = async (): Promise<number> =>
      (await database.builds.get('cake'))!.build.brief.servings;
    store.edit('Servings', (d) => void (d.brief.servings = 13));
    const first = store.flush();
    store.edit('Servings', (d) => void (d.brief.servings = 14));
    const others = [store.flush(), store.flush()];
    store.edit('Servings', (d) => void (d.brief.servings = 15));
    await Promise.all([first, ...others, store.flush()]);
    expect(await kept()).toBe(15);
    expect(store.saveState).toBe('saved');
    const rows = await database.revisions.where('buildId').equals('cake').toArray();
    expect(new Set(rows.map((row) => row.revision)).size).toBe(rows.length);
  });

  it('keeps a single edit at once, and a drag when it pauses', async () => {
    const store = await opened();
    const later = vi.spyOn(globalThis, 'setTimeout');
    const waits = (): number => later.mock.calls.filter(([, ms]) => ms === saveAfterMs).length;
    store.edit('Servings', (d) => void (d.brief.servings = 21));
    expect(waits()).toBe(0);
    await vi.waitFor(() => expect(store.saveState).toBe('saved'));
    for (const mm of [31, 32, 33]) setThickness('tier-1/layer/0', mm, false);
    expect(waits()).toBe(1);
    await vi.waitFor(() => expect(store.saveState).toBe('saved'));
    later.mockRestore();
  });

  it('shows what it is at once, and how it is made when the hand rests', async () => {
    const store = await opened();
    await vi.waitFor(() => expect(store.making).not.toBeNull(), { timeout: 5000 });
    const before = store.making!;
    setThickness('tier-1/layer/0', 60, false);
    expect(store.cake!.tally.heightMm).toBeGreaterThan(130);
    expect(store.making).toBe(before);
    await vi.waitFor(() => expect(store.making).not.toBe(before), { timeout: 5000 });
    expect(store.making!.handsOnMin).toBe(store.plan!.tally.handsOnMin);
    expect(store.cautions).toEqual(store.plan!.cautions);
  });

  it('replans at once', async () => {
    const store = await opened();
    const before = store.plan!.tally;
    setThickness('tier-1/gap/1', 12, false);
    expect(store.plan!.tally.heightMm).toBeCloseTo(before.heightMm + 5, 9);
    expect(store.plan!.tally.frostingG!).toBeGreaterThan(before.frostingG!);
  });

  it('reaches a height that is asked for by its layers', async () => {
    const store = await opened();
    const now = store.plan!.tally.heightMm;
    setTierHeight('tier-1', now + 20, now);
    expect(store.plan!.tally.heightMm).toBeCloseTo(now + 20, 9);
    setTierHeight('tier-1', 1, store.plan!.tally.heightMm);
    expect(Math.min(...layers(store))).toBeGreaterThanOrEqual(3);
  });

  it('walks its parts from the board up', async () => {
    const store = await opened();
    const parts = walkable(store.plan!);
    expect(parts[0]).toBe('board');
    const inner = parts.filter((id) => /layer|gap/.test(id));
    expect(inner[0]).toBe('tier-1/layer/0');
    expect(inner[1]).toBe('tier-1/gap/0');
    expect(thicknessOfPart(store.build!, 'tier-1/gap/0')).toBe(7);
    expect(thicknessOfPart(store.build!, 'board')).toBeNull();
  });

  it('says that a build is missing', async () => {
    const store = useBuild();
    await store.open('none');
    expect(store.missing).toBe(true);
    expect(store.plan).toBeNull();
  });
});
