import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { randomFrom } from '@pyrgotect/core';
import { buildServer } from '../server/src/server.ts';

/*
 * Ends the browser without a word, so many times, and looks what is there afterwards:
 * npm run -s kills -- COUNT SEED. A third of the kills each: right after "Saved", while the demo is laid on an
 * empty shelf, while a file is opened. Run `npm run build` first.
 */

const [count = '30', seed = String(Date.now() % 1e9)] = process.argv.slice(2);
const random = randomFrom(Number(seed));
const server = await buildServer({ demo: true });
await server.listen({ port: 0, host: '127.0.0.1' });
const address = server.server.address();
if (address === null || typeof address === 'string') throw new Error('no port');
const url = `http://127.0.0.1:${address.port}`;
const demoCount = 14;
const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** One window of a profile, and a way to end it as a crash does. */
async function open(profile: string): Promise<{ page: Page; kill: () => Promise<void> }> {
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu', '--remote-debugging-port=0'],
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = context.pages()[0] ?? (await context.newPage());
  const kill = async (): Promise<void> => {
    const pids = execFileSync('pgrep', ['-f', profile]).toString().trim().split('\n');
    for (const pid of pids)
      try {
        process.kill(Number(pid), 'SIGKILL');
      } catch {
        // it ended with its parent
      }
    await context.close().catch(() => undefined);
  };
  return { page, kill };
}
const layer = (page: Page) => page.getByRole('slider', { name: 'Layer 1, thickness' });
const heightOf = async (page: Page): Promise<number> => {
  await page.goto(`${url}/build/meridian/stack`);
  await layer(page).waitFor();
  return Number(await layer(page).getAttribute('aria-valuenow'));
};
/** Cakes on the shelf once it has come to rest. */
async function cakesOn(page: Page): Promise<number> {
  await page.goto(url);
  await page
    .getByRole('article')
    .nth(demoCount - 1)
    .waitFor({ timeout: 20_000 });
  return page.getByRole('article').count();
}

const faults: string[] = [];
const kills = { saved: 0, demo: 0, import: 0 };
const each = Math.ceil(Number(count) / 3);

// an edit that was called saved is there
let profile = mkdtempSync(join(tmpdir(), 'kills-'));
{
  const first = await open(profile);
  await cakesOn(first.page);
  let expected = await heightOf(first.page);
  await first.kill();
  for (let i = 0; i < each; i += 1) {
    const { page, kill } = await open(profile);
    const found = await heightOf(page);
    if (found !== expected) faults.push(`kill ${i}: ${expected} became ${found}`);
    await layer(page).focus();
    const key = found > 40 ? 'ArrowDown' : 'ArrowUp';
    for (let k = Math.floor(random() * 5); k >= 0; k -= 1) {
      await page.keyboard.press(key);
      await wait(random() * 150);
    }
    await page.waitForFunction(
      () => document.querySelector('[data-test="save-state"]')?.textContent === 'Saved',
      null,
      { polling: 'raf' },
    );
    expected = Number(await layer(page).getAttribute('aria-valuenow'));
    await kill();
    kills.saved += 1;
  }
}
rmSync(profile, { recursive: true, force: true });

// the demo is whole, or laid anew
for (let i = 0; i < each; i += 1) {
  profile = mkdtempSync(join(tmpdir(), 'kills-'));
  const first = await open(profile);
  void first.page.goto(url).catch(() => undefined);
  await wait(random() * 2500);
  await first.kill();
  kills.demo += 1;
  const { page, kill } = await open(profile);
  try {
    const cakes = await cakesOn(page);
    if (cakes !== demoCount) faults.push(`demo ${i}: ${cakes} cakes`);
  } catch {
    faults.push(`demo ${i}: the shelf did not come`);
  }
  await kill();
  rmSync(profile, { recursive: true, force: true });
}

// a file is opened whole or not at all, and nothing else is lost
profile = mkdtempSync(join(tmpdir(), 'kills-'));
{
  const first = await open(profile);
  let before = await cakesOn(first.page);
  await first.kill();
  const text = readFileSync(new URL('../demo/meridian.json', import.meta.url), 'utf8');
  for (let i = 0; i < each; i += 1) {
    const { page, kill } = await open(profile);
    await cakesOn(page);
    const copy = JSON.parse(text) as { build: { id: string; name: string } };
    copy.build = { ...copy.build, id: `opened-${i}`, name: `Opened ${i}` };
    await page
      .locator('input[type="file"]')
      .first()
      .setInputFiles({
        name: 'opened.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify(copy)),
      });
    await wait(random() * 400);
    await kill();
    kills.import += 1;
    const next = await open(profile);
    const after = await cakesOn(next.page);
    if (after < before || after > before + 1)
      faults.push(`import ${i}: ${before} cakes became ${after}`);
    if (after > before) {
      await next.page.goto(`${url}/build/opened-${i}/stack`);
      await layer(next.page)
        .waitFor({ timeout: 20_000 })
        .catch(() => faults.push(`import ${i}: on the shelf, and does not open`));
    }
    before = after;
    await next.kill();
  }
}
rmSync(profile, { recursive: true, force: true });
await server.close();
const { saved, demo, import: imported } = kills;
process.stdout.write(
  `${saved} kills after "Saved", ${demo} while the demo was laid, ${imported} while a file was opened; seed ${seed}: ${faults.length} faults\n`,
);
for (const fault of faults) process.stdout.write(`  ${fault}\n`);
process.exit(faults.length > 0 ? 1 : 0);
