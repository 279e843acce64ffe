import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainSigns, readAmount, readTrailing, type Measured } from '../src/recipes/amounts.ts';
import { inchesAndOunces, metric } from '../src/index.ts';

/* The amount at the beginning of a line of a recipe, as people write it. */

const short = (one: Measured): string =>
  one.by === 'mass'
    ? `${Math.round(one.g * 10) / 10} g`
    : one.by === 'volume'
      ? `${Math.round(one.ml * 10) / 10} mL`
      : `${Math.round(one.count * 1000) / 1000}`;
const read = (text: string, system = metric): string => {
  const amount = readAmount(plainSigns(text), system);
  if (!amount) return 'nothing';
  const { low, high, container, rest } = amount;
  const range = short(low) === short(high) ? short(low) : `${short(low)} to ${short(high)}`;
  return `${range}${container ? ` ${container.word}` : ''} | ${rest.trim()}`;
};

describe('an amount at the beginning of a line', () => {
  it.each([
    ['250 g butter', '250 g | butter'],
    ['1.5 kg flour', '1500 g | flour'],
    ['0,5 l milk', '500 mL | milk'],
    ['.5 l milk', '500 mL | milk'],
    ['2 dl cream', '200 mL | cream'],
    ['4 cl rum', '40 mL | rum'],
    ['500 mg salt', '0.5 g | salt'],
    ['1 1/2 cups flour', '375 mL | flour'],
    ['1½ cups flour', '375 mL | flour'],
    ['¾ tsp salt', '3.8 mL | salt'],
    ['2 heaped tbsp cocoa', '30 mL | cocoa'],
    ['1 T cocoa', '15 mL | cocoa'],
    ['1 t salt', '5 mL | salt'],
    ['1 dessertspoon honey', '10 mL | honey'],
    ['a pinch of salt', '1 | pinch of salt'],
    ['half a lemon', '0.5 | lemon'],
    ['half a dozen eggs', '6 | eggs'],
    ['a dozen eggs', '12 | eggs'],
    ['three quarters of a cup sugar', '187.5 mL | sugar'],
    ['one and a half cups sugar', '375 mL | sugar'],
    ['two eggs', '2 | eggs'],
    ['3 large eggs', '3 | large eggs'],
    ['2-3 tbsp milk', '30 mL to 45 mL | milk'],
    ['2 to 3 tbsp milk', '30 mL to 45 mL | milk'],
    ['3-2 tbsp milk', '3 | 2 tbsp milk'],
    ['1 lb 2 oz butter', '510.3 g | butter'],
    ['1 cup plus 2 tablespoons flour', '280 mL | flour'],
    ['2 x 250 g mascarpone', '500 g | mascarpone'],
    ['2 × 250 g mascarpone', '500 g | mascarpone'],
    ['2 sticks butter', '226.8 g sticks | butter'],
    ['1 tin (400 g) milk', '400 g tin | milk'],
    ['2 tins (400 g each) milk', '800 g tins | milk'],
    ['2 (250 g) tubs mascarpone', '500 g | mascarpone'],
    ['1 cup (120 g) flour', '120 g | flour'],
    ['1 cup (about 4 1/4 oz / 120 g) flour', '120.5 g | flour'],
    ['2 eggs plus 1 yolk', '2 | eggs plus 1 yolk'],
    ['1,000 g flour', 'nothing'],
    ['1/0 cup flour', 'nothing'],
    ['butter', 'nothing'],
    ['', 'nothing'],
  ])('“%s” is %s', (text, what) => {
    expect(read(text)).toBe(what);
  });
  it('is in the spoons, cups and pints of who wrote it', () => {
    expect(read('1 cup flour', inchesAndOunces)).toBe('237 mL | flour');
    expect(read('1 tbsp oil', inchesAndOunces)).toBe('14.8 mL | oil');
    expect(read('1 pint cream', inchesAndOunces)).toBe('473.2 mL | cream');
    expect(read('1 pint cream')).toBe('568.3 mL | cream');
    expect(read('8 fl oz milk', inchesAndOunces)).toBe('236.6 mL | milk');
    expect(read('8 fl. oz milk')).toBe('227.3 mL | milk');
    expect(read('1 qt stock', inchesAndOunces)).toBe('946.4 mL | stock');
  });
  it('weighs the same whichever way a number is written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.constantFrom(2, 4, 8), (whole, parts) => {
        const mixed = read(`${whole} 1/${parts} cups x`);
        expect(read(`${whole + 1 / parts} cups x`)).toBe(mixed);
        expect(read(`${whole}-1/${parts} cups x`)).toBe(mixed);
      }),
    );
  });
});

describe('an amount at the end of a line', () => {
  const trailing = (text: string): string | null => {
    const found = readTrailing(text, metric);
    return found && `${found.name} = ${short(found.amount.low)}`;
  };
  it.each([
    ['butter 250 g', 'butter = 250 g'],
    ['eggs: 4', 'eggs = 4'],
    ['plain flour, 300g', 'plain flour = 300 g'],
    ['milk - 2 dl', 'milk = 200 mL'],
    ['bake at 180 C', null],
    ['oven 350 F', null],
    ['butter', null],
    ['250 g butter', null],
  ])('“%s”', (text, what) => {
    expect(trailing(text)).toBe(what);
  });
});

describe('signs', () => {
  it('of fractions, dashes and crosses are plain', () => {
    expect(plainSigns('1½ – 2¼ × 3⁄4')).toBe('1 1/2 - 2 1/4 x 3/4');
    expect(plainSigns('2-1/2   cups')).toBe('2 1/2 cups');
    expect(plainSigns('  −3 ')).toBe('-3');
  });
});
