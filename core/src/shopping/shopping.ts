import type { Food } from '../pantry/types.ts';
import { boughtFor, costOf } from '../price/price.ts';
import type { UseDays } from './use-days.ts';
import { addDays } from '../units/days.ts';
import { wholePieces, type ScaledIngredient } from '../recipes/scale.ts';

/** One cake on the list: what it takes, and when its work begins. */
export interface ShoppingBuild {
  id: string;
  name: string;
  /** Day the first of it is used, "2027-06-10"; null when it has no date. */
  useOn: string | null;
  /** When each ingredient is used by the plan of its days; null where there is none. */
  days: UseDays | null;
  ingredients: readonly ScaledIngredient[];
}

export interface ShoppingRow {
  key: string;
  foodId: string | null;
  name: string;
  needG: number;
  /** From stock, of what there is. */
  stockG: number;
  buyG: number;
  /** Whole packs to buy and what they hold; null where no pack is known. */
  packs: number | null;
  packG: number | null;
  leftG: number | null;
  /** Whole pieces to buy, for what is counted. */
  pieces: number | null;
  cost: number | null;
  /** Buy between these days, before the first use; null where it keeps, or no build has a date. */
  from: string | null;
  by: string | null;
  /** True when it does not keep from the first cake to the last: buy it twice. */
  twice: boolean;
  builds: { id: string; name: string; needG: number }[];
  /** Parts of what is bought whole that no cake takes: whites of eggs whose yolks are used. */
  spare: SparePart[];
}

/** What is left of whole pieces whose other part is used. */
export interface SparePart {
  foodId: string;
  name: string;
  pieces: number;
  massG: number;
}

export interface ShoppingList {
  rows: ShoppingRow[];
  cost: number;
  unpriced: string[];
}

/**
 * One list over several cakes: what is in stock goes to the earliest first, the rest is rounded up
 * to packs; what spoils is bought as late as it keeps. Whites and yolks are bought as eggs: one
 * egg gives one of each.
 */
export function shoppingList(
  builds: readonly ShoppingBuild[],
  foods: readonly Food[],
): ShoppingList {
  const byId = new Map(foods.map((food) => [food.id, food]));
  const rows = new Map<string, ShoppingRow & { food: Food | null; days: string[] }>();
  const inOrder = [...builds].sort((a, b) => (a.useOn ?? '9999').localeCompare(b.useOn ?? '9999'));
  for (const build of inOrder) {
    for (const need of needsOf(build, byId, foods)) {
      let row = rows.get(need.key);
      if (!row)
        rows.set(
          need.key,
          (row = {
            key: need.key,
            foodId: need.food?.id ?? null,
            food: need.food,
            name: need.name,
            needG: 0,
            stockG: 0,
            buyG: 0,
            packs: null,
            packG: need.food?.packG ?? null,
            leftG: null,
            pieces: null,
            cost: null,
            from: null,
            by: null,
            twice: false,
            builds: [],
            spare: [],
            days: [],
          }),
        );
      row.needG += need.massG;
      for (const one of need.spare) addSpare(row.spare, one);
      row.builds.push({ id: build.id, name: build.name, needG: need.massG });
      const span = need.food && build.days?.[need.food.id];
      if (span) row.days.push(span.first, span.last);
      else if (build.useOn) row.days.push(build.useOn);
    }
  }
  const list = [...rows.values()].map(({ food, days, ...row }): ShoppingRow => {
    const stockG = Math.min(row.needG, food?.stockG ?? 0);
    const buyG = row.needG - stockG;
    // water and the like come from the tap
    const isFree = food?.price === 0;
    const packs = food?.packG && !isFree ? Math.ceil(buyG / food.packG - 1e-9) : null;
    const boughtG = packs !== null ? packs * food!.packG! : buyG;
    days.sort();
    const [first, last] = [days[0] ?? null, days.at(-1) ?? null];
    const keeps = food?.keepsDays ?? null;
    const lasts =
      keeps === null || first === null || last === null || addDays(first, keeps) >= last;
    // what is used on several days keeps to the last of them, or is bought twice
    const upTo = lasts ? last : first;
    const from = upTo && keeps !== null ? addDays(upTo, -keeps) : null;
    return {
      ...row,
      stockG,
      buyG,
      packs,
      leftG: packs !== null ? boughtG - buyG : null,
      pieces: food?.pieceG ? wholePieces(buyG, food.pieceG) : null,
      cost: isFree ? 0 : food ? costOf(food, boughtG) : null,
      from,
      by: buyG > 0 ? first : null,
      twice: buyG > 0 && !lasts,
    };
  });
  const wanted = list.filter((row) => row.needG > 0);
  return {
    rows: wanted.sort((a, b) => a.name.localeCompare(b.name)),
    cost: wanted.reduce((sum, row) => sum + (row.cost ?? 0), 0),
    unpriced: wanted.filter((row) => row.cost === null && row.buyG > 0).map((row) => row.name),
  };
}

interface Need {
  key: string;
  food: Food | null;
  name: string;
  massG: number;
  spare: SparePart[];
}

/** Parts of several cakes added up. */
function addSpare(all: SparePart[], one: SparePart): void {
  const known = all.find(({ foodId }) => foodId === one.foodId);
  if (known) {
    known.pieces += one.pieces;
    known.massG += one.massG;
  } else all.push({ ...one });
}

/** What is left of so many whole pieces, of each part that comes out of them. */
function spareOf(
  whole: Food,
  pieces: number,
  used: ReadonlyMap<string, number>,
  foods: readonly Food[],
): SparePart[] {
  return foods.flatMap((part): SparePart[] => {
    if (part.boughtAs !== whole.id || !part.pieceG) return [];
    // a part that is opened is used, if not to the last gram
    const left = pieces - wholePieces(used.get(part.id) ?? 0, part.pieceG);
    return left > 0
      ? [{ foodId: part.id, name: part.name, pieces: left, massG: left * part.pieceG }]
      : [];
  });
}

/** What one cake takes of each ingredient, parts of an egg as eggs. */
function needsOf(
  build: ShoppingBuild,
  byId: ReadonlyMap<string, Food>,
  foods: readonly Food[],
): Need[] {
  const needs = new Map<string, Need>();
  const parts = new Map<string, Map<string, number>>();
  const used = new Map<string, number>();
  for (const line of build.ingredients) {
    const food = byId.get(line.foodId ?? '') ?? null;
    if (food?.boughtAs && byId.has(food.boughtAs)) {
      const bought = boughtFor(line, foods)!;
      used.set(food.id, (used.get(food.id) ?? 0) + line.massG);
      const of = parts.get(bought.food.id) ?? new Map<string, number>();
      of.set(food.id, (of.get(food.id) ?? 0) + bought.massG);
      parts.set(bought.food.id, of);
      continue;
    }
    const key = food?.id ?? `name/${line.name}`;
    const known = needs.get(key);
    // counted things are bought as they are opened: whole
    const massG = boughtFor(line, foods)?.massG ?? line.massG;
    if (known) known.massG += massG;
    else needs.set(key, { key, food, name: food?.name ?? line.name, massG, spare: [] });
  }
  for (const [id, of] of parts) {
    const food = byId.get(id)!;
    // the whites come with the yolks: as many eggs as the greater of them takes
    const massG = Math.max(...of.values());
    const pieces = food.pieceG ? wholePieces(massG, food.pieceG) : 0;
    const spare = spareOf(food, pieces, used, foods);
    const known = needs.get(id);
    if (known) {
      known.massG += massG;
      known.spare = spare;
    } else needs.set(id, { key: id, food, name: food.name, massG, spare });
  }
  return [...needs.values()];
}
