import { handsOn, sideScale } from '../labour/minutes.ts';
import { phrase } from '../units/phrase.ts';
import type { StackContext } from './stack-context.ts';
import { planLattice } from '../carve/lattice.ts';
import { panelAllowanceMm } from '../carve/offcuts.ts';
import type { CarveResult } from '../carve/result.ts';
import { fondantTinted, type FondantPlan } from '../covers/fondant.ts';
import { fondantId } from '../pantry/find.ts';
import { holdsCaution } from './holds-caution.ts';
import { takenOf } from './recipe-steps.ts';
import { knifeCaution, step, type ListItem, type Step } from './steps.ts';

/** Rolled fondant as an ingredient. */
export const fondantOf = { name: 'rolled fondant', foodId: fondantId };

const sizeOf = ({ tier, stack }: StackContext): number =>
  Math.max(0.5, sideScale(tier.outline, stack.finishedMm));

/** What is pressed into the coat, while that still gives. */
export function pressedSteps(context: StackContext): Step[] {
  const { tier, pressed, foods } = context;
  if (!pressed || !tier.pressed) return [];
  return [
    step(
      `${tier.id}/pressed`,
      'press on',
      'Coat',
      `Press on the ${pressed.name}`,
      handsOn.pressed * sizeOf(context),
      {
        part: `${tier.id}/coat`,
        lead: phrase(
          `${tier.pressed.bandMm === null ? 'Over the whole side' : 'In a band {band} high from the foot up'}${tier.pressed.onTop ? ', and on top' : ''}, over a tray, while the coat is still soft. {hand} at hand: what falls is lifted and pressed again.`,
          { band: [tier.pressed.bandMm ?? 0, 'span'], hand: [pressed.atHandG, 'bowl'] },
        ),
        amounts: [{ label: pressed.name, value: pressed.massG, kind: 'bowl', figure: null }],
        takes: takenOf(tier.pressed, pressed.atHandG),
        checks: [
          'The coat gives under a finger and sticks to it; where it has dried, it is warmed or dabbed with syrup',
          'No bare patch a coin wide',
          'Loose pieces brushed off the board',
        ],
        cautions: holdsCaution(tier.pressed, foods),
      },
    ),
  ];
}

/** Fondant over a tier, in one sheet or in panels, and what is scored into it. */
export function coverSteps(context: StackContext): Step[] {
  const { fondant, carved } = context;
  return [
    ...(fondant
      ? [carved && !carved.drapes ? panelStep(context, carved) : sheetStep(context)]
      : []),
    ...scoreSteps(context),
  ];
}

const fondantName = (tint: string): string => `rolled fondant${tint ? `, ${tint}` : ''}`;

/** Fondant and what is kneaded into it, a day ahead where it is strong. */
function kneaded({
  fondant,
  colours,
  foods,
}: StackContext): Pick<Step, 'amounts' | 'takes' | 'cautions'> {
  const tinted = fondantTinted(fondant!, colours, foods);
  const gels = tinted?.gels ?? [];
  return {
    amounts: [
      { label: fondantName(fondant!.tint), value: fondant!.rolledG, kind: 'bowl', figure: null },
      ...gels.map(({ name, g }) => ({
        label: `${name}, kneaded in first`,
        value: g,
        kind: 'fineMass' as const,
        figure: null,
      })),
    ],
    takes: [...takenOf(fondantOf, fondant!.rolledG), ...gels.flatMap((gel) => takenOf(gel, gel.g))],
    cautions: tinted ? [tinted.words] : [],
  };
}

/** One more panel takes so long, min (estimate). */
const panelMin = 8;

/** Top first, flush with the side; then panels, which cover its edge. */
function uprightStep(
  context: StackContext,
  { count, longMm, highMm }: NonNullable<FondantPlan['panels']>,
): Step {
  const { tier } = context;
  const fondant = context.fondant!;
  return step(
    `${tier.id}/fondant`,
    'panel',
    'Coat',
    'Cover it with fondant panels',
    handsOn.fondant * sizeOf(context) + panelMin * count,
    {
      part: `${tier.id}/fondant`,
      hazards: ['knife'],
      lead: phrase(
        `Rolled {mm} thick. The top first, ${fondant.sheet.isDisc ? 'a disc of {across}' : '{across} by {deep}'}, cut flush with the side; then ${count === 1 ? 'one panel' : `${count} panels`} of {long} by {high}, firmed up for ten minutes on paper, stood against a damp side from the ${fondant.sheet.isDisc ? 'back' : 'corner'} on and cut where they meet. Trimmings are rolled again for the next.`,
        {
          mm: [fondant.mm, 'fine'],
          across: [fondant.sheet.acrossMm, 'size'],
          deep: [fondant.sheet.deepMm, 'size'],
          long: [longMm, 'size'],
          high: [highMm, 'size'],
        },
      ),
      ...kneaded(context),
      checks: [
        'The upper edge of the panels is level with the top, and sharp',
        `${count === 1 ? 'The seam is' : `All ${count} seams are`} closed with a damp finger, the last at the back`,
        'Trimmings wrapped at once',
      ],
    },
  );
}

function sheetStep(context: StackContext): Step {
  const { tier } = context;
  const fondant = context.fondant!;
  if (fondant.panels) return uprightStep(context, fondant.panels);
  return step(
    `${tier.id}/fondant`,
    'cover',
    'Coat',
    'Cover it with fondant',
    handsOn.fondant * sizeOf(context),
    {
      part: `${tier.id}/fondant`,
      lead: phrase(
        `Rolled {mm} thick to a ${fondant.sheet.isDisc ? 'disc of {across}' : 'sheet of {across} by {deep}'}. From the middle out, the rim first, then the side downwards without pulling; trim at the foot. {trim} comes back as trimmings.`,
        {
          mm: [fondant.mm, 'fine'],
          across: [fondant.sheet.acrossMm, 'size'],
          deep: [fondant.sheet.deepMm, 'size'],
          trim: [fondant.trimG, 'bowl'],
        },
      ),
      ...kneaded(context),
      checks: ['No air under it', 'No tear at the rim', 'Trimmings wrapped at once'],
    },
  );
}

/** A shape that one sheet does not drape over is covered piece by piece, the seams where nobody looks. */
function panelStep(context: StackContext, { panels }: CarveResult): Step {
  const { tier } = context;
  const fondant = context.fondant!;
  return step(
    `${tier.id}/fondant`,
    'panel',
    'Coat',
    `Cover it in ${panels.length} panels`,
    handsOn.fondant * sizeOf(context) + panelMin * panels.length,
    {
      part: `${tier.id}/fondant`,
      lead: phrase(
        'Rolled {mm} thick, each panel cut with {more} over on every side, laid on, and trimmed along the edge with the knife held square. Edges meet dry; a seam is rubbed closed with a warm finger, on the back or under decoration.',
        { mm: [fondant.mm, 'fine'], more: [panelAllowanceMm, 'thickness'] },
      ),
      ...kneaded(context),
      list: panels.flatMap(({ name, wideMm, highMm }): ListItem[] =>
        [
          { label: `${name}, wide`, mm: wideMm },
          { label: `${name}, high`, mm: highMm },
        ].map(({ label, mm }) => ({
          label,
          value: mm + 2 * panelAllowanceMm,
          kind: 'size',
          note: null,
        })),
      ),
      cautions: [knifeCaution, ...kneaded(context).cautions],
      hazards: ['knife'],
      checks: [
        'The next sheet under film until it is laid on',
        'No seam gapes',
        'Trimmings wrapped at once',
      ],
    },
  );
}

/** Scoring a cell of a pattern and setting a stud on a crossing, min each (estimates). */
const cellMin = 0.08;
const studMin = 0.15;

/** Diamonds scored into the cover while it is soft, and a stud on every crossing. */
function scoreSteps({ tier, carved, fondant }: StackContext): Step[] {
  const lattice = tier.carving?.lattice;
  if (!lattice || !carved) return [];
  const { cells, studs } = planLattice(lattice, carved.coat.finishedMm2);
  return [
    step(`${tier.id}/score`, 'score', 'Coat', 'Score the pattern', 6 + cells * cellMin, {
      part: `${tier.id}/${fondant ? 'fondant' : 'coat'}`,
      lead: phrase(
        `Lines {apart} apart at ${Math.round(lattice.angleDeg)}° both ways, the first through the middle of the front, pressed in with a ruler’s edge and not cut.${fondant ? ' Within minutes of covering, while it takes a mark.' : ''}`,
        { apart: [lattice.spacingMm, 'thickness'] },
      ),
      amounts: [{ label: 'diamonds', value: cells, kind: 'count', figure: null }],
      checks: ['Lines meet at the back where nobody looks', 'Nothing is cut through'],
    }),
    ...(studs > 0
      ? [
          step(`${tier.id}/stud`, 'stud', 'Coat', 'A stud on every crossing', studs * studMin, {
            part: `${tier.id}/${fondant ? 'fondant' : 'coat'}`,
            lead: phrase('Pressed in with a dab of water or glue, the front first.'),
            amounts: [{ label: 'studs', value: studs, kind: 'count', figure: null }],
            checks: ['Counted: what is not to be eaten comes off again before it is cut'],
            cautions: [
              phrase(
                'Small and hard: sugar pearls of this size choke small children. Say so where it is served, or leave them off.',
              ),
            ],
            hazards: ['small parts'],
            record: { kind: 'count', label: 'studs set', planned: studs, show: 'count' },
          }),
        ]
      : []),
  ];
}
