import { newInclusion } from '../../src/index.ts';
import { newPour } from '../../src/index.ts';
import { drips, job, layers, pieces, rosettes, topping, type Job } from './job-kit.ts';

/* Jobs that are stacked, coated and finished as they stand. */

export const layeredJobs: Job[] = [
  job('two layers, poured and browned', (tier, build) => {
    layers(tier, 2, 40, { spreadId: 'ganache' });
    tier.coat = { ...tier.coat, style: 'poured veil', spreadId: 'ganache' };
    tier.pour = newPour('dark-equal');
    build.piping = [rosettes('meringue-swirls')];
    build.piping[0]!.spreadId = 'meringue';
    tier.torched = true;
  }),
  job('crepes by the dozen', (tier) => {
    layers(tier, 1, 60);
    tier.layers[0] = {
      ...tier.layers[0]!,
      otherId: 'crepe',
      between: { spreadId: 'cream', heightMm: 2 },
    };
    tier.coat = { ...tier.coat, style: 'naked', spreadId: 'cream' };
  }),
  job('thin slices with strawberries', (tier) => {
    tier.spongeId = 'chiffon';
    tier.slicesPerCake = 3;
    layers(tier, 6, 14, { spreadId: 'cream', heightMm: 9, pieces: pieces('strawberries', 0.35) });
    tier.coat = { ...tier.coat, style: 'smooth', spreadId: 'firmcream' };
    tier.toppings = [
      topping('crown', { foodId: 'strawberries', name: 'strawberries', last: true }),
    ];
  }),
  job('compote in a ring', (tier) => {
    layers(tier, 3, 30, { spreadId: 'compote', heightMm: 8, damMm: 12 });
    tier.coat = { ...tier.coat, spreadId: 'meringue' };
  }),
  job('soaked, nuts pressed on', (tier) => {
    layers(tier, 3, 25, { spreadId: 'yolk', heightMm: 6 });
    tier.soak = 'generous';
    tier.coat = { ...tier.coat, spreadId: 'yolk' };
    tier.pressed = {
      name: 'pistachios',
      foodId: 'pistachios',
      gPerCm2: 0.35,
      cover: 0.9,
      bandMm: null,
      onTop: false,
      allergens: [],
    };
  }),
  job('berries folded in, half bare, a drip', (tier) => {
    layers(tier, 3, 30, { spreadId: 'cheese', heightMm: 8 });
    tier.inclusions = [
      {
        ...newInclusion('pieces'),
        name: 'blackcurrants',
        foodId: 'blackcurrants',
        gPerKg: 180,
        densityGPerMl: 1,
        allergens: [],
        waterShare: 0.82,
        tempC: 4,
      },
    ];
    tier.coat = { ...tier.coat, style: 'semi-naked', spreadId: 'cheese' };
    drips(tier, 'dark-equal');
  }),
  job('caramel drips, rosettes, shards', (tier, build) => {
    layers(tier, 4, 22, { spreadId: 'caramel', heightMm: 5, damMm: 12 });
    drips(tier, 'caramel-drip');
    build.piping = [rosettes('crown-of-rosettes')];
    tier.toppings = [
      topping('shards', {
        name: 'dark shards',
        foodId: 'dark-chocolate',
        count: 9,
        pieceG: 6,
        linkedTo: 'crown-of-rosettes',
        every: 2,
        last: false,
        tray: { thickMm: 2, wholeShare: 0.6, spreads: 1 },
      }),
    ];
  }),
  job('one layer, a wreath of shards', (tier) => {
    layers(tier, 1, 45);
    tier.coat = { ...tier.coat, spreadId: 'softganache' };
    tier.toppings = [
      topping('wreath', {
        name: 'brittle',
        foodId: 'hazelnuts',
        kind: 'wreath',
        acrossMm: 30,
        highMm: 25,
        last: false,
        tray: { thickMm: 4, wholeShare: 0.5, spreads: 1.1 },
      }),
    ];
  }),
  job('three slices of one cake and syrup', (tier) => {
    tier.slicesPerCake = 3;
    layers(tier, 3, 20, { spreadId: 'curdcream', heightMm: 8 });
    tier.soak = 'medium';
  }),
  job('domes left on under a pour', (tier) => {
    tier.levelling = 'cut none';
    tier.slicesPerCake = 1;
    layers(tier, 2, 35, { spreadId: 'ganache', heightMm: 10 });
    tier.coat = { ...tier.coat, style: 'poured veil', spreadId: 'ganache' };
    tier.pour = newPour('dark-equal');
  }),
  job('four slices with a crunch between', (tier) => {
    layers(tier, 4, 18, {
      spreadId: 'nutspread',
      heightMm: 6,
      pieces: pieces('hazelnuts', 0.2),
    });
  }),
  job('four layers, drips, rosettes and berries between', (tier, build) => {
    layers(tier, 4, 25, { spreadId: 'buttercream', heightMm: 7 });
    drips(tier, 'dark-equal');
    build.piping = [rosettes('rim')];
    tier.toppings = [
      topping('between', {
        linkedTo: 'rim',
        every: 1,
        shift: 0.5,
        last: true,
        foodId: 'raspberries',
      }),
    ];
  }),
];
