import type { Tier } from '../document/types.ts';
import { usualDrip } from '../drip/flow.ts';
import { given, type FigurePage } from '../working/figures.ts';
import type { DripPlan, PourPlan } from './drips.ts';
import type { ToppingPlan } from './toppings.ts';

/** Enters what the finish takes, with its sum in words. */
export function enterFinish(
  tier: Tier,
  drip: DripPlan | null,
  pour: PourPlan | null,
  toppings: readonly ToppingPlan[],
  page: FigurePage,
): void {
  if (drip && tier.drip) {
    const { amounts, spec, drips } = drip;
    const longest = Math.max(...drips.map((one) => one.lengthMm));
    page.add(
      `${tier.id}/drips`,
      'Ganache for drips and top',
      amounts.totalG,
      'bowl',
      'Each drip weighs what the flow down the side takes to stop at its length: a film that moves only while it is thicker than it can stand, cooling on the coat as it runs. To the drips comes the bead along the rim, the flood over the top and what stays behind in bottle or bag.',
      [
        given('drips', drip.count, 'count'),
        given('longest', longest, 'span'),
        given('temperature of the ganache', spec.fluidC, 'temperature'),
        given('temperature of the coat', spec.coatC, 'temperature'),
        given('film it stands at as it leaves the rim', drip.standsMm, 'fine'),
        given('firmness index', spec.fluid.firmness, 'factor'),
        given('stiffer than the table, by your test drips', spec.fluid.stiffer, 'factor'),
        given('bead at the end of each drip', usualDrip.beadG, 'fineMass'),
        given('all drips', amounts.dripsG, 'small'),
        given('along the rim', amounts.rimG, 'small'),
        given('on top', amounts.floodG, 'small'),
        given('stays behind in what it is run from', amounts.residueG, 'small'),
      ],
    );
  }
  if (pour)
    page.add(
      `${tier.id}/pour`,
      'Ganache to pour',
      pour.pourG,
      'bowl',
      'The film that stays is what the flow leaves on the side when it has cooled so far that it stands; the top keeps twice that, at most 3 mm. Six tenths more is poured than stays, so that no place is missed: it comes back in the tray.',
      [
        given('film that stays on the side', pour.veilMm, 'fine'),
        given('side, by what studs it', pour.sideFactor, 'factor'),
        given('stays on the cake', pour.staysG, 'bowl'),
        given('back in the tray', pour.trayG, 'bowl'),
      ],
    );
  if (toppings.length > 0)
    page.add(
      `${tier.id}/toppings`,
      'Toppings',
      toppings.reduce((sum, one) => sum + one.massG, 0),
      'bowl',
      'Every piece by its weight; heaps, wreaths and drizzles by their volume.',
      toppings.map((one) => given(one.topping.name, one.massG, 'small')),
    );
}
