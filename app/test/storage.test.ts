import { mergeBuilds, newBuild, setGapHeight, setLayerHeight, type Build } from '@pyrgotect/core';
import { create } from 'mutative';
import { beforeEach, describe, expect, it } from 'vitest';
import {
  mergesNothing,
  removeBuild,
  restoreBuild,
  revisionsOf,
  saveBuild,
} from '../src/storage/builds.ts';
import { Database } from '../src/storage/database.ts';
import { sweepRemoved } from '../src/storage/removed.ts';
import { keptRevisions, thinned } from '../src/storage/thin.ts';

let db: Database;
let n = 0;
beforeEach(() => {
  db = new Database(`test-${n++}`);
});
const fresh = (): Build => newBuild('cake', 'Cake', '2027-05-03T09:30:00Z');
const edited = (build: Build, change: (draft: Build) => void): Build => create(build, change);
/** What was made of a fresh cake, saved over whatever is there by now. */
const saveOver = (mine: Build, revision: number, label: string) =>
  saveBuild(mine, revision, (onto) => mergeBuilds(fresh(), onto, mine)?.value ?? null, label, db);
const stored = async (): Promise<Build> => (await db.builds.get('cake'))!.build;

describe('saving a build', () => {
  it('writes build, shelf entry and revision together', async () => {
    const result = await saveBuild(fresh(), 0, mergesNothing, 'New', db);
    expect(result.kind).toBe('saved');
    expect((await db.shelf.get('cake'))?.name).toBe('Cake');
    expect((await revisionsOf('cake', db)).map((r) => r.label)).toEqual(['New']);
  });

  it('keeps the last fifty revisions', async () => {
    let build = fresh();
    await saveBuild(build, 0, mergesNothing, 'New', db);
    for (let i = 1; i <= keptRevisions + 10; i++) {
      build = edited(build, (d) => void (d.name = `Cake ${i}`));
      await saveOver(build, i, `Edit ${i}`);
    }
    const revisions = await revisionsOf('cake', db);
    expect(revisions).toHaveLength(keptRevisions);
    expect(revisions[0]!.build.name).toBe(`Cake ${keptRevisions + 10}`);
  });

  it('puts an edit on top of what another window saved meanwhile', async () => {
    await saveBuild(fresh(), 0, mergesNothing, 'New', db);
    const mine = edited(fresh(), (d) => setLayerHeight(d.tiers[0]!, 0, 31));
    const theirs = edited(fresh(), (d) => setGapHeight(d.tiers[0]!, 1, 9));
    await saveOver(theirs, 1, 'Theirs');
    const result = await saveOver(mine, 1, 'Mine');
    expect(result).toMatchObject({ kind: 'saved', rebased: true });
    expect((await stored()).tiers[0]!.layers[0]!.heightMm).toBe(31);
    expect((await stored()).tiers[0]!.gaps[1]!.heightMm).toBe(9);
  });

  it('writes nothing where the two do not go together, and gives back what is there', async () => {
    await saveBuild(fresh(), 0, mergesNothing, 'New', db);
    await saveOver(
      edited(fresh(), (d) => void (d.name = 'Theirs')),
      1,
      'Theirs',
    );
    const result = await saveBuild(fresh(), 1, mergesNothing, 'Mine', db);
    expect(result).toMatchObject({ kind: 'conflict', stored: { build: { name: 'Theirs' } } });
    expect((await revisionsOf('cake', db))[0]!.label).toBe('Theirs');
  });

  it('does not bring back a build that was removed', async () => {
    await saveBuild(fresh(), 0, mergesNothing, 'New', db);
    await removeBuild('cake', db);
    const ghost = edited(fresh(), (d) => void (d.name = 'Ghost'));
    expect((await saveOver(ghost, 1, 'Edit')).kind).toBe('gone');
    expect(await db.builds.count()).toBe(0);
  });

  it('restores a removed build with its revisions', async () => {
    await saveBuild(fresh(), 0, mergesNothing, 'New', db);
    const removed = await removeBuild('cake', db);
    expect(await db.shelf.count()).toBe(0);
    await restoreBuild(removed!, db);
    expect((await stored()).name).toBe('Cake');
    expect(await revisionsOf('cake', db)).toHaveLength(1);
  });
});

describe('versions', () => {
  const at = (hoursAgo: number): string => new Date(Date.UTC(2027, 4, 3, 12) - hoursAgo * 3_600_000).toISOString(); // prettier-ignore
  it('thin out with age: the last fifty, one an hour for two days, one a day for two months', () => {
    // one each ten minutes for eighty days
    const versions = Array.from({ length: 80 * 144 }, (_, i) => ({ key: 80 * 144 - i, at: at(i / 6) })); // prettier-ignore
    const gone = new Set(thinned(versions));
    const kept = versions.filter(({ key }) => !gone.has(key));
    expect(kept.slice(0, 50)).toEqual(versions.slice(0, 50));
    const hours = kept.map((_, i) => i).filter((i) => i >= 50).map((i) => (Date.parse(at(0)) - Date.parse(kept[i]!.at)) / 3_600_000); // prettier-ignore
    // the first nine hours stand among the fifty
    expect(hours.filter((h) => h <= 48).length).toBeGreaterThan(36);
    expect(hours.filter((h) => h <= 48).length).toBeLessThan(43);
    expect(hours.filter((h) => h > 48).length).toBeGreaterThan(55);
    expect(hours.filter((h) => h > 48).length).toBeLessThan(60);
    expect(Math.max(...hours)).toBeLessThanOrEqual(60 * 24);
    expect(thinned([])).toEqual([]);
  });
  it('of one edit that goes on are one', async () => {
    await saveBuild(fresh(), 0, mergesNothing, 'New', db);
    for (const mm of [26, 27, 28]) {
      const { revision, build } = (await db.builds.get('cake'))!;
      await saveBuild(edited(build, (d) => setLayerHeight(d.tiers[0]!, 0, mm)), revision, mergesNothing, 'Layer', db); // prettier-ignore
    }
    const kept = await revisionsOf('cake', db);
    expect(kept.map(({ label }) => label)).toEqual(['Layer', 'New']);
    expect(kept[0]!.build.tiers[0]!.layers[0]!.heightMm).toBe(28);
    expect(kept[0]!.revision).toBe(4);
  });
  it('and photos of a cake that was taken off stay a day, and then go', async () => {
    await saveBuild(fresh(), 0, mergesNothing, 'New', db);
    await db.photos.put({ id: 'p', buildId: 'cake', at: '2027-05-03T12:00:00Z', blob: new Blob(['x']) }); // prettier-ignore
    const removed = await removeBuild('cake', db);
    expect(await sweepRemoved(Date.now() + 3_600_000, db)).toBe(0);
    expect(await db.photos.count()).toBe(1);
    await restoreBuild(removed!, db);
    expect(await sweepRemoved(Date.now() + 100 * 3_600_000, db)).toBe(0);
    expect(await db.photos.count()).toBe(1);
    await removeBuild('cake', db);
    expect(await sweepRemoved(Date.now() + 25 * 3_600_000, db)).toBe(1);
    expect(await db.photos.count()).toBe(0);
    expect(await revisionsOf('cake', db)).toEqual([]);
  });
});

describe('records of what happened', () => {
  const noted = (value: number): Build => {
    const build = fresh();
    build.bench.notes.push({
      id: 'n1',
      stepKey: 'tier-1/fill/layer-1+layer-2',
      at: '2027-06-12T12:00:00Z',
      kind: 'mass',
      value,
      text: '',
      planned: {
        title: 'Fill layer 1',
        label: 'filling on layer 1',
        value: 100,
        what: 'mass/fill',
        takenG: null,
        movedBy: 1,
        hand: 'fill',
        show: 'small',
      },
    });
    return build;
  };
  const records = () => db.records.toArray();
  it('are kept with the build, and follow its notes', async () => {
    await saveBuild(noted(110), 0, mergesNothing, 'New', db);
    expect((await records()).map(({ ratio }) => ratio)).toEqual([1.1]);
    await saveBuild(noted(120), 1, mergesNothing, 'Noted', db);
    expect((await records()).map(({ ratio }) => ratio)).toEqual([1.2]);
    await saveBuild(fresh(), 2, mergesNothing, 'Taken out', db);
    expect(await records()).toEqual([]);
  });
  it('stay left out, with the reason, when the build is saved again', async () => {
    await saveBuild(noted(110), 0, mergesNothing, 'New', db);
    const [one] = await records();
    await db.records.put({ ...one!, excluded: 'another recipe' });
    const more = noted(110);
    more.bench.notes.push({ ...more.bench.notes[0]!, id: 'words', value: null, planned: null });
    await saveBuild(more, 1, mergesNothing, 'More', db);
    expect((await records()).map(({ excluded }) => excluded)).toEqual(['another recipe']);
    // a figure that was mended is asked about anew
    await saveBuild(noted(130), 2, mergesNothing, 'Mended', db);
    expect((await records()).map(({ excluded }) => excluded)).toEqual([null]);
  });
  it('outlast the build: what was learnt is not forgotten', async () => {
    await saveBuild(noted(110), 0, mergesNothing, 'New', db);
    await removeBuild('cake', db);
    expect(await records()).toHaveLength(1);
  });
});
