import type { Vec3 } from '../carve/result.ts';

/** A turn and a move: three rows of four. */
export type Frame = readonly [
  readonly [number, number, number, number],
  readonly [number, number, number, number],
  readonly [number, number, number, number],
];

export const still: Frame = [
  [1, 0, 0, 0],
  [0, 1, 0, 0],
  [0, 0, 1, 0],
];

export const apply = (f: Frame, [x, y, z]: Vec3): Vec3 => [
  f[0][0] * x + f[0][1] * y + f[0][2] * z + f[0][3],
  f[1][0] * x + f[1][1] * y + f[1][2] * z + f[1][3],
  f[2][0] * x + f[2][1] * y + f[2][2] * z + f[2][3],
];

/** First `b`, then `a`. */
export function after(a: Frame, b: Frame): Frame {
  const row = (i: 0 | 1 | 2): [number, number, number, number] => {
    const [p, q, r, s] = a[i];
    const at = (j: 0 | 1 | 2 | 3): number => p * b[0][j] + q * b[1][j] + r * b[2][j];
    return [at(0), at(1), at(2), at(3) + s];
  };
  return [row(0), row(1), row(2)];
}

/** What takes it back; only for a turn and a move. */
export function inverse(f: Frame): Frame {
  const t: Vec3 = [f[0][3], f[1][3], f[2][3]];
  const row = (j: 0 | 1 | 2): [number, number, number, number] => [
    f[0][j],
    f[1][j],
    f[2][j],
    -(f[0][j] * t[0] + f[1][j] * t[1] + f[2][j] * t[2]),
  ];
  return [row(0), row(1), row(2)];
}

export const moved = (x: number, y: number, z: number): Frame => [
  [1, 0, 0, x],
  [0, 1, 0, y],
  [0, 0, 1, z],
];

/** Turned about a unit axis through the origin. */
export function turned([x, y, z]: Vec3, degrees: number): Frame {
  const a = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(a), Math.sin(a)];
  const v = 1 - c;
  return [
    [x * x * v + c, x * y * v - z * s, x * z * v + y * s, 0],
    [y * x * v + z * s, y * y * v + c, y * z * v - x * s, 0],
    [z * x * v - y * s, z * y * v + x * s, z * z * v + c, 0],
  ];
}

/** As the library takes it: four columns one after another. */
export const columns = (
  f: Frame,
): [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
] => [
  f[0][0],
  f[1][0],
  f[2][0],
  0,
  f[0][1],
  f[1][1],
  f[2][1],
  0,
  f[0][2],
  f[1][2],
  f[2][2],
  0,
  f[0][3],
  f[1][3],
  f[2][3],
  1,
];

/** The direction of a bearing, seen from above: 0 to the back, 90 to the right. */
export const bearing = (degrees: number): [x: number, y: number] => {
  const a = (degrees * Math.PI) / 180;
  return [Math.sin(a), Math.cos(a)];
};
/** The bearing of a direction, 0 to 360. */
export const bearingOf = (x: number, y: number): number =>
  ((Math.atan2(x, y) * 180) / Math.PI + 360) % 360;
