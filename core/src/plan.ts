import { bakeSteps } from './bench/bake-steps.ts';
import {
  bowlSteps,
  closingSteps,
  coatSteps,
  stackSteps,
  type StackContext,
} from './bench/stack-steps.ts';
import type { Step } from './bench/steps.ts';
import { planBowls, type Bowl, type TierNeeds } from './bowls/bowls.ts';
import type { Build, Tier } from './build/types.ts';
import { planCoat } from './coat/coat.ts';
import { planGaps, warnOfSqueeze } from './fill/gaps.ts';
import { findRow, MissingRow } from './pantry/find.ts';
import type { Allergen, Pantry, Recipe, Spread } from './pantry/types.ts';
import type { Plan, ServingsPlan, TierPlan } from './plan-types.ts';
import { mergeIngredients, scaleRecipe, type ScaledIngredient } from './recipes/scale.ts';
import { drawSection, type TierDrawing } from './section/section.ts';
import { countServings, portionShare } from './servings/servings.ts';
import { planStack } from './stack/stack.ts';
import { planBake } from './tins/bake.ts';
import { sortCautions, type Caution } from './working/cautions.ts';
import { warnOfBrief, warnOfSize } from './working/checks.ts';
import { FigureBook, from, given } from './working/figures.ts';
import { attempt, type Staged } from './working/staged.ts';

interface Work {
  build: Build;
  pantry: Pantry;
  book: FigureBook;
  cautions: Caution[];
  spreadOf: (id: string) => Spread;
  recipeOf: (id: string) => Recipe;
}

const valueOf = <T>(stage: Staged<T>): T | null => (stage.ok ? stage.value : null);
const orNull = <T>(find: () => T): T | null => {
  try {
    return find();
  } catch (error) {
    if (error instanceof MissingRow) return null;
    throw error;
  }
};

/**
 * The whole plan of a build: from the brief to the steps at the bench, with the figures' workings
 * and what to mind. Pure: the same build and pantry give the same plan.
 *
 * A row missing from the pantry spoils only the stages that need it; they say so and the others
 * stand. Never throws on a build that passes the schema.
 */
export function planBuild(build: Build, pantry: Pantry): Plan {
  const work: Work = {
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
  const steps = planSteps(tiers, bowls, massG, servings.count, work);
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

/** One tier in the order of work: stack, bake, fill, coat; then what it all weighs. */
function planTier(tier: Tier, work: Work): TierPlan {
  const { build, pantry, book, cautions, spreadOf } = work;
  const coatSpread = orNull(() => spreadOf(tier.coat.spreadId));
  const dabG = pantry.kitchen.dabG;
  const stack = planStack(tier, coatSpread ? dabG / coatSpread.densityGPerMl : 0, book);
  const bake = attempt('bake', `${tier.id}/cake`, cautions, () =>
    planBake(
      tier,
      findRow(pantry, 'sponges', tier.spongeId),
      findRow(pantry, 'tins', tier.tinId),
      pantry.kitchen,
      book,
      cautions,
    ),
  );
  const batterRecipe = attempt('bake', `${tier.id}/cake`, bake.ok ? cautions : [], () => {
    const sponge = findRow(pantry, 'sponges', tier.spongeId);
    return scaleRecipe(
      findRow(pantry, 'recipes', sponge.recipeId),
      bake.ok ? Math.ceil(bake.value.batterG / 5) * 5 : 0,
    );
  });
  const gaps = attempt('stack', `${tier.id}/gap/0`, cautions, () => planGaps(tier, spreadOf, book));
  const coat = attempt('coat', `${tier.id}/coat`, cautions, () =>
    planCoat(tier, stack.stackMm, spreadOf(tier.coat.spreadId), pantry.kitchen, book),
  );
  const plan: TierPlan = {
    tierId: tier.id,
    stack,
    bake,
    batterRecipe,
    gaps,
    coat,
    dabG,
    servings: countServings(
      tier.outline,
      build.brief.portion,
      build.brief.cutting,
      build.brief.halves,
    ),
    massG: null,
  };
  if (bake.ok && gaps.ok && coat.ok) {
    const layersG = tier.layers.map(
      (_, i) =>
        layerMassG(plan, i) + (gaps.value[i] ? gaps.value[i].fillingG + gaps.value[i].damG : 0),
    );
    const coatG = coat.value.crumbG + coat.value.coatG;
    plan.massG = layersG.reduce((sum, g) => sum + g, 0) + coatG + dabG;
    const above = tier.gaps.map((_, i) => layersG.slice(i + 1).reduce((sum, g) => sum + g, 0));
    attempt('stack', `${tier.id}/gap/0`, cautions, () =>
      warnOfSqueeze(tier, above, spreadOf, cautions),
    );
  }
  return plan;
}

/** Mass of one layer of sponge, g: its share of its cake's layers by height. */
function layerMassG(plan: TierPlan, index: number): number {
  if (!plan.bake.ok) return 0;
  const cake = plan.bake.value.cakes.find((c) => c.layers.includes(index));
  if (!cake) return 0;
  const span = (i: number): number => plan.stack.layers[i]!.toMm - plan.stack.layers[i]!.fromMm;
  const all = cake.layers.reduce((sum, i) => sum + span(i), 0);
  return (cake.layersG * span(index)) / all;
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
    const fillG = tier.gaps.ok ? tier.gaps.value.reduce((s, g) => s + g.fillingG + g.damG, 0) : 0;
    return [
      given('sponge', tier.massG! - coatG - fillG - tier.dabG, 'bowl'),
      given('fillings and dams', fillG, 'bowl'),
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
  const failed = tiers.flatMap((tier) => [tier.gaps, tier.coat]).find((stage) => !stage.ok);
  if (failed && !failed.ok) return failed;
  const needs = tiers.map((tier, i): TierNeeds => ({
    tierId: tier.tierId,
    tierName: build.tiers[i]!.name,
    coatSpreadId: build.tiers[i]!.coat.spreadId,
    dabG: tier.dabG,
    gaps: valueOf(tier.gaps)!,
    coat: valueOf(tier.coat)!,
  }));
  return attempt('coat', null, cautions, () =>
    planBowls(build, needs, spreadOf, recipeOf, pantry.kitchen, book),
  );
}

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
      coat: valueOf(plan.coat)!,
      dabG: plan.dabG,
      spreadOf,
    }));
    const baking = tiers.map((plan, i) => {
      const tier = build.tiers[i]!;
      const sponge = findRow(pantry, 'sponges', tier.spongeId);
      return bakeSteps({
        tier,
        sponge,
        tin: findRow(pantry, 'tins', tier.tinId),
        recipe: recipeOf(sponge.recipeId),
        scaled: valueOf(plan.batterRecipe)!,
        bake: valueOf(plan.bake)!,
      });
    });
    const isCutting = (step: Step): boolean => step.chapter === 'Fill and stack';
    return [
      ...baking.flatMap((steps) => steps.filter((step) => !isCutting(step))),
      ...bowlSteps(bowls.value, spreadOf),
      ...contexts.flatMap((context, i) => [
        ...baking[i]!.filter(isCutting),
        ...stackSteps(context),
      ]),
      ...contexts.flatMap(coatSteps),
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
  const folded = build.tiers.flatMap(({ inclusion }, i): ScaledIngredient[] => {
    const massG = valueOf(tiers[i]!.bake)?.inclusionG ?? 0;
    return inclusion && massG > 0
      ? [{ name: inclusion.name, massG, pieces: null, allergens: inclusion.allergens }]
      : [];
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
  for (const tier of build.tiers) {
    const sponge = pantry.sponges.find((row) => row.id === tier.spongeId);
    if (sponge) recipeIds.add(sponge.recipeId);
    for (const id of [tier.coat.spreadId, ...tier.gaps.map((gap) => gap.spreadId)]) {
      const spread = pantry.spreads.find((row) => row.id === id);
      if (spread) recipeIds.add(spread.recipeId);
    }
  }
  const found = new Set<Allergen>(build.tiers.flatMap((tier) => tier.inclusion?.allergens ?? []));
  for (const recipe of pantry.recipes)
    if (recipeIds.has(recipe.id))
      for (const i of recipe.ingredients) for (const a of i.allergens) found.add(a);
  return [...found].sort();
}

function drawingOf(tier: Tier, plan: TierPlan, { pantry, spreadOf }: Work): TierDrawing {
  return {
    tier,
    stack: plan.stack,
    coat: valueOf(plan.coat),
    sponge: orNull(() => findRow(pantry, 'sponges', tier.spongeId)),
    coatSpread: orNull(() => spreadOf(tier.coat.spreadId)),
    fillings: tier.gaps.map((gap) => orNull(() => spreadOf(gap.spreadId))),
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
