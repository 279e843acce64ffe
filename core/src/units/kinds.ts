/**
 * What a figure measures and how finely it is shown. Inside the program a length is always in
 * millimetres, a mass in grams, a volume in millilitres, a temperature in degrees Celsius and a
 * time in minutes; a kind only decides the unit and the rounding that people see and type.
 */
export type Dimension =
  | 'length'
  | 'mass'
  | 'volume'
  | 'temperature'
  | 'time'
  | 'count'
  | 'share'
  | 'density'
  | 'area'
  | 'pressure'
  | 'money';

export type Kind =
  | 'size' // finished sizes: half centimetres or quarter inches
  | 'span' // figures on a drawing: millimetres in cm, or sixteenths
  | 'thickness' // layers and fillings: millimetres or sixteenths
  | 'fine' // crumbs of a cut, tilts: tenths of a millimetre, hundredths of an inch
  | 'bowl' // 5 g
  | 'small' // 1 g
  | 'fineMass' // colour, leavening: 0.1 g
  | 'weight' // a whole cake: 0.1 kg
  | 'volume' // 5 mL, or cups, tablespoons and teaspoons
  | 'temperature'
  | 'minutes'
  | 'count'
  | 'share'
  | 'density'
  | 'area'
  | 'pressure'
  | 'bearing' // what rests on a square of cake: grams to the square centimetre
  | 'factor'
  | 'margin' // how many times as much it bears: two digits, never rounded up
  | 'money'
  | 'outlay' // about what something costs: without pence
  | 'day'; // a date, by its days since 1970

export const dimensionOf: Record<Kind, Dimension> = {
  size: 'length',
  span: 'length',
  thickness: 'length',
  fine: 'length',
  bowl: 'mass',
  small: 'mass',
  weight: 'mass',
  fineMass: 'mass',
  volume: 'volume',
  temperature: 'temperature',
  minutes: 'time',
  count: 'count',
  share: 'share',
  density: 'density',
  area: 'area',
  pressure: 'pressure',
  bearing: 'pressure',
  factor: 'count',
  margin: 'count',
  money: 'money',
  outlay: 'money',
  day: 'count',
};

export const kinds = Object.keys(dimensionOf) as Kind[];

/** Which units a person reads and types. `cupMl` is the size of their cup (237 or 250 mL). */
export interface UnitSystem {
  length: 'cm' | 'in';
  mass: 'g' | 'oz';
  volume: 'mL' | 'cups';
  temperature: 'C' | 'F';
  cupMl: number;
  /** Whose spoons: 15 and 5 mL, those of an American cup, or 20 and 5 mL. */
  spoons: SpoonSchool;
  /** Sign that stands before prices. */
  currency: string;
  /** What stands before tenths, in what is shown and in what is typed. */
  decimal: '.' | ',';
  /** What of a date stands first. */
  dates: DateOrder;
}
export type DateOrder = 'dmy' | 'mdy' | 'ymd';

export const spoonSchools = ['metric', 'us', 'au'] as const;
export type SpoonSchool = (typeof spoonSchools)[number];
const spoons: Record<SpoonSchool, { tbsp: number; tsp: number }> = {
  metric: { tbsp: 15, tsp: 5 },
  us: { tbsp: 14.787, tsp: 4.929 },
  au: { tbsp: 20, tsp: 5 },
};
/** What a person's tablespoon and teaspoon hold, mL. */
export const spoonMl = (system: UnitSystem): { tbsp: number; tsp: number } => spoons[system.spoons];

export const metric: UnitSystem = {
  length: 'cm',
  mass: 'g',
  volume: 'mL',
  temperature: 'C',
  cupMl: 250,
  spoons: 'metric',
  currency: '€',
  decimal: '.',
  dates: 'dmy',
};
export const inchesAndOunces: UnitSystem = {
  length: 'in',
  mass: 'oz',
  volume: 'cups',
  temperature: 'F',
  cupMl: 237,
  spoons: 'us',
  currency: '€',
  decimal: '.',
  dates: 'dmy',
};

export const MM_PER_IN = 25.4;
export const G_PER_OZ = 28.349523125;
export const OZ_PER_LB = 16;
