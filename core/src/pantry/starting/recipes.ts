import type { Hazard } from '../hazards.ts';
import type { Ingredient, Recipe } from '../types.ts';
import { startingFoods } from './foods.ts';

const foods = new Map(startingFoods.map((food) => [food.id, food]));

/** A line of a recipe; its allergens come with the ingredient. */
const of = (foodId: string, massG: number): Ingredient => {
  const food = foods.get(foodId)!;
  return {
    name: food.name,
    massG,
    ...(food.pieceG === null ? {} : { pieceG: food.pieceG }),
    allergens: [],
    foodId,
    recipeId: null,
  };
};
/** Another recipe used as an ingredient. */
const made = (recipeId: string, name: string, massG: number): Ingredient => ({
  name,
  massG,
  allergens: [],
  foodId: null,
  recipeId: `recipe-${recipeId}`,
});
const whole = (count: number): Ingredient => of('eggs', count * 50);
const whites = (count: number): Ingredient => of('egg-whites', count * 33);
const yolks = (count: number): Ingredient => of('egg-yolks', count * 17);
const flour = (g: number): Ingredient => of('plain-flour', g);
const butter = (g: number): Ingredient => of('butter', g);
const sugar = (g: number): Ingredient => of('caster-sugar', g);
const icing = (g: number): Ingredient => of('icing-sugar', g);
const dark = (g: number): Ingredient => of('dark-chocolate', g);
const cream = (g: number): Ingredient => of('whipping-cream', g);
const lift = (g: number): Ingredient => of('baking-powder', g);

interface Extra {
  bake?: Recipe['bake'];
  caution?: string;
  /** What can hurt, and how hot it gets, C; cold work where nothing is said. */
  hazards?: Hazard[];
  hotC?: number;
  /** What is lost by scraping and by boiling away, as a share. */
  loss?: number;
}

function recipe(
  id: string,
  name: string,
  ingredients: Ingredient[],
  steps: string[],
  extra: Extra = {},
): Recipe {
  const total = ingredients.reduce((sum, i) => sum + i.massG, 0);
  return {
    id: `recipe-${id}`,
    name,
    source: 'estimate',
    ranges: {},
    yieldG: Math.round(total * (1 - (extra.loss ?? 0.02))),
    ingredients,
    steps,
    bake: extra.bake ?? null,
    caution: extra.caution ?? null,
    hazards: extra.hazards ?? [],
    hottestC: extra.hotC ?? 21,
  };
}

const baked = (ovenC: number, minutes: number, depthMm = 50): Recipe['bake'] => ({
  ovenC,
  minutes,
  tinMm: 200,
  depthMm,
});

const batters: Recipe[] = [
  recipe(
    'butter',
    'Night-watch butter sponge',
    [butter(225), sugar(225), whole(4), flour(230), lift(9), of('milk', 60), of('salt', 2)],
    [
      'Cream butter and sugar until pale.',
      'Beat in the eggs a little at a time.',
      'Fold in flour and baking powder, then the milk. Stop when no dry flour shows.',
    ],
    { hazards: ['running machine', 'raw egg', 'raw flour'], bake: baked(175, 30) },
  ),
  recipe(
    'chocolate',
    'Dark-sky chocolate cake',
    [
      flour(240),
      of('cocoa', 70),
      sugar(330),
      lift(6),
      of('baking-soda', 5),
      whole(3),
      of('sunflower-oil', 150),
      of('buttermilk', 240),
      of('coffee', 180),
    ],
    [
      'Sift the dry things together.',
      'Whisk eggs, oil and buttermilk and stir them in.',
      'Stir in the hot coffee. The batter is thin; that is right.',
    ],
    {
      hazards: ['running machine', 'steam', 'raw egg', 'raw flour'],
      hotC: 90,
      bake: baked(170, 36),
    },
  ),
  recipe(
    'carrot',
    'Keeper’s carrot cake',
    [
      flour(220),
      of('walnuts', 100),
      of('carrot', 300),
      of('brown-sugar', 240),
      whole(4),
      of('sunflower-oil', 190),
      lift(8),
      of('mixed-spice', 6),
    ],
    [
      'Whisk eggs, sugar and oil.',
      'Stir in flour, baking powder and spice.',
      'Fold in carrot and walnuts.',
    ],
    { hazards: ['running machine', 'raw egg', 'raw flour'], bake: baked(170, 42) },
  ),
  recipe(
    'plant',
    'Gull’s-wing plain cake',
    [
      flour(320),
      sugar(250),
      lift(10),
      of('baking-soda', 3),
      of('oat-drink', 260),
      of('sunflower-oil', 110),
      of('lemon-juice', 20),
      of('salt', 3),
    ],
    [
      'Stir lemon juice into the drink and let it stand until it thickens.',
      'Whisk in oil and sugar.',
      'Sift the dry things in, and stop as soon as no dry flour shows: it goes tough sooner than a batter with egg.',
      'Into the oven at once: its lift begins in the bowl.',
    ],
    { hazards: ['raw flour'], bake: baked(175, 32) },
  ),
  recipe(
    'foam',
    'Whisked meridian sponge',
    [whole(6), sugar(180), flour(180), butter(40)],
    [
      'Whisk eggs and sugar over warm water to 43 °C, then until a ribbon holds.',
      'Fold in the sifted flour in three parts.',
      'Fold in the melted butter with a little of the foam.',
    ],
    {
      hazards: ['running machine', 'steam', 'raw egg', 'raw flour'],
      hotC: 80,
      bake: baked(180, 26),
    },
  ),
  recipe(
    'chiffon',
    'Cloud chiffon',
    [
      yolks(6),
      whites(7),
      sugar(220),
      flour(180),
      of('sunflower-oil', 90),
      of('water', 120),
      lift(5),
    ],
    [
      'Whisk yolks, oil, water and half the sugar; stir in flour and baking powder.',
      'Whisk the whites with the rest of the sugar to soft peaks.',
      'Fold together in three parts.',
    ],
    { hazards: ['running machine', 'raw egg', 'raw flour'], bake: baked(165, 38) },
  ),
  recipe(
    'mud',
    'Harbour mud cake',
    [
      butter(260),
      dark(260),
      of('brown-sugar', 340),
      of('water', 210),
      whole(4),
      flour(280),
      of('cocoa', 40),
      lift(6),
    ],
    [
      'Melt butter, chocolate, sugar and water together and let it cool to lukewarm.',
      'Whisk in the eggs.',
      'Stir in flour, cocoa and baking powder.',
    ],
    { hazards: ['hot fat or cream', 'raw egg', 'raw flour'], hotC: 70, bake: baked(155, 62) },
  ),
  recipe(
    'nutfoam',
    'Walnut foam',
    [whites(7), yolks(6), sugar(190), of('ground-walnuts', 240), of('potato-starch', 40)],
    [
      'Whisk yolks with half the sugar.',
      'Whisk whites with the rest to firm peaks.',
      'Fold together with nuts and starch.',
    ],
    { hazards: ['running machine', 'raw egg'], bake: baked(170, 32) },
  ),
  recipe(
    'fruit',
    'Jubilee fruit cake',
    [
      of('dried-fruit', 900),
      butter(230),
      of('dark-brown-sugar', 230),
      whole(5),
      flour(260),
      of('ground-almonds', 80),
      of('tea', 120),
      of('mixed-spice', 6),
    ],
    [
      'Soak the fruit in the tea overnight.',
      'Cream butter and sugar; beat in the eggs.',
      'Stir in flour, almonds and spice, then the fruit.',
    ],
    {
      hazards: ['running machine', 'steam', 'raw egg', 'raw flour'],
      hotC: 95,
      bake: baked(145, 150, 60),
    },
  ),
];

const syrup =
  'Sugar syrup above 100 °C sticks to the skin and burns. Heatproof bowl, long sleeves, children and pets out of the kitchen.';
const scalds = (what: string): string =>
  `${what} scalds: dry cloths, a deep pan, nobody small beside the stove.`;
const raw =
  'Raw or lightly cooked egg: use pasteurised egg for guests at risk, and follow the local food code.';

const spreads: Recipe[] = [
  recipe(
    'buttercream',
    'Sugar-and-butter buttercream',
    [butter(500), icing(900), cream(60), of('vanilla', 8)],
    [
      'Beat the butter until pale, about 5 minutes.',
      'Add the icing sugar in three parts.',
      'Loosen with the cream and beat until smooth.',
    ],
    { hazards: ['running machine'] },
  ),
  recipe(
    'meringue',
    'Meringue buttercream',
    [whites(8), sugar(450), butter(680), of('vanilla', 8)],
    [
      'Warm whites and sugar over water to 71 °C, stirring.',
      'Whisk until cool and stiff.',
      'Add the butter by the piece. It looks split midway and comes together.',
    ],
    { hazards: ['running machine', 'steam', 'lightly cooked egg'], hotC: 80, caution: raw },
  ),
  recipe(
    'yolk',
    'Egg-yolk buttercream',
    [yolks(10), sugar(300), of('water', 90), butter(560)],
    [
      'Boil sugar and water to 117 °C.',
      'Pour onto the whisking yolks; whisk until cool.',
      'Beat in the butter by the piece.',
    ],
    {
      hazards: ['running machine', 'hot sugar', 'lightly cooked egg'],
      hotC: 117,
      caution: `${syrup} ${raw}`,
      loss: 0.05,
    },
  ),
  recipe(
    'cheese',
    'Cream-cheese frosting',
    [of('cream-cheese', 600), butter(250), icing(420), of('lemon-juice', 15)],
    ['Beat butter and sugar until pale.', 'Add the cold cream cheese and beat just until smooth.'],
    { hazards: ['running machine'] },
  ),
  recipe(
    'cream',
    'Whipped cream',
    [cream(1000), icing(60)],
    ['Whip cold cream and sugar to firm peaks, and stop there.'],
    { hazards: ['running machine'] },
  ),
  recipe(
    'firmcream',
    'Stabilised whipped cream',
    [cream(900), of('mascarpone', 250), icing(90)],
    ['Loosen the mascarpone with a little cream.', 'Add the rest and whip to firm peaks.'],
    { hazards: ['running machine'] },
  ),
  recipe(
    'ganache',
    'Ganache, firm set',
    [dark(700), cream(350)],
    [
      'Heat the cream to a simmer and pour over the chopped chocolate.',
      'Wait 2 minutes and stir from the middle.',
    ],
    {
      hazards: ['hot fat or cream', 'steam'],
      hotC: 90,
      caution: 'Hot cream scalds: pour from a low height, heatproof bowl.',
    },
  ),
  recipe(
    'softganache',
    'Ganache, soft set',
    [dark(500), cream(500)],
    [
      'Heat the cream to a simmer and pour over the chopped chocolate.',
      'Wait 2 minutes and stir from the middle.',
    ],
    {
      hazards: ['hot fat or cream', 'steam'],
      hotC: 90,
      caution: 'Hot cream scalds: pour from a low height, heatproof bowl.',
    },
  ),
  recipe(
    'whippedganache',
    'Whipped ganache',
    [dark(400), cream(600)],
    [
      'Make a soft ganache and chill it to 10 °C.',
      'Whip until it holds, no longer: it turns grainy.',
    ],
    {
      hazards: ['hot fat or cream', 'steam', 'running machine'],
      hotC: 90,
      caution: 'Hot cream scalds: pour from a low height, heatproof bowl.',
    },
  ),
  recipe(
    'fudge',
    'Cooked chocolate fudge frosting',
    [dark(300), butter(220), icing(420), of('milk', 140), of('cocoa', 40)],
    ['Warm milk, butter and chocolate to 60 °C.', 'Beat in sugar and cocoa; cool until it holds.'],
    {
      hazards: ['hot fat or cream', 'running machine'],
      hotC: 60,
      caution: scalds('Warm milk with chocolate'),
    },
  ),
  recipe(
    'nutspread',
    'Hazelnut spread',
    [of('hazelnuts', 420), of('milk-chocolate', 300), of('sunflower-oil', 60), icing(120)],
    ['Grind the nuts until the oil runs.', 'Stir in melted chocolate, oil and sugar.'],
    { hazards: ['running machine'], hotC: 50, loss: 0.05 },
  ),
  recipe(
    'compote',
    'Blackcurrant compote',
    [of('blackcurrants', 700), sugar(220), of('cornflour', 25), of('water', 60)],
    [
      'Cook fruit and sugar for 8 minutes.',
      'Stir in the cornflour in the water, boil 1 minute, cool.',
    ],
    {
      hazards: ['hot sugar', 'steam'],
      hotC: 102,
      caution:
        'Boiling fruit spits and sticks to the skin: deep pan, long spoon, nobody small beside the stove.',
      loss: 0.12,
    },
  ),
  recipe(
    'curd',
    'Lemon curd',
    [of('lemon-juice', 240), sugar(320), whole(4), yolks(4), butter(220)],
    [
      'Whisk everything but the butter over water until 82 °C.',
      'Strain, beat in the butter, chill under film.',
    ],
    { hazards: ['hot fat or cream', 'steam'], hotC: 82, caution: scalds('Hot curd'), loss: 0.05 },
  ),
  recipe(
    'curdcream',
    'Lemon curd cream',
    [cream(500), of('mascarpone', 150), icing(30), made('curd', 'Lemon curd', 260)],
    ['Whip cream, mascarpone and sugar to soft peaks.', 'Fold in the cold curd, and stop there.'],
    { hazards: ['running machine'] },
  ),
  recipe(
    'plantcream',
    'Plant buttercream',
    [of('plant-block', 500), icing(850), of('oat-drink', 50), of('salt', 1)],
    ['Beat the fat until pale.', 'Add the icing sugar in three parts.', 'Loosen with the drink.'],
    { hazards: ['running machine'] },
  ),
  recipe(
    'caramel',
    'Soft caramel',
    [sugar(500), cream(420), butter(120), of('salt', 4)],
    [
      'Melt the sugar dry to amber.',
      'Add the warm cream slowly, at arm’s length.',
      'Stir in butter and salt; cook to 108 °C; cool.',
    ],
    {
      hazards: ['hot sugar', 'hot fat or cream', 'steam'],
      hotC: 180,
      caution: `${syrup} Add the cream slowly, in a deep pan.`,
      loss: 0.08,
    },
  ),
  recipe(
    'butterscotch',
    'Butterscotch sauce',
    [of('brown-sugar', 300), butter(150), cream(300), of('salt', 4)],
    [
      'Melt butter and sugar together to a bubbling mass.',
      'Stir in the warm cream; boil two minutes.',
    ],
    {
      hazards: ['hot sugar', 'hot fat or cream', 'steam'],
      hotC: 140,
      caution: `${syrup} Add the cream slowly, in a deep pan.`,
      loss: 0.06,
    },
  ),
  recipe(
    'glaze',
    'Sugar glaze',
    [icing(400), of('lemon-juice', 70)],
    ['Stir the juice into the sifted sugar until it runs off the spoon in a ribbon.'],
    { hazards: [] },
  ),
];

/** Layers that are not baked in a tin, and what is brushed on. */
const besides: Recipe[] = [
  recipe(
    'crepe',
    'Comet crepes',
    [flour(250), whole(5), of('milk', 600), butter(60), sugar(30), of('salt', 2)],
    [
      'Whisk everything smooth and let it rest for half an hour.',
      'A thin film in a hot pan; turn when the edge lifts.',
    ],
    { hazards: ['hot fat or cream', 'raw egg', 'raw flour'], hotC: 190, loss: 0.01 },
  ),
  recipe(
    'meringue-disc',
    'Meringue for discs',
    [whites(6), sugar(380), of('cornflour', 10)],
    [
      'Whisk the whites with a third of the sugar to soft peaks.',
      'Whisk in the rest by the spoon.',
    ],
    { hazards: ['running machine', 'raw egg'] },
  ),
  recipe(
    'wafer',
    'Nut wafer',
    [whites(4), sugar(160), of('ground-almonds', 160), butter(40), flour(30)],
    ['Stir everything smooth.', 'Spread thin inside the traced circle.'],
    { hazards: ['raw egg', 'raw flour'] },
  ),
  recipe(
    'biscuit',
    'Butter biscuit',
    [flour(300), butter(200), icing(100), of('salt', 2)],
    ['Rub butter into flour and sugar.', 'Chill, roll, prick and cut to the traced circle.'],
    { hazards: ['raw flour'], loss: 0.01 },
  ),
  recipe(
    'shortcake',
    'Shortcake',
    [flour(400), butter(140), sugar(70), lift(18), whole(1), of('milk', 180), of('salt', 3)],
    ['Rub butter into the dry things.', 'Stir in egg and milk; shape without kneading.'],
    { hazards: ['raw egg', 'raw flour'], loss: 0.01 },
  ),
  recipe(
    'mousse',
    'Set vanilla mousse',
    [cream(500), of('milk', 250), yolks(5), sugar(110), of('gelatine', 10), of('vanilla', 6)],
    [
      'Soak the gelatine in five times its weight of the milk.',
      'Cook milk, yolks and sugar to 82 °C; melt the gelatine in it and cool to 28 °C.',
      'Fold in the softly whipped cream.',
    ],
    {
      hazards: ['hot fat or cream', 'steam', 'running machine'],
      hotC: 82,
      caution: scalds('Hot custard'),
    },
  ),
  recipe('syrup', 'Plain syrup', [sugar(500), of('water', 500)], ['Boil once and cool.'], {
    hazards: ['hot sugar', 'steam'],
    hotC: 104,
    caution: syrup,
    loss: 0.03,
  }),
];

/** Recipes of the house, invented for Pyrgotect. */
export const startingRecipes: Recipe[] = [...batters, ...spreads, ...besides];
