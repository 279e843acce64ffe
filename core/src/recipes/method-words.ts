import type { UnitSystem } from '../units/kinds.ts';
import { numberWords, plainSigns } from './amounts.ts';

/* Figures in a sentence of method: how hot, how long, and what the work was that they belong to. */

/** What a word of method is about: the oven, a wait, or work. */
export type Doing = 'oven' | 'wait' | 'work';

const doings: [Doing, RegExp][] = [
  ['oven', /\b(?:ovens?|bakes?|baked|baking|roast(?:ed|ing)?|gas mark)\b/gi],
  [
    'wait',
    /\b(?:chill(?:ed|ing)?|refrigerat\w+|fridge|freez\w+|rest(?:s|ed|ing)?|stands?|standing|cool(?:s|ed|ing)?|leave|left|set(?:s|ting)?|soak(?:ed|ing)?|infuse|steep|macerate|prove|thaw|keeps?|stored?)\b/gi,
  ],
  [
    'work',
    /\b(?:whisk\w*|whip\w*|beat\w*|mix(?:ed|ing)?|cream(?:ed|ing)?|knead\w*|stir\w*|simmer\w*|boil\w*|cook\w*|fry|toast\w*|heat\w*|melt\w*|warm\w*|microwave|blend\w*|process|fold\w*|reaches|reached|thermometer|rub)\b/gi,
  ],
];
/** Things whose names have the oven in them without its being lit. */
const notTheOven =
  /\bbaking\s+(?:powder|soda|tray|trays|sheet|sheets|paper|parchment|tin|tins|pan|dish|beans)\b/gi;

/** What a figure at `index` belongs to: the last such word before it, else the first after it. */
export function doingAt(sentence: string, index: number): Doing | null {
  const text = sentence.replace(notTheOven, (found) => '-'.repeat(found.length));
  const marks = doings.flatMap(([doing, words]) =>
    [...text.matchAll(words)].map((match) => ({ doing, at: match.index })),
  );
  const before = marks.filter(({ at }) => at < index).sort((a, b) => b.at - a.at)[0];
  return (before ?? marks.sort((a, b) => a.at - b.at)[0])?.doing ?? null;
}

/** A temperature in a sentence, C. */
export interface ReadTemperature {
  at: number;
  c: number;
  /** Said for an oven with a fan. */
  isFan: boolean;
  /** Written in F or as a gas mark, and put into C here. */
  isPutInto: boolean;
}

/** Ovens by their gas mark, C (trade custom). */
const gasMarks = [0, 140, 150, 165, 180, 190, 200, 220, 230, 240];
/** An oven with a fan is set so much lower, C (trade custom). */
export const fanK = 20;
/** Nothing in a kitchen is hotter: a slip of the pen, C. */
const mostReadC = 300;
/** No oven is marked hotter than this in C: a bare figure above it is in F. */
const mostC = 260;

const inC = (value: number, unit: string): number =>
  unit.toUpperCase().startsWith('F') ? ((value - 32) * 5) / 9 : value;

/** Temperatures in a sentence: "180 C (160 fan)", "350°F", "gas mark 4", "82 to 85 °C" by their middle. */
export function temperaturesIn(sentence: string, system: UnitSystem): ReadTemperature[] {
  const text = plainSigns(sentence);
  const found: ReadTemperature[] = [];
  const degrees =
    /(fan\s+(?:oven\s+)?)?\b(\d{2,3})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:(°|º|degrees?|deg\.?)\s*(C(?:elsius)?|F(?:ahrenheit)?)?|(C|F|celsius|fahrenheit))(?![a-z])(\s*\(?\s*fan\b)?/gi;
  for (const match of text.matchAll(degrees)) {
    const [, fanBefore, low, high, , signed, bare, fanAfter] = match;
    const value = high === undefined ? Number(low) : (Number(low) + Number(high)) / 2;
    const unit = signed ?? bare ?? (value > mostC ? 'F' : system.temperature);
    found.push({
      at: match.index,
      c: Math.round(inC(value, unit)),
      isFan: Boolean(fanBefore ?? fanAfter),
      isPutInto: /^f/i.test(unit),
    });
  }
  for (const match of text.matchAll(/\bgas(?:\s+mark)?\s+(\d)\b/gi)) {
    const c = gasMarks[Number(match[1])];
    if (c) found.push({ at: match.index, c, isFan: false, isPutInto: true });
  }
  return found.filter(({ c }) => c <= mostReadC);
}

/** A length of time in a sentence, min: from and to. */
export interface ReadTime {
  at: number;
  fromMin: number;
  toMin: number;
  /** "up to", "no longer than": it is the most. */
  isMost: boolean;
}

const minutesIn: [RegExp, number][] = [
  [/^s/i, 1 / 60],
  [/^m/i, 1],
  [/^h/i, 60],
  [/^d/i, 24 * 60],
];
/** Numbers that times are told in, beside those of amounts. */
const timeWords: Readonly<Record<string, number>> = {
  ...numberWords,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  'half an': 0.5,
  'half a': 0.5,
};
/** A night is so long, min. */
const nightMin = 8 * 60;

function numberOf(words: string): number {
  const text = words.trim().toLowerCase();
  const named = timeWords[text];
  if (named !== undefined) return named;
  return text
    .split(/\s+/)
    .map((part) => {
      const [over, under] = part.split('/');
      return under ? Number(over) / Number(under) : Number(over!.replace(',', '.'));
    })
    .reduce((sum, part) => sum + part, 0);
}

/** Times in a sentence: "25 to 30 minutes", "1 1/2 hours", "1 hour 20 minutes", "half an hour", "overnight". */
export function timesIn(sentence: string): ReadTime[] {
  const text = plainSigns(sentence);
  const number = String.raw`half an?|(?:\d+\s+)?\d+\/\d+|\d+(?:[.,]\d+)?|an?|one|two|three|four|five|six|eight|ten|twelve|fifteen|twenty|thirty`;
  const pattern = new RegExp(
    String.raw`(up to|at most|no (?:longer|more) than)?\s*\b(${number})(?:\s*(?:-|–|to|or)\s*(${number}))?\s*(?:more |further |another )?(seconds?|secs?|minutes?|mins?|hours?|hrs?|h|days?)\b`,
    'gi',
  );
  const found: ReadTime[] = [];
  let endOfLast = -1;
  for (const match of text.matchAll(pattern)) {
    const [whole, most, low, high, unit] = match;
    const each = minutesIn.find(([begins]) => begins.test(unit!))![1];
    const fromMin = numberOf(low!) * each;
    const toMin = high === undefined ? fromMin : numberOf(high) * each;
    const last = found.at(-1);
    // "1 hour 20 minutes" is one time
    const goesOn =
      last && each < 60 && /^\s*(?:and\s+)?$/.test(text.slice(endOfLast, match.index)) && !most;
    if (goesOn) {
      last.fromMin += fromMin;
      last.toMin += toMin;
    } else found.push({ at: match.index, fromMin, toMin, isMost: Boolean(most) });
    endOfLast = match.index + whole.length;
  }
  for (const match of text.matchAll(/\bover\s?night\b/gi))
    found.push({ at: match.index, fromMin: nightMin, toMin: nightMin, isMost: false });
  return found.sort((a, b) => a.at - b.at);
}
