import type { Tier } from '../document/types.ts';
import type { Spread } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import type { Caution, Severity } from '../working/cautions.ts';
import type { TierCarve } from './apply.ts';
import { motifMm } from './relief.ts';
import type { CutKind } from './types.ts';
import { sideName } from './sides.ts';

/** A relief leaves at least this much of the coat, mm. */
const leftUnderReliefMm = 1;
/** Beyond these a part wants holding up, mm. */
const overhangMm = 20;
const neckMm = 40;
/** A cut that takes this many times what one before it took came too late. */
const outOfOrder = 3;

/** Pieces set back on that their frosting does not hold: their cuts. */
export function loosePieces(carve: TierCarve, glue: Spread | null, cold: boolean): string[] {
  if (!carve.result || !glue) return [];
  const stressPa = cold ? glue.stress4Pa : glue.stress21Pa;
  return carve.result.held.filter((each) => each.needsPa > stressPa).map((each) => each.cutId);
}

/** What to mind about a carved tier. */
export function warnOfCarving(
  tier: Tier,
  carve: TierCarve,
  glue: Spread | null,
  cautions: Caution[],
): void {
  const { result } = carve;
  const push = (
    id: string,
    severity: Severity,
    part: string,
    title: Phrase,
    todo: Phrase,
  ): void => {
    cautions.push({
      id: `${tier.id}/${id}`,
      severity,
      stage: 'carve',
      part: `${tier.id}/${part}`,
      title,
      todo,
    });
  };
  const cuts = carve.question.cuts;
  const nameOf = (id: string): string => cuts.find((cut) => cut.id === id)?.name ?? 'cut';
  const coatMm = carve.question.cover.sideMm + carve.question.cover.fondantMm;
  for (const cut of cuts) {
    if (cut.kind !== 'relief') continue;
    const { highMm } = motifMm(cut);
    if (
      cut.where === 'side' &&
      (cut.upMm - highMm / 2 < 0 || cut.upMm + highMm / 2 > (result?.topMm ?? Infinity) + coatMm)
    )
      push(
        `relief place ${cut.id}`,
        'mind',
        `cut/${cut.id}`,
        phrase(`“${cut.name}” reaches beyond the side: it is {high} high.`, {
          high: [highMm, 'span'],
        }),
        phrase('Make it smaller, or move its middle.'),
      );
    if (cut.depthMm > coatMm - leftUnderReliefMm)
      push(
        `relief ${cut.id}`,
        'mind',
        `cut/${cut.id}`,
        phrase(`“${cut.name}” cuts {deep} into a coat of {coat}: cake will show.`, {
          deep: [cut.depthMm, 'fine'],
          coat: [coatMm, 'fine'],
        }),
        phrase('At most {most} deep, or a coat that much thicker.', {
          most: [Math.max(0, coatMm - leftUnderReliefMm), 'fine'],
        }),
      );
  }
  if (!result) {
    push(
      'carving asked',
      'note',
      'cake',
      phrase('The carving is being worked out: until then all figures are of the whole stack.'),
      phrase('Wait a moment, or go on.'),
    );
    return;
  }
  for (const step of result.steps) {
    if (step.problem)
      push(
        `cut ${step.cutId}`,
        'stop',
        `cut/${step.cutId}`,
        phrase(`“${nameOf(step.cutId)}”: ${step.problem.text}`, valuesOf(step.problem)),
        phrase('Move it, or switch it off.'),
      );
    else if (step.note)
      push(
        `cut ${step.cutId}`,
        'note',
        `cut/${step.cutId}`,
        phrase(`“${nameOf(step.cutId)}”: ${step.note.text}`, valuesOf(step.note)),
        phrase('Look at it from the side.'),
      );
    const lacks = step.lacks.reduce((sum, lack) => sum + lack.ml, 0);
    if (lacks > 5)
      push(
        `lack ${step.cutId}`,
        'mind',
        `cut/${step.cutId}`,
        phrase(`“${nameOf(step.cutId)}” asks for {ml} more cake than stands there.`, {
          ml: [lacks, 'volume'],
        }),
        phrase('Set an offcut on, stack higher, or take a wider tin: see What to stack.'),
      );
  }
  const late = outOfTurn(carve);
  if (late)
    push(
      'order',
      'note',
      `cut/${late}`,
      phrase(`“${nameOf(late)}” comes late for a large cut.`),
      phrase('Large planes first, then smaller ones, edges last: move it up if the shape allows.'),
    );
  if (!result.stands)
    push(
      'tips',
      'stop',
      'cake',
      phrase('Its centre of mass lies beyond what it stands on: it falls over.'),
      phrase('Leave more at the foot, take off more above, or plan a rod through it.'),
    );
  if (result.overhang.mm > overhangMm)
    push(
      'overhang',
      'mind',
      'cake',
      phrase(`It reaches {mm} beyond its foot on ${sideName(result.overhang.bearingDeg)}.`, {
        mm: [result.overhang.mm, 'span'],
      }),
      phrase('Chill it firm, coat it thick there, and hold it up from below until it is set.'),
    );
  if (result.neck && result.neck.acrossMm < neckMm)
    push(
      'neck',
      'mind',
      'cake',
      phrase('Its neck at {up} is only {across} across.', {
        up: [result.neck.upMm, 'span'],
        across: [result.neck.acrossMm, 'span'],
      }),
      phrase('Leave it thicker, or run a rod through it and count it out when it is served.'),
    );
  for (const id of loosePieces(carve, glue, tier.carving?.chilled ?? true))
    push(
      `loose ${id}`,
      'mind',
      `cut/${id}`,
      phrase(`“${nameOf(id)}” would slide off its slope on frosting alone.`),
      phrase('A pick or a dowel through it: it is on the list of what comes out before serving.'),
    );
  if (tier.drip || tier.pour || tier.toppings.length > 0)
    push(
      'finish',
      'note',
      'cake',
      phrase('Drips, pours and toppings of a carved tier are fitted to its outline from above.'),
      phrase('On slopes they run and roll: try a drip on an offcut first.'),
    );
  if (tier.fondant && !result.drapes)
    push(
      'drape',
      'mind',
      'fondant',
      phrase('One sheet of cover will not drape over this shape without folds.'),
      phrase('Cover it in panels: see Cover for their sheets and seams.'),
    );
}

const valuesOf = ({ values = {} }: Phrase): Record<string, [number, never]> =>
  Object.fromEntries(
    Object.entries(values).map(([key, { value, kind }]) => [key, [value, kind as never]]),
  );

const fine: readonly CutKind[] = ['edge', 'flutes', 'groove'];
const flat: readonly CutKind[] = ['plane', 'step', 'silhouette'];

/** The first flat cut after fine work, or one that takes several times what a flat one before it took. */
function outOfTurn({ question, result }: TierCarve): string | null {
  let least = Infinity;
  let hasFine = false;
  for (const cut of question.cuts) {
    const step = result?.steps.find((each) => each.cutId === cut.id);
    if (cut.kind === 'lay') [least, hasFine] = [Infinity, false];
    if (!step || step.removedMl < 1) continue;
    if (fine.includes(cut.kind)) hasFine = true;
    if (!flat.includes(cut.kind)) continue;
    if (hasFine || step.removedMl > outOfOrder * least) return cut.id;
    least = Math.min(least, step.removedMl);
  }
  return null;
}
