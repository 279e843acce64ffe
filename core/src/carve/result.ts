import type { Phrase } from '../units/phrase.ts';
import type { Tops } from './tops.ts';

export type Vec3 = [x: number, y: number, z: number];
/** Closed lines in mm; outer ones run counter-clockwise, holes clockwise. */
export type Lines = [number, number][][];
/** Volume by part of the tier, mL. */
export type ByPart = Record<string, number>;

/** A piece that fell away at a cut, or was taken up again. */
export interface Offcut {
  cutId: string;
  piece: number;
  /** Edges of the box round it as it lay in the cake, longest first, mm. */
  sizeMm: Vec3;
  ml: number;
  massG: number;
  byPart: ByPart;
  /** It comes away in one piece; false for what goes as shavings, a stroke at a time. */
  whole: boolean;
  /** The cut that sets it back on; null while it lies beside. */
  usedBy: string | null;
}
/** What a cut did, and how the cake stands after it. */
export interface CarveStep {
  cutId: string;
  /** Why it could not be done; the cake is left as it was before it. */
  problem: Phrase | null;
  /** Done, and yet something to know. */
  note: Phrase | null;
  removedMl: number;
  removedG: number;
  byPart: ByPart;
  pieces: Offcut[];
  leftMl: number;
  leftG: number;
  centre: Vec3;
  topMm: number;
  footMm2: number;
  /** Where the cake lacks what the drawn shape asks for. */
  lacks: { ml: number; at: Vec3; sizeMm: Vec3 }[];
  /** For a drawn line: the cake before it, seen from where the line is drawn; else none. */
  behind: Lines;
}
/** Amounts of coat and cover from the real surface. */
export interface CarvedCoat {
  crumbMl: number;
  coatMl: number;
  fondantMl: number;
  /** Outside of the finished cake without its foot, mm2. */
  finishedMm2: number;
  /** True when measured on the solid, false while reckoned from area and curvature. */
  exact: boolean;
}
/** A cross-section to work to. */
export interface Guide {
  upMm: number;
  label: string;
  lines: Lines;
  /** Distance from the axis at 24 bearings of 15 degrees from the back on; null where there is no cake. */
  outMm: (number | null)[];
}
/** Thinnest level section that carries more than a tenth of the cake. */
export interface Neck {
  upMm: number;
  areaMm2: number;
  acrossMm: number;
}
/** One piece of cover where a single sheet will not drape. */
export interface Panel {
  name: string;
  areaMm2: number;
  wideMm: number;
  highMm: number;
  /** Length of its edge against other panels. */
  seamMm: number;
}
/** What a carving comes to; plain data, kept beside the build. */
export interface CarveResult {
  key: string;
  steps: CarveStep[];
  /** Before the first cut and after the last. */
  stackMl: number;
  leftMl: number;
  stackG: number;
  leftG: number;
  byPart: ByPart;
  stackByPart: ByPart;
  centre: Vec3;
  topMm: number;
  widthMm: number;
  depthMm: number;
  foot: Lines;
  footMm2: number;
  neck: Neck | null;
  /** How far it reaches beyond its foot, and towards which bearing. */
  overhang: { mm: number; bearingDeg: number };
  /** Centre of mass inside the outline it stands on. */
  stands: boolean;
  /** Surface without the foot, and how much of it each part shows, mm2. */
  surfaceMm2: number;
  exposedMm2: ByPart;
  coat: CarvedCoat;
  guides: Guide[];
  /** Cut through the axis from side to side, by part, and the whole. */
  section: { part: string; lines: Lines }[];
  sectionLines: Lines;
  /** Seen from the front, from the right and from above. */
  front: Lines;
  side: Lines;
  plan: Lines;
  /** How high it is where something can be set on it. */
  tops: Tops;
  panels: Panel[];
  /** Does one sheet of cover drape over it. */
  drapes: boolean;
  /** Frosting that glues pieces set back on and halves joined, mL. */
  glueMl: number;
  /** A part set on a slope and the shear it needs, Pa; one for each piece set back. */
  held: { cutId: string; areaMm2: number; slopeDeg: number; needsPa: number }[];
  /** Was the cake laid over: its layers no longer lie level. */
  laid: boolean;
}
