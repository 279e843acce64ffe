import type { Tier } from '../document/types.ts';
import type { CarveResult } from '../carve/result.ts';
import type { CarveQuestion } from '../carve/types.ts';
import { gapMassG } from '../fill/gaps.ts';
import type { PlannedPiping } from '../finish/piping.ts';
import { areaMm2, perimeterMm } from '../outline/outline.ts';
import type { Point } from '../outline/point.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { valueOf } from '../working/staged.ts';

/** A mass with its centre: from the tier's axis to the right and to the back, and up from its foot, mm. */
export interface CentredMass {
  massG: number;
  x: number;
  y: number;
  upMm: number;
}

/** Several bodies as one. */
export function asOneMass(bodies: readonly CentredMass[]): CentredMass {
  const massG = bodies.reduce((sum, body) => sum + body.massG, 0);
  const mean = (of: (body: CentredMass) => number): number =>
    massG === 0 ? 0 : bodies.reduce((sum, body) => sum + body.massG * of(body), 0) / massG;
  return { massG, x: mean((b) => b.x), y: mean((b) => b.y), upMm: mean((b) => b.upMm) };
}

/** The same body seen from another axis and foot. */
export const movedBy = (body: CentredMass, at: Point, upMm: number): CentredMass => ({
  massG: body.massG,
  x: body.x + at.x,
  y: body.y + at.y,
  upMm: body.upMm + upMm,
});

/**
 * What a tier is made of, each part with its centre: layers and fillings at their own height, the
 * coat by its side and its top, what is piped where it is piped, the rest on top. A carved tier is
 * one body with the centre that the solids gave, and its coat about the same centre.
 *
 * @param piping of what is piped, the jobs on this tier
 */
export function bodiesOf(
  tier: Tier,
  plan: TierPlan,
  piping: readonly PlannedPiping[],
): CentredMass[] {
  const { stack, carve, layersG } = plan;
  const onAxis = (massG: number, upMm: number): CentredMass => ({ massG, x: 0, y: 0, upMm });
  const gaps = valueOf(plan.gaps) ?? [];
  const coat = valueOf(plan.coat);
  const coatG =
    (coat ? coat.crumbG + coat.coatG : 0) +
    (plan.fondant?.onCakeG ?? 0) +
    (plan.pressed?.massG ?? 0) +
    plan.surfaces.reduce((sum, one) => sum + one.massG, 0);
  const result = carve?.result;
  const bodies: CentredMass[] = result
    ? [
        ...carvedBodies(carve.question, result),
        { massG: coatG, x: result.centre[0], y: result.centre[1], upMm: result.centre[2] },
      ]
    : [
        ...(layersG ?? []).map((massG, i) =>
          onAxis(massG, (stack.layers[i]!.fromMm + stack.layers[i]!.toMm) / 2),
        ),
        ...gaps.map((gap) => {
          const room = stack.gaps[gap.index]!;
          return onAxis(gapMassG(gap), (room.fromMm + room.toMm) / 2);
        }),
        ...(plan.centre && tier.centre
          ? [
              onAxis(
                plan.centre.fillG,
                (stack.layers[tier.centre.fromLayer]!.fromMm +
                  stack.layers[tier.centre.toLayer]!.toMm) /
                  2,
              ),
            ]
          : []),
        onAxis(plan.dabG, 0),
        ...coatBodies(plan, coatG),
      ];
  return [
    ...bodies,
    onAxis(plan.finish.massG, stack.finishedMm),
    ...piping.map((job) => onAxis(job.massG, job.rows[0]?.upMm ?? stack.finishedMm)),
  ].filter((body) => body.massG > 0);
}

/**
 * What the knife left, layer by layer at the layers' own heights, shifted so that all of it has the
 * centre that the solids gave; one body where the layers no longer lie level.
 */
function carvedBodies({ stock }: CarveQuestion, result: CarveResult): CentredMass[] {
  const [x, y, upMm] = result.centre;
  const parts = result.laid
    ? []
    : stock.bands.flatMap((band): CentredMass[] => {
        const massG = (result.byPart[band.part] ?? 0) * band.gPerMl;
        return massG > 0 ? [{ massG, x, y, upMm: (band.fromMm + band.toMm) / 2 }] : [];
      });
  const all = asOneMass(parts);
  if (all.massG === 0) return [{ massG: result.leftG, x, y, upMm }];
  // a hidden centre and pieces set back on are in the whole, not in the bands
  return parts.map((part) => ({
    ...part,
    massG: (part.massG * result.leftG) / all.massG,
    upMm: part.upMm + upMm - all.upMm,
  }));
}

/** A coat is so much side, about half-way up, and so much top. */
function coatBodies({ finished, stack }: TierPlan, coatG: number): CentredMass[] {
  const side = perimeterMm(finished) * stack.finishedMm;
  const top = areaMm2(finished);
  const share = side / (side + top);
  return [
    { massG: coatG * share, x: 0, y: 0, upMm: stack.finishedMm / 2 },
    { massG: coatG * (1 - share), x: 0, y: 0, upMm: stack.finishedMm },
  ];
}
