import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import {
  mergeRows,
  readBuildFile,
  startingPantry,
  withRows,
  writeBuildFile,
} from '@pyrgotect/core';
import { planCarved } from '@pyrgotect/core/solids';

/* Brings the demo files up to the version the program writes, their carvings worked out anew. */

const folder = new URL('../demo/', import.meta.url);
for (const name of readdirSync(folder)) {
  const file = new URL(name, folder);
  const read = readBuildFile(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error(`${name}: ${read.problems[0]!.message}`);
  const { build, added } = mergeRows(read.build, read.rows, startingPantry());
  const pantry = withRows(startingPantry(), added);
  const { tiers } = await planCarved(build, pantry);
  const carvings = tiers.flatMap(({ carve }) => carve?.result ?? []);
  writeFileSync(file, writeBuildFile(build, pantry, carvings));
  process.stdout.write(`${name}: ${carvings.length} carved\n`);
}
