import { startingFoods } from '../pantry/starting/foods.ts';
import { startingOthers } from '../pantry/starting/others.ts';
import { startingRecipes } from '../pantry/starting/recipes.ts';
import { startingSponges } from '../pantry/starting/sponges.ts';
import { startingSpreads } from '../pantry/starting/spreads.ts';
import { startingBoards } from '../pantry/starting/tins.ts';
import {
  buildDefaults,
  newBrief,
  newCoat,
  newGap,
  newDay,
  newJourney,
  newLayer,
  newPiping,
  newStanding,
  tierDefaults,
} from './create.ts';
import { asList, asObject, type Loose } from './loose.ts';
import { buildFrom9, rowFrom9 } from './migrate-10.ts';
import { buildFrom10, rowFrom10 } from './migrate-11.ts';
import { buildFrom11, rowFrom11 } from './migrate-12.ts';
import { buildVersion } from './types.ts';

/**
 * Version 1 knew one cake with one thickness for all its layers and one for all its fillings;
 * version 2 has tiers, each with its own list of layers and gaps.
 */
function from1to2(file: Loose): Loose {
  const { cake: oldCake, brief, ...build } = asObject(file.build);
  const cake = asObject(oldCake);
  const count = typeof cake.layers === 'number' ? cake.layers : Number.NaN;
  const repeat = <T>(times: number, make: () => T): T[] =>
    Number.isInteger(times) && times > 0 && times <= 100 ? Array.from({ length: times }, make) : [];
  const coat = { ...newCoat(''), ...asObject(cake.coat) };
  return {
    ...file,
    version: 2,
    build: {
      ...build,
      brief: { ...newBrief(), ...asObject(brief) },
      tiers: [
        {
          id: 'tier-1',
          name: cake.name ?? 'Cake',
          outline: cake.outline,
          spongeId: cake.spongeId,
          tinId: cake.tinId,
          slicesPerCake: cake.slicesPerCake,
          levelling: cake.levelling ?? 'cut all',
          layers: repeat(count, () => ({ heightMm: cake.layerMm })),
          gaps: repeat(count - 1, () => ({
            heightMm: cake.fillingMm,
            spreadId: cake.fillingId,
            damMm: 0,
          })),
          inclusion: null,
          coat,
          bowl: null,
        },
      ],
      bench: {
        stepKey: null,
        done: [],
        checks: [],
        notes: asList(build.notes),
        timers: [],
      },
    },
  };
}

/** A layer before it had an id, which version 11 gives it. */
const layerOf2 = Object.fromEntries(
  Object.entries(newLayer(0, '')).filter(([field]) => field !== 'id'),
);

/** Fields that version 3 added to a build, with what they were before they could be said. */
export function buildFrom2(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((each) => {
      const tier = asObject(each);
      return {
        ...tierDefaults(),
        ...tier,
        layers: asList(tier.layers).map((layer) => ({ ...layerOf2, ...asObject(layer) })),
        gaps: asList(tier.gaps).map((gap) => ({ ...newGap(0, ''), ...asObject(gap) })),
        bowl: tier.bowl ? { pouredG: [], ...asObject(tier.bowl) } : (tier.bowl ?? null),
        inclusion: tier.inclusion
          ? { waterShare: 0.2, tempC: 20, ...asObject(tier.inclusion) }
          : (tier.inclusion ?? null),
      };
    }),
  };
}

/** Fields that version 3 added to a pantry row of the user's own. */
export function rowFrom2(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table === 'sponges') {
    const known = startingSponges.find((sponge) => sponge.id === row.id);
    const ranges = asObject(row.ranges);
    const { waitMin, soakMlPerMl } = known?.ranges ?? {};
    return {
      waitMin: known?.waitMin ?? 30,
      soakMlPerMl: known?.soakMlPerMl ?? 0.1,
      ...row,
      ranges: { ...(waitMin && { waitMin }), ...(soakMlPerMl && { soakMlPerMl }), ...ranges },
    };
  }
  return table === 'tins' ? { form: 'upright', waterG: null, ...row } : row;
}

function from2to3(file: Loose): Loose {
  const rows = asObject(file.pantry);
  return {
    ...file,
    version: 3,
    build: buildFrom2(file.build),
    pantry: { others: [], ...renewRows(rows, rowFrom2) },
  };
}

/** Fields that version 4 added to a build. Frosting kept for piping became a job of its own. */
export function buildFrom3(value: unknown): Loose {
  const { pipingG, ...build } = asObject(value);
  return {
    ...buildDefaults(),
    ...(typeof pipingG === 'number' && pipingG > 0
      ? { piping: [newPiping('piping-1', pipingG)] }
      : {}),
    ...build,
    brief: { ...newBrief(), ...asObject(build.brief) },
    tiers: asList(build.tiers).map((each) => {
      const tier = asObject(each);
      return { ...tierDefaults(), ...tier, coat: { ...newCoat(''), ...asObject(tier.coat) } };
    }),
  };
}

/** Fields that version 4 added to a pantry row; an ingredient is found again by its name. */
export function rowFrom3(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table === 'spreads') {
    const known = startingSpreads.find((spread) => spread.id === row.id);
    return { panShare: known?.panShare ?? null, ...row };
  }
  if (table === 'others') {
    const known = startingOthers.find((other) => other.id === row.id);
    return { recipeId: known?.recipeId ?? null, ...row };
  }
  if (table === 'boards') {
    const known = startingBoards.find((board) => board.id === row.id);
    return { price: known?.price ?? null, ...row };
  }
  if (table !== 'recipes') return row;
  return {
    ...row,
    ingredients: asList(row.ingredients).map((each) => {
      const line = asObject(each);
      const food = startingFoods.find((known) => known.name === line.name);
      // what the ingredient says by itself is not said twice
      const known = food?.allergens as unknown[] | undefined;
      const said = asList(line.allergens).every((allergen) => known?.includes(allergen));
      return {
        foodId: food?.id ?? null,
        recipeId: null,
        ...line,
        ...(known && said ? { allergens: [] } : {}),
      };
    }),
  };
}

/** Fields that version 5 added to a build: its finish. */
export function buildFrom4(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((tier) => ({ ...tierDefaults(), ...asObject(tier) })),
    piping: asList(build.piping).map((job) => ({ piped: null, ...asObject(job) })),
  };
}

/** Fields that version 5 added to a pantry row: what of a chocolate is cocoa. */
export function rowFrom4(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table !== 'foods') return row;
  return { cocoa: startingFoods.find((food) => food.id === row.id)?.cocoa ?? null, ...row };
}

/** The field that version 6 added to a build: how each tier is carved. */
export function buildFrom5(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((tier) => ({ carving: null, ...asObject(tier) })),
  };
}

const benchFrom6 = (value: unknown): Loose => {
  const bench = asObject(value);
  return {
    finished: null,
    ...bench,
    notes: asList(bench.notes).map((note) => ({ planned: null, ...asObject(note) })),
  };
};

/** Fields that version 7 added to a build: what it stands on, how it travels, and its days. */
export function buildFrom6(value: unknown): Loose {
  const build = asObject(value);
  return {
    rod: null,
    journey: newJourney(),
    day: newDay(),
    ...build,
    bench: benchFrom6(build.bench),
    tiers: asList(build.tiers).map((tier) => ({ stand: newStanding(), ...asObject(tier) })),
  };
}

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

/** Fields that version 9 added to a build: a core held a spread and nothing else. */
export function buildFrom8(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((each) => {
      const tier = asObject(each);
      return tier.centre ? { ...tier, centre: { pieces: null, ...asObject(tier.centre) } } : tier;
    }),
  };
}

const renewRows = (
  rows: Loose,
  renew: (table: string, row: unknown) => Loose,
): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(rows).map(([table, list]) => [
      table,
      Array.isArray(list) ? list.map((row) => renew(table, row)) : list,
    ]),
  );

/** Ingredients that recipes of an older file name, as this program knows them. */
function foodsFor(recipes: unknown): unknown[] {
  const named = new Set(
    asList(recipes).flatMap((recipe) =>
      asList(asObject(recipe).ingredients).map((line) => asObject(line).foodId),
    ),
  );
  const found = startingFoods.filter((food) => named.has(food.id));
  const whole = startingFoods.filter((food) => found.some((part) => part.boughtAs === food.id));
  return JSON.parse(JSON.stringify([...new Set([...found, ...whole])])) as unknown[];
}

function from3to4(file: Loose): Loose {
  const rows = renewRows(asObject(file.pantry), rowFrom3);
  return {
    ...file,
    version: 4,
    build: buildFrom3(file.build),
    pantry: { foods: foodsFor(rows.recipes), ...rows },
  };
}

const from4to5 = (file: Loose): Loose => ({
  ...file,
  version: 5,
  build: buildFrom4(file.build),
  pantry: { ganaches: [], ...renewRows(asObject(file.pantry), rowFrom4) },
});

const from5to6 = (file: Loose): Loose => ({
  ...file,
  version: 6,
  build: buildFrom5(file.build),
});

const from6to7 = (file: Loose): Loose => ({
  ...file,
  version: 7,
  build: buildFrom6(file.build),
  pantry: { dowels: [], ...asObject(file.pantry) },
});

const from7to8 = (file: Loose): Loose => ({
  ...file,
  version: 8,
  build: buildFrom7(file.build),
  pantry: renewRows(asObject(file.pantry), rowFrom7),
});

const from8to9 = (file: Loose): Loose => ({
  ...file,
  version: 9,
  build: buildFrom8(file.build),
  carvings: [],
});

const from9to10 = (file: Loose): Loose => ({
  ...file,
  version: 10,
  build: buildFrom9(file.build),
  pantry: renewRows(asObject(file.pantry), rowFrom9),
});

const from10to11 = (file: Loose): Loose => ({
  ...file,
  version: 11,
  build: buildFrom10(file.build),
  pantry: renewRows(asObject(file.pantry), rowFrom10),
});

const from11to12 = (file: Loose): Loose => ({
  ...file,
  version: 12,
  build: buildFrom11(file.build),
  pantry: { stock: [], ...renewRows(asObject(file.pantry), rowFrom11) },
});

const steps: Record<number, (file: Loose) => Loose> = {
  1: from1to2,
  2: from2to3,
  3: from3to4,
  4: from4to5,
  5: from5to6,
  6: from6to7,
  7: from7to8,
  8: from8to9,
  9: from9to10,
  10: from10to11,
  11: from11to12,
};

/** Brings the contents of a build file up to the version this program writes, step by step. */
export function migrate(file: Loose): Loose {
  let now = file;
  for (let version = now.version; version !== buildVersion; version = now.version) {
    const step = typeof version === 'number' ? steps[version] : undefined;
    if (!step) return now;
    now = step(now);
  }
  return now;
}
