import { startingFoods } from '../../pantry/starting/foods.ts';
import { startingSponges } from '../../pantry/starting/sponges.ts';
import { asList, asObject, type Loose } from '../loose.ts';
import { withStepsRenamed } from './rename-steps.ts';

/* From version 10 to 11: layers get ids, and what was ticked, noted and timed goes by them. */

/** Which foams cool upside down, and how an ingredient is made ready: of the user's own nobody has said. */
export function rowFrom10(table: string, value: unknown): Loose {
  const row = asObject(value);
  if (table === 'sponges')
    return {
      bareSides: startingSponges.find(({ id }) => id === row.id)?.bareSides ?? false,
      ...row,
    };
  if (table !== 'foods') return row;
  return { prep: startingFoods.find(({ id }) => id === row.id)?.prep ?? null, ...row };
}

const layerId = (index: number): string => `layer-${index + 1}`;

/** Index of the lowest layer of each baked cake, as version 10 shared layers out among cakes. */
function cakeStarts(tier: Loose): number[] {
  const perCake = Math.max(1, Math.floor(Number(tier.slicesPerCake)) || 1);
  return asList(tier.layers)
    .flatMap((layer, i) => ((asObject(layer).otherId ?? null) === null ? [i] : []))
    .filter((_, i) => i % perCake === 0);
}

/** The key of a step that named a layer, a gap or a cake by its number, as it is now. */
function keyNow(tiers: readonly Loose[], key: string): string {
  for (const tier of tiers) {
    const head = `${String(tier.id)}/`;
    const [, what, number] = key.startsWith(head)
      ? (/^(fill|other|cut)\/(\d+)$/.exec(key.slice(head.length)) ?? [])
      : [];
    if (number === undefined) continue;
    const index = Number(number);
    if (what === 'fill') return `${head}fill/${layerId(index)}+${layerId(index + 1)}`;
    if (what === 'other') return `${head}other/${layerId(index)}`;
    const first = cakeStarts(tier)[index];
    return first === undefined ? key : `${head}cut/${layerId(first)}`;
  }
  return key;
}

/** A key with whatever follows it: a check of a step, or the second task that begins with one. */
const startsWithKey = (tiers: readonly Loose[], text: string): string => {
  const end = text.search(/[|~]/);
  return end < 0 ? keyNow(tiers, text) : keyNow(tiers, text.slice(0, end)) + text.slice(end);
};

/** Fields that version 11 added to a build. What was noted of a step stays with it. */
export function buildFrom10(value: unknown): Loose {
  const build = asObject(value);
  const tiers = asList(build.tiers).map(asObject);
  return {
    ...build,
    tiers: tiers.map((tier) => ({
      ...tier,
      layers: asList(tier.layers).map((layer, i) => ({
        ...asObject(layer),
        id: asObject(layer).id ?? layerId(i),
      })),
    })),
    ...withStepsRenamed(build, (text) => startsWithKey(tiers, text)),
  };
}
