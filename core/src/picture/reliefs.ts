import { motifLine } from '../carve/relief.ts';
import { lookOf } from '../colour/colour.ts';
import type { TierScene } from './bodies.ts';
import { upward } from './facing.ts';
import type { PictureRelief } from './types.ts';

/** What is cut into the coat of a carved tier, in the order of its cuts. */
export function reliefsOf(
  { tier, plan, build, pantry }: TierScene,
  next: (what: string) => number,
): PictureRelief[] {
  return (plan.carve?.question.cuts ?? []).flatMap((cut): PictureRelief[] => {
    if (cut.kind !== 'relief') return [];
    const way = (cut.bearingDeg * Math.PI) / 180;
    const out = { x: Math.sin(way), y: Math.cos(way), z: 0 };
    const isOnSide = cut.where === 'side';
    const tone = pantry.spreads.find(({ id }) => id === cut.inlaySpreadId)?.tone;
    return [
      {
        part: `${tier.id}/cut/${cut.id}`,
        line: motifLine(cut),
        text: cut.motif === 'letters' ? cut.words.trim() : null,
        at: isOnSide
          ? { x: 0, y: 0, z: cut.upMm }
          : { x: out.x * cut.outMm, y: out.y * cut.outMm, z: 0 },
        out: isOnSide ? out : upward,
        look:
          cut.inlaySpreadId === null ? null : lookOf(build.colours, cut.inlayTint, tone ?? 'ivory'),
        step: next(cut.name),
      },
    ];
  });
}
