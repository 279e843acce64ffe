import { areaMm2, depthMm, widthMm } from '@pyrgotect/core';
import { describe, expect, it } from 'vitest';
import { svgLines } from '../src/sheets/svg-lines.ts';
import { lineOutline, pathOutline, sizeOf } from '../src/sheets/svg-path.ts';

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
    ['M0 0h9v9z M20 20h9v9z', '2 lines'],
    ['M0 0 L nothing', 'cannot be read'],
    ['<svg><text>cake</text></svg>', 'has no line'],
    ['<svg><defs><path d="M0 0h9v9z"/></defs></svg>', 'has no line'],
    ['<svg><path d="M0 0h9v9z"/><path d="M0 0h9v9z"/></svg>', '2 lines'],
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

describe('lines of a drawing', () => {
  const lines = (inside: string) => {
    const found = svgLines(`<svg xmlns="http://www.w3.org/2000/svg">${inside}</svg>`);
    if (!found.ok) throw new Error(found.problem);
    return found.lines;
  };
  /** Width, depth and area of a line, in the drawing's own units. */
  const measured = (d: string): [wide: number, deep: number, area: number] => {
    const read = lineOutline(d, '', 1000);
    if (!read.ok) throw new Error(read.problem);
    const ratio = depthMm(read.outline) / 1000;
    const wide = Math.sqrt(sizeOf(d) / ratio);
    return [wide, wide * ratio, (areaMm2(read.outline) / 1e6) * wide ** 2];
  };

  it('are paths, rectangles with round corners or not, circles, ellipses and polygons', () => {
    const closed = lines(
      '<rect x="3" y="4" width="40" height="20"/><rect width="40" height="20" rx="5"/><circle cx="9" cy="9" r="10"/><ellipse rx="10" ry="30"/><polygon points="0,0 30,0 30,10 0,10"/><polyline points="0 0 8 0 8 8 0 0"/>',
    );
    const areas = [800, 800 - (4 - Math.PI) * 25, Math.PI * 100, Math.PI * 300, 300, 32];
    closed.forEach(({ d }, i) => expect(measured(d)[2] / areas[i]!).toBeCloseTo(1, 1));
    expect(closed).toHaveLength(6);
    // what has no size is no line
    expect(lines('<rect width="0" height="3"/><circle r="2"/>')).toHaveLength(1);
  });

  it('lie where the transforms of all that they stand in put them', () => {
    const [turned] = lines(
      '<g transform="scale(2 3)"><g transform="rotate(90)"><rect width="40" height="10" transform="translate(7 7)"/></g></g>',
    );
    // a quarter turn makes it 10 wide and 40 deep, then it is drawn out
    expect(measured(turned!.d)[0]).toBeCloseTo(20, 3);
    expect(measured(turned!.d)[1]).toBeCloseTo(120, 3);
    const [sheared] = lines('<rect width="10" height="10" transform="matrix(1 0 1 1 0 0)"/>');
    expect(measured(sheared!.d)[0]).toBeCloseTo(20, 3);
    expect(measured(sheared!.d)[2]).toBeCloseTo(100, 2);
  });

  it('of one path are parted, each begins where it is drawn, and has the name it was given', () => {
    const named = lines(
      '<path id="moon" d="M0 0h9v9z m20 20h5v5z l3 0 0 3z"/><path d="M0 0h1v1z"><title> star </title></path>',
    );
    expect(named.map(({ name }) => name)).toEqual(['moon', 'moon', 'moon', 'star']);
    expect(named.map(({ d }) => sizeOf(d))).toEqual([81, 25, 9, 1]);
  });

  it('in definitions, clips and masks are not lines of it; more than can be chosen from are refused', () => {
    const path = '<path d="M0 0h9v9z"/>';
    for (const place of ['defs', 'clipPath', 'mask', 'symbol'])
      expect(lines(`<${place}>${path}</${place}><circle r="3"/>`)).toHaveLength(1);
    const many = svgLines(`<svg xmlns="http://www.w3.org/2000/svg">${path.repeat(201)}</svg>`);
    expect(many.ok || many.problem).toContain('more than 200');
    // one that cannot be read does not keep the others away
    expect(lines(`<path d="M0 0 L nothing"/>${path}`)).toHaveLength(1);
  });
});
