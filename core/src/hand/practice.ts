import type { Kind } from '../units/kinds.ts';
import type { HandKind } from './kinds.ts';
import { handScatter, type Hand } from './posterior.ts';
import { handRows } from './rows.ts';

/** A short exercise with a target for each try. */
export interface Drill {
  id: string;
  title: string;
  how: string;
  /** What one try should weigh or measure. */
  target: number;
  show: Kind;
  tries: number;
  /** Kinds of figures that it steadies. */
  kinds: HandKind[];
}

const coats: HandKind[] = [
  'crumb',
  'coat smooth',
  'coat rustic',
  'coat combed',
  'coat thick',
  'coat under fondant',
  'coat ganache shell',
];

export const drills: readonly Drill[] = [
  {
    id: 'layers',
    title: 'Even layers by weight',
    how: 'Thick batter, or soaked rice, from one bowl into six tins by eye. Then weigh each: equal weights bake to equal heights.',
    target: 300,
    show: 'small',
    tries: 6,
    kinds: ['batter', 'rise', 'fill'],
  },
  {
    id: 'coat',
    title: 'A coat of one thickness',
    how: 'A dummy 15 cm across and 10 cm high, coated 5 mm thick. Weigh the bowl before and after: that is one try. Scrape it off and begin again.',
    target: 310,
    show: 'bowl',
    tries: 5,
    kinds: coats,
  },
  {
    id: 'drips',
    title: 'Equal drips',
    how: 'Ganache at its working temperature down the side of a cold tin, one squeeze each. Measure every drip after a minute.',
    target: 60,
    show: 'span',
    tries: 10,
    kinds: ['drip'],
  },
  {
    id: 'pressure',
    title: 'Equal pressure on the bag',
    how: 'Ten shells from one bag onto paper on the scale: tare, pipe, read, tare.',
    target: 8,
    show: 'fineMass',
    tries: 10,
    kinds: ['piping'],
  },
];

/** One try of a drill. */
export interface Try {
  id: string;
  drill: string;
  at: string;
  target: number;
  actual: number;
}

export interface Trend {
  count: number;
  /** Mean over target, and scatter about it, over the last round; null with fewer than two tries. */
  bias: number | null;
  cv: number | null;
  /** Spread of the first round and of the last, where there are two. */
  firstCv: number | null;
  /** Scatter now over scatter at first: below one is steadier. */
  better: number | null;
}

const scatterOf = (ratios: readonly number[]): number | null => {
  if (ratios.length < 2) return null;
  const mean = ratios.reduce((sum, r) => sum + r, 0) / ratios.length;
  const squares = ratios.reduce((sum, r) => sum + (r - mean) ** 2, 0) / (ratios.length - 1);
  return Math.sqrt(squares) / mean;
};

/** How a drill goes, from its tries in the order in which they were made, a round of `tries` at a time. */
export function trendOf({ tries: round }: Pick<Drill, 'tries'>, tries: readonly Try[]): Trend {
  const ratios = tries.map(({ actual, target }) => actual / target);
  const last = ratios.slice(-round);
  const first = ratios.slice(0, round);
  const cv = scatterOf(last);
  const firstCv = ratios.length >= 2 * round ? scatterOf(first) : null;
  return {
    count: ratios.length,
    bias: last.length > 1 ? last.reduce((sum, r) => sum + r, 0) / last.length : null,
    cv,
    firstCv,
    better: cv !== null && firstCv ? cv / firstCv : null,
  };
}

/** A drill with the kind of figure that asks for it most. */
export interface Suggested {
  drill: Drill;
  kind: HandKind;
  scatter: number;
  usual: number;
}

/** Fewer records than this are no reason to practise. */
const leastRecords = 3;

/** Drills for the kinds that scatter more than they should, the widest first. */
export function suggestedDrills(hands: ReadonlyMap<HandKind, Hand>): Suggested[] {
  const found = drills.flatMap((drill): Suggested[] => {
    const worst = drill.kinds
      .flatMap((kind) => {
        const hand = hands.get(kind);
        return hand && hand.count >= leastRecords ? [{ kind, scatter: handScatter(hand) }] : [];
      })
      .sort((a, b) => b.scatter / handRows[b.kind].cv - a.scatter / handRows[a.kind].cv)[0];
    return worst ? [{ drill, ...worst, usual: handRows[worst.kind].cv }] : [];
  });
  return found
    .filter(({ scatter, usual }) => scatter > usual)
    .sort((a, b) => b.scatter / b.usual - a.scatter / a.usual);
}
