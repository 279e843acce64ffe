import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cellNumber,
  findFood,
  inchesAndOunces,
  metric,
  readFoods,
  readLine,
  readPasted,
  readRecipeTable,
  writeFoods,
  writeTable,
  type CsvProblem,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const { foods } = pantry;
const grams = (text: string, school: 'spooned' | 'sifted' | 'scooped' = 'spooned') =>
  readLine(text, foods, school, inchesAndOunces);
let fresh = 0;
const freshId = (): string => `own-${++fresh}`;
const problemsOf = (text: string): CsvProblem[] => {
  const read = readFoods(text, foods, freshId);
  return read.ok ? [] : read.problems;
};

describe('a pasted line', () => {
  it('is read with its amount before or behind, in any unit', () => {
    const cases: [string, string, number][] = [
      ['250 g butter', 'butter', 250],
      ['butter 250g', 'butter', 250],
      ['- 1.5 kg plain flour', 'plain-flour', 1500],
      ['2 cups caster sugar', 'caster-sugar', 400],
      ['2 1/4 cups plain flour', 'plain-flour', 281.25],
      ['1½ cups milk', 'milk', 367.5],
      ['½ cup cocoa powder', 'cocoa', 42.5],
      ['4 large eggs', 'eggs', 200],
      ['three egg yolks', 'egg-yolks', 51],
      ['an egg', 'eggs', 50],
      ['1 tsp vanilla', 'vanilla', 4],
      ['2 tbsp of icing sugar', 'icing-sugar', 15],
      ['8 oz cream cheese, softened', 'cream-cheese', 226.8],
      ['2-3 tbsp water', 'water', 37.03],
      ['1 lb (450 g) strawberries', 'strawberries', 450],
      ['Flour: 300 g', 'plain-flour', 300],
      ['1,5 kg icing sugar', 'icing-sugar', 1500],
    ];
    for (const [text, id, g] of cases) {
      const line = grams(text);
      expect([text, line.foodId, line.problem]).toEqual([text, id, null]);
      expect(line.massG!, text).toBeCloseTo(g, 0);
    }
  });
  it('says how the cup was filled, or takes the user’s school', () => {
    expect(grams('1 cup plain flour').massG).toBeCloseTo(125, 6);
    expect(grams('1 cup plain flour', 'scooped').massG).toBeCloseTo(140, 6);
    expect(grams('1 cup plain flour, sifted', 'scooped').massG).toBeCloseTo(110, 6);
    // a metric cup holds more of it
    expect(readLine('1 cup plain flour', foods, 'spooned', metric).massG).toBeCloseTo(
      (125 * 250) / 237,
      6,
    );
  });
  it('takes a pinch for a pinch', () => {
    expect(grams('a pinch of salt')).toMatchObject({ foodId: 'salt', massG: 0.4, problem: null });
  });
  it('that is not understood is kept as it stands, with the reason', () => {
    expect(grams('Mix everything and bake')).toMatchObject({
      kind: 'method',
      massG: null,
      name: 'Mix everything and bake',
    });
    expect(grams('some moon dust')).toMatchObject({
      massG: null,
      problem: 'no amount was found in it',
    });
    expect(grams('2 cups moon dust').problem).toContain('no cup weight is known of moon dust');
    expect(grams('3 moon rocks').problem).toContain('weighs is not known');
    expect(grams('200 g moon dust')).toMatchObject({ massG: 200, foodId: null });
    expect(grams('1 cup rolled fondant').problem).toContain('no cup weight is known');
    expect(grams('200 g').problem).toContain('no ingredient');
  });
  it('is never dropped, whatever it holds', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 60 }), { maxLength: 20 }), (raw) => {
        const text = raw.join('\n');
        const asked = text
          .replace(/^\uFEFF/, '')
          .split(/\r?\n/)
          .filter((line) => line.trim() !== '');
        const read = readPasted(text, foods, 'spooned', metric);
        expect(read.map((line) => line.text)).toEqual(asked);
        for (const line of read) {
          expect(line.massG === null || Number.isFinite(line.massG)).toBe(true);
          if (line.massG === null && line.kind === 'ingredient')
            expect(line.problem).not.toBeNull();
        }
      }),
    );
  });
  it('finds the nearest name: salted butter is not butter with salt', () => {
    expect(findFood('salted butter', foods)!.id).toBe('salted-butter');
    expect(findFood('soft unsalted butter', foods)!.id).toBe('butter');
    expect(findFood('ground almonds', foods)!.id).toBe('ground-almonds');
    expect(findFood('moon dust', foods)).toBeNull();
  });
});

describe('a table of ingredients', () => {
  it('comes back as it was saved', () => {
    const read = readFoods(writeFoods(foods), foods, freshId);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    for (const [i, row] of read.rows.entries()) {
      const before = foods[i]!;
      expect(row).toMatchObject({
        id: before.id,
        cupG: before.cupG,
        allergens: before.allergens,
        mayContain: before.mayContain,
        price: before.price,
        keepsDays: before.keepsDays,
        aliases: before.aliases,
      });
      expect(row.waterShare).toBeCloseTo(before.waterShare, 9);
    }
  });
  it('is read with a byte-order mark, semicolons and decimal commas', () => {
    const read = readFoods('\uFEFFname;pack g;price\nButter, unsalted;250;2,95\n', foods, freshId);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.rows).toHaveLength(1);
    expect(read.rows[0]).toMatchObject({ id: 'butter', price: 2.95, packG: 250, cupG: 227 });
    expect([cellNumber('1,5', true), cellNumber('1.5', false)]).toEqual([1.5, 1.5]);
    expect(cellNumber('1,5', false)).toBeNaN();
  });
  it('adds what is new and leaves out no column that it has', () => {
    const read = readFoods('name,stock g,allergens\nmoon dust,120,milk | eggs\n', foods, freshId);
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.rows[0]).toMatchObject({
      name: 'moon dust',
      stockG: 120,
      allergens: ['milk', 'eggs'],
      cupG: null,
    });
  });
  it('with anything wrong is refused whole, with line, column and value', () => {
    expect(problemsOf('')[0]!.message).toContain('empty');
    expect(problemsOf('food,price\nx,1')[0]!.message).toContain('no column “name”');
    expect(problemsOf('name,colour\nx,red')[0]!.message).toContain('“colour” is not a column');
    const [bad] = problemsOf('name,price\nbutter,2.5\nmilk,cheap\n');
    expect(bad).toMatchObject({ line: 3, column: 'price', value: 'cheap' });
    expect(problemsOf('name,water %\nx,130')[0]!.message).toContain('at most 1');
    expect(problemsOf('name,allergens\nx,fear')[0]!.value).toBe('fear');
    expect(problemsOf('name,water %,fat %\nx,70,60')[0]!.message).toContain('over 100 %');
    expect(problemsOf('name,price\nx,1\nx,2')[0]!.message).toContain('line 2 already');
    expect(problemsOf('name,price\n"x,1\ny,2')[0]!.message).toContain('quotation mark');
  });
  it('of more rows than anyone has is not read', () => {
    const many = `name\n${Array.from({ length: 20_000 }, (_, i) => `thing ${i}`).join('\n')}`;
    expect(problemsOf(many)[0]!.message).toMatch(/more than 10\s000 rows/);
  });
  it('writes no cell that a spreadsheet would run', () => {
    for (const cell of ['=1+1', '+cmd', '-2', '@sum', '\tx'])
      expect(writeTable(['a'], [[cell]]).split('\r\n')[1]).toMatch(/^"?'/);
    expect(writeTable(['a', 'b'], [['x', 1.5]])).toBe('a,b\r\nx,1.5\r\n');
    // and reads it back as it was
    const odd = { ...foods[0]!, id: 'odd', name: '=1+1' };
    const read = readFoods(writeFoods([odd]), [odd], freshId);
    expect(read.ok && read.rows[0]).toMatchObject({ id: 'odd', name: '=1+1' });
  });
});

describe('a table of recipes', () => {
  it('gives each recipe its lines, as if they were pasted', () => {
    const read = readRecipeTable(
      'recipe;amount;unit;ingredient\nMoon cake;1,5;kg;plain flour\n;4;;eggs\nSauce;200;g;butter\n',
    );
    if (!read.ok) throw new Error(read.problems[0]!.message);
    expect(read.rows).toEqual([
      { name: 'Moon cake', lines: ['1.5 kg plain flour', '4 eggs'], yieldG: null },
      { name: 'Sauce', lines: ['200 g butter'], yieldG: null },
    ]);
    expect(grams(read.rows[0]!.lines[0]!).massG).toBe(1500);
  });
  it('with other columns or a hole in it is refused whole', () => {
    const wrong = (text: string): string => {
      const read = readRecipeTable(text);
      return read.ok ? '' : read.problems[0]!.message;
    };
    expect(wrong('name,g\nx,1')).toContain('“recipe”, “amount”, “unit”, “ingredient”');
    expect(wrong('recipe,amount,unit,ingredient\nx,1,g,butter\nx,2,g,')).toContain('Line 3');
  });
});
