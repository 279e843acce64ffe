import { isPerishable } from '../bench/perishable.ts';
import { foodOf } from '../pantry/find.ts';
import type { Food, Kitchen, Recipe, Spread } from '../pantry/types.ts';
import { dissolve } from '../recipes/parts.ts';
import { dimensionOf } from '../units/kinds.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import type { Kind } from '../units/kinds.ts';
import { bowlMinutes, minutesTo } from '../heat/cool-bowl.ts';

export const faults = [
  'too stiff',
  'too soft',
  'too sweet',
  'split',
  'grainy',
  'over-whipped',
  'too warm',
] as const;
export type Fault = (typeof faults)[number];

/** Stiffness in words, as a share of what it should be. */
export const stiffnesses = {
  'a little': 1.6,
  much: 3,
  'very much': 6,
} as const;
export type HowMuch = keyof typeof stiffnesses;

export interface PutRightQuestion {
  fault: Fault;
  by: HowMuch;
  massG: number;
  /** Temperature of the bowl now, C. */
  tempC: number;
  spread: Spread;
  recipe: Recipe;
  recipes: readonly Recipe[];
  foods: readonly Food[];
  kitchen: Kitchen;
}

/** One thing to do, with its amount worked out for this bowl. */
export interface Remedy {
  title: string;
  todo: Phrase;
  amount: { value: number; kind: Kind; label: string } | null;
  /** What went into the amount, in words. */
  why: Phrase;
}
export interface PutRight {
  cause: Phrase;
  remedies: Remedy[];
  caution: Phrase | null;
}

/** A percent of milk or cream softens by about a fifth, one of icing sugar stiffens by a fifteenth (estimates). */
const softensBy = 0.2;
const stiffensBy = 0.07;
/** Heat capacity of frostings, kJ/kgK, and the warmth at which they are worked, C. */
const capacityKJ = 2.4;
const workC = 20;
const meltC = 45;

/** Share of sugar in a recipe, by the ingredients that are known. */
export function sugarShareOf(
  recipe: Recipe,
  recipes: readonly Recipe[],
  foods: readonly Food[],
): number {
  const lines = dissolve(recipe, recipe.yieldG, recipes);
  const total = lines.reduce((sum, line) => sum + line.massG, 0);
  const sugar = lines.reduce(
    (sum, line) => sum + line.massG * (foodOf(foods, line.foodId)?.sugarShare ?? 0),
    0,
  );
  return total > 0 ? sugar / total : 0;
}

/** Grams of liquid that bring a frosting from one stiffness to a lower one; 0 where it is soft enough. */
export const liquidToSoften = (massG: number, times: number): number =>
  (massG * Math.max(0, Math.log(times))) / (100 * softensBy);

/** Grams of icing sugar that bring it to a higher one. */
export const sugarToStiffen = (massG: number, times: number): number =>
  (massG * Math.max(0, Math.log(times))) / (100 * stiffensBy);

/** Grams of something unsweetened that bring the share of sugar from one to a lower one. */
export const unsweetenedToAdd = (massG: number, now: number, wanted: number): number =>
  wanted > 0 && now > wanted ? massG * (now / wanted - 1) : 0;

/** Grams to take out, melt to 45 C and beat back in, to warm the whole to a temperature. */
export const meltToWarm = (massG: number, fromC: number, toC: number): number =>
  toC <= fromC ? 0 : (massG * (toC - fromC)) / (meltC - fromC);

/** Temperature at which a spread is `times` as stiff as at `tempC`, by its own table. */
function tempForStress(spread: Spread, tempC: number, times: number): number {
  const slope = Math.log(spread.stress4Pa / spread.stress21Pa) / 17;
  return slope > 1e-6 ? tempC - Math.log(times) / slope : Number.NaN;
}

const isCream = (spread: Spread): boolean =>
  spread.keeping.includes('cream') && spread.densityGPerMl < 0.7;
const isSugarButter = (spread: Spread): boolean => spread.keeping.startsWith('sugar buttercream');

/** Likely cause, what to do, and how much of it for this very bowl. */
/** More than this of the bowl is not added to mend it. */
const mostAdded = 0.5;

const makeAnew = (q: PutRightQuestion): Remedy => ({
  title: 'Make it anew',
  todo: phrase(
    'What it would take to mend it is more than half of what is there: it becomes another frosting. Keep this one for fillings or crumbs.',
  ),
  amount: { value: q.massG, kind: 'bowl', label: 'to make' },
  why: phrase('Mending adds at most half of the bowl.'),
});

export function putRight(q: PutRightQuestion): PutRight {
  const times = stiffnesses[q.by];
  const caution = isPerishable(q.spread)
    ? phrase(
        'Perishable: count the minutes it stands out; usual guidance is 2 h in all. Your local food code decides.',
      )
    : null;
  const answer = answers[q.fault](q, times);
  // what would take half the bowl again makes another frosting of it
  const worth = answer.remedies.filter(
    ({ amount }) =>
      amount === null || dimensionOf[amount.kind] !== 'mass' || amount.value <= mostAdded * q.massG,
  );
  const remedies = worth.length > 0 || answer.remedies.length === 0 ? worth : [makeAnew(q)];
  return { ...answer, remedies, caution };
}

const fridge = (q: PutRightQuestion) => ({ tempC: q.kitchen.fridgeC, surfaceW: q.kitchen.fridgeW });
const tau = (q: PutRightQuestion, surfaceW: number): number =>
  bowlMinutes(q.massG, q.spread.densityGPerMl, capacityKJ, surfaceW);

function chill(q: PutRightQuestion, toC: number, why: string): Remedy | null {
  const minutes = minutesTo(q.tempC, toC, fridge(q), tau(q, q.kitchen.fridgeW));
  if (minutes === null) return null;
  return {
    title: 'Chill it',
    todo: phrase(
      'In the fridge, scraped from the side and stirred every five minutes, until it is at {to}; then beat it.',
      {
        to: [toC, 'temperature'],
      },
    ),
    amount: { value: minutes, kind: 'minutes', label: 'in the fridge' },
    why: phrase(`${why} The bowl loses heat as half a ball of its size, stirred.`, {
      from: [q.tempC, 'temperature'],
      to: [toC, 'temperature'],
      mass: [q.massG, 'bowl'],
    }),
  };
}
const some = (...remedies: (Remedy | null)[]): Remedy[] => remedies.filter((r) => r !== null);

function warm(q: PutRightQuestion, toC: number, why: string): Remedy | null {
  const massG = meltToWarm(q.massG, q.tempC, toC);
  if (massG <= 0) return null;
  return {
    title: 'Warm a part of it',
    todo: phrase('Take it out, melt it to {melt}, and beat it back in: the whole comes to {to}.', {
      melt: [meltC, 'temperature'],
      to: [toC, 'temperature'],
    }),
    amount: { value: massG, kind: 'bowl', label: 'to melt' },
    why: phrase(`${why} What is melted brings its warmth: mass times degrees is kept.`, {
      from: [q.tempC, 'temperature'],
      to: [toC, 'temperature'],
    }),
  };
}

const answers: Record<Fault, (q: PutRightQuestion, times: number) => Omit<PutRight, 'caution'>> = {
  'too stiff': (q, times) => {
    const cold = q.tempC < workC - 1;
    const liquidG = liquidToSoften(q.massG, times);
    return {
      cause: phrase(
        cold
          ? 'It is cold: fat sets below {work}.'
          : 'Too much sugar or fat for its liquid, or it has dried.',
        { work: [workC, 'temperature'] },
      ),
      remedies: some(cold ? warm(q, workC, 'From {from} to {to}.') : null, {
        title: isCream(q.spread) ? 'Fold in liquid cream' : 'Loosen it with milk or cream',
        todo: phrase('In three parts, beaten in each time; stop when a spoon leaves a soft peak.'),
        amount: { value: liquidG, kind: 'small', label: 'milk or cream' },
        why: phrase(
          'Each percent of liquid softens it by about a fifth: {liquid} on {mass}. An estimate; your own note corrects it.',
          {
            liquid: [liquidG, 'small'],
            mass: [q.massG, 'bowl'],
          },
        ),
      }),
    };
  },
  'too soft': (q, times) => {
    const toC = tempForStress(q.spread, q.tempC, times);
    const useful = toC > q.kitchen.fridgeC + 1 && toC < q.tempC;
    const sugarG = sugarToStiffen(q.massG, times);
    return {
      cause: phrase(
        q.tempC > workC + 2
          ? 'It is warm: its fat softens above {work}.'
          : 'Too much liquid, or not beaten enough.',
        { work: [workC, 'temperature'] },
      ),
      remedies: some(
        useful
          ? chill(q, toC, 'By its own stiffness at 4 and 21 °C it is as stiff as wanted at {to}.')
          : null,
        isSugarButter(q.spread) || q.spread.keeping.startsWith('yolk')
          ? {
              title: 'Sift in icing sugar',
              todo: phrase(
                'In two parts; it also makes it sweeter. A pinch of salt evens that out.',
              ),
              amount: { value: sugarG, kind: 'small', label: 'icing sugar' },
              why: phrase(
                'Each percent of sugar stiffens it by about seven hundredths: {sugar} on {mass}. An estimate.',
                {
                  sugar: [sugarG, 'small'],
                  mass: [q.massG, 'bowl'],
                },
              ),
            }
          : null,
        isCream(q.spread)
          ? {
              title: 'Set it with gelatine',
              todo: phrase(
                'Soaked in five times its weight of water, melted, stirred into a spoonful, then all of it.',
              ),
              amount: { value: q.massG * 0.009, kind: 'fineMass', label: 'gelatine' },
              why: phrase('0.9 % of the cream, by trade custom. Not for vegetarians.'),
            }
          : null,
      ),
    };
  },
  'too sweet': (q) => {
    const now = sugarShareOf(q.recipe, q.recipes, q.foods);
    const wanted = now * 0.85;
    const addG = unsweetenedToAdd(q.massG, now, wanted);
    return {
      cause: phrase('{now} of it is sugar.', { now: [now, 'share'] }),
      remedies: some(
        now > 0
          ? {
              title: q.spread.keeping.startsWith('yolk')
                ? 'Beat in cream cheese'
                : 'Beat in soft butter',
              todo: phrase(
                'At {work}, in parts: it brings the sugar to {wanted}, a step that is tasted.',
                {
                  work: [workC, 'temperature'],
                  wanted: [wanted, 'share'],
                },
              ),
              amount: { value: addG, kind: 'bowl', label: 'unsweetened' },
              why: phrase('Mass of sugar is kept: {mass} at {now} is diluted to {wanted}.', {
                mass: [q.massG, 'bowl'],
                now: [now, 'share'],
                wanted: [wanted, 'share'],
              }),
            }
          : null,
        {
          title: 'Salt and sour first',
          todo: phrase('Fine salt, tasted, and as much lemon juice as takes the edge off.'),
          amount: { value: q.massG * 0.002, kind: 'fineMass', label: 'fine salt' },
          why: phrase('Two thousandths of the bowl, by trade custom.'),
        },
      ),
    };
  },
  split: (q) => {
    const cold = q.tempC < workC;
    const toC = 22;
    return {
      cause: phrase(
        cold
          ? 'The fat is too cold to take the water in: at {from} it stays in grains.'
          : 'It is too warm, or took its liquid too fast: fat and water have parted.',
        { from: [q.tempC, 'temperature'] },
      ),
      remedies: some(
        cold ? warm(q, toC, 'From {from} to {to}.') : chill(q, 18, 'From {from} to {to}.'),
        q.spread.id.includes('ganache')
          ? {
              title: 'Stir in warm cream',
              todo: phrase(
                'From the middle outwards, a spoon at a time, with a stick blender if there is one.',
              ),
              amount: { value: q.massG * 0.05, kind: 'small', label: 'cream' },
              why: phrase(
                'A ganache parts when its fat is too much for its water; a twentieth of cream brings it back.',
              ),
            }
          : null,
      ),
    };
  },
  grainy: (q) => ({
    cause: phrase(
      q.spread.id.includes('ganache')
        ? 'It was stirred while it set, or whipped too long.'
        : 'Sugar that has not dissolved, or fat that was cold.',
    ),
    remedies: some(warm(q, 24, 'From {from} to {to}.'), {
      title: 'Give the sugar something to dissolve in',
      todo: phrase('Stir it in, let it rest for a quarter of an hour under film, and beat again.'),
      amount: { value: q.massG * 0.02, kind: 'small', label: 'warm milk or cream' },
      why: phrase('Two percent of the bowl, by trade custom.'),
    }),
  }),
  'over-whipped': (q, times) => {
    const addG = q.massG * Math.min(0.3, 0.05 + 0.03 * times);
    return {
      cause: phrase('Beaten past its peak: the fat has begun to clump.'),
      remedies: [
        {
          title: q.spread.id.includes('ganache')
            ? 'Melt it and start again'
            : 'Fold in liquid cream',
          todo: phrase(
            q.spread.id.includes('ganache')
              ? 'To {melt} over water, cool to {cold}, and whip it less.'
              : 'Cold, unwhipped, by hand and no longer than it takes. Past clumps it is butter.',
            { melt: [meltC, 'temperature'], cold: [10, 'temperature'] },
          ),
          amount: q.spread.id.includes('ganache')
            ? { value: q.massG, kind: 'bowl', label: 'all of it' }
            : { value: addG, kind: 'small', label: 'cold liquid cream' },
          why: phrase('{add} on {mass}: more the further it has gone. An estimate.', {
            add: [addG, 'small'],
            mass: [q.massG, 'bowl'],
          }),
        },
      ],
    };
  },
  'too warm': (q) => ({
    cause: phrase('At {from} its fat is soft: a coat of it slides.', {
      from: [q.tempC, 'temperature'],
    }),
    remedies: some(chill(q, workC, 'From {from} to {to}.')),
  }),
};
