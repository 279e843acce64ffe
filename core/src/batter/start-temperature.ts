import type { Inclusion, Tier } from '../document/types.ts';
import {
  capacityOf,
  mixTemperature,
  type Made,
  type MixPart,
  type Mixture,
} from '../heat/mixture.ts';
import { foodOf } from '../pantry/find.ts';
import type { Food, Kitchen, Recipe } from '../pantry/types.ts';

/** One kind of pieces, and how much of it there is to a gram of batter. */
export interface PiecesPerG {
  inclusion: Inclusion;
  perG: number;
}

/** The parts of a tier's batter with their temperatures, in the recipe's own amounts, g. */
export function batterParts(
  tier: Tier,
  recipe: Recipe,
  kitchen: Kitchen,
  foods: readonly Food[],
  foldedIn: readonly PiecesPerG[],
): MixPart[] {
  const tempOf = (name: string): number =>
    tier.temps.find((t) => t.name === name)?.tempC ?? kitchen.roomC;
  return [
    ...recipe.ingredients.map((i) => ({
      name: i.name,
      massG: i.massG,
      tempC: tempOf(i.name),
      made: foodOf(foods, i.foodId) ?? null,
    })),
    ...foldedIn.map(({ inclusion, perG }) => ({
      name: inclusion.name,
      massG: recipe.yieldG * perG,
      tempC: inclusion.tempC,
      made: inclusionMade(inclusion, foods),
    })),
  ];
}

/** Temperature of the batter as it goes into the tin, by heat balance of its parts. */
export const batterMixture = (
  tier: Tier,
  recipe: Recipe,
  kitchen: Kitchen,
  foods: readonly Food[],
  foldedIn: readonly PiecesPerG[],
): Mixture => mixTemperature(batterParts(tier, recipe, kitchen, foods, foldedIn));

/** Pieces by their row, with as much water as was said of them; by that alone where they have none. */
const inclusionMade = (inclusion: Inclusion, foods: readonly Food[]): Made => {
  const food = foodOf(foods, inclusion.foodId);
  const { waterShare } = inclusion;
  const dry = 1 - waterShare;
  const own = food ? Math.max(1e-9, 1 - food.waterShare) : 1;
  return {
    waterShare,
    fatShare: food ? (dry * food.fatShare) / own : 0,
    sugarShare: food ? (dry * food.sugarShare) / own : 0,
  };
};

/**
 * How much more heat the tin's content takes, for its volume, than plain batter: pieces do not rise
 * and their water has to be warmed. 1 and above.
 *
 * @param pieces all that is in the tin; @param mlPerG baked volume of a gram of plain batter
 */
export function slowerBy(
  recipe: Recipe,
  mlPerG: number,
  pieces: readonly PiecesPerG[],
  foods: readonly Food[],
): number {
  const mass = recipe.ingredients.reduce((sum, i) => sum + i.massG, 0);
  const batter =
    recipe.ingredients.reduce(
      (sum, i) => sum + i.massG * capacityOf(foodOf(foods, i.foodId) ?? null),
      0,
    ) / mass;
  const heat = pieces.reduce((sum, { inclusion, perG }) => sum + perG * capacityOf(inclusionMade(inclusion, foods)), batter); // prettier-ignore
  const ml = pieces.reduce((sum, { inclusion, perG }) => sum + perG / inclusion.densityGPerMl, mlPerG); // prettier-ignore
  return Math.max(1, (heat / ml) * (mlPerG / batter));
}
