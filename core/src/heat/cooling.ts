import type { Outline } from '../outline/outline.ts';
import type { Kitchen } from '../pantry/types.ts';
import { Remembered } from '../working/remembered.ts';
import { bodyOf, secondsUntil, shellReader, slowestShare, type Body } from './body.ts';

/** Heat capacity of sponge, kJ/kgK. */
export const spongeCapacity = 2.6;
/** Diffusivity of crumb while hot (steam carries heat) and when cold, m2/s. */
export const hotAlpha = 2.5e-7;
export const coldAlpha = 1.3e-7;
/** The outer part of top and side that decides when a coat is firm or a slice is ready, mm. */
export const shellMm = 10;

/** Targets of the outer 10 mm, C (estimates). */
export const shellTargets = {
  'crumb coat firm': 14,
  'ready for the next coat or for drips': 12,
  'firm to carve': 8,
  'cold for the road': 8,
} as const;
/** A coat and a hair of the cake under it: what is firm or not, and what something runs over, mm. */
export const coatDepthMm = 4;
/** How deep each target reaches, mm. */
const targetDepthMm: Record<keyof typeof shellTargets, number> = {
  'crumb coat firm': coatDepthMm,
  'ready for the next coat or for drips': shellMm,
  'firm to carve': shellMm,
  'cold for the road': shellMm,
};
export type ShellTarget = keyof typeof shellTargets;
/** The hottest point of food that is kept cold, and the outer part of a tier ready to eat, C. */
export const safeColdC = 5;
export const servedC = 15;

/** As warm as a cake is on its outside once it is finished and boxed, C (by simulation 12 to 16). */
export const finishedC = 15;

/** A cake or a tier: its outline, its height in mm and its density in g/mL. */
export interface Mass {
  outline: Outline;
  heightMm: number;
  densityGPerMl: number;
}

/** Of what is frozen or cold, W/mK. */
export const conductivity = (mass: Mass, alpha: number): number =>
  alpha * mass.densityGPerMl * 1000 * spongeCapacity * 1000;

function standing(mass: Mass, alpha: number, faceW: number, bottomW: number): Body {
  return bodyOf(mass.outline, mass.heightMm, {
    alpha,
    k: conductivity(mass, alpha),
    top: faceW,
    side: faceW,
    bottom: bottomW,
  });
}

/** On a rack: air all round. */
export const onRack = (mass: Mass, kitchen: Kitchen): Body =>
  standing(mass, hotAlpha, kitchen.rackW, kitchen.rackW);
/** On its board, which lets half as much through below. */
export const inFridge = (mass: Mass, kitchen: Kitchen): Body =>
  standing(mass, coldAlpha, kitchen.fridgeW, kitchen.fridgeW / 2);
/** Wrapped or in its mould, which halves what the freezer takes (estimate). */
export const inFreezer = (mass: Mass, kitchen: Kitchen): Body =>
  standing(mass, coldAlpha, kitchen.freezerW / 2, kitchen.freezerW / 2);
export const inRoom = (mass: Mass, kitchen: Kitchen): Body =>
  standing(mass, coldAlpha, kitchen.roomW, kitchen.roomW / 2);

/** A cake this warm in its middle can be cut and filled, C. */
const cutC = 26;
/** In a room too hot for that, as near to the room as it is in one of 24.5 C. */
const hottestRoomC = 24.5;

/** Minutes on a rack until the hottest point can be cut: 26 C, or near to a hotter room. */
export function coolMin(mass: Mass, fromC: number, kitchen: Kitchen): number {
  const key = JSON.stringify([mass, fromC, kitchen.rackW, kitchen.roomC]);
  return cooled.of(key, () => {
    const body = onRack(mass, kitchen);
    const room = Math.min(hottestRoomC, kitchen.roomC);
    const wanted = (cutC - room) / Math.max(1, fromC - room);
    return secondsUntil((t) => slowestShare(body, t), wanted) / 60;
  });
}
const cooled = new Remembered<number>();

/** Minutes in the fridge until the outer part of top and side is at a target on average. */
export function chillShellMin(
  mass: Mass,
  fromC: number,
  target: ShellTarget,
  kitchen: Kitchen,
): number {
  const body = inFridge(mass, kitchen);
  const wanted = (shellTargets[target] - kitchen.fridgeC) / (fromC - kitchen.fridgeC);
  return secondsUntil(shellReader(body, targetDepthMm[target]), wanted) / 60;
}

/** Nearer than this to the air of the fridge a coat does not come in a time worth waiting for, K. */
const nearestK = 1;
/** As cold as a coat can be wanted in this fridge, C. */
export const coldestCoatC = (wantedC: number, { fridgeC }: Kitchen): number =>
  Math.max(wantedC, fridgeC + nearestK);

/** Minutes in the fridge until the coat itself is as cold as something is to run over it. */
export function chillCoatMin(mass: Mass, fromC: number, wantedC: number, kitchen: Kitchen): number {
  const toC = coldestCoatC(wantedC, kitchen);
  const wanted = (toC - kitchen.fridgeC) / (fromC - kitchen.fridgeC);
  return secondsUntil(shellReader(inFridge(mass, kitchen), coatDepthMm), wanted) / 60;
}

/** Minutes in the fridge until the hottest point is at 5 C; Infinity in too warm a fridge. */
export function chillThroughMin(mass: Mass, fromC: number, kitchen: Kitchen): number {
  const body = inFridge(mass, kitchen);
  const wanted = (safeColdC - kitchen.fridgeC) / (fromC - kitchen.fridgeC);
  return secondsUntil((t) => slowestShare(body, t), wanted) / 60;
}

/** Minutes in a still room until the outer 10 mm of a cold tier are at 15 C on average. */
export function warmMin(mass: Mass, kitchen: Kitchen): number {
  const body = inRoom(mass, kitchen);
  const wanted = (kitchen.roomC - servedC) / (kitchen.roomC - kitchen.fridgeC);
  return secondsUntil(shellReader(body, shellMm), wanted) / 60;
}
