import { isBare } from '../document/edit.ts';
import type { Tier } from '../document/types.ts';
import { areaMm2 } from '../outline/outline.ts';
import { phrase } from '../units/phrase.ts';
import type { TierWork } from '../plan/work.ts';
import type { Caution } from '../working/cautions.ts';
import { attempt, valueOf } from '../working/staged.ts';
import { runsThroughGap } from './centre.ts';
import type { GapPlan } from './gaps.ts';
import { loadGaps, warnOfSqueeze, type GapLoad } from './load.ts';

/* The gaps of one tier: what they leave open, and what rests on them. */

/** Room that fillings kept short of the edge leave there once they have settled, mL. */
export function openAtEdge(
  tier: Tier,
  gaps: readonly GapPlan[],
  settled: readonly number[],
): number {
  const area = areaMm2(tier.outline);
  return gaps.reduce((sum, gap, i) => {
    const core = runsThroughGap(tier.centre, i) ? areaMm2(tier.centre!.outline) : 0;
    const roomMl = ((area - core) * (settled[i] ?? gap.heightMm)) / 1000;
    const filledMl =
      gap.fillingMl - gap.domeMl + gap.damMl + gap.piecesMl + gap.drizzleMl + gap.voidMl;
    return sum + Math.max(0, roomMl - filledMl);
  }, 0);
}

/** A setback and a dam that meet in the middle leave nothing to fill. */
export function warnOfNoRoom(tier: Tier, gaps: readonly GapPlan[], cautions: Caution[]): void {
  gaps.forEach((gap) => {
    if (isBare(gap)) return;
    warnOfPieces(tier, gap, cautions);
    if (gap.areaMm2 >= leastFilledMm2) return;
    cautions.push({
      id: `${tier.id}/no room/${gap.index}`,
      severity: 'stop',
      stage: 'stack',
      part: `${tier.id}/gap/${gap.index}`,
      title: phrase(
        `Setback and dam on layer ${gap.index + 1}, {off} together, leave no room for the filling.`,
        { off: [gap.setbackMm + gap.damMm, 'thickness'] },
      ),
      todo: phrase('A narrower dam, or less of a setback.'),
      advised: { do: 'less dam', tierId: tier.id, gap: gap.index },
    });
  });
}
/** Pieces that are more than the gap holds, or loose ones that are not there. */
function warnOfPieces(tier: Tier, gap: GapPlan, cautions: Caution[]): void {
  const { pieces, laid } = tier.gaps[gap.index]!;
  const n = gap.index + 1;
  const say = (what: string, title: Caution['title'], todo: Caution['todo']): void =>
    void cautions.push({
      id: `${tier.id}/${what}/${gap.index}`,
      severity: 'mind',
      stage: 'stack',
      part: `${tier.id}/gap/${gap.index}`,
      title,
      todo,
    });
  if (laid === 'loose' && pieces.length === 0)
    say(
      'empty gap',
      phrase(
        `Nothing lies between layers ${n} and ${n + 1}: loose pieces are wanted, and none are there.`,
      ),
      phrase('Choose what lies there, or spread a filling.'),
    );
  const at = gap.pieces.findIndex(({ ml, wantedMl }) => ml < wantedMl - 0.5);
  const short = pieces[at];
  if (short)
    say(
      'full gap',
      phrase(`Not all of the ${short.name} have room on layer ${n}: {got} are reckoned.`, {
        got: [gap.pieces[at]!.g, 'small'],
      }),
      phrase('Fewer pieces, or a thicker filling: nine tenths of it at most are pieces and sauce.'),
    );
}

/** Less than a thumb's breadth across is no filling, mm2. */
const leastFilledMm2 = 400;

/** How each filling settles under what rests on it; null where a row for it is missing. */
export function loadsOf(
  tier: Tier,
  layersG: readonly number[],
  gapsG: readonly number[],
  { spreadOf, cautions }: TierWork,
): GapLoad[] | null {
  const above = tier.gaps.map(
    (_, i) =>
      layersG.slice(i + 1).reduce((sum, g) => sum + g, 0) +
      gapsG.slice(i + 1).reduce((sum, g) => sum + g, 0) +
      tier.restG,
  );
  const loads = attempt('stack', `${tier.id}/gap/0`, cautions, () => {
    const found = loadGaps(tier, above, spreadOf);
    warnOfSqueeze(tier, found, spreadOf, cautions);
    return found;
  });
  return valueOf(loads);
}
