import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { doneOf, english, faultsOf, type Catalogue } from '../app/words/catalogue.ts';

/*
 * Writes the catalogue of the interface's texts, app/words/en.json, and tells of each other language there what is
 * missing or does not fit: npm run -s words. A test compares the catalogue.
 */
const folder = new URL('../app/words/', import.meta.url);
const ours = english();
writeFileSync(new URL('en.json', folder), `${JSON.stringify(ours, null, 2)}\n`);
let faults = 0;
for (const name of readdirSync(folder)) {
  const file = new URL(name, folder);
  if (!name.endsWith('.json') || name === 'en.json') continue;
  const translation = JSON.parse(readFileSync(file, 'utf8')) as Catalogue;
  const found = faultsOf(translation, ours);
  const [done, all] = doneOf(translation, ours);
  process.stdout.write(`${name}: ${done} of ${all} texts\n`);
  for (const one of found) process.stdout.write(`  ${one}\n`);
  faults += found.length;
}
process.exitCode = faults > 0 ? 1 : 0;
