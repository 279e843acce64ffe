import type { Step } from '../bench/steps.ts';
import type { Bench } from '../document/types.ts';
import { surroundingsOf } from '../heat/cool-places.ts';
import { coolPlaces, type Kitchen } from '../pantry/types.ts';

/** When what waits will be cold enough, by what a thermometer read in it. */
export interface Forecast {
  /** What was read last, C, and when. */
  readC: number;
  at: string;
  /** From that reading on; null where it never gets there in this place. Min. */
  leftMin: number | null;
  /** From when it was put there; null where no timer says when that was. Min. */
  totalMin: number | null;
}

type Waiting = Pick<Step, 'key' | 'probe' | 'hold' | 'hotC' | 'timer'>;

const minutesBetween = (from: string, to: string): number =>
  (Date.parse(to) - Date.parse(from)) / 60_000;

/** Two readings nearer to each other than this tell nothing of how fast it cools: min, K. */
const leastApart = { minutes: 4, kelvin: 1 };
/** A bowl cools at most so many times faster or slower than it was reckoned; beyond that a reading is wrong. */
const mostOff = 4;

/**
 * How a bowl that waits to cool goes on from its last reading (docs/model.md#holds): by the same curve
 * as planned, as fast as it has really gone from its first reading, or from when its timer was
 * started; by the planned rate where that says too little. Null where nothing was read, or where
 * nothing has to get cold.
 */
export function forecastOf(step: Waiting, bench: Bench, kitchen: Kitchen): Forecast | null {
  const { probe, hold, hotC, timer } = step;
  const readings = bench.notes
    .filter(
      ({ stepKey, kind, value }) =>
        stepKey === step.key && kind === 'temperature' && value !== null,
    )
    .sort((a, b) => a.at.localeCompare(b.at));
  const last = readings.at(-1);
  if (!probe || !timer || hotC === null || !last) return null;
  const place = coolPlaces.find((one) => one === hold?.place);
  if (!place) return null;
  const readC = last.value!;
  const begun = startOf(step.key, bench);
  const { toC } = probe;
  const airC = surroundingsOf(place, kitchen).tempC;
  const totalAfter = (leftMin: number): number | null =>
    begun === null ? null : Math.max(0, minutesBetween(begun, last.at)) + leftMin;
  if (readC <= toC) return { readC, at: last.at, leftMin: 0, totalMin: totalAfter(0) };
  if (toC <= airC) return { readC, at: last.at, leftMin: null, totalMin: null };
  const steps = (fromC: number, downC: number): number => Math.log((fromC - airC) / (downC - airC));
  const plannedTau = hotC > toC ? timer.minutes / steps(hotC, toC) : timer.minutes;
  const first = readings[0]!;
  const from =
    first !== last && minutesBetween(first.at, last.at) >= leastApart.minutes
      ? { at: first.at, c: first.value! }
      : begun === null
        ? null
        : { at: begun, c: hotC };
  const took = from === null ? 0 : minutesBetween(from.at, last.at);
  const says = from !== null && took >= leastApart.minutes && from.c - readC >= leastApart.kelvin;
  const tau = says
    ? Math.min(mostOff * plannedTau, Math.max(plannedTau / mostOff, took / steps(from.c, readC)))
    : plannedTau;
  const leftMin = tau * steps(readC, toC);
  return { readC, at: last.at, leftMin, totalMin: totalAfter(leftMin) };
}

/** When a step's first timer was started; null where none was. */
const startOf = (stepKey: string, { timers }: Bench): string | null =>
  timers
    .filter((timer) => timer.stepKey === stepKey)
    .map(({ startedAt }) => startedAt)
    .sort()[0] ?? null;

/**
 * Minutes that a wait which has begun still takes: by its last reading where there is one, else by its
 * running timer. Null where it has not begun.
 *
 * @param now ISO time
 */
export function minutesLeft(
  step: Waiting,
  bench: Bench,
  kitchen: Kitchen,
  now: string,
): number | null {
  const read = forecastOf(step, bench, kitchen);
  if (read?.leftMin != null) return Math.max(0, read.leftMin - minutesBetween(read.at, now));
  const running = bench.timers.filter(
    ({ stepKey, stoppedAt }) => stepKey === step.key && stoppedAt === null,
  );
  if (running.length === 0) return null;
  return Math.max(
    0,
    ...running.map(({ startedAt, minutes }) => minutes - minutesBetween(startedAt, now)),
  );
}
