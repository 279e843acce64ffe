import type { Food } from '../pantry/types.ts';
import { boughtFor, costOf } from '../price/price.ts';
import { SpareParts, type PairedPart, type SparePart } from './spare-parts.ts';
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
  /** Parts that one cake leaves over and another takes. */
  paired: PairedPart[];
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
  const spares = new SpareParts();
  const rows = new Map<string, ShoppingRow & { food: Food | null; days: string[] }>();
  const inOrder = [...builds].sort((a, b) => (a.useOn ?? '9999').localeCompare(b.useOn ?? '9999'));
  for (const build of inOrder) {
    for (const need of needsOf(build, byId, foods, spares)) {
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
            paired: [],
            days: [],
          }),
        );
      row.needG += need.massG;
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
      spare: food ? spares.left(food.id) : [],
      paired: spares.paired.filter(({ foodId }) => food && byId.get(foodId)?.boughtAs === food.id),
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
}

/** What one cake takes of each ingredient, parts of an egg as eggs; what an earlier one left is taken first. */
function needsOf(
  build: ShoppingBuild,
  byId: ReadonlyMap<string, Food>,
  foods: readonly Food[],
  spares: SpareParts,
): Need[] {
  const needs = new Map<string, Need>();
  const parts = new Map<string, Map<Food, number>>();
  for (const line of build.ingredients) {
    const food = byId.get(line.foodId ?? '') ?? null;
    const whole = food && byId.get(food.boughtAs ?? '');
    if (food?.pieceG && whole?.pieceG) {
      const of = parts.get(whole.id) ?? new Map<Food, number>();
      of.set(food, (of.get(food) ?? 0) + (line.pieces ?? wholePieces(line.massG, food.pieceG)));
      parts.set(whole.id, of);
      continue;
    }
    const key = food?.id ?? `name/${line.name}`;
    const known = needs.get(key);
    // counted things are bought as they are opened: whole
    const massG = boughtFor(line, foods)?.massG ?? line.massG;
    if (known) known.massG += massG;
    else needs.set(key, { key, food, name: food?.name ?? line.name, massG });
  }
  for (const [id, of] of parts) {
    const food = byId.get(id)!;
    const day = build.days?.[id]?.first ?? build.useOn;
    const open = [...of].map(([part, pieces]) => ({
      part,
      pieces: pieces - spares.take(part, pieces, day, build.name),
    }));
    // the whites come with the yolks: as many eggs as the greater of them takes
    const opened = Math.max(...open.map(({ pieces }) => pieces));
    for (const part of foods)
      if (part.boughtAs === id && part.pieceG) {
        const used = open.find((one) => one.part.id === part.id)?.pieces ?? 0;
        spares.put(part, opened - used, day, build.name);
      }
    const massG = opened * food.pieceG!;
    const known = needs.get(id);
    if (known) known.massG += massG;
    else needs.set(id, { key: id, food, name: food.name, massG });
  }
  return [...needs.values()];
}
