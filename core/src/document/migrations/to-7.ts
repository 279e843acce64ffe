import { asList, asObject, type Loose } from '../loose.ts';

const journeyThen = {
  byRoad: true,
  minutes: 30,
  carC: 18,
  stackAt: 'home',
  chilled: true,
  boxed: true,
  mat: true,
  days: 2,
};
const evening = { from: 1080, to: 1320 };
const wholeDay = { from: 540, to: 1200 };
const dayThen = {
  people: 1,
  hours: [evening, evening, evening, evening, evening, wholeDay, wholeDay],
  fridgeMm: 900,
  freezerMm: 0,
  chillIn: 'fridge',
  spareMin: 30,
  own: [],
  minutes: [],
  pinned: [],
  together: [],
};
const standThen = { card: null, offsetMm: [0, 0], postMm: 0, dowels: null, decks: [] };

const benchFrom6 = (value: unknown): Loose => {
  const bench = asObject(value);
  return {
    finished: null,
    ...bench,
    notes: asList(bench.notes).map((note) => ({ planned: null, ...asObject(note) })),
  };
};

/** Fields that version 7 added to a build: what it stands on, how it travels, and its days. */
export function buildFrom6(value: unknown): Loose {
  const build = asObject(value);
  return {
    rod: null,
    journey: journeyThen,
    day: dayThen,
    ...build,
    bench: benchFrom6(build.bench),
    tiers: asList(build.tiers).map((tier) => ({ stand: standThen, ...asObject(tier) })),
  };
}
