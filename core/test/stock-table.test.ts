import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  emptyStock,
  leftOf,
  readPutAway,
  writePutAway,
  type Outline,
  type PutAwayKitchen,
  type Stock,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

const { sponges, spreads } = pantry;
const [sponge, otherSponge] = sponges;
const rounds: Stock = {
  ...emptyStock('rounds', '2027-05-03', sponge!.id),
  ...{ name: 'Rounds', amount: 6, taken: [{ buildId: 'moon', amount: 2 }] },
};
const bowl: Stock = {
  ...emptyStock('bowl', '2027-05-04', spreads[0]!.id),
  ...{ name: 'A bowl', layer: null, amount: 430, keptIn: 'fridge' },
};
const kitchen: PutAwayKitchen = { sponges, spreads, stock: [rounds, bowl] };
let fresh = 0;
const read = (text: string, of = kitchen) =>
  readPutAway(text, of, () => `own-${++fresh}`, '2027-06-01');
const rowsOf = (text: string, of = kitchen): Stock[] => {
  const result = read(text, of);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.rows;
};
const firstProblem = (text: string) => {
  const result = read(text);
  return result.ok ? null : result.problems[0]!;
};

describe('a table of what was put away', () => {
  it('comes back as it was saved, whatever shape the layers have', () => {
    const outlines: Outline[] = [
      { kind: 'round', diameterMm: 203.2 },
      { kind: 'square', sideMm: 180, cornerMm: 12 },
      { kind: 'rectangle', widthMm: 330, depthMm: 228.6, cornerMm: 0 },
      { kind: 'ring', diameterMm: 240, holeMm: 90 },
      { kind: 'petal', diameterMm: 211.37, petals: 7 },
      { kind: 'heart', widthMm: 199.99 },
      { kind: 'path', name: 'comet', points: [[0, 0], [100, 0], [60, 80]] }, // prettier-ignore
    ];
    const row = fc.record({
      outline: fc.constantFrom(null, ...outlines),
      heightMm: fc.integer({ min: 3, max: 150 }),
      amount: fc.integer({ min: 10, max: 90 }),
      taken: fc.integer({ min: 0, max: 9 }),
      of: fc.nat(30),
      keptIn: fc.constantFrom('freezer' as const, 'fridge' as const),
      name: fc.constantFrom('Rounds', '=1+1', 'Half; moon, "flat"', 'Über'),
    });
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 8 }), (all) => {
        const stock = all.map(
          ({ outline, heightMm, amount, taken, of, keptIn, name }, i): Stock => {
            const from = outline ? sponges : spreads;
            return {
              ...emptyStock(`row-${i}`, '2027-05-03', from[of % from.length]!.id),
              ...{ name, amount, keptIn, layer: outline && { outline, heightMm } },
              taken: taken > 0 ? [{ buildId: 'moon', amount: taken }] : [],
            };
          },
        );
        const of = { sponges, spreads, stock };
        expect(rowsOf(writePutAway(of), of)).toEqual(
          stock.map((each) => ({ ...each, source: 'own' })),
        );
      }),
      { numRuns: 60, seed: 2212 },
    );
  });
  it('counts what is left, beside what cakes took of it', () => {
    const [row] = rowsOf('id,name,left\nrounds,Rounds,3\n');
    expect(row).toMatchObject({ amount: 5, taken: rounds.taken, madeOfId: sponge!.id });
    expect(row!.layer).toEqual(rounds.layer);
    expect(leftOf(row!)).toBe(3);
    // all that cakes left of it is gone
    expect(leftOf(rowsOf('id,name,left\nrounds,Rounds,0\n')[0]!)).toBe(0);
  });
  it('adds layers and bowls that it does not know', () => {
    const [layers, cream] = rowsOf(
      'name;made of;shape;width mm;layer mm;left;kept in;made on\n' +
        `Small rounds;${otherSponge!.name.toUpperCase()};Round;152,4;22,5;4;Freezer;2027-05-20\n` +
        `Cream;${spreads[1]!.name};;;;250;fridge;\n`,
    );
    expect(layers).toMatchObject({
      ...{ madeOfId: otherSponge!.id, amount: 4, keptIn: 'freezer', madeOn: '2027-05-20' },
      layer: { outline: { kind: 'round', diameterMm: 152.4 }, heightMm: 22.5 },
    });
    expect(cream).toMatchObject({ madeOfId: spreads[1]!.id, layer: null, amount: 250 });
    expect(cream!.madeOn).toBe('2027-06-01');
    expect(new Set([layers!.id, cream!.id, 'rounds', 'bowl']).size).toBe(4);
  });
  it('takes a shape by its width alone where it is as deep as wide', () => {
    const line = (shape: string, width: string, depth: string) =>
      rowsOf(
        `name,made of,shape,width mm,depth mm,layer mm,left\nx,${sponge!.id},${shape},${width},${depth},20,1\n`,
      )[0]!.layer!.outline;
    expect(line('square', '180', '')).toEqual({ kind: 'square', sideMm: 180, cornerMm: 0 });
    expect(line('oval', '300', '200')).toEqual({ kind: 'oval', widthMm: 300, depthMm: 200 });
    expect(line('rectangle', '300', '200')).toMatchObject({ widthMm: 300, depthMm: 200 });
  });
  it('with anything wrong is refused whole, with line, column and value', () => {
    const layers = (cells: string): string =>
      `name,made of,shape,width mm,layer mm,left,kept in,made on\nx,${cells}\n`;
    const cases: [string, string, string][] = [
      ['name\nx', 'left', 'no column “left”'],
      ['name,left,colour\nx,1,red', 'colour', 'not a column'],
      [layers('Moon rock,round,200,25,4,freezer,'), 'made of', 'no sponge'],
      [layers('Moon rock,,,,4,freezer,'), 'made of', 'no filling or frosting'],
      [layers(`${sponge!.id},star,200,25,4,freezer,`), 'shape', 'drawn in the pantry'],
      [layers(`${sponge!.id},constructor,200,25,4,freezer,`), 'shape', 'drawn in the pantry'],
      [layers(`${sponge!.id},round,,25,4,freezer,`), 'width mm', 'missing'],
      [layers(`${sponge!.id},round,200,,4,freezer,`), 'layer mm', 'missing'],
      [layers(`${sponge!.id},round,200,25,few,freezer,`), 'left', 'not a number'],
      [layers(`${sponge!.id},round,200,25,,freezer,`), 'left', 'missing'],
      [layers(`${sponge!.id},round,200,25,4,cellar,`), 'kept in', 'freezer, fridge'],
      ['id,name,left\nrounds,x,1\nrounds,y,2', 'id', 'in line 2 already'],
      ['id,name,left\nbowl,A bowl,0', 'left', 'take the row out'],
    ];
    for (const [text, column, why] of cases) {
      const problem = firstProblem(text);
      expect(problem?.column, text).toBe(column);
      expect(problem?.message, text).toContain(why);
    }
    expect(firstProblem(layers(`${sponge!.id},round,200,25,4.5,freezer,`))?.message).toContain('whole'); // prettier-ignore
    expect(firstProblem(layers(`${sponge!.id},round,200,25,4,freezer,last week`))?.message).toContain('must be a day'); // prettier-ignore
    expect(firstProblem(layers(`${sponge!.id},round,9,25,4,freezer,`))?.line).toBe(2);
  });
});
