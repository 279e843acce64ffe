import { boardMaterials } from '../pantry/types.ts';
import { dowelCuts } from '../support/types.ts';
import { id, int, list, nullable, num, obj, oneOf, type Schema } from './json-blocks.ts';
import { limits } from './limits.ts';

const flag: Schema = { type: 'boolean' };
const card = obj({ material: oneOf(boardMaterials), thicknessMm: num(limits.cardMm) });
const dowels = obj({
  dowelId: id,
  count: nullable(int(limits.dowels)),
  spots: list(list(num(limits.dowelPlace), 2, 2), limits.dowels.max),
  cut: oneOf(dowelCuts),
});

/** How a tier stands, the rod and the journey, as JSON Schema. */
export const stand = obj({
  card: nullable(card),
  offsetMm: list(num(limits.offsetMm), 2, 2),
  postMm: num(limits.postMm),
  dowels: nullable(dowels),
  decks: list(
    obj({ afterLayer: int({ min: 0, max: limits.layers.max - 2 }), card, dowels }),
    limits.decks.max,
  ),
});
export const rod = nullable(obj({ dowelId: id, at: nullable(list(num(limits.dowelPlace), 2, 2)) }));
export const journey = obj({
  byRoad: flag,
  minutes: num(limits.roadMin),
  carC: num(limits.carC),
  stackAt: oneOf(['home', 'venue']),
  chilled: flag,
  boxed: flag,
  mat: flag,
  days: num(limits.days),
});
