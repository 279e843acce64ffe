import type { Food, Measuring } from '../pantry/types.ts';
import { parseQuantity } from '../units/parse.ts';
import type { UnitSystem } from '../units/kinds.ts';
import { gramsOfMl } from './household.ts';

/** One line of a recipe as somebody wrote it, read or not. */
export interface ReadLine {
  text: string;
  /** Grams of it; null when they could not be made out. */
  massG: number | null;
  name: string;
  foodId: string | null;
  pieceG: number | null;
  /** Why it is not in grams, or what to look at; null when all is clear. */
  problem: string | null;
}

const countWords: Record<string, string> = {
  a: '1',
  an: '1',
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  half: '1/2',
};
/** Amounts too small to weigh, g: a pinch of salt. */
const pinches: Record<string, number> = { pinch: 0.4, dash: 0.6, drop: 0.05, drops: 0.25 };

const number = String.raw`(?:\d+\s+\d+\s*\/\s*\d+|\d+\s*\/\s*\d+|\d+(?:[.,]\d+)?)`;
const unitWords =
  'kg|kilos?|g|grams?|grammes?|oz|ounces?|lbs?|pounds?|ml|millilit(?:re|er)s?|cl|dl|l|lit(?:re|er)s?|cups?|c|tbsps?|tbs|tablespoons?|tsps?|teaspoons?';
const quantity = new RegExp(
  String.raw`^(${number})(?:\s*(?:-|–|to)\s*(${number}))?\s*(?:(${unitWords})\b\.?)?\s*`,
  'i',
);
const glyphs: Record<string, string> = {
  '¼': ' 1/4',
  '½': ' 1/2',
  '¾': ' 3/4',
  '⅓': ' 1/3',
  '⅔': ' 2/3',
  '⅛': ' 1/8',
};
const sizes = /\b(small|medium|large|extra large|xl|free range|fresh|of)\b/gi;
const manners =
  /\b(sifted|spooned|levelled|leveled|packed|softened|melted|chopped|beaten|warm|cold|room temperature|at|finely|roughly|freshly|grated|heaped|level|to taste|divided|plus extra|optional)\b/gi;

const tidy = (text: string): string =>
  text
    .toLowerCase()
    .replace(/\([^)]*\)/g, ' ')
    .replace(/[^\p{L}\p{N}% ]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
const singular = (word: string): string =>
  word.length > 3 ? word.replace(/ies$/, 'y').replace(/([^s])s$/, '$1') : word;
const wordsOf = (text: string): string[] => tidy(text).split(' ').filter(Boolean).map(singular);

/**
 * The ingredient that a name means: the same name or alias first, then the one whose every word is
 * in the name, the longest such. Null when none fits.
 */
export function findFood(name: string, foods: readonly Food[]): Food | null {
  const bare = wordsOf(name.replace(sizes, ' '));
  const plain = wordsOf(name.replace(sizes, ' ').replace(manners, ' '));
  const said = new Set([...bare, ...plain]);
  let best: Food | null = null;
  let most = 0;
  for (const food of foods)
    for (const known of [food.name, ...food.aliases]) {
      const words = wordsOf(known);
      if (words.length === 0 || !words.every((word) => said.has(word))) continue;
      // the same words and no other beat any part of them
      const score = words.length + (words.length === plain.length ? 100 : 0);
      if (score > most) [best, most] = [food, score];
    }
  return best;
}

/** How a line says that a cup was filled; the user's own school where it does not. */
const schoolOf = (text: string, own: Measuring): Measuring =>
  /\bsifted\b/i.test(text) ? 'sifted' : /\bscooped\b/i.test(text) ? 'scooped' : own;

/**
 * Reads one line: "2 1/4 cups plain flour, sifted", "4 large eggs", "butter 200 g", "pinch of salt".
 * A range takes its middle. What cannot be read says so and is never dropped.
 */
export function readLine(
  text: string,
  foods: readonly Food[],
  measuring: Measuring,
  system: UnitSystem,
): ReadLine {
  let rest = text.trim().replace(/^[-•*·▢☐]\s*/, '');
  for (const [glyph, plain] of Object.entries(glyphs)) rest = rest.replaceAll(glyph, plain);
  rest = rest
    .trim()
    .replaceAll('⁄', '/')
    .replace(/(\d)-(\d+\/\d+)/g, '$1 $2');
  const spoken = /^([a-z]+)\b\s*/i.exec(rest);
  const asNumber = spoken && countWords[spoken[1]!.toLowerCase()];
  const pinchWord = /^(?:a\s+|an\s+|\d+\s+)?(pinch|dash|drops?)\b(?:es)?\s*(?:of\s+)?/i.exec(rest);
  const empty: ReadLine = {
    text,
    massG: null,
    name: rest,
    foodId: null,
    pieceG: null,
    problem: null,
  };
  if (pinchWord) {
    const name = rest.slice(pinchWord[0].length).trim() || 'salt';
    return withFood({ ...empty, name, massG: pinches[pinchWord[1]!.toLowerCase()]! }, foods);
  }
  if (asNumber) rest = `${asNumber} ${rest.slice(spoken[0].length)}`;
  let match = quantity.exec(rest);
  let name = match ? rest.slice(match[0].length) : rest;
  if (!match) {
    // "butter 200 g": the amount stands last
    const last = new RegExp(String.raw`[\s:,–-]+(${number})\s*(${unitWords})?\.?\s*$`, 'i').exec(
      rest,
    );
    if (last) {
      match = [last[0], last[1], undefined, last[2]] as unknown as RegExpExecArray;
      name = rest.slice(0, last.index);
    }
  }
  name = name.replace(/^of\s+/i, '').trim();
  if (!match) return { ...empty, problem: 'no amount was found in it' };
  if (name === '') return { ...empty, problem: 'it has an amount, and no ingredient' };
  const [, low, high, unit] = match;
  const found = findFood(name, foods);
  const line: ReadLine = {
    ...empty,
    name: found?.name ?? name.replace(/\s*[,(].*$/, ''),
    foodId: found?.id ?? null,
    pieceG: found?.pieceG ?? null,
  };
  const amount = (figure: string): { g: number | null; problem: string | null } =>
    toGrams(figure, unit ?? null, found, schoolOf(text, measuring), system, line.name);
  const first = amount(low!);
  const second = high ? amount(high) : first;
  const massG = first.g === null || second.g === null ? null : (first.g + second.g) / 2;
  const unknown = found ? null : 'not among your ingredients: it is kept by its name';
  return { ...line, massG, problem: first.problem ?? unknown };
}

function withFood(line: ReadLine, foods: readonly Food[]): ReadLine {
  const found = findFood(line.name, foods);
  return found
    ? { ...line, name: found.name, foodId: found.id, pieceG: null }
    : { ...line, problem: 'not among your ingredients: it is kept by its name' };
}

function toGrams(
  figure: string,
  unit: string | null,
  food: Food | null,
  measuring: Measuring,
  system: UnitSystem,
  name: string,
): { g: number | null; problem: string | null } {
  if (unit === null) {
    const count = parseQuantity(figure, 'count', system);
    if (!count.ok) return { g: null, problem: count.problem };
    return food?.pieceG
      ? { g: count.value * food.pieceG, problem: null }
      : { g: null, problem: `how much one ${name} weighs is not known` };
  }
  const said = unit.toLowerCase() === 'tbs' ? 'tbsp' : unit.toLowerCase() === 'c' ? 'cup' : unit;
  const mass = parseQuantity(`${figure} ${said}`, 'small', system);
  if (mass.ok) return { g: mass.value, problem: null };
  const volume = parseQuantity(`${figure} ${said}`, 'volume', system);
  if (!volume.ok) return { g: null, problem: volume.problem };
  if (!food) return { g: null, problem: `no cup weight is known of ${name}: weigh it` };
  const g = gramsOfMl(food, volume.value, measuring);
  return g === null
    ? { g: null, problem: `no cup weight is known of ${food.name}: weigh it` }
    : { g, problem: null };
}

/** Every line of a pasted recipe that is not empty. */
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
    .map((line) => readLine(line, foods, measuring, system));
