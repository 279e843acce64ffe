/** A record so far off is asked about before it is believed: a slip of the pen or of the point. */
export const isWildRatio = (ratio: number): boolean => ratio > 4 || ratio < 0.25;
