import type { Tier } from '../document/types.ts';
import type { CoatPlan } from '../coat/coat.ts';
import { from, given, type FigurePage } from '../working/figures.ts';
import type { TierCarve } from './apply.ts';
import type { CarveResult } from './result.ts';

/** The workings of a carved tier: what comes away and what stays, height, crumb coat and coat. */
export function enterCarving(
  tier: Tier,
  { question }: TierCarve,
  result: CarveResult,
  coat: CoatPlan | null,
  page: FigurePage,
): void {
  const nameOf = (id: string): string => question.cuts.find((cut) => cut.id === id)?.name ?? id;
  page.add(
    `${tier.id}/carved`,
    'Cake and filling left by the knife',
    result.leftG,
    'bowl',
    'The stack as a solid in its layers, less what each cut takes; volumes by layer from the surface, times each layer’s density.',
    [
      given('the whole stack', result.stackG, 'bowl'),
      ...result.steps
        .filter((step) => step.removedG > 0.05)
        .map((step) => given(`less ${nameOf(step.cutId)}`, -step.removedG, 'small')),
    ],
  );
  page.add(
    `${tier.id}/offcuts`,
    'Offcuts not used again',
    result.stackG - result.leftG,
    'small',
    'What the cuts take, less the pieces set back on.',
    [
      given('the whole stack', result.stackG, 'bowl'),
      from(`${tier.id}/carved`, 'what is left', result.leftG, 'bowl'),
    ],
  );
  page.add(
    `${tier.id}/height`,
    'Finished height',
    result.topMm + question.cover.crumbMm + question.cover.topMm + question.cover.fondantMm,
    'size',
    'The highest point the knife leaves, with the crumb coat and the coat on top.',
    [
      given('top of the carved cake', result.topMm, 'span'),
      given('crumb coat', question.cover.crumbMm, 'thickness'),
      given('coat on top', question.cover.topMm, 'thickness'),
      ...(question.cover.fondantMm > 0
        ? [given('fondant', question.cover.fondantMm, 'thickness')]
        : []),
    ],
  );
  if (!coat) return;
  const how = result.coat.exact
    ? 'Measured on the carved solid: cells of 2 mm that lie within the thickness of its surface.'
    : 'Reckoned from the carved surface and its curvature; it is being measured on the solid.';
  page.add(
    `${tier.id}/crumb`,
    'Crumb coat',
    coat.crumbG,
    'bowl',
    `${how} What a cut face soaks up is added; times density.`,
    [
      given('carved surface', result.surfaceMm2, 'area'),
      given('thickness', coat.crumbMm, 'thickness'),
      given('volume', coat.crumbMl, 'volume'),
    ],
  );
  page.add(`${tier.id}/coat`, 'Coat', coat.coatG, 'bowl', `${how} Times density.`, [
    given('carved surface', result.surfaceMm2, 'area'),
    given('thickness on the side', coat.sideMm, 'thickness'),
    given('thickness on top', coat.topMm, 'thickness'),
    given('volume', coat.coatMl, 'volume'),
  ]);
}
