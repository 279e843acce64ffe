import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addUp,
  fieldProblem,
  fieldWords,
  inchesAndOunces,
  kinds,
  inOwnUnits,
  startingPantry,
  weightText,
  metric,
  parseQuantity,
  phrase,
  readField,
  say,
  show,
  showText,
  type Kind,
  type UnitSystem,
} from '../src/index.ts';

const read = (text: string, kind: Kind, system: UnitSystem = metric): number => {
  const parsed = parseQuantity(text, kind, system);
  if (!parsed.ok) throw new Error(parsed.problem);
  return parsed.value;
};
const refusal = (text: string, kind: Kind, system: UnitSystem = metric): string => {
  const parsed = parseQuantity(text, kind, system);
  return parsed.ok ? `took ${parsed.value}` : parsed.problem;
};

describe('typing a quantity', () => {
  it.each([
    ['20cm', 'size', 200],
    ['20 cm', 'size', 200],
    ['20', 'size', 200],
    ['8in', 'size', 203.2],
    ['8"', 'size', 203.2],
    ['3/4 in', 'size', 19.05],
    ['1 3/4 in', 'size', 44.45],
    ['7', 'thickness', 7],
    ['0.7 cm', 'thickness', 7],
    ['7,5 mm', 'thickness', 7.5],
    ['1.2 kg', 'bowl', 1200],
    ['2 lb 3 oz', 'bowl', 35 * 28.349523125],
    ['1 1/2 cups', 'volume', 375],
    ['1½ cups', 'volume', 375],
    ['2 tbsp', 'volume', 30],
    ['1 tsp', 'volume', 5],
    ['1.5 L', 'volume', 1500],
    ['350 F', 'temperature', 176.6666667],
    ['-18 C', 'temperature', -18],
    ['1 h 20 min', 'minutes', 80],
    ['1:20', 'minutes', 80],
    ['12 %', 'share', 0.12],
    ['12', 'share', 0.12],
  ] as [string, Kind, number][])('reads %s as %s', (text, kind, value) => {
    expect(read(text, kind)).toBeCloseTo(value, 6);
  });

  it('takes a bare number in the unit that the field shows', () => {
    expect(read('8', 'size', inchesAndOunces)).toBeCloseTo(203.2);
    expect(read('8', 'bowl', inchesAndOunces)).toBeCloseTo(226.796);
    expect(read('2', 'volume', inchesAndOunces)).toBe(474);
    expect(read('-4', 'temperature', inchesAndOunces)).toBeCloseTo(-20);
  });

  it('takes a bare number in the unit on the screen, whatever the kind, and never reads 2 mm as 2 cm', () => {
    const typed = (text: string, current: number, kind: Kind, system: UnitSystem = metric) => {
      const range = { min: -1e9, max: 1e9 };
      const field = readField(text, current, kind, system, range);
      return field.ok ? field.value : Number.NaN;
    };
    expect(typed('2', 4, 'fine')).toBe(2);
    expect(typed('2', 40, 'span')).toBe(20);
    expect(typed('2', 1200, 'bowl')).toBe(2000);
    expect(typed('900 g', 1200, 'bowl')).toBe(900);
    expect(typed('3', 180, 'minutes')).toBe(180);
    expect(typed('90', 45, 'minutes')).toBe(90);
    expect(typed('2', 1000, 'bowl', inchesAndOunces)).toBeCloseTo(2 * 28.3495, 3);
    // for every kind and unit: what is shown, typed without its unit, stays where it was
    // what bears on cake is shown and never typed
    for (const kind of kinds.filter((one) => one !== 'bearing'))
      for (const system of [metric, inchesAndOunces])
        for (const value of [0.004, 0.4, 4, 36, 250, 1500]) {
          const { number, unit } = show(value, kind, system);
          if (!/^[\d.]+$/.test(number)) continue;
          const read = parseQuantity(number, kind, system, undefined, unit);
          const again = read.ok ? show(read.value, kind, system) : read;
          expect([kind, value, again]).toEqual([kind, value, { number, unit }]);
        }
  });
  it('takes areas', () => {
    expect(read('120 cm2', 'area')).toBe(12000);
    expect(read('120 cm²', 'area')).toBe(12000);
    expect(read('18 sq in', 'area')).toBeCloseTo(18 * 645.16, 6);
    expect(read('18 square inches', 'area')).toBeCloseTo(18 * 645.16, 6);
    expect(read('120', 'area')).toBe(12000);
    expect(read('18', 'area', inchesAndOunces)).toBeCloseTo(18 * 645.16, 6);
  });

  it('takes cups for grams where the density is known', () => {
    const parsed = parseQuantity('2 cups', 'bowl', metric, 0.95);
    expect(parsed).toEqual({ ok: true, value: 475 });
  });

  it.each([
    ['', 'size', 'Type a quantity'],
    ['tall', 'size', 'not a quantity'],
    ['20 g', 'size', 'measures mass'],
    ['20 furlongs', 'size', 'not a unit'],
    ['1/0 in', 'size', 'not a number'],
    ['1,250', 'bowl', 'two ways'],
    ['12 13', 'bowl', 'Which unit'],
    ['NaN', 'bowl', 'not a quantity'],
    ['Infinity', 'bowl', 'not a quantity'],
  ] as [string, Kind, string][])('refuses “%s” for a %s', (text, kind, why) => {
    expect(refusal(text, kind)).toContain(why);
  });

  it('names the limit, in the reader’s units', () => {
    const at = (text: string, system: UnitSystem) =>
      readField(text, 10, 'thickness', system, { min: 3, max: 150 });
    expect(at('1', metric)).toEqual({ ok: false, problem: 'At least 3 mm.' });
    expect(at('99 in', inchesAndOunces)).toEqual({ ok: false, problem: 'At most 5 7/8 in.' });
    expect(at('-5', metric)).toEqual({ ok: false, problem: 'This cannot be less than nothing.' });
    expect(readField('2.5', 2, 'count', metric, { min: 1, max: 9 }).ok).toBe(false);
  });
});

describe('showing a quantity', () => {
  it.each([
    [141, 'size', '14 cm', '5 1/2 in'],
    [143, 'size', '14.5 cm', '5 3/4 in'],
    [6.35, 'thickness', '6.5 mm', '1/4 in'],
    [22, 'thickness', '22 mm', '7/8 in'],
    [1283, 'bowl', '1.285 kg', '2 lb 13 1/4 oz'],
    [67.4, 'bowl', '67 g', '2.4 oz'],
    [67.4, 'small', '67 g', '2.4 oz'],
    [4875, 'weight', '4.9 kg', '10.7 lb'],
    [177.8, 'temperature', '178 °C', '350 °F'],
    [21, 'temperature', '21 °C', '70 °F'],
    [95, 'minutes', '95 min', '95 min'],
    [250, 'minutes', '4 h 10 min', '4 h 10 min'],
    [0.185, 'share', '19 %', '19 %'],
  ] as [number, Kind, string, string][])('%s as %s', (value, kind, cm, inches) => {
    expect(showText(value, kind, metric)).toBe(cm);
    expect(showText(value, kind, inchesAndOunces)).toBe(inches);
  });

  it('writes cups, tablespoons and teaspoons', () => {
    expect(showText(355, 'volume', inchesAndOunces)).toBe('1 1/2 cups');
    expect(showText(237, 'volume', inchesAndOunces)).toBe('1 cup');
    expect(showText(30, 'volume', inchesAndOunces)).toBe('2 tbsp');
    expect(showText(5, 'volume', inchesAndOunces)).toBe('1 tsp');
  });

  it('puts figures into phrases, and degrees of recipes into the reader’s own', () => {
    expect(say(phrase('Warm {m} to 71 °C', { m: [500, 'bowl'] }), inchesAndOunces)).toBe(
      'Warm 1 lb 1 3/4 oz to 160 °F',
    );
  });
});

describe('a round trip never drifts', () => {
  const kinds: Kind[] = ['size', 'thickness', 'span', 'bowl', 'small', 'weight', 'volume', 'share'];
  it('gives back the stored value when the shown text is left as it is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.constantFrom(...kinds),
        fc.constantFrom(metric, inchesAndOunces),
        (value, kind, system) => {
          const read = readField(showText(value, kind, system), value, kind, system, {
            min: 0,
            max: 1e6,
          });
          expect(read).toEqual({ ok: true, value });
        },
      ),
    );
  });

  it('reads every text it shows, to what it shows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 5000, noNaN: true }),
        fc.constantFrom(...kinds),
        fc.constantFrom(metric, inchesAndOunces),
        (value, kind, system) => {
          const shown = showText(value, kind, system);
          const parsed = parseQuantity(shown, kind, system);
          expect(parsed.ok, shown).toBe(true);
          if (parsed.ok) expect(showText(parsed.value, kind, system)).toBe(shown);
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe('where a value stands', () => {
  it('is told in words, never as a path', () => {
    expect(fieldWords('tiers[0].layers[2].heightMm')).toBe('tier 1, layer 3, height');
    expect(fieldWords('branches[1].berries[0].patchesMm[2]')).toBe('branch 2, berry 1, patch 3');
    expect(fieldProblem('', 'is wrong', 'the recipe')).toBe('The recipe is wrong');
  });
});

describe('names with sizes in them', () => {
  it('are in inches for who thinks in inches, by the sizes that are sold', () => {
    const inch = (text: string): string => inOwnUnits(text, inchesAndOunces);
    expect(
      ['Round 15 cm', 'Round 20 cm', 'Round 23 cm', 'Round 25 cm', 'Round 30 cm'].map(inch),
    ).toEqual(['Round 6 in', 'Round 8 in', 'Round 9 in', 'Round 10 in', 'Round 12 in']);
    expect(inch('Tray 33 × 23 cm')).toBe('Tray 13 × 9 in');
    expect(inch('Hardwood rod 6 mm')).toBe('Hardwood rod 1/4 in');
    expect(inch('bake at 180 °C')).toBe('bake at 355 °F');
    expect(inOwnUnits('Round 20 cm', metric)).toBe('Round 20 cm');
    expect(say(phrase('The Round 20 cm is too small.'), inchesAndOunces)).toBe(
      'The Round 8 in is too small.',
    );
  });
  it('small amounts are spoons where ounces would show next to nothing', () => {
    const soda = startingPantry().foods.find((food) => food.id === 'baking-soda')!;
    expect(weightText(2.2, 'fineMass', soda, 'spooned', inchesAndOunces)).toBe('1/2 tsp');
    expect(weightText(2.2, 'fineMass', soda, 'spooned', metric)).toBe('2.2 g');
    expect(weightText(200, 'bowl', soda, 'spooned', inchesAndOunces)).toBe('7 oz');
    expect(weightText(2.2, 'fineMass', null, 'spooned', inchesAndOunces)).toBe('0.08 oz');
  });
});

describe('parts that add up', () => {
  it('are each within a step of what they are, and come to their rounded sum', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 5000, noNaN: true }), { minLength: 1, maxLength: 12 }),
        fc.constantFrom(1, 5),
        (parts, step) => {
          const rounded = addUp(parts, step);
          const sum = rounded.reduce((all, n) => all + n, 0);
          const whole = parts.reduce((all, n) => all + n, 0);
          expect(sum).toBeCloseTo(Math.round(whole / step) * step, 6);
          rounded.forEach((n, i) => expect(Math.abs(n - parts[i]!)).toBeLessThan(step + 1e-6));
        },
      ),
      { seed: 10, numRuns: 300 },
    );
    expect(addUp([105.6, 105.7, 105.7])).toEqual([105, 106, 106]);
  });
  it('show one figure as one number, in a bowl and by itself', () => {
    for (const g of [4, 67.4, 105.6, 106.4, 148, 499]) {
      expect(showText(g, 'bowl', metric)).toBe(showText(g, 'small', metric));
    }
  });
});
