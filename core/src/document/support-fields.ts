import { boardMaterials } from '../pantry/types.ts';
import {
  dowelCuts,
  type Card,
  type Deck,
  type Dowels,
  type Journey,
  type Rod,
  type Standing,
} from '../support/types.ts';
import type { Range } from '../units/field.ts';
import { limits } from './limits.ts';
import {
  figure,
  figures,
  flag,
  id,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
} from '../fields/field.ts';

/** To the right and to the back. */
const pair = (range: Range) => figures<[number, number]>(range, 2);

const card = record<Card>({
  material: oneOf(boardMaterials),
  thicknessMm: figure(limits.cardMm),
});
const dowels = record<Dowels>({
  dowelId: id(),
  count: orNull(wholeFigure(limits.dowels)),
  spots: list(pair(limits.dowelPlace), limits.dowels.max),
  cut: oneOf(dowelCuts),
});

/** How a tier stands. */
export const standing = record<Standing>({
  card: orNull(card),
  offsetMm: pair(limits.offsetMm),
  postMm: figure(limits.postMm),
  dowels: orNull(dowels),
  decks: list(
    record<Deck>({
      afterLayer: wholeFigure({ min: 0, max: limits.layers.max - 2 }),
      card,
      dowels,
    }),
    limits.decks.max,
  ),
});
export const rod = record<Rod>({
  dowelId: id(),
  at: orNull(pair(limits.dowelPlace)),
});
export const journey = record<Journey>({
  byRoad: flag(),
  minutes: figure(limits.roadMin),
  carC: figure(limits.carC),
  stackAt: oneOf(['home', 'venue']),
  chilled: flag(),
  boxed: flag(),
  mat: flag(),
  days: figure(limits.days),
});
