import { soakBatch } from '../bench/soak-steps.ts';
import type { ListItem, Step } from '../bench/steps.ts';
import type { Bowl } from '../bowls/bowls.ts';
import type { Batch } from '../bowls/batches.ts';
import type { DayTask, Placed } from '../day/types.ts';
import type { Build } from '../document/types.ts';
import { withGanaches } from '../finish/ganache-recipe.ts';
import { findRow } from '../pantry/find.ts';
import type { Allergen, Pantry } from '../pantry/types.ts';
import { recipeLabel } from '../price/label.ts';
import { recipeContents } from '../recipes/parts.ts';
import { weighedUp } from '../recipes/scale.ts';
import { soakNeeds } from '../soak/soak-needs.ts';
import { ifThere, valueOf } from '../working/staged.ts';
import type { CakePlan } from '../plan/plan-types.ts';

/** One batch on a card: what goes in, what it comes to, where it goes. Masses in g. */
export interface BatchCard {
  id: string;
  name: string;
  /** When it is made, minutes before the deadline, negative; null where the days are not planned. */
  madeMin: number | null;
  mixes: number;
  makeG: number;
  /** As weighed at the bench; null before. */
  madeG: number | null;
  lines: ListItem[];
  /** Temperatures to reach, in the order of the recipe, and what was read. */
  reaches: { title: string; toC: number | null; readC: number | null }[];
  goesInto: { label: string; massG: number }[];
  allergens: Allergen[];
  /** Everything in it is known; of what is not, anything may be in it. */
  isKnown: boolean;
  /** Made after what holds something that this one is free of, or of which nobody knows: washed before. */
  washBefore: boolean;
  contents: string;
}

interface Made {
  build: Build;
  plan: Pick<CakePlan, 'tiers' | 'bowls' | 'batches'>;
  steps: readonly Step[];
  tasks: readonly DayTask[];
  placed: readonly Placed[];
  pantry: Pantry;
}

/** Steps of each batter, from weighing it out to the tins of all tiers that it goes into. */
function mixingsOf(steps: readonly Step[]): Step[][] {
  const mixings: Step[][] = [];
  const lastOf = new Map<string, Step[]>();
  for (const step of steps) {
    const { kind, tierId, sharedBy } = step;
    if (tierId === null || step.line.load === null) continue;
    if (kind === 'weigh') {
      const mixing = [step];
      mixings.push(mixing);
      for (const id of [tierId, ...sharedBy]) lastOf.set(id, mixing);
    } else if (kind === 'mix' || kind === 'colour' || kind === 'fill tin')
      lastOf.get(tierId)?.push(step);
  }
  return mixings;
}

/**
 * A card for every batter, every batch of a filling or frosting, and every soak. Those with the fewest allergens
 * come first, those of which something is not known last; where one leaves behind what the next is
 * free of, bowl and hands are washed between.
 */
export function batchCards({ build, plan, steps, tasks, placed, pantry }: Made): BatchCard[] {
  const larder = withGanaches(build, pantry);
  const at = new Map(placed.map((one) => [one.id, one.startMin]));
  const notedAt = (key: string, kind: 'mass' | 'temperature'): number | null =>
    build.bench.notes.findLast(
      (note) => note.stepKey === key && note.kind === kind && note.value !== null,
    )?.value ?? null;
  const madeMinOf = (own: readonly Step[]): number | null => {
    const keys = new Set(own.map(({ key }) => key));
    const task = tasks.find(({ stepKeys }) => stepKeys.some((key) => keys.has(key)));
    return (task && at.get(task.id)) ?? null;
  };
  const card = (
    id: string,
    name: string,
    recipeId: string,
    own: readonly Step[],
    more: Pick<BatchCard, 'mixes' | 'makeG' | 'goesInto'>,
  ): Unordered[] => {
    const recipe = ifThere(() => findRow(larder, 'recipes', recipeId));
    if (own.length === 0 || !recipe) return [];
    const contents = recipeContents(recipe, larder);
    const weighed = own.find(({ record }) => record?.kind === 'mass');
    return [
      {
        id,
        name,
        madeMin: madeMinOf(own),
        ...more,
        madeG: weighed ? notedAt(weighed.key, 'mass') : null,
        lines: own.flatMap(({ list }) => list).filter(({ foodId }) => foodId !== undefined),
        reaches: own
          .filter(({ probe, hold }) => probe !== null || hold !== null)
          .map(({ key, title, probe }) => ({
            title,
            toC: probe?.toC ?? null,
            readC: notedAt(key, 'temperature'),
          })),
        allergens: contents.allergens,
        isKnown: contents.unknown.length === 0,
        contents: recipeLabel(recipe, larder),
      },
    ];
  };
  const bowls: readonly Bowl[] = valueOf(plan.bowls) ?? [];
  const batches: readonly Batch[] = plan.batches;
  const allMixings = mixingsOf(steps);
  const isShared = (own: readonly Step[]): boolean => own[0]!.sharedBy.length > 0;
  const nameOf = (id: string | null): string =>
    build.tiers.find((tier) => tier.id === id)?.name ?? '';
  const cards = [
    ...build.tiers.flatMap((tier) => {
      const sponge = ifThere(() => findRow(larder, 'sponges', tier.spongeId));
      const mixings = allMixings.filter(([first]) => first!.tierId === tier.id);
      return sponge
        ? mixings.flatMap((own, k) =>
            card(
              own[0]!.key,
              `${[tier.id, ...own[0]!.sharedBy].map(nameOf).join(', ')}: ${sponge.name}${mixings.length > 1 ? `, batch ${k + 1} of ${mixings.length}` : ''}`,
              sponge.recipeId,
              own.filter(({ kind }) => kind !== 'fill tin'),
              {
                mixes: own[0]!.list[0]?.times ?? 1,
                makeG: own.find(({ kind }) => kind === 'mix')?.amounts[0]?.value ?? 0,
                goesInto: own
                  .filter(({ kind }) => kind === 'fill tin')
                  .flatMap(({ tierId, amounts }) =>
                    amounts.map(({ label, value }) => ({
                      label: isShared(own) ? `${nameOf(tierId)}: ${label}` : label,
                      massG: value,
                    })),
                  ),
              },
            ),
          )
        : [];
    }),
    ...batches.flatMap((batch) => {
      const spread = ifThere(() => findRow(larder, 'spreads', batch.spreadId));
      return spread
        ? card(
            batch.id,
            batch.name,
            spread.recipeId,
            steps.filter(({ line }) => line.batchId === batch.id),
            {
              mixes: batch.mixes,
              makeG: batch.makeG,
              goesInto: bowls
                .filter(({ batchId }) => batchId === batch.id)
                .flatMap(({ uses }) => uses.map(({ label, massG }) => ({ label, massG }))),
            },
          )
        : [];
    }),
    ...soakNeeds(build.tiers, plan.tiers).flatMap(({ recipeId, massG, tiers }) =>
      card(
        soakBatch(recipeId),
        larder.recipes.find(({ id }) => id === recipeId)?.name ?? '',
        recipeId,
        steps.filter(({ line }) => line.batchId === soakBatch(recipeId)),
        { mixes: 1, makeG: weighedUp(massG), goesInto: tiers },
      ),
    ),
  ].sort(
    (a, b) => Number(b.isKnown) - Number(a.isKnown) || a.allergens.length - b.allergens.length,
  );
  return cards.map((one, i): BatchCard => {
    const before = cards[i - 1];
    return { ...one, washBefore: before !== undefined && leavesTraces(before, one) };
  });
}

/** A card before its place among the others is known. */
type Unordered = Omit<BatchCard, 'washBefore'>;

/** What the one leaves on bowl and hands is not in the other. */
const leavesTraces = (
  one: Pick<Unordered, 'allergens' | 'isKnown'>,
  next: Pick<Unordered, 'allergens'>,
): boolean => !one.isKnown || one.allergens.some((each) => !next.allergens.includes(each));
