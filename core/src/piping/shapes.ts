import { polygon, type Outline, type Point } from '../outline/outline.ts';
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

/** Volume of a piece at a nozzle of 10 mm, mL, and its pitch by the nozzle's width (docs/model.md#piping-and-toppings). */
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

/** Mean height of a rosette over the nozzle's width, and what of its disc is frosting (estimates). */
const rosetteHigh = 1.4;
const rosetteFill = 0.8;
/**
 * A rosette by its body: the disc it covers times its mean height, four fifths of it frosting and the
 * rest the grooves between its turns. The turns lie on each other towards the middle: a flat spiral
 * gives half as much.
 */
export const rosetteMl = (wideMm: number, radiusMm: number): number =>
  (Math.PI * radiusMm ** 2 * rosetteHigh * wideMm * rosetteFill) / 1000;

/** A piped piece: how much it takes and how much room along a line. */
export interface PipedPiece {
  ml: number;
  pitchMm: number;
  /** Path of the nozzle, mm; null where it is pressed out in place. */
  pathMm: number | null;
}

/**
 * One piece of a form. Shells, stars and the like go by the cube of the nozzle's width; a rosette by
 * the body of its swirl (docs/model.md#piping-and-toppings).
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
    const ml = rosetteMl(wideMm, radiusMm);
    // a nozzle that gives less winds more turns into the same swirl
    return { ml, pitchMm: 2 * radiusMm, pathMm: (ml * 1000) / ropeMm2(nozzle, wideMm) };
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

/** How wide and high a piece or a rope stands (estimates, by the nozzle's width). */
export const standsBy = (form: PipedForm, wideMm: number, radiusMm = 20) => ({
  acrossMm: form === 'rosette' ? 2 * radiusMm : wideMm * (lengthForms.includes(form) ? 1.2 : 1.6),
  highMm:
    wideMm *
    ({ kiss: 2, dollop: 1.8, star: 1.3, shell: 1.4, ruffle: 1.6, rosette: 1.7 }[form as string] ??
      1.1),
});

/** Pieces that go round a line evenly; an odd number when asked. At least one. */
export function fitCount(lineMm: number, pitchMm: number, odd: boolean): number {
  const near = Math.max(1, Math.floor(lineMm / pitchMm + 1e-9));
  return odd && near % 2 === 0 ? Math.max(1, near - 1) : near;
}

/**
 * Places along an outline, evenly by its own length: the first in the middle of its back, the next
 * to the right of it as one sees it standing before it.
 *
 * @param shift how far the first is moved on, as a share of the room between two
 */
export function placesAlong(
  outline: Outline,
  count: number,
  shift = 0,
): { x: number; y: number }[] {
  if (outline.kind === 'round') {
    const radius = outline.diameterMm / 2;
    return Array.from({ length: count }, (_, i) => {
      const angle = Math.PI / 2 + (2 * Math.PI * (i + shift)) / count;
      return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
    });
  }
  const line = polygon(outline, 90);
  const at = (i: number): Point => line[i % line.length]!;
  const steps = line.map((a, i) => Math.hypot(at(i + 1).x - a.x, at(i + 1).y - a.y));
  // of the very line that is walked: a drawn outline's own is a hair longer
  const total = steps.reduce((sum, step) => sum + step, 0);
  // where it crosses the middle furthest back
  let [from, share, backY] = [0, 0, -Infinity];
  line.forEach((a, i) => {
    const b = at(i + 1);
    if (a.x * b.x > 0 || a.x === b.x) return;
    const t = a.x / (a.x - b.x);
    const y = a.y + (b.y - a.y) * t;
    if (y > backY + 1e-9) [from, share, backY] = [i, t, y];
  });
  const places: Point[] = [];
  let walked = -share * steps[from]!;
  for (let k = 0; k <= line.length && places.length < count; k++) {
    const [a, b] = [at(from + k), at(from + k + 1)];
    const step = steps[(from + k) % line.length]!;
    for (;;) {
      const next = ((places.length + shift) * total) / count;
      if (places.length >= count || next > walked + step + 1e-6) break;
      const t = step > 0 ? Math.min(1, Math.max(0, (next - walked) / step)) : 0;
      places.push({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });
    }
    walked += step;
  }
  return places;
}
