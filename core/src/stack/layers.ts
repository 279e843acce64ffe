import type { Tier } from '../document/types.ts';
import { isInCentre } from '../fill/centre.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import { areaMm2 } from '../outline/outline.ts';
import { turnsTop, type BakePlan } from '../tins/bake.ts';
import type { Crown } from './stack.ts';

/* What the layers of a tier are once they are cut: how large, how heavy, with which domes. */

/** Area of a layer of the tier's own sponge, mm2. */
export const layerArea = (tier: Tier, bake: BakePlan | null): number =>
  bake?.layerMm2 ?? areaMm2(tier.outline);

/** Domes that stay on, by layer: on the uppermost layer of each cake, hanging down when turned over. */
export function crownsOf(tier: Tier, bake: BakePlan | null): Crown[] {
  const last = tier.layers.length - 1;
  return tier.layers.map((layer, i) => {
    const cake = bake?.cakes.find((c) => c.keepsDome && c.layers.at(-1) === i);
    if (!cake) return { upMm: 0, downMm: 0 };
    const turned = (i === last && turnsTop(tier)) !== layer.flipped;
    // a dome that would stand on the board is cut off all the same
    if (turned) return { upMm: 0, downMm: i === 0 ? 0 : cake.crownMm };
    return { upMm: cake.crownMm, downMm: 0 };
  });
}

/** Volume to fill round domes in each gap, mL. */
export function domesIn(tier: Tier, bake: BakePlan | null, crowns: readonly Crown[]): number[] {
  const voidOf = (layer: number): number =>
    bake?.cakes.find((c) => c.layers.includes(layer))?.voidMl ?? 0;
  return tier.gaps.map(
    (_, i) =>
      (crowns[i]!.upMm > 0 ? voidOf(i) : 0) + (crowns[i + 1]!.downMm > 0 ? voidOf(i + 1) : 0),
  );
}

/**
 * Mass of one layer, g: its share by volume of its cake, less a hidden centre; or its own row's.
 *
 * @param mlOf volume of a layer where walls lean; as high as it is else
 */
export function layerMassG(
  tier: Tier,
  index: number,
  bake: BakePlan,
  others: readonly OtherPlan[],
  mlOf: (index: number) => number = (i) => (tier.layers[i]!.heightMm * bake.layerMm2) / 1000,
): number {
  const area = areaMm2(tier.outline);
  const cored = isInCentre(tier.centre, index)
    ? Math.max(0, 1 - areaMm2(tier.centre!.outline) / area)
    : 1;
  const other = others.find((o) => o.index === index);
  if (other) return other.massG * cored;
  const cake = bake.cakes.find((c) => c.layers.includes(index));
  // out of the freezer, level as it was put away
  if (!cake)
    return ((tier.layers[index]!.heightMm * bake.layerMm2) / 1000) * bake.bakedDensity * cored;
  const volume = (i: number): number =>
    mlOf(i) + (cake.keepsDome && i === cake.layers.at(-1) ? cake.capMl : 0);
  const all = cake.layers.reduce((sum, i) => sum + volume(i), 0);
  return all > 0 ? ((cake.layersG * volume(index)) / all) * cored : 0;
}
