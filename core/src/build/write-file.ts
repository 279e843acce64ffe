import type { CarriedRows } from '../pantry/schema.ts';
import type { Pantry, PantryTable } from '../pantry/types.ts';
import { spreadIdsOf } from './edit.ts';
import { fileFormat } from './read-file.ts';
import { buildVersion, type Build } from './types.ts';

/** The pantry rows that a build names, directly or through a sponge or a spread. */
export function rowsUsed(build: Build, pantry: Pantry): CarriedRows {
  const ids: Record<PantryTable, Set<string>> = {
    sponges: new Set(build.tiers.map((tier) => tier.spongeId)),
    spreads: new Set(build.tiers.flatMap(spreadIdsOf)),
    tins: new Set(build.tiers.map((tier) => tier.tinId)),
    boards: new Set([build.boardId]),
    others: new Set(build.tiers.flatMap((tier) => tier.layers.flatMap((l) => l.otherId ?? []))),
    recipes: new Set(),
  };
  const sponges = pantry.sponges.filter((row) => ids.sponges.has(row.id));
  const spreads = pantry.spreads.filter((row) => ids.spreads.has(row.id));
  for (const row of [...sponges, ...spreads]) ids.recipes.add(row.recipeId);
  return {
    sponges,
    spreads,
    tins: pantry.tins.filter((row) => ids.tins.has(row.id)),
    boards: pantry.boards.filter((row) => ids.boards.has(row.id)),
    others: pantry.others.filter((row) => ids.others.has(row.id)),
    recipes: pantry.recipes.filter((row) => ids.recipes.has(row.id)),
  };
}

/** The text of a build file: the build and the pantry rows it stands on. */
export function writeBuildFile(build: Build, pantry: Pantry): string {
  return `${JSON.stringify(
    { format: fileFormat, version: buildVersion, build, pantry: rowsUsed(build, pantry) },
    null,
    2,
  )}\n`;
}
