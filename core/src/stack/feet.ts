import type { Tier } from '../document/types.ts';

/** Where the tiers stand: the foot of each above the build's board, and its axis from the lowest one's, mm. */
export interface Foot {
  upMm: number;
  x: number;
  y: number;
  /** Underside of its own board; its foot where it stands bare. */
  cardMm: number;
}

/** Each tier on the one below: post, board, then cake. @param heightsMm finished height of each tier */
export function feetOf(tiers: readonly Tier[], heightsMm: readonly number[]): Foot[] {
  const feet: Foot[] = [];
  let top = 0;
  let [x, y] = [0, 0];
  tiers.forEach(({ stand }, i) => {
    // the lowest tier is where everything is measured from
    if (i > 0) {
      x += stand.offsetMm[0];
      y += stand.offsetMm[1];
    }
    const cardMm = i > 0 ? top + stand.postMm : 0;
    const upMm = cardMm + (i > 0 ? (stand.card?.thicknessMm ?? 0) : 0);
    feet.push({ upMm, x, y, cardMm });
    top = upMm + heightsMm[i]!;
  });
  return feet;
}
