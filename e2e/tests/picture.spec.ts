import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { addressOf, choose, expect, openDemo, saved, test } from './support.ts';

/* The solid picture of the finished cake: there, turned, chosen from, opened, built up, saved. */

const canvas = (page: Page) => page.getByTestId('picture-canvas');
/** How many colours the picture has, of those that fill some of it: none but the ground where nothing was drawn. */
const coloursOf = (page: Page): Promise<number> =>
  canvas(page).evaluate((el: HTMLCanvasElement) => {
    const sheet = document.createElement('canvas');
    [sheet.width, sheet.height] = [el.width, el.height];
    const pen = sheet.getContext('2d')!;
    pen.drawImage(el, 0, 0);
    const { data } = pen.getImageData(0, 0, sheet.width, sheet.height);
    const counts = new Map<number, number>();
    for (let i = 0; i < data.length; i += 4) {
      const key = ((data[i]! >> 5) << 6) | ((data[i + 1]! >> 5) << 3) | (data[i + 2]! >> 5);
      if (data[i + 3]! > 200) counts.set(key, (counts.get(key) ?? 0) + 1);
    }
    return [...counts.values()].filter((count) => count > 150).length;
  });
/** Once it is drawn. */
async function drawn(page: Page): Promise<void> {
  await expect(canvas(page)).toBeVisible();
  await expect.poll(() => coloursOf(page)).toBeGreaterThan(2);
}

test('the brief shows the cake in its colours, and a part of it leads to its sheet', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Brief');
  await drawn(page);
  await expect(canvas(page)).toHaveAttribute('aria-label', /1 tier, 11\.5\scm high.*stars round the rim: 43/); // prettier-ignore
  const closed = await coloursOf(page);
  await page.getByTestId('cut-open').getByRole('checkbox').check();
  // its layers and fillings are seen
  await expect.poll(() => coloursOf(page)).toBeGreaterThan(closed);
  await page.getByTestId('cut-open').getByRole('checkbox').uncheck();
  await page.getByRole('button', { name: 'Front', exact: true }).click();
  const box = (await canvas(page).boundingBox())!;
  await canvas(page).click({ position: { x: box.width / 2, y: box.height / 2 } });
  await expect(page).toHaveURL(/\/coat/);
});

test('it comes back when the browser took its memory away for a while', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Brief');
  await drawn(page);
  const before = await coloursOf(page);
  await canvas(page).evaluate(async (el: HTMLCanvasElement) => {
    const memory = el.getContext('webgl2')!.getExtension('WEBGL_lose_context')!;
    memory.loseContext();
    await new Promise((done) => setTimeout(done, 300));
    memory.restoreContext();
  });
  await expect.poll(() => coloursOf(page)).toBe(before);
  // it is still turned and pressed
  await canvas(page).focus();
  await page.keyboard.press('ArrowRight');
  const box = (await canvas(page).boundingBox())!;
  await canvas(page).click({ position: { x: box.width / 2, y: box.height / 2 } });
  await expect(page).toHaveURL(/\/coat/);
});

test('in Coat a band that is pressed in the picture chooses its line', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Coat');
  await drawn(page);
  await page.getByRole('button', { name: 'Front', exact: true }).click();
  const box = (await canvas(page).boundingBox())!;
  const line = page.locator('li[aria-current=true]');
  const pressed = async (share: number): Promise<string | null> => {
    await canvas(page).click({ position: { x: box.width / 2, y: box.height * share } });
    await expect(line).toHaveCount(1);
    return line.getByTestId('swatch').getAttribute('aria-label');
  };
  // from another turn of the sheet it comes back to the colours
  await page.getByRole('tab', { name: 'Cost, diet' }).click();
  const [high, low] = [await pressed(0.48), await pressed(0.56)];
  expect(high).toMatch(/^How .* looks$/);
  expect(low).not.toBe(high);
});

test('cards show the picture where one wants it, at once when it was drawn before', async ({
  page,
}) => {
  await page.goto('/');
  const shows = page.getByLabel('What a card shows');
  await choose(shows, 'its picture');
  const pictures = page.getByTestId('card-picture');
  await expect.poll(() => pictures.count(), { timeout: 60_000 }).toBeGreaterThan(2);
  const isDrawn = (): Promise<boolean> =>
    pictures.first().evaluate((one: HTMLImageElement) => one.naturalWidth === 560);
  expect(await isDrawn()).toBe(true);
  // nothing draws any more: what is shown was kept
  await page.route('**/picture.worker*', (route) => route.abort());
  await page.reload();
  await expect.poll(() => pictures.count()).toBeGreaterThan(2);
  expect(await isDrawn()).toBe(true);
  await choose(shows, 'its section');
  await expect(pictures).toHaveCount(0);
});

test('the bench shows the picture of its step', async ({ page }) => {
  await page.goto(addressOf('Meridian', 'bench'));
  const shown = page.getByTestId('bench-picture').getByRole('img');
  await page.getByTestId('bench-shows').click();
  await expect(shown).toHaveAttribute('alt', 'Meridian, as it will be');
  const whole = await shown.getAttribute('src');
  await page.getByRole('button', { name: /^Step \d+ of/ }).click();
  await page.getByRole('button', { name: /Fill layer 2 and set layer 3/ }).click();
  await expect(shown).toHaveAttribute('alt', 'Meridian, after this step');
  await expect.poll(() => shown.getAttribute('src')).not.toBe(whole);
});

test('it is built up from the bare board, and turned by keys', async ({ page }) => {
  await openDemo(page, 'Jubilee', 'Brief');
  await drawn(page);
  const slider = page.getByRole('slider', { name: 'Built up to' });
  await slider.focus();
  await page.keyboard.press('Home');
  await expect(page.getByText('the bare board')).toBeVisible();
  const bare = await coloursOf(page);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Foundation: layer 1')).toBeVisible();
  await page.keyboard.press('End');
  await expect.poll(() => coloursOf(page)).toBeGreaterThan(bare);
  const before = await canvas(page).evaluate((el: HTMLCanvasElement) => el.toDataURL().length);
  await canvas(page).focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(() => canvas(page).evaluate((el: HTMLCanvasElement) => el.toDataURL().length)).not.toBe(before); // prettier-ignore
});

test('it is saved as a picture of the asked size, and as a solid', async ({ page }) => {
  await openDemo(page, 'Jubilee', 'Brief');
  await drawn(page);
  await page.getByTestId('save-picture').click();
  const png = page.waitForEvent('download');
  await page.getByTestId('save-png').click();
  const image = readFileSync(await (await png).path());
  expect(image.subarray(1, 4).toString()).toBe('PNG');
  expect([image.readUInt32BE(16), image.readUInt32BE(20)]).toEqual([2048, 1536]);
  await page.getByTestId('save-picture').click();
  const glb = page.waitForEvent('download');
  await page.getByTestId('save-glb').click();
  const solid = readFileSync(await (await glb).path());
  expect(solid.subarray(0, 4).toString()).toBe('glTF');
  expect(solid.length).toBeGreaterThan(20_000);
  await page.getByTestId('save-picture').click();
  const threeMf = page.waitForEvent('download');
  await page.getByTestId('save-3mf').click();
  const parts = readFileSync(await (await threeMf).path());
  expect(parts.subarray(0, 2).toString()).toBe('PK');
  expect(parts.length).toBeGreaterThan(20_000);
});

test('an edit is seen in it, and a browser without solids shows the front instead', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Coat');
  await drawn(page);
  const before = await canvas(page).evaluate((el: HTMLCanvasElement) => el.toDataURL());
  await page.getByRole('button', { name: 'A band more' }).click();
  await saved(page);
  await expect.poll(() => canvas(page).evaluate((el: HTMLCanvasElement) => el.toDataURL())).not.toBe(before); // prettier-ignore
  await page.addInitScript(() => {
    const kind = HTMLCanvasElement.prototype;
    const own = Object.getOwnPropertyDescriptor(kind, 'getContext')!.value as (...all: unknown[]) => unknown; // prettier-ignore
    Object.defineProperty(kind, 'getContext', {
      value(this: HTMLCanvasElement, ...all: unknown[]): unknown {
        return String(all[0]).startsWith('webgl') ? null : own.apply(this, all);
      },
    });
  });
  await page.reload();
  await expect(page.getByText('This browser shows no solids')).toBeVisible();
  await expect(page.getByTestId('picture').locator('svg').first()).toBeVisible();
});
