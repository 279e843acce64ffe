import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  atDate,
  coolMin,
  countBlocks,
  findDesigns,
  faults,
  findRow,
  newBuild,
  newDrip,
  noteOf,
  logOf,
  planBuild,
  putRight,
  readBuildFile,
  recordsOf,
  startingPantry,
  unsoundIn,
  stiffnesses,
  type Build,
} from '../src/index.ts';
import { anyBuild } from './arbitrary.ts';
import { readdirSync, readFileSync } from 'node:fs';

const pantry = startingPantry();
const fresh = (change: (build: Build) => void = () => undefined): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};

describe('figures that misled', () => {
  it('a drip that stands at no film says how warm it should be, and never -Infinity', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.double({ min: -18, max: 30, noNaN: true }),
        fc.constantFrom(...pantry.ganaches.map((row) => row.id)),
        (fluidC, coatC, ganacheId) => {
          const build = fresh((b) => {
            b.tiers[0]!.drip = { ...newDrip(ganacheId), fluidC, coatC, lengthMm: 3, spreadMm: 0 };
          });
          for (const { title, todo } of planBuild(build, pantry).cautions)
            for (const { value } of [
              ...Object.values(title.values ?? {}),
              ...Object.values(todo.values ?? {}),
            ])
              expect(Number.isFinite(value)).toBe(true);
        },
      ),
      { numRuns: 60, seed: 21 },
    );
  });
  it('a crumb coat shows its own range, whatever coat comes over it', () => {
    const plan = planBuild(
      fresh((b) => (b.tiers[0]!.coat.style = 'thick')),
      pantry,
    );
    const range = (id: string) =>
      plan.figures.of(id)!.inputs.find((input) => input.read?.table === 'coat styles')?.read;
    expect(range('tier-1/crumb')!.row).not.toBe(range('tier-1/coat')!.row);
  });
  it('a dab grows with the cake', () => {
    const dab = (diameterMm: number): number =>
      planBuild(
        fresh((b) => (b.tiers[0]!.outline = { kind: 'round', diameterMm })),
        pantry,
      ).tiers[0]!.dabG;
    expect(dab(200)).toBeCloseTo(8, 9);
    expect(dab(300)).toBeCloseTo(18, 9);
    expect(dab(100)).toBeLessThan(4);
  });
  it('a core of loose sweets weighs as pieces with air between, and is bought and declared as they are', () => {
    const cored = (share: number | null) =>
      planBuild(
        fresh((b) => {
          b.tiers[0]!.centre = {
            outline: { kind: 'round', diameterMm: 60 },
            fromLayer: 0,
            toLayer: 1,
            spreadId: 'caramel',
            pieces:
              share === null
                ? null
                : {
                    name: 'sweets',
                    foodId: 'sprinkles',
                    densityGPerMl: 1.4,
                    share,
                    allergens: ['tree nuts'],
                  },
          };
        }),
        pantry,
      );
    const loose = cored(0.6);
    const { fillG, fillMl } = loose.tiers[0]!.centre!;
    expect(fillG).toBeCloseTo(fillMl * 1.4 * 0.6, 9);
    expect(cored(0.3).tiers[0]!.centre!.fillG).toBeCloseTo(fillG / 2, 9);
    // nothing of a spread is made for it
    const makes = (plan: typeof loose): string[] =>
      plan.bowls.ok ? plan.bowls.value.map((bowl) => bowl.spreadId) : [];
    expect(makes(cored(null))).toContain('caramel');
    expect(makes(loose)).not.toContain('caramel');
    const bought = loose.ingredients.ok
      ? loose.ingredients.value.filter((line) => line.foodId === 'sprinkles')
      : [];
    expect(bought.reduce((sum, line) => sum + line.massG, 0)).toBeCloseTo(fillG, 6);
    expect(loose.tally.massG! - cored(0.3).tally.massG!).toBeCloseTo(fillG / 2, 6);
  });
  it('a note stays with its figure when a filling is renamed, and is recorded once', () => {
    const build = fresh();
    const fill = (rows = pantry) => {
      const { steps } = planBuild(structuredClone(build), rows);
      return steps.ok
        ? steps.value.find(({ key }) => key === 'tier-1/fill/layer-1+layer-2')!
        : null;
    };
    const note = (id: string, value: number, rows = pantry) => {
      const step = fill(rows)!;
      const at = '2027-05-04T10:00:00Z';
      build.bench.notes.push(noteOf(build, step, step.record, { id, at, value, text: '' }));
    };
    note('n1', 200);
    const own = startingPantry();
    findRow(own, 'spreads', 'buttercream').name = 'Night-sky frosting';
    note('n2', 210, own);
    expect(recordsOf(build)).toHaveLength(1);
    const { steps } = planBuild(build, own);
    expect(logOf(build, steps.ok ? steps.value : []).map(({ actual }) => actual)).toEqual([210]);
    // measured against what was planned the first time
    expect(build.bench.notes[1]!.planned!.value).toBe(build.bench.notes[0]!.planned!.value);
  });
  it('putting right never adds more than half of the bowl', () => {
    for (const spread of pantry.spreads)
      for (const fault of faults)
        for (const by of Object.keys(stiffnesses) as (keyof typeof stiffnesses)[]) {
          const answer = putRight({
            fault,
            by,
            spread,
            recipe: findRow(pantry, 'recipes', spread.recipeId),
            recipes: pantry.recipes,
            foods: pantry.foods,
            kitchen: pantry.kitchen,
            massG: 500,
            tempC: 21,
          });
          for (const { amount, title } of answer.remedies)
            if (amount && ['bowl', 'small', 'fineMass'].includes(amount.kind))
              expect(title === 'Make it anew' ? 0 : amount.value).toBeLessThanOrEqual(250);
        }
  });
  it('a hotter room never cools a cake sooner', () => {
    const mass = {
      outline: { kind: 'round' as const, diameterMm: 200 },
      heightMm: 50,
      densityGPerMl: 0.45,
    };
    const at = [10, 15, 18, 21, 24, 27, 30, 35].map((roomC) =>
      coolMin(mass, 97, { ...pantry.kitchen, roomC }),
    );
    at.slice(1).forEach((minutes, i) => expect(minutes).toBeGreaterThanOrEqual(at[i]! - 0.1));
  });
  it('a grid through the middle gives the block in the middle where the cut would give none', () => {
    const block = { wideMm: 50, deepMm: 25 };
    expect(countBlocks({ kind: 'round', diameterMm: 60 }, block, true)).toBeGreaterThan(0);
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 400 }), (diameterMm) => {
        const outline = { kind: 'round' as const, diameterMm };
        expect(countBlocks(outline, block, true)).toBeLessThanOrEqual(
          Math.max(countBlocks(outline, block), countBlocks(outline, block, true)),
        );
      }),
      { seed: 22, numRuns: 40 },
    );
  });
  it('no heart is drafted that nobody asked for', () => {
    for (const servings of [10, 20, 40, 60]) {
      const draft = findDesigns(
        fresh((b) => (b.brief.servings = servings)),
        pantry,
      );
      if (draft.ok)
        for (const { build } of draft.designs)
          expect(['round', 'square', 'rectangle']).toContain(build.tiers[0]!.outline.kind);
    }
  });
  it('finished demo cakes lie behind the day they are loaded, and the others before it', () => {
    const folder = new URL('../../demo/', import.meta.url);
    for (const now of [new Date('2026-11-28T12:00:00'), new Date('2031-02-03T08:00:00')])
      for (const file of readdirSync(folder)) {
        const read = readBuildFile(readFileSync(new URL(file, folder), 'utf8'));
        if (!read.ok) throw new Error(read.problems[0]!.message);
        const build = atDate(read.build, '2027-05-15', now);
        const serveAt = new Date(build.brief.serveAt!);
        if (build.bench.finished) {
          expect(serveAt.getTime()).toBeLessThan(now.getTime());
          expect(Date.parse(build.bench.finished.at)).toBeLessThan(now.getTime());
        } else expect(serveAt.getTime()).toBeGreaterThan(now.getTime() - 86_400_000);
        expect(serveAt.getDay()).toBe(new Date(read.build.brief.serveAt!).getDay());
        for (const note of build.bench.finished ? build.bench.notes : [])
          expect(Date.parse(note.at)).toBeLessThan(now.getTime());
      }
  });
});

describe('random builds', () => {
  it('hold no figure that is none or without an end, no negative amount, no empty text', () => {
    for (const build of fc.sample(anyBuild, { numRuns: 120, seed: 1414 }))
      expect(unsoundIn(planBuild(build, pantry))).toEqual([]);
  });
});
