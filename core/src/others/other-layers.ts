import { limits } from '../document/limits.ts';
import type { Layer, Tier } from '../document/types.ts';
import { areaMm2, grow, type Outline } from '../outline/outline.ts';
import type { OtherLayer } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';

/** One layer that is not cut from a cake. Volumes in mL, masses in g. */
export interface OtherPlan {
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
  /** A sponge disc inside a mousse. */
  inset: { outline: Outline; heightMm: number; ml: number } | null;
}

/** Of the layer's height, so much at most is its inset: mousse below and above. */
export const mostInset = 0.9;

/** The sponge disc inside a mousse layer; null where the layer has no room for it. */
function insetOf(tier: Tier, layer: Layer): OtherPlan['inset'] {
  if (!layer.inset) return null;
  const outline = grow(tier.outline, -layer.inset.marginMm);
  if (!outline) return null;
  const heightMm = Math.min(layer.inset.heightMm, layer.heightMm * mostInset);
  return { outline, heightMm, ml: (areaMm2(outline) * heightMm) / 1000 };
}

/**
 * Amounts of a layer of another kind. A pile's count follows from its thickness and what is spread
 * between its pieces; a disc is traced smaller by what it spreads in the oven; a mousse surrounds
 * its inset.
 *
 * @param insetDensity density of the inset's sponge; @param betweenDensity of the pile's filling, g/mL
 */
export function planOther(
  tier: Tier,
  index: number,
  row: OtherLayer,
  insetDensity: number,
  betweenDensity: number,
): OtherPlan {
  const layer = tier.layers[index]!;
  const area = areaMm2(tier.outline);
  const isMousse = row.form === 'mousse';
  const isPile = !isMousse && row.form !== 'foam';
  const inset = isMousse ? insetOf(tier, layer) : null;
  const spreadMm = !isPile ? 0 : (layer.between?.heightMm ?? 0);
  const count = !isPile ? 1 : pileCount(layer.heightMm, row.thicknessMm, spreadMm);
  const betweenMl = ((count - 1) * spreadMm * area) / 1000;
  const ml = isMousse
    ? (area * layer.heightMm) / 1000 - (inset?.ml ?? 0)
    : Math.max(0, (area * layer.heightMm) / 1000 - betweenMl);
  const isPiped = row.form === 'crisp disc' || row.form === 'biscuit';
  const betweenG = betweenMl * betweenDensity;
  return {
    index,
    row,
    ml,
    ownG: ml * row.densityGPerMl,
    batterG: (ml * row.densityGPerMl) / (1 - row.ovenLoss),
    betweenG,
    betweenMm: (count - 1) * spreadMm,
    eachG: count > 1 ? betweenG / (count - 1) : 0,
    betweenSpreadId: betweenMl > 0 ? layer.between!.spreadId : null,
    massG: ml * row.densityGPerMl + betweenG + (inset?.ml ?? 0) * insetDensity,
    count,
    makesMm: isPile ? pileHeight(count, row.thicknessMm, spreadMm) : layer.heightMm,
    isPile,
    traced: isPiped ? grow(tier.outline, -row.spreadMm) : null,
    packs: row.packCount === null ? null : Math.ceil(count / row.packCount),
    inset,
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

/** What a mousse mould takes, from outside in, mL: mousse, then the inset, then mousse to the brim. */
export function mouldFill(
  mouldMl: number,
  insetMl: number,
  floorShare = 0.4,
): { firstMl: number; insetMl: number; lastMl: number } {
  const mousse = Math.max(0, mouldMl - insetMl);
  return { firstMl: mousse * floorShare, insetMl, lastMl: mousse * (1 - floorShare) };
}

/** Cautions of layers that are hard to cut, thaw slowly, or do not make up their thickness. */
export function warnOfOthers(tier: Tier, others: readonly OtherPlan[], cautions: Caution[]): void {
  for (const other of others) {
    const part = `${tier.id}/layer/${other.index}`;
    const layer = tier.layers[other.index]!;
    if (other.row.form === 'crisp disc')
      cautions.push({
        id: `${tier.id}/crisp/${other.index}`,
        severity: 'note',
        stage: 'stack',
        part,
        title: phrase(`${other.row.name} in layer ${other.index + 1} is hard to cut through.`),
        todo: phrase(
          'A serrated knife, sawing, and the cake cold; a film of chocolate or fat on both faces keeps the disc crisp about three times as long.',
        ),
      });
    const makes = other.makesMm;
    if (Math.abs(makes - layer.heightMm) > 0.2 * layer.heightMm)
      cautions.push({
        id: `${tier.id}/other thickness/${other.index}`,
        severity: 'mind',
        stage: 'stack',
        part,
        title: phrase(
          `${other.row.name} is {own} thick: ${other.count === 1 ? 'one makes' : `${other.count} make`} {makes}, not the {wanted} of layer ${other.index + 1}.`,
          {
            own: [other.row.thicknessMm, 'fine'],
            makes: [makes, 'thickness'],
            wanted: [layer.heightMm, 'thickness'],
          },
        ),
        todo: phrase('Make the layer {makes} thick.', { makes: [makes, 'thickness'] }),
      });
    if (other.packs !== null && other.row.thawH !== null)
      cautions.push({
        id: `${tier.id}/thaw/${other.index}`,
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
