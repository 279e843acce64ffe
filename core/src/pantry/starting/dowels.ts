import type { Dowel } from '../types.ts';

const dowel = (
  id: string,
  name: string,
  outerMm: number,
  wallMm: number | null,
  [modulusGPa, strengthMPa]: [number, number],
  lengthMm: number,
  packCount: number,
  price: number,
  more: Partial<Dowel> = {},
): Dowel => ({
  id,
  name,
  source: 'textbook',
  ranges: {},
  form: wallMm === null ? 'solid' : 'tube',
  outerMm,
  wallMm,
  modulusGPa,
  strengthMPa,
  dampShare: 1,
  lengthMm,
  packCount,
  price,
  owned: 0,
  testsG: [],
  testedMm: 100,
  ...more,
});

/** What stands in cakes: stiffness and strength of the materials (docs/model.md#support), prices made up. */
export const startingDowels: Dowel[] = [
  dowel('rod-6', 'Hardwood rod 6 mm', 6, null, [10, 30], 300, 12, 4.8, { owned: 6 }),
  dowel('tube-10', 'Plastic tube 10 mm', 10, 1, [1.5, 25], 300, 4, 3.6),
  dowel('straw-12', 'Wide straw 12 mm', 12, 0.25, [1.3, 25], 230, 50, 2.5, {
    source: 'estimate',
    ranges: { strengthMPa: [15, 35], modulusGPa: [0.9, 1.6] },
    owned: 50,
  }),
  dowel('paper-8', 'Paper straw 8 mm', 8, 0.4, [2, 10], 200, 100, 3, {
    source: 'estimate',
    ranges: { strengthMPa: [6, 14], dampShare: [0.3, 0.7] },
    dampShare: 0.5,
  }),
  dowel('post-20', 'Plastic post 20 mm', 20, 2, [1.5, 25], 300, 4, 6.4),
  dowel('rod-12', 'Hardwood rod 12 mm', 12, null, [10, 30], 900, 1, 3.2),
  dowel('rod-18', 'Hardwood rod 18 mm', 18, null, [10, 30], 900, 1, 5.9),
];
