import { deckKey } from '../document/deck-key.ts';
import type { CarveResult } from '../carve/result.ts';
import { coarse, grow, type Outline } from '../outline/outline.ts';
import { findRow } from '../pantry/find.ts';
import type { Dowel } from '../pantry/types.ts';
import type { Work } from '../plan/work.ts';
import type { ShapePlan } from '../plan/shape-plan.ts';
import type { Foot } from '../stack/feet.ts';
import { attempt, valueOf } from '../working/staged.ts';
import type { LoadCase } from './cases.ts';
import { planLift, type Lift } from './lifts.ts';
import { asOneMass, movedBy, type CentredMass } from './masses.ts';
import type { RodPlan } from './rod.ts';

/** What the boards on dowels of a build are worked out from. */
export interface LiftParts {
  shape: ShapePlan;
  work: Work;
  feet: readonly Foot[];
  heights: readonly number[];
  carried: readonly CentredMass[];
  bodies: readonly { own: CentredMass[] }[];
  rod: RodPlan | null;
  cases: readonly LoadCase[];
}

/** The boards that stand on dowels in one tier: those half-way up, then the tier above. */
export function liftsOf(
  i: number,
  { shape, work, feet, heights, carried, bodies, rod, cases }: LiftParts,
): Lift[] {
  const { build, pantry, cautions } = work;
  const tier = build.tiers[i]!;
  const plan = shape.tiers[i]!;
  const upper = build.tiers[i + 1];
  const { decks } = plan.stack;
  const ownRod = rod
    ? {
        at: { x: rod.at.x - feet[i]!.x, y: rod.at.y - feet[i]!.y },
        acrossMm: rod.row.outerMm,
      }
    : null;
  const rowOf = (id: string, part: string): Dowel | null =>
    valueOf(attempt('support', part, cautions, () => findRow(pantry, 'dowels', id)));
  const tops: CentredMass[] = upper
    ? [
        movedBy(
          carried[i + 1]!,
          { x: upper.stand.offsetMm[0], y: upper.stand.offsetMm[1] },
          feet[i + 1]!.upMm - feet[i]!.upMm,
        ),
      ]
    : [];
  const common = {
    tier,
    tierIndex: i,
    plan,
    footMm: feet[i]!.upMm,
    rod: ownRod,
    cases,
  };
  const lifts = decks.map((deck, k) => {
    const { card, dowels } = tier.stand.decks[k]!;
    return planLift({
      ...common,
      deck: k,
      dowels,
      row: rowOf(dowels.dowelId, deckKey(tier, k)),
      card,
      outline: deckOutline(tier.outline, plan.carve?.result ?? null, deck.fromMm),
      outlineAt: { x: 0, y: 0 },
      above: asOneMass([...bodies[i]!.own.filter((body) => body.upMm >= deck.fromMm), ...tops]),
      bottomMm: k === 0 ? 0 : decks[k - 1]!.toMm,
      topMm: deck.fromMm,
      postMm: 0,
    });
  });
  if (!upper) return lifts;
  const { dowels } = tier.stand;
  return [
    ...lifts,
    planLift({
      ...common,
      deck: null,
      dowels,
      row: dowels ? rowOf(dowels.dowelId, `${tier.id}/dowels`) : null,
      card: upper.stand.card,
      outline: upper.outline,
      outlineAt: { x: upper.stand.offsetMm[0], y: upper.stand.offsetMm[1] },
      above: tops[0]!,
      bottomMm: decks.at(-1)?.toMm ?? 0,
      topMm: heights[i]!,
      postMm: upper.stand.postMm,
    }),
  ];
}

/** A board between layers ends at the cake's side; in a carved tier it is cut where the knife goes along it. */
function deckOutline(outline: Outline, result: CarveResult | null, upMm: number): Outline {
  if (!result || result.guides.length === 0) return outline;
  const guide = result.guides.reduce((a, b) =>
    Math.abs(b.upMm - upMm) < Math.abs(a.upMm - upMm) ? b : a,
  );
  const rim = guide.lines.reduce((a, b) => (b.length > a.length ? b : a), []);
  if (rim.length < 3) return outline;
  const cut: Outline = { kind: 'path', name: 'board', points: rim };
  return grow(coarse(cut), -shyMm) ?? outline;
}
const shyMm = 3;
