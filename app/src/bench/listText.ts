import { foodOf, weightText, type ListItem } from '@pyrgotect/core';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';

/** What an item of a step's list weighs: in spoons where ounces would show next to nothing. */
export function useListText(): (item: ListItem) => string {
  const pantry = usePantry();
  const settings = useSettings();
  return (item) =>
    weightText(
      item.value,
      item.kind,
      foodOf(pantry.pantry.foods, item.foodId ?? null) ?? null,
      pantry.pantry.kitchen.measuring,
      settings.system,
    );
}
