import type { Build, Tier } from '../document/types.ts';
import { contains, widthMm } from '../outline/outline.ts';
import type { Pantry } from '../pantry/types.ts';
import type { ShapePlan } from '../plan/shape-plan.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { warnOfBoard, warnOfDowels } from './dowel-cautions.ts';
import type { Lift } from './lifts.ts';
import { warnOfRoad, warnOfRod } from './road-cautions.ts';
import { rimAt } from './room.ts';
import { sayInto, times, type Say } from './support-words.ts';
import { counterMassG, stakeDepthMm } from './stability.ts';
import { edgeDistanceMm } from './statics.ts';
import type { SupportPlan } from './support.ts';
import { mostOnOneBoardMm, type Need } from './tier-stand.ts';

/** What to mind about loads, dowels, boards, rod and road, each with what to do. */
export function warnOfSupport(
  build: Build,
  shape: ShapePlan,
  plan: SupportPlan,
  pantry: Pantry,
  cautions: Caution[],
): void {
  const say = sayInto(cautions);
  build.tiers.forEach((tier, i) => {
    const stand = plan.tiers[i]!;
    const upper = build.tiers[i + 1];
    for (const need of stand.needs) warnOfNeed(tier, upper, need, plan, say);
    if (upper) warnOfOverhang(tier, upper, plan, i, say);
    warnOfShear(tier, stand, build, say);
    warnOfStakes(tier, i, shape, stand, say);
  });
  for (const lift of plan.lifts) {
    const above = lift.deck === null ? build.tiers[lift.tierIndex + 1]!.name : 'its own upper half';
    warnOfDowels(build.tiers[lift.tierIndex]!, lift, above, pantry, say);
    const carried = lift.deck === null ? build.tiers[lift.tierIndex + 1] : undefined;
    warnOfBoard(build.tiers[lift.tierIndex]!, lift, above, carried, say);
  }
  warnOfRod(build, plan, pantry, say);
  warnOfRoad(build, plan, say);
}

function warnOfNeed(
  tier: Tier,
  upper: Tier | undefined,
  need: Need,
  plan: SupportPlan,
  say: Say,
): void {
  const lift = plan.lifts.find((one) => one.tierId === tier.id && one.deck === null);
  const isHeld = tier.stand.dowels !== null;
  const dowels = upper
    ? phrase(`${lift?.fewest ?? 3} dowels in ${tier.name}, under ${upper.name}’s board.`)
    : phrase('A board half-way up on dowels of its own, or a firmer crumb.');
  switch (need.why) {
    case 'crumb':
      return say(
        `${tier.id}/crumb`,
        'stop',
        `${tier.id}/layer/${need.layer}`,
        phrase(
          `Layer ${need.layer + 1} of ${tier.name} carries {times} times what its crumb stands.`,
          { times: times(need.used) },
        ),
        isHeld || !upper
          ? phrase('A board half-way up on dowels of its own, less soak, or colder.')
          : dowels,
      );
    case 'filling':
      return say(
        `${tier.id}/creep/${need.gap}`,
        'mind',
        `${tier.id}/gap/${need.gap}`,
        phrase(
          `Under ${upper!.name} the filling on layer ${need.gap + 1} of ${tier.name} is pressed down to {mm}.`,
          { mm: [need.settledMm, 'thickness'] },
        ),
        dowels,
        isHeld ? undefined : { do: 'dowels', tierId: tier.id },
      );
    case 'custom':
      if (isHeld) return;
      return say(
        `${tier.id}/no dowels`,
        'stop',
        `${tier.id}/dowels`,
        phrase(`${upper!.name} and what is on it, {mass}, stands on cake alone.`, {
          mass: [need.aboveG, 'weight'],
        }),
        dowels,
        { do: 'dowels', tierId: tier.id },
      );
    case 'tall':
      return say(
        `${tier.id}/tall`,
        'mind',
        tier.id,
        phrase('{height} of cake on one board.', { height: [need.heightMm, 'size'] }),
        phrase(
          'Above {most} put a board on dowels half-way up, so that the lower layers do not carry it all. Count every dowel in, and out again before it is cut.',
          { most: [mostOnOneBoardMm, 'size'] },
        ),
      );
    case 'posts':
      if (isHeld) return;
      return say(
        `${tier.id}/no posts`,
        'stop',
        `${tier.id}/dowels`,
        phrase(`${upper!.name} is to stand above ${tier.name} on posts, and there are none.`),
        dowels,
        { do: 'dowels', tierId: tier.id },
      );
  }
}

/** The furthest a tier may stand off the axis in its direction and still be over what carries it, as a share. */
function farthestShare(lift: Lift, tier: Tier): number {
  const rim = rimAt(tier.outline, { x: 0, y: 0 });
  let [low, high] = [0, 1];
  for (let k = 0; k < 20; k++) {
    const middle = (low + high) / 2;
    const at = { x: lift.load.at.x * middle, y: lift.load.at.y * middle };
    if (edgeDistanceMm(rim, at) >= 30) low = middle;
    else high = middle;
  }
  return low;
}

function warnOfOverhang(tier: Tier, upper: Tier, plan: SupportPlan, i: number, say: Say): void {
  const lift = plan.lifts.find((one) => one.tierIndex === i && one.deck === null);
  if (!lift) return;
  const off = Math.hypot(...upper.stand.offsetMm);
  if (
    lift.insideMm < 0 ||
    (lift.carried !== null && lift.placed.length > 0 && !lift.carried.stands)
  ) {
    const share = farthestShare(lift, tier);
    const arm = widthMm(tier.outline) / 2;
    return say(
      `${upper.id}/falls`,
      'stop',
      `${upper.id}/card`,
      phrase(
        lift.insideMm < 0
          ? `The weight of ${upper.name} lies {by} beyond the edge of ${tier.name}: it falls.`
          : `The weight of ${upper.name} lies outside its dowels: it tips off them.`,
        { by: [Math.max(0, -lift.insideMm), 'span'] },
      ),
      off > 1
        ? phrase(
            'At most {off} off the middle. Held further out it takes an armature fixed to the board and made for it, or a counter-mass of {mass} at the far rim.',
            {
              off: [off * share, 'span'],
              mass: [counterMassG(lift.aboveG, Math.max(0, -lift.insideMm) + 30, arm), 'weight'],
            },
          )
        : phrase('Dowels round the weight, or carve away less on its other side.'),
    );
  }
  const rim = rimAt(tier.outline, { x: 0, y: 0 });
  const beyond = Math.max(
    0,
    ...rimAt(upper.outline, lift.outlineAt)
      .filter((p) => !contains(tier.outline, p))
      .map((p) => -edgeDistanceMm(rim, p)),
  );
  if (beyond < 1) return;
  const wide = widthMm(upper.outline);
  say(
    `${upper.id}/overhang`,
    wide > widthMm(tier.outline) && off < 1 ? 'stop' : 'mind',
    `${upper.id}/card`,
    phrase(
      wide > widthMm(tier.outline)
        ? `${upper.name} is wider than ${tier.name}: it hangs over by {by}.`
        : `${upper.name} hangs over ${tier.name} by {by}.`,
      { by: [beyond, 'span'] },
    ),
    wide > widthMm(tier.outline)
      ? phrase('At most {wide} across here, or put the wider tier below.', {
          wide: [widthMm(tier.outline), 'size'],
        })
      : phrase(
          'Only its board holds that part: at most {off} off the middle keeps it over the cake.',
          { off: [Math.max(0, off - beyond), 'span'] },
        ),
  );
}

function warnOfShear(
  tier: Tier,
  { shear }: SupportPlan['tiers'][number],
  { journey, rod }: Build,
  say: Say,
): void {
  if (!journey.byRoad || rod || !shear || shear.margin >= 1) return;
  say(
    `${tier.id}/shears`,
    'mind',
    `${tier.id}/gap/${shear.gap}`,
    phrase(
      `When braked hard the filling on layer ${shear.gap + 1} of ${tier.name} lets go: it stands {share} times a hard braking.`,
      { share: [shear.margin, 'margin'] },
    ),
    phrase('Chill it through, carry it flat and low, a thinner or stiffer filling, or a rod.'),
  );
}

const stakeMm = { pick: 2.5, stick: 4, wire: 1.5, none: 0 } as const;
const heavyTopperG = 30;

/** Toppers on sticks that are heavy enough to lean: how deep the stick goes. */
function warnOfStakes(
  tier: Tier,
  i: number,
  shape: ShapePlan,
  { stresses }: SupportPlan['tiers'][number],
  say: Say,
): void {
  const top = stresses.at(-1);
  shape.tiers[i]!.finish.toppings.forEach(({ topping, pieceG, count }, n) => {
    if (topping.pick === 'none' || count === 0 || pieceG < heavyTopperG || !top) return;
    const depth = stakeDepthMm(pieceG, topping.highMm / 2, stakeMm[topping.pick], top.standsKPa);
    const deepest = shape.tiers[i]!.stack.finishedMm - 5;
    say(
      `${tier.id}/stake/${topping.id}`,
      depth > deepest ? 'stop' : 'note',
      `${tier.id}/topping/${n}`,
      phrase(`The ${topping.pick} of ${topping.name} must stand {deep} deep in ${tier.name}.`, {
        deep: [depth, 'span'],
      }),
      depth > deepest
        ? phrase(
            'It leans in a soft cake: a lighter topper, a thicker stake, or one that rests on a board.',
          )
        : phrase(
            'Food-safe, sealed or in a sleeve, and counted: it comes out before the cake is cut.',
          ),
    );
  });
}
