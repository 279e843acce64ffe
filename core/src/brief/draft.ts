import { limits } from '../build/limits.ts';
import { newTier } from '../build/create.ts';
import type { Brief, Build } from '../build/types.ts';
import { thicknessOf } from '../coat/thickness.ts';
import { coated } from '../coat/shell.ts';
import { areaMm2, depthMm, widthMm } from '../outline/outline.ts';
import { breaksDiet } from '../pantry/diets.ts';
import type { Pantry, Spread, Sponge, Tin } from '../pantry/types.ts';
import { recipeContents } from '../recipes/parts.ts';
import { countServings, halvesFromMm } from '../servings/servings.ts';
import { smallestBoard } from '../stack/board.ts';
import { edgeHeightMm, plainKnifework } from '../tins/knife.ts';

/** One way to build what the brief asks for. */
export interface Proposal {
  key: 'even' | 'low' | 'tall';
  title: string;
  words: string;
  servings: number;
  spare: number;
  build: Build;
}

export type DraftResult =
  { ok: true; proposals: Proposal[] } | { ok: false; problem: string; most: number };

interface Candidate {
  tin: Tin;
  halves: boolean;
  count: number;
}

interface Way {
  key: Proposal['key'];
  title: string;
  words: string;
  layers: number;
  layerMm: number;
}
const ways: Record<Proposal['key'], Way> = {
  even: {
    key: 'even',
    title: 'Nearest to even',
    words: 'the fewest portions over',
    layers: 4,
    layerMm: 20,
  },
  low: {
    key: 'low',
    title: 'Low and wide',
    words: 'three layers, steady, quick to cut',
    layers: 3,
    layerMm: 23,
  },
  tall: {
    key: 'tall',
    title: 'Tall and narrow',
    words: 'cut across half-way up, two portions above each other',
    layers: 6,
    layerMm: 21,
  },
};

/** True when a recipe holds none of the allergens kept out and breaks none of the diets. */
const avoids = (pantry: Pantry, recipeId: string, { keepOut, diets }: Brief): boolean => {
  const recipe = pantry.recipes.find((row) => row.id === recipeId);
  if (!recipe) return true;
  const held = recipeContents(recipe, pantry);
  return (
    !held.allergens.some((a) => keepOut.includes(a)) &&
    !diets.some((diet) => breaksDiet(diet, held))
  );
};

function pickSponge(pantry: Pantry, brief: Brief, thinnestMm: number): Sponge | undefined {
  const fits = pantry.sponges.filter((s) => s.minSliceMm <= thinnestMm);
  return fits.find((s) => avoids(pantry, s.recipeId, brief)) ?? fits[0] ?? pantry.sponges[0];
}

function pickSpread(pantry: Pantry, brief: Brief): Spread | undefined {
  const coats = pantry.spreads.filter((s) => s.canCoat && s.canFill);
  const liked =
    brief.look === 'ganache shell' ? [...coats.filter((s) => s.id === 'ganache'), ...coats] : coats;
  return liked.find((s) => avoids(pantry, s.recipeId, brief)) ?? liked[0];
}

/**
 * Drafts up to three whole builds that each satisfy the brief's servings from the tins that are
 * owned: nearest to even, low and wide, tall and narrow.
 *
 * @returns a problem with the most that one tier gives when no tin is large enough
 */
export function draftBuilds(base: Build, pantry: Pantry): DraftResult {
  const { brief } = base;
  const tins = pantry.tins.filter((tin) => tin.owned > 0 && tin.form === 'upright');
  const all: Candidate[] = tins.flatMap((tin) =>
    [false, true].map((halves) => ({
      tin,
      halves,
      count: countServings(tin.outline, brief.portion, brief.cutting, halves),
    })),
  );
  const enough = all.filter((c) => c.count >= brief.servings);
  if (enough.length === 0) {
    const most = Math.max(0, ...all.map((c) => c.count));
    return {
      ok: false,
      most,
      problem:
        tins.length === 0
          ? 'The pantry has no tin. Add one, and draft again.'
          : `One tier from your tins gives at most ${most} servings. Choose smaller portions, add a larger tin to the pantry, or serve the rest from a plain cake cut in the kitchen.`,
    };
  }
  const area = (c: Candidate): number => areaMm2(c.tin.outline);
  const bySpare = [...enough].sort((a, b) => a.count - b.count || area(a) - area(b));
  const whole = bySpare.filter((c) => !c.halves);
  const halved = bySpare.filter((c) => c.halves);
  const chosen = new Map<Proposal['key'], Candidate>();
  const unused = (from: readonly Candidate[]): Candidate | undefined =>
    from.find((c) => ![...chosen.values()].some((taken) => taken.tin.id === c.tin.id));

  const even = whole[0] ?? halved[0];
  if (even) chosen.set('even', even);
  // the lowest is also the widest, where the pantry has a wider tin
  const across = (c: Candidate): number => Math.max(widthMm(c.tin.outline), depthMm(c.tin.outline));
  const wider = whole.filter((c) => even && across(c) > across(even));
  const low = unused(wider) ?? unused(whole) ?? whole[0];
  if (low) chosen.set('low', low);
  const narrow = [...halved].sort((a, b) => area(a) - area(b));
  const tall = unused(narrow) ?? narrow[0];
  if (tall) chosen.set('tall', tall);

  const proposals = [...chosen].map(([key, candidate]) =>
    propose(base, pantry, ways[key], candidate),
  );
  return { ok: true, proposals };
}

function propose(
  base: Build,
  pantry: Pantry,
  way: Way,
  { tin, halves, count }: Candidate,
): Proposal {
  const { brief } = base;
  const layers = halves ? Math.max(way.layers, ways.tall.layers) : way.layers;
  const sponge = pickSponge(pantry, brief, way.layerMm);
  const spread = pickSpread(pantry, brief);
  const thinnest = Math.max(way.layerMm, sponge?.minSliceMm ?? 0);
  const tier = newTier('tier-1', tin.outline, tin.id, layers, thinnest);
  if (sponge) tier.spongeId = sponge.id;
  tier.coat.style = brief.look;
  if (spread) {
    tier.coat.spreadId = spread.id;
    for (const gap of tier.gaps) gap.spreadId = spread.id;
  }
  if (halves) stretchTo(tier, halvesFromMm);
  tier.slicesPerCake = splitsThatFit(
    tier.layers.map((l) => l.heightMm),
    tin,
    pantry,
    sponge,
  );
  const t = thicknessOf(tier);
  const board = smallestBoard(pantry.boards, coated(tier.outline, t.crumbMm + t.sideMm));
  return {
    key: way.key,
    title: way.title,
    words: way.words,
    servings: count,
    spare: count - brief.servings,
    build: {
      ...base,
      brief: { ...brief, halves },
      tiers: [tier],
      boardId: board?.id ?? widest(pantry) ?? base.boardId,
    },
  };
}

/** Thickens the layers until the stack is high enough to be cut across. */
function stretchTo(tier: Build['tiers'][number], heightMm: number): void {
  const filling = tier.gaps.reduce((sum, gap) => sum + gap.heightMm, 0);
  const each = Math.ceil((heightMm - filling) / tier.layers.length);
  for (const layer of tier.layers)
    layer.heightMm = Math.min(limits.layerMm.max, Math.max(layer.heightMm, each));
}

/** The fewest cakes whose edge and crown still fit the tin: as many slices from each as it allows. */
function splitsThatFit(
  heights: readonly number[],
  tin: Tin,
  pantry: Pantry,
  sponge: Sponge | undefined,
): number {
  const crown = (sponge?.crownOverRadius ?? 0.1) * (widthMm(tin.outline) / 2);
  for (let slices = 3; slices > 1; slices--) {
    const edge = edgeHeightMm(heights.slice(0, slices), plainKnifework(pantry.kitchen.kerfMm));
    if (
      heights.length % slices === 0 &&
      edge <= tin.depthMm * 0.9 &&
      edge + crown <= tin.depthMm + 10
    )
      return slices;
  }
  return 1;
}

const widest = (pantry: Pantry): string | undefined =>
  [...pantry.boards].sort((a, b) => areaMm2(b.outline) - areaMm2(a.outline))[0]?.id;
