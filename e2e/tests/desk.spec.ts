import { choose, dragUp, expect, handle, openDemo, saved, tally, test } from './support.ts';

test('from a brief to a drawn build that serves everyone', async ({ page }) => {
  await page.goto('/');
  await page.getByTestId('new').click();
  await page.getByTestId('new-empty').click();
  await expect(page).toHaveURL(/\/brief$/);
  const guests = page.getByRole('textbox', { name: 'Servings wanted' });
  await guests.fill('40');
  await guests.press('Enter');
  await choose(page.getByRole('combobox', { name: 'Look' }), 'smooth');
  await page.getByLabel('Date and time of serving').fill('2027-06-12T16:00');
  await page.getByLabel('Date and time of serving').blur();
  await page.getByTestId('draft').click();
  const ways = page.getByTestId('proposals').getByRole('button', { name: /servings/ });
  await expect(ways).toHaveCount(5, { timeout: 15_000 });
  for (const text of await ways.allInnerTexts())
    expect(Number(/(\d+) servings/.exec(text)![1])).toBeGreaterThanOrEqual(40);
  await ways.filter({ hasText: 'One tier, round, 20 cm' }).click();
  await expect(page.getByTestId('sheet-title')).toContainText('over');
  await expect(tally(page, 'servings')).toHaveText('48');
  await page.keyboard.press('3');
  await expect(page.getByTestId('sheet-title')).toContainText('of batter in');
  await page.keyboard.press('5');
  await expect(page.getByTestId('sheet-title')).toContainText('to make, in one bowl');
  await saved(page);
});

test('a filling dragged thicker moves section, tally and bowls, and is undone in one step', async ({
  page,
}) => {
  await openDemo(page);
  const filling = handle(page, 'Filling 2, thickness');
  await expect(filling).toHaveAttribute('aria-valuetext', /^7\smm$/);
  const before = await tally(page, 'frosting').innerText();
  const cake = page.locator('[data-part="tier-1/coat"]');
  const heightBefore = (await cake.boundingBox())!.height;
  await dragUp(page, 'Filling 2, thickness', 12);
  const thick = Number(await filling.getAttribute('aria-valuenow'));
  expect(thick).toBeGreaterThan(14);
  await expect(tally(page, 'frosting')).not.toHaveText(before);
  expect((await cake.boundingBox())!.height).toBeGreaterThan(heightBefore + 5);
  await page.keyboard.press('5');
  await expect(page.getByRole('img', { name: /^Meringue buttercream, \d/ })).toBeVisible();
  await page.keyboard.press('2');
  await page.keyboard.press('Control+z');
  await expect(filling).toHaveAttribute('aria-valuenow', '7');
  await expect(tally(page, 'frosting')).toHaveText(before);
  await page.keyboard.press('Control+Shift+z');
  await expect(filling).toHaveAttribute('aria-valuenow', String(thick));
});

test('the same by keyboard: on the boundary, and with brackets, plus and minus', async ({
  page,
}) => {
  await openDemo(page);
  const filling = handle(page, 'Filling 1, thickness');
  await filling.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(filling).toHaveAttribute('aria-valuenow', '9');
  await page.keyboard.press('Shift+ArrowDown');
  for (const n of [1, 2, 3])
    await expect(handle(page, `Filling ${n}, thickness`)).toHaveAttribute('aria-valuenow', '8');
  await page.locator('body').click({ position: { x: 5, y: 400 } });
  await page.keyboard.press('Escape');
  for (let i = 0; i < 4; i++) await page.keyboard.press(']');
  await expect(page.locator('tr.chosen th')).toHaveText('layer 2');
  await page.keyboard.press('[');
  await page.keyboard.press('+');
  await expect(filling).toHaveAttribute('aria-valuenow', '9');
  await page.keyboard.press('-');
  await expect(filling).toHaveAttribute('aria-valuenow', '8');
});

test('the height arrow stretches the layers', async ({ page }) => {
  await openDemo(page);
  await expect(tally(page, 'height')).toHaveText('11.5 cm');
  await dragUp(page, 'Finished height', 30);
  await expect(tally(page, 'height')).not.toHaveText('11.5 cm');
  const layer = Number(await handle(page, 'Layer 1, thickness').getAttribute('aria-valuenow'));
  expect(layer).toBeGreaterThan(25);
  await expect(handle(page, 'Filling 1, thickness')).toHaveAttribute('aria-valuenow', '7');
});

test('units switch everywhere and change nothing', async ({ page }) => {
  await openDemo(page);
  const title = await page.getByTestId('sheet-title').innerText();
  await page.keyboard.press('u');
  await expect(tally(page, 'height')).toHaveText('4 1/2 in');
  const layer = page.getByRole('textbox', { name: 'Thickness of layer 1' });
  await expect(layer).toHaveValue('7/8 in');
  await layer.focus();
  await layer.blur();
  await page.locator('h1').click();
  await page.keyboard.press('u');
  await expect(page.getByTestId('sheet-title')).toHaveText(title);
  await expect(layer).toHaveValue('22 mm');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await layer.fill('1 1/8 in');
  await layer.press('Enter');
  await expect(layer).toHaveValue('29 mm');
});

test('bad input is told at the field and changes nothing', async ({ page }) => {
  await openDemo(page);
  const filling = page.getByRole('textbox', { name: 'Thickness of filling 1' });
  for (const [typed, why] of [
    ['thick', 'not a quantity'],
    ['-4', 'less than nothing'],
    ['9 kg', 'measures mass'],
    ['3 m', 'At most 60 mm'],
  ] as const) {
    await filling.fill(typed);
    await filling.press('Enter');
    await expect(page.getByRole('alert')).toContainText(why);
    await expect(handle(page, 'Filling 1, thickness')).toHaveAttribute('aria-valuenow', '7');
  }
  await filling.press('Escape');
  await expect(filling).toHaveValue('7 mm');
  // a filling thicker than the cake beside it can be asked for, and is warned of
  await filling.fill('40 mm');
  await filling.press('Enter');
  await expect(page.getByText('thicker than the cake beside it')).toBeVisible();
  // a tin that cannot hold the batter
  await page.keyboard.press('Escape');
  await page.locator('h1').click();
  await page.keyboard.press('3');
  const split = page.getByRole('textbox', { name: 'Layers from each cake' });
  await split.fill('4');
  await split.press('Enter');
  await expect(page.getByText('cannot hold the batter')).toBeVisible();
});

test('every figure shows its working, down to the table it was read from', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Bake');
  await page
    .getByRole('button', { name: /^1\.\d+\skg$/ })
    .first()
    .click();
  const working = page.getByTestId('working');
  await expect(working).toContainText('Batter in tin 1');
  await expect(working).toContainText('trade custom');
  await working.getByRole('button', { name: '45 mm' }).click();
  await expect(working).toContainText('Height at the edge');
  await working.getByRole('button', { name: 'Back' }).click();
  await expect(working).toContainText('rise');
  await working.getByRole('button', { name: 'Close' }).click();
  await expect(working).toBeHidden();
});

test('the batter that is really in the bowl is shared out', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Bake');
  await page.getByTestId('tab-bowl').click();
  const full = page.getByRole('textbox', { name: 'Weight of the full bowl' });
  await full.fill('3.4 kg');
  await full.press('Enter');
  const empty = page.getByRole('textbox', { name: 'Weight of the empty bowl' });
  await empty.fill('600');
  await empty.press('Enter');
  await expect(page.getByText('That is 2.8 kg of batter')).toBeVisible();
  await expect(page.getByText(/short of what the tins want/)).toBeVisible();
  await expect(page.getByTestId('gets-1')).toHaveText('1.4 kg');
  // the first tin was poured too full: the other gets what is left
  const poured = page.getByRole('textbox', { name: 'Already in tin 1' });
  await poured.fill('1550');
  await poured.press('Enter');
  await expect(page.getByTestId('gets-2')).toHaveText('1.25 kg');
  await expect(page.getByText('spoon out 150 g')).toBeVisible();
});

test('keys: the list, the finder, the history', async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press('?');
  await expect(page.getByText('walk down and up the tower')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('/');
  const find = page.getByRole('searchbox', { name: 'Find' });
  await find.fill('coat to');
  await find.fill('crumb');
  await page.getByRole('option', { name: /Crumb coat part of the cake/ }).click();
  await expect(page).toHaveURL(/\/coat$/);
  await page.keyboard.press('Escape');
  await page.keyboard.press('2');
  await handle(page, 'Layer 1, thickness').focus();
  await page.keyboard.press('ArrowUp');
  await saved(page);
  await page.getByRole('button', { name: 'History' }).click();
  await page.getByRole('option', { name: /^1 From a file/ }).click();
  await page.getByRole('button', { name: 'Go back to version 1' }).click();
  await expect(handle(page, 'Layer 1, thickness')).toHaveAttribute('aria-valuenow', '22');
  await page.keyboard.press('Control+z');
  await expect(handle(page, 'Layer 1, thickness')).toHaveAttribute('aria-valuenow', '23');
});

test('on a phone all of the header is within reach, and what is wanted seldom is in its menu', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, 'Meridian', 'Stack');
  await expect(page.getByTestId('save-state')).toBeVisible();
  for (const button of await page.locator('header button:visible').all()) {
    const box = (await button.boundingBox())!;
    expect(box.x).toBeGreaterThanOrEqual(0);
    expect(box.x + box.width).toBeLessThanOrEqual(390);
  }
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByText('Print', { exact: true }).click();
  await expect(page).toHaveURL(/print/);
});

test('focus is where a dialog was opened from, however it closes', async ({ page }) => {
  await openDemo(page);
  const history = page.getByRole('button', { name: 'History' });
  await history.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(history).toBeFocused();
  const height = page.getByTestId('tally-height');
  await height.press('Enter');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).press('Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(height).toBeFocused();
  // the place and its turn are in the address, and stay through a reload
  await page.goto('/build/meridian/finish?turn=piping');
  await expect(page.getByTestId('tab-piping')).toHaveAttribute('aria-selected', 'true');
  await page.getByTestId('tab-toppings').click();
  await expect(page).toHaveURL(/turn=toppings/);
  await page.reload();
  await expect(page.getByTestId('tab-toppings')).toHaveAttribute('aria-selected', 'true');
});

test('on a phone the drawing folds, the figures are one line, and the open stage is in sight', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page, 'Meridian', 'day');
  const stage = page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('button', { name: /Day/ });
  await expect(stage).toBeInViewport({ ratio: 1 });
  await expect(page.getByTestId('tally-mass')).toBeHidden();
  await page.getByTestId('tally-line').click();
  await expect(page.getByTestId('tally-mass')).toBeVisible();
  const chart = page.getByTestId('day-chart');
  const strip = (await chart.boundingBox())!.height;
  await page.getByTestId('fold').click();
  await expect(page.getByTestId('sheet-title')).toBeHidden();
  expect((await chart.boundingBox())!.height).toBeGreaterThan(2 * strip);
  await page.getByTestId('fold').click();
  await expect(page.getByTestId('sheet-title')).toBeVisible();
});
