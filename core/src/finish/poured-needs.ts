import type { Tier } from '../document/types.ts';
import type { Ganache } from '../pantry/types.ts';
import { valueOf } from '../working/staged.ts';
import type { FinishPlan } from './finish-plan.ts';
import { pouredSpreadId } from './ganache-recipe.ts';

/** What the bowls are asked for by what is poured and dripped, and by seats of pieces on the side: in g, by the spread it is made as. */
export interface PouredNeed {
  kind: 'drip' | 'flood' | 'pour' | 'tray' | 'drizzle' | 'seat';
  label: string;
  spreadId: string;
  tint: string;
  massG: number;
  part: string;
  step: string;
}

export interface PouredNeeds {
  needs: PouredNeed[];
  /** The spread of every bottle or bag that something stays in. */
  bags: { spreadId: string; tint: string }[];
}

/** Uses of ganache of one tier, in working order. */
export function pouredNeeds(
  tier: Tier,
  finish: FinishPlan,
  ganaches: readonly Ganache[],
): PouredNeeds {
  const needs: PouredNeed[] = [];
  const bags: PouredNeeds['bags'] = [];
  const pour = valueOf(finish.pour);
  if (pour) {
    const to = {
      spreadId: pour.spreadId,
      tint: tier.pour?.tint ?? '',
      part: `${tier.id}/pour`,
      step: `${tier.id}/pour`,
    };
    needs.push(
      { kind: 'pour', label: 'poured coat', massG: pour.staysG, ...to },
      { kind: 'tray', label: 'runs off into the tray', massG: pour.trayG, ...to },
    );
  }
  const drip = valueOf(finish.drip);
  if (drip && tier.drip) {
    const to = {
      spreadId: drip.spreadId,
      tint: tier.drip.tint,
      part: `${tier.id}/drip`,
      step: `${tier.id}/drip`,
    };
    const { dripsG, rimG, floodG } = drip.amounts;
    needs.push({ kind: 'drip', label: `${drip.count} drips`, massG: dripsG, ...to });
    needs.push({ kind: 'drip', label: 'bead along the rim', massG: rimG, ...to });
    needs.push({
      kind: 'flood',
      label: 'flood on top',
      massG: floodG,
      ...to,
      step: `${tier.id}/flood`,
    });
    if (tier.drip.tool !== 'spoon') bags.push({ spreadId: drip.spreadId, tint: tier.drip.tint });
  }
  finish.toppings.forEach(({ topping, massG, seatG }, i) => {
    const seat = topping.side?.dabSpreadId;
    if (seat && seatG > 0)
      needs.push({
        kind: 'seat',
        label: `under the ${topping.name}`,
        spreadId: seat,
        tint: '',
        massG: seatG,
        part: `${tier.id}/topping/${i}`,
        step: `${topping.id}/put`,
      });
    if (topping.kind !== 'drizzle' || topping.ganacheId === null) return;
    const row = ganaches.find((one) => one.id === topping.ganacheId);
    if (row)
      needs.push({
        kind: 'drizzle',
        label: topping.name,
        spreadId: pouredSpreadId(row, null),
        tint: topping.tint,
        massG,
        part: `${tier.id}/topping/${i}`,
        step: `${topping.id}/put`,
      });
  });
  return { needs, bags };
}
