import type { Build } from '../document/types.ts';
import type { Pantry } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import { times, type Say } from './support-words.ts';
import { wantedMargin } from './stability.ts';
import type { SupportPlan } from './support.ts';

/** A rod that is wanted, goes astray, or bends. */
export function warnOfRod(build: Build, plan: SupportPlan, pantry: Pantry, say: Say): void {
  const { rod, rodWantedBy } = plan;
  if (!rod) {
    if (rodWantedBy.length === 0) return;
    const worst = rodWantedBy.reduce((a, b) =>
      plan.tiers[b]!.margin < plan.tiers[a]!.margin ? b : a,
    );
    const { margin, tipping, sliding } = plan.tiers[worst]!;
    const tips = tipping.margin <= (sliding?.margin ?? Infinity);
    return say(
      'rod/wanted',
      margin < 1 ? 'stop' : 'mind',
      'rod',
      phrase(
        `${build.tiers[worst]!.name} ${tips ? 'tips' : 'slides'} at {share} times a hard braking; {wanted} times is wanted on the road.`,
        { share: [margin, 'margin'], wanted: [wantedMargin, 'margin'] },
      ),
      phrase('A rod through all tiers, held in the board; or stack it there.'),
    );
  }
  if (rod.outside.length > 0)
    say(
      'rod/outside',
      'stop',
      'rod',
      phrase(
        `The rod does not go safely through ${rod.outside.map((i) => build.tiers[i]!.name).join(', ')}.`,
      ),
      phrase('Set the tiers nearer to one axis, or carry them apart and stack them there.'),
    );
  for (const i of rod.throughCores)
    say(
      `rod/core/${i}`,
      'mind',
      'rod',
      phrase(`The rod goes through the hidden centre of ${build.tiers[i]!.name}.`),
      phrase(
        'Take the rod beside it, or leave the centre out of that tier: it runs out along the rod.',
      ),
    );
  if (rod.used > 1) {
    const wide = rod.row.outerMm * Math.cbrt(rod.used);
    const thicker = pantry.dowels.find((row) => row.form === 'solid' && row.outerMm >= wide);
    say(
      'rod/thin',
      'mind',
      'rod',
      phrase(
        'At twice a hard braking the rod is bent {times} times as hard as it may be at its foot.',
        {
          times: times(rod.used),
        },
      ),
      thicker
        ? phrase(`${thicker.name}, or at least {wide} across.`, {
            wide: [Math.ceil(wide), 'thickness'],
          })
        : phrase('At least {wide} across.', { wide: [Math.ceil(wide), 'thickness'] }),
    );
  }
}

/** What warms and slides on the way. */
export function warnOfRoad(build: Build, { arrival, whole }: SupportPlan, say: Say): void {
  const { journey } = build;
  if (!journey.byRoad) return;
  if (arrival?.coatHoldsC !== null && arrival && arrival.skinC > arrival.coatHoldsC)
    say(
      'road/warm',
      'mind',
      null,
      phrase('On arrival its outside is at {skin}; a coat on it slides from {holds} on.', {
        skin: [arrival.skinC, 'temperature'],
        holds: [arrival.coatHoldsC, 'temperature'],
      }),
      phrase('Chill it through, cool the car before it goes in, or go in the cool of the day.'),
    );
  if (!journey.boxed && whole.sliding.margin < wantedMargin)
    say(
      'road/slides',
      'mind',
      null,
      phrase('Its board slides at {share} times a hard braking.', {
        share: [whole.sliding.margin, 'margin'],
      }),
      phrase(
        journey.mat
          ? 'A box that fits the board, on the floor of the car, not on a seat.'
          : 'Something non-slip under it, in a box that fits the board, on the floor of the car.',
      ),
    );
}
