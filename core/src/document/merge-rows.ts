import { noRows, type CarriedRows } from '../pantry/fields.ts';
import { pantryTables, type Pantry, type PantryTable, type Recipe } from '../pantry/types.ts';
import { soakIdOf } from '../soak/soak.ts';
import type { Build } from './types.ts';

type AnyRow = Pantry[PantryTable][number];
export interface Merged {
  build: Build;
  /** Rows to add to the pantry; none of the pantry's own rows changes. */
  added: CarriedRows;
}

/** Names, stock and prices are the kitchen's own affair: an ingredient is the same by what it is made of. */
const bare = (row: AnyRow): unknown => {
  if (!('boughtAs' in row)) return row;
  const { aliases, stockG, packG, price, keepsDays, source, ranges, ...made } = row;
  void [aliases, stockG, packG, price, keepsDays, source, ranges];
  return made;
};
const sameRow = (a: AnyRow, b: AnyRow): boolean => stable(bare(a)) === stable(bare(b));
const stable = (value: unknown): string =>
  JSON.stringify(value, (_key, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );

/**
 * Fits the rows that came with a file to the pantry. A row the pantry lacks is added; one that
 * differs from the pantry's row of the same id is added under a new id and named "(from file)", and
 * the build is pointed at it, so that neither side is overwritten.
 */
export function mergeRows(build: Build, rows: CarriedRows, pantry: Pantry): Merged {
  const renamed: Record<PantryTable, Map<string, string>> = {
    sponges: new Map(),
    spreads: new Map(),
    tins: new Map(),
    boards: new Map(),
    others: new Map(),
    recipes: new Map(),
    foods: new Map(),
    ganaches: new Map(),
    dowels: new Map(),
    stock: new Map(),
  };
  const added = noRows();
  // ingredients and recipes first: the others point at them
  for (const table of inOrderOfUse) {
    const inOrder = table === 'recipes' ? partsFirst(rows.recipes) : (rows[table] as AnyRow[]);
    for (const carried of inOrder) {
      const row = pointed(carried, renamed);
      const taken = pantry[table] as AnyRow[];
      const own = taken.find((other) => other.id === row.id);
      if (own && sameRow(own, row)) continue;
      const twin = taken.find(
        (other) =>
          sameRow({ ...other, id: '', name: '' }, { ...row, id: '', name: '' }) &&
          other.name.startsWith(row.name),
      );
      if (own && twin) {
        renamed[table].set(row.id, twin.id);
        continue;
      }
      const fresh = own ? { ...row, id: freeId(row.id, taken), name: fromFile(row.name) } : row;
      if (own) renamed[table].set(row.id, fresh.id);
      (added[table] as AnyRow[]).push(fresh);
    }
  }
  /** What lies in somebody else's freezer does not come with a file. */
  const hasStock = (id: string | null): boolean => pantry.stock.some((row) => row.id === id);
  const to = (table: PantryTable, id: string): string => renamed[table].get(id) ?? id;
  const toOrNull = (table: PantryTable, id: string | null): string | null =>
    id === null ? null : to(table, id);
  return {
    added,
    build: {
      ...build,
      boardId: to('boards', build.boardId),
      rod: build.rod && { ...build.rod, dowelId: to('dowels', build.rod.dowelId) },
      tiers: build.tiers.map((tier) => ({
        ...tier,
        spongeId: to('sponges', tier.spongeId),
        tinId: to('tins', tier.tinId),
        mould: tier.mould && { ...tier.mould, tinId: to('tins', tier.mould.tinId) },
        layers: tier.layers.map((layer) => ({
          ...layer,
          otherId: toOrNull('others', layer.otherId),
          insets: layer.insets.map((one) => ({ ...one, otherId: toOrNull('others', one.otherId) })),
          between: layer.between && {
            ...layer.between,
            spreadId: to('spreads', layer.between.spreadId),
          },
        })),
        gaps: tier.gaps.map((gap) => ({
          ...gap,
          spreadId: to('spreads', gap.spreadId),
          pieces: gap.pieces.map((one) => ({ ...one, foodId: toOrNull('foods', one.foodId) })),
          drizzle: gap.drizzle && {
            ...gap.drizzle,
            spreadId: to('spreads', gap.drizzle.spreadId),
          },
        })),
        centre: tier.centre && {
          ...tier.centre,
          spreadId: to('spreads', tier.centre.spreadId),
          pieces: tier.centre.pieces && {
            ...tier.centre.pieces,
            foodId: toOrNull('foods', tier.centre.pieces.foodId),
          },
        },
        coat: {
          ...tier.coat,
          spreadId: to('spreads', tier.coat.spreadId),
          innerSpreadId: toOrNull('spreads', tier.coat.innerSpreadId),
          topSpreadId: toOrNull('spreads', tier.coat.topSpreadId),
        },
        inclusions: tier.inclusions.map((one) => ({
          ...one,
          foodId: toOrNull('foods', one.foodId),
        })),
        // plain syrup of another house is not the one of this
        soakId: renamed.recipes.get(soakIdOf(tier)) ?? tier.soakId,
        stockId: hasStock(tier.stockId) ? tier.stockId : null,
        surfaces: tier.surfaces.map((one) => ({
          ...one,
          foodId: toOrNull('foods', one.foodId),
        })),
        pressed: tier.pressed && {
          ...tier.pressed,
          foodId: toOrNull('foods', tier.pressed.foodId),
        },
        carving: tier.carving && {
          ...tier.carving,
          glueSpreadId: toOrNull('spreads', tier.carving.glueSpreadId),
          cuts: tier.carving.cuts.map((cut) =>
            cut.kind === 'relief'
              ? { ...cut, inlaySpreadId: toOrNull('spreads', cut.inlaySpreadId) }
              : cut,
          ),
        },
        stand: {
          ...tier.stand,
          dowels: tier.stand.dowels && {
            ...tier.stand.dowels,
            dowelId: to('dowels', tier.stand.dowels.dowelId),
          },
          decks: tier.stand.decks.map((deck) => ({
            ...deck,
            dowels: { ...deck.dowels, dowelId: to('dowels', deck.dowels.dowelId) },
          })),
        },
        drip: tier.drip && { ...tier.drip, ganacheId: to('ganaches', tier.drip.ganacheId) },
        pour: tier.pour && { ...tier.pour, ganacheId: to('ganaches', tier.pour.ganacheId) },
        toppings: tier.toppings.map((topping) => ({
          ...topping,
          foodId: toOrNull('foods', topping.foodId),
          ganacheId: toOrNull('ganaches', topping.ganacheId),
          side: topping.side && {
            ...topping.side,
            dabSpreadId: toOrNull('spreads', topping.side.dabSpreadId),
          },
        })),
      })),
      piping: build.piping.map((job) => ({ ...job, spreadId: toOrNull('spreads', job.spreadId) })),
      colours: build.colours.map((colour) => ({
        ...colour,
        doses: colour.doses.map((dose) => ({ ...dose, foodId: to('foods', dose.foodId) })),
      })),
      mixedApart: build.mixedApart.map((id) => to('spreads', id)),
      fromStock: build.fromStock
        .filter(({ stockId }) => hasStock(stockId))
        .map((one) => ({ ...one, spreadId: to('spreads', one.spreadId) })),
      // a bowl's key begins with its spread
      apart: build.apart.map((key) => {
        const [spreadId = '', ...rest] = key.split('~');
        return [to('spreads', spreadId), ...rest].join('~');
      }),
    },
  };
}

/** Ingredients, recipes and what is made of them before what points at them. */
const inOrderOfUse: PantryTable[] = [
  'foods',
  'recipes',
  ...pantryTables.filter((table) => !['foods', 'recipes', 'ganaches', 'stock'].includes(table)),
  'ganaches',
];

/** Recipes with those that others are made of before them. */
function partsFirst(recipes: readonly Recipe[]): Recipe[] {
  const done = new Set<Recipe>();
  const visit = (recipe: Recipe): void => {
    if (done.has(recipe)) return;
    done.add(recipe);
    for (const line of recipe.ingredients) {
      const part = recipes.find((other) => other.id === line.recipeId);
      if (part && part !== recipe) visit(part);
    }
    order.push(recipe);
  };
  const order: Recipe[] = [];
  recipes.forEach(visit);
  return order;
}

/** The row with what it points at under the new ids; the row itself where nothing was renamed. */
function pointed(row: AnyRow, renamed: Record<PantryTable, Map<string, string>>): AnyRow {
  if ('ingredients' in row) {
    const isMoved = (line: Recipe['ingredients'][number]): boolean =>
      renamed.foods.has(line.foodId ?? '') || renamed.recipes.has(line.recipeId ?? '');
    if (!row.ingredients.some(isMoved)) return row;
    return {
      ...row,
      ingredients: row.ingredients.map((line) => ({
        ...line,
        foodId: renamed.foods.get(line.foodId ?? '') ?? line.foodId,
        recipeId: renamed.recipes.get(line.recipeId ?? '') ?? line.recipeId,
      })),
    };
  }
  if ('chocolateId' in row) {
    const moved = (map: Map<string, string>, id: string | null): string | null =>
      id === null ? null : (map.get(id) ?? id);
    const chocolateId = moved(renamed.foods, row.chocolateId);
    const creamId = moved(renamed.foods, row.creamId);
    const spreadId = moved(renamed.spreads, row.spreadId);
    const isSame =
      chocolateId === row.chocolateId && creamId === row.creamId && spreadId === row.spreadId;
    return isSame ? row : { ...row, chocolateId, creamId, spreadId };
  }
  if ('boughtAs' in row) {
    const boughtAs = renamed.foods.get(row.boughtAs ?? '');
    return boughtAs ? { ...row, boughtAs } : row;
  }
  if (!('recipeId' in row) || row.recipeId === null) return row;
  const recipeId = renamed.recipes.get(row.recipeId);
  return recipeId ? { ...row, recipeId } : row;
}

const fromFile = (name: string): string => `${name.slice(0, 66)} (from file)`;

function freeId(id: string, taken: readonly AnyRow[]): string {
  for (let n = 2; ; n++) {
    const next = `${id.slice(0, 56)}-f${n}`;
    if (!taken.some((row) => row.id === next)) return next;
  }
}

/** The pantry with rows of a file behind its own. */
export function withRows(pantry: Pantry, added: CarriedRows): Pantry {
  const merged = { ...pantry };
  for (const table of pantryTables)
    (merged[table] as AnyRow[]) = [...(pantry[table] as AnyRow[]), ...(added[table] as AnyRow[])];
  return merged;
}
