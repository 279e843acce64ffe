import { expectReadable } from './readable.ts';
import { expect, openDemo, tally, test } from './support.ts';

test('a row that is changed changes the plan, and can be set back', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Bake');
  const before = await page.getByTestId('sheet-title').innerText();
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Sponges' }).click();
  await page.getByRole('button', { name: 'Change Creamed butter sponge' }).click();
  const rise = page.getByRole('textbox', { name: 'rise' });
  await rise.fill('9');
  await rise.press('Enter');
  await expect(page.getByRole('alert')).toContainText('At most 3');
  await rise.fill('1.5');
  await rise.press('Enter');
  await page.getByTestId('save-row').click();
  await expect(page.getByRole('row', { name: /Creamed butter sponge/ })).toContainText('own');
  await page.goto('/build/meridian/bake');
  await expect(page.getByTestId('sheet-title')).not.toHaveText(before);
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Sponges' }).click();
  await page.getByRole('button', { name: 'Starting values for Creamed butter sponge' }).click();
  await page.goto('/build/meridian/bake');
  await expect(page.getByTestId('sheet-title')).toHaveText(before);
});

test('an own tin is added, used and refused without a name', async ({ page }) => {
  await page.goto('/pantry');
  await page.getByTestId('add-row').click();
  await page.getByTestId('save-row').click();
  await expect(page.getByRole('alert')).toContainText('Name is empty');
  await page.getByLabel('name', { exact: true }).fill('Copper ring');
  const across = page.getByRole('textbox', { name: 'Diameter' });
  await across.fill('26 cm');
  await across.press('Enter');
  await page.getByTestId('save-row').click();
  await expect(page.getByText('22 tins')).toBeVisible();
  await openDemo(page);
  const diameter = page.getByRole('textbox', { name: 'Diameter' });
  await diameter.fill('26 cm');
  await diameter.press('Enter');
  await page.keyboard.press('3');
  await page.locator('h1').click();
  await page.keyboard.press('3');
  await expect(page.getByRole('combobox', { name: 'Tin' })).toHaveValue(/^own-/);
  await expect(tally(page, 'servings')).toHaveText('38');
});

for (const [name, path] of [
  ['shelf', '/'],
  ['brief', '/build/meridian/brief'],
  ['stack', '/build/meridian/stack'],
  ['bake', '/build/meridian/bake'],
  ['coat', '/build/meridian/coat'],
  ['bench', '/build/meridian/bench'],
  ['pantry', '/pantry'],
  ['shopping', '/shopping'],
] as const)
  test(`${name} can be read and operated by all`, async ({ page }) => {
    await page.goto(path);
    await expect(page.locator('h1').first()).toBeVisible();
    await expectReadable(page, name);
  });
