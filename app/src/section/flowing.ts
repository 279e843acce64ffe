import type { ShapePlan } from '@pyrgotect/core';
import { shallowRef } from 'vue';

/** Drips of one tier at a moment of their run, for every drawing that shows them; null at rest. */
export interface Flowing {
  tierId: string;
  /** Length of each drip now, mm, in order along the rim. */
  lengthsMm: number[];
}
export const flowing = shallowRef<Flowing | null>(null);

interface Drawn {
  tierId: string | null;
  drip?: number;
  y0: number;
}

/** Lower edge of a part of a drawing, mm: a drip that is running ends higher than where it will rest. */
export function footNow({ tierId, drip, y0 }: Drawn, plan: ShapePlan): number {
  const now = flowing.value;
  if (drip === undefined || now === null || now.tierId !== tierId) return y0;
  const staged = plan.tiers.find((tier) => tier.tierId === tierId)?.finish.drip;
  const rest = staged?.ok ? staged.value?.drips[drip]?.lengthMm : undefined;
  const length = now.lengthsMm[drip];
  return rest === undefined || length === undefined ? y0 : y0 + Math.max(0, rest - length);
}
