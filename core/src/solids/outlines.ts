import { polygon, type Outline } from '../outline/outline.ts';
import type { Lines } from '../carve/result.ts';
import type { Flat, Library } from './library.ts';

/** An outline as closed lines, a ring with its hole; `segments` to a full turn. */
export function linesOf(outline: Outline, segments: number): Lines {
  const perQuarter = Math.max(8, Math.ceil(segments / 4));
  const rim = polygon(outline, perQuarter).map((p): [number, number] => [p.x, p.y]);
  if (outline.kind !== 'ring') return [rim];
  const hole = polygon({ kind: 'round', diameterMm: outline.holeMm }, perQuarter).map(
    (p): [number, number] => [p.x, p.y],
  );
  return [rim, hole.reverse()];
}

/** Lines as the library's flat shape; holes run the other way round and stay holes. */
export const flatOf = (lib: Library, lines: Lines): Flat => new lib.CrossSection(lines, 'EvenOdd');
