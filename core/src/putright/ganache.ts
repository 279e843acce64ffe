import { composeGanache, correctFirmness, type GanacheParts } from '../ganache/composer.ts';
import { ganacheFluid, standsAtMm } from '../drip/fluid.ts';
import { capacityOfGanache } from '../ganache/composer.ts';
import { bowlMinutes, minutesTo } from '../heat/cool-bowl.ts';

/** What a bowl of ganache wants so that it runs as it should: one of these does it. */
export interface GanacheRemedies {
  /** Film at which it stands now, and at which it should, mm. */
  nowMm: number;
  wantedMm: number;
  /** Temperature at which it would be right as it is, C. */
  rightC: number;
  /** Minutes in the fridge (when too warm) to get there; null when it has to be warmed. */
  coolMin: number | null;
  /** Heat to get there, kJ, when it has to be warmed; 0 otherwise. */
  warmKJ: number;
  /** Seconds of a household microwave at half power, of which some 400 W arrive (estimate). */
  microwaveS: number;
  /** It stands within a twentieth of what is wanted: nothing is to be done. */
  isRight: boolean;
  /** Cream or chocolate that would make it right at the temperature it has, g. */
  addCreamG: number;
  addChocolateG: number;
}

/**
 * From measured temperature and composition to degrees, minutes or grams. Stiffness goes by
 * tau = 8·exp(-0.18·(T - 32))·(F/1.6)², so that a warmer bowl and a leaner one come to the same.
 *
 * @param wantedMm film at which it should stand on a side; @param stiffer factor of test drips
 */
export function putGanacheRight(
  parts: GanacheParts,
  tempC: number,
  wantedMm: number,
  fridge: { tempC: number; surfaceW: number },
  stiffer = 1,
): GanacheRemedies {
  const made = composeGanache(parts);
  const nowMm = standsAtMm(ganacheFluid(made.firmness, stiffer), tempC);
  const rightC = tempC + Math.log(nowMm / wantedMm) / 0.18;
  const capacity = capacityOfGanache(made);
  const tau = bowlMinutes(made.massG, 1.15, capacity, fridge.surfaceW);
  const wantedFirmness = made.firmness * Math.sqrt(wantedMm / nowMm);
  const fix = correctFirmness(parts, wantedFirmness);
  const warmKJ = rightC > tempC ? (made.massG / 1000) * capacity * (rightC - tempC) : 0;
  return {
    nowMm,
    wantedMm,
    rightC,
    coolMin: rightC < tempC ? minutesTo(tempC, rightC, fridge, tau) : null,
    warmKJ,
    microwaveS: warmKJ / 0.4,
    isRight: Math.abs(Math.log(nowMm / wantedMm)) < 0.05,
    ...fix,
  };
}

/** Cream that brings a split ganache back, g: until fat to water is 1.8 again (estimate). */
export function creamForSplit(parts: GanacheParts): number {
  const made = composeGanache(parts);
  const fatG = made.fat * made.massG;
  const waterG = made.water * made.massG;
  const { fat, water } = parts.cream;
  return Math.max(0, (fatG - 1.8 * waterG) / (1.8 * water - fat));
}

/** Liquid cream folded into a whipped ganache that is only dull, g: a twentieth (trade custom). */
export const creamForDull = (massG: number): number => massG * 0.05;
