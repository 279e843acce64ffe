import { expect, openDemo, saved, test } from './support.ts';

test('where a caramel cools is chosen, and days and bench leave the time', async ({ page }) => {
  await openDemo(page, 'Jubilee', 'Coat');
  await page.getByTestId('tab-bowls').click();
  await page.getByRole('button', { name: 'Soft caramel' }).click();
  const place = page.getByRole('combobox', { name: 'Where it cools' });
  await expect(page.getByTestId('cooling')).toContainText('28 °C');
  await expect(place).toHaveValue('bowl');
  await place.selectOption('cold water');
  await saved(page);
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByTestId('all-steps').click();
  await page
    .getByRole('button', { name: /^Let the soft caramel cool/ })
    .first()
    .click();
  await expect(page.getByTestId('step')).toContainText('The bowl in cold water');
  await expect(page.getByTestId('step')).toContainText('not for children');
  await expect(page.getByTestId('start-timer')).toContainText(/Start \d+ min: soft caramel/);
});

test('while something waits the bench offers what holds nothing up, and goes there', async ({
  page,
}) => {
  await openDemo(page, 'Jubilee');
  await page.goto('/build/jubilee/bench');
  await page.getByTestId('all-steps').click();
  await page
    .getByRole('button', { name: /^Let the lemon curd cool/ })
    .first()
    .click();
  await page.getByTestId('start-timer').click();
  const first = page.getByTestId('meanwhile').getByRole('button').first();
  // read and pressed in one go: the plan of the days may come in between and order them anew
  const title = await first.evaluate((button: HTMLElement) => {
    button.click();
    return button.firstChild!.textContent!.trim();
  });
  expect(title.length).toBeGreaterThan(5);
  await expect(page.getByTestId('step-title')).toHaveText(title);
  await expect(page.getByTestId('timer')).toContainText('lemon curd');
});

test('each stretch of work has its list: what comes out of the cold, what is weighed', async ({
  page,
}) => {
  await openDemo(page, 'Jubilee', 'Day');
  await page.getByTestId('tab-lists').click();
  const sessions = page.getByTestId('session');
  await expect(sessions.first()).toContainText(/Out of the fridge by \d\d:\d\d/);
  expect(await sessions.count()).toBeGreaterThan(2);
  await expect(sessions.last()).toContainText('There from before');
  await expect(page.getByTestId('labels')).toContainText(/use by \w{3} \d+ Jun/);
  await expect(page.getByTestId('labels')).toContainText('Holds');
  await page.getByTestId('units').click();
  await expect(sessions.first()).toContainText(' oz');
});

test('the waits of a recipe are changed in the pantry, and what cannot be is said', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Recipes' }).click();
  await page.getByRole('button', { name: 'Change Whipped ganache' }).click();
  const waits = page.getByTestId('recipe-waits');
  const least = waits.getByRole('textbox', { name: 'Wait 1: at least' });
  await least.fill('100 h');
  await least.press('Enter');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByTestId('row-dialog')).toContainText('waits at least longer');
  await least.fill('12 h');
  await least.press('Enter');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByTestId('row-dialog')).toBeHidden();
  await page.goto('/build/jubilee/bench');
  await page.getByTestId('all-steps').click();
  await page
    .getByRole('button', { name: /^Let the whipped ganache cool/ })
    .first()
    .click();
  await expect(page.getByTestId('start-timer')).toContainText('12 h');
});
