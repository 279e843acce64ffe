import type { Page, WebSocketRoute } from '@playwright/test';
import {
  choose,
  devicesOn,
  expect,
  handle,
  keptAtBench as kept,
  openDemo,
  saved,
  tally,
  test,
} from './support.ts';

const title = (page: Page) => page.getByTestId('step-title');
/** Goes on at the bench until a step has some title. */
async function goTo(page: Page, wanted: RegExp): Promise<void> {
  const all = page.getByTestId('all-steps');
  await expect(all).toBeVisible();
  await all.click();
  await page.locator('.steps').getByRole('button', { name: wanted }).first().click();
  await expect(title(page)).toHaveText(wanted);
}
/** Puts grams on the stand-in scale. */
async function putOn(page: Page, grams: string): Promise<void> {
  await page.getByTestId('open-devices').click();
  const field = page.getByRole('textbox', { name: 'What is set on the scale' });
  await field.fill(grams);
  await field.press('Enter');
  await page.getByTestId('put').click();
  await page.getByTestId('devices').getByRole('button', { name: 'Close' }).click();
}
async function toBench(page: Page, name: string): Promise<void> {
  await openDemo(page, name);
  await page.getByRole('button', { name: 'To the bench' }).click();
  await expect(title(page)).toBeVisible();
}

test('a bench run with scale and thermometer, over a reload and a server that goes away', async ({
  page,
}) => {
  // the server can be taken away in the middle
  let away = false;
  const open = new Set<WebSocketRoute>();
  await page.routeWebSocket(/\/api\/devices/, (socket) => {
    if (away) return void socket.close();
    socket.connectToServer();
    open.add(socket);
  });
  await devicesOn(page);
  await toBench(page, 'Fig and walnut');
  await goTo(page, /Weigh out for Keeper/);
  const weigh = page.getByTestId('weigh');
  await expect(weigh).toContainText('plain flour');
  await expect(page.getByTestId('to-go')).toContainText('to go');
  // over the amount is said
  await putOn(page, '900 g');
  await expect(page.getByTestId('to-go')).toContainText('over');
  // tared, the next ingredient comes into the same bowl
  await page.getByTestId('take').click();
  await expect(weigh).not.toContainText('plain flour');
  await expect(weigh).toContainText('2 of');
  await kept(page);
  await page.reload();
  await expect(weigh).toContainText('2 of');

  // what is weighed on a layer is its record
  await goTo(page, /Fill layer 1 and set layer 2/);
  await page.getByTestId('tare').click();
  await putOn(page, '300 g');
  await expect(page.getByTestId('take')).toContainText(/Take (29|30)\d\sg/);
  await page.getByTestId('take').click();
  await expect(page.getByTestId('note')).toContainText('1 noted here');

  // the server goes away: the step is done by typing
  away = true;
  for (const socket of open) await socket.close();
  await expect(page.getByTestId('open-devices')).toContainText('no scale: type it');
  await expect(weigh).toHaveCount(0);
  await goTo(page, /Fill layer 2 and set layer 3/);
  await page.getByTestId('note').click();
  await page
    .getByRole('button', { name: /^as planned/ })
    .first()
    .click();
  await expect(page.getByTestId('note')).toContainText('1 noted here');
  // and comes back
  away = false;
  await expect(page.getByTestId('weigh')).toBeVisible({ timeout: 30_000 });

  // the log has both
  await kept(page);
  await page.goto('/build/fig-and-walnut/day');
  await page.getByTestId('tab-log').click();
  await expect(page.getByTestId('log')).toContainText('Fill layer 1 and set layer 2');
  await expect(page.getByTestId('log')).toContainText('Fill layer 2 and set layer 3');
});

test('what happened at the bench moves the plan, and the next one after it', async ({ page }) => {
  await openDemo(page, 'Meridian');
  const before = await tally(page, 'height').innerText();
  await page.getByRole('button', { name: 'To the bench' }).click();
  await goTo(page, /Turn out and cool/);
  await page.getByTestId('note').click();
  const edge = page.getByRole('textbox', { name: 'height at the edge' });
  await edge.fill('36 mm');
  await edge.press('Enter');
  await page.getByTestId('add-note').click();
  await kept(page);
  await page.getByRole('link', { name: 'back to the desk' }).click();
  await expect(tally(page, 'height')).not.toHaveText(before);
  await page.goto('/learnt');
  await page.getByRole('button', { name: 'Baked height' }).click();
  await expect(page.getByTestId('kind')).toContainText('Meridian');
  // left out with a reason it stays in the list, and can be counted again
  await page.getByTestId('kind').getByRole('button', { name: 'leave out' }).first().click();
  await page.getByRole('button', { name: 'the scale was off' }).click();
  await expect(page.getByTestId('kind')).toContainText('left out: the scale was off');
  await page.getByRole('button', { name: 'count it' }).first().click();
  await expect(page.getByTestId('kind')).not.toContainText('left out: the scale was off');
});

test('a torn layer is left out and put back; a filling that runs says what to do', async ({
  page,
}) => {
  await toBench(page, 'Meridian');
  const steps = async (): Promise<number> =>
    Number(/of (\d+)/.exec(await page.getByTestId('all-steps').innerText())![1]);
  const all = await steps();
  await goTo(page, /Fill layer 1 and set layer 2/);
  await page.getByTestId('something-wrong').click();
  await page.getByRole('option', { name: /A layer is torn/ }).click();
  await page.getByRole('button', { name: 'Leave layer 2 out' }).click();
  await expect.poll(steps).toBeLessThan(all);
  await page.keyboard.press('Control+z');
  await expect.poll(steps).toBe(all);
  await page.getByTestId('something-wrong').click();
  await page.getByRole('option', { name: /The filling runs/ }).click();
  await expect(page.getByTestId('mend')).toContainText('Chill bowl and stack');
  await page.getByTestId('note-fault').click();
  await expect(page.getByTestId('note')).toContainText('noted here');
});

test('a photo is shrunk and kept, and what is no picture is said', async ({ page }) => {
  await toBench(page, 'Meridian');
  const big = Buffer.from(
    await page.evaluate(async () => {
      const canvas = document.createElement('canvas');
      canvas.width = 3000;
      canvas.height = 1500;
      canvas.getContext('2d')!.fillRect(0, 0, 3000, 1500);
      const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
      return [...new Uint8Array(await blob!.arrayBuffer())];
    }),
  );
  await page.getByTestId('note').click();
  const camera = page.getByLabel('A photo of this step');
  await camera.setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no') });
  await expect(page.getByRole('alert')).toContainText('no picture');
  const drawing =
    '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>1</script></svg>';
  await camera.setInputFiles({
    name: 'a.png',
    mimeType: 'image/png',
    buffer: Buffer.from(drawing),
  });
  await expect(page.getByRole('alert')).toContainText('no photo');
  // a header that promises twenty thousand pixels each way
  const huge = Buffer.from(big);
  huge.writeUInt32BE(20_000, 16);
  huge.writeUInt32BE(20_000, 20);
  await camera.setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer: huge });
  await expect(page.getByRole('alert')).toContainText('400 million pixels');
  await camera.setInputFiles({ name: 'cake.png', mimeType: 'image/png', buffer: big });
  await expect(page.getByTestId('note')).toContainText('1 noted here');
  await kept(page);
  await page.reload();
  await page.getByTestId('note').click();
  const image = page.getByTestId('notes').getByRole('img');
  await expect(image).toBeVisible();
  // it is there before it is read
  await expect.poll(() => image.evaluate((e: HTMLImageElement) => e.naturalWidth)).toBe(1280);
});

test('devices that send nonsense are not believed', async ({ page }) => {
  await page.routeWebSocket(/\/api\/devices/, (socket) => {
    for (const text of ['{"device":"scale","g":1e12}', 'garbage', '{"device":"probe"}'])
      socket.send(text);
  });
  await toBench(page, 'Meridian');
  await expect(page.getByTestId('step-title')).toBeVisible();
  await expect(page.getByTestId('open-devices')).toHaveCount(0);
  await devicesOn(page);
  await toBench(page, 'Meridian');
  await expect(page.getByTestId('open-devices')).toContainText('no scale: type it');
  await page.getByTestId('open-devices').click();
  await expect(page.getByTestId('devices')).toContainText('It was not taken');
  await page.getByTestId('devices').getByRole('button', { name: 'Close' }).click();
  const first = await title(page).innerText();
  await page.getByTestId('next').click();
  // which one comes next goes by the plan of the days, which may come meanwhile
  await expect(title(page)).not.toHaveText(first);
});

test('the thermometer says when the ganache is cool enough', async ({ page }) => {
  await devicesOn(page);
  await toBench(page, 'Jubilee');
  await goTo(page, /drips round the rim/i);
  await page.getByTestId('open-devices').click();
  await page.getByTestId('hang').click();
  await page.getByTestId('devices').getByRole('button', { name: 'Close' }).click();
  await expect(page.getByTestId('probe')).toContainText('still too warm');
  // its curve is known after a while
  await expect(page.getByTestId('probe')).toContainText(/In about \d+\smin/, { timeout: 90_000 });
  await page.getByTestId('note-temp').click();
  await expect(page.getByTestId('note')).toContainText('1 noted here');
});

test('a task is dragged to its time, what that breaks is said, and it can be let go', async ({
  page,
}) => {
  await openDemo(page, 'Fig and walnut', 'Day');
  await expect(page.getByTestId('result')).toBeVisible();
  const sheet = page.getByTestId('sheet-title');
  const before = await sheet.innerText();
  const bar = page.locator('.bar.hands').first();
  const box = (await bar.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 150, y, { steps: 6 });
  await expect(page.getByTestId('drag-says')).toContainText(/:\d\d: /);
  await page.mouse.move(x - 80, y, { steps: 6 });
  await page.mouse.up();
  await expect(sheet).not.toHaveText(before);
  await page.getByTestId('tab-tasks').click();
  await page.getByTestId('unpin').first().click();
  await expect(sheet).toHaveText(before);
  // by keys as well
  await page.locator('.bar.hands').first().focus();
  await page.keyboard.press('ArrowLeft');
  await expect(sheet).not.toHaveText(before);
  await page.keyboard.press('Control+z');
  await expect(sheet).toHaveText(before);
});

test('two cakes in one kitchen share the hands; a freezer chills sooner', async ({ page }) => {
  await openDemo(page, 'Fig and walnut', 'Day');
  await expect(page.getByTestId('result')).toBeVisible();
  await page.getByRole('checkbox', { name: /Jubilee, served/ }).check();
  await expect(page.getByTestId('result')).toContainText('all cakes together begin');
  await expect(page.locator('.bar.other').first()).toBeVisible();
  await page.getByRole('checkbox', { name: /Jubilee, served/ }).uncheck();
  await expect(page.locator('.bar.other')).toHaveCount(0);
  const freezer = page.getByRole('textbox', { name: 'Height of the freezer’s shelves together' });
  await freezer.fill('60 cm');
  await freezer.press('Enter');
  await choose(page.getByRole('combobox', { name: 'Where stacks and coats get firm' }), 'freezer');
  await expect(page.getByTestId('result')).toBeVisible();
  await saved(page);
});

test('the hand: corrections are switched, begun anew, and practice follows the spread', async ({
  page,
}) => {
  await openDemo(page, 'Meridian', 'Coat');
  const made = await tally(page, 'frosting').innerText();
  await page.goto('/learnt');
  await expect(page.getByTestId('hand-title')).toContainText('by');
  await page.getByRole('button', { name: 'Smooth coats' }).click();
  await expect(page.getByTestId('kind')).toContainText('Equinox');
  await page.getByTestId('switch').getByRole('checkbox').uncheck();
  await expect(page.getByTestId('kind')).toContainText('Plans do not follow it');
  await openDemo(page, 'Meridian', 'Coat');
  await expect(tally(page, 'frosting')).not.toHaveText(made);
  await page.goto('/learnt');
  await page.getByRole('button', { name: 'Fillings' }).click();
  await page.getByTestId('begin-anew').click();
  await expect(page.getByTestId('kind')).toContainText('left out: begun anew');
  await page.getByTestId('tab-practice').click();
  await expect(page.getByTestId('practice')).toContainText('worth it: piping');
  const one = page.getByRole('textbox', { name: 'One try' });
  for (const grams of ['7 g', '9 g', '8 g']) {
    await one.fill(grams);
    await one.press('Enter');
    await page.getByTestId('add-try').click();
    await expect(one).not.toHaveValue(grams);
  }
  await expect(page.getByTestId('trend')).toContainText('scatter by 13 %');
});

test('a cake that is done goes into the log and stays there', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Finished' })).toBeVisible();
  await page.getByRole('link', { name: 'Open Equinox' }).click();
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.getByTestId('next').click();
  await expect(page.getByTestId('next')).toHaveText('All done: into the log');
  await page.getByTestId('next').click();
  await expect(page.getByTestId('next')).toHaveText('Take it up again');
  await kept(page);
  await page.goto('/build/equinox/day');
  await page.getByTestId('tab-log').click();
  await expect(page.getByTestId('finished')).toContainText('stays as it was planned');
  await expect(page.getByTestId('sheet-title')).toContainText('Begin');
  await expect(page.getByTestId('ready')).toHaveCount(0);
  await expect(page.getByTestId('log')).toContainText('slip of the pen');
});

test('an amount that was changed at the desk says so at the bench', async ({ page, context }) => {
  await page.goto('/build/meridian/bench');
  await goTo(page, /Fill the tin/);
  const amount = page.locator('.amounts .big').first();
  const before = (await amount.innerText()).trim().replace(/[.]/g, '\\.').replace(/\s+/g, '\\s');
  await expect(page.getByTestId('changed')).toHaveCount(0);

  const desk = await context.newPage();
  await openDemo(desk);
  const layer = handle(desk, 'Layer 1, thickness');
  await layer.focus();
  for (let i = 0; i < 4; i++) await desk.keyboard.press('ArrowUp');
  await saved(desk);
  await expect(page.getByTestId('changed')).toHaveText(new RegExp(`^changed: was ${before}$`));
  // what comes back is marked no more
  for (let i = 0; i < 4; i++) await desk.keyboard.press('ArrowDown');
  await saved(desk);
  await expect(page.getByTestId('changed')).toHaveCount(0);
});
