import { startingSponges } from '../../pantry/starting/sponges.ts';
import { asList, asObject, type Loose } from '../loose.ts';

const tierAdded = {
  soak: 'none',
  trim: { bottomMm: 0, sideMm: 0, topMm: 0 },
  centre: null,
  ovenC: null,
  temps: [],
  stackedAt: 'room',
  restG: 0,
  asBaked: [],
};
const layerAdded = {
  otherId: null,
  inset: null,
  between: null,
  soak: null,
  rimMm: [],
  turnSteps: null,
  flipped: false,
};
const gapAdded = { setbackMm: 0, pieces: null, drizzle: null };

/** Fields that version 3 added to a build, with what they were before they could be said. */
export function buildFrom2(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((each) => {
      const tier = asObject(each);
      return {
        ...tierAdded,
        ...tier,
        layers: asList(tier.layers).map((layer) => ({ ...layerAdded, ...asObject(layer) })),
        gaps: asList(tier.gaps).map((gap) => ({ ...gapAdded, ...asObject(gap) })),
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
