/** One cut with the long knife. `atMm` is the height of the blade above the board. */
export interface KnifeCut {
  atMm: number;
  kind: 'level' | 'bottom crust' | 'split';
}

/** How a cake is cut: crumbs of each cut, crust off the bottom and the top, and whether its dome goes. */
export interface Knifework {
  kerfMm: number;
  bottomMm: number;
  topMm: number;
  level: boolean;
}

export const plainKnifework = (kerfMm: number): Knifework => ({
  kerfMm,
  bottomMm: 0,
  topMm: 0,
  level: true,
});

const bottomCut = (c: Knifework): number => (c.bottomMm > 0 ? c.bottomMm + c.kerfMm : 0);

/** Number of cuts: the dome, the bottom crust, and one for each split. */
export const cutCount = (layers: number, c: Knifework): number =>
  layers - 1 + (c.level ? 1 : 0) + (c.bottomMm > 0 ? 1 : 0);

/**
 * Height a cake must have at its edge, mm, so that its layers can be cut from it: the layers, crust
 * that goes, and the crumbs of every cut. A dome that stays needs no levelling cut.
 */
export const edgeHeightMm = (heights: readonly number[], c: Knifework): number =>
  heights.reduce((sum, h) => sum + h, 0) +
  bottomCut(c) +
  (heights.length - 1) * c.kerfMm +
  (c.level ? c.kerfMm + c.topMm : 0);

/**
 * Where the knife goes, in the order of cutting: first the dome is levelled, then the bottom crust,
 * then the layers are split off from the bottom up. Each cut turns `kerfMm` above the blade into
 * crumbs.
 */
export function cutHeights(heights: readonly number[], c: Knifework): KnifeCut[] {
  const splits: KnifeCut[] = [];
  let z = bottomCut(c);
  heights.forEach((h, i) => {
    z += h;
    splits.push({ atMm: z, kind: i === heights.length - 1 ? 'level' : 'split' });
    z += c.kerfMm;
  });
  const level = splits.pop()!;
  return [
    ...(c.level ? [level] : []),
    ...(c.bottomMm > 0 ? [{ atMm: c.bottomMm, kind: 'bottom crust' as const }] : []),
    ...splits,
  ];
}
