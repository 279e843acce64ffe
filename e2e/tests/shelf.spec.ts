import { readFileSync } from 'node:fs';
import { demoCount, expect, handle, openDemo, saved, test } from './support.ts';

test('the demo lies on the shelf once, and can be searched', async ({ browser }) => {
  // a store that nobody has opened
  const page = await browser.newPage({ storageState: { cookies: [], origins: [] } });
  await page.goto('/');
  await expect(page.getByRole('article')).toHaveCount(demoCount);
  await page.reload();
  await expect(page.getByRole('article')).toHaveCount(demoCount);
  await page.getByRole('searchbox', { name: 'Search the shelf' }).fill('harbour');
  await expect(page.getByRole('article')).toHaveCount(1);
  await page.getByRole('searchbox', { name: 'Search the shelf' }).fill('no such cake');
  await expect(page.getByText('No cake is called')).toBeVisible();
});

test('a cake is exported, taken off, put back, taken off again and imported', async ({
  page,
}, info) => {
  await page.goto('/');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save Meridian as a file' }).click();
  const path = info.outputPath('meridian.json');
  await (await download).saveAs(path);
  expect((await download).suggestedFilename()).toBe('Meridian.json');
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
    format: 'pyrgotect-build',
    version: (JSON.parse(whole) as { version: number }).version,
  });

  const card = page.getByRole('link', { name: 'Open Meridian', exact: true });
  await page.getByRole('button', { name: 'Take Meridian off the shelf' }).click();
  await expect(card).toHaveCount(0);
  await page.getByTestId('undo-remove').click();
  await expect(card).toHaveCount(1);
  await page.getByRole('button', { name: 'Take Meridian off the shelf' }).click();
  await expect(card).toHaveCount(0);
  await page.getByLabel('Build file').setInputFiles(path);
  await expect(page.getByTestId('sheet-title')).toHaveText('4 layers, 3 fillings: 11.5 cm high');
});

test('a copy is a cake of its own', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Copy Meridian' }).click();
  await page.getByRole('link', { name: 'Open Meridian, copy' }).click();
  await handle(page, 'Layer 1, thickness').focus();
  await page.keyboard.press('ArrowUp');
  await saved(page);
  await openDemo(page, 'Meridian');
  await expect(handle(page, 'Layer 1, thickness')).toHaveAttribute('aria-valuenow', '22');
});

const whole = readFileSync(new URL('../../demo/meridian.json', import.meta.url), 'utf8');
const bad: [string, string | Buffer, RegExp][] = [
  ['cut short', whole.slice(0, 900), /ends too early, in line \d+/],
  // one more than whatever version the demo has
  [
    'newer',
    whole.replace(/"version": (\d+)/, (_, version) => `"version": ${Number(version) + 1}`),
    /made by a newer Pyrgotect \(version \d+/,
  ],
  ['another format', '{"format": "recipe-book", "version": 1}', /its format is "recipe-book"/],
  ['a picture', Buffer.from([137, 80, 78, 71, 0, 1, 2]), /not JSON/],
  [
    'a wrong value',
    whole.replace('"heightMm": 22', '"heightMm": -22'),
    /Line \d+: Build, tier 1, layer 1, height must be at least 3/,
  ],
  ['a hostile key', whole.replace('"build": {', '"build": {"__proto__": {"x": 1},'), /cannot have/],
  ['50 MB', Buffer.alloc(50_000_000, 'a'), /50 MB large/],
];
for (const [name, content, why] of bad)
  test(`a file that is ${name} is refused and nothing changes`, async ({ page }, info) => {
    await page.goto('/');
    await expect(page.getByRole('article')).toHaveCount(demoCount);
    const { writeFileSync } = await import('node:fs');
    const path = info.outputPath('bad.json');
    writeFileSync(path, content);
    await page.getByLabel('Build file').setInputFiles(path);
    await expect(page.getByTestId('refused')).toContainText(why);
    await page.getByTestId('refused').getByRole('button', { name: 'Close' }).click();
    await expect(page.getByRole('article')).toHaveCount(demoCount);
  });

test('a hostile name is shown as text', async ({ page }, info) => {
  const { writeFileSync } = await import('node:fs');
  const path = info.outputPath('name.json');
  const file = JSON.parse(whole) as { build: { name: string; id: string } };
  file.build.name = '<img src=x onerror=alert(1)>';
  writeFileSync(path, JSON.stringify(file));
  await page.goto('/');
  await page.getByLabel('Build file').setInputFiles(path);
  await expect(page.getByLabel('Name of the cake')).toHaveValue('<img src=x onerror=alert(1)>');
  await page.goto('/');
  await expect(page.getByRole('heading', { name: '<img src=x onerror=alert(1)>' })).toBeVisible();
  await expect(page.locator('img')).toHaveCount(0);
});

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/build/nothing-here/stack');
  await expect(page.getByText('This cake is not on the shelf')).toBeVisible();
  await page.goto('/somewhere/else');
  await expect(page.getByText('There is nothing at this address')).toBeVisible();
});
