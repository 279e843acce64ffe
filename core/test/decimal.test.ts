import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  inchesAndOunces,
  kinds,
  metric,
  parseQuantity,
  showText,
  withDecimal,
  type UnitSystem,
} from '../src/index.ts';

/* Where a comma stands before tenths, the same figures are shown and read as where a point does. */

const comma = (system: UnitSystem): UnitSystem => ({ ...system, decimal: ',' });

describe('the sign before tenths', () => {
  it('is all that differs in what is shown', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.constantFrom(...kinds),
        fc.constantFrom(metric, inchesAndOunces),
        (value, kind, system) => {
          const shown = showText(value, kind, comma(system));
          expect(shown.replace(/(\d),(\d)/g, '$1.$2')).toBe(showText(value, kind, system));
        },
      ),
      { seed: 20, numRuns: 500 },
    );
  });
  it('is read as it is written', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 9000, noNaN: true }),
        fc.constantFrom('bowl', 'thickness', 'span', 'fineMass', 'temperature', 'share' as const),
        (value, kind) => {
          const read = (system: UnitSystem) =>
            parseQuantity(showText(value, kind, system), kind, system);
          expect(read(comma(metric))).toEqual(read(metric));
        },
      ),
      { seed: 21, numRuns: 300 },
    );
  });
  it('of another country before three figures is asked back, not guessed', () => {
    const kg = (text: string, system: UnitSystem) => parseQuantity(text, 'bowl', system);
    expect(kg('1,135 kg', comma(metric))).toEqual({ ok: true, value: 1135 });
    expect(kg('1.135 kg', metric)).toEqual({ ok: true, value: 1135 });
    expect(kg('1.135 kg', comma(metric))).toMatchObject({ ok: false });
    expect(kg('1,135 kg', metric)).toMatchObject({ ok: false });
    // before one or two there is nothing to ask
    expect(kg('1.5 kg', comma(metric))).toEqual({ ok: true, value: 1500 });
    expect(kg('1,5 kg', metric)).toEqual({ ok: true, value: 1500 });
  });
  it('is put between figures alone: a sign of money may have a point of its own', () => {
    expect(withDecimal('Fr. 2.40', comma(metric))).toBe('Fr. 2,40');
    expect(showText(2.4, 'money', { ...comma(metric), currency: 'Fr.' })).toBe('Fr.2,40');
  });
});
