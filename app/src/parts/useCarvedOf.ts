import {
  correctionsFor,
  isCarved,
  planShape,
  type Build,
  type CarveResult,
  type ShapePlan,
} from '@pyrgotect/core';
import { useCarvings } from '../stores/carvings.ts';
import { useHand } from '../stores/hand.ts';
import { usePantry } from '../stores/pantry.ts';

/** What is known of the carved tiers of several cakes, for a worker that plans them. */
export function useCarvedOf() {
  const pantry = usePantry();
  const carvings = useCarvings();
  const hand = useHand();
  const shapeOf = (build: Build): ShapePlan =>
    planShape(build, pantry.pantry, carvings.answerTo, correctionsFor(build, hand.corrections));
  const carvedAmong = (some: readonly Build[]): Build[] =>
    some.filter((build) => build.tiers.some((tier) => isCarved(tier.carving)));
  /** The answers there are; what is not known yet is asked for. */
  function carvedOf(some: readonly Build[]): CarveResult[] {
    return carvedAmong(some).flatMap((build) => {
      const shape = shapeOf(build);
      carvings.need(shape);
      return shape.tiers.flatMap(({ carve }) => carve?.result ?? []);
    });
  }
  const carvedTiers = (some: readonly Build[]): ShapePlan['tiers'] =>
    carvedAmong(some).flatMap((build) => shapeOf(build).tiers);
  return { carvedOf, carvedTiers };
}
