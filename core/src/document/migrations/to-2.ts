import { asList, asObject, type Loose } from '../loose.ts';

const briefThen = {
  occasion: '',
  place: '',
  servings: 40,
  portion: 'dessert',
  cutting: 'grid',
  halves: false,
  look: 'smooth',
  serveAt: null,
  keepOut: [],
  notes: '',
};
const coatThen = { style: 'smooth', spreadId: '', crumbMm: null, sideMm: null, topMm: null };

/**
 * Version 1 knew one cake with one thickness for all its layers and one for all its fillings;
 * version 2 has tiers, each with its own list of layers and gaps.
 */
export function from1to2(file: Loose): Loose {
  const { cake: oldCake, brief, ...build } = asObject(file.build);
  const cake = asObject(oldCake);
  const count = typeof cake.layers === 'number' ? cake.layers : Number.NaN;
  const repeat = <T>(times: number, make: () => T): T[] =>
    Number.isInteger(times) && times > 0 && times <= 100 ? Array.from({ length: times }, make) : [];
  return {
    ...file,
    version: 2,
    build: {
      ...build,
      brief: { ...briefThen, ...asObject(brief) },
      tiers: [
        {
          id: 'tier-1',
          name: cake.name ?? 'Cake',
          outline: cake.outline,
          spongeId: cake.spongeId,
          tinId: cake.tinId,
          slicesPerCake: cake.slicesPerCake,
          levelling: cake.levelling ?? 'cut all',
          layers: repeat(count, () => ({ heightMm: cake.layerMm })),
          gaps: repeat(count - 1, () => ({
            heightMm: cake.fillingMm,
            spreadId: cake.fillingId,
            damMm: 0,
          })),
          inclusion: null,
          coat: { ...coatThen, ...asObject(cake.coat) },
          bowl: null,
        },
      ],
      bench: {
        stepKey: null,
        done: [],
        checks: [],
        notes: asList(build.notes),
        timers: [],
      },
    },
  };
}
