import { grouped } from '../units/format.ts';
import type { Food, Measuring } from '../pantry/types.ts';
import type { UnitSystem } from '../units/kinds.ts';
import { plainSigns, readAmount, readTrailing, type Measured, type ReadAmount } from './amounts.ts';
import { findFood, firstOfTwo } from './food-names.ts';
import { gramsOfMl } from './household.ts';

export { findFood } from './food-names.ts';

export const lineKinds = ['ingredient', 'method', 'heading'] as const;
/** What a line of a recipe is: something that goes in, something to do, or a title over others. */
export type LineKind = (typeof lineKinds)[number];

/** One line of a recipe as somebody wrote it, read or not. */
export interface ReadLine {
  text: string;
  kind: LineKind;
  /** Grams of it; null when they could not be made out. */
  massG: number | null;
  name: string;
  foodId: string | null;
  pieceG: number | null;
  /** Why it is not in grams, or what to look at; null when all is clear. */
  problem: string | null;
}

/** Amounts too small to weigh, g. */
const pinches: Record<string, number> = { pinch: 0.4, pinche: 0.4, dash: 0.6, drop: 0.05 };
const pinchAt =
  /^(?:(a|an|\d+)\s+)?(?:(?:good|big|small|generous)\s+)?(pinch|dash|drop)(?:e?s)?\b\s*(?:of\s+)?/i;

/** What the juice and the zest of one fruit weigh by custom, g. */
const fromFruit: Record<string, { juice: number; zest: number }> = {
  lemon: { juice: 45, zest: 5 },
  lime: { juice: 30, zest: 3 },
  orange: { juice: 80, zest: 8 },
};
const fruitAt =
  /^(?:the\s+)?(?:(?:finely\s+)?(?:grated|squeezed)\s+)?(juice and zest|zest and juice|juice|zest)\s+(?:of|from)\s+(.+)$/i;

/** Words that begin a sentence of method; such a line is work, whatever figures are in it. */
const verbs =
  /^(?:add|allow|arrange|bake|beat|blend|boil|bring|brush|chill|combine|cook|cool|cover|cream|crush|cut|decorate|divide|dot|drain|drizzle|dust|fill|fold|freeze|fry|garnish|grease|grind|heat|in a|in the|keep|knead|leave|let|level|line|lower|make|makes|measure|melt|meanwhile|mix|once|pipe|place|pour|preheat|press|process|put|reduce|remove|repeat|rest|return|roast|roll|rub|scrape|season|separate|serve|serves|set|sift|simmer|slice|soak|spoon|spread|sprinkle|stir|store|strain|swirl|take|tap|tip|toast|top|transfer|trim|turn|use|warm|wash|when|whip|whisk|while|wrap|yield|yields|your)\b/i;
/** "Cream 250 g" is no work. */
const creamAmount = /^cream\b\s*[:,-]?\s*\d/i;
/** Temperatures, times and sizes are no amounts of food. */
const noAmount =
  /^\s*(?:°|º|degrees?\b|deg\b|celsius\b|fahrenheit\b|minutes?\b|mins?\b|hours?\b|hrs?\b|seconds?\b|secs?\b|days?\b|cm\b|mm\b|inch(?:es)?\b|in\.?\s+(?:round|square|tin|cake|loaf)|"|”|″|-?inch\b|-?cm\b|gas\b|c\s+(?:oven|fan|\/)|th\b|st\b|nd\b|rd\b)/i;
const degrees = /^\s*[CFcf]\b/;
/** "2 x 250 g tubs of ...": what it comes in, once its weight is known. */
const inContainer =
  /^(?:tins?|cans?|tubs?|packs?|packets?|packages?|jars?|bags?|bars?|boxes|box|cartons?|blocks?|bottles?|punnets?|pots?|sachets?)\s+(?:of\s+)?(?=\p{L})/iu;
/** A bare C behind a figure this large is a temperature, never cups. */
const mostCups = 20;

/** Titles that stand without a colon. */
const titles =
  /^(?:the\s+)?(?:ingredients?|method|directions?|instructions?|preparation|to (?:make|assemble|serve|finish))$/i;
const bullets = /^\s*(?:[-•*·▢☐□◦‣▪–—]|\[\s?\])+\s*/u;
const numbering = /^\s*(?:step\s+)?\d{1,2}\s*[.)]\s+(?=\p{L})/iu;

const schoolOf = (text: string, own: Measuring): Measuring =>
  /\bsifted\b/i.test(text) ? 'sifted' : /\bscooped\b/i.test(text) ? 'scooped' : own;

/** True for a line that tells what to do, or how hot, how long and for how many. */
function isMethod(text: string): boolean {
  if (numbering.test(text)) return true;
  if (verbs.test(text) && !creamAmount.test(text)) return true;
  const figure = /^(\d+(?:[.,]\d+)?)(?:\s*(?:-|to)\s*\d+)?(.*)$/i.exec(text);
  if (figure) {
    if (noAmount.test(figure[2]!)) return true;
    if (degrees.test(figure[2]!) && Number(figure[1]!.replace(',', '.')) > mostCups) return true;
    return false;
  }
  // a whole sentence that ends in a stop
  return /[.!]$/.test(text) && text.split(/\s+/).length > 6;
}

/**
 * Reads one line: "2 1/4 cups plain flour, sifted", "1 cup plus 2 tablespoons sugar", "4 large eggs",
 * "butter 200 g", "juice of 1 lemon". A range takes its middle; a weight in brackets counts before a
 * volume. What cannot be read says so and is never dropped.
 */
export function readLine(
  text: string,
  foods: readonly Food[],
  measuring: Measuring,
  system: UnitSystem,
): ReadLine {
  const clean = plainSigns(text.replace(bullets, ''));
  const empty: ReadLine = {
    text,
    kind: 'ingredient',
    massG: null,
    name: clean,
    foodId: null,
    pieceG: null,
    problem: null,
  };
  if (/^[^\d]{2,60}:$/.test(clean) || titles.test(clean)) return { ...empty, kind: 'heading' };
  if (isMethod(clean)) return { ...empty, kind: 'method' };
  const reader = { foods, measuring: schoolOf(clean, measuring), system };
  const pinch = pinchAt.exec(clean);
  if (pinch) {
    const many = Number(pinch[1]) > 0 ? Number(pinch[1]) : 1;
    const name = clean.slice(pinch[0].length).trim() || 'salt';
    return named({ ...empty, massG: many * pinches[pinch[2]!.toLowerCase()]! }, name, foods);
  }
  const fruit = fruitOf(clean, empty, reader);
  if (fruit) return fruit;
  const amount = readAmount(clean, system);
  if (amount) {
    const name = amount.rest
      .replace(/^[\s,:-]*(?:of\s+)?/i, '')
      .replace(inContainer, '')
      .trim();
    if (name === '') return { ...empty, problem: 'it has an amount, and no ingredient' };
    return withAmount(empty, name, amount, reader);
  }
  if (/^\d{1,3},\d{3}\b/.test(clean))
    return {
      ...empty,
      problem: `“${/^[\d,]+/.exec(clean)![0]}” can be read two ways: leave the comma out, or use a point`,
    };
  const trailing = readTrailing(clean, system);
  if (trailing) {
    const found = findFood(trailing.name, foods);
    // without a unit a figure at the end is an amount only behind a food
    if (found || trailing.amount.low.by !== 'pieces')
      return withAmount(empty, trailing.name, trailing.amount, reader);
  }
  return { ...empty, problem: 'no amount was found in it' };
}

interface Reader {
  foods: readonly Food[];
  measuring: Measuring;
  system: UnitSystem;
}

const unknownFood = 'not among your ingredients: it is kept by its name';

function named(line: ReadLine, name: string, foods: readonly Food[]): ReadLine {
  const found = findFood(name, foods);
  return found
    ? { ...line, name: found.name, foodId: found.id }
    : { ...line, name: name.replace(/\s*[,(].*$/, ''), problem: unknownFood };
}

/** "Juice of 1 lemon", "zest of 2 oranges": by what one fruit gives. */
function fruitOf(clean: string, empty: ReadLine, { foods, system }: Reader): ReadLine | null {
  const said = fruitAt.exec(clean);
  if (!said) return null;
  const amount = readAmount(said[2]!, system);
  const rest = amount ? amount.rest.trim() : said[2]!;
  const fruit = rest
    .toLowerCase()
    .replace(/[^a-z ]/g, ' ')
    .split(/\s+/)
    .map((word) => word.replace(/s$/, ''))
    .find((word) => word in fromFruit);
  const count = amount?.low.by === 'pieces' ? amount.low.count : 1;
  const part = said[1]!.toLowerCase();
  const each = fruit ? fromFruit[fruit]! : null;
  const what = part.includes(' ') ? 'juice and zest' : part;
  const name = `${fruit ?? rest} ${what}`;
  if (!each) return { ...empty, name, problem: `how much ${what} is in it is not known: weigh it` };
  const massG =
    count * (part.includes('juice') ? each.juice : 0) +
    count * (part.includes('zest') ? each.zest : 0);
  const line = named({ ...empty, massG }, name, foods);
  return part.includes(' ')
    ? { ...line, foodId: null, name, problem: 'juice and zest are two things: weigh each' }
    : line;
}

function withAmount(
  empty: ReadLine,
  said: string,
  amount: ReadAmount,
  { foods, measuring, system }: Reader,
): ReadLine {
  // "3 carrots, grated (300 g)": the weight stands behind
  const behind = /\(\s*(?:about|approx\.?|ca\.?|~)?\s*([^()]*)\)\s*$/i.exec(said);
  const weighed = behind && amount.low.by !== 'mass' ? readAmount(behind[1]!, system) : null;
  if (weighed?.low.by === 'mass')
    return withAmount(empty, said.slice(0, behind!.index).trim(), weighed, {
      foods,
      measuring,
      system,
    });
  const choice = findFood(said, foods) ? null : firstOfTwo(said);
  const food = findFood(choice ?? said, foods);
  const plainName = said.replace(/\s*[,(].*$/, '').trim() || said;
  const line: ReadLine = {
    ...empty,
    name: food?.name ?? plainName,
    foodId: food?.id ?? null,
    pieceG: food?.pieceG ?? null,
  };
  const low = toGrams(amount.low, food, measuring, line.name, amount);
  const high = toGrams(amount.high, food, measuring, line.name, amount);
  if (low.g === null || high.g === null) return { ...line, problem: low.problem ?? high.problem };
  const note = choice && food ? `taken as ${food.name}, one of the two it names` : null;
  return { ...line, massG: (low.g + high.g) / 2, problem: food ? note : unknownFood };
}

function toGrams(
  amount: Measured,
  food: Food | null,
  measuring: Measuring,
  name: string,
  { container }: ReadAmount,
): { g: number | null; problem: string | null } {
  if (amount.by === 'mass') return { g: amount.g, problem: null };
  if (amount.by === 'pieces') {
    if (container)
      return {
        g: null,
        problem: `how much a ${container.word.toLowerCase().replace(/s$/, '')} holds is not said: weigh it`,
      };
    return food?.pieceG
      ? { g: amount.count * food.pieceG, problem: null }
      : { g: null, problem: `how much one ${name} weighs is not known` };
  }
  const g = food ? gramsOfMl(food, amount.ml, measuring) : null;
  return g === null
    ? { g: null, problem: `no cup weight is known of ${food?.name ?? name}: weigh it` }
    : { g, problem: null };
}

/** "2 eggs plus 1 egg yolk" is two things on one line: each is read by itself. */
function partsOf(line: string): string[] {
  const parts = line.split(
    /\s+(?:plus|and|\+|&)\s+(?=(?:\d|an?\b|one\b|two\b|three\b|four\b|half\b))/i,
  );
  const isCounted = (part: string): boolean =>
    /^[\s\-•*·]*(?:\d+(?:\s+\d\/\d)?|an?|one|two|three|four|five|six)\s+(?:(?:large|medium|small|extra|fresh)\s+)*(?:eggs?|(?:egg\s+)?yolks?|(?:egg\s+)?whites?)\b/i.test(
      part,
    );
  return parts.length > 1 && parts.every(isCounted) ? parts : [line];
}

/** More than any recipe has: beyond it nothing is read. */
const mostLines = 400;
const mostLetters = 40_000;

/** Why a text is too much for one recipe, in words; null where it is not. */
export function tooMuchPasted(text: string): string | null {
  if (text.length > mostLetters)
    return `These are ${grouped(text.length)} letters. A recipe has at most ${grouped(mostLetters)}: paste one at a time.`;
  const lines = text.split('\n').length;
  return lines > mostLines
    ? `These are ${grouped(lines)} lines. A recipe has at most ${mostLines}: paste one at a time.`
    : null;
}

/** Every line of a pasted recipe that is not empty; a line that names two things gives two. */
export const readPasted = (
  text: string,
  foods: readonly Food[],
  measuring: Measuring,
  system: UnitSystem,
): ReadLine[] =>
  text
    .replace(/^\uFEFF/, '')
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .flatMap(partsOf)
    .map((line) => readLine(line, foods, measuring, system));
