import { areaMm2, depthMm, widthMm, type Outline } from '../outline/outline.ts';
import type { CarveStock } from '../carve/types.ts';
import type { Body } from './body.ts';
import { still } from './frame.ts';
import type { Library, Scope, Solid } from './library.ts';
import { flatOf, linesOf } from './outlines.ts';

/** A little over, so that faces that should meet do not lie on each other. */
const over = 0.01;

/** A ball's cap from its rim up: height `highMm` of a ball whose bowl has the radius `radiusMm`. */
function ball(
  lib: Library,
  { fromMm, toMm, rim, radiusMm }: CarveStock['balls'][number],
  segments: number,
  scope: Scope,
): Solid {
  const high = toMm - fromMm;
  const sphere = scope.hold(lib.Manifold.sphere(radiusMm, segments));
  const middle = rim === 'below' ? fromMm : toMm;
  const placed = scope.hold(sphere.translate(0, 0, middle));
  const slab = scope.hold(lib.Manifold.cylinder(high, radiusMm * 2, radiusMm * 2, segments));
  return scope.hold(placed.intersect(scope.hold(slab.translate(0, 0, fromMm))));
}

/** A body whose outline changes with its height: slices from each outline to the next, less its hole. */
function shaped(
  lib: Library,
  wall: NonNullable<CarveStock['wall']>,
  segments: number,
  scope: Scope,
): Solid {
  const slices = (outlineOf: (outline: Outline) => Outline, past: number): Solid =>
    scope.hold(
      lib.Manifold.union(
        wall.slice(1).map(({ upMm, outline }, i) => {
          const below = wall[i]!;
          const [from, to] = [outlineOf(below.outline), outlineOf(outline)];
          const flat = scope.hold(flatOf(lib, linesOf(from, segments)));
          const low = i === 0 ? past : over;
          const high = upMm - below.upMm + low + (i === wall.length - 2 ? past : 0);
          const top: [number, number] = [widthMm(to) / widthMm(from), depthMm(to) / depthMm(from)];
          return scope.hold(
            scope.hold(flat.extrude(high, 0, 0, top)).translate(0, 0, below.upMm - low),
          );
        }),
      ),
    );
  const hasHole = wall.some(({ outline }) => outline.kind === 'ring');
  const round = (outline: Outline): Outline =>
    outline.kind === 'ring' ? { kind: 'round', diameterMm: outline.diameterMm } : outline;
  const body = slices(round, 0);
  if (!hasHole) return body;
  const hole = slices(
    (outline) => ({ kind: 'round', diameterMm: outline.kind === 'ring' ? outline.holeMm : over }),
    1,
  );
  return scope.hold(body.subtract(hole));
}

/**
 * The stack before the first cut as a solid: the outline drawn up to its height, or the balls it was
 * baked as, with the dome that stays on top. A hidden centre is a piece of its own.
 */
export function stockBody(lib: Library, stock: CarveStock, segments: number, scope: Scope): Body {
  const flat = scope.hold(flatOf(lib, linesOf(stock.outline, segments)));
  let whole: Solid;
  if (stock.balls.length > 0) {
    const balls = stock.balls.map((each) => ball(lib, each, segments, scope));
    // what lies between two balls is spread to their rim
    const fills = stock.bands
      .filter((band) => band.part.startsWith('gap/'))
      .map((band) => {
        const r = stock.balls[0]!.radiusMm;
        const disc = scope.hold(
          lib.Manifold.cylinder(band.toMm - band.fromMm + 2 * over, r, r, segments),
        );
        return scope.hold(disc.translate(0, 0, band.fromMm - over));
      })
      .filter((_, i) => i < stock.balls.length - 1);
    whole = scope.hold(lib.Manifold.union([...balls, ...fills]));
  } else {
    whole = stock.wall
      ? shaped(lib, stock.wall, segments, scope)
      : scope.hold(flat.extrude(stock.heightMm));
    if (stock.crownMm > 0) {
      const r = Math.sqrt(areaMm2(stock.outline) / Math.PI);
      const h = stock.crownMm;
      const R = (r * r + h * h) / (2 * h);
      const cap = scope.hold(
        scope.hold(lib.Manifold.sphere(R, segments * 2)).translate(0, 0, stock.heightMm + h - R),
      );
      const column = scope.hold(
        scope.hold(flat.extrude(h + over)).translate(0, 0, stock.heightMm - over),
      );
      whole = scope.hold(whole.add(scope.hold(column.intersect(cap))));
    }
  }
  if (!stock.centre) return [{ solid: whole, frame: still, bands: stock.bands }];
  const { outline, fromMm, toMm, gPerMl } = stock.centre;
  const rim = scope.hold(flatOf(lib, linesOf(outline, segments)));
  const core = scope.hold(scope.hold(rim.extrude(toMm - fromMm)).translate(0, 0, fromMm));
  const [inside, outside] = whole.split(core);
  scope.holdAll([inside, outside]);
  return [
    { solid: outside, frame: still, bands: stock.bands },
    {
      solid: inside,
      frame: still,
      bands: [{ part: 'centre', fromMm, toMm, gPerMl }],
    },
  ];
}
