import { G_PER_OZ, OZ_PER_LB, spoonMl, type UnitSystem } from '../units/kinds.ts';

/** What an amount in a recipe is measured by. */
export type Measured =
  { by: 'mass'; g: number } | { by: 'volume'; ml: number } | { by: 'pieces'; count: number };

/** An amount at the beginning of a text, and what of the text comes after it. */
export interface ReadAmount {
  /** Low and high of a range; twice the same where there is none. */
  low: Measured;
  high: Measured;
  /** The word it was measured by where that is no unit: a stick, a tin. */
  container: Container | null;
  rest: string;
}

interface Container {
  word: string;
  /** What one of them weighs by custom, g; null where that is written on it. */
  g: number | null;
}

/** Numbers that are written out. */
export const numberWords: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  half: 0.5,
  quarter: 0.25,
  third: 1 / 3,
};
/** "half a", "a quarter of a", "three quarters of a", "one and a half", "a dozen", "a couple of". */
const phrases: [RegExp, number][] = [
  [/^(?:a\s+)?half\s+(?:a|an|of\s+a|of\s+an)\s+dozen\b/i, 6],
  [/^(?:a\s+)?half\s+(?:of\s+)?(?:a|an)\b/i, 0.5],
  [/^(?:a|one)\s+quarter\s+(?:of\s+)?(?:a|an)\b/i, 0.25],
  [/^three[\s-]+quarters\s+(?:of\s+)?(?:a|an)\b/i, 0.75],
  [/^(?:a|one)\s+third\s+(?:of\s+)?(?:a|an)\b/i, 1 / 3],
  [/^two[\s-]+thirds\s+(?:of\s+)?(?:a|an)\b/i, 2 / 3],
  [/^one\s+and\s+a\s+half\b/i, 1.5],
  [/^two\s+and\s+a\s+half\b/i, 2.5],
  [/^(?:a|one)\s+dozen\b/i, 12],
  [/^(?:a|one)\s+couple\s+of\b/i, 2],
];

const units: [RegExp, (n: number, system: UnitSystem) => Measured][] = [
  [/^(?:kilograms?|kilogrammes?|kilos?|kgs?)\b\.?/i, (n) => ({ by: 'mass', g: n * 1000 })],
  [/^(?:grams?|grammes?|gr|g)\b\.?/i, (n) => ({ by: 'mass', g: n })],
  [/^(?:milligrams?|mg)\b\.?/i, (n) => ({ by: 'mass', g: n / 1000 })],
  [
    /^(?:fluid\s+ounces?|fl\.?\s*oz)\b\.?/i,
    (n, s) => ({ by: 'volume', ml: n * (isUs(s) ? 29.5735 : 28.4131) }),
  ],
  [/^(?:ounces?|oz)\b\.?/i, (n) => ({ by: 'mass', g: n * G_PER_OZ })],
  [/^(?:pounds?|lbs?)\b\.?/i, (n) => ({ by: 'mass', g: n * G_PER_OZ * OZ_PER_LB })],
  [/^(?:millilit(?:re|er)s?|mls?)\b\.?/i, (n) => ({ by: 'volume', ml: n })],
  [/^(?:centilit(?:re|er)s?|cl)\b\.?/i, (n) => ({ by: 'volume', ml: n * 10 })],
  [/^(?:decilit(?:re|er)s?|dl)\b\.?/i, (n) => ({ by: 'volume', ml: n * 100 })],
  [/^(?:lit(?:re|er)s?|l)\b\.?/i, (n) => ({ by: 'volume', ml: n * 1000 })],
  [/^(?:cups?|c)\b\.?/i, (n, s) => ({ by: 'volume', ml: n * s.cupMl })],
  [/^(?:pints?|pts?)\b\.?/i, (n, s) => ({ by: 'volume', ml: n * (isUs(s) ? 473.176 : 568.261) })],
  [/^(?:quarts?|qts?)\b\.?/i, (n, s) => ({ by: 'volume', ml: n * (isUs(s) ? 946.353 : 1136.52) })],
  [
    /^(?:tablespoon(?:ful)?s?|tbsps?|tbs|tblsp|T(?![a-z]))\b\.?/,
    (n, s) => ({ by: 'volume', ml: n * spoonMl(s).tbsp }),
  ],
  [
    /^(?:tablespoon(?:ful)?s?|tbsps?|tbs|tblsp)\b\.?/i,
    (n, s) => ({ by: 'volume', ml: n * spoonMl(s).tbsp }),
  ],
  [/^(?:dessertspoons?|dsp)\b\.?/i, (n) => ({ by: 'volume', ml: n * 10 })],
  [
    /^(?:teaspoon(?:ful)?s?|tsps?|t(?![a-z]))\b\.?/,
    (n, s) => ({ by: 'volume', ml: n * spoonMl(s).tsp }),
  ],
  [/^(?:teaspoon(?:ful)?s?|tsps?)\b\.?/i, (n, s) => ({ by: 'volume', ml: n * spoonMl(s).tsp })],
];

/** A stick is a quarter of an American pound. */
const stickG = (G_PER_OZ * OZ_PER_LB) / 4;
const containers: [RegExp, number | null][] = [
  [/^sticks?\b/i, stickG],
  [
    /^(?:tins?|cans?|tubs?|packs?|packets?|packages?|jars?|bags?|bars?|boxes|box|cartons?|blocks?|bottles?|punnets?|pots?|sachets?)\b/i,
    null,
  ],
];

/** Cup, pint and quart are American where the cup is. */
const isUs = (system: UnitSystem): boolean => system.cupMl < 245;

const vulgar = /[\u00bc-\u00be\u2150-\u215e\u2189]/g;

/** Signs of fractions, dashes and crosses in their plain form. */
export const plainSigns = (text: string): string =>
  text
    .replace(vulgar, (sign) => ` ${sign.normalize('NFKC').replace('\u2044', '/')}`)
    .replaceAll('\u2044', '/')
    .replace(/[\u2010-\u2015\u2212]/g, '-')
    .replace(/\u00d7/g, 'x')
    .replace(/(\d)-(\d+\s*\/\s*\d+)/g, '$1 $2')
    .replace(/\s+/g, ' ')
    .trim();

const numeral = /^(?:(\d+)\s+(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d+)(?:[.,](\d+))?|[.,](\d+))/;

/** A number at the beginning: figures, fractions, decimals with point or comma, or words. */
function readNumber(text: string): { value: number; rest: string } | null {
  const match = numeral.exec(text);
  if (match) {
    const [whole, a, b, c, d, e, int, frac, only] = match;
    const rest = text.slice(whole.length);
    if (a !== undefined)
      return Number(c) > 0 ? { value: Number(a) + Number(b) / Number(c), rest } : null;
    if (d !== undefined) return Number(e) > 0 ? { value: Number(d) / Number(e), rest } : null;
    // "1,000" is a thousand to one reader and one to another
    if (frac?.length === 3 && whole.includes(',')) return null;
    return { value: Number(`${int ?? 0}.${frac ?? only ?? 0}`), rest };
  }
  for (const [pattern, value] of phrases) {
    const said = pattern.exec(text);
    if (said) return { value, rest: text.slice(said[0].length) };
  }
  const word = /^([a-z]+)\b/i.exec(text);
  const value = word && numberWords[word[1]!.toLowerCase()];
  return value ? { value, rest: text.slice(word[0].length) } : null;
}

const sizeWord = /^(?:heaped|heaping|level|rounded|scant|generous|large|small|good)\s+/i;

/** One term of an amount: "2 x 250 g", "1-2 tbsp", "1 lb 2 oz", "2 sticks". */
function readTerm(text: string, system: UnitSystem): ReadAmount | null {
  const first = readNumber(text);
  if (!first) return null;
  let { value } = first;
  let rest = first.rest;
  // "2 x 250 g"
  const times = /^\s*x\s*(?=[\d.,])/i.exec(rest);
  let factor = 1;
  if (times) {
    const each = readNumber(rest.slice(times[0].length));
    if (each) [factor, value, rest] = [value, each.value, each.rest];
  }
  // "2-3", "2 to 3", "2 or 3"
  let high = value;
  const range = /^\s*(?:-|to|or)\s*(?=[\d.,]|[a-z]+\b)/i.exec(rest);
  if (range) {
    const second = readNumber(rest.slice(range[0].length));
    if (second && second.value > value && /^\s*(?:-|to|or)\s*\d/i.test(rest))
      [high, rest] = [second.value, second.rest];
  }
  rest = rest.replace(/^\s*-?\s*/, '');
  const bare = rest.replace(sizeWord, '');
  for (const [pattern, make] of units) {
    const unit = pattern.exec(rest) ?? pattern.exec(bare);
    if (!unit) continue;
    const after = (pattern.test(rest) ? rest : bare).slice(unit[0].length);
    return {
      low: scaled(make(value, system), factor),
      high: scaled(make(high, system), factor),
      container: null,
      rest: after,
    };
  }
  for (const [pattern, g] of containers) {
    const word = pattern.exec(rest) ?? pattern.exec(bare);
    if (!word) continue;
    const after = (pattern.test(rest) ? rest : bare).slice(word[0].length);
    const many = (n: number): Measured =>
      g === null ? { by: 'pieces', count: n * factor } : { by: 'mass', g: n * g * factor };
    return { low: many(value), high: many(high), container: { word: word[0], g }, rest: after };
  }
  return {
    low: { by: 'pieces', count: value * factor },
    high: { by: 'pieces', count: high * factor },
    container: null,
    rest,
  };
}

const scaled = (one: Measured, by: number): Measured =>
  one.by === 'mass'
    ? { by: 'mass', g: one.g * by }
    : one.by === 'volume'
      ? { by: 'volume', ml: one.ml * by }
      : { by: 'pieces', count: one.count * by };

function added(a: Measured, b: Measured): Measured | null {
  if (a.by === 'mass' && b.by === 'mass') return { by: 'mass', g: a.g + b.g };
  if (a.by === 'volume' && b.by === 'volume') return { by: 'volume', ml: a.ml + b.ml };
  return a.by === 'pieces' && b.by === 'pieces' ? { by: 'pieces', count: a.count + b.count } : null;
}

/**
 * The amount at the beginning of a text, sums of like measures included: "1 cup plus 2 tablespoons",
 * "1 lb 2 oz", "2 x 250 g", "1 1/2". A weight in brackets after it counts in place of a volume.
 *
 * @returns null where the text does not begin with an amount
 */
export function readAmount(text: string, system: UnitSystem): ReadAmount | null {
  let now = readTerm(text.trim(), system);
  if (!now) return null;
  for (;;) {
    const joint = /^\s*(?:plus|and|\+|&)\s+(?=[\d.,a-z])/i.exec(now.rest);
    const follows: RegExpExecArray | null =
      joint ??
      (now.low.by === 'mass' ? /^\s*(?=\d+(?:\.\d+)?\s*(?:oz|ounces?)\b)/i.exec(now.rest) : null);
    if (!follows) break;
    const next: ReadAmount | null = readTerm(now.rest.slice(follows[0].length), system);
    // "2 eggs plus 1 yolk" are two things: only measures join here
    if (!next || next.low.by === 'pieces' || now.low.by === 'pieces') break;
    const low = added(now.low, next.low);
    const high = added(now.high, next.high);
    if (!low || !high) break;
    now = { low, high, container: null, rest: next.rest };
  }
  return inBrackets(now, system);
}

/** "(250 g)" behind a cup is its weight; behind a tin it is what one of them holds. */
function inBrackets(now: ReadAmount, system: UnitSystem): ReadAmount {
  const bracket = /^\s*(?:of\s+)?\(\s*(?:about|approx\.?|around|ca\.?|~)?\s*([^()]*)\)/i.exec(
    now.rest,
  );
  if (!bracket) return now;
  // a stroke between two measures parts them, in a fraction it does not
  const inside = bracket[1]!.split(/\s*;\s*|(?<!\d\s*)\/\s*/);
  const read = inside.map((part) => readTerm(part, system));
  const weight = read.find((one) => one?.low.by === 'mass');
  const rest = now.rest.slice(bracket[0].length);
  if (!weight) {
    const isVolume = read.some((one) => one?.low.by === 'volume');
    return isVolume ? { ...now, rest } : now;
  }
  // "2 (250 g) tubs": the container comes behind
  const behind = now.container ? null : containers.find(([pattern]) => pattern.test(rest.trim()));
  const isEach =
    now.container !== null ||
    (behind !== undefined && behind !== null) ||
    /\beach\b/i.test(bracket[1]!);
  const after = behind ? rest.trim().replace(behind[0], '') : rest;
  if (!isEach || now.low.by !== 'pieces')
    return isEach && now.container?.g && now.low.by === 'mass'
      ? { ...now, rest: after }
      : { low: weight.low, high: weight.high, container: now.container, rest: after };
  return {
    low: scaled(weight.low, now.low.count),
    high: scaled(weight.high, now.high.by === 'pieces' ? now.high.count : now.low.count),
    container: now.container,
    rest: after,
  };
}

/** The amount at the end of a text, "butter 250 g", "eggs: 4"; null where there is none. */
export function readTrailing(
  text: string,
  system: UnitSystem,
): { name: string; amount: ReadAmount } | null {
  const found = /^(.*?[a-z)%])[\s:,-]+((?:\d|[.,]\d)[^a-z]*(?:[a-z.]+)?)\s*$/i.exec(text);
  if (!found) return null;
  const amount = readTerm(found[2]!.trim(), system);
  // a lone C at the end is degrees, not cups
  if (!amount || amount.rest.trim() !== '' || /\d\s*[cf]\.?$/i.test(found[2]!.trim())) return null;
  return { name: found[1]!.trim(), amount };
}
