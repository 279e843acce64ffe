import { asList, asObject, type Loose } from '../loose.ts';
import { withStepsRenamed } from './rename-steps.ts';

/*
 * From version 11 to 12: boards half-way up go by the layer they lie over, a tier and its bowls can come
 * out of the freezer, and something can be put on a surface.
 */

/** What dries on in the oven as it cools, min. */
const dries: Record<string, number> = { 'meringue-disc': 120 };

/** Rows that bake say how long they dry on in the oven; nobody has said so of the user's own. */
export function rowFrom11(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table !== 'others' || row.bake === null || row.bake === undefined) return row;
  const dryMin = row.source === 'own' ? 0 : (dries[String(row.id)] ?? 0);
  return { ...row, bake: { dryMin, ...asObject(row.bake) } };
}

/** The keys of the boards in a tier as they were, by number, and as they are. */
function deckKeys(tier: Loose): [old: string, now: string][] {
  const layers = asList(tier.layers).map(asObject);
  return asList(asObject(tier.stand).decks).map((each, k) => {
    const over = layers[Number(asObject(each).afterLayer)];
    const head = `${String(tier.id)}/deck/`;
    return [`${head}${k}`, `${head}${typeof over?.id === 'string' ? over.id : k}`];
  });
}

/** Fields that version 12 added to a build. What was noted of a board half-way up stays with it. */
export function buildFrom11(value: unknown): Loose {
  const build = asObject(value);
  const tiers = asList(build.tiers).map(asObject);
  const moved = new Map(tiers.flatMap(deckKeys));
  // "in/tier-1/deck/0/dowels|check" and the like: only the board's own part of it changes
  const rename = (text: string): string => {
    const [, before = '', key = '', after = ''] =
      /^((?:in|out)\/)?([^/]+\/deck\/\d+)([/|~].*)?$/.exec(text) ?? [];
    const now = moved.get(key);
    return now === undefined ? text : before + now + after;
  };
  return {
    ...build,
    fromStock: build.fromStock ?? [],
    tiers: tiers.map((tier) => ({ surfaces: [], stockId: null, ...tier })),
    ...withStepsRenamed(build, rename),
  };
}
