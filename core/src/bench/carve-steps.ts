import type { Tier } from '../document/types.ts';
import type { TierCarve } from '../carve/apply.ts';
import { firmMin } from '../carve/cold.ts';
import { loosePieces } from '../carve/carve-cautions.ts';
import { reliefMm2 } from '../carve/relief.ts';
import { carveNeeds } from '../carve/needs.ts';
import { cutWords } from '../carve/words.ts';
import type { TierTimes } from '../times/tier-times.ts';
import { equivalentRadiusMm } from '../outline/outline.ts';
import type { Kitchen, Spread } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import { knifeCaution, step, type Step } from './steps.ts';

/** Minutes of a cut: a few to begin with, then by how much comes away (estimates). */
const cutMin = (removedMl: number): number => Math.min(30, 4 + removedMl / 150);

/** Chilling, each cut in plain words, going back to the cold in time, and what is left over. */
export function carveSteps(
  tier: Tier,
  carve: TierCarve,
  kitchen: Kitchen,
  glue: Spread | null,
  times: TierTimes,
): Step[] {
  const { question, result } = carve;
  const { stock } = question;
  const steps: Step[] = [];
  const isCold = tier.carving?.chilled ?? true;
  const mass = {
    outline: stock.outline,
    // to the half centimetre: minutes do not depend on more, and are not worked out anew each time
    heightMm: Math.max(10, Math.round(stock.heightMm / 5) * 5),
    densityGPerMl: result ? Math.round((result.stackG / result.stackMl) * 50) / 50 : 0.6,
  };
  const firm = firmMin(mass, kitchen);
  if (isCold)
    steps.push(
      step(`${tier.id}/carve/chill`, 'put in', 'Carve', 'Chill it firm for carving', 2, {
        part: `${tier.id}/cake`,
        lead: phrase(
          'Wrapped, until the outside is firm. Out of the cold it can be carved for about {min}.',
          { min: [Number.isFinite(firm) ? firm : 120, 'minutes'] },
        ),
        timer: {
          label: 'chilling',
          minutes: times.carveMin,
          lookMin: null,
        },
        checks: ['A finger leaves no dent in the side'],
      }),
    );
  const loose = new Set(loosePieces(carve, glue, isCold));
  const reach = equivalentRadiusMm(stock.outline);
  let topMm = stock.heightMm + stock.crownMm;
  let out = 0;
  for (const cut of question.cuts) {
    const done = result?.steps.find((each) => each.cutId === cut.id);
    if (cut.kind === 'relief') continue;
    const minutes = cutMin(done?.removedMl ?? 0);
    const goesBack = isCold && out + minutes > firm;
    if (goesBack) out = 0;
    out += minutes;
    steps.push(
      step(
        `${tier.id}/carve/${cut.id}`,
        cut.kind === 'set' || cut.kind === 'halves' ? 'set back on' : 'cut',
        'Carve',
        cut.name,
        minutes,
        {
          part: `${tier.id}/cut/${cut.id}`,
          lead: cutWords(cut, topMm, reach),
          amounts:
            done && done.removedG > 0.5
              ? [{ label: 'comes away', value: done.removedG, kind: 'small', figure: null }]
              : [],
          list: (done?.pieces ?? [])
            .filter((piece) => piece.usedBy !== null)
            .map((piece) => ({
              label: `keep piece ${piece.piece + 1} for “${question.cuts.find((c) => c.id === piece.usedBy)?.name ?? ''}”`,
              value: piece.massG,
              kind: 'small' as const,
              note: null,
            })),
          checks: [
            ...(goesBack ? ['It has been back in the cold until firm again'] : []),
            ...(loose.has(cut.id) ? ['Pick or dowel through it, and on the list'] : []),
            cut.kind === 'set' || cut.kind === 'halves'
              ? 'It holds before the next cut'
              : 'Compared with the picture from all sides',
          ],
          cautions:
            cut.kind === 'lay'
              ? [phrase('Heavy and tall: two people, one board under it and one against it.')]
              : cut.kind === 'set'
                ? []
                : [knifeCaution],
          hazards: cut.kind === 'lay' ? ['heavy lift'] : cut.kind === 'set' ? [] : ['knife'],
          record:
            done && done.removedG > 0.5
              ? { kind: 'mass', label: 'came away', planned: done.removedG, show: 'small' }
              : null,
        },
      ),
    );
    topMm = done?.topMm ?? topMm;
  }
  const rest = result ? result.stackG - result.leftG : 0;
  if (rest > 20)
    steps.push(
      step(`${tier.id}/carve/rest`, 'measure', 'Carve', 'Weigh what is left over', 2, {
        part: `${tier.id}/cake`,
        lead: phrase(
          'Pieces to keep are wrapped and frozen at once; the rest makes crumbs for glasses, or is bound with frosting to a paste.',
        ),
        amounts: [
          { label: 'offcuts not used', value: rest, kind: 'small', figure: `${tier.id}/offcuts` },
        ],
        checks: ['Nothing with a perishable filling left standing'],
        record: { kind: 'mass', label: 'left over', planned: rest, show: 'small' },
      }),
    );
  return steps;
}

/** Reliefs are cut into the coat once it is cold, and filled again where an inlay is planned. */
export function reliefSteps(
  tier: Tier,
  carve: TierCarve,
  spreadOf: (id: string) => Spread,
): Step[] {
  const inlays = carveNeeds(tier, carve).filter(({ kind }) => kind === 'inlay');
  return carve.question.cuts.flatMap((cut): Step[] => {
    if (cut.kind !== 'relief') return [];
    const inlay = inlays.find(({ part }) => part === `cut/${cut.id}`);
    const spread = inlay && spreadOf(inlay.spreadId);
    const tint = inlay?.tint.trim() ? `, ${inlay.tint.trim()}` : '';
    return [
      step(
        `${tier.id}/relief/${cut.id}`,
        inlay ? 'inlay' : 'cut relief',
        'Coat',
        cut.name,
        reliefMin(reliefMm2(cut)),
        {
          part: `${tier.id}/cut/${cut.id}`,
          lead: cutWords(cut, 0, 0),
          amounts:
            inlay && spread
              ? [
                  {
                    label: `${spread.name.toLowerCase()}${tint}`,
                    value: inlay.ml * spread.densityGPerMl,
                    kind: 'small',
                    figure: null,
                  },
                ]
              : [],
          checks: [
            'Outline pricked through the template first',
            inlay ? 'Scraped level, in one pass, towards the coat' : 'No cake shows at its ground',
          ],
          hazards: ['knife'],
        },
      ),
    ];
  });
}

/** Tracing and cutting a relief as large as a hand, 100 cm2, min (estimate). */
const reliefPer100Cm2 = 12;
const reliefMin = (areaMm2: number): number => Math.max(5, (areaMm2 / 10_000) * reliefPer100Cm2);
