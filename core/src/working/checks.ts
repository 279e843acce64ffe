import type { Build } from '../document/types.ts';
import { depthMm, widthMm } from '../outline/outline.ts';
import type { Board } from '../pantry/types.ts';
import type { TierPlan } from '../plan/tier-plan.ts';
import type { ServingsPlan } from '../plan/shape-plan.ts';
import { halvesFromMm, portionMassG } from '../servings/servings.ts';
import { boardFits, boardMarginMm, smallestBoard } from '../stack/board.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from './cautions.ts';

/** Cakes from here on want two people, g. */
export const heavyLiftG = 10000;

/** What the brief asks for and the build does not give. */
export function warnOfBrief(
  build: Build,
  servings: ServingsPlan,
  heightMm: number,
  cautions: Caution[],
): void {
  if (servings.spare < 0)
    cautions.push({
      id: 'servings/short',
      severity: 'stop',
      stage: 'brief',
      part: null,
      title: phrase(`${-servings.spare} servings short of ${build.brief.servings}.`),
      todo: phrase('Draft it again, take a larger tin, or add a plain cake cut in the kitchen.'),
    });
  if (build.brief.halves && heightMm < halvesFromMm)
    cautions.push({
      id: 'servings/halves',
      severity: 'mind',
      stage: 'brief',
      part: null,
      title: phrase('{height} is low for cutting across at half height.', {
        height: [heightMm, 'size'],
      }),
      todo: phrase('Portions come out flat. Make it {more} taller, or cut it whole.', {
        more: [halvesFromMm - heightMm, 'size'],
      }),
    });
  const [low, high] = portionMassG[build.brief.portion];
  const { portionG } = servings;
  if (portionG !== null && (portionG < 0.8 * low || portionG > 1.35 * high))
    cautions.push({
      id: 'servings/portion',
      severity: 'note',
      stage: 'brief',
      part: null,
      title: phrase(`A portion weighs {mass}; {low} to {high} is usual.`, {
        mass: [portionG, 'small'],
        low: [low, 'small'],
        high: [high, 'small'],
      }),
      todo:
        portionG > high
          ? phrase('A lower cake or smaller portions go further.')
          : phrase('A taller cake or larger portions fill a plate.'),
    });
}

/** What the size of the cake asks of board, hands and patience. */
export function warnOfSize(
  build: Build,
  tiers: readonly TierPlan[],
  board: Board | null,
  massG: number | null,
  boards: readonly Board[],
  cautions: Caution[],
): void {
  const foot = tiers[0]!.finished;
  if (board && !boardFits(board, foot)) {
    const better = smallestBoard(boards, foot);
    cautions.push({
      id: 'board/small',
      severity: boardFits(board, foot, 0) ? 'mind' : 'stop',
      stage: 'stack',
      part: 'board',
      title: phrase(
        `The ${board.name.toLowerCase()} leaves less than {margin} round the finished cake.`,
        {
          margin: [boardMarginMm, 'thickness'],
        },
      ),
      todo: better
        ? phrase(`Take the ${better.name.toLowerCase()}.`)
        : phrase('No board in the pantry is large enough: add one.'),
    });
  }
  build.tiers.forEach((tier, i) => {
    const { stackMm, gaps } = tiers[i]!.stack;
    const wide = Math.min(widthMm(tier.outline), depthMm(tier.outline));
    if (stackMm > 1.6 * wide && !build.rod)
      cautions.push({
        id: `${tier.id}/slender`,
        severity: 'mind',
        stage: 'stack',
        part: tier.id,
        title: phrase('It is {times} times as tall as it is wide.', {
          times: [Math.round((stackMm / wide) * 10) / 10, 'factor'],
        }),
        todo: phrase('A rod through the middle, fixed to the board, keeps it upright on the way.'),
      });
    tier.gaps.forEach((gap, k) => {
      const thinner = Math.min(tier.layers[k]!.heightMm, tier.layers[k + 1]!.heightMm);
      if (gap.heightMm > thinner && gaps[k])
        cautions.push({
          id: `${tier.id}/thick filling/${k}`,
          severity: 'mind',
          stage: 'stack',
          part: `${tier.id}/gap/${k}`,
          title: phrase(
            `The filling on layer ${k + 1} is thicker than the cake beside it: {gap} on {layer}.`,
            {
              gap: [gap.heightMm, 'thickness'],
              layer: [thinner, 'thickness'],
            },
          ),
          todo: phrase('It will slide when it is cut. Thin it to {layer} or less.', {
            layer: [thinner, 'thickness'],
          }),
        });
    });
  });
  if (massG !== null && massG > heavyLiftG)
    cautions.push({
      id: 'lift',
      severity: 'mind',
      stage: 'bench',
      part: null,
      title: phrase('It weighs {mass} on its board.', { mass: [massG, 'weight'] }),
      todo: phrase('Two people or a trolley, and the way cleared before it is lifted.'),
    });
}
