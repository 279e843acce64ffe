import type { Tier } from '../document/types.ts';
import type { OtherLayer } from '../pantry/types.ts';
import { otherKey } from '../workflow/step-keys.ts';
import { isPouredInMould } from './mixings.ts';
import { withInsets, type OtherPlan } from './other-layers.ts';

/** Layers, or what lies in them, that are of one kind and made on the way to the same. */
export interface Lot {
  row: OtherLayer;
  /** What it is made on the way to: the row of the layer that it lies in, or its own. */
  lineRowId: string;
  of: OtherPlan[];
}

/** In the order of the hands: what is set inside a cream is there before that is poured. */
export function lotsOf(tier: Tier, others: readonly OtherPlan[]): Lot[] {
  const lots: Lot[] = [];
  for (const other of withInsets(others)) {
    if (isPouredInMould(tier, other)) continue;
    const within = others.find(({ insets }) => insets.includes(other));
    const lineRowId = within && tier.mould === null ? within.row.id : other.row.id;
    const known = lots.find((lot) => lot.row.id === other.row.id && lot.lineRowId === lineRowId);
    if (known) known.of.push(other);
    else lots.push({ row: other.row, lineRowId, of: [other] });
  }
  return lots;
}

/** One dough for all of them, cut or spread side by side, as many on a tray as lie there. */
export const isRolled = ({ form }: OtherLayer): boolean =>
  form === 'biscuit' || form === 'crisp disc';

/** The step that makes a layer or what lies in one: of one dough, that of the last of its lot. */
export function makingKey(tier: Tier, others: readonly OtherPlan[], other: OtherPlan): string {
  const lot = isRolled(other.row)
    ? lotsOf(tier, others).find(({ of }) => of.includes(other))
    : undefined;
  const { index, placed } = lot?.of.at(-1) ?? other;
  return otherKey(tier, index, placed?.inset.id);
}
