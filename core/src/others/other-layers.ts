import { limits } from '../document/limits.ts';
import type { Tier } from '../document/types.ts';
import { crispHours } from '../ganache/temper.ts';
import { layerMl, type MouldShape } from '../mould/mould.ts';
import { areaMm2, grow, type Outline } from '../outline/outline.ts';
import type { OtherLayer } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { placeInsets, planPourings, type PlacedInset, type Pouring } from './insets.ts';

/** One layer that is not cut from a cake, or what is set inside it. Volumes in mL, masses in g. */
export interface OtherPlan {
  /** The layer it is, or lies in. */
  index: number;
  row: OtherLayer;
  ml: number;
  /** All of it; its own stuff alone; what is spread between its pieces. */
  massG: number;
  ownG: number;
  /** Batter for it, before the oven takes its share. */
  batterG: number;
  betweenG: number;
  /** All that is spread between the pieces, one thickness on the other. */
  betweenMm: number;
  /** On each piece but the last. */
  eachG: number;
  betweenSpreadId: string | null;
  /** Crepes, discs or rounds laid on each other, and the thickness that they make. */
  count: number;
  makesMm: number;
  /** So many that lie on each other, and not one body. */
  isPile: boolean;
  /** For discs and biscuits: the circle to trace, so that it bakes to size; null for others. */
  traced: Outline | null;
  /** Packs to buy, for bought ones. */
  packs: number | null;
  /** Null for a whole layer; else where in its layer it lies. */
  placed: PlacedInset | null;
  /** What is set inside it, from the bottom up, and how it is poured round that; none where nothing is. */
  insets: OtherPlan[];
  pourings: Pouring[];
}

/** What a layer is planned with: rows by their id, null for the tier's own sponge; what lies between, g/mL; its mould. */
export interface OtherGiven {
  rowOf: (otherId: string | null) => OtherLayer;
  betweenDensity: number;
  mould: MouldShape | null;
}

/** Layers of other kinds and all that is set inside them, each by itself. */
export const withInsets = (others: readonly OtherPlan[]): OtherPlan[] =>
  others.flatMap((other) => [...other.insets, other]);

/** So many that lie on each other; what sets and what is not food is one body. */
const lies = (row: OtherLayer): boolean => row.form !== 'mousse' && row.form !== 'foam';
/** A pack of what is bought in place of it, until its label says how many (estimate). */
const usualPack = 6;
/** The row of the same layer, bought: no recipe, no oven, a pack to open. Its allergens are to be read off its label. */
export const boughtInstead = (row: OtherLayer): OtherLayer => ({
  ...row,
  id: `bought-${row.id}`,
  name: `${row.name}, bought`.slice(0, 80),
  source: 'own',
  form: 'bought',
  spreadMm: 0,
  ovenLoss: 0,
  bake: null,
  packCount: usualPack,
  recipeId: null,
});
/** Spread or cut on a traced circle, and baked by itself. */
const isTraced = (row: OtherLayer): boolean => row.form === 'crisp disc' || row.form === 'biscuit';
const packsFor = (row: OtherLayer, count: number): number | null =>
  row.packCount === null ? null : Math.ceil(count / row.packCount);

/** What is set inside a cream, by itself: as many of it on each other as make its height. */
function planInset(index: number, row: OtherLayer, placed: PlacedInset): OtherPlan {
  const { outline, fromMm, toMm } = placed;
  const heightMm = toMm - fromMm;
  const isPile = lies(row) && !isTraced(row);
  const count = isPile ? pileCount(heightMm, row.thicknessMm, 0) : 1;
  const ml = (areaMm2(outline) * heightMm) / 1000;
  const ownG = ml * row.densityGPerMl;
  return {
    index,
    row,
    ml,
    massG: ownG,
    ownG,
    batterG: ownG / (1 - row.ovenLoss),
    betweenG: 0,
    betweenMm: 0,
    eachG: 0,
    betweenSpreadId: null,
    count,
    makesMm: isPile ? pileHeight(count, row.thicknessMm, 0) : heightMm,
    isPile,
    traced: isTraced(row) ? grow(outline, -row.spreadMm) : null,
    packs: packsFor(row, count),
    placed,
    insets: [],
    pourings: [],
  };
}

/**
 * Amounts of a layer of another kind. A pile's count follows from its thickness and what is spread
 * between its pieces; a disc is traced smaller by what it spreads in the oven; a cream surrounds what is
 * set inside it.
 */
export function planOther(
  tier: Tier,
  index: number,
  row: OtherLayer,
  { rowOf, betweenDensity, mould }: OtherGiven,
): OtherPlan {
  const layer = tier.layers[index]!;
  const wholeMl = layerMl(tier, index, mould);
  const isPile = lies(row);
  const isSet = row.form === 'mousse';
  const places = isSet ? placeInsets(tier, index, mould) : [];
  const insets = places.map((place) => planInset(index, rowOf(place.inset.otherId), place));
  const spreadMm = !isPile ? 0 : (layer.between?.heightMm ?? 0);
  const count = !isPile ? 1 : pileCount(layer.heightMm, row.thicknessMm, spreadMm);
  const betweenMl = ((count - 1) * spreadMm * areaMm2(tier.outline)) / 1000;
  const insideMl = insets.reduce((sum, inset) => sum + inset.ml, 0);
  const ml = Math.max(0, wholeMl - betweenMl - insideMl);
  const betweenG = betweenMl * betweenDensity;
  const ownG = ml * row.densityGPerMl;
  return {
    index,
    row,
    ml,
    ownG,
    batterG: ownG / (1 - row.ovenLoss),
    betweenG,
    betweenMm: (count - 1) * spreadMm,
    eachG: count > 1 ? betweenG / (count - 1) : 0,
    betweenSpreadId: betweenMl > 0 ? layer.between!.spreadId : null,
    massG: ownG + betweenG + insets.reduce((sum, { massG }) => sum + massG, 0),
    count,
    makesMm: isPile ? pileHeight(count, row.thicknessMm, spreadMm) : layer.heightMm,
    isPile,
    traced: isTraced(row) ? grow(tier.outline, -row.spreadMm) : null,
    packs: packsFor(row, count),
    placed: null,
    insets,
    pourings: isSet ? planPourings(tier, index, places, mould) : [],
  };
}

/**
 * Pieces in a pile of a wanted height, for instance crepes: each but the last carries a filling.
 * @returns the count whose height comes nearest, at least 1
 */
export const pileCount = (heightMm: number, pieceMm: number, fillingMm: number): number =>
  Math.max(1, Math.round((heightMm + fillingMm) / (pieceMm + fillingMm)));

/** Height of so many pieces with a filling between each two, mm. */
export const pileHeight = (count: number, pieceMm: number, fillingMm: number): number =>
  count * pieceMm + (count - 1) * fillingMm;

/** What a tier is where it is nothing but piles of one kind, such as crepes, and how many; else null. */
export function onePile(
  { layers }: Pick<Tier, 'layers'>,
  others: readonly OtherPlan[],
): { name: string; count: number } | null {
  const [first] = others;
  const isAll =
    first !== undefined &&
    others.length === layers.length &&
    others.every(({ isPile, row }) => isPile && row.id === first.row.id);
  return isAll
    ? { name: first.row.name, count: others.reduce((sum, { count }) => sum + count, 0) }
    : null;
}

/** The fewest and the most pieces that make a layer as thick as one may be. */
export const pileCounts = (pieceMm: number, fillingMm: number): { min: number; max: number } => {
  const { min, max } = limits.layerMm;
  const each = pieceMm + fillingMm;
  const least = Math.max(1, Math.ceil((min + fillingMm) / each - 1e-9));
  return { min: least, max: Math.max(least, Math.floor((max + fillingMm) / each + 1e-9)) };
};

/** Cautions of layers that are hard to cut, thaw slowly, or do not make up their thickness. */
export function warnOfOthers(tier: Tier, others: readonly OtherPlan[], cautions: Caution[]): void {
  for (const other of withInsets(others)) {
    const part = `${tier.id}/layer/${other.index}`;
    const within = other.placed?.inset.id ?? '';
    const at = within === '' ? other.index : `${other.index}/${within}`;
    const layer = tier.layers[other.index]!;
    const wantedMm = other.placed?.inset.heightMm ?? layer.heightMm;
    if (other.row.form === 'crisp disc')
      cautions.push({
        id: `${tier.id}/crisp/${at}`,
        severity: 'note',
        stage: 'stack',
        part,
        title: phrase(
          `${other.row.name} in layer ${other.index + 1} is hard to cut through, and stays crisp for about {bare} beside what is moist.`,
          { bare: [60 * crispHours(other.row.thicknessMm, false), 'minutes'] },
        ),
        todo: phrase(
          'A serrated knife, sawing, and the cake cold; a film of chocolate or fat on both faces keeps it crisp for about {filmed} (estimate), so does what is itself bound in chocolate.',
          { filmed: [60 * crispHours(other.row.thicknessMm, true), 'minutes'] },
        ),
      });
    const makes = other.makesMm;
    if (other.isPile && Math.abs(makes - wantedMm) > 0.2 * wantedMm)
      cautions.push({
        id: `${tier.id}/other thickness/${at}`,
        severity: 'mind',
        stage: 'stack',
        part,
        title: phrase(
          `${other.row.name} is {own} thick: ${other.count === 1 ? 'one makes' : `${other.count} make`} {makes}, not the {wanted} of layer ${other.index + 1}.`,
          {
            own: [other.row.thicknessMm, 'fine'],
            makes: [makes, 'thickness'],
            wanted: [wantedMm, 'thickness'],
          },
        ),
        todo: phrase('Make it {makes} thick.', { makes: [makes, 'thickness'] }),
      });
    if (other.packs !== null && other.row.thawH !== null)
      cautions.push({
        id: `${tier.id}/thaw/${at}`,
        severity: 'note',
        stage: 'stack',
        part,
        title: phrase(
          `${other.row.name}: ${other.packs} ${other.packs === 1 ? 'pack' : 'packs'} to buy.`,
        ),
        todo: phrase('Thaw in its wrap for {time} before it is filled.', {
          time: [other.row.thawH * 60, 'minutes'],
        }),
      });
  }
}
