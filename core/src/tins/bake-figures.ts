import type { Tier } from '../document/types.ts';
import type { Kitchen, Recipe, Sponge, Tin } from '../pantry/types.ts';
import { FigurePage, from, given, read } from '../working/figures.ts';
import type { BakedCake, BakePlan } from './bake.ts';

/** Enters what goes into each tin, what comes out, and when it is done. */
export function enterBake(
  page: FigurePage,
  tier: Tier,
  sponge: Sponge,
  tin: Tin,
  recipe: Recipe | null,
  kitchen: Kitchen,
  plan: BakePlan,
): void {
  for (const cake of plan.cakes) {
    enterBatter(page, tier, sponge, tin, kitchen, cake);
    enterWindow(page, tier, recipe, plan, cake);
  }
  if (plan.cakes.length > 0)
    page.add(
      `${tier.id}/batter`,
      'Batter in all',
      plan.batterG + plan.foldedG,
      'bowl',
      'The batter of each tin, added up, with what is folded into it.',
      plan.cakes.map((c) =>
        from(
          `${tier.id}/cake/${c.index}/batter`,
          `tin ${c.index + 1}`,
          c.batterG + c.foldedG,
          'bowl',
        ),
      ),
    );
}

function enterBatter(
  page: FigurePage,
  tier: Tier,
  sponge: Sponge,
  tin: Tin,
  kitchen: Kitchen,
  cake: BakedCake,
): void {
  const id = `${tier.id}/cake/${cake.index}`;
  const n = cake.index + 1;
  page.add(
    `${id}/edge`,
    `Height at the edge, cake ${n}`,
    cake.neededMm,
    'thickness',
    cake.keepsDome
      ? 'The layers cut from this cake, crust taken off, and what each split takes; the dome stays on.'
      : 'The layers cut from this cake, crust taken off, and what each cut takes: one to level it and one for each split.',
    [
      ...cake.layers.map((i) => given(`layer ${i + 1}`, tier.layers[i]!.heightMm, 'thickness')),
      given('crust off bottom and top', tier.trim.bottomMm + tier.trim.topMm, 'thickness'),
      given('cuts', cake.cuts.length, 'count'),
      given('crumbs of each cut', kitchen.kerfMm, 'fine'),
    ],
  );
  page.add(
    `${id}/batter`,
    `Batter in tin ${n}`,
    cake.batterG + cake.foldedG,
    'bowl',
    tier.inclusions.length > 0
      ? 'The baked cake, edge and dome, divided by what a gram of batter with its pieces bakes to: rise over batter density, and the pieces’ own volume, which does not rise; with what is folded into it.'
      : 'The baked cake, edge and dome, divided by the rise gives the batter in millilitres; times its density gives grams. The oven’s loss does not change this: it is taken from the batter’s own mass.',
    [
      from(`${id}/edge`, 'height at the edge', cake.neededMm, 'thickness'),
      given(`in the ${tin.name} up to there`, cake.edgeMl, 'volume'),
      given('dome on top', cake.capMl, 'volume'),
      read('sponges', sponge, 'rise', 'rise', 'factor'),
      read('sponges', sponge, 'batterDensityGPerMl', 'batter density', 'density'),
      ...tier.inclusions.flatMap(({ name, densityGPerMl }, k) => [
        given(`${name} in it`, cake.piecesG[k]!, 'bowl'),
        given(`density of ${name}`, densityGPerMl, 'density'),
      ]),
    ],
  );
  page.add(
    `${id}/fill`,
    `Batter stands in tin ${n}`,
    cake.fillMm,
    'thickness',
    tin.form === 'mould'
      ? 'The height at which the mould, known by the water it holds, holds the batter’s volume.'
      : 'The height at which the tin holds the batter’s volume.',
    [
      from(`${id}/batter`, 'batter', cake.batterG + cake.foldedG, 'bowl'),
      given('volume', cake.batterMl, 'volume'),
      given('depth of the tin', tin.depthMm, 'thickness'),
      ...(tin.waterG === null ? [] : [given('water it holds', tin.waterG, 'bowl')]),
    ],
  );
  page.add(
    `${id}/offcuts`,
    `Offcuts of cake ${n}`,
    cake.domeG + cake.trimG,
    'bowl',
    'The dome where it is cut off, the crust, what is cut off the sides where the tin is larger than the cake, and what came out higher than needed.',
    [
      read('sponges', sponge, 'crownOverRadius', 'height of the dome over the radius', 'factor'),
      given('dome', cake.domeG, 'bowl'),
      given('trimmed', cake.trimG, 'bowl'),
    ],
  );
}

function enterWindow(
  page: FigurePage,
  tier: Tier,
  recipe: Recipe | null,
  plan: BakePlan,
  cake: BakedCake,
): void {
  if (!cake.window) return;
  const rule = recipe?.bake;
  page.add(
    `${tier.id}/cake/${cake.index}/minutes`,
    `Minutes in the oven, cake ${cake.index + 1}`,
    cake.window.minutes,
    'minutes',
    'An estimate. The centre has to come to 97 °C; how fast follows from conduction through a cake of this size, calibrated so that the recipe’s own tin takes the recipe’s own time. Right to about a quarter: look from 85 % of it on and go by the tests.',
    [
      ...(rule && recipe
        ? [
            given(`${recipe.name}: its time`, rule.minutes, 'minutes'),
            given('its tin', rule.tinMm, 'span'),
            given('its depth', rule.depthMm, 'thickness'),
          ]
        : [given('an ordinary sponge, 20 cm and 5 cm deep', 31, 'minutes')]),
      given(
        'mean depth of this cake',
        (cake.edgeMl + cake.capMl) / (cake.edgeMl / cake.neededMm || 1),
        'thickness',
      ),
      given('oven', plan.ovenC, 'temperature'),
      given('batter goes in at', plan.startC, 'temperature'),
    ],
  );
}
