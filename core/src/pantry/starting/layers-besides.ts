import type { Recipe } from '../types.ts';
import {
  of,
  whole,
  whites,
  yolks,
  flour,
  butter,
  sugar,
  icing,
  cream,
  lift,
  recipe,
  cools,
  rests,
  syrup,
  scalds,
} from './recipe-lines.ts';

/** Layers that are not baked in a tin, and what is brushed on. */
export const besideRecipes: Recipe[] = [
  recipe(
    'crepe',
    'Comet crepes',
    [flour(250), whole(5), of('milk', 600), butter(60), sugar(30), of('salt', 2)],
    [
      'Whisk everything smooth and let it rest for half an hour.',
      'A thin film in a hot pan; turn when the edge lifts.',
    ],
    {
      holds: [rests(1, 30)],
      hazards: ['hot fat or cream', 'raw egg', 'raw flour'],
      hotC: 190,
      loss: 0.01,
    },
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
    { holds: [cools(1, 22, 8, 'fridge', 30)], hazards: ['raw flour'], loss: 0.01 },
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
      holds: [cools(2, 82, 28, 'cold water', 0, 20)],
      hazards: ['hot fat or cream', 'steam', 'running machine'],
      hotC: 82,
      caution: scalds('Hot custard'),
    },
  ),
  recipe('syrup', 'Plain syrup', [sugar(500), of('water', 500)], ['Boil once and cool.'], {
    holds: [cools(1, 104, 26, 'bowl')],
    hazards: ['hot sugar', 'steam'],
    hotC: 104,
    caution: syrup,
    loss: 0.03,
  }),
];
