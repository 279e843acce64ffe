import { newGap, newLayer } from '../document/create.ts';
import { freshId } from '../document/fresh-id.ts';
import { limits } from '../document/limits.ts';
import type { AsTin, Inset, Mould, Tier } from '../document/types.ts';
import { chooseTin } from '../tins/choose.ts';
import type { OtherLayer, Pantry, Tin } from '../pantry/types.ts';
import { keepGapsBelowCake, setLayerCount } from '../document/edit.ts';
import { outlineSchema } from '../document/schema.ts';
import type { Outline } from '../outline/outline.ts';
import { builtUpMm, mouldOf, mouldOutlineAt, mouldWidest, type MouldShape } from './mould.ts';

/** A foot of sponge under a cream, and the film of filling between them, mm (trade custom). */
const footMm = 10;
const filmMm = 1;

/** The rows of layers that set as creams do. */
const isCream = (id: string | null, others: readonly OtherLayer[]): boolean =>
  others.some((row) => row.id === id && row.form === 'mousse');

/**
 * Sets a tier in a mould: it takes the size of that, and its thickest cream fills it to the brim. A tier
 * without any keeps its lowest layer as the foot under the first cream of the pantry, and stands bare.
 */
export function setMould(
  tier: Tier,
  mould: Mould,
  { tins, others, sponges }: Pick<Pantry, 'tins' | 'others' | 'sponges'>,
): void {
  const tin = tins.find(({ id }) => id === mould.tinId);
  if (!tin) return;
  tier.mould = mould;
  tier.asTin = null;
  tier.outline = sizeFrom({ tin, order: mould.order, filledMm: tin.depthMm }) ?? tier.outline;
  tier.tinId = chooseTin(tier.outline, tins, tier.tinId);
  const cream = others.find(({ form }) => form === 'mousse');
  if (cream && !tier.layers.some(({ otherId }) => isCream(otherId, others))) {
    const least = sponges.find(({ id }) => id === tier.spongeId)?.minSliceMm ?? footMm;
    const foot = { ...tier.layers[0]!, heightMm: Math.max(footMm, least) };
    const gap = tier.gaps[0] ?? newGap(filmMm, tier.coat.spreadId);
    tier.layers = [foot, { ...newLayer(tin.depthMm), otherId: cream.id }];
    tier.gaps = [{ ...gap, heightMm: filmMm, damMm: 0, setbackMm: 0 }];
    tier.centre = null;
    tier.stand.decks = [];
    tier.slicesPerCake = 1;
    tier.coat = { ...tier.coat, style: 'naked' };
  }
  fillToBrim(tier, tin, others);
}

/** A cake rises to so much of its tin, short of the brim (trade custom). */
const bakedShare = 0.85;

/**
 * A tier that keeps the shape of its tin: one cake turned over, or two put together at their mouths, as many
 * layers to each as it is split into; it takes their size.
 */
export function setAsTin(tier: Tier, how: AsTin, tins: readonly Tin[]): void {
  const tin = tins.find(({ id }) => id === tier.tinId);
  if (!tin) return;
  const cakes = how === 'mouth to mouth' ? 2 : 1;
  tier.mould = null;
  tier.asTin = how;
  setLayerCount(tier, cakes * tier.slicesPerCake);
  const { min, max } = limits.layerMm;
  const each = (tin.depthMm * bakedShare) / tier.slicesPerCake;
  for (const layer of tier.layers) {
    layer.otherId = null;
    layer.insets = [];
    layer.heightMm = Math.min(max, Math.max(min, Math.round(each)));
  }
  tier.centre = null;
  keepGapsBelowCake(tier);
  takeShape(tier, tins);
}

/** A tier takes the size of what shapes it, where that is widest. */
export function takeShape(tier: Tier, tins: readonly Tin[]): void {
  const shape = mouldOf(tier, tins);
  const size = shape && sizeFrom(shape);
  if (size) tier.outline = size;
}

/**
 * A rounded mould that stands as it was filled comes to a point below: its mouth is its size. None where so little
 * is in a bowl that it is smaller than any cake: the tier keeps the size that it had.
 */
function sizeFrom(shape: MouldShape): Outline | null {
  const sizes = [mouldWidest(shape), mouldOutlineAt(shape, shape.filledMm)];
  const size = sizes.find((one) => outlineSchema.isValidSync(one, { strict: true }));
  return size ? { ...size } : null;
}

/** The thickest cream of a tier is made as high as its mould leaves room for. */
export function fillToBrim(tier: Tier, tin: Tin, others: readonly OtherLayer[]): void {
  const creams = tier.layers.filter(({ otherId }) => isCream(otherId, others));
  const [thickest] = [...creams].sort((a, b) => b.heightMm - a.heightMm);
  if (!thickest) return;
  const { min, max } = limits.layerMm;
  thickest.heightMm = Math.min(
    max,
    Math.max(min, thickest.heightMm + tin.depthMm - builtUpMm(tier)),
  );
  keepGapsBelowCake(tier);
}

/** Where the next thing in a cream goes: over what is there, or a finger from below. */
export function newInset(
  insets: readonly Inset[],
  otherId: string | null,
  heightMm: number,
): Inset {
  const topMm = Math.max(0, ...insets.map((one) => one.upMm + one.heightMm));
  return {
    id: freshId('inset'),
    otherId,
    heightMm: Math.min(limits.insetMm.max, Math.max(limits.insetMm.min, heightMm)),
    marginMm: 12,
    upMm: Math.min(limits.insetUpMm.max, topMm + 8),
  };
}
