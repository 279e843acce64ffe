import type { Recipe } from '../types.ts';
import { moreFillings } from './asked-for-more.ts';
import {
  butter,
  cools,
  curd,
  custard,
  cream,
  dark,
  icing,
  made,
  of,
  recipe,
  sugar,
  whole,
  yolks,
} from './recipe-lines.ts';

const berries = 'Boiling fruit spits and sticks to the skin: deep pan, long spoon, nobody small beside the stove.'; // prettier-ignore

/** Berries cooked short and bound, so that they stand between layers. */
const bound = (id: string, name: string, foodId: string, fruitG: number, sugarG: number): Recipe =>
  recipe(
    id,
    name,
    [
      of(foodId, fruitG),
      sugar(sugarG),
      of('lemon-juice', 15),
      of('cornflour', 30),
      of('water', 60),
    ],
    [
      'Bring fruit, sugar and lemon juice to the boil, 5 minutes.',
      'Stir in the cornflour in the water, boil 1 minute; cool on a tray under film.',
    ],
    {
      makeMin: 15,
      holds: [cools(2, 98, 20, 'tray')],
      hazards: ['hot sugar', 'steam'],
      hotC: 100,
      caution: berries,
      loss: 0.15,
    },
  );

/** Fillings and frostings that people ask for first, besides those of the house. */
export const askedForRecipes: Recipe[] = [
  bound('strawberry', 'Strawberry filling', 'strawberries', 600, 150),
  bound('raspberry', 'Raspberry filling', 'raspberries', 600, 180),
  bound('blueberry', 'Blueberry filling', 'blueberries', 600, 140),
  bound('cherry', 'Cherry filling', 'cherries', 600, 120),
  bound('fig', 'Fig filling', 'figs', 600, 110),
  curd('orangecurd', 'Orange curd', [
    of('orange-juice', 200),
    of('lemon-juice', 60),
    of('orange-zest', 8),
    sugar(240),
    whole(4),
    yolks(4),
    butter(200),
  ]),
  custard('custard', 'Vanilla custard', 500, 45, [butter(40), of('vanilla', 8)]),
  recipe(
    'custardcream',
    'Custard cream',
    [made('custard', 'Vanilla custard', 500), cream(300), icing(30)],
    ['Beat the cold custard smooth.', 'Whip cream and sugar to soft peaks; fold in.'],
    { makeMin: 10, hazards: ['running machine'] },
  ),
  recipe(
    'pistachiocream',
    'Pistachio cream',
    [of('pistachios', 300), icing(150), of('white-chocolate', 200), of('sunflower-oil', 60)],
    ['Grind the nuts with the sugar until the oil runs.', 'Stir in melted chocolate and oil.'],
    {
      holds: [cools(2, 40, 26, 'bowl')],
      hazards: ['running machine'],
      hotC: 45,
      loss: 0.05,
    },
  ),
  recipe(
    'chocolatebuttercream',
    'Chocolate buttercream',
    [butter(450), icing(700), dark(220), of('cocoa', 40), cream(60)],
    [
      'Melt the chocolate and let it come down to 30 °C.',
      'Beat the butter until pale, about 5 minutes; add icing sugar and cocoa in three parts.',
      'Beat in the chocolate and loosen with the cream.',
    ],
    {
      makeMin: 20,
      holds: [cools(1, 45, 30, 'bowl')],
      hazards: ['running machine'],
      hotC: 45,
    },
  ),
  recipe(
    'mascarponecream',
    'Mascarpone cream',
    [of('mascarpone', 400), cream(400), icing(90), of('vanilla', 6)],
    ['Beat all of it cold until it just holds, and stop there.'],
    { makeMin: 8, hazards: ['running machine'] },
  ),
  ...moreFillings,
];
