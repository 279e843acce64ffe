/** Grams from a weighed bowl to each tin. */
export interface BowlSplit {
  inBowlG: number;
  wantedG: number;
  /** For each tin what goes in, or what is in it already. */
  perCakeG: number[];
  /** For each tin what to spoon out again, so that all come out alike; 0 for most. */
  takeOutG: number[];
  leftG: number;
  shortG: number;
}

/**
 * Grams to each tin from what is really in the bowl, in proportion to what each has to hold, pieces
 * included. A full bowl gives each tin what it wants and leaves the rest; a short one is shared
 * out. Tins that were poured already keep what they have, and the others share what is left; where
 * one has more than its share, what to spoon out of it is told.
 *
 * @param inBowlG batter in the bowl before the first tin; @param wanted what each tin wants, g
 * @param poured what is in each tin already, null where nothing was poured
 */
export function splitBowl(
  inBowlG: number,
  wanted: readonly number[],
  poured: readonly (number | null)[] = [],
): BowlSplit {
  const all = Math.max(0, inBowlG);
  const wantedG = wanted.reduce((sum, g) => sum + g, 0);
  const fair = wantedG > 0 ? Math.min(1, all / wantedG) : 0;
  const done = wanted.map((_, i) => poured[i] ?? null);
  const gone = done.reduce((sum: number, g) => sum + (g ?? 0), 0);
  const open = wanted.reduce((sum, g, i) => sum + (done[i] === null ? g : 0), 0);
  const rest = Math.max(0, all - gone);
  const share = open > 0 ? Math.min(1, rest / open) : 0;
  const perCakeG = wanted.map((g, i) => done[i] ?? g * share);
  const used = perCakeG.reduce((sum, g) => sum + g, 0);
  return {
    inBowlG: all,
    wantedG,
    perCakeG,
    // scales read to the gram; a few grams more are no reason to spoon about
    takeOutG: wanted.map((g, i) => {
      const over = (done[i] ?? 0) - g * fair;
      return done[i] !== null && over > Math.max(5, 0.02 * g) ? over : 0;
    }),
    leftG: Math.max(0, all - used),
    shortG: Math.max(0, wantedG - Math.max(all, used)),
  };
}
