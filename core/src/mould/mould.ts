import type { Mould, Tier } from '../document/types.ts';
import { areaMm2, depthMm, perimeterMm, widthMm, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';
import { flutedOver } from '../tins/flutes.ts';
import { tinOutlineAt, tinVolumeMl, type TinShape } from '../tins/volume.ts';

/** A ring, mould or tin that shapes a tier, how that stands in it, and how high it is filled, mm. */
export interface MouldShape {
  tin: TinShape;
  order: Mould['order'] | 'mouth to mouth';
  filledMm: number;
}

/** What shapes a tier: its mould, or the tin that it was baked in; null where it is stacked straight, or where the pantry does not know it. */
export function mouldOf(
  tier: Pick<Tier, 'mould' | 'asTin' | 'tinId' | 'layers' | 'gaps'>,
  tins: readonly Tin[],
): MouldShape | null {
  const { mould, asTin, tinId } = tier;
  const tin = tins.find(({ id }) => id === (mould?.tinId ?? tinId));
  if (!tin) return null;
  if (mould) return { tin, order: mould.order, filledMm: tin.depthMm };
  if (asTin === null) return null;
  const order = asTin === 'turned over' ? 'upside down' : asTin;
  return { tin, order, filledMm: builtUpMm(tier) };
}

/** Outline of the cake at a height above its foot, mm: a mould that is turned over has its mouth there. */
export function mouldOutlineAt({ tin, order, filledMm }: MouldShape, upMm: number): Outline {
  const fromTop = Math.max(0, filledMm - upMm);
  const inTin = {
    upright: upMm,
    'upside down': fromTop,
    'mouth to mouth': Math.min(upMm, fromTop),
  };
  return tinOutlineAt(tin, inTin[order]);
}

/** Outline of the cake where it is widest: its foot, or where two mouths meet. */
export const mouldWidest = (shape: MouldShape): Outline =>
  mouldOutlineAt(shape, shape.order === 'mouth to mouth' ? shape.filledMm / 2 : 0);

/** By how much a tier is planned larger or smaller than what shapes it makes it, where that is widest, mm; Infinity for another outline. */
export function shapeOffMm({ outline }: Pick<Tier, 'outline'>, shape: MouldShape): number {
  const widest = mouldWidest(shape);
  return widest.kind === outline.kind
    ? Math.max(
        Math.abs(widthMm(widest) - widthMm(outline)),
        Math.abs(depthMm(widest) - depthMm(outline)),
      )
    : Infinity;
}

/** What it holds, to the brim, mL: by its measures, or by the water it was found to hold. */
export const mouldMl = ({ tin }: MouldShape): number => tinVolumeMl(tin, tin.depthMm);

/**
 * Volume of the cake between two heights above its foot, mL. Beyond a mould that is turned over there is
 * nothing; above the brim of one that stands upright its walls go on.
 */
export function mouldMlBetween(shape: MouldShape, fromMm: number, toMm: number): number {
  const { tin, order, filledMm } = shape;
  if (order === 'upright') return tinVolumeMl(tin, toMm) - tinVolumeMl(tin, fromMm);
  const turned = (upMm: number, high: number): number =>
    tinVolumeMl(tin, high) - tinVolumeMl(tin, Math.max(0, high - upMm));
  if (order === 'upside down') return turned(toMm, filledMm) - turned(fromMm, filledMm);
  const half = filledMm / 2;
  const below = (upMm: number): number =>
    tinVolumeMl(tin, Math.min(half, upMm)) + turned(Math.max(0, upMm - half), half);
  return below(toMm) - below(fromMm);
}

/** Slices that a wall is summed over. */
const slices = 48;

/** Radii of the rounds that are as long as the rims of an outline: its own, and that of its hole. */
const radiiOf = (outline: Outline): [outer: number, inner: number] =>
  outline.kind === 'ring'
    ? [outline.diameterMm / 2, outline.holeMm / 2]
    : [perimeterMm(outline) / (2 * Math.PI), 0];

/**
 * Side of the cake up to a height, and its top, mm2: summed over slices as frustums, the wall of a hole
 * with it; a fluted wall by how much longer it is.
 */
export function mouldFaces(shape: MouldShape, highMm: number): { sideMm2: number; topMm2: number } {
  const each = highMm / slices;
  const over = flutedOver(radiiOf(shape.tin.outline)[0], shape.tin.flutes ?? null);
  const frustum = (a: number, b: number): number => Math.PI * (a + b) * Math.hypot(each, a - b);
  let sideMm2 = 0;
  let below = radiiOf(mouldOutlineAt(shape, 0));
  for (let i = 1; i <= slices; i++) {
    const above = radiiOf(mouldOutlineAt(shape, i * each));
    sideMm2 += over * frustum(below[0], above[0]);
    if (below[1] > 0) sideMm2 += frustum(below[1], above[1]);
    below = above;
  }
  return { sideMm2, topMm2: areaMm2(mouldOutlineAt(shape, highMm)) };
}

/** Side and top of a tier over those of one as high that stands straight on its widest outline. */
export function straightOver(
  { outline }: Pick<Tier, 'outline'>,
  shape: MouldShape,
  highMm: number,
): { side: number; top: number } {
  const { sideMm2, topMm2 } = mouldFaces(shape, highMm);
  return {
    side: sideMm2 / Math.max(1, perimeterMm(outline) * highMm),
    top: topMm2 / Math.max(1, areaMm2(outline)),
  };
}

/** Heights of each layer above the foot of a tier, as planned, mm: gaps between them, nothing below. */
export function layerHeights({
  layers,
  gaps,
}: Pick<Tier, 'layers' | 'gaps'>): { fromMm: number; toMm: number }[] {
  let atMm = 0;
  return layers.map(({ heightMm }, i) => {
    const fromMm = atMm + (i > 0 ? (gaps[i - 1]?.heightMm ?? 0) : 0);
    atMm = fromMm + heightMm;
    return { fromMm, toMm: atMm };
  });
}

/** Height of a tier as planned, without a coat, mm. */
export const builtUpMm = (tier: Pick<Tier, 'layers' | 'gaps'>): number =>
  layerHeights(tier).at(-1)!.toMm;

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
