import type { Bowl } from '../bowls/bowls.ts';
import { mixMinutes } from '../labour/minutes.ts';
import type { Spread } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import { perishable } from './perishable.ts';
import { step, type Step } from './steps.ts';

/** One step for each bowl: what to weigh, how to make it, and what to set aside before starting. */
export const bowlSteps = (bowls: readonly Bowl[], spreadOf: (id: string) => Spread): Step[] =>
  bowls.flatMap((bowl) => {
    const spread = spreadOf(bowl.spreadId);
    const times = bowl.mixes === 1 ? '' : `, ${bowl.mixes} mixings of the same size`;
    const aside = bowl.uses.filter((use) => use.kind === 'piping' || use.kind === 'coat');
    const asideG = aside.reduce((sum, use) => sum + use.massG, 0);
    return [
      step(
        `bowl/${bowl.spreadId}/make`,
        'Bowls',
        `Make the ${bowl.name.toLowerCase()}`,
        mixMinutes(spread.recipeId) * bowl.mixes,
        {
          lead: phrase(`{make} in all${times}. ${bowl.recipe.steps.join(' ')}`, {
            make: [bowl.makeG, 'bowl'],
          }),
          list: bowl.recipe.ingredients.map((i) => ({
            label: i.name,
            value: i.massG,
            kind: i.massG < 20 ? ('small' as const) : ('bowl' as const),
            note: i.pieces === null ? (bowl.mixes > 1 ? 'each mixing' : null) : `open ${i.pieces}`,
          })),
          checks: ['Smooth, and soft enough to spread without pulling crumbs'],
          cautions: [
            ...(bowl.recipe.caution ? [phrase(bowl.recipe.caution)] : []),
            ...perishable(spread),
          ],
          record: { kind: 'mass', label: 'made in all', planned: bowl.makeG, show: 'bowl' },
        },
      ),
      ...(asideG > 0 && bowl.uses.length > aside.length
        ? [
            step(
              `bowl/${bowl.spreadId}/aside`,
              'Bowls',
              'Set aside first, so that the coat never runs short',
              3,
              {
                lead: phrase('Into covered bowls of their own, before the first layer is filled.'),
                amounts: aside.map((use) => ({
                  label: use.label,
                  value: use.massG,
                  kind: 'bowl' as const,
                  figure: use.figure,
                })),
                checks: ['Covered and labelled'],
              },
            ),
          ]
        : []),
    ];
  });
