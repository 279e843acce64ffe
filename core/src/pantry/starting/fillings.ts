import type { Recipe } from '../types.ts';
import {
  of,
  made,
  whole,
  whites,
  yolks,
  butter,
  sugar,
  icing,
  dark,
  cream,
  recipe,
  syrup,
  scalds,
  raw,
} from './recipe-lines.ts';

/** Fillings, frostings and sauces. */
export const fillingRecipes: Recipe[] = [
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
