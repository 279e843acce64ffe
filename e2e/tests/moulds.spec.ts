import { chooseAt, expect, openDemo, saved, test } from './support.ts';

/* A mould from a solid file, a filling left out, gelatine for a height, layers bought in place of made. */

/** A box of these sides as an ASCII STL file, standing on the ground. */
function boxStl(x: number, y: number, z: number): string {
  const at = (i: number): string => `vertex ${(i & 1) * x} ${((i >> 1) & 1) * y} ${(i >> 2) * z}`;
  const faces = ['0 2 1', '1 2 3', '4 5 6', '5 7 6', '0 1 4', '1 5 4', '2 6 3', '3 6 7', '0 4 2', '2 4 6', '1 3 5', '3 7 5']; // prettier-ignore
  const facets = faces.map((face) => `facet normal 0 0 0\nouter loop\n${face.split(' ').map((i) => at(Number(i))).join('\n')}\nendloop\nendfacet`); // prettier-ignore
  return `solid box\n${facets.join('\n')}\nendsolid box\n`;
}
const stl = (x: number, y: number, z: number) => ({
  name: 'mould.stl',
  mimeType: 'model/stl',
  buffer: Buffer.from(boxStl(x, y, z)),
});

test('a mould takes its size, its wall and its water from a solid file of what it holds', async ({
  page,
}) => {
  await page.goto('/pantry');
  await page.getByRole('tab', { name: 'Tins' }).or(page.getByText('Tins', { exact: true })).first().click(); // prettier-ignore
  await page.getByTestId('add-row').click();
  const dialog = page.getByTestId('row-dialog');
  await dialog.getByRole('textbox', { name: 'name' }).fill('Bar mould');
  await chooseAt(page, 'Form', 'a mould with a drawn wall');
  const wall = page.getByTestId('drawn-wall');
  await expect(wall.getByRole('textbox')).toHaveCount(5);
  const file = page.getByLabel('STL file of the mould');
  await file.setInputFiles(stl(100, 100, 5000));
  await expect(wall.getByRole('alert')).toContainText('5.0 m across');
  await file.setInputFiles(stl(100, 100, 4));
  await expect(wall.getByRole('alert')).toContainText('a mould is');
  await file.setInputFiles(stl(180, 90, 50));
  // 18 x 9 x 5 cm
  await expect(wall).toContainText('It holds 810 mL');
  await expect(wall.getByRole('alert')).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Save' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('row', { name: /Bar mould/ })).toContainText('810 g');
});

test('a filling is left out, and comes back as thick as the others', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Stack');
  const heading = page.getByRole('heading', { level: 1 });
  const before = await heading.textContent();
  await page.getByTestId('tab-fillings').click();
  await chooseAt(page, 'How filling 1 is laid', 'left out: layer on layer');
  const fillings = page.getByTestId('fillings');
  await expect(fillings).toContainText('layer 2 lies on layer 1');
  await expect(heading).not.toHaveText(before!);
  await chooseAt(page, 'How filling 1 is laid', 'spread level');
  await expect(fillings).not.toContainText('layer 2 lies on layer 1');
  await expect(heading).toHaveText(before!);
  await saved(page);
});

test('crepes are bought in place of made, and the row stays to be chosen again', async ({
  page,
}) => {
  await openDemo(page, 'Comet crepes', 'Stack');
  await page.getByRole('button', { name: 'bought instead' }).last().click();
  const kind = page.getByRole('combobox', { name: 'What layer 1 is' });
  await expect(kind).toHaveValue('Crepe, bought');
  await saved(page);
});

test('the gelatine of a cream follows from its height and how firm it is to be', async ({
  page,
}) => {
  await page.goto('/pantry');
  await page.getByText('Recipes', { exact: true }).first().click();
  await page.getByRole('row', { name: /Set vanilla mousse/ }).getByRole('button', { name: 'Change' }).click(); // prettier-ignore
  const gelatine = page.getByTestId('gelatine');
  await expect(gelatine).toContainText('holds 59 mm');
  await gelatine.getByRole('textbox', { name: 'Height of the cream' }).fill('90 mm');
  await gelatine.getByRole('textbox', { name: 'Height of the cream' }).press('Enter');
  await gelatine.getByRole('button', { name: 'take that' }).click();
  await expect(gelatine).toContainText('holds 90 mm');
  await chooseAt(page, 'How firm it sets', 'is barely set, for the spoon');
  await expect(gelatine).toContainText('holds 90 mm');
});
