import { allergenList, hex, name, outline } from '../document/common-fields.ts';
import { limits } from '../document/limits.ts';
import { otherFluids } from '../drip/fluid.ts';
import type { TestDrip } from '../drip/test-drip.ts';
import {
  figure,
  flag,
  id,
  isoTime,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
  wordsLike,
} from '../fields/field.ts';
import { hazards } from './hazards.ts';
import { pantryLimits } from './limits.ts';
import { common } from './row-fields.ts';
import { coolPlaces, usualMakeMin, type FoodPiece, type RecipeHold } from './types.ts';
import {
  keepingClasses,
  prepWays,
  stockPlaces,
  tones,
  traits,
  type CocoaParts,
  type Food,
  type FoodPrep,
  type Ganache,
  type GelSpot,
  type Ingredient,
  type Recipe,
  type Spread,
  type Stock,
} from './types.ts';

/* What is eaten: from the ingredient to what is put away. */

const at = pantryLimits;

export const spread = record<Spread>({
  ...common(),
  densityGPerMl: figure(at.densityGPerMl).called('density'),
  stress21Pa: figure(at.stressPa).called('stiffness in the room', 'yield stress at 21 °C'),
  stress4Pa: figure(at.stressPa).called('stiffness cold', 'yield stress at 4 °C'),
  canFill: flag(),
  canCoat: flag(),
  keeping: oneOf(keepingClasses),
  tone: oneOf(tones),
  recipeId: id().called('recipe'),
  mixerShare: orNull(figure(at.mixerShare)).called(
    'fills the mixer to',
    'finished volume over bowl; empty when it is made in a pan',
  ),
  panShare: orNull(figure(at.mixerShare))
    .called('fills the pan to', 'of what is cooked; caramel foams and wants room')
    .since(4),
});

export const recipe = record<Recipe>({
  ...common(),
  yieldG: figure(at.yieldG).called('yields'),
  ingredients: list(
    record<Ingredient>({
      name: name(),
      massG: figure(at.ingredientG).called('weight'),
      pieceG: figure({ min: 1, max: 2000 }).called('weight of one piece').orMissing(),
      allergens: allergenList(),
      foodId: orNull(id()).called('ingredient').since(4),
      recipeId: orNull(id()).called('recipe').since(4),
    }),
    60,
    1,
    'has no ingredients',
  ),
  steps: list(words(400), 40),
  bake: orNull(
    record<NonNullable<Recipe['bake']>>({
      ovenC: figure(at.ovenC),
      minutes: figure(at.bakeMin),
      tinMm: figure(at.bakeTinMm),
      depthMm: figure(at.bakeDepthMm),
    }),
  ),
  caution: orNull(words(600)),
  hazards: list(oneOf(hazards), hazards.length).since(8),
  hottestC: orNull(figure(at.hottestC)).since(8),
  holds: orNull(
    list(
      record<RecipeHold>({
        after: wholeFigure(at.holdAfter),
        fromC: orNull(figure(at.hottestC)),
        toC: orNull(figure(at.holdToC)),
        where: oneOf(coolPlaces),
        leastMin: figure(at.holdMin),
        mostMin: orNull(figure(at.holdMin)),
      }).rule(
        'hold',
        'waits at least longer than it may at most',
        (hold) => hold.mostMin === null || hold.leastMin <= hold.mostMin,
      ),
      8,
    ),
  ).since(10),
  makeMin: figure(at.makeMin)
    .called('minutes of work', 'for one mixing of it')
    .usually(usualMakeMin)
    .since(13),
  soakGPerMl: orNull(figure(at.soakGPerMl))
    .called('a soak weighs', 'for what is brushed on layers; empty for what is not')
    .since(13),
}).rule('yield', 'yields more than its ingredients weigh', (recipe) => {
  if (!Array.isArray(recipe.ingredients)) return true;
  const total = recipe.ingredients.reduce((sum, i) => sum + (i?.massG ?? 0), 0);
  return recipe.yieldG <= total + 0.5;
});

/** One of an ingredient as it is set on a cake. */
export const foodPiece = record<FoodPiece>({
  massG: figure(limits.pieceG).called('weight of one').usually(4),
  acrossMm: figure(limits.pieceMm).called('across').usually(20),
  highMm: figure(limits.pieceMm).called('height').usually(20),
  tone: oneOf(tones).usually('berry'),
  last: flag().called('put on at the last moment').usually(true),
  crispMm: orNull(figure(limits.crispMm)).called('thickness of what is crisp'),
});

/** A gel: white frosting made pink by ten grams to the kilogram, until somebody tried it. */
export const gelSpot = record<GelSpot>({
  onHex: hex().usually('#fbf9f3'),
  hex: hex().usually('#e5609a'),
  gPerKg: figure(limits.gelGPerKg).called('gel to the kilogram').usually(10),
});

export const food = record<Food>({
  ...common(),
  aliases: list(name(), 20),
  cupG: orNull(figure(at.cupG)).called('a cup weighs', 'of 237 mL, spooned and levelled'),
  cupSiftedG: orNull(figure(at.cupG)).called('sifted', 'a cup of it sifted first'),
  cupScoopedG: orNull(figure(at.cupG)).called('scooped', 'a cup dipped into it'),
  pieceG: orNull(figure(at.pieceG)).called('one weighs'),
  boughtAs: orNull(id()).called('bought as'),
  waterShare: figure(at.partShare).called('water'),
  fatShare: figure(at.partShare).called('fat'),
  sugarShare: figure(at.partShare).called('sugar'),
  saltShare: figure(at.partShare).called('salt'),
  alcoholShare: figure(at.partShare).called('alcohol', 'pure, of its weight').since(13),
  bloom: orNull(figure(at.bloom))
    .called('bloom', 'strength of a gelatine by its grade; empty for what is none')
    .since(14),
  allergens: allergenList(),
  mayContain: allergenList(),
  traits: list(oneOf(traits), traits.length),
  declared: flag().since(8),
  packG: orNull(figure(at.packG)).called('a pack holds'),
  price: orNull(figure(at.price)).called('a pack costs'),
  stockG: figure(at.stockG).called('in stock'),
  keepsDays: orNull(wholeFigure(at.keepsDays)).called(
    'keeps, days',
    'once bought; empty when it outlasts any cake',
  ),
  cocoa: orNull(
    record<CocoaParts>({
      butter: figure(at.partShare),
      nonFat: figure(at.partShare),
      milkSolids: figure(at.partShare),
      milkFat: figure(at.partShare),
      otherFat: figure(at.partShare),
    }).rule(
      'cocoa parts',
      'is made of more than the whole: cocoa, milk and other fat come to over 100 %',
      ({ butter, nonFat, milkSolids, milkFat, otherFat }) =>
        !(
          Number(butter) +
            Number(nonFat) +
            Number(milkSolids) +
            Number(milkFat) +
            Number(otherFat) >
          1.0001
        ),
    ),
  ).since(5),
  prep: orNull(
    record<FoodPrep>({
      ways: list(oneOf(prepWays), prepWays.length, 1, 'is made ready in no way'),
      minPer100G: figure(at.prepMin),
      leftShare: figure(at.leftShare),
      inShare: figure(at.inShare),
      drainedShare: figure(at.drainedShare),
      leastMin: figure(at.holdMin),
      mostMin: orNull(figure(at.holdMin)),
    }).rule(
      'ready',
      'waits at least longer than it may at most',
      (prep) => prep.mostMin === null || prep.leastMin <= prep.mostMin,
    ),
  ).since(11),
  piece: orNull(foodPiece).since(14),
  gel: orNull(gelSpot).since(18),
}).rule(
  'parts',
  'is made of more than the whole: water, fat, sugar, salt and alcohol come to over 100 %',
  ({ waterShare, fatShare, sugarShare, saltShare, alcoholShare }) =>
    !(
      Number(waterShare) +
        Number(fatShare) +
        Number(sugarShare) +
        Number(saltShare) +
        Number(alcoholShare) >
      1.0001
    ),
);

export const ganache = record<Ganache>({
  ...common(),
  fluid: oneOf(['ganache', ...otherFluids]),
  chocolateId: orNull(id()).called('chocolate'),
  creamId: orNull(id()).called('cream'),
  ratio: figure(at.ganacheRatio).called(
    'chocolate to one of cream',
    'by weight; nothing for what holds no cream',
  ),
  butterShare: figure(at.partShare).called('butter', 'of the chocolate’s weight'),
  syrupShare: figure(at.partShare).called('syrup', 'of the chocolate’s weight'),
  sugarShare: figure(at.partShare).called('sugar', 'dry, of the chocolate’s weight'),
  spreadId: orNull(id()).called('filling or frosting'),
  tests: list(
    record<TestDrip>({
      massG: figure(at.testG),
      fluidC: figure(at.testC),
      coatC: figure(at.testC),
      lengthMm: figure(at.testMm),
      afterS: figure(at.testS),
      ratio: figure(at.ganacheRatio),
      at: orNull(isoTime()),
    }).rule(
      'warmer than its coat',
      'is colder than the coat it ran over',
      (test) => !(Number(test.fluidC) < Number(test.coatC)),
    ),
    at.tests.max,
  ),
}).rule(
  'made of something',
  'needs a chocolate and a cream, or a filling that it is',
  ({ fluid, chocolateId, creamId, spreadId }) =>
    fluid === 'ganache'
      ? chocolateId !== null && creamId !== null
      : chocolateId !== null || spreadId !== null,
);

export const stock = record<Stock>({
  ...common(),
  madeOfId: id(),
  layer: orNull(
    record<NonNullable<Stock['layer']>>({
      outline: outline,
      heightMm: figure(at.stockLayerMm),
    }),
  ),
  amount: figure(at.stockAmount),
  keptIn: oneOf(stockPlaces),
  madeOn: wordsLike(/^\d{4}-\d{2}-\d{2}$/, 10, 'must be a day, as 2027-05-03'),
  taken: list(
    record<Stock['taken'][number]>({ buildId: id(), amount: figure(at.takenAmount) }),
    at.takers.max,
  ),
}).rule(
  'whole layers',
  'counts layers, which are whole',
  ({ layer, amount }) => layer === null || Number.isInteger(amount),
);
