import { boxOf } from '../outline/box.ts';
import { equivalentRadiusMm, type Outline } from '../outline/outline.ts';
import { cylinder, slab, sumTerms, type Direction } from './series.ts';

/** What a body is made of and what it loses heat to. */
export interface Surroundings {
  /** Diffusivity, m2/s, and conductivity, W/mK. */
  alpha: number;
  k: number;
  /** Surface coefficients, W/m2K. */
  top: number;
  side: number;
  bottom: number;
}

interface Axis {
  direction: Direction;
  /** Length that makes time a Fourier number, m. */
  lengthM: number;
  /** Position of the middle, and the stretch that is left after the outer part is taken off. */
  middle: number;
  inner: (offM: number) => [from: number, to: number];
  centre: number[];
  whole: number[];
}

/** A cake as the product of its directions (docs/model.md#heat-and-cold). */
export interface Body {
  up: Axis;
  across: Axis[];
  alpha: number;
}

const shrink = (share: number): number => Math.min(0.95, Math.max(0, share));

function slabAxis(lengthM: number, h0: number, h1: number, k: number, bothEnds: boolean): Axis {
  const direction = slab((h0 * lengthM) / k, (h1 * lengthM) / k);
  return {
    direction,
    lengthM,
    middle: 0.5,
    inner: (offM) => {
      const off = shrink(offM / lengthM);
      return bothEnds ? [Math.min(0.49, off), Math.max(0.51, 1 - off)] : [0, 1 - off];
    },
    centre: direction.at(0.5),
    whole: direction.mean(0, 1),
  };
}

function roundAxis(radiusM: number, h: number, k: number): Axis {
  const direction = cylinder((h * radiusM) / k);
  return {
    direction,
    lengthM: radiusM,
    middle: 0,
    inner: (offM) => [0, 1 - shrink(offM / radiusM)],
    centre: direction.at(0),
    whole: direction.mean(0, 1),
  };
}

/**
 * A body of this outline and height: squares and rectangles as the product of three slabs, a ring as
 * a slab as wide as its wall, everything else as the cylinder of its equivalent radius 2A/P.
 *
 * @param heightMm mean height, above 0
 */
export function bodyOf(outline: Outline, heightMm: number, s: Surroundings): Body {
  const up = slabAxis(heightMm / 1000, s.bottom, s.top, s.k, false);
  const slabOf = (mm: number): Axis => slabAxis(mm / 1000, s.side, s.side, s.k, true);
  switch (outline.kind) {
    case 'square':
    case 'rectangle': {
      const { widthMm, depthMm } = boxOf(outline);
      return { up, across: [slabOf(widthMm), slabOf(depthMm)], alpha: s.alpha };
    }
    case 'ring':
      return { up, across: [slabOf((outline.diameterMm - outline.holeMm) / 2)], alpha: s.alpha };
    default:
      return {
        up,
        across: [roundAxis(equivalentRadiusMm(outline) / 1000, s.side, s.k)],
        alpha: s.alpha,
      };
  }
}

const fourier = (axis: Axis, alpha: number, seconds: number): number =>
  (alpha * seconds) / axis.lengthM ** 2;

/** Share of the start's difference from the surroundings that is left at the middle. */
export function centreShare(body: Body, seconds: number): number {
  return [body.up, ...body.across].reduce(
    (share, axis) =>
      share * sumTerms(axis.direction, axis.centre, fourier(axis, body.alpha, seconds)),
    1,
  );
}

/** The same at the place, on the axis, that keeps most of it. */
export function slowestShare(body: Body, seconds: number): number {
  let best = 0;
  const f = fourier(body.up, body.alpha, seconds);
  for (let i = 0; i <= 20; i++)
    best = Math.max(best, sumTerms(body.up.direction, body.up.direction.at(i / 20), f));
  return body.across.reduce(
    (share, axis) =>
      share * sumTerms(axis.direction, axis.centre, fourier(axis, body.alpha, seconds)),
    best,
  );
}

/** The same on average over the whole body. */
export function meanShare(body: Body, seconds: number): number {
  return [body.up, ...body.across].reduce(
    (share, axis) =>
      share * sumTerms(axis.direction, axis.whole, fourier(axis, body.alpha, seconds)),
    1,
  );
}

/** How to read the mean over the outer `depthMm` of top and side; worked out once for a body. */
export function shellReader(body: Body, depthMm: number): (seconds: number) => number {
  const offM = depthMm / 1000;
  const axes = [body.up, ...body.across].map((axis) => {
    const [from, to] = axis.inner(offM);
    const volume = axis.middle === 0 ? to * to - from * from : to - from;
    return { axis, values: axis.direction.mean(from, to), volume };
  });
  const innerVolume = axes.reduce((product, { volume }) => product * volume, 1);
  return (seconds) => {
    const inner = axes.reduce(
      (product, { axis, values }) =>
        product * sumTerms(axis.direction, values, fourier(axis, body.alpha, seconds)),
      1,
    );
    return (meanShare(body, seconds) - innerVolume * inner) / (1 - innerVolume);
  };
}

/**
 * Seconds until a falling share has come down to `wanted`; Infinity when it does not within a week,
 * 0 when it is there from the start.
 */
export function secondsUntil(share: (seconds: number) => number, wanted: number): number {
  if (wanted >= 1) return 0;
  if (wanted <= 0) return Infinity;
  let high = 60;
  while (share(high) > wanted) {
    high *= 2;
    if (high > 7 * 86400) return Infinity;
  }
  let low = high === 60 ? 0 : high / 2;
  for (let i = 0; i < 50 && high - low > 0.05; i++) {
    const middle = (low + high) / 2;
    if (share(middle) > wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
