const names = [
  'the back',
  'the back right',
  'the right',
  'the front right',
  'the front',
  'the front left',
  'the left',
  'the back left',
] as const;
/** A bearing in words: 0 is the back, 90 the right, as on a clock seen from above. */
export const sideName = (bearingDeg: number): string =>
  names[Math.round((((bearingDeg % 360) + 360) % 360) / 45) % 8]!;
/** The nearest hour on the clock. */
export const clockName = (bearingDeg: number): string =>
  `${((Math.round(bearingDeg / 30) + 11) % 12) + 1} o’clock`;
