import type { Tier } from '../build/types.ts';
import type { Outline } from '../outline/outline.ts';
import type { Kitchen, Spread } from '../pantry/types.ts';
import { styleRows } from '../pantry/styles.ts';
import { FigureBook, from, given, read, type Input } from '../working/figures.ts';
import { coated, roughnessMl, shellMl } from './shell.ts';

/** Thicknesses that hold for a tier: its own where set, its style's otherwise. mm. */
export interface CoatThickness {
  crumbMm: number;
  /** Share of the surface that the crumb coat hides. */
  cover: number;
  sideMm: number;
  topMm: number;
}

/** The coat's thicknesses of a tier. */
export function thicknessOf(tier: Tier): CoatThickness {
  const style = styleRows[tier.coat.style];
  return {
    crumbMm: tier.coat.crumbMm ?? style.crumbMm,
    cover: style.cover,
    sideMm: tier.coat.sideMm ?? style.sideMm,
    topMm: tier.coat.topMm ?? style.topMm,
  };
}

export interface CoatPlan extends CoatThickness {
  finished: Outline;
  crumbMl: number;
  crumbG: number;
  coatMl: number;
  coatG: number;
}

/**
 * The crumb coat and the coat of one tier (model section 6): the crumb coat as a shell on the
 * stack, thinned by its cover, with what uneven sides swallow; the coat as a shell on that.
 *
 * @param stackMm height of the stack under its coat; @param domeMl to fill round a dome left on top
 */
export function planCoat(
  tier: Tier,
  stackMm: number,
  spread: Spread,
  kitchen: Kitchen,
  domeMl: number,
  book: FigureBook,
): CoatPlan {
  const t = thicknessOf(tier);
  const crumbed = coated(tier.outline, t.crumbMm);
  const hasCrumb = t.crumbMm > 0;
  const hasCoat = t.sideMm > 0 || t.topMm > 0;
  const roughMl =
    hasCrumb || hasCoat ? roughnessMl(tier.outline, stackMm, kitchen.roughnessMm) * t.cover : 0;
  const crumbMl = hasCrumb
    ? shellMl(tier.outline, stackMm, t.crumbMm, t.crumbMm) * t.cover + roughMl + domeMl
    : 0;
  const coatMl =
    shellMl(crumbed, stackMm + t.crumbMm, t.sideMm, t.topMm) +
    (hasCrumb || !hasCoat ? 0 : roughMl + domeMl);
  const density = spread.densityGPerMl;
  const plan: CoatPlan = {
    ...t,
    finished: coated(crumbed, t.sideMm),
    crumbMl,
    crumbG: crumbMl * density,
    coatMl,
    coatG: coatMl * density,
  };
  const style = styleRows[tier.coat.style];
  const thick = (label: string, own: number | null, value: number): Input =>
    own === null
      ? {
          label,
          value,
          kind: 'thickness',
          read: {
            table: 'coat styles',
            row: style.title,
            source: style.source,
            range: style.range,
          },
        }
      : given(label, own, 'thickness');
  const dense = read(
    'spreads',
    spread,
    'densityGPerMl',
    `density of ${spread.name.toLowerCase()}`,
    'density',
  );
  const rough = given('unevenness of sponge sides', kitchen.roughnessMm, 'fine');
  book.add(
    `${tier.id}/crumb`,
    'Crumb coat',
    plan.crumbG,
    'bowl',
    'The shell that the crumb coat makes round the stack and over its top, with round corners, times the share it covers; what uneven sides swallow; times density.',
    [
      from(`${tier.id}/stack`, 'height of the stack', stackMm, 'span'),
      thick('thickness', tier.coat.crumbMm, t.crumbMm),
      given('share of the cake it hides', t.cover, 'share'),
      ...(domeMl > 0 ? [given('round the dome on top', domeMl, 'volume')] : []),
      rough,
      given('volume', crumbMl, 'volume'),
      dense,
    ],
  );
  book.add(
    `${tier.id}/coat`,
    hasCrumb ? 'Coat, on top of the crumb coat' : 'Coat',
    plan.coatG,
    'bowl',
    'The shell round the crumb-coated stack and over its top: the outline moved outward, less the outline, times height; and the moved outline times the thickness on top; times density.',
    [
      from(`${tier.id}/stack`, 'height of the stack', stackMm, 'span'),
      thick('thickness on the side', tier.coat.sideMm, t.sideMm),
      thick('thickness on top', tier.coat.topMm, t.topMm),
      given('volume', coatMl, 'volume'),
      dense,
    ],
  );
  return plan;
}
