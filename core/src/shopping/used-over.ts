import type { Allergen } from '../pantry/types.ts';
import type { MadeBatch, Together } from './made-together.ts';

/** What is over of a bowl of one cake, or ran off it into the tray. Times in ms. */
export interface OverBatch {
  cakeId: string;
  cake: string;
  recipeId: string;
  name: string;
  /** Plain, it is good for any bowl of its recipe; run-off has touched what it ran over. */
  kind: 'left' | 'run-off';
  massG: number;
  /** From when it is there. */
  fromAt: number;
  keepsMin: number;
}

/** So many grams that are over of one cake go into the bowl of another. */
export interface UsedOver {
  id: string;
  recipeId: string;
  name: string;
  kind: OverBatch['kind'];
  massG: number;
  from: string;
  to: string;
  fromAt: number;
}

/** Less stays on the spatula, g. */
const worthG = 30;

/**
 * What is over of earlier cakes, for later bowls of the same recipe while it keeps: what spoils first is
 * used first. Run-off goes only into a cake that holds all that the cake it ran over holds. What is
 * made at once leaves one rest, which is nobody's yet.
 *
 * @param holds allergens of each cake by its id
 */
export function usedOver(
  over: readonly OverBatch[],
  made: readonly MadeBatch[],
  together: readonly Together[],
  holds: ReadonlyMap<string, readonly Allergen[]>,
): UsedOver[] {
  const isJoint = (a: string, b: string, recipeId: string): boolean =>
    together.some(
      (one) =>
        one.recipeId === recipeId &&
        [a, b].every((id) => one.parts.some(({ cakeId }) => cakeId === id)),
    );
  const spoilsAt = ({ fromAt, keepsMin }: OverBatch): number => fromAt + keepsMin * 60_000;
  const left = new Map(over.map((one) => [one, one.massG]));
  const inOrder = [...over].sort((a, b) => spoilsAt(a) - spoilsAt(b));
  return [...made]
    .sort((a, b) => a.madeAt - b.madeAt)
    .flatMap((bowl) => {
      let wantedG = bowl.massG;
      return inOrder.flatMap((one): UsedOver[] => {
        const massG = Math.min(wantedG, left.get(one)!);
        const fits =
          one.recipeId === bowl.recipeId &&
          one.cakeId !== bowl.cakeId &&
          one.fromAt <= bowl.madeAt &&
          bowl.usedBy <= spoilsAt(one) &&
          !isJoint(one.cakeId, bowl.cakeId, one.recipeId) &&
          (one.kind === 'left' || isWithin(one.cakeId, bowl.cakeId));
        if (!fits || massG < worthG) return [];
        wantedG -= massG;
        left.set(one, left.get(one)! - massG);
        const { recipeId, name, kind, fromAt, cake } = one;
        const id = `${recipeId}/${kind}/${one.cakeId}/${bowl.cakeId}`;
        return [{ id, recipeId, name, kind, massG, from: cake, to: bowl.cake, fromAt }];
      });
    });

  function isWithin(from: string, to: string): boolean {
    const had = holds.get(to) ?? [];
    return (holds.get(from) ?? []).every((allergen) => had.includes(allergen));
  }
}
