import { choose, chosen, expect, openDemo, saved, test } from './support.ts';
import { expectReadable } from './readable.ts';

test('a word says what it means where it stands, by key, by press and in the list', async ({
  page,
}) => {
  await openDemo(page, 'Meridian');
  const word = page.getByRole('button', { name: 'dam', exact: true });
  await word.focus();
  const said = page.getByText('A ring of firm frosting round the edge of a layer');
  await expect(said).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(said).toBeHidden();
  await word.click();
  await expect(said).toBeVisible();
  await page.goto('/help');
  const glossary = page.getByTestId('glossary');
  await expect(glossary.getByText('crumb coat', { exact: true })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find a word' }).fill('sudden');
  await expect(glossary.locator('dt')).toHaveText(['a hard braking']);
  await page.getByRole('searchbox', { name: 'Find a word' }).fill('zeppelin');
  await expect(page.getByText('No word is like')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find a word' }).fill('');
  await expectReadable(page, 'help');
});

test('the walk round has six stops, can be left, and changes nothing', async ({ page }) => {
  await page.goto('/help');
  await page.getByRole('link', { name: /^Walk round/ }).click();
  const walk = page.getByTestId('walk');
  for (let stop = 1; stop <= 6; stop++) {
    await expect(walk).toContainText(`${stop} of 6`);
    await walk.getByTestId('walk-next').click();
  }
  await expect(walk).toHaveCount(0);
  expect(page.url()).not.toContain('walk');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.goto('/build/meridian/stack?walk=1');
  await walk.getByRole('button', { name: 'Leave it' }).click();
  await expect(walk).toHaveCount(0);
});

test('a filling of one’s own is named where it is chosen, and used at once', async ({ page }) => {
  await openDemo(page, 'Meridian');
  await choose(page.getByRole('combobox', { name: 'Filling everywhere' }), 'new filling …'); // prettier-ignore
  const dialog = page.getByTestId('own-row');
  await dialog.getByTestId('own-save').click();
  await expect(dialog).toContainText('It needs a name');
  await dialog.getByLabel('What it is called').fill('Gooseberry jam of the keeper');
  await choose(dialog.getByLabel('What it is like'), 'Strawberry filling');
  await choose(dialog.getByLabel('How stiff it is'), 'soft');
  await dialog.getByTestId('own-save').click();
  await expect(chosen(page.getByRole('combobox', { name: 'Filling everywhere' }))).toHaveAttribute(
    'data-value',
    /^own-/,
  );
  await saved(page);
  await page.goto('/pantry?table=spreads');
  await page.getByLabel('Find in this table').fill('gooseberry');
  await expect(page.getByRole('row', { name: /Gooseberry jam of the keeper/ })).toContainText(
    'soft',
  );
  // and from the sentence of a new cake
  await page.goto('/new');
  await choose(page.getByRole('combobox', { name: 'Frosting', exact: true }), 'new frosting …'); // prettier-ignore
  await dialog.getByLabel('What it is called').fill('meringue BUTTERCREAM');
  await dialog.getByTestId('own-save').click();
  await dialog.getByRole('button', { name: 'Leave it' }).click();
  await expect(
    chosen(page.getByRole('combobox', { name: 'Frosting', exact: true })),
  ).toHaveAttribute('data-value', 'any');
});

test('a frosting of one’s own comes with its recipe, pasted where it is named', async ({
  page,
}) => {
  await page.goto('/new');
  await choose(page.getByRole('combobox', { name: 'Frosting', exact: true }), 'new frosting …'); // prettier-ignore
  const dialog = page.getByTestId('own-row');
  await dialog.getByTestId('own-paste').click();
  await expect(dialog).toContainText('It needs a name');
  await dialog.getByLabel('What it is called').fill('Tower keeper’s buttercream');
  await choose(dialog.getByLabel('How stiff it is'), 'soft');
  await dialog.getByTestId('own-paste').click();
  const recipe = page.getByTestId('own-recipe');
  await expect(recipe.getByLabel('Name of the recipe')).toHaveValue('Tower keeper’s buttercream');
  await recipe
    .getByTestId('paste')
    .getByRole('textbox')
    .fill('400 g butter\n300 g icing sugar\n60 g ground almonds');
  await recipe.getByTestId('save-pasted').click();
  await expect(recipe).toHaveCount(0);
  const frosting = page.getByRole('combobox', { name: 'Frosting', exact: true });
  await expect(chosen(frosting)).toHaveAttribute('data-value', /^own-/);
  await page.goto('/pantry?table=spreads');
  await page.getByLabel('Find in this table').fill('keeper');
  await expect(page.getByRole('row', { name: /Tower keeper/ })).toContainText('soft');
});

test('a hint is said once, where it serves, and again when it is asked for', async ({ page }) => {
  await openDemo(page, 'Meridian');
  await expect(page.getByTestId('hint')).toContainText('how it came about');
  await page.getByRole('button', { name: 'Put this hint away' }).click();
  await expect(page.getByTestId('hint')).toHaveCount(0);
  await page.goto('/build/meridian/day');
  await expect(page.getByTestId('hint')).toContainText('backward from serving');
  await page.goto('/build/meridian/stack');
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  await expect(page.getByTestId('hint')).toHaveCount(0);
  await page.goto('/help');
  await page.getByTestId('forget-hints').click();
  await expect(page.getByTestId('forget-hints')).toBeDisabled();
  await page.goto('/build/meridian/stack');
  await expect(page.getByTestId('hint')).toBeVisible();
});

test('what the models use stands behind more, in the table and in the form', async ({ page }) => {
  await page.goto('/pantry?table=sponges');
  await expect(page.getByRole('columnheader', { name: 'crumb' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'rise' })).toHaveCount(0);
  await page.getByTestId('more-figures').click();
  await expect(page.getByRole('columnheader', { name: 'rise' })).toBeVisible();
  await page.getByRole('button', { name: 'Change Creamed butter sponge' }).click();
  const rise = page.getByRole('textbox', { name: 'rise' });
  await expect(rise).toBeHidden();
  await page.getByText('more: figures that the models use').click();
  await expect(rise).toBeVisible();
});

test('the title says where one is, and a table of the pantry keeps its address', async ({
  page,
}) => {
  await page.goto('/help');
  await expect(page).toHaveTitle('Help, Pyrgotect');
  await page.getByRole('link', { name: 'Calendar' }).click();
  await expect(page).toHaveTitle('Calendar, Pyrgotect');
  await openDemo(page, 'Meridian', 'Bake');
  await expect(page).toHaveTitle('Meridian: bake, Pyrgotect');
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Sponges' }).click();
  await expect(page).toHaveURL(/table=sponges/);
  await page.reload();
  await expect(page.getByRole('tab', { name: 'Sponges' })).toHaveAttribute('aria-selected', 'true');
});
