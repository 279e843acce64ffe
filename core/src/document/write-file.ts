import { withParts } from '../recipes/parts.ts';
import { tintsIn } from '../colour/colour.ts';
import { fondantId, gelId, oilColourId } from '../pantry/find.ts';
import { soakIdsIn } from '../soak/soak.ts';
import type { CarveResult } from '../carve/result.ts';
import type { CarriedRows } from '../pantry/fields.ts';
import type { Pantry } from '../pantry/types.ts';
import { pouredIn } from '../finish/ganache-recipe.ts';
import { dowelIdsIn, otherIdsOf, piecesOf, spreadIdsIn } from './edit.ts';
import { fileFormat } from './read-file.ts';
import { buildVersion, type Build } from './types.ts';

/** The pantry rows that a build names, directly or through a sponge, a spread or a recipe. */
export function rowsUsed(build: Build, pantry: Pantry): CarriedRows {
  const pick = <T extends { id: string }>(rows: readonly T[], ids: Iterable<string>): T[] => {
    const wanted = new Set(ids);
    return rows.filter((row) => wanted.has(row.id));
  };
  const { tiers } = build;
  const sponges = pick(
    pantry.sponges,
    tiers.map((tier) => tier.spongeId),
  );
  const ganaches = pick(
    pantry.ganaches,
    pouredIn(build).map((poured) => poured.ganacheId),
  );
  const spreads = pick(pantry.spreads, [
    ...spreadIdsIn(build),
    ...ganaches.flatMap((row) => row.spreadId ?? []),
  ]);
  const others = pick(
    pantry.others,
    tiers.flatMap((tier) => [...otherIdsOf(tier)]),
  );
  const recipes = withParts(
    pick(pantry.recipes, [
      ...[...sponges, ...spreads, ...others].flatMap((row) => row.recipeId ?? []),
      ...soakIdsIn(tiers),
    ]),
    pantry.recipes,
  );
  const lines = recipes.flatMap((recipe) => recipe.ingredients.flatMap((i) => i.foodId ?? []));
  const foods = pick(pantry.foods, [
    ...lines,
    ...(tintsIn(build).length > 0 ? [gelId, oilColourId] : []),
    ...build.colours.flatMap(({ doses }) => doses.map(({ foodId }) => foodId)),
    ...tiers.flatMap((tier) => [
      ...[
        ...piecesOf(tier),
        ...tier.gaps.flatMap(({ pieces }) => pieces),
        tier.pressed,
        ...tier.surfaces,
      ].flatMap((part) => part?.foodId ?? []),
      ...(tier.fondant || build.boardCoverMm > 0 || tier.toppings.some((one) => one.modelled)
        ? [fondantId]
        : []),
      ...tier.toppings.flatMap((topping) => topping.foodId ?? []),
    ]),
    ...ganaches.flatMap((row) => [row.chocolateId, row.creamId].filter((id) => id !== null)),
    ...ganaches.flatMap((row) => [
      ...(row.butterShare > 0 ? ['butter'] : []),
      ...(row.syrupShare > 0 ? ['glucose'] : []),
      ...(row.sugarShare > 0 ? ['caster-sugar'] : []),
    ]),
  ]);
  const whole = pick(
    pantry.foods,
    foods.flatMap((food) => food.boughtAs ?? []),
  );
  return {
    sponges,
    spreads,
    tins: pick(
      pantry.tins,
      tiers.flatMap((tier) => [tier.tinId, ...(tier.mould ? [tier.mould.tinId] : [])]),
    ),
    boards: pick(pantry.boards, [build.boardId]),
    others,
    recipes,
    foods: [...new Set([...foods, ...whole])],
    ganaches,
    dowels: pick(pantry.dowels, dowelIdsIn(build)),
    stock: pick(pantry.stock, [
      ...tiers.flatMap(({ stockId }) => stockId ?? []),
      ...build.fromStock.map(({ stockId }) => stockId),
    ]),
  };
}

/**
 * The text of a build file: the build, the pantry rows it stands on, and what the solids said of its
 * carved tiers, so that whoever opens it need not work that out again.
 */
export function writeBuildFile(
  build: Build,
  pantry: Pantry,
  carvings: readonly CarveResult[] = [],
): string {
  const text = JSON.stringify(
    { format: fileFormat, version: buildVersion, build, pantry: rowsUsed(build, pantry) },
    null,
    2,
  );
  // thousands of points that nobody reads: one answer to a line
  const lines = carvings.map((each) => `\n    ${JSON.stringify(each)}`);
  const list = lines.length === 0 ? '[]' : `[${lines.join(',')}\n  ]`;
  return `${text.slice(0, -2)},\n  "carvings": ${list}\n}\n`;
}
