import { isFoldedIn } from '../batter/pieces.ts';
import { batterGels } from '../colour/batter-gels.ts';
import { gelsIn } from './gel-lines.ts';
import { handsOn, topScale } from '../labour/minutes.ts';
import { widthMm } from '../outline/outline.ts';
import type { BatterMixing } from '../oven/mixings.ts';
import type { BakedCake } from '../tins/bake.ts';
import { beatenWarm } from '../pantry/beaten-warm.ts';
import { scalingRules } from '../recipes/rules.ts';
import { scaledParts, scaleRecipe } from '../recipes/scale.ts';
import { phrase } from '../units/phrase.ts';
import { keyOf, type BakeContext } from './bake-context.ts';
import { holdsCaution } from './holds-caution.ts';
import { partSteps } from './part-steps.ts';
import { linesOf, takenBy, takenOf } from './recipe-steps.ts';
import { step, type Amount, type Step } from './steps.ts';

const sumOf = (cakes: readonly BakedCake[], of: (cake: BakedCake) => number): number =>
  cakes.reduce((total, cake) => total + of(cake), 0);

/**
 * Weighing out a batter, and mixing and colouring it, for the first of the tiers that share it.
 *
 * @param i which of the tier's loads it is for, from 0
 */
export function mixingSteps(
  context: BakeContext,
  mixing: BatterMixing,
  i: number,
): { weighed: Step[]; mixed: Step[] } {
  const { parts, makesG, mixes } = mixing;
  const { tier, recipe, scaled, bake, pantry, tierNames } = context;
  const { mixed } = parts[0]!;
  const sharedBy = parts.slice(1).map(({ tierId }) => tierId);
  const { foods, recipes } = pantry;
  const at = `${tier.id}/cake`;
  const isMachined = recipe.hazards.includes('running machine');
  const batterOf = (cakes: readonly BakedCake[]): number => sumOf(cakes, (cake) => cake.batterG);
  const batterG = parts.reduce((sum, part) => sum + batterOf(part.mixed), 0);
  const foldedG = sumOf(mixed, (cake) => cake.foldedG);
  const folded = tier.inclusions.flatMap((inclusion, k) =>
    isFoldedIn(inclusion) ? [{ inclusion, massG: sumOf(mixed, (cake) => cake.piecesG[k]!) }] : [],
  );
  const whole = sharedBy.length === 0 && mixed.length === bake.cakes.length;
  const each = mixes === 1 && whole ? scaled : scaleRecipe(recipe, makesG / mixes);
  const warm = isMachined ? beatenWarm(each.ingredients, foods) : [];
  const own = batterOf(mixed);
  const grown = Math.sqrt(topScale(tier.outline) * parts[0]!.share * (own > 0 ? batterG / own : 1));
  const weighed = [
    ...partSteps(
      i === 0 ? tier.id : `${tier.id}/load-${i + 1}`,
      recipe.name,
      scaledParts(each, mixes, recipes),
      'Bake',
      pantry,
    ),
    step(
      keyOf(context, 'weigh', mixed),
      'weigh',
      'Bake',
      `Weigh out for ${recipe.name}`,
      handsOn.weigh,
      {
        part: at,
        sharedBy,
        beside: true,
        lead:
          mixes > 1
            ? phrase(`For each of ${mixes} mixings: more at once climbs out of the bowl.`)
            : null,
        list: [
          ...linesOf(each, mixes),
          ...folded.map(({ inclusion, massG }) => ({
            label: `${inclusion.name}, to fold in`,
            value: massG,
            kind: 'bowl' as const,
            note: 'dust with flour',
          })),
        ],
        takes: [
          ...takenBy(each, mixes),
          ...folded.flatMap(({ inclusion, massG }) => takenOf(inclusion, massG)),
        ],
        checks:
          warm.length > 0
            ? [`At room temperature, or the batter will look grainy: ${warm.join(', ')}`]
            : [],
        cautions: [
          ...folded.flatMap(({ inclusion }) => holdsCaution(inclusion, foods)),
          ...scalingRules(recipe, each.factor, widthMm(context.tin.outline), foods),
        ],
      },
    ),
  ];
  const beaten = [
    step(
      keyOf(context, 'mix', mixed),
      'mix',
      'Bake',
      'Mix the batter',
      handsOn.batter * Math.max(1, grown, mixes),
      {
        part: at,
        sharedBy,
        lead: phrase(
          `${mixes > 1 ? `${mixes} times, one after the other. ` : ''}${recipe.steps.join(' ')}`,
        ),
        amounts: [
          {
            label: 'batter in all',
            value: batterG + foldedG,
            kind: 'bowl',
            figure: whole ? `${tier.id}/batter` : null,
          },
          ...(sharedBy.length === 0
            ? []
            : parts.map((part): Amount => ({
                label: `of it for ${tierNames.get(part.tierId) ?? ''}`,
                value: batterOf(part.mixed),
                kind: 'bowl',
                figure: null,
              }))),
        ],
        checks: ['No dry flour shows', 'The batter is smooth, not grainy'],
        cautions: recipe.caution ? [phrase(recipe.caution)] : [],
        hazards: recipe.hazards,
        hotC: recipe.hottestC,
        record: {
          kind: 'mass',
          label: 'batter in the bowl',
          planned: batterG + foldedG,
          show: 'bowl',
          hand: 'batter',
        },
      },
    ),
    ...colourSteps(context, mixing),
  ];
  return { weighed, mixed: beaten };
}

/** A batter divided into bowls, each coloured before any of it stands. */
function colourSteps(context: BakeContext, mixing: BatterMixing): Step[] {
  const { tier, pantry, colours } = context;
  const gels = batterGels(mixing, colours, pantry);
  if (gels.length === 0) return [];
  const { parts, colours: bowls } = mixing;
  return [
    step(
      keyOf(context, 'colour', parts[0]!.mixed),
      'colour',
      'Bake',
      bowls.length === 1 ? 'Colour the batter' : 'Divide the batter, and colour it',
      handsOn.divide * (bowls.length - 1) + handsOn.colour * gels.length,
      {
        part: `${tier.id}/cake`,
        sharedBy: parts.slice(1).map(({ tierId }) => tierId),
        lead: phrase(
          `${bowls.length === 1 ? 'Colour' : 'Weighed into its bowls first, then colour'} folded in with as few turns as it takes: every turn after the flour makes it tougher and lets air out.`,
        ),
        amounts: bowls.map(({ tint, massG }): Amount => ({
          label: tint || 'as it is',
          value: massG,
          kind: 'bowl',
          figure: null,
        })),
        ...gelsIn(gels),
        checks: ['Even, with no streak at the bottom of the bowl', 'Baked at once: crumb and crust brown, so the colour is judged inside'], // prettier-ignore
        cautions: [...new Set(gels.map(({ note }) => note.mind))].map((mind) => phrase(mind)),
      },
    ),
  ];
}
