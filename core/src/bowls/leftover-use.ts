import type { KeepingClass, Spread } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';

/** Usual keeping in the fridge and the freezer, in days; null where it is not frozen (docs/model.md#putting-right). */
export const keepingDays: Record<KeepingClass, { fridge: number; freezer: number | null }> = {
  'sugar buttercream, fudge, firm ganache, caramel': { fridge: 14, freezer: 90 },
  'soft ganache': { fridge: 7, freezer: 90 },
  'meringue buttercream': { fridge: 7, freezer: 90 },
  'yolk buttercream, cream cheese': { fridge: 4, freezer: 60 },
  'whipped cream': { fridge: 1, freezer: 30 },
  'stabilised cream': { fridge: 3, freezer: 30 },
  curd: { fridge: 5, freezer: 60 },
  compote: { fridge: 4, freezer: 90 },
  'jam, nut spread': { fridge: 14, freezer: 90 },
};

/** A swirl on a cupcake, and a filling for a jar of 200 mL, g to the mL of it. */
const swirlMl = 32;
const worthKeepingG = 30;

/** What so many grams of a spread left over are good for, and how long. */
export function leftoverUse(spread: Spread, leftG: number): Phrase {
  if (leftG < worthKeepingG) return phrase('Too little to keep: it patches the side.');
  const ml = leftG / spread.densityGPerMl;
  const { fridge, freezer } = keepingDays[spread.keeping];
  const swirls = Math.floor(ml / swirlMl);
  const use =
    spread.canCoat && swirls >= 2
      ? `Enough to top ${swirls} cupcakes. `
      : spread.canFill
        ? 'Good as a spread or a filling. '
        : '';
  return phrase(
    `${use}It keeps ${fridge === 1 ? 'a day' : `${fridge} days`} in the fridge${freezer === null ? '' : ` and about ${Math.round(freezer / 30)} ${freezer < 45 ? 'month' : 'months'} frozen`}; usual guidance, under your local food code.`,
  );
}
