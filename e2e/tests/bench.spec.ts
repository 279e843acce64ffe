import { expect, openDemo, test } from './support.ts';

test('the whole bench sheet, with a timer over a reload', async ({ page }) => {
  await page.clock.install({ time: new Date('2027-06-11T14:00:00') });
  // the bench goes by the order of the days, once that is known
  await openDemo(page, 'Fig and walnut', 'Day');
  await expect(page.getByTestId('sheet-title')).toContainText('Begin');
  await page.getByRole('button', { name: 'To the bench' }).click();
  const title = page.getByTestId('step-title');
  const place = page.getByTestId('all-steps');
  const steps = Number(/of (\d+)/.exec(await place.innerText())![1]);
  expect(steps).toBeGreaterThan(12);
  const seen = new Set<string>();
  let isBaked = false;
  for (let n = 1; n <= steps; n++) {
    await expect(place).toContainText(`Step ${n} of ${steps}`);
    seen.add(await title.innerText());
    const baking = await title.innerText();
    if (!isBaked && baking.startsWith('Bake')) {
      isBaked = true;
      const start = page.getByTestId('start-timer');
      const minutes = Number(/Start (\d+)\smin/.exec(await start.innerText())![1]);
      // thinner than the recipe’s own cake, which takes 42 min
      expect(minutes).toBeGreaterThan(20);
      expect(minutes).toBeLessThan(42);
      await start.click();
      await expect(page.getByTestId('timer')).toContainText(
        new RegExp(`${minutes}:00|${minutes - 1}:[2-5]\\d`),
      );
      await page.clock.runFor(61_000);
      // the clock goes on meanwhile, by some seconds on a slow machine
      await expect(page.getByTestId('timer')).toContainText(new RegExp(`${minutes - 2}:[2-5]\\d`));
      await page.reload();
      await expect(title).toHaveText(baking);
      await expect(page.getByTestId('timer')).toContainText(new RegExp(`${minutes - 2}:[0-5]\\d`));
      await page.clock.runFor(minutes * 60_000);
      await expect(page.getByTestId('timer')).toContainText('time is up');
      await page.getByRole('button', { name: 'Stop bake' }).click();
      await expect(page.getByTestId('timer')).toHaveCount(0);
      await page.getByTestId('note').click();
      await page.getByRole('textbox', { name: 'minutes in the oven' }).fill('44');
      await page.getByRole('textbox', { name: 'in words' }).fill('a little pale');
      await page.getByTestId('add-note').click();
      await expect(page.getByTestId('note')).toContainText('1 noted here');
    }
    const check = page.getByRole('checkbox').first();
    await check.click();
    await expect(check).toBeChecked();
    await page.getByTestId('next').click();
  }
  // the carrots are grated before anything is weighed out
  expect(seen).toContain('Make ready: grated carrot');
  expect(seen).toContain('Fill the tin');
  expect(seen).toContain('Fill layer 1 and set layer 2 on it');
  expect(seen).toContain('Scrape on the thin coat');
  await expect(page.getByTestId('next')).toHaveText('All done: into the log');
  await page.getByTestId('note').click();
  await expect(page.getByTestId('notes')).toContainText('44 min');
  await expect(page.getByTestId('notes')).toContainText('a little pale');
  await page.getByTestId('notes').getByRole('button', { name: 'Close' }).click();
  await page.goto('/');
  await expect(page.getByRole('article').filter({ hasText: 'Fig and walnut' })).toContainText(
    `${steps} of ${steps} steps done`,
  );
});

test('a cake half done opens where the work stopped', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('article').filter({ hasText: 'Night watch' })).toContainText(
    '9 of 38 steps done',
  );
  await page.getByRole('link', { name: 'Open Night watch' }).click();
  await page.getByRole('button', { name: 'To the bench' }).click();
  // ticked off when all was baked in one load: done in each of its three
  await expect(page.getByTestId('step-title')).toHaveText('Fill the tin');
  await page.getByTestId('all-steps').click();
  await page.getByRole('button', { name: 'Mix the batter: not done after all' }).first().click();
  await page
    .getByRole('button', { name: /^Mix the batter/ })
    .first()
    .click();
  await expect(page.getByTestId('step-title')).toHaveText('Mix the batter');
});

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [800, 1280],
] as const)
  test(`the bench fits ${width} by ${height}: large targets, nothing off the edge`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await openDemo(page, 'Meridian');
    await page.goto(page.url().replace(/stack$/, 'bench'));
    await expect(page.getByTestId('step-title')).toBeVisible();
    for (let i = 0; i < 23; i++) {
      for (const target of ['next', 'note']) {
        const box = (await page.getByTestId(target).boundingBox())!;
        expect(box.height).toBeGreaterThanOrEqual(48);
        expect(box.x + box.width).toBeLessThanOrEqual(width + 1);
        expect(box.y + box.height).toBeLessThanOrEqual(height + 1);
      }
      const wide = await page.getByTestId('step').evaluate((e) => [e.scrollWidth, e.clientWidth]);
      expect(wide[0]).toBeLessThanOrEqual(wide[1]!);
      await page.keyboard.press('ArrowRight');
    }
  });

test('the bench sheet prints with every step', async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press('p');
  await expect(page.getByTestId('print-now')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByTestId('print-now')).toBeHidden();
  await expect(page.getByText('Crumb coat', { exact: true })).toBeVisible();
  const pdf = await page.pdf({ format: 'A4' });
  const pages = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)!.length;
  // three of steps, one of days, two of what is weighed for each stretch of work, one of cards and log
  expect(pages).toBeLessThanOrEqual(7);
});
