/* What a hand is known by: kinds of figures that are planned, and come out a little differently each time. */

/** Styles of coat with a coat of their own, each with a hand of its own. */
const coatKinds = [
  'coat smooth',
  'coat rustic',
  'coat combed',
  'coat thick',
  'coat under fondant',
  'coat ganache shell',
] as const;

export const handKinds = [
  'fill',
  'crumb',
  ...coatKinds,
  'piping',
  'drip',
  'loss',
  'batter',
  'rise',
  'bake',
  'chill',
  'time',
] as const;
export type HandKind = (typeof handKinds)[number];
