import type { CarveQuestion } from '../carve/types.ts';
import type { Point } from '../outline/point.ts';
import type { Look } from '../pantry/types.ts';
import type { NozzleForm } from '../piping/nozzles.ts';
import type { PipedForm } from '../piping/shapes.ts';

/*
 * The finished cake as bodies in space: x to the right, y to the back, z up from the top of the board, mm. It is
 * data alone; who draws it makes triangles of it.
 */

export interface Place extends Point {
  z: number;
}
/** Closed lines seen from above: the first is outside, those after it are holes. */
export type Region = Point[][];
/** A piece of a body between two heights; both regions have the same lines with the same number of points. */
export interface Slice {
  fromMm: number;
  toMm: number;
  foot: Region;
  top: Region;
}

export type BodyKind =
  | 'board'
  | 'card'
  | 'post'
  | 'dowel'
  | 'layer'
  | 'filling'
  | 'dam'
  | 'crumb coat'
  | 'coat'
  | 'thin coat'
  | 'cover'
  | 'poured'
  | 'flood'
  | 'ribbon';

/** What is put on a surface so thin that it only changes its look. */
export interface Film {
  /** The step at the bench that puts it on. */
  key: string;
  look: Look;
  /** Share of what lies under it that it hides, 0 to 1. */
  cover: number;
  shiny: boolean;
  on: 'all over' | 'side' | 'top';
  /** From which step of the building on it is there. */
  step: number;
}

export interface PictureBody {
  /** The part of the cake that it shows, by the id that choosing it takes. */
  part: string;
  tierId: string | null;
  kind: BodyKind;
  label: string;
  look: Look | 'board' | 'wood' | 'paper';
  /** What its top looks like where that is another colour than its side. */
  topLook?: Look;
  /** A thin coat over it, and how much of it that hides. */
  veil?: { look: Look; cover: number };
  /** On it, in the order in which they were put there. */
  films?: readonly Film[];
  slices: Slice[];
  /** From which step of the building on it is there. */
  step: number;
  /** Hidden under a coat: seen while the cake is built, and where it is cut open. */
  inside: boolean;
}

/** One drip as it came to rest: it begins at a place of the rim and runs down the side that faces `out`. */
export interface PictureDrip {
  part: string;
  tierId: string;
  index: number;
  at: Place;
  out: Point;
  lengthMm: number;
  widthMm: number;
  /** How far it stands out, mm. */
  thickMm: number;
  look: Look;
  step: number;
}

/** What a single piece is shaped like. */
export type PieceForm =
  | { of: 'piping'; form: PipedForm; nozzle: NozzleForm }
  | {
      of: 'topping';
      form: 'ball' | 'egg' | 'cone' | 'roll' | 'block' | 'shard' | 'disc' | 'stick' | 'leaf';
    };

/** Alike pieces, each at its own place: its foot, and the way in which it stands up or out. */
export interface PictureGroup {
  part: string;
  tierId: string;
  label: string;
  form: PieceForm;
  look: Look;
  acrossMm: number;
  highMm: number;
  /** On a stick or pick that stands out from under it, mm of it seen; 0 for none. */
  stickMm: number;
  pieces: { at: Place; up: Place; along: Point }[];
  step: number;
}

/** What is piped or laid in one length: a line, a rope, a vine, a drizzle. */
export interface PictureRun {
  part: string;
  tierId: string;
  label: string;
  look: Look;
  wideMm: number;
  highMm: number;
  closed: boolean;
  /** A rope is twisted. */
  isRope: boolean;
  points: Place[];
  step: number;
}

/** Words piped on a top, read from the front, or on the front of a side. */
export interface PictureWords {
  part: string;
  tierId: string;
  text: string;
  letterMm: number;
  look: Look;
  at: Place;
  on: 'top' | 'front';
  step: number;
}

/** A tier cut to a shape: its solid is asked of the solids, and stands with its foot here, grown by its coat. */
export interface PictureCarved {
  part: string;
  tierId: string;
  question: CarveQuestion;
  at: Place;
  coatMm: number;
  look: Look | null;
  films: readonly Film[];
  reliefs: readonly PictureRelief[];
  step: number;
}

/** What is cut into a coat: its line round its middle, laid on whatever of the side or top it meets. */
export interface PictureRelief {
  part: string;
  /** mm, x to the right and y up as one looks at it. */
  line: Point[];
  /** Letters within that room; null where the line itself is cut. */
  text: string | null;
  /** The middle: from the axis, and above the foot; on a side it goes in from outside, against `out`. */
  at: Place;
  /** The way it faces. */
  out: Place;
  /** The frosting laid in; null for an open one, in which the coat is in its own shade. */
  look: Look | null;
  step: number;
}

/** Where a tier stands, and the stack under its coat: what is cut open is seen inside that. */
export interface PictureTier {
  id: string;
  name: string;
  axis: Point;
  fromMm: number;
  toMm: number;
  /** The line of the stack at any height above the board; the region of nothing from `innerToMm` on. */
  inner: Slice[];
}

export interface CakePicture {
  tiers: PictureTier[];
  bodies: PictureBody[];
  drips: PictureDrip[];
  groups: PictureGroup[];
  runs: PictureRun[];
  words: PictureWords[];
  carved: PictureCarved[];
  /** What is done at each step of the building, in words; the first is the bare board. */
  steps: string[];
  /** Box round all of it. */
  box: { low: Place; high: Place };
  /** Pieces that are left out of the picture because there are too many of them. */
  left: number;
}
