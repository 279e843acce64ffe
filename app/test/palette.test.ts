import { describe, expect, it } from 'vitest';
import { hatches } from '../src/section/tones.ts';
import { foods, paletteCss, schemes, veiled, type Colours } from '../src/styles/palette.ts';

const channels = (hex: string): number[] =>
  [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255);
/** How light a colour is to the eye, 0 to 1, and how far two are apart (the rules of accessibility). */
const light = (hex: string): number => {
  const [r, g, b] = channels(hex).map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)); // prettier-ignore
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
};
const contrast = (a: string, b: string): number => {
  const [hi, lo] = [light(a), light(b)].sort((x, y) => y - x);
  return (hi! + 0.05) / (lo! + 0.05);
};

describe.each(Object.entries(schemes))('the scheme %s', (_name, colours) => {
  const read = (ink: keyof Colours, ground: keyof Colours): number =>
    contrast(colours[ink], colours[ground]);
  it('can be read: text, quiet text, what can be pressed, what warns', () => {
    for (const ground of ['oat', 'milk', 'raised'] as const) {
      expect(read('ink', ground), ground).toBeGreaterThan(7);
      expect(read('soft', ground), ground).toBeGreaterThan(4.5);
      expect(read('accent', ground), ground).toBeGreaterThan(4.5);
      expect(read('stop', ground), ground).toBeGreaterThan(4.5);
      expect(read('warn', ground), ground).toBeGreaterThan(4.5);
    }
    for (const [ink, ground] of [
      ['foot-ink', 'foot'],
      ['foot-soft', 'foot'],
      ['foot-warn', 'foot'],
      ['on-accent', 'accent'],
      ['ink', 'accent-wash'],
      ['ink', 'warn-wash'],
      ['ink', 'stop-wash'],
    ] as const)
      expect(read(ink, ground), `${ink} on ${ground}`).toBeGreaterThan(4.5);
  });
  it('gives the style sheet every colour by its name', () => {
    for (const [name, colour] of Object.entries(colours))
      expect(paletteCss).toContain(`--${name}:${colour};`);
  });
});

describe('hatches', () => {
  it('are drawn in the colours of their food, and told apart in grey', () => {
    const greys = Object.entries(hatches).map(([tone, { ground, marks }]) => {
      expect(ground).toBe(foods[tone as keyof typeof foods][0]);
      const mark = marks[0]!.stroke ?? marks[0]!.fill!;
      expect(contrast(ground, mark), tone).toBeGreaterThan(1.3);
      return `${Math.round(light(ground) * 12)} ${marks.map(({ path }) => path).join()}`;
    });
    expect(new Set(greys).size).toBe(greys.length);
  });
});

describe('a veil', () => {
  it('is the same colour with a share of it', () => {
    expect(veiled('#1f6f6a', 1)).toBe('#1f6f6aff');
    expect(veiled('#1f6f6a', 0)).toBe('#1f6f6a00');
    expect(veiled('#1f6f6a', 0.14)).toBe('#1f6f6a24');
  });
});
