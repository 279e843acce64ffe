import { choose, chosen, expect, handle, openDemo, saved, tally, test } from './support.ts';
import type { Page } from '@playwright/test';

const field = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });
async function type(page: Page, name: string, text: string): Promise<void> {
  await field(page, name).fill(text);
  await field(page, name).press('Enter');
}

test('exactly 14 cm from the tins in the pantry, in both unit systems', async ({ page }) => {
  await openDemo(page, 'Meridian');
  await page.getByTestId('tab-height').click();
  await type(page, 'Wanted finished height', '14 cm');
  await expect(page.getByTestId('height-summary')).toContainText(/ways reach 14\scm/);
  await page.getByTestId('take-way').first().click();
  await expect(tally(page, 'height')).toHaveText('14 cm');
  await expect(page.getByText('this cake').first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(tally(page, 'height')).toHaveText('11.5 cm');
  await page.getByTestId('units').click();
  await type(page, 'Wanted finished height', '5 1/2 in');
  await expect(page.getByTestId('height-summary')).toContainText(/ways reach 5 1\/2\sin/);
  await page.getByTestId('take-way').first().click();
  await expect(tally(page, 'height')).toHaveText('5 1/2 in');
});

test('a point of the picture redraws the section at once', async ({ page }) => {
  await openDemo(page, 'Meridian');
  await page.getByTestId('tab-height').click();
  await type(page, 'Wanted finished height', '16');
  const chart = page.getByRole('img', { name: /Every way to this height/ });
  await expect(chart).toHaveAttribute('data-ready', 'true');
  await expect(page.getByTestId('height-summary')).toContainText('reach 16 cm');
  const best = chart.locator('.trace.scatter').nth(1).locator('path.point').first();
  const box = (await best.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await expect(tally(page, 'height')).toHaveText('16 cm');
});

test('a height that cannot be reached says what the nearest misses', async ({ page }) => {
  await openDemo(page, 'Meridian');
  await page.getByTestId('tab-height').click();
  await type(page, 'Wanted finished height', '60 cm');
  await expect(page.getByTestId('height-summary')).toContainText(/nearest comes to .* short/);
  await type(page, 'Wanted finished height', '2 m');
  await expect(page.getByText('At most 90.0 cm.')).toBeVisible();
});

test('uneven layers stand level: measured at the bench, turned, what is left is told', async ({
  page,
}) => {
  await openDemo(page, 'Harbour light');
  await page.goto(page.url().replace(/stack$/, 'bench'));
  await page.getByTestId('all-steps').click();
  await page.getByRole('dialog').getByText('Measure the layers, if they are not even').click();
  const rims = [
    ['22', '24', '26', '24'],
    ['25', '23', '22', '24'],
    ['21', '22', '24', '23'],
    ['24', '25', '22', '21'],
    ['23', '23', '25', '25'],
  ];
  const places = ['12', '3', '6', '9'];
  for (const [i, rim] of rims.entries())
    for (const [k, mm] of rim.entries())
      await type(page, `Layer ${i + 1} at ${places[k]} o’clock`, `${mm} mm`);
  await expect(page.getByTestId('level-summary')).toContainText('leans');
  await page.getByTestId('turn-all').click();
  await expect(page.getByTestId('level-summary')).toContainText(/stands level|leans by 0.5\smm/);
  // what-if by hand: a dial turned by its keys
  const dial = page.getByRole('slider', { name: 'Turn of layer 2' });
  const before = await dial.getAttribute('aria-valuenow');
  await dial.focus();
  await page.keyboard.press('ArrowUp');
  await expect(dial).not.toHaveAttribute('aria-valuenow', before!);
  await expect(page.getByTestId('turn-all')).toBeVisible();
  // 90 degrees, for instance
  for (let n = 0; (await dial.getAttribute('aria-valuenow')) !== '6'; n++) {
    expect(n).toBeLessThan(24);
    await page.keyboard.press('ArrowUp');
  }
  // the turn stands at the step where the layer is set
  await page.getByTestId('all-steps').click();
  await page.getByRole('button', { name: /Fill layer 1 and set layer 2/ }).click();
  await expect(page.getByText('Its mark at 3 o’clock: 90° round')).toBeVisible();
});

test('a reading typed ten times too large is pointed out, and mended with one touch', async ({
  page,
}) => {
  await openDemo(page, 'Meridian');
  await page.getByTestId('tab-level').click();
  for (const [place, text] of [
    ['12', '22 mm'],
    ['3', '230 mm'],
    ['6', '23 mm'],
    ['9', '22 mm'],
  ])
    await type(page, `Layer 1 at ${place} o’clock`, text!);
  await expect(
    page.getByRole('listitem').filter({ hasText: 'at 3 o’clock: 230 mm' }),
  ).toBeVisible();
  await page.getByRole('button', { name: '23 mm?', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'stands out' })).toHaveCount(0);
});

test('tiers: one more on top adds up, is worked on, and is taken away again', async ({ page }) => {
  await openDemo(page, 'Meridian');
  const before = await tally(page, 'servings').innerText();
  await page.getByTestId('add-tier').click();
  await expect(page.getByTestId('sheet-title')).toContainText('Tier 2');
  await expect(tally(page, 'height')).toHaveText('23.5 cm');
  expect(Number(await tally(page, 'servings').innerText())).toBeGreaterThan(Number(before));
  await page.getByRole('textbox', { name: 'Name of this tier' }).fill('Lantern');
  await page.keyboard.press('Enter');
  await type(page, 'Number of layers', '2');
  await expect(page.getByTestId('sheet-title')).toContainText('Lantern: 2 layers');
  await page.getByRole('button', { name: 'Take this tier away' }).click();
  await expect(tally(page, 'height')).toHaveText('11.5 cm');
  await saved(page);
});

test('a soft filling creeps: its verdict, its setback, and the height that is left', async ({
  page,
}) => {
  await openDemo(page, 'Meridian');
  await type(page, 'Width of every dam', '0 mm');
  await choose(page.getByRole('combobox', { name: 'Filling everywhere' }), 'Blackcurrant compote');
  await page.getByTestId('tab-fillings').click();
  const fillings = page.getByTestId('fillings');
  await expect(fillings).toContainText('creep out');
  await expect(fillings).toContainText('settle to');
  const lowest = fillings.getByRole('listitem').last();
  const loose = Number(/settle to ([\d.]+)\smm/.exec(await lowest.innerText())![1]);
  // chilled it is stiffer, and settles less
  await choose(page.getByRole('combobox', { name: 'Stacked at' }), { index: 1 });
  await expect
    .poll(async () => Number(/settle to ([\d.]+)\smm/.exec(await lowest.innerText())?.[1] ?? 99))
    .toBeGreaterThan(loose);
  // kept short of the edge it arrives flush, and packed fruit keeps the gap open
  await lowest.getByRole('button', { name: /arrives flush/ }).click();
  await expect(lowest).not.toContainText('stand out at the edge');
  await lowest.getByRole('button', { name: 'with pieces' }).click();
  await expect(lowest).toContainText(/Filling 1 holds/);
});

test('soak and a hidden centre are drawn, weighed and on the bench', async ({ page }) => {
  await openDemo(page, 'Meridian');
  await page.getByTestId('tab-centre').click();
  await choose(page.getByRole('combobox', { name: 'Soak of every layer' }), 'medium');
  const soak = page.getByRole('combobox', { name: 'What it is soaked with' });
  await expect(chosen(soak)).toHaveAttribute('data-value', 'recipe-syrup');
  await expect(page.getByTestId('soak-alcohol')).toHaveCount(0);
  await choose(soak, 'rum syrup');
  await expect(page.getByTestId('soak-alcohol')).toContainText('14 % alcohol by volume');
  await page.getByTestId('cut-core').click();
  await expect(page.locator('[data-part="tier-1/centre"]')).toBeVisible();
  await expect(page.getByTestId('centre')).toContainText('of sponge come out');
  await page.keyboard.press('b');
  await page.getByTestId('all-steps').click();
  await expect(page.getByRole('dialog').getByText('Cut the hidden centre')).toBeVisible();
  await expect(page.getByRole('dialog').getByText('Make the rum syrup')).toBeVisible();
  await page.getByRole('dialog').getByText('Soak the cut faces').click();
  await expect(page.getByText('rum syrup', { exact: true })).toBeVisible();
  await expect(page.getByText('Alcohol: no flame')).toBeVisible();
});

test('pieces with the batter: laid under it by count, folded in by weight, each at its step', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'bake');
  const pieces = page.getByTestId('batter-pieces');
  await page.getByTestId('add-pieces').click();
  await choose(pieces.getByLabel('How pieces 1 go in'), 'lay under it');
  await choose(pieces.getByLabel('How pieces 1 are counted'), 'so many to a tin');
  await expect(pieces).toContainText('120 g in all');
  await page.getByTestId('add-pieces').click();
  await expect(pieces.getByLabel('How pieces 2 go in')).toHaveValue('fold in');
  await page.keyboard.press('b');
  await page.getByTestId('all-steps').click();
  await page.getByRole('dialog').getByText('Fill the tin').first().click();
  await expect(page.getByText('chopped pieces, first, on the bottom').first()).toBeVisible();
  await expect(page.getByText('12 pieces').first()).toBeVisible();
});

test('layers of other kinds: crepes by count, a crisp disc with its caution', async ({ page }) => {
  await openDemo(page, 'Meridian');
  await choose(page.getByRole('combobox', { name: 'What layer 2 is' }), 'Crepe');
  const count = page.getByRole('textbox', { name: 'How many in layer 2' });
  await count.fill('15');
  await count.press('Enter');
  // fourteen stripes of what lies between fifteen
  await expect(page.locator('[data-part^="tier-1/layer/1/between-"]')).toHaveCount(14);
  await choose(
    page.getByRole('combobox', { name: 'What lies between the pieces of layer 2' }),
    'Lemon curd',
  );
  await expect(page.getByText(/on each but the last/)).toBeVisible();
  await choose(page.getByRole('combobox', { name: 'What layer 3 is' }), 'Meringue disc');
  await expect(page.getByText(/hard to cut through/).first()).toBeVisible();
  await saved(page);
});

test('a cake set in a ring: filled to the brim, with something set in, poured, frozen and turned out', async ({
  page,
}) => {
  await openDemo(page, 'Meridian');
  const mould = page.getByTestId('mould');
  const choice = mould.getByLabel('Stacked free, or set in a mould');
  await choose(choice, 'set in: Mousse ring 18 cm');
  await expect(mould).toContainText('It holds 1.15 L and is filled to 4.5 cm of 4.5 cm');
  await expect(page.getByTestId('sheet-title')).toContainText('2 layers, 1 filling: 4.5 cm high');
  await page.getByTestId('add-inset').click();
  await choose(page.getByLabel('Inside layer 2, part 1'), 'Raspberry jelly');
  await expect(page.locator('[data-part^="tier-1/layer/1/inset-"]')).toHaveCount(1);
  // thicker than the brim is said, and one press puts it right
  const high = page.getByRole('textbox', { name: 'Thickness of layer 2' });
  await high.fill('50 mm');
  await high.press('Enter');
  await expect(page.getByText(/over the brim of its mould/).first()).toBeVisible();
  // nobody said that there is a freezer: one press does
  await page.getByTestId('has-freezer').click();
  await expect(page.getByTestId('has-freezer')).toHaveCount(0);
  await mould.getByRole('button', { name: 'fill it to the brim' }).click();
  await expect(page.getByText(/over the brim of its mould/).first()).toHaveCount(0);
  await page.keyboard.press('b');
  await page.getByTestId('all-steps').click();
  const sheet = page.getByRole('dialog');
  for (const step of [
    'Freeze it through',
    'Turn it out of: mousse ring 18 cm',
    'Let it thaw in the fridge',
  ])
    await expect(sheet.getByText(step)).toBeVisible();
  await sheet.getByText('Pour set mousse for layer 2').click();
  await expect(page.getByText(/raspberry jelly set in and pressed/)).toBeVisible();
});

test('a filling is laid in an order: pieces of two kinds, piped over them', async ({ page }) => {
  await openDemo(page, 'Meridian');
  await page.getByTestId('tab-fillings').click();
  const lowest = page.getByTestId('fillings').getByRole('listitem').last();
  await lowest.getByRole('button', { name: 'with pieces' }).click();
  await lowest.getByRole('button', { name: 'more pieces' }).click();
  await expect(lowest.getByTestId('gap-pieces')).toHaveCount(2);
  await choose(lowest.getByLabel('How pieces 2 lie in filling 1'), 'scattered');
  await choose(lowest.getByLabel('Order of filling 1'), 'pieces first');
  await choose(lowest.getByLabel('How filling 1 is laid'), 'rings');
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByTestId('all-steps').click();
  await page.getByRole('dialog').getByText('Fill layer 1 and set layer 2 on it').click();
  await expect(page.getByText(/The pieces first\. Pipe rings/)).toBeVisible();
});

test('an outline from an SVG path: a bad line is refused and named, a good one is taken', async ({
  page,
}) => {
  await openDemo(page, 'Meridian');
  await choose(page.getByRole('combobox', { name: 'Outline' }), 'path');
  const path = page.getByRole('textbox', { name: 'Path' });
  const take = page.getByRole('button', { name: 'Take this line' });
  await path.fill('M0 0 L100 0 L100 80 L0 80');
  await expect(page.getByRole('alert')).toContainText('open');
  await path.fill('M0 0 L100 80 L100 0 L0 80 Z');
  await expect(page.getByRole('alert')).toContainText('crosses itself');
  await path.fill(
    '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0h9v9"/><circle id="moon" r="4"/><rect id="door" width="9" height="18" transform="rotate(90)"/></svg>',
  );
  const lines = page.getByRole('group', { name: 'Lines of the drawing' });
  await expect(lines.getByRole('button')).toHaveCount(2);
  await expect(lines.getByRole('button', { name: 'door' })).toHaveAttribute('aria-pressed', 'true');
  await lines.getByRole('button', { name: 'moon' }).click();
  await expect(page.getByLabel('Name of the shape')).toHaveValue('moon');
  await path.fill('M0 0 C 40 -30 60 -30 100 0 L100 80 A 50 20 0 0 1 0 80 Z');
  await page.getByRole('textbox', { name: 'Width of the shape' }).fill('22 cm');
  await page.keyboard.press('Tab');
  await page.getByLabel('Name of the shape').fill('own shape');
  await take.click();
  await expect(page.getByText('“own shape”')).toBeVisible();
  await expect(page.getByText(/is too small for this cake/)).toHaveCount(0);
  await expect(page.getByTestId('tally-width')).toHaveCount(0);
  await saved(page);
});

test('oven loads, heat and the knife; what came out is stacked again', async ({ page }) => {
  await openDemo(page, 'Jubilee', 'Bake');
  await page.getByTestId('tab-oven').click();
  await expect(page.getByTestId('load-1')).toContainText('first look');
  await expect(page.getByText(/mix it when the load before comes out/).first()).toBeVisible();
  await page.getByTestId('tab-heat').click();
  await expect(page.getByTestId('heat')).toContainText('likely done after');
  await expect(page.getByRole('img', { name: /Temperatures, in the oven/ })).toHaveAttribute(
    'data-ready',
    'true',
  );
  await page.getByTestId('tab-fridge').click();
  await expect(page.getByRole('img', { name: /Temperatures, in the fridge/ })).toBeVisible();
  await page.getByTestId('tab-cut').click();
  await expect(page.getByTestId('cut')).toContainText('leave the domes, fill round them');
  // the dome is being carved until then
  await expect(tally(page, 'height')).not.toContainText('…');
  const before = await tally(page, 'height').innerText();
  await type(page, 'Edge of cake 1 as baked', '45 mm');
  await expect(page.getByText(/too low for its layers/).first()).toBeVisible();
  await page.getByTestId('stack-again').click();
  await expect(page.getByText('The stack fits what came out.')).toBeVisible();
  await expect(tally(page, 'height')).toHaveText(before);
});

test('ordered by weight: the layers follow until it weighs that', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Brief');
  await type(page, 'Wanted weight of the cake', '4 kg');
  await expect(page.getByTestId('by-weight')).toContainText('33 to 44');
  await page.getByTestId('order-weight').click();
  await expect(page.getByTestId('by-weight').locator('b').first()).toHaveText('4 kg');
});

test('the height arrow and the handles work on the chosen tier', async ({ page }) => {
  await openDemo(page, 'Jubilee');
  await page.getByTestId('tiers').getByRole('button', { name: 'Dome' }).click();
  await handle(page, 'Layer 1, thickness').focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByTestId('sheet-title')).toContainText('Dome');
  await expect(field(page, 'Thickness of layer 1')).toHaveValue('25 mm');
});
