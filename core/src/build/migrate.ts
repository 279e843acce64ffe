import { startingSponges } from '../pantry/starting/sponges.ts';
import { newBrief, newGap, newLayer, tierDefaults } from './create.ts';
import { buildVersion } from './types.ts';

type Loose = Record<string, unknown>;
const asObject = (value: unknown): Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Loose) : {};
const asList = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);

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
  const coat = asObject(cake.coat);
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
          coat: { crumbMm: null, sideMm: null, topMm: null, ...coat },
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
        layers: asList(tier.layers).map((layer) => ({ ...newLayer(0), ...asObject(layer) })),
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
    pantry: {
      others: [],
      ...Object.fromEntries(
        Object.entries(rows).map(([table, list]) => [
          table,
          Array.isArray(list) ? list.map((row) => rowFrom2(table, row)) : list,
        ]),
      ),
    },
  };
}

const steps: Record<number, (file: Loose) => Loose> = { 1: from1to2, 2: from2to3 };

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
