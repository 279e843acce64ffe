import { innerSpreadId } from '../document/edit.ts';
import type { Tier } from '../document/types.ts';
import type { Spread } from '../pantry/types.ts';
import { ifThere } from '../working/staged.ts';
import type { TierCarve } from './apply.ts';
import { loosePieces } from './carve-cautions.ts';
import { reliefMl } from './relief.ts';

/** What a bowl gives to a carved tier, mL. */
export interface CarveNeed {
  kind: 'glue' | 'inlay';
  label: string;
  spreadId: string;
  tint: string;
  ml: number;
  part: string;
  /** The step that takes it; null where several cuts share it. */
  step: string | null;
}

/** Frosting that glues pieces: the carving's own, or that of dab and dams. */
export const glueSpreadId = (tier: Tier): string =>
  tier.carving?.glueSpreadId ?? innerSpreadId(tier);

/** The cut that joins pieces, where it is the only one. */
function glueStep(tier: Tier, { question }: TierCarve): string | null {
  const joining = question.cuts.filter(({ kind }) => kind === 'set' || kind === 'halves');
  return joining.length === 1 ? `${tier.id}/carve/${joining[0]!.id}` : null;
}

/** Frosting between pieces that are set on or joined, and what fills reliefs again. */
export function carveNeeds(tier: Tier, carve: TierCarve | null): CarveNeed[] {
  if (!carve) return [];
  const needs: CarveNeed[] = [];
  const glueMl = carve.result?.glueMl ?? 0;
  if (glueMl > 0)
    needs.push({
      kind: 'glue',
      label: 'between carved pieces',
      spreadId: glueSpreadId(tier),
      tint: '',
      ml: glueMl,
      part: 'carve',
      step: glueStep(tier, carve),
    });
  for (const cut of carve.question.cuts)
    if (cut.kind === 'relief' && cut.inlaySpreadId !== null && reliefMl(cut) > 0)
      needs.push({
        kind: 'inlay',
        label: `inlaid in ${cut.name}`,
        spreadId: cut.inlaySpreadId,
        tint: cut.inlayTint,
        ml: reliefMl(cut),
        part: `cut/${cut.id}`,
        step: `${tier.id}/relief/${cut.id}`,
      });
  return needs;
}

/** Picks that hold pieces their frosting would not. */
export function carveNonFood(
  tier: Tier,
  carve: TierCarve | null,
  { spreadOf }: { spreadOf: (id: string) => Spread },
): { name: string; count: number }[] {
  if (!carve) return [];
  const glue = ifThere(() => spreadOf(glueSpreadId(tier)));
  const count = loosePieces(carve, glue, tier.carving?.chilled ?? true).length;
  return count > 0 ? [{ name: 'pick or dowel in a carved piece', count }] : [];
}
