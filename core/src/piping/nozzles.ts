import type { Source } from '../pantry/types.ts';

export const nozzleForms = [
  'round',
  'open star',
  'closed star',
  'fine star',
  'petal',
  'leaf',
  'basket',
] as const;
export type NozzleForm = (typeof nozzleForms)[number];

/** Opening by the square of the width, and how much the rope swells (docs/model.md#piping-and-toppings). */
const openings: Record<NozzleForm, { perW2: number; swell: number; source: Source }> = {
  round: { perW2: Math.PI / 4, swell: 1.05, source: 'trade custom' },
  'open star': { perW2: 0.47, swell: 1.15, source: 'estimate' },
  'closed star': { perW2: 0.31, swell: 1.25, source: 'estimate' },
  'fine star': { perW2: 0.59, swell: 1.15, source: 'estimate' },
  petal: { perW2: 0.11, swell: 1.05, source: 'estimate' },
  leaf: { perW2: 0.25, swell: 1.05, source: 'estimate' },
  basket: { perW2: 0, swell: 1.05, source: 'estimate' },
};

/** Area that a nozzle opens to, mm2; a basket's is a slit 2 mm high. */
export const openingMm2 = (form: NozzleForm, wideMm: number): number =>
  form === 'basket' ? 2 * wideMm : openings[form].perW2 * wideMm ** 2;

/** Section of the rope that comes out of it, mm2. */
export const ropeMm2 = (form: NozzleForm, wideMm: number): number =>
  openingMm2(form, wideMm) * openings[form].swell;
