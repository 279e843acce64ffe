import { readFileSync } from 'node:fs';
import { choose, expect, openDemo, saved, tally, test } from './support.ts';
import type { Page } from '@playwright/test';

// the solids start with a program of half a megabyte, on a busy machine
const slow = { timeout: 120_000 };
const title = (page: Page) => page.getByTestId('sheet-title');
const add = (page: Page, kind: string) =>
  choose(page.getByRole('combobox', { name: 'Add a cut' }), kind);
const type = async (page: Page, label: string, value: string): Promise<void> => {
  const field = page.getByRole('textbox', { name: label, exact: true });
  await field.fill(value);
  await field.press('Enter');
};
/** Everything asked of the solids has been answered. */
const worked = (page: Page) => expect(title(page)).toContainText('stand', slow);
const grams = (text: string): number => {
  const found = /([\d.]+)\s(kg|g)/.exec(text)!;
  return Number(found[1]) * (found[2] === 'kg' ? 1000 : 1);
};

test('a slope is cut: weight, coat, words and bench follow, and one key takes it back', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Carve');
  await expect(title(page)).toHaveText('Jubilee cake is left as it is stacked');
  const before = grams(await tally(page, 'mass').innerText());
  // each kind says what it is good for, while nothing is cut
  await page
    .getByTestId('cut-uses')
    .getByRole('button', { name: /flat cut.*a roof/ })
    .click();
  await expect(page.getByTestId('cut-uses')).toHaveCount(0);
  await expect(title(page)).toContainText('1 cut takes', slow);
  await worked(page);
  const row = page.getByTestId('cut-plane-1');
  await expect(row).toContainText('Towards the front (6 o’clock), falling 35°');
  await expect(row.locator('.grams')).toContainText('− ');
  await expect.poll(async () => grams(await tally(page, 'mass').innerText())).toBeLessThan(before);
  await type(page, 'slope', '60');
  await expect(row).toContainText('falling 60°');
  await page.getByTestId('tab-carved').click();
  await expect(page.getByTestId('carved')).toContainText('measured on the solid', slow);
  await saved(page);
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByTestId('all-steps').click();
  await expect(page.getByRole('dialog').getByText('Chill it firm for carving')).toBeVisible();
  await page.goto('/build/meridian/carve');
  await expect(title(page)).toBeVisible();
  // what the solids said is kept: no second wait
  await worked(page);
  await page.reload();
  await worked(page);
});

test('cuts are switched off, put in order and taken out; the last good state stays', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Carve');
  await add(page, 'groove all round');
  await worked(page);
  await add(page, 'flat cut');
  await worked(page);
  await expect(page.getByText('comes late for a large cut')).toBeVisible();
  await page.getByRole('button', { name: 'Slope earlier' }).click();
  await expect(page.locator('.cuts li').first()).toContainText('1 Slope');
  // a cut that takes everything is refused, and the figures stay those of the cake before it
  await type(page, 'and above the foot', '-5 cm');
  await type(page, 'slope', '0');
  await expect(page.getByTestId('cut-plane-2')).toContainText('takes the whole cake', slow);
  await expect(page.getByTestId('cut-plane-2').locator('.grams')).toHaveText('not done');
  await expect(title(page)).toContainText('2 cuts take');
  await page.getByRole('checkbox', { name: 'Slope is cut' }).uncheck();
  await expect(title(page)).toContainText('1 cut takes', slow);
  await page.getByRole('button', { name: 'Take out Groove' }).click();
  await page.getByRole('button', { name: 'Leave this tier uncarved' }).click();
  await expect(title(page)).toHaveText('Jubilee cake is left as it is stacked');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(page.locator('.cuts li')).toHaveCount(1);
});

test('a star is cut into the coat, seen in the picture and told at the bench', async ({ page }) => {
  await openDemo(page, 'Jubilee', 'Carve');
  await page
    .getByTestId('cut-slit')
    .getByRole('button', { name: /^8 Slit of the dome/ })
    .click();
  await choose(page.getByRole('combobox', { name: 'it shows' }), 'a star');
  await type(page, 'wide', '50 mm');
  await type(page, 'high', '50 mm');
  // a star fills less than a third of its square
  await expect(page.getByTestId('cut-slit')).toContainText(/8\scm² of the coat, 3\smm deep: 2\smL/);
  await choose(page.getByRole('combobox', { name: 'it shows' }), 'letters');
  await type(page, 'Letters of the relief', 'ORION');
  await expect(page.getByTestId('cut-slit')).toContainText('“ORION” in letters 5.0 cm high');
  await saved(page);
  await page.getByRole('button', { name: /^Coat/ }).click();
  await page.getByTestId('view-picture').click();
  await expect(page.getByTestId('picture-canvas')).toBeVisible();
  await page.goto('/build/jubilee/bench');
  await page.getByTestId('all-steps').click();
  await page.getByRole('dialog').getByText('Slit of the dome').click();
  await expect(page.getByRole('main')).toContainText('“ORION” in letters');
});

test('from an outline in an SVG file to a printed template', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Carve');
  await add(page, 'outline seen from one side');
  const house =
    '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 100H160V40L80 0L0 40Z"/></svg>';
  const file = page.getByLabel('SVG file of the line');
  await file.setInputFiles({
    name: 'open.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(house.replace('Z', '')),
  });
  await expect(page.getByTestId('line-editor').getByRole('alert')).toContainText('open');
  await file.setInputFiles({
    name: 'house.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(house),
  });
  await expect(page.getByRole('slider', { name: 'Point 5' })).toBeVisible();
  await worked(page);
  // a point is moved by the keyboard
  const point = page.getByRole('slider', { name: 'Point 4' });
  const was = Number(await point.getAttribute('aria-valuenow'));
  await point.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(point).toHaveAttribute('aria-valuenow', String(was - 10));
  await worked(page);
  await page.getByTestId('tab-guides').click();
  await expect(page.getByTestId('guides')).toContainText('12 o’clock');
  const saves = async (name: string): Promise<Buffer> => {
    const [download] = await Promise.all([
      page.waitForEvent('download', slow),
      page.getByRole('button', { name, exact: true }).click(),
    ]);
    return readFileSync(await download.path());
  };
  const pdf = await saves('PDF, A4');
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(pdf.length).toBeGreaterThan(5000);
  expect((await saves('SVG')).toString()).toContain('mm" viewBox');
  const stl = await saves('Solid, STL');
  expect(stl.length).toBe(84 + 50 * stl.readUInt32LE(80));
});

test('an offcut is set back on, and named where it is missing', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Carve');
  await add(page, 'flat cut');
  await worked(page);
  await page.getByTestId('tab-offcuts').click();
  await page.getByRole('button', { name: /^Set on: Slope/ }).click();
  await expect(page.getByTestId('cut-set-1')).toContainText('Piece of Slope');
  await page.getByTestId('tab-offcuts').click();
  await expect(page.getByTestId('offcuts')).toContainText('set back on: Piece of Slope', slow);
  await page.getByTestId('tab-cuts').click();
  await page.getByRole('button', { name: 'Take out Slope' }).click();
  await expect(page.getByTestId('cut-set-1')).toContainText('no longer there', slow);
});

test('a shape from a file: what is no solid is said, a solid carves', async ({ page }) => {
  await openDemo(page, 'Meridian', 'Carve');
  const file = page.getByLabel('STL file');
  await file.setInputFiles({
    name: 'picture.stl',
    mimeType: 'model/stl',
    buffer: Buffer.from('this is not a solid at all, only words '.repeat(5)),
  });
  await expect(page.getByRole('alert').first()).toContainText('no STL file', slow);
  // a pyramid, 160 mm across and 90 high
  const corners = [
    [-80, -80, 0],
    [80, -80, 0],
    [80, 80, 0],
    [-80, 80, 0],
    [0, 0, 90],
  ];
  const faces = [
    [0, 2, 1],
    [0, 3, 2],
    [0, 1, 4],
    [1, 2, 4],
    [2, 3, 4],
    [3, 0, 4],
  ];
  const ascii = `solid p\n${faces
    .map(
      (face) =>
        `facet normal 0 0 0\nouter loop\n${face.map((i) => `vertex ${corners[i]!.join(' ')}`).join('\n')}\nendloop\nendfacet`,
    )
    .join('\n')}\nendsolid p\n`;
  await file.setInputFiles({
    name: 'pyramid.stl',
    mimeType: 'model/stl',
    buffer: Buffer.from(ascii),
  });
  await expect(page.getByTestId('cut-target-1')).toContainText('pyramid', slow);
  await worked(page);
  await page.getByTestId('tab-stackfor').click();
  await expect(page.getByTestId('stack-for')).toContainText('9.0 cm high');
  await page
    .getByRole('button', { name: /^Stack in/ })
    .first()
    .click();
  await saved(page);
});

test('the demo’s dome and lighthouse are carved, each with an offcut set back on', async ({
  page,
}) => {
  await openDemo(page, 'Harbour light', 'Carve');
  await expect(title(page)).toContainText('11 cuts take', slow);
  await expect(page.getByTestId('cut-lamp')).toContainText('offcut set back on');
  await expect(page.getByTestId('solid-canvas')).toBeVisible();
  await page.getByTestId('view-section').click();
  await expect(page.locator('path[data-part="tier-1/layer/0"]')).toBeVisible();
  await openDemo(page, 'Jubilee', 'Carve');
  await expect(title(page)).toContainText('8 cuts take', slow);
  await page.getByTestId('view-still').click();
  await expect(page.getByTestId('still-drawing')).toContainText('the knife’s line');
});

test('without WebGL there are still drawings', async ({ page }) => {
  await page.addInitScript(() => {
    type Get = (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) => unknown;
    const canvas = HTMLCanvasElement.prototype as unknown as { getContext: Get };
    const original = canvas.getContext;
    canvas.getContext = function (kind, ...rest) {
      return kind.startsWith('webgl') ? null : original.call(this, kind, ...rest);
    };
  });
  await openDemo(page, 'Jubilee', 'Carve');
  await worked(page);
  await expect(page.getByTestId('solid')).toContainText('front, side and plan instead', slow);
  await expect(page.getByTestId('still-drawing')).toBeVisible();
});

test('a carved cake made higher grows by so much, whatever the knife took off it', async ({
  page,
}) => {
  await openDemo(page, 'Harbour light', 'Stack');
  const height = page.getByRole('slider', { name: 'Finished height' });
  const stacked = async (): Promise<number> => Number(await height.getAttribute('aria-valuenow'));
  const before = await stacked();
  // the height that is compared is that of the carved cake
  await expect(tally(page, 'height')).not.toContainText('…', slow);
  const carvedMm = await tally(page, 'height').innerText();
  await height.focus();
  // quicker than the solids answer: in between the plan is of the uncarved stack
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowUp');
  await expect.poll(stacked).toBeCloseTo(before + 4, 0);
  await page.keyboard.press('Control+z');
  await expect.poll(stacked).toBeCloseTo(before, 1);
  await expect(tally(page, 'height')).toContainText(carvedMm.split('\n')[0]!, slow);
});
