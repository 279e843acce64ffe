import { innerSpreadId } from '../document/edit.ts';
import type { Tier } from '../document/types.ts';
import type { Spread } from '../pantry/types.ts';
import { FigurePage, given, read } from '../working/figures.ts';
import type { GapPlan } from './gaps.ts';
import type { GapLoad } from './load.ts';

/** Enters what each gap takes and how it settles. */
export function enterGaps(
  page: FigurePage,
  tier: Tier,
  gaps: readonly GapPlan[],
  loads: readonly GapLoad[] | null,
  spreadOf: (id: string) => Spread,
): void {
  for (const gap of gaps) {
    const id = `${tier.id}/gap/${gap.index}`;
    const n = gap.index + 1;
    const spread = spreadOf(gap.spreadId);
    page.add(
      `${id}/filling`,
      `Filling on layer ${n}`,
      gap.fillingG,
      'small',
      'The area inside dam and setback (the whole cake where there are none) times the thickness as it is spread, less what pieces and sauce displace and the air between beads, with what fills up round a dome; times density.',
      [
        given('area', gap.areaMm2, 'area'),
        given('thickness as spread', gap.heightMm, 'thickness'),
        ...(gap.piecesMl > 0 ? [given('displaced by pieces', gap.piecesMl, 'volume')] : []),
        ...(gap.drizzleMl > 0 ? [given('displaced by sauce', gap.drizzleMl, 'volume')] : []),
        ...(gap.voidMl > 0 ? [given('air between its beads', gap.voidMl, 'volume')] : []),
        ...(gap.domeMl > 0 ? [given('round the domes', gap.domeMl, 'volume')] : []),
        read('spreads', spread, 'densityGPerMl', 'density', 'density'),
      ],
    );
    if (gap.damG > 0)
      page.add(
        `${id}/dam`,
        `Dam on layer ${n}`,
        gap.damG,
        'small',
        'The ring between the filling and the edge (or the setback), times the thickness of the gap, times density.',
        [
          given('volume of the ring', gap.damMl, 'volume'),
          given('height', gap.heightMm, 'thickness'),
          read('spreads', spreadOf(innerSpreadId(tier)), 'densityGPerMl', 'density', 'density'),
        ],
      );
    tier.gaps[gap.index]!.pieces.forEach((pieces, k) => {
      const { g } = gap.pieces[k]!;
      if (g <= 0) return;
      page.add(
        `${id}/pieces/${pieces.id}`,
        `${pieces.name} on layer ${n}`,
        g,
        'small',
        pieces.how === 'packed'
          ? 'They fill their share of the gap; what is laid with them takes the voids between them.'
          : 'So much to the square centimetre over the filled area.',
        [
          given('area', gap.areaMm2, 'area'),
          pieces.how === 'packed'
            ? given('share of the gap', pieces.share, 'share')
            : given('grams to the cm²', pieces.gPerCm2, 'factor'),
          given('their density', pieces.densityGPerMl, 'density'),
        ],
      );
    });
    const load = loads?.[gap.index];
    if (load)
      page.add(
        `${id}/settled`,
        `Filling ${n} when it has settled`,
        load.settledMm,
        'thickness',
        'A filling holds while the load is below 2·pi·stress·r³/(3·thickness), its dam’s part added. Above that it spreads, its volume unchanged, until it holds again or stands out over the edge.',
        [
          given('thickness as spread', gap.heightMm, 'thickness'),
          given('weight above', load.aboveG, 'bowl'),
          given('load, N', load.loadN, 'factor'),
          given('holds up to, N', load.holdsN, 'factor'),
          tier.stackedAt === 'cold'
            ? read('spreads', spread, 'stress4Pa', 'stiffness at 4 °C', 'pressure')
            : read('spreads', spread, 'stress21Pa', 'stiffness at 21 °C', 'pressure'),
        ],
      );
  }
}
