import { readdirSync, readFileSync } from 'node:fs';
import { expect, test as base, type Locator, type Page } from '@playwright/test';

/**
 * Every test watches the page: a request to another host, an error on the console or a breach of
 * the content policy fails it.
 */
export const test = base.extend<{ watch: void }>({
  watch: [
    async ({ page, baseURL }, use) => {
      const wrong: string[] = [];
      const own = new URL(baseURL!).host;
      page.on('request', (request) => {
        const url = new URL(request.url());
        if (url.protocol.startsWith('http') && url.host !== own) wrong.push(`asked ${url.host}`);
      });
      page.on('pageerror', (error) => wrong.push(`error: ${error.message}`));
      page.on('console', (message) => {
        // that no scale is there is said on the screen; the browser tells its console as well
        const isAway = /WebSocket connection to .*\/api\/devices/.test(message.text());
        if (message.type() === 'error' && !isAway) wrong.push(`console: ${message.text()}`);
      });
      await use();
      expect(wrong).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

/** Cakes that the demo lays on the shelf. */
export const demoCount = 14;

const demo = new URL('../../demo/', import.meta.url);
/** Address of a demo build by its name. */
const idOf = new Map(
  readdirSync(demo)
    .filter((file) => file.endsWith('.json'))
    .map((file) => {
      const { build } = JSON.parse(readFileSync(new URL(file, demo), 'utf8')) as {
        build: { id: string; name: string };
      };
      return [build.name, build.id] as const;
    }),
);

/** The address of a sheet of a demo build. */
export const addressOf = (name: string, stage: string): string =>
  `/build/${idOf.get(name)}/${stage.toLowerCase()}`;

/** Opens a demo build at a sheet. */
export async function openDemo(page: Page, name = 'Meridian', stage = 'stack'): Promise<void> {
  await page.goto(addressOf(name, stage));
  await expect(page.getByTestId('sheet-title')).toBeVisible();
}

/** Browsers that a test opened besides its own go with it: they would work on beside all later ones. */
export const closesDevices = (): void =>
  test.afterEach(async ({ browser }) => {
    for (const context of browser.contexts()) await context.close();
  });

export const tally = (page: Page, cell: string) => page.getByTestId(`tally-${cell}`).locator('b');
export const handle = (page: Page, name: string) => page.getByRole('slider', { name });
export const saved = async (page: Page): Promise<void> => {
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
};

/** At the bench: what was ticked is kept, and counted off in the pantry. */
export const keptAtBench = (page: Page): Promise<void> =>
  expect(page.getByTestId('bench')).toHaveAttribute('data-state', 'saved');

/** The line of a menu that a choice is made from: by its words, by what it stands for, or by its place. */
function lineOf(list: Locator, which: string | { index: number }): Locator {
  const lines = list.getByRole('option');
  if (typeof which !== 'string') return lines.nth(which.index);
  const named = list.page().getByText(which, { exact: true });
  return lines.filter({ has: named }).or(list.locator(`[data-value=${JSON.stringify(which)}]`));
}

/** Chooses in a field of a sentence, as a hand does: opens it, looks for the line and presses it. */
export async function choose(field: Locator, which: string | { index: number }): Promise<void> {
  // what is pressed is the field, its input lies under the words
  await field.locator('xpath=ancestor::*[contains(@class, "v-field")][1]').click();
  const list = field.page().getByRole('listbox');
  await expect(list).toBeVisible();
  const line = lineOf(list, which);
  // a long list holds only what is seen of it, and opens at the line that is chosen
  const scroll = (by: number): Promise<void> =>
    list.evaluate(async (el, px) => {
      // what is only cut off would be moved by this as well, and the lines with it
      const inside = [el, el.parentElement!, ...el.querySelectorAll('*')].filter((each) =>
        /auto|scroll/.test(getComputedStyle(each).overflowY),
      );
      for (const each of inside)
        if (px === 0) each.scrollTop = 0;
        else each.scrollTop += px;
      await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
    }, by);
  // by the keyboard, and once more where it has only now come to the line that was chosen before
  await expect(async () => {
    if ((await line.count()) === 0) await scroll(0);
    for (let i = 0; i < 60 && (await line.count()) === 0; i++) await scroll(150);
    await line.first().focus({ timeout: 500 });
    await expect(line.first()).toBeFocused({ timeout: 500 });
  }).toPass();
  // not to whatever has the focus by now: the menu moves it when it has opened
  await line.first().press('Enter');
  await expect(list).toBeHidden();
}

/** The same in the field of that name. */
export const chooseAt = (page: Page, name: string, which: string): Promise<void> =>
  choose(page.getByRole('combobox', { name, exact: true }), which);

/** What a choice stands at: the value, not its words. */
export const chosen = (field: Locator): Locator =>
  field.locator('xpath=ancestor::*[@data-value][1]');

/** Turns on scale and thermometer, which nobody sees before. */
export async function devicesOn(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Units and colours' }).click();
  await page.getByLabel('Scale and thermometer').check();
  await page.keyboard.press('Escape');
}

/** Drags a boundary of the drawing by so many pixels upwards. */
export async function dragUp(page: Page, name: string, px: number): Promise<void> {
  const knob = handle(page, name).locator('.reach');
  const box = (await knob.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 4; i++) await page.mouse.move(x, y - (px * i) / 4);
  // the drawing follows in the next frame
  await page.evaluate(
    () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
  );
  await page.mouse.up();
}
