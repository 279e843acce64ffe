import { prepFor, preparedFrom } from '../pantry/prepared.ts';
import type { Food, FoodPrep, Kitchen, PrepWay } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import { prepareLine, type Line, type OperationKind } from '../workflow/operation.ts';
import { holdsCaution } from './holds-caution.ts';
import { fromNoLoad, ovenCaution, step, type Amount, type Step } from './steps.ts';

const wayWords: Record<PrepWay, string> = {
  wash: 'Wash it in standing water, no longer than it takes, and lift it out.',
  peel: 'Peel it.',
  hull: 'Stalks, leaves and stones off, after the washing and not before.',
  toast: 'Toasted and cold.',
  cut: 'Cut it, each piece as large as the others.',
  grind:
    'Grind it in short bursts, with a spoon of the recipe’s sugar: {lots}; warm or too much at once it turns to paste.',
  grate: 'Grate it, and weigh it then.',
  mash: 'Mash it just before it is used: it browns.',
  sugar: 'Strew the sugar on, turn it over once, and let it draw.',
  soak: 'Pour the hot water over it, cover, and let it drink.',
};
const done: Partial<Record<PrepWay, string>> = {
  wash: 'Dry: spread on a cloth, a bead of water no more',
  sugar: 'Drained, its juice kept for a syrup',
  soak: 'Drained and dried on a cloth, or it sinks and weeps',
};
const kindOf = (ways: readonly PrepWay[]): OperationKind =>
  ways.includes('sugar')
    ? 'macerate'
    : ways.includes('soak')
      ? 'soak'
      : ways.includes('grind')
        ? 'grind'
        : 'prepare';
const verbs: Partial<Record<OperationKind, string>> = {
  macerate: 'Sugar',
  soak: 'Soak',
  grind: 'Grind',
};
const smallKnife = phrase(
  'Knife, peeler or grater: board on a damp cloth, fingertips drawn in, and the last bit left over rather than grated.',
);
const blade = phrase(
  'The blade is out of the bowl before anything is scraped out, and never lies in the washing-up water.',
);
/** Ways that take a knife or a grater. */
const sharp: readonly PrepWay[] = ['peel', 'hull', 'cut', 'grate'];
/** Loads of one batter are baked within this, min. */
const keepsForLoadsMin = 12 * 60;
/** Water just off the boil, C. */
const hotWaterC = 95;

/** What one line of work takes of an ingredient that is made ready for it. */
interface Wanted {
  food: Food;
  prep: FoodPrep;
  massG: number;
  /** The first step that takes it. */
  before: Step;
  line: Line;
}

/**
 * Fruit washed and cut, dried fruit soaked: each for the work that takes it, so that what weeps is
 * made ready for the cake it goes on and not for one of the day after. Returned with the step that
 * each comes before.
 */
export function prepareSteps(
  sheet: readonly Step[],
  { foods, kitchen }: { foods: readonly Food[]; kitchen: Kitchen },
): { before: string; steps: Step[] }[] {
  const prepped = new Map(foods.flatMap((food) => (food.prep ? [[food.id, food]] : [])));
  const found = new Map<string, Wanted>();
  for (const one of sheet)
    for (const { foodId, massG, inRecipe } of one.takes) {
      const food = prepped.get(foodId ?? '');
      const prep = prepFor(food?.prep, inRecipe);
      if (!food || !prep) continue;
      // what comes at the last moment is made ready for that moment
      const last = one.chapter === 'Serve';
      // what keeps is made ready once for all loads of the oven
      const forLoads = one.line.load !== null && (prep.mostMin ?? Infinity) >= keepsForLoadsMin;
      const line = prepareLine(food.id, { lineId: forLoads ? null : one.line.id, last });
      const key = line.id;
      const known = found.get(key);
      if (known) known.massG += massG;
      else found.set(key, { food, prep, massG, before: one, line });
    }
  const roadAt = sheet.findIndex(({ kind }) => kind === 'drive');
  // what is put on when it is there is made ready before it leaves
  const beforeRoad = (one: Step): Step =>
    roadAt >= 0 && sheet.indexOf(one) > roadAt ? sheet[roadAt]! : one;
  return [...found.values()].map((wanted) => ({
    before: beforeRoad(wanted.before).key,
    steps: [...toastSteps(wanted, kitchen), prepareStep(wanted, foods, kitchen)],
  }));
}

/** Nuts are toasted on a tray at so many degrees for so long, and cool before they are ground, min (trade custom). */
const toasting = { ovenC: 160, minutes: 10, coolMin: 30 };

/** Toasted in the oven and cold again: what is ground warm turns to paste. None for what is not toasted. */
function toastSteps({ food, prep, massG, line }: Wanted, { preheatMin }: Kitchen): Step[] {
  if (!prep.ways.includes('toast')) return [];
  const name = food.name.toLowerCase();
  const { ovenC, minutes, coolMin } = toasting;
  return [
    step(`${line.id}/toast`, 'toast', 'Bowls', `Toast: ${name}`, 3, {
      lead: phrase(
        'Spread one deep on a tray, stirred once. From pale to too dark is two minutes.',
      ),
      amounts: [
        {
          label: 'as bought',
          value: preparedFrom(massG, prep).boughtG,
          kind: 'bowl',
          figure: null,
        },
        { label: 'oven', value: ovenC, kind: 'temperature', figure: null },
      ],
      checks: ['Pale gold inside when one is cut, and it smells'],
      cautions: [ovenCaution],
      hazards: ['oven'],
      hotC: ovenC,
      oven: { minutes, leadMin: preheatMin, ...fromNoLoad },
      timer: { label: `toast ${name}`, minutes, lookMin: minutes - 2 },
      beside: true,
      line,
    }),
    step(`${line.id}/cool`, 'put in', 'Bowls', `Let the ${name} cool`, 1, {
      lead: phrase('Off the hot tray onto a cold one: {time}.', { time: [coolMin, 'minutes'] }),
      timer: { label: name, minutes: coolMin, lookMin: null },
      hold: { place: 'bench', highMm: 0, spoils: false },
      beside: true,
      line,
    }),
  ];
}

/** One more lot in the processor takes so long, min (estimate). */
const lotMin = 2;

function prepareStep(
  { food, prep, massG, line }: Wanted,
  foods: readonly Food[],
  { processorG }: Kitchen,
): Step {
  const { boughtG, inG, readyG } = preparedFrom(massG, prep);
  const isGround = prep.ways.includes('grind');
  const lots = isGround ? Math.max(1, Math.ceil(readyG / processorG - 1e-9)) : 1;
  const kind = kindOf(prep.ways);
  const isHot = kind === 'soak';
  const amounts: Amount[] = [
    { label: 'as bought', value: boughtG, kind: 'bowl', figure: null },
    ...(inG > 0
      ? [
          {
            label: isHot ? 'hot water' : 'sugar',
            value: inG,
            kind: 'bowl' as const,
            figure: null,
          },
        ]
      : []),
    { label: 'ready', value: readyG, kind: 'bowl', figure: null },
  ];
  return step(
    line.id,
    kind,
    'Bowls',
    `${verbs[kind] ?? 'Make ready'}: ${food.name.toLowerCase()}`,
    Math.max(1, (prep.minPer100G * massG) / 100) + (lots - 1) * lotMin,
    {
      lead: phrase(
        `${prep.ways.map((way) => wayWords[way].replace('{lots}', lots === 1 ? 'all at once' : `${lots} lots of {each}`)).join(' ')}${prep.mostMin === null ? '' : ' Used within {most}.'}`,
        { most: [prep.mostMin ?? 0, 'minutes'], each: [readyG / lots, 'small'] },
      ),
      amounts,
      takes: [
        { name: food.name, foodId: food.id, massG: boughtG, inRecipe: false },
        ...(inG > 0 && !isHot
          ? [{ name: 'sugar', foodId: 'caster-sugar', massG: inG, inRecipe: false }]
          : []),
      ],
      checks: [...prep.ways.flatMap((way) => done[way] ?? []), 'Weighed once it is ready'],
      cautions: [
        ...(prep.ways.some((way) => sharp.includes(way)) ? [smallKnife] : []),
        ...(isGround ? [blade] : []),
        ...holdsCaution({ name: food.name, foodId: food.id, allergens: [] }, foods).filter(
          () => food.allergens.length > 0 || !food.declared,
        ),
      ],
      hazards: [
        ...(prep.ways.some((way) => sharp.includes(way)) ? (['knife'] as const) : []),
        ...(isHot ? (['steam'] as const) : []),
        ...(isGround ? (['running machine'] as const) : []),
      ],
      ...(isHot ? { hotC: hotWaterC } : {}),
      beside: true,
      timer:
        prep.leastMin > 0
          ? { label: food.name, minutes: Math.round(prep.leastMin), lookMin: null }
          : null,
      keepsMin: prep.mostMin,
      line,
    },
  );
}
