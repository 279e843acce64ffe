import { readdirSync, readFileSync } from 'node:fs';
import { readBuildFile, startingPantry, type Build } from '../src/index.ts';

/* The demo cakes as they are shipped, with the pantry that a kitchen begins with. */

const folder = new URL('../../demo/', import.meta.url);
export const pantry = startingPantry();
export const demos: Build[] = readdirSync(folder).map((name) => {
  const read = readBuildFile(readFileSync(new URL(name, folder), 'utf8'));
  if (!read.ok) throw new Error(`${name}: ${read.problems[0]!.message}`);
  return read.build;
});
