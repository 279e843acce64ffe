import type { CarveResult, CarveStep } from '../carve/result.ts';
import type { CarveQuestion } from '../carve/types.ts';
import type { Phrase } from '../units/phrase.ts';
import type { Body, Piece } from './body.ts';
import { within, type Library, type Scope, type Solid } from './library.ts';
import type { sharesOf } from './materials.ts';

/* What every kind of cut is given, and what it gives. */

/** Below this a piece is crumbs, mL. */
export const crumbMl = 0.5;

export interface Making {
  lib: Library;
  segments: number;
  question: CarveQuestion;
  /** Keeps what stays; `scratch` what is only needed on the way. */
  own: Scope;
  scratch: Scope;
}
export interface Made {
  problem?: Phrase;
  note?: Phrase;
  body?: Body;
  removed?: Piece[];
  crumbs?: ReturnType<typeof sharesOf>;
  lacks?: CarveStep['lacks'];
  glueMl?: number;
  /** How a piece set back on is held, and by how much frosting. */
  held?: CarveResult['held'][number] | null;
}

/** Area of what stands on the board, mm2. */
export const footOf = (body: Body): number =>
  within((scope) => body.reduce((sum, { solid }) => sum + scope.hold(solid.slice(0.05)).area(), 0));

export const mlOf = (solid: Solid): number => solid.volume() / 1000;
export const isHollow = (solid: Solid): boolean => solid.volume() < 0;
