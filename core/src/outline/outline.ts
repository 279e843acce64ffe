import { showText } from '../units/format.ts';
import type { UnitSystem } from '../units/kinds.ts';

/**
 * The shape of a tier, tin or board seen from above. All lengths in mm; the centre is the origin,
 * x runs to the right, y to the back.
 */
export type Outline =
  | { kind: 'round'; diameterMm: number }
  | { kind: 'square'; sideMm: number; cornerMm: number }
  | { kind: 'rectangle'; widthMm: number; depthMm: number; cornerMm: number };

export interface Point {
  x: number;
  y: number;
}

interface Box {
  widthMm: number;
  depthMm: number;
  cornerMm: number;
}

/** Width, depth and corner radius; a round is a box whose corner is its radius. */
export function asBox(outline: Outline): Box {
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

/** Area in mm2, exact. */
export function areaMm2(outline: Outline): number {
  const { widthMm, depthMm, cornerMm } = asBox(outline);
  return widthMm * depthMm - (4 - Math.PI) * cornerMm ** 2;
}

/** Length of the rim in mm, exact. */
export function perimeterMm(outline: Outline): number {
  const { widthMm, depthMm, cornerMm } = asBox(outline);
  return 2 * (widthMm + depthMm) - (8 - 2 * Math.PI) * cornerMm;
}

/** Width along x in mm, which is what the section cuts through. */
export const widthMm = (outline: Outline): number => asBox(outline).widthMm;

/** Depth along y in mm. */
export const depthMm = (outline: Outline): number => asBox(outline).depthMm;

/**
 * The outline moved outward by `byMm` with round joins, or inward where `byMm` is negative. Exact
 * for these shapes: a sharp corner grows into a quarter circle of radius `byMm`.
 *
 * @returns null when nothing is left of an inward move
 */
export function grow(outline: Outline, byMm: number): Outline | null {
  const box = asBox(outline);
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

/** Area of the outline moved by `byMm`, mm2; nothing when the inward move leaves nothing. */
export function grownAreaMm2(outline: Outline, byMm: number): number {
  const moved = grow(outline, byMm);
  return moved ? areaMm2(moved) : 0;
}

/** Radius of the cylinder that has the same ratio of area to rim, 2A/P, in mm. */
export const equivalentRadiusMm = (outline: Outline): number =>
  (2 * areaMm2(outline)) / perimeterMm(outline);

/** True when the point lies inside or within `toleranceMm` of the rim. */
export function contains(outline: Outline, point: Point, toleranceMm = 1e-6): boolean {
  const { widthMm: w, depthMm: d, cornerMm: c } = asBox(outline);
  const x = Math.abs(point.x);
  const y = Math.abs(point.y);
  if (x > w / 2 + toleranceMm || y > d / 2 + toleranceMm) return false;
  const cx = w / 2 - c;
  const cy = d / 2 - c;
  if (x <= cx || y <= cy) return true;
  return Math.hypot(x - cx, y - cy) <= c + toleranceMm;
}

/** The rim as a closed polygon, counter-clockwise, with `perQuarter` chords on each rounded corner. */
export function polygon(outline: Outline, perQuarter = 24): Point[] {
  const { widthMm: w, depthMm: d, cornerMm: c } = asBox(outline);
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

/** True when `inner`, centred, lies within `outer`. */
export function fitsInside(inner: Outline, outer: Outline, toleranceMm = 0.05): boolean {
  return polygon(inner, 12).every((p) => contains(outer, p, toleranceMm));
}

/** "28 cm across" or "33 × 23 cm": the size of an outline in the reader's units. */
export function outlineText(outline: Outline, system: UnitSystem): string {
  const { widthMm: wide, depthMm: deep } = asBox(outline);
  const across = showText(wide, 'size', system);
  return wide === deep ? across : `${across} × ${showText(deep, 'size', system)}`;
}
