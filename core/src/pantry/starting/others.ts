import type { Allergen, OtherForm, OtherLayer, Tone } from '../types.ts';

const other = (
  id: string,
  name: string,
  form: OtherForm,
  [thicknessMm, densityGPerMl, allowableKPa]: [number, number, number],
  tone: Tone,
  allergens: Allergen[],
  more: Partial<OtherLayer> = {},
): OtherLayer => ({
  id,
  name,
  source: 'estimate',
  ranges: { thicknessMm: [thicknessMm * 0.8, thicknessMm * 1.25] },
  form,
  thicknessMm,
  densityGPerMl,
  allowableKPa,
  spreadMm: 0,
  ovenLoss: 0,
  bake: null,
  packCount: null,
  thawH: null,
  allergens,
  tone,
  recipeId: form === 'bought' || form === 'foam' ? null : `recipe-${id}`,
  ...more,
});

/**
 * Layers of other kinds: thickness and density by docs/model.md#soak-hidden-centre-other-layers, strengths, spread and loss in the oven
 * estimated.
 */
export const startingOthers: OtherLayer[] = [
  other('crepe', 'Crepe', 'crepe', [1.2, 1, 4], 'pale', ['gluten cereals', 'eggs', 'milk'], {
    ovenLoss: 0.15,
  }),
  other('meringue-disc', 'Meringue disc', 'crisp disc', [12, 0.28, 8], 'ivory', ['eggs'], {
    spreadMm: 5,
    ovenLoss: 0.25,
    bake: { ovenC: 110, minutes: 90, dryMin: 120 },
  }),
  other('wafer', 'Nut wafer disc', 'crisp disc', [3, 0.2, 8], 'nut', ['eggs', 'tree nuts'], {
    spreadMm: 8,
    ovenLoss: 0.15,
    bake: { ovenC: 165, minutes: 14, dryMin: 0 },
  }),
  other(
    'biscuit',
    'Butter biscuit round',
    'biscuit',
    [5, 0.65, 12],
    'butter',
    ['gluten cereals', 'milk'],
    { spreadMm: 3, ovenLoss: 0.12, bake: { ovenC: 170, minutes: 14, dryMin: 0 } },
  ),
  other(
    'shortcake',
    'Shortcake round',
    'biscuit',
    [18, 0.55, 5],
    'butter',
    ['gluten cereals', 'eggs', 'milk'],
    { spreadMm: 6, ovenLoss: 0.12, bake: { ovenC: 200, minutes: 16, dryMin: 0 } },
  ),
  other('praline-crisp', 'Praline crisp disc', 'crisp disc', [5, 0.95, 10], 'nut', [
    'gluten cereals',
    'milk',
    'soy',
    'tree nuts',
  ]),
  other('mousse', 'Set mousse', 'mousse', [30, 0.55, 1], 'cream', ['eggs', 'milk']),
  other('fruit-jelly', 'Raspberry jelly', 'mousse', [8, 1.1, 1], 'berry', []),
  other(
    'bought-sponge',
    'Bought sponge round 25 cm',
    'bought',
    [18, 0.3, 2],
    'pale',
    ['gluten cereals', 'eggs'],
    { packCount: 3, thawH: 2 },
  ),
  // a tier to look at: light, stiff, and not eaten
  other('foam', 'Foam dummy', 'foam', [100, 0.025, 60], 'ivory', []),
];
