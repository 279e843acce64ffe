import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/* Writes the licences of every package that the built application is made of into one text: licences.mjs FILE. */

const root = fileURLToPath(new URL('..', import.meta.url));
const { stdout } = spawnSync(
  'npm',
  ['ls', '--omit=dev', '--all', '--parseable', '--long', '-w', 'app', '-w', 'core'],
  { cwd: root, encoding: 'utf8', maxBuffer: 1e8 },
);
const own = new RegExp('^(@?pyrgotect)');
const packages = new Map();
for (const line of stdout.split('\n')) {
  const [folder] = line.split(':');
  const about = folder && join(folder, 'package.json');
  if (!about || !existsSync(about)) continue;
  const { name, version, license } = JSON.parse(readFileSync(about, 'utf8'));
  if (name && !own.test(name))
    packages.set(`${name} ${version}`, { folder: dirname(about), license });
}
if (packages.size < 10) throw new Error('The packages of the application are not known.');
const texts = [...packages]
  .sort(([a], [b]) => a.localeCompare(b))
  .map(([title, { folder, license }]) => {
    const file = readdirSync(folder).find((name) => /^(licen[cs]e|copying|ofl)/i.test(name));
    const text = file ? readFileSync(join(folder, file), 'utf8').trim() : `Licence: ${license}`;
    return `${title}\n${'-'.repeat(title.length)}\n${text}\n`;
  });
writeFileSync(
  process.argv[2],
  `Pyrgotect is made of ${packages.size} packages of others, under these licences.\n\n${texts.join('\n')}`,
);
process.stdout.write(`licences of ${packages.size} packages\n`);
