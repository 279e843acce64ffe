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

/** The solid card most tiers stand on. */
export const card = record<Card>({
  material: oneOf(boardMaterials).usually('card'),
  thicknessMm: figure(limits.cardMm).usually(3),
});
export const dowels = record<Dowels>({
  dowelId: id().called('dowel').usually('rod-6'),
  count: orNull(wholeFigure(limits.dowels)),
  spots: list(pair(limits.dowelPlace), limits.dowels.max),
  cut: oneOf(dowelCuts).usually('longest'),
});

/** How a tier stands. */
export const standing = record<Standing>({
  card: orNull(card),
  offsetMm: pair(limits.offsetMm).usually([0, 0]),
  postMm: figure(limits.postMm).usually(0),
  dowels: orNull(dowels),
  decks: list(
    record<Deck>({
      afterLayer: wholeFigure({ min: 0, max: limits.layers.max - 2 }).called('layer below'),
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
  byRoad: flag().usually(true),
  minutes: figure(limits.roadMin).usually(30),
  carC: figure(limits.carC).called('temperature of the car').usually(18),
  stackAt: oneOf(['home', 'venue']).usually('home'),
  chilled: flag().usually(true),
  boxed: flag().usually(true),
  mat: flag().usually(true),
  days: figure(limits.days).usually(2),
});
