import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
/** Who began this script. */
const beganBy = process.ppid;
const stamp = `${root}node_modules/.installed-for`;

/** Installs the packages when they are missing or the lock file has changed since. */
export function install() {
  const lock = createHash('sha256')
    .update(readFileSync(`${root}package-lock.json`))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  process.stderr.write('Installing packages …\n');
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
  });
  if (status !== 0) throw new Error('npm ci failed');
  mkdirSync(`${root}node_modules`, { recursive: true });
  writeFileSync(stamp, lock);
}

/**
 * Tells when the npm that runs this has gone: it gives a signal to its shell alone, which goes without a word. Whoever
 * starts the script without npm stops it himself.
 */
export function whenNpmGoes(then) {
  if (!process.env.npm_lifecycle_event) return;
  const watch = setInterval(() => {
    if (process.ppid === beganBy) return;
    clearInterval(watch);
    then();
  }, 500);
  watch.unref();
}

/** Path of a Chromium; installs Debian's when there is none and this user may. */
export function chromium() {
  const found = () =>
    [
      process.env.CHROMIUM,
      // the same browser without its windows: it starts three times as fast
      '/usr/bin/chromium-headless-shell',
      '/usr/bin/chromium',
      '/usr/bin/chromium-browser',
    ].find((path) => path && existsSync(path));
  if (found()) return found();
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    process.stderr.write('Installing Chromium …\n');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    const get = (...args) =>
      spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env });
    get('update');
    for (const name of ['chromium-headless-shell', 'chromium'])
      if (!found()) get('install', '-y', '--no-install-recommends', name);
  }
  if (found()) return found();
  throw new Error(
    'The interface is tested in Chromium, and there is none. Install it (apt-get install chromium as root), or set CHROMIUM to its path.',
  );
}

/** Runs a command to its end, its output collected and, unless `quiet`, shown; resolves to code and text. */
export function run(command, args, options = {}) {
  return new Promise((done) => {
    const { quiet = false, ...rest } = options;
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'pipe', 'pipe'],
      ...rest,
      env: { ...process.env, ...rest.env },
    });
    let text = '';
    const take = (chunk) => {
      text += chunk;
      if (!quiet) process.stderr.write(chunk);
    };
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    child.on('close', (code) => done({ code: code ?? 1, text }));
  });
}
