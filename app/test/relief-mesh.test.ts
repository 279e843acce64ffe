import type { PictureRelief, Point } from '@pyrgotect/core';
import { motifLine, newCut, type ReliefCut } from '@pyrgotect/core';
import { describe, expect, it } from 'vitest';
import type { CarvedMesh } from '../src/picture/carved-mesh.ts';
import { reliefGeometry } from '../src/picture/relief-mesh.ts';

/** A block of 200 by 200 mm and 100 high, its middle on the axis, and a wall behind the front of the same height. */
function block(): CarvedMesh {
  const corners: number[] = [];
  const normals: number[] = [];
  const face = (four: number[][], normal: number[]): void => {
    for (const i of [0, 1, 2, 0, 2, 3]) {
      corners.push(...four[i]!);
      normals.push(...normal);
    }
  };
  for (const y of [-100, 60])
    face([[-100, y, 0], [100, y, 0], [100, y, 100], [-100, y, 100]], [0, -1, 0]); // prettier-ignore
  face([[-100, -100, 100], [100, -100, 100], [100, 100, 100], [-100, 100, 100]], [0, 0, 1]); // prettier-ignore
  face([[100, -100, 0], [100, 100, 0], [100, 100, 100], [100, -100, 100]], [1, 0, 0]); // prettier-ignore
  return {
    tierId: 't',
    part: 't/coat',
    corners: Float32Array.from(corners),
    normals: Float32Array.from(normals),
    looks: Array.from({ length: corners.length / 9 }, () => 'ivory' as const),
    at: { x: 0, y: 0, z: 0 },
    coatMm: 0,
    films: [],
    reliefs: [],
    step: 0,
  };
}
const cut = (to: Partial<ReliefCut>): ReliefCut => ({
  ...(newCut('relief', 'r', { radiusMm: 100, widthMm: 200, heightMm: 100 }) as ReliefCut),
  ...to,
});
const onFront = (line: Point[], z: number): PictureRelief => ({
  part: 't/cut/r',
  line,
  text: null,
  at: { x: 0, y: 0, z },
  out: { x: 0, y: -1, z: 0 },
  look: null,
  step: 0,
});
/** Area, and the places of its corners. */
function laid(relief: PictureRelief): {
  areaMm2: number;
  xs: number[];
  ys: number[];
  zs: number[];
} {
  const place = reliefGeometry(block(), relief).getAttribute('position');
  const at = (i: number): [number, number, number] => [place.getX(i), place.getY(i), place.getZ(i)];
  let areaMm2 = 0;
  const [xs, ys, zs]: [number[], number[], number[]] = [[], [], []];
  for (let i = 0; i < place.count; i += 3) {
    const [a, b, c] = [at(i), at(i + 1), at(i + 2)];
    const [u, v] = [b.map((n, k) => n - a[k]!), c.map((n, k) => n - a[k]!)];
    areaMm2 += Math.hypot(u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!) / 2; // prettier-ignore
    for (const [x, y, z] of [a, b, c]) {
      xs.push(x);
      ys.push(y);
      zs.push(z);
    }
  }
  return { areaMm2, xs, ys, zs };
}

describe('a relief on its tier', () => {
  it('is as large as it is planned, at its place, on the front alone', () => {
    for (const motif of ['oblong', 'star', 'heart'] as const) {
      const size = { motif, wideMm: 60, highMm: 40 };
      const line = motifLine(cut(size));
      const { areaMm2, xs, ys, zs } = laid(onFront(line, 50));
      const planned = Math.abs(line.reduce((sum, p, i) => sum + p.x * line[(i + 1) % line.length]!.y - p.y * line[(i + 1) % line.length]!.x, 0)) / 2; // prettier-ignore
      expect(areaMm2).toBeCloseTo(planned, 1);
      expect([Math.min(...xs), Math.max(...xs)].map(Math.round)).toEqual([-30, 30]);
      expect([Math.min(...zs), Math.max(...zs)].map(Math.round)).toEqual([30, 70]);
      for (const y of ys) expect(y).toBeCloseTo(-100.35, 3);
    }
  });
  it('ends where the side ends', () => {
    const { areaMm2, zs } = laid(onFront(motifLine(cut({ motif: 'oblong', wideMm: 60, highMm: 40 })), 90)); // prettier-ignore
    expect(areaMm2).toBeCloseTo(60 * 30, 1);
    expect(Math.max(...zs)).toBeCloseTo(100, 3);
  });
  it('on a top is read from the front', () => {
    const line = [{ x: -10, y: -5 }, { x: 10, y: -5 }, { x: 0, y: 15 }]; // prettier-ignore
    const { xs, ys, zs } = laid({ ...onFront(line, 0), at: { x: 20, y: -30, z: 0 }, out: { x: 0, y: 0, z: 1 } }); // prettier-ignore
    expect([Math.min(...xs), Math.max(...xs)].map(Math.round)).toEqual([10, 30]);
    expect([Math.min(...ys), Math.max(...ys)].map(Math.round)).toEqual([-35, -15]);
    for (const z of zs) expect(z).toBeCloseTo(100.35, 3);
  });
});
