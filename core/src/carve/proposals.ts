import { areaMm2, contains, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';
import type { Cut, LinePoint, ProfileCut, SilhouetteCut, TargetCut } from './types.ts';

/** How much room a target shape takes. Lengths in mm. */
export interface TargetSize {
  /** Its widest outline from above, as points round its axis. */
  rim: [number, number][];
  heightMm: number;
  ml: number;
}

/** Volume of a turned shape, mL: frustums from one point to the next. */
export const turnedMl = (points: readonly LinePoint[]): number =>
  points.slice(1).reduce((sum, [r, z], i) => {
    const [r0, z0] = points[i]!;
    return sum + (Math.PI / 3) * (z - z0) * (r * r + r * r0 + r0 * r0);
  }, 0) / 1000;

const ring = (r: number): [number, number][] =>
  Array.from({ length: 48 }, (_, i) => {
    const a = (Math.PI * i) / 24;
    return [r * Math.cos(a), r * Math.sin(a)];
  });

function meshSize(cut: TargetCut): TargetSize {
  const { points, triangles } = cut;
  const zs = points.filter((_, i) => i % 3 === 2);
  const [low, high] = [Math.min(...zs), Math.max(...zs)];
  const scale = cut.heightMm / Math.max(1e-6, high - low);
  const a = (-cut.turnDeg * Math.PI) / 180;
  const rim: [number, number][] = [];
  for (let i = 0; i < points.length; i += 3) {
    const [x, y] = [points[i]! * scale, points[i + 1]! * scale];
    rim.push([x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)]);
  }
  let six = 0;
  for (let t = 0; t < triangles.length; t += 3) {
    const [p, q, r] = [0, 1, 2].map((k) => {
      const at = triangles[t + k]! * 3;
      return [points[at]!, points[at + 1]!, points[at + 2]!] as const;
    }) as unknown as [readonly number[], readonly number[], readonly number[]];
    six +=
      p[0]! * (q[1]! * r[2]! - q[2]! * r[1]!) +
      p[1]! * (q[2]! * r[0]! - q[0]! * r[2]!) +
      p[2]! * (q[0]! * r[1]! - q[1]! * r[0]!);
  }
  return { rim, heightMm: cut.heightMm + cut.upMm, ml: Math.abs(six / 6000) * scale ** 3 };
}

const lineArea = (points: readonly LinePoint[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [x2, y2] = points[(i + 1) % points.length]!;
      return sum + (x * y2 - x2 * y) / 2;
    }, 0),
  );

/**
 * How much room the drawn shapes among the cuts take together; null where none of them draws one.
 * Two outlines seen from two sides make at most their areas' product over the height.
 */
export function targetSize(cuts: readonly Cut[]): TargetSize | null {
  const target = cuts.find((cut): cut is TargetCut => cut.kind === 'target' && cut.on);
  if (target) return meshSize(target);
  const turned = cuts.find((cut): cut is ProfileCut => cut.kind === 'profile' && cut.on);
  if (turned) {
    const foot: LinePoint = [turned.points[0]![0], 0];
    const line = [...(turned.points[0]![1] > 0 ? [foot] : []), ...turned.points];
    return {
      rim: ring(Math.max(...line.map((p) => p[0]))),
      heightMm: Math.max(...line.map((p) => p[1])),
      ml: turnedMl(line),
    };
  }
  const seen = (side: 'front' | 'side'): SilhouetteCut | undefined =>
    cuts.find(
      (cut): cut is SilhouetteCut => cut.kind === 'silhouette' && cut.on && cut.seen === side,
    );
  const [front, side] = [seen('front'), seen('side')];
  const any = front ?? side;
  if (!any) return null;
  const span = ({ points }: SilhouetteCut): [number, number] => [
    Math.min(...points.map((p) => p[0])),
    Math.max(...points.map((p) => p[0])),
  ];
  const [x0, x1] = span(front ?? any);
  const [y0, y1] = span(side ?? any);
  const heightMm = Math.max(...any.points.map((p) => p[1]));
  const a = front ? lineArea(front.points) : null;
  const b = side ? lineArea(side.points) : null;
  const ml =
    a !== null && b !== null ? (a * b) / heightMm : (a ?? b ?? 0) * Math.min(x1 - x0, y1 - y0);
  return {
    rim: [
      [x0, y0],
      [x1, y0],
      [x1, y1],
      [x0, y1],
    ],
    heightMm,
    ml: ml / 1000,
  };
}

/** A stack that a shape can be carved from. */
export interface StackProposal {
  tin: Tin;
  outline: Outline;
  layers: number;
  layerMm: number;
  gapMm: number;
  heightMm: number;
  /** The shape lies on its side in the stack and is stood up when it is carved. */
  lying: boolean;
  /** Share of what is stacked that is cut away. */
  offcutShare: number;
  stackMl: number;
  owned: boolean;
}

const fits = (rim: readonly [number, number][], outline: Outline): boolean =>
  rim.every(([x, y]) => contains(outline, { x, y }, 0.5));

/** Thickest layer worth cutting, and least of a tin's depth that a cake fills, mm and share. */
const thickestMm = 50;
const fillShare = 0.75;

/**
 * Stacks that hold a shape: each tin whose outline takes it in, upright and lying, with as many
 * layers as its height wants; the least waste first, of owned tins before others.
 *
 * @param gapMm filling between two layers; @param insetMm what coat and cover put round the cake
 */
export function proposeStacks(
  target: TargetSize,
  tins: readonly Tin[],
  gapMm: number,
  insetMm: number,
): StackProposal[] {
  const shrink = (mm: number, whole: number): number =>
    whole <= 0 ? 0 : (mm * Math.max(0.1, whole - 2 * insetMm)) / whole;
  const wide = Math.max(...target.rim.map((p) => Math.abs(p[0])));
  const rim = target.rim.map(([x, y]): [number, number] => [
    shrink(x, 2 * wide),
    shrink(y, 2 * wide),
  ]);
  const high = Math.max(10, target.heightMm - insetMm);
  const ys = rim.map((p) => p[1]);
  const deep = Math.max(...ys) - Math.min(...ys);
  const lyingRim: [number, number][] = [
    [-wide, -high / 2],
    [wide, -high / 2],
    [wide, high / 2],
    [-wide, high / 2],
  ];
  const ways = [
    { rim, high, lying: false },
    { rim: lyingRim, high: deep, lying: true },
  ];
  const found: StackProposal[] = [];
  for (const tin of tins) {
    if (tin.form !== 'upright' || tin.outline.kind === 'ring') continue;
    for (const way of ways) {
      if (!fits(way.rim, tin.outline)) continue;
      const most = Math.min(thickestMm, tin.depthMm * fillShare);
      const layers = Math.max(1, Math.ceil((way.high + gapMm) / (most + gapMm)));
      if (layers > 12) continue;
      const layerMm = (way.high - (layers - 1) * gapMm) / layers;
      if (layerMm < 8) continue;
      const stackMl = (areaMm2(tin.outline) * way.high) / 1000;
      found.push({
        tin,
        outline: tin.outline,
        layers,
        layerMm: Math.ceil(layerMm * 2) / 2,
        gapMm,
        heightMm: way.high,
        lying: way.lying,
        offcutShare: Math.max(0, 1 - target.ml / stackMl),
        stackMl,
        owned: tin.owned > 0,
      });
    }
  }
  return found
    .sort((a, b) => Number(b.owned) - Number(a.owned) || a.offcutShare - b.offcutShare)
    .filter(
      (one, i, all) =>
        i === 0 || one.stackMl !== all[i - 1]!.stackMl || one.lying !== all[i - 1]!.lying,
    )
    .slice(0, 6);
}
