import { asList, asObject, type Loose } from '../loose.ts';

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
