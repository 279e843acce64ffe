import { spawnSync } from 'node:child_process';
import { chromium, install, root, run } from './tools.mjs';

/* Installs and builds what the measures need, then takes them. */

install();
const browser = chromium();
const { code, text } = await run('npm', ['run', '-s', 'build'], { quiet: true });
if (code !== 0) {
  process.stderr.write(text);
  process.exit(code);
}
const { status } = spawnSync(
  'node',
  ['--import', 'tsx', 'scripts/measures.ts', ...process.argv.slice(2)],
  { cwd: root, stdio: 'inherit', env: { ...process.env, CHROMIUM: browser } },
);
process.exit(status ?? 1);
