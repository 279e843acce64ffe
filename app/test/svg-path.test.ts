import { areaMm2, depthMm, widthMm } from '@pyrgotect/core';
import { describe, expect, it } from 'vitest';
import { pathOutline } from '../src/sheets/svg-path.ts';

const read = (text: string, wideMm = 200) => pathOutline(text, 'star', wideMm);
const problem = (text: string): string => {
  const found = read(text);
  return found.ok ? 'none' : found.problem;
};

describe('an outline from an SVG path', () => {
  it('is scaled to the width and lies in the middle', () => {
    const found = read('M10 10 H110 V60 H10 Z');
    if (!found.ok) throw new Error(found.problem);
    expect(widthMm(found.outline)).toBeCloseTo(200, 2);
    expect(depthMm(found.outline)).toBeCloseTo(100, 2);
    expect(areaMm2(found.outline)).toBeCloseTo(20000, 0);
    const xs = found.outline.points.map(([x]) => x);
    expect(Math.min(...xs)).toBeCloseTo(-Math.max(...xs), 6);
  });
  it('follows curves and arcs: a circle comes out round', () => {
    const found = read('M0 50 A50 50 0 1 1 100 50 A50 50 0 1 1 0 50 Z');
    if (!found.ok) throw new Error(found.problem);
    expect(areaMm2(found.outline) / (Math.PI * 100 ** 2)).toBeCloseTo(1, 2);
    const quadratic = read('M0 0 Q50 80 100 0 L100 -40 L0 -40 z');
    expect(quadratic.ok).toBe(true);
  });
  it('stands upright: the upper edge of the drawing is the back of the cake', () => {
    const found = read('M0 0 L100 0 L50 90 Z');
    if (!found.ok) throw new Error(found.problem);
    const tip = found.outline.points.find(([x]) => Math.abs(x) < 1e-6)!;
    expect(tip[1]).toBeLessThan(0);
  });
  it('may be closed by coming back to its start, or be written relatively', () => {
    expect(read('M0 0 L100 0 L100 80 L0 0').ok).toBe(true);
    expect(read('m0 0 l100 0 l0 80 z').ok).toBe(true);
  });
  it.each([
    ['M0 0 L100 0 L100 80', 'open'],
    ['M0 0 L100 80 L100 0 L0 80 Z', 'crosses itself'],
    ['M0 0 L100 0 Z', 'too few points'],
    ['M0 0 L50 0 L100 0 Z', 'no area'],
    ['M0 0h9v9z M20 20h9v9z', 'more than one line'],
    ['M0 0 L nothing', 'cannot be read'],
    ['<svg><rect width="9" height="9"/></svg>', 'has no path'],
    ['<svg><path d="M0 0h9v9z"/><path d="M0 0h9v9z"/></svg>', '2 paths'],
  ])('%s is refused and says why', (text, why) => {
    expect(problem(text)).toContain(why);
  });
  it('of a file runs nothing and takes only the line', () => {
    const found = read(
      '<svg xmlns="http://www.w3.org/2000/svg" onload="boom()"><script>boom()</script><path d="M0 0H90V90H0Z"/></svg>',
    );
    expect(found.ok).toBe(true);
    expect((globalThis as { boom?: unknown }).boom).toBeUndefined();
  });
  it('too long to be an outline is refused; a long one is thinned', () => {
    expect(problem(`M0 0 ${'L1 1 '.repeat(60_000)}Z`)).toContain('too long');
    const round = Array.from({ length: 5000 }, (_, i) => {
      const a = (2 * Math.PI * i) / 5000;
      return `${i === 0 ? 'M' : 'L'}${(100 * Math.cos(a)).toFixed(3)} ${(100 * Math.sin(a)).toFixed(3)}`;
    }).join(' ');
    const found = read(`${round} Z`);
    if (!found.ok) throw new Error(found.problem);
    expect(found.outline.points.length).toBeLessThanOrEqual(600);
  });
});
