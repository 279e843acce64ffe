import type { ISchema } from 'yup';
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
import { limits } from './limits.ts';
import { figure, flag, id, list, oneOf, orNull, record, wholeFigure } from './schema-blocks.ts';

/** Two figures: to the right and to the back. */
const pair = (range: { min: number; max: number }): ISchema<[number, number]> =>
  list(figure(range) as never, 2).test(
    'two',
    'needs two numbers',
    (point) => !Array.isArray(point) || point.length === 2,
  ) as never;

const card = record<Card>({
  material: oneOf(boardMaterials),
  thicknessMm: figure(limits.cardMm),
});
const dowels = record<Dowels>({
  dowelId: id(),
  count: orNull(wholeFigure(limits.dowels) as never),
  spots: list(pair(limits.dowelPlace) as never, limits.dowels.max),
  cut: oneOf(dowelCuts),
});

/** Checks of how a tier is said to stand. */
export const standingSchema = record<Standing>({
  card: orNull(card as never),
  offsetMm: pair(limits.offsetMm) as never,
  postMm: figure(limits.postMm),
  dowels: orNull(dowels as never),
  decks: list(
    record<Deck>({
      afterLayer: wholeFigure({ min: 0, max: limits.layers.max - 2 }),
      card,
      dowels,
    }) as never,
    limits.decks.max,
  ),
});
export const rodSchema = record<Rod>({
  dowelId: id(),
  at: orNull(pair(limits.dowelPlace) as never),
});
export const journeySchema = record<Journey>({
  byRoad: flag(),
  minutes: figure(limits.roadMin),
  carC: figure(limits.carC),
  stackAt: oneOf(['home', 'venue']),
  chilled: flag(),
  boxed: flag(),
  mat: flag(),
  days: figure(limits.days),
});
