import type { Tier } from '../document/types.ts';
import type { Spread } from '../pantry/types.ts';
import type { SoakPlan } from '../soak/soak.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { given, read, type FigurePage } from '../working/figures.ts';
import { wallMm, type CentrePlan } from './centre.ts';

/** A core that leaves too little cake round it, or no lid. */
export function warnOfCentre(tier: Tier, centre: CentrePlan | null, cautions: Caution[]): void {
  if (!centre) return;
  const part = `${tier.id}/centre`;
  if (!centre.inside)
    cautions.push({
      id: `${tier.id}/core wall`,
      severity: 'stop',
      stage: 'stack',
      part,
      title: phrase('The hidden centre leaves less than {wall} of cake round it.', {
        wall: [wallMm, 'thickness'],
      }),
      todo: phrase('Take a smaller ring cutter.'),
    });
  if (centre.lidLayers === 0)
    cautions.push({
      id: `${tier.id}/core lid`,
      severity: 'mind',
      stage: 'stack',
      part,
      title: phrase('The hidden centre has no lid: it shows on top.'),
      todo: phrase('Stop the core one layer below the top.'),
      ...(tier.layers.length - 2 >= tier.centre!.fromLayer && {
        advised: { do: 'core lid', tierId: tier.id, toLayer: tier.layers.length - 2 },
      }),
    });
}

/** The workings of the soak and of what fills the core. */
export function enterSoakAndCentre(
  tier: Tier,
  soak: readonly SoakPlan[],
  centre: CentrePlan | null,
  spreadOf: (id: string) => Spread,
  page: FigurePage,
): void {
  const ml = soak.reduce((sum, each) => sum + each.ml, 0);
  if (ml > 0)
    page.add(
      `${tier.id}/soak`,
      'Syrup to soak with',
      ml,
      'volume',
      'Millilitres to each cubic centimetre of sponge by the style of soak, layer by layer.',
      soak.map((each, i) => given(`layer ${i + 1}, ${each.style}`, each.ml, 'volume')),
    );
  if (centre && tier.centre) {
    const { pieces, spreadId } = tier.centre;
    page.add(
      `${tier.id}/centre`,
      pieces ? `${pieces.name} in the hidden centre` : 'Filling for the hidden centre',
      centre.fillG,
      'small',
      pieces
        ? 'The core’s area times its height, of which their share is pieces and the rest air, times the density of a piece.'
        : 'The core’s area times its height, through layers and the fillings between them, times density.',
      [
        given('area of the core', centre.areaMm2, 'area'),
        given('height', centre.heightMm, 'thickness'),
        given('sponge taken out', centre.spongeG, 'small'),
        ...(pieces
          ? [
              given('share that is pieces', pieces.share, 'share'),
              given('density of a piece', pieces.densityGPerMl, 'density'),
            ]
          : [read('spreads', spreadOf(spreadId), 'densityGPerMl', 'density', 'density')]),
      ],
    );
  }
}
