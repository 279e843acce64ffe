import type { Page } from '@playwright/test';
import { choose, chooseAt, chosen, expect, openDemo, saved, tally, test } from './support.ts';

const turn = (page: Page, name: string) => page.getByTestId(`tab-${name}`).click();
const type = async (page: Page, label: string, value: string): Promise<void> => {
  const field = page.getByRole('textbox', { name: label, exact: true });
  await field.fill(value);
  await field.press('Enter');
};
/** Grams in the first cell of a table that ends in so many grams. */
const gramsIn = async (page: Page, testId: string, row: string): Promise<number> => {
  const text = await page.getByTestId(testId).locator('tr', { hasText: row }).innerText();
  return Number(/([\d.]+)\sg/.exec(text.replace(row, ''))![1]);
};
const scrub = (page: Page, to: string) => page.getByTestId('scrub').fill(to);
const longest = async (page: Page): Promise<number> =>
  Number(/longest ([\d.]+)\scm/.exec(await page.getByTestId('drip-time').innerText())![1]);

test('from a third of the side, no two alike, to grams; a test drip that ran too far changes them', async ({
  page,
}) => {
  await openDemo(page, 'Fig and walnut', 'Finish');
  await page.getByTestId('add-drip').click();
  await chooseAt(page, 'Pattern of the drips', 'no two alike');
  await page.getByRole('button', { name: 'a third' }).click();
  await expect(page.getByTestId('drip-time')).toContainText('all at rest');
  await expect(page.getByTestId('sheet-title')).toContainText('drips from');
  const chocolate = await gramsIn(page, 'drip-made', 'dark chocolate 55 %');
  const cream = await gramsIn(page, 'drip-made', 'whipping cream 35 %');
  expect(Math.abs(chocolate - cream)).toBeLessThanOrEqual(1);
  const cell = page.getByRole('cell', { name: /drips of/ });
  const planned = await cell.innerText();
  // it ran half as far again as the plan had it
  await type(page, 'The test drip weighed', '1 g');
  await type(page, 'Length of the test drip', '7 cm');
  await page.getByTestId('note-test').click();
  await expect(page.getByTestId('test-says')).toContainText('softer than the table');
  await expect(cell).not.toHaveText(planned);
  expect(await gramsIn(page, 'drip-made', 'dark chocolate 55 %')).toBeLessThan(chocolate);
  await saved(page);
  // a second one that cannot be is said and left out
  await type(page, 'The test drip weighed', '0.5 g');
  await type(page, 'The test drip’s temperature', '24 C');
  await type(page, 'Length of the test drip', '35 cm');
  await page.getByTestId('note-test').click();
  await expect(page.getByText(/Test drip 2 is left out/)).toBeVisible();
  // it stays with the ganache, for other cakes and after a reload
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Ganaches and drips' }).click();
  await page
    .getByRole('row', { name: /Dark ganache, equal parts/ })
    .getByRole('button')
    .first()
    .click();
  await expect(page.getByTestId('row-dialog')).toContainText('7.0 cm after 60 s');
});

test('drips can be run through time, and stop at a border below', async ({ page }) => {
  await openDemo(page, 'Star party tray', 'Finish');
  await expect(page.getByTestId('drip-time')).toContainText('all at rest');
  const atRest = await longest(page);
  await scrub(page, '60');
  await expect(page.getByTestId('drip-time')).toContainText('still moving');
  expect(await longest(page)).toBeLessThan(atRest / 2);
  // the cake from the front follows
  const front = page.getByTestId('elevation').locator('rect.drip').last();
  const short = Number(await front.getAttribute('height'));
  await scrub(page, '1000');
  await expect
    .poll(async () => Number(await front.getAttribute('height')))
    .toBeGreaterThan(1.5 * short);
  await scrub(page, '60');
  await page.getByRole('button', { name: 'Let it run' }).click();
  await expect(page.getByTestId('drip-time')).toContainText('all at rest');
  await turn(page, 'piping');
  await page.getByTestId('add-piping').click();
  await page.getByLabel('What is piped').last().fill('line round the side');
  await page.getByLabel('What is piped').last().press('Enter');
  await choose(page.getByRole('combobox', { name: 'Where it is piped' }).last(), 'side');
  const up = page.getByRole('textbox', { name: 'Height of the line above the foot' });
  await up.fill('7 cm');
  await up.press('Enter');
  await turn(page, 'drips');
  await expect(page.getByText(/would run into a border/)).toBeVisible();
  await expect(page.getByTestId('unrolled').locator('rect.border').first()).toBeVisible();
  await expect.poll(() => longest(page)).toBeLessThan(atRest);
});

test('lengths drawn by hand along the side are kept', async ({ page }) => {
  await openDemo(page, 'Star party tray', 'Finish');
  await chooseAt(page, 'Pattern of the drips', 'as drawn by hand');
  const box = (await page.getByTestId('unrolled').locator('svg').boundingBox())!;
  await page.mouse.move(box.x + 60, box.y + 60);
  await page.mouse.down();
  for (let i = 1; i <= 20; i++)
    await page.mouse.move(box.x + 60 + ((box.width - 90) * i) / 20, box.y + 60 + i);
  await page.mouse.up();
  const curve = page.getByTestId('unrolled').locator('path.curve');
  const drawn = await curve.getAttribute('d');
  await page.locator('h1').first().click();
  await page.keyboard.press('Control+z');
  await expect(curve).not.toHaveAttribute('d', drawn!);
  await page.keyboard.press('Control+Shift+z');
  await saved(page);
  await page.reload();
  await expect(curve).toHaveAttribute('d', drawn!);
});

test('what cannot be is said at the field, with the nearest that can', async ({ page }) => {
  await openDemo(page, 'Star party tray', 'Finish');
  await type(page, 'Temperature of the ganache', '120 C');
  await expect(page.locator('.v-input--error')).toContainText(/60/);
  await page.keyboard.press('Escape');
  await type(page, 'Room from drip to drip', '6 mm');
  await expect(page.getByText(/do not fit along a rim/).first()).toBeVisible();
  await type(page, 'Length of the drips', '25 cm');
  await expect(page.getByText(/would run into the board/).first()).toBeVisible();
  await turn(page, 'ganache');
  await type(page, 'Chocolate to one of cream', '0');
  await expect(page.locator('.v-input--error')).toBeVisible();
});

test('a ganache is carried over to another chocolate at the same firmness', async ({ page }) => {
  await openDemo(page, 'Star party tray', 'Finish');
  await turn(page, 'ganache');
  const firm = async (): Promise<number> =>
    Number(/Firmness ([\d.]+)/.exec(await page.getByTestId('composition').innerText())![1]);
  const before = await firm();
  await page
    .getByTestId('ganache')
    .getByRole('button', { name: /^milk chocolate/ })
    .click();
  await expect(chosen(page.getByRole('combobox', { name: 'Chocolate' }))).toHaveAttribute(
    'data-value',
    'milk-chocolate',
  );
  expect(Math.abs((await firm()) - before)).toBeLessThan(0.03);
  await expect(page.getByTestId('windows')).toContainText('in the fridge');
  await type(page, 'Butter', '60 %');
  await expect(page.locator('.v-input--error')).toBeVisible();
});

test('a border fits any outline, evenly, and weighs what its pieces weigh', async ({ page }) => {
  await openDemo(page, 'Fig and walnut', 'Finish');
  await turn(page, 'piping');
  await page.getByTestId('add-piping').click();
  const weight = tally(page, 'mass');
  const job = page.getByTestId('piping');
  await expect(job).toContainText('pieces');
  await expect(page.getByRole('textbox', { name: 'Pieces round it' })).toHaveValue(
    /as many as there is room for/,
  );
  await job.getByRole('checkbox').check();
  const fitted = await page.getByRole('textbox', { name: 'Pieces round it' }).inputValue();
  expect(Number.parseInt(fitted) % 2).toBe(1);
  await chooseAt(page, 'Form that is piped', 'rosettes');
  await type(page, 'Across a rosette', '40 mm');
  await expect(page.getByRole('textbox', { name: 'Pieces round it' })).not.toHaveValue(fitted);
  await type(page, 'One piece, weighed', '30 g');
  await expect(weight).toBeVisible();
  await type(page, 'Pieces round it', '500');
  await expect(page.getByText(/do not fit round/)).toBeVisible();
  await expect(page.getByTestId('elevation').locator('rect.piping').first()).toBeVisible();
});

test('a topping is dragged, counted by another, and sticks are counted out', async ({ page }) => {
  await openDemo(page, 'Fig and walnut', 'Finish');
  await turn(page, 'toppings');
  const piece = page.getByTestId('piece').first();
  const box = (await piece.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 40, y + 60, { steps: 4 });
  await page.mouse.up();
  await expect(chosen(page.getByRole('combobox', { name: 'Arrangement' }).first())).toHaveAttribute(
    'data-value',
    'free',
  );
  const moved = (await piece.boundingBox())!;
  expect(Math.abs(moved.x + moved.width / 2 - (x - 40))).toBeLessThan(4);
  await page.getByRole('button', { name: 'A topper on a stick' }).click();
  await expect(page.getByTestId('non-food')).toContainText('1 × topper');
  await page.getByRole('button', { name: 'Brittle or shards from a tray' }).click();
  await expect(page.getByTestId('toppings')).toContainText('crushed');
  await page.getByTestId('torched').getByRole('checkbox').check();
  await saved(page);
  await page.goto('/build/fig-and-walnut/bench');
  await page.getByTestId('all-steps').click();
  for (const title of [
    'Brown it with the torch',
    'On a tray: almond brittle',
    'At the last moment: figs, halved',
  ])
    await expect(page.getByText(title).first()).toBeVisible();
  await page.getByText('Out before it is cut: topper').click();
  await expect(page.getByTestId('count')).toContainText('topper, taken out; 1 planned');
});

test('a pour says what stays and what comes back, and its chocolate is bought', async ({
  page,
}) => {
  await openDemo(page, 'Comet crepes', 'Finish');
  await turn(page, 'pour');
  await expect(page.getByTestId('pour')).toContainText('back in the tray');
  const veil = page.getByTestId('pour').locator('b').first();
  const before = Number.parseFloat(await veil.innerText());
  await type(page, 'Temperature of the ganache', '36 C');
  await expect.poll(async () => Number.parseFloat(await veil.innerText())).toBeLessThan(before);
  await saved(page);
  await page.goto('/build/comet-crepes/bench');
  await page.getByTestId('all-steps').click();
  await expect(page.getByRole('dialog').getByText('Pour it over')).toBeVisible();
  await expect(page.getByRole('dialog').getByText('Back onto its board')).toBeVisible();
});

test('ganache that does not run is put right by degrees or by grams', async ({ page }) => {
  await openDemo(page, 'Star party tray', 'Finish');
  await turn(page, 'right');
  await expect(page.getByTestId('by-degrees')).toContainText('Warm it to');
  await expect(page.getByTestId('by-grams')).toContainText('Or thin it as it is');
  await type(page, 'Temperature it has', '45 C');
  await expect(page.getByTestId('by-degrees')).toContainText('Let it cool to');
  await expect(page.getByTestId('by-grams')).toContainText('Or make it firmer');
});

test('the section shows drips and borders, and choosing one opens its turn', async ({ page }) => {
  await openDemo(page, 'Jubilee', 'Finish');
  await page.getByTestId('view-section').click();
  await expect(page.locator('[data-part="tier-2/drip/right"]')).toBeVisible();
  await page.locator('[data-part="tier-1/piping/0/right"]').click();
  await expect(page.getByTestId('tab-piping')).toHaveAttribute('aria-selected', 'true');
  await page.getByTestId('view-front').click();
  await page.getByTestId('elevation').locator('rect.drip').first().click();
  await expect(page.getByTestId('tab-drips')).toHaveAttribute('aria-selected', 'true');
});

test('a topping begins as the pantry knows one of it', async ({ page }) => {
  await openDemo(page, 'Meridian', 'finish');
  await page.getByTestId('tab-toppings').click();
  await page.getByRole('button', { name: 'Berries or fruit' }).click();
  await choose(page.getByLabel('Topping', { exact: true }), 'meringue kisses');
  await expect(page.getByRole('textbox', { name: 'Across a piece' })).toHaveValue(/32.mm/);
  await expect(page.getByRole('textbox', { name: 'One piece weighs' })).toHaveValue(/5.g/);
  await expect(page.getByText(/stay crisp for about/)).toBeVisible();
  await choose(page.getByLabel('Topping', { exact: true }), 'strawberries');
  await expect(page.getByRole('textbox', { name: 'One piece weighs' })).toHaveValue(/18.g/);
});
