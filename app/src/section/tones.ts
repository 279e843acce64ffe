import type { SectionPart, Tone } from '@pyrgotect/core';

/** A material's hatch: ground, marks and the tile they repeat in. Told apart in grey as well. */
export interface Hatch {
  tile: number;
  ground: string;
  marks: { path: string; stroke?: string; fill?: string; width?: number }[];
}

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

export const hatches: Record<Tone, Hatch> = {
  butter: { tile: 9, ground: '#f0dca8', marks: dots('#a98742') },
  pale: { tile: 9, ground: '#f7edcf', marks: dots('#c9b37a') },
  spice: {
    tile: 9,
    ground: '#dcbb8f',
    marks: dots('#7d5630', [{ path: 'M4 4.6l1.6-.9', stroke: '#7d5630', width: 0.8 }]),
  },
  nut: {
    tile: 9,
    ground: '#d9c3a0',
    marks: dots('#6f5537', [{ path: 'M3 7l1.4 .8', stroke: '#6f5537', width: 0.8 }]),
  },
  cocoa: { tile: 9, ground: '#a87e66', marks: dots('#4e2e20') },
  ivory: { tile: 5, ground: '#fffdf6', marks: slant('#c9ba98') },
  cream: { tile: 6, ground: '#fff8e6', marks: [{ path: 'M0 3h6', stroke: '#d8c596', width: 0.7 }] },
  ganache: { tile: 5, ground: '#54362c', marks: slant('#8f6a5b') },
  berry: { tile: 6, ground: '#7a3b63', marks: waves('#d29cbe') },
  curd: { tile: 6, ground: '#f3cb3f', marks: waves('#9c7508') },
  caramel: { tile: 6, ground: '#c9822f', marks: waves('#f2c58b') },
  leaf: { tile: 6, ground: '#9fb98a', marks: waves('#55733f') },
};

export const fillOf = (tone: Tone | 'board' | 'paper' | 'wood'): string => {
  if (tone === 'wood') return 'var(--wood, #e7cf9f)';
  if (tone === 'board') return 'var(--board, #2a1f35)';
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
