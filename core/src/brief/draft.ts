import { limits } from '../document/limits.ts';
import { newTier } from '../document/create.ts';
import type { Brief, Build } from '../document/types.ts';
import { thicknessOf } from '../coat/thickness.ts';
import { coated } from '../coat/shell.ts';
import { areaMm2, depthMm, widthMm, type Outline } from '../outline/outline.ts';
import { dietAnswer } from '../pantry/diets.ts';
import type { Pantry, Spread, Sponge, Tin } from '../pantry/types.ts';
import { recipeContents } from '../recipes/parts.ts';
import { countServings, halvesFromMm } from '../servings/servings.ts';
import { smallestBoard } from '../stack/board.ts';
import { crownShare } from '../tins/volume.ts';
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

/** Outlines that a cake has when nothing is said of its shape. */
const usualKinds: readonly Outline['kind'][] = ['round', 'square', 'rectangle'];

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

/**
 * How well a recipe keeps what the brief keeps out: 0 keeps it, 1 may hold traces, null breaks it, or
 * nobody can say. A brief that keeps nothing out takes everything.
 */
function keepsOut(pantry: Pantry, recipeId: string, { keepOut, diets }: Brief): 0 | 1 | null {
  if (keepOut.length === 0 && diets.length === 0) return 0;
  const recipe = pantry.recipes.find((row) => row.id === recipeId);
  if (!recipe) return null;
  const held = recipeContents(recipe, pantry);
  if (held.allergens.some((a) => keepOut.includes(a))) return null;
  if (diets.some((diet) => dietAnswer(diet, held) !== 'yes')) return null;
  if (keepOut.length > 0 && held.unknown.length > 0) return null;
  return held.mayContain.some((a) => keepOut.includes(a)) ? 1 : 0;
}

/** The first row that keeps out what is kept out, one without traces before one with them. */
function firstThatKeeps<R extends { recipeId: string }>(
  rows: readonly R[],
  pantry: Pantry,
  brief: Brief,
): R | undefined {
  return (
    rows.find((row) => keepsOut(pantry, row.recipeId, brief) === 0) ??
    rows.find((row) => keepsOut(pantry, row.recipeId, brief) === 1)
  );
}

const spongesFor = (pantry: Pantry, thinnestMm: number): Sponge[] => {
  const fits = pantry.sponges.filter((s) => s.minSliceMm <= thinnestMm);
  return [...fits, ...pantry.sponges.filter((s) => !fits.includes(s))];
};

function spreadsFor(pantry: Pantry, brief: Brief): Spread[] {
  const coats = pantry.spreads.filter((s) => s.canCoat && s.canFill);
  return brief.look === 'ganache shell'
    ? [...coats.filter((s) => s.id === 'ganache'), ...coats]
    : coats;
}

const pickSponge = (pantry: Pantry, brief: Brief, thinnestMm: number): Sponge | undefined =>
  firstThatKeeps(spongesFor(pantry, thinnestMm), pantry, brief);
const pickSpread = (pantry: Pantry, brief: Brief): Spread | undefined =>
  firstThatKeeps(spreadsFor(pantry, brief), pantry, brief);

/** Why nothing can be drafted that keeps out what is kept out; null when something can. */
function nothingServes(pantry: Pantry, brief: Brief): string | null {
  const missing = [
    ...(pickSponge(pantry, brief, Infinity) ? [] : ['sponge']),
    ...(pickSpread(pantry, brief) ? [] : ['frosting']),
  ];
  if (missing.length === 0) return null;
  const kept = [...brief.keepOut.map((allergen) => `no ${allergen}`), ...brief.diets].join(', ');
  return `The pantry has no ${missing.join(' and no ')} of which it is known that it keeps to: ${kept}. Add one, or swap the ingredient in a recipe: the pantry works out how much.`;
}

/**
 * Drafts up to three whole builds that each satisfy the brief's servings from the tins that are
 * owned: nearest to even, low and wide, tall and narrow.
 *
 * @returns a problem with the most that one tier gives when no tin is large enough
 */
export function draftBuilds(base: Build, pantry: Pantry): DraftResult {
  const { brief } = base;
  const unserved = nothingServes(pantry, brief);
  if (unserved) return { ok: false, most: 0, problem: unserved };
  const owned = pantry.tins.filter((tin) => tin.owned > 0 && tin.form === 'upright');
  // a heart or a ring is a wish, and nobody has said it
  const usual = owned.filter((tin) => usualKinds.includes(tin.outline.kind));
  const tins = usual.length > 0 ? usual : owned;
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
  const sponge = pickSponge(pantry, brief, way.layerMm)!;
  const spread = pickSpread(pantry, brief)!;
  const thinnest = Math.max(way.layerMm, sponge.minSliceMm);
  const tier = newTier('tier-1', tin.outline, tin.id, layers, thinnest);
  tier.spongeId = sponge.id;
  tier.coat.style = brief.look;
  tier.coat.spreadId = spread.id;
  for (const gap of tier.gaps) gap.spreadId = spread.id;
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
      // what went with the tiers that were: a rod through one tier holds nothing
      rod: null,
      piping: [],
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
  sponge: Sponge,
): number {
  const crownOf = (edge: number): number =>
    sponge.crownOverRadius * crownShare(edge) * (widthMm(tin.outline) / 2);
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
