import type { CarriedRows } from '../pantry/schema.ts';
import { pantryTables, type Pantry, type PantryTable } from '../pantry/types.ts';
import type { Build } from './types.ts';

type AnyRow = Pantry[PantryTable][number];
export interface Merged {
  build: Build;
  /** Rows to add to the pantry; none of the pantry's own rows changes. */
  added: CarriedRows;
}

const sameRow = (a: unknown, b: unknown): boolean => stable(a) === stable(b);
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
  };
  const added: CarriedRows = {
    sponges: [],
    spreads: [],
    tins: [],
    boards: [],
    others: [],
    recipes: [],
  };
  // recipes first: sponges and spreads point at them
  for (const table of [...pantryTables].reverse()) {
    for (const carried of rows[table] as AnyRow[]) {
      const row = withRecipe(carried, renamed.recipes);
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
  const to = (table: PantryTable, id: string): string => renamed[table].get(id) ?? id;
  return {
    added,
    build: {
      ...build,
      boardId: to('boards', build.boardId),
      tiers: build.tiers.map((tier) => ({
        ...tier,
        spongeId: to('sponges', tier.spongeId),
        tinId: to('tins', tier.tinId),
        layers: tier.layers.map((layer) => ({
          ...layer,
          otherId: layer.otherId === null ? null : to('others', layer.otherId),
          between: layer.between && {
            ...layer.between,
            spreadId: to('spreads', layer.between.spreadId),
          },
        })),
        gaps: tier.gaps.map((gap) => ({
          ...gap,
          spreadId: to('spreads', gap.spreadId),
          drizzle: gap.drizzle && {
            ...gap.drizzle,
            spreadId: to('spreads', gap.drizzle.spreadId),
          },
        })),
        centre: tier.centre && {
          ...tier.centre,
          spreadId: to('spreads', tier.centre.spreadId),
        },
        coat: { ...tier.coat, spreadId: to('spreads', tier.coat.spreadId) },
      })),
    },
  };
}

function withRecipe(row: AnyRow, renamed: Map<string, string>): AnyRow {
  if (!('recipeId' in row)) return row;
  const recipeId = renamed.get(row.recipeId);
  return recipeId ? { ...row, recipeId } : row;
}

const fromFile = (name: string): string => `${name.slice(0, 66)} (from file)`;

function freeId(id: string, taken: readonly AnyRow[]): string {
  for (let n = 2; ; n++) {
    const next = `${id.slice(0, 56)}-f${n}`;
    if (!taken.some((row) => row.id === next)) return next;
  }
}
