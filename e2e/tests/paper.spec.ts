import { readFileSync } from 'node:fs';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { Page } from '@playwright/test';
import { expectReadable } from './readable.ts';
import { addressOf, chooseAt, expect, openDemo, test } from './support.ts';

/* What goes on paper, on both papers: whole, under its name, page by page, no heading alone at a foot. */

interface Line {
  text: string;
  /** From the foot of the page, pt. */
  y: number;
  size: number;
}

interface Sheet {
  /** Everything on it, in the order in which it is written: cell by cell. */
  text: string;
  /** Its lines, from the top down. */
  lines: Line[];
}

async function sheetsOf(pdf: Buffer): Promise<Sheet[]> {
  const file = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages: Sheet[] = [];
  for (let n = 1; n <= file.numPages; n++) {
    const { items } = await (await file.getPage(n)).getTextContent();
    const lines = new Map<number, Line>();
    let text = '';
    for (const item of items) {
      if (!('str' in item) || item.str.trim() === '') continue;
      const [a, b, , , , y] = item.transform as number[];
      const at = Math.round(y!);
      text += ` ${item.str}`;
      const line = lines.get(at) ?? { text: '', y: at, size: Math.hypot(a!, b!) };
      lines.set(at, { ...line, text: line.text + item.str });
    }
    pages.push({ text, lines: [...lines.values()].sort((one, other) => other.y - one.y) });
  }
  return pages;
}
const textOf = (sheets: Sheet[]): string => sheets.map(({ text }) => text).join(' ');
/** Letters alone: a line may be broken anywhere, and signs are drawn in several ways. */
const letters = (text: string): string => text.replace(/[^\p{L}\p{N}]/gu, '');

async function onPaper(page: Page, format: 'A4' | 'Letter'): Promise<Sheet[]> {
  return sheetsOf(await page.pdf({ format }));
}

for (const format of ['A4', 'Letter'] as const) {
  test(`the shopping list is whole on ${format}, with its name and its pages counted`, async ({
    page,
  }) => {
    await page.goto('/shopping');
    await expect(page.getByTestId('shopping-title')).toContainText('8 cakes', { timeout: 60_000 });
    const names = await page.locator('tbody tr td:first-child b').allInnerTexts();
    expect(names.length).toBeGreaterThan(30);
    const pages = await onPaper(page, format);
    const all = letters(textOf(pages));
    expect(names.filter((name) => !all.includes(letters(name)))).toEqual([]);
    expect(pages.length).toBeGreaterThan(1);
    for (const [i, { text }] of pages.entries()) {
      expect(text).toContain('Shopping');
      expect(text).toContain(`${i + 1} of ${pages.length}`);
    }
    // nothing to press, and no list of cakes to choose
    expect(textOf(pages)).not.toContain('Save as a table');
  });

  test(`the bench sheet is whole on ${format}, and no heading is left alone at a foot`, async ({
    page,
  }) => {
    await openDemo(page, 'Jubilee');
    await page.getByRole('button', { name: 'Print' }).click();
    await expect(page.getByTestId('print-now')).toBeVisible();
    const titles = await page.locator('section .step b:first-child').allInnerTexts();
    const headings = await page.locator('.paper h2').allInnerTexts();
    const pages = await onPaper(page, format);
    const all = letters(textOf(pages));
    expect(titles.filter((title) => !all.includes(letters(title)))).toEqual([]);
    for (const { lines } of pages) {
      expect(lines.some(({ text }) => text.includes('Jubilee: bench sheet'))).toBe(true);
      // the last line above the number of the page
      const last = lines.filter(({ text }) => !/^\d+ of \d+$/.test(text)).at(-1)!;
      expect(headings.map(letters)).not.toContain(letters(last.text));
    }
  });
}

test('the sheet for the one who orders is one page: picture, flavours, contents, and a price where asked', async ({
  page,
}) => {
  await page.goto('/build/jubilee/offer');
  await expect(page.getByTestId('still')).toBeVisible();
  for (const format of ['A4', 'Letter'] as const) {
    const pages = await onPaper(page, format);
    expect(pages).toHaveLength(1);
    const all = letters(textOf(pages));
    for (const words of [
      'Jubilee',
      'Foundation',
      'Lemon curd',
      'Holds eggs',
      'beside a dinner plate',
    ])
      expect(all).toContain(letters(words));
    // nothing of the workings, and no price that was not asked for
    expect(textOf(pages)).not.toMatch(/£|Print this sheet|hands-on|crumb coat/);
  }
  await page.getByTestId('with-price').getByRole('checkbox').check();
  expect(textOf(await onPaper(page, 'A4'))).toContain('£420.00');
});

test('a table of the pantry is printed with all its rows, large type takes more room', async ({
  page,
}) => {
  await page.goto('/pantry?table=foods');
  await expect(page.getByRole('row').nth(20)).toBeAttached();
  const names = (): Promise<string[]> => page.locator('tbody td:first-child').allInnerTexts();
  const first = await names();
  await page.getByRole('button', { name: 'Next page' }).click();
  await expect.poll(async () => (await names())[0]).not.toBe(first[0]);
  const known = [...first, ...(await names())];
  expect(known.length).toBeGreaterThan(first.length);
  const all = letters(textOf(await onPaper(page, 'A4')));
  expect(known.filter((name) => !all.includes(letters(name)))).toEqual([]);
  await openDemo(page);
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page.getByTestId('print-now')).toBeVisible();
  const plain = await onPaper(page, 'A4');
  await page.getByTestId('large').getByRole('checkbox').check();
  const large = await onPaper(page, 'A4');
  expect(large.length).toBeGreaterThan(plain.length);
  const usual = (sheets: Sheet[]): number => {
    const sizes = sheets
      .flatMap(({ lines }) => lines.map(({ size }) => size))
      .sort((one, other) => one - other);
    return sizes[Math.floor(sizes.length / 2)]!;
  };
  expect(usual(large) / usual(plain)).toBeGreaterThan(1.3);
});

test('labels for the boxes begin at the place that is still free, and hold what must be said', async ({
  page,
}) => {
  await openDemo(page, 'Jubilee', 'Support');
  await page.getByRole('button', { name: 'Print' }).click();
  await page.getByTestId('open-labels').click();
  const labels = page.getByTestId('label-sheets');
  await chooseAt(page, 'What the labels are for', 'a box for each tier');
  await expect(labels.getByRole('article')).toHaveCount(3);
  await labels.getByRole('button', { name: 'Begin at label 7', exact: true }).click();
  await expect(labels).toContainText('2 sheets');
  await expectReadable(page, 'labels');
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 30_000 }),
    labels.getByTestId('save-labels').click(),
  ]);
  const sheets = await sheetsOf(readFileSync(await download.path()));
  expect(sheets).toHaveLength(2);
  const all = textOf(sheets);
  for (const said of ['box 1 of 3', 'box 3 of 3', 'Not food', 'milk']) expect(all).toContain(said);
  await chooseAt(page, 'Sheet of labels', 'another sheet');
  await labels.getByLabel('Labels down', { exact: true }).fill('12');
  await labels.getByLabel('Labels down', { exact: true }).press('Enter');
  await expect(labels.getByRole('alert')).toContainText('higher than the paper');
  await expect(labels.getByTestId('save-labels')).toBeDisabled();
});

test('dowel places, boards and the cutting map are saved at full size', async ({ page }) => {
  const saves = async (kind: string, form: string): Promise<Buffer> => {
    const [download] = await Promise.all([
      page.waitForEvent('download', { timeout: 30_000 }),
      page.getByTestId(`sheets-${kind}`).getByRole('button', { name: form }).click(),
    ]);
    return readFileSync(await download.path());
  };
  await openDemo(page, 'Jubilee', 'Support');
  await page.getByRole('tab', { name: 'Dowels' }).click();
  const dowels = (await saves('dowels', 'SVG')).toString();
  expect(dowels).toContain('mm" viewBox');
  expect(dowels).toContain('Hardwood rod 6 mm under Gallery');
  await page.goto(addressOf('Jubilee', 'Brief'));
  expect((await sheetsOf(await saves('cutting', 'PDF, Letter'))).length).toBeGreaterThan(3);
});
