import type { Bowl } from '../bowls/bowls.ts';
import type { Build } from '../document/types.ts';
import { makingKey } from '../others/lots.ts';
import { isPouredInMould, otherMixings } from '../others/mixings.ts';
import type { CakePlan } from '../plan/plan-types.ts';
import { weighedUp } from '../recipes/scale.ts';
import { valueOf } from '../working/staged.ts';
import { cutKey, loadKey } from './step-keys.ts';

/** A share of something that was made: what it goes into, and the step that puts it there. Masses in g. */
export interface ProductShare {
  label: string;
  massG: number;
  /** Null where several steps share it, or none is its own. */
  step: string | null;
}

/**
 * Something that is made on the way, and what becomes of it (docs/model.md#what-a-step-is):
 * given = taken + lost + left, to the gram.
 */
export interface Product {
  id: string;
  kind: 'batter' | 'cake' | 'mixture' | 'bowl';
  name: string;
  tierId: string | null;
  givenG: number;
  taken: ProductShare[];
  /** Gone: to the oven, to crumbs, to bowls and bags. */
  lost: ProductShare[];
  /** What is over: batter in the bowl, domes and crusts, frosting. */
  leftG: number;
}

const sum = (shares: readonly { massG: number }[]): number =>
  shares.reduce((all, { massG }) => all + massG, 0);
/** Shares of nothing are no shares. */
const some = (shares: readonly ProductShare[]): ProductShare[] =>
  shares.filter(({ massG }) => massG > 0);

/** Every batter, cake, mixture and bowl of a build, and where all of it goes. */
export function productsOf(build: Build, plan: Pick<CakePlan, 'tiers' | 'bowls'>): Product[] {
  return [
    ...build.tiers.flatMap((_, i) => [...bakedOf(build, plan, i), ...mixturesOf(build, plan, i)]),
    ...(valueOf(plan.bowls) ?? []).map(bowlOf),
  ];
}

/** The batter of a tier with what is folded in, and each cake that it bakes to. */
function bakedOf(build: Build, { tiers }: Pick<CakePlan, 'tiers'>, i: number): Product[] {
  const tier = build.tiers[i]!;
  const bake = valueOf(tiers[i]!.bake);
  const recipe = valueOf(tiers[i]!.batterRecipe);
  if (!bake || !recipe || bake.cakes.length === 0) return [];
  const many = bake.cakes.length > 1;
  const keyOf = (what: string, lowest: number, isAll: boolean): string =>
    loadKey(tier, what, [lowest], isAll);
  const tins = bake.cakes.map(({ index, layers, batterG, inclusionG }) => ({
    label: many ? `tin ${index + 1}` : 'the tin',
    massG: batterG + inclusionG,
    step: many ? null : keyOf('divide', layers[0]!, true),
  }));
  const givenG = Math.max(recipe.makesG, bake.batterG) + bake.inclusionG;
  return [
    {
      id: `${tier.id}/batter`,
      kind: 'batter',
      name: recipe.name,
      tierId: tier.id,
      givenG,
      taken: tins,
      lost: [],
      leftG: givenG - sum(tins),
    },
    ...bake.cakes.map((cake): Product => {
      const layers = { label: 'layers', massG: cake.layersG, step: cake.cuts.length > 0 ? cutKey(tier, cake.layers[0]!) : null }; // prettier-ignore
      const lost = some([
        { label: 'in the oven', massG: cake.ovenLossG, step: null },
        { label: 'crumbs', massG: cake.crumbsG, step: null },
      ]);
      return {
        id: `${tier.id}/cake/${cake.index}`,
        kind: 'cake',
        name: many ? `cake ${cake.index + 1}` : 'cake',
        tierId: tier.id,
        givenG: cake.batterG + cake.inclusionG,
        taken: [layers],
        lost,
        leftG: cake.domeG + cake.trimG,
      };
    }),
  ];
}

/** What layers of other kinds are made of. */
function mixturesOf(build: Build, { tiers }: Pick<CakePlan, 'tiers'>, i: number): Product[] {
  const tier = build.tiers[i]!;
  const others = valueOf(tiers[i]!.others) ?? [];
  return otherMixings(tier, others).map(({ recipeId, of: own }): Product => {
    const taken = own.map((one) => ({
      label: one.placed ? `inside layer ${one.index + 1}` : `layer ${one.index + 1}`,
      massG: one.ownG,
      step: makingKey(tier, others, one),
    }));
    const baked = own.reduce((all, { batterG, ownG }) => all + batterG - ownG, 0);
    const usedG = sum(taken) + baked;
    const givenG = weighedUp(usedG);
    return {
      id: `${tier.id}/mixture/${recipeId}${isPouredInMould(tier, own[0]!) ? `/${tier.layers[own[0]!.index]!.id}` : ''}`,
      kind: 'mixture',
      name: own[0]!.row.name,
      tierId: tier.id,
      givenG,
      taken,
      lost: some([{ label: 'in the oven or the pan', massG: baked, step: null }]),
      leftG: givenG - usedG,
    };
  });
}

/** A bowl with every use, every loss, and what is over. */
const bowlOf = (bowl: Bowl): Product => ({
  id: `bowl/${bowl.id}`,
  kind: 'bowl',
  name: bowl.name,
  tierId: null,
  givenG: bowl.makeG,
  taken: some(bowl.uses.map(({ label, massG, step }) => ({ label, massG, step }))),
  lost: some(bowl.losses.map(({ label, massG }) => ({ label, massG, step: null }))),
  leftG: bowl.makeG - bowl.needG,
});
