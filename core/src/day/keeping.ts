import type { KeepingClass } from '../pantry/types.ts';

const hour = 60;
const day = 24 * hour;

/** How long it keeps in the fridge, and out of the cold at up to 21 C, minutes: the shorter end of usual guidance (docs/model.md#the-day). */
export const keepingRows: Record<KeepingClass, { fridgeMin: number; roomMin: number }> = {
  'sugar buttercream, fudge, firm ganache, caramel': { fridgeMin: 7 * day, roomMin: 2 * day },
  'soft ganache': { fridgeMin: 7 * day, roomMin: day },
  'meringue buttercream': { fridgeMin: 5 * day, roomMin: day },
  'yolk buttercream, cream cheese': { fridgeMin: 4 * day, roomMin: 2 * hour },
  'whipped cream': { fridgeMin: day, roomMin: 2 * hour },
  'stabilised cream': { fridgeMin: 3 * day, roomMin: 2 * hour },
  curd: { fridgeMin: 5 * day, roomMin: 2 * hour },
  compote: { fridgeMin: 4 * day, roomMin: 2 * hour },
  'jam, nut spread': { fridgeMin: 14 * day, roomMin: 3 * day },
};

/** Above this a perishable part may be out of the cold for half as long, C (usual guidance). */
export const warmC = 32;

/** Still air of a freezer takes less than half the time of a fridge's (heat model, rounded). */
export const freezerShare = 0.45;

/** Wrapped sponge waits so long for its filling, min (usual guidance). */
export const spongeKeepsMin = 2 * day;

/** Wrapped sponge keeps so long in the freezer, days (usual guidance). */
export const spongeFreezerDays = 90;

/** Boiled sugar syrup keeps so long in the fridge, min (usual guidance). */
export const syrupKeepsMin = 14 * day;
