import type { Tier } from '../document/types.ts';
import type { Spread } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import type { AdvisedEdit } from '../document/advised.ts';
import type { Caution, Severity } from '../working/cautions.ts';
import { meltsCoatC } from '../drip/simulate.ts';
import { wetMm, type DripPlan, type PourPlan } from './drips.ts';
import type { ComposedGanache } from './ganache-row.ts';
import type { PlannedPiping } from './piping.ts';
import { heapedMm, type ToppingPlan } from './toppings.ts';

/** Films that look right on a side: thinner is streaky, thicker lumpy, mm (trade custom). */
const rightFilm = { min: 1, usual: 1.8, max: 3.5 } as const;
/** A coat is well chilled up to here, C. */
const chilledC = 12;

type Say = (id: string, severity: Severity, title: Phrase, todo: Phrase) => void;
const sayer =
  (tier: Tier, part: string, cautions: Caution[]): Say =>
  (id, severity, title, todo) =>
    cautions.push({
      id: `${tier.id}/${part}/${id}`,
      severity,
      stage: 'finish',
      part: `${tier.id}/${part}`,
      title,
      todo,
    });

/**
 * About where its drips would stand at a usual film, C: the yield stress goes by exp(-0.18·T). Within
 * what a ganache is worked at, and never so warm that it melts its coat; a film of nothing is as thin
 * as the thinnest that can be told.
 */
const usualFilmC = (drip: DripPlan): number =>
  Math.min(
    meltsCoatC,
    Math.max(
      coolestC,
      drip.spec.fluidC + Math.log(Math.max(leastFilmMm, meanFilm(drip)) / rightFilm.usual) / 0.18,
    ),
  );
const leastFilmMm = 0.05;
/** Nobody drips cooler than this, C. */
const coolestC = 12;

/** What to mind about the drips of a tier, with the nearest that works. */
export function warnOfDrips(
  tier: Tier,
  drip: DripPlan,
  coat: Spread | null,
  cautions: Caution[],
): void {
  const say = sayer(tier, 'drip', cautions);
  const longest = Math.max(...drip.wantedMm);
  const reach = Math.max(...drip.drips.map((one) => one.lengthMm));
  if (drip.asked > drip.most)
    say(
      'too many',
      'mind',
      phrase('{asked} drips do not fit along a rim of {rim}.', {
        asked: [drip.asked, 'count'],
        rim: [drip.rimMm, 'size'],
      }),
      phrase('At most {most} of this width; the plan has so many.', {
        most: [drip.most, 'count'],
      }),
    );
  if (longest > drip.freeMm + 0.5)
    say(
      'too long',
      'mind',
      phrase(`A drip of {long} would run into ${drip.stoppedBy}.`, { long: [longest, 'span'] }),
      phrase('At most {free} here; longer ones are planned to end there.', {
        free: [drip.freeMm, 'span'],
      }),
    );
  if (drip.drips.some((one) => !one.reached))
    say(
      'out of reach',
      'mind',
      phrase('At {temp} no drip runs further than {reach}.', {
        temp: [drip.spec.fluidC, 'temperature'],
        reach: [reach, 'span'],
      }),
      phrase('Warm the ganache to about {right}.', { right: [usualFilmC(drip), 'temperature'] }),
    );
  else if (meanFilm(drip) > rightFilm.max)
    say(
      'too cool',
      'mind',
      phrase('At {temp} it stands {film} thick and looks lumpy.', {
        temp: [drip.spec.fluidC, 'temperature'],
        film: [meanFilm(drip), 'fine'],
      }),
      phrase('Warm it to about {right}.', { right: [usualFilmC(drip), 'temperature'] }),
    );
  else if (meanFilm(drip) < rightFilm.min)
    say(
      'too thin',
      'mind',
      phrase('At {temp} it runs off in a film of {film}: streaks, and the coat shows through.', {
        temp: [drip.spec.fluidC, 'temperature'],
        film: [meanFilm(drip), 'fine'],
      }),
      phrase('Let it cool to about {right}.', { right: [usualFilmC(drip), 'temperature'] }),
    );
  if (coat && drip.spec.fluidC > meltsCoatC)
    say(
      'melts the coat',
      'mind',
      phrase('At {temp} it melts the coat it runs over.', {
        temp: [drip.spec.fluidC, 'temperature'],
      }),
      phrase('Below {most}, on a coat from the fridge.', { most: [meltsCoatC, 'temperature'] }),
    );
  if (drip.spec.coatC > chilledC)
    say(
      'warm coat',
      'note',
      phrase('A coat of {temp} does not stop the drips: they run on until they are thin.', {
        temp: [drip.spec.coatC, 'temperature'],
      }),
      phrase('Chill the coated cake through first, to {cold} or less.', {
        cold: [chilledC, 'temperature'],
      }),
    );
  drip.fits.each.forEach((fit, i) => {
    if (fit.problem)
      say(
        `test ${i + 1}`,
        'mind',
        phrase(`Test drip ${i + 1} is left out. ${fit.problem}`),
        phrase('A drip of {least} to {most} tells most.', {
          least: [0.8, 'fineMass'],
          most: [3, 'fineMass'],
        }),
      );
  });
  warnOfGanache(drip.ganache, say);
}

const meanFilm = (drip: DripPlan): number =>
  drip.drips.reduce((sum, one) => sum + one.meanMm, 0) / drip.drips.length;

const verdictWords: Record<ComposedGanache['made']['verdicts'][number], [string, string]> = {
  'too lean': [
    'So little fat makes it dull, and it sets with a skin.',
    'Use a fatter cream, or a tenth of butter.',
  ],
  'too fat': ['So much fat makes it greasy.', 'Use a leaner cream, or leave the butter out.'],
  'likely to split': [
    'There is too much fat for its water: it is likely to split.',
    'More cream, or a leaner one. Firmer without splitting: a little butter or cocoa butter instead of more chocolate.',
  ],
  'never sets': ['So soft a ganache never sets.', 'More chocolate to the cream.'],
};

function warnOfGanache(ganache: ComposedGanache | null, say: Say): void {
  for (const verdict of ganache?.made.verdicts ?? []) {
    const [title, todo] = verdictWords[verdict];
    say(verdict, 'mind', phrase(title), phrase(todo));
  }
}

/** What to mind about a poured tier. */
export function warnOfPour(tier: Tier, pour: PourPlan, cautions: Caution[]): void {
  const say = sayer(tier, 'pour', cautions);
  if (pour.veilMm < rightFilm.min)
    say(
      'thin veil',
      'mind',
      phrase('Poured at {temp} only {film} stays on the side.', {
        temp: [tier.pour!.fluidC, 'temperature'],
        film: [pour.veilMm, 'fine'],
      }),
      phrase('Pour cooler, or over a colder coat.'),
    );
  if (pour.veilMm >= wetMm)
    say(
      'no veil',
      'stop',
      phrase('Poured at {temp} it does not run down the side.', {
        temp: [tier.pour!.fluidC, 'temperature'],
      }),
      phrase('Pour warmer, or take one with more cream.'),
    );
  else if (pour.veilMm > rightFilm.max)
    say(
      'thick veil',
      'mind',
      phrase('Poured at {temp} it stays {film} thick, with ripples.', {
        temp: [tier.pour!.fluidC, 'temperature'],
        film: [pour.veilMm, 'fine'],
      }),
      phrase('Pour warmer; a coat of {usual} looks even.', { usual: [rightFilm.usual, 'fine'] }),
    );
  warnOfGanache(pour.ganache, say);
}

/** Jobs for which there is no room, or more pieces than fit. */
export function warnOfPiping(piping: readonly PlannedPiping[], cautions: Caution[]): void {
  piping.forEach((job, i) => {
    const { piped, most, noRoom } = job;
    if (!piped) return;
    const caution = (id: string, title: Phrase, todo: Phrase, advised?: AdvisedEdit): void => {
      cautions.push({
        id: `piping/${job.id}/${id}`,
        severity: 'mind',
        stage: 'finish',
        part: `${piped.tierId}/piping/${i}`,
        title,
        todo,
        ...(advised && { advised }),
      });
    };
    if (noRoom)
      caution(
        'no room',
        phrase(`There is no room for “${job.name}” where it is to go.`),
        phrase('Nearer to the rim, a narrower nozzle, or another tier.'),
      );
    else if (piped.count !== null && most !== null && piped.count > most)
      caution(
        'too many',
        phrase(`{asked} of “${job.name}” do not fit round.`, { asked: [piped.count, 'count'] }),
        phrase('At most {most}; the plan has so many.', { most: [most, 'count'] }),
        { do: 'as many as fit', jobId: job.id },
      );
  });
}

/** Tops that do not carry, pieces for which there is no room, pieces that go soft. */
export function warnOfToppings(
  tier: Tier,
  toppings: readonly ToppingPlan[],
  cautions: Caution[],
): void {
  toppings.forEach((one, i) => {
    const { topping } = one;
    const name = topping.name.charAt(0).toUpperCase() + topping.name.slice(1);
    const say = sayer(tier, `topping/${i}`, cautions);
    if (one.sinks)
      say(
        'sinks',
        'mind',
        phrase(`${name} sink into the top: {mass} on so small a foot.`, {
          mass: [one.pieceG, 'small'],
        }),
        phrase('Chill the top first, set each on a flat seat of chocolate, or on a stick.'),
      );
    if (one.sliding > 0)
      say(
        'slope',
        'mind',
        phrase(
          `{sliding} of {count} ${topping.name} lie on a slope of more than ${Math.round(one.steepestDegrees)}°, where they slide.`,
          { sliding: [one.sliding, 'count'], count: [one.count, 'count'] },
        ),
        phrase(
          'Move them to where it is flatter, hold each by a pick that is counted, or stick each on with something that sets firm.',
        ),
      );
    if (one.onSide?.hold.slides)
      say(
        'slides',
        'mind',
        phrase(
          `${name} slide down the side: {mass} each on {foot} of ${one.onSide.hold.by === 'coat' ? 'coat' : 'seat'}, and {least} would hold.`,
          {
            mass: [one.pieceG, 'small'],
            foot: [one.footMm2, 'area'],
            least: [100 * (one.onSide.hold.leastCm2 ?? 0), 'area'],
          },
        ),
        phrase(
          one.onSide.hold.by === 'coat'
            ? 'Stick each on with something that sets firm, halve them, or hold each by a pick that is counted.'
            : 'A seat that sets firmer, smaller pieces, or a pick that is counted.',
        ),
      );
    if (one.count < one.asked)
      say(
        'no room',
        'mind',
        phrase(`{count} of {asked} ${topping.name} find room.`, {
          count: [one.count, 'count'],
          asked: [one.asked, 'count'],
        }),
        phrase(
          one.onSide
            ? 'Fewer, smaller ones, or set by hand in more than one row.'
            : 'Fewer, or nearer to the rim, or strewn.',
        ),
      );
    if (topping.kind === 'heap' && topping.highMm > heapedMm(topping) + 0.5)
      say(
        'too steep',
        'note',
        phrase(`${name} do not pile {asked} high on {across}: they slide at {high}.`, {
          asked: [topping.highMm, 'span'],
          across: [topping.acrossMm, 'span'],
          high: [heapedMm(topping), 'span'],
        }),
        phrase('The plan has it as high as it piles. A wider foot makes it higher.'),
      );
    if (one.crispH !== null)
      say(
        'crisp',
        'note',
        phrase(`${name} stay crisp for about {minutes} on something moist (estimate).`, {
          minutes: [one.crispH * 60, 'minutes'],
        }),
        phrase(
          topping.crisp!.filmed
            ? 'Put them on no earlier than that before it is served.'
            : 'Put them on no earlier than that; a film of chocolate makes it three times as long.',
        ),
      );
    if (topping.last)
      say(
        'last',
        'note',
        phrase(`${name} weep, brown or soften.`),
        phrase('They go on at the last moment, and are carried apart.'),
      );
    if (topping.pick !== 'none')
      say(
        'pick',
        'note',
        phrase(`{count} × ${topping.pick} in the ${topping.name}: not food.`, {
          count: [one.count, 'count'],
        }),
        phrase('They are counted in, and counted out before anyone eats.'),
      );
  });
}
