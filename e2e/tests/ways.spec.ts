import { choose, expect, test } from './support.ts';

/* From one place to another and back, and what one touch does. */

test('the place is kept: back comes to where one had scrolled, a stage is told', async ({
  page,
}) => {
  await page.goto('/pantry?table=tins');
  const rows = page.getByRole('row');
  await expect(rows.nth(20)).toBeAttached();
  await page.locator('#content').evaluate((el) => el.scrollTo(0, 400));
  await page.getByRole('link', { name: 'Shopping' }).click();
  await expect(page.getByTestId('shopping-title')).toBeVisible();
  await expect(page.getByTestId('said')).toContainText('Shopping');
  await page.goBack();
  await expect.poll(() => page.locator('#content').evaluate((el) => el.scrollTop)).toBe(400);
  await page.reload();
  await expect(rows.nth(20)).toBeAttached();
  await expect.poll(() => page.locator('#content').evaluate((el) => el.scrollTop)).toBe(400);
});

test('a caution does what it advises, and that can be undone', async ({ page }) => {
  await page.goto('/build/jubilee/support');
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  await page.getByTestId('tab-dowels').click();
  await page.getByRole('button', { name: 'No dowels' }).first().click();
  const put = page.getByTestId('advised-dowels').first();
  await expect(put).toHaveText('Put dowels in');
  await put.click();
  await expect(page.getByTestId('advised-dowels')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('advised-dowels').first()).toBeVisible();
});

test('a choice leads to its row in the pantry, and back to the cake', async ({ page }) => {
  await page.goto('/build/meridian/bake');
  await choose(
    page.getByRole('combobox', { name: 'Tin', exact: true }),
    'change “Round 28 cm” in the pantry …',
  );
  await expect(page).toHaveURL(/\/pantry\?table=tins&row=round-28/);
  await expect(page.getByTestId('row-dialog')).toContainText('Round 28 cm');
  await page.getByTestId('row-dialog').getByRole('button', { name: 'Leave it' }).click();
  await expect(page).toHaveURL(/\/build\/meridian\/bake/);
  await expect(page.getByRole('combobox', { name: 'Tin', exact: true })).toHaveValue('Round 28 cm');
});

test('a day and its hour are picked, or typed in one’s own words', async ({ page }) => {
  await page.goto('/build/meridian/brief');
  const served = page.getByRole('textbox', { name: 'Date and time of serving' });
  await expect(served).toHaveValue('Sat 12 June 2027, 16:00');
  await page.getByRole('button', { name: 'Pick in a calendar' }).click();
  const picker = page.getByTestId('pick-when');
  await picker.getByText('19', { exact: true }).first().click();
  await picker.getByRole('button', { name: 'Done' }).click();
  await expect(served).toHaveValue('Sat 19 June 2027, 16:00');
  await served.fill('26 june 4:30 pm');
  await served.press('Enter');
  await expect(served).toHaveValue(/^\w{3} 26 June 20\d\d, 16:30$/);
  await served.fill('some day');
  await served.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Write a day and its hour');
  await served.press('Escape');
  await expect(served).toHaveValue(/26 June/);
});
