import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  depthMm,
  findRow,
  gelatineFor,
  gelatineGPerKg,
  gelatineWish,
  grow,
  heldMm,
  mostMarginMm,
  planBuild,
  widthMm,
  type Build,
  type Caution,
  type Outline,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';
import { shapedJobs } from './jobs/shaped.ts';

const mousse = (change: (build: Build) => void): Build => {
  const build = structuredClone(shapedJobs.find(({ name }) => name.startsWith('mousse'))!.build);
  change(build);
  return build;
};
const caution = (build: Build, id: string): Caution | undefined =>
  planBuild(build, pantry).cautions.find((one) => one.id.includes(id));
const setLayer = (build: Build) => build.tiers[0]!.layers.find(({ insets }) => insets.length > 0)!;

describe('gelatine', () => {
  it('holds the height that it is reckoned for, and more of it holds more', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 150, noNaN: true }), (mm) => {
        const g = gelatineFor(mm);
        if (g > 0) expect(heldMm(g)).toBeCloseTo(mm, 9);
        expect(heldMm(g + 1)).toBeGreaterThan(heldMm(g));
      }),
      { numRuns: 60, seed: 3 },
    );
    expect(heldMm(7)).toBe(30);
  });
  it('of the house’s mousse is by mass balance of its recipe', () => {
    const recipe = findRow(pantry, 'recipes', findRow(pantry, 'others', 'mousse').recipeId!);
    expect(gelatineGPerKg(recipe, pantry)).toBeCloseTo(10_000 / recipe.yieldG, 9);
    expect(gelatineGPerKg(findRow(pantry, 'recipes', 'recipe-cream'), pantry)).toBe(0);
  });
  it('is wished for by height and firmness: taken, it holds so high, in whatever grade it is', () => {
    const recipe = findRow(pantry, 'recipes', findRow(pantry, 'others', 'mousse').recipeId!);
    const foods = pantry.foods.map((food) =>
      food.traits.includes('gelatine') ? { ...food, bloom: 160 } : food,
    );
    for (const high of [30, 60, 110]) {
      const wish = gelatineWish(recipe, { foods }, high, 'clean')!;
      const ingredients = recipe.ingredients.map((line, i) => ({
        ...line,
        massG: wish.lines.find(({ index }) => index === i)?.massG ?? line.massG,
      }));
      expect(heldMm(gelatineGPerKg({ ...recipe, ingredients }, { foods }))).toBeCloseTo(high, 6);
      const firm = gelatineWish(recipe, { foods }, high, 'firm')!;
      expect(firm.gPerKg).toBeGreaterThan(wish.gPerKg);
      expect(gelatineWish(recipe, { foods }, high, 'tender')!.gPerKg).toBeLessThan(wish.gPerKg);
      // less water than cream: more of it to the kilogram of that
      expect(wish.gPerKgWater!).toBeGreaterThan(wish.gPerKg);
    }
    expect(
      gelatineWish(findRow(pantry, 'recipes', 'recipe-cream'), pantry, 30, 'clean'),
    ).toBeNull();
  });
  it('that does not hold the height is said, with what does', () => {
    const high = (mm: number) => mousse((b) => (setLayer(b).heightMm = mm));
    expect(caution(high(30), '/held/')).toBeUndefined();
    const said = caution(high(120), '/held/')!;
    expect(said.severity).toBe('mind');
    // the height that it names is one that holds
    const held = said.todo.values!.held!.value;
    expect(caution(high(held), '/held/')).toBeUndefined();
    expect(said.todo.values!.wants!.value).toBeCloseTo(gelatineFor(120), 9);
  });
});

describe('a disc inside a cream', () => {
  it('wider than there is room for is said, with the margin that works', () => {
    const build = mousse((b) => (setLayer(b).insets[0]!.marginMm = 500));
    const said = caution(build, 'no inset')!;
    expect(said.severity).toBe('stop');
    const most = said.todo.values!.most!.value;
    const mended = mousse((b) => (setLayer(b).insets[0]!.marginMm = most));
    expect(caution(mended, 'no inset')).toBeUndefined();
    expect(planBuild(mended, pantry).tiers[0]!.others).toMatchObject({ ok: true });
  });
  it('higher than its layer is said, and reckoned with what fits', () => {
    const build = mousse((b) => {
      const layer = setLayer(b);
      layer.insets[0]!.heightMm = layer.heightMm * 2;
    });
    const said = caution(build, 'high inset')!;
    const others = planBuild(build, pantry).tiers[0]!.others;
    if (!others.ok) throw new Error(others.problem);
    const { placed } = others.value[0]!.insets[0]!;
    expect(placed!.toMm - placed!.fromMm).toBeCloseTo(said.title.values!.room!.value, 9);
    // the layer that it names takes it
    const most = said.todo.values!.most!.value;
    const higher = mousse((b) => {
      const layer = setLayer(b);
      layer.insets[0]!.heightMm = layer.heightMm * 2;
      layer.heightMm = most;
    });
    expect(caution(higher, 'high inset')).toBeUndefined();
  });
  it('has its widest margin where a disc of 30 mm is left, on any outline', () => {
    const outlines: Outline[] = [
      { kind: 'round', diameterMm: 200 },
      { kind: 'square', sideMm: 150, cornerMm: 10 },
      { kind: 'rectangle', widthMm: 300, depthMm: 120, cornerMm: 0 },
    ];
    const narrowest = (one: Outline): number => Math.min(widthMm(one), depthMm(one));
    for (const outline of outlines) {
      const inside = grow(outline, -mostMarginMm(outline) + 1e-3)!;
      expect(narrowest(inside)).toBeGreaterThanOrEqual(30);
      const over = grow(outline, -mostMarginMm(outline) - 0.01);
      expect(over === null || narrowest(over) < 30).toBe(true);
    }
    expect(mostMarginMm({ kind: 'round', diameterMm: 200 })).toBeCloseTo(85, 3);
  });
  it('has it within two millimetres on a drawn outline, and never wider than fits', () => {
    const star = Array.from({ length: 1200 }, (_, i): [number, number] => {
      const angle = (2 * Math.PI * i) / 1200;
      const radius = 110 + 20 * Math.cos(9 * angle) + (i % 2) * 0.4;
      return [radius * Math.cos(angle), radius * Math.sin(angle)];
    });
    const drawn: Outline[] = [
      { kind: 'oval', widthMm: 300, depthMm: 200 },
      { kind: 'hexagon', acrossMm: 180 },
      { kind: 'heart', widthMm: 240 },
      { kind: 'petal', diameterMm: 220, petals: 6 },
      { kind: 'path', name: 'star', points: star },
      { kind: 'path', name: 'sliver', points: [[0, 0], [300, 10], [290, 40], [4, 42]] }, // prettier-ignore
    ];
    for (const outline of drawn) {
      const leaves = (marginMm: number): boolean => {
        const inside = grow(outline, -marginMm);
        return inside !== null && Math.min(widthMm(inside), depthMm(inside)) >= 30;
      };
      const most = mostMarginMm(outline);
      expect(leaves(most), outline.kind).toBe(true);
      expect(leaves(most + 2), outline.kind).toBe(false);
    }
    // an oval that is moved inward is as much narrower
    expect(mostMarginMm(drawn[0]!)).toBeCloseTo(85, 0);
  });
});
