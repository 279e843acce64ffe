import type { Build } from '../document/types.ts';
import { from, given, read, type FigurePage } from '../working/figures.ts';
import type { Lift } from './lifts.ts';
import { pressG } from './press.ts';
import { momentMm4, sectionMm2, type StrengthMode } from './strength.ts';
import type { SupportPlan } from './support.ts';

const ways: Record<StrengthMode, string> = {
  crushing: 'crushes at',
  buckling: 'buckles at',
  'wall folding': 'its wall folds at',
  board: 'goes into the board at',
  'own test': 'gave on the scale at',
};

/** Workings of loads and of what carries them. */
export function enterSupport(build: Build, plan: SupportPlan, page: FigurePage): void {
  plan.tiers.forEach((stand, i) => {
    const tier = build.tiers[i]!;
    page.add(
      `${tier.id}/stands on`,
      `What stands on the foot of ${tier.name}`,
      stand.carried.massG,
      'weight',
      'The tier with its board, and everything that stands on it.',
      [
        given(`${tier.name} with its board`, stand.body.massG, 'weight'),
        given('tiers above', stand.carried.massG - stand.body.massG, 'weight'),
      ],
    );
    page.add(
      `${tier.id}/tips`,
      `Times a hard braking at which ${tier.name} tips`,
      stand.tipping.margin,
      'factor',
      'From the foot of the centre of mass to the nearest edge of what carries it, over the height of that centre, over half the pull of the earth.',
      [
        given('to the nearest edge', stand.tipping.edgeMm, 'span'),
        given('height of the centre of mass', stand.tipping.upMm, 'span'),
        given('a hard braking', 0.5, 'factor'),
      ],
    );
  });
  for (const lift of plan.lifts) enterLift(build, lift, page);
}

function enterLift(build: Build, lift: Lift, page: FigurePage): void {
  const { row, strength, carried, placed, id } = lift;
  if (!row || !strength || !carried || placed.length === 0) return;
  const name = build.tiers[lift.tierIndex]!.name;
  page.add(
    `${id}/allowed`,
    `What one dowel in ${name} may carry`,
    pressG(strength.allowedN),
    'weight',
    'The least of the ways in which it can give, each over its safety: 3 for what is read from a table, 2 for what was tried. The help of the cake is left out.',
    [
      given('length', lift.lengthMm, 'span'),
      read('dowels', row, 'outerMm', 'across', 'fine'),
      given('area of its section', sectionMm2(row), 'area'),
      given('second moment of area, mm⁴', momentMm4(row), 'factor'),
      ...strength.modes.map(({ mode, givesN, safety }) =>
        given(`${ways[mode]}, safety ${safety}`, pressG(givesN), 'weight'),
      ),
    ],
  );
  page.add(
    `${id}/worst`,
    `The most on one dowel in ${name}`,
    pressG(Math.max(...carried.worstN)),
    'weight',
    'Shares under a stiff board: level forces and moments, none in tension; at rest, carried, over a bump and in a hard braking, in the worst direction.',
    [
      given('what stands on them', lift.aboveG, 'weight'),
      given('dowels', placed.length, 'count'),
      given('the most at rest', pressG(Math.max(...carried.restN)), 'weight'),
      given('height of the centre of mass above them', lift.load.upMm, 'span'),
      from(`${id}/allowed`, 'what one may carry', pressG(strength.allowedN), 'weight'),
    ],
  );
}
