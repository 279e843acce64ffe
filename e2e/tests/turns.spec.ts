import { expectReadable } from './readable.ts';
import { choose, expect, openDemo, test } from './support.ts';

const turns = {
  stack: ['height', 'level', 'fillings', 'centre'],
  bake: ['oven', 'heat', 'cut', 'bowl'],
  coat: ['covers', 'bowls', 'chance', 'right', 'cost'],
  carve: ['carved', 'offcuts', 'guides', 'stackfor'],
  finish: ['ganache', 'pour', 'piping', 'toppings', 'right'],
  support: ['dowels', 'cut', 'road', 'count'],
  day: ['tasks', 'lists', 'keeping', 'warmth', 'now', 'log'],
} as const;

for (const [stage, tabs] of Object.entries(turns))
  test(`every turn of ${stage} can be read and operated by all`, async ({ page }) => {
    await page.goto(`/build/jubilee/${stage}`);
    if (stage === 'carve')
      await expect(page.getByTestId('sheet-title')).toContainText('stand', { timeout: 40_000 });
    for (const [i, tab] of tabs.entries()) {
      await page.getByTestId(`tab-${tab}`).click();
      await expect(page.getByTestId(`tab-${tab}`)).toHaveAttribute('aria-selected', 'true');
      if (['height', 'heat', 'chance', 'warmth'].includes(tab))
        await expect(page.locator('.chart')).toHaveAttribute('data-ready', 'true');
      // drawing, rail and tally are the same beside every turn
      await expectReadable(page, tab, i === 0 ? undefined : '.sheet');
    }
  });

for (const [stage, tabs] of Object.entries(turns))
  test(`no turn of ${stage} runs off its sheet, in either unit system`, async ({ page }) => {
    await openDemo(
      page,
      'Jubilee',
      {
        stack: 'stack',
        bake: 'Bake',
        carve: 'Carve',
        coat: 'Coat',
        finish: 'Finish',
        support: 'Support',
        day: 'Day',
      }[stage],
    );
    for (const units of ['metric', 'inches']) {
      if (units === 'inches') await page.getByTestId('units').click();
      for (const tab of [
        {
          stack: 'layers',
          bake: 'tins',
          carve: 'cuts',
          coat: 'coat',
          finish: 'drips',
          support: 'stand',
          day: 'hours',
        }[stage],
        ...tabs,
      ]) {
        await page.getByTestId(`tab-${tab}`).click();
        await page.waitForTimeout(150);
        const [wide, room] = await page
          .locator('.sheet')
          .evaluate((e) => [e.scrollWidth, e.clientWidth] as const);
        expect(wide, `${tab} in ${units}`).toBeLessThanOrEqual(room);
      }
    }
  });

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
