import { readFileSync } from 'node:fs';
import { expect, openDemo, test } from './support.ts';

/* What leaves the program for other programs: to a calendar, to a message. */

test('the calendar is read by others at an address that can be taken away, and saved as a file', async ({
  page,
  request,
}) => {
  // what is past is in no other calendar
  await page.clock.setFixedTime(new Date('2027-05-20T09:00:00'));
  await page.goto('/calendar');
  const feed = page.getByTestId('feed');
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    feed.getByTestId('feed-file').click(),
  ]);
  const file = readFileSync(await download.path(), 'utf8');
  expect(file).toContain('Jubilee is served');
  expect(file.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThan(12);
  await feed.getByTestId('feed-begin').click();
  const address = await feed.getByTestId('feed-address').innerText();
  expect(address).toMatch(/\/api\/calendars\/[\w-]{32}\.ics$/);
  const read = await request.get(address);
  expect(read.headers()['content-type']).toContain('text/calendar');
  expect(await read.text()).toContain('Jubilee is served');
  // it is there after a reload, and what changed is laid there
  await openDemo(page, 'Jubilee', 'Brief');
  await page.getByRole('textbox', { name: 'occasion' }).fill('Comet night');
  await page.getByRole('textbox', { name: 'occasion' }).blur();
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.goto('/calendar');
  await expect(feed.getByTestId('feed-address')).toHaveText(address);
  await expect
    .poll(async () => (await request.get(address)).text(), { timeout: 60_000 })
    .toContain('Comet night');
  await feed.getByTestId('feed-end').click();
  await expect(feed.getByTestId('feed-begin')).toBeVisible();
  expect((await request.get(address)).status()).toBe(404);
});

test('the shopping list and the bench sheet are copied as a message', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const copied = (): Promise<string> => page.evaluate(() => navigator.clipboard.readText());
  await page.clock.setFixedTime(new Date('2027-05-20T09:00:00'));
  await page.goto('/shopping');
  await page.getByTestId('copy').click({ timeout: 60_000 });
  await expect(page.getByText('Copied')).toBeVisible();
  const first = await page.locator('tbody tr td:first-child b').first().innerText();
  expect(await copied()).toContain(`${first}: `);
  await openDemo(page, 'Meridian');
  await page.getByRole('button', { name: 'Print' }).click();
  await page.getByTestId('copy').click();
  await expect(page.getByText('Copied')).toBeVisible();
  const sheet = await copied();
  const title = await page.locator('section .step b').first().innerText();
  expect(sheet).toContain(`- ${title}`);
  expect(sheet).toMatch(/\d g/);
});

test('what another program shares is taken in: words are a recipe, a file is what it is', async ({
  browser,
}) => {
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const page = await context.newPage();
  await page.goto('/');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await expect(page.getByRole('article').first()).toBeVisible();
  /** Sends a form as the device does when somebody shares with the program. */
  const share = (parts: { text?: string; file?: { name: string; text: string } }): Promise<void> =>
    page.evaluate(({ text, file }) => {
      const form = document.createElement('form');
      Object.assign(form, { method: 'post', action: '/shared', enctype: 'multipart/form-data' });
      const words = Object.assign(document.createElement('textarea'), {
        name: 'text',
        value: text ?? '',
      });
      const files = Object.assign(document.createElement('input'), { type: 'file', name: 'files' });
      if (file) {
        const held = new DataTransfer();
        held.items.add(new File([file.text], file.name, { type: 'application/json' }));
        files.files = held.files;
      }
      form.append(words, ...(file ? [files] : []));
      document.body.append(form);
      form.submit();
    }, parts);
  await share({ text: '3 eggs\n150 g caster sugar' });
  await expect(page).toHaveURL(/\/pantry\?table=recipes/);
  await expect(page.getByTestId('paste').locator('textarea').first()).toHaveValue(
    /150 g caster sugar/,
  );
  // it is taken once
  await page.goto('/');
  await expect(page.getByRole('article').first()).toBeVisible();
  await expect(page).not.toHaveURL(/pantry/);
  const demo = new URL('../../demo/meridian.json', import.meta.url);
  await share({ file: { name: 'meridian.json', text: readFileSync(demo, 'utf8') } });
  await expect(page).toHaveURL(/\/build\/.*\/stack/);
  await context.close();
});
