import type { Look, SectionPart, Tone } from '@pyrgotect/core';
import { foods } from '../styles/palette.ts';

/** A material's hatch: ground, marks and the tile they repeat in. Told apart in grey as well. */
export interface Hatch {
  tile: number;
  ground: string;
  marks: { path: string; stroke?: string; fill?: string; width?: number }[];
}

type Colouring = readonly [ground: string, mark: string];

const dots = (colour: string, more: Hatch['marks'] = []): Hatch['marks'] => [
  { path: 'M1.1 2.4a.9 .9 0 1 0 1.8 0a.9 .9 0 1 0 -1.8 0', fill: colour },
  { path: 'M5.8 6.6a.6 .6 0 1 0 1.2 0a.6 .6 0 1 0 -1.2 0', fill: colour },
  { path: 'M6.2 1.8a.45 .45 0 1 0 .9 0a.45 .45 0 1 0 -.9 0', fill: colour },
  ...more,
];
const slant = (colour: string): Hatch['marks'] => [
  { path: 'M-1 1L1 -1M0 5L5 0M4 6L6 4', stroke: colour, width: 0.7 },
];
const waves = (colour: string): Hatch['marks'] => [
  { path: 'M0 3q1.5-1.7 3 0t3 0', stroke: colour, width: 0.9 },
];

const crumb = ([ground, mark]: Colouring, stroke?: string): Hatch => ({
  tile: 9,
  ground,
  marks: dots(mark, stroke ? [{ path: stroke, stroke: mark, width: 0.8 }] : []),
});
const spread = ([ground, mark]: Colouring): Hatch => ({ tile: 6, ground, marks: waves(mark) });
const smooth = ([ground, mark]: Colouring): Hatch => ({ tile: 5, ground, marks: slant(mark) });

export const hatches: Record<Tone, Hatch> = {
  butter: crumb(foods.butter),
  pale: crumb(foods.pale),
  spice: crumb(foods.spice, 'M4 4.6l1.6-.9'),
  nut: crumb(foods.nut, 'M3 7l1.4 .8'),
  cocoa: crumb(foods.cocoa),
  ivory: smooth(foods.ivory),
  cream: {
    tile: 6,
    ground: foods.cream[0],
    marks: [{ path: 'M0 3h6', stroke: foods.cream[1], width: 0.7 }],
  },
  ganache: smooth(foods.ganache),
  berry: spread(foods.berry),
  curd: spread(foods.curd),
  caramel: spread(foods.caramel),
  leaf: spread(foods.leaf),
};

export const fillOf = (tone: Look | 'board' | 'paper' | 'wood'): string => {
  if (tone.startsWith('#')) return tone;
  if (tone === 'wood') return 'var(--wood)';
  if (tone === 'board') return 'var(--board, var(--pen))';
  return tone === 'paper' ? 'var(--oat)' : `url(#tone-${tone})`;
};

/** A dome in its box: an arc that rises to the upper edge, or hangs down to the lower one. */
export const arcPath = (
  arc: 'up' | 'down',
  { x, y, w, h }: { x: number; y: number; w: number; h: number },
): string =>
  arc === 'up'
    ? `M${x} ${y + h}Q${x + w / 2} ${y - h} ${x + w} ${y + h}Z`
    : `M${x} ${y}Q${x + w / 2} ${y + 2 * h} ${x + w} ${y}Z`;

/** Corners of a part: what is piped or put on is round, a drip has a round end. */
export function cornersOf(
  kind: SectionPart['kind'],
  { w, h }: { w: number; h: number },
): { rx: number; ry?: number } {
  if (kind === 'piping' || kind === 'topping') return { rx: w / 2, ry: h / 2.4 };
  if (kind === 'drip') return { rx: Math.min(w, h) / 2 };
  return { rx: kind === 'coat' || kind === 'flood' ? 2 : 0 };
}

/** Closed lines in the drawing's own pixels; hollows stay open. */
export const linesPath = (
  lines: readonly (readonly (readonly [number, number])[])[],
  X: (mm: number) => number,
  Y: (mm: number) => number,
): string =>
  lines
    .map((line) => `M${line.map(([x, y]) => `${X(x).toFixed(1)} ${Y(y).toFixed(1)}`).join('L')}Z`)
    .join('');
