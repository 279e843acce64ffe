import type { Brief } from '../document/types.ts';
import { areaMm2, widthMm, type Outline } from '../outline/outline.ts';
import type { Tin } from '../pantry/types.ts';
import { countServings } from '../servings/servings.ts';
import {
  leastStepMm,
  mostStepMm,
  proportions,
  type Proportion,
  type ProportionId,
} from './proportions.ts';

/** Outlines that a cake has when nothing is said of its shape. */
export const shapes = ['round', 'square', 'rectangle'] as const;
export type Shape = (typeof shapes)[number];

/** One way to serve so many: the tins of its tiers from the lowest up, and cakes cut out of sight. */
export interface Candidate {
  tins: Tin[];
  proportion: Proportion;
  servings: number;
  /** Plain cakes of one tin each, cut in the kitchen; none where the tiers serve everyone. */
  kitchen: { tin: Tin; count: number; each: number } | null;
}

export const mostTiers = 5;
/** More plain cakes than that are a second job, not a help. */
const mostKitchen = 8;
/** A cake that nobody can eat is no answer: portions over of those that are wanted, and a handful at least. */
const mostOverShare = 0.35;
const mostOver = 12;
/** A cake to look at serves at least so many of its guests, where one can. */
const leastShown = 0.3;

/** Sets of tins, each at least a step narrower than the one below. */
export function* stacksOf(tins: readonly Tin[], most: number): Generator<Tin[]> {
  const wide = (tin: Tin): number => widthMm(tin.outline);
  const sorted = [...tins].sort((a, b) => wide(b) - wide(a));
  function* above(below: readonly Tin[]): Generator<Tin[]> {
    if (below.length > 0) yield [...below];
    if (below.length === most) return;
    const last = below.at(-1);
    for (const tin of sorted) {
      const step = last ? wide(last) - wide(tin) : leastStepMm;
      if (step >= leastStepMm && step <= mostStepMm) yield* above([...below, tin]);
    }
  }
  yield* above([]);
}

/** Wishes that narrow the search; null where anything will do. */
export interface Narrowed {
  shape: Shape | null;
  tiers: number | null;
  /** How high the tiers are. */
  proportion: ProportionId | null;
  /** Plain cakes cut out of sight may serve some of the guests. */
  mayKitchen: boolean;
}

/**
 * What is worth a whole plan, at most so many: all that are not far too large, or of each number of tiers,
 * shape and proportion in turn the ones with the fewest portions over.
 */
export function candidatesFor(
  brief: Brief,
  tins: readonly Tin[],
  { shape, tiers, proportion: wanted, mayKitchen }: Narrowed,
  most = Infinity,
): Candidate[] {
  const count = (outline: Outline, halves: boolean): number =>
    countServings(outline, brief.portion, brief.cutting, halves);
  const trays = tins
    .filter(({ outline }) => outline.kind === 'rectangle')
    .sort((a, b) => areaMm2(b.outline) - areaMm2(a.outline));
  const tray = trays[0] ?? [...tins].sort((a, b) => areaMm2(b.outline) - areaMm2(a.outline))[0];
  const kinds = new Map<string, Candidate[]>();
  const offer = (key: string, candidate: Candidate): void => {
    kinds.set(key, [...(kinds.get(key) ?? []), candidate]);
  };
  const over = (candidate: Candidate): number => candidate.servings - brief.servings;
  for (const kind of shapes) {
    if (shape !== null && kind !== shape) continue;
    const own = tins.filter(({ outline }) => outline.kind === kind);
    for (const stack of stacksOf(own, kind === 'rectangle' ? 1 : mostTiers)) {
      if (tiers !== null && stack.length !== tiers) continue;
      for (const proportion of proportions) {
        if (proportion.tallFoot && stack.length === 1) continue;
        if (wanted !== null && proportion.id !== wanted) continue;
        const servings = stack.reduce(
          (sum, { outline }) => sum + count(outline, proportion.halves),
          0,
        );
        const key = `${kind}/${stack.length}/${proportion.id}`;
        if (servings >= brief.servings)
          offer(key, { tins: stack, proportion, servings, kitchen: null });
        else if (mayKitchen && tray) {
          const each = count(tray.outline, false);
          const trayCount = Math.ceil((brief.servings - servings) / each);
          if (trayCount <= mostKitchen)
            offer(`${key}/kitchen`, {
              tins: stack,
              proportion,
              servings: servings + trayCount * each,
              kitchen: { tin: tray, count: trayCount, each },
            });
        }
      }
    }
  }
  const all = [...kinds.values()].map((kind) => kind.sort((a, b) => over(a) - over(b)));
  const bound = Math.max(mostOver, mostOverShare * brief.servings);
  const isShown = ({ servings, kitchen }: Candidate): boolean =>
    !kitchen || servings - kitchen.count * kitchen.each >= leastShown * brief.servings;
  const fair = narrowed(all, (one) => over(one) <= bound);
  return inTurn(narrowed(fair, isShown), most);
}

/** What is left of each kind by a rule; all of it where the rule leaves nothing at all. */
function narrowed(kinds: Candidate[][], rule: (one: Candidate) => boolean): Candidate[][] {
  const left = kinds.map((kind) => kind.filter(rule)).filter((kind) => kind.length > 0);
  return left.length > 0 ? left : kinds;
}

/** The first of each kind, then the second of each, until there are so many. */
function inTurn(kinds: readonly Candidate[][], most: number): Candidate[] {
  const taken: Candidate[] = [];
  const longest = Math.max(0, ...kinds.map((kind) => kind.length));
  for (let i = 0; i < longest && taken.length < most; i++)
    taken.push(...kinds.flatMap((kind) => kind[i] ?? []));
  return taken.slice(0, most);
}

/** Most that any stack of these tins serves, plain cakes left out. */
export const mostServed = (brief: Brief, tins: readonly Tin[], narrowed: Narrowed): number =>
  Math.max(
    0,
    ...shapes.flatMap((kind) => {
      if (narrowed.shape !== null && kind !== narrowed.shape) return [];
      const own = tins.filter(({ outline }) => outline.kind === kind);
      return [...stacksOf(own, kind === 'rectangle' ? 1 : mostTiers)]
        .filter((stack) => narrowed.tiers === null || stack.length === narrowed.tiers)
        .map((stack) =>
          stack.reduce(
            (sum, { outline }) => sum + countServings(outline, brief.portion, brief.cutting, true),
            0,
          ),
        );
    }),
  );
