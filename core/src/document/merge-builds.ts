import { newGap, usualGapMm } from './create.ts';
import { freshId } from './fresh-id.ts';
import { buildSchema } from './schema.ts';
import { mergeThree, type Prefer, type ThreeWay } from './three-way.ts';
import type { Build, Gap, Layer, Tier } from './types.ts';

/* What two windows, or a desk and a tablet, made of one build at the same time. */

/** A layer with the gap below it: gaps have no ids of their own, and go by the layer that lies on them. */
type Bedded = Layer & { fillingBelow: Gap | null };
type Loosened = Omit<Build, 'tiers'> & { tiers: (Omit<Tier, 'layers' | 'gaps'> & { layers: Bedded[] })[] }; // prettier-ignore

const loosen = (build: Build): Loosened => ({
  ...build,
  tiers: build.tiers.map(({ layers, gaps, ...tier }) => ({
    ...tier,
    layers: layers.map((layer, i) => ({ ...layer, fillingBelow: gaps[i - 1] ?? null })),
  })),
});

const withoutBelow = (bedded: Bedded): Layer => {
  const layer: Layer & Partial<Bedded> = { ...bedded };
  delete layer.fillingBelow;
  return layer;
};

/** Layers with a gap between each two of them: one that lay lowest and does no longer gets a gap like another's. */
const fasten = (build: Loosened): Build => ({
  ...build,
  tiers: build.tiers.map(({ layers, ...tier }) => {
    const like = layers.find(({ fillingBelow }) => fillingBelow !== null)?.fillingBelow;
    return {
      ...tier,
      layers: layers.map((layer) => withoutBelow(layer)),
      gaps: layers
        .slice(1)
        .map(({ fillingBelow }) => fillingBelow ?? like ?? newGap(usualGapMm, tier.coat.spreadId)),
    };
  }),
});

/**
 * Puts two changes of one build together; null where the two do not make a build that can be.
 *
 * @param base what both were made from; @param theirs what is stored; @param mine what was made here since
 */
export function mergeBuilds(
  base: Build,
  theirs: Build,
  mine: Build,
  prefer: Prefer = 'mine',
): ThreeWay<Build> | null {
  const own = withOwnIds(base, theirs, mine);
  const merged = mergeThree(loosen(base), loosen(theirs), loosen(own), prefer);
  const value = fasten(merged.value);
  return buildSchema.isValidSync(value, { strict: true })
    ? { value, clashes: merged.clashes }
    : null;
}

/** Every id of a value and of what is in it. */
function idsIn(value: unknown, found = new Set<string>()): Set<string> {
  if (Array.isArray(value)) for (const one of value) idsIn(one, found);
  else if (typeof value === 'object' && value !== null)
    for (const [key, one] of Object.entries(value))
      if (key === 'id' && typeof one === 'string') found.add(one);
      else idsIn(one, found);
  return found;
}

/** A value with ids changed wherever they are named, at the head of a step's key too. */
function renamed<T>(value: T, to: ReadonlyMap<string, string>): T {
  const within = (one: unknown): unknown => {
    if (typeof one === 'string') {
      const [head, ...rest] = one.split('/');
      const own = to.get(head!);
      return own === undefined ? one : [own, ...rest].join('/');
    }
    if (Array.isArray(one)) return one.map(within);
    if (typeof one === 'object' && one !== null)
      return Object.fromEntries(Object.entries(one).map(([key, each]) => [key, within(each)]));
    return one;
  };
  return within(value) as T;
}

/** What both added under the same id is two things: what was added here gets an id of its own, wherever it is named. */
function withOwnIds(base: Build, theirs: Build, mine: Build): Build {
  const [was, there] = [idsIn(base), idsIn(theirs)];
  const twice = [...idsIn(mine)].filter((id) => !was.has(id) && there.has(id));
  return twice.length === 0
    ? mine
    : renamed(mine, new Map(twice.map((id) => [id, freshId(id.slice(0, 40))])));
}
