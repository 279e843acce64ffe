import { deckKey } from '../document/deck-key.ts';
import { bakedTint } from '../batter/batter-tints.ts';
import { lookOf } from '../colour/colour.ts';
import type { Tier } from '../document/types.ts';
import type { MouldShape } from '../mould/mould.ts';
import { widthMm, type Outline } from '../outline/outline.ts';
import type { Board, Look } from '../pantry/types.ts';
import type { FinishPlan } from '../finish/finish-plan.ts';
import { feetOf } from '../stack/feet.ts';
import { Known } from '../working/known.ts';
import type { Section, SectionPart } from './parts.ts';
import { boxOfLines, carvedShapes, spanAt } from './carved-parts.ts';
import { downWall, isUpright, overRing, withinWall } from './mould-parts.ts';
import { finishShapes, type PipedTone } from './finish-parts.ts';
import { tierParts, type TierDrawing } from './tier-parts.ts';

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
