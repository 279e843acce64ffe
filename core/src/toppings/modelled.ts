import { fondantGPerMl } from '../covers/fondant.ts';
import type { Modelled } from '../document/finish-types.ts';

/**
 * Volume of a modelled piece, mL: a ball and an egg by their axes, a cone, a rope as long as it is high, a
 * block as deep as it is wide (docs/model.md#piping-and-toppings).
 */
export function modelledMl(form: Modelled['form'], acrossMm: number, highMm: number): number {
  const box = acrossMm * acrossMm;
  switch (form) {
    case 'ball':
      return (Math.PI * acrossMm ** 3) / 6000;
    case 'egg':
      return (Math.PI * box * highMm) / 6000;
    case 'cone':
      return (Math.PI * box * highMm) / 12_000;
    case 'rope':
      return (Math.PI * box * highMm) / 4000;
    case 'block':
      return (box * highMm) / 1000;
  }
}

/** Rolled fondant in a modelled piece, g. */
export const modelledG = (form: Modelled['form'], acrossMm: number, highMm: number): number =>
  modelledMl(form, acrossMm, highMm) * fondantGPerMl;
