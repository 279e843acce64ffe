import type { Locator, Page } from '@playwright/test';
import { choose, demoCount, expect, openDemo, saved, test } from './support.ts';
import { expectReadable } from './readable.ts';

test('who ordered a cake and what was agreed: on its card, found and filtered', async ({
  page,
}) => {
  await openDemo(page, 'Fig and walnut', 'Brief');
  await page.getByLabel('ordered by').fill('Night school of the harbour');
  await page.getByLabel('ordered by').press('Enter');
  const price = page.getByRole('textbox', { name: 'Price offered' });
  await price.fill('95');
  await price.press('Enter');
  await saved(page);
  await page.goto('/');
  await page.getByRole('searchbox', { name: 'Search the shelf' }).fill('night school');
  await expect(page.getByRole('article')).toHaveCount(1);
  await expect(page.getByRole('article')).toContainText('for Night school of the harbour: offered');
  await page.getByRole('searchbox', { name: 'Search the shelf' }).fill('');
  await choose(page.getByRole('combobox', { name: 'Which cakes' }), 'cakes that are confirmed'); // prettier-ignore
  await expect(page.getByRole('article')).toHaveCount(2);
  await openDemo(page, 'Fig and walnut', 'Brief');
  await page.getByLabel('confirmed').check();
  await saved(page);
  await page.goto('/');
  await choose(page.getByRole('combobox', { name: 'Which cakes' }), 'cakes that are confirmed'); // prettier-ignore
  await expect(page.getByRole('article')).toHaveCount(3);
  await choose(page.getByRole('combobox', { name: 'Order of the shelf' }), 'who ordered them'); // prettier-ignore
  await expect(page.getByRole('article').first()).toContainText('Harbour office');
});

test('a picture of the wish is kept with the cake, taken away and brought back', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Brief');
  const order = page.getByTestId('order');
  const photo = await page.screenshot();
  await page
    .getByLabel('A picture of the wish')
    .setInputFiles({ name: 'wish.png', mimeType: 'image/png', buffer: photo });
  await expect(order.getByRole('img', { name: 'Photo: what is wished' })).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(order.getByRole('img')).toHaveCount(1);
  await order.getByRole('button', { name: 'Take away' }).click();
  await expect(order.getByRole('img')).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(order.getByRole('img')).toHaveCount(1);
  await page.getByLabel('A picture of the wish').setInputFiles({ name: 'list.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') }); // prettier-ignore
  await expect(order.getByRole('alert')).toContainText('no picture that the browser can read');
});

test('a cake made again says what the last one taught; a pattern makes cakes and has no date', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'More of Equinox' }).click();
  await page.getByText('Make it again').click();
  await expect(page.getByTestId('last-time')).toContainText('Equinox');
  await expect(page.getByTestId('last-time')).toContainText('was planned');
  await page.goto('/');
  await page.getByRole('button', { name: 'More of Meridian' }).click();
  await page.getByText('Keep as a pattern').click();
  await expect(page.getByRole('heading', { name: 'Patterns' })).toBeVisible();
  await page.getByRole('button', { name: 'Make a cake from it' }).click();
  await expect(page.getByLabel('Date and time of serving')).toHaveValue('');
  await page.goto('/');
  // patterns stand last, below what the window shows at first
  await page.getByRole('searchbox', { name: 'Search the shelf' }).fill('pattern');
  await expect(page.getByRole('article')).toHaveCount(1);
  await page.getByRole('link', { name: 'Open Meridian, pattern', exact: true }).click();
  await expect(page.getByTestId('sheet-title')).toBeVisible();
});

/** Turns the pages of the calendar until something is there; it is some weeks ahead. */
async function turnTo(page: Page, forward: string, what: Locator): Promise<void> {
  const isThere = (): Promise<boolean> =>
    what.waitFor({ timeout: 2000 }).then(
      () => true,
      () => false,
    );
  for (let turns = 0; turns < 9 && !(await isThere()); turns++)
    await page.getByRole('button', { name: forward }).click();
  await expect(what).toBeVisible();
}

test('the calendar says what is due and how full the days are, by month and by week', async ({
  page,
}) => {
  // whatever day it is tested on
  await page.clock.setFixedTime(new Date('2027-05-20T09:00:00'));
  await page.goto('/calendar');
  await expect(page.getByTestId('calendar-title')).toBeVisible();
  await turnTo(page, 'The month after', page.getByRole('link', { name: /Jubilee/ }));
  // two cakes of one week, each planned as late as it may be
  await expect(page.getByTestId('over')).toContainText('Jubilee', { timeout: 30_000 });
  await expect(page.getByTestId('over')).toContainText('Begin one of them a day earlier');
  await expectReadable(page, 'calendar by month');
  // a full day is told without its colour; on paper stands the month, and nothing that is pressed
  await expect(page.locator('.load', { hasText: '▲' }).first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('link', { name: /Jubilee/ })).toBeVisible();
  await expect(page.getByTestId('feed')).toBeHidden();
  await expect(page.getByRole('banner')).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'Week', exact: true }).click();
  const served = page.getByRole('link', { name: 'Jubilee is served' });
  await turnTo(page, 'The week before', served);
  await expectReadable(page, 'calendar by week');
  await served.click();
  await expect(page.getByTestId('sheet-title')).toBeVisible();
});

test('the examples are put away and brought back, and own cakes stay', async ({ page }) => {
  await page.goto('/new');
  await page.getByTestId('new-empty').click();
  await saved(page);
  await page.goto('/');
  await expect(page.getByRole('article')).toHaveCount(demoCount + 1);
  await page.getByRole('button', { name: 'Units and colours' }).click();
  await page.getByTestId('examples').click();
  await expect(page.getByRole('article')).toHaveCount(1);
  await expect(page.getByText('example', { exact: true })).toHaveCount(0);
  await page.getByTestId('examples').click();
  await expect(page.getByRole('article')).toHaveCount(demoCount + 1);
  await expect(page.getByText('example', { exact: true })).toHaveCount(demoCount);
});
