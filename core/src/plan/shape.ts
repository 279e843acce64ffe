import { asHappened } from '../bench/happened.ts';
import { warnOfBatches } from '../bowls/batch-cautions.ts';
import type { Batch } from '../bowls/batches.ts';
import { planBowls, type Bowl } from '../bowls/bowls.ts';
import type { TierNeeds } from '../bowls/uses.ts';
import { lookOf } from '../colour/colour.ts';
import { dabSpreadId, innerSpreadId } from '../document/edit.ts';
import type { Build, Tier } from '../document/types.ts';
import type { CarveAnswers } from '../carve/apply.ts';
import { carveNeeds } from '../carve/needs.ts';
import { warnOfWarmth } from '../coat/warm.ts';
import { paperStrips, planBoardCover } from '../covers/fondant.ts';
import { planFinish } from '../finish/finish.ts';
import { withGanaches } from '../finish/ganache-recipe.ts';
import { type Corrections, noCorrections } from '../hand/corrections.ts';
import type { PlannedPiping } from '../finish/piping.ts';
import { pouredNeeds } from '../finish/poured-needs.ts';
import { isStillCarvedSo, plannedBy } from './known-by.ts';
import { planTiers } from './tiers.ts';
import { perimeterMm } from '../outline/outline.ts';
import { planLoads, type OvenPlan, type TierBaking } from '../oven/loads.ts';
import { warnOfOven } from '../oven/oven-cautions.ts';
import { dietAnswer, diets, dietsKept, type Diet, type DietAnswer } from '../pantry/diets.ts';
import type { Contents } from '../recipes/parts.ts';
import { findRow } from '../pantry/find.ts';
import type { Board, Food, Ganache, Pantry, Tone } from '../pantry/types.ts';
import type { Work } from './work.ts';
import type { TierPlan } from './tier-plan.ts';
import { enterMass, enterServings } from './shape-figures.ts';
import type { ServingsPlan, ShapePlan } from './shape-plan.ts';
import { contentsOf, warnOfContents } from '../price/contents.ts';
import { toneOfPoured } from '../section/finish-parts.ts';
import { drawSection } from '../section/section.ts';
import type { TierDrawing } from '../section/tier-parts.ts';
import { portionShare } from '../servings/servings.ts';
import { warnOfBrief, warnOfSize } from '../working/checks.ts';
import { cardsG } from '../support/boards.ts';
import { FigureBook } from '../working/figures.ts';
import { asDocument, Known } from '../working/known.ts';
import { stockTaker } from '../stock/bowls.ts';
import { warnOfStock } from '../stock/stock-cautions.ts';
import { attempt, ifThere, valueOf, type Staged } from '../working/staged.ts';
import { coolPlaceOf } from '../document/edit.ts';
import { usedC } from '../finish/ganache-recipe.ts';
import { planHolds } from '../workflow/holds.ts';

/** No answer of the solids is known. */
export const nothingCarved: CarveAnswers = () => undefined;

/** What every part of a plan works with, at its beginning. */
export const beginWork = (
  build: Build,
  own: Pantry,
  withTimes: boolean,
  carved: CarveAnswers,
  corrections: Corrections = noCorrections,
): Work => {
  const pantry = withGanaches(build, own);
  return {
    withTimes,
    carved,
    corrections,
    build,
    pantry,
    book: new FigureBook(),
    cautions: [],
    spreadOf: (id) => findRow(pantry, 'spreads', id),
    recipeOf: (id) => findRow(pantry, 'recipes', id),
  };
};

/**
 * The plan of a build without its times, its run sheet and its shopping: what a shelf of many cakes
 * shows, and what the whole plan begins with.
 */
export const planShape = (
  intended: Build,
  pantry: Pantry,
  carved: CarveAnswers = nothingCarved,
  corrections: Corrections = noCorrections,
): ShapePlan => {
  const { build } = asHappened(asDocument(intended));
  asDocument(pantry);
  return shapesKnown.of(
    build.tiers,
    [pantry, corrections, ...plannedBy(build)],
    () => shapeOf(beginWork(build, pantry, false, carved, corrections)),
    ({ tiers }) => tiers.every(({ carve }) => isStillCarvedSo(carve, carved)),
  );
};
export const shapesKnown = new Known<Build['tiers'], ShapePlan>();

/** The shape of the build that `work` is about; cautions and figures go into the work. */
export function shapeOf(work: Work): ShapePlan {
  const { build, pantry, book, cautions } = work;
  const bare = planTiers(work);
  const finish = planFinish(bare, work);
  const tiers = bare.map((tier, i): TierPlan => ({
    ...tier,
    finish: finish.tiers[i]!,
    massG: tier.massG === null ? null : tier.massG + finish.tiers[i]!.massG,
  }));
  const made = planAllBowls(tiers, finish.piping, work);
  const batches = valueOf(made)?.batches ?? [];
  const board = valueOf(
    attempt('stack', 'board', cautions, () => findRow(pantry, 'boards', build.boardId)),
  );
  const foot = tiers[0]!.finished;
  const boardCover = board ? planBoardCover(board.outline, foot, build.boardCoverMm) : null;
  const boardCoverG = boardCover?.massG ?? 0;
  const section = drawSection(
    build.tiers.map((tier, i) => drawingOf(tier, tiers[i]!, work)),
    board,
    finish.piping.map((job) => ({
      job,
      tone: lookOf(build.colours, job.tint, toneOf(job.spread, work)),
    })),
  );
  const massG = addMasses(tiers, finish.piping, board, boardCoverG, work);
  const foodG =
    massG === null || !board ? null : massG - board.massG - boardCoverG - cardsOf(build);
  const servings = planServings(tiers, foodG, work);
  const held = contentsOf(build, pantry);
  warnOfBrief(build, servings, section.heightMm, cautions);
  warnOfContents(build, held, cautions);
  warnOfSize(build, tiers, board, massG, pantry.boards, cautions);
  warnOfWarmth(build, pantry, cautions);
  warnOfStock(build, pantry, cautions);
  warnOfBatches(build, batches, tiers, pantry, cautions);
  return {
    tiers,
    servings,
    bowls: ifOk(made, ({ bowls }) => bowls),
    piping: finish.piping,
    batches,
    board,
    boardCover,
    strips: paperStrips(foot, board?.outline ?? null),
    oven: planOven(tiers, work),
    allergens: held.whole.allergens,
    mayContain: held.whole.mayContain,
    diets: dietsKept(held.whole),
    tierDiets: held.tiers.map(dietAnswers),
    unknownLines: held.whole.unknown,
    section,
    tally: {
      heightMm: section.heightMm,
      widthMm: Math.max(...section.tiers.map((t) => t.widthMm)),
      massG,
      servings: servings.count,
      frostingG: batches.length > 0 ? batches.reduce((sum, batch) => sum + batch.makeG, 0) : null,
    },
    figures: book,
    cautions,
  };
}

const dietAnswers = (held: Contents): Record<Diet, DietAnswer> =>
  Object.fromEntries(diets.map((diet) => [diet, dietAnswer(diet, held)])) as Record<
    Diet,
    DietAnswer
  >;

const ifOk = <A, B>(stage: Staged<A>, take: (value: A) => B): Staged<B> =>
  stage.ok ? { ok: true, value: take(stage.value) } : stage;

/** Boards under and in the tiers, g. */
const cardsOf = (build: Build): number =>
  build.tiers.reduce((sum, tier, i) => sum + cardsG(tier, i === 0), 0);

function addMasses(
  tiers: readonly TierPlan[],
  piping: readonly PlannedPiping[],
  board: Board | null,
  boardCoverG: number,
  { build, book }: Work,
): number | null {
  if (board === null || tiers.some((tier) => tier.massG === null)) return null;
  const pipedG = piping.reduce((sum, job) => sum + job.massG, 0);
  const cards = cardsOf(build);
  const massG = tiers.reduce(
    (sum, tier) => sum + tier.massG!,
    board.massG + boardCoverG + pipedG + cards,
  );
  book.later((page) =>
    enterMass(tiers, { massG, boardG: board.massG, boardCoverG, pipedG, cards }, page),
  );
  return massG;
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
  book.later((page) => enterServings(build, tiers, { count, foodG, portionG }, page));
  return { count, spare: count - servings, portionG };
}

function planAllBowls(
  tiers: readonly TierPlan[],
  piping: readonly PlannedPiping[],
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
    dabSpreadId: dabSpreadId(build.tiers[i]!),
    roundMm: perimeterMm(build.tiers[i]!.outline),
    dabG: tier.dabG,
    gaps: valueOf(tier.gaps)!,
    coat: valueOf(tier.coat)!,
    others: valueOf(tier.others)!,
    centre:
      tier.centre && build.tiers[i]!.centre && !build.tiers[i]!.centre.pieces
        ? { spreadId: build.tiers[i]!.centre.spreadId, fillG: tier.centre.fillG }
        : null,
    carved: carveNeeds(build.tiers[i]!, tier.carve),
    poured: pouredNeeds(build.tiers[i]!, tier.finish, pantry.ganaches),
  }));
  return attempt('coat', null, cautions, () =>
    planBowls(
      build,
      needs,
      piping,
      spreadOf,
      recipeOf,
      pantry.recipes,
      pantry.kitchen,
      book,
      (spread, recipe, massG) =>
        planHolds(
          recipe,
          massG,
          spread.densityGPerMl,
          pantry,
          coolPlaceOf(build, spread.id),
          usedC(build, pantry, spread.id),
        ),
      stockTaker(build, pantry.stock),
      pantry.foods,
      work.corrections,
    ),
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
  const oven = loadsKnown.of(
    baking[0]!.bake,
    [
      pantry.kitchen,
      ...baking.flatMap(({ tierId, sponge, tin, bake }) => [tierId, sponge, tin, bake]),
    ],
    () => planLoads(baking, pantry.kitchen),
  );
  warnOfOven(build, oven, cautions);
  return oven;
}

const loadsKnown = new Known<object, OvenPlan>();

const toneOfDrip = (row: Ganache | null, foods: readonly Food[]): Tone =>
  row ? toneOfPoured(row, foods) : 'ganache';

/** Hatch of what is piped; cream's where the pantry does not know it. */
const toneOf = (spreadId: string, { spreadOf }: Work): Tone =>
  ifThere(() => spreadOf(spreadId))?.tone ?? 'cream';

function drawingOf(tier: Tier, plan: TierPlan, { build, pantry, spreadOf }: Work): TierDrawing {
  return {
    tier,
    stack: plan.stack,
    coat: valueOf(plan.coat),
    finished: plan.finished,
    rim: plan.rim,
    sponge: ifThere(() => findRow(pantry, 'sponges', tier.spongeId)),
    others: valueOf(plan.others) ?? [],
    betweens: tier.layers.map(({ between }) =>
      between ? (ifThere(() => spreadOf(between.spreadId))?.tone ?? 'cream') : null,
    ),
    centre: plan.centre,
    centreSpread:
      tier.centre && !tier.centre.pieces ? ifThere(() => spreadOf(tier.centre!.spreadId)) : null,
    coatSpread: ifThere(() => spreadOf(tier.coat.spreadId)),
    finish: plan.finish,
    carve: plan.carve,
    mould: plan.mould,
    dripTone: lookOf(
      build.colours,
      (tier.pour ?? tier.drip)?.tint ?? '',
      toneOfDrip(
        valueOf(plan.finish.pour)?.row ?? valueOf(plan.finish.drip)?.row ?? null,
        pantry.foods,
      ),
    ),
    colours: build.colours,
    fillings: tier.gaps.map((gap) => ifThere(() => spreadOf(gap.spreadId))),
  };
}
