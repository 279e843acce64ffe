import type { Ganache } from '../types.ts';

/** Composed of chocolate and cream, without a test drip yet. */
const ganache = (
  id: string,
  name: string,
  chocolateId: string,
  ratio: number,
  more: Partial<Ganache> = {},
): Ganache => ({
  id,
  name,
  source: 'trade custom',
  ranges: {},
  fluid: 'ganache',
  chocolateId,
  creamId: 'whipping-cream',
  ratio,
  butterShare: 0,
  syrupShare: 0,
  sugarShare: 0,
  spreadId: null,
  tests: [],
  ...more,
});

const other = (
  id: string,
  name: string,
  fluid: Ganache['fluid'],
  more: Partial<Ganache>,
): Ganache =>
  ganache(id, name, '', 0, {
    source: 'estimate',
    fluid,
    chocolateId: null,
    creamId: null,
    ...more,
  });

/**
 * What is dripped and poured to begin with. Equal parts are the one school; a firmer dark ganache for
 * drips the other; milk and white take more chocolate for the same firmness.
 */
export const startingGanaches: Ganache[] = [
  ganache('dark-equal', 'Dark ganache, equal parts', 'dark-chocolate', 1),
  ganache('dark-firm', 'Dark ganache, firm', 'dark-chocolate', 1.2),
  ganache('dark-shiny', 'Dark ganache with butter and syrup', 'dark-chocolate', 1, {
    butterShare: 0.1,
    syrupShare: 0.1,
  }),
  ganache('milk-two', 'Milk chocolate ganache', 'milk-chocolate', 2.1),
  ganache('white-three', 'White chocolate ganache', 'white-chocolate', 3.2),
  other('tempered-dark', 'Tempered dark chocolate', 'tempered dark chocolate', {
    chocolateId: 'dark-chocolate',
  }),
  other('compound-melt', 'Melted compound coating', 'compound coating', {
    chocolateId: 'compound',
  }),
  other('caramel-drip', 'Soft caramel', 'caramel', { spreadId: 'caramel' }),
  other('butterscotch-drip', 'Butterscotch sauce', 'butterscotch sauce', {
    spreadId: 'butterscotch',
  }),
  other('mirror-pour', 'Mirror glaze', 'mirror glaze', { spreadId: 'mirror' }),
  other('glaze-drip', 'Sugar glaze', 'sugar glaze', { spreadId: 'glaze' }),
];
