import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cakeDays, madeTogether, planShopping, type MadeBatch } from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { demo } from './work-kit.ts';

/* Bowls of one recipe that several cakes take, made at once while they keep. */

const hour = 3_600_000;
const start = Date.parse('2027-06-10T18:00:00Z');
const batch = (
  cake: string,
  atH: number,
  usedH: number,
  more: Partial<MadeBatch> = {},
): MadeBatch => ({
  cakeId: cake,
  cake: cake.toUpperCase(),
  recipeId: 'recipe-buttercream',
  name: 'Buttercream',
  massG: 800,
  mixes: 1,
  largestMixG: 2000,
  minutesEach: 15,
  madeAt: start + atH * hour,
  usedBy: start + usedH * hour,
  keepsMin: 7 * 24 * 60,
  ...more,
});

describe('bowls made at once', () => {
  it('save a mixing and the washing, and say how much older the last of it is', () => {
    const [one, ...rest] = madeTogether([batch('a', 0, 4), batch('b', 26, 30)], 4);
    expect(rest).toEqual([]);
    expect(one).toMatchObject({ massG: 1600, mixes: 1, savesMin: 15 + 4, olderMin: 26 * 60 });
    expect(one!.parts.map(({ cakeId, massG, olderMin }) => [cakeId, massG, olderMin])).toEqual([
      ['a', 800, 0],
      ['b', 800, 26 * 60],
    ]);
  });
  it('that do not fit the mixer at once save the washing alone, which is hardly worth a word', () => {
    const [one] = madeTogether(
      [batch('a', 0, 4, { massG: 1500 }), batch('b', 2, 6, { massG: 1500 })],
      6,
    );
    expect(one).toMatchObject({ mixes: 2, savesMin: 6 });
    expect(
      madeTogether([batch('a', 0, 4, { massG: 1500 }), batch('b', 2, 6, { massG: 1500 })], 4),
    ).toEqual([]);
  });
  it('are not kept longer than they keep', () => {
    const short = { keepsMin: 24 * 60 };
    expect(madeTogether([batch('a', 0, 4, short), batch('b', 10, 24, short)], 4)).toHaveLength(1);
    expect(madeTogether([batch('a', 0, 4, short), batch('b', 10, 24.1, short)], 4)).toEqual([]);
    expect(madeTogether([batch('a', 0, 4), batch('b', 1, 5, { keepsMin: null })], 4)).toEqual([]);
  });
  it('are of one recipe and of several cakes', () => {
    expect(madeTogether([batch('a', 0, 4), batch('b', 1, 5, { recipeId: 'other' })], 4)).toEqual(
      [],
    );
    expect(madeTogether([batch('a', 0, 4), batch('a', 1, 5)], 4)).toEqual([]);
  });
  it('lose no gram, and nothing waits longer than it keeps, whatever the cakes', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            cake: fc.constantFrom('a', 'b', 'c', 'd'),
            recipeId: fc.constantFrom('r', 's'),
            atH: fc.integer({ min: 0, max: 90 }),
            usedAfterH: fc.integer({ min: 0, max: 40 }),
            massG: fc.integer({ min: 50, max: 3000 }),
            keepsMin: fc.constantFrom(null, 600, 3000),
          }),
          { maxLength: 9 },
        ),
        (rows) => {
          const made = rows.map(({ cake, atH, usedAfterH, ...more }) =>
            batch(cake, atH, atH + usedAfterH, { ...more, mixes: Math.ceil(more.massG / 2000) }),
          );
          const found = madeTogether(made, 4);
          const parts = found.flatMap((one) => one.parts);
          expect(parts.length).toBeLessThanOrEqual(made.length);
          for (const one of found) {
            expect(one.parts.reduce((sum, { massG }) => sum + massG, 0)).toBe(one.massG);
            expect(new Set(one.parts.map(({ cakeId }) => cakeId)).size).toBeGreaterThan(1);
            expect(one.mixes * 2000).toBeGreaterThanOrEqual(one.massG);
            expect(one.savesMin).toBeGreaterThanOrEqual(5);
            expect(one.olderMin).toBeGreaterThanOrEqual(0);
          }
          const saved = found.map(({ savesMin }) => savesMin);
          expect(saved).toEqual([...saved].sort((a, b) => b - a));
        },
      ),
      { seed: 11, numRuns: 80 },
    );
  });
});

describe('cakes of one week', () => {
  it('name the bowls that both take, by the plan of their days', () => {
    const cakes = ['meridian', 'jubilee'].map((name) => {
      const build = demo(name);
      return { ...build, brief: { ...build.brief, serveAt: '2027-06-19T16:00' } };
    });
    const days = Object.fromEntries(cakes.map((build) => [build.id, cakeDays(build, pantry)]));
    for (const build of cakes)
      for (const { massG, madeAt, usedBy } of days[build.id]!.made) {
        expect(massG).toBeGreaterThan(0);
        expect(usedBy).toBeGreaterThan(madeAt);
        expect(usedBy).toBeLessThan(Date.parse('2027-06-20T00:00:00Z'));
      }
    const { together } = planShopping(cakes, pantry, 2, undefined, undefined, days);
    const both = new Set(days[cakes[0]!.id]!.made.map(({ recipeId }) => recipeId));
    const shared = days[cakes[1]!.id]!.made.filter(({ recipeId }) => both.has(recipeId));
    expect(together.length).toBeLessThanOrEqual(shared.length);
    expect(planShopping(cakes, pantry, 2).together).toEqual([]);
  });
});
