/* Colours as light: of a screen's three channels each, what share of the light comes back. */

/** Reflectance of red, green and blue, each 0 to 1. */
export type Reflectance = readonly [number, number, number];

/** Nothing in a bowl gives back less or more than this; K/S has no end beyond. */
const darkest = 0.005;
const palest = 0.985;
const bounded = (share: number): number => Math.min(palest, Math.max(darkest, share));

/** Light of a colour "#rrggbb", by the curve of the sRGB standard. */
export function lightOf(hex: string): Reflectance {
  const n = Number.parseInt(hex.slice(1), 16);
  const [r, g, b] = [n >> 16, n >> 8, n].map((one) => {
    const v = (one & 255) / 255;
    return bounded(v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
  });
  return [r!, g!, b!];
}

/** The colour "#rrggbb" of a light. */
export function hexOf(light: Reflectance): string {
  const digits = light.map((share) => {
    const v = share <= 0.0031308 ? share * 12.92 : 1.055 * share ** (1 / 2.4) - 0.055;
    return Math.round(Math.min(1, Math.max(0, v)) * 255)
      .toString(16)
      .padStart(2, '0');
  });
  return `#${digits.join('')}`;
}

/** Lightness and the two ways of colour of CIE 1976, under daylight (D65). */
function labOf([r, g, b]: Reflectance): [number, number, number] {
  const f = (t: number): number =>
    t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27 / 116) * t + 16 / 116;
  const x = f((0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.9505);
  const y = f(0.2126 * r + 0.7152 * g + 0.0722 * b);
  const z = f((0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.089);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

/** How different two colours look, by CIE 1976: under 3 only side by side, over 10 at a glance. */
export function differenceOf(one: Reflectance, other: Reflectance): number {
  const [a, b] = [labOf(one), labOf(other)];
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
}
