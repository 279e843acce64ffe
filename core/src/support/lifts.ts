import { deckKey } from '../document/deck-key.ts';
import { nPerG } from '../units/gravity.ts';
import { fitRim } from '../level/readings.ts';
import { areaMm2, depthMm, equivalentRadiusMm, widthMm, type Outline } from '../outline/outline.ts';
import { Remembered } from '../working/remembered.ts';
import type { Point } from '../outline/point.ts';
import type { Tier } from '../document/types.ts';
import type { Lines } from '../carve/result.ts';
import type { Dowel } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { boardMaterialRows } from './boards.ts';
import { bendOf, type Bend } from './bending.ts';
import { carriedBy, type Carried, type Load, type LoadCase } from './cases.ts';
import { placeEnough, placeRing } from './layout.ts';
import type { CentredMass } from './masses.ts';
import { nearestRoom, rimAt, roomFor, type DowelRoom, type Hindrance } from './room.ts';
import { edgeDistanceMm } from './statics.ts';
import { fewestDowels, strengthOf, type Strength } from './strength.ts';
import type { Card, Dowels } from './types.ts';

/** One dowel as it stands: place, length, what it carries, and what happens without it. */
export interface PlacedDowel {
  at: Point;
  lengthMm: number;
  restN: number;
  worstN: number;
  /** The worst over what it may carry. */
  used: number;
  hindrance: Hindrance | null;
  /** The nearest place that is free; null where there is none, or where it may stay. */
  nearest: Point | null;
}

/** A board on dowels in a tier: the tier above, or a board half-way up. */
export interface Lift {
  id: string;
  tierId: string;
  tierIndex: number;
  /** Which of the tier's own boards; null for the tier above. */
  deck: number | null;
  /** Bottom of the dowels above the build's board, and the length between board and board, mm. */
  fromMm: number;
  lengthMm: number;
  postMm: number;
  card: Card | null;
  outline: Outline;
  /** Middle of the board it carries, from the axis of the tier the dowels stand in. */
  outlineAt: Point;
  aboveG: number;
  load: Load;
  /** How far the load's centre lies inside the rim of what it stands on; negative: it falls. */
  insideMm: number;
  dowels: Dowels | null;
  row: Dowel | null;
  strength: Strength | null;
  fewest: number;
  placed: PlacedDowel[];
  carried: Carried | null;
  /** The worst share of what a dowel may carry. */
  used: number;
  /** Without each dowel in turn: does it stand at rest, and the worst share of the others. */
  without: { stands: boolean; used: number }[];
  bend: Bend | null;
}

/** What a lift is worked out from. */
export interface LiftQuestion {
  tier: Tier;
  tierIndex: number;
  plan: TierPlan;
  deck: number | null;
  dowels: Dowels | null;
  row: Dowel | null;
  card: Card | null;
  outline: Outline;
  outlineAt: Point;
  /** All that stands on the board, from the axis and the foot of the tier the dowels stand in. */
  above: CentredMass;
  /** From the foot of the tier, mm. */
  bottomMm: number;
  topMm: number;
  postMm: number;
  footMm: number;
  rod: { at: Point; acrossMm: number } | null;
  cases: readonly LoadCase[];
}

const points = (lines: Lines): Point[] => lines.flat().map(([x, y]) => ({ x, y }));

/** How much higher the measured layers of a tier stand at a place than on average, mm. */
export function unevenOf({ outline, layers }: Tier): (at: Point) => number {
  let [alongX, alongY] = [0, 0];
  for (const layer of layers) {
    const fit = fitRim(layer.rimMm);
    if (!fit) continue;
    // a mark turned clockwise takes the high side with it; 12 o'clock is at the back
    const turn = ((layer.turnSteps ?? 0) * 15 * Math.PI) / 180;
    const b = fit.a * Math.sin(turn) + fit.b * Math.cos(turn);
    alongX += layer.flipped ? -b : b;
    alongY += fit.a * Math.cos(turn) - fit.b * Math.sin(turn);
  }
  const radius = equivalentRadiusMm(outline);
  // more than this is a slip of the pen, which is pointed out where the rims are measured
  return ({ x, y }) =>
    Math.max(-mostUnevenMm, Math.min(mostUnevenMm, (alongX * x + alongY * y) / radius));
}
const mostUnevenMm = 15;

/** Places, shares and strength of the dowels under one board (docs/model.md#support). */
export function planLift(question: LiftQuestion): Lift {
  const { tier, tierIndex, plan, deck, dowels, row, card, outline, outlineAt, above } = question;
  const { bottomMm, topMm, postMm, footMm, rod, cases } = question;
  const tall = topMm - bottomMm;
  const lengthMm = tall + postMm;
  const load: Load = {
    weightN: above.massG * nPerG,
    at: { x: above.x, y: above.y },
    upMm: above.upMm - topMm - postMm,
  };
  const top = plan.carve?.result ? sectionsOf(plan, bottomMm, topMm).at(-1) : undefined;
  const support = top ? points(top) : rimAt(tier.outline, { x: 0, y: 0 });
  const base: Lift = {
    id: deck === null ? `${tier.id}/dowels` : `${deckKey(tier, deck)}/dowels`,
    tierId: tier.id,
    tierIndex,
    deck,
    fromMm: footMm + bottomMm,
    lengthMm,
    postMm,
    card,
    outline,
    outlineAt,
    aboveG: above.massG,
    load,
    insideMm: edgeDistanceMm(support, load.at),
    dowels,
    row,
    strength: null,
    fewest: fewestDowels(Math.min(widthMm(outline), depthMm(outline))),
    placed: [],
    carried: null,
    used: 0,
    without: [],
    bend: null,
  };
  if (!dowels || !row) return base;
  const strength = strengthOf(row, lengthMm, boardMaterialRows[card?.material ?? 'card'].bearsMPa);
  const around = {
    lower: tier.outline,
    upper: outline,
    upperAt: outlineAt,
    core: tier.centre?.outline ?? null,
    rod,
    sections: sectionsOf(plan, bottomMm, topMm),
    picks: deck === null ? picksOf(plan) : [],
    carveKey: plan.carve?.key ?? null,
  };
  const hinders = roomFor(around, row.outerMm);
  const places = placesOf(dowels, base, around, row.outerMm, strength.allowedN, hinders, cases);
  const carried = carriedBy(places, load, cases);
  const worst = Math.max(0, ...carried.worstN);
  const byHand = dowels.spots.length > 0;
  const uneven = unevenOf(tier);
  const each = places.map((at) => Math.max(1, lengthMm + uneven(at)));
  const longest = Math.max(lengthMm, ...each);
  return {
    ...base,
    strength,
    carried,
    used: worst / strength.allowedN,
    placed: places.map((at, i): PlacedDowel => {
      const hindrance = byHand ? hinders(at) : null;
      return {
        at,
        lengthMm: dowels.cut === 'longest' ? longest : each[i]!,
        restN: carried.restN[i]!,
        worstN: carried.worstN[i]!,
        used: carried.worstN[i]! / strength.allowedN,
        hindrance,
        nearest: hindrance === null ? null : nearestRoom(at, hinders),
      };
    }),
    without: places.map((_, i) => {
      const others = places.filter((_other, k) => k !== i);
      const left = carriedBy(others, load, [{ name: 'at rest', times: 1, lean: 0 }]);
      // on the very edge it stands in theory only
      const stands = left.stands && edgeDistanceMm(others, load.at) > 1;
      return { stands, used: Math.max(0, ...left.worstN) / strength.allowedN };
    }),
    bend: card && places.length > 1 ? bendUnder(places, base, card) : null,
  };
}

function placesOf(
  dowels: Dowels,
  { load: exact, outline, outlineAt, fewest }: Lift,
  around: DowelRoom & { carveKey: string | null },
  outerMm: number,
  allowedN: number,
  hinders: (p: Point) => Hindrance | null,
  cases: readonly LoadCase[],
): Point[] {
  if (dowels.spots.length > 0) return dowels.spots.map(([x, y]) => ({ x, y }));
  const load = roundedUp(exact);
  // the sections of a carved tier are named by its question
  const key = JSON.stringify([
    { ...around, sections: [] },
    outerMm,
    dowels.count,
    fewest,
    Math.floor(allowedN * 10),
    load,
    cases,
  ]);
  const far = Math.max(widthMm(outline), depthMm(outline)) / 2 + Math.hypot(load.at.x, load.at.y);
  const middles = [load.at];
  if (Math.hypot(load.at.x - outlineAt.x, load.at.y - outlineAt.y) > 2) middles.push(outlineAt);
  return knownPlaces.of(key, () => {
    const found =
      dowels.count === null
        ? placeEnough(fewest, allowedN, middles, far, load, cases, hinders)
        : placeRing(dowels.count, middles, far, load, cases, hinders);
    return found ?? [];
  });
}

/** The load that a ring is laid out for: a little more, so that it stays where it is while a filling is thickened. */
const roundedUp = ({ weightN, at, upMm }: Load): Load => ({
  weightN: Math.ceil(weightN * 2) / 2,
  at: { x: Math.round(at.x), y: Math.round(at.y) },
  upMm: Math.ceil(upMm / 5) * 5,
});

const knownPlaces = new Remembered<Point[]>(200);

function bendUnder(places: readonly Point[], lift: Lift, card: Card): Bend {
  const area = areaMm2(lift.outline);
  return bendOf(
    places,
    rimAt(lift.outline, lift.outlineAt),
    (lift.load.weightN / area) * 1e6,
    boardMaterialRows[card.material].modulusGPa,
    card.thicknessMm,
  );
}

/** Level sections that a dowel between two heights must stay inside of, where a tier is carved. */
const sectionsOf = ({ carve }: TierPlan, fromMm: number, toMm: number): Lines[] =>
  (carve?.result?.guides ?? [])
    .filter((guide) => guide.upMm >= fromMm - 1 && guide.upMm <= toMm + 1)
    .map((guide) => guide.lines)
    .filter((lines) => lines.length > 0);

const picksOf = ({ finish }: TierPlan): Point[] =>
  finish.toppings.flatMap(({ topping, places }) => (topping.pick === 'none' ? [] : places));

/** A place for one dowel more: the widest room between two neighbours on the round, or the middle. */
export function nearestFreeOf({ placed, load }: Lift): Point {
  const middle = load.at;
  if (placed.length < 2) return { x: middle.x + (placed.length > 0 ? 30 : 0), y: middle.y };
  const round = placed
    .map(({ at }) => ({
      angle: Math.atan2(at.y - middle.y, at.x - middle.x),
      out: Math.hypot(at.x - middle.x, at.y - middle.y),
    }))
    .sort((a, b) => a.angle - b.angle);
  let best = { room: -1, angle: 0, out: 0 };
  round.forEach((one, i) => {
    const next = round[(i + 1) % round.length]!;
    const room = (next.angle - one.angle + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
    const out = Math.min(one.out, next.out);
    if (room > best.room + 1e-6) best = { room, angle: one.angle + room / 2, out };
  });
  return {
    x: middle.x + best.out * Math.cos(best.angle),
    y: middle.y + best.out * Math.sin(best.angle),
  };
}
