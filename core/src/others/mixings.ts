import type { Tier } from '../document/types.ts';
import { withInsets, type OtherPlan } from './other-layers.ts';

/** One mixing of a recipe and the layers, or what lies in them, that are made of it. */
export interface OtherMixing {
  recipeId: string;
  of: OtherPlan[];
}

/** A cream that is poured into the tier's mould is made there, when it is its turn. */
export const isPouredInMould = (tier: Tier, { row, placed }: OtherPlan): boolean =>
  tier.mould !== null && row.form === 'mousse' && placed === null;

/** What layers of other kinds are mixed from: once for all of a tier, and each cream of a mould by itself. */
export function otherMixings(tier: Tier, others: readonly OtherPlan[]): OtherMixing[] {
  const mixings: OtherMixing[] = [];
  for (const other of withInsets(others)) {
    const { recipeId } = other.row;
    if (recipeId === null || other.row.form === 'foam' || other.batterG <= 0) continue;
    const known = isPouredInMould(tier, other)
      ? undefined
      : mixings.find((one) => one.recipeId === recipeId && !isPouredInMould(tier, one.of[0]!));
    if (known) known.of.push(other);
    else mixings.push({ recipeId, of: [other] });
  }
  return mixings;
}

/** Grams that a mixing gives before anything is baked away. */
export const mixedG = ({ of }: OtherMixing): number =>
  of.reduce((sum, { batterG }) => sum + batterG, 0);
