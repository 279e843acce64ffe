import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  buildVersion,
  coolingMin,
  coolPlaces,
  findRow,
  migrate,
  planHolds,
  readBuildFile,
  rowFrom9,
  type CoolPlace,
  type Recipe,
} from '../src/index.ts';
import { withLists } from './work-kit.ts';
import { pantry } from './arbitrary.ts';
import { askedForRecipes } from '../src/pantry/starting/asked-for.ts';

const { kitchen } = pantry;
const sauce = { massG: 500, densityGPerMl: 1.1, capacityKJ: 2.9 };
const min = (from: number, to: number, place: CoolPlace, what = sauce): number =>
  coolingMin(what, from, to, place, kitchen)!;
const recipe = (id: string): Recipe => findRow(pantry, 'recipes', `recipe-${id}`);
const startingRecipes = pantry.recipes;

describe('what was hot cools', () => {
  it('in the times that cooks know: half a kilo from 85 to 30 degrees', () => {
    expect(min(85, 30, 'bowl')).toBeGreaterThan(90);
    expect(min(85, 30, 'bowl')).toBeLessThan(160);
    // fruit is mostly water and holds more heat
    const fruit = min(85, 30, 'bowl', { ...sauce, capacityKJ: 3.7 });
    expect(fruit).toBeGreaterThan(120);
    expect(fruit).toBeLessThan(200);
    expect(min(85, 30, 'tray')).toBeGreaterThan(30);
    expect(min(85, 30, 'tray')).toBeLessThan(55);
    expect(min(85, 30, 'cold water')).toBeLessThan(min(85, 30, 'bowl') / 3);
    expect(min(85, 30, 'fridge')).toBeLessThan(min(85, 30, 'bowl'));
  });
  it('slower the more there is of it in a bowl, and no slower on a tray', () => {
    const eight = { ...sauce, massG: 8 * sauce.massG };
    // eight times the mass is four times the face
    expect(min(85, 30, 'bowl', eight)).toBeCloseTo(2 * min(85, 30, 'bowl'), 6);
    expect(min(85, 30, 'tray', eight)).toBe(min(85, 30, 'tray'));
  });
  it('never below what is round it', () => {
    expect(coolingMin(sauce, 80, 8, 'bowl', kitchen)).toBeNull();
    expect(coolingMin(sauce, 80, 8, 'tray', kitchen)).toBeNull();
    expect(min(80, 8, 'tray in the fridge')).toBeGreaterThan(0);
    expect(coolingMin(sauce, 20, 25, 'bowl', kitchen)).toBe(0);
  });
  it('longer the further, wherever it stands', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...coolPlaces),
        fc.double({ min: 40, max: 110, noNaN: true }),
        fc.double({ min: 24, max: 39, noNaN: true }),
        fc.double({ min: 20, max: 5000, noNaN: true }),
        (place, from, to, massG) => {
          const what = { ...sauce, massG };
          const whole = min(from, to, place, what);
          const part = min(from, (from + to) / 2, place, what);
          expect(whole).toBeGreaterThan(part);
          // the way is the same in one go or in two
          expect(part + min((from + to) / 2, to, place, what)).toBeCloseTo(whole, 6);
        },
      ),
    );
  });
});

describe('a recipe waits', () => {
  it('wherever it gets hot and is not beaten cold: every one of the house says so', () => {
    const beatenCold = ['meringue', 'yolk'].map((id) => `recipe-${id}`);
    for (const row of startingRecipes) {
      expect(row.holds, row.id).not.toBeNull();
      const isHot = row.bake === null && (row.hottestC ?? 0) > 45 && !beatenCold.includes(row.id);
      if (isHot) expect(row.holds!.length, row.id).toBeGreaterThan(0);
      for (const hold of row.holds!) expect(hold.after).toBeLessThanOrEqual(row.steps.length);
    }
  });
  it('at least as long as it must, however fast it cools', () => {
    const [hold] = planHolds(recipe('whippedganache'), 50, 1.1, pantry);
    expect(hold).toMatchObject({ minutes: 360, why: 'rested', place: 'fridge', after: 1 });
    const [large] = planHolds(recipe('caramel'), 2000, 1.3, pantry);
    const [small] = planHolds(recipe('caramel'), 250, 1.3, pantry);
    expect(large!.minutes).toBeCloseTo(2 * small!.minutes, 6);
    expect(small!.why).toBe('cooled');
  });
  it('where the user wants it, and nowhere that never makes it so cold', () => {
    const curd = (place: CoolPlace | null) =>
      planHolds(recipe('curd'), 400, 1.1, pantry, place)[0]!;
    expect(curd(null).place).toBe('tray in the fridge');
    expect(curd('fridge').place).toBe('fridge');
    expect(curd('fridge').minutes).toBeGreaterThan(curd(null).minutes);
    expect(curd('bowl').place).toBe('tray in the fridge');
    expect(curd(null).ways.map(({ place }) => place)).not.toContain('bowl');
    for (const way of curd(null).ways) expect(way.minutes).toBeGreaterThanOrEqual(curd(null).ways[0]!.minutes); // prettier-ignore
  });
  it('no longer than until it is as warm as it is used', () => {
    const to = (usedC: number | null) =>
      planHolds(recipe('caramel'), 400, 1.3, pantry, null, usedC)[0]!;
    expect(to(null).toC).toBe(28);
    expect(to(36).toC).toBe(36);
    expect(to(36).minutes).toBeLessThan(to(null).minutes);
    expect(to(20).toC).toBe(28);
  });
  it('until it can be spread, where nobody has said', () => {
    const own: Recipe = { ...recipe('caramel'), source: 'own', holds: null };
    expect(planHolds(own, 400, 1.3, pantry)[0]).toMatchObject({ guessed: true, toC: 28, after: 3 });
    expect(planHolds({ ...own, hottestC: null }, 400, 1.3, pantry)).toEqual([]);
    expect(planHolds({ ...own, holds: [] }, 400, 1.3, pantry)).toEqual([]);
  });
  it('in a hot kitchen until it is nearly as warm as the room', () => {
    const hot = { ...pantry, kitchen: { ...kitchen, roomC: 33 } };
    expect(planHolds(recipe('caramel'), 400, 1.3, hot)[0]).toMatchObject({
      toC: 35,
      place: 'bowl',
    });
  });
});

describe('kept from before', () => {
  it('a build of version 9 cools where its recipes say', () => {
    const text = readFileSync(new URL('fixtures/version-9.json', import.meta.url), 'utf8');
    const old = JSON.parse(text) as { build: object };
    const read = readBuildFile(text);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.build).toMatchObject(withLists(old.build));
    expect(read.build.day.cooling).toEqual([]);
    for (const row of read.rows.recipes) expect(row.holds).toEqual(findRow(pantry, 'recipes', row.id).holds); // prettier-ignore
    expect(migrate(JSON.parse(text) as Record<string, unknown>).version).toBe(buildVersion);
  });
  it('what was made before has cooled since: a cake half made goes on where it stood', () => {
    const file = JSON.parse(
      readFileSync(new URL('fixtures/version-9.json', import.meta.url), 'utf8'),
    ) as { build: { bench: { done: object[] } } };
    const at = '2027-05-03T10:00:00Z';
    file.build.bench.done = ['bowl/caramel/make', 'bowl/whippedganache/make', 'tier-1/core', 'tier-2/core', 'tier-2/settle'].map((stepKey) => ({ stepKey, at })); // prettier-ignore
    const read = readBuildFile(JSON.stringify(file));
    if (!read.ok) throw new Error(read.problems[0]!.message);
    const done = read.build.bench.done.map(({ stepKey }) => stepKey);
    expect(done).toContain('bowl/caramel/hold/3');
    expect(done).toContain('bowl/whippedganache/hold/1');
    expect(done).toContain('bowl/whippedganache/then/1');
    expect(done).not.toContain('bowl/curd/hold/2');
    // a centre was filled where the stack stands, and not where it was only cut
    expect(done).toContain('tier-2/centre-fill');
    expect(done).not.toContain('tier-1/centre-fill');
    expect(new Set(done).size).toBe(done.length);
  });
  it('recipes of the house wait as the pantry says now, own ones as nobody has said', () => {
    // soaks beside plain syrup, jelly, mirror glaze and what people ask for first came later
    const later = ['recipe-mirror', 'recipe-fruit-jelly', ...askedForRecipes.map(({ id }) => id)];
    const then = startingRecipes.filter(({ id, soakGPerMl }) => (soakGPerMl === null || id === 'recipe-syrup') && !later.includes(id)); // prettier-ignore
    for (const row of then) {
      const { holds, ...old } = row;
      expect(rowFrom9('recipes', old).holds, row.id).toEqual(holds);
      expect(rowFrom9('recipes', { ...old, source: 'own' }).holds).toBeNull();
    }
    expect(rowFrom9('tins', { id: 'tin' })).toEqual({ id: 'tin' });
  });
});
