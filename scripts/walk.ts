import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { randomFrom, readBuildFile } from '@pyrgotect/core';
import { anyBuild, pantry } from '../core/test/arbitrary.ts';
import { walk } from '../core/test/walk.ts';

/* So many edits, one after the other, by a random seed: npm run -s walk -- COUNT SEED. What is found becomes a test. */

const [count = '2000', given = String(Date.now() % 1e9)] = process.argv.slice(2);
const seed = Number(given);
/** A plan that takes longer holds the page, ms. */
const mostMs = 250;
const folder = new URL('../demo/', import.meta.url);
const demo = readdirSync(folder).flatMap((name) => {
  const read = readBuildFile(readFileSync(new URL(name, folder), 'utf8'));
  return read.ok ? [read.build] : [];
});
const starts = [...demo, ...fc.sample(anyBuild, { numRuns: 60, seed })];
const found = new Map<string, { times: number; step: number }>();
const slow: { step: number; ms: number }[] = [];
let step = 0;
const report = (): void => {
  process.stdout.write(`${step} edits, seed ${seed}: ${found.size} kinds of fault, ${slow.length} plans over ${mostMs} ms\n`); // prettier-ignore
  for (const [kind, { times, step: at }] of [...found].sort((a, b) => b[1].times - a[1].times))
    process.stdout.write(`  ${times} × ${kind} (first at step ${at})\n`);
  for (const { step: at, ms } of slow.sort((a, b) => b.ms - a.ms).slice(0, 5))
    process.stdout.write(`  ${ms.toFixed(0)} ms at step ${at}\n`);
};
for (const { faults, ms } of walk(starts, pantry, Number(count), randomFrom(seed))) {
  step += 1;
  if (ms > mostMs) slow.push({ step, ms });
  for (const fault of faults) {
    const kind = fault.replace(/-?\d[\d.e+-]*/g, 'n');
    const known = found.get(kind) ?? { times: 0, step };
    found.set(kind, { ...known, times: known.times + 1 });
  }
  if (step % 5000 === 0) report();
}
report();
process.exitCode = found.size > 0 ? 1 : 0;
