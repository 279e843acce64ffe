import type { Recipe } from '../types.ts';
import {
  baked,
  butter,
  caramel,
  cools,
  cream,
  curd,
  custard,
  dark,
  flour,
  icing,
  lift,
  made,
  of,
  recipe,
  rests,
  scalds,
  sugar,
  syrup,
  whole,
  yolks,
} from './recipe-lines.ts';

/* What people ask for next: nuts, caramels, custards and creams with a taste of their own, and two sponges. */

export const moreFillings: Recipe[] = [
  custard('chocolatecustard', 'Chocolate custard', 500, 40, [dark(120), butter(30)]),
  custard('coffeecustard', 'Coffee custard', 420, 40, [of('coffee', 90), butter(40)]),
  {
    ...curd('blackcurrantcurd', 'Blackcurrant curd', [
      of('blackcurrants', 300),
      sugar(230),
      whole(3),
      yolks(3),
      butter(160),
    ]),
    // 891 g go in; skins and pips stay in the sieve
    yieldG: 784,
  },
  recipe(
    'coconutfilling',
    'Coconut filling',
    [of('coconut-cream', 300), sugar(90), of('cornflour', 22), of('coconut', 180)],
    [
      'Stir cream, sugar and cornflour cold until smooth.',
      'Boil it, stirring, one minute; fold in the coconut and cool on a tray under film.',
    ],
    {
      holds: [cools(2, 96, 20, 'tray')],
      hazards: ['hot fat or cream', 'steam'],
      hotC: 98,
      caution: scalds('Boiling coconut cream'),
      loss: 0.06,
    },
  ),
  recipe(
    'peanutcream',
    'Peanut cream',
    [of('peanut-butter', 350), icing(150), butter(120), cream(60)],
    ['Beat butter and sugar pale.', 'Beat in peanut butter and cream.'],
    { makeMin: 8, hazards: ['running machine'] },
  ),
  recipe(
    'hazelnutcream',
    'Hazelnut cream',
    [of('hazelnut-spread', 250), of('mascarpone', 250), cream(150)],
    ['Stir the spread smooth.', 'Beat in mascarpone and cream cold, until it just holds.'],
    { makeMin: 8, hazards: ['running machine'] },
  ),
  recipe(
    'marzipan',
    'Marzipan',
    [of('ground-almonds', 320), icing(230), of('glucose', 60), of('water', 25)],
    [
      'Rub almonds and sugar together.',
      'Warm glucose and water until it runs, knead in, and wrap; roll it out between two films.',
    ],
    { makeMin: 12 },
  ),
  recipe(
    'honeynut',
    'Honey and walnut filling',
    [of('honey', 200), butter(90), cream(80), of('walnuts', 320)],
    [
      'Boil honey, butter and cream three minutes.',
      'Stir in the chopped nuts; cool on a tray until it no longer runs.',
    ],
    {
      holds: [cools(2, 104, 26, 'tray')],
      hazards: ['hot sugar', 'hot fat or cream'],
      hotC: 108,
      caution: syrup,
      loss: 0.07,
    },
  ),
  recipe(
    'milkcaramel',
    'Milk caramel',
    [of('condensed-milk', 400), butter(70), of('dark-brown-sugar', 60), of('salt', 3)],
    [
      'Stir everything over a low flame until it comes off the bottom, some ten minutes.',
      'Cool on a tray under film.',
    ],
    {
      makeMin: 15,
      holds: [cools(2, 104, 24, 'tray')],
      hazards: ['hot sugar', 'hot fat or cream'],
      hotC: 106,
      caution: `${syrup} It spits as it thickens: long spoon.`,
      loss: 0.1,
    },
  ),
  caramel(
    'saltedcaramel',
    'Salted caramel',
    [sugar(420), of('glucose', 60), cream(330), butter(160), of('salt', 9)],
    'Melt sugar and glucose to amber.',
    110,
  ),
  recipe(
    'whitecream',
    'White chocolate cream',
    [of('white-chocolate', 240), cream(520)],
    [
      'Melt the chocolate in a third of the cream, hot, and stir smooth.',
      'Stir in the rest cold, cover, and leave it in the fridge until it is cold through.',
      'Whip it until it just holds.',
    ],
    {
      makeMin: 12,
      holds: [cools(2, 35, 5, 'fridge', 240)],
      hazards: ['running machine', 'hot fat or cream'],
      hotC: 85,
    },
  ),
  recipe(
    'yogurtcream',
    'Yogurt cream',
    [of('yogurt', 250), of('mascarpone', 300), icing(70), of('vanilla', 5)],
    ['Drain the yogurt in a cloth for an hour.', 'Beat everything cold until it just holds.'],
    {
      makeMin: 8,
      hazards: ['running machine'],
      // a fifth of the yogurt drains off
      holds: [{ ...rests(1, 60), where: 'fridge' }],
      loss: 0.1,
    },
  ),
  recipe(
    'raspberrycream',
    'Raspberry cream',
    [made('raspberry', 'Raspberry filling', 260), of('mascarpone', 180), cream(260), icing(30)],
    [
      'Whip mascarpone, cream and sugar until it just holds.',
      'Fold in the cold raspberry filling.',
    ],
    { makeMin: 8, hazards: ['running machine'] },
  ),
  recipe(
    'biscuitcream',
    'Biscuit cream',
    [cream(380), of('mascarpone', 180), icing(60), of('sandwich-biscuits', 130)],
    [
      'Whip cream, mascarpone and sugar until it just holds.',
      'Fold in the biscuits, broken small.',
    ],
    { makeMin: 8, hazards: ['running machine'] },
  ),
];

/** Sponges that people ask for besides those of the house. */
export const moreBatters: Recipe[] = [
  recipe(
    'lemon',
    'Harbour lemon sponge',
    [
      butter(220),
      sugar(240),
      whole(4),
      flour(235),
      lift(10),
      of('yogurt', 80),
      of('lemon-juice', 30),
      of('lemon-zest', 8),
    ],
    [
      'Cream butter, sugar and zest until pale.',
      'Beat in the eggs a little at a time.',
      'Fold in flour and baking powder, then yogurt and juice. Stop when no dry flour shows.',
    ],
    { hazards: ['running machine', 'raw egg', 'raw flour'], bake: baked(175, 32) },
  ),
  recipe(
    'almond',
    'Flourless almond cake',
    [
      butter(180),
      sugar(220),
      whole(5),
      of('ground-almonds', 280),
      of('potato-starch', 40),
      lift(6),
    ],
    [
      'Cream butter and sugar until pale.',
      'Beat in the eggs a little at a time.',
      'Fold in almonds, starch and baking powder.',
    ],
    { hazards: ['running machine', 'raw egg'], bake: baked(165, 38) },
  ),
];
