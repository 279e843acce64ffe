import fc from 'fast-check';
import { planBuild, unsoundIn } from '@pyrgotect/core';
import { anyBuild, pantry } from '../core/test/arbitrary.ts';

/* Plans random builds and says what is unsound in any of them: npm run -s random -- 200000 [seed] */

const count = Number(process.argv[2] ?? 2000);
const seed = Number(process.argv[3] ?? Math.floor(Date.now() % 1e9));
const chunk = 500;
let planned = 0;
const found = new Map<string, number>();
/** What was found so far; said every 5,000 builds, so that a run that is ended has its count. */
function report(): void {
  process.stdout.write(`${planned} random builds, seed ${seed}: ${found.size} kinds of fault\n`);
  for (const [kind, times] of [...found].sort((a, b) => b[1] - a[1]))
    process.stdout.write(`  ${times} × ${kind}\n`);
}
for (let done = 0; done < count; done += chunk) {
  for (const build of fc.sample(anyBuild, {
    numRuns: Math.min(chunk, count - done),
    seed: seed + done,
  })) {
    planned += 1;
    try {
      for (const what of unsoundIn(planBuild(build, pantry))) {
        const kind = what.replace(/-?\d[\d.e+-]*/g, 'n');
        found.set(kind, (found.get(kind) ?? 0) + 1);
      }
    } catch (error) {
      const kind = `threw ${error instanceof Error ? error.message : String(error)}`;
      found.set(kind, (found.get(kind) ?? 0) + 1);
    }
  }
  if (planned % 5000 === 0) report();
}
report();
process.exitCode = found.size > 0 ? 1 : 0;
