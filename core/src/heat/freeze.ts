import { depthMm, widthMm } from '../outline/outline.ts';
import type { Kitchen } from '../pantry/types.ts';
import { slowestShare, secondsUntil } from './body.ts';
import { coldAlpha, conductivity, inFreezer, type Mass } from './cooling.ts';

/*
 * How long a body takes to freeze and to thaw, by Plank's rule (textbook): the front moves in from all
 * faces, and what it frees goes out through what is frozen already and through the surface.
 */

/** What is sweet and wet freezes at about this temperature, C. */
export const freezesC = -3;
/** Heat of freezing water, kJ/kg, and the share of it that is ice in a freezer (estimate). */
const waterKJ = 334;
const iceShare = 0.85;

/** Heat that freezing takes out of food of so much water, kJ/kg. */
export const freezingKJ = (waterShare: number): number => waterShare * iceShare * waterKJ;

/**
 * Plank's factors for a brick whose other two sides are so many times its least: of the surface and of
 * the inside. A slab comes to 1/2 and 1/8, a cube to 1/6 and 1/24.
 */
export function plankFactors(b1: number, b2: number): { surface: number; inside: number } {
  const [wide, long] = [Math.max(1, Math.min(b1, b2)), Math.max(1, b1, b2)];
  const surface = (wide * long) / (2 * (wide * long + wide + long));
  const root = Math.sqrt((long - wide) * (long - 1) + (wide - 1) ** 2);
  if (root < 1e-9) return { surface, inside: 1 / 24 };
  const term = (at: number): number =>
    Math.abs(at - 1) < 1e-12 ? 0 : (at - 1) * (wide - at) * (long - at) * Math.log(at / (at - 1));
  const [m, n] = [(wide + long + 1 + root) / 3, (wide + long + 1 - root) / 3];
  const inside = (term(m) - term(n)) / (8 * root) + (2 * wide + 2 * long - 1) / 72;
  return { surface, inside };
}

/** What the front takes, min: through `k` W/mK and a surface of `h` W/m2K, driven by so many degrees. */
function frontMin(mass: Mass, kJ: number, h: number, drivenK: number): number {
  const sides = [mass.heightMm, widthMm(mass.outline), depthMm(mass.outline)].sort((a, b) => a - b);
  const [least, middle, most] = sides as [number, number, number];
  const { surface, inside } = plankFactors(middle / least, most / least);
  const d = least / 1000;
  const rho = mass.densityGPerMl * 1000;
  const slow = (surface * d) / h + (inside * d * d) / conductivity(mass, coldAlpha);
  return ((rho * kJ * 1000) / drivenK) * (slow / 60);
}

/** What takes longer than a week is not said. */
const finite = (minutes: number): number | null => (minutes < 7 * 24 * 60 ? minutes : null);

/**
 * Minutes until a wrapped body is frozen through: its warmth first, then the front. Null in a freezer
 * that is too warm for it. The wrap or the mould halves the freezer's coefficient (estimate).
 */
export function freezeThroughMin(
  mass: Mass,
  waterShare: number,
  fromC: number,
  kitchen: Kitchen,
): number | null {
  const drivenK = freezesC - kitchen.freezerC;
  if (drivenK < 1) return null;
  const wanted = (freezesC - kitchen.freezerC) / (fromC - kitchen.freezerC);
  const body = inFreezer(mass, kitchen);
  const cooling = secondsUntil((t) => slowestShare(body, t), wanted) / 60;
  return finite(cooling + frontMin(mass, freezingKJ(waterShare), kitchen.freezerW / 2, drivenK));
}

/** Minutes until it has thawed through in the fridge; null in a fridge below freezing. */
export function thawThroughMin(mass: Mass, waterShare: number, kitchen: Kitchen): number | null {
  const drivenK = kitchen.fridgeC - freezesC;
  if (drivenK < 1) return null;
  return finite(frontMin(mass, freezingKJ(waterShare), kitchen.fridgeW, drivenK));
}

/** Thickest layer for which the freezing time is worth giving, mm. */
export const freezableMm = 60;
/** About a third of a sponge is water, and nearly all of it freezes. */
const spongeWater = 0.35;

/** Minutes until a wrapped layer of sponge is frozen through; null for what is thicker than any is. */
export const freezeLayerMin = (mass: Mass, fromC: number, kitchen: Kitchen): number | null =>
  mass.heightMm > freezableMm ? null : freezeThroughMin(mass, spongeWater, fromC, kitchen);
