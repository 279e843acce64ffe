import { lookOf } from '../colour/colour.ts';
import type { Colour, SurfaceWay, Tier } from '../document/types.ts';
import { chocolateOf, kindOfChocolate } from '../ganache/chocolates.ts';
import { foodOf } from '../pantry/find.ts';
import type { Food, Look } from '../pantry/types.ts';
import type { Film } from './types.ts';

/** How much of the coat one coat of it hides (estimates), and whether it shines. */
const ways: Record<SurfaceWay, { cover: number; shiny: boolean }> = {
  glaze: { cover: 0.15, shiny: true },
  paint: { cover: 0.75, shiny: false },
  dust: { cover: 0.4, shiny: false },
  spray: { cover: 0.6, shiny: false },
};
/** What the torch browns of a surface: its ridges (estimate). */
const toasted = { look: 'caramel', cover: 0.4 } as const;

/** Of the built-in ingredients, those that are no chocolate and no sugar. */
export const powders: Readonly<Record<string, Look>> = {
  cocoa: 'cocoa',
  coffee: 'cocoa',
  cinnamon: 'spice',
  'mixed-spice': 'spice',
  honey: 'caramel',
  jam: 'berry',
  'lustre-dust': 'curd',
};

/** What a food looks like that lies on a cake as a film: sugar where nothing of it says else. */
function lookOfFood(foods: readonly Food[], id: string | null): Look {
  const food = id === null ? undefined : foodOf(foods, id);
  if (!food) return 'ivory';
  const chocolate = chocolateOf(food);
  if (chocolate) return kindOfChocolate(chocolate) === 'white' ? 'cream' : 'cocoa';
  return food.piece?.tone ?? powders[food.id] ?? 'ivory';
}

/**
 * Glaze, paint, dust, spray and torch on a tier, in the order of the work; every coat more hides as much of what
 * still shows. A glaze without a colour only shines.
 *
 * @param stepOf the step of the building at which each is put on, by what it is called
 */
export function filmsOf(
  tier: Tier,
  colours: readonly Colour[],
  foods: readonly Food[],
  stepOf: (what: string) => number,
): Film[] {
  const films = tier.surfaces.map(({ id, way, name, foodId, tint, coats, where }): Film => {
    const { cover, shiny } = ways[way];
    const isClear = way === 'glaze' && tint.trim() === '';
    return {
      key: `${tier.id}/surface/${id}`,
      look: lookOf(colours, tint, lookOfFood(foods, foodId)),
      cover: isClear ? 0 : 1 - (1 - cover) ** coats,
      shiny,
      on: where,
      step: stepOf(name),
    };
  });
  if (!tier.torched) return films;
  return [
    ...films,
    { key: `${tier.id}/torch`, ...toasted, shiny: false, on: 'all over', step: stepOf('torched') },
  ];
}
