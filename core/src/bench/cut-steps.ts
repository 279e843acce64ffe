import { handsOn, topScale } from '../labour/minutes.ts';
import type { KnifeCut } from '../tins/knife.ts';
import { phrase } from '../units/phrase.ts';
import { cutKey } from '../workflow/step-keys.ts';
import type { BakeContext } from './bake-context.ts';
import { knifeCaution, step, type Step } from './steps.ts';

const cutTexts: Record<KnifeCut['kind'], string> = {
  level: 'take the dome off at',
  'bottom crust': 'take the bottom crust off at',
  split: 'split at',
};

/** Cold cakes levelled and split, each by itself. */
export function cutSteps({
  tier,
  sponge,
  bake,
}: Pick<BakeContext, 'tier' | 'sponge' | 'bake'>): Step[] {
  const many = bake.cakes.length;
  const scale = topScale(tier.outline);
  const steps = bake.cakes
    .filter((cake) => cake.cuts.length > 0)
    .map((cake): Step =>
      step(
        cutKey(tier, cake.layers[0]!),
        'level',
        'Fill and stack',
        `${cake.cuts.some(({ kind }) => kind === 'split') ? 'Level and split' : 'Level'} ${many === 1 ? 'the cake' : `cake ${cake.index + 1}`}`,
        (handsOn.levelAndSplit / many) * Math.max(1, scale),
        {
          part: `${tier.id}/layer/${cake.layers[0]!}`,
          layers: cake.layers,
          lead: phrase('Blade at these heights above the board, in this order.'),
          amounts: cake.cuts.map((cut, i) => ({
            label: `${i + 1}. ${cutTexts[cut.kind]}`,
            value: cut.atMm,
            kind: 'thickness' as const,
            figure: `${tier.id}/cake/${cake.index}/edge`,
          })),
          checks: [
            'Same height at four points round the rim',
            `Layers marked on one side, bottom ${cake.layers[0]! + 1} to top ${cake.layers.at(-1)! + 1}`,
            'Offcuts kept, in a covered bowl',
          ],
          cautions: [knifeCaution],
          hazards: ['knife'],
          record: {
            kind: 'mass',
            label: 'offcuts',
            planned: cake.domeG + cake.trimG,
            show: 'bowl',
          },
        },
      ),
    );
  if (sponge.minSliceMm > Math.min(...tier.layers.map((l) => l.heightMm)))
    steps.at(-1)?.checks.push('Thin slices: slide a cake card under each before lifting it');
  return steps;
}
