import { choose, expect, openDemo, test } from './support.ts';

test('a mould known by its water: weighed in the pantry, baked in', async ({ page }) => {
  await page.goto('/pantry');
  await page.getByTestId('add-row').click();
  await page.getByLabel('name', { exact: true }).fill('Seal mould');
  await choose(page.getByRole('combobox', { name: 'Form' }), 'mould');
  await page.getByTestId('save-row').click();
  await expect(page.getByRole('alert')).toContainText('weight of the water');
  const water = page.getByRole('textbox', { name: 'water it holds' });
  await water.fill('1.2 kg');
  await water.press('Enter');
  await page.getByTestId('save-row').click();
  await expect(page.getByText('Seal mould')).toBeVisible();
  await openDemo(page, 'Fig and walnut', 'Bake');
  await choose(page.getByRole('combobox', { name: 'Tin' }), 'Seal mould');
  await expect(page.getByText(/is not straight at the side/).first()).toBeVisible();
  await expect(page.getByTestId('sheet-title')).toContainText('of batter');
});

test('a larger oven takes fewer loads', async ({ page }) => {
  await openDemo(page, 'Fig and walnut', 'Bake');
  await page.getByTestId('tab-oven').click();
  await expect(page.getByTestId('load-2')).toBeVisible();
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Kitchen' }).click();
  const shelf = page.getByRole('textbox', { name: 'oven shelf, wide' });
  // as it was typed until it is kept, then as it is written everywhere
  await shelf.fill('700 mm');
  await shelf.press('Enter');
  await expect(shelf).toHaveValue(/^70(\.0)? cm$/);
  await openDemo(page, 'Fig and walnut', 'Bake');
  await page.getByTestId('tab-oven').click();
  await expect(page.getByTestId('load-1')).toBeVisible();
  await expect(page.getByTestId('load-2')).toHaveCount(0);
});

test('tiers, turns and what was measured are there after a reload', async ({ page }) => {
  await openDemo(page, 'Jubilee');
  await page.getByTestId('tiers').getByRole('button', { name: 'Gallery' }).click();
  await page.getByTestId('tab-level').click();
  await page.getByTestId('turn-all').click();
  await expect(page.getByTestId('level-summary')).toHaveText('It stands level');
  const dial = page.getByRole('slider', { name: 'Turn of layer 2' });
  const turned = await dial.getAttribute('aria-valuenow');
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.reload();
  await page.getByTestId('tiers').getByRole('button', { name: 'Gallery' }).click();
  await page.getByTestId('tab-level').click();
  await expect(dial).toHaveAttribute('aria-valuenow', turned!);
  // and all of it is taken back in one step
  await page.getByRole('button', { name: 'Take the turns back' }).click();
  await page.keyboard.press('Control+z');
  await expect(dial).toHaveAttribute('aria-valuenow', turned!);
});
