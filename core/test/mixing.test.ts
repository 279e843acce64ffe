import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isSameMix,
  absorptionOf,
  gelFrom,
  mixedHex,
  mixFor,
  mostGelGPerKg,
  ombreBowls,
  reflectanceOf,
  shareBetween,
  stoodHex,
  gelsOf,
  startingPantry,
} from '../src/index.ts';
import { differenceOf, hexOf, lightOf } from '../src/colour/light.ts';

const usualGels = gelsOf(startingPantry().foods);
const gel = (name: string) => usualGels.find((one) => one.name === `${name} gel`)!;
const buttercream = '#fdf3d8';
const share = fc.double({ min: 0.02, max: 0.98, noNaN: true });
const hex = fc
  .tuple(
    fc.integer({ min: 20, max: 250 }),
    fc.integer({ min: 20, max: 250 }),
    fc.integer({ min: 20, max: 250 }),
  )
  .map((channels) => `#${channels.map((one) => one.toString(16).padStart(2, '0')).join('')}`);

describe('light', () => {
  it('of a colour is that colour again', () => {
    fc.assert(fc.property(hex, (one) => void expect(hexOf(lightOf(one))).toBe(one)), { numRuns: 200, seed: 5 }); // prettier-ignore
  });
  it('of black and white is as far apart as it can be: 100 in lightness', () => {
    expect(differenceOf([1, 1, 1], [0, 0, 0])).toBeCloseTo(100, 0);
    expect(differenceOf(lightOf('#808080'), lightOf('#808080'))).toBe(0);
  });
});

describe('what absorbs', () => {
  it('is known from what comes back, and back again', () => {
    fc.assert(fc.property(share, (r) => void expect(reflectanceOf(absorptionOf(r))).toBeCloseTo(r, 9)), { numRuns: 200, seed: 5 }); // prettier-ignore
    // half the light comes back: (1 - 0.5)² / (2 · 0.5)
    expect(absorptionOf(0.5)).toBeCloseTo(0.25, 12);
    expect(reflectanceOf(0)).toBe(1);
  });
});

describe('gel in a base', () => {
  it('none of it leaves the base as it is, endless gel leaves nothing of it', () => {
    fc.assert(
      fc.property(hex, (base) => {
        expect(mixedHex(base, [])).toBe(base);
        const black = mixedHex(base, [{ gel: gel('black'), gPerKg: 1e7 }]);
        expect(differenceOf(lightOf(black), lightOf('#000000'))).toBeLessThan(2);
      }),
      { numRuns: 60, seed: 5 },
    );
  });
  it('of two doses of the same is as one of both together', () => {
    const red = gel('red');
    expect(mixedHex(buttercream, [{ gel: red, gPerKg: 2 }, { gel: red, gPerKg: 3 }])).toBe(mixedHex(buttercream, [{ gel: red, gPerKg: 5 }])); // prettier-ignore
  });
  it('darkens with every gram, in each channel', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...usualGels),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0.01, max: 10, noNaN: true }),
        (one, dose, more) => {
          const [pale, deep] = [dose, dose + more].map((gPerKg) => lightOf(mixedHex(buttercream, [{ gel: one, gPerKg }]))); // prettier-ignore
          for (const k of [0, 1, 2] as const) expect(deep![k]).toBeLessThanOrEqual(pale![k]);
        },
      ),
      { numRuns: 200, seed: 5 },
    );
  });
  it('is known by a test spot within a twentieth', () => {
    for (const known of usualGels)
      for (const dose of [2, 6, 15]) {
        const found = gelFrom('own', buttercream, dose, mixedHex(buttercream, [{ gel: known, gPerKg: dose }])); // prettier-ignore
        // a channel that it hardly absorbs is lost in the steps of a screen's colour
        const most = Math.max(...known.perG);
        for (const k of [0, 1, 2] as const)
          expect(Math.abs(found.perG[k] - known.perG[k])).toBeLessThan(0.05 * most);
      }
  });
  it('deepens overnight', () => {
    const doses = [{ gel: gel('blue'), gPerKg: 4 }];
    const [now, then] = [mixedHex(buttercream, doses), stoodHex(buttercream, doses)].map(lightOf);
    expect(then![0]).toBeLessThan(now![0]);
  });
});

describe('gel for a wanted colour', () => {
  it('finds what a mix was made of', () => {
    const made = mixedHex(buttercream, [{ gel: gel('blue'), gPerKg: 3 }]);
    const mix = mixFor(made, buttercream, usualGels);
    expect(mix.reached).toBe(true);
    expect(mix.doses[0]!.gel.name).toBe('blue gel');
    expect(mix.doses[0]!.gPerKg).toBeCloseTo(3, 0);
  });
  it('is less of it in a paler shade, and never more than one may take', () => {
    const [rose, deep] = ['#f6c6d2', '#d8476f'].map((wanted) =>
      mixFor(wanted, '#fbf9f3', usualGels),
    );
    const all = (mix: typeof rose): number =>
      mix!.doses.reduce((sum, { gPerKg }) => sum + gPerKg, 0);
    expect(all(rose)).toBeLessThan(all(deep));
    for (const wanted of ['#000000', '#7a0010', '#102040'])
      expect(all(mixFor(wanted, buttercream, usualGels))).toBeLessThanOrEqual(mostGelGPerKg + 1e-9);
  });
  it('says where no gel gets: paler than the base, or bright on brown', () => {
    expect(mixFor('#ffffff', '#54362c', usualGels).reached).toBe(false);
    expect(mixFor('#9fd0f0', '#54362c', usualGels).reached).toBe(false);
    expect(mixFor(buttercream, buttercream, usualGels)).toMatchObject({ doses: [], reached: true });
  });
  it('shows what comes of it as it is mixed', () => {
    fc.assert(
      fc.property(hex, (wanted) => {
        const mix = mixFor(wanted, buttercream, usualGels.slice(0, 5));
        expect(mix.hex).toBe(mixedHex(buttercream, mix.doses));
        expect(mix.doses.length).toBeLessThanOrEqual(3);
      }),
      { numRuns: 10, seed: 5 },
    );
  });
});

describe('bands of an ombre from two bowls', () => {
  it('are mixed of the palest and the deepest, each between by its share', () => {
    const colours = [
      { name: 'deep', hex: '#335378', gPerKg: null, doses: [] },
      { name: 'middle', hex: '#4f7fbb', gPerKg: null, doses: [] },
      { name: 'pale', hex: '#b0c5df', gPerKg: null, doses: [] },
    ];
    const bowls = ombreBowls(colours.map(({ name }) => ({ tint: name })), colours)!; // prettier-ignore
    expect(bowls).toMatchObject({ pale: 'pale', deep: 'deep' });
    expect(bowls.shares[0]).toBe(1);
    expect(bowls.shares[2]).toBe(0);
    expect(bowls.shares[1]).toBeGreaterThan(0.05);
    expect(bowls.shares[1]).toBeLessThan(0.95);
    // nothing is said of colours that nobody has picked, nor where there is nothing between
    expect(ombreBowls([{ tint: 'deep' }, { tint: 'pale' }], colours)).toBeNull(); // prettier-ignore
    expect(ombreBowls(['deep', 'unknown', 'pale'].map((tint) => ({ tint })), colours)).toBeNull(); // prettier-ignore
  });
  it('are all of one at its ends, and between by as much as it is mixed', () => {
    const [pale, deep] = ['#b0c5df', '#335378'];
    expect(shareBetween(pale, deep, pale)).toBe(0);
    expect(shareBetween(pale, deep, deep)).toBe(1);
    const third = hexOf(
      [0, 1, 2].map((k) =>
        reflectanceOf(
          absorptionOf(lightOf(pale)[k]!) * 0.7 + absorptionOf(lightOf(deep)[k]!) * 0.3,
        ),
      ) as [number, number, number],
    );
    expect(shareBetween(pale, deep, third)).toBeCloseTo(0.3, 1);
  });
});

describe('a mix that is taken', () => {
  it('is the same as long as nobody could weigh the difference', () => {
    const one = [{ foodId: 'gel-blue', gPerKg: 4 }];
    expect(isSameMix(one, [{ foodId: 'gel-blue', gPerKg: 4.1 }])).toBe(true);
    expect(isSameMix(one, [{ foodId: 'gel-blue', gPerKg: 4.3 }])).toBe(false);
    expect(isSameMix(one, [{ foodId: 'gel-red', gPerKg: 4 }])).toBe(false);
    expect(isSameMix(one, [])).toBe(false);
  });
});
