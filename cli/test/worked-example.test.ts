import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { planBuild, readBuildFile, startingPantry } from '@pyrgotect/core';

const at = (path: string): string =>
  readFileSync(new URL(`../../${path}`, import.meta.url), 'utf8');

it('the page that works one cake by hand agrees with the program to the gram', () => {
  const read = readBuildFile(at('demo/fig-and-walnut.json'));
  if (!read.ok) throw new Error(read.problems[0]!.message);
  const plan = planBuild(read.build, startingPantry());
  const tier = plan.tiers[0]!;
  if (!tier.bake.ok || !tier.gaps.ok || !tier.coat.ok || !plan.bowls.ok) throw new Error('no plan');
  const cake = tier.bake.value.cakes[0]!;
  const bowl = plan.bowls.value[0]!;
  const of = (kind: string): number =>
    [...bowl.uses, ...bowl.losses].find((u) => u.kind === kind)!.massG;
  const program: Record<string, number> = {
    'batter in each tin': cake.batterG,
    'figs in each tin': cake.inclusionG,
    'baked cake': cake.bakedG,
    'one layer': cake.layersG,
    'filling in each gap': tier.gaps.value[0]!.fillingG,
    'crumb coat': tier.coat.value.crumbG,
    patching: of('reserve'),
    'scraped off': of('scrapings'),
    'on bowl and tools': of('tools'),
    'used and lost': bowl.needG,
    enough: bowl.safeG,
    'to make': bowl.makeG,
  };
  const page = Object.fromEntries(
    [...at('docs/worked-example.md').matchAll(/^\| ([a-z ]+?) +\| +(\d+) *\|$/gm)].map((m) => [
      m[1]!,
      Number(m[2]),
    ]),
  );
  const rounded = Object.fromEntries(Object.entries(program).map(([k, g]) => [k, Math.round(g)]));
  expect(page).toEqual(rounded);
});
