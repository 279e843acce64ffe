import { newCarving, newCut, type Cut } from '../../src/index.ts';
import { job, layers, pieces, topping, type Job } from './job-kit.ts';

/* Jobs that are carved, moulded, built round a core or made ahead. */

const room = { radiusMm: 100, widthMm: 200, heightMm: 120 };
const cut = (kind: Parameters<typeof newCut>[0], id: string, more: Partial<Cut> = {}): Cut =>
  ({ ...newCut(kind, id, room), ...more }) as Cut;

export const shapedJobs: Job[] = [
  job('carved loaf', (tier) => {
    layers(tier, 2, 40, { spreadId: 'ganache', heightMm: 6 });
    tier.outline = { kind: 'rectangle', widthMm: 240, depthMm: 110, cornerMm: 0 };
    tier.tinId = 'loaf-23';
    tier.slicesPerCake = 1;
    tier.coat = { ...tier.coat, style: 'rustic', spreadId: 'softganache' };
    tier.carving = { ...newCarving(), cuts: [cut('edge', 'round-off')] };
  }),
  job('two rings to a ball, inlaid', (tier) => {
    layers(tier, 4, 28, { spreadId: 'buttercream', heightMm: 4 });
    tier.outline = { kind: 'ring', diameterMm: 200, holeMm: 60 };
    tier.tinId = 'ring-24';
    tier.carving = {
      ...newCarving(),
      cuts: [
        cut('profile', 'ball'),
        cut('relief', 'star', { name: 'Star', inlaySpreadId: 'meringue', inlayTint: 'gold' }),
      ],
    };
  }),
  job('laid on its side, panels, scored', (tier) => {
    layers(tier, 5, 30, { spreadId: 'ganache', heightMm: 5 });
    tier.coat = { ...tier.coat, style: 'under fondant', spreadId: 'ganache' };
    tier.fondant = { way: 'draped', mm: 4, allowanceMm: 15, tint: 'ivory' };
    tier.carving = {
      ...newCarving(),
      cuts: [cut('silhouette', 'front'), cut('lay', 'over')],
      lattice: { angleDeg: 45, spacingMm: 25, studs: true },
    };
  }),
  job('mousse with an inset', (tier) => {
    layers(tier, 2, 30, { spreadId: 'compote', heightMm: 4 });
    tier.layers[1] = {
      ...tier.layers[1]!,
      otherId: 'mousse',
      insets: [{ id: 'disc', otherId: null, heightMm: 12, marginMm: 12, upMm: 9 }],
    };
    tier.coat = { ...tier.coat, style: 'naked', spreadId: 'cream' };
  }),
  job('a core of loose sweets', (tier) => {
    layers(tier, 4, 25, { spreadId: 'buttercream', heightMm: 6 });
    tier.centre = {
      outline: { kind: 'round', diameterMm: 70 },
      fromLayer: 1,
      toLayer: 2,
      spreadId: 'buttercream',
      pieces: {
        name: 'sugar pearls',
        foodId: 'sprinkles',
        densityGPerMl: 1.4,
        share: 0.6,
        allergens: [],
      },
    };
  }),
  job('shortcake rounds with sugared fruit', (tier) => {
    layers(tier, 3, 18, {
      spreadId: 'cream',
      heightMm: 12,
      pieces: pieces('sugared-strawberries', 0.5).map((one) => ({
        ...one,
        name: 'sugared strawberries',
      })),
    });
    for (const layer of tier.layers) layer.otherId = 'shortcake';
    tier.coat = { ...tier.coat, style: 'naked', spreadId: 'cream' };
  }),
  job('frozen ahead, sides pressed', (tier, build) => {
    layers(tier, 4, 22, { spreadId: 'meringue', heightMm: 6 });
    build.day.freezerMm = 600;
    build.day.chillIn = 'freezer';
    tier.coat = { ...tier.coat, spreadId: 'meringue' };
    tier.pressed = {
      name: 'coconut',
      foodId: 'coconut',
      gPerCm2: 0.15,
      cover: 1,
      bandMm: 40,
      onTop: false,
      allergens: [],
    };
  }),
  job('crisp disc and veil', (tier) => {
    layers(tier, 3, 20, { spreadId: 'whippedganache', heightMm: 8 });
    tier.layers[1] = { ...tier.layers[1]!, otherId: 'wafer', heightMm: 4 };
    tier.coat = { ...tier.coat, style: 'thick', spreadId: 'ganache' };
    tier.toppings = [
      topping('flakes', {
        name: 'flakes',
        foodId: 'coconut',
        kind: 'pieces',
        arrangement: 'scattered',
        count: 40,
        pieceG: 0.2,
        last: false,
      }),
    ];
  }),
];
