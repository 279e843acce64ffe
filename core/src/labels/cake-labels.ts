import type { Build } from '../document/types.ts';
import type { Plan } from '../plan/plan-types.ts';
import { heldBy, labelOf } from '../price/label.ts';
import { notFoodByName } from '../brief/not-food.ts';
import { showText } from '../units/format.ts';
import type { UnitSystem } from '../units/kinds.ts';
import { heavyLiftG } from '../working/checks.ts';

/* What stands on the labels of a cake: on its boxes, and what is in it. */

/** A line of a label; what must not be overlooked is strong. */
export interface LabelLine {
  text: string;
  isStrong: boolean;
}
/** One label to be stuck on. */
export interface CakeLabel {
  title: string;
  lines: LabelLine[];
}

export const labelKinds = ['box', 'tiers', 'contents'] as const;
export type LabelKind = (typeof labelKinds)[number];

const line = (text: string, isStrong = false): LabelLine => ({ text, isStrong });
const strong = (text: string): LabelLine => line(text, true);

/** Allergens, traces and what is not known, a line to each. The whole cake's, also on a box that holds a part of it. */
function contentLines(plan: Plan): LabelLine[] {
  const { holds, traces, unknown } = labelOf(heldBy(plan));
  return [
    strong(`${holds}.`),
    ...(traces ? [line(`${traces}.`)] : []),
    ...(unknown ? [strong(`${unknown}.`)] : []),
  ];
}

const keepLine = (plan: Plan): LabelLine =>
  plan.outOfCold.length > 0
    ? strong('Keep level and in the fridge; at most two hours out of it in all.')
    : line('Keep level and cool, out of the sun.');

/** What has to come out, counted; of one tier, or of all. */
function notFoodLines(plan: Plan, tierId: string | null): LabelLine[] {
  const parts = plan.nonFood.filter((each) => tierId === null || each.tierId === tierId);
  const named = notFoodByName(parts).map(({ name, count }) => `${count} x ${name}`);
  return named.length > 0
    ? [strong(`Not food, take out before cutting: ${named.join(', ')}.`)]
    : [];
}

const weightLine = (massG: number | null, system: UnitSystem, size: string): LabelLine =>
  line(
    [
      size,
      ...(massG === null ? [] : [showText(massG, 'weight', system)]),
      ...(massG !== null && massG >= heavyLiftG ? ['two people lift it'] : []),
    ].join(', '),
  );

/** Everything that goes into it, the most first, as names alone; null where it is not known. */
function ingredientLine({ ingredients }: Plan): LabelLine | null {
  if (!ingredients.ok) return null;
  const massOf = new Map<string, number>();
  for (const { name, massG } of ingredients.value)
    massOf.set(name, (massOf.get(name) ?? 0) + massG);
  const names = [...massOf].sort((a, b) => b[1] - a[1]).map(([name]) => name.toLowerCase());
  return names.length > 0 ? line(`Made of ${names.join(', ')}.`) : null;
}

/**
 * The labels of one kind for a cake: one for its box, one for each tier's box, or one that says what is in it.
 *
 * @param when where and when it is served, as the region writes it
 */
export function cakeLabels(
  kind: LabelKind,
  build: Build,
  plan: Plan,
  when: string,
  system: UnitSystem,
): CakeLabel[] {
  const { heightMm, widthMm, massG } = plan.tally;
  const size = (high: number, wide: number): string =>
    `${showText(high, 'size', system)} high, ${showText(wide, 'size', system)} wide`;
  const forWhom = when ? [strong(when)] : [];
  switch (kind) {
    case 'box':
      return [
        {
          title: build.name,
          lines: [
            ...forWhom,
            weightLine(massG, system, size(heightMm, widthMm)),
            keepLine(plan),
            ...notFoodLines(plan, null),
            ...contentLines(plan),
          ],
        },
      ];
    case 'tiers':
      return build.tiers.map((tier, i) => ({
        title: `${build.name}: ${tier.name}, box ${i + 1} of ${build.tiers.length}`,
        lines: [
          ...forWhom,
          weightLine(
            plan.tiers[i]!.massG,
            system,
            `${showText(plan.tiers[i]!.stack.finishedMm, 'size', system)} high`,
          ),
          keepLine(plan),
          ...notFoodLines(plan, tier.id),
          ...contentLines(plan),
        ],
      }));
    case 'contents': {
      const made = ingredientLine(plan);
      return [
        {
          title: build.name,
          lines: [...contentLines(plan), ...(made ? [made] : []), keepLine(plan), ...forWhom],
        },
      ];
    }
  }
}
