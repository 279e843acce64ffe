import { readFileSync } from 'node:fs';
import { choose, demoCount, expect, openDemo, saved, tally, test } from './support.ts';
import type { Page } from '@playwright/test';

const turn = (page: Page, name: string) => page.getByTestId(`tab-${name}`).click();
const type = async (page: Page, label: string, value: string): Promise<void> => {
  const field = page.getByRole('textbox', { name: label, exact: true });
  await field.fill(value);
  await field.press('Enter');
};
const grams = (text: string): number => {
  const found = /([\d.]+)\s(kg|g)/.exec(text)!;
  return Number(found[1]) * (found[2] === 'kg' ? 1000 : 1);
};

test('colours by height become bowls of one batch, on the bench as well', async ({ page }) => {
  await openDemo(page, 'Fig and walnut', 'Coat');
  await expect(page.getByTestId('sheet-title')).toHaveText('735 g to make, in one bowl');
  await choose(page.getByRole('combobox', { name: 'Style' }), 'smooth');
  await choose(
    page.getByRole('combobox', { name: 'Colours' }),
    'an ombre, bands run into each other',
  );
  await expect(page.getByTestId('sheet-title')).toContainText('in 4 bowls');
  await page.getByLabel('Colour of band 1 from below').fill('navy');
  await page.getByLabel('Colour of band 1 from below').press('Enter');
  await turn(page, 'bowls');
  await page.getByRole('button', { name: 'Cream-cheese frosting, navy' }).click();
  await expect(page.getByTestId('shared-out')).toContainText('deepen overnight');
  await choose(page.getByRole('combobox', { name: 'Mixed together or apart' }), 'mixed one by one');
  await saved(page);
  await page.goto('/build/fig-and-walnut/bench');
  await page.getByTestId('all-steps').click();
  await expect(
    page.getByRole('dialog').getByText('Make the cream-cheese frosting, navy'),
  ).toBeVisible();
});

test('how often it may run short decides how much is made, and the picture says so', async ({
  page,
}) => {
  await openDemo(page, 'Jubilee', 'Coat');
  const before = grams(await tally(page, 'frosting').innerText());
  await turn(page, 'chance');
  await expect(page.locator('.chart')).toHaveAttribute('data-ready', 'true');
  await expect(page.getByTestId('short').first()).toHaveText(/^1\sin (19|2\d)$/);
  await type(page, 'Cakes to one that runs short', '4');
  await expect(page.getByTestId('short').first()).toHaveText(/^1\sin [345]$/);
  const after = grams(await tally(page, 'frosting').innerText());
  expect(after).toBeLessThan(0.93 * before);
  await page.locator('h1').first().click();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('short').first()).toHaveText(/^1\sin (19|2\d)$/);
});

test('an own recipe, pasted: it coats the demo cake, and bowls, shopping and cost follow', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('article')).toHaveCount(demoCount);
  await page.goto('/shopping');
  await expect(page.getByTestId('shopping-title')).toContainText('for 8 cakes');
  await expect(page.getByRole('row', { name: /^honey/ })).toHaveCount(0);
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Recipes' }).click();
  await page.getByTestId('import').click();
  await page.getByLabel('Name of the recipe').fill('Meteor frosting');
  await choose(
    page.getByRole('combobox', { name: 'What it becomes' }),
    'a frosting like cream-cheese frosting',
  );
  await page
    .getByTestId('paste')
    .getByRole('textbox')
    .fill('2 cups cream cheese\n100 g butter\n3 tbsp honey\n1 cup icing sugar, sifted\nstir well');
  const lines = page.getByTestId('read-lines').getByRole('row');
  await expect(lines).toHaveCount(5);
  // metric cups: 500 mL at 230 g to 237 mL
  await expect(page.getByLabel('Weight of cream cheese')).toHaveValue('485 g');
  await expect(page.getByLabel('Weight of icing sugar')).toHaveValue('105 g');
  await expect(lines.last()).toContainText('method');
  await page.getByTestId('save-pasted').click();
  await page.getByRole('tab', { name: 'Fillings and frostings' }).click();
  await expect(page.getByRole('row', { name: /Meteor frosting/ })).toBeVisible();

  await openDemo(page, 'Fig and walnut', 'Coat');
  await choose(page.getByRole('combobox', { name: 'Frosting of the coat' }), 'Meteor frosting');
  await expect(page.getByTestId('sheet-title')).toContainText('in 2 bowls');
  await turn(page, 'bowls');
  await page.getByTestId('shared-out').getByRole('button', { name: 'Meteor frosting' }).click();
  // why the number is what it is
  await page.getByTestId('shared-out').locator('button.figure').click();
  await expect(page.getByRole('dialog')).toContainText('accepted share of cakes');
  await page.keyboard.press('Escape');
  await turn(page, 'cost');
  await expect(page.getByTestId('cost')).toContainText('a serving');
  await saved(page);
  await page.goto('/shopping');
  await expect(page.getByRole('row', { name: /^honey/ })).toBeVisible();
});

test('the list takes what is in stock, says when, and is saved as a table', async ({
  page,
}, info) => {
  await page.goto('/');
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Ingredients' }).click();
  await type(page, 'in stock: caster sugar', '20 kg');
  await page.getByRole('link', { name: 'Shopping' }).click();
  const row = page.getByRole('row', { name: /^caster sugar/ });
  await expect(row).toContainText('in stock');
  const title = page.getByTestId('shopping-title');
  await expect(title).toContainText('for 8 cakes');
  // a bowl that two cakes take within the days that it keeps
  await expect(page.getByTestId('together')).toContainText('for Jubilee', { timeout: 60_000 });
  await page.getByRole('checkbox', { name: /Jubilee/ }).uncheck();
  await expect(title).toContainText('for 7 cakes');
  // the day it is stirred in, and as long before as it keeps
  await expect(page.getByTestId('by-days')).toContainText('bought for the day it is used');
  await expect(page.getByRole('row', { name: /^cream cheese/ })).toContainText(
    'Thu 3 Jun to Thu 17 Jun',
  );
  const download = page.waitForEvent('download');
  await page.getByTestId('save-list').click();
  const path = info.outputPath('shopping.csv');
  await (await download).saveAs(path);
  const [header, ...rows] = readFileSync(path, 'utf8').trim().split('\r\n');
  expect(header).toBe('ingredient,needed g,in stock g,buy g,packs,from,by,cost,for');
  expect(rows.find((line) => line.startsWith('caster sugar'))).toMatch(/,0,0,/);
  for (const name of await page.getByRole('checkbox').all()) await name.uncheck();
  await expect(title).toHaveText('No cake is chosen');
});

test('a table of ingredients is taken whole or not at all', async ({ page }) => {
  await page.goto('/');
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Ingredients' }).click();
  const count = await page.getByRole('heading', { name: /ingredients/ }).innerText();
  await page.getByTestId('import').click();
  const give = (text: string) =>
    page
      .getByLabel('Table of ingredients')
      .setInputFiles({ name: 'stock.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await give('\uFEFFname;price\nbutter, unsalted;2,95\nmoon dust;dear\n');
  await expect(page.getByRole('alert')).toContainText('Nothing of stock.csv was taken');
  await expect(page.getByRole('alert')).toContainText('Line 3: price “dear” is not a number');
  await give('\uFEFFname;price\nbutter, unsalted;2,95\n=1+1;3\n');
  await page.getByTestId('take-table').click();
  await expect(page.getByRole('heading', { name: /ingredients/ })).not.toHaveText(count);
  await page.getByLabel('Find in this table').fill('=1');
  // a formula is a name like any other
  await expect(page.getByRole('row', { name: /^=1\+1/ })).toBeVisible();
  await page.getByLabel('Find in this table').fill('unsalted');
  await expect(page.getByLabel('a pack costs: butter, unsalted')).toHaveValue('£2.95');
});

test('an ingredient is swapped with its mass worked out, and the diet follows', async ({
  page,
}) => {
  await page.goto('/');
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Recipes' }).click();
  await page.getByRole('button', { name: 'Change Sugar-and-butter buttercream' }).click();
  const dialog = page.getByTestId('row-dialog');
  await expect(dialog).toContainText('Holds milk');
  for (const [from, to] of [
    ['butter, unsalted', 'plant fat block'],
    ['whipping cream 35 %', 'soy drink'],
    ['vanilla extract', 'water'],
  ] as const) {
    await dialog.getByRole('button', { name: `Swap ${from}` }).click();
    await choose(dialog.getByRole('combobox', { name: 'Swap for' }), to);
    if (to === 'plant fat block') await expect(page.getByTestId('swap')).toContainText('547 g');
    await dialog.getByRole('button', { name: 'Swap it' }).click();
  }
  await expect(dialog).toContainText('It is: vegetarian, vegan');
  await page.getByTestId('save-row').click();
  // the dialog closes once the row is stored
  await expect(dialog).toBeHidden();
  await page.goto('/build/harbour-light/coat');
  await turn(page, 'cost');
  // the sponge still holds butter and eggs
  await expect(page.getByRole('row', { name: /^vegan/ })).toContainText('no');
  await expect(page.getByRole('row', { name: /^free of alcohol/ })).toContainText('yes');
});

test('a bowl is put right by the gram, and what is left finds its coat', async ({ page }) => {
  await openDemo(page, 'Harbour light', 'Coat');
  await turn(page, 'right');
  await type(page, 'In the bowl', '800 g');
  await expect(page.getByTestId('remedy').first()).toContainText('19 g milk or cream');
  await choose(page.getByRole('combobox', { name: 'What is wrong' }), 'too warm');
  await type(page, 'Its temperature', '28 C');
  await expect(page.getByTestId('remedy').first()).toContainText('in the fridge');
  await type(page, 'Left in the bowl', '300 g');
  await expect(page.getByTestId('left-advice')).toContainText('short');
  await type(page, 'Left in the bowl', '2 kg');
  await expect(page.getByTestId('left-advice')).toContainText('It is enough');
  await page.goto('/build/harbour-light/bench');
  await page.getByTestId('all-steps').click();
  await page
    .getByRole('button', { name: /Crumb coat/ })
    .first()
    .click();
  await page.getByTestId('note').click();
  await type(page, 'left in the bowl', '300 g');
  await page.getByTestId('add-note').click();
  await expect(page.getByTestId('left-advice')).toContainText('short');
});

test('fondant, pressed nuts and piping weigh in, raise the cake and reach the bench', async ({
  page,
}) => {
  await openDemo(page, 'Harbour light', 'Coat');
  await turn(page, 'covers');
  const before = await tally(page, 'height').innerText();
  await page.getByRole('button', { name: 'Cover it with rolled fondant' }).click();
  await type(page, 'Thickness of the fondant', '8 mm');
  await expect(tally(page, 'height')).not.toHaveText(before);
  await expect(page.getByTestId('covers')).toContainText('a disc of');
  await page.getByRole('button', { name: 'Press nuts, sprinkles or shavings on' }).click();
  await expect(page.getByText('Fondant does not take pistachios')).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('button', { name: /^Finish/ })
    .click();
  await turn(page, 'piping');
  await page.getByTestId('add-piping').click();
  await page.getByLabel('What is piped').last().fill('shells');
  await page.getByLabel('What is piped').last().press('Enter');
  await saved(page);
  await page.goto('/build/harbour-light/bench');
  await page.getByTestId('all-steps').click();
  await expect(page.getByRole('dialog').getByText('Cover it with fondant')).toBeVisible();
  await expect(page.getByRole('dialog').getByText('Pipe: shells')).toBeVisible();
});

test('a warm venue warns of a coat that slides, and a diet of what breaks it', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Coat');
  await type(page, 'Temperature where it is served', '90 F');
  await expect(page.getByText(/slides off an upright side at 32\s°C/)).toBeVisible();
  await page.keyboard.press('1');
  await page.locator('h1').first().click();
  await page.keyboard.press('1');
  await page.getByRole('button', { name: 'vegan' }).click();
  await expect(page.getByText('It is not vegan, and the brief asks for vegan.')).toBeVisible();
});

test('a recipe is not made of itself, and its yield cannot exceed what goes in', async ({
  page,
}) => {
  await page.goto('/');
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Recipes' }).click();
  await page.getByLabel('Find in this table').fill('lemon curd');
  await page.getByRole('button', { name: 'Change Lemon curd', exact: true }).click();
  await page.getByRole('button', { name: 'Add an ingredient' }).click();
  await choose(page.getByLabel('What ingredient 6 is'), 'recipe: Lemon curd cream');
  await page.getByTestId('save-row').click();
  await expect(page.getByRole('alert')).toContainText('Lemon curd → Lemon curd cream → Lemon curd');
  await page.getByRole('button', { name: 'Take out Lemon curd cream' }).click();
  await type(page, 'yields', '9 kg');
  await page.getByTestId('save-row').click();
  await expect(page.getByRole('alert')).toContainText('yields more than its ingredients weigh');
});

test('a gel is tried on a spot in the pantry, and colours are mixed by what it gave', async ({
  page,
}) => {
  const mixed = async (): Promise<number> => {
    await page.goto('/build/meridian/coat');
    await page.getByLabel('How blue looks').click();
    const words = await page.getByTestId('gel-mix').locator('b').first().innerText();
    return Number(/^[\d.]+/.exec(words)![0]);
  };
  const before = await mixed();
  // its name leads to its row
  await page.getByTestId('gel-mix').getByRole('link', { name: 'blue gel' }).click();
  const spot = page.getByTestId('gel-fields');
  await expect(spot.locator('li')).toHaveCount(5);
  await spot.getByLabel('Gel on the spot').fill('2 g');
  await spot.getByLabel('Gel on the spot').press('Enter');
  await page.getByTestId('row-dialog').getByRole('button', { name: 'Save' }).click();
  await expect(page.getByTestId('row-dialog')).toHaveCount(0);
  // twice as much of it made the same blue
  expect((await mixed()) / before).toBeCloseTo(2, 0);
  // taken, it is weighed at the bench by its name
  const taken = page.getByTestId('gel-taken');
  await expect(taken).toContainText('left open');
  await taken.getByRole('button', { name: 'Weigh this mix' }).click();
  await expect(taken).toContainText(/g of blue gel.* to the kilogram/);
  await expect(taken.getByRole('button', { name: 'Weigh this mix' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Done' }).click();
  await turn(page, 'bowls');
  await page.getByRole('button', { name: 'Meringue buttercream, blue', exact: true }).click();
  await expect(page.getByTestId('shared-out')).toContainText('of gel (blue gel');
  await saved(page);
});

test('a colour is picked, seen, named anew and weighed', async ({ page }) => {
  await openDemo(page, 'Meridian', 'coat');
  await page.getByTestId('view-section').click();
  await page.getByLabel('Colour of band 1 from below').fill('teal');
  await page.getByLabel('Colour of band 1 from below').press('Enter');
  // known to style sheets by its name, and drawn at once
  await expect(page.locator('[data-part="tier-1/band/0-left"]')).toHaveAttribute('fill', '#008080');
  await page.getByLabel('How teal looks').click();
  const dialog = page.getByTestId('colour');
  await expect(dialog).toContainText('of gel to the kilogram');
  // nothing of the picker is squeezed away by what stands under it
  await expect(dialog.locator('.v-color-picker-preview')).toBeInViewport({ ratio: 1 });
  await expect(dialog.locator('.v-color-picker-edit input')).toBeInViewport({ ratio: 1 });
  await expect(dialog.getByTestId('gel-mix')).toContainText(/blue.*drops/);
  const spot = dialog.getByLabel('Gel for a test spot');
  await spot.fill('0.4 g');
  await spot.press('Enter');
  await expect(dialog).toContainText('about 4 g of gel');
  await dialog.getByLabel('Name of the colour').fill('lagoon');
  await dialog.getByLabel('Name of the colour').press('Enter');
  await expect(page.getByLabel('Colour of band 1 from below')).toHaveValue('lagoon');
  // the crumb coat has a colour of its own
  await page.getByLabel('Colour of the crumb coat').fill('lagoon');
  await page.getByLabel('Colour of the crumb coat').press('Enter');
  await expect(page.locator('[data-part="tier-1/crumb"]')).toHaveAttribute('fill', '#008080');
  await expect(page.locator('[data-part="tier-1/band/0-left"]')).toHaveAttribute('fill', '#008080');
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByTestId('all-steps').click();
  await page.getByRole('dialog').getByText('Divide it, and colour each bowl').click();
  await expect(page.getByText('colour gel, lagoon').first()).toBeVisible();
  await expect(page.getByText(/By your own test spot/)).toBeVisible();
});
