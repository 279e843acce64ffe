import { asList, asObject, type Loose } from '../loose.ts';

/* From version 15 to 16: every topping and every sauce on a filling has a colour, which only modelled pieces had;
 * layers can lie on each other with nothing between; and the wall of a tin can be drawn. */

/** Fields that version 16 added to rows. */
export function rowFrom15(table: string, value: unknown): Loose {
  const row = asObject(value);
  return table === 'tins' ? { wall: [], ...row } : row;
}

/** The colour of modelled pieces is that of the topping. */
function coloured(value: unknown): Loose {
  const topping = asObject(value);
  if (topping.modelled === null || topping.modelled === undefined) return { tint: '', ...topping };
  const { tint, ...modelled } = asObject(topping.modelled);
  return { tint: tint ?? '', ...topping, modelled };
}

/** Fields that version 16 added to a build. */
export function buildFrom15(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((tier) => {
      const own = asObject(tier);
      return {
        ...own,
        gaps: asList(own.gaps).map((one) => {
          const gap = asObject(one);
          const { drizzle } = gap;
          return drizzle === null || drizzle === undefined
            ? gap
            : { ...gap, drizzle: { tint: '', ...asObject(drizzle) } };
        }),
        toppings: asList(own.toppings).map(coloured),
      };
    }),
  };
}
