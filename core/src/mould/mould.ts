import type { Mould, Tier } from '../document/types.ts';
import { areaMm2, perimeterMm, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';
import { tinOutlineAt, tinVolumeMl, type TinShape } from '../tins/volume.ts';

/** A ring or mould as a cake stands in it. */
export interface MouldShape {
  tin: TinShape;
  order: Mould['order'];
}

/** The mould of a tier; null where it is stacked free, or where the pantry does not know its mould. */
export function mouldOf({ mould }: Tier, tins: readonly Tin[]): MouldShape | null {
  const tin = mould && tins.find(({ id }) => id === mould.tinId);
  return mould && tin ? { tin, order: mould.order } : null;
}

/** Outline of the cake at a height above its foot, mm: a mould that is turned over has its mouth there. */
export const mouldOutlineAt = ({ tin, order }: MouldShape, upMm: number): Outline =>
  tinOutlineAt(tin, order === 'upright' ? upMm : Math.max(0, tin.depthMm - upMm));

/** What it holds, to the brim, mL: by its measures, or by the water it was found to hold. */
export const mouldMl = ({ tin }: MouldShape): number => tinVolumeMl(tin, tin.depthMm);

/**
 * Volume of the cake between two heights above its foot, mL. Beyond a mould that is turned over there is
 * nothing; above the brim of one that stands upright its walls go on.
 */
export function mouldMlBetween({ tin, order }: MouldShape, fromMm: number, toMm: number): number {
  if (order === 'upright') return tinVolumeMl(tin, toMm) - tinVolumeMl(tin, fromMm);
  const below = (upMm: number): number => tinVolumeMl(tin, Math.max(0, tin.depthMm - upMm));
  return below(fromMm) - below(toMm);
}

/** Slices that a wall is summed over. */
const slices = 48;

/** Side of the cake up to a height, and its top, mm2: summed over slices as frustums. */
export function mouldFaces(shape: MouldShape, highMm: number): { sideMm2: number; topMm2: number } {
  let sideMm2 = 0;
  for (let i = 0; i < slices; i++) {
    const [a, b] = [i, i + 1].map((n) => mouldOutlineAt(shape, (n * highMm) / slices));
    const rounds = (perimeterMm(a!) + perimeterMm(b!)) / 2;
    // how far the wall leans in over this slice, by the radius of a round of that perimeter
    const lean = (perimeterMm(a!) - perimeterMm(b!)) / (2 * Math.PI);
    sideMm2 += rounds * Math.hypot(highMm / slices, lean);
  }
  return { sideMm2, topMm2: areaMm2(mouldOutlineAt(shape, highMm)) };
}

/** Heights of each layer above the foot of a tier, as planned, mm: gaps between them, nothing below. */
export function layerHeights({ layers, gaps }: Tier): { fromMm: number; toMm: number }[] {
  let atMm = 0;
  return layers.map(({ heightMm }, i) => {
    const fromMm = atMm + (i > 0 ? (gaps[i - 1]?.heightMm ?? 0) : 0);
    atMm = fromMm + heightMm;
    return { fromMm, toMm: atMm };
  });
}

/** Height of a tier as planned, without a coat, mm. */
export const builtUpMm = (tier: Tier): number => layerHeights(tier).at(-1)!.toMm;

/** Volume of one layer, mL: within the walls of its mould, or straight up over the tier's outline. */
export function layerMl(tier: Tier, index: number, shape: MouldShape | null): number {
  const { fromMm, toMm } = layerHeights(tier)[index]!;
  return shape
    ? mouldMlBetween(shape, fromMm, toMm)
    : (areaMm2(tier.outline) * (toMm - fromMm)) / 1000;
}

/** Room over it on its shelf, mm. */
const overMm = 30;
/** Height of shelf that a tier takes in its mould, or out of it, mm. */
export const shelfMm = (shape: MouldShape | null, highMm: number): number =>
  Math.max(shape?.tin.depthMm ?? 0, highMm) + overMm;

/** Freezer that has to be said for it, to the centimetre above, mm. */
export const freezerMmFor = (shape: MouldShape | null, highMm: number): number =>
  Math.ceil(shelfMm(shape, highMm) / 10) * 10;

/** Share that one layer is of a straight one on the tier's outline. */
export function layerShare(tier: Tier, index: number, shape: MouldShape | null): number {
  const { fromMm, toMm } = layerHeights(tier)[index]!;
  return shape
    ? layerMl(tier, index, shape) / ((areaMm2(tier.outline) * (toMm - fromMm)) / 1000)
    : 1;
}

/** Share that a cake is of a straight one on the same foot, as high. */
export function mouldShare(tier: Tier, shape: MouldShape | null): number {
  if (!shape) return 1;
  const highMm = builtUpMm(tier);
  return (1000 * mouldMlBetween(shape, 0, highMm)) / (areaMm2(tier.outline) * highMm);
}
