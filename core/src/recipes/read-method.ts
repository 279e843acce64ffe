import type { Hazard } from '../pantry/hazards.ts';
import { pantryLimits } from '../pantry/limits.ts';
import type { Food, RecipeHold } from '../pantry/types.ts';
import { foodOf } from '../pantry/find.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import type { UnitSystem } from '../units/kinds.ts';
import { plainSigns } from './amounts.ts';
import {
  doingAt,
  fanK,
  temperaturesIn,
  timesIn,
  type Doing,
  type ReadTemperature,
  type ReadTime,
} from './method-words.ts';
import { readTins, type ReadTins } from './read-tins.ts';
import { cooledC, holdOf, sayHold, within } from './read-wait.ts';

/** What the sentences of a pasted method say, as the fields of a recipe; the sentences stay as written. */
export interface ReadMethod {
  /** One sentence each, in order. */
  steps: string[];
  /** What was understood of each of them. */
  said: Phrase[][];
  /** Null where no oven or no time is named. */
  bake: { ovenC: number | null; fromMin: number; toMin: number } | null;
  tins: ReadTins | null;
  holds: RecipeHold[];
  hazards: Hazard[];
  /** Null where something is heated and nothing says how far. */
  hottestC: number | null;
}

/** How hot what is done so gets, C, where no figure says it. */
const boilsC = 100;
const caramelC = 175;
const meltsC = 55;
const roomC = 21;
/** Sugar above this sticks and burns deep. */
const hotSugarC = 105;
/** Egg below this is raw, and below the other lightly cooked, C (food code). */
const egg = { rawC: 60, cookedC: 71 };

const abbreviated = /\b(?:approx|min|mins|hr|hrs|deg|in|no|tbsp|tsp)\.$/i;

/** A paragraph in its sentences; an abbreviation ends none. */
export function sentencesOf(paragraph: string): string[] {
  const parts = paragraph
    .replace(/^\s*(?:step\s+)?\d{1,2}\s*[.)]\s+/i, '')
    .trim()
    .split(/(?<=[.!])\s+(?=[\p{Lu}“"(])/u);
  return parts.reduce<string[]>((done, part) => {
    const last = done.at(-1);
    if (last !== undefined && abbreviated.test(last)) done[done.length - 1] = `${last} ${part}`;
    else if (part) done.push(part);
    return done;
  }, []);
}

const heats = /\b(?:heat\w*|boil\w*|simmer\w*|melt\w*|cook\w*|warm|scald\w*|toast\w*|fry)\b/i;
const boils = /\b(?:boil\w*|simmer\w*)\b/i;
const caramel = /\bcaramel(?:i[sz]e\w*)?\b|\bhard[- ]crack\b/i;
const melts = /\b(?:melt\w*|warm\w*|lukewarm)\b/i;

/** How hot a sentence makes what is worked on, C; null where it does not heat it or does not say how far. */
function heatedTo(text: string, ownC: readonly number[]): number | null {
  if (ownC.length > 0) return Math.max(...ownC);
  if (caramel.test(text)) return caramelC;
  if (boils.test(text)) return boilsC;
  return melts.test(text) ? meltsC : null;
}

const machine =
  /\b(?:mixer|processor|blender|beaters?|electric|machine|paddle|(?:whisk|hook) attachment)\b/i;
const hotFat =
  /\b(?:heat\w*|boil\w*|scald\w*|simmer\w*|hot|melt\w*|fry)\b[^.]{0,30}\b(?:cream|milk|butter|oil|fat)\b/i;

/** What has been read so far. */
interface Reading {
  ovenC: number | null;
  bake: { fromMin: number; toMin: number } | null;
  hottestC: number | null;
  /** How warm what is being made is now; null where nothing was heated yet. */
  nowC: number | null;
  /** Something is heated and nothing says how far. */
  isUnsaid: boolean;
  holds: RecipeHold[];
  hazards: Set<Hazard>;
}

interface Sentence {
  text: string;
  temperatures: (ReadTemperature & { of: Doing | null })[];
  times: (ReadTime & { of: Doing | null })[];
}

/** How hot the oven is and how long something stands in it; what is said of it. */
function readOven({ temperatures, times }: Sentence, reading: Reading): Phrase[] {
  const own: Phrase[] = [];
  const oven = temperatures.filter(({ of }) => of === 'oven');
  if (oven.length > 0 && reading.ovenC === null) {
    const plain = oven.filter(({ isFan }) => !isFan);
    const told = plain.find(({ isPutInto }) => !isPutInto) ?? plain[0];
    const c = told ? told.c : oven[0]!.c + fanK;
    reading.ovenC = within(5 * Math.round(c / 5), pantryLimits.ovenC);
    own.push(phrase('oven at {oven}', { oven: [reading.ovenC, 'temperature'] }));
  }
  const baking = times.filter(({ of }) => of === 'oven');
  if (baking.length > 0) {
    const { bake } = reading;
    const sum = (of: 'fromMin' | 'toMin'): number =>
      baking.reduce((all, time) => all + time[of], bake?.[of] ?? 0);
    reading.bake = { fromMin: sum('fromMin'), toMin: sum('toMin') };
    const { fromMin, toMin } = reading.bake;
    own.push(
      phrase(fromMin === toMin ? 'bakes for {from}' : 'bakes for {from} to {to}', {
        from: [fromMin, 'minutes'],
        to: [toMin, 'minutes'],
      }),
    );
  }
  return own;
}

/** How hot a sentence makes what is worked on, and what can hurt at it. */
function readHeat({ text, temperatures }: Sentence, reading: Reading): Phrase[] {
  const hot = temperatures.filter(({ of }) => of === 'work' || of === null).map(({ c }) => c);
  const oven = temperatures.some(({ of }) => of === 'oven');
  const isHeated = heats.test(text) || hot.length > 0;
  const heated = isHeated ? heatedTo(text, hot) : null;
  const { hazards } = reading;
  if (boils.test(text)) hazards.add('steam');
  if (caramel.test(text) || (heated ?? 0) >= hotSugarC || /\bsoft[- ]ball\b/i.test(text))
    hazards.add('hot sugar');
  if (hotFat.test(text)) hazards.add('hot fat or cream');
  if (/\b(?:blow)?torch\b/i.test(text)) hazards.add('torch');
  if (machine.test(text)) hazards.add('running machine');
  if (heated === null) {
    reading.isUnsaid ||= isHeated && !oven;
    return [];
  }
  reading.hottestC = Math.max(reading.hottestC ?? heated, heated);
  // what is added warm does not cool what is hotter by so much that it need not be minded
  reading.nowC = Math.max(reading.nowC ?? heated, heated);
  return [phrase('gets to {hot}', { hot: [heated, 'temperature'] })];
}

/** "Whisk until cool": hands are on it all the while. */
const cooledByHand = /\b(?:whisk|whip|beat|stir|mix)\w*\b[^.]*\buntil\b[^.]*\b(?:cool|cold)\b/i;
/** Shorter waits are part of the work, min. */
const leastWaitMin = 5;

/** How long something waits, where, and how far it cools. */
function readWait(
  { text, temperatures, times }: Sentence,
  after: number,
  reading: Reading,
): Phrase[] {
  const waits = times.filter(({ of, toMin }) => of === 'wait' && toMin >= leastWaitMin);
  const cooled = temperatures.find(({ of }) => of === 'wait')?.c ?? null;
  const asks =
    waits.length > 0 ||
    cooled !== null ||
    /\b(?:cool(?:ed|s)?|chill(?:ed)?|refrigerate)\b/i.test(text);
  if (cooledByHand.test(text)) {
    reading.nowC = cooledC.room;
    return [];
  }
  // what is frozen is thawed by a rule of its own
  if (!asks || /\bfreez\w+/i.test(text)) return [];
  const hold = holdOf(text, after, reading.nowC, waits, cooled);
  if (!hold) return [];
  reading.holds.push(hold);
  reading.nowC = hold.toC ?? reading.nowC;
  return [sayHold(hold)];
}

/** Egg and flour that nothing has made safe. */
function rawIn(
  lines: readonly { foodId: string | null }[],
  foods: readonly Food[],
  hottestC: number | null,
): Hazard[] {
  const eaten = lines.flatMap(({ foodId }) => foodOf(foods, foodId) ?? []);
  const warmest = hottestC ?? roomC;
  const hasEgg = eaten.some(({ allergens }) => allergens.includes('eggs'));
  const hasFlour = eaten.some(
    ({ allergens, cupSiftedG }) => allergens.includes('gluten cereals') && cupSiftedG !== null,
  );
  if (warmest >= egg.cookedC) return [];
  return [
    ...(hasEgg
      ? [warmest < egg.rawC ? ('raw egg' as const) : ('lightly cooked egg' as const)]
      : []),
    ...(hasFlour ? (['raw flour'] as const) : []),
  ];
}

/**
 * Reads the sentences of a pasted method: oven, minutes and tins, waits with their place and how far
 * something cools, how hot it gets and what can hurt. What it does not understand it leaves alone: the
 * sentence is kept, and the form shows what was read of each.
 *
 * @param paragraphs the lines of method, as written
 * @param lines the recipe's ingredients, for what raw egg and flour mean
 */
export function readMethod(
  paragraphs: readonly string[],
  lines: readonly { foodId: string | null }[],
  foods: readonly Food[],
  system: UnitSystem,
): ReadMethod {
  const steps = paragraphs.flatMap(sentencesOf).map((step) => step.slice(0, 400));
  const reading: Reading = {
    ovenC: null,
    bake: null,
    hottestC: null,
    nowC: null,
    isUnsaid: false,
    holds: [],
    hazards: new Set(),
  };
  const said = steps.map((step, i): Phrase[] => {
    const text = plainSigns(step);
    const withDoing = <T extends { at: number }>(found: T[]): (T & { of: Doing | null })[] =>
      found.map((one) => ({ ...one, of: doingAt(text, one.at) }));
    const sentence: Sentence = {
      text,
      temperatures: withDoing(temperaturesIn(step, system)),
      times: withDoing(timesIn(step)),
    };
    const oven = readOven(sentence, reading);
    // what comes out of the oven cools as a cake does, which is reckoned from its size
    if (reading.bake) return oven;
    return [...oven, ...readHeat(sentence, reading), ...readWait(sentence, i + 1, reading)];
  });
  const { ovenC, bake, holds, hazards, isUnsaid } = reading;
  const hottestC = reading.hottestC ?? (isUnsaid ? null : roomC);
  for (const hazard of rawIn(lines, foods, hottestC)) hazards.add(hazard);
  return {
    steps,
    said,
    bake: bake && { ovenC, ...bake },
    tins: readTins(steps),
    holds,
    hazards: [...hazards],
    hottestC: steps.length === 0 ? null : hottestC,
  };
}
