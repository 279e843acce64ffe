import type { Cover, Cut, EdgeCut, FlutesCut, ProfileCut, SilhouetteCut } from '../carve/types.ts';
import { edgeBody } from './edges.ts';
import { bearing, columns, type Frame } from './frame.ts';
import type { Library, Scope, Solid } from './library.ts';
import { far, insideCover, lathe } from './lines.ts';
import { flatOf } from './outlines.ts';

/** How a cut parts the cake. */
export type Cutter =
  | { kind: 'plane'; normal: [number, number, number]; offset: number }
  /** What lies inside is taken away or kept; `wants` is the whole shape that is drawn. */
  | { kind: 'solid'; solid: Solid; takes: 'inside' | 'outside'; wants: Solid | null };

export interface CutContext {
  lib: Library;
  scope: Scope;
  /** The cake so far as one solid. */
  whole: () => Solid;
  cover: Cover;
  segments: number;
}

const over = 0.01;

/** Cuts that part the cake; the others set back, turn, join or leave it alone. */
export type PartingCut = Exclude<Cut, { kind: 'relief' | 'halves' | 'set' | 'lay' }>;

/** The tool of a cut. Solids are held by the context's scope. */
export function cutterOf(cut: PartingCut, ctx: CutContext): Cutter {
  const { lib, scope, segments } = ctx;
  const inside = (solid: Solid): Cutter => ({ kind: 'solid', solid, takes: 'inside', wants: null });
  const outside = (solid: Solid, wants: Solid | null = null): Cutter => ({
    kind: 'solid',
    solid,
    takes: 'outside',
    wants,
  });
  switch (cut.kind) {
    case 'plane': {
      const [x, y] = bearing(cut.bearingDeg);
      const s = (cut.slopeDeg * Math.PI) / 180;
      const side = cut.away === 'above' ? 1 : -1;
      const n = [x * Math.sin(s), y * Math.sin(s), Math.cos(s)] as const;
      const offset = cut.outMm * Math.sin(s) + cut.upMm * Math.cos(s);
      return {
        kind: 'plane',
        normal: [side * n[0], side * n[1], side * n[2]],
        offset: side * offset,
      };
    }
    case 'step': {
      const s = (cut.slopeDeg * Math.PI) / 180;
      const back = [cut.outMm - far * Math.cos(s), cut.upMm + far * Math.sin(s)] as const;
      return inside(
        upright(
          ctx,
          [
            [
              [cut.outMm, cut.upMm],
              [2 * far, cut.upMm],
              [2 * far, 2 * far],
              [back[0], 2 * far],
              [back[0], back[1]],
            ],
          ],
          cut.bearingDeg,
        ),
      );
    }
    case 'silhouette':
      return outside(silhouette(cut, ctx));
    case 'profile':
      return turnedShape(cut, ctx, outside);
    case 'scoop': {
      const [x, y] = bearing(cut.bearingDeg);
      const sphere = scope.hold(lib.Manifold.sphere(cut.radiusMm, segments));
      return inside(scope.hold(sphere.translate(x * cut.outMm, y * cut.outMm, cut.upMm)));
    }
    case 'core': {
      const [x, y] = bearing(cut.bearingDeg);
      const r = cut.diameterMm / 2;
      const rod = scope.hold(lib.Manifold.cylinder(far, r, r, segments));
      return inside(scope.hold(rod.translate(x * cut.outMm, y * cut.outMm, cut.upMm)));
    }
    case 'groove': {
      const low = cut.upMm - cut.widthMm / 2;
      const rim = scope.hold(ctx.whole().slice(cut.upMm));
      const floor = scope.hold(rim.offset(-cut.depthMm, 'Round', 2, segments));
      const slab = block(ctx, low, low + cut.widthMm);
      const core = raised(ctx, scope.hold(floor.extrude(cut.widthMm + 2)), low - 1);
      return inside(scope.hold(slab.subtract(core)));
    }
    case 'edge':
      return inside(edge(cut, ctx));
    case 'flutes':
      return inside(flutes(cut, ctx));
    case 'target': {
      const mesh = new lib.Mesh({
        numProp: 3,
        vertProperties: Float32Array.from(cut.points),
        triVerts: Uint32Array.from(cut.triangles),
      });
      mesh.merge();
      const solid = scope.hold(lib.Manifold.ofMesh(mesh));
      const spun = scope.hold(solid.rotate(0, 0, -cut.turnDeg));
      const box = spun.boundingBox();
      const scale = cut.heightMm / Math.max(1e-6, box.max[2] - box.min[2]);
      const sized = scope.hold(spun.scale(scale));
      const placed = raised(ctx, sized, cut.upMm - box.min[2] * scale);
      return outside(placed, placed);
    }
  }
}

const raised = ({ scope }: CutContext, solid: Solid, z: number): Solid =>
  scope.hold(solid.translate(0, 0, z));

/** Everything between two heights. */
function block(ctx: CutContext, from: number, to: number): Solid {
  const cube = ctx.scope.hold(ctx.lib.Manifold.cube([2 * far, 2 * far, to - from]));
  return ctx.scope.hold(cube.translate(-far, -far, from));
}

/** A flat shape of (out, up) drawn through the whole cake, its out towards a bearing. */
function upright(ctx: CutContext, lines: [number, number][][], bearingDeg: number): Solid {
  const { lib, scope } = ctx;
  const long = scope.hold(scope.hold(flatOf(lib, lines)).extrude(2 * far));
  return scope.hold(
    scope.hold(long.translate(0, 0, -far)).transform(columns(standing(bearingDeg))),
  );
}

/** Lays x along a bearing, y upward and z across. */
export function standing(bearingDeg: number): Frame {
  const [x, y] = bearing(bearingDeg);
  return [
    [x, 0, y, 0],
    [y, 0, -x, 0],
    [0, 1, 0, 0],
  ];
}

/** The bearing that lies to the right in a view. */
export const rightOf: Record<SilhouetteCut['seen'], number> = { front: 90, side: 0 };

function silhouette(cut: SilhouetteCut, ctx: CutContext): Solid {
  const { lib, scope } = ctx;
  const shape = scope.hold(flatOf(lib, [cut.points.map(([x, y]): [number, number] => [x, y])]));
  const inner = insideCover(lib, shape, cut.drawn, ctx.cover, scope);
  const long = scope.hold(inner.extrude(2 * far));
  return scope.hold(
    scope.hold(long.translate(0, 0, -far)).transform(columns(standing(rightOf[cut.seen]))),
  );
}

/** The lathe's shape; below its lowest point the cake is left as it is. */
function turnedShape(
  cut: ProfileCut,
  ctx: CutContext,
  outside: (solid: Solid, wants: Solid) => Cutter,
): Cutter {
  const { lib, scope, segments } = ctx;
  const shape = scope.hold(flatOf(lib, lathe(cut.points, cut.curved)));
  const inner = insideCover(lib, shape, cut.drawn, ctx.cover, scope);
  const right = scope.hold(
    scope.hold(lib.CrossSection.square([far, 3 * far])).translate([0, -far]),
  );
  const turned = scope.hold(scope.hold(inner.intersect(right)).revolve(segments));
  const foot = cut.points[0]![1];
  if (foot <= 0.5) return outside(turned, turned);
  const wants = scope.hold(turned.trimByPlane([0, 0, 1], foot));
  return outside(scope.hold(turned.add(block(ctx, -far, foot + over))), wants);
}

/** What an edge loses: a slab less what stays of it. */
function edge(cut: EdgeCut, ctx: CutContext): Solid {
  const { scope } = ctx;
  const whole = ctx.whole();
  const box = whole.boundingBox();
  const size = Math.min(cut.sizeMm, (box.max[2] - box.min[2]) * 0.98);
  const isTop = cut.where === 'top';
  const at = isTop ? box.max[2] - size : box.min[2] + size;
  const rim = scope.hold(whole.slice(at + (isTop ? -over : over)));
  const slab = isTop ? block(ctx, at, at + size + 1) : block(ctx, at - size - 1, at);
  const stays = edgeBody(ctx, rim, cut, size, at);
  return stays ? scope.hold(slab.subtract(stays)) : slab;
}

/** Chords of a flute's hollow, and heights at which its line is read. */
const chords = 12;
const levels = 12;

/**
 * Grooves that follow the side: each a row of lens-shaped rings, one above the other, set where the
 * side is at that bearing and height. A ring stays within its own share of the round, so that the
 * grooves make one solid.
 */
function flutes(cut: FlutesCut, ctx: CutContext): Solid {
  const { lib, scope } = ctx;
  const whole = ctx.whole();
  const box = whole.boundingBox();
  // whichever end was named first, and out of the cake where it ends with it: no skin stays
  const low = Math.min(cut.fromMm, cut.toMm);
  const high = Math.max(cut.fromMm, cut.toMm);
  const from = Math.max(low, box.min[2] + 0.1);
  const to = Math.min(high, box.max[2] - 0.1);
  if (to - from < 0.5) return nowhere(ctx);
  const foot = low <= box.min[2] + 0.2 ? box.min[2] - 1 : from;
  const top = high >= box.max[2] - 0.2 ? box.max[2] + 1 : to;
  const heights = Array.from({ length: levels + 1 }, (_, i) => from + ((to - from) * i) / levels);
  const rims = heights.map((z) => scope.hold(whole.slice(z)).toPolygons());
  const points: number[] = [];
  const triangles: number[] = [];
  for (let i = 0; i < cut.count; i++) {
    const [x, y] = bearing((360 * i) / cut.count);
    const outs = heights.map((z, k) => ({ z, out: reach(rims[k]!, x, y) ?? 0 }));
    const deep = outs.filter(({ out }) => out > cut.depthMm + 1);
    const line = turns(deep);
    const rings = line.map(({ z, out }, k) => {
      const at = k === 0 && z <= from ? foot : k === line.length - 1 && z >= to ? top : z;
      return lens(cut, out).map(([u, v]): [number, number, number] => [
        x * u + y * v,
        y * u - x * v,
        at,
      ]);
    });
    if (rings.length > 1) addTube(rings, points, triangles);
  }
  // nothing to reach: a tool that takes nothing
  if (triangles.length === 0) return nowhere(ctx);
  const mesh = new lib.Mesh({
    numProp: 3,
    vertProperties: Float32Array.from(points),
    triVerts: Uint32Array.from(triangles),
  });
  return scope.hold(lib.Manifold.ofMesh(mesh));
}

/** A tool that takes nothing. */
const nowhere = ({ lib, scope }: CutContext): Solid =>
  scope.hold(scope.hold(lib.Manifold.cube([1, 1, 1])).translate(far, far, far));

/** Of places along a line, its ends and those between that a straight line would miss by 0.2 mm. */
function turns(line: { z: number; out: number }[]): { z: number; out: number }[] {
  if (line.length < 3) return line;
  const [a, b] = [line[0]!, line.at(-1)!];
  let [most, at] = [0.2, 0];
  line.forEach(({ z, out }, i) => {
    const off = Math.abs(a.out + ((b.out - a.out) * (z - a.z)) / (b.z - a.z) - out);
    if (off > most) [most, at] = [off, i];
  });
  if (at === 0) return [a, b];
  return [...turns(line.slice(0, at + 1)).slice(0, -1), ...turns(line.slice(at))];
}

/** The hollow of a flute at a reach: an arc as deep as asked, closed well outside the cake. */
function lens({ widthMm, depthMm, count }: FlutesCut, out: number): [number, number][] {
  const most = out * Math.tan(Math.PI / count) - 0.01;
  const half = Math.min(most, widthMm === null ? most : widthMm / 2);
  const r = (half * half + depthMm ** 2) / (2 * depthMm);
  const middle = out - depthMm + r;
  const angle = Math.asin(Math.min(1, half / r)) * (depthMm > half ? -1 : 1);
  const whole = depthMm > half ? Math.PI + angle : angle;
  const arc = Array.from({ length: chords + 1 }, (_, i): [number, number] => {
    const a = Math.PI + whole * (1 - (2 * i) / chords);
    return [middle + r * Math.cos(a), -r * Math.sin(a)];
  });
  return [...arc, [out * 1.5, -half * 1.5], [out * 1.5, half * 1.5]];
}

/** Rings of as many points, one above the other, as the surface of a solid. */
function addTube(
  rings: readonly (readonly [number, number, number][])[],
  points: number[],
  triangles: number[],
): void {
  const n = rings[0]!.length;
  const start = points.length / 3;
  for (const ring of rings) for (const p of ring) points.push(...p);
  const isLeft = turnsLeft(rings[0]!);
  const face = (a: number, b: number, c: number): void =>
    void (isLeft ? triangles.push(a, b, c) : triangles.push(a, c, b));
  for (let k = 0; k + 1 < rings.length; k++)
    for (let i = 0; i < n; i++) {
      const [p, q] = [start + k * n + i, start + k * n + ((i + 1) % n)];
      face(p, q, q + n);
      face(p, q + n, p + n);
    }
  // fans from the outer corner, which every other point of the ring sees
  const top = start + (rings.length - 1) * n;
  const eye = n - 1;
  for (let i = 0; i + 2 < n; i++) {
    face(start + eye, start + i + 1, start + i);
    face(top + eye, top + i, top + i + 1);
  }
}

const turnsLeft = (ring: readonly [number, number, number][]): boolean =>
  ring.reduce((sum, [x, y], i) => {
    const [x2, y2] = ring[(i + 1) % ring.length]!;
    return sum + x * y2 - x2 * y;
  }, 0) > 0;

/** How far the cake reaches from the axis towards a direction; null where it does not. */
export function reach(
  lines: readonly (readonly (readonly [number, number])[])[],
  x: number,
  y: number,
): number | null {
  let most: number | null = null;
  for (const line of lines)
    for (let i = 0; i < line.length; i++) {
      const [ax, ay] = line[i]!;
      const [bx, by] = line[(i + 1) % line.length]!;
      // distance from the ray's line on either side
      const da = ax * y - ay * x;
      const db = bx * y - by * x;
      if (da > 0 === db > 0) continue;
      const f = da / (da - db);
      const along = (ax + (bx - ax) * f) * x + (ay + (by - ay) * f) * y;
      if (along >= 0 && (most === null || along > most)) most = along;
    }
  return most;
}
