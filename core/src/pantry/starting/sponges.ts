import type { Sponge, Tone } from '../types.ts';

/** Starting values for sponges: model table 2; the spreads of rise and loss, how
 * long batter stands and how much syrup the crumb holds are estimates. */
function sponge(
  id: string,
  name: string,
  [batterDensityGPerMl, rise, ovenLoss, crownOverRadius]: [number, number, number, number],
  [minSliceMm, allowableKPa]: [number, number],
  [waitMin, soakMlPerMl]: [number, number],
  allowable: [number, number],
  tone: Tone,
  bareSides = false,
): Sponge {
  const about = (n: number, by: number): [number, number] => [
    Number((n * (1 - by)).toFixed(3)),
    Number((n * (1 + by)).toFixed(3)),
  ];
  return {
    id,
    name,
    source: 'trade custom',
    ranges: {
      batterDensityGPerMl: about(batterDensityGPerMl, 0.1),
      rise: about(rise, 0.1),
      ovenLoss: about(ovenLoss, 0.25),
      crownOverRadius: about(crownOverRadius, 0.4),
      allowableKPa: allowable,
      waitMin: [waitMin / 2, waitMin * 1.5],
      soakMlPerMl: about(soakMlPerMl, 0.3),
    },
    batterDensityGPerMl,
    rise,
    ovenLoss,
    crownOverRadius,
    minSliceMm,
    allowableKPa,
    waitMin,
    bareSides,
    soakMlPerMl,
    tone,
    recipeId: `recipe-${id}`,
  };
}

export const startingSponges: Sponge[] = [
  sponge(
    'butter',
    'Creamed butter sponge',
    [0.85, 1.75, 0.1, 0.12],
    [12, 2.5],
    [30, 0.12],
    [1.8, 3.5],
    'butter',
  ),
  sponge(
    'chocolate',
    'Chocolate, oil-based',
    [1.05, 1.8, 0.1, 0.08],
    [15, 2],
    [30, 0.1],
    [1.4, 2.8],
    'cocoa',
  ),
  sponge(
    'carrot',
    'Carrot and nut, oil-based',
    [1.05, 1.5, 0.09, 0.08],
    [15, 3.5],
    [30, 0.1],
    [2.5, 5],
    'spice',
  ),
  sponge(
    'plant',
    'Plant sponge, no egg or milk',
    [1.0, 1.65, 0.1, 0.06],
    [15, 2],
    [20, 0.1],
    [1.4, 2.8],
    'spice',
  ),
  sponge('foam', 'Whisked foam', [0.45, 1.6, 0.1, 0.04], [12, 2], [10, 0.2], [1.2, 3], 'pale'),
  sponge(
    'chiffon',
    'Oil foam',
    [0.4, 1.7, 0.1, 0.04],
    [15, 1.5],
    [10, 0.16],
    [1, 2.5],
    'pale',
    true,
  ),
  sponge('mud', 'Dense mud cake', [1.15, 1.3, 0.07, 0.05], [12, 6], [120, 0.06], [4, 9], 'cocoa'),
  sponge('nutfoam', 'Nut foam', [0.55, 1.5, 0.1, 0.04], [15, 2], [10, 0.15], [1.4, 2.8], 'nut'),
  sponge(
    'fruit',
    'Rich fruit cake',
    [1.2, 1.05, 0.04, 0.02],
    [10, 15],
    [120, 0.08],
    [10, 20],
    'spice',
  ),
];
