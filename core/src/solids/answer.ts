import { carveKey } from '../carve/stock.ts';
import type { CarveResult, CarvedCoat, Offcut } from '../carve/result.ts';
import type { CarveQuestion, Cover } from '../carve/types.ts';
import { outsideOf, pieceShares, weigh } from './body.ts';
import type { Carver } from './carver.ts';
import { coatVolumes, type Thickness } from './coat-grid.ts';
import { quickCoat } from './coat-quick.ts';
import { within } from './library.ts';
import {
  beyond,
  guideHeights,
  guidesAt,
  neckOf,
  overhangOf,
  plainLines,
  sections,
  shadow,
} from './measure.ts';
import { seenMm2, surfaceOf, type Surface } from './mesh.ts';
import { lookingUp, panelsOf, undercutShare } from './panels.ts';
import { topsOf } from './tops.ts';

/** Up to this share of undercut a sheet is eased round by hand; a tall narrow shape tears all the same. */
const drapeUndercut = 0.02;
const drapeHeight = 1.5;

/** Thickness of each layer of the cover by how far a face looks up. */
const thicknessBy =
  ({ crumbMm, sideMm, topMm, fondantMm }: Cover) =>
  (up: number): Thickness => ({
    crumb: crumbMm,
    coat: sideMm + (topMm - sideMm) * up ** 2,
    fondant: fondantMm,
  });

/**
 * Everything a carving comes to. The coat is reckoned from area and curvature, which takes
 * milliseconds; `measuredCoat` measures it.
 */
export function carveAnswer(carver: Carver, question: CarveQuestion): CarveResult {
  const { stock, states } = carver.carve(question);
  const { lib } = carver;
  const body = carver.body();
  const before = weigh(stock.flatMap(pieceShares));
  const shares = weigh(body.flatMap(pieceShares));
  const laid = states.some((state) => state.laid);
  return within((scope) => {
    const whole = carver.whole();
    const surface = surfaceOf(outsideOf(whole, lib, scope));
    const { min, max } = whole.boundingBox();
    const foot = scope.hold(whole.slice(min[2] + 0.05));
    const plan = plainLines(scope.hold(whole.project()), scope);
    const { section, whole: cut } = sections(lib, body, scope);
    const hull = foot.isEmpty() ? [] : (scope.hold(foot.hull()).toPolygons()[0] ?? []);
    const footMm2 = foot.area();
    const surfaceMm2 = seenMm2(surface);
    const drawn = Object.values(shares.shown).reduce((sum, mm2) => sum + mm2, 0);
    const exposedMm2 = Object.fromEntries(
      // faces that meet inside the cake do not show
      Object.entries(shares.shown).map(([part, mm2]) => [part, (mm2 * surfaceMm2) / drawn]),
    );
    return {
      key: carveKey(question),
      steps: states.map(({ step }) => ({
        ...step,
        pieces: step.pieces.map((piece) => used(piece, question, states)),
      })),
      stackMl: before.ml,
      leftMl: shares.ml,
      stackG: before.massG,
      leftG: shares.massG,
      byPart: shares.byPart,
      stackByPart: before.byPart,
      centre: shares.centre,
      topMm: max[2],
      widthMm: max[0] - min[0],
      depthMm: max[1] - min[1],
      foot: plainLines(foot, scope),
      footMm2,
      neck: neckOf(whole, scope),
      overhang: overhangOf(foot, plan, scope),
      stands: hull.length > 2 && beyond(hull, shares.centre[0], shares.centre[1]) === 0,
      surfaceMm2,
      exposedMm2,
      coat: reckonedCoat(surface, question.cover),
      guides: guidesAt(
        whole,
        guideHeights(question.stock.bands, max[2], question.guidesMm, laid),
        scope,
      ),
      section,
      sectionLines: plainLines(cut, scope),
      front: shadow(whole, 'front', scope),
      side: shadow(whole, 'side', scope),
      plan,
      tops: topsOf(surface),
      panels: panelsOf(surface),
      drapes:
        undercutShare(surface) <= drapeUndercut &&
        max[2] <= drapeHeight * Math.min(max[0] - min[0], max[1] - min[1]),
      glueMl: states.reduce((sum, state) => sum + state.glueMl, 0),
      held: states.flatMap(({ held }) => (held ? [held] : [])),
      laid,
    };
  });
}

/** An offcut with the cut that sets it back on, where that worked. */
function used(
  piece: Offcut,
  { cuts }: CarveQuestion,
  states: readonly { step: { cutId: string; problem: unknown } }[],
): Offcut {
  const by = cuts.find(
    (cut) =>
      cut.kind === 'set' &&
      cut.fromCutId === piece.cutId &&
      cut.piece === piece.piece &&
      states.some(({ step }) => step.cutId === cut.id && step.problem === null),
  );
  return { ...piece, usedBy: by?.id ?? null };
}

function reckonedCoat(surface: Surface, cover: Cover): CarvedCoat {
  const volume = quickCoat(surface);
  // a top of its own thickness counts by how much of the surface looks up
  const up = lookingUp(surface);
  const coat = cover.sideMm + (cover.topMm - cover.sideMm) * up;
  const crumbMl = volume(cover.crumbMm);
  const coatMl = volume(cover.crumbMm + coat) - crumbMl;
  const all = cover.crumbMm + coat + cover.fondantMm;
  return {
    crumbMl,
    coatMl,
    fondantMl: volume(all) - volume(cover.crumbMm + coat),
    // the finished surface is how fast the coat grows there
    finishedMm2: (volume(all + 0.5) - volume(all - 0.5)) * 1000,
    exact: false,
  };
}

/** The coat of the cake as it is carved, reckoned from area and curvature; takes milliseconds. */
export const quickCoatOf = (carver: Carver, cover: Cover): CarvedCoat =>
  within((scope) => reckonedCoat(surfaceOf(outsideOf(carver.whole(), carver.lib, scope)), cover));

/** The coat of the cake as it is carved, measured on a grid; takes up to a second. */
export function measuredCoat(carver: Carver, cover: Cover): CarvedCoat {
  return within((scope) => {
    const whole = outsideOf(carver.whole(), carver.lib, scope);
    // facets finer than a twentieth of a millimetre make no difference to a coat
    const plain = scope.hold(whole.simplify(0.05));
    // long slivers have many cells near their box and few near themselves
    const surface = surfaceOf(scope.hold(plain.refineToLength(12)));
    const volumes = coatVolumes(surface, thicknessBy(cover));
    return {
      ...volumes,
      finishedMm2: reckonedCoat(surface, cover).finishedMm2,
      exact: true,
    };
  });
}
