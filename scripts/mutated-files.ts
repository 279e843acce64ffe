import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { buildVersion, fileFormat, isSame, mergeRows, readBuildFile, rowsUsed, startingPantry, withRows, writeBuildFile } from '@pyrgotect/core'; // prettier-ignore
import { anyBuild } from '../core/test/arbitrary.ts';
import { mutated } from '../core/test/mutated.ts';

/* So many files with faults, by a random seed: npm run -s faults -- COUNT SEED. What is found becomes a test. */

const [count = '1000', seed = String(Date.now() % 1e9)] = process.argv.slice(2);
const folder = new URL('../demo/', import.meta.url);
const demo = readdirSync(folder).map((name) => readFileSync(new URL(name, folder), 'utf8'));
const starting = startingPantry();
/** Short files, of which one fault is a larger part: a tier of each of many builds, and a row of each table. */
const short = fc.sample(anyBuild, { numRuns: 60, seed: Number(seed) }).map((build) => {
  const rows = Object.entries(rowsUsed(build, starting)).map(([table, all]): [string, unknown] => [table, all.slice(0, 1)]); // prettier-ignore
  const one = { ...build, tiers: build.tiers.slice(0, 1) };
  return JSON.stringify({ format: fileFormat, version: buildVersion, build: one, pantry: Object.fromEntries(rows), carvings: [] }); // prettier-ignore
});
for (const text of short) {
  const read = readBuildFile(text);
  if (!read.ok) throw new Error(`A file without a fault is refused: ${read.problems[0]!.message}`);
}
/** A file that holds the page for longer than this hangs it, ms. */
const mostMs = 1000;

/** How long the machine takes to read a file when it does nothing else: the quickest of some times, ms. */
function readMs(text: string): number {
  const times = [1, 2, 3].map(() => {
    const began = performance.now();
    readBuildFile(text);
    return performance.now() - began;
  });
  return Math.min(...times);
}

function fault(text: string): string | null {
  const began = performance.now();
  try {
    const read = readBuildFile(text);
    const ms = performance.now() - began;
    if (Object.keys(Object.prototype).length > 0) return 'reached the prototype of all objects';
    if (ms > mostMs && readMs(text) > mostMs) return `was read for ${ms.toFixed(0)} ms`;
    if (!read.ok) {
      const wrong = read.problems.find(({ message }) => !/^[A-Z“].*\.$/s.test(message));
      return wrong ? `was refused with “${wrong.message.slice(0, 120)}”` : null;
    }
    const { build, added } = mergeRows(read.build, read.rows, starting);
    const pantry = withRows(starting, added);
    const again = readBuildFile(writeBuildFile(build, pantry, read.carvings));
    if (!again.ok)
      return `was taken, and refused when written again: ${again.problems[0]!.message}`;
    return isSame(again.build, build) ? null : 'is not the same when it is written and read again';
  } catch (error) {
    return `threw ${String(error).slice(0, 200)}`;
  }
}

const arbitrary = mutated([...demo, ...short]);
let [taken, faults] = [0, 0];
const each = 500;
const report = (): void =>
  void process.stdout.write(`${taken + faults} files from seed ${seed}: ${faults} faults\n`);
for (let done = 0; done < Number(count); done += each) {
  if (done > 0 && done % 50_000 === 0) report();
  for (const text of fc.sample(arbitrary, {
    numRuns: Math.min(each, Number(count) - done),
    seed: Number(seed) + done,
  })) {
    const found = fault(text);
    if (found === null) taken += 1;
    else {
      faults += 1;
      if (faults <= 20) process.stdout.write(`A file of ${text.length} letters ${found}\n`);
    }
  }
}
report();
process.exit(faults > 0 ? 1 : 0);
