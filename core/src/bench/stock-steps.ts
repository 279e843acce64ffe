import type { Batch } from '../bowls/batches.ts';
import type { Tier } from '../document/types.ts';
import type { Spread, StockPlace } from '../pantry/types.ts';
import type { TakenLayers } from '../stock/layers.ts';
import { spongeKeepsMin } from '../day/keeping.ts';
import { dayNumber } from '../units/days.ts';
import { phrase } from '../units/phrase.ts';
import { onLine, otherLine } from '../workflow/operation.ts';
import { perishable, isPerishable } from './perishable.ts';
import { knifeCaution, step, type Step } from './steps.ts';

/** What is frozen thaws overnight in the fridge, in its wrap (trade custom), min. */
const thawMin = 480;
/** A bowl out of the fridge is as warm as the room, more or less, after so long (trade custom), min. */
const warmMin = 90;
const overMm = 40;

const from: Record<StockPlace, string> = {
  freezer: 'out of the freezer',
  fridge: 'out of the fridge',
};

/** Layers put away before: out of the cold in time, and cut to size while they are still firm. */
export function stockLayerSteps(
  tier: Tier,
  { row, count, cutAcross, cutDown }: TakenLayers,
): Step[] {
  const isFrozen = row.keptIn === 'freezer';
  const what = count === 1 ? 'a layer' : `${count} layers`;
  const high = Math.round(count * (row.layer?.heightMm ?? 0)) + overMm;
  const cut = [...(cutDown ? ['level'] : []), ...(cutAcross ? ['cut round a template'] : [])];
  return [
    ...onLine(otherLine(tier.id, row.id), [
      step(`${tier.id}/stock`, 'take out', 'Bake', `Take ${what} ${from[row.keptIn]}`, 3, {
        part: `${tier.id}/cake`,
        lead: phrase(
          isFrozen
            ? `${row.name}, made {made}. Overnight in the fridge, {time}, in the wrap: what condenses stays outside it.`
            : `${row.name}, made {made}. In the wrap until they are stacked.`,
          { time: [thawMin, 'minutes'], made: [dayNumber(row.madeOn), 'day'] },
        ),
        amounts: [{ label: 'layers', value: count, kind: 'count', figure: null }],
        checks: [
          'The label says what it is and when it was made',
          ...(isFrozen ? ['No ice left in the middle: a skewer goes through'] : []),
        ],
        timer: isFrozen ? { label: 'thaw', minutes: thawMin, lookMin: null } : null,
        hold: isFrozen ? { place: 'fridge', highMm: high, spoils: false } : null,
        keepsMin: spongeKeepsMin,
        beside: true,
        stock: { rowId: row.id, amount: count },
        record: { kind: 'count', label: 'layers taken out', planned: count, show: 'count' },
      }),
    ]),
    ...(cut.length > 0
      ? [
          step(
            `${tier.id}/stock-cut`,
            'trim',
            'Fill and stack',
            'Cut the layers to size',
            4 * count,
            {
              part: `${tier.id}/layer/0`,
              lead: phrase(
                `Still cold, they crumble least: ${cut.join(', then ')}. Layers {high} high, as wide as the tier.`,
                { high: [Math.min(...tier.layers.map(({ heightMm }) => heightMm)), 'thickness'] },
              ),
              checks: ['All alike: laid on each other, no edge stands out'],
              cautions: [knifeCaution],
              hazards: ['knife'],
            },
          ),
        ]
      : []),
  ];
}

/** A bowl put away before, on the line of its batch: thawed, warmed to the room, made smooth again. */
export function stockBowlSteps(batch: Batch, name: string, spread: Spread): Step[] {
  const { stock } = batch;
  if (!stock) return [];
  const isFrozen = stock.keptIn === 'freezer';
  const isWhipped = spread.mixerShare !== null;
  const spoils = isPerishable(spread);
  return [
    step(
      `bowl/${batch.id}/stock`,
      'take out',
      'Bowls',
      `Take the ${name} ${from[stock.keptIn]}`,
      2,
      {
        lead: phrase(
          isFrozen
            ? `${stock.name}: {mass}. Overnight in the fridge, {time}, closed.`
            : `${stock.name}: {mass}. Left closed until it is as warm as the room.`,
          { mass: [stock.massG, 'bowl'], time: [thawMin, 'minutes'] },
        ),
        amounts: [{ label: name, value: stock.massG, kind: 'bowl', figure: null }],
        checks: ['The label says what it is and when it was made', 'It smells and looks as it did'],
        cautions: perishable(spread),
        timer: isFrozen ? { label: 'thaw', minutes: thawMin, lookMin: null } : null,
        hold: isFrozen ? { place: 'fridge', highMm: 2 * overMm, spoils } : null,
        beside: true,
        stock: { rowId: stock.rowId, amount: stock.massG },
        record: { kind: 'mass', label: 'taken out', planned: stock.massG, show: 'bowl' },
      },
    ),
    // what spoils stays cold until it is spread
    ...(spoils
      ? []
      : [
          step(
            `bowl/${batch.id}/stock-warm`,
            'rewarm',
            'Bowls',
            `Let the ${name} come to the room`,
            1,
            {
              lead: phrase(
                'Closed, on the bench, about {time}: cold fat splits when it is beaten.',
                {
                  time: [warmMin, 'minutes'],
                },
              ),
              timer: { label: name, minutes: warmMin, lookMin: null },
              hold: { place: 'bench', highMm: 0, spoils: false },
              beside: true,
            },
          ),
        ]),
    step(
      `bowl/${batch.id}/stock-beat`,
      isWhipped ? 'rewhip' : 'stir',
      'Bowls',
      `Make the ${name} smooth again`,
      isWhipped ? 5 : 2,
      {
        lead: phrase(
          isWhipped
            ? 'Beaten until it is smooth and light again; where it splits, the bowl a moment in warm water, and on.'
            : 'Stirred until it is smooth; what is too firm is warmed gently.',
        ),
        checks: ['Smooth, and soft enough to spread without pulling crumbs'],
        hazards: isWhipped ? ['running machine'] : [],
        beside: true,
      },
    ),
  ];
}
