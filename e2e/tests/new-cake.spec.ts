import type { Page } from '@playwright/test';
import {
  chooseAt,
  chosen,
  demoCount,
  expect as soon,
  openDemo,
  saved,
  tally,
  test,
} from './support.ts';

/** Weighing some dozens of whole cakes takes a second, and more while other tests run beside. */
const expect = soon.configure({ timeout: 45_000 });

/** Text that can be seen: names in drawings are there for who points at them. */
const shown = (page: Page, text: RegExp) => page.getByText(text).locator('visible=true').first();

/** A hand that counts what it does. */
function counted(page: Page) {
  let actions = 0;
  return {
    click: async (what: ReturnType<Page['getByTestId']>): Promise<void> => {
      actions += 1;
      await what.click();
    },
    fill: async (what: ReturnType<Page['getByTestId']>, text: string): Promise<void> => {
      actions += 1;
      await what.fill(text);
      await what.blur();
    },
    choose: async (name: string, label: string): Promise<void> => {
      actions += 1;
      await chooseAt(page, name, label);
    },
    actions: () => actions,
  };
}

test('from an empty shelf to a printed sheet in twelve actions at most', async ({ page }) => {
  const hand = counted(page);
  await page.goto('/');
  await hand.click(page.getByTestId('new'));
  await expect(page.getByTestId('new-title')).toHaveText(/cakes for 40 guests/);
  await hand.fill(page.getByLabel('Date and time of serving'), '2027-06-12T16:00');
  await hand.fill(page.getByLabel('Occasion'), 'Saturday at four');
  await hand.choose('Filling', 'strawberry filling');
  await hand.choose('Look', 'smooth');
  const first = page.getByTestId('take-design-0');
  await expect(first).toBeEnabled();
  await hand.click(first);
  await expect(page).toHaveURL(/\/stack$/);
  await expect(tally(page, 'servings')).toHaveText(/^4\d$/);
  await saved(page);
  await hand.click(page.getByRole('button', { name: 'Print' }));
  await expect(page.getByRole('heading', { name: 'Saturday at four' })).toBeVisible();
  await expect(shown(page, /strawberry filling/i)).toBeVisible();
  expect(hand.actions()).toBeLessThanOrEqual(12);
});

test('what a card says of the work is what the cake says once it is taken', async ({ page }) => {
  // the demo’s records say how quick these hands are, and nothing but this page was opened
  await openDemo(page, 'Meridian', 'stack');
  await page.goto('/new');
  const first = page.getByTestId('take-design-0');
  await expect(first).toBeEnabled();
  const plain = (text: string): string => text.replace(/\s+/g, ' ');
  const words = plain(await first.innerText());
  await first.click();
  await expect(page).toHaveURL(/\/stack$/);
  await expect(tally(page, 'hands')).toHaveText(/min$|h$/);
  expect(words).toContain(`${plain(await tally(page, 'hands').innerText())} of work`);
});

test('three tiers with dowels and drips to the printed sheet in sixty actions at most', async ({
  page,
}) => {
  test.setTimeout(150_000);
  const hand = counted(page);
  await page.goto('/');
  await hand.click(page.getByTestId('new'));
  await hand.fill(page.getByRole('textbox', { name: 'Guests' }), '75');
  await hand.fill(page.getByLabel('Date and time of serving'), '2027-06-12T16:00');
  await hand.choose('Tiers', '3 tiers');
  await hand.choose('Filling', 'strawberry filling');
  await hand.choose('Frosting', 'meringue buttercream');
  const first = page.getByTestId('take-design-0');
  await expect(first).toBeEnabled();
  await hand.click(first);
  await expect(page).toHaveURL(/\/stack$/);
  const stages = page.getByRole('navigation', { name: 'Stages' });
  await hand.click(stages.getByRole('button', { name: /Finish/ }));
  await hand.click(page.getByTestId('add-drip'));
  for (const tier of ['Tier 2', 'Tier 3']) {
    await hand.click(page.getByTestId('tiers').getByRole('button', { name: tier }));
    await hand.click(page.getByTestId('add-drip'));
  }
  await hand.click(stages.getByRole('button', { name: /Support/ }));
  await saved(page);
  await hand.click(page.getByRole('button', { name: 'Print' }));
  await expect(page.getByRole('heading', { name: 'New cake' })).toBeVisible();
  for (const done of [/drip/i, /dowel/i, /strawberry filling/i])
    await expect(shown(page, done)).toBeVisible();
  expect(hand.actions()).toBeLessThanOrEqual(60);
});

test('three tiers for 120 with a kitchen cake beside: nothing is kept until it is taken', async ({
  page,
  context,
}) => {
  test.setTimeout(150_000);
  await page.goto('/');
  await expect(page.getByRole('article')).toHaveCount(demoCount);
  await page.getByTestId('new').click();
  const guests = page.getByRole('textbox', { name: 'Guests' });
  await guests.fill('120');
  await guests.press('Enter');
  await page.getByLabel('Date and time of serving').fill('2027-06-12T16:00');
  await page.getByLabel('Date and time of serving').blur();
  await chooseAt(page, 'Tiers', '3 tiers');
  await chooseAt(page, 'Kitchen cakes', 'with plain cakes cut in the kitchen');
  for (const [name, value] of [
    ['Tiers', '3'],
    ['Kitchen cakes', 'yes'],
  ] as const)
    await expect(chosen(page.getByRole('combobox', { name }))).toHaveAttribute('data-value', value);
  await expect(page.getByTestId('trouble')).toHaveCount(0);
  const plain = page.getByRole('button', { name: /3 tiers.* kitchen cake/ }).first();
  await expect(plain).toBeEnabled();
  const shelf = await context.newPage();
  await shelf.goto('/');
  await expect(shelf.getByRole('article')).toHaveCount(demoCount);
  await shelf.close();
  await plain.click();
  await expect(page).toHaveURL(/\/stack$/);
  await page.goto('/');
  await expect(page.getByText('New cake, kitchen cake')).toBeVisible();
});

test('what cannot be is said at its place: a day that is past, guests beyond all tins, wishes that shut each other out', async ({
  page,
}) => {
  await page.goto('/new');
  await expect(page.getByTestId('take-design-0')).toBeVisible();
  await page.getByLabel('Date and time of serving').fill('2020-06-12T16:00');
  await page.getByLabel('Date and time of serving').blur();
  await expect(page.getByRole('alert')).toContainText('have passed');
  await page.getByRole('textbox', { name: 'Height at most' }).fill('5 cm');
  await page.getByRole('textbox', { name: 'Height at most' }).press('Enter');
  await page.getByLabel('Date and time of serving').fill('');
  await page.getByLabel('Date and time of serving').blur();
  await expect(page.getByTestId('take-design-0')).toBeEnabled();
  await expect(page.getByTestId('beyond')).toContainText('None that serves so many is at most 5 cm high'); // prettier-ignore
  await page.getByRole('textbox', { name: 'Height at most' }).fill('');
  await page.getByRole('textbox', { name: 'Height at most' }).press('Enter');
  await expect(page.getByTestId('beyond')).toHaveCount(0);
  const guests = page.getByRole('textbox', { name: 'Guests' });
  await guests.fill('400');
  await guests.press('Enter');
  await expect(page.getByRole('alert')).toContainText('at most 344 servings');
  await guests.fill('40');
  await guests.press('Enter');
  await page.getByText('Everybody eats everything').click();
  await page.getByText('eggs', { exact: true }).click();
  await chooseAt(page, 'Frosting', 'meringue buttercream');
  await expect(page.getByRole('alert')).toContainText(/does not keep to: no eggs/);
});

test('a cake of the shelf for another number: drawn beside what it was, laid as a new one', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Jubilee for another number of guests' }).click();
  const dialog = page.getByTestId('resize');
  const guests = dialog.getByRole('textbox', { name: 'Guests' });
  await guests.fill('120');
  await guests.press('Enter');
  await expect(dialog.getByText(/for 120: 1[2-9]\d servings/)).toBeVisible();
  await guests.fill('20');
  await guests.press('Enter');
  await expect(dialog.getByText(/for 20:/)).toBeVisible();
  await guests.fill('120');
  await guests.press('Enter');
  await dialog.getByTestId('lay-resized').click();
  await expect(page.getByRole('textbox', { name: 'Name of the cake' })).toHaveValue(
    'Jubilee, for 120',
  );
  await saved(page);
});
