import { minutesTo } from '../heat/cool-bowl.ts';

/** A temperature read in a bowl, and when, min. */
export interface TempReading {
  atMin: number;
  tempC: number;
}

/** How a bowl cools or warms: T(t) = Ta + (T0 - Ta)·exp(-t/tau), from its readings. */
export interface CoolingFit {
  aroundC: number;
  tauMin: number;
  /** On the curve, at the last reading. */
  nowC: number;
  /** Root of the mean square by which readings miss the curve, C. */
  missC: number;
}

/** Fewer or shorter than this, and no curve is drawn through them. */
const leastReadings = 5;
const leastSpanMin = 0.25;
/** A bowl that changes less than this over its readings tells nothing, C. */
const leastChangeC = 0.4;

/** Least squares of T = Ta + B·exp(-t/tau) for a given tau: B and Ta by the normal equations. */
function lineFor(
  readings: readonly TempReading[],
  tauMin: number,
  fixedC: number | null,
): { aroundC: number; startC: number; squares: number } {
  const t0 = readings[0]!.atMin;
  let [n, se, see, sy, sey] = [0, 0, 0, 0, 0];
  for (const { atMin, tempC } of readings) {
    const e = Math.exp(-(atMin - t0) / tauMin);
    n++;
    se += e;
    see += e * e;
    sy += tempC;
    sey += e * tempC;
  }
  const det = n * see - se * se;
  const b = fixedC === null ? (n * sey - se * sy) / det : (sey - fixedC * se) / see;
  const aroundC = fixedC ?? (sy - b * se) / n;
  let squares = 0;
  for (const { atMin, tempC } of readings)
    squares += (tempC - aroundC - b * Math.exp(-(atMin - t0) / tauMin)) ** 2;
  return { aroundC, startC: aroundC + b, squares };
}

/** The best time constant between a minute and two days, by golden section on its logarithm. */
function bestTau(readings: readonly TempReading[], fixedC: number | null): number {
  const golden = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [Math.log(1), Math.log(2880)];
  const miss = (log: number): number => lineFor(readings, Math.exp(log), fixedC).squares;
  let a = high - golden * (high - low);
  let b = low + golden * (high - low);
  let [fa, fb] = [miss(a), miss(b)];
  for (let i = 0; i < 60; i++) {
    if (fa < fb) {
      [high, b, fb] = [b, a, fa];
      a = high - golden * (high - low);
      fa = miss(a);
    } else {
      [low, a, fa] = [a, b, fb];
      b = low + golden * (high - low);
      fb = miss(b);
    }
  }
  return Math.exp((low + high) / 2);
}

/**
 * The cooling curve through the readings of a bowl (Newton's law, the lumped model of section 3).
 * What is around it is taken as given; only where that misses the readings by far, as when the bowl
 * went into the fridge, is it fitted as well. Null while there is too little to go by.
 *
 * @param aroundC temperature around the bowl, C
 */
export function fitCooling(readings: readonly TempReading[], aroundC: number): CoolingFit | null {
  const [first, last] = [readings[0], readings.at(-1)];
  if (!first || !last || readings.length < leastReadings) return null;
  const spanMin = last.atMin - first.atMin;
  const temps = readings.map(({ tempC }) => tempC);
  if (spanMin < leastSpanMin || Math.max(...temps) - Math.min(...temps) < leastChangeC) return null;
  const at = (fixedC: number | null): CoolingFit => {
    const tauMin = bestTau(readings, fixedC);
    const line = lineFor(readings, tauMin, fixedC);
    return {
      aroundC: line.aroundC,
      tauMin,
      nowC: line.aroundC + (line.startC - line.aroundC) * Math.exp(-spanMin / tauMin),
      missC: Math.sqrt(line.squares / readings.length),
    };
  };
  const given = at(aroundC);
  if (readings.length < 12) return given;
  const free = at(null);
  const isPossible = free.aroundC > -40 && free.aroundC < 250;
  return isPossible && free.missC < given.missC / 2 ? free : given;
}

/** Minutes until the bowl of a fit reaches a temperature; null where it never does. */
export const minutesUntil = (fit: CoolingFit, toC: number): number | null =>
  minutesTo(fit.nowC, toC, { tempC: fit.aroundC, surfaceW: 0 }, fit.tauMin);
