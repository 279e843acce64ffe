import type { SectionPart } from '../section/parts.ts';
import type { SupportPlan } from './support.ts';

/** Dowels and the rod as the section shows them: each at its own distance from the axis, none hidden. */
export function supportShapes(plan: SupportPlan): SectionPart[] {
  const parts: SectionPart[] = [];
  for (const lift of plan.lifts) {
    const { foot } = plan.tiers[lift.tierIndex]!;
    const across = (lift.row?.outerMm ?? 0) / 2;
    lift.placed.forEach(({ at }, i) => {
      const x = foot.x + at.x;
      parts.push({
        id: `${lift.id}/${i}`,
        kind: lift.postMm > 0 ? 'post' : 'dowel',
        tierId: lift.tierId,
        label: `dowel ${i + 1}`,
        tone: 'wood',
        x0: x - across,
        x1: x + across,
        y0: lift.fromMm,
        y1: lift.fromMm + lift.lengthMm,
      });
    });
  }
  if (plan.rod)
    parts.push({
      id: 'rod',
      kind: 'rod',
      tierId: null,
      label: 'rod',
      tone: 'wood',
      x0: plan.rod.at.x - plan.rod.row.outerMm / 2,
      x1: plan.rod.at.x + plan.rod.row.outerMm / 2,
      y0: plan.rod.topMm - plan.rod.lengthMm,
      y1: plan.rod.topMm,
    });
  return parts;
}
