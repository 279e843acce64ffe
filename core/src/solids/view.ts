import { wholeOf } from './body.ts';
import type { Carver } from './carver.ts';
import { within, type Solid } from './library.ts';
import { shown, type Shown } from './materials.ts';
import { eachEdge, eachFace, surfaceOf, type Surface } from './mesh.ts';

/** Triangles to show: of the cake, and of the offcuts a cut left. */
export interface CarveView {
  pieces: Shown[];
  offcuts: {
    cutId: string;
    piece: number;
    shown: Shown;
    edges: Float32Array;
    /** How it is moved from where it was cut, and the box it then fills from above. */
    at: [number, number, number];
    box: { x0: number; x1: number; y0: number; y1: number; high: number };
  }[];
  /** The surface as it is indexed, for its edges. */
  edges: Float32Array;
  topMm: number;
  reachMm: number;
}

/** Edges of a surface that turn by more than this are drawn, as pairs of points. */
const sharpDeg = 24;

function inkEdges(surface: Surface): Float32Array {
  const { points, stride } = surface;
  const normals = new Float64Array(surface.triangles.length);
  eachFace(surface, ({ t, nx, ny, nz }) => normals.set([nx, ny, nz], t * 3));
  const out: number[] = [];
  const least = Math.cos((sharpDeg * Math.PI) / 180);
  eachEdge(surface, (p, q, t, other) => {
    const [a, b] = [t * 3, other * 3];
    const dot =
      normals[a]! * normals[b]! +
      normals[a + 1]! * normals[b + 1]! +
      normals[a + 2]! * normals[b + 2]!;
    if (dot >= least) return;
    for (const id of [p, q]) for (let k = 0; k < 3; k++) out.push(points[id * stride + k]!);
  });
  return Float32Array.from(out);
}

/**
 * What the solid view shows: the cake after its last cut, cut open at `openMm` from back to front
 * where that is given, and every offcut that lies beside it, laid out in a row on the board.
 */
export function carveView(carver: Carver, openMm: number | null): CarveView {
  const { lib } = carver;
  const body = carver.body();
  return within((scope) => {
    const opened = body.map((piece) => {
      if (openMm === null) return piece;
      const solid: Solid = scope.hold(piece.solid.trimByPlane([0, 1, 0], openMm));
      return { ...piece, solid };
    });
    const there = opened.filter(({ solid }) => !solid.isEmpty());
    const whole =
      openMm === null ? carver.whole() : there.length > 0 ? wholeOf(lib, there, scope) : null;
    const box = carver.whole().boundingBox();
    const reachMm = Math.max(
      ...[0, 1].flatMap((k) => [Math.abs(box.min[k]!), Math.abs(box.max[k]!)]),
    );
    return {
      pieces: there.map(({ solid, frame, bands }) => shown(surfaceOf(solid), frame, bands)),
      offcuts: laidOut(carver, reachMm),
      edges: whole ? inkEdges(surfaceOf(whole)) : new Float32Array(),
      topMm: box.max[2],
      reachMm,
    };
  });
}

/** Offcuts smaller than this are shavings, and not laid out, mL. */
const worthMl = 8;

/** Rows of what is not set back on, to the right of the cake, the largest first. */
function laidOut(carver: Carver, reachMm: number): CarveView['offcuts'] {
  const used = new Set(carver.settled.map((set) => `${set.fromCutId}/${set.piece}`));
  const gap = 14;
  const front = -reachMm * 1.8;
  const deepest = reachMm * 3.6;
  let [x, y, wide] = [reachMm + 40, front, 0];
  return carver.lying
    .filter(
      ({ record }) =>
        record.whole && record.ml >= worthMl && !used.has(`${record.cutId}/${record.piece}`),
    )
    .sort((a, b) => b.record.ml - a.record.ml)
    .map(({ record, piece }) => {
      const { min, max } = piece.solid.boundingBox();
      const [w, d] = [max[0] - min[0], max[1] - min[1]];
      if (y > front && y + d > front + deepest) {
        y = front;
        x += wide + gap;
        wide = 0;
      }
      const box = { x0: x, x1: x + w, y0: y, y1: y + d, high: max[2] - min[2] };
      y += d + gap;
      wide = Math.max(wide, w);
      const surface = surfaceOf(piece.solid);
      return {
        cutId: record.cutId,
        piece: record.piece,
        shown: shown(surface, piece.frame, piece.bands),
        edges: inkEdges(surface),
        at: [box.x0 - min[0], box.y0 - min[1], -min[2]],
        box,
      };
    });
}
