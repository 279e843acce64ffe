import type { Allergen, CocoaParts, Food, FoodPiece, FoodPrep, Tone, Trait } from '../types.ts';

/** Shares of water, fat, sugar and salt. */
type Made = [water: number, fat: number, sugar: number, salt?: number];

interface More {
  aliases?: string[];
  /** Grams to a cup of 237 mL: spooned, and sifted or scooped where that differs. */
  cup?: number | [spooned: number, sifted: number, scooped: number];
  piece?: number;
  alcohol?: number;
  /** Of a gelatine. */
  bloom?: number;
  boughtAs?: string;
  allergens?: Allergen[];
  may?: Allergen[];
  traits?: Trait[];
  keeps?: number;
  prep?: FoodPrep;
  /** One of it on a cake: g, mm across, mm high, how it is drawn, and whether it comes last. */
  on?: [
    massG: number,
    acrossMm: number,
    highMm: number,
    tone: Tone,
    last: boolean,
    crispMm?: number,
  ];
  cocoa?: [butter: number, nonFat: number, milkSolids: number, milkFat: number, otherFat?: number];
}

function food(
  id: string,
  name: string,
  [waterShare, fatShare, sugarShare, saltShare = 0]: Made,
  [packG, price]: [packG: number | null, price: number | null],
  more: More = {},
): Food {
  const [cupG, cupSiftedG, cupScoopedG] = Array.isArray(more.cup)
    ? more.cup
    : [more.cup ?? null, null, null];
  return {
    id,
    name,
    source: 'estimate',
    ranges: {},
    aliases: more.aliases ?? [],
    cupG,
    cupSiftedG,
    cupScoopedG,
    pieceG: more.piece ?? null,
    boughtAs: more.boughtAs ?? null,
    waterShare,
    fatShare,
    sugarShare,
    saltShare,
    allergens: more.allergens ?? [],
    mayContain: more.may ?? [],
    traits: more.traits ?? [],
    alcoholShare: more.alcohol ?? 0,
    bloom: more.bloom ?? null,
    declared: true,
    packG,
    price,
    stockG: 0,
    keepsDays: more.keeps ?? null,
    cocoa: cocoaOf(more.cocoa),
    prep: more.prep ?? null,
    piece: pieceOf(more.on),
    gel: null,
  };
}

function pieceOf(on: More['on']): FoodPiece | null {
  if (!on) return null;
  const [massG, acrossMm, highMm, tone, last, crispMm = null] = on;
  return { massG, acrossMm, highMm, tone, last, crispMm };
}

function cocoaOf(parts: More['cocoa']): CocoaParts | null {
  if (!parts) return null;
  const [butter, nonFat, milkSolids, milkFat, otherFat = 0] = parts;
  return { butter, nonFat, milkSolids, milkFat, otherFat };
}

const prep = (ways: FoodPrep['ways'], minPer100G: number, leftShare: number): FoodPrep => ({
  ways,
  minPer100G,
  leftShare,
  inShare: 0,
  drainedShare: 1,
  leastMin: 0,
  mostMin: null,
});
/** Berries and figs: washed, they lie on a cloth until dry, and weep when they have been cut for long. */
const fresh = (ways: FoodPrep['ways'], minPer100G: number, leftShare: number): FoodPrep => ({
  ...prep(ways, minPer100G, leftShare),
  leastMin: 15,
  mostMin: 240,
});
/** In as much hot water, drained and dried on a cloth. */
const soaked: FoodPrep = {
  ...prep(['soak'], 0.8, 1),
  inShare: 1,
  drainedShare: 1.2,
  leastMin: 15,
  mostMin: 24 * 60,
};

const gluten: More = { allergens: ['gluten cereals'] };
const milk: More = { allergens: ['milk'], traits: ['animal'] };
const nuts: More = { allergens: ['tree nuts'], may: ['peanuts', 'sesame'] };
const egg: More = { allergens: ['eggs'], traits: ['animal'], keeps: 21 };

/**
 * Ingredients a kitchen starts with: cup weights by docs/model.md#recipes-and-ingredients, composition rounded from
 * textbooks, prices made up so that costs can be compared until they are replaced by one's own.
 */
export const startingFoods: Food[] = [
  food('plain-flour', 'plain flour', [0.14, 0.01, 0], [1500, 1.6], {
    ...gluten,
    cup: [125, 110, 140],
    aliases: ['all-purpose flour', 'all purpose flour', 'flour', 'white flour', 'wheat flour'],
  }),
  food('self-raising-flour', 'self-raising flour', [0.14, 0.01, 0, 0.01], [1500, 1.8], {
    ...gluten,
    cup: [125, 110, 140],
    aliases: ['self-rising flour', 'self raising flour'],
    traits: ['leaven'],
  }),
  food('wholemeal-flour', 'wholemeal flour', [0.14, 0.02, 0], [1500, 1.9], {
    ...gluten,
    cup: [125, 110, 140],
    aliases: ['whole wheat flour'],
  }),
  food('cake-flour', 'cake flour', [0.14, 0.01, 0], [1000, 1.9], { ...gluten, cup: 115 }),
  food('gluten-free-flour', 'gluten-free flour mix', [0.12, 0.01, 0], [1000, 3.2], {
    cup: 125,
    may: ['soy', 'lupin'],
    aliases: ['gluten free flour'],
  }),
  food('cornflour', 'cornflour', [0.12, 0, 0], [500, 1.7], { cup: 125, aliases: ['cornstarch'] }),
  food('potato-starch', 'potato starch', [0.15, 0, 0], [400, 1.9], { cup: 160 }),
  food('caster-sugar', 'caster sugar', [0, 0, 1], [1000, 1.5], {
    cup: 200,
    aliases: ['sugar', 'white sugar', 'granulated sugar', 'superfine sugar'],
  }),
  food('icing-sugar', 'icing sugar', [0, 0, 0.98], [500, 1.4], {
    cup: [120, 100, 130],
    aliases: ['powdered sugar', 'confectioners sugar', 'confectioners’ sugar'],
  }),
  food('brown-sugar', 'soft brown sugar', [0.02, 0, 0.95], [500, 1.7], {
    cup: 213,
    aliases: ['brown sugar', 'light brown sugar', 'packed brown sugar'],
  }),
  food('dark-brown-sugar', 'dark brown sugar', [0.02, 0, 0.95], [500, 1.8], { cup: 213 }),
  food('honey', 'honey', [0.18, 0, 0.8], [500, 5.5], { cup: 340, traits: ['animal'] }),
  food('glucose', 'glucose syrup', [0.2, 0, 0.8], [500, 4.2], {
    cup: 330,
    aliases: ['corn syrup'],
  }),
  food('cocoa', 'cocoa', [0.03, 0.21, 0.01], [250, 3.4], {
    cup: 85,
    aliases: ['cocoa powder', 'unsweetened cocoa'],
  }),
  food('butter', 'butter, unsalted', [0.16, 0.82, 0.01], [250, 2.6], {
    ...milk,
    cup: 227,
    keeps: 40,
    aliases: ['butter', 'unsalted butter'],
  }),
  food('salted-butter', 'butter, salted', [0.16, 0.81, 0.01, 0.015], [250, 2.6], {
    ...milk,
    cup: 227,
    keeps: 40,
    aliases: ['salted butter'],
  }),
  food('plant-block', 'plant fat block', [0.22, 0.75, 0, 0.008], [250, 2.4], {
    cup: 227,
    keeps: 60,
    may: ['soy'],
    aliases: ['vegan butter', 'margarine', 'baking block'],
  }),
  food('vegetable-shortening', 'vegetable shortening', [0, 1, 0], [250, 2.2], {
    cup: 190,
    aliases: ['shortening', 'white vegetable fat'],
  }),
  food('sunflower-oil', 'sunflower oil', [0, 1, 0], [1000, 2.9], {
    cup: 218,
    aliases: ['oil', 'vegetable oil', 'neutral oil'],
  }),
  food('milk', 'milk', [0.875, 0.035, 0.05], [1000, 1.3], {
    ...milk,
    cup: 245,
    keeps: 6,
    aliases: ['whole milk'],
  }),
  food('oat-drink', 'oat drink', [0.89, 0.03, 0.04], [1000, 1.9], {
    ...gluten,
    cup: 245,
    keeps: 6,
    aliases: ['oat milk', 'plant milk'],
  }),
  food('soy-drink', 'soy drink', [0.91, 0.02, 0.02], [1000, 1.8], {
    allergens: ['soy'],
    cup: 245,
    keeps: 6,
    aliases: ['soy milk'],
  }),
  food('buttermilk', 'buttermilk', [0.9, 0.01, 0.05], [500, 1.2], {
    ...milk,
    cup: 245,
    keeps: 8,
  }),
  food('yogurt', 'plain yogurt', [0.86, 0.035, 0.05], [500, 1.4], {
    ...milk,
    cup: 240,
    keeps: 10,
    aliases: ['yogurt', 'yoghurt'],
  }),
  food('soured-cream', 'soured cream', [0.73, 0.2, 0.03], [200, 1.1], {
    ...milk,
    cup: 240,
    keeps: 10,
    aliases: ['sour cream'],
  }),
  food('whipping-cream', 'whipping cream 35 %', [0.59, 0.35, 0.03], [500, 2.9], {
    ...milk,
    cup: 238,
    keeps: 6,
    aliases: ['whipping cream', 'heavy cream', 'cream'],
  }),
  food('condensed-milk', 'condensed milk, sweetened', [0.27, 0.08, 0.55], [400, 2.2], {
    ...milk,
    cup: 306,
  }),
  food('single-cream', 'single cream 18 %', [0.75, 0.18, 0.04], [250, 1.2], {
    ...milk,
    cup: 238,
    keeps: 6,
    aliases: ['single cream'],
  }),
  food('double-cream', 'double cream 48 %', [0.47, 0.48, 0.02], [300, 2.1], {
    ...milk,
    cup: 238,
    keeps: 6,
    aliases: ['double cream'],
  }),
  food('coconut-cream', 'coconut cream', [0.72, 0.22, 0.03], [400, 2.3], {
    cup: 238,
  }),
  food('cream-cheese', 'cream cheese', [0.55, 0.34, 0.03, 0.008], [200, 1.9], {
    ...milk,
    cup: 230,
    keeps: 14,
    aliases: ['soft cheese'],
  }),
  food('mascarpone', 'mascarpone', [0.48, 0.44, 0.04], [250, 2.5], {
    ...milk,
    cup: 230,
    keeps: 12,
  }),
  food('eggs', 'eggs, medium, shelled', [0.76, 0.1, 0.01], [300, 2.4], {
    ...egg,
    piece: 50,
    cup: 243,
    aliases: ['egg', 'eggs', 'medium eggs', 'large eggs', 'large egg', 'whole eggs'],
  }),
  food('egg-whites', 'egg whites', [0.88, 0, 0.01], [null, null], {
    ...egg,
    piece: 33,
    boughtAs: 'eggs',
    aliases: ['egg white'],
  }),
  food('egg-yolks', 'egg yolks', [0.5, 0.3, 0.01], [null, null], {
    ...egg,
    piece: 17,
    boughtAs: 'eggs',
    aliases: ['egg yolk', 'yolks'],
  }),
  food('aquafaba', 'chickpea water', [0.92, 0, 0.01], [240, 0.9], {
    cup: 240,
    keeps: 4,
    aliases: ['aquafaba'],
  }),
  food('dark-chocolate', 'dark chocolate 55 %', [0.01, 0.34, 0.45], [1000, 14], {
    allergens: ['soy', 'milk'],
    may: ['tree nuts'],
    traits: ['animal'],
    cup: 170,
    aliases: ['dark chocolate', 'semisweet chocolate', 'plain chocolate', 'chocolate'],
    cocoa: [0.34, 0.21, 0, 0],
  }),
  food('dark-chocolate-70', 'dark chocolate 70 %, no milk', [0.01, 0.41, 0.3], [1000, 17], {
    allergens: ['soy'],
    may: ['milk', 'tree nuts'],
    cup: 170,
    aliases: ['bittersweet chocolate', 'dark chocolate 70 %'],
    cocoa: [0.41, 0.29, 0, 0],
  }),
  food('milk-chocolate', 'milk chocolate', [0.01, 0.33, 0.46], [1000, 13], {
    allergens: ['milk', 'soy'],
    may: ['tree nuts'],
    traits: ['animal'],
    cup: 170,
    cocoa: [0.27, 0.06, 0.15, 0.06],
  }),
  food('white-chocolate', 'white chocolate', [0.01, 0.36, 0.5], [1000, 14], {
    allergens: ['milk', 'soy'],
    may: ['tree nuts'],
    traits: ['animal'],
    cup: 170,
    cocoa: [0.29, 0, 0.17, 0.07],
  }),
  food('chocolate-chips', 'chocolate chips', [0.01, 0.3, 0.5], [250, 2.6], {
    on: [0.3, 8, 6, 'ganache', false],
    allergens: ['soy'],
    may: ['milk', 'tree nuts'],
    cup: 170,
    cocoa: [0.29, 0.19, 0, 0],
  }),
  food('compound', 'compound coating', [0.01, 0.31, 0.54], [1000, 9], {
    allergens: ['soy'],
    may: ['milk', 'tree nuts'],
    cup: 170,
    aliases: ['candy coating', 'cake covering'],
    cocoa: [0, 0.14, 0, 0, 0.31],
  }),
  food('creme-fraiche', 'creme fraiche', [0.62, 0.3, 0.03], [200, 1.6], {
    ...milk,
    cup: 230,
    keeps: 10,
  }),
  food('cream-30', 'whipping cream 30 %', [0.63, 0.3, 0.03], [500, 2.6], {
    ...milk,
    cup: 236,
    keeps: 10,
  }),
  food('baking-powder', 'baking powder', [0.05, 0, 0, 0.2], [150, 1.2], {
    cup: 216,
    traits: ['leaven'],
  }),
  food('baking-soda', 'baking soda', [0, 0, 0, 0.3], [200, 1], {
    cup: 240,
    traits: ['leaven'],
    aliases: ['bicarbonate of soda', 'soda'],
  }),
  food('salt', 'fine salt', [0, 0, 0, 1], [500, 0.7], { cup: 288, aliases: ['salt', 'sea salt'] }),
  food('vanilla', 'vanilla extract', [0.5, 0, 0.2], [100, 7.5], {
    cup: 192,
    alcohol: 0.29,
    traits: ['alcohol'],
    aliases: ['vanilla'],
  }),
  food('gelatine', 'gelatine powder', [0.12, 0, 0], [100, 4.5], {
    cup: 192,
    bloom: 200,
    traits: ['gelatine', 'slaughtered'],
    aliases: ['gelatine', 'gelatin', 'powdered gelatine'],
  }),
  food('agar', 'agar powder', [0.12, 0, 0], [50, 4.8], { cup: 144, aliases: ['agar'] }),
  food('mixed-spice', 'mixed spice', [0.08, 0.08, 0.02], [50, 1.8], {
    cup: 100,
  }),
  food('walnuts', 'walnuts, chopped', [0.04, 0.65, 0.03], [250, 4.2], {
    on: [3, 26, 12, 'nut', false],
    ...nuts,
    cup: 115,
    aliases: ['walnuts'],
  }),
  food('ground-walnuts', 'ground walnuts', [0.04, 0.65, 0.03], [250, 4.4], { ...nuts, cup: 100 }),
  food('ground-almonds', 'ground almonds', [0.05, 0.5, 0.04], [250, 3.6], {
    ...nuts,
    cup: 100,
    aliases: ['almond flour', 'almond meal'],
  }),
  food('hazelnuts', 'hazelnuts, roasted', [0.03, 0.62, 0.04], [250, 4.5], {
    on: [1.1, 14, 14, 'nut', false],
    ...nuts,
    cup: 135,
    aliases: ['hazelnuts'],
  }),
  food('pistachios', 'pistachios, chopped', [0.04, 0.45, 0.08], [200, 6.8], {
    on: [0.6, 10, 8, 'leaf', false],
    ...nuts,
    cup: 120,
    aliases: ['pistachios'],
  }),
  food('hazelnut-spread', 'hazelnut spread', [0.02, 0.35, 0.5], [400, 3.6], {
    ...nuts,
    cup: 296,
    allergens: ['tree nuts', 'milk', 'soy'],
  }),
  food('wafer-flakes', 'crisp wafer flakes', [0.03, 0.08, 0.3], [250, 6], {
    cup: 60,
    allergens: ['gluten cereals', 'milk'],
  }),
  food('peanut-butter', 'peanut butter', [0.02, 0.5, 0.08, 0.01], [350, 2.7], {
    allergens: ['peanuts'],
    may: ['tree nuts'],
    cup: 255,
  }),
  food('coconut', 'desiccated coconut', [0.03, 0.62, 0.06], [200, 1.9], {
    cup: 85,
    aliases: ['coconut', 'shredded coconut'],
  }),
  food('oats', 'rolled oats', [0.1, 0.07, 0.01], [500, 1.3], {
    ...gluten,
    cup: 90,
    aliases: ['oats'],
  }),
  food('raisins', 'raisins', [0.16, 0, 0.65], [500, 2.6], { cup: 150, prep: soaked }),
  food('dried-fruit', 'mixed dried fruit', [0.17, 0, 0.63], [500, 2.8], {
    allergens: ['sulphites'],
    cup: 150,
    prep: soaked,
  }),
  food('carrot', 'grated carrot', [0.88, 0, 0.05], [1000, 1.4], {
    cup: 110,
    keeps: 10,
    aliases: ['carrots', 'carrot', 'grated carrots'],
    prep: { ...prep(['peel', 'grate'], 2.5, 0.85), mostMin: 24 * 60 },
  }),
  food('banana', 'banana, mashed', [0.75, 0, 0.15], [1000, 1.8], {
    cup: 225,
    keeps: 4,
    aliases: ['banana', 'mashed banana'],
    prep: { ...prep(['peel', 'mash'], 1, 0.65), mostMin: 60 },
  }),
  food('blueberries', 'blueberries', [0.84, 0, 0.1], [125, 2.4], {
    on: [1.5, 13, 12, 'berry', true],
    keeps: 7,
    prep: prep(['wash'], 0.5, 0.98),
  }),
  food('cherries', 'cherries with their stalks', [0.82, 0, 0.13], [400, 4.5], {
    on: [8, 24, 24, 'berry', true],
    keeps: 4,
    prep: prep(['wash'], 0.5, 0.98),
  }),
  food('pansies', 'pansies, grown to be eaten', [0.9, 0, 0.01], [10, 4.9], {
    on: [0.4, 32, 6, 'leaf', true],
    keeps: 2,
  }),
  food('mint', 'mint leaves', [0.86, 0.01, 0], [20, 1.2], {
    on: [0.3, 28, 6, 'leaf', true],
    keeps: 4,
  }),
  food('meringue-kisses', 'meringue kisses', [0.02, 0, 0.93], [100, 3.4], {
    on: [5, 32, 34, 'ivory', true, 16],
    allergens: ['eggs'],
  }),
  food('sandwich-biscuits', 'chocolate sandwich biscuits', [0.02, 0.2, 0.38], [150, 1.9], {
    on: [11, 46, 10, 'cocoa', true, 10],
    allergens: ['gluten cereals', 'milk', 'soy'],
  }),
  food('raspberries', 'raspberries', [0.86, 0, 0.05], [250, 3.2], {
    on: [4, 20, 20, 'berry', true],
    cup: 125,
    keeps: 2,
    prep: fresh(['wash'], 1, 0.98),
  }),
  food('strawberries', 'strawberries', [0.91, 0, 0.06], [400, 3], {
    on: [18, 30, 35, 'berry', true],
    cup: 150,
    keeps: 2,
    prep: fresh(['wash', 'hull', 'cut'], 2.5, 0.93),
  }),
  // with a tenth of sugar, until they have drawn juice; that is kept for a syrup
  food('sugared-strawberries', 'strawberries, to be sugared', [0.86, 0, 0.13], [400, 3], {
    cup: 150,
    keeps: 2,
    prep: {
      ...fresh(['wash', 'hull', 'cut', 'sugar'], 2.5, 0.93),
      inShare: 0.1,
      drainedShare: 0.95,
      leastMin: 30,
      mostMin: 12 * 60,
    },
  }),
  food('blackcurrants', 'blackcurrants', [0.82, 0, 0.08], [500, 3.8], {
    on: [1, 10, 10, 'berry', true],
    cup: 112,
    prep: fresh(['wash', 'hull'], 2, 0.95),
  }),
  food('figs', 'fresh figs', [0.79, 0, 0.16], [300, 3.6], {
    on: [22, 42, 24, 'berry', true],
    cup: 150,
    keeps: 2,
    piece: 45,
    prep: fresh(['wash', 'cut'], 1.5, 0.95),
  }),
  food('dried-figs', 'dried figs, chopped', [0.3, 0.01, 0.48], [500, 5.2], {
    cup: 150,
    prep: soaked,
  }),
  food('lemon-juice', 'lemon juice', [0.92, 0, 0.02], [250, 2.2], {
    cup: 240,
    keeps: 7,
  }),
  food('lemon-zest', 'lemon zest', [0.8, 0, 0.04], [null, null], { cup: 96 }),
  food('orange-juice', 'orange juice', [0.88, 0, 0.09], [1000, 2.4], { cup: 240, keeps: 7 }),
  food('orange-zest', 'orange zest', [0.75, 0, 0.06], [null, null], { cup: 96 }),
  food('cinnamon', 'ground cinnamon', [0.1, 0.01, 0.02], [50, 1.6], {
    cup: 125,
    aliases: ['cinnamon'],
  }),
  food('water', 'water', [1, 0, 0], [null, 0], { cup: 237, aliases: ['hot water', 'cold water'] }),
  food('coffee', 'hot coffee', [0.99, 0, 0], [null, 0], { cup: 237, aliases: ['coffee'] }),
  food('tea', 'black tea', [0.99, 0, 0], [null, 0], { cup: 237, aliases: ['tea'] }),
  food('jam', 'jam', [0.33, 0, 0.6], [340, 2.4], { cup: 320 }),
  food('orange-liqueur', 'orange liqueur', [0.35, 0, 0.3], [700, 17], {
    cup: 245,
    alcohol: 0.31,
    traits: ['alcohol'],
  }),
  food('rum', 'dark rum', [0.66, 0, 0], [700, 15], {
    cup: 225,
    alcohol: 0.33,
    traits: ['alcohol'],
  }),
  food('fondant', 'rolled fondant', [0.1, 0.05, 0.8], [1000, 5.5], { aliases: ['sugarpaste'] }),
  food('sprinkles', 'sugar sprinkles', [0.02, 0.05, 0.85], [200, 3.2], { may: ['milk', 'soy'] }),
  food('colour-gel', 'colour gel', [0.4, 0, 0.4], [20, 3]),
  food('colour-oil', 'oil-based colour', [0, 0.6, 0], [20, 4.5]),
  food('cocoa-butter', 'cocoa butter', [0, 1, 0], [250, 9]),
  food('lustre-dust', 'lustre dust', [0, 0, 0], [4, 3.5]),
];
