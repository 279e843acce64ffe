import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { expect, handle, openDemo, saved, test } from './support.ts';

test('an edit is there after a reload, and undo ends with the page', async ({ page }) => {
  await openDemo(page);
  await handle(page, 'Layer 2, thickness').focus();
  await page.keyboard.press('ArrowUp');
  await saved(page);
  await page.reload();
  await expect(handle(page, 'Layer 2, thickness')).toHaveAttribute('aria-valuenow', '23');
});

test('what was shown as saved survives the browser being killed', async ({ baseURL }, info) => {
  const profile = mkdtempSync(join(tmpdir(), 'pyrgotect-profile-'));
  const { launchOptions } = info.project.use;
  const open = (): Promise<BrowserContext> =>
    chromium.launchPersistentContext(profile, {
      ...launchOptions,
      viewport: { width: 1280, height: 800 },
      args: [...(launchOptions?.args ?? []), '--remote-debugging-port=0'],
    });
  const { execFileSync } = await import('node:child_process');
  try {
    for (const [round, expected] of [
      [1, '23'],
      [2, '24'],
      [3, '25'],
    ] as const) {
      const context = await open();
      const page = context.pages()[0] ?? (await context.newPage());
      await page.goto(baseURL!);
      await page.getByRole('link', { name: 'Open Meridian', exact: true }).click();
      const layer = handle(page, 'Layer 1, thickness');
      await expect(layer).toHaveAttribute('aria-valuenow', String(Number(expected) - 1));
      await layer.focus();
      await page.keyboard.press('ArrowUp');
      await expect(layer).toHaveAttribute('aria-valuenow', expected);
      await saved(page);
      // every process of this profile, at once and without a word
      const pids = execFileSync('pgrep', ['-f', profile]).toString().trim().split('\n');
      for (const pid of pids)
        try {
          process.kill(Number(pid), 'SIGKILL');
        } catch {
          // it ended with its parent
        }
      await context.close().catch(() => undefined);
      expect(round).toBeGreaterThan(0);
    }
    const context = await open();
    const page = context.pages()[0] ?? (await context.newPage());
    await page.goto(`${baseURL}/build/meridian/stack`);
    await expect(handle(page, 'Layer 1, thickness')).toHaveAttribute('aria-valuenow', '25');
    await context.close();
  } finally {
    rmSync(profile, { recursive: true, force: true });
  }
});

test('two windows on one cake see each other, and both edits are kept', async ({
  page,
  context,
}) => {
  await openDemo(page);
  const other = await context.newPage();
  await other.goto('/build/meridian/stack');
  await handle(page, 'Layer 1, thickness').focus();
  await page.keyboard.press('ArrowUp');
  await expect(handle(other, 'Layer 1, thickness')).toHaveAttribute('aria-valuenow', '23');
  await handle(other, 'Filling 3, thickness').focus();
  await other.keyboard.press('ArrowUp');
  await expect(handle(page, 'Filling 3, thickness')).toHaveAttribute('aria-valuenow', '8');
  // both at once
  await handle(page, 'Layer 2, thickness').focus();
  await handle(other, 'Layer 3, thickness').focus();
  await Promise.all([page.keyboard.press('ArrowUp'), other.keyboard.press('ArrowUp')]);
  await saved(page);
  await saved(other);
  await other.reload();
  await expect(handle(other, 'Layer 2, thickness')).toHaveAttribute('aria-valuenow', '23');
  await expect(handle(other, 'Layer 3, thickness')).toHaveAttribute('aria-valuenow', '23');
  await other.keyboard.press('u');
  await expect(page.getByTestId('units')).toContainText('in');
});

test('two windows that add a tier at the same moment have both of them', async ({
  page,
  context,
}) => {
  await openDemo(page, 'Meridian', 'Stack');
  const other = await context.newPage();
  await other.goto('/build/meridian/stack');
  const add = (of: Page) => of.getByTestId('add-tier');
  await expect(add(other)).toBeVisible();
  await Promise.all([add(page).click(), add(other).click()]);
  await saved(page);
  await saved(other);
  await page.reload();
  await expect(
    page
      .getByTestId('tiers')
      .getByRole('button', { name: /^Tier/ })
      .or(page.getByRole('textbox', { name: 'Name of this tier' })),
  ).toHaveCount(3);
});

test('a cake taken off in another window says so, and is put back with what was typed since', async ({
  page,
  context,
}) => {
  await openDemo(page, 'Star party tray', 'Brief');
  const other = await context.newPage();
  await other.goto('/');
  await other.getByRole('button', { name: /Take Star party.* off the shelf/ }).click();
  await expect(page.getByTestId('save-state')).toHaveText('Taken off');
  const servings = page.getByRole('textbox', { name: 'Servings wanted' }).first();
  await servings.fill('31');
  await servings.press('Enter');
  await page.getByTestId('put-back').click();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Servings wanted' }).first()).toHaveValue('31');
});

test('it opens and plans without a network', async ({ browser }) => {
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const page = await context.newPage();
  await openDemo(page);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByTestId('sheet-title')).toHaveText('4 layers, 3 fillings: 11.5 cm high');
  await page.keyboard.press('b');
  await expect(page.getByTestId('step-title')).toBeVisible();
  await page.goto('/pantry');
  await expect(page.getByText('26 tins')).toBeVisible();
  await context.close();
});

test('nothing on any page breaks the content policy', async ({ page }) => {
  await page.addInitScript(() => {
    document.addEventListener('securitypolicyviolation', (event) => {
      console.error(`policy: ${event.violatedDirective} ${event.blockedURI}`);
    });
  });
  await openDemo(page);
  for (const stage of [
    'brief',
    'stack',
    'bake',
    'carve',
    'coat',
    'support',
    'day',
    'bench',
    'print',
  ]) {
    await page.goto(`/build/meridian/${stage}`);
    await expect(page.locator('h1').first()).toBeVisible();
  }
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Sponges' }).click();
  await page.getByRole('button', { name: 'Change Creamed butter sponge' }).click();
  await expect(page.getByTestId('row-dialog')).toBeVisible();
});
