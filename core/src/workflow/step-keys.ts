import type { Tier } from '../document/types.ts';

/*
 * What a step goes by when it is about one of several things: those things themselves, never their
 * place in a list, so that a layer left out or turned round takes no tick to another one.
 */

/** Filling the gap over a layer, by the two layers it lies between. */
export const fillKey = (tier: Tier, gap: number): string =>
  `${tier.id}/fill/${tier.layers[gap]!.id}+${tier.layers[gap + 1]!.id}`;

/** Making a layer that is no sponge, or what is set inside it. */
export const otherKey = (tier: Tier, layer: number, insetId?: string): string =>
  `${tier.id}/other/${tier.layers[layer]!.id}${insetId === undefined ? '' : `/${insetId}`}`;

/** Building up a layer of many thin ones. */
export const pileKey = (tier: Tier, layer: number): string =>
  `${tier.id}/pile/${tier.layers[layer]!.id}`;

/** Levelling and splitting a baked cake, by the lowest layer that is cut from it. */
export const cutKey = (tier: Tier, lowest: number): string =>
  `${tier.id}/cut/${tier.layers[lowest]!.id}`;

/** Setting a layer into the mould, turning the tier out of that, and its thaw. */
export const mouldKey = (tier: Tier, layer: number): string =>
  `${tier.id}/mould/${tier.layers[layer]!.id}`;
export const unmouldKey = (tier: Tier): string => `${tier.id}/unmould`;
export const thawKey = (tier: Tier): string => `${tier.id}/thaw`;

/** Cutting the cake at the table: the last step of all. */
export const serveKey = 'serve';

/** Longer names are shortened to a number made of them. */
const longest = 120;
const numberOf = (text: string): string => {
  let hash = 2166136261;
  for (const letter of text) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16777619);
  return (hash >>> 0).toString(36);
};

/**
 * A step about some of a tier's cakes: those of a load or of a mixing, by the lowest layer of each.
 * One about all of them needs no more than its own name.
 */
export function loadKey(
  tier: Tier,
  what: string,
  lowest: readonly number[],
  isAll: boolean,
): string {
  const head = `${tier.id}/${what}`;
  if (isAll) return head;
  const set = lowest
    .map((i) => tier.layers[i]!.id)
    .sort()
    .join('+');
  return `${head}/${set.length > longest ? numberOf(set) : set}`;
}

/** True for a step about all cakes of a tier, and for one about some of them. */
export const isOfCakes = (key: string, tier: Tier, what: string): boolean =>
  key === `${tier.id}/${what}` || key.startsWith(`${tier.id}/${what}/`);
