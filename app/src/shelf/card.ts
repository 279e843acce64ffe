/* The card of a cake on the shelf, with all that plans a cake: an empty shelf goes without. */

import { home } from '../home.ts';

export const fetchCard = () => import('./ShelfCard.vue');

/** Set where the shelf held cakes when it was last seen. */
export const heldKey = 'pyrgotect shelf held cakes';

/** Fetches the card before anything else runs, where it will be needed at once. */
export function fetchCardEarly(): void {
  if (location.pathname === home().pathname && localStorage.getItem(heldKey) === 'true')
    void fetchCard();
}
