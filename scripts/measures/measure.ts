import { readFileSync } from 'node:fs';
import { readBuildFile, type Build } from '../../core/src/index.ts';

export interface Measure {
  name: string;
  unit: string;
  median: number;
  p95: number;
  budget: number;
  /** Which of the two the budget is for. */
  by: 'median' | 'p95';
}

const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;
export function measure(
  name: string,
  unit: string,
  samples: number[],
  budget: number,
  by: Measure['by'],
): Measure {
  const sorted = [...samples].sort((a, b) => a - b);
  return { name, unit, median: quantile(sorted, 0.5), p95: quantile(sorted, 0.95), budget, by };
}

/** Runs `work` so many times and keeps what the later runs took, in ms. */
export function timed(
  times: number,
  warm: number,
  work: (run: number) => void,
  before: (run: number) => void = () => undefined,
): number[] {
  const samples: number[] = [];
  for (let run = 0; run < times; run++) {
    before(run);
    const started = performance.now();
    work(run);
    if (run >= warm) samples.push(performance.now() - started);
  }
  return samples;
}

export function demo(name: string): Build {
  const text = readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8');
  const read = readBuildFile(text);
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.build;
}
