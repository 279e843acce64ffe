import type { Rim } from '../mould/rim.ts';
import { bakedTint } from '../batter/batter-tints.ts';
import { lookOf, sideStripes } from '../colour/colour.ts';
import { isBare } from '../document/edit.ts';
import type { Colour, Tier } from '../document/types.ts';
import type { TierCarve } from '../carve/apply.ts';
import type { CoatPlan } from '../coat/coat.ts';
import type { CentrePlan } from '../fill/centre.ts';
import type { MouldShape } from '../mould/mould.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import { widthMm, type Outline } from '../outline/outline.ts';
import type { Look, Spread, Sponge, Tone } from '../pantry/types.ts';
import type { FinishPlan } from '../finish/finish-plan.ts';
import type { StackPlan } from '../stack/stack.ts';
import type { PartKind, SectionPart } from './parts.ts';
import { holeLines, withinWall } from './mould-parts.ts';
import { pileStripes } from './pile-parts.ts';
import { veilShape } from './finish-parts.ts';
import { word } from '../units/value-words.ts';

/** What of a planned tier is drawn. */
export interface TierDrawing {
  tier: Tier;
  stack: StackPlan;
  coat: CoatPlan | null;
  finished: Outline;
  rim: Rim;
  sponge: Sponge | null;
  coatSpread: Spread | null;
  fillings: (Spread | null)[];
  others: OtherPlan[];
  /** Hatch of what lies between the pieces of each layer that is a pile. */
  betweens: (Tone | null)[];
  centre: CentrePlan | null;
  centreSpread: Spread | null;
  finish: FinishPlan;
  carve: TierCarve | null;
  /** The mould that it comes out of. */
  mould: MouldShape | null;
  /** Hatch of what is poured or drips. */
  dripTone: Look;
  /** What names of colours stand for. */
  colours: readonly Colour[];
}

/** A hole is drawn so far over the coat round it, mm. */
const overHoleMm = 3;

/** The parts of a tier in its section: coats, layers, what lies between them, its middle; mm, from `base` up. */
export function tierParts(
  {
    tier,
    stack,
    coat,
    finished,
    sponge,
    coatSpread,
    fillings,
    others,
    betweens,
    centre,
    centreSpread,
    finish,
    mould,
    dripTone,
    colours,
  }: TierDrawing,
  base: number,
): SectionPart[] {
  const half = widthMm(tier.outline) / 2;
  const parts: SectionPart[] = [];
  const add = (
    id: string,
    kind: PartKind,
    label: string,
    tone: Look,
    [x0, x1]: [number, number],
    [y0, y1]: [number, number],
  ): void => {
    parts.push({
      id: `${tier.id}/${id}`,
      kind,
      tierId: tier.id,
      label,
      tone,
      x0,
      x1,
      y0: base + y0,
      y1: base + y1,
    });
  };
  const ownTone = coatSpread?.tone ?? 'ivory';
  const coatTone = lookOf(colours, tier.coat.tint, ownTone);
  const crumbTone =
    coat && coat.sideMm > 0 ? lookOf(colours, tier.coat.crumbTint, ownTone) : coatTone;
  for (const shape of veilShape(finish, finished, stack.finishedMm, dripTone))
    add(shape.id, shape.kind, shape.label, shape.tone, shape.x, shape.y);
  if (tier.fondant) {
    const out = widthMm(finished) / 2;
    const look = lookOf(colours, tier.fondant.tint, 'ivory');
    add('fondant', 'fondant', word('fondant'), look, [-out, out], [0, stack.finishedMm]);
  }
  if (coat && (coat.sideMm > 0 || coat.topMm > 0)) {
    const out = half + coat.crumbMm + coat.sideMm;
    add(
      'coat',
      'coat',
      word('coat'),
      coatTone,
      [-out, out],
      [0, stack.finishedMm - stack.fondantMm],
    );
  }
  if (coat && coat.sideMm > 0 && tier.coat.bands.length > 0) {
    const out = half + coat.crumbMm + coat.sideMm;
    const inside = half + coat.crumbMm;
    const high = stack.finishedMm - stack.fondantMm;
    const bands = sideStripes({ ...tier, fondant: null }, colours, ownTone);
    bands.forEach(({ from, to, look, label }, i) => {
      const y: [number, number] = [from * high, to * high];
      add(`band/${i}-left`, 'band', label, look, [-out, -inside], y);
      add(`band/${i}-right`, 'band', label, look, [inside, out], y);
    });
  }
  if (coat && coat.crumbMm > 0) {
    const out = half + coat.crumbMm;
    add(
      'crumb',
      'crumb',
      word('crumb coat'),
      crumbTone,
      [-out, out],
      [0, stack.stackMm + coat.crumbMm],
    );
  }
  add('dab', 'dab', word('dab'), coatTone, [-half, half], [0, stack.dabMm]);
  const spongeTone = sponge?.tone ?? 'butter';
  stack.gaps.forEach(({ fromMm, toMm }, i) => {
    const gap = tier.gaps[i]!;
    if (isBare(gap)) return;
    const outer = Math.max(0, half - gap.setbackMm);
    const inner = Math.max(0, outer - gap.damMm);
    const span: [number, number] = [fromMm, toMm];
    // on a naked side what is kept short of the edge stays empty
    if (gap.setbackMm > 0 && (!coat || coat.crumbMm + coat.sideMm === 0)) {
      add(`gap/${i}/dam-open`, 'dam', `open edge ${i + 1}`, coatTone, [-half, half], span);
      parts.at(-1)!.tone = 'paper';
    }
    if (gap.damMm > 0) {
      add(`gap/${i}/dam-left`, 'dam', `dam ${i + 1}`, coatTone, [-outer, -inner], span);
      add(`gap/${i}/dam-right`, 'dam', `dam ${i + 1}`, coatTone, [inner, outer], span);
    }
    add(
      `gap/${i}`,
      'gap',
      `filling ${i + 1}`,
      lookOf(colours, gap.tint, fillings[i]?.tone ?? 'cream'),
      [-inner, inner],
      span,
    );
  });
  stack.layers.forEach(({ fromMm, toMm, crownUpMm, crownDownMm }, i) => {
    const other = others.find((o) => o.index === i);
    const tone = other?.row.tone ?? lookOf(colours, bakedTint(tier, i), spongeTone);
    const label = `layer ${i + 1}`;
    add(`layer/${i}`, 'layer', label, tone, [-half, half], [fromMm, toMm]);
    if (crownUpMm > 0) {
      add(`layer/${i}/crown`, 'crown', label, tone, [-half, half], [toMm, toMm + crownUpMm]);
      parts.at(-1)!.arc = 'up';
    }
    if (crownDownMm > 0) {
      add(`layer/${i}/crown`, 'crown', label, tone, [-half, half], [fromMm - crownDownMm, fromMm]);
      parts.at(-1)!.arc = 'down';
    }
    if (other?.isPile)
      pileStripes(tier.layers[i]!, other).forEach((stripe, n) => {
        const y: [number, number] = [fromMm + stripe.fromMm, fromMm + stripe.toMm];
        add(`layer/${i}/between-${n}`, 'between', label, betweens[i] ?? tone, [-half, half], y);
        if (!stripe.isFilled) parts.at(-1)!.tone = 'paper';
      });
    for (const { placed, row } of other?.insets ?? []) {
      const wide = widthMm(placed!.outline) / 2;
      const y: [number, number] = [fromMm + placed!.fromMm, fromMm + placed!.toMm];
      const name = row.name.toLowerCase();
      add(`layer/${i}/inset-${placed!.inset.id}`, 'inset', name, row.tone, [-wide, wide], y);
    }
  });
  if (tier.centre && centre) {
    const wide = widthMm(tier.centre.outline) / 2;
    const span: [number, number] = [
      stack.layers[tier.centre.fromLayer]!.fromMm,
      stack.layers[tier.centre.toLayer]!.toMm,
    ];
    add(
      'centre',
      'centre',
      word('hidden centre'),
      centreSpread?.tone ?? 'berry',
      [-wide, wide],
      span,
    );
  }
  if (tier.outline.kind === 'ring') {
    const hole = finished.kind === 'ring' ? finished.holeMm / 2 : 0;
    add('hole', 'hole', 'hole of the ring', 'cream', [-hole, hole], [0, stack.finishedMm]);
    parts.at(-1)!.tone = 'paper';
    // no lid over it: the coat ends at its edge
    if (mould)
      parts.at(-1)!.lines = holeLines(
        mould,
        stack.finishedMm + (coat && coat.topMm + coat.crumbMm > 0 ? overHoleMm : 0),
        base,
      );
  }
  return withinWall(parts, mould, base, half);
}
