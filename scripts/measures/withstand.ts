import fc from 'fast-check';
import { isSame, mergeBuilds, planBuild, randomFrom, startingPantry, type Build } from '../../core/src/index.ts'; // prettier-ignore
import { anyBuild } from '../../core/test/arbitrary.ts';
import { walk } from '../../core/test/walk.ts';
import { demo, measure, type Measure } from './measure.ts';

/* What the program bears: any document, and what two sides did to one. */

/** The slowest of 2,000 cakes that a file may hold, each planned anew; one that the machine held up is tried again. */
export function planAny(): Measure {
  const pantry = startingPantry();
  const budget = 250;
  const once = (build: Build): number => {
    const anew = structuredClone(build);
    const began = performance.now();
    planBuild(anew, pantry);
    return performance.now() - began;
  };
  const builds = fc.sample(anyBuild, { numRuns: 2000, seed: 18 });
  builds.slice(0, 60).forEach(once);
  let slowest = 0;
  for (const build of builds) {
    const first = once(build);
    slowest = Math.max(slowest, first < budget ? first : Math.min(first, once(build), once(build)));
  }
  return measure('plan-any', 'ms', [slowest], budget, 'median');
}

/** Ten thousand edits from two sides, put together each time that a hundred were made on either. */
export function mergeTenThousand(): Measure {
  const pantry = startingPantry();
  const sides = [randomFrom(1), randomFrom(2)];
  let base = demo('jubilee');
  let total = 0;
  for (let met = 0; met < 50; met += 1) {
    const [theirs, mine] = sides.map((random) => {
      let last = base;
      for (const { build } of walk([base], pantry, 100, random, Infinity)) last = build;
      return last;
    });
    const began = performance.now();
    const merged = mergeBuilds(base, theirs!, mine!);
    total += performance.now() - began;
    base = merged && !isSame(merged.value, base) ? merged.value : mine!;
  }
  return measure('merge-10000', 'ms', [total], 500, 'median');
}
