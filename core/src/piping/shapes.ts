import { polygon, type Outline } from '../outline/outline.ts';
import { ropeMm2, type NozzleForm } from './nozzles.ts';

export const pipedForms = [
  'shell',
  'star',
  'kiss',
  'rosette',
  'dollop',
  'ruffle',
  'leaf',
  'rope',
  'line',
  'vine',
  'writing',
] as const;
export type PipedForm = (typeof pipedForms)[number];

/** Forms that are piped as one length and not by the piece. */
export const lengthForms: readonly PipedForm[] = ['rope', 'line', 'vine', 'writing'];

/** Volume of a piece at a nozzle of 10 mm, mL, and its pitch by the nozzle's width (data appendix). */
const pieces: Partial<Record<PipedForm, { ml10: number; pitch: number }>> = {
  shell: { ml10: 3, pitch: 1.7 },
  star: { ml10: 1.5, pitch: 1.6 },
  kiss: { ml10: 2.5, pitch: 1.5 },
  dollop: { ml10: 4, pitch: 1.9 },
  ruffle: { ml10: 2.2, pitch: 0.8 },
  leaf: { ml10: 1, pitch: 1.3 },
};
/** Path over the length along which it runs: a rope coils, a vine waves. */
const pathOver: Partial<Record<PipedForm, number>> = { rope: 1.35, vine: 1.2 };
/** Mean path of a letter over its height, for writing. */
const letterPath = 3.2;

/** A piped piece: how much it takes and how much room along a line. */
export interface PipedPiece {
  ml: number;
  pitchMm: number;
  /** Path of the nozzle, mm; null where it is pressed out in place. */
  pathMm: number | null;
}

/**
 * One piece of a form. Shells, stars and the like go by the cube of the nozzle's width; a rosette is
 * a spiral of path pi·r²/p, with a pitch p of 0.9 widths (model section 8).
 *
 * @param radiusMm outer radius of a rosette
 */
export function pieceOf(
  form: PipedForm,
  nozzle: NozzleForm,
  wideMm: number,
  radiusMm = 20,
): PipedPiece {
  const known = pieces[form];
  if (known)
    return { ml: known.ml10 * (wideMm / 10) ** 3, pitchMm: known.pitch * wideMm, pathMm: null };
  if (form === 'rosette') {
    const pathMm = (Math.PI * radiusMm ** 2) / (0.9 * wideMm);
    return { ml: (pathMm * ropeMm2(nozzle, wideMm)) / 1000, pitchMm: 2 * radiusMm, pathMm };
  }
  throw new RangeError(`A ${form} is piped by its length, not by the piece.`);
}

/** Millilitres of a length of rope, line or vine. */
export const lengthMl = (
  form: PipedForm,
  nozzle: NozzleForm,
  wideMm: number,
  lengthMm: number,
): number => (lengthMm * (pathOver[form] ?? 1) * ropeMm2(nozzle, wideMm)) / 1000;

/** Length that a line of writing takes, mm, by its letters and their height. */
export const writingMm = (text: string, highMm: number): number =>
  text.replace(/\s/g, '').length * highMm * letterPath;

/** Pieces that go round a line evenly; an odd number when asked. At least one. */
export function fitCount(lineMm: number, pitchMm: number, odd: boolean): number {
  const near = Math.max(1, Math.floor(lineMm / pitchMm + 1e-9));
  return odd && near % 2 === 0 ? Math.max(1, near - 1) : near;
}

/** Places along an outline, evenly by its own length, from 12 o'clock on where it is round. */
export function placesAlong(outline: Outline, count: number): { x: number; y: number }[] {
  const line = polygon(outline, 90);
  // of the very line that is walked: a drawn outline's own is a hair longer
  const total = line.reduce((sum, a, i) => {
    const b = line[(i + 1) % line.length]!;
    return sum + Math.hypot(b.x - a.x, b.y - a.y);
  }, 0);
  const places: { x: number; y: number }[] = [];
  let walked = 0;
  let next = 0;
  for (let i = 0; i < line.length && places.length < count; i++) {
    const [a, b] = [line[i]!, line[(i + 1) % line.length]!];
    const step = Math.hypot(b.x - a.x, b.y - a.y);
    while (places.length < count && next <= walked + step + 1e-6) {
      const t = step > 0 ? Math.min(1, Math.max(0, (next - walked) / step)) : 0;
      places.push({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });
      next = (places.length * total) / count;
    }
    walked += step;
  }
  return places;
}
