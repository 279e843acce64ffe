import { describe, expect, it } from 'vitest';
import {
  addDays,
  addUp,
  asFraction,
  dayNumber,
  inchesAndOunces,
  inOwnUnits,
  kinds,
  metric,
  parseQuantity,
  readField,
  show,
  showText,
  stepOf,
  weighableG,
  type Kind,
  type Parsed,
  type UnitSystem,
} from '../src/index.ts';

/* Where one way of showing or reading a figure turns into the next. */

const imperial = inchesAndOunces;
const ounce = 28.349523125;

describe('a figure at the edge of how it is shown', () => {
  it.each([
    // lengths: to half a millimetre below ten, whole ones from there
    [9.7, 'thickness', '9.5 mm', '3/8 in'],
    [9.8, 'thickness', '10 mm', '3/8 in'],
    [10.4, 'thickness', '10 mm', '7/16 in'],
    [0.04, 'fine', '0 mm', '0 in'],
    [0.06, 'fine', '0.1 mm', '0 in'],
    [0.26, 'fine', '0.3 mm', '0.01 in'],
    [12.54, 'fine', '12.5 mm', '0.49 in'],
    [203.2, 'span', '20.3 cm', '8 in'],
    [200, 'span', '20.0 cm', '7 7/8 in'],
    [202.4, 'size', '20 cm', '8 in'],
    [202.6, 'size', '20.5 cm', '8 in'],
    // masses
    [0.44, 'fineMass', '0.4 g', '0.02 oz'],
    [19.96, 'fineMass', '20 g', '0.7 oz'],
    [20, 'fineMass', '20 g', '0.7 oz'],
    [20.4, 'fineMass', '20 g', '0.7 oz'],
    [8.37, 'small', '8 g', '0.3 oz'],
    [499.4, 'bowl', '499 g', '1 lb 1 1/2 oz'],
    [501, 'bowl', '500 g', '1 lb 1 3/4 oz'],
    [501, 'small', '501 g', '1 lb 1 3/4 oz'],
    [1000, 'small', '1 kg', '2 lb 3 1/4 oz'],
    [999, 'small', '999 g', '2 lb 3 1/4 oz'],
    [999, 'bowl', '1 kg', '2 lb 3 1/4 oz'],
    [4 * ounce, 'bowl', '113 g', '4 oz'],
    [3.9 * ounce, 'bowl', '111 g', '3.9 oz'],
    [4.1 * ounce, 'bowl', '116 g', '4 oz'],
    [4.1 * ounce, 'small', '116 g', '4.1 oz'],
    [10.5 * ounce, 'bowl', '298 g', '10 1/2 oz'],
    [15.9 * ounce, 'bowl', '451 g', '1 lb'],
    [32 * ounce, 'bowl', '905 g', '2 lb'],
    [1200, 'weight', '1.2 kg', '2.6 lb'],
    // volumes
    [99.4, 'volume', '99 mL', '1/2 cup'],
    [101, 'volume', '100 mL', '1/2 cup'],
    [998, 'volume', '1 L', '4 1/4 cups'],
    [997, 'volume', '995 mL', '4 1/4 cups'],
    [1250, 'volume', '1.25 L', '5 1/4 cups'],
    [474, 'volume', '475 mL', '2 cups'],
    [0.2 * 237, 'volume', '47 mL', '1/4 cup'],
    [47, 'volume', '47 mL', '3 tbsp'],
    [14.2, 'volume', '14 mL', '1 tbsp'],
    [14.1, 'volume', '14 mL', '2 3/4 tsp'],
    // temperatures: an oven's dial has steps of five
    [93, 'temperature', '93 °C', '199 °F'],
    [94, 'temperature', '94 °C', '200 °F'],
    [180, 'temperature', '180 °C', '355 °F'],
    [-18.4, 'temperature', '-18 °C', '-1 °F'],
    [-0.2, 'temperature', '0 °C', '32 °F'],
    // times
    [119.4, 'minutes', '119 min', '119 min'],
    [120, 'minutes', '2 h', '2 h'],
    [125, 'minutes', '2 h 05 min', '2 h 05 min'],
    [2879, 'minutes', '47 h 59 min', '47 h 59 min'],
    [2880, 'minutes', '2 d', '2 d'],
    [3300, 'minutes', '2 d 7 h', '2 d 7 h'],
    // the rest
    [0.034, 'share', '3.4 %', '3.4 %'],
    [0.1, 'share', '10 %', '10 %'],
    [0.456, 'share', '46 %', '46 %'],
    [0.954, 'density', '0.95 g/mL', '0.95 g/mL'],
    [999, 'pressure', '999 Pa', '999 Pa'],
    [1000, 'pressure', '1 kPa', '1 kPa'],
    [1460, 'pressure', '1.5 kPa', '1.5 kPa'],
    [980.665, 'bearing', '10 g/cm²', '2.3 oz/sq in'],
    [12000, 'area', '120 cm²', '18.6 sq in'],
    [12.4, 'count', '12', '12'],
    [0.12345, 'factor', '0.123', '0.123'],
    [2.4, 'money', '€2.40', '€2.40'],
    [Number.NaN, 'bowl', '–', '–'],
    [Infinity, 'minutes', '–', '–'],
  ] as [number, Kind, string, string][])('%s %s', (value, kind, cm, inches) => {
    expect(showText(value, kind, metric)).toBe(cm);
    expect(showText(value, kind, imperial)).toBe(inches);
  });
  it('has no sign when it is rounded to nothing', () => {
    for (const kind of kinds.filter((one) => !['money', 'temperature', 'day'].includes(one)))
      for (const system of [metric, imperial])
        expect(show(-1e-7, kind, system).number.replace(system.currency, ''), kind).toMatch(
          /^0(\.0)?$/,
        );
  });
  it('of what something bears is never more than it is, and two digits at most', () => {
    expect(show(1.96, 'margin', metric).number).toBe('1.9');
    expect(show(2, 'margin', metric).number).toBe('2');
    expect(show(12.97, 'margin', metric).number).toBe('12');
    expect(show(140.91, 'outlay', { ...metric, currency: '£' }).number).toBe('£141');
  });
  it('is a fraction in its lowest terms, of either sign', () => {
    expect(asFraction(5.75, 4)).toBe('5 3/4');
    expect(asFraction(5.5, 16)).toBe('5 1/2');
    expect(asFraction(0.0625, 16)).toBe('1/16');
    expect(asFraction(0.99, 4)).toBe('1');
    expect(asFraction(0, 4)).toBe('0');
    expect(asFraction(-2.25, 4)).toBe('-2 1/4');
    expect(asFraction(-0.05, 4)).toBe('0');
  });
  it('is weighed as it is shown', () => {
    expect(weighableG(19.96, 'fineMass')).toBe(20);
    expect(weighableG(3.14, 'fineMass')).toBe(3.1);
    expect(weighableG(20.4, 'fineMass')).toBe(20);
    expect(weighableG(499.6, 'bowl')).toBe(500);
    expect(weighableG(502.6, 'bowl')).toBe(505);
    expect(weighableG(502.6, 'small')).toBe(503);
    for (const kind of ['bowl', 'small', 'fineMass'] as const)
      for (const g of [0.26, 7.7, 19.94, 20, 499, 500, 502.6, 1234.4])
        expect(showText(weighableG(g, kind), kind, metric)).toBe(showText(g, kind, metric));
  });
});

describe('plus and minus', () => {
  it.each([
    ['fine', 0.1, 0.254],
    ['size', 5, 6.35],
    ['span', 1, 1.5875],
    ['thickness', 1, 1.5875],
    ['small', 1, 1],
    ['bowl', 5, 5],
    ['volume', 5, 5],
    ['temperature', 1, 1],
    ['share', 0.01, 0.01],
    ['minutes', 1, 1],
    ['money', 1, 1],
  ] as [Kind, number, number][])('of a %s', (kind, cm, inches) => {
    expect(stepOf(kind, metric)).toBe(cm);
    expect(stepOf(kind, imperial)).toBe(inches);
  });
});

interface Asked {
  current?: number | null;
  kind?: Kind;
  min?: number;
  max?: number;
}

describe('what a field takes', () => {
  const at = (
    text: string,
    { current = 5, kind = 'thickness', min = 3, max = 150 }: Asked = {},
    system: UnitSystem = metric,
  ): Parsed => readField(text, current, kind, system, { min, max });

  it('is all from its least to its greatest, those two included', () => {
    expect(at('3')).toEqual({ ok: true, value: 3 });
    expect(at('150')).toEqual({ ok: true, value: 150 });
    expect(at('2.9').ok).toBe(false);
    expect(at('150.1').ok).toBe(false);
    // inches of a limit are not turned away for the last digit of a double
    const inchMax = at('5.9055118110236222', { max: 150 }, imperial);
    expect(inchMax.ok).toBe(true);
  });
  it('is below nothing only where that may be', () => {
    expect(at('-1', { min: 0 })).toEqual({
      ok: false,
      problem: 'This cannot be less than nothing.',
    });
    expect(at('-1', { min: -5 })).toEqual({ ok: true, value: -1 });
    expect(at('-9', { min: -5 })).toEqual({ ok: false, problem: 'At least -5 mm.' });
    // a temperature is not nothing at zero
    expect(at('-1', { kind: 'temperature', min: 0, max: 40 })).toEqual({
      ok: false,
      problem: 'At least 0 °C.',
    });
    expect(at('0', { min: 0 })).toEqual({ ok: true, value: 0 });
  });
  it('is the stored value to the last digit when the text was left alone, blanks or not', () => {
    expect(at(' 7 mm ', { current: 7.1 })).toEqual({ ok: true, value: 7.1 });
    expect(at('7', { current: null })).toEqual({ ok: true, value: 7 });
  });
  it('says what could not be read', () => {
    const read = at('seven');
    expect(read.ok ? '' : read.problem).toContain('seven');
  });
});

describe('typing, in other ways', () => {
  const read = (text: string, kind: Kind, system = metric, density?: number): number | string => {
    const parsed = parseQuantity(text, kind, system, density);
    return parsed.ok ? Math.round(parsed.value * 1e4) / 1e4 : parsed.problem;
  };
  it.each([
    ['  20   cm  ', 'size', 200],
    ['.5 kg', 'bowl', 500],
    ['1. kg', 'bowl', 1000],
    ['1,5 kg', 'bowl', 1500],
    ['1-1/2 in', 'size', 38.1],
    ['12-10/16 in', 'size', 320.675],
    ['1 10/16 in', 'size', 41.275],
    ['1 1⁄2 in', 'size', 38.1],
    ['¾ in', 'size', 19.05],
    ['5.', 'thickness', 5],
    ['3 lb', 'weight', 1360.7771],
    ['4', 'weight', 4000],
    ['90 s', 'minutes', 1.5],
    ['2 days', 'minutes', 2880],
    ['0:05', 'minutes', 5],
    ['35', 'minutes', 35],
    ['300', 'pressure', 300],
    ['2 kPa', 'pressure', 2000],
    ['0.95', 'density', 0.95],
    ['0.95 g/cm3', 'density', 0.95],
    ['€ 2.40', 'money', 2.4],
    ['2.40 €', 'money', 2.4],
    ['sq. cm 3', 'area', 'not a quantity'],
    ['3 square centimetres', 'area', 300],
    ['3 sqin', 'area', 1935.48],
    ['3 sq. inches', 'area', 1935.48],
    ['2 c.', 'volume', 500],
    ['2 cups.', 'volume', 500],
    ['−5 °c', 'temperature', -5],
    ['5-3', 'size', 'not a quantity'],
    ['1/2/3', 'size', 'not a'],
    ['2 1/0 in', 'size', 'not a number'],
    ['12,345 g', 'bowl', 'two ways'],
    ['1,2345 g', 'bowl', 1.2345],
    ['0.250 kg', 'bowl', 250],
    ['2 cm 5', 'size', 'Which unit'],
    ['7', 'count', 7],
    ['7 8', 'count', 'Which unit'],
    ['1:75', 'minutes', 'not a quantity'],
    ['1:20', 'size', 'not a quantity'],
  ] as [string, Kind, number | string][])('“%s” as a %s', (text, kind, value) => {
    if (typeof value === 'number') expect(read(text, kind)).toBe(value);
    else expect(read(text, kind)).toContain(value);
  });
  it('takes a bare number in the unit of the reader’s own school', () => {
    expect(read('4', 'weight', imperial)).toBe(1814.3695);
    expect(read('2', 'fine', metric)).toBe(2);
    expect(read('2', 'span', metric)).toBe(20);
    expect(read('100', 'volume', metric)).toBe(100);
    expect(read('2', 'area', imperial)).toBe(1290.32);
    expect(read('100', 'temperature', imperial)).toBe(37.7778);
    // degrees Celsius below zero are converted after the sign, whichever way the reader counts
    expect(read('-4 c', 'temperature', imperial)).toBe(-4);
    expect(read('-4 f', 'temperature', metric)).toBe(15.5556 - 0);
  });
  it('weighs a cup, and fills one, where the density is known', () => {
    expect(read('1 cup', 'bowl', metric, 0.6)).toBe(150);
    expect(read('150 g', 'volume', metric, 0.6)).toBe(250);
    expect(read('150 g', 'volume')).toContain('measures mass');
    expect(read('20 cm', 'volume', metric, 0.6)).toContain('measures length');
  });
});

describe('days', () => {
  it('go over the ends of months and years', () => {
    expect(addDays('2027-02-27', 2)).toBe('2027-03-01');
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2027-12-31', 1)).toBe('2028-01-01');
    expect(addDays('2027-03-01', -1)).toBe('2027-02-28');
    expect(addDays('2027-10-30', 7)).toBe('2027-11-06');
  });
  it('are written as people write them', () => {
    const text = (day: string, dates: UnitSystem['dates']): string =>
      showText(dayNumber(day), 'day', { ...metric, dates });
    expect(text('2027-05-03', 'dmy')).toBe('3 May 2027');
    expect(text('2027-12-31', 'mdy')).toBe('Dec 31, 2027');
    expect(text('2028-01-10', 'ymd')).toBe('2028 Jan 10');
    expect(text('1969-12-31', 'dmy')).toBe('31 Dec 1969');
  });
});

describe('parts of a sum', () => {
  it('are rounded so that they add up, those that lost most going up first', () => {
    expect(addUp([1.4, 1.4, 1.2])).toEqual([2, 1, 1]);
    expect(addUp([0.2, 0.9, 0.9])).toEqual([0, 1, 1]);
    expect(addUp([33.3, 33.3, 33.4], 5)).toEqual([35, 30, 35]);
    // two that lost the same: the first of them
    expect(addUp([2.5, 2.5, 2.5, 2.5])).toEqual([3, 3, 2, 2]);
    // what a sum of doubles loses is not a step less
    expect(addUp([0.1 + 0.2, 0.7], 0.1).map((n) => n.toFixed(1))).toEqual(['0.3', '0.7']);
    expect(addUp([])).toEqual([]);
  });
});

describe('sizes in names', () => {
  it('below five centimetres go by sixteenths, above by halves', () => {
    expect(inOwnUnits('Ring 4 cm', imperial)).toBe('Ring 1 9/16 in');
    expect(inOwnUnits('Rod 6 mm', imperial)).toBe('Rod 1/4 in');
    expect(inOwnUnits('Tin 5 cm', imperial)).toBe('Tin 2 in');
    expect(inOwnUnits('Tin 20 × 30 cm', imperial)).toBe('Tin 8 × 12 in');
    expect(inOwnUnits('Board 24/26 cm', imperial)).toBe('Board 9 1/2 / 10 in');
    expect(inOwnUnits('120 cm²', imperial)).toBe('120 cm²');
    expect(inOwnUnits('Round 20 cm at 180 °C', metric)).toBe('Round 20 cm at 180 °C');
    expect(inOwnUnits('Round 20 cm at 180 °C', imperial)).toBe('Round 8 in at 355 °F');
  });
});
