import { flutesOf } from '../elevation/elevation.ts';
import type { Tier } from '../document/types.ts';
import { mouldOutlineAt } from '../mould/mould.ts';
import { coarse, polygon, widthMm, type Outline, type Point } from '../outline/outline.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { flutedLine } from '../tins/flutes.ts';
import { drawnIn, type Ring } from './slices.ts';
import type { Region } from './types.ts';

/** Chords to a quarter of a round, and for the rounding of a rim. */
const perQuarter = 24;
const rimChords = 4;
/** A rim that is called sharp is rounded by so much all the same, mm. */
const sharpestMm = 1.2;
/** A wall that a mould shaped is followed in such steps, mm. */
const wallStepMm = 3;

/** Lines of an outline: its rim, and its hole the other way round. */
export function regionOf(outline: Outline): Region {
  const rim = polygon(coarse(outline), perQuarter);
  if (outline.kind !== 'ring') return [rim];
  const hole = polygon({ kind: 'round', diameterMm: outline.holeMm }, perQuarter);
  return [rim, [...hole].reverse()];
}

const scaledBy = (region: Region, by: number): Region =>
  region.map((line) => line.map(({ x, y }): Point => ({ x: x * by, y: y * by })));

/**
 * The outside of a tier from its foot up: straight with a rounded rim, with the waves of a fluted tin, or over
 * the wall of the mould that shaped it. Heights from its foot, about its axis.
 *
 * @param outline its widest line there: with everything on it, or that of the stack under it
 */
export function tierRings(tier: Tier, plan: TierPlan, outline: Outline, highMm: number): Ring[] {
  const { mould } = plan;
  const flutes = flutesOf(tier, plan);
  const region =
    flutes && outline.kind === 'round'
      ? [flutedLine(outline.diameterMm / 2, flutes)]
      : regionOf(outline);
  if (mould) {
    const coatMm = (widthMm(outline) - widthMm(tier.outline)) / 2;
    const wide = widthMm(outline);
    const at = (upMm: number): Ring => ({
      upMm,
      region: scaledBy(
        region,
        Math.max(
          0.02,
          (widthMm(mouldOutlineAt(mould, Math.min(upMm, highMm))) + 2 * coatMm) / wide,
        ),
      ),
    });
    const steps = Math.max(2, Math.ceil(highMm / wallStepMm));
    return Array.from({ length: steps + 1 }, (_, i) => at((highMm * i) / steps));
  }
  const rimMm = Math.min(Math.max(sharpestMm, tier.coat.rimMm), highMm / 3, widthMm(outline) / 6);
  const round = Array.from({ length: rimChords }, (_, k): Ring => {
    const a = ((k + 1) / rimChords) * (Math.PI / 2);
    return {
      upMm: highMm - rimMm + rimMm * Math.sin(a),
      region: region.map((line) => drawnIn(line, rimMm * (1 - Math.cos(a)))),
    };
  });
  const toMm = highMm - rimMm;
  return [{ upMm: 0, region }, ...strokesOf(tier, region, toMm), { upMm: toMm, region }, ...round];
}

/** Grooves of a comb are so far apart where it cuts no deeper, mm, and strokes of a rustic coat so high (estimates). */
const combPitchMm = 5;
const strokeMm = 9;
/** A rustic side goes in and out by so much, mm. */
const rusticMm = 1.1;

/** What a comb or a palette knife leaves on an upright side: grooves about the mean, or strokes that come and go. */
function strokesOf({ coat, fondant }: Tier, region: Region, toMm: number): Ring[] {
  if (fondant) return [];
  const rings = (pitchMm: number, inBy: (k: number, i: number) => number): Ring[] =>
    Array.from({ length: Math.max(0, Math.ceil(toMm / pitchMm) - 1) }, (_, k) => ({
      upMm: (k + 1) * pitchMm,
      region: region.map((line) => drawnIn(line, (i) => inBy(k, i))),
    }));
  if (coat.style === 'combed' && coat.comb) {
    const { depthMm } = coat.comb;
    // triangular grooves: as far over the mean as under it
    return rings(Math.max(combPitchMm / 2, depthMm), (k) => (k % 2 === 0 ? depthMm : -depthMm) / 2);
  }
  if (coat.style !== 'rustic') return [];
  return rings(
    strokeMm,
    (k, i) => rusticMm * Math.sin(0.37 * i + 1.9 * k) * Math.cos(0.11 * i - 2.3 * k),
  );
}

/** Rings of a tier at its place. */
export const raised = (rings: readonly Ring[], axis: Point, fromMm: number): Ring[] =>
  rings.map(({ upMm, region }) => ({
    upMm: upMm + fromMm,
    region: region.map((line) => line.map(({ x, y }) => ({ x: x + axis.x, y: y + axis.y }))),
  }));
