import { soakStyles, type SoakStyle, type Tier } from '../document/types.ts';
import type { Recipe, Sponge } from '../pantry/types.ts';
import type { RecipeBook } from '../recipes/alcohol.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { mostAlcohol, soakAlcohol } from './soak-alcohol.ts';
import { isSoaked, soakOf, soakRows, type SoakPlan } from './soak.ts';

/** Warns of more syrup than the sponge holds; the first layer that has too much stands for all. */
export function warnOfSoak(
  tier: Tier,
  sponge: Sponge,
  recipe: Recipe | undefined,
  soak: readonly SoakPlan[],
  book: RecipeBook,
  cautions: Caution[],
): void {
  if (recipe && isSoaked(tier)) warnOfAlcohol(tier, recipe, soak, book, cautions);
  const at = tier.layers.findIndex(
    (layer) => soakRows[soakOf(tier, layer)].mlPerMl > sponge.soakMlPerMl + 1e-9,
  );
  if (at < 0) return;
  const style = soakRows[soakOf(tier, tier.layers[at]!)];
  cautions.push({
    id: `${tier.id}/soak`,
    severity: 'mind',
    stage: 'stack',
    part: `${tier.id}/layer/${at}`,
    title: phrase(
      `${sponge.name} holds about {most} of syrup to the litre of cake; ${style.title} gives it {given}.`,
      {
        most: [sponge.soakMlPerMl * 1000, 'volume'],
        given: [style.mlPerMl * 1000, 'volume'],
      },
    ),
    todo: phrase('Soak it less, or it sags and weeps onto the board.'),
    advised: { do: 'soak', tierId: tier.id, style: mostSoak(sponge) },
  });
}

/** The most that a sponge holds, of the ways to soak. */
const mostSoak = ({ soakMlPerMl }: Sponge): SoakStyle =>
  soakStyles.findLast((style) => soakRows[style].mlPerMl <= soakMlPerMl + 1e-9) ?? 'none';

/** Alcohol does not bake off where it is brushed on; what is strong bites, and burns near a torch. */
function warnOfAlcohol(
  tier: Tier,
  recipe: Recipe,
  soak: readonly SoakPlan[],
  book: RecipeBook,
  cautions: Caution[],
): void {
  const { byVolume, dilution } = soakAlcohol(tier, soak, book);
  if (byVolume <= 0) return;
  cautions.push({
    id: `${tier.id}/soak alcohol`,
    severity: dilution > 0 || tier.torched ? 'mind' : 'note',
    stage: 'stack',
    part: `${tier.id}/layer/0`,
    title: phrase(
      `${recipe.name} in ${tier.name}: {vol} alcohol by volume, and all of it stays in the cake.`,
      { vol: [byVolume, 'share'] },
    ),
    todo:
      dilution > 0
        ? phrase(
            'Stronger than {most} it bites, and burns near a torch: stir {more} of plain syrup into each 100 g of it.',
            { most: [mostAlcohol, 'share'], more: [dilution * 100, 'small'] },
          )
        : phrase(
            tier.torched
              ? 'Write it on the box; not for children, and torched only when no wet face lies open.'
              : 'Write it on the box; not for children.',
          ),
  });
}
