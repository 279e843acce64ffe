import { lookOf, sideStripes } from '../colour/colour.ts';
import type { Build, Tier } from '../document/types.ts';
import { topSeen } from '../elevation/elevation.ts';
import { coarse, grow, widthMm, type Outline, type Point } from '../outline/outline.ts';
import { foodOf } from '../pantry/find.ts';
import type { Look, Pantry } from '../pantry/types.ts';
import type { CakePlan } from '../plan/plan-types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { toneOfPoured } from '../section/finish-parts.ts';
import type { SectionPart } from '../section/parts.ts';
import type { Foot } from '../stack/feet.ts';
import { valueOf } from '../working/staged.ts';
import { movedBy, slicesBetween, upright, type Ring } from './slices.ts';
import { raised, regionOf, tierRings } from './tier-rings.ts';
import type { PictureBody, BodyKind, Region, Slice } from './types.ts';

/** A tier with all that its bodies are made of. */
export interface TierScene {
  build: Build;
  tier: Tier;
  plan: TierPlan;
  cake: CakePlan;
  pantry: Pantry;
  foot: Foot;
  fromMm: number;
  toMm: number;
}

const insideKinds = {
  layer: 'layer',
  gap: 'filling',
  dam: 'dam',
  centre: 'filling',
  between: 'filling',
  inset: 'layer',
} as const satisfies Partial<Record<SectionPart['kind'], BodyKind>>;
const isInside = (kind: SectionPart['kind']): kind is keyof typeof insideKinds =>
  kind in insideKinds;

/** A tier's outline so much larger or smaller that it is as wide as a part of the section. */
const asWideAs = (outline: Outline, halfMm: number): Outline | null =>
  grow(coarse(outline), halfMm - widthMm(outline) / 2);

/**
 * What lies inside a tier, from the section: layers, fillings, dams, each where the cut shows it. `step` counts
 * on from layer to layer.
 */
export function insideOf(
  scene: TierScene,
  step: number,
): { bodies: PictureBody[]; steps: string[] } {
  const { tier, plan, cake, foot, fromMm, toMm } = scene;
  const axis: Point = foot;
  const own = cake.section.parts.filter(({ tierId, kind }) => tierId === tier.id && isInside(kind));
  // the left half is the right one seen in the mirror
  const seen = own
    .filter(({ id }) => !id.endsWith('-left') && !id.endsWith('/left'))
    .sort((a, b) => a.y0 - b.y0);
  const rings = plan.mould
    ? raised(tierRings(tier, plan, tier.outline, toMm - fromMm), axis, fromMm)
    : null;
  const bodies: PictureBody[] = [];
  const steps: string[] = [];
  for (const part of seen) {
    const kind = part.kind as keyof typeof insideKinds;
    // a gap and its dam are one step, and go by the gap
    if (kind === 'layer' || kind === 'gap') steps.push(part.label);
    const slices = slicesOf(part, tier.outline, axis, kind, rings);
    if (slices.length === 0) continue;
    bodies.push({
      part: part.id,
      tierId: tier.id,
      kind: insideKinds[kind],
      label: part.label,
      look: part.tone,
      slices,
      step: step + Math.max(1, steps.length),
      inside: true,
    });
  }
  return { bodies, steps };
}

function slicesOf(
  part: SectionPart,
  outline: Outline,
  axis: Point,
  kind: keyof typeof insideKinds,
  rings: readonly Ring[] | null,
): Slice[] {
  const [inner, outer] = [part.x0 - axis.x, part.x1 - axis.x];
  if (rings && (kind === 'layer' || kind === 'gap')) return slicesBetween(rings, part.y0, part.y1);
  const rim =
    kind === 'centre' || kind === 'inset' ? roundOr(outline, outer) : asWideAs(outline, outer);
  if (!rim) return [];
  const region = regionOf(rim);
  const hole = kind === 'dam' && inner > 0 ? asWideAs(outline, inner) : null;
  const all: Region = hole
    ? [...region, ...regionOf(hole).map((line) => [...line].reverse())]
    : region;
  return upright(movedBy(all, axis), part.y0, part.y1);
}
/** What is cut out of the middle is as the tier is where that is round, else as wide as it is seen. */
const roundOr = (outline: Outline, halfMm: number): Outline | null =>
  outline.kind === 'round' || halfMm < widthMm(outline) / 4
    ? { kind: 'round', diameterMm: 2 * halfMm }
    : asWideAs(outline, halfMm);

/** What is seen of a tier from outside, from the foot up: its colours, its bare layers, what is poured or laid over it. */
export function outsideOf(scene: TierScene, step: number): PictureBody[] {
  const { build, tier, plan, cake, pantry, foot, fromMm, toMm } = scene;
  const high = toMm - fromMm;
  const toneOf = (id: string): Look => pantry.spreads.find((row) => row.id === id)?.tone ?? 'ivory';
  const pour = valueOf(plan.finish.pour);
  const coat = tier.fondant ? 'ivory' : toneOf(tier.coat.spreadId);
  const stripes = sideStripes(tier, build.colours, coat);
  const topLook = topSeen(tier, plan, build.colours, pantry);
  const rings = raised(tierRings(tier, plan, plan.finished, high), foot, fromMm);
  const kind: BodyKind = tier.fondant ? 'cover' : 'coat';
  const body = (
    from: number,
    to: number,
    look: Look,
    more: Partial<PictureBody> = {},
  ): PictureBody => ({
    part: `${tier.id}/coat`,
    tierId: tier.id,
    kind,
    label: tier.name,
    look,
    topLook,
    slices: slicesBetween(rings, from, to),
    step,
    inside: false,
    ...more,
  });
  const veil = valueOf(plan.coat);
  const isBare =
    (tier.coat.style === 'naked' || tier.coat.style === 'semi-naked') && !tier.fondant && !pour;
  if (isBare) {
    const layers = cake.section.parts.filter(
      (part) => part.tierId === tier.id && (part.kind === 'layer' || part.kind === 'gap'),
    );
    const dams = new Map(
      cake.section.parts.flatMap((one) =>
        one.kind === 'dam' ? [[one.id, one.tone] as const] : [],
      ),
    );
    const thin = veil && veil.cover > 0 ? { look: stripes[0]!.look, cover: veil.cover } : null;
    const seen = layers
      .map((one) => ({ ...one, tone: (dams.get(`${one.id}/dam-right`) ?? one.tone) as Look }))
      .sort((a, b) => a.y0 - b.y0);
    return seen.map((one, i) =>
      body(i === 0 ? fromMm : seen[i - 1]!.y1, i === seen.length - 1 ? toMm : one.y1, one.tone, {
        part: one.id,
        kind: 'thin coat',
        label: one.label,
        ...(thin ? { veil: thin } : {}),
      }),
    );
  }
  if (pour) {
    const look = lookOf(build.colours, tier.pour?.tint ?? '', toneOfPoured(pour.row, pantry.foods));
    const wider = grow(coarse(plan.finished), pour.veilMm) ?? plan.finished;
    const over = raised(tierRings(tier, plan, wider, high + pour.veilMm), foot, fromMm);
    return [
      body(fromMm, toMm, look, {
        part: `${tier.id}/pour`,
        kind: 'poured',
        label: 'poured coat',
        topLook: look,
        slices: slicesBetween(over, fromMm, toMm + pour.veilMm),
      }),
    ];
  }
  return stripes.map((stripe) =>
    body(fromMm + stripe.from * high, fromMm + stripe.to * high, stripe.look, {
      label: stripe.label || tier.name,
      part: stripes.length > 1 ? `${tier.id}/coat/${stripe.band}` : `${tier.id}/coat`,
    }),
  );
}

/** Ganache over the top, and ribbons round the side. */
export function overOf(
  scene: TierScene,
  floodStep: number,
  ribbonStep: (i: number) => number,
): PictureBody[] {
  const { build, tier, plan, pantry, foot, fromMm, toMm } = scene;
  const bodies: PictureBody[] = [];
  const drip = valueOf(plan.finish.drip);
  const floodMm = drip ? (tier.drip?.floodMm ?? 0) : 0;
  if (drip && floodMm > 0 && plan.rim.downMm === 0) {
    const region = movedBy(regionOf(plan.rim.outline), foot);
    bodies.push({
      part: `${tier.id}/flood`,
      tierId: tier.id,
      kind: 'flood',
      label: 'flood on top',
      look: lookOf(build.colours, tier.drip?.tint ?? '', toneOfPoured(drip.row, pantry.foods)),
      slices: upright(region, toMm - 1, toMm + floodMm),
      step: floodStep,
      inside: false,
    });
  }
  plan.finish.toppings.forEach(({ topping }, i) => {
    if (topping.kind !== 'ribbon') return;
    const around = grow(
      coarse(plan.finished),
      topping.highMm > 0 ? Math.min(2, topping.highMm) : 0.6,
    );
    if (!around) return;
    const low = fromMm + (topping.side?.upMm ?? 0);
    bodies.push({
      part: `${tier.id}/topping/${i}`,
      tierId: tier.id,
      kind: 'ribbon',
      label: topping.name,
      look: lookOf(build.colours, topping.tint, topping.tone),
      slices: upright(movedBy(regionOf(around), foot), low, Math.min(toMm, low + topping.acrossMm)),
      step: ribbonStep(i),
      inside: false,
    });
  });
  return bodies;
}

/** The board, the boards and posts between tiers, and the dowels in them. */
export function underOf(
  cake: CakePlan,
  build: Build,
  feet: readonly Foot[],
  stepOf: (tier: number) => number,
): PictureBody[] {
  const bodies: PictureBody[] = [];
  const { board } = cake;
  if (board)
    bodies.push({
      part: 'board',
      tierId: null,
      kind: 'board',
      label: board.name,
      look: 'board',
      slices: upright(regionOf(board.outline), -board.thicknessMm, 0),
      step: 0,
      inside: false,
    });
  build.tiers.forEach((tier, i) => {
    const foot = feet[i]!;
    if (i === 0 || !tier.stand.card) return;
    bodies.push({
      part: `${tier.id}/card`,
      tierId: tier.id,
      kind: 'card',
      label: 'board',
      look: 'board',
      slices: upright(movedBy(regionOf(tier.outline), foot), foot.cardMm, foot.upMm),
      step: stepOf(i),
      inside: false,
    });
  });
  for (const lift of cake.support?.lifts ?? []) {
    const below = feet[lift.tierIndex]!;
    const radiusMm = (lift.row?.outerMm ?? 6) / 2;
    const round = regionOf({ kind: 'round', diameterMm: 2 * radiusMm });
    const above = build.tiers[lift.tierIndex + 1];
    const postMm = lift.deck === null ? (above?.stand.postMm ?? 0) : 0;
    lift.placed.forEach(({ at, lengthMm }, k) => {
      const posted = movedBy(round, { x: at.x + below.x, y: at.y + below.y });
      const cardMm = feet[lift.tierIndex + 1]?.cardMm ?? 0;
      // what stands between two tiers is seen
      if (postMm > 0)
        bodies.push({
          part: `${lift.id}/${k}`,
          tierId: above!.id,
          kind: 'post',
          label: 'post',
          look: 'wood',
          slices: upright(posted, cardMm - postMm, cardMm),
          step: stepOf(lift.tierIndex + 1),
          inside: false,
        });
      bodies.push({
        part: `${lift.id}/${k}`,
        tierId: lift.tierId,
        kind: 'dowel',
        label: 'dowel',
        look: 'wood',
        slices: upright(posted, below.upMm, below.upMm + Math.max(0, lengthMm - postMm)),
        step: stepOf(lift.tierIndex + 1),
        inside: true,
      });
    });
  }
  return bodies;
}

/** Pieces pressed to the side and top of a tier: what they are, how big, and what share they hide. */
export const pressedOf = ({ tier, pantry }: Pick<TierScene, 'tier' | 'pantry'>): Look =>
  foodOf(pantry.foods, tier.pressed!.foodId)?.piece?.tone ?? 'nut';
