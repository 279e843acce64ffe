import { phrase } from '@pyrgotect/core';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { keptTogether, useUnits } from '../src/figures/units.ts';
import { useSettings } from '../src/stores/settings.ts';

beforeEach(() => setActivePinia(createPinia()));
/** With the spaces that no line's end parts shown as "~". */
const seen = (text: string): string => text.replaceAll('\u00a0', '~');

describe('figures in sentences', () => {
  it('stay with their unit, hours with their minutes, degrees and shares too', () => {
    expect(seen(keptTogether('Whisk 5 min, then 4 h 43 min at 180 °C: 12 % of 1.2 kg'))).toBe(
      'Whisk 5~min, then 4~h~43~min at 180~°C: 12~% of 1.2~kg',
    );
    expect(seen(keptTogether('1 lb 3 oz in 2 cups'))).toBe('1~lb~3~oz in 2~cups');
  });
  it('part where they are not one: counts, years, words that begin like a unit', () => {
    const plain = '4 layers, 3 mixings, 12 June 2027, 6 in all, 2 grams more';
    // "in" after a number is an inch in half of the kitchens, and does no harm beside a word
    expect(seen(keptTogether(plain))).toBe(
      '4 layers, 3 mixings, 12 June 2027, 6~in all, 2 grams more',
    );
  });
  it('follow the reader’s units', () => {
    const units = useUnits();
    const words = phrase('Spread {high} thick.', { high: [250, 'size'] });
    expect(seen(units.say(words))).toBe('Spread 25~cm thick.');
    void useSettings().setUnits({ ...useSettings().system, length: 'in' });
    expect(seen(units.say(words))).toContain('~in thick.');
  });
});
