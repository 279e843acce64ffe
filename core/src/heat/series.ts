import { besselJ0, besselJ1 } from './bessel.ts';

/* Conduction in one direction from a uniform start towards surroundings at 0, start at 1, with
   surface coefficients: the textbook series. Positions run from 0 to 1, times are Fourier numbers
   of the whole depth (slab) or of the radius (cylinder). Sums are good from a Fourier number of about
   0.001 on: the first minutes of a cake. */

const terms = 32;

/** A solved direction: its terms, and how a term reads at a place or on average over a stretch. */
export interface Direction {
  /** Squares of the eigenvalues, ascending. */
  decay: number[];
  at: (position: number) => number[];
  mean: (from: number, to: number) => number[];
}

function root(f: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  const sign = Math.sign(f(a + 1e-12));
  for (let i = 0; i < 80 && b - a > 1e-12 * b; i++) {
    const middle = (a + b) / 2;
    if (Math.sign(f(middle)) === sign) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/**
 * A slab with its own coefficient on each face.
 * @param biot0, biot1 coefficient times depth over conductivity, at position 0 and 1; above 0
 */
export function slab(biot0: number, biot1: number): Direction {
  const betas: number[] = [];
  for (let n = 1; n <= terms; n++)
    betas.push(
      root(
        (b) => (b * b - biot0 * biot1) * Math.sin(b) - b * (biot0 + biot1) * Math.cos(b),
        (n - 1) * Math.PI,
        n * Math.PI,
      ),
    );
  const whole = (b: number, x: number): number =>
    Math.sin(b * x) / b - (biot0 / (b * b)) * Math.cos(b * x);
  const share = betas.map((b) => {
    const c = biot0 / b;
    const square =
      (1 + c * c) / 2 + ((1 - c * c) * Math.sin(2 * b)) / (4 * b) + (c * Math.sin(b) ** 2) / b;
    return (whole(b, 1) - whole(b, 0)) / square;
  });
  return {
    decay: betas.map((b) => b * b),
    at: (x) => betas.map((b, i) => share[i]! * (Math.cos(b * x) + (biot0 / b) * Math.sin(b * x))),
    mean: (from, to) =>
      betas.map((b, i) => (share[i]! * (whole(b, to) - whole(b, from))) / (to - from)),
  };
}

let zeros: { j0: number[]; j1: number[] } | null = null;
/** First zeros of J0 and J1 (J1 from its zero at the origin), between which the eigenvalues lie. */
function besselZeros(): { j0: number[]; j1: number[] } {
  if (zeros) return zeros;
  const j0: number[] = [];
  const j1: number[] = [0];
  for (let n = 1; n <= terms; n++) {
    j0.push(root(besselJ0, (n - 0.25) * Math.PI - 0.3, (n - 0.25) * Math.PI + 0.3));
    j1.push(root(besselJ1, (n + 0.25) * Math.PI - 0.3, (n + 0.25) * Math.PI + 0.3));
  }
  return (zeros = { j0, j1 });
}

/**
 * A long cylinder.
 * @param biot coefficient times radius over conductivity, above 0
 */
export function cylinder(biot: number): Direction {
  const { j0, j1 } = besselZeros();
  const zetas = j0.map((zero, i) =>
    root((z) => z * besselJ1(z) - biot * besselJ0(z), j1[i]!, zero),
  );
  const share = zetas.map((z) => {
    const [a, b] = [besselJ0(z), besselJ1(z)];
    return (2 * b) / (z * (a * a + b * b));
  });
  return {
    decay: zetas.map((z) => z * z),
    at: (r) => zetas.map((z, i) => share[i]! * besselJ0(z * r)),
    // mean over the disc between two radii
    mean: (from, to) =>
      zetas.map((z, i) => {
        const disc = (r: number): number => (2 * r * besselJ1(z * r)) / z;
        return (share[i]! * (disc(to) - disc(from))) / (to * to - from * from);
      }),
  };
}

/** The sum of a direction's terms after a Fourier number. */
export function sumTerms(direction: Direction, values: readonly number[], fourier: number): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) {
    const fades = direction.decay[i]! * fourier;
    if (fades > 40) break;
    sum += values[i]! * Math.exp(-fades);
  }
  return sum;
}
