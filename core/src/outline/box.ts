import type { Point } from './point.ts';

/** Outlines that are a rectangle with round corners; every measure of theirs is exact. */
export type BoxOutline =
  | { kind: 'round'; diameterMm: number }
  | { kind: 'square'; sideMm: number; cornerMm: number }
  | { kind: 'rectangle'; widthMm: number; depthMm: number; cornerMm: number };

export interface Box {
  widthMm: number;
  depthMm: number;
  cornerMm: number;
}

/** Width, depth and corner radius; a round is a box whose corner is its radius. */
export function boxOf(outline: BoxOutline): Box {
  switch (outline.kind) {
    case 'round':
      return {
        widthMm: outline.diameterMm,
        depthMm: outline.diameterMm,
        cornerMm: outline.diameterMm / 2,
      };
    case 'square':
      return {
        widthMm: outline.sideMm,
        depthMm: outline.sideMm,
        cornerMm: Math.min(outline.cornerMm, outline.sideMm / 2),
      };
    case 'rectangle':
      return {
        widthMm: outline.widthMm,
        depthMm: outline.depthMm,
        cornerMm: Math.min(outline.cornerMm, outline.widthMm / 2, outline.depthMm / 2),
      };
  }
}

export const boxAreaMm2 = ({ widthMm, depthMm, cornerMm }: Box): number =>
  widthMm * depthMm - (4 - Math.PI) * cornerMm ** 2;

export const boxPerimeterMm = ({ widthMm, depthMm, cornerMm }: Box): number =>
  2 * (widthMm + depthMm) - (8 - 2 * Math.PI) * cornerMm;

/** The outline moved by `byMm`; a sharp corner grows into a quarter circle. Null when nothing is left. */
export function growBox(outline: BoxOutline, byMm: number): BoxOutline | null {
  const box = boxOf(outline);
  const wide = box.widthMm + 2 * byMm;
  const deep = box.depthMm + 2 * byMm;
  if (wide <= 0 || deep <= 0) return null;
  const cornerMm = Math.max(0, box.cornerMm + byMm);
  switch (outline.kind) {
    case 'round':
      return { kind: 'round', diameterMm: wide };
    case 'square':
      return { kind: 'square', sideMm: wide, cornerMm };
    case 'rectangle':
      return { kind: 'rectangle', widthMm: wide, depthMm: deep, cornerMm };
  }
}

export function boxContains(
  { widthMm: w, depthMm: d, cornerMm: c }: Box,
  p: Point,
  tol: number,
): boolean {
  const x = Math.abs(p.x);
  const y = Math.abs(p.y);
  if (x > w / 2 + tol || y > d / 2 + tol) return false;
  const cx = w / 2 - c;
  const cy = d / 2 - c;
  if (x <= cx || y <= cy) return true;
  return Math.hypot(x - cx, y - cy) <= c + tol;
}

/** The rim, counter-clockwise, with `perQuarter` chords on each rounded corner. */
export function boxPolygon(
  { widthMm: w, depthMm: d, cornerMm: c }: Box,
  perQuarter: number,
): Point[] {
  const corners: [number, number, number][] = [
    [w / 2 - c, d / 2 - c, 0],
    [-(w / 2 - c), d / 2 - c, 1],
    [-(w / 2 - c), -(d / 2 - c), 2],
    [w / 2 - c, -(d / 2 - c), 3],
  ];
  const points: Point[] = [];
  for (const [cx, cy, quarter] of corners) {
    if (c < 1e-9) {
      points.push({ x: cx, y: cy });
      continue;
    }
    for (let i = 0; i <= perQuarter; i++) {
      const angle = ((quarter + i / perQuarter) * Math.PI) / 2;
      points.push({ x: cx + c * Math.cos(angle), y: cy + c * Math.sin(angle) });
    }
  }
  return points;
}
