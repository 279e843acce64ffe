import {
  dimensionOf,
  G_PER_OZ,
  MM_PER_IN,
  OZ_PER_LB,
  spoonMl,
  type Dimension,
  type Kind,
  type UnitSystem,
} from './kinds.ts';

export type Parsed = { ok: true; value: number } | { ok: false; problem: string };

interface Unit {
  dimension: Dimension;
  toBase: (n: number, system: UnitSystem) => number;
}

const times = (dimension: Dimension, factor: number): Unit => ({
  dimension,
  toBase: (n) => n * factor,
});
const cups: Unit = { dimension: 'volume', toBase: (n, s) => n * s.cupMl };

const spellings: [string, Unit][] = [
  ['mm millimetre millimetres millimeter millimeters', times('length', 1)],
  ['cm centimetre centimetres centimeter centimeters', times('length', 10)],
  ['m metre metres meter meters', times('length', 1000)],
  ['in inch inches " ″ ”', times('length', MM_PER_IN)],
  ['g gr gram grams gramme grammes', times('mass', 1)],
  ['kg kilo kilos kilogram kilograms', times('mass', 1000)],
  ['oz ounce ounces', times('mass', G_PER_OZ)],
  ['lb lbs pound pounds', times('mass', G_PER_OZ * OZ_PER_LB)],
  ['ml millilitre millilitres milliliter milliliters', times('volume', 1)],
  ['cl', times('volume', 10)],
  ['dl', times('volume', 100)],
  ['l litre litres liter liters', times('volume', 1000)],
  ['cup cups c.', cups],
  [
    'tbsp tbsps tablespoon tablespoons',
    { dimension: 'volume', toBase: (n, s) => n * spoonMl(s).tbsp },
  ],
  ['tsp tsps teaspoon teaspoons', { dimension: 'volume', toBase: (n, s) => n * spoonMl(s).tsp }],
  ['c °c celsius', times('temperature', 1)],
  ['f °f fahrenheit', { dimension: 'temperature', toBase: (n) => ((n - 32) * 5) / 9 }],
  ['s sec second seconds', times('time', 1 / 60)],
  ['min mins minute minutes', times('time', 1)],
  ['h hr hrs hour hours', times('time', 60)],
  ['d day days', times('time', 1440)],
  ['%', times('share', 0.01)],
  ['g/ml g/cm3', times('density', 1)],
  ['mm2', times('area', 1)],
  ['cm2', times('area', 100)],
  ['m2', times('area', 1e6)],
  ['in2', times('area', MM_PER_IN ** 2)],
  ['pa', times('pressure', 1)],
  ['kpa', times('pressure', 1000)],
];
const units = new Map<string, Unit>();
for (const [names, unit] of spellings) for (const name of names.split(' ')) units.set(name, unit);

/** Signs of fractions, each as two figures. */
const vulgar = /[\u00bc-\u00be\u2150-\u215e\u2189]/g;

/** The unit a bare number is taken in: the one the field shows. */
function ownUnit(kind: Kind, system: UnitSystem): string | null {
  switch (dimensionOf[kind]) {
    case 'length':
      if (system.length === 'in') return 'in';
      return kind === 'thickness' || kind === 'fine' ? 'mm' : 'cm';
    case 'mass':
      if (kind === 'weight') return system.mass === 'g' ? 'kg' : 'lb';
      return system.mass;
    case 'volume':
      return system.volume === 'mL' ? 'ml' : 'cups';
    case 'temperature':
      return system.temperature.toLowerCase();
    case 'time':
      return 'min';
    case 'share':
      return '%';
    case 'area':
      return system.length === 'in' ? 'in2' : 'cm2';
    case 'pressure':
      return 'pa';
    case 'density':
      return 'g/ml';
    default:
      return null;
  }
}

/** The unit a bare number is in: the one on the screen where it is one, or the field's own. */
function bareUnit(kind: Kind, system: UnitSystem, shownIn: string | undefined): string | null {
  const shown = areaWords(shownIn?.toLowerCase() ?? '');
  return units.get(shown)?.dimension === dimensionOf[kind] ? shown : ownUnit(kind, system);
}

/** "sq in", "square cm", "cm²" as "in2" and "cm2". */
const areaWords = (text: string): string =>
  text
    .replaceAll('²', '2')
    .replace(
      /\b(?:sq\.?|square)\s*(inch(?:es)?|in\b|cm\b|centimet(?:re|er)s?|mm\b|m\b)/g,
      (_, unit: string) => `${unit.startsWith('in') ? 'in' : unit.startsWith('c') ? 'cm' : unit}2`,
    );

/** A plain number, "3/4", "1 1/2", "1.5" or "1,5". Null when it is none of these. */
function readNumber(text: string): number | null {
  const mixed = /^(\d+)\s+(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (mixed)
    return Number(mixed[3]) === 0 ? null : Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3]);
  const fraction = /^(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (fraction) return Number(fraction[2]) === 0 ? null : Number(fraction[1]) / Number(fraction[2]);
  if (/^(\d+([.,]\d*)?|[.,]\d+)$/.test(text)) return Number(text.replace(',', '.'));
  return null;
}

const example: Record<Dimension, string> = {
  length: '20 cm, 8 in or 3/4 in',
  mass: '250 g, 1.2 kg or 2 lb 3 oz',
  volume: '300 mL or 1 1/2 cups',
  temperature: '180 C or 350 F',
  time: '35 min or 1 h 20 min',
  count: '12',
  share: '15 %',
  density: '0.95',
  area: '120 cm2 or 18 sq in',
  pressure: '300',
  money: '2.40',
};

/**
 * Reads what a person typed: "8in", "20 cm", "3/4 in", "1 1/2 cups", "2 lb 3 oz", "1 h 20 min".
 * A bare number is taken in the unit that the field shows (its `kind` in `system`).
 *
 * @param shownIn unit of the figure that the field shows now: a bare number is in that
 * @param densityGPerMl lets a mass field take a volume ("2 cups") and the other way round
 * @returns the value in mm, g, mL, C or min, or a problem to show at the field
 */
export function parseQuantity(
  typed: string,
  kind: Kind,
  system: UnitSystem,
  densityGPerMl?: number,
  shownIn?: string,
): Parsed {
  const wanted = dimensionOf[kind];
  const fail = (problem: string): Parsed => ({ ok: false, problem });
  let text = typed.trim().toLowerCase();
  text = text.replace(vulgar, (sign) => ` ${sign.normalize('NFKC')}`);
  text = areaWords(text)
    .trim()
    .replace(/\s+/g, ' ')
    .replaceAll('⁄', '/')
    .replace(/(\d)-(\d+\/\d+)/g, '$1 $2');
  if (text === '') return fail(`Type a quantity, for instance ${example[wanted]}.`);
  if (wanted === 'money') text = text.replace(system.currency.toLowerCase(), '').trim();
  const negative = /^[-−]/.test(text);
  if (negative) text = text.slice(1).trim();
  // what stands before tenths in one country stands before thousands in the next
  const other = system.decimal === '.' ? ',' : '.';
  const [otherName, ownName] = other === ',' ? ['comma', 'point'] : ['point', 'comma'];
  const thousands = new RegExp(`(^|[^\\d.,])\\d{1,3}\\${other}\\d{3}(?!\\d)`);
  if (thousands.test(text))
    return fail(
      `“${typed.trim()}” can be read two ways. Leave the ${otherName} out, or use a ${ownName}.`,
    );

  const clock = /^(\d+):([0-5]\d)$/.exec(text);
  if (clock && wanted === 'time')
    return { ok: true, value: Number(clock[1]) * 60 + Number(clock[2]) };

  // number, then an optional unit, as often as they come: "2 lb 3 oz"
  const piece = /^((?:\d+ )?\d+ ?\/ ?\d+|\d+[.,]?\d*|[.,]\d+)\s*([a-z°%"″”./]+[\d]?)?\s*/;
  let total = 0;
  let pieces = 0;
  let rest = text;
  while (rest !== '') {
    const match = piece.exec(rest);
    if (!match?.[1]) return fail(`“${typed.trim()}” is not a quantity. Try ${example[wanted]}.`);
    const number = readNumber(match[1].trim());
    if (number === null || !Number.isFinite(number))
      return fail(`“${match[1].trim()}” is not a number.`);
    const name = match[2] ?? (pieces === 0 ? bareUnit(kind, system, shownIn) : null);
    rest = rest.slice(match[0].length);
    if (name === null) {
      if ((wanted !== 'count' && wanted !== 'money') || pieces > 0)
        return fail(`Which unit is the ${match[1].trim()} in?`);
      total += number;
    } else {
      const unit = units.get(name) ?? units.get(name.replace(/\.$/, ''));
      if (!unit) return fail(`“${name}” is not a unit known here. Try ${example[wanted]}.`);
      const base = unit.toBase(number, system);
      if (unit.dimension === wanted) total += base;
      else if (wanted === 'mass' && unit.dimension === 'volume' && densityGPerMl)
        total += base * densityGPerMl;
      else if (wanted === 'volume' && unit.dimension === 'mass' && densityGPerMl)
        total += base / densityGPerMl;
      else return fail(`A ${wanted} is wanted here, and “${name}” measures ${unit.dimension}.`);
    }
    pieces += 1;
  }
  // a temperature below zero is a temperature: convert it after the sign
  if (negative && wanted === 'temperature' && system.temperature === 'F' && !/c/.test(text))
    total = ((-((total * 9) / 5 + 32) - 32) * 5) / 9;
  else if (negative) total = -total;
  return { ok: true, value: total };
}
