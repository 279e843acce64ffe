import { readFileSync } from 'node:fs';
import {
  choose,
  chooseAt,
  chosen,
  expect,
  keptAtBench,
  openDemo,
  saved,
  tally,
  test,
} from './support.ts';

test('a row that is changed changes the plan, and can be set back', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Bake');
  const before = await page.getByTestId('sheet-title').innerText();
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Sponges' }).click();
  await page.getByRole('button', { name: 'Change Creamed butter sponge' }).click();
  await page.getByText('more: figures that the models use').click();
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
  const back = page.getByRole('button', { name: 'Starting values for Creamed butter sponge' });
  await back.click();
  await expect(back).toHaveCount(0);
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
  await expect(page.getByText('27 tins')).toBeVisible();
  await openDemo(page);
  const diameter = page.getByRole('textbox', { name: 'Diameter' });
  await diameter.fill('26 cm');
  await diameter.press('Enter');
  await page.keyboard.press('3');
  await page.locator('h1').click();
  await page.keyboard.press('3');
  await expect(chosen(page.getByRole('combobox', { name: 'Tin' }))).toHaveAttribute(
    'data-value',
    /^own-/,
  );
  await expect(tally(page, 'servings')).toHaveText('38');
});

test('a pasted cake is read with its method, bakes like the sponge it is most like, and is mixed as written', async ({
  page,
}) => {
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Recipes' }).click();
  await page.getByTestId('import').click();
  await page.getByLabel('Name of the recipe').fill('Moonrise cake');
  await page
    .getByTestId('paste')
    .getByRole('textbox')
    .fill(
      [
        '225 g butter',
        '225 g caster sugar',
        '4 eggs',
        '225 g self-raising flour',
        'Method',
        'Preheat the oven to 350°F (180°C, 160°C fan). Line two 20 cm round tins.',
        'Cream butter and sugar with an electric mixer, add the eggs, fold in the flour.',
        'Bake for 25–30 minutes.',
      ].join('\n'),
    );
  const lines = page.getByTestId('read-lines').getByRole('row');
  await expect(lines.filter({ hasText: 'Preheat' })).toContainText('oven at 180 °C');
  await expect(lines.filter({ hasText: 'Bake for' })).toContainText('bakes for 25 min to 30 min');
  await expect(chosen(page.getByRole('combobox', { name: 'What it becomes' }))).toHaveAttribute(
    'data-value',
    'sponge/butter',
  );
  const bake = page.getByTestId('pasted-bake');
  await expect(bake.getByLabel('Tins it is meant for')).toHaveValue('2');
  await expect(bake.getByLabel('Oven of the recipe')).toHaveValue('180 °C');
  await expect(bake.getByLabel('Minutes of the recipe')).toHaveValue('28 min');
  await page.getByTestId('save-pasted').click();
  await page.getByRole('tab', { name: 'Sponges' }).click();
  await expect(page.getByRole('row', { name: /Moonrise cake/ })).toContainText('own');

  await openDemo(page, 'Meridian', 'Bake');
  await choose(page.getByRole('combobox', { name: 'Sponge', exact: true }), 'Moonrise cake');
  await saved(page);
  await page.goto('/build/meridian/bench');
  await page.getByTestId('all-steps').click();
  await page.getByRole('dialog').getByText('Mix the batter').first().click();
  await expect(page.locator('main')).toContainText('Cream butter and sugar with an electric mixer');
  await expect(page.locator('main')).toContainText('not for children');
});

test('what is put away is counted in a table, and read back', async ({ page }) => {
  await page.goto('/pantry?table=stock');
  await page.getByTestId('import').click();
  const give = (text: string) =>
    page
      .getByLabel('Table of what is put away')
      .setInputFiles({ name: 'freezer.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const lines = (many: string): string =>
    `name;made of;shape;width mm;layer mm;left\nRounds of May;Creamed butter sponge;round;203,2;22,5;${many}\n`;
  await give(lines('some'));
  await expect(page.getByRole('alert')).toContainText('Line 2: left “some” is not a number');
  await give(lines('6'));
  await page.getByTestId('take-table').click();
  const row = page.getByRole('row', { name: /Rounds of May/ });
  await expect(row).toContainText('6 layers');
  // it is saved, counted on paper or in a spreadsheet, and read back
  await page.getByTestId('import').click();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByTestId('save-table').click(),
  ]);
  const table = readFileSync(await saved.path(), 'utf8');
  expect(table).toContain(',round,203.2,203.2,22.5,6,freezer,');
  await give(table.replace('22.5,6,', '22.5,4,'));
  await expect(page.getByTestId('import-dialog')).toContainText('1 of them change');
  await page.getByTestId('take-table').click();
  await expect(row).toContainText('4 layers');
});

test('layers put away are taken out at the bench, and counted off', async ({ page }) => {
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Put away' }).click();
  await page.getByTestId('add-row').click();
  await page.getByLabel('name', { exact: true }).fill('Rounds of May');
  const many = page.getByRole('textbox', { name: 'How many layers' });
  await many.fill('6');
  await many.press('Enter');
  const across = page.getByRole('textbox', { name: 'Diameter' });
  await across.fill('28 cm');
  await across.press('Enter');
  await page.getByTestId('save-row').click();
  await expect(page.getByRole('row', { name: /Rounds of May/ })).toContainText('6 layers');

  await openDemo(page, 'Meridian', 'Bake');
  await choose(
    page.getByRole('combobox', { name: 'Where the layers come from' }),
    'Rounds of May, 6 layers left',
  );
  await expect(page.getByTestId('sheet-title')).toHaveText('4 layers out of the freezer');
  await expect(page.getByRole('combobox', { name: 'Tin' })).toHaveCount(0);
  await saved(page);
  // they cost what they were made of
  await page.goto('/build/meridian/coat');
  await page.getByTestId('tab-cost').click();
  await expect(page.getByTestId('cost')).toContainText('for what was put away before');
  // another cake that counts on them is told before anything is taken
  await openDemo(page, 'Fig and walnut', 'Bake');
  await choose(
    page.getByRole('combobox', { name: 'Where the layers come from' }),
    'Rounds of May, 6 layers left',
  );
  await expect(page.getByTestId('planned-elsewhere')).toContainText('Meridian (4)');
  await expect(page.getByTestId('planned-elsewhere')).toContainText('would be missing');
  await saved(page);
  await page.goto('/build/meridian/bench');
  await page.getByTestId('all-steps').click();
  await page.getByRole('dialog').getByText('Take 4 layers out of the freezer').click();
  await page.getByRole('button', { name: 'Done, next step' }).click();
  await expect(page.getByRole('heading', { name: 'Take 4 layers' })).toHaveCount(0);
  await keptAtBench(page);
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Put away' }).click();
  await expect(page.getByRole('row', { name: /Rounds of May/ })).toContainText('2 layers');
});

test('what is painted on is bought and has a step for each coat', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Coat');
  await page.getByRole('tab', { name: 'Covers' }).click();
  await page.getByRole('button', { name: 'Paint it' }).click();
  await expect(page.getByTestId('surfaces')).toContainText('13.9 g on it');
  await saved(page);
  await page.goto('/build/meridian/bench');
  await page.getByTestId('all-steps').click();
  const steps = page.getByRole('dialog');
  await expect(steps.getByText('Paint with colour gel: coat 1 of 2')).toBeVisible();
  await expect(steps.getByText('Paint with colour gel: coat 2 of 2')).toBeVisible();
});

test('a tin says how its wall runs, and keeps it', async ({ page }) => {
  await page.goto('/pantry');
  const change = page.getByRole('button', { name: 'Change Fluted ring 24 cm' });
  const dialog = page.getByTestId('row-dialog');
  const waves = dialog.getByRole('textbox', { name: 'Waves of its wall' });
  await change.click();
  await expect(waves).toHaveValue('16');
  await waves.fill('12');
  await waves.press('Enter');
  await page.getByTestId('save-row').click();
  await expect(dialog).toBeHidden();
  await change.click();
  await expect(waves).toHaveValue('12');
  await choose(dialog.getByRole('combobox', { name: 'Wall', exact: true }), 'plain');
  await expect(waves).toBeHidden();
});

test('a recipe is read from a saved page, and leaves for other kitchens', async ({ page }) => {
  await page.goto('/pantry?table=recipes');
  await page.getByRole('button', { name: 'Paste or read a recipe' }).click();
  const recipe = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Lighthouse curd',
    recipeIngredient: ['3 eggs', '150 g caster sugar', '80 g butter'],
    recipeInstructions: [{ '@type': 'HowToStep', text: 'Whisk over steam to 82 C.' }],
    recipeYield: '360 g',
  };
  const html = `<html><head><script type="application/ld+json">${JSON.stringify({ '@graph': [recipe] })}</script></head></html>`;
  const bring = (name: string, text: string): Promise<void> =>
    page
      .getByLabel('Recipes in a file')
      .setInputFiles({ name, mimeType: 'text/html', buffer: Buffer.from(text) });
  await bring('cut.html', html.replace('"Recipe"', '"Page"'));
  await expect(page.getByRole('alert')).toContainText('no recipe');
  await bring('curd.html', html);
  await expect(page.getByLabel('Name of the recipe')).toHaveValue('Lighthouse curd');
  await expect(page.getByLabel('Yield')).toHaveValue(/360/);
  await page.getByTestId('save-pasted').click();
  await expect(page.getByTestId('import-dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'Paste or read a recipe' }).click();
  await chooseAt(page, 'Kind of file', 'JSON-LD (schema.org Recipe)');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByTestId('save-recipes').click(),
  ]);
  expect(download.suggestedFilename()).toBe('Lighthouse curd.json');
  const written = JSON.parse(readFileSync(await download.path(), 'utf8')) as typeof recipe;
  expect(written).toMatchObject({ '@type': 'Recipe', name: recipe.name, recipeYield: '360 g' });
  expect(written.recipeIngredient).toContain('80 g butter, unsalted');
});
