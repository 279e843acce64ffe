import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  pantryLimits,
  stiffnessOf,
  stiffnessWords,
  tendernessOf,
  tendernessWords,
  withStiffness,
  withTenderness,
} from '../src/index.ts';
import { pantry } from './arbitrary.ts';

/* Scales in words for what is measured. */

describe('a stiffness in a word', () => {
  const of = (id: string) => stiffnessOf(pantry.spreads.find((row) => row.id === id)!);
  it('is what a baker would call the starting rows', () => {
    expect(of('compote')).toBe('runny');
    expect(of('curd')).toBe('soft');
    expect(of('cheese')).toBe('holds a peak');
    expect(of('buttercream')).toBe('firm');
    expect(of('ganache')).toBe('sets hard');
  });
  it('sets figures that are called so, within what a row may have, and no other', () => {
    for (const spread of pantry.spreads)
      for (const word of stiffnessWords) {
        const set = withStiffness(spread, word);
        expect(stiffnessOf(set)).toBe(word);
        expect(set.stress4Pa).toBeLessThanOrEqual(pantryLimits.stressPa.max);
        // the cold still makes it stiffer
        if (set.stress4Pa < pantryLimits.stressPa.max && spread.stress4Pa > spread.stress21Pa)
          expect(set.stress4Pa).toBeGreaterThan(set.stress21Pa);
        expect({ ...set, stress21Pa: 0, stress4Pa: 0 }).toEqual({ ...spread, stress21Pa: 0, stress4Pa: 0 }); // prettier-ignore
      }
  });
  it('leaves what is called so already as it was measured', () => {
    for (const spread of pantry.spreads)
      expect(withStiffness(spread, stiffnessOf(spread))).toBe(spread);
  });
  it('goes up with the figure, from nothing to the most', () => {
    fc.assert(
      fc.property(fc.double(pantryLimits.stressPa), fc.double(pantryLimits.stressPa), (a, b) => {
        if (Number.isNaN(a) || Number.isNaN(b)) return;
        const [low, high] = [Math.min(a, b), Math.max(a, b)].map((stress21Pa) =>
          stiffnessWords.indexOf(stiffnessOf({ stress21Pa })),
        );
        expect(low).toBeLessThanOrEqual(high!);
      }),
      { numRuns: 100, seed: 3 },
    );
  });
});

describe('the tenderness of a sponge', () => {
  it('is the word whose figure is nearest, and sets it', () => {
    const of = (id: string) => tendernessOf(pantry.sponges.find((row) => row.id === id)!);
    expect(of('butter')).toBe('usual');
    expect(of('chiffon')).toBe('tender');
    expect(of('mud')).toBe('very firm');
    for (const sponge of pantry.sponges)
      for (const word of tendernessWords)
        expect(tendernessOf(withTenderness(sponge, word))).toBe(word);
  });
});
