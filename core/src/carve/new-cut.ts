import type { Carving, Cut, CutKind, LinePoint } from './types.ts';
import { word } from '../units/value-words.ts';

/** A tier's size, from which a new cut starts. mm. */
export interface CutRoom {
  radiusMm: number;
  widthMm: number;
  heightMm: number;
}

/** A carving with nothing cut yet, cold as most schools do it. */
export const newCarving = (): Carving => ({
  cuts: [],
  chilled: true,
  guidesMm: [],
  lattice: null,
  glueSpreadId: null,
});

/** A quarter round over the whole tier, from the rim of its foot to the top of its axis. */
const dome = (r: number, h: number): LinePoint[] =>
  Array.from({ length: 7 }, (_, i): LinePoint => {
    const a = (Math.PI / 2) * (i / 6);
    return [Math.round(r * Math.cos(a) * 2) / 2, Math.round(h * Math.sin(a) * 2) / 2];
  });

/** A new cut of a kind, of a size that shows on this tier. `set` wants a piece, `target` a file. */
export function newCut(kind: Exclude<CutKind, 'set' | 'target'>, id: string, room: CutRoom): Cut {
  const { radiusMm: r, heightMm: h } = room;
  const half = Math.round(room.widthMm / 2);
  const base = { id, on: true };
  const at = (share: number): number => Math.round(h * share);
  switch (kind) {
    case 'plane':
      return {
        ...base,
        kind,
        name: word('Slope'),
        bearingDeg: 180,
        slopeDeg: 35,
        outMm: Math.round(r * 0.6),
        upMm: at(0.75),
        away: 'above',
      };
    case 'step':
      return {
        ...base,
        kind,
        name: word('Ledge'),
        bearingDeg: 180,
        slopeDeg: 80,
        outMm: Math.round(r * 0.4),
        upMm: at(0.5),
      };
    case 'edge':
      return { ...base, kind, name: 'Top edge', form: 'rounded', where: 'top', sizeMm: 15 };
    case 'silhouette':
      return {
        ...base,
        kind,
        name: word('Front'),
        seen: 'front',
        drawn: 'finished',
        points: [
          [-half, 0],
          [half, 0],
          [Math.round(half * 0.6), at(1)],
          [-Math.round(half * 0.6), at(1)],
        ],
      };
    case 'profile':
      return {
        ...base,
        kind,
        name: word('Dome'),
        points: dome(Math.round(r), Math.round(h)),
        curved: true,
        drawn: 'finished',
      };
    case 'flutes':
      return {
        ...base,
        kind,
        name: word('Flutes'),
        count: 12,
        depthMm: 6,
        widthMm: null,
        fromMm: 0,
        toMm: Math.round(h),
      };
    case 'scoop':
      return {
        ...base,
        kind,
        name: word('Hollow'),
        bearingDeg: 180,
        outMm: Math.round(r),
        upMm: at(0.6),
        radiusMm: 25,
      };
    case 'core':
      return {
        ...base,
        kind,
        name: word('Hole'),
        bearingDeg: 0,
        outMm: 0,
        upMm: at(0.5),
        diameterMm: 40,
      };
    case 'groove':
      return { ...base, kind, name: word('Groove'), upMm: at(0.5), widthMm: 10, depthMm: 5 };
    case 'relief':
      return {
        ...base,
        kind,
        name: word('Letters'),
        motif: 'letters',
        words: 'M',
        wideMm: 40,
        highMm: Math.max(5, Math.min(60, at(0.5))),
        strokeMm: 6,
        areaMm2: 1500,
        where: 'side',
        bearingDeg: 180,
        outMm: 0,
        upMm: at(0.5),
        depthMm: 2,
        inlaySpreadId: null,
        inlayTint: '',
      };
    case 'halves':
      return { ...base, kind, name: word('Halves'), upMm: at(0.5), trimMm: 3, glueMm: 2 };
    case 'lay':
      return { ...base, kind, name: 'Laid over', bearingDeg: 180, overDeg: 90 };
  }
}
