import type { Build } from '../document/types.ts';
import { gapMassG } from '../fill/gaps.ts';
import { from, given, type FigurePage } from '../working/figures.ts';
import type { ShapePlan } from './shape-plan.ts';
import type { TierPlan } from './tier-plan.ts';

/** What the whole cake weighs, part by part, g. */
export interface Masses {
  massG: number;
  boardG: number;
  boardCoverG: number;
  pipedG: number;
  /** Boards under and in the tiers. */
  cards: number;
}

/** Enters what stands on the board, as the sum of its parts. */
export function enterMass(tiers: readonly TierPlan[], masses: Masses, page: FigurePage): void {
  const { massG, boardG, boardCoverG, pipedG, cards } = masses;
  const inputs = tiers.flatMap((tier) => {
    const coatG = tier.coat.ok ? tier.coat.value.crumbG + tier.coat.value.coatG : 0;
    const fillG = tier.gaps.ok ? tier.gaps.value.reduce((sum, gap) => sum + gapMassG(gap), 0) : 0;
    const carved = tier.carve?.result;
    return [
      given(
        'layers, soaked',
        tier.layersG!.reduce((sum, g) => sum + g, 0),
        'bowl',
      ),
      given('fillings', fillG + (tier.centre?.fillG ?? 0), 'bowl'),
      ...(carved
        ? [given('less what the carving takes off', carved.leftG - carved.stackG, 'bowl')]
        : []),
      given('crumb coat and coat', coatG, 'bowl'),
      given('dab', tier.dabG, 'small'),
      ...(tier.fondant ? [given('fondant', tier.fondant.onCakeG, 'bowl')] : []),
      ...(tier.pressed ? [given(tier.pressed.name, tier.pressed.massG, 'small')] : []),
      ...tier.surfaces.map(({ surface, massG }) => given(surface.name, massG, 'fineMass')),
      ...(tier.finish.massG > 0
        ? [given('drips, poured coat and toppings', tier.finish.massG, 'small')]
        : []),
    ];
  });
  page.add(
    'mass',
    'Weight on the board',
    massG,
    'weight',
    'Layers, fillings, coat, covers, finish, piping and board, added up.',
    [
      ...inputs,
      given('piping', pipedG, 'small'),
      given('board', boardG, 'small'),
      ...(cards > 0 ? [given('boards under and in the tiers', cards, 'small')] : []),
      ...(boardCoverG > 0 ? [given('fondant on the board', boardCoverG, 'small')] : []),
    ],
  );
}

/** Enters how many servings there are, and what one of them weighs. */
export function enterServings(
  { tiers: documents, brief }: Build,
  tiers: readonly TierPlan[],
  { count, foodG, portionG }: { count: number; foodG: number | null; portionG: number | null },
  page: FigurePage,
): void {
  page.add(
    'servings',
    'Servings',
    count,
    'count',
    'Portions on the cake’s own outline, as the cutting map draws them. A block counts when at least three quarters of it is cake.',
    [
      ...tiers.map((tier, i) => given(documents[i]!.name, tier.servings, 'count')),
      given('wanted', brief.servings, 'count'),
      ...(brief.halves ? [given('portions above each other', 2, 'count')] : []),
    ],
  );
  if (portionG !== null && foodG !== null)
    page.add(
      'portion',
      'One portion',
      portionG,
      'small',
      'What the cake weighs without its board, times the share of its outline that one portion takes.',
      [
        given('cake without board', foodG, 'bowl'),
        given('share of one portion', portionG / foodG, 'share'),
      ],
    );
}

/** The finished height, tier by tier, and all that the bowls have to give. */
export function enterTally({ section, tally, bowls }: ShapePlan, page: FigurePage): void {
  page.add(
    'height',
    'Finished height',
    section.tiers.at(-1)!.toMm,
    'size',
    'From the board to the top of the coat.',
    section.tiers.map((t) => from(`${t.tierId}/height`, 'tier', t.toMm - t.fromMm, 'span')),
  );
  if (tally.frostingG !== null && bowls.ok)
    page.add(
      'frosting',
      'Filling and frosting to make',
      tally.frostingG,
      'bowl',
      'What each bowl has to give, added up.',
      bowls.value.map((b) => from(`bowl/${b.id}/make`, b.name, b.makeG, 'bowl')),
    );
}
