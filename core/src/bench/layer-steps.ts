import { widthMm } from '../outline/outline.ts';
import { phrase } from '../units/phrase.ts';
import { holdsCaution } from './holds-caution.ts';
import { perishable } from './perishable.ts';
import { takenOf } from './recipe-steps.ts';
import { soakSteps } from './soak-steps.ts';
import type { StackContext } from './stack-context.ts';
import { step, type Step } from './steps.ts';

/** A hidden centre is filled when its topmost layer is on, before the lid. */
export function centreFillStep({ tier, centre, foods, spreadOf }: StackContext): Step[] {
  if (!tier.centre || !centre) return [];
  const { pieces, spreadId } = tier.centre;
  const name = (pieces ?? spreadOf(spreadId)).name.toLowerCase();
  return [
    step(`${tier.id}/centre-fill`, 'fill centre', 'Fill and stack', 'Fill the hidden centre', 4, {
      part: `${tier.id}/centre`,
      lead: phrase(
        pieces
          ? 'Poured in loosely up to the rim of the hole, not pressed; brushed off the layer round it.'
          : 'Up to the rim of the hole and no further; wiped level with the layer.',
      ),
      amounts: [{ label: name, value: centre.fillG, kind: 'small', figure: `${tier.id}/centre` }],
      takes: pieces ? takenOf(pieces, centre.fillG) : [],
      checks: ['Level with the layer, so that the lid lies flat'],
      cautions: pieces ? holdsCaution(pieces, foods) : perishable(spreadOf(spreadId)),
      record: {
        kind: 'mass',
        label: `${name} in the centre`,
        planned: centre.fillG,
        show: 'small',
      },
    }),
  ];
}

/** What is done to the layers before they are stacked: measured, cored, soaked. */
export function layerSteps({ tier, soak, centre, recipes, foods }: StackContext): Step[] {
  const steps: Step[] = [];
  // one layer stands as it is, and nobody measures a crepe
  if (tier.layers.filter(({ otherId }) => otherId === null).length > 1)
    steps.push(
      step(
        `${tier.id}/rims`,
        'measure',
        'Fill and stack',
        'Measure the layers, if they are not even',
        4,
        {
          part: `${tier.id}/layer/0`,
          lead: phrase(
            'A cocktail stick at one point of each rim marks its 12 o’clock. Height at four points, from the mark on, the way the hands run; the turns that make the stack level follow.',
          ),
          checks: ['Every stick is out again before the layer is covered'],
          rimsOf: tier.id,
        },
      ),
    );
  if (tier.centre && centre)
    steps.push(
      step(`${tier.id}/core`, 'cut rounds', 'Fill and stack', 'Cut the hidden centre', 6, {
        part: `${tier.id}/centre`,
        lead: phrase(
          `Ring cutter {wide} across through layers ${tier.centre.fromLayer + 1} to ${tier.centre.toLayer + 1}; the lid stays whole. It is filled when layer ${tier.centre.toLayer + 1} is on.`,
          { wide: [widthMm(tier.centre.outline), 'span'] },
        ),
        hazards: ['knife'],
        checks: ['Cores kept for offcuts', 'Straight down: the holes meet'],
      }),
    );
  steps.push(...soakSteps(tier, soak, { recipes, foods }));
  return steps;
}
