import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { expect, test, type Page } from '@playwright/test';
import { buildServer } from '../../server/src/server.ts';
import { openScreen, screens } from './screens.ts';
import { demoCount } from './support.ts';

/*
 * The program in a language that nobody speaks: every word of its own in other letters, so that what is left in plain
 * ones has not gone through the catalogue.
 */

const root = mkdtempSync(join(tmpdir(), 'pyrgotect-words-'));
let server: Awaited<ReturnType<typeof buildServer>>;
let home = '';

test.use({ storageState: { cookies: [], origins: [] } });
test.beforeAll(async () => {
  test.setTimeout(300_000);
  const code = await new Promise<number | null>((done, fail) =>
    spawn('npx', ['vite', 'build', '--outDir', root, '--emptyOutDir', '--logLevel', 'error'], {
      cwd: join(import.meta.dirname, '../../app'),
      env: { ...process.env, WORDS: 'en-XA' },
      stdio: ['ignore', 'ignore', 'inherit'],
    })
      .on('close', done)
      .on('error', fail),
  );
  expect(code).toBe(0);
  server = await buildServer({ root, demo: true, today: '2027-05-15T12:00:00' });
  await server.listen({ port: 0, host: '127.0.0.1' });
  home = `http://127.0.0.1:${(server.server.address() as AddressInfo).port}`;
});
test.afterAll(async () => {
  await server?.close();
  rmSync(root, { recursive: true, force: true });
});

/** Signs of units, of file formats and the program's own name: the same in every language. */
const ofAll = new Set('mm cm mL kg in oz lb Pa kPa kJ kcal kWh min Pyrgotect'.split(' '));

/** What is shown or read out on a screen in plain letters. */
async function plainWords(page: Page): Promise<string[]> {
  const texts = await page.evaluate(() => {
    const found = [document.title];
    const read = ['aria-label', 'title', 'placeholder', 'alt', 'aria-valuetext'];
    for (const element of document.querySelectorAll('body *')) {
      if (element.closest('[aria-hidden="true"], script, style')) continue;
      found.push(...read.map((name) => element.getAttribute(name) ?? ''));
      for (const child of element.childNodes)
        if (child.nodeType === Node.TEXT_NODE) found.push(child.textContent ?? '');
    }
    return found;
  });
  return texts.filter((text) =>
    (text.match(/(?<![\p{L}\p{M}/.])[A-Za-z]{2,}(?![\p{L}\p{M}])/gu) ?? []).some(
      (word) => !ofAll.has(word),
    ),
  );
}

test('nothing that is shown or read out lies outside the catalogue', async ({ page }) => {
  test.setTimeout(600_000);
  const found = new Map<string, string>();
  page.on('pageerror', ({ message }) => found.set(message, message));
  const look = async (where: string): Promise<void> => {
    for (const text of await plainWords(page))
      if (!found.has(text)) found.set(text, `${where}: ${text.trim().slice(0, 120)}`);
  };
  let opened = 0;
  await page.goto(home);
  await expect(page.getByRole('article')).toHaveCount(demoCount);
  for (const path of screens) {
    await openScreen(page, home + path);
    await look(path);
    // what opens behind a button: menus, choices and dialogs
    const openers = page.locator('main [aria-haspopup]:visible, header [aria-haspopup]:visible');
    for (let i = 0; i < Math.min(4, await openers.count()); i += 1) {
      const isOpen = await openers
        .nth(i)
        .click({ timeout: 3000 })
        .then(() => true)
        // what stands under something else is pressed by nobody
        .catch(() => false);
      if (isOpen) opened += 1;
      await look(`${path}, opened`);
      await page.keyboard.press('Escape');
    }
  }
  // every step of a cake at the bench
  await openScreen(page, `${home}/build/jubilee/bench`);
  const titles = new Set<string | null>();
  for (let step = 0; step < 60; step += 1) {
    await page.keyboard.press('ArrowRight');
    await look('/build/jubilee/bench');
    titles.add(await page.locator('h1').first().textContent());
  }
  expect(opened).toBeGreaterThan(60);
  expect(titles.size).toBeGreaterThan(40);
  // the installed program, before any of it runs
  const manifest = await page.request.get(`${home}/manifest.webmanifest`);
  const { description, shortcuts } = (await manifest.json()) as {
    description: string;
    shortcuts: { name: string }[];
  };
  for (const text of [description, ...shortcuts.map(({ name }) => name)])
    expect(text).not.toMatch(/[A-Za-z]/);
  expect([...found.values()]).toEqual([]);
});
