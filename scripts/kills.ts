import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { randomFrom } from '@pyrgotect/core';
import {
  dropProfile,
  editAndKill,
  firstLayer,
  heightIn,
  newProfile,
  openProfile,
} from '../e2e/tests/killing.ts';
import { layOlder, olderFile, olderStore, olderVersions } from '../app/test/older-store.ts';
import { buildServer } from '../server/src/server.ts';

/*
 * Ends the browser without a word, so many times, and looks what is there afterwards:
 * npm run -s kills -- COUNT SEED. A sixth of the kills each: right after "Saved", while the demo is laid on an
 * empty shelf, while a file is opened, while a backup is made, while one is read back, while what an older version
 * kept is brought up to date. Run `npm run build` first.
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

const at = (page: Page, part: string) => page.locator(`[data-test="${part}"]`);
/** An empty browser stays empty. */
const withoutDemo = async (page: Page): Promise<void> => {
  await page.route('**/api/start', (route) => route.fulfill({ json: { demo: false } }));
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

/** How much lies in some of the tables. */
const countKept = (tables: string[]): Promise<number[]> =>
  new Promise((done, fail) => {
    const asked = indexedDB.open('pyrgotect');
    asked.onerror = () => fail(asked.error ?? new Error('not opened'));
    asked.onsuccess = () => {
      const work = asked.result.transaction(tables);
      const counts = tables.map((table) => work.objectStore(table).count());
      work.oncomplete = () => {
        asked.result.close();
        done(counts.map(({ result }) => result));
      };
    };
  });

const faults: string[] = [];
const kills = { saved: 0, demo: 0, import: 0, backup: 0, restore: 0, upgrade: 0 };
const each = Math.ceil(Number(count) / 6);

// an edit that was called saved is there
let profile = newProfile();
{
  const first = await openProfile(profile);
  await cakesOn(first.page);
  let expected = await heightIn(first.page, url);
  await first.kill();
  for (let i = 0; i < each; i += 1) {
    const { found, kept } = await editAndKill(profile, url, random);
    if (found !== expected) faults.push(`kill ${i}: ${expected} became ${found}`);
    expected = kept;
    kills.saved += 1;
  }
}
dropProfile(profile);

// the demo is whole, or laid anew
for (let i = 0; i < each; i += 1) {
  profile = newProfile();
  const first = await openProfile(profile);
  void first.page.goto(url).catch(() => undefined);
  await wait(random() * 2500);
  await first.kill();
  kills.demo += 1;
  const { page, kill } = await openProfile(profile);
  try {
    const cakes = await cakesOn(page);
    if (cakes !== demoCount) faults.push(`demo ${i}: ${cakes} cakes`);
  } catch {
    faults.push(`demo ${i}: the shelf did not come`);
  }
  await kill();
  dropProfile(profile);
}

// a file is opened whole or not at all, and nothing else is lost
profile = newProfile();
{
  const first = await openProfile(profile);
  let before = await cakesOn(first.page);
  await first.kill();
  const text = readFileSync(new URL('../demo/meridian.json', import.meta.url), 'utf8');
  for (let i = 0; i < each; i += 1) {
    const { page, kill } = await openProfile(profile);
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
    const next = await openProfile(profile);
    const after = await cakesOn(next.page);
    if (after < before || after > before + 1)
      faults.push(`import ${i}: ${before} cakes became ${after}`);
    if (after > before) {
      await next.page.goto(`${url}/build/opened-${i}/stack`);
      await firstLayer(next.page)
        .waitFor({ timeout: 20_000 })
        .catch(() => faults.push(`import ${i}: on the shelf, and does not open`));
    }
    before = after;
    await next.kill();
  }
}
dropProfile(profile);

// a backup that is being made changes nothing
profile = newProfile();
let backup: Buffer;
{
  const first = await openProfile(profile);
  await cakesOn(first.page);
  const height = await heightIn(first.page, url);
  await first.page.goto(`${url}/backup`);
  const [download] = await Promise.all([
    first.page.waitForEvent('download'),
    at(first.page, 'save-backup').click(),
  ]);
  backup = readFileSync(await download.path());
  await first.kill();
  for (let i = 0; i < each; i += 1) {
    const { page, kill } = await openProfile(profile);
    await page.goto(`${url}/backup`);
    await at(page, 'save-backup').click();
    await wait(random() * 1500);
    await kill();
    kills.backup += 1;
    const next = await openProfile(profile);
    const cakes = await cakesOn(next.page);
    const now = await heightIn(next.page, url);
    if (cakes !== demoCount || now !== height)
      faults.push(`backup ${i}: ${cakes} cakes, ${height} became ${now}`);
    await next.kill();
  }
}
dropProfile(profile);

// a backup is read back whole or not at all
for (let i = 0; i < each; i += 1) {
  profile = newProfile();
  const { page, kill } = await openProfile(profile);
  await withoutDemo(page);
  await page.goto(`${url}/backup`);
  await page
    .getByLabel('Backup file')
    .setInputFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: backup });
  await at(page, 'take-backup').click();
  await wait(random() * 1200);
  await kill();
  kills.restore += 1;
  const next = await openProfile(profile);
  await withoutDemo(next.page);
  await next.page.goto(url);
  const article = next.page.getByRole('article');
  await article
    .first()
    .or(next.page.getByRole('heading', { name: 'An empty shelf' }))
    .waitFor();
  // the shelf shows so many at once, and the last of them a moment later
  await wait(700);
  const cakes = await article.count();
  if (cakes !== 0 && cakes !== demoCount) faults.push(`restore ${i}: ${cakes} cakes`);
  if (cakes > 0)
    await heightIn(next.page, url).catch(() =>
      faults.push(`restore ${i}: on the shelf, and does not open`),
    );
  await next.kill();
  dropProfile(profile);
}

// what an older version kept is brought up to date whole, or the next time
const olderCount = 40;
for (let i = 0; i < each; i += 1) {
  const version = olderVersions[i % olderVersions.length]!;
  profile = newProfile();
  const first = await openProfile(profile);
  // a page of the same origin that has nothing of the program in it
  await first.page.goto(`${url}/licences.txt`);
  await first.page.evaluate(layOlder, {
    name: 'pyrgotect',
    older: olderStore(version, olderCount),
  });
  await withoutDemo(first.page);
  void first.page.goto(url).catch(() => undefined);
  await wait(random() * 1500);
  await first.kill();
  kills.upgrade += 1;
  const { page, kill } = await openProfile(profile);
  await withoutDemo(page);
  await page.goto(url);
  const last = `${olderFile(version).build.id}-${olderCount - 1}`;
  try {
    await page.getByRole('article').first().waitFor({ timeout: 30_000 });
    const kept = await page.evaluate(countKept, ['builds', 'shelf', 'revisions']);
    if (kept.some((each) => each !== olderCount))
      faults.push(`upgrade ${i} from ${version}: ${kept.join(', ')} of ${olderCount}`);
    await page.goto(`${url}/build/${last}/stack`);
    await firstLayer(page).waitFor({ timeout: 20_000 });
  } catch (error) {
    faults.push(`upgrade ${i} from ${version}: ${(error as Error).message.split('\n')[0]}`);
  }
  await kill();
  dropProfile(profile);
}
await server.close();
const { saved, demo, import: imported, backup: made, restore, upgrade } = kills;
process.stdout.write(
  `${saved} kills after "Saved", ${demo} while the demo was laid, ${imported} while a file was opened, ${made} while a backup was made, ${restore} while one was read back, ${upgrade} while an older version's was brought up to date; seed ${seed}: ${faults.length} faults\n`,
);
for (const fault of faults) process.stdout.write(`  ${fault}\n`);
process.exit(faults.length > 0 ? 1 : 0);
