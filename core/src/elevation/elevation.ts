import { mouldOutlineAt } from '../mould/mould.ts';
import { downAt } from '../mould/rim.ts';
import { flutesSeen, valleysSeen } from '../tins/flutes.ts';
import { lookOf, sideStripes, toppingLook, topLook } from '../colour/colour.ts';
import type { Build, Colour, Tier } from '../document/types.ts';
import type { Lines } from '../carve/result.ts';
import { insetOf } from '../carve/stock.ts';
import { grownLines } from '../section/carved-parts.ts';
import type { Flutes, Pantry, Look } from '../pantry/types.ts';
import { coarse, grow, widthMm } from '../outline/outline.ts';
import { placesAlong } from '../piping/shapes.ts';
import { addPiped } from './piped.ts';
import { fromBehind, seenFrom } from './seen.ts';
import type { ShapePlan } from '../plan/shape-plan.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { foodOf } from '../pantry/find.ts';
import { toneOfPoured } from '../section/finish-parts.ts';
import type { SectionPart } from '../section/parts.ts';
import { withinWall } from '../section/mould-parts.ts';
import { sideSeen } from '../toppings/side.ts';
import { valueOf } from '../working/staged.ts';
import { word } from '../units/value-words.ts';

/** One shape of the cake as it is seen from the front; x from its axis, y up from the board, mm. */
export interface ElevationShape {
  id: string;
  kind: 'board' | 'side' | 'veil' | 'band' | 'flute' | 'flood' | 'drip' | 'piping' | 'topping';
  tierId: string | null;
  label: string;
  tone: SectionPart['tone'];
  /** Which drip along the rim it is. */
  drip?: number;
  /** Share of what is behind it that it hides; all of it where nothing is said. */
  cover?: number;
  /** Closed lines of what is no rectangle; the box is round them. */
  lines?: Lines;
  x0: number;
  x1: number;
  y0: number;
  y1: number;
}

export interface Elevation {
  shapes: ElevationShape[];
  halfWidthMm: number;
  heightMm: number;
  boardMm: number;
}

/**
 * The cake as it is seen from the front, true to scale: sides in their colours, drips at the lengths
 * the flow gives them, borders and toppings where they sit. Pure; drawn from a plan.
 */
export function drawElevation(build: Build, plan: ShapePlan, pantry: Pantry): Elevation {
  const shapes: ElevationShape[] = [];
  const boardMm = plan.board?.thicknessMm ?? 0;
  let half = 0;
  const add = (
    tierId: string | null,
    id: string,
    kind: ElevationShape['kind'],
    label: string,
    tone: ElevationShape['tone'],
    [x0, x1]: [number, number],
    [y0, y1]: [number, number],
  ): void => {
    shapes.push({ id: tierId ? `${tierId}/${id}` : id, kind, tierId, label, tone, x0, x1, y0, y1 });
    half = Math.max(half, x1, -x0);
  };
  if (plan.board) {
    const wide = widthMm(plan.board.outline) / 2;
    add(null, 'board', 'board', plan.board.name, 'board', [-wide, wide], [-boardMm, 0]);
  }
  const toneOfSpread = (id: string): Look =>
    pantry.spreads.find((row) => row.id === id)?.tone ?? 'ivory';
  plan.tiers.forEach((tierPlan, t) => {
    const tier = build.tiers[t]!;
    const from = plan.section.tiers[t]!.fromMm;
    const to = plan.section.tiers[t]!.toMm;
    const high = to - from;
    const wide = widthMm(tierPlan.finished) / 2;
    const coat = tier.fondant ? 'ivory' : toneOfSpread(tier.coat.spreadId);
    const stripes = sideStripes(tier, build.colours, coat);
    const { finish } = tierPlan;
    const drip = valueOf(finish.drip);
    const pour = valueOf(finish.pour);
    add(tier.id, 'coat', 'side', tier.name, stripes[0]!.look, [-wide, wide], [from, to]);
    const result = tierPlan.carve?.result;
    if (result && tierPlan.carve) {
      const outer = grownLines(result.front, insetOf(tierPlan.carve.question.cover));
      shapes.at(-1)!.lines = outer.map((line) =>
        line.map(([x, y]): [number, number] => [x, from + y]),
      );
    }
    // a carved side is in one colour: its bands follow no straight line
    if (!result && stripes.length > 1)
      stripes.forEach((stripe, i) =>
        add(
          tier.id,
          `band/${i}`,
          'band',
          stripe.label,
          stripe.look,
          [-wide, wide],
          [from + stripe.from * high, from + stripe.to * high],
        ),
      );
    const bare = valueOf(tierPlan.coat);
    const shows = tier.coat.style === 'naked' || tier.coat.style === 'semi-naked';
    if (!result && shows && !tier.fondant && !pour) {
      for (const { name, tone, y } of seenLayers(plan, tier.id))
        add(tier.id, `seen/${name}`, 'band', name, tone, [-wide, wide], y);
      if (bare && bare.cover > 0) {
        add(tier.id, 'veil', 'band', 'thin coat', stripes[0]!.look, [-wide, wide], [from, to]);
        shapes.at(-1)!.cover = bare.cover;
      }
    }
    if (!result && tier.pressed && !tier.fondant) {
      const { name, foodId, bandMm, cover } = tier.pressed;
      const look = foodOf(pantry.foods, foodId)?.piece?.tone ?? 'nut';
      const top = Math.min(to, from + (bandMm ?? high));
      add(tier.id, 'pressed', 'band', name, look, [-wide, wide], [from, top]);
      shapes.at(-1)!.cover = cover;
    }
    if (pour)
      add(
        tier.id,
        'pour',
        'veil',
        'poured coat',
        lookOf(build.colours, tier.pour?.tint ?? '', toneOfPoured(pour.row, pantry.foods)),
        [-wide - pour.veilMm, wide + pour.veilMm],
        [from, to + Math.min(3, 2 * pour.veilMm)],
      );
    const first = shapes.findIndex(({ tierId }) => tierId === tier.id);
    const half0 = widthMm(tier.outline) / 2;
    shapes.push(...withinWall(shapes.splice(first), tierPlan.mould, from, half0));
    const flutes = flutesOf(tier, tierPlan);
    if (flutes)
      valleysSeen(flutes).forEach((share, k) => {
        add(tier.id, `flute/${k}`, 'flute', word('flute'), stripes[0]!.look, [share * wide, share * wide], [from, to]); // prettier-ignore
        shapes.at(-1)!.lines = [valleyLine(tierPlan.mould!, share, from, high)];
      });
    const flood = drip ? (tier.drip?.floodMm ?? 0) : 0;
    const rimMm = to - tierPlan.rim.downMm;
    if (drip) {
      const tone = lookOf(
        build.colours,
        tier.drip?.tint ?? '',
        toneOfPoured(drip.row, pantry.foods),
      );
      const out = widthMm(tierPlan.rim.outline) / 2;
      add(
        tier.id,
        'flood',
        'flood',
        word('rim'),
        tone,
        [-out, out],
        [rimMm - 2, to + Math.max(1, flood)],
      );
      shapes.push(...withinWall(shapes.splice(-1), tierPlan.mould, from, half0));
      for (const { i, x, facing } of seenFrom(placesAlong(tierPlan.rim.outline, drip.count))) {
        const w = (drip.spec.widthMm / 2) * facing;
        const { lengthMm } = drip.drips[i]!;
        add(
          tier.id,
          `drip/${i}`,
          'drip',
          `drip ${i + 1}`,
          tone,
          [x - w, x + w],
          [rimMm - lengthMm, rimMm],
        );
        shapes.at(-1)!.drip = i;
      }
    }
    addPiped(plan, build, tier.id, from, high, add, toneOfSpread);
    finish.toppings.forEach(({ topping, places, lies, onSide }, i) => {
      const look = toppingLook(topping, build.colours);
      const r = topping.acrossMm / 2;
      const foot = to + flood;
      const put = (id: string, x: number, downMm: number): void =>
        add(
          tier.id,
          `topping/${i}/${id}`,
          'topping',
          topping.name,
          look,
          [x - r, x + r],
          [foot - downMm, foot - downMm + topping.highMm],
        );
      if (topping.kind === 'heap') put('heap', 0, 0);
      const ring =
        topping.kind === 'wreath'
          ? grow(coarse(tierPlan.rim.outline), -(topping.insetMm + r))
          : null;
      const downMm = ring ? downAt(tierPlan.rim, widthMm(ring) / 2) : 0;
      if (ring)
        add(
          tier.id,
          `topping/${i}/wreath`,
          'topping',
          topping.name,
          look,
          [-widthMm(ring) / 2 - r, widthMm(ring) / 2 + r],
          [foot - downMm, foot - downMm + topping.highMm],
        );
      if (onSide) {
        for (const { i: k, x, facing } of sideSeen(tierPlan.finished, onSide.shares)) {
          // seen edge-on towards the edge: as wide as it stands out
          const w = r * facing + (topping.highMm / 2) * (1 - facing);
          const y = from + onSide.upsMm[k]!;
          add(tier.id, `topping/${i}/${k}`, 'topping', topping.name, look, [x - w, x + w], [y - r, y + r]); // prettier-ignore
        }
        return;
      }
      if (topping.kind === 'ribbon') {
        const foot = from + (topping.side?.upMm ?? 0);
        add(tier.id, `topping/${i}/ribbon`, 'band', topping.name, look, [-wide, wide], [foot, Math.min(to, foot + topping.acrossMm)]); // prettier-ignore
        return;
      }
      const placed = places.map((place, k) => ({ ...place, downMm: lies[k]?.downMm ?? 0 }));
      for (const [k, place] of fromBehind(placed).entries()) put(String(k), place.x, place.downMm);
    });
  });
  return {
    shapes,
    halfWidthMm: half,
    heightMm: Math.max(...shapes.map((shape) => shape.y1)),
    boardMm,
  };
}

/** The waves of the wall that shaped a tier, where its coat still shows them. */
export const flutesOf = (
  tier: Pick<Tier, 'fondant'>,
  { mould, coat, carve }: Pick<TierPlan, 'mould' | 'coat' | 'carve'>,
): Flutes | null => {
  const over = valueOf(coat);
  return mould && !tier.fondant && !carve?.result
    ? flutesSeen(mould.tin.flutes ?? null, over ? over.crumbMm + over.sideMm : 0)
    : null;
};

/** One valley from the foot to the top along the wall, there and back: a line, and no area. */
function valleyLine(
  mould: NonNullable<TierPlan['mould']>,
  share: number,
  from: number,
  high: number,
): [number, number][] {
  const steps = 16;
  const up = Array.from({ length: steps + 1 }, (_, i): [number, number] => {
    const z = (high * i) / steps;
    return [(share * widthMm(mouldOutlineAt(mould, z))) / 2, from + z];
  });
  return [...up, ...[...up].reverse()];
}

/** Layers and fillings of a tier as they are seen at its side: where a dam closes one, the dam. */
function seenLayers(
  { section }: ShapePlan,
  tierId: string,
): { name: string; tone: ElevationShape['tone']; y: [number, number] }[] {
  const own = section.parts.filter((part) => part.tierId === tierId);
  return own.flatMap(({ id, kind, label, tone, y0, y1 }) => {
    if (kind !== 'layer' && kind !== 'gap') return [];
    const dam = own.find((part) => part.id === `${id}/dam-right`);
    return [{ name: label, tone: dam?.tone ?? tone, y: [y0, y1] as [number, number] }];
  });
}

/** How the top of a tier looks: what was poured or flooded over it, else its cover or its coat. */
export function topSeen(
  tier: Tier,
  { finish }: Pick<TierPlan, 'finish'>,
  colours: readonly Colour[],
  pantry: Pick<Pantry, 'spreads' | 'foods'>,
): Look {
  const drip = tier.drip && tier.drip.floodMm > 0 ? valueOf(finish.drip) : null;
  const poured = drip ?? valueOf(finish.pour);
  if (poured)
    return lookOf(
      colours,
      (drip ? tier.drip : tier.pour)?.tint ?? '',
      toneOfPoured(poured.row, pantry.foods),
    );
  const spreadId = tier.coat.topSpreadId ?? tier.coat.spreadId;
  const tone = pantry.spreads.find(({ id }) => id === spreadId)?.tone ?? 'ivory';
  return topLook(tier, colours, tone);
}
