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

/** Making a soak takes so long, min (estimate). */
const soakMin = 8;
const boiled = 'Boil sugar and water once and let it cool.';
/** What is boiled as a syrup, cools, and is brushed on: its density, g/mL, and how hot it gets, C. */
const soak = (
  id: string,
  name: string,
  soakGPerMl: number,
  hotC: number,
  lines: Recipe['ingredients'],
  steps: string[],
): Recipe =>
  recipe(id, name, lines, steps, {
    holds: [cools(1, hotC, 26, 'bowl')],
    hazards: ['hot sugar', 'steam'],
    hotC,
    caution: syrup,
    loss: 0.03,
    makeMin: soakMin,
    soakGPerMl,
  });

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
  recipe(
    'fruit-jelly',
    'Raspberry jelly',
    [of('raspberries', 400), sugar(80), of('lemon-juice', 15), of('gelatine', 8), of('water', 48)],
    [
      'Soak the gelatine in the cold water.',
      'Warm fruit, sugar and juice to 85 °C, strain it and melt the gelatine in it.',
      'Cool to 25 °C before it is poured.',
    ],
    {
      holds: [cools(2, 85, 25, 'cold water', 0, 30)],
      hazards: ['steam'],
      hotC: 85,
      caution: scalds('Hot fruit'),
      loss: 0.12,
    },
  ),
  recipe(
    'praline-crisp',
    'Praline crisp',
    [of('milk-chocolate', 100), of('hazelnut-spread', 160), of('wafer-flakes', 120), butter(20)],
    [
      'Melt chocolate and butter gently, to 45 °C at most, and stir in the spread.',
      'Fold in the flakes, and roll it out between two papers before it sets.',
    ],
    { hotC: 45 },
  ),
  soak('syrup', 'Plain syrup', 1.2, 104, [sugar(500), of('water', 500)], ['Boil once and cool.']),
  soak(
    'vanilla-soak',
    'Vanilla syrup',
    1.15,
    102,
    [sugar(400), of('water', 600), of('vanilla', 20)],
    [boiled, 'Stir in the vanilla, cold: heat drives it off.'],
  ),
  soak(
    'lemon-soak',
    'Lemon syrup',
    1.16,
    102,
    [sugar(400), of('water', 300), of('lemon-juice', 300), of('lemon-zest', 10)],
    ['Boil sugar and water once with the zest and let it cool.', 'Stir in the juice and strain.'],
  ),
  soak(
    'rum-soak',
    'Rum syrup',
    1.11,
    103,
    [sugar(350), of('water', 350), of('rum', 300)],
    [boiled, 'Stir in the rum, cold and away from any flame.'],
  ),
  soak(
    'orange-soak',
    'Orange liqueur syrup',
    1.12,
    102,
    [sugar(250), of('water', 400), of('orange-liqueur', 350)],
    [boiled, 'Stir in the liqueur, cold and away from any flame.'],
  ),
  recipe(
    'coffee-soak',
    'Coffee soak',
    [of('coffee', 850), sugar(150)],
    ['Brew it strong, stir the sugar in while it is hot, and let it cool.'],
    {
      holds: [cools(1, 90, 26, 'bowl')],
      hazards: ['steam'],
      hotC: 90,
      caution: scalds('Hot coffee'),
      makeMin: soakMin,
      soakGPerMl: 1.05,
    },
  ),
];
