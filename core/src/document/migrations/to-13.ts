import { asList, asObject, type Loose } from '../loose.ts';

/*
 * From version 12 to 13: what a tier is soaked with is a recipe of the pantry, ingredients say how much
 * alcohol is in them and recipes how long their making takes, and pieces in a batter are a list.
 */

/** Alcohol in rows of the house, as a share of their mass; nobody has said so of the user's own. */
const alcohol: Record<string, number> = { rum: 0.33, 'orange-liqueur': 0.31, vanilla: 0.29 };
/** Hands-on minutes for one mixing, as they were reckoned by the recipe's id; 12 for all others. */
const makes: Record<string, number> = {
  'recipe-buttercream': 15,
  'recipe-meringue': 25,
  'recipe-yolk': 25,
  'recipe-cream': 8,
  'recipe-firmcream': 10,
  'recipe-ganache': 10,
  'recipe-softganache': 10,
  'recipe-whippedganache': 15,
  'recipe-fudge': 15,
  'recipe-compote': 15,
  'recipe-curd': 15,
  'recipe-caramel': 15,
  'recipe-syrup': 8,
};
/** The only recipe that was brushed on, g/mL. */
const soaks: Record<string, number> = { 'recipe-syrup': 1.2 };

/** No more than what of it is not yet said to be something else. */
function roomFor(row: Loose): number {
  const said = [row.waterShare, row.fatShare, row.sugarShare, row.saltShare];
  const left = said.reduce<number>((sum, share) => sum - (Number(share) || 0), 1);
  return Math.max(0, Math.min(alcohol[String(row.id)] ?? 0, left));
}

/** Fields that version 13 added to rows. */
export function rowFrom12(table: string, value: unknown): Loose {
  const row = asObject(value);
  const isOwn = row.source === 'own';
  if (table === 'foods') return { alcoholShare: isOwn ? 0 : roomFor(row), ...row };
  if (table === 'recipes')
    return {
      makeMin: makes[String(row.id)] ?? 12,
      soakGPerMl: soaks[String(row.id)] ?? null,
      ...row,
    };
  return row;
}

/** Fields that version 13 added to a build. */
export function buildFrom12(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    tiers: asList(build.tiers).map((tier) => {
      const { inclusion, ...rest } = asObject(tier);
      const one = { id: 'inclusion-1', way: 'folded in', eachTin: null };
      const inclusions = inclusion ? [{ ...one, ...asObject(inclusion) }] : [];
      return { soakId: null, inclusions, ...rest };
    }),
  };
}
