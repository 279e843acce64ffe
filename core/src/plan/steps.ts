import { bakeSteps } from '../bench/bake-steps.ts';
import { cutSteps } from '../bench/cut-steps.ts';
import { batterMixings } from '../oven/mixings.ts';
import { tierLoads } from '../oven/tier-loads.ts';
import { bowlSteps } from '../bench/bowl-steps.ts';
import { soakMaking } from '../bench/soak-steps.ts';
import { sayRewarm } from '../bench/rewarm.ts';
import { runBowls } from '../bench/bowl-run.ts';
import { washBetween } from '../bench/wash.ts';
import { inOwnTime } from '../bench/own-time.ts';
import { carveSteps, reliefSteps } from '../bench/carve-steps.ts';
import { closingSteps, type ForRoad } from '../bench/closing-steps.ts';
import { coatSteps } from '../bench/coat-steps.ts';
import { coverSteps } from '../bench/cover-steps.ts';
import {
  flowChillStep,
  flowSteps,
  pipingSteps,
  torchSteps,
  type FinishContext,
} from '../bench/finish-steps.ts';
import { prepareSteps } from '../bench/prepare-steps.ts';
import { toppingSteps, traySteps } from '../bench/topping-steps.ts';
import type { Tier } from '../document/types.ts';
import type { StackContext } from '../bench/stack-context.ts';
import { stockLayerSteps } from '../bench/stock-steps.ts';
import { surfaceSteps } from '../bench/surface-steps.ts';
import { stackSteps } from '../bench/stack-steps.ts';
import type { Step } from '../bench/steps.ts';
import {
  assemblySteps,
  countOutSteps,
  countInSteps,
  dowelCutSteps,
  deckSteps,
  journeySteps,
} from '../bench/support-steps.ts';
import { factorOf } from '../hand/corrections.ts';
import { glueSpreadId } from '../carve/needs.ts';
import { thawSteps } from '../bench/mould-steps.ts';
import { soakAlcohol } from '../soak/soak-alcohol.ts';
import { soakNeeds } from '../soak/soak-needs.ts';
import { coldestCoatC } from '../heat/cooling.ts';
import { findRow } from '../pantry/find.ts';
import type { Kitchen } from '../pantry/types.ts';
import type { Work } from './work.ts';
import { mixedTiers } from './mixed-tiers.ts';
import type { CakePlan } from './plan-types.ts';
import type { TierTimes } from '../times/tier-times.ts';
import { kitOf } from '../support/ways.ts';
import { cakeLine, onLine, sawLine, tierLine, type Line } from '../workflow/operation.ts';
import { attempt, ifThere, valueOf, type Staged } from '../working/staged.ts';

const lowered = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);

/** Chilled until its slowest tier is cold, where it goes on the road cold. */
const forRoad = (
  { journey }: Work['build'],
  times: readonly TierTimes[],
  highMm: number,
): ForRoad | null =>
  journey.byRoad && journey.chilled && times.some(({ roadMin }) => roadMin > 0)
    ? { minutes: Math.max(...times.map(({ roadMin }) => roadMin)), highMm }
    : null;
/** Room that a box takes over its cake, mm. */
const overBoxMm = 30;

/** Tiers that are stacked at home are warmed by that: what runs over them waits for another chill, not for their own. */
const isChilledAgain = ({ tiers, journey }: Work['build']): boolean =>
  tiers.length > 1 && journey.stackAt === 'home';
/** What was stacked at home goes back into the cold before anything runs over it. */
function chilledAgain(
  build: Work['build'],
  times: readonly TierTimes[],
  highMm: number,
  kitchen: Kitchen,
): Step[] {
  if (!isChilledAgain(build)) return [];
  const flows = build.tiers.flatMap(({ pour, drip }) => pour ?? drip ?? []);
  const coldC = Math.min(...flows.map(({ coatC }) => coldestCoatC(coatC, kitchen)));
  return flowChillStep(Math.max(...times.map(({ flowMin }) => flowMin.stacked)), coldC, highMm);
}

/** What the pantry calls the mould of a tier. */
const mouldName = ({ mould }: Tier, { tins }: Work['pantry']): string =>
  tins.find(({ id }) => id === mould?.tinId)?.name.toLowerCase() ?? 'mould';

/** The run sheet, tier by tier in working order. */
export function planSteps(
  cake: CakePlan,
  times: readonly TierTimes[],
  { build, pantry, cautions, spreadOf, recipeOf, corrections }: Work,
): Staged<Step[]> {
  const { tiers, oven, piping, nonFood, bowls, batches, boardCover, strips, tally } = cake;
  const { support, cutLists } = cake;
  if (!bowls.ok) return bowls;
  const failed = tiers.flatMap((tier) => [tier.bake, tier.batterRecipe]).find((stage) => !stage.ok);
  if (failed && !failed.ok) return failed;
  return attempt('bench', null, cautions, () => {
    const contexts = tiers.map((plan, i): StackContext => ({
      tier: build.tiers[i]!,
      stack: plan.stack,
      mould: { name: mouldName(build.tiers[i]!, pantry), shape: plan.mould },
      gaps: valueOf(plan.gaps)!,
      others: valueOf(plan.others) ?? [],
      soak: plan.soak,
      centre: plan.centre,
      coat: valueOf(plan.coat)!,
      dabG: plan.dabG,
      fondant: plan.fondant,
      pressed: plan.pressed,
      surfaces: plan.surfaces,
      carved: plan.carve?.result ?? null,
      decks: deckSteps(build, i, support, nonFood),
      strips,
      times: isChilledAgain(build)
        ? { ...times[i]!, flowMin: { ...times[i]!.flowMin, coated: 0 } }
        : times[i]!,
      colours: build.colours,
      chillIn: build.day.chillIn,
      foods: pantry.foods,
      recipes: pantry.recipes,
      kitchen: pantry.kitchen,
      spreadOf,
    }));
    // shelves are taken out for what is taller than one of them
    const shelfMm = Math.min(tally.heightMm + overBoxMm, build.day.fridgeMm);
    const several = tiers.length > 1;
    const tierNames = new Map(build.tiers.map(({ id, name }) => [id, name]));
    const mixings = batterMixings(mixedTiers(build, tiers, oven, pantry), pantry.kitchen);
    /** Steps about one tier, which say so where there are several. */
    const named = (steps: Step[], i: number, on: Line | null = null): Step[] =>
      steps.map((step) => ({
        ...step,
        line: on && step.line === cakeLine ? on : step.line,
        tierId: build.tiers[i]!.id,
        title: several
          ? `${[build.tiers[i]!.id, ...step.sharedBy].map((id) => tierNames.get(id)).join(', ')}: ${lowered(step.title)}`
          : step.title,
      }));
    const baking = tiers.map((plan, i) => {
      const tier = build.tiers[i]!;
      if (plan.bake.ok && plan.bake.value.cakes.length === 0) {
        const { stock } = plan.bake.value;
        return { loads: [], cuts: stock ? stockLayerSteps(tier, stock) : [] };
      }
      const sponge = findRow(pantry, 'sponges', tier.spongeId);
      const tin = findRow(pantry, 'tins', tier.tinId);
      const bake = valueOf(plan.bake)!;
      const context = {
        tier,
        sponge,
        tin,
        recipe: recipeOf(sponge.recipeId),
        scaled: valueOf(plan.batterRecipe)!,
        bake,
        loads: tierLoads(tier.id, tin, bake, oven, pantry.kitchen, sponge.waitMin),
        mixings,
        tierNames,
        colours: build.colours,
        times: times[i]!,
        pantry,
      };
      return {
        loads: bakeSteps(context).map((one) => ({ ...one, step: named([one.step], i)[0]! })),
        cuts: cutSteps(context),
      };
    });
    const assembly = assemblySteps(build, support, nonFood);
    const kit = kitOf(build, null).map(({ what }) => what);
    const reliefs = ({ carve }: (typeof tiers)[number], i: number): Step[] =>
      carve ? reliefSteps(build.tiers[i]!, carve, spreadOf) : [];
    /** Steps on the tier itself, until the cake is put together. */
    const onTier = (steps: Step[], i: number): Step[] =>
      named(steps, i, tierLine(build.tiers[i]!.id));
    const onTiers = (steps: (context: FinishContext) => Step[]): Step[] =>
      tiers.flatMap((plan, i) =>
        named(
          steps({ tier: build.tiers[i]!, plan, foods: pantry.foods, colours: build.colours }),
          i,
        ),
      );
    const sheet = [
      // in the order of the oven, whatever tier a load is of
      ...baking
        .flatMap(({ loads }) => loads)
        .sort((a, b) => a.load - b.load || a.phase - b.phase)
        .map(({ step }) => step),
      ...tiers.flatMap((plan, i) => traySteps(build.tiers[i]!, plan.finish, build.colours, pantry)),
      ...bowlSteps(bowls.value, batches, { spreadOf, recipeOf, pantry }),
      ...soakMaking(soakNeeds(build.tiers, tiers), pantry),
      ...contexts.flatMap((context, i) => [
        ...onTier([...baking[i]!.cuts, ...stackSteps(context)], i),
      ]),
      ...tiers.flatMap(({ carve }, i) =>
        carve
          ? onTier(
              carveSteps(
                build.tiers[i]!,
                carve,
                pantry.kitchen,
                ifThere(() => spreadOf(glueSpreadId(build.tiers[i]!))),
                times[i]!,
              ),
              i,
            )
          : [],
      ),
      ...contexts.flatMap((context, i) =>
        onTier(
          [
            ...coatSteps(context),
            ...reliefs(tiers[i]!, i),
            ...coverSteps(context),
            ...surfaceSteps(context),
          ],
          i,
        ),
      ),
      ...onLine(sawLine, dowelCutSteps(cutLists)),
      ...assembly.filter((step) => step.chapter === 'Support'),
      ...closingSteps(
        [
          ...chilledAgain(build, times, shelfMm, pantry.kitchen),
          ...onTiers(flowSteps),
          ...pipingSteps(piping, build, pantry.kitchen, spreadOf, corrections),
          ...onTiers((context) => toppingSteps(context, 'torched')),
          ...onTiers(torchSteps),
          ...onTiers((context) => toppingSteps(context, 'now')),
          ...contexts.flatMap((context, i) => named(thawSteps(context), i)),
        ],
        onTiers((context) => toppingSteps(context, 'last')),
        [
          ...journeySteps(build, support, kit, tally.massG),
          ...assembly.filter((step) => step.chapter === 'Serve'),
        ],
        countOutSteps(nonFood),
        tally.massG,
        tally.servings,
        boardCover,
        forRoad(build, times, shelfMm),
        tiers.some(({ soak }, i) => soakAlcohol(build.tiers[i]!, soak, pantry).massG > 0),
      ),
    ];
    // what goes in at no step of its own is counted before the box is closed
    const keys = new Set(sheet.map((step) => step.key));
    const boxAt = sheet.findIndex((step) => step.key === 'box');
    sheet.splice(boxAt, 0, ...countInSteps(nonFood.filter(({ inKey }) => !keys.has(inKey))));
    for (const { before, steps } of prepareSteps(sheet, pantry))
      sheet.splice(
        sheet.findIndex(({ key }) => key === before),
        0,
        ...steps,
      );
    const lostG = bowls.value.reduce((sum, bowl) => sum + bowl.lostG, 0);
    if (lostG > 0)
      sheet
        .find((step) => step.key === 'box')
        ?.also.push({
          kind: 'mass',
          label: 'frosting thrown away, scrapings and tools',
          planned: lostG,
          show: 'bowl',
          hand: 'loss',
          movedBy: factorOf(corrections, 'loss'),
        });
    washBetween(sheet, pantry.kitchen.washMin);
    sayRewarm(sheet, bowls.value, spreadOf);
    runBowls(
      sheet,
      bowls.value,
      pantry.kitchen.scrapingsShare * factorOf(corrections, 'loss'),
      build,
    );
    return sheet.map((step) => inOwnTime(step, corrections));
  });
}
