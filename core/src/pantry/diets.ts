import type { Allergen, Trait } from './types.ts';

export const diets = [
  'vegetarian',
  'vegan',
  'no alcohol',
  'no gelatine',
  'no nuts',
  'no gluten',
] as const;
export type Diet = (typeof diets)[number];

const fromAnimals: readonly Allergen[] = ['milk', 'eggs', 'fish', 'crustaceans', 'molluscs'];

interface Ruled {
  allergens: readonly Allergen[];
  traits: readonly Trait[];
}

const broken: Record<Diet, (what: Ruled) => boolean> = {
  vegetarian: ({ traits }) => traits.includes('slaughtered') || traits.includes('gelatine'),
  vegan: ({ traits, allergens }) =>
    traits.includes('animal') ||
    traits.includes('slaughtered') ||
    traits.includes('gelatine') ||
    allergens.some((a) => fromAnimals.includes(a)),
  'no alcohol': ({ traits }) => traits.includes('alcohol'),
  'no gelatine': ({ traits }) => traits.includes('gelatine'),
  'no nuts': ({ allergens }) => allergens.includes('tree nuts') || allergens.includes('peanuts'),
  'no gluten': ({ allergens }) => allergens.includes('gluten cereals'),
};

/** True when something with these allergens and traits is kept out by the diet. */
export const breaksDiet = (diet: Diet, what: Ruled): boolean => broken[diet](what);

/** Whether something keeps to a diet: where a part of it is not known, nobody can say yes. */
export type DietAnswer = 'yes' | 'no' | 'not known';

/** @param what with the names of the parts of which nothing is known */
export const dietAnswer = (diet: Diet, what: Ruled & { unknown: readonly string[] }): DietAnswer =>
  breaksDiet(diet, what) ? 'no' : what.unknown.length > 0 ? 'not known' : 'yes';

/** Every diet that something is known to keep. */
export const dietsKept = (what: Ruled & { unknown: readonly string[] }): Diet[] =>
  diets.filter((diet) => dietAnswer(diet, what) === 'yes');
