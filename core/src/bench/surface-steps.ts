import type { SurfaceWay } from '../document/types.ts';
import { handsOn, sideScale } from '../labour/minutes.ts';
import type { SurfacePlan } from '../covers/surfaces.ts';
import type { OperationKind } from '../workflow/operation.ts';
import { phrase } from '../units/phrase.ts';
import { holdsCaution } from './holds-caution.ts';
import { takenOf } from './recipe-steps.ts';
import type { StackContext } from './stack-context.ts';
import { step, type Step } from './steps.ts';

const words: Record<
  SurfaceWay,
  { kind: OperationKind; verb: string; lead: string; check: string }
> = {
  glaze: {
    kind: 'glaze',
    verb: 'Glaze with',
    lead: 'Warmed until it runs, strained, brushed on thin with a soft brush, one way.',
    check: 'Thin and even, no puddles at the foot',
  },
  paint: {
    kind: 'paint',
    verb: 'Paint with',
    lead: 'On a cold, dry surface, tried on a piece of the same coat first; light before dark.',
    check: 'Dry to a fingertip before the next coat',
  },
  dust: {
    kind: 'dust',
    verb: 'Dust with',
    lead: 'Through a fine sieve or with a dry, soft brush; what falls is caught on paper.',
    check: 'The surface is dry: on damp it goes dark',
  },
  spray: {
    kind: 'spray',
    verb: 'Spray with',
    lead: 'Well cold, from a hand’s length off, the cake turning; the wall behind it covered.',
    check: 'An even film; no runs',
  },
};

const mist = phrase(
  'A fine spray is not breathed in, and is kept from every flame and hot plate: window open, torch and burners off.',
);
const onlyFood = phrase(
  'Only what is sold to be eaten: what is called non-toxic or for decoration alone is not food.',
);

/** Minutes with hands on it for one coat of a usual tier, by how it is put on (estimates). */
const coatMin: Record<SurfaceWay, number> = { glaze: 6, paint: 15, dust: 3, spray: 6 };

/** Glaze, paint, dust and spray on the finished coat, coat by coat, each dry before the next. */
export function surfaceSteps(context: StackContext): Step[] {
  const { tier, stack, surfaces, foods } = context;
  const size = Math.max(0.5, sideScale(tier.outline, stack.finishedMm));
  return surfaces.flatMap(({ surface, massG, atHandG }: SurfacePlan): Step[] => {
    const { way, name, coats, dryMin, tint, where } = surface;
    const { kind, verb, lead, check } = words[way];
    const what = `${name.toLowerCase()}${tint ? `, ${tint}` : ''}`;
    return Array.from({ length: coats }, (_, i) =>
      step(
        `${tier.id}/surface/${surface.id}${i === 0 ? '' : `/${i + 1}`}`,
        kind,
        'Coat',
        coats === 1 ? `${verb} ${what}` : `${verb} ${what}: coat ${i + 1} of ${coats}`,
        coatMin[way] * size + (i === 0 ? handsOn.colour / 2 : 0),
        {
          part: `${tier.id}/${tier.fondant ? 'fondant' : 'coat'}`,
          lead: phrase(
            `${where === 'all over' ? 'All over' : where === 'side' ? 'The side' : 'The top'}. ${lead}`,
          ),
          amounts: [{ label: what, value: massG / coats, kind: 'fineMass', figure: null }],
          takes: takenOf(surface, atHandG / coats),
          checks: [check],
          cautions: [
            ...(way === 'spray' ? [mist] : []),
            ...(way === 'paint' || way === 'dust' ? [onlyFood] : []),
            ...holdsCaution(surface, foods),
          ],
          hazards: way === 'spray' ? ['open flame near vapour'] : [],
          timer: dryMin >= 1 ? { label: `${name} dry`, minutes: dryMin, lookMin: null } : null,
          hold: dryMin >= 1 ? { place: 'bench', highMm: 0, spoils: false } : null,
        },
      ),
    );
  });
}
