import type { Outline } from '../outline/outline.ts';

/** A point of a drawn line: out from the axis (or to the right), and up from the foot, mm. */
export type LinePoint = [out: number, up: number];

export const cutKinds = [
  'plane',
  'step',
  'edge',
  'silhouette',
  'profile',
  'flutes',
  'scoop',
  'core',
  'groove',
  'relief',
  'halves',
  'target',
  'set',
  'lay',
] as const;
export type CutKind = (typeof cutKinds)[number];

/**
 * Bearings are read on the cake from above as on a clock: 0 degrees at the back (12 o'clock), 90 to
 * the right, 180 at the front. Heights count from what the tier stands on, lengths in mm.
 */
interface Base {
  id: string;
  name: string;
  on: boolean;
}
/** A flat cut through a point `outMm` from the axis at `upMm`, falling towards the bearing. */
export interface PlaneCut extends Base {
  kind: 'plane';
  bearingDeg: number;
  /** 0 lies level, 90 stands upright. */
  slopeDeg: number;
  outMm: number;
  upMm: number;
  /** Which side falls away: the one above (or outside), or the one below. */
  away: 'above' | 'below';
}
/** A face that slopes down to a ledge at `upMm`, level from there outward. */
export interface StepCut extends Base {
  kind: 'step';
  bearingDeg: number;
  /** Of the face: 90 stands upright. */
  slopeDeg: number;
  outMm: number;
  upMm: number;
}
export interface EdgeCut extends Base {
  kind: 'edge';
  form: 'bevelled' | 'rounded';
  where: 'top' | 'foot';
  sizeMm: number;
}
/** Whether a drawn line is that of the finished cake, coat and all, or the knife's own. */
export const drawnAs = ['finished', 'knife'] as const;
export type DrawnAs = (typeof drawnAs)[number];
/** Cut along a line seen from the front or from the side. */
export interface SilhouetteCut extends Base {
  kind: 'silhouette';
  seen: 'front' | 'side';
  points: LinePoint[];
  drawn: DrawnAs;
}
/** Turned as on a lathe: the line's distance from the axis at each height, from below up. */
export interface ProfileCut extends Base {
  kind: 'profile';
  points: LinePoint[];
  /** A curve through the points, and not straight from one to the next. */
  curved: boolean;
  drawn: DrawnAs;
}
/** Grooves down the side; null width where one runs into the next, which leaves lobes. */
export interface FlutesCut extends Base {
  kind: 'flutes';
  count: number;
  depthMm: number;
  widthMm: number | null;
  fromMm: number;
  toMm: number;
}
/** A ball taken out. */
export interface ScoopCut extends Base {
  kind: 'scoop';
  bearingDeg: number;
  outMm: number;
  upMm: number;
  radiusMm: number;
}
/** A round hole from the top down to `upMm`. */
export interface CoreCut extends Base {
  kind: 'core';
  bearingDeg: number;
  outMm: number;
  upMm: number;
  diameterMm: number;
}
/** A level groove all round. */
export interface GrooveCut extends Base {
  kind: 'groove';
  upMm: number;
  widthMm: number;
  depthMm: number;
}
/** What a relief shows; `own` is a drawing of the decorator's own, of which the area is known. */
export const motifs = ['own', 'letters', 'oval', 'oblong', 'heart', 'star'] as const;
export type Motif = (typeof motifs)[number];
/**
 * Cut into the coat alone; filled again with another frosting where one is named. On a side its middle is at
 * `upMm` towards the bearing; on a top it is `outMm` from the axis, read from the front.
 */
export interface ReliefCut extends Base {
  kind: 'relief';
  motif: Motif;
  /** Of letters. */
  words: string;
  /** Of every motif but letters, which take the room that they need, and one's own. */
  wideMm: number;
  highMm: number;
  /** How wide the strokes of letters are cut. */
  strokeMm: number;
  /** Of one's own drawing. */
  areaMm2: number;
  where: 'side' | 'top';
  bearingDeg: number;
  outMm: number;
  upMm: number;
  depthMm: number;
  inlaySpreadId: string | null;
  inlayTint: string;
}
/** Parted at `upMm`, both faces trimmed flat, joined again with frosting between. */
export interface HalvesCut extends Base {
  kind: 'halves';
  upMm: number;
  trimMm: number;
  glueMm: number;
}
/** A solid from a file, its points in mm after it was placed and sized. */
export interface TargetCut extends Base {
  kind: 'target';
  fileName: string;
  points: number[];
  triangles: number[];
  heightMm: number;
  upMm: number;
  turnDeg: number;
}
/** An offcut set back on, glued with `glueMm` of frosting: its middle over the place, its foot at `upMm`. */
export interface SetPiece extends Base {
  kind: 'set';
  fromCutId: string;
  piece: number;
  bearingDeg: number;
  outMm: number;
  upMm: number;
  turnDeg: number;
  tiltDeg: number;
  glueMm: number;
}
/** The whole cake laid over towards a bearing, on its side. */
export interface LayCut extends Base {
  kind: 'lay';
  bearingDeg: number;
  /** 90 lays it down, 180 turns it over. */
  overDeg: number;
}
export type Cut =
  | PlaneCut
  | StepCut
  | EdgeCut
  | SilhouetteCut
  | ProfileCut
  | FlutesCut
  | ScoopCut
  | CoreCut
  | GrooveCut
  | ReliefCut
  | HalvesCut
  | TargetCut
  | SetPiece
  | LayCut;

/** Diamonds scored into the cover: lines at an angle both ways, so far apart. */
export interface Lattice {
  angleDeg: number;
  spacingMm: number;
  /** A stud at each crossing. */
  studs: boolean;
}
/** How a tier is carved. */
export interface Carving {
  cuts: Cut[];
  /** Carved cold and firm, or at room temperature. */
  chilled: boolean;
  /** Heights besides the layers' own at which the guides give a cross-section, mm. */
  guidesMm: number[];
  lattice: Lattice | null;
  /** Thickness of frosting that glues pieces where a cut does not say. */
  glueSpreadId: string | null;
}

/** A stretch of the stack in one material, between two heights. */
export interface Stratum {
  /** Part of the tier, "layer/0" or "gap/0". */
  part: string;
  fromMm: number;
  toMm: number;
  gPerMl: number;
}
/** The stack as it stands before the first cut: plain data from which the solid is made. */
export interface CarveStock {
  outline: Outline;
  bands: Stratum[];
  heightMm: number;
  /** A dome left on top, its height; 0 for a level top. */
  crownMm: number;
  /** A core through it of its own material. */
  centre: { outline: Outline; fromMm: number; toMm: number; gPerMl: number } | null;
  /** Cakes from a ball's bowl: each between two heights, its rim above or below. */
  balls: { fromMm: number; toMm: number; rim: 'below' | 'above'; radiusMm: number }[];
  /** Outlines from its foot to its top, where a mould or its tin shaped it; left out where it stands straight. */
  wall?: { upMm: number; outline: Outline }[];
}
/** Thicknesses of what goes over the carved cake, mm. */
export interface Cover {
  crumbMm: number;
  sideMm: number;
  topMm: number;
  fondantMm: number;
}
/** Everything that decides what a carving comes to. */
export interface CarveQuestion {
  tierId: string;
  stock: CarveStock;
  cuts: Cut[];
  cover: Cover;
  guidesMm: number[];
}
