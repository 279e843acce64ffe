import { kinds } from '../units/kinds.ts';
import { id, list, nullable, num, obj, oneOf, text, type Schema } from './json-blocks.ts';
import { carveMeasures, limits } from './limits.ts';

const { measure, mostPoints, mostLines, mostPieces } = carveMeasures;
const mostSteps = limits.cuts.max;
const n = num(measure);
const jsonLines = list(list(list(n, 2, 2), mostPoints), mostLines);
const jsonPlace = list(n, 3, 3);
const jsonParts: Schema = { type: 'object', additionalProperties: n };
const jsonSaid = nullable(
  obj(
    {
      text: text(1000),
      values: {
        type: 'object',
        additionalProperties: obj({ value: n, kind: oneOf(kinds) }),
      },
    },
    ['values'],
  ),
);
const bool: Schema = { type: 'boolean' };

/** What the solids said of the carved tiers, as it travels in a build file. */
export const carvingsJson: Schema = list(
  obj({
    key: { type: 'string', pattern: '^[0-9a-z]{1,40}$' },
    steps: list(
      obj({
        cutId: id,
        problem: jsonSaid,
        note: jsonSaid,
        removedMl: n,
        removedG: n,
        byPart: jsonParts,
        pieces: list(
          obj({
            cutId: id,
            piece: { type: 'integer', minimum: 0, maximum: mostPieces },
            sizeMm: jsonPlace,
            ml: n,
            massG: n,
            byPart: jsonParts,
            whole: bool,
            usedBy: nullable(id),
          }),
          mostPieces,
        ),
        leftMl: n,
        leftG: n,
        centre: jsonPlace,
        topMm: n,
        footMm2: n,
        lacks: list(obj({ ml: n, at: jsonPlace, sizeMm: jsonPlace }), mostPieces),
        behind: jsonLines,
      }),
      mostSteps,
    ),
    stackMl: n,
    leftMl: n,
    stackG: n,
    leftG: n,
    byPart: jsonParts,
    stackByPart: jsonParts,
    centre: jsonPlace,
    topMm: n,
    widthMm: n,
    depthMm: n,
    foot: jsonLines,
    footMm2: n,
    neck: nullable(obj({ upMm: n, areaMm2: n, acrossMm: n })),
    overhang: obj({ mm: n, bearingDeg: n }),
    stands: bool,
    surfaceMm2: n,
    exposedMm2: jsonParts,
    coat: obj({ crumbMl: n, coatMl: n, fondantMl: n, finishedMm2: n, exact: bool }),
    guides: list(
      obj({
        upMm: n,
        label: text(200),
        lines: jsonLines,
        outMm: list(nullable(n), 24),
      }),
      mostLines,
    ),
    section: list(obj({ part: text(64), lines: jsonLines }), mostLines),
    sectionLines: jsonLines,
    front: jsonLines,
    side: jsonLines,
    plan: jsonLines,
    panels: list(
      obj({
        name: oneOf(['top', 'front', 'right', 'back', 'left', 'underside']),
        areaMm2: n,
        wideMm: n,
        highMm: n,
        seamMm: n,
      }),
      6,
    ),
    drapes: bool,
    glueMl: n,
    held: list(obj({ cutId: id, areaMm2: n, slopeDeg: n, needsPa: n }), mostSteps),
    laid: bool,
  }),
  limits.tiers.max,
);
