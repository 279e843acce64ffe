import { deckKey } from '../document/deck-key.ts';
import type { BenchNote, Build } from '../document/types.ts';
import { carveNonFood } from '../carve/needs.ts';
import { nonFoodOf } from '../finish/toppings.ts';
import { outlineText, type Outline } from '../outline/outline.ts';
import type { Point } from '../outline/point.ts';
import type { Work } from '../plan/work.ts';
import type { ShapePlan } from '../plan/shape-plan.ts';
import { metric } from '../units/kinds.ts';
import type { SupportPlan } from './support.ts';
import { valueWord } from '../units/value-words.ts';

/** A kind of part that is not food, where it is, and whether its count is closed. */
export interface NonFood {
  key: string;
  name: string;
  count: number;
  /** The tier it is in; null for what goes through or under the whole cake. */
  tierId: string | null;
  where: string;
  /** From the axis of the lowest tier, mm; empty where no place is planned. */
  places: Point[];
  /** Step at which it goes in, and at which it comes out. */
  inKey: string;
  outKey: string;
  /** As counted, null before. */
  countedIn: number | null;
  countedOut: number | null;
  /** Nothing of it is missing: as many came out as went in. */
  isClosed: boolean;
}

const sizeOf = (outline: Outline): string => outlineText(outline, metric);

/** The last count noted at a step. */
export const countAt = (build: Build, stepKey: string): number | null =>
  build.bench.notes.filter((note) => note.stepKey === stepKey && note.kind === 'count').at(-1)
    ?.value ?? null;

/** Notes a count at a step in place of the one before; none where `value` is null. Changes the build it is given. */
export function noteCount(
  build: Build,
  stepKey: string,
  value: number | null,
  note: Pick<BenchNote, 'id' | 'at' | 'text'>,
): void {
  const others = build.bench.notes.filter(
    (one) => !(one.stepKey === stepKey && one.kind === 'count'),
  );
  build.bench.notes =
    value === null
      ? others
      : [...others, { ...note, stepKey, kind: 'count', value: Math.round(value), planned: null }];
}

/** Everything on and in the cake that must not be eaten, counted in and out (docs/model.md#support). */
export function nonFoodList(shape: ShapePlan, support: SupportPlan | null, work: Work): NonFood[] {
  const { build } = work;
  const list: NonFood[] = [];
  const add = (
    key: string,
    name: string,
    count: number,
    tierId: string | null,
    where: string,
    places: Point[] = [],
    inKey = `in/${key}`,
  ): void => {
    const countedIn = countAt(build, inKey);
    const countedOut = countAt(build, `out/${key}`);
    list.push({
      key,
      name,
      count,
      tierId,
      where,
      places,
      inKey,
      outKey: `out/${key}`,
      countedIn,
      countedOut,
      isClosed: countedIn !== null && countedOut === countedIn,
    });
  };
  const feet = support?.tiers.map(({ foot }) => foot) ?? [];
  build.tiers.forEach((tier, i) => {
    const plan = shape.tiers[i]!;
    const at = (p: Point): Point => ({ x: p.x + (feet[i]?.x ?? 0), y: p.y + (feet[i]?.y ?? 0) });
    if (i > 0 && tier.stand.card)
      add(
        `${tier.id}/card`,
        `${valueWord(tier.stand.card.material)} ${sizeOf(tier.outline)}`,
        1,
        tier.id,
        `under ${tier.name}`,
      );
    tier.stand.decks.forEach((deck, k) =>
      add(
        deckKey(tier, k),
        `${valueWord(deck.card.material)} ${sizeOf(tier.outline)}`,
        1,
        tier.id,
        `half-way up ${tier.name}, over layer ${deck.afterLayer + 1}`,
      ),
    );
    for (const lift of support?.lifts.filter((one) => one.tierIndex === i) ?? [])
      if (lift.row && lift.placed.length > 0)
        add(
          lift.id,
          lift.row.name,
          lift.placed.length,
          tier.id,
          lift.deck === null
            ? `in ${tier.name}, under ${build.tiers[i + 1]!.name}`
            : `in ${tier.name}, under its board ${lift.deck + 1}`,
          lift.placed.map((dowel) => at(dowel.at)),
        );
    const foam = tier.layers.filter(
      (layer) => work.pantry.others.find((row) => row.id === layer.otherId)?.form === 'foam',
    ).length;
    if (foam > 0) add(`${tier.id}/foam`, 'foam dummy', foam, tier.id, `${tier.name} itself`);
    carveNonFood(tier, plan.carve, work).forEach(({ name, count }) =>
      add(`${tier.id}/carved picks`, name, count, tier.id, `in ${tier.name}`),
    );
    nonFoodOf(plan.finish.toppings).forEach(({ id, name, count, places }) =>
      add(
        `${tier.id}/topping/${id}`,
        name,
        count,
        tier.id,
        `on ${tier.name}`,
        places.map(at),
        `${id}/put`,
      ),
    );
  });
  if (support?.rod)
    add('rod', support.rod.row.name, 1, null, 'through all tiers, held in the board', [
      support.rod.at,
    ]);
  return list;
}

/** Kinds of parts whose count is not closed. */
export const openCounts = (list: readonly NonFood[]): NonFood[] =>
  list.filter((one) => !one.isClosed);
