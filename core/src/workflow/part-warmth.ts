import type { Batch } from '../bowls/batches.ts';
import { doneC } from '../heat/bake-time.ts';
import { meanShare, type Body } from '../heat/body.ts';
import { bowlMinutes } from '../heat/cool-bowl.ts';
import { surroundingsOf } from '../heat/cool-places.ts';
import { inFridge, onRack, spongeCapacity, type Mass } from '../heat/cooling.ts';
import { isPerishable } from '../bench/perishable.ts';
import type { Tier } from '../document/types.ts';
import type { Pantry, Spread } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import { cakeMass } from '../times/tier-times.ts';
import { valueOf } from '../working/staged.ts';
import { shortGapMin, type CourseOf } from './course-events.ts';
import { capacityOfRecipe, spreadableC } from './holds.ts';
import { batchLine } from './operation.ts';
import { word } from '../units/value-words.ts';

/** What a tier is stacked from, and how warm that is by then. */
export interface PartWarmth {
  name: string;
  massG: number;
  tempC: number;
  /** kJ/kgK */
  capacityKJ: number;
}

/** Where parts wait until they are stacked. */
interface Waiting {
  of: CourseOf;
  roomC: number;
  /** When the first layer is set on its board, min before the deadline. */
  atMin: number;
}

/** Layers and fillings of a tier with how warm each is when it is stacked, by the plan of the days. */
export function partsAtStacking(tier: Tier, plan: TierPlan, waiting: Waiting): PartWarmth[] {
  return [...layersOf(tier, plan, waiting), ...fillingsOf(tier, waiting)].filter(
    ({ massG }) => massG > 0,
  );
}

/** As warm as all of it is together, C; null where there is nothing. */
export function togetherC(parts: readonly PartWarmth[]): number | null {
  const heat = parts.reduce((sum, { massG, capacityKJ }) => sum + massG * capacityKJ, 0);
  if (heat <= 0) return null;
  return parts.reduce((sum, part) => sum + part.massG * part.capacityKJ * part.tempC, 0) / heat;
}

const shareAfter = (body: Body, minutes: number): number =>
  minutes <= 0 ? 1 : meanShare(body, minutes * 60);

/** Own layers from the rack or from what was put away, and what was set, bought or baked beside them. */
function layersOf(tier: Tier, plan: TierPlan, waiting: Waiting): PartWarmth[] {
  const { pantry } = waiting.of;
  const kitchen = { ...pantry.kitchen, roomC: waiting.roomC };
  const layersG = plan.layersG ?? [];
  const ownG = layersG.reduce((sum, g, i) => sum + (tier.layers[i]?.otherId ? 0 : g), 0);
  const own = (tempC: number): PartWarmth => ({ name: word('layers'), massG: ownG, tempC, capacityKJ: spongeCapacity }); // prettier-ignore
  const beside = tier.layers.flatMap(({ otherId }, i): PartWarmth[] => {
    const row = otherId === null ? undefined : pantry.others.find(({ id }) => id === otherId);
    if (!row) return [];
    const tempC = row.form === 'mousse' ? kitchen.fridgeC : kitchen.roomC;
    return [{ name: row.name.toLowerCase(), massG: layersG[i] ?? 0, tempC, capacityKJ: spongeCapacity }]; // prettier-ignore
  });
  const tin = pantry.tins.find(({ id }) => id === tier.tinId);
  const mass = tin ? cakeMass(plan, tin) : null;
  if (tier.stockId !== null || !mass) return [own(kitchen.fridgeC), ...beside];
  const racks = turnedOut(tier, waiting).map((at) => sinceRack(mass, at, waiting, kitchen, tier));
  const settledC = tier.stackedAt === 'cold' ? kitchen.fridgeC : kitchen.roomC;
  const meanC = racks.length > 0 ? racks.reduce((sum, c) => sum + c, 0) / racks.length : settledC;
  return [own(meanC), ...beside];
}

/** When each load of a tier came out of its tins, and when it may be cut. */
const turnedOut = (tier: Tier, { of }: Waiting): { fromMin: number; toMin: number }[] =>
  of.placed.flatMap((at) => {
    const task = of.tasks.find(({ id }) => id === at.id);
    const isOut = of.steps.some(
      ({ key, kind, tierId }) =>
        kind === 'turn out' && tierId === tier.id && task?.stepKeys.includes(key),
    );
    return isOut ? [{ fromMin: at.handsEndMin, toMin: at.endMin }] : [];
  });

/** From the oven onto the rack; from there, where the tier is stacked cold, into the fridge. */
function sinceRack(
  mass: Mass,
  { fromMin, toMin }: { fromMin: number; toMin: number },
  { atMin }: Waiting,
  kitchen: Pantry['kitchen'],
  { stackedAt }: Tier,
): number {
  const rack = onRack(mass, kitchen);
  const onRackC = (minutes: number): number =>
    kitchen.roomC + (doneC - kitchen.roomC) * shareAfter(rack, minutes);
  if (stackedAt === 'room') return onRackC(Math.max(toMin, atMin) - fromMin);
  const cutC = onRackC(toMin - fromMin);
  return kitchen.fridgeC + (cutC - kitchen.fridgeC) * shareAfter(inFridge(mass, kitchen), atMin - toMin); // prettier-ignore
}

const fillingKinds: ReadonlySet<string> = new Set(['dab', 'dam', 'gap', 'drizzle']);

/** What is spread between the layers, from the bowls it comes from. */
function fillingsOf(tier: Tier, waiting: Waiting): PartWarmth[] {
  const { of } = waiting;
  const ownSteps = new Set(
    of.steps.flatMap(({ key, tierId }) => (tierId === tier.id ? [key] : [])),
  );
  return (valueOf(of.plan.bowls) ?? []).flatMap((bowl): PartWarmth[] => {
    const massG = bowl.uses
      .filter(({ kind, step }) => fillingKinds.has(kind) && step !== null && ownSteps.has(step))
      .reduce((sum, use) => sum + use.massG, 0);
    const batch = of.plan.batches.find(({ id }) => id === bowl.batchId);
    const spread = of.pantry.spreads.find(({ id }) => id === bowl.spreadId);
    if (massG <= 0 || !batch || !spread) return [];
    return [bowlWarmth(bowl.name.toLowerCase(), massG, batch, spread, waiting)];
  });
}

/** Whipped or stirred from the fridge, it has taken up so much by the time it is made, K (estimate). */
const makingK = 3;

/**
 * A bowl that was made, has cooled as far as it must, and then stands where it keeps: what spoils in the
 * fridge, the rest on the bench.
 */
function bowlWarmth(
  name: string,
  massG: number,
  batch: Batch,
  spread: Spread,
  { of, roomC, atMin }: Waiting,
): PartWarmth {
  const { pantry } = of;
  const recipe = pantry.recipes.find(({ id }) => id === spread.recipeId);
  const capacityKJ = recipe ? capacityOfRecipe(recipe, pantry.foods) : spongeCapacity;
  const kitchen = { ...pantry.kitchen, roomC };
  const keepsCold = isPerishable(spread);
  const made = readyOf(batch, of);
  const isCooked = (recipe?.hottestC ?? 0) > spreadableC;
  const freshC = made.toC ?? (keepsCold && !isCooked ? kitchen.fridgeC + makingK : roomC);
  const gap = atMin - (made.endMin ?? -Infinity);
  if (gap <= shortGapMin) return { name, massG, tempC: freshC, capacityKJ };
  const around = surroundingsOf(keepsCold ? 'tray in the fridge' : 'bowl', kitchen);
  const tau = bowlMinutes(batch.makeG, spread.densityGPerMl, capacityKJ, around.surfaceW);
  const tempC = around.tempC + (freshC - around.tempC) * Math.exp(-gap / tau);
  return { name, massG, tempC, capacityKJ };
}

/** When the last step of a batch ends, and how warm it is then by where it waited last; null where it did not cool. */
function readyOf(
  { id, holds, recipe }: Batch,
  { steps, tasks, placed }: CourseOf,
): { endMin: number | null; toC: number | null } {
  const keys = new Set(
    steps.flatMap(({ key, line }) => (line.id === batchLine(id).id ? [key] : [])),
  );
  const ends = placed.flatMap((at) => {
    const task = tasks.find((one) => one.id === at.id);
    return task?.stepKeys.some((key) => keys.has(key)) ? [at.endMin] : [];
  });
  const cooled = holds.findLast(({ toC }) => toC !== null);
  const warmsK = cooled && cooled.after < recipe.steps.length ? makingK : 0;
  return {
    endMin: ends.length > 0 ? Math.max(...ends) : null,
    toC: cooled ? cooled.toC! + warmsK : null,
  };
}
