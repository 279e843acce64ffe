import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  addTier,
  cakesOf,
  leaveOutLayer,
  migrate,
  newBuild,
  planBuild,
  readBuildFile,
  setLayerCount,
  spongeLayers,
  type Build,
  withRows,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo, stepsOf } from './work-kit.ts';

/* A tick, a note and a timer belong to a thing, and stay with it wherever that thing goes. */

const fresh = (): Build => newBuild('keys', 'Keys', '2027-05-03T09:30:00Z');
const edited = (change: (build: Build) => void, from = fresh()): Build => {
  const build = structuredClone(from);
  change(build);
  return build;
};
const keysOf = (build: Build): string[] => stepsOf(planBuild(build, pantry)).map(({ key }) => key);

describe('keys of steps', () => {
  it('name the layers that a filling lies between', () => {
    const keys = keysOf(fresh());
    expect(keys).toContain('tier-1/fill/layer-2+layer-3');
    const turned = keysOf(edited(({ tiers: [tier] }) => void tier!.layers.reverse()));
    expect(turned).toContain('tier-1/fill/layer-3+layer-2');
    expect(turned).not.toContain('tier-1/fill/layer-2+layer-3');
  });
  it('of the other fillings stay where a torn layer is left out', () => {
    const keys = keysOf(edited(({ tiers: [tier] }) => leaveOutLayer(tier!, 0)));
    expect(keys).toContain('tier-1/fill/layer-2+layer-3');
    expect(keys).toContain('tier-1/fill/layer-3+layer-4');
    expect(keys).not.toContain('tier-1/fill/layer-1+layer-2');
  });
  it('never come back to another layer: one that was taken off and one put on are two', () => {
    const again = edited(({ tiers: [tier] }) => {
      setLayerCount(tier!, 3);
      setLayerCount(tier!, 4);
    });
    expect(keysOf(again)).not.toContain('tier-1/fill/layer-3+layer-4');
    expect(new Set(again.tiers[0]!.layers.map(({ id }) => id)).size).toBe(4);
  });
  it('are the same whatever anything is called', () => {
    const build = demo('jubilee');
    const named = edited((b) => {
      b.name = 'Something else';
      for (const tier of b.tiers) {
        tier.name = `Renamed ${tier.id}`;
        for (const topping of tier.toppings) topping.name = 'serve/cool/make';
      }
      for (const job of b.piping) job.name = '/bake';
    }, build);
    const before = stepsOf(planBuild(build, pantry));
    const after = stepsOf(planBuild(named, pantry));
    expect(after.map(({ key, kind, hazards, hotC }) => ({ key, kind, hazards, hotC }))).toEqual(
      before.map(({ key, kind, hazards, hotC }) => ({ key, kind, hazards, hotC })),
    );
  });
  it('of a tier stay when another one is put on it', () => {
    const keys = keysOf(fresh()).filter((key) => key.startsWith('tier-1/'));
    const two = keysOf(edited((build) => void addTier(build)));
    expect(two).toEqual(expect.arrayContaining(keys));
  });
});

describe('kept from before', () => {
  const text = readFileSync(new URL('fixtures/version-10.json', import.meta.url), 'utf8');
  it('what was ticked and noted by number stays with what it was about', () => {
    const file = JSON.parse(text) as { build: Build };
    const [tier] = file.build.tiers;
    const at = '2027-05-03T10:00:00Z';
    const n = tier!.layers.length;
    file.build.bench.done = [`${tier!.id}/other/0`, `${tier!.id}/fill/${n - 2}`, 'serve'].map(
      (stepKey) => ({ stepKey, at }),
    );
    file.build.bench.stepKey = `${tier!.id}/fill/0`;
    file.build.bench.checks = [`${tier!.id}/fill/0|weighed|cream`];
    file.build.day.minutes = [{ taskId: `${tier!.id}/fill/0~2`, handsMin: 9 }];
    const read = readBuildFile(JSON.stringify(file));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const { bench, day, tiers } = read.build;
    expect(tiers[0]!.layers.map(({ id }) => id)).toEqual(
      tier!.layers.map((_, i) => `layer-${i + 1}`),
    );
    expect(bench.done.map(({ stepKey }) => stepKey)).toEqual([
      `${tier!.id}/other/layer-1`,
      `${tier!.id}/fill/layer-${n - 1}+layer-${n}`,
      'serve',
    ]);
    expect(bench.stepKey).toBe(`${tier!.id}/fill/layer-1+layer-2`);
    expect(bench.checks).toEqual([`${tier!.id}/fill/layer-1+layer-2|weighed|cream`]);
    expect(day.minutes[0]!.taskId).toBe(`${tier!.id}/fill/layer-1+layer-2~2`);
    expect(read.rows.foods.every((row) => row.prep !== undefined)).toBe(true);
  });
  it('what was done at a board half-way up goes by its layer, and is still counted', () => {
    const old = readFileSync(new URL('fixtures/version-11.json', import.meta.url), 'utf8');
    const read = readBuildFile(old);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const { bench, day, tiers } = read.build;
    // the board lies over the fourth layer
    expect(tiers[0]!.stand.decks[0]!.afterLayer).toBe(3);
    const done = bench.done.map(({ stepKey }) => stepKey).filter((key) => key.includes('deck'));
    const at = 'tier-1/deck/layer-4';
    expect(done).toEqual([`in/${at}/dowels`, `in/${at}`, `out/${at}`, `out/${at}/dowels`]);
    expect(bench.checks).toContain(`in/${at}/dowels|Counted in, aloud, and noted here`);
    expect(day.minutes).toContainEqual({ taskId: `in/${at}`, handsMin: 7 });
    const plan = planBuild(read.build, withRows(pantry, read.rows));
    const keys = stepsOf(plan).map(({ key }) => key);
    for (const key of done) expect(keys).toContain(key);
    expect(tiers.every(({ surfaces, stockId }) => surfaces.length === 0 && stockId === null)).toBe(
      true,
    );
    // another board under it leaves its ticks where they are
    const more = structuredClone(read.build);
    more.tiers[0]!.stand.decks.unshift({ ...more.tiers[0]!.stand.decks[0]!, afterLayer: 1 });
    const after = stepsOf(planBuild(more, withRows(pantry, read.rows))).map(({ key }) => key);
    for (const key of done) expect(after).toContain(key);
  });
  it('every step that was ticked off in a demo cake of version 10 is a step of it now', () => {
    const build = fresh();
    const tier = build.tiers[0]!;
    const cakes = cakesOf(spongeLayers(tier), tier.slicesPerCake);
    const old = {
      ...build,
      tiers: build.tiers.map((one) => ({
        ...one,
        layers: one.layers.map((layer) => ({ ...layer, id: undefined })),
      })),
      bench: {
        ...build.bench,
        done: [
          ...cakes.map((_, i) => `tier-1/cut/${i}`),
          ...tier.gaps.map((_, i) => `tier-1/fill/${i}`),
        ].map((stepKey) => ({ stepKey, at: '2027-05-03T10:00:00Z' })),
      },
    };
    const file = migrate({ ...JSON.parse(text), build: old } as Record<string, unknown>);
    const now = file.build as Build;
    const keys = keysOf(now);
    for (const { stepKey } of now.bench.done) expect(keys).toContain(stepKey);
  });
});
