import { asList, asObject, type Loose } from '../loose.ts';

/** The field that version 6 added to a build: how each tier is carved. */
export function buildFrom5(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((tier) => ({ carving: null, ...asObject(tier) })),
  };
}
