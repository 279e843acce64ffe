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
  return [{ upMm: 0, region }, { upMm: highMm - rimMm, region }, ...round];
}

/** Rings of a tier at its place. */
export const raised = (rings: readonly Ring[], axis: Point, fromMm: number): Ring[] =>
  rings.map(({ upMm, region }) => ({
    upMm: upMm + fromMm,
    region: region.map((line) => line.map(({ x, y }) => ({ x: x + axis.x, y: y + axis.y }))),
  }));
