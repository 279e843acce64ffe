import type { Build } from './types.ts';

const weekMs = 7 * 86_400_000;
const isTime = /^\d{4}-\d\d-\d\dT\d\d:\d\d/;

/** "2027-06-19T16:00" so many weeks later, in the form it had. */
function later(time: string, weeks: number): string {
  const day = new Date(Date.parse(`${time.slice(0, 10)}T00:00:00Z`) + weeks * weekMs);
  return `${day.toISOString().slice(0, 10)}${time.slice(10)}`;
}

/**
 * A build as if the day it was written for were today: every date and time in it moves by whole weeks,
 * so that weekdays and hours stay.
 *
 * @param writtenOn "2027-05-15"
 */
export function atDate(build: Build, writtenOn: string, now: Date): Build {
  const days = (now.getTime() - Date.parse(`${writtenOn}T12:00:00Z`)) / 86_400_000;
  const weeks = Math.floor(days / 7);
  const move = (value: unknown): unknown => {
    if (typeof value === 'string') return isTime.test(value) ? later(value, weeks) : value;
    if (Array.isArray(value)) return value.map(move);
    if (value === null || typeof value !== 'object') return value;
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, move(inner)]));
  };
  const { bench, brief } = build;
  return {
    ...build,
    createdAt: later(build.createdAt, weeks),
    brief: { ...brief, serveAt: brief.serveAt && later(brief.serveAt, weeks) },
    bench: move(bench) as Build['bench'],
  };
}
