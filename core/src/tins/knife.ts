/** One cut with the long knife. `atMm` is the height of the blade above the board. */
export interface KnifeCut {
  atMm: number;
  kind: 'level' | 'split';
}

/**
 * Height a cake must have at its edge, mm, so that its layers can be cut from it: the layers, and
 * the crumbs of the levelling cut and of each split.
 */
export const edgeHeightMm = (layerHeightsMm: readonly number[], kerfMm: number): number =>
  layerHeightsMm.reduce((sum, h) => sum + h, 0) + layerHeightsMm.length * kerfMm;

/**
 * Where the knife goes, in the order of cutting: first the dome is levelled, then the layers are
 * split off from the bottom up. Each cut turns `kerfMm` above the blade into crumbs.
 */
export function cutHeights(layerHeightsMm: readonly number[], kerfMm: number): KnifeCut[] {
  const cuts: KnifeCut[] = [];
  let z = 0;
  layerHeightsMm.forEach((h, i) => {
    z += h;
    cuts.push({ atMm: z, kind: i === layerHeightsMm.length - 1 ? 'level' : 'split' });
    z += kerfMm;
  });
  return [cuts.at(-1)!, ...cuts.slice(0, -1)];
}
