import { coated } from '../coat/shell.ts';
import { thicknessOf } from '../coat/thickness.ts';
import { newDowels, newStanding, newTier, usualCard } from '../document/create.ts';
import { freshId } from '../document/fresh-id.ts';
import { limits } from '../document/limits.ts';
import type { Build, Tier } from '../document/types.ts';
import { areaMm2, widthMm } from '../outline/outline.ts';
import type { Pantry, Sponge, Tin } from '../pantry/types.ts';
import { halvesFromMm } from '../servings/servings.ts';
import { smallestBoard } from '../stack/board.ts';
import { edgeHeightMm, plainKnifework } from '../tins/knife.ts';
import { crownShare } from '../tins/volume.ts';
import type { Candidate } from './candidates.ts';
import { tallTier } from './proportions.ts';
import { pickFrosting, pickSponge, type Flavour } from './rows.ts';

/** From this width on a board under a tier is a thicker one, mm. */
const wideCardMm = 190;
/** A board that bends under a wide tier cracks what stands on it; thickness, mm. */
const thickCardMm = 4;

/** A whole build of a candidate; the plain cakes cut out of sight are builds of their own. */
export function buildFrom(
  base: Build,
  pantry: Pantry,
  flavour: Flavour,
  { tins, proportion, kitchen }: Candidate,
): Build {
  const tiers = tins.map((tin, i) => {
    const { layers, layerMm } = proportion.tallFoot && i === 0 ? tallTier : proportion;
    const tier = tierIn(base, pantry, flavour, tin, layers, layerMm);
    tier.id = `tier-${i + 1}`;
    tier.name = tins.length > 1 ? `Tier ${i + 1}` : tier.name;
    if (proportion.halves) stretchTo(tier, halvesFromMm);
    tier.slicesPerCake = splitsThatFit(tier, tin, pantry);
    const thicknessMm = widthMm(tin.outline) >= wideCardMm ? thickCardMm : usualCard().thicknessMm;
    tier.stand = {
      ...newStanding(),
      card: i > 0 ? { ...usualCard(), thicknessMm } : null,
      dowels: i < tins.length - 1 ? newDowels() : null,
    };
    return tier;
  });
  const foot = tiers[0]!;
  const t = thicknessOf(foot);
  const board = smallestBoard(pantry.boards, coated(foot.outline, t.crumbMm + t.sideMm));
  const alone = kitchen ? base.brief.servings - kitchen.count * kitchen.each : base.brief.servings;
  return {
    ...base,
    brief: {
      ...base.brief,
      halves: proportion.halves,
      servings: Math.max(limits.servings.min, alone),
    },
    tiers,
    // what went with the tiers that were: a rod through one tier holds nothing
    rod: null,
    piping: [],
    boardId: board?.id ?? widest(pantry) ?? base.boardId,
  };
}

/** A plain cake of one tin that is cut out of sight and serves what the tiers do not. */
export function kitchenCake(
  base: Build,
  pantry: Pantry,
  flavour: Flavour,
  kitchen: NonNullable<Candidate['kitchen']>,
): Build {
  const candidate: Candidate = {
    tins: [kitchen.tin],
    proportion: {
      id: 'short and wide',
      layers: 2,
      layerMm: 25,
      tallFoot: false,
      halves: false,
    },
    servings: kitchen.each,
    kitchen: null,
  };
  const build = buildFrom(base, pantry, flavour, candidate);
  return { ...build, brief: { ...build.brief, servings: kitchen.each } };
}

function tierIn(
  { brief }: Build,
  pantry: Pantry,
  flavour: Flavour,
  tin: Tin,
  layers: number,
  layerMm: number,
): Tier {
  const sponge = pickSponge(pantry, brief, flavour, layerMm)!;
  const frosting = pickFrosting(pantry, brief, flavour)!;
  const filling = pantry.spreads.find(({ id }) => id === flavour.fillingId) ?? frosting;
  const tier = newTier('tier-1', tin.outline, tin.id, layers, Math.max(layerMm, sponge.minSliceMm));
  // what two windows add at once keeps apart by ids of its own
  for (const layer of tier.layers) layer.id = freshId('layer');
  tier.spongeId = sponge.id;
  tier.coat.style = brief.look;
  tier.coat.spreadId = frosting.id;
  for (const gap of tier.gaps) {
    gap.spreadId = filling.id;
    // what no coat can be made of runs out at the side: a ring of the frosting holds it
    if (!filling.canCoat) gap.damMm = usualDamMm;
  }
  return tier;
}
/** A ring piped with a bag whose tip is cut a finger wide, mm (trade custom). */
const usualDamMm = 10;

/** Thickens the layers until the stack is high enough to be cut across. */
function stretchTo(tier: Tier, heightMm: number): void {
  const filling = tier.gaps.reduce((sum, gap) => sum + gap.heightMm, 0);
  const each = Math.ceil((heightMm - filling) / tier.layers.length);
  for (const layer of tier.layers)
    layer.heightMm = Math.min(limits.layerMm.max, Math.max(layer.heightMm, each));
}

/** The fewest cakes whose edge and crown still fit the tin: as many slices from each as it allows. */
function splitsThatFit({ layers, spongeId }: Tier, tin: Tin, pantry: Pantry): number {
  const heights = layers.map((layer) => layer.heightMm);
  const { crownOverRadius } = pantry.sponges.find(({ id }) => id === spongeId) as Sponge;
  const crownOf = (edge: number): number =>
    crownOverRadius * crownShare(edge) * (widthMm(tin.outline) / 2);
  for (let slices = 3; slices > 1; slices--) {
    const edge = edgeHeightMm(heights.slice(0, slices), plainKnifework(pantry.kitchen.kerfMm));
    if (
      heights.length % slices === 0 &&
      edge <= tin.depthMm * 0.9 &&
      edge + crownOf(edge) <= tin.depthMm + 10
    )
      return slices;
  }
  return 1;
}

const widest = (pantry: Pantry): string | undefined =>
  [...pantry.boards].sort((a, b) => areaMm2(b.outline) - areaMm2(a.outline))[0]?.id;
