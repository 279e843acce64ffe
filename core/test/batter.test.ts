import { newInclusion } from '../src/index.ts';
import { describe, expect, it } from 'vitest';
import { batterForTins, usualYieldG } from '../src/batter/customary.ts';
import { mostBatterMl } from '../src/batter/leftover.ts';
import { batterMixture, batterParts, slowerBy } from '../src/batter/start-temperature.ts';
import { isSoaked, planSoak, soakOf, syrupGPerMl } from '../src/soak/soak.ts';
import { findRow, newBuild, startingKitchen, startingPantry, tinVolumeMl, type Tier } from '../src/index.ts'; // prettier-ignore

/* What is done with a batter between the bowl and the oven. */

const pantry = startingPantry();
const sponge = findRow(pantry, 'sponges', 'butter');
const tin = findRow(pantry, 'tins', 'round-20');
const recipe = findRow(pantry, 'recipes', sponge.recipeId);
const tierOf = (change: (tier: Tier) => void = () => undefined): Tier => {
  const [tier] = newBuild('b', 'b', '2027-05-03T09:30:00Z').tiers;
  change(tier!);
  return tier!;
};

describe('batter in a tin', () => {
  it('by custom fills it to six tenths, and a recipe without a yield leaves a fiftieth in the bowl', () => {
    const one = batterForTins(tin, 1, sponge);
    expect(one).toBeCloseTo(0.6 * tinVolumeMl(tin, tin.depthMm) * sponge.batterDensityGPerMl, 6);
    expect(batterForTins(tin, 3, sponge)).toBeCloseTo(3 * one, 6);
    expect(usualYieldG(1000)).toBeCloseTo(980, 9);
  });
  it('goes no further than lets it rise within the rim, less where it rises more', () => {
    const most = mostBatterMl(tin, sponge);
    const full = tinVolumeMl(tin, tin.depthMm);
    expect(most).toBeLessThan(full);
    expect(most * sponge.rise).toBeLessThan(1.15 * full);
    expect(mostBatterMl(tin, { ...sponge, rise: sponge.rise * 1.2 })).toBeCloseTo(most / 1.2, 6);
    expect(mostBatterMl({ ...tin, depthMm: tin.depthMm * 2 }, sponge)).toBeGreaterThan(1.6 * most);
  });
});

describe('how warm a batter is', () => {
  it('is as warm as the room where nothing is cold, and colder by cold eggs', () => {
    const kitchen = startingKitchen;
    const warm = batterMixture(tierOf(), recipe, kitchen, pantry.foods, []).tempC;
    expect(warm).toBeCloseTo(kitchen.roomC, 6);
    const egg = recipe.ingredients.find(({ name }) => /egg/i.test(name))!;
    const cold = tierOf((tier) => (tier.temps = [{ name: egg.name, tempC: 4 }]));
    const by = batterMixture(cold, recipe, kitchen, pantry.foods, []).tempC;
    expect(by).toBeLessThan(warm - 2);
    expect(by).toBeGreaterThan(4);
  });
  it('frozen berries are among its parts by their share, and make it bake slower', () => {
    const berries = tierOf((tier) => {
      tier.inclusions = [
        {
          ...newInclusion('pieces'),
          name: 'raspberries',
          foodId: 'raspberries',
          gPerKg: 200,
          densityGPerMl: 1,
          allergens: [],
          waterShare: 0.86,
          tempC: -18,
        },
      ];
    });
    const folded = [{ inclusion: berries.inclusions[0]!, perG: 0.2 }];
    const parts = batterParts(berries, recipe, startingKitchen, pantry.foods, folded);
    expect(parts).toHaveLength(recipe.ingredients.length + 1);
    expect(parts.at(-1)!.massG).toBeCloseTo(recipe.yieldG * 0.2, 6);
    const { tempC } = batterMixture(berries, recipe, startingKitchen, pantry.foods, folded);
    expect(tempC).toBeLessThan(10);
    const slower = slowerBy(recipe, sponge.rise / sponge.batterDensityGPerMl, folded, pantry.foods);
    expect(slower).toBeGreaterThan(1.1);
    expect(slower).toBeLessThan(2);
    expect(slowerBy(recipe, 2, [], pantry.foods)).toBe(1);
  });
});

describe('syrup', () => {
  it('goes by the layer where it says so, by the tier elsewhere, and never on what is no sponge', () => {
    const tier = tierOf((one) => {
      one.soak = 'medium';
      one.layers[1]!.soak = 'none';
      one.layers[2]!.otherId = 'crisp';
    });
    expect(tier.layers.map((layer) => soakOf(tier, layer))).toEqual(['medium', 'none', 'none', 'medium']); // prettier-ignore
    expect(isSoaked(tier)).toBe(true);
    expect(isSoaked(tierOf())).toBe(false);
    const plan = planSoak(tier, tier.layers[0]!, 700);
    expect(plan).toMatchObject({ style: 'medium', ml: 42 });
    expect(plan.massG).toBeCloseTo(42 * syrupGPerMl, 9);
    // the wetter, the weaker
    const strengths = (['none', 'light', 'medium', 'generous'] as const).map(
      (soak) => planSoak(tier, { ...tier.layers[0]!, soak }, 700).strength,
    );
    expect(strengths).toEqual([...strengths].sort((a, b) => b - a));
    expect(strengths[0]).toBe(1);
  });
});
