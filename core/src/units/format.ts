import { dayNumberText } from './days.ts';
import { G_PER_OZ, MM_PER_IN, OZ_PER_LB, spoonMl, type Kind, type UnitSystem } from './kinds.ts';
import { word } from './value-words.ts';

/** A figure as shown: its number and its unit apart, so that a screen can set them apart. */
export interface Shown {
  number: string;
  unit: string;
}

const trim = (n: number, decimals: number): string => {
  const text = n.toFixed(decimals);
  const short = decimals > 0 ? text.replace(/\.?0+$/, '') : text;
  // what is rounded to nothing has no sign
  return short === '-0' ? '0' : short;
};
const roundTo = (n: number, step: number): number => Math.round(n / step) * step;

/** 5.75 as "5 3/4", to the nearest 1/`parts`. */
export function asFraction(n: number, parts: number): string {
  const all = Math.round(Math.abs(n) * parts);
  const sign = n < 0 && all > 0 ? '-' : '';
  const whole = Math.floor(all / parts);
  let top = all % parts;
  let bottom = parts;
  while (top > 0 && top % 2 === 0 && bottom % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  if (top === 0) return `${sign}${whole}`;
  return whole === 0 ? `${sign}${top}/${bottom}` : `${sign}${whole} ${top}/${bottom}`;
}

function length(mm: number, kind: Kind, system: UnitSystem): Shown {
  if (kind === 'fine')
    return system.length === 'in'
      ? { number: trim(mm / MM_PER_IN, 2), unit: 'in' }
      : { number: trim(mm, 1), unit: 'mm' };
  if (system.length === 'in') {
    const parts = kind === 'size' ? 4 : 16;
    return { number: asFraction(mm / MM_PER_IN, parts), unit: 'in' };
  }
  if (kind === 'thickness')
    return { number: trim(mm < 10 ? roundTo(mm, 0.5) : Math.round(mm), 1), unit: 'mm' };
  if (kind === 'size') return { number: trim(roundTo(mm, 5) / 10, 1), unit: 'cm' };
  return { number: (Math.round(mm) / 10).toFixed(1), unit: 'cm' };
}

/** From here on a bowl is weighed to 5 g. */
const coarseG = 500;

/**
 * Grams as they are weighed and shown: one figure is one number, whichever way it is shown; to the gram,
 * a bowl to 5 g from half a kilogram on, what is fine to a tenth up to 20 g.
 */
export function weighableG(g: number, kind: Kind): number {
  if (kind === 'fineMass' && Math.abs(g) < 20) return Math.round(g * 10) / 10;
  return kind === 'bowl' && Math.abs(g) >= coarseG ? roundTo(g, 5) : Math.round(g);
}

function mass(g: number, kind: Kind, system: UnitSystem): Shown {
  if (kind === 'fineMass' && Math.abs(g) < 20)
    return system.mass === 'oz'
      ? { number: trim(g / G_PER_OZ, 2), unit: 'oz' }
      : { number: trim(g, 1), unit: 'g' };
  if (system.mass === 'oz') {
    const oz = g / G_PER_OZ;
    if (kind === 'weight') return { number: trim(oz / OZ_PER_LB, 1), unit: 'lb' };
    const step = kind === 'small' || oz < 4 ? 0.05 : 0.25;
    const rounded = roundTo(oz, step);
    if (rounded < OZ_PER_LB)
      return { number: step < 0.25 ? trim(rounded, 2) : asFraction(rounded, 4), unit: 'oz' };
    const quarter = roundTo(oz, 0.25);
    const lb = Math.floor(quarter / OZ_PER_LB);
    const left = quarter - lb * OZ_PER_LB;
    if (left === 0) return { number: `${lb}`, unit: 'lb' };
    return { number: `${lb} lb ${asFraction(left, 4)}`, unit: 'oz' };
  }
  if (kind === 'weight') return { number: trim(g / 1000, 1), unit: 'kg' };
  const rounded = weighableG(g, kind);
  if (rounded >= 1000) return { number: trim(rounded / 1000, 3), unit: 'kg' };
  return { number: trim(rounded, 0), unit: 'g' };
}

function volume(ml: number, system: UnitSystem): Shown {
  if (system.volume === 'cups') {
    const cups = ml / system.cupMl;
    if (cups >= 0.2) {
      const number = asFraction(cups, 4);
      return {
        number,
        unit: number === '1' || !/^\d/.test(number) || cups < 1 ? word('cup') : word('cups'),
      };
    }
    const { tbsp, tsp } = spoonMl(system);
    // from an eighth of a teaspoon below on, which would be shown as a whole one
    if (ml >= tbsp - tsp / 8) return { number: asFraction(ml / tbsp, 2), unit: word('tbsp') };
    return { number: asFraction(ml / tsp, 4), unit: word('tsp') };
  }
  const rounded = ml < 100 ? Math.round(ml) : roundTo(ml, 5);
  if (rounded >= 1000) return { number: trim(rounded / 1000, 2), unit: 'L' };
  return { number: trim(rounded, 0), unit: 'mL' };
}

function minutes(min: number): Shown {
  const all = Math.round(min);
  if (all < 120) return { number: `${all}`, unit: 'min' };
  if (all < 2880) {
    const left = all % 60;
    return left === 0
      ? { number: `${Math.floor(all / 60)}`, unit: 'h' }
      : { number: `${Math.floor(all / 60)} h ${String(left).padStart(2, '0')}`, unit: 'min' };
  }
  const hours = Math.round(all / 60);
  return hours % 24 === 0
    ? { number: `${hours / 24}`, unit: 'd' }
    : { number: `${Math.floor(hours / 24)} d ${hours % 24}`, unit: 'h' };
}

/** Degrees of a person's own thermometer, not rounded: for the axis of a chart. */
export const inDegrees = (c: number, { temperature }: UnitSystem): number =>
  temperature === 'C' ? c : (c * 9) / 5 + 32;

/** A number written with a point, as it is written there: "1.135" as "1,135" where that is the sign. */
export const withDecimal = (number: string, { decimal }: UnitSystem): string =>
  decimal === '.' ? number : number.replace(/(\d)\.(?=\d)/g, `$1${decimal}`);

/** A large count whose thousands stand apart, by no region’s sign: “10 000”. */
export const grouped = (count: number): string =>
  String(count).replace(/\B(?=(\d{3})+$)/g, '\u00a0');

/**
 * A value (mm, g, mL, C, min, or a plain number) as a person reads it: in their units, rounded as
 * its kind says, with their sign before tenths.
 */
export function show(value: number, kind: Kind, system: UnitSystem): Shown {
  const { number, unit } = byPoint(value, kind, system);
  return { number: withDecimal(number, system), unit };
}

/** The same with a point before tenths. */
function byPoint(value: number, kind: Kind, system: UnitSystem): Shown {
  if (!Number.isFinite(value)) return { number: '–', unit: '' };
  switch (kind) {
    case 'size':
    case 'span':
    case 'thickness':
    case 'fine':
      return length(value, kind, system);
    case 'bowl':
    case 'small':
    case 'fineMass':
    case 'weight':
      return mass(value, kind, system);
    case 'volume':
      return volume(value, system);
    case 'temperature': {
      if (system.temperature === 'C') return { number: trim(Math.round(value), 0), unit: '°C' };
      const f = inDegrees(value, system);
      // an oven's dial has steps of five
      return { number: trim(f >= 200 ? roundTo(f, 5) : Math.round(f), 0), unit: '°F' };
    }
    case 'minutes':
      return minutes(value);
    case 'share':
      return { number: trim(value * 100, Math.abs(value) < 0.1 ? 1 : 0), unit: '%' };
    case 'density':
      return { number: trim(value, 2), unit: 'g/mL' };
    case 'pressure':
      return value >= 1000
        ? { number: trim(value / 1000, 1), unit: 'kPa' }
        : { number: trim(value, 0), unit: 'Pa' };
    case 'bearing': {
      // a pascal is 0.0102 g on a square centimetre
      const gPerCm2 = value / 98.0665;
      return system.length === 'in'
        ? { number: trim((gPerCm2 * (MM_PER_IN / 10) ** 2) / G_PER_OZ, 1), unit: 'oz/sq in' }
        : { number: trim(gPerCm2, 1), unit: 'g/cm²' };
    }
    case 'area':
      return system.length === 'in'
        ? { number: trim(value / MM_PER_IN ** 2, 1), unit: 'sq in' }
        : { number: trim(value / 100, 0), unit: 'cm²' };
    case 'count':
      return { number: trim(value, 0), unit: '' };
    case 'money':
      return { number: `${system.currency}${value.toFixed(2)}`, unit: '' };
    case 'outlay':
      return { number: `${system.currency}${trim(value, 0)}`, unit: '' };
    case 'day':
      return { number: dayNumberText(value, system.dates), unit: '' };
    case 'margin': {
      const digits = value >= 10 ? 0 : 1;
      return {
        number: trim(Math.trunc(value * 10 ** digits + 1e-9) / 10 ** digits, digits),
        unit: '',
      };
    }
    case 'factor':
      return { number: trim(value, 3), unit: '' };
  }
}

/** The same as one text, "11.5 cm". */
export function showText(value: number, kind: Kind, system: UnitSystem): string {
  const { number, unit } = show(value, kind, system);
  if (unit === '') return number;
  return `${number} ${unit}`;
}
