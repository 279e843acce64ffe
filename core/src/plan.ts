import type { Step } from './bench/steps.ts';
import type { Batch } from './bowls/batches.ts';
import { warnOfBatches } from './bowls/batch-cautions.ts';
import { planBowls, type Bowl } from './bowls/bowls.ts';
import type { TierNeeds } from './bowls/uses.ts';
import { innerSpreadId } from './build/edit.ts';
import type { Build, Tier } from './build/types.ts';
import { warnOfWarmth } from './coat/warm.ts';
import { paperStrips, planBoardCover } from './covers/fondant.ts';
import { gapMassG } from './fill/gaps.ts';
import { perimeterMm } from './outline/outline.ts';
import { planLoads, type OvenPlan, type TierBaking } from './oven/loads.ts';
import { warnOfOven } from './oven/oven-cautions.ts';
import { dietsKept } from './pantry/diets.ts';
import { findRow } from './pantry/find.ts';
import type { Board, Pantry } from './pantry/types.ts';
import { planIngredients } from './plan-ingredients.ts';
import { planSteps } from './plan-steps.ts';
import { planTier, type Work } from './plan-tier.ts';
import type { Plan, ServingsPlan, TierPlan } from './plan-types.ts';
import { contentsOf, warnOfContents } from './price/contents.ts';
import { priceOf } from './price/price.ts';
import type { ScaledIngredient } from './recipes/scale.ts';
import { drawSection, type TierDrawing } from './section/section.ts';
import { portionShare } from './servings/servings.ts';
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
  const bowlList = ifOk(bowls, (made) => made.bowls);
  const batches = valueOf(bowls)?.batches ?? [];
  const board = attempt('stack', 'board', work.cautions, () =>
    findRow(pantry, 'boards', build.boardId),
  );
  const boardRow = valueOf(board);
  const foot = tiers[0]!.finished;
  const boardCover = boardRow ? planBoardCover(boardRow.outline, foot, build.boardCoverMm) : null;
  const strips = paperStrips(foot, boardRow?.outline ?? null);
  const oven = planOven(tiers, work);
  const section = drawSection(
    build.tiers.map((tier, i) => drawingOf(tier, tiers[i]!, work)),
    boardRow,
  );
  const massG = addMasses(tiers, boardRow, boardCover?.massG ?? 0, work);
  const foodG =
    massG === null || !boardRow ? null : massG - boardRow.massG - (boardCover?.massG ?? 0);
  const servings = planServings(tiers, foodG, work);
  const steps: Staged<Step[]> = work.withTimes
    ? planSteps(tiers, bowlList, batches, boardCover, strips, massG, servings.count, work)
    : notAsked('run sheet');
  const handsOnMin = steps.ok ? steps.value.reduce((sum, step) => sum + step.handsOnMin, 0) : null;
  const ingredients: Staged<ScaledIngredient[]> = work.withTimes
    ? planIngredients(build, tiers, bowlList, batches, boardCover, pantry, work.cautions)
    : notAsked('ingredients');
  const held = contentsOf(build, pantry);
  const widest = Math.max(...section.tiers.map((t) => t.widthMm));
  warnOfBrief(build, servings, section.heightMm, work.cautions);
  warnOfContents(build, held, work.cautions);
  warnOfSize(build, tiers, boardRow, massG, pantry.boards, work.cautions);
  warnOfWarmth(build, pantry, work.cautions);
  warnOfBatches(build, batches, tiers, pantry, work.cautions);
  const frostingG =
    batches.length > 0 ? batches.reduce((sum, batch) => sum + batch.makeG, 0) : null;
  enterTally(work.book, section.tiers, frostingG, bowlList, steps, handsOnMin);
  return {
    tiers,
    servings,
    bowls: bowlList,
    batches,
    boardCover,
    strips,
    oven,
    steps,
    ingredients,
    allergens: held.whole.allergens,
    mayContain: held.whole.mayContain,
    diets: dietsKept(held.whole),
    tierDiets: held.tiers.map(dietsKept),
    unknownLines: held.whole.unknown,
    price:
      ingredients.ok && handsOnMin !== null
        ? priceOf(
            ingredients.value,
            pantry.foods,
            boardRow,
            handsOnMin,
            servings.count,
            pantry.kitchen,
            work.book,
          )
        : null,
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

const ifOk = <A, B>(stage: Staged<A>, take: (value: A) => B): Staged<B> =>
  stage.ok ? { ok: true, value: take(stage.value) } : stage;

const notAsked = (what: string): Staged<never> => ({
  ok: false,
  problem: `The ${what} was not asked for.`,
});

function addMasses(
  tiers: readonly TierPlan[],
  board: Board | null,
  boardCoverG: number,
  { build, book }: Work,
): number | null {
  if (board === null || tiers.some((tier) => tier.massG === null)) return null;
  const pipedG = build.piping.reduce((sum, job) => sum + job.massG, 0);
  const massG = tiers.reduce((sum, tier) => sum + tier.massG!, board.massG + boardCoverG + pipedG);
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
      ...(tier.fondant ? [given('fondant', tier.fondant.onCakeG, 'bowl')] : []),
      ...(tier.pressed ? [given(tier.pressed.name, tier.pressed.massG, 'small')] : []),
    ];
  });
  return book.add(
    'mass',
    'Weight on the board',
    massG,
    'weight',
    'Layers, fillings, coat, covers, piping and board, added up.',
    [
      ...inputs,
      given('piping', pipedG, 'small'),
      given('board', board.massG, 'small'),
      ...(boardCoverG > 0 ? [given('fondant on the board', boardCoverG, 'small')] : []),
    ],
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

function planAllBowls(
  tiers: readonly TierPlan[],
  work: Work,
): Staged<{ bowls: Bowl[]; batches: Batch[] }> {
  const { build, pantry, book, cautions, spreadOf, recipeOf } = work;
  const failed = tiers
    .flatMap((tier) => [tier.others, tier.gaps, tier.coat])
    .find((stage) => !stage.ok);
  if (failed && !failed.ok) return failed;
  const needs = tiers.map((tier, i): TierNeeds => ({
    tierId: tier.tierId,
    tierName: build.tiers[i]!.name,
    innerSpreadId: innerSpreadId(build.tiers[i]!),
    roundMm: perimeterMm(build.tiers[i]!.outline),
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
    planBowls(build, needs, spreadOf, recipeOf, pantry.recipes, pantry.kitchen, book),
  );
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
    finished: plan.finished,
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
      bowls.value.map((b) => from(`bowl/${b.id}/make`, b.name, b.makeG, 'bowl')),
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
