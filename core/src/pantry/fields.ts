import { pantryLimits } from './limits.ts';
import { hazards } from './hazards.ts';
import { coolPlaces, type RecipeHold } from './types.ts';
import { allergenList, name, outline } from '../document/common-fields.ts';
import {
  byName,
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
  type Field,
} from '../fields/field.ts';
import { otherFluids } from '../drip/fluid.ts';
import type { TestDrip } from '../drip/test-drip.ts';
import {
  boardMaterials,
  dowelForms,
  keepingClasses,
  measurings,
  otherForms,
  prepWays,
  stockPlaces,
  tinForms,
  tones,
  traits,
  type Board,
  type CocoaParts,
  type Dowel,
  type Food,
  type FoodPrep,
  type Ganache,
  type Ingredient,
  type Kitchen,
  type OtherLayer,
  type Pantry,
  type PantryTable,
  type Recipe,
  type Source,
  type Spread,
  type Sponge,
  type Stock,
  type Tin,
} from './types.ts';

const sources: readonly Source[] = ['textbook', 'trade custom', 'estimate', 'own'];

const at = pantryLimits;

const ranges = () => byName<[number, number]>(null, 'must be an object');
const common = () => ({ id: id(), name: name(), source: oneOf(sources), ranges: ranges() });

const sponge = record<Sponge>({
  ...common(),
  batterDensityGPerMl: figure(at.batterDensityGPerMl),
  rise: figure(at.rise),
  ovenLoss: figure(at.ovenLoss),
  crownOverRadius: figure(at.crownOverRadius),
  minSliceMm: figure(at.minSliceMm),
  allowableKPa: figure(at.allowableKPa),
  waitMin: figure(at.waitMin),
  bareSides: flag(),
  soakMlPerMl: figure(at.soakMlPerMl),
  tone: oneOf(tones),
  recipeId: id(),
});

const spread = record<Spread>({
  ...common(),
  densityGPerMl: figure(at.densityGPerMl),
  stress21Pa: figure(at.stressPa),
  stress4Pa: figure(at.stressPa),
  canFill: flag(),
  canCoat: flag(),
  keeping: oneOf(keepingClasses),
  tone: oneOf(tones),
  recipeId: id(),
  mixerShare: orNull(figure(at.mixerShare)),
  panShare: orNull(figure(at.mixerShare)),
});

const tin = record<Tin>({
  ...common(),
  outline: outline,
  depthMm: figure(at.tinDepthMm),
  flareMm: figure(at.flareMm),
  owned: wholeFigure(at.owned),
  form: oneOf(tinForms),
  waterG: orNull(figure(at.waterG)),
}).rule(
  'mould',
  'is a mould: it needs the weight of the water it holds',
  (tin) => tin.form !== 'mould' || tin.waterG !== null,
);

const other = record<OtherLayer>({
  ...common(),
  form: oneOf(otherForms),
  thicknessMm: figure(at.otherMm),
  densityGPerMl: figure(at.densityGPerMl),
  allowableKPa: figure(at.allowableKPa),
  spreadMm: figure(at.spreadMm),
  ovenLoss: figure(at.otherLoss),
  bake: orNull(
    record<NonNullable<OtherLayer['bake']>>({
      ovenC: figure(at.ovenC),
      minutes: figure(at.bakeMin),
      dryMin: figure(at.dryMin),
    }),
  ),
  packCount: orNull(wholeFigure(at.packCount)),
  thawH: orNull(figure(at.thawH)),
  allergens: allergenList(),
  tone: oneOf(tones),
  recipeId: orNull(id()),
});

const board = record<Board>({
  ...common(),
  outline: outline,
  thicknessMm: figure(at.boardMm),
  massG: figure(at.boardG),
  material: oneOf(boardMaterials),
  price: orNull(figure(at.price)),
});

const recipe = record<Recipe>({
  ...common(),
  yieldG: figure(at.yieldG),
  ingredients: list(
    record<Ingredient>({
      name: name(),
      massG: figure(at.ingredientG),
      pieceG: figure({ min: 1, max: 2000 }).orMissing(),
      allergens: allergenList(),
      foodId: orNull(id()),
      recipeId: orNull(id()),
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
  hazards: list(oneOf(hazards), hazards.length),
  hottestC: orNull(figure(at.hottestC)),
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
  ),
}).rule('yield', 'yields more than its ingredients weigh', (recipe) => {
  if (!Array.isArray(recipe.ingredients)) return true;
  const total = recipe.ingredients.reduce((sum, i) => sum + (i?.massG ?? 0), 0);
  return recipe.yieldG <= total + 0.5;
});

const food = record<Food>({
  ...common(),
  aliases: list(name(), 20),
  cupG: orNull(figure(at.cupG)),
  cupSiftedG: orNull(figure(at.cupG)),
  cupScoopedG: orNull(figure(at.cupG)),
  pieceG: orNull(figure(at.pieceG)),
  boughtAs: orNull(id()),
  waterShare: figure(at.partShare),
  fatShare: figure(at.partShare),
  sugarShare: figure(at.partShare),
  saltShare: figure(at.partShare),
  allergens: allergenList(),
  mayContain: allergenList(),
  traits: list(oneOf(traits), traits.length),
  declared: flag(),
  packG: orNull(figure(at.packG)),
  price: orNull(figure(at.price)),
  stockG: figure(at.stockG),
  keepsDays: orNull(wholeFigure(at.keepsDays)),
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
  ),
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
  ),
}).rule(
  'parts',
  'is made of more than the whole: water, fat, sugar and salt come to over 100 %',
  ({ waterShare, fatShare, sugarShare, saltShare }) =>
    !(Number(waterShare) + Number(fatShare) + Number(sugarShare) + Number(saltShare) > 1.0001),
);

const ganache = record<Ganache>({
  ...common(),
  fluid: oneOf(['ganache', ...otherFluids]),
  chocolateId: orNull(id()),
  creamId: orNull(id()),
  ratio: figure(at.ganacheRatio),
  butterShare: figure(at.partShare),
  syrupShare: figure(at.partShare),
  sugarShare: figure(at.partShare),
  spreadId: orNull(id()),
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

const dowel = record<Dowel>({
  ...common(),
  form: oneOf(dowelForms),
  outerMm: figure(at.dowelMm),
  wallMm: orNull(figure(at.wallMm)),
  modulusGPa: figure(at.modulusGPa),
  strengthMPa: figure(at.strengthMPa),
  dampShare: figure(at.dampShare),
  lengthMm: figure(at.stickMm),
  packCount: wholeFigure(at.packCount),
  price: orNull(figure(at.price)),
  owned: wholeFigure(at.sticks),
  testsG: list(figure(at.pressG), at.tests.max),
  testedMm: figure(at.stickMm),
})
  .rule(
    'wall of a tube',
    'is a tube and needs the thickness of its wall',
    ({ form, wallMm }) => form !== 'tube' || wallMm !== null,
  )
  .rule(
    'wall within',
    'has a wall thicker than half of it',
    ({ outerMm, wallMm }) => !(typeof wallMm === 'number' && wallMm > Number(outerMm) / 2),
  );

const stock = record<Stock>({
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

/** The kitchen: what it can hold, and how its hands work. */
export const kitchen = record<Kitchen>({
  mixerMl: figure(at.mixerMl),
  kerfMm: figure(at.kerfMm),
  dabG: figure(at.dabG),
  scrapingsShare: figure(at.lossShare),
  toolsShare: figure(at.lossShare),
  bagResidueG: figure(at.bagResidueG),
  bagG: figure(at.bagG),
  roughnessMm: figure(at.roughnessMm),
  shelfWideMm: figure(at.shelfMm),
  shelfDeepMm: figure(at.shelfMm),
  shelves: wholeFigure(at.shelves),
  tinGapMm: figure(at.tinGapMm),
  turnaroundMin: figure(at.turnaroundMin),
  preheatMin: figure(at.preheatMin),
  trays: wholeFigure(at.trays),
  washMin: figure(at.washMin),
  roomC: figure(at.roomC),
  fridgeC: figure(at.fridgeC),
  freezerC: figure(at.freezerC),
  rackW: figure(at.surfaceW),
  roomW: figure(at.surfaceW),
  fridgeW: figure(at.surfaceW),
  freezerW: figure(at.surfaceW),
  cupcakeG: figure(at.cupcakeG),
  processorG: figure(at.processorG),
  panMl: figure(at.panMl),
  scoopMl: figure(at.scoopMl),
  spoonMl: figure(at.scoopMl),
  nozzleMm: figure(at.nozzleMm),
  measuring: oneOf(measurings),
  hourlyRate: figure(at.hourlyRate),
  pieceSeconds: figure(at.pieceSeconds),
  metreMin: figure(at.metreMin),
  refillMin: figure(at.refillMin),
});

/** One description for each table: the built-in rows, the user's own and those in files are all of it. */
export const rowFields: { [T in PantryTable]: Field<Pantry[T][number]> } = {
  sponges: sponge.knownAs('sponge'),
  spreads: spread.knownAs('spread'),
  tins: tin.knownAs('tin'),
  boards: board.knownAs('board'),
  others: other.knownAs('other'),
  recipes: recipe.knownAs('recipe'),
  foods: food.knownAs('food'),
  ganaches: ganache.knownAs('ganache'),
  dowels: dowel.knownAs('dowel'),
  stock: stock.knownAs('stock'),
};

/** The rows that travel in a build file. */
export type CarriedRows = Pick<Pantry, PantryTable>;
export const carriedRows = record<CarriedRows>({
  sponges: list(rowFields.sponges, 200),
  spreads: list(rowFields.spreads, 200),
  tins: list(rowFields.tins, 200),
  boards: list(rowFields.boards, 200),
  others: list(rowFields.others, 200),
  recipes: list(rowFields.recipes, 200),
  foods: list(rowFields.foods, 500),
  ganaches: list(rowFields.ganaches, 200),
  dowels: list(rowFields.dowels, 200),
  stock: list(rowFields.stock, 200),
});
