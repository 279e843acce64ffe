import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { flavoursOf, notFoodByName, readBuildFile, startingPantry } from '../src/index.ts';

it('what is not food is counted by its name, and nothing of it is lost', () => {
  const parts = [{ name: 'rod', count: 5 }, { name: 'card', count: 1 }, { name: 'rod', count: 4 }]; // prettier-ignore
  expect(notFoodByName(parts)).toEqual([{ name: 'rod', count: 9 }, { name: 'card', count: 1 }]); // prettier-ignore
});

describe('flavours of a cake', () => {
  const read = readBuildFile(readFileSync(new URL('../../demo/jubilee.json', import.meta.url), 'utf8')); // prettier-ignore
  if (!read.ok) throw new Error('no jubilee');
  const { build } = read;
  const pantry = startingPantry();

  it('are those of each tier, each name once', () => {
    const flavours = flavoursOf(build, pantry);
    expect(flavours.map(({ name }) => name)).toEqual(build.tiers.map(({ name }) => name));
    for (const [i, { layers, fillings, outside }] of flavours.entries()) {
      const tier = build.tiers[i]!;
      for (const names of [layers, fillings, outside])
        expect(new Set(names).size).toBe(names.length);
      expect(layers).toContain(pantry.sponges.find(({ id }) => id === tier.spongeId)!.name);
      expect(outside).toContain(pantry.spreads.find(({ id }) => id === tier.coat.spreadId)!.name);
      const wanted = new Set(tier.gaps.map(({ spreadId }) => spreadId));
      expect(fillings.length).toBeGreaterThanOrEqual(wanted.size);
    }
  });

  it('leave out what the pantry does not have', () => {
    const none = flavoursOf(build, { ...pantry, sponges: [], spreads: [] });
    expect(none[0]!.layers).toEqual([]);
    expect(none[0]!.fillings).toEqual([]);
  });
});
