/** One reading and when it came, ms. */
export interface TimedReading {
  atMs: number;
  value: number;
}

/** A scale stands still when it has kept within this, g, for so long, ms. */
export const stillWithinG = 1.5;
export const stillForMs = 900;

/**
 * The value that readings have settled on: the mean of the last `stillForMs`, where all of those lie
 * within `within` of each other and reach back that far; null while they still move, or are too few.
 */
export function settledOn(
  readings: readonly TimedReading[],
  within = stillWithinG,
  forMs = stillForMs,
): number | null {
  const last = readings.at(-1);
  if (!last) return null;
  const recent = readings.filter(({ atMs }) => atMs >= last.atMs - forMs);
  const first = readings.find(({ atMs }) => atMs <= last.atMs - forMs);
  if (!first || recent.length < 3) return null;
  const values = recent.map(({ value }) => value);
  if (Math.max(...values) - Math.min(...values) > within) return null;
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
