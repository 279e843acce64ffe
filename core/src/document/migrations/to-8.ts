import { startingRecipes } from '../../pantry/starting/recipes.ts';
import { asList, asObject, type Loose } from '../loose.ts';

/** Fields that version 8 added to a build: which ingredient pieces are. It cannot be guessed from a word. */
export function buildFrom7(value: unknown): Loose {
  const build = asObject(value);
  const ofNoRow = (part: unknown): unknown =>
    part === null || part === undefined ? part : { foodId: null, ...asObject(part) };
  const bench = asObject(build.bench);
  return {
    ...build,
    bench: {
      ...bench,
      notes: asList(bench.notes).map((value) => {
        const note = asObject(value);
        return note.planned ? { ...note, planned: { what: '', ...asObject(note.planned) } } : note;
      }),
    },
    tiers: asList(build.tiers).map((each) => {
      const tier = asObject(each);
      return {
        ...tier,
        inclusion: ofNoRow(tier.inclusion),
        gaps: asList(tier.gaps).map((value) => {
          const gap = asObject(value);
          return { ...gap, pieces: ofNoRow(gap.pieces) };
        }),
        toppings: asList(tier.toppings).map((topping) => ({ eaten: true, ...asObject(topping) })),
      };
    }),
  };
}

/**
 * Fields that version 8 added to a pantry row: ingredients of older kitchens were declared as they
 * are; what can hurt in a recipe is known of those the program came with, and of others nobody has said.
 */
export function rowFrom7(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table === 'foods') return { declared: true, ...row };
  if (table !== 'recipes') return row;
  const known = startingRecipes.find((recipe) => recipe.id === row.id);
  const caution = known && row.source !== 'own' ? known.caution : row.caution;
  return {
    hazards: [...(known?.hazards ?? [])],
    hottestC: known?.hottestC ?? null,
    ...row,
    caution,
  };
}
