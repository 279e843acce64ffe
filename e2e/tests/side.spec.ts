import type { Page } from '@playwright/test';
import { choose, chooseAt, chosen, expect, openDemo, saved, test } from './support.ts';

/* What is put on the sides of a tier, modelled or tied round it, and fondant stood up in panels. */

const turn = (page: Page, name: string) => page.getByTestId(`tab-${name}`).click();

test('flowers wind down a side; one is moved, and all of them stay where they are', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Finish');
  await turn(page, 'toppings');
  await page.getByRole('button', { name: 'Flowers down the side', exact: true }).click();
  const side = page.getByTestId('side-view');
  const pieces = side.getByTestId('side-piece');
  await expect(pieces).toHaveCount(7);
  await expect(page.getByTestId('non-food')).toContainText('7 × sugar flowers');
  const top = await pieces.first().boundingBox();
  const low = await pieces.last().boundingBox();
  expect(low!.y).toBeGreaterThan(top!.y + 10);
  await pieces.first().focus();
  await page.keyboard.press('ArrowLeft');
  await expect(
    chosen(page.getByRole('combobox', { name: 'Arrangement on the side' })),
  ).toHaveAttribute('data-value', 'free');
  const moved = await pieces.first().boundingBox();
  expect(moved!.x).toBeLessThan(top!.x);
  expect((await pieces.last().boundingBox())!.x).toBeCloseTo(low!.x, 0);
  // dragged to the other end of the side
  const box = (await side.locator('svg').boundingBox())!;
  await page.mouse.move(moved!.x + moved!.width / 2, moved!.y + moved!.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.8, box.y + box.height * 0.5, { steps: 4 });
  await page.mouse.up();
  expect((await pieces.first().boundingBox())!.x).toBeGreaterThan(box.x + box.width * 0.7);
  await saved(page);
});

test('what is too heavy for the coat says so, and a seat of ganache holds it, out of its bowl', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Finish');
  await turn(page, 'toppings');
  await page.getByRole('button', { name: 'Berries or fruit' }).click();
  await chooseAt(page, 'On the top or the side', 'on the side');
  const berries = page.getByTestId('topping-raspberries');
  const weight = page.getByRole('textbox', { name: 'One piece weighs' });
  await weight.fill('25 g');
  await weight.press('Enter');
  await expect(berries).toContainText('too heavy for so small a foot');
  await chooseAt(page, 'Stuck into', 'a seat of ganache, firm set');
  await expect(berries).not.toContainText('too heavy');
  await expect(berries).toContainText('of seats');
});

test('a ribbon is cut to its length; balls of fondant weigh what they hold', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Finish');
  await turn(page, 'toppings');
  await page.getByRole('button', { name: 'A ribbon', exact: true }).click();
  // 92 cm round, and 2 cm over each other
  await expect(page.getByTestId('topping-ribbon')).toContainText('cut to 94.0 cm');
  await page.getByRole('button', { name: 'Modelled pieces', exact: true }).click();
  const balls = page.getByTestId('topping-balls of fondant');
  // a ball of 15 mm: 1.77 mL of 1.4 g/mL
  await expect(balls).toContainText('of 2.5 g');
  await chooseAt(page, 'Form', 'cones');
  await expect(balls).toContainText('of 1.2 g');
});

test('fondant stands up in panels, and says how long and how high each is', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Coat');
  await turn(page, 'covers');
  await page.getByRole('button', { name: 'Cover it with rolled fondant' }).click();
  await chooseAt(page, 'How it is laid', 'Panels and a top, for sharp edges');
  await expect(page.getByTestId('covers')).toContainText(/2 panels of\s47\.5\scm by\s12\scm/);
});

test('layers of one cake are coloured together, and seen in the section', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Stack');
  const colour = (layer: number) =>
    page.getByRole('combobox', { name: `Colour of layer ${layer}`, exact: true });
  await colour(1).fill('yellow');
  await colour(1).press('Enter');
  // two layers are cut from each cake
  await expect(colour(2)).toHaveValue('yellow');
  await expect(colour(3)).toHaveValue('');
  await saved(page);
  // both are drawn in it, and nothing else is
  await expect(page.locator('svg [fill="#ffff00"]')).toHaveCount(2);
});

test('rosettes go all over a side in rows, and their bowl grows with them', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Finish');
  await turn(page, 'piping');
  const title = page.getByTestId('sheet-title');
  const grams = async (): Promise<number> => {
    const [, value, kilo] = /([\d.]+)\s(k?)g piped/.exec(await title.innerText())!;
    return Number(value) * (kilo ? 1000 : 1);
  };
  const before = await grams();
  await page.getByRole('button', { name: 'Something to pipe' }).click();
  await choose(page.getByRole('combobox', { name: 'Form that is piped' }).last(), 'rosette'); // prettier-ignore
  await choose(page.getByRole('combobox', { name: 'Where it is piped' }).last(), 'whole side'); // prettier-ignore
  // 92 cm round in rosettes of 3 cm, an odd number in each of four rows
  await expect.poll(grams).toBeGreaterThan(before + 500);
});

test('a cake keeps the shape of its tin: a fluted ring turned over, two rings to a ball', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Stack');
  const shape = page.getByRole('combobox', { name: 'Stacked free, or set in a mould' });
  await choose(shape, 'shaped by its tin, turned over');
  await chooseAt(page, 'Tin that shapes it', 'Fluted ring 24 cm');
  await expect(page.getByTestId('mould')).toContainText(/3\.1\d\sL of cake/);
  await expect(page.getByTestId('sheet-title')).toContainText('2 layers, 1 filling');
  await chooseAt(page, 'Tin that shapes it', 'Rounded ring 18 cm');
  await choose(shape, 'shaped by two of its tin, mouth to mouth');
  await expect(page.getByTestId('sheet-title')).toContainText('4 layers, 3 fillings');
  // thinner layers come out of another place of the tin
  const thick = page.getByRole('textbox', { name: 'Thickness of every layer' });
  await thick.fill('6 mm');
  await thick.press('Enter');
  const take = page.getByRole('button', { name: 'take the size of the tin', exact: true });
  await take.click();
  await expect(take).toBeHidden();
  await choose(shape, 'stacked free');
  await expect(page.getByTestId('mould')).toContainText('stacked free');
  await saved(page);
});
