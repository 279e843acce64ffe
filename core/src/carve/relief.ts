import type { Point } from '../outline/point.ts';
import { writingMm } from '../piping/shapes.ts';
import type { Motif, ReliefCut } from './types.ts';

/** Motifs that have a line of their own. */
type Drawn = Exclude<Motif, 'letters'>;

const round = (count: number, at: (turn: number) => Point): Point[] =>
  Array.from({ length: count }, (_, i) => at((2 * Math.PI * i) / count));
const oval = round(48, (a) => ({ x: Math.cos(a) / 2, y: Math.sin(a) / 2 }));
/** Points of the inner ring of a five-pointed star lie so far out (its own geometry, 1 / golden ratio squared). */
const starIn = 0.381966;
const star = round(10, (a) => {
  const r = Math.round((a * 5) / Math.PI) % 2 === 0 ? 1 : starIn;
  return { x: r * Math.sin(a), y: r * Math.cos(a) };
});
const heart = round(48, (a) => ({
  x: 16 * Math.sin(a) ** 3,
  y: 13 * Math.cos(a) - 5 * Math.cos(2 * a) - 2 * Math.cos(3 * a) - Math.cos(4 * a),
}));

/** Brought into a box of 1 by 1 round nothing. */
function boxed(points: readonly Point[]): Point[] {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return points.map(({ x, y }) => ({
    x: (x - x0) / (x1 - x0) - 0.5,
    y: (y - y0) / (y1 - y0) - 0.5,
  }));
}
const lines: Record<Drawn, readonly Point[]> = {
  own: oval,
  oval,
  oblong: [
    { x: -0.5, y: -0.5 },
    { x: 0.5, y: -0.5 },
    { x: 0.5, y: 0.5 },
    { x: -0.5, y: 0.5 },
  ],
  heart: boxed(heart),
  star: boxed(star),
};
const shareOf = (points: readonly Point[]): number =>
  Math.abs(
    points.reduce((sum, p, i) => {
      const q = points[(i + 1) % points.length]!;
      return sum + p.x * q.y - q.x * p.y;
    }, 0),
  ) / 2;

/** Width of a letter with its room to the next, over its height (mean of a plain hand, estimate). */
const letterPitch = 0.72;

/** How wide and high a relief lies on the cake, mm; one's own drawing is taken as a round of its area. */
export function motifMm(cut: ReliefCut): { wideMm: number; highMm: number } {
  switch (cut.motif) {
    case 'own': {
      const across = 2 * Math.sqrt(cut.areaMm2 / Math.PI);
      return { wideMm: across, highMm: across };
    }
    case 'letters':
      return { wideMm: cut.words.trim().length * letterPitch * cut.highMm, highMm: cut.highMm };
    default:
      return { wideMm: cut.wideMm, highMm: cut.highMm };
  }
}

/** The line of a relief round its middle, mm, x to the right and y up as one looks at it; that of letters is their room. */
export function motifLine(cut: ReliefCut): Point[] {
  const { wideMm, highMm } = motifMm(cut);
  const line = lines[cut.motif === 'letters' ? 'oblong' : cut.motif];
  return line.map(({ x, y }) => ({ x: x * wideMm, y: y * highMm }));
}

/** What fills a relief again, mL. */
export const reliefMl = (cut: ReliefCut): number => (reliefMm2(cut) * cut.depthMm) / 1000;

/** What a relief takes of the coat's surface, mm2, laid flat: letters by the length of their strokes. */
export function reliefMm2(cut: ReliefCut): number {
  if (cut.motif === 'own') return cut.areaMm2;
  const { wideMm, highMm } = motifMm(cut);
  if (cut.motif === 'letters')
    return Math.min(wideMm * highMm, writingMm(cut.words, cut.highMm) * cut.strokeMm);
  // the closed form, which the corners of a drawn oval only come near to
  const share = cut.motif === 'oval' ? Math.PI / 4 : shareOf(lines[cut.motif]);
  return share * wideMm * highMm;
}
