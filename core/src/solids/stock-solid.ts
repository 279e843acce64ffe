import { areaMm2, depthMm, widthMm } from '../outline/outline.ts';
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

type Wall = NonNullable<CarveStock['wall']>;

/** A round body turned on its axis, with its hole where it has one. */
function turned(lib: Library, wall: Wall, segments: number, scope: Scope): Solid {
  const outer = wall.map(({ upMm, outline }): [number, number] => [widthMm(outline) / 2, upMm]);
  const inner = wall.map(({ upMm, outline }): [number, number] => [
    outline.kind === 'ring' ? outline.holeMm / 2 : 0,
    upMm,
  ]);
  const profile = scope.hold(new lib.CrossSection([[...outer, ...inner.reverse()]], 'NonZero'));
  return scope.hold(profile.revolve(segments));
}

/** A body whose outline changes with its height: turned where it is round, else slices from each outline to the next. */
function shaped(lib: Library, wall: Wall, segments: number, scope: Scope): Solid {
  if (wall.every(({ outline }) => outline.kind === 'round' || outline.kind === 'ring'))
    return turned(lib, wall, segments, scope);
  const slices = wall.slice(1).map(({ upMm, outline }, i) => {
    const { upMm: fromMm, outline: below } = wall[i]!;
    const flat = scope.hold(flatOf(lib, linesOf(below, segments)));
    const top: [number, number] = [
      widthMm(outline) / widthMm(below),
      depthMm(outline) / depthMm(below),
    ];
    return scope.hold(scope.hold(flat.extrude(upMm - fromMm, 0, 0, top)).translate(0, 0, fromMm));
  });
  return scope.hold(lib.Manifold.union(slices));
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
