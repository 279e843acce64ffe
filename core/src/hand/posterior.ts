import { studentQuantile } from './student.ts';

/** Before anything is known: no bias, the weight of two records, three of scatter (docs/model.md#the-hand). */
const prior = { mean: 0, kappa: 2, alpha: 3 } as const;
/** A record counts half after so many builds. */
export const halfLifeBuilds = 20;

/** What happened once over what was planned, and how many builds ago. */
export interface HandRecord {
  ratio: number;
  buildsAgo: number;
}

/** What is known of one kind of figure: the log of actual over planned, normal-inverse-gamma. */
export interface Hand {
  mean: number;
  kappa: number;
  alpha: number;
  beta: number;
  /** Records it rests on, and what they weigh together. */
  count: number;
  weight: number;
}

/**
 * The posterior of one kind of figure from its records (docs/model.md#the-hand): each weighs half as much
 * for every twenty builds since; what is assumed before does not age.
 *
 * @param cv scatter that the plan assumes for this kind without records, as a share
 * @throws RangeError on a ratio that is not a positive number
 */
export function handOf(records: readonly HandRecord[], cv: number): Hand {
  const beta = (4 / 3) * Math.log(1 + cv * cv);
  let weight = 0;
  let sum = 0;
  for (const { ratio, buildsAgo } of records) {
    if (!(ratio > 0) || !Number.isFinite(ratio))
      throw new RangeError(`a ratio of ${ratio} is no record`);
    const w = 0.5 ** (buildsAgo / halfLifeBuilds);
    weight += w;
    sum += w * Math.log(ratio);
  }
  if (weight === 0) return { ...prior, beta, count: 0, weight: 0 };
  const mean = sum / weight;
  let squares = 0;
  for (const { ratio, buildsAgo } of records)
    squares += 0.5 ** (buildsAgo / halfLifeBuilds) * (Math.log(ratio) - mean) ** 2;
  const kappa = prior.kappa + weight;
  return {
    mean: (prior.kappa * prior.mean + weight * mean) / kappa,
    kappa,
    alpha: prior.alpha + weight / 2,
    beta: beta + squares / 2 + (prior.kappa * weight * (mean - prior.mean) ** 2) / (2 * kappa),
    count: records.length,
    weight,
  };
}

/** Median of the next: by how much a plan is moved, as a factor. Its mean is infinite, and never used. */
export const handFactor = ({ mean }: Hand): number => Math.exp(mean);

/** A quantile of the next, as a factor: `share` of the time it is no more than that. */
export function handQuantile({ mean, kappa, alpha, beta }: Hand, share: number): number {
  const scale = Math.sqrt((beta * (kappa + 1)) / (alpha * kappa));
  return Math.exp(mean + studentQuantile(share, 2 * alpha) * scale);
}

/** Between what the bias lies, nine times in ten, as factors. */
export function biasBetween({ mean, kappa, alpha, beta }: Hand): [low: number, high: number] {
  const half = studentQuantile(0.95, 2 * alpha) * Math.sqrt(beta / (alpha * kappa));
  return [Math.exp(mean - half), Math.exp(mean + half)];
}

/** Spread about the bias, as a share: the log's, from the mean of the variance. */
export const handScatter = ({ alpha, beta }: Hand): number =>
  Math.sqrt(Math.exp(beta / (alpha - 1)) - 1);
