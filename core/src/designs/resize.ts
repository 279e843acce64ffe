import { coated } from '../coat/shell.ts';
import { thicknessOf } from '../coat/thickness.ts';
import { newBench, newOrder, newDowels, usualCard } from '../document/create.ts';
import type { Build, PipingJob, Tier } from '../document/types.ts';
import { areaMm2, fitsInside, perimeterMm, scaled, type Outline } from '../outline/outline.ts';
import type { Pantry, Tin } from '../pantry/types.ts';
import { countServings } from '../servings/servings.ts';
import { smallestBoard } from '../stack/board.ts';
import { chooseTin } from '../tins/choose.ts';
import { mostTiers, stacksOf } from './candidates.ts';

/** What a cake for another number could not keep. */
export type Lost =
  | 'tiers'
  | 'tins'
  | 'carving'
  | 'hidden centre'
  | 'mould'
  | 'pieces set by hand'
  | 'dowels set by hand'
  | 'lengths drawn by hand';

export type Resized =
  | { ok: true; build: Build; servings: number; lost: Lost[] }
  | { ok: false; problem: string; most: number };

/** One more tier, or one less, is taken where the same number leaves more than this over, of the wanted. */
const fairShare = 0.25;

/**
 * The same cake with its look for another number of guests: tins of its own shape, as many tiers where that
 * serves well; drips go by their spacing, piping and pieces by the new rim. What is weighed, noted or set by hand
 * for the old size is left out, and named.
 *
 * @param servings wanted, at least 1
 */
export function resizeCake(build: Build, servings: number, pantry: Pantry): Resized {
  const { brief } = build;
  const served = (outlines: readonly Outline[]): number =>
    outlines.reduce(
      (sum, outline) => sum + countServings(outline, brief.portion, brief.cutting, brief.halves),
      0,
    );
  const now = build.tiers.map(({ outline }) => outline);
  const kind = now[0]!.kind;
  const own = pantry.tins.filter(
    ({ owned, form, outline }) => owned > 0 && form === 'upright' && outline.kind === kind,
  );
  const fits =
    now.every((outline) => outline.kind === kind) && own.length > 0
      ? fromTins(own, now.length, served, servings)
      : null;
  const outlines = fits?.map(({ outline }) => outline) ?? drawnTo(now, served, servings);
  if (!outlines) {
    const most = Math.max(0, ...[...stacksOf(own, mostTiers)].map((s) => served(s.map((t) => t.outline)))); // prettier-ignore
    return {
      ok: false,
      most,
      problem: `Your ${kind} tins give at most ${most} servings. Choose fewer guests, add a larger tin to the pantry, or begin a new cake: it can have plain cakes cut in the kitchen beside it.`,
    };
  }
  const lost = new Set<Lost>();
  if (outlines.length !== now.length) lost.add('tiers');
  if (!fits) lost.add('tins');
  // what is added or taken away is below: the top of a cake is what one knows it by
  const sourceOf = (i: number): number => Math.max(0, i + now.length - outlines.length);
  const tiers = outlines.map((outline, i) => {
    const from = build.tiers[sourceOf(i)]!;
    const tinId = fits?.[i]?.id ?? chooseTin(outline, pantry.tins, from.tinId);
    return tierAt(from, outline, tinId, i, outlines.length, lost);
  });
  const foot = tiers[0]!;
  const t = thicknessOf(foot);
  const board = smallestBoard(pantry.boards, coated(foot.outline, t.crumbMm + t.sideMm));
  return {
    ok: true,
    servings: served(outlines),
    lost: [...lost],
    build: {
      ...structuredClone(build),
      brief: { ...brief, servings },
      tiers,
      boardId: board?.id ?? build.boardId,
      piping: build.piping.flatMap((job) => jobAt(job, build, tiers, sourceOf)),
      rod: build.rod && tiers.length > 1 ? { ...build.rod, at: null } : null,
      day: { ...build.day, pinned: [] },
      fromStock: [],
      bench: newBench(),
      order: newOrder(),
      isPattern: false,
    },
  };
}

/** The tins of as many tiers that serve so many with the fewest over; of more or fewer tiers where that is far too much. */
function fromTins(
  own: readonly Tin[],
  tiers: number,
  served: (outlines: readonly Outline[]) => number,
  servings: number,
): Tin[] | null {
  const over = (stack: readonly Tin[]): number => served(stack.map((t) => t.outline)) - servings;
  const stacks = [...stacksOf(own, mostTiers)].filter((stack) => over(stack) >= 0);
  const best = (count: number): Tin[] | undefined =>
    stacks.filter((s) => s.length === count).sort((a, b) => over(a) - over(b))[0];
  const same = best(tiers);
  if (same && over(same) <= fairShare * servings) return same;
  const all = [same, best(tiers - 1), best(tiers + 1), best(tiers + 2)].filter((s) => s !== undefined); // prettier-ignore
  return all.sort((a, b) => over(a) - over(b))[0] ?? null;
}

/** Drawn outlines, hearts and the like: all of them larger or smaller by one factor; null where none serves so many. */
function drawnTo(
  now: readonly Outline[],
  served: (outlines: readonly Outline[]) => number,
  servings: number,
): Outline[] | null {
  const at = (by: number): Outline[] => now.map((outline) => scaled(outline, by));
  const [least, most] = [0.3, 3];
  const widest = Math.max(...now.map((outline) => Math.sqrt(areaMm2(outline))));
  let [low, high] = [least, Math.min(most, widestMm / widest)];
  if (served(at(high)) < servings) return null;
  for (let i = 0; i < 14; i++) {
    const middle = (low + high) / 2;
    if (served(at(middle)) >= servings) high = middle;
    else low = middle;
  }
  return at(high);
}
/** No oven takes a cake that is wider, mm. */
const widestMm = 600;

/** A tier of another size with the look of one: what goes by its rim goes by the new one. */
function tierAt(
  from: Tier,
  outline: Outline,
  tinId: string,
  index: number,
  count: number,
  lost: Set<Lost>,
): Tier {
  const tier = structuredClone(from);
  const by = perimeterMm(outline) / perimeterMm(from.outline);
  if (Math.abs(by - 1) > 0.005) {
    if (tier.carving) lost.add('carving');
    tier.carving = null;
    if (tier.mould || tier.asTin) lost.add('mould');
    tier.mould = tier.asTin = null;
    if (tier.drip && tier.drip.pattern === 'curve') lost.add('lengths drawn by hand');
    if (tier.centre && !fitsInside(tier.centre.outline, outline)) {
      lost.add('hidden centre');
      tier.centre = null;
    }
    for (const topping of tier.toppings) {
      if (topping.spots.length + (topping.side?.spots.length ?? 0) > 0)
        lost.add('pieces set by hand');
      topping.spots = [];
      if (topping.side) topping.side.spots = [];
      topping.count = Math.max(1, Math.round(topping.count * by));
    }
  }
  if ((tier.stand.dowels?.spots.length ?? 0) > 0) lost.add('dowels set by hand');
  return {
    ...tier,
    id: `tier-${index + 1}`,
    name: count > 1 ? `Tier ${index + 1}` : from.name,
    outline: structuredClone(outline),
    tinId,
    layers: tier.layers.map((layer) => ({ ...layer, rimMm: [], turnSteps: null, flipped: false })),
    bowl: null,
    stockId: null,
    asBaked: [],
    stand: {
      ...tier.stand,
      card: index > 0 ? (tier.stand.card ?? usualCard()) : null,
      postMm: index > 0 ? tier.stand.postMm : 0,
      offsetMm: [0, 0],
      dowels:
        index < count - 1
          ? { ...(tier.stand.dowels ?? newDowels()), spots: [], count: null }
          : null,
    },
  };
}

/** A piping job once for each new tier that has the look of its own; one that is on no tier stays as it is. */
function jobAt(
  job: PipingJob,
  build: Build,
  tiers: readonly Tier[],
  sourceOf: (i: number) => number,
): PipingJob[] {
  const { piped } = job;
  if (!piped) return [structuredClone(job)];
  const source = build.tiers.findIndex(({ id }) => id === piped.tierId);
  return tiers.flatMap((tier, i) => {
    if (sourceOf(i) !== source) return [];
    const by = perimeterMm(tier.outline) / perimeterMm(build.tiers[source]!.outline);
    const count = piped.count === null ? null : Math.max(1, Math.round(piped.count * by));
    return [
      {
        ...structuredClone(job),
        id: tiers.length > 1 && i !== tiers.length - 1 ? `${job.id}-${i + 1}`.slice(0, 64) : job.id,
        piped: { ...piped, tierId: tier.id, count },
      },
    ];
  });
}
