import type { Tier } from '../build/types.ts';
import type { CoatPlan } from '../coat/coat.ts';
import type { CentrePlan } from '../fill/centre.ts';
import type { OtherPlan } from '../others/other-layers.ts';
import { widthMm, type Outline } from '../outline/outline.ts';
import type { Board, Spread, Sponge, Tone } from '../pantry/types.ts';
import type { StackPlan } from '../stack/stack.ts';

export type PartKind =
  | 'board'
  | 'fondant'
  | 'coat'
  | 'band'
  | 'crumb'
  | 'dab'
  | 'layer'
  | 'crown'
  | 'gap'
  | 'dam'
  | 'inset'
  | 'centre'
  | 'hole';

/**
 * A rectangle of the section, in mm: x from the axis to the right, y up from the top of the board.
 * `tone` is the material's hatch; parts come in the order they are drawn, back to front.
 */
export interface SectionPart {
  id: string;
  kind: PartKind;
  tierId: string | null;
  label: string;
  tone: Tone | 'board' | 'paper';
  /** A dome: drawn as an arc that rises to y1, or hangs down to y0. */
  arc?: 'up' | 'down';
  x0: number;
  x1: number;
  y0: number;
  y1: number;
}

/** The cut through a cake: its parts, the height of each tier, and how far everything reaches. */
export interface Section {
  parts: SectionPart[];
  tiers: { tierId: string; fromMm: number; toMm: number; widthMm: number }[];
  halfWidthMm: number;
  heightMm: number;
  boardMm: number;
}

export interface TierDrawing {
  tier: Tier;
  stack: StackPlan;
  coat: CoatPlan | null;
  finished: Outline;
  sponge: Sponge | null;
  coatSpread: Spread | null;
  fillings: (Spread | null)[];
  others: OtherPlan[];
  centre: CentrePlan | null;
  centreSpread: Spread | null;
}

/** The section of the whole cake, true to scale, tiers standing on each other. */
export function drawSection(tiers: readonly TierDrawing[], board: Board | null): Section {
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
  let base = 0;
  const spans: Section['tiers'] = [];
  for (const drawing of tiers) {
    parts.push(...tierParts(drawing, base));
    const toMm = base + drawing.stack.finishedMm;
    const wide = widthMm(drawing.finished);
    spans.push({ tierId: drawing.tier.id, fromMm: base, toMm, widthMm: wide });
    halfWidthMm = Math.max(halfWidthMm, wide / 2);
    base = toMm;
  }
  return { parts, tiers: spans, halfWidthMm, heightMm: base, boardMm };
}

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
    centre,
    centreSpread,
  }: TierDrawing,
  base: number,
): SectionPart[] {
  const half = widthMm(tier.outline) / 2;
  const parts: SectionPart[] = [];
  const add = (
    id: string,
    kind: PartKind,
    label: string,
    tone: Tone,
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
  const coatTone = coatSpread?.tone ?? 'ivory';
  if (tier.fondant) {
    const out = widthMm(finished) / 2;
    add('fondant', 'fondant', 'fondant', 'ivory', [-out, out], [0, stack.finishedMm]);
  }
  if (coat && (coat.sideMm > 0 || coat.topMm > 0)) {
    const out = half + coat.crumbMm + coat.sideMm;
    add('coat', 'coat', 'coat', coatTone, [-out, out], [0, stack.finishedMm - stack.fondantMm]);
  }
  if (coat && coat.sideMm > 0 && tier.coat.bands.length > 0) {
    const out = half + coat.crumbMm + coat.sideMm;
    const inside = half + coat.crumbMm;
    const all = tier.coat.bands.reduce((sum, band) => sum + band.share, 0);
    let y = 0;
    tier.coat.bands.forEach((band, i) => {
      const to = y + ((stack.finishedMm - stack.fondantMm) * band.share) / all;
      const label = band.tint || `band ${i + 1}`;
      add(`band/${i}-left`, 'band', label, coatTone, [-out, -inside], [y, to]);
      add(`band/${i}-right`, 'band', label, coatTone, [inside, out], [y, to]);
      y = to;
    });
  }
  if (coat && coat.crumbMm > 0) {
    const out = half + coat.crumbMm;
    add('crumb', 'crumb', 'crumb coat', coatTone, [-out, out], [0, stack.stackMm + coat.crumbMm]);
  }
  add('dab', 'dab', 'dab', coatTone, [-half, half], [0, stack.dabMm]);
  const spongeTone = sponge?.tone ?? 'butter';
  stack.gaps.forEach(({ fromMm, toMm }, i) => {
    const gap = tier.gaps[i]!;
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
    add(`gap/${i}`, 'gap', `filling ${i + 1}`, fillings[i]?.tone ?? 'cream', [-inner, inner], span);
  });
  stack.layers.forEach(({ fromMm, toMm, crownUpMm, crownDownMm }, i) => {
    const other = others.find((o) => o.index === i);
    const tone = other?.row.tone ?? spongeTone;
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
    if (other?.inset) {
      const wide = widthMm(other.inset.outline) / 2;
      const middle = (fromMm + toMm) / 2;
      const high = other.inset.heightMm / 2;
      add(
        `layer/${i}/inset`,
        'inset',
        'inset',
        spongeTone,
        [-wide, wide],
        [middle - high, middle + high],
      );
    }
  });
  if (tier.centre && centre) {
    const wide = widthMm(tier.centre.outline) / 2;
    const span: [number, number] = [
      stack.layers[tier.centre.fromLayer]!.fromMm,
      stack.layers[tier.centre.toLayer]!.toMm,
    ];
    add('centre', 'centre', 'hidden centre', centreSpread?.tone ?? 'berry', [-wide, wide], span);
  }
  if (tier.outline.kind === 'ring') {
    const hole = Math.max(0, tier.outline.holeMm / 2 - (coat ? coat.crumbMm + coat.sideMm : 0));
    add('hole', 'hole', 'hole of the ring', 'cream', [-hole, hole], [0, stack.finishedMm]);
    parts.at(-1)!.tone = 'paper';
  }
  return parts;
}
