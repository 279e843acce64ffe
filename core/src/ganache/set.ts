/** A soft and a firm set ganache of the starting table, by firmness: yield stress at 21 and 4 C, Pa. */
const soft = { firmness: 1.64, at21: 500, at4: 15000 };
const firm = { firmness: 3.29, at21: 25000, at4: 120000 };
const mostPa = 1e6;

const power = (at: 'at21' | 'at4'): number =>
  Math.log(firm[at] / soft[at]) / Math.log(firm.firmness / soft.firmness);

/**
 * Yield stress of a ganache that has set, Pa: a power of its firmness through the soft and the firm
 * one of the starting table (estimate). What it is while it is fluid says nothing of that.
 */
export const setStress = (firmness: number): { stress21Pa: number; stress4Pa: number } => {
  const by = firmness / soft.firmness;
  return {
    stress21Pa: Math.min(mostPa, soft.at21 * by ** power('at21')),
    stress4Pa: Math.min(mostPa, soft.at4 * by ** power('at4')),
  };
};

/** Chocolate and compound set hard, Pa. */
export const hardSet = { stress21Pa: mostPa, stress4Pa: mostPa };
