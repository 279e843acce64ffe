import { phrase, type Phrase } from '../units/phrase.ts';
import { clockName, sideName } from './sides.ts';
import type { Cut, CutKind, ReliefCut } from './types.ts';

export const cutTitles: Record<CutKind, string> = {
  plane: 'flat cut',
  step: 'step with a ledge',
  edge: 'edge taken off',
  silhouette: 'outline seen from one side',
  profile: 'turned shape',
  flutes: 'flutes or lobes',
  scoop: 'hollow scooped out',
  core: 'hole from the top',
  groove: 'groove all round',
  relief: 'relief in the coat',
  halves: 'two halves joined',
  target: 'shape from a solid file',
  set: 'offcut set back on',
  lay: 'laid over',
};

/** What a cut is good for. */
export const cutUses: Record<CutKind, string> = {
  plane: 'a roof, a wedge, a slope: one stroke of the long knife',
  step: 'a seat, a stair, a ledge for a smaller tier',
  edge: 'a rim rounded or bevelled, at the top or the foot',
  silhouette: 'a house, a boat, a number: drawn, or from an SVG file',
  profile: 'a dome, a bell, a vase: the same all round',
  flutes: 'a pumpkin, a shell, a fluted column',
  scoop: 'a crater, a bowl, an eye',
  core: 'a well to be filled, a way for a post',
  groove: 'a waist, a ring, a bed for a rope',
  relief: 'letters, a heart, a star, filled with another colour',
  halves: 'a ball or an egg of two halves',
  target: 'a shape that was modelled on a screen',
  set: 'what was cut off, glued on where cake is wanted',
  lay: 'a boat, a bottle, a log: stacked, then laid down',
};

const tan = (deg: number): number => Math.tan((deg * Math.PI) / 180);
const toward = (deg: number): string => `${sideName(deg)} (${clockName(deg)})`;

/**
 * A cut in plain words, with where the knife goes in and where it comes out.
 *
 * @param topMm height of the cake before the cut; @param reachMm how far it reaches from the axis
 */
export function cutWords(cut: Cut, topMm: number, reachMm: number): Phrase {
  switch (cut.kind) {
    case 'plane': {
      const away = cut.away === 'above' ? 'Take off what is above' : 'Take off what is below';
      if (cut.slopeDeg < 0.5)
        return phrase(`Level all round at {up} above the board. ${away}.`, {
          up: [cut.upMm, 'span'],
        });
      if (cut.slopeDeg > 89.5)
        return phrase(
          `Straight down, {out} from the axis on ${toward(cut.bearingDeg)}. The outside comes away.`,
          { out: [cut.outMm, 'span'] },
        );
      const slope = tan(cut.slopeDeg);
      const startOut = cut.outMm + (cut.upMm - topMm) / slope;
      const end = cut.upMm - (reachMm - cut.outMm) * slope;
      const inside = startOut > -reachMm;
      const from = inside
        ? `in at the top, {from} ${startOut < 0 ? 'beyond the axis' : 'from the axis'}`
        : 'in at the far side, {fromUp} above the board';
      const to =
        end >= 0
          ? 'out at the side, {to} above the board'
          : 'out at the foot, {toOut} from the axis';
      return phrase(`Towards ${toward(cut.bearingDeg)}, falling {deg}°: ${from}; ${to}. ${away}.`, {
        deg: [Math.round(cut.slopeDeg), 'count'],
        from: [Math.abs(startOut), 'span'],
        fromUp: [cut.upMm + (reachMm + cut.outMm) * slope, 'span'],
        to: [Math.max(0, end), 'span'],
        toOut: [cut.outMm + cut.upMm / slope, 'span'],
      });
    }
    case 'step': {
      const leaning = cut.slopeDeg < 89.5;
      return phrase(
        `On ${toward(cut.bearingDeg)}: in at the top, {from} from the axis, down ${leaning ? 'at {deg}° ' : ''}to {up} above the board; then level outward from {out}.`,
        {
          from: [
            leaning ? cut.outMm - Math.max(0, topMm - cut.upMm) / tan(cut.slopeDeg) : cut.outMm,
            'span',
          ],
          deg: [Math.round(cut.slopeDeg), 'count'],
          up: [cut.upMm, 'span'],
          out: [cut.outMm, 'span'],
        },
      );
    }
    case 'edge':
      return phrase(
        cut.form === 'bevelled'
          ? `Bevel the ${cut.where === 'top' ? 'top edge' : 'foot'} all round: from {size} in to {size} ${cut.where === 'top' ? 'down' : 'up'}. Short strokes, turning the cake.`
          : `Round off the ${cut.where === 'top' ? 'top edge' : 'foot'} to a radius of {size}, a shaving at a time.`,
        { size: [cut.sizeMm, 'span'] },
      );
    case 'silhouette': {
      const ups = cut.points.map((p) => p[1]);
      const outs = cut.points.map((p) => p[0]);
      return phrase(
        `Hold the template of the ${cut.seen === 'front' ? 'front' : 'right side'} against the cake, its foot on the board, and cut along it straight through: from {low} to {high} above the board, {wide} across.`,
        {
          low: [Math.max(0, Math.min(...ups)), 'span'],
          high: [Math.max(...ups), 'span'],
          wide: [Math.max(...outs) - Math.min(...outs), 'span'],
        },
      );
    }
    case 'profile': {
      const [first, last] = [cut.points[0]!, cut.points.at(-1)!];
      return phrase(
        'On the turntable with the half template against the side: from {r0} from the axis at {z0} up to {r1} at {z1}. Corners first, then shavings all round, shy of the line and back to it.',
        {
          r0: [first[0], 'span'],
          z0: [first[1], 'span'],
          r1: [last[0], 'span'],
          z1: [last[1], 'span'],
        },
      );
    }
    case 'flutes':
      return phrase(
        `{count} ${cut.widthMm === null ? 'furrows that meet' : 'flutes {wide} wide'}, {deep} deep, from {from} to {to} above the board: one every {deg}° from the back on. Mark them all before the first cut.`,
        {
          count: [cut.count, 'count'],
          wide: [cut.widthMm ?? 0, 'thickness'],
          deep: [cut.depthMm, 'thickness'],
          from: [cut.fromMm, 'span'],
          to: [Math.min(cut.toMm, topMm), 'span'],
          deg: [Math.round(360 / cut.count), 'count'],
        },
      );
    case 'scoop':
      return phrase(
        `Scoop a hollow of radius {r}, its middle {out} from the axis towards ${toward(cut.bearingDeg)} and {up} above the board.`,
        { r: [cut.radiusMm, 'span'], out: [cut.outMm, 'span'], up: [cut.upMm, 'span'] },
      );
    case 'core':
      return phrase(
        `A cutter of {d} straight down ${cut.outMm > 0.5 ? `{out} from the axis towards ${toward(cut.bearingDeg)}` : 'on the axis'}, from the top to {up} above the board.`,
        { d: [cut.diameterMm, 'span'], out: [cut.outMm, 'span'], up: [cut.upMm, 'span'] },
      );
    case 'groove':
      return phrase(
        'A groove all round, {wide} wide and {deep} deep, its middle {up} above the board. Score both lines on the turntable first.',
        {
          wide: [cut.widthMm, 'thickness'],
          deep: [cut.depthMm, 'thickness'],
          up: [cut.upMm, 'span'],
        },
      );
    case 'relief':
      return reliefWords(cut);
    case 'halves':
      return phrase(
        'Part it level at {up} above the board, trim {trim} off both faces so that they lie flat, spread {glue} of frosting and set them together.',
        { up: [cut.upMm, 'span'], trim: [cut.trimMm, 'fine'], glue: [cut.glueMm, 'fine'] },
      );
    case 'target':
      return phrase(
        'Follow the shape with the templates at each height: large slices first, then down to the line.',
      );
    case 'set':
      return phrase(
        `Set the piece on with {glue} of frosting, its middle {out} from the axis towards ${toward(cut.bearingDeg)}, its foot {up} above the board; press, hold, chill.`,
        { glue: [cut.glueMm, 'fine'], out: [cut.outMm, 'span'], up: [cut.upMm, 'span'] },
      );
    case 'lay':
      return phrase(
        cut.overDeg > 135
          ? 'Turn the whole cake over onto a second board, cold and firm.'
          : `Lay the whole cake over towards ${toward(cut.bearingDeg)} onto a board, cold and firm, with a hand under it all the way.`,
      );
  }
}

/** What is cut into a coat, where, and how. */
function reliefWords(cut: ReliefCut): Phrase {
  const what = {
    own: 'Your own drawing of {area}',
    letters: `“${cut.words.trim()}” in letters {high} high, strokes {stroke} wide`,
    oval: 'An oval {wide} wide and {high} high',
    oblong: 'An oblong {wide} wide and {high} high',
    heart: 'A heart {wide} wide and {high} high',
    star: 'A star {wide} wide and {high} high',
  }[cut.motif];
  const where =
    cut.where === 'side'
      ? `on ${toward(cut.bearingDeg)}, its middle {up} above the board`
      : Math.abs(cut.outMm) < 0.5
        ? 'in the middle of the top'
        : `on the top, read from the front, its middle {out} from the axis towards ${toward(cut.bearingDeg)}`;
  const then = cut.inlaySpreadId ? '; then fill it with the other colour and scrape level' : '';
  return phrase(
    `${what}, ${where}. Pricked through paper first, then cut into the coat alone, {deep} deep, while it is cold but still gives${then}.`,
    {
      area: [cut.areaMm2, 'area'],
      wide: [cut.wideMm, 'span'],
      high: [cut.highMm, 'span'],
      stroke: [cut.strokeMm, 'fine'],
      up: [cut.upMm, 'span'],
      out: [cut.outMm, 'span'],
      deep: [cut.depthMm, 'fine'],
    },
  );
}
