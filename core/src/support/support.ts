import { spreadStressPa } from '../coat/melting.ts';
import { nPerG } from '../units/gravity.ts';
import type { Build } from '../document/types.ts';
import { areaMm2 } from '../outline/outline.ts';
import type { Point } from '../outline/point.ts';
import { findRow } from '../pantry/find.ts';
import type { Work } from '../plan/work.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import type { ShapePlan } from '../plan/shape-plan.ts';
import { feetOf, type Foot } from '../stack/feet.ts';
import { attempt, ifThere, valueOf } from '../working/staged.ts';
import { cardMassG } from './boards.ts';
import { casesFor, worstTimes, type LoadCase } from './cases.ts';
import { arrivalOf, warmestC, type Arrival } from './journey.ts';
import type { Lift } from './lifts.ts';
import { bodiesOf, movedBy, asOneMass, type CentredMass } from './masses.ts';
import { bendRod, planRod, rodPlace, type Core, type RodBend, type RodPlan } from './rod.ts';
import { rimAt } from './room.ts';
import {
  friction,
  frictionAt,
  rodMomentNmm,
  slidingOf,
  tippingOf,
  wantedMargin,
  type Sliding,
  type Tipping,
} from './stability.ts';
import { stressesOf } from './stress.ts';
import { Known } from '../working/known.ts';
import { liftsOf } from './tier-lifts.ts';
import { needsOf, ownRim, shearOf, supportOf, type TierStand } from './tier-stand.ts';

/** How the whole build stands (docs/model.md#support). */
export interface SupportPlan {
  tiers: TierStand[];
  lifts: Lift[];
  cases: LoadCase[];
  /** The cake on its board, from the axis of the lowest tier and the underside of the board. */
  whole: { body: CentredMass; tipping: Tipping | null; sliding: Sliding };
  rod: (RodPlan & RodBend) | null;
  /** Tiers that ask for a rod on the way, by index. */
  rodWantedBy: number[];
  arrival: Arrival | null;
  /** The warmest while it travels or stands, C. */
  warmestC: number;
}

const rodPlaces = new Known<object, Point>(1);

/** Loads, dowels, boards, rod and journey of a build whose shape is planned. */
export function planSupport(shape: ShapePlan, work: Work): SupportPlan | null {
  const { build, pantry, cautions, spreadOf, withTimes } = work;
  const { tiers } = shape;
  if (tiers.some((tier) => tier.massG === null)) return null;
  const heights = tiers.map(({ stack }) => stack.finishedMm);
  const feet = feetOf(build.tiers, heights);
  const bodies = build.tiers.map((tier, i) => {
    const card = i > 0 ? tier.stand.card : null;
    const cardG = card ? cardMassG(tier.outline, card) : 0;
    const decks = tiers[i]!.stack.decks.map(({ fromMm, toMm }, k): CentredMass => {
      const deck = tier.stand.decks[k]!;
      return { massG: cardMassG(tier.outline, deck.card), x: 0, y: 0, upMm: (fromMm + toMm) / 2 };
    });
    // what is piped nowhere in particular is taken to be on top
    const placeOf = (id: string | undefined): number => {
      const at = build.tiers.findIndex((one) => one.id === id);
      return at < 0 ? build.tiers.length - 1 : at;
    };
    const piping = shape.piping.filter((job) => placeOf(job.piped?.tierId) === i);
    const own = [...bodiesOf(tier, tiers[i]!, piping), ...decks];
    return { own, body: asOneMass([...own, { massG: cardG, x: 0, y: 0, upMm: 0 }]) };
  });
  // from the top down: each tier with all that stands on it
  const carried: CentredMass[] = [];
  for (let i = tiers.length - 1; i >= 0; i--) {
    const above = carried[0];
    const offset = build.tiers[i + 1]?.stand.offsetMm;
    const next =
      above && offset
        ? [movedBy(above, { x: offset[0], y: offset[1] }, feet[i + 1]!.upMm - feet[i]!.upMm)]
        : [];
    carried.unshift(asOneMass([bodies[i]!.body, ...next]));
  }
  const rodRow = build.rod
    ? valueOf(
        attempt('support', 'rod', cautions, () => findRow(pantry, 'dowels', build.rod!.dowelId)),
      )
    : null;
  const outlines = build.tiers.map((tier) => tier.outline);
  const boardMm = shape.board?.thicknessMm ?? 0;
  const rod =
    build.rod && rodRow
      ? planRod(
          rodRow,
          build.rod.at
            ? { x: build.rod.at[0], y: build.rod.at[1] }
            : rodPlaces.of(build.rod, [...outlines, ...feet.flatMap(({ x, y }) => [x, y])], () =>
                rodPlace(outlines, feet),
              ),
          outlines,
          feet,
          feet.at(-1)!.upMm + heights.at(-1)!,
          boardMm,
          coresOf(build, tiers, feet),
        )
      : null;
  const cases = casesFor(build.journey, rod !== null);
  const arrival = withTimes ? arrivalOf(tiers, work) : null;
  const tempC = warmestC(arrival, work);
  const { fridgeC } = pantry.kitchen;
  const lifts = build.tiers.flatMap((_, i) =>
    liftsOf(i, { shape, work, feet, heights, carried, bodies, rod, cases }),
  );
  const stands = build.tiers.map((tier, i): TierStand => {
    const plan = tiers[i]!;
    const upper = build.tiers[i + 1];
    const aboveG = upper ? carried[i + 1]!.massG : 0;
    const onCake = upper !== undefined && tier.stand.dowels === null;
    const sponge = ifThere(() => findRow(pantry, 'sponges', tier.spongeId));
    const stresses = stressesOf(
      tier,
      plan,
      sponge,
      onCake ? aboveG * nPerG : 0,
      upper ? areaMm2(upper.outline) : 0,
      worstTimes(cases),
      tempC,
      build.journey.days,
    );
    const support = supportOf(i, work, lifts, shape);
    const centre: Point = {
      x: carried[i]!.x + (i > 0 ? tier.stand.offsetMm[0] : 0),
      y: carried[i]!.y + (i > 0 ? tier.stand.offsetMm[1] : 0),
    };
    const cardMm = feet[i]!.upMm - feet[i]!.cardMm;
    const tips = support.map((rim) =>
      tippingOf(rim, centre, carried[i]!.upMm + cardMm + (i > 0 ? tier.stand.postMm : 0)),
    );
    const tipping = tips.reduce((a, b) => (b.brakeG < a.brakeG ? b : a));
    const weightN = carried[i]!.massG * nPerG;
    const below = build.tiers[i - 1];
    const topSpread = below
      ? ifThere(() => spreadOf(below.coat.topSpreadId ?? below.coat.spreadId))
      : null;
    const bond = below && !below.fondant && tier.stand.postMm === 0 ? topSpread : null;
    const slidingAt = (atC: number): Sliding | null =>
      i === 0
        ? null
        : slidingOf(
            tier.stand.postMm > 0 ? friction.bare : frictionAt(atC),
            bond ? spreadStressPa(bond, atC, pantry) : 0,
            areaMm2(tier.outline),
            weightN,
          );
    const sliding = slidingAt(tempC);
    const shear = shearOf(i, shape, work, arrival?.middleC ?? tempC, onCake ? aboveG : 0);
    return {
      tierId: tier.id,
      foot: feet[i]!,
      body: bodies[i]!.body,
      carried: carried[i]!,
      stresses,
      needs: needsOf(i, shape, work, stresses, aboveG),
      tipping,
      alone: tippingOf(
        ownRim(i, work, shape),
        { x: bodies[i]!.body.x, y: bodies[i]!.body.y },
        Math.max(1, bodies[i]!.body.upMm),
      ),
      sliding,
      slidingCold: slidingAt(fridgeC),
      shear,
      margin: Math.min(tipping.margin, sliding?.margin ?? Infinity),
    };
  });
  const isMoved = build.journey.byRoad && build.journey.stackAt === 'home';
  return {
    tiers: stands,
    lifts,
    cases,
    whole: wholeOf(shape, carried[0]!, boardMm, build.journey.mat),
    rod: rod && { ...rod, ...bendRod(rod, momentOf(stands)) },
    rodWantedBy:
      isMoved && tiers.length > 1
        ? stands.flatMap(({ margin }, i) => (i > 0 && margin < wantedMargin ? [i] : []))
        : isMoved && stands[0]!.margin < wantedMargin
          ? [0]
          : [],
    arrival,
    warmestC: tempC,
  };
}

/** The most that any tier asks of a rod, N·mm. */
const momentOf = (stands: readonly TierStand[]): number =>
  Math.max(
    ...stands.map(({ carried, tipping, sliding, foot }) =>
      rodMomentNmm(carried.massG * nPerG, tipping, sliding, foot.upMm),
    ),
  );

/** Hidden centres with where they begin. */
const coresOf = (build: Build, tiers: readonly TierPlan[], feet: readonly Foot[]): Core[] =>
  build.tiers.flatMap((tier, i): Core[] =>
    tier.centre
      ? [
          {
            index: i,
            outline: tier.centre.outline,
            x: feet[i]!.x,
            y: feet[i]!.y,
            footMm: feet[i]!.upMm,
            fromMm: feet[i]!.upMm + tiers[i]!.stack.layers[tier.centre.fromLayer]!.fromMm,
            isHighest: i === build.tiers.length - 1,
          },
        ]
      : [],
  );

/** The whole cake on its board: over the board's rim, and on what the board stands on. */
function wholeOf(
  { board, boardCover }: ShapePlan,
  cake: CentredMass,
  boardMm: number,
  hasMat: boolean,
): SupportPlan['whole'] {
  const body = asOneMass([
    movedBy(cake, { x: 0, y: 0 }, boardMm),
    {
      massG: (board?.massG ?? 0) + (boardCover?.massG ?? 0),
      x: 0,
      y: 0,
      upMm: boardMm / 2,
    },
  ]);
  return {
    body,
    tipping: board
      ? tippingOf(rimAt(board.outline, { x: 0, y: 0 }), { x: body.x, y: body.y }, body.upMm)
      : null,
    sliding: slidingOf(hasMat ? friction.mat : friction.bare, 0, 0, body.massG * nPerG),
  };
}
