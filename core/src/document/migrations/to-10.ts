import { asList, asObject, type Loose } from '../loose.ts';

const day = 24 * 60;
/** What recipes of the house wait for, as version 10 said it: steps before, from, to, place, least, most. */
const waits: Record<
  string,
  [number, number | null, number | null, string, number, number | null][]
> = {
  'recipe-ganache': [[2, 50, 26, 'bowl', 120, null]],
  'recipe-softganache': [[2, 50, 26, 'bowl', 180, null]],
  'recipe-whippedganache': [
    [1, 50, 10, 'fridge', 360, 3 * day],
    [2, null, null, 'bowl', 0, 15],
  ],
  'recipe-cream': [[1, null, null, 'bowl', 0, 60]],
  'recipe-fudge': [[2, 58, 28, 'bowl', 0, null]],
  'recipe-nutspread': [[2, 40, 28, 'bowl', 0, null]],
  'recipe-compote': [[2, 98, 20, 'tray', 0, null]],
  'recipe-curd': [[2, 75, 8, 'tray in the fridge', 0, null]],
  'recipe-caramel': [[3, 106, 28, 'bowl', 0, null]],
  'recipe-butterscotch': [[2, 103, 30, 'bowl', 0, null]],
  'recipe-crepe': [[1, null, null, 'bowl', 30, null]],
  'recipe-mousse': [[2, 82, 28, 'cold water', 0, 20]],
  'recipe-biscuit': [[1, 22, 8, 'fridge', 30, null]],
  'recipe-syrup': [[1, 104, 26, 'bowl', 0, null]],
};

/** Sentences of the house that said too little, and what they say since: the recipe is the same one. */
const said: Record<string, string> = {
  'Make a soft ganache and chill it to 10 °C.':
    'Heat the cream to a simmer and pour over the chopped chocolate; wait 2 minutes, stir from the middle.',
  'Whip until it holds, no longer: it turns grainy.':
    'Whip it cold until it holds, no longer: it turns grainy.',
};

/**
 * Fields that version 10 added to a pantry row: recipes of the house wait as they should, of the
 * user's own nobody has said.
 */
export function rowFrom9(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table !== 'recipes') return row;
  const known = waits[String(row.id)];
  const holds =
    row.source === 'own'
      ? null
      : (known ?? []).map(([after, fromC, toC, where, leastMin, mostMin]) => ({
          after,
          fromC,
          toC,
          where,
          leastMin,
          mostMin,
        }));
  const steps = asList(row.steps).map((text) => said[String(text)] ?? text);
  return { holds, ...row, ...(row.source === 'own' ? {} : { steps }) };
}

/** A ganache composed for a pour or drip had so many steps, its wait behind the last. */
const pouredAfter = [2, 3];

/** The batter of a layer of another kind was mixed and had rested when the layer was made. */
function mixedWith(tier: Loose, stepKey: unknown): string[] {
  return asList(tier.layers).flatMap((layer, i) => {
    const { otherId } = asObject(layer);
    if (typeof otherId !== 'string' || stepKey !== `${String(tier.id)}/other/${i}`) return [];
    const mix = `${String(tier.id)}/other-mix/${otherId}`;
    return [mix, ...[1, 2].map((after) => `${mix}/hold/${after}`)];
  });
}

/**
 * What was made before version 10 has cooled since: the waits that its step became are done with it,
 * so that a cake half made goes on where it stood.
 */
function withWaitsDone(done: unknown[], tiers: unknown[]): unknown[] {
  const ticked = new Set(done.map((each) => asObject(each).stepKey));
  return done.flatMap((each) => {
    const { stepKey, at } = asObject(each);
    const made = tiers.flatMap((each) => mixedWith(asObject(each), stepKey));
    if (made.length > 0)
      return [each, ...made.filter((key) => !ticked.has(key)).map((key) => ({ stepKey: key, at }))];
    const tier = typeof stepKey === 'string' ? /^([^/]+)\/core$/.exec(stepKey)?.[1] : undefined;
    // a centre was filled at the step that cut it; a stack that stands has its lid on
    if (tier !== undefined && ticked.has(`${tier}/settle`))
      return [each, { stepKey: `${tier}/centre-fill`, at }];
    const id = typeof stepKey === 'string' ? /^bowl\/(.+)\/make$/.exec(stepKey)?.[1] : undefined;
    if (id === undefined) return [each];
    const afters = id.startsWith('poured-')
      ? pouredAfter
      : (waits[`recipe-${id}`] ?? []).map(([after]) => after);
    const since = afters.flatMap((after) => [
      `bowl/${id}/hold/${after}`,
      `bowl/${id}/then/${after}`,
    ]);
    return [each, ...since.filter((key) => !ticked.has(key)).map((key) => ({ stepKey: key, at }))];
  });
}

/** Fields that version 10 added to a build: where its fillings cool; and what has cooled already. */
export function buildFrom9(value: unknown): Loose {
  const build = asObject(value);
  const bench = asObject(build.bench);
  return {
    ...build,
    day: { cooling: [], ...asObject(build.day) },
    bench: { ...bench, done: withWaitsDone(asList(bench.done), asList(build.tiers)) },
  };
}
