import { readFileSync, writeFileSync } from 'node:fs';
import type { Browser, Page, TestInfo } from '@playwright/test';
import { addressOf, closesDevices, demoCount, expect, saved, test } from './support.ts';

closesDevices();

/** Saves a backup by hand, and gives where it lies. */
async function backup(page: Page, info: TestInfo): Promise<string> {
  await page.goto('/backup');
  const waiting = page.waitForEvent('download');
  await page.getByTestId('save-backup').click();
  const download = await waiting;
  expect(download.suggestedFilename()).toMatch(/^pyrgotect-\d{4}-\d\d-\d\d-\d{4}\.zip$/);
  const path = info.outputPath('backup.zip');
  await download.saveAs(path);
  await expect(page.getByTestId('backup-title')).toHaveText('Last backup just now');
  return path;
}
const open = (page: Page, path: string): Promise<void> =>
  page.getByLabel('Backup file').setInputFiles(path);

/** A browser that keeps nothing yet, and is given no demo. */
async function newBrowser(browser: Browser): Promise<Page> {
  const page = await browser.newPage({ storageState: { cookies: [], origins: [] } });
  await page.route('**/api/start', (route) => route.fulfill({ json: { demo: false } }));
  return page;
}

async function rename(page: Page, from: string, to: string): Promise<void> {
  await page.goto(addressOf(from, 'brief'));
  const name = page.getByRole('textbox', { name: 'Name of the cake' });
  await name.fill(to);
  await name.press('Enter');
  await saved(page);
}

test('a backup fills an empty browser, and says what is here otherwise', async ({
  page,
  browser,
}, info) => {
  const path = await backup(page, info);

  const other = await newBrowser(browser);
  await other.goto('/');
  await expect(other.getByRole('heading', { name: 'An empty shelf' })).toBeVisible();
  await other.goto('/backup');
  await open(other, path);
  await expect(other.getByTestId('backup-changes').getByRole('checkbox')).not.toHaveCount(0);
  await other.getByTestId('take-backup').click();
  await expect(other.getByTestId('backup-taken')).toContainText(`${demoCount} cakes`);
  await other.goto('/');
  await expect(other.getByRole('article')).toHaveCount(demoCount);
  // a carved cake has its solids with it
  await other.goto(addressOf('Equinox', 'carve'));
  await expect(other.getByTestId('sheet-title')).toBeVisible();

  await rename(page, 'Meridian', 'Meridian the second');
  await page.goto('/backup');
  await open(page, path);
  const line = page.getByRole('checkbox', { name: /Meridian .*here otherwise; later here/ });
  await expect(line).not.toBeChecked();
  await expect(page.getByTestId('take-backup')).toBeDisabled();
  await line.check();
  await page.getByRole('button', { name: 'beside it, as a copy' }).click();
  await page.getByTestId('take-backup').click();
  await expect(page.getByTestId('backup-taken')).toContainText('1 cake,');
  await page.goto('/');
  await expect(page.getByRole('article')).toHaveCount(demoCount + 1);
  await expect(page.getByRole('link', { name: 'Open Meridian, from the backup' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Open Meridian the second' })).toBeVisible();
});

test('what is no backup changes nothing and says why', async ({ page }, info) => {
  const path = await backup(page, info);
  const whole = readFileSync(path);
  const cases: [string, Buffer, string][] = [
    ['cut.zip', whole.subarray(0, whole.length / 2), 'part of it is missing'],
    ['words.zip', Buffer.from('nothing of the kind'), 'no zip file'],
  ];
  for (const [name, bytes, says] of cases) {
    const file = info.outputPath(name);
    writeFileSync(file, bytes);
    await open(page, file);
    await expect(page.getByTestId('backup-refused')).toContainText(says);
    await expect(page.getByTestId('backup-refused')).toContainText('Nothing has changed');
  }
});

test('files are dropped on the shelf: cakes come in, a backup opens where backups are', async ({
  page,
}, info) => {
  const path = await backup(page, info);
  await page.goto('/');
  await expect(page.getByRole('article')).toHaveCount(demoCount);
  const drop = (files: { name: string; base64: string }[]): Promise<void> =>
    page.evaluate((given) => {
      const carried = new DataTransfer();
      for (const { name, base64 } of given) {
        const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
        carried.items.add(new File([bytes], name));
      }
      const at = document.querySelector('main')!;
      for (const kind of ['dragenter', 'dragover', 'drop'])
        at.dispatchEvent(
          new DragEvent(kind, { dataTransfer: carried, bubbles: true, cancelable: true }),
        );
    }, files);
  const demo = (name: string): string =>
    readFileSync(new URL(`../../demo/${name}.json`, import.meta.url)).toString('base64');
  await drop([
    { name: 'aurora.json', base64: demo('aurora') },
    { name: 'list.json', base64: Buffer.from('["plums"]').toString('base64') },
    { name: 'jubilee.json', base64: demo('jubilee') },
  ]);
  await expect(page.getByTestId('refused')).toContainText('list.json was not taken in');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText('2 cakes were taken in')).toBeVisible();
  await expect(page.getByRole('article')).toHaveCount(demoCount + 2);
  await drop([{ name: 'backup.zip', base64: readFileSync(path).toString('base64') }]);
  await expect(page.getByTestId('backup-changes')).toContainText(`${demoCount} cakes`);
});

test('the shelf says when it is time for a backup', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Copy Meridian' }).click();
  await expect(page.getByRole('article')).toHaveCount(demoCount + 1);
  await expect(page.getByTestId('backup-reminder')).toHaveCount(0);
  await page.clock.setFixedTime(new Date(Date.now() + 20 * 86_400_000));
  await page.reload();
  await expect(page.getByTestId('backup-reminder')).toContainText(
    '1 cake is in this browser alone, and no backup was made in 20 days.',
  );
  await page.getByRole('link', { name: 'Make a backup' }).click();
  await page.getByRole('button', { name: 'never' }).click();
  await page.goto('/');
  await expect(page.getByRole('article')).toHaveCount(demoCount + 1);
  await expect(page.getByTestId('backup-reminder')).toHaveCount(0);
});

test('backups go into a folder by themselves: eight of them stay, and nothing else is touched', async ({
  page,
}) => {
  // a folder of the browser's own stands for one that a user picks
  await page.addInitScript(() => {
    Object.assign(window, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('cakes', { create: true }),
    });
  });
  const inFolder = (): Promise<Record<string, number>> =>
    page.evaluate(async () => {
      const root = await navigator.storage.getDirectory();
      const folder = await root.getDirectoryHandle('cakes', { create: true });
      const sizes: Record<string, number> = {};
      for await (const name of folder.keys())
        sizes[name] = (await (await folder.getFileHandle(name)).getFile()).size;
      return sizes;
    });
  await page.goto('/backup');
  await page.getByRole('button', { name: 'Keep them in a folder' }).click();
  await expect(page.getByText('The first one is in the folder.')).toBeVisible({ timeout: 60_000 });
  const [name, size] = Object.entries(await inFolder())[0]!;
  expect(name).toMatch(/^pyrgotect-\d{4}-\d\d-\d\d-\d{4}\.zip$/);
  expect(size).toBeGreaterThan(50_000);
  await page.evaluate(async () => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('cakes');
    const old = Array.from({ length: 9 }, (_, i) => `pyrgotect-2020-01-0${i + 1}-0900.zip`);
    for (const each of [...old, 'wedding.zip']) await folder.getFileHandle(each, { create: true });
  });
  await page.reload();
  await page.getByRole('button', { name: 'Write into cakes' }).click();
  await expect(page.getByText('Written into the folder.')).toBeVisible({ timeout: 60_000 });
  const kept = Object.keys(await inFolder());
  expect(kept).toContain('wedding.zip');
  expect(kept.filter((each) => each.startsWith('pyrgotect'))).toHaveLength(8);
  expect(kept).not.toContain('pyrgotect-2020-01-01-0900.zip');
});
