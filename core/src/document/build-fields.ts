import { diets } from '../pantry/diets.ts';
import { coatStyles } from '../pantry/styles.ts';
import { handKinds } from '../hand/kinds.ts';
import { kinds } from '../units/kinds.ts';
import { daySettings } from './day-fields.ts';
import { journey, rod } from './support-fields.ts';
import { piped } from './finish-fields.ts';
import { limits } from './limits.ts';
import { tier } from './tier-fields.ts';
import { allergenList, hex, name, tint } from './common-fields.ts';
import {
  figure,
  flag,
  id,
  isoTime,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
} from '../fields/field.ts';
import {
  batchWays,
  cuttings,
  noteKinds,
  portions,
  type Bench,
  type Brief,
  type Build,
  type Colour,
  type GelDose,
  type Order,
  type Finished,
  type Planned,
  type PipingJob,
} from './types.ts';

export const brief = record<Brief>({
  occasion: words(limits.nameLength.max),
  place: words(limits.nameLength.max).since(2),
  servings: wholeFigure(limits.servings).usually(40),
  portion: oneOf(portions).usually('dessert').since(2),
  cutting: oneOf(cuttings).usually('grid').since(2),
  halves: flag().since(2),
  look: oneOf(coatStyles).usually('smooth').since(2),
  serveAt: orNull(isoTime()),
  keepOut: allergenList().since(2),
  diets: list(oneOf(diets), diets.length).since(4),
  kitchenC: orNull(figure(limits.roomC)).called('temperature of the kitchen').since(4),
  venueC: orNull(figure(limits.roomC)).called('temperature where it is served').since(4),
  notes: words(limits.noteLength.max).since(2),
});

export const order = record<Order>({
  customer: words(limits.nameLength.max),
  contact: words(limits.contactLength.max),
  priceOffered: orNull(figure(limits.agreedPrice)).called('price offered'),
  deposit: orNull(figure(limits.agreedPrice)).called('deposit'),
  depositPaid: flag(),
  confirmed: flag(),
  pictures: list(id(), limits.wishPictures.max),
  likeId: orNull(id()),
});

export const bench = record<Bench>({
  stepKey: orNull(words(200)),
  done: list(record<Bench['done'][number]>({ stepKey: words(200), at: isoTime() }), 2000),
  checks: list(words(200), 5000),
  notes: list(
    record<Bench['notes'][number]>({
      id: id(),
      stepKey: words(200),
      at: isoTime(),
      kind: oneOf(noteKinds),
      value: orNull(figure({ min: -1e6, max: 1e6 })),
      text: words(limits.noteLength.max),
      planned: orNull(
        record<Planned>({
          title: words(200),
          label: words(200),
          what: words(200),
          value: figure({ min: -1e6, max: 1e6 }),
          takenG: orNull(figure({ min: 0, max: 1e6 })),
          movedBy: figure({ min: 0.01, max: 100 }),
          hand: orNull(oneOf(handKinds)),
          show: oneOf(kinds),
        }),
      ).since(7),
    }),
    2000,
  ),
  timers: list(
    record<Bench['timers'][number]>({
      id: id(),
      stepKey: words(200),
      label: words(120),
      startedAt: isoTime(),
      minutes: figure({ min: 0, max: 20000 }),
      stoppedAt: orNull(isoTime()),
    }),
    500,
  ),
  finished: orNull(
    record<Finished>({
      at: isoTime(),
      moves: list(
        record<Finished['moves'][number]>({
          hand: oneOf(handKinds),
          factor: figure({ min: 0.01, max: 100 }),
          cv: figure({ min: 0, max: 10 }),
          count: wholeFigure({ min: 0, max: 1e6 }),
        }),
        handKinds.length,
      ),
    }),
  ).since(7),
});

export const pipingJob = record<PipingJob>({
  id: id(),
  name: name().usually('piping'),
  spreadId: orNull(id()).called('frosting'),
  tint: tint().called('colour'),
  massG: figure(limits.pipingG).called('weight'),
  pieces: wholeFigure(limits.pipedPieces).usually(0),
  lineMm: figure(limits.pipedMm).usually(0),
  piped: orNull(piped).since(5),
});

export const colour = record<Colour>({
  name: name().called('name of the colour'),
  hex: hex(),
  gPerKg: orNull(figure(limits.gelGPerKg)).called('colour to the kilogram'),
  doses: list(
    record<GelDose>({ foodId: id().called('gel'), gPerKg: figure(limits.doseGPerKg) }),
    limits.doses.max,
  ).since(19),
});

/** A whole build. */
export const build = record<Build>({
  id: id(),
  name: name(),
  createdAt: isoTime(),
  brief: brief,
  order: order.since(17),
  isPattern: flag().since(17),
  tiers: list(tier, limits.tiers.max, 1, 'has no tiers').since(2),
  boardId: id().called('board').usually('drum-round-28'),
  boardCoverMm: figure(limits.boardCoverMm).usually(0).since(4),
  colours: list(colour, limits.colours.max).since(14),
  rod: orNull(rod).since(7),
  journey: journey.since(7),
  day: daySettings.since(7),
  piping: list(pipingJob, limits.pipingJobs.max).since(4),
  reserveShare: figure(limits.reserveShare).called('reserve').usually(0.03),
  shortShare: figure(limits.shortShare).called('chance of falling short').usually(0.05).since(4),
  batchBy: oneOf(batchWays).usually('grams').since(4),
  apart: list(words(200), 60).since(4),
  mixedApart: list(id(), 60).since(4),
  fromStock: list(
    record<Build['fromStock'][number]>({
      spreadId: id().called('filling or frosting'),
      stockId: id().called('bowl put away'),
    }),
    60,
  ).since(12),
  bench: bench.since(2),
}).rule('tier ids', 'has two tiers with the same id', (build) => {
  if (!Array.isArray(build.tiers)) return true;
  const ids = build.tiers.map((tier) => tier?.id);
  return new Set(ids).size === ids.length;
});
