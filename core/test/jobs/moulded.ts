import { newPour, setMould, type Inset, type Mould } from '../../src/index.ts';
import { pantry } from '../arbitrary.ts';
import { job } from './job-kit.ts';

/* Whole cakes that set in a ring or a mould, with what lies in them. */

const inset = (id: string, otherId: string | null, heightMm: number, upMm: number): Inset => ({
  id,
  otherId,
  heightMm,
  marginMm: 10,
  upMm,
});
const inMould = (tinId: string, order: Mould['order']): Mould => ({
  tinId,
  order,
  setIn: 'freezer',
});

export const mouldJobs = [
  job('mousse in a ring with insets, glazed frozen', (tier, build) => {
    setMould(tier, inMould('mousse-ring-18', 'upright'), pantry);
    tier.layers[1]!.insets = [
      inset('crisp', 'praline-crisp', 4, 4),
      inset('jelly', 'fruit-jelly', 8, 16),
    ];
    tier.pour = { ...newPour('mirror-pour'), fluidC: 33, coatC: -15 };
    build.day.freezerMm = 300;
  }),
  job('mousse in a dome, turned out of it', (tier, build) => {
    setMould(tier, inMould('mould-dome', 'upside down'), pantry);
    tier.layers[1]!.insets = [inset('disc', null, 10, 12), inset('jelly', 'fruit-jelly', 8, 30)];
    build.day.freezerMm = 300;
  }),
];
