import { startingFoods } from '../../pantry/starting/foods.ts';
import { asList, asObject, type Loose } from '../loose.ts';

const tierAdded = { drip: null, pour: null, toppings: [], torched: false };

/** Fields that version 5 added to a build: its finish. */
export function buildFrom4(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((tier) => ({ ...tierAdded, ...asObject(tier) })),
    piping: asList(build.piping).map((job) => ({ piped: null, ...asObject(job) })),
  };
}

/** Fields that version 5 added to a pantry row: what of a chocolate is cocoa. */
export function rowFrom4(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table !== 'foods') return row;
  return { cocoa: startingFoods.find((food) => food.id === row.id)?.cocoa ?? null, ...row };
}
