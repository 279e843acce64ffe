import { spongeKeepsMin } from '../day/keeping.ts';
import { handsOn } from '../labour/minutes.ts';
import { planLoads, type OvenPlan, type TierBaking } from '../oven/loads.ts';
import { batterMixings } from '../oven/mixings.ts';
import { tierLoads } from '../oven/tier-loads.ts';
import type { Kitchen, Recipe } from '../pantry/types.ts';
import { groupedBy } from '../working/grouped.ts';
import { isShared, keptGroups, type Keeping } from './kept-groups.ts';

/** What a cake bakes of one batter, when it bakes first and takes its last layer by the plan of its days. Times in ms. */
export interface BakedBatch {
  cakeId: string;
  cake: string;
  recipe: Pick<Recipe, 'id' | 'name' | 'hazards'>;
  baking: TierBaking[];
  bakedAt: number;
  usedBy: number;
}

/** Layers of one batter that several cakes take, baked at once. */
export interface BakedTogether {
  id: string;
  name: string;
  bakedAt: number;
  /** Batter in all, and of each cake, g; by how much its layers are older than baked apart, min. */
  massG: number;
  parts: { cakeId: string; cake: string; massG: number; olderMin: number }[];
  mixes: number;
  loads: number;
  /** Hands and minutes of a hot oven that it saves. */
  savesMin: number;
  ovenMin: number;
  olderMin: number;
}

/** Less is not worth a word, min. */
const worthMin = 10;

/**
 * Cakes whose layers are of one batter and keep, wrapped, from the first of them to the last use: their tins
 * go into the oven as one list, by the room on its shelves and the tins owned, with what that saves
 * (docs/model.md#diets-cost-and-shopping). Most minutes first.
 */
export function bakedTogether(batches: readonly BakedBatch[], kitchen: Kitchen): BakedTogether[] {
  return [...groupedBy(batches, ({ recipe }) => recipe.id).values()]
    .flatMap((own) => keptGroups(own, keepingOf).filter(isShared))
    .flatMap((group) => togetherOf(group, kitchen))
    .sort((a, b) => b.savesMin + b.ovenMin - a.savesMin - a.ovenMin);
}

const keepingOf = ({ bakedAt: madeAt, usedBy }: BakedBatch): Keeping => ({
  madeAt,
  usedBy,
  keepsMin: spongeKeepsMin,
});

/** Tiers of several cakes in one oven, told apart. */
const apart = ({ cakeId, baking }: BakedBatch): TierBaking[] =>
  baking.map((tier) => ({ ...tier, tierId: `${cakeId}:${tier.tierId}` }));

const gOf = (baking: readonly TierBaking[]): number =>
  baking.reduce((sum, { bake }) => sum + bake.batterG, 0);

function togetherOf(group: readonly BakedBatch[], kitchen: Kitchen): BakedTogether[] {
  const { recipe, bakedAt } = group[0]!;
  const each = group.map((batch) => costOf(apart(batch), recipe, kitchen));
  const all = costOf(group.flatMap(apart), recipe, kitchen);
  const before = {
    mixes: each.reduce((sum, { mixes }) => sum + mixes, 0),
    ovenMin: each.reduce((sum, { ovenMin }) => sum + ovenMin, 0),
  };
  const savesMin = Math.max(0, before.mixes - all.mixes) * (handsOn.batter + handsOn.weigh);
  const ovenMin = Math.max(0, before.ovenMin - all.ovenMin);
  if (savesMin + ovenMin < worthMin) return [];
  const parts = group.map((one) => ({
    cakeId: one.cakeId,
    cake: one.cake,
    massG: gOf(one.baking),
    olderMin: (one.bakedAt - bakedAt) / 60_000,
  }));
  return [
    {
      id: `${recipe.id}/${group[0]!.cakeId}`,
      name: recipe.name,
      bakedAt,
      massG: parts.reduce((sum, { massG }) => sum + massG, 0),
      parts,
      mixes: all.mixes,
      loads: all.loads,
      savesMin,
      ovenMin,
      olderMin: Math.max(...parts.map(({ olderMin }) => olderMin)),
    },
  ];
}

/** Mixings, loads and hot minutes of so many tiers, mixed as one cake's are. */
function costOf(
  baking: readonly TierBaking[],
  recipe: BakedBatch['recipe'],
  kitchen: Kitchen,
): { mixes: number; loads: number; ovenMin: number } {
  const oven = planLoads(baking, kitchen);
  const tiers = baking.map(({ tierId, tin, bake, sponge }) => ({
    tierId,
    recipe,
    makesG: bake.batterG,
    bake,
    loads: tierLoads(tierId, tin, bake, oven, kitchen, sponge.waitMin),
    isApart: false,
    tintOf: () => '',
  }));
  return {
    mixes: batterMixings(tiers, kitchen).reduce((sum, { mixes }) => sum + mixes, 0),
    loads: oven.loads.length,
    ovenMin: hotMin(oven, kitchen),
  };
}

const hotMin = ({ loads }: OvenPlan, { preheatMin, turnaroundMin }: Kitchen): number =>
  loads.reduce(
    (sum, { minutes }, i) => sum + (i === 0 ? preheatMin : turnaroundMin) + (minutes ?? 0),
    0,
  );
