import { grow, type Outline } from '../outline/outline.ts';
import { limits } from './limits.ts';
import { outlineSchema } from './schema.ts';
import { newDowels, newGap, newLayer, newStanding, usualCard, usualGapMm } from './create.ts';
import type { CoolPlace } from '../pantry/types.ts';
import type { Build, Gap, Inset, PipingJob, Tier } from './types.ts';

/*
 * The edits of a build, each a change made in place on a draft: the store records the patches,
 * which gives undo and history. Values arrive validated; what follows from an edit is kept whole
 * here (one gap fewer than layers, a filling below the height of the cake).
 */

/** The tier with this id, or the first. */
export const tierOf = (build: Build, tierId: string): Tier =>
  build.tiers.find((tier) => tier.id === tierId) ?? build.tiers[0]!;

/** Nothing lies between the two layers: one lies on the other. */
export const isBare = ({ heightMm }: Pick<Gap, 'heightMm'>): boolean => heightMm === 0;

/** Every spread that is in a tier: coat, fillings, sauces, hidden centre. */
export const spreadIdsOf = (tier: Tier): string[] => [
  tier.coat.spreadId,
  ...[tier.coat.innerSpreadId, tier.coat.topSpreadId].filter((id) => id !== null),
  ...tier.gaps
    .filter((gap) => !isBare(gap))
    .flatMap(({ laid, spreadId, drizzle }) => [
      ...(laid === 'loose' ? [] : [spreadId]),
      ...(drizzle ? [drizzle.spreadId] : []),
    ]),
  ...tier.layers.flatMap((layer) => (layer.between ? [layer.between.spreadId] : [])),
  ...(tier.centre && !tier.centre.pieces ? [tier.centre.spreadId] : []),
  ...(tier.carving?.glueSpreadId ? [tier.carving.glueSpreadId] : []),
  ...(tier.carving?.cuts ?? []).flatMap((cut) =>
    cut.kind === 'relief' && cut.inlaySpreadId ? [cut.inlaySpreadId] : [],
  ),
];

/** Pieces that lie inside the cake: in its batter, between its layers, in its core. */
export const piecesOf = (tier: Tier) =>
  [
    ...tier.inclusions,
    ...tier.gaps.flatMap((gap) => (isBare(gap) ? [] : gap.pieces)),
    tier.centre?.pieces ?? null,
  ].filter((part) => part !== null);

/** All that is set inside the layers of a tier. */
export const insetsIn = ({ layers }: Pick<Tier, 'layers'>): Inset[] =>
  layers.flatMap(({ insets }) => insets);
/** Rows of other layers that a tier is made of, and of what is set inside them. */
export const otherIdsOf = (tier: Pick<Tier, 'layers'>): Set<string> =>
  new Set([...tier.layers, ...insetsIn(tier)].flatMap(({ otherId }) => otherId ?? []));

/** The frosting of dab, dams and crumb coat. */
export const innerSpreadId = (tier: Tier): string => tier.coat.innerSpreadId ?? tier.coat.spreadId;

/** Nothing of its coat's frosting goes on it: no coat of any thickness, and no dam. */
export const isNaked = ({ coat, gaps }: Tier): boolean =>
  coat.style === 'naked' &&
  ![coat.crumbMm, coat.sideMm, coat.topMm].some((mm) => mm !== null && mm > 0) &&
  gaps.every((gap) => isBare(gap) || gap.damMm === 0);

/** What holds the first layer on its board: the frosting inside; its first filling where it takes none. */
export const dabSpreadId = (tier: Tier): string =>
  (isNaked(tier) ? tier.gaps.find((gap) => !isBare(gap))?.spreadId : undefined) ??
  innerSpreadId(tier);

/** The spread a piping job is made with. */
export const pipingSpreadId = (build: Build, job: PipingJob): string =>
  job.spreadId ?? build.tiers[0]!.coat.spreadId;

/** Every rod, tube or straw a build names, each once. */
export const dowelIdsIn = (build: Build): string[] => [
  ...new Set([
    ...build.tiers.flatMap(({ stand }) => [
      ...(stand.dowels ? [stand.dowels.dowelId] : []),
      ...stand.decks.map((deck) => deck.dowels.dowelId),
    ]),
    ...(build.rod ? [build.rod.dowelId] : []),
  ]),
];

/** Every spread a build names, each once. */
export const spreadIdsIn = (build: Build): string[] => [
  ...new Set([
    ...build.tiers.flatMap(spreadIdsOf),
    // a gap without a filling names one all the same, for when there is one again
    ...build.tiers.flatMap(({ gaps }) =>
      gaps.flatMap(({ spreadId, drizzle }) => [spreadId, ...(drizzle ? [drizzle.spreadId] : [])]),
    ),
    ...build.piping.map((job) => pipingSpreadId(build, job)),
    ...build.tiers.flatMap(({ toppings }) =>
      toppings.flatMap(({ side }) => side?.dabSpreadId ?? []),
    ),
  ]),
];

const clamp = (n: number, { min, max }: { min: number; max: number }): number =>
  Math.min(max, Math.max(min, n));

const structured = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

const cakeMm = (tier: Tier): number => tier.layers.reduce((sum, layer) => sum + layer.heightMm, 0);

/** Sets the number of layers; new ones copy the top layer and the top gap. */
export function setLayerCount(tier: Tier, count: number): void {
  const wanted = Math.round(clamp(count, limits.layers));
  while (tier.layers.length < wanted) {
    tier.layers.push(newLayer(tier.layers.at(-1)!.heightMm));
    const last = tier.gaps.at(-1);
    tier.gaps.push(last ? structured(last) : newGap(usualGapMm, tier.coat.spreadId));
  }
  tier.layers.length = wanted;
  tier.gaps.length = wanted - 1;
  if (tier.centre && tier.centre.toLayer >= wanted) tier.centre = null;
  tier.stand.decks = tier.stand.decks.filter((deck) => deck.afterLayer < wanted - 1);
  keepGapsBelowCake(tier);
}

/** Sets one layer's height, or every layer's where `index` is null. Fillings never exceed the cake. */
export function setLayerHeight(tier: Tier, index: number | null, heightMm: number): void {
  tier.layers.forEach((layer, i) => {
    if (index === null || i === index) layer.heightMm = clamp(heightMm, limits.layerMm);
  });
  keepGapsBelowCake(tier);
}

/**
 * Sets one gap's thickness, or every gap's where `index` is null, at most the height of the cake. Layers that
 * lie on each other do so until their own gap is set, or all of them do.
 */
export function setGapHeight(tier: Tier, index: number | null, heightMm: number): void {
  const most = Math.min(cakeMm(tier), limits.gapMm.max);
  const wasBare = tier.gaps.map(isBare);
  const isLeft = (i: number): boolean => wasBare[i]! && wasBare.includes(false);
  tier.gaps.forEach((gap, i) => {
    if (i === index || (index === null && !isLeft(i)))
      gap.heightMm = Math.min(most, clamp(heightMm, limits.gapMm));
  });
}

/** Changes what fills one gap, or all of them. */
export function setGap(tier: Tier, index: number | null, change: Partial<Gap>): void {
  tier.gaps.forEach((gap, i) => {
    if (index === null || i === index) Object.assign(gap, change);
  });
}

/**
 * Stretches the layers so that the tier gains `byMm` in height; fillings and coat stay. Each layer
 * keeps its share of the cake.
 */
export function stretchLayers(tier: Tier, byMm: number): void {
  const now = cakeMm(tier);
  const wanted = Math.max(now + byMm, tier.layers.length * limits.layerMm.min);
  const factor = wanted / now;
  for (const layer of tier.layers) layer.heightMm = clamp(layer.heightMm * factor, limits.layerMm);
  keepGapsBelowCake(tier);
}

/**
 * Gives one band of colour a share of the side's height; the others share the rest as before. All
 * shares then come to one.
 */
export function setBandShare(tier: Tier, index: number, share: number): void {
  const { bands } = tier.coat;
  const others = bands.reduce((sum, band, i) => sum + (i === index ? 0 : band.share), 0);
  const wanted = bands.length === 1 ? 1 : clamp(share, { min: limits.bandShare.min, max: 0.95 });
  bands.forEach((band, i) => {
    const next = i === index ? wanted : (band.share / others) * (1 - wanted);
    band.share = clamp(next, limits.bandShare);
  });
}

/** Four fingers narrower, where an outline may be so small; else the same. */
function narrower(outline: Outline): Outline {
  const less = grow(outline, -40);
  return less && outlineSchema.isValidSync(less, { strict: true }) ? less : structured(outline);
}

/** A tier on top of the others: like the one below, four fingers narrower. */
export function addTier(build: Build): Tier {
  const below = build.tiers.at(-1)!;
  const taken = new Set(build.tiers.map((tier) => tier.id));
  let n = build.tiers.length + 1;
  while (taken.has(`tier-${n}`)) n += 1;
  const tier: Tier = {
    ...structured(below),
    id: `tier-${n}`,
    name: `Tier ${n}`,
    outline: narrower(below.outline),
    bowl: null,
    asBaked: [],
    drip: null,
    pour: null,
    toppings: [],
    stand: { ...newStanding(), card: usualCard() },
  };
  for (const layer of tier.layers)
    Object.assign(layer, { rimMm: [], turnSteps: null, flipped: false });
  if (build.tiers.length === 1 && below.name === 'Cake') below.name = 'Tier 1';
  // what it stands on goes in with it
  below.stand.dowels ??= newDowels();
  build.tiers.push(tier);
  return tier;
}

/** Takes a tier away with what is piped on it; the last one stays. */
export function removeTier(build: Build, tierId: string): void {
  if (build.tiers.length === 1) return;
  build.tiers = build.tiers.filter((tier) => tier.id !== tierId);
  build.piping = build.piping.filter((job) => job.piped?.tierId !== tierId);
  const [lowest] = build.tiers;
  Object.assign(lowest!.stand, { card: null, offsetMm: [0, 0], postMm: 0 });
  build.tiers.at(-1)!.stand.dowels = null;
}

/** No filling is thicker than all layers of its tier. */
export function keepGapsBelowCake(tier: Tier): void {
  const most = cakeMm(tier);
  for (const gap of tier.gaps) gap.heightMm = Math.min(gap.heightMm, most);
}

/** Where a spread is to cool; null for where its recipe says. */
export const coolPlaceOf = ({ day }: Build, spreadId: string): CoolPlace | null =>
  day.cooling.find((one) => one.spreadId === spreadId)?.where ?? null;
