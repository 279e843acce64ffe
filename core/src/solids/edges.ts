import type { EdgeCut } from '../carve/types.ts';
import type { Flat, Library, Scope, Solid } from './library.ts';

/* What a bevel or a rounding takes off a rim, whatever the rim's shape: the slab of the edge less what stays. */

type Point = [number, number];
interface EdgeContext {
  lib: Library;
  scope: Scope;
  segments: number;
}
/** A rim that is moved inward as it goes up or down: `insetMm` at `upMm`. */
interface Ring {
  insetMm: number;
  upMm: number;
}

/** A little over, so that slabs that should meet do not lie on each other. */
const over = 0.01;
/** A straighter corner than this needs no arc of its own, as the sine of its turn. */
const straight = 0.2;
/** Points nearer than this to the line of their neighbours are left out, mm. */
const noiseMm = 0.02;
/** Chords of the arc that a quarter turn of a hollow corner leaves. */
const cornerChords = 8;
/** Slabs where one bevel in one piece does not come out. */
const bevelSlabs = 8;
/** Chords of a rounded edge. */
const arcRings = 16;

/**
 * What stays of an edge between the rim and where its form ends. A rim without a hollow gives the
 * hull of its insets, which is the true arc but for its chords; any other is built from slabs whose
 * sides slope from one inset to the next. Null where nothing stays.
 */
export function edgeBody(
  ctx: EdgeContext,
  rim: Flat,
  { form, where }: EdgeCut,
  sizeMm: number,
  atMm: number,
): Solid | null {
  const at = (f: number): Ring => ({
    insetMm: form === 'bevelled' ? sizeMm * f : sizeMm * (1 - Math.sqrt(Math.max(0, 1 - f * f))),
    upMm: where === 'top' ? atMm + sizeMm * f : atMm - sizeMm * f,
  });
  // an arc by its angle, so that its chords are of one length
  const rings = (n: number): Ring[] =>
    Array.from({ length: n + 1 }, (_, k) =>
      at(form === 'bevelled' ? k / n : Math.sin((k / n) * (Math.PI / 2))),
    );
  if (isConvex(ctx, rim))
    return hullOf(ctx, rim, rings(form === 'bevelled' ? 1 : ctx.segments / 4));
  // a slice of a solid has points closer than anybody cuts, and their noise looks like corners
  const clean = ctx.scope.hold(rim.simplify(noiseMm));
  const levels = rings(form === 'bevelled' ? 1 : arcRings);
  const inset = insetsOf(ctx, clean);
  return (
    tube(ctx, clean, levels, inset) ??
    slabsOf(ctx, rings(form === 'bevelled' ? bevelSlabs : arcRings), inset)
  );
}

/** A rim moved inward, by a polygon clipper that sees where stretches of it close up. */
const insetsOf =
  ({ scope }: EdgeContext, rim: Flat) =>
  (mm: number): Flat =>
    mm <= 0
      ? rim
      : scope.hold(scope.hold(rim.offset(-mm, 'Round', 2, 4 * cornerChords)).simplify(noiseMm));

function isConvex({ scope }: EdgeContext, rim: Flat): boolean {
  if (rim.toPolygons().length !== 1) return false;
  const hull = scope.hold(rim.hull());
  return hull.area() - rim.area() <= 0.002 * hull.area();
}

function hullOf({ lib, scope }: EdgeContext, rim: Flat, rings: readonly Ring[]): Solid | null {
  const points: [number, number, number][] = [];
  for (const { insetMm, upMm } of rings) {
    const flat = insetMm <= 0 ? rim : scope.hold(rim.offset(-insetMm, 'Miter', 4));
    for (const line of flat.toPolygons()) for (const [x, y] of line) points.push([x, y, upMm]);
  }
  return points.length < 4 ? null : scope.hold(lib.Manifold.hull(points));
}

/** Slabs from ring to ring, where parts of the rim close up between: sloped, or upright at the mean. */
function slabsOf(
  ctx: EdgeContext,
  rings: readonly Ring[],
  inset: (mm: number) => Flat,
): Solid | null {
  const { lib, scope } = ctx;
  const slabs: Solid[] = [];
  for (let k = 0; k + 1 < rings.length; k++) {
    const [a, b] = [rings[k]!, rings[k + 1]!];
    const from = inset(a.insetMm);
    if (from.isEmpty()) break;
    const by = (ring: Ring, upMm: number): Ring => ({ insetMm: ring.insetMm - a.insetMm, upMm });
    const up = Math.sign(b.upMm - a.upMm) * over;
    const sloped = tube(ctx, from, [by(a, a.upMm - up), by(b, b.upMm + up)], (mm) =>
      inset(mm + a.insetMm),
    );
    if (sloped) slabs.push(sloped);
    else {
      const mean = inset((a.insetMm + b.insetMm) / 2);
      if (mean.isEmpty()) continue;
      const upright = scope.hold(mean.extrude(Math.abs(b.upMm - a.upMm) + 2 * over));
      slabs.push(scope.hold(upright.translate(0, 0, Math.min(a.upMm, b.upMm) - over)));
    }
  }
  return slabs.length === 0 ? null : scope.hold(lib.Manifold.union(slabs));
}

/**
 * The rim moved inward from ring to ring, point for point, as one solid. Null where a stretch of it
 * closes up on the way.
 */
function tube(
  { lib, scope }: EdgeContext,
  rim: Flat,
  rings: readonly Ring[],
  inset: (mm: number) => Flat,
): Solid | null {
  const lines = rim.toPolygons() as Point[][];
  const levels: { lines: Point[][]; upMm: number }[] = [];
  for (const { insetMm, upMm } of rings) {
    const moved = lines.map((line) => movedIn(line, insetMm));
    if (moved.some((line) => line === null)) return null;
    const own = moved as Point[][];
    // what closed up elsewhere than along one line shows in the area
    const area = own.reduce((sum, line) => sum + signedArea(line), 0);
    const clipped = inset(insetMm).area();
    if (Math.abs(area - clipped) > 0.002 * clipped + 1) return null;
    levels.push({ lines: own, upMm });
  }
  if (levels[0]!.upMm > levels.at(-1)!.upMm) levels.reverse();
  const points: number[] = [];
  const triangles: number[] = [];
  for (const level of levels)
    for (const [x, y] of level.lines.flat()) points.push(x, y, level.upMm);
  const count = levels[0]!.lines.reduce((sum, line) => sum + line.length, 0);
  for (let k = 0; k + 1 < levels.length; k++) {
    let first = k * count;
    for (const line of levels[k]!.lines) {
      line.forEach((_, i) => {
        const [p, q] = [first + i, first + ((i + 1) % line.length)];
        triangles.push(p, q, q + count, p, q + count, p + count);
      });
      first += line.length;
    }
  }
  const top = (levels.length - 1) * count;
  for (const [a, b, c] of lib.triangulate(levels[0]!.lines)) triangles.push(c, b, a);
  for (const [a, b, c] of lib.triangulate(levels.at(-1)!.lines))
    triangles.push(a + top, b + top, c + top);
  const mesh = new lib.Mesh({
    numProp: 3,
    vertProperties: Float32Array.from(points),
    triVerts: Uint32Array.from(triangles),
  });
  try {
    return scope.hold(lib.Manifold.ofMesh(mesh));
  } catch {
    // two stretches of the rim touch: no solid of that kind
    return null;
  }
}

/**
 * A closed line moved to its left, point for point: corners that stand out go along their bisector,
 * hollow ones are split into the points of an arc. Null where a stretch would turn round.
 */
function movedIn(line: readonly Point[], byMm: number): Point[] | null {
  const moved: Point[] = [];
  const from: Point[] = [];
  const n = line.length;
  const inward = line.map((p, i): Point => {
    const q = line[(i + 1) % n]!;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
    return [-(q[1] - p[1]) / length, (q[0] - p[0]) / length];
  });
  line.forEach((p, i) => {
    const a = inward[(i + n - 1) % n]!;
    const b = inward[i]!;
    const turn = a[0] * b[1] - a[1] * b[0];
    const dot = a[0] * b[0] + a[1] * b[1];
    const isHollow = turn < -straight || dot < -0.98;
    const angle = Math.atan2(turn, dot);
    const chords = isHollow
      ? Math.max(1, Math.ceil((Math.abs(angle) / (Math.PI / 2)) * cornerChords))
      : 0;
    for (let k = 0; k <= chords; k++) {
      const [c, s] = [Math.cos((angle * k) / (chords || 1)), Math.sin((angle * k) / (chords || 1))];
      const way: Point = isHollow
        ? [a[0] * c - a[1] * s, a[0] * s + a[1] * c]
        : [(a[0] + b[0]) / (1 + dot), (a[1] + b[1]) / (1 + dot)];
      from.push(p);
      moved.push([p[0] + way[0] * byMm, p[1] + way[1] * byMm]);
    }
  });
  const turnsRound = from.some((p, i) => {
    const next = (i + 1) % from.length;
    const [q, u, v] = [from[next]!, moved[i]!, moved[next]!];
    return (q[0] - p[0]) * (v[0] - u[0]) + (q[1] - p[1]) * (v[1] - u[1]) < 0;
  });
  return turnsRound ? null : moved;
}

const signedArea = (line: readonly Point[]): number =>
  line.reduce((sum, [x, y], i) => {
    const [u, v] = line[(i + 1) % line.length]!;
    return sum + (x * v - u * y) / 2;
  }, 0);
