import { readFileSync } from 'node:fs';
import { choose, expect, openDemo, saved, test } from './support.ts';

test('the days of the three-tier cake, planned backward within the hours', async ({
  page,
}, info) => {
  await openDemo(page, 'Jubilee', 'Day');
  const title = page.getByTestId('sheet-title');
  // the dome is carved by then, and the boxed cake stands three hours in the cold before the road
  await expect(title).toContainText('Begin Tuesday 15 June, 18:36');
  await expect(page.getByTestId('proof')).toContainText(
    /It could begin at .* at the latest|No plan begins more than/,
  );
  await expect(page.locator('[data-day="2027-06-19"]')).toBeVisible();
  // another pair of hands begins later
  const before = await title.innerText();
  const people = page.getByRole('textbox', { name: 'How many people work on it' });
  await people.fill('2');
  await people.press('Enter');
  await expect(title).not.toHaveText(before);
  const download = page.waitForEvent('download');
  await page.getByTestId('save-calendar').click();
  const path = info.outputPath('days.ics');
  await (await download).saveAs(path);
  const text = readFileSync(path, 'utf8');
  expect(text).toContain('BEGIN:VCALENDAR');
  expect(text.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(20);
  expect(text).toContain('Out of the oven');
  const table = page.waitForEvent('download');
  await page.getByTestId('save-table').click();
  await (await table).saveAs(info.outputPath('days.csv'));
  expect(readFileSync(info.outputPath('days.csv'), 'utf8')).toContain('Foundation');
});

test('own tasks, own minutes, days off; what cannot be is said', async ({ page }) => {
  await openDemo(page, 'Fig and walnut', 'Day');
  const title = page.getByTestId('sheet-title');
  await expect(title).toContainText('Begin');
  const before = await title.innerText();
  await page.getByTestId('tab-tasks').click();
  await page.getByTestId('add-own').click();
  await page.getByRole('textbox', { name: 'What it is' }).fill('Fetch the flowers');
  await page.getByRole('textbox', { name: 'What it is' }).press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Fetch the flowers' })).toBeVisible();
  const minutes = page.getByRole('textbox', { name: /^Minutes of hands: Mix and bake/i }).first();
  await minutes.fill('3 h');
  await minutes.press('Enter');
  await expect(title).not.toHaveText(before);
  await choose(page.getByRole('combobox', { name: 'After which task' }), { index: 2 });
  await choose(page.getByRole('combobox', { name: 'Before which task' }), { index: 1 });
  await expect(page.getByRole('alert')).toContainText('wait for each other in a loop');
  await page.getByTestId('own-task').getByRole('button', { name: 'take it out' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByTestId('tab-hours').click();
  for (const name of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'])
    await page.getByRole('checkbox', { name: `Work on ${name}` }).uncheck();
  await expect(page.getByRole('alert')).toContainText('No hours of work');
  await saved(page);
});

test('two hours late on Thursday: what is missing, and what would save it', async ({ page }) => {
  await page.clock.install({ time: new Date('2027-06-17T20:30:00') });
  await openDemo(page, 'Jubilee', 'Day');
  await expect(page.getByTestId('sheet-title')).toContainText('Begin Tuesday 15 June');
  await page.getByTestId('tab-now').click();
  await expect(page.getByTestId('now')).toContainText('of working time are missing');
  await expect(page.getByTestId('now').getByRole('listitem').first()).toContainText('min');
  await page.getByTestId('tab-keeping').click();
  await expect(page.getByTestId('keeping')).toContainText('lemon curd');
  await expect(page.getByTestId('keeping')).toContainText('your local food code decides');
});

test('what was weighed at the bench stands in the log beside what was planned', async ({
  page,
}) => {
  await openDemo(page, 'Fig and walnut', 'Day');
  await page.getByTestId('tab-log').click();
  await expect(page.getByTestId('log')).toContainText('Nothing has been noted yet');
  // what can be is listed, with what is planned
  await expect(page.getByTestId('can-be-noted')).toContainText(/Fill layer 1 and set layer 2 on it.*\d+\sg/); // prettier-ignore
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByTestId('all-steps').click();
  await page.getByRole('dialog').getByText('Fill layer 1 and set layer 2 on it').click();
  await page.getByTestId('note').click();
  const field = page.getByTestId('notes').getByRole('textbox').first();
  await field.fill('400 g');
  await field.press('Enter');
  await page.getByTestId('add-note').click();
  await page.getByRole('link', { name: 'back to the desk' }).click();
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('button', { name: /^Day/ })
    .click();
  await page.getByTestId('tab-log').click();
  const row = page.getByTestId('log').getByRole('row').nth(1);
  await expect(row).toContainText('Fill layer 1 and set layer 2 on it');
  await expect(row).toContainText('400 g');
  await expect(row).toContainText(/[+−]\d+\s%/);
});

test('the days say how near they are to the best, and what becomes of everything made', async ({
  page,
}) => {
  await page.goto('/build/meridian/day');
  const proof = page.getByTestId('proof');
  await expect(proof).toContainText('Nothing waits longer than it keeps');
  await expect(proof.getByRole('listitem')).toHaveCount(4);
  await page.getByRole('tab', { name: 'Lists' }).click();
  const becomes = page.getByTestId('becomes');
  await expect(becomes.getByRole('row', { name: /^cake 1/ })).toContainText('in the oven');
  await expect(becomes.getByRole('row', { name: /^Blackcurrant compote/ })).toContainText(
    'on layer 3',
  );
});

test('a day without an hour of serving asks for it on the spot, and is planned from it', async ({
  page,
}) => {
  await openDemo(page, 'Fig and walnut', 'Brief');
  const served = page.getByRole('textbox', { name: 'Date and time of serving' });
  await served.fill('');
  await served.press('Enter');
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('button', { name: /^Day/ })
    .click();
  const title = page.getByTestId('sheet-title');
  await expect(title).toHaveText('When is it served?');
  // until then the work is laid out at one go
  const atOneGo = page.getByTestId('at-one-go');
  await expect(atOneGo).toContainText(/At one go it takes \d+\sh.*with one pair of hands/);
  await expect(atOneGo).toContainText('Mix and bake');
  await served.fill('2027-06-26T16:00');
  await served.press('Enter');
  await expect(title).toContainText(/^Begin .* June/);
  await expect(served).toHaveCount(0);
  await expect(page.getByTestId('day-chart')).toContainText('Saturday 26 June');
});

test('how warm the cake is at every step, and what a thermometer changes', async ({ page }) => {
  await openDemo(page, 'Jubilee', 'Day');
  await page.getByTestId('tab-warmth').click();
  const panel = page.getByTestId('warmth');
  const tier = panel.getByRole('tab', { name: 'Gallery' });
  await tier.click();
  const drip = panel.getByRole('row').filter({ hasText: 'test one drip' });
  await expect(drip).toContainText(/8\s°C its coat, as reckoned/);
  await expect(panel.getByRole('row').filter({ hasText: 'On the road' })).toContainText(
    /8\s°C cold for the road/,
  );
  // by the plan nothing is warmer than the work asks
  await expect(panel.getByText('more in the cold')).toHaveCount(0);
  await expect(panel.getByRole('img', { name: /Gallery: how warm/ })).toHaveAttribute(
    'data-ready',
    'true',
  );
});
