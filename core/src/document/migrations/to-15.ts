import { asList, asObject, type Loose } from '../loose.ts';

/* From version 14 to 15: toppings can be on the side of a tier, or modelled; a tier's fondant says how it is laid, a
 * layer how its batter is coloured, a tier whether it keeps the shape of its tin; and tins can be fluted. */

/** Fields that version 15 added to rows. */
export function rowFrom14(table: string, value: unknown): Loose {
  const row = asObject(value);
  return table === 'tins' ? { flutes: null, ...row } : row;
}

/** Boxing had the washing up in it: where it was ticked off, both are. */
function washed(bench: unknown): unknown {
  if (typeof bench !== 'object' || bench === null) return bench;
  const own = asObject(bench);
  const done = asList(own.done).map(asObject);
  const boxed = done.find(({ stepKey }) => stepKey === 'box');
  if (!boxed || done.some(({ stepKey }) => stepKey === 'wash-up')) return bench;
  return { ...own, done: [...done, { ...boxed, stepKey: 'wash-up' }] };
}

/** Fields that version 15 added to a build. */
export function buildFrom14(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    ...(build.bench === undefined ? {} : { bench: washed(build.bench) }),
    tiers: asList(build.tiers).map((tier) => {
      const own = asObject(tier);
      const { fondant } = own;
      return {
        asTin: null,
        ...own,
        layers: asList(own.layers).map((one) => ({ tint: '', ...asObject(one) })),
        fondant:
          fondant === null || fondant === undefined
            ? fondant
            : { way: 'draped', ...asObject(fondant) },
        toppings: asList(own.toppings).map((one) => ({
          side: null,
          modelled: null,
          ...asObject(one),
        })),
      };
    }),
  };
}
