import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { addressOf, openDemo, saved } from './support.ts';

/* What a user sees when something breaks that is not the cake's fault. */

const solver = '**/solve.worker-*.js';

test('a worker that cannot be loaded says so where its answer belongs, and is asked again', async ({
  page,
}) => {
  await page.route(solver, (route) => route.abort());
  await openDemo(page, 'Star party tray', 'Bake');
  await page.getByRole('tab', { name: 'Heat' }).click();
  const trouble = page.getByTestId('trouble').first();
  await expect(trouble).toContainText('could not be loaded');
  await page.unroute(solver);
  await trouble.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByTestId('heat').getByText('On a rack')).toBeVisible();
  await expect(page.getByTestId('trouble')).toHaveCount(0);
});

test('a worker that breaks down or never answers is said within ten seconds', async ({ page }) => {
  let body = 'throw new Error("out of flour");';
  await page.route(solver, (route) => route.fulfill({ contentType: 'text/javascript', body }));
  await openDemo(page, 'Star party tray', 'Bake');
  await page.getByRole('tab', { name: 'Heat' }).click();
  const trouble = page.getByTestId('trouble').first();
  await expect(trouble).toContainText('out of flour');
  body = 'onmessage = () => undefined;';
  await trouble.getByRole('button', { name: 'Try again' }).click();
  await expect(trouble).toContainText('did not answer', { timeout: 14_000 });
});

test('a file that no worker reads is refused with a reason, and read once there is one', async ({
  page,
}) => {
  await page.route(solver, (route) => route.abort());
  await page.goto('/');
  await expect(page.getByText('Star party tray').first()).toBeVisible();
  const name = 'meridian.json';
  const bring = () => page.getByLabel('Build file').setInputFiles(fileURLToPath(new URL(`../../demo/${name}`, import.meta.url))); // prettier-ignore
  await bring();
  const refused = page.getByTestId('refused');
  await expect(refused).toContainText('could not be loaded');
  await refused.getByRole('button', { name: 'Close' }).click();
  await page.unroute(solver);
  await bring();
  await expect(page).toHaveURL(/\/build\/.*\/stack/);
});

test('a cake that cannot be worked out is kept, said, and can be saved to a file', async ({
  page,
}) => {
  await openDemo(page, 'Star party tray', 'Stack');
  await page.goto('/icon.svg');
  // what no door lets in: only a fault of the program could leave it so
  await page.evaluate(
    () =>
      new Promise<void>((done, fail) => {
        const open = indexedDB.open('pyrgotect');
        open.onsuccess = () => {
          const way = open.result.transaction('builds', 'readwrite');
          const builds = way.objectStore('builds');
          const all = builds.getAll();
          all.onsuccess = () => {
            for (const stored of all.result as {
              build: { name: string; tiers: { outline: unknown }[] };
            }[])
              if (stored.build.name === 'Star party tray') {
                stored.build.tiers[0]!.outline = { kind: 'cloud' };
                builds.put(stored);
              }
          };
          way.oncomplete = () => (open.result.close(), done());
          way.onerror = () => fail(new Error('not written'));
        };
      }),
  );
  await page.goto(addressOf('Star party tray', 'Stack'));
  const failed = page.getByTestId('failed-plan');
  await expect(failed).toContainText('“Star party tray” could not be worked out');
  const file = page.waitForEvent('download');
  await failed.getByRole('button', { name: 'Save the cake to a file' }).click();
  expect((await file).suggestedFilename()).toMatch(/\.json$/);
  await failed.getByRole('button', { name: 'Earlier versions' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
});

test('without a store work goes on in memory, under a mark', async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', { value: undefined });
  });
  await page.goto('/');
  await expect(page.getByTestId('storage-mark')).toContainText('In memory only');
  await page.getByText('Star party tray').first().click();
  const servings = page.getByRole('textbox', { name: 'Servings wanted' }).first();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('button', { name: 'Brief' }).click(); // prettier-ignore
  await servings.fill('33');
  await servings.press('Enter');
  await saved(page);
  const file = page.waitForEvent('download');
  await page.getByTestId('storage-mark').getByRole('button', { name: /to a file/ }).click(); // prettier-ignore
  expect((await file).suggestedFilename()).toMatch(/\.json$/);
});

test('an older window writes nothing once a newer program has come', async ({ page, context }) => {
  await openDemo(page, 'Star party tray', 'Brief');
  const other = await context.newPage();
  await other.goto('/icon.svg');
  // what a newer program does when it starts
  await other.evaluate(
    () =>
      new Promise<void>((done, fail) => {
        const open = indexedDB.open('pyrgotect', 9990);
        open.onsuccess = () => done();
        open.onerror = () => fail(open.error ?? new Error('not opened'));
      }),
  );
  const mark = page.getByTestId('storage-mark');
  await expect(mark).toContainText('older version');
  const servings = page.getByRole('textbox', { name: 'Servings wanted' }).first();
  await servings.fill('35');
  await servings.press('Enter');
  await expect(page.getByTestId('save-state')).toHaveText('Not saved');
  await expect(mark.getByRole('button', { name: 'Load again' })).toBeVisible();
});

test('a store that is deleted while it is open: what is here is put back', async ({ page }) => {
  await openDemo(page, 'Star party tray', 'Brief');
  await page.evaluate(
    () => new Promise<void>((done) => (indexedDB.deleteDatabase('pyrgotect').onsuccess = () => done())),
  ); // prettier-ignore
  await expect(page.getByTestId('storage-mark')).toContainText('just deleted');
  const servings = page.getByRole('textbox', { name: 'Servings wanted' }).first();
  await servings.fill('36');
  await servings.press('Enter');
  await page.getByTestId('put-back').click();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Servings wanted' }).first()).toHaveValue('36');
});

test('a part of the program that is gone is said, once the page was loaded anew for a newer program', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByText('Star party tray').first()).toBeVisible();
  await page.route('**/PantryView-*.js', (route) => route.fulfill({ status: 404 }));
  await page.route('**/assets/index-*.js', (route) =>
    route.request().method() === 'HEAD' ? route.fulfill({ status: 404 }) : route.continue(),
  );
  const anew = page.waitForEvent('load');
  await page.getByRole('link', { name: 'Pantry' }).first().click();
  await anew;
  await expect(page.getByText('Star party tray').first()).toBeVisible();
  await page.getByRole('link', { name: 'Pantry' }).first().click();
  await expect(page.getByTestId('fault')).toContainText('could not be loaded');
});

test('a part that a server on its way out does not give is said, and the page stays', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Brief');
  let loads = 0;
  page.on('load', () => (loads += 1));
  await page.route('**/PrintView-*.js', (route) => route.fulfill({ status: 503 }));
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page.getByTestId('fault')).toContainText('could not be loaded');
  await expect(
    page.getByTestId('fault').getByRole('button', { name: 'Save the cake' }),
  ).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name of the cake' })).toHaveValue('Meridian');
  expect(loads).toBe(0);
});

test('a table of 9,900 ingredients is read and kept with a bar, and a cell of a million letters is refused', async ({
  page,
}) => {
  test.setTimeout(60_000);
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Ingredients' }).click();
  await page.getByTestId('import').click();
  const file = page.getByLabel('Table of ingredients');
  const table = (text: string) => ({ name: 'mine.csv', mimeType: 'text/csv', buffer: Buffer.from(text) }); // prettier-ignore
  await file.setInputFiles(table(`name,price\n${'a'.repeat(1_000_000)},1\n`));
  await expect(page.getByRole('alert')).toContainText(
    /Line 2: a cell of 1\s000\s000 letters. A cell has at most 2\s000/,
  );
  const rows = Array.from({ length: 9900 }, (_, i) => `Sugar of lot ${i},1`);
  await file.setInputFiles(table(`name,price\n${rows.join('\n')}`));
  await expect(page.getByText('9900 ingredients')).toBeVisible({ timeout: 15_000 });
  const began = Date.now();
  await page.getByTestId('take-table').click();
  await expect(page.getByTestId('import-dialog')).toHaveCount(0, { timeout: 20_000 });
  expect(Date.now() - began).toBeLessThan(15_000);
});

test('a recipe of 10,000 lines is refused at once, in words', async ({ page }) => {
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Recipes' }).click();
  await page.getByTestId('import').click();
  await page
    .getByTestId('paste')
    .getByRole('textbox')
    .evaluate((area: HTMLTextAreaElement) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text', '200 g flour\n'.repeat(10_000));
      area.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData, cancelable: true, bubbles: true }),
      );
    });
  await expect(page.getByTestId('too-much')).toContainText('A recipe has at most');
  await expect(page.getByTestId('paste').getByRole('textbox')).toHaveValue('');
  await page
    .getByTestId('paste')
    .getByRole('textbox')
    .evaluate((area: HTMLTextAreaElement) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text', '200 g flour');
      area.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData, cancelable: true, bubbles: true }),
      );
    });
  await expect(page.getByTestId('too-much')).toHaveCount(0);
});
