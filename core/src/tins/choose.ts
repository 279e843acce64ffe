import { depthMm, widthMm, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';

/**
 * A tin so near to the size of the cake is the tin for it: 8 in is 20 cm, 9 in is 23 cm, 12 in is
 * 30 cm. Millimetres, or this share of the width where that is more (trade custom).
 */
const nearMm = 4;
const nearShare = 0.016;
const slackMm = 0.05;

/** By how much a tin differs from the size of a cake, mm; Infinity for another shape, a bowl or a mould. */
export function tinDiffersMm(outline: Outline, tin: Tin): number {
  if (tin.form !== 'upright' || tin.outline.kind !== outline.kind) return Infinity;
  if (tin.outline.kind === 'path' || outline.kind === 'path')
    return JSON.stringify(tin.outline) === JSON.stringify(outline) ? 0 : Infinity;
  const hole =
    tin.outline.kind === 'ring' && outline.kind === 'ring'
      ? Math.abs(tin.outline.holeMm - outline.holeMm)
      : 0;
  return Math.max(
    Math.abs(widthMm(tin.outline) - widthMm(outline)),
    Math.abs(depthMm(tin.outline) - depthMm(outline)),
    hole,
  );
}

/** True where the tin is the one for a cake of this size, a few millimetres more or less. */
export const isNearTin = (outline: Outline, tin: Tin): boolean =>
  tinDiffersMm(outline, tin) <= Math.max(nearMm, nearShare * widthMm(outline)) + slackMm;

/** The tin that is owned and of the nearest size, of the same shape; null where there is none. */
export function nearestOwned(outline: Outline, tins: readonly Tin[]): Tin | null {
  const owned = tins.filter((tin) => tin.owned > 0 && Number.isFinite(tinDiffersMm(outline, tin)));
  return [...owned].sort((a, b) => tinDiffersMm(outline, a) - tinDiffersMm(outline, b))[0] ?? null;
}

/** The tin for a cake of another size: the one it has where that is near, then the nearest owned, then any that is near. */
export function chooseTin(outline: Outline, tins: readonly Tin[], nowId: string): string {
  const now = tins.find((tin) => tin.id === nowId);
  if (now && isNearTin(outline, now) && tinDiffersMm(outline, now) < slackMm) return nowId;
  const near = tins
    .filter((tin) => isNearTin(outline, tin))
    .sort(
      (a, b) =>
        Number(b.owned > 0) - Number(a.owned > 0) ||
        tinDiffersMm(outline, a) - tinDiffersMm(outline, b),
    );
  return near[0]?.id ?? nowId;
}
