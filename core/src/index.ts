/**
 * The one public entry of the core. `planBuild` gives the whole plan; every model below can also be
 * called on its own with plain data. Lengths in mm, masses in g, volumes in mL, temperatures in C,
 * times in min, forces in N, pressures in Pa, unless a name says otherwise.
 */
export * from './plan.ts';
export { planShape } from './plan-shape.ts';
export type * from './plan-types.ts';

export * from './units/kinds.ts';
export * from './units/parse.ts';
export * from './units/format.ts';
export * from './units/field.ts';
export * from './units/phrase.ts';

export * from './outline/outline.ts';
export * from './outline/line-problem.ts';
export * from './outline/clip.ts';

export * from './pantry/types.ts';
export * from './pantry/styles.ts';
export * from './pantry/diets.ts';
export * from './pantry/find.ts';
export * from './pantry/schema.ts';
export * from './pantry/starting/index.ts';

export * from './build/types.ts';
export * from './build/limits.ts';
export { outlineSchema } from './build/schema-blocks.ts';
export * from './build/schema.ts';
export * from './build/create.ts';
export * from './build/edit.ts';
export * from './build/migrate.ts';
export * from './build/read-file.ts';
export * from './build/write-file.ts';
export * from './build/merge-rows.ts';
export * from './build/json-schema.ts';

export * from './working/figures.ts';
export * from './working/cautions.ts';
export * from './working/staged.ts';

export * from './brief/draft.ts';
export * from './servings/blocks.ts';
export * from './servings/wedges.ts';
export * from './servings/servings.ts';
export * from './tins/volume.ts';
export * from './tins/knife.ts';
export * from './tins/bake.ts';
export * from './tins/bake-cautions.ts';
export * from './tins/lining.ts';
export * from './tins/offcuts.ts';
export * from './batter/divide.ts';
export * from './batter/leftover.ts';
export * from './batter/start-temperature.ts';
export * from './heat/bessel.ts';
export * from './heat/series.ts';
export * from './heat/body.ts';
export * from './heat/finite.ts';
export * from './heat/bake-time.ts';
export * from './heat/cooling.ts';
export * from './heat/curve.ts';
export * from './heat/question.ts';
export * from './heat/mixture.ts';
export * from './oven/loads.ts';
export * from './others/other-layers.ts';
export * from './soak/soak.ts';
export * from './level/readings.ts';
export * from './stack/stack.ts';
export * from './stack/board.ts';
export * from './fill/gaps.ts';
export * from './fill/load.ts';
export * from './fill/centre.ts';
export * from './fill/squeeze.ts';
export * from './coat/shell.ts';
export * from './coat/thickness.ts';
export * from './coat/coat.ts';
export * from './coat/warm.ts';
export * from './covers/fondant.ts';
export * from './covers/pressed.ts';
export * from './bowls/uses.ts';
export * from './bowls/chance.ts';
export * from './bowls/measures.ts';
export * from './bowls/tint.ts';
export * from './bowls/batches.ts';
export * from './bowls/leftover-use.ts';
export * from './bowls/bowls.ts';
export * from './recipes/parts.ts';
export * from './recipes/scale.ts';
export * from './recipes/household.ts';
export * from './recipes/rules.ts';
export * from './recipes/swap.ts';
export * from './recipes/fruit.ts';
export * from './recipes/read-line.ts';
export * from './recipes/csv.ts';
export * from './putright/cool-bowl.ts';
export * from './putright/frosting.ts';
export * from './shopping/shopping.ts';
export * from './shopping/plan-shopping.ts';
export * from './solve/from-left.ts';
export * from './price/price.ts';
export * from './price/contents.ts';
export * from './labour/minutes.ts';
export * from './section/section.ts';
export * from './bench/steps.ts';
export { setAsideOf } from './bench/bowl-steps.ts';
export * from './solve/level.ts';
export * from './solve/height.ts';
export * from './solve/as-baked.ts';
export * from './solve/levelling.ts';
export * from './solve/weight.ts';
