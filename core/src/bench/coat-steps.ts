import type { Tier } from '../document/types.ts';
import type { CoatPlan } from '../coat/coat.ts';
import type { Spread } from '../pantry/types.ts';
import { shellTargets } from '../heat/cooling.ts';
import { coatMin, handsOn, sideScale } from '../labour/minutes.ts';
import { styleRows } from '../pantry/styles.ts';
import { phrase } from '../units/phrase.ts';
import { pressedSteps } from './cover-steps.ts';
import type { StackContext } from './stack-context.ts';
import { leftLabel, probeOf, step, type Step } from './steps.ts';
import { valueWord } from '../units/value-words.ts';

const inked = (spread: Spread, tint: string): string =>
  `${spread.name.toLowerCase()}${tint.trim() ? `, ${tint.trim()}` : ''}`;

const combWords = ({ coat }: Tier): string =>
  coat.style === 'combed' && coat.comb ? '; combed from {peak} at the ridges, {depth} deep' : '';

const bandWords = ({ coat }: Tier): string => {
  if (coat.bands.length === 0) return '';
  return coat.blended
    ? ' From the foot up band by band, then one long pass of the scraper that runs them into each other.'
    : ' From the foot up band by band; chill before the next, so that each edge stays clean.';
};

/** What the coat takes by frosting and colour, the foot first. */
const coatAmounts = (
  tier: Tier,
  coat: CoatPlan,
  spreadOf: (id: string) => Spread,
): Step['amounts'] => {
  const first = coat.shares[0];
  const single = coat.shares.every(
    (share) => share.spreadId === first?.spreadId && share.tint === first.tint,
  );
  const shares = single && first ? [{ ...first, massG: coat.coatG }] : coat.shares;
  return shares.map((share) => ({
    label: `${inked(spreadOf(share.spreadId), share.tint)}${single ? '' : share.where === 'top' ? ', on top' : share.band === null ? ', side' : `, band ${share.band + 1}`}`,
    value: share.massG,
    kind: 'bowl' as const,
    figure: `${tier.id}/coat`,
  }));
};

/** Whoever has chilled the coat has drawn the paper: it does not come out of a set foot. */
const paperStep = ({ id }: Tier, count: number): Step =>
  step(`${id}/paper`, 'draw out paper', 'Coat', 'Draw out the paper strips', 2, {
    part: `${id}/coat`,
    wholeKey: `${id}/coat-chill`,
    lead: phrase(
      '{count} of them, one after the other, straight out and low over the board while the foot is soft; where it tears, one pass of the small palette knife.',
      { count: [count, 'count'] },
    ),
    checks: ['No paper is left under the edge', 'The board is clean'],
  });

/** Spreading a top that is all there is of a coat, min (estimate). */
const topMin = 5;

/** Crumb coat and coat of one tier, with what is pressed on before it sets. */
export function coatSteps(context: StackContext): Step[] {
  const { tier, stack, coat, strips, times, chillIn, spreadOf } = context;
  const onCoat = pressedSteps(context);
  /** The layers show: what is spread is the top alone. */
  const isBare = coat.sideMm === 0;
  const inner = spreadOf(coat.crumbSpreadId);
  const style = styleRows[tier.coat.style];
  const steps: Step[] = [];
  if (coat.crumbG > 0)
    steps.push(
      step(
        `${tier.id}/crumb`,
        'crumb',
        'Coat',
        tier.coat.style === 'semi-naked' ? 'Scrape on the thin coat' : 'Crumb coat',
        handsOn.crumbCoat * Math.max(1, sideScale(tier.outline, stack.stackMm)),
        {
          part: `${tier.id}/crumb`,
          lead: phrase(
            '{thick} thick, just enough to hold the crumbs. What comes off the scraper is full of crumbs: do not put it back.',
            {
              thick: [coat.crumbMm, 'thickness'],
            },
          ),
          amounts: [
            {
              label: inked(inner, coat.crumbTint),
              value: coat.crumbG,
              kind: 'bowl',
              figure: `${tier.id}/crumb`,
            },
          ],
          checks:
            tier.coat.style === 'semi-naked'
              ? ['Layers show through evenly', 'Scraper wiped at every turn']
              : ['No bare sponge', 'No crumbs loose on the outside'],
          leftFor: coat.coatG > 0 ? tier.id : null,
          record: { kind: 'mass', label: leftLabel, planned: 0, show: 'bowl' },
        },
      ),
      ...(coat.coatG > 0 ? [] : onCoat),
      step(`${tier.id}/crumb-chill`, 'put in', 'Coat', 'Chill the crumb coat', 1, {
        part: `${tier.id}/crumb`,
        lead: phrase(
          `In the ${valueWord(chillIn)}, about {min}, until the coat and a hair of the cake are cold.`,
          {
            min: [times.firmMin, 'minutes'],
          },
        ),
        beside: true,
        checks: ['Dry and firm: a finger leaves no mark'],
        timer: { label: 'crumb coat', minutes: times.firmMin, lookMin: null },
        probe: probeOf(shellTargets['crumb coat firm']),
      }),
    );
  if (coat.coatG > 0)
    steps.push(
      step(
        `${tier.id}/coat`,
        'coat',
        'Coat',
        isBare ? 'Spread the top; the side stays bare' : `Coat it: ${style.title.toLowerCase()}`,
        isBare ? topMin : coatMin(tier.coat.style, tier.outline, stack.stackMm),
        {
          part: `${tier.id}/coat`,
          lead: phrase(
            isBare
              ? '{top} thick, as far as the edge and not over it.'
              : `{side} on the side and {top} on top, ${style.words}${combWords(tier)}.${bandWords(tier)} ${strips.count} strips of paper, {long} by {wide}, pushed under the edge keep the board clean.`,
            {
              side: [coat.sideMm, 'thickness'],
              top: [coat.topMm, 'thickness'],
              long: [strips.lengthMm, 'span'],
              wide: [strips.wideMm, 'span'],
              ...(tier.coat.comb
                ? {
                    peak: [tier.coat.comb.peakMm, 'thickness'],
                    depth: [tier.coat.comb.depthMm, 'thickness'],
                  }
                : {}),
            },
          ),
          amounts: coatAmounts(tier, coat, spreadOf),
          checks: [
            ...(isBare
              ? ['Level as far as the edge', 'Nothing has run down the side']
              : ['The cake does not show through', 'The side is upright against a set square']),
          ],
          record: { kind: 'mass', label: leftLabel, planned: 0, show: 'bowl' },
        },
      ),
      ...onCoat,
      ...(isBare ? [] : [paperStep(tier, strips.count)]),
      step(`${tier.id}/coat-chill`, 'put in', 'Coat', 'Chill until the coat is set', 1, {
        part: `${tier.id}/coat`,
        beside: true,
        checks: ['Firm enough to lift by the board'],
        timer: {
          label: 'coat sets',
          minutes: Math.max(times.nextCoatMin, times.flowMin.coated),
          lookMin: null,
        },
        probe: probeOf(shellTargets['ready for the next coat or for drips']),
        record: {
          kind: 'height',
          label: 'finished height',
          planned: stack.finishedMm,
          show: 'span',
        },
      }),
    );
  return coat.crumbG > 0 || coat.coatG > 0 ? steps : onCoat;
}
