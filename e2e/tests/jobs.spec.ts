import type { Page } from '@playwright/test';
import { choose, expect, test } from './support.ts';

/* Whole jobs from New cake to the bench, each press, choice and typed figure counted. */

/** More actions than this is too many for a job that the program knows. */
const mostActions = 45;

class Hands {
  count = 0;
  constructor(readonly page: Page) {}
  async press(name: string | RegExp): Promise<void> {
    this.count += 1;
    await this.page.getByRole('button', { name }).first().click();
  }
  async open(testId: string): Promise<void> {
    this.count += 1;
    await this.page.getByTestId(testId).click();
  }
  async stage(name: string): Promise<void> {
    this.count += 1;
    await this.page
      .getByRole('navigation', { name: 'Stages' })
      .getByRole('button', { name: new RegExp(`^${name}`) })
      .click();
    await expect(this.page.getByTestId('sheet-title')).toBeVisible();
  }
  async choose(label: string, option: string): Promise<void> {
    this.count += 1;
    const field = this.page.getByRole('combobox', { name: label, exact: true }).first();
    await choose(field, option);
  }
  async type(label: string, value: string): Promise<void> {
    this.count += 1;
    const field = this.page.getByRole('textbox', { name: label, exact: true }).first();
    await field.fill(value);
    await field.press('Enter');
  }
}

/** A new cake, what hands do to it, and its sheet at the bench with these steps. */
async function job(page: Page, work: (hands: Hands) => Promise<void>, steps: string[]) {
  const hands = new Hands(page);
  await page.goto('/');
  await hands.open('new');
  await hands.open('new-empty');
  await hands.stage('Stack');
  await work(hands);
  await hands.press('To the bench');
  await page.getByTestId('all-steps').click();
  for (const step of steps)
    await expect(page.getByRole('dialog').getByText(step).first()).toBeVisible();
  expect(hands.count).toBeLessThanOrEqual(mostActions);
  return hands.count;
}

test('twenty crepes with cream between them', async ({ page }) => {
  const count = await job(
    page,
    async (hands) => {
      await hands.type('Number of layers', '1');
      await hands.choose('What layer 1 is', 'Crepe');
      await hands.type('How many in layer 1', '20');
      await hands.choose('What lies between the pieces of layer 1', 'Whipped cream');
      await hands.stage('Coat');
      await hands.choose('Style', 'naked');
    },
    ['Make layer 1: crepe', 'Build up layer 1: 20 pieces, whipped cream between them'],
  );
  expect(count).toBe(10);
});

test('a mousse in a ring with a jelly and a crisp in it, under a mirror glaze', async ({
  page,
}) => {
  const count = await job(
    page,
    async (hands) => {
      await hands.choose('Stacked free, or set in a mould', 'set in: Mousse ring 18 cm');
      await hands.open('add-inset');
      await hands.choose('Inside layer 2, part 1', 'Praline crisp disc');
      await hands.open('add-inset');
      await hands.choose('Inside layer 2, part 2', 'Raspberry jelly');
      await hands.stage('Finish');
      await hands.open('tab-pour');
      await hands.open('add-pour');
      await hands.choose('What runs down', 'Mirror glaze');
      await hands.type('Temperature of the ganache', '33 °C');
    },
    [
      'Make what lies in layer 2: raspberry jelly',
      'Pour set mousse for layer 2',
      'Freeze it through',
      'Make the mirror glaze',
      'Let it thaw in the fridge',
    ],
  );
  expect(count).toBe(14);
});

test('shortcake rounds of one dough with cream and sugared strawberries', async ({ page }) => {
  const count = await job(
    page,
    async (hands) => {
      await hands.type('Number of layers', '3');
      for (const n of [1, 2, 3]) await hands.choose(`What layer ${n} is`, 'Shortcake round');
      await hands.choose('Filling everywhere', 'Whipped cream');
      await hands.open('tab-fillings');
      for (const n of [1, 2]) {
        await hands.press('with pieces');
        await hands.choose(`Pieces 1 in filling ${3 - n}`, 'strawberries, to be sugared');
      }
      await hands.stage('Coat');
      await hands.choose('Style', 'naked');
    },
    ['Make layers 1, 2 and 3: shortcake round', 'Sugar: strawberries, to be sugared'],
  );
  expect(count).toBe(16);
});

test('a cake with loose sweets hidden in it', async ({ page }) => {
  const count = await job(
    page,
    async (hands) => {
      await hands.open('tab-centre');
      await hands.open('cut-core');
      await hands.choose('What fills the core', 'loose sweets or fruit');
    },
    ['Cut the hidden centre', 'Fill the hidden centre'],
  );
  expect(count).toBe(7);
});

test('two rounded rings to a ball, under drips', async ({ page }) => {
  const count = await job(
    page,
    async (hands) => {
      await hands.choose('Stacked free, or set in a mould', 'shaped by two of its tin, mouth to mouth'); // prettier-ignore
      await hands.choose('Tin that shapes it', 'Rounded ring 18 cm');
      await hands.choose('Filling everywhere', 'Whipped cream');
      await hands.stage('Coat');
      await hands.choose('Style', 'naked');
      await hands.stage('Finish');
      await hands.open('add-drip');
    },
    ['Fill layer 1', 'Drips'],
  );
  expect(count).toBe(11);
});

test('a carved loaf with modelled wheels on its sides', async ({ page }) => {
  const count = await job(
    page,
    async (hands) => {
      await hands.choose('Outline', 'rectangular');
      await hands.stage('Carve');
      await hands.choose('Add a cut', 'edge taken off');
      await hands.stage('Finish');
      await hands.open('tab-toppings');
      await hands.press('Modelled pieces');
      await hands.choose('On the top or the side', 'on the side');
      await hands.choose('Stuck into', 'a seat of ganache, firm set');
    },
    ['Carve', 'Put on: balls of fondant'],
  );
  expect(count).toBe(12);
});
