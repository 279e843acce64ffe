import { bakeSteps } from './bench/bake-steps.ts';
import { bowlSteps } from './bench/bowl-steps.ts';
import { closingSteps, coatSteps } from './bench/coat-steps.ts';
import type { StackContext } from './bench/stack-context.ts';
import { stackSteps } from './bench/stack-steps.ts';
import type { Step } from './bench/steps.ts';
import { planBowls, type Bowl, type TierNeeds } from './bowls/bowls.ts';
import { spreadIdsOf } from './build/edit.ts';
import type { Build, Tier } from './build/types.ts';
import { gapMassG } from './fill/gaps.ts';
import { planLoads, type OvenPlan, type TierBaking } from './oven/loads.ts';
import { warnOfOven } from './oven/oven-cautions.ts';
import { findRow } from './pantry/find.ts';
import type { Allergen, Pantry } from './pantry/types.ts';
import { planTier, type Work } from './plan-tier.ts';
import type { Plan, ServingsPlan, TierPlan } from './plan-types.ts';
import { mergeIngredients, type ScaledIngredient } from './recipes/scale.ts';
import { drawSection, type TierDrawing } from './section/section.ts';
import { portionShare } from './servings/servings.ts';
import { spongeLayers } from './tins/bake.ts';
import { sortCautions } from './working/cautions.ts';
import { warnOfBrief, warnOfSize } from './working/checks.ts';
import { FigureBook, from, given } from './working/figures.ts';
import { attempt, ifThere, valueOf, type Staged } from './working/staged.ts';

/**
 * The whole plan of a build: from the brief to the steps at the bench, with the figures' workings
 * and what to mind. Pure: the same build and pantry give the same plan.
 *
 * With `want` 'shape' the times and the run sheet are left out: a shelf of many cakes needs neither.
 *
 * A row missing from the pantry spoils only the stages that need it; they say so and the others
 * stand. Never throws on a build that passes the schema.
 */
export function planBuild(build: Build, pantry: Pantry, want: 'whole' | 'shape' = 'whole'): Plan {
  const work: Work = {
    withTimes: want === 'whole',
    build,
    pantry,
    book: new FigureBook(),
    cautions: [],
    spreadOf: (id) => findRow(pantry, 'spreads', id),
    recipeOf: (id) => findRow(pantry, 'recipes', id),
  };
  const tiers = build.tiers.map((tier) => planTier(tier, work));
  const bowls = planAllBowls(tiers, work);
  const board = attempt('stack', 'board', work.cautions, () =>
    findRow(pantry, 'boards', build.boardId),
  );
  const oven = planOven(tiers, work);
  const section = drawSection(
    build.tiers.map((tier, i) => drawingOf(tier, tiers[i]!, work)),
    valueOf(board),
  );
  const massG = addMasses(tiers, valueOf(board)?.massG ?? null, work);
  const servings = planServings(
    tiers,
    massG === null || !board.ok ? null : massG - board.value.massG,
    work,
  );
  const steps: Staged<Step[]> = work.withTimes
    ? planSteps(tiers, bowls, massG, servings.count, work)
    : { ok: false, problem: 'The run sheet was not asked for.' };
  const handsOnMin = steps.ok ? steps.value.reduce((sum, step) => sum + step.handsOnMin, 0) : null;
  const allergens = allergensIn(work);
  const widest = Math.max(...section.tiers.map((t) => t.widthMm));
  warnOfBrief(build, pantry, servings, allergens, section.heightMm, work.cautions);
  warnOfSize(build, tiers, valueOf(board), massG, pantry.boards, work.cautions);
  const frostingG = bowls.ok ? bowls.value.reduce((sum, bowl) => sum + bowl.makeG, 0) : null;
  enterTally(work.book, section.tiers, frostingG, bowls, steps, handsOnMin);
  return {
    tiers,
    servings,
    bowls,
    oven,
    steps,
    ingredients: allIngredients(build, tiers, bowls),
    allergens,
    section,
    tally: {
      heightMm: section.heightMm,
      widthMm: widest,
      massG,
      servings: servings.count,
      frostingG,
      handsOnMin,
    },
    figures: work.book.figures,
    cautions: sortCautions(work.cautions),
  };
}

function addMasses(
  tiers: readonly TierPlan[],
  boardG: number | null,
  { build, book }: Work,
): number | null {
  if (boardG === null || tiers.some((tier) => tier.massG === null)) return null;
  const massG = tiers.reduce((sum, tier) => sum + tier.massG!, boardG + build.pipingG);
  const inputs = tiers.flatMap((tier) => {
    const coatG = tier.coat.ok ? tier.coat.value.crumbG + tier.coat.value.coatG : 0;
    const fillG = tier.gaps.ok ? tier.gaps.value.reduce((s, g) => s + gapMassG(g), 0) : 0;
    return [
      given(
        'layers, soaked',
        tier.layersG!.reduce((s, g) => s + g, 0),
        'bowl',
      ),
      given('fillings', fillG + (tier.centre?.fillG ?? 0), 'bowl'),
      given('crumb coat and coat', coatG, 'bowl'),
      given('dab', tier.dabG, 'small'),
    ];
  });
  return book.add(
    'mass',
    'Weight on the board',
    massG,
    'weight',
    'Layers, fillings, coat, piping and board, added up.',
    [...inputs, given('piping', build.pipingG, 'small'), given('board', boardG, 'small')],
  );
}

function planServings(
  tiers: readonly TierPlan[],
  foodG: number | null,
  { build, book }: Work,
): ServingsPlan {
  const count = tiers.reduce((sum, tier) => sum + tier.servings, 0);
  const { portion, cutting, halves, servings } = build.brief;
  const share = portionShare(build.tiers[0]!.outline, portion, cutting) / (halves ? 2 : 1);
  const single = build.tiers.length === 1 && foodG !== null ? foodG * share : null;
  const portionG = single ?? (foodG !== null && count > 0 ? foodG / count : null);
  book.add(
    'servings',
    'Servings',
    count,
    'count',
    'Portions on the cake’s own outline, as the cutting map draws them. A block counts when at least three quarters of it is cake.',
    [
      ...tiers.map((tier, i) => given(build.tiers[i]!.name, tier.servings, 'count')),
      given('wanted', servings, 'count'),
      ...(halves ? [given('portions above each other', 2, 'count')] : []),
    ],
  );
  if (portionG !== null)
    book.add(
      'portion',
      'One portion',
      portionG,
      'small',
      'What the cake weighs without its board, times the share of its outline that one portion takes.',
      [
        given('cake without board', foodG!, 'bowl'),
        given('share of one portion', portionG / foodG!, 'share'),
      ],
    );
  return { count, spare: count - servings, portionG };
}

function planAllBowls(tiers: readonly TierPlan[], work: Work): Staged<Bowl[]> {
  const { build, pantry, book, cautions, spreadOf, recipeOf } = work;
  const failed = tiers
    .flatMap((tier) => [tier.others, tier.gaps, tier.coat])
    .find((stage) => !stage.ok);
  if (failed && !failed.ok) return failed;
  const needs = tiers.map((tier, i): TierNeeds => ({
    tierId: tier.tierId,
    tierName: build.tiers[i]!.name,
    coatSpreadId: build.tiers[i]!.coat.spreadId,
    dabG: tier.dabG,
    gaps: valueOf(tier.gaps)!,
    coat: valueOf(tier.coat)!,
    others: valueOf(tier.others)!,
    centre:
      tier.centre && build.tiers[i]!.centre
        ? { spreadId: build.tiers[i]!.centre.spreadId, fillG: tier.centre.fillG }
        : null,
  }));
  return attempt('coat', null, cautions, () =>
    planBowls(build, needs, spreadOf, recipeOf, pantry.kitchen, book),
  );
}

const lowered = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);

/** The run sheet, tier by tier in working order. */
function planSteps(
  tiers: readonly TierPlan[],
  bowls: Staged<Bowl[]>,
  massG: number | null,
  servings: number,
  { build, pantry, cautions, spreadOf, recipeOf }: Work,
): Staged<Step[]> {
  if (!bowls.ok) return bowls;
  const failed = tiers.flatMap((tier) => [tier.bake, tier.batterRecipe]).find((stage) => !stage.ok);
  if (failed && !failed.ok) return failed;
  return attempt('bench', null, cautions, () => {
    const contexts = tiers.map((plan, i): StackContext => ({
      tier: build.tiers[i]!,
      stack: plan.stack,
      gaps: valueOf(plan.gaps)!,
      others: valueOf(plan.others) ?? [],
      soak: plan.soak,
      centre: plan.centre,
      coat: valueOf(plan.coat)!,
      dabG: plan.dabG,
      spreadOf,
    }));
    const baking = tiers.map((plan, i) => {
      const tier = build.tiers[i]!;
      if (plan.bake.ok && plan.bake.value.cakes.length === 0) return [];
      const sponge = findRow(pantry, 'sponges', tier.spongeId);
      return bakeSteps({
        tier,
        sponge,
        tin: findRow(pantry, 'tins', tier.tinId),
        recipe: recipeOf(sponge.recipeId),
        scaled: valueOf(plan.batterRecipe)!,
        bake: valueOf(plan.bake)!,
        kitchen: pantry.kitchen,
      });
    });
    const isCutting = (step: Step): boolean => step.chapter === 'Fill and stack';
    const several = tiers.length > 1;
    const named = (steps: Step[], i: number): Step[] =>
      several
        ? steps.map((step) => ({
            ...step,
            title: `${build.tiers[i]!.name}: ${lowered(step.title)}`,
          }))
        : steps;
    return [
      ...baking.flatMap((steps, i) =>
        named(
          steps.filter((step) => !isCutting(step)),
          i,
        ),
      ),
      ...bowlSteps(bowls.value, spreadOf),
      ...contexts.flatMap((context, i) => [
        ...named([...baking[i]!.filter(isCutting), ...stackSteps(context)], i),
      ]),
      ...contexts.flatMap((context, i) => named(coatSteps(context), i)),
      ...closingSteps(build, massG, servings, spreadOf(build.tiers[0]!.coat.spreadId)),
    ];
  });
}

/** Ingredients of every batter and bowl in one list, and what is folded in. */
function allIngredients(
  build: Build,
  tiers: readonly TierPlan[],
  bowls: Staged<Bowl[]>,
): Staged<ScaledIngredient[]> {
  if (!bowls.ok) return bowls;
  const failed = tiers.flatMap((tier) => [tier.bake, tier.batterRecipe]).find((stage) => !stage.ok);
  if (failed && !failed.ok) return failed;
  const folded = build.tiers.flatMap(({ inclusion, gaps }, i): ScaledIngredient[] => {
    const massG = valueOf(tiers[i]!.bake)?.inclusionG ?? 0;
    const named = (name: string, g: number, allergens: Allergen[]): ScaledIngredient[] =>
      g > 0 ? [{ name, massG: g, pieces: null, allergens }] : [];
    return [
      ...(inclusion ? named(inclusion.name, massG, inclusion.allergens) : []),
      ...gaps.flatMap(({ pieces }, k) =>
        pieces
          ? named(pieces.name, valueOf(tiers[i]!.gaps)?.[k]?.piecesG ?? 0, pieces.allergens)
          : [],
      ),
    ];
  });
  return {
    ok: true,
    value: mergeIngredients(
      [
        ...tiers.map((tier) => ({ recipe: valueOf(tier.batterRecipe)!, times: 1 })),
        ...bowls.value.map((bowl) => ({ recipe: bowl.recipe, times: bowl.mixes })),
      ],
      folded,
    ),
  };
}

function allergensIn({ build, pantry }: Work): Allergen[] {
  const recipeIds = new Set<string>();
  const found = new Set<Allergen>();
  for (const tier of build.tiers) {
    const sponge = pantry.sponges.find((row) => row.id === tier.spongeId);
    if (sponge && spongeLayers(tier).length > 0) recipeIds.add(sponge.recipeId);
    for (const id of spreadIdsOf(tier)) {
      const spread = pantry.spreads.find((row) => row.id === id);
      if (spread) recipeIds.add(spread.recipeId);
    }
    const others = tier.layers.map((l) => pantry.others.find((row) => row.id === l.otherId));
    for (const part of [tier.inclusion, ...tier.gaps.map((gap) => gap.pieces), ...others])
      for (const allergen of part?.allergens ?? []) found.add(allergen);
  }
  for (const recipe of pantry.recipes)
    if (recipeIds.has(recipe.id))
      for (const i of recipe.ingredients) for (const a of i.allergens) found.add(a);
  return [...found].sort();
}

/** Oven loads of all tiers, with what to mind about batter that waits and tins that do not fit. */
function planOven(tiers: readonly TierPlan[], { build, pantry, cautions }: Work): OvenPlan | null {
  const baking = tiers.flatMap((plan, i): TierBaking[] => {
    const tier = build.tiers[i]!;
    const sponge = pantry.sponges.find((row) => row.id === tier.spongeId);
    const tin = pantry.tins.find((row) => row.id === tier.tinId);
    const bake = valueOf(plan.bake);
    return sponge && tin && bake ? [{ tierId: tier.id, sponge, tin, bake }] : [];
  });
  if (baking.length < tiers.length) return null;
  const oven = planLoads(baking, pantry.kitchen);
  warnOfOven(build, oven, cautions);
  return oven;
}

function drawingOf(tier: Tier, plan: TierPlan, { pantry, spreadOf }: Work): TierDrawing {
  return {
    tier,
    stack: plan.stack,
    coat: valueOf(plan.coat),
    sponge: ifThere(() => findRow(pantry, 'sponges', tier.spongeId)),
    others: valueOf(plan.others) ?? [],
    centre: plan.centre,
    centreSpread: tier.centre ? ifThere(() => spreadOf(tier.centre!.spreadId)) : null,
    coatSpread: ifThere(() => spreadOf(tier.coat.spreadId)),
    fillings: tier.gaps.map((gap) => ifThere(() => spreadOf(gap.spreadId))),
  };
}

function enterTally(
  book: FigureBook,
  spans: Plan['section']['tiers'],
  frostingG: number | null,
  bowls: Staged<Bowl[]>,
  steps: Staged<Step[]>,
  handsOnMin: number | null,
): void {
  book.add(
    'height',
    'Finished height',
    spans.at(-1)!.toMm,
    'size',
    'From the board to the top of the coat.',
    spans.map((t) => from(`${t.tierId}/height`, 'tier', t.toMm - t.fromMm, 'span')),
  );
  if (frostingG !== null && bowls.ok)
    book.add(
      'frosting',
      'Filling and frosting to make',
      frostingG,
      'bowl',
      'What each bowl has to give, added up.',
      bowls.value.map((b) => from(`bowl/${b.spreadId}/make`, b.name, b.makeG, 'bowl')),
    );
  if (handsOnMin !== null && steps.ok)
    book.add(
      'hands-on',
      'Hands-on time',
      handsOnMin,
      'minutes',
      'The minutes of every step at the bench, without the waiting. From usual times for a 20 cm tier: sides scale with rim times height, tops with area.',
      steps.value.map((s) => given(s.title, s.handsOnMin, 'minutes')),
    );
}
