import { describe, expect, it } from 'vitest';
import { lessonsOf } from '../src/index.ts';
import { demo } from './work-kit.ts';

describe('what a cake teaches the next of its kind', () => {
  const equinox = demo('equinox');
  const { lines, words } = lessonsOf(equinox);
  it('is what came otherwise than planned, what is furthest off first, and what was said', () => {
    const off = lines.map(({ ratio }) => Math.abs(Math.log(ratio)));
    expect(lines.length).toBeGreaterThan(0);
    expect(lines.length).toBeLessThanOrEqual(6);
    expect(off).toEqual([...off].sort((a, b) => b - a));
    for (const { ratio } of lines) expect(Math.abs(ratio - 1)).toBeGreaterThan(0.03);
    expect(words.every(({ text }) => text !== '')).toBe(true);
  });
  it('leaves out a slip of the pen, and what came as planned', () => {
    const first = equinox.bench.notes.find(({ id }) => id === lines[0]!.noteId)!;
    const noted = (value: number) =>
      lessonsOf({
        ...equinox,
        bench: { ...equinox.bench, notes: [{ ...first, value, text: 'a word' }] },
      });
    const { value } = first.planned!;
    expect(noted(value * 1.2).lines).toHaveLength(1);
    expect(noted(value * 1.01).lines).toEqual([]);
    expect(noted(value * 400).lines).toEqual([]);
    expect(noted(value).words.map(({ text }) => text)).toEqual(['a word']);
  });
});
