import type { Build, Tier } from '../document/types.ts';
import { fluidFrom } from '../drip/fluid.ts';
import { chocolateOf, kindOfChocolate } from '../ganache/chocolates.ts';
import { hardSet, setStress } from '../ganache/set.ts';
import { foodOf, PantryProblem } from '../pantry/find.ts';
import {
  usualMakeMin,
  type Food,
  type Ganache,
  type Ingredient,
  type Pantry,
  type Recipe,
  type Spread,
} from '../pantry/types.ts';
import { composed, fluidOf } from './ganache-row.ts';

/** Every ganache that a tier pours, drips or drizzles, with the ratio it has there. */
const pouredOn = (tier: Tier): { ganacheId: string; ratio: number | null }[] => [
  ...(tier.pour ? [tier.pour] : []),
  ...(tier.drip ? [tier.drip] : []),
  ...tier.toppings.flatMap(({ kind, ganacheId }) =>
    kind === 'drizzle' && ganacheId ? [{ ganacheId, ratio: null }] : [],
  ),
];

/** The same of a whole build. */
export const pouredIn = (build: Build): { ganacheId: string; ratio: number | null }[] =>
  build.tiers.flatMap(pouredOn);

/** The spreads that these are to the bowls. */
export const pouredSpreadsOf = (tier: Tier, pantry: Pantry): string[] =>
  pouredOn(tier).flatMap(({ ganacheId, ratio }) => {
    const row = pantry.ganaches.find((one) => one.id === ganacheId);
    return row ? [pouredSpreadId(row, ratio)] : [];
  });

/** The spread that a ganache at a ratio is to the bowls: its own, or one made for it. */
export const pouredSpreadId = (row: Ganache, ratio: number | null): string =>
  row.spreadId ?? `poured-${row.id.slice(0, 44)}-${Math.round((ratio ?? row.ratio) * 1000)}`;

/** The warmest at which a spread is dripped or poured, C; null where it is not. */
export function usedC(build: Build, pantry: Pantry, spreadId: string): number | null {
  const warm = build.tiers
    .flatMap((tier) => [tier.pour, tier.drip])
    .flatMap((poured) => {
      const row = poured && pantry.ganaches.find(({ id }) => id === poured.ganacheId);
      return row && pouredSpreadId(row, poured.ratio) === spreadId ? [poured.fluidC] : [];
    });
  return warm.length > 0 ? Math.max(...warm) : null;
}

/** What it is called at a ratio: by its row at the row's own, else by its chocolate and the ratio it has. */
export function pouredName(row: Ganache, ratio: number | null, foods: readonly Food[]): string {
  const used = ratio ?? row.ratio;
  const chocolate = foodOf(foods, row.chocolateId);
  return row.fluid !== 'ganache' || used === row.ratio || !chocolate
    ? row.name
    : `Ganache of ${chocolate.name}, ${Number(used.toFixed(2))} to 1`;
}

const line = (food: Food | undefined, name: string, massG: number): Ingredient => ({
  name: food?.name ?? name,
  massG,
  allergens: [],
  foodId: food?.id ?? null,
  recipeId: null,
});

function recipeOf(row: Ganache, ratio: number | null, foods: readonly Food[], id: string): Recipe {
  const of = (foodId: string | null): Food | undefined => foodOf(foods, foodId);
  const common = {
    id,
    name: row.name,
    source: row.source,
    ranges: {},
    bake: null,
    makeMin: usualMakeMin,
    soakGPerMl: null,
  };
  const found = composed(row, ratio, foods);
  if (!found) {
    const chocolate = of(row.chocolateId);
    if (!chocolateOf(chocolate))
      throw new PantryProblem(`ganaches/${row.id}`, `“${row.name}” needs a chocolate of its own.`);
    const isCompound = row.fluid === 'compound coating';
    return {
      ...common,
      yieldG: 1000,
      ingredients: [line(chocolate, row.name, 1000)],
      steps: isCompound
        ? ['Melt in bursts of the microwave, or over water that does not touch the bowl.']
        : [
            'Melt two thirds to the upper temperature; the bowl must not touch the water.',
            'Stir in the last third, unmelted, down to working temperature. Not a drop of water.',
          ],
      caution: 'Melted chocolate burns: dry cloths, and never over 50 °C.',
      hazards: [],
      hottestC: meltedC,
      holds: [],
    };
  }
  const { parts } = found;
  const wets = [
    line(of(row.creamId), 'cream', parts.creamG),
    ...(parts.syrupG > 0 ? [line(of('glucose'), 'glucose syrup', parts.syrupG)] : []),
    ...(parts.sugarG > 0 ? [line(of('caster-sugar'), 'caster sugar', parts.sugarG)] : []),
  ];
  return {
    ...common,
    yieldG: 1000,
    ingredients: [
      line(of(row.chocolateId), 'chocolate', parts.chocolateG),
      ...wets,
      ...(parts.butterG > 0 ? [line(of('butter'), 'butter', parts.butterG)] : []),
    ].filter((one) => one.massG > 0),
    steps: [
      `Heat the cream${parts.syrupG > 0 ? ' with the syrup' : ''}${parts.sugarG > 0 ? ' and the sugar' : ''} until it just simmers and pour it over the finely chopped chocolate; two minutes, then stir from the middle out. Or warm both together in bursts of the microwave, or over water that does not touch the bowl.`,
      ...(parts.butterG > 0 ? ['Stir in the soft butter below 40 °C.'] : []),
      'Lay film on it and let it cool, stirred now and then.',
    ],
    caution: 'Hot cream scalds: pour from a low height, heatproof bowl.',
    hazards: ['hot fat or cream', 'steam'],
    hottestC: simmerC,
    // cream at a simmer over chocolate comes to about this; it is used as warm as its drip or pour says
    holds: [{ after: 99, fromC: stirredC, toC: setC, where: 'bowl', leastMin: 0, mostMin: null }],
  };
}

/** Chocolate melted for tempering, and cream at a simmer, at their hottest, C. */
const meltedC = 50;
const simmerC = 90;
/** Stirred together, and cool enough to spread, C. */
const stirredC = 48;
const setC = 26;

interface Derived {
  foods: readonly Food[];
  rows: Map<string, { spread: Spread; recipe: Recipe }>;
}
const derived = new WeakMap<Ganache, Derived>();

/** The spread and recipe made for a ganache at a ratio; the same objects while nothing changes. */
function derive(row: Ganache, ratio: number | null, foods: readonly Food[]) {
  let own = derived.get(row);
  if (own?.foods !== foods) derived.set(row, (own = { foods, rows: new Map() }));
  const id = pouredSpreadId(row, ratio);
  let made = own.rows.get(id);
  if (!made) {
    const spec = fluidOf(row, ratio, foods, 0.6);
    const fluid = fluidFrom(spec);
    const chocolate = chocolateOf(foodOf(foods, row.chocolateId));
    const used = ratio ?? row.ratio;
    const name = pouredName(row, used, foods);
    const spread: Spread = {
      id,
      name,
      source: row.source,
      ranges: {},
      densityGPerMl: fluid.densityGPerMl,
      ...(row.fluid === 'ganache' ? setStress(spec.firmness) : hardSet),
      canFill: false,
      canCoat: true,
      keeping: row.fluid === 'ganache' ? 'soft ganache' : 'jam, nut spread',
      tone: chocolate && kindOfChocolate(chocolate) === 'white' ? 'cream' : 'ganache',
      recipeId: id,
      mixerShare: null,
      panShare: 0.5,
    };
    made = { spread, recipe: { ...recipeOf(row, ratio, foods, id), name } };
    own.rows.set(id, made);
  }
  return made;
}

const extended = new WeakMap<Pantry, Map<string, Pantry>>();

/**
 * The pantry with a spread and a recipe for every ganache that the build pours or drips, so that
 * bowls, batches, shopping and allergens know them as they know everything else. A ganache that
 * cannot be composed is left out; the finish says why.
 */
export function withGanaches(build: Build, pantry: Pantry): Pantry {
  const poured = pouredIn(build);
  if (poured.length === 0) return pantry;
  const key = JSON.stringify(poured.map(({ ganacheId, ratio }) => [ganacheId, ratio]));
  let known = extended.get(pantry);
  if (!known) extended.set(pantry, (known = new Map<string, Pantry>()));
  const before = known.get(key);
  if (before) return before;
  const made = new Map<string, { spread: Spread; recipe: Recipe }>();
  for (const { ganacheId, ratio } of poured) {
    const row = pantry.ganaches.find((one) => one.id === ganacheId);
    if (!row || row.spreadId !== null) continue;
    try {
      made.set(pouredSpreadId(row, ratio), derive(row, ratio, pantry.foods));
    } catch (problem) {
      if (!(problem instanceof PantryProblem)) throw problem;
    }
  }
  const rows = [...made.values()];
  const whole: Pantry = {
    ...pantry,
    spreads: [...pantry.spreads, ...rows.map((row) => row.spread)],
    recipes: [...pantry.recipes, ...rows.map((row) => row.recipe)],
  };
  known.set(key, whole);
  return whole;
}
