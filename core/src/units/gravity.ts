/** What everything falls with, m/s2. */
export const gravity = 9.81;
/** Weight of a gram, N. */
export const nPerG = gravity / 1000;
