import type { Rim } from '../mould/rim.ts';
import { deckKey } from '../document/deck-key.ts';
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
import type { Board, Look, Spread, Sponge, Tone } from '../pantry/types.ts';
import type { FinishPlan } from '../finish/finish-plan.ts';
import { feetOf } from '../stack/feet.ts';
import type { StackPlan } from '../stack/stack.ts';
import { Known } from '../working/known.ts';
import type { PartKind, Section, SectionPart } from './parts.ts';
import { boxOfLines, carvedShapes, spanAt } from './carved-parts.ts';
import { downWall, holeLines, isUpright, overRing, withinWall } from './mould-parts.ts';
import { pileStripes } from './pile-parts.ts';
import { finishShapes, veilShape, type PipedTone } from './finish-parts.ts';
import { word } from '../units/value-words.ts';

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

const drawnKnown = new Known<FinishPlan, { parts: SectionPart[]; finish: SectionPart[] }>(2);

/** The section of the whole cake, true to scale, tiers standing on each other. */
export function drawSection(
  tiers: readonly TierDrawing[],
  board: Board | null,
  piping: readonly PipedTone[],
): Section {
  const parts: SectionPart[] = [];
  const boardMm = board?.thicknessMm ?? 0;
  let halfWidthMm = 0;
  if (board) {
    halfWidthMm = widthMm(board.outline) / 2;
    parts.push({
      id: 'board',
      kind: 'board',
      tierId: null,
      label: board.name,
      tone: 'board',
      x0: -halfWidthMm,
      x1: halfWidthMm,
      y0: -boardMm,
      y1: 0,
    });
  }
  const feet = feetOf(
    tiers.map(({ tier }) => tier),
    tiers.map(({ stack }) => stack.finishedMm),
  );
  const spans: Section['tiers'] = [];
  const finishes: SectionPart[] = [];
  tiers.forEach((drawing, i) => {
    const { upMm: base, x } = feet[i]!;
    const aside = (part: SectionPart): SectionPart => (x === 0 ? part : movedAside(part, x));
    const { cardMm } = feet[i]!;
    const { others, fillings, betweens, ...single } = drawing;
    const drawn = drawnKnown.of(
      drawing.finish,
      [
        ...[base, x, cardMm, ...Object.values(single), ...others, ...fillings, ...betweens],
        ...piping.flatMap(({ job, tone }, at) =>
          job.piped?.tierId === drawing.tier.id ? [job, tone, at] : [],
        ),
      ],
      () => {
        const shapes = carvedParts(drawing, base) ?? tierParts(drawing, base);
        return {
          parts: [...shapes, ...boardParts(drawing, base, cardMm)].map(aside),
          finish: finishParts(drawing, base, piping).map(aside),
        };
      },
    );
    parts.push(...drawn.parts);
    finishes.push(...drawn.finish);
    const toMm = base + drawing.stack.finishedMm;
    const wide = widthMm(drawing.finished);
    spans.push({ tierId: drawing.tier.id, fromMm: base, toMm, widthMm: wide, atMm: x });
    halfWidthMm = Math.max(halfWidthMm, wide / 2 + Math.abs(x));
  });
  const heightMm = spans.at(-1)!.toMm;
  // a border at the foot of a tier stands on the one below, in front of both
  const all = [...parts, ...finishes];
  return {
    parts: all,
    tiers: spans,
    halfWidthMm: Math.max(halfWidthMm, ...finishes.map((part) => part.x1)),
    heightMm,
    topMm: Math.max(heightMm, ...all.map((part) => part.y1)),
    boardMm,
  };
}

/** The same part of a tier that stands off the axis. */
const movedAside = (part: SectionPart, x: number): SectionPart => ({
  ...part,
  ...(part.lines
    ? { lines: part.lines.map((line) => line.map(([px, py]): [number, number] => [px + x, py])) }
    : {}),
  x0: part.x0 + x,
  x1: part.x1 + x,
});

/** The board a tier stands on, and those half-way up. */
function boardParts(
  { tier, stack, carve }: TierDrawing,
  base: number,
  cardMm: number,
): SectionPart[] {
  const half = widthMm(tier.outline) / 2;
  const lines = carve?.result?.sectionLines;
  const part = (
    id: string,
    label: string,
    y0: number,
    y1: number,
    [x0, x1]: [number, number] = [-half, half],
  ): SectionPart => ({
    id,
    kind: 'card',
    tierId: tier.id,
    label,
    tone: 'board',
    x0,
    x1,
    y0,
    y1,
  });
  return [
    ...(base > cardMm ? [part(`${tier.id}/card`, `${tier.name}’s board`, cardMm, base)] : []),
    ...stack.decks.map(({ fromMm, toMm }, i) =>
      part(
        deckKey(tier, i),
        `board ${i + 1} half-way up`,
        base + fromMm,
        base + toMm,
        lines ? spanAt(lines, toMm) : undefined,
      ),
    ),
  ];
}

/** A carved tier as the knife left it; null where it is not carved, or not yet worked out. */
function carvedParts(
  { tier, carve, sponge, others, fillings, coatSpread, centreSpread, colours }: TierDrawing,
  base: number,
): SectionPart[] | null {
  if (!carve?.result) return null;
  const toneOf = (part: string): Look => {
    const [kind, n] = part.split('/');
    if (kind === 'gap')
      return lookOf(
        colours,
        tier.gaps[Number(n)]?.tint ?? '',
        fillings[Number(n)]?.tone ?? 'cream',
      );
    if (kind === 'centre') return centreSpread?.tone ?? 'berry';
    return (
      others.find((other) => other.index === Number(n))?.row.tone ??
      lookOf(colours, bakedTint(tier, Number(n)), sponge?.tone ?? 'butter')
    );
  };
  return carvedShapes(
    carve.result,
    carve.question.cover,
    lookOf(colours, tier.fondant?.tint ?? tier.coat.tint, coatSpread?.tone ?? 'ivory'),
    toneOf,
  ).flatMap(({ id, kind, label, tone, lines }): SectionPart[] => {
    if (lines.length === 0) return [];
    const { x, y } = boxOfLines(lines);
    return [
      {
        id: `${tier.id}/${id}`,
        kind,
        tierId: tier.id,
        label,
        tone,
        lines: lines.map((line) => line.map(([px, py]): [number, number] => [px, base + py])),
        x0: x[0],
        x1: x[1],
        y0: base + y[0],
        y1: base + y[1],
      },
    ];
  });
}

function finishParts(
  { tier, stack, finished, rim, mould, finish, dripTone, colours }: TierDrawing,
  base: number,
  piping: readonly PipedTone[],
): SectionPart[] {
  const parts = finishShapes(
    tier.id,
    finish,
    finished,
    rim,
    stack.finishedMm,
    piping,
    dripTone,
    tier.drip?.floodMm ?? 0,
    colours,
  ).map(({ id, kind, label, tone, drip, x, y }): SectionPart => ({
    id: `${tier.id}/${id}`,
    kind,
    tierId: tier.id,
    label,
    tone,
    ...(drip === undefined ? {} : { drip }),
    x0: x[0],
    x1: x[1],
    y0: base + y[0],
    y1: base + y[1],
  }));
  return mould && !isUpright(mould)
    ? parts.map((part) => onWall(part, tier, mould, finished, base))
    : parts;
}

/** What runs over the top of a shaped tier and down its side, as it lies on its wall. */
function onWall(
  part: SectionPart,
  { outline }: Tier,
  mould: MouldShape,
  finished: Outline,
  base: number,
): SectionPart {
  const up: [number, number] = [part.y0 - base, part.y1 - base];
  if (part.kind === 'flood')
    return outline.kind === 'ring'
      ? { ...part, lines: overRing(mould, up, base) }
      : withinWall([part], mould, base, widthMm(outline) / 2)[0]!;
  if (part.kind !== 'drip') return part;
  const coatMm = (widthMm(finished) - widthMm(outline)) / 2;
  const lines = [downWall(mould, up, part.x1 - part.x0, coatMm, part.x0 < 0 ? -1 : 1, base)];
  return { ...part, lines };
}

/** A hole is drawn so far over the coat round it, mm. */
const overHoleMm = 3;

function tierParts(
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
