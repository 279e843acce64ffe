import type { Tier } from '../document/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';

/** The plane through the rim of one layer: z(θ) = h + a·cos θ + b·sin θ, mm, θ from 12 o'clock on. */
export interface RimFit {
  meanMm: number;
  a: number;
  b: number;
  /** Length of the tilt: half the difference of high and low side. */
  tiltMm: number;
  /** Where the high side is, radians from 12 o'clock. */
  highAt: number;
  /** What the plane leaves, root mean square, mm. */
  roughMm: number;
}

/** Direction of reading `i` of `n`, radians from 12 o'clock, the way the hands run. */
export const angleOf = (i: number, n: number): number => (2 * Math.PI * i) / n;

/**
 * Least squares of mean height and tilt through the readings of one rim (docs/model.md#standing-level). Readings
 * that are missing are left out.
 *
 * @param rim heights from 12 o'clock on, evenly spaced
 * @returns null with fewer than three readings: a plane needs three points
 */
export function fitRim(rim: readonly (number | null)[]): RimFit | null {
  const seen = rim.flatMap((z, i) => (z === null ? [] : [{ z, t: angleOf(i, rim.length) }]));
  if (seen.length < 3) return null;
  // normal equations of [1, cos, sin]
  const m = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  const v = [0, 0, 0];
  for (const { z, t } of seen) {
    const row = [1, Math.cos(t), Math.sin(t)];
    for (let r = 0; r < 3; r++) {
      v[r] = v[r]! + row[r]! * z;
      for (let c = 0; c < 3; c++) m[r * 3 + c] = m[r * 3 + c]! + row[r]! * row[c]!;
    }
  }
  const [h, a, b] = solve3(m, v);
  const squares = seen.reduce(
    (sum, { z, t }) => sum + (z - h - a * Math.cos(t) - b * Math.sin(t)) ** 2,
    0,
  );
  return {
    meanMm: h,
    a,
    b,
    tiltMm: Math.hypot(a, b),
    highAt: (Math.atan2(b, a) + 2 * Math.PI) % (2 * Math.PI),
    roughMm: Math.sqrt(squares / seen.length),
  };
}

function solve3(m: readonly number[], v: readonly number[]): [number, number, number] {
  const det = (c: readonly number[]): number =>
    c[0]! * (c[4]! * c[8]! - c[5]! * c[7]!) -
    c[1]! * (c[3]! * c[8]! - c[5]! * c[6]!) +
    c[2]! * (c[3]! * c[7]! - c[4]! * c[6]!);
  const d = det(m);
  const withColumn = (k: number): number =>
    det(m.map((x, i) => (i % 3 === k ? v[Math.floor(i / 3)]! : x))) / d;
  return [withColumn(0), withColumn(1), withColumn(2)];
}

/** A reading that stands out from the others of its layer. */
export interface WildReading {
  index: number;
  mm: number;
  /** What it probably should be, where a slipped decimal point explains it. */
  likelyMm: number | null;
}

/**
 * Readings no rim can have beside the others: more than a third and more than 8 mm off their median.
 * One that fits when divided or multiplied by ten was typed with its decimal point in the wrong place.
 */
export function wildReadings(rim: readonly (number | null)[]): WildReading[] {
  const seen = rim.flatMap((z) => (z === null ? [] : [z])).sort((a, b) => a - b);
  if (seen.length < 3) return [];
  const middle = seen[Math.floor((seen.length - 1) / 2)]!;
  return rim.flatMap((mm, index) => {
    if (mm === null) return [];
    const off = (x: number): boolean => Math.abs(x - middle) > Math.max(8, middle / 3);
    if (!off(mm)) return [];
    const likelyMm = [mm / 10, mm * 10].find((x) => !off(x)) ?? null;
    return [{ index, mm, likelyMm }];
  });
}

export const clockText = (i: number, n: number): string =>
  `${(((i * 12) / n + 11) % 12) + 1} o’clock`;

/** Points out readings that are missing or wild. */
export function warnOfRim(tier: Tier, cautions: Caution[]): void {
  tier.layers.forEach((layer, i) => {
    if (layer.rimMm.length === 0) return;
    const part = `${tier.id}/layer/${i}`;
    for (const wild of wildReadings(layer.rimMm))
      cautions.push({
        id: `${tier.id}/rim/${i}/${wild.index}`,
        severity: 'mind',
        stage: 'stack',
        part,
        title: phrase(
          `Layer ${i + 1} at ${clockText(wild.index, layer.rimMm.length)}: {mm} stands out from the others.`,
          { mm: [wild.mm, 'thickness'] },
        ),
        todo:
          wild.likelyMm === null
            ? phrase('Measure it again before the stack is turned by it.')
            : phrase('It looks ten times too large or too small: {likely}?', {
                likely: [wild.likelyMm, 'thickness'],
              }),
      });
    const missing = layer.rimMm.filter((z) => z === null).length;
    if (missing > 0)
      cautions.push({
        id: `${tier.id}/rim missing/${i}`,
        severity: 'note',
        stage: 'stack',
        part,
        title: phrase(`Layer ${i + 1}: ${missing} of ${layer.rimMm.length} readings are missing.`),
        todo: phrase(
          layer.rimMm.length - missing < 3
            ? 'Three are the least that show a tilt.'
            : 'It is reckoned with the others; more make it surer.',
        ),
      });
  });
}
