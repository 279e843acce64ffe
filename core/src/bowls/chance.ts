import { randomFrom } from '../working/random.ts';
import type { UseKind, LossKind } from './uses.ts';

/**
 * Coefficients of variation at first, by kind (docs/model.md#chance), and the share of the variance that
 * is the hand's, common to all of that kind on one cake. Losses are an estimate.
 */
export const scatterOfKind: Record<UseKind | LossKind, { cv: number; hand: number }> = {
  dab: { cv: 0.18, hand: 0.9 },
  dam: { cv: 0.2, hand: 0 },
  gap: { cv: 0.04, hand: 0 },
  crumb: { cv: 0.18, hand: 0.9 },
  coat: { cv: 0.18, hand: 0.9 },
  pour: { cv: 0.15, hand: 0.9 },
  tray: { cv: 0.15, hand: 0.9 },
  drip: { cv: 0.15, hand: 0.9 },
  flood: { cv: 0.15, hand: 0.9 },
  drizzle: { cv: 0.2, hand: 0 },
  piping: { cv: 0.2, hand: 0 },
  glue: { cv: 0.2, hand: 0.9 },
  seat: { cv: 0.2, hand: 0.9 },
  inlay: { cv: 0.2, hand: 0.9 },
  reserve: { cv: 0.18, hand: 0.9 },
  scrapings: { cv: 0.3, hand: 0 },
  bags: { cv: 0.3, hand: 0 },
  tools: { cv: 0.3, hand: 0 },
};

/** One uncertain amount: its median in g, its scatter, and how much of the variance is the hand's. */
export interface ChancePart {
  medianG: number;
  cv: number;
  hand: number;
}

/** Deviation of the logarithm of a log-normal with this coefficient of variation. */
export const logSd = (cv: number): number => Math.sqrt(Math.log(1 + cv * cv));

/**
 * Inverse of the normal distribution, to 1e-9 over 1e-12 to 1 - 1e-12: a rational start and one
 * step of Halley's method on the error function's series (textbook).
 */
export function normalQuantile(p: number): number {
  if (p <= 0) return -Infinity;
  if (p >= 1) return Infinity;
  if (p > 0.5) return -normalQuantile(1 - p);
  const t = Math.sqrt(-2 * Math.log(p));
  let x = -(
    t -
    (2.515517 + 0.802853 * t + 0.010328 * t * t) /
      (1 + 1.432788 * t + 0.189269 * t * t + 0.001308 * t ** 3)
  );
  for (let i = 0; i < 2; i++) {
    const error = (normalShare(x) - p) * Math.sqrt(2 * Math.PI) * Math.exp((x * x) / 2);
    x -= error / (1 + (x * error) / 2);
  }
  return x;
}

/** Share of a normal distribution below x: by series near the middle, by continued fraction outside. */
export function normalShare(x: number): number {
  const a = Math.abs(x);
  const density = Math.exp(-(a * a) / 2) / Math.sqrt(2 * Math.PI);
  if (a < 3) {
    let term = a;
    let sum = a;
    for (let n = 1; n < 100 && term > 1e-17 * sum; n++) {
      term *= (a * a) / (2 * n + 1);
      sum += term;
    }
    return x >= 0 ? 0.5 + density * sum : 0.5 - density * sum;
  }
  let fraction = 0;
  for (let n = 60; n > 0; n--) fraction = n / (a + fraction);
  const tail = density / (a + fraction);
  return x >= 0 ? 1 - tail : tail;
}

/**
 * A sum of uncertain amounts as one shifted log-normal: what is certain to be needed, and beyond it a
 * log-normal of median and deviation. Its mean, variance and skewness are those of the sum.
 */
export interface SumSpread {
  meanG: number;
  medianG: number;
  sd: number;
  shiftG: number;
}

/** Deviation of the logarithm of a log-normal of this skewness: (w + 2)·sqrt(w - 1), w = exp(sd²). */
function sdOfSkewness(skewness: number): number {
  let [low, high] = [1 + 1e-12, 50];
  for (let i = 0; i < 80; i++) {
    const w = (low + high) / 2;
    if ((w + 2) * Math.sqrt(w - 1) < skewness) low = w;
    else high = w;
  }
  return Math.sqrt(Math.log((low + high) / 2));
}

/**
 * The sum of log-normal amounts, of which some share one hand, as the shifted log-normal of the same
 * mean, variance and skewness: matching only the first two leaves one case in a thousand 3 to 4 % low.
 * Exact for a single amount.
 */
export function sumSpread(parts: readonly ChancePart[]): SumSpread {
  const each = parts
    .filter((part) => part.medianG > 0)
    .map((part) => {
      const sd = logSd(part.cv);
      return {
        mean: part.medianG * Math.exp((sd * sd) / 2),
        v: sd * sd,
        handSd: sd * Math.sqrt(part.hand),
      };
    });
  const meanG = each.reduce((sum, part) => sum + part.mean, 0);
  if (meanG === 0) return { meanG: 0, medianG: 0, sd: 0, shiftG: 0 };
  let variance = 0;
  let third = 0;
  // what goes its own way adds its own moments
  for (const { mean, v } of each.filter((part) => part.handSd === 0)) {
    const w = Math.exp(v);
    variance += mean * mean * (w - 1);
    third += mean ** 3 * (w ** 3 - 3 * w + 2);
  }
  // what shares a hand: expectations of products over those of the parts, by pairs and by threes
  const common = each.filter((part) => part.handSd > 0);
  const pair = common.map((p, i) =>
    common.map((q, k) => Math.exp(i === k ? p.v : p.handSd * q.handSd)),
  );
  common.forEach((p, i) => {
    common.forEach((q, k) => {
      const pq = pair[i]![k]!;
      variance += p.mean * q.mean * (pq - 1);
      common.forEach((r, m) => {
        const [pr, qr] = [pair[i]![m]!, pair[k]![m]!];
        third += p.mean * q.mean * r.mean * (pq * pr * qr - pq - pr - qr + 2);
      });
    });
  });
  if (!(variance > 0)) return { meanG, medianG: meanG, sd: 0, shiftG: 0 };
  const deviation = Math.sqrt(variance);
  const skewness = Math.max(1e-4, third / deviation ** 3);
  const sd = sdOfSkewness(skewness);
  const scaleMean = deviation / Math.sqrt(Math.expm1(sd * sd));
  return {
    meanG,
    medianG: scaleMean * Math.exp(-(sd * sd) / 2),
    sd,
    shiftG: meanG - scaleMean,
  };
}

/** Amount that runs short in a share `short` of all cakes, g. */
export const enoughG = ({ medianG, sd, shiftG }: SumSpread, short: number): number =>
  shiftG + medianG * Math.exp(normalQuantile(1 - short) * sd);

/** How often an amount runs short, as a share of all cakes. */
export const shortShareOf = ({ meanG, medianG, sd, shiftG }: SumSpread, madeG: number): number => {
  if (meanG <= 0) return 0;
  if (sd === 0) return madeG < shiftG + medianG ? 1 : 0;
  const over = madeG - shiftG;
  return over <= 0 ? 1 : 1 - normalShare(Math.log(over / medianG) / sd);
};

/** What is asked of the simulation: the parts of each bowl, and what is made of it. */
export interface ChanceQuestion {
  bowls: { id: string; parts: ChancePart[]; madeG: number }[];
  draws: number;
  seed: number;
  short: number;
}

export interface BowlChance {
  id: string;
  meanG: number;
  /** Needs at 5, 50 and 95 of a hundred, g. */
  lowG: number;
  medianG: number;
  highG: number;
  /** What to make so that it runs short as seldom as asked, g. */
  enoughG: number;
  /** Share of cakes in which what is made does not reach. */
  short: number;
  /** Left in the bowl where it reaches: the middle of it, g. */
  leftG: number;
  /** Equal bins over the needs: from, width, and how many draws fell into each. */
  bins: { fromG: number; wideG: number; counts: number[] };
}

/** Draws from the standard normal distribution, two at a time (Box and Muller). */
function normalsFrom(random: () => number): () => number {
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    const r = Math.sqrt(-2 * Math.log(1 - random()));
    const angle = 2 * Math.PI * random();
    spare = r * Math.sin(angle);
    return r * Math.cos(angle);
  };
}

const binCount = 40;

/**
 * Simulates so many cakes: in each one hand draws all coats of every bowl, and every use draws its
 * own besides (docs/model.md#chance). The same seed gives the same answer.
 */
export function drawChance(question: ChanceQuestion): BowlChance[] {
  const { bowls, draws, seed, short } = question;
  const normal = normalsFrom(randomFrom(seed));
  const set = bowls.map(({ parts }) =>
    parts
      .filter((part) => part.medianG > 0)
      .map((part) => {
        const sd = logSd(part.cv);
        return {
          median: part.medianG,
          handSd: sd * Math.sqrt(part.hand),
          ownSd: sd * Math.sqrt(1 - part.hand),
        };
      }),
  );
  const needs = bowls.map(() => new Float64Array(draws));
  for (let draw = 0; draw < draws; draw++) {
    const hand = normal();
    for (let b = 0; b < set.length; b++) {
      let sum = 0;
      for (const part of set[b]!)
        sum += part.median * Math.exp(part.handSd * hand + part.ownSd * normal());
      needs[b]![draw] = sum;
    }
  }
  return bowls.map((bowl, b) => readDraws(bowl, needs[b]!, short));
}

function readDraws(
  { id, madeG }: ChanceQuestion['bowls'][number],
  draws: Float64Array,
  short: number,
): BowlChance {
  const sorted = draws.sort();
  const n = sorted.length;
  const at = (share: number): number => {
    const place = share * (n - 1);
    const low = sorted[Math.floor(place)]!;
    return low + (sorted[Math.ceil(place)]! - low) * (place - Math.floor(place));
  };
  // without the farthest thousandth on either side, which would flatten the picture
  const fromG = at(0.001);
  const wideG = Math.max(1e-9, (at(0.999) - fromG) / binCount);
  const counts = Array.from({ length: binCount }, () => 0);
  let misses = 0;
  for (const need of sorted) {
    if (need > madeG + 1e-9) misses += 1;
    const bin = Math.floor((need - fromG) / wideG);
    if (bin >= 0 && bin < binCount) counts[bin]! += 1;
  }
  const reached = sorted.subarray(0, n - misses);
  return {
    id,
    meanG: sorted.reduce((sum, need) => sum + need, 0) / n,
    lowG: at(0.05),
    medianG: at(0.5),
    highG: at(0.95),
    enoughG: at(1 - short),
    short: misses / n,
    leftG: reached.length > 0 ? madeG - reached[Math.floor(reached.length / 2)]! : 0,
    bins: { fromG, wideG, counts },
  };
}
