import type { Hours } from './types.ts';

/** A span in which somebody works, minutes before the deadline, negative. */
export interface Window {
  fromMin: number;
  toMin: number;
}

/** How far back work is looked for. */
export const mostDays = 14;

/**
 * The spans in which one works before a deadline, latest first. Days are those of the calendar where
 * the cake is made: on the day that a clock is put forward or back a span is as long as it really is.
 *
 * @param hours from Monday to Sunday
 */
export function windowsBefore(deadline: Date, hours: readonly Hours[]): Window[] {
  const windows: Window[] = [];
  for (let back = 0; back <= mostDays; back++) {
    const day = new Date(
      deadline.getFullYear(),
      deadline.getMonth(),
      deadline.getDate() - back,
      12,
    );
    const own = hours[(day.getDay() + 6) % 7];
    if (!own || own.to <= own.from) continue;
    const at = (minutes: number): number =>
      Math.round(
        (new Date(
          day.getFullYear(),
          day.getMonth(),
          day.getDate(),
          Math.floor(minutes / 60),
          minutes % 60,
        ).getTime() -
          deadline.getTime()) /
          60_000,
      );
    const [fromMin, toMin] = [at(own.from), Math.min(0, at(own.to))];
    if (toMin > fromMin) windows.push({ fromMin, toMin });
  }
  return windows;
}

/** Minutes that can be worked between a time and the deadline. */
export const workedSince = (windows: readonly Window[], fromMin: number): number =>
  windows.reduce((sum, one) => sum + Math.max(0, one.toMin - Math.max(one.fromMin, fromMin)), 0);

/** The latest start from which so many minutes can still be worked before the deadline; null where there are too few. */
export function latestFor(windows: readonly Window[], minutes: number): number | null {
  let left = minutes;
  for (const one of windows) {
    const long = one.toMin - one.fromMin;
    if (left <= long) return one.toMin - left;
    left -= long;
  }
  return null;
}
