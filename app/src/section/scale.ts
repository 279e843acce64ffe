import type { Section } from '@pyrgotect/core';
import { fixed } from '../locale/number.ts';

/** Where the drawing's millimetres fall on the screen. */
export interface Scale {
  pxPerMm: number;
  /** Screen x of the axis and y of the top of the board. */
  axisPx: number;
  basePx: number;
}

export const margins = { left: 84, right: 142, top: 66, bottom: 62 };

/** CSS pixels in a millimetre on a screen of the reference density. */
export const cssPxPerMm = 96 / 25.4;

/** Fits a section to a pane, board on the ground, true to scale both ways. */
export function fitSection(section: Section, width: number, height: number): Scale {
  const wide = Math.max(1, section.halfWidthMm * 2);
  const high = Math.max(1, section.topMm + section.boardMm);
  const pxPerMm = Math.max(
    0.05,
    Math.min(
      (width - margins.left - margins.right) / wide,
      (height - margins.top - margins.bottom) / high,
    ),
  );
  return {
    pxPerMm,
    axisPx: margins.left + (width - margins.left - margins.right) / 2,
    basePx: height - margins.bottom - section.boardMm * pxPerMm,
  };
}

/** "1 : 2.2", the drawing's scale on a screen of the reference density. */
export function scaleText({ pxPerMm }: Scale): string {
  const ratio = cssPxPerMm / pxPerMm;
  return ratio >= 1 ? `1 : ${fixed(ratio, 1)}` : `${fixed(1 / ratio, 1)} : 1`;
}

/** Pushes labels apart until none is nearer than `gap`, keeping their order and staying in bounds. */
export function spread(
  wanted: readonly number[],
  gap: number,
  low: number,
  high: number,
): number[] {
  const order = wanted.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  let last = low - gap;
  for (const label of order) {
    label.y = Math.max(label.y, last + gap);
    last = label.y;
  }
  let next = high + gap;
  for (const label of [...order].reverse()) {
    label.y = Math.min(label.y, next - gap);
    next = label.y;
  }
  const placed = new Array<number>(wanted.length);
  for (const { y, i } of order) placed[i] = y;
  return placed;
}
