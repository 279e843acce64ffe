import type { PictureBody, Point, Region, Slice } from '@pyrgotect/core';
import { BufferAttribute, BufferGeometry, Color, ShapeUtils, Vector2 } from 'three';
import { toCreasedNormals } from 'three/addons/utils/BufferGeometryUtils.js';

/** From this turn on two faces meet at an edge, rad. */
const creaseRad = 0.7;

/** Triangles as they are gathered: corners, colours, and which body each is of. */
export class Triangles {
  private readonly corners: number[] = [];
  private readonly colours: number[] = [];
  private readonly inks: number[] = [];
  /** Body of each triangle, by its place in the list it was made from. */
  readonly bodyOf: number[] = [];

  add(
    a: readonly number[],
    b: readonly number[],
    c: readonly number[],
    colour: Color,
    body: number,
  ): void {
    this.corners.push(...a, ...b, ...c);
    for (let i = 0; i < 3; i++) this.colours.push(colour.r, colour.g, colour.b);
    this.bodyOf.push(body);
  }
  /** A line of ink from place to place. */
  ink(a: readonly number[], b: readonly number[]): void {
    this.inks.push(...a, ...b);
  }
  lines(): BufferGeometry {
    const lines = new BufferGeometry();
    lines.setAttribute('position', new BufferAttribute(Float32Array.from(this.inks), 3));
    return lines;
  }
  get isEmpty(): boolean {
    return this.bodyOf.length === 0;
  }
  /** With faces that meet gently shaded as one. */
  geometry(): BufferGeometry {
    return toCreasedNormals(this.bare(), creaseRad);
  }
  /** With the normals that are known of each corner. */
  flat(normals: Float32Array): BufferGeometry {
    const flat = this.bare();
    flat.setAttribute('normal', new BufferAttribute(normals, 3));
    return flat;
  }
  private bare(): BufferGeometry {
    const flat = new BufferGeometry();
    flat.setAttribute('position', new BufferAttribute(Float32Array.from(this.corners), 3));
    flat.setAttribute('color', new BufferAttribute(Float32Array.from(this.colours), 3));
    return flat;
  }
}

/** A line turns so far where a corner is drawn, rad. */
const cornerRad = 0.7;
const isCorner = (line: readonly Point[], i: number): boolean => {
  const [a, b, c] = [line.at(i - 1)!, line[i]!, line[(i + 1) % line.length]!];
  // a place that stands twice in a line is no corner
  if (Math.hypot(b.x - a.x, b.y - a.y) < 1e-6 || Math.hypot(c.x - b.x, c.y - b.y) < 1e-6)
    return false;
  const turn = Math.atan2(c.y - b.y, c.x - b.x) - Math.atan2(b.y - a.y, b.x - a.x);
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) > cornerRad;
};
/** Corners from the foot of a slice to its top. */
function inkCorners(to: Triangles, { fromMm, toMm, foot, top }: Slice): void {
  foot.forEach((line, l) =>
    line.forEach((p, i) => {
      const q = top[l]![i]!;
      if (isCorner(line, i)) to.ink([p.x, p.y, fromMm], [q.x, q.y, toMm]);
    }),
  );
}
/** The line round an end, where the wall comes to it steeply: a rounded rim has none. */
function inkEnd(to: Triangles, { fromMm, toMm, foot, top }: Slice, isTop: boolean): void {
  const [own, other] = isTop ? [top, foot] : [foot, top];
  const z = isTop ? toMm : fromMm;
  own.forEach((line, l) =>
    line.forEach((p, i) => {
      const from = other[l]![i]!;
      const q = line[(i + 1) % line.length]!;
      if (Math.hypot(p.x - from.x, p.y - from.y) < toMm - fromMm + 1e-6)
        to.ink([p.x, p.y, z], [q.x, q.y, z]);
    }),
  );
}

const flatten = (line: Point[]): Vector2[] => line.map(({ x, y }) => new Vector2(x, y));

function addCap(
  to: Triangles,
  region: Region,
  z: number,
  up: boolean,
  colour: Color,
  body: number,
): void {
  const [rim, ...holes] = region.map(flatten);
  if (!rim || rim.length < 3) return;
  const all = [rim, ...holes].flat();
  const at = (i: number): number[] => [all[i]!.x, all[i]!.y, z];
  for (const [a, b, c] of ShapeUtils.triangulateShape(rim, holes) as [number, number, number][]) {
    // whichever way they come, the top looks up and the foot down
    const [p, q, r] = [all[a]!, all[b]!, all[c]!];
    const turns = (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x) > 0;
    if (turns === up) to.add(at(a), at(b), at(c), colour, body);
    else to.add(at(a), at(c), at(b), colour, body);
  }
}

function addWalls(
  to: Triangles,
  { fromMm, toMm, foot, top }: Slice,
  colour: Color,
  body: number,
): void {
  foot.forEach((line, l) => {
    const above = top[l]!;
    line.forEach((p, i) => {
      const j = (i + 1) % line.length;
      const [q, r, s] = [line[j]!, above[j]!, above[i]!];
      const [a, b] = [
        [p.x, p.y, fromMm],
        [q.x, q.y, fromMm],
      ];
      const [c, d] = [
        [r.x, r.y, toMm],
        [s.x, s.y, toMm],
      ];
      to.add(a, b, c, colour, body);
      to.add(a, c, d, colour, body);
    });
  });
}

/** Bodies that lie on each other are one outside: no ends are drawn where the next begins. */
export interface Drawn {
  body: PictureBody;
  index: number;
  side: Color;
  top: Color;
}

const meets = (a: Slice | undefined, b: Slice | undefined): boolean =>
  a !== undefined && b !== undefined && Math.abs(a.toMm - b.fromMm) < 1e-6;
const sameLine = (a: Region, b: Region): boolean =>
  a === b ||
  (a.length === b.length &&
    a.every(
      (line, l) =>
        line.length === b[l]!.length &&
        line.every((p, i) => Math.hypot(p.x - b[l]![i]!.x, p.y - b[l]![i]!.y) < 1e-3),
    ));

/** Triangles of bodies, each slice with its walls, and with its ends where nothing lies on them. */
export function addBodies(to: Triangles, drawn: readonly Drawn[]): void {
  const slices = drawn.flatMap(({ body, index, side, top }) =>
    body.slices.map((slice) => ({ slice, body, index, side, top })),
  );
  slices.forEach(({ slice, body, index, side, top }, k) => {
    addWalls(to, slice, side, index);
    const joined = (other: (typeof slices)[number] | undefined): boolean =>
      other !== undefined && other.body.kind === body.kind && other.body.tierId === body.tierId;
    const above = slices[k + 1];
    const below = slices[k - 1];
    const isOpenUp = !(
      joined(above) &&
      meets(slice, above!.slice) &&
      sameLine(slice.top, above!.slice.foot)
    );
    const isOpenDown = !(
      joined(below) &&
      meets(below!.slice, slice) &&
      sameLine(below!.slice.top, slice.foot)
    );
    inkCorners(to, slice);
    if (isOpenUp) {
      addCap(to, slice.top, slice.toMm, true, top, index);
      inkEnd(to, slice, true);
    }
    if (isOpenDown) {
      addCap(to, slice.foot, slice.fromMm, false, side, index);
      inkEnd(to, slice, false);
    }
  });
}
