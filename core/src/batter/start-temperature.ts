import type { Tier } from '../build/types.ts';
import { capacityOf, mixTemperature, type MixPart, type Mixture } from '../heat/mixture.ts';
import type { Kitchen, Recipe } from '../pantry/types.ts';

/** The parts of a tier's batter with their temperatures, in the recipe's own amounts, g. */
export function batterParts(tier: Tier, recipe: Recipe, kitchen: Kitchen): MixPart[] {
  const tempOf = (name: string): number =>
    tier.temps.find((t) => t.name === name)?.tempC ?? kitchen.roomC;
  return [
    ...recipe.ingredients.map((i) => ({
      name: i.name,
      massG: i.massG,
      tempC: tempOf(i.name),
      waterShare: 0.75,
    })),
    ...(tier.inclusion
      ? [
          {
            name: tier.inclusion.name,
            massG: (recipe.yieldG * tier.inclusion.gPerKg) / 1000,
            tempC: tier.inclusion.tempC,
            waterShare: tier.inclusion.waterShare,
          },
        ]
      : []),
  ];
}

/** Temperature of the batter as it goes into the tin, by heat balance of its parts. */
export const batterMixture = (tier: Tier, recipe: Recipe, kitchen: Kitchen): Mixture =>
  mixTemperature(batterParts(tier, recipe, kitchen));

/**
 * How much more heat the tin's content takes, for its volume, than plain batter: pieces do not rise
 * and their water has to be warmed. 1 and above.
 *
 * @param x grams of pieces to the gram of batter; @param mlPerG baked volume of a gram of plain batter
 */
export function slowerBy(tier: Tier, recipe: Recipe, mlPerG: number): number {
  if (!tier.inclusion) return 1;
  const x = tier.inclusion.gPerKg / 1000;
  const mass = recipe.ingredients.reduce((sum, i) => sum + i.massG, 0);
  const batter =
    recipe.ingredients.reduce((sum, i) => sum + i.massG * capacityOf(i.name), 0) / mass;
  const { waterShare, densityGPerMl } = tier.inclusion;
  const pieces = waterShare * 4.18 + (1 - waterShare) * 1.7;
  return Math.max(1, ((batter + x * pieces) / (mlPerG + x / densityGPerMl)) * (mlPerG / batter));
}
