import type { Browser, Page } from '@playwright/test';
import { buildServer } from '../../server/src/server.ts';
import {
  addressOf,
  closesDevices,
  demoCount,
  expect,
  keptAtBench,
  saved,
  test,
} from './support.ts';

/* A desk and a tablet of one kitchen, and the server between them. */

// two browsers, a server and all that goes to and fro: a busy machine takes minutes
test.describe.configure({ timeout: 240_000 });
closesDevices();

type Server = Awaited<ReturnType<typeof buildServer>>;

/** A server of the test's own, which it may stop and start again. */
class OwnServer {
  #app: Server | null = null;
  port = 0;
  async start(): Promise<void> {
    this.#app = await buildServer({ demo: true, today: '2027-05-15T12:00:00', data: null });
    await this.#app.listen({ port: this.port, host: '127.0.0.1' });
    const at = this.#app.server.address();
    if (at === null || typeof at === 'string') throw new Error('no port');
    this.port = at.port;
  }
  async stop(): Promise<void> {
    await this.#app?.close();
    this.#app = null;
  }
  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
}

const tablet = { width: 1024, height: 768 };
async function newDevice(browser: Browser, url: string): Promise<Page> {
  const context = await browser.newContext({
    ...{ baseURL: url, viewport: tablet, storageState: { cookies: [], origins: [] } },
    serviceWorkers: 'block',
  });
  return context.newPage();
}
/** A browser that is given no demo. */
async function emptyDevice(browser: Browser, url: string): Promise<Page> {
  const page = await newDevice(browser, url);
  await page.route('**/api/start', (route) => route.fulfill({ json: { demo: false } }));
  return page;
}

async function pair(desk: Page, other: Page): Promise<void> {
  await desk.goto('/backup?turn=devices');
  await desk.getByTestId('show-code').click();
  const code = await desk.getByTestId('code').innerText();
  await other.goto('/backup?turn=devices');
  await other.getByLabel('Name of this device').fill('Tablet');
  await other.getByLabel('Code that the other device shows').fill(code);
  await other.getByTestId('join').click();
  await expect(other.getByTestId('device')).toHaveCount(2);
  await expect(desk.getByTestId('device')).toHaveCount(2);
}

/** What a page fetches when it opens has come: none of it comes any more while the server is away. */
const settled = async (...pages: Page[]): Promise<void> => {
  for (const page of pages) await page.waitForLoadState('networkidle');
};
const nameField = (page: Page) => page.getByRole('textbox', { name: 'Name of the cake' });
async function rename(page: Page, to: string): Promise<void> {
  await nameField(page).fill(to);
  await nameField(page).press('Enter');
  await saved(page);
}

test('desk and tablet are paired, part, and are in step again', async ({ browser }) => {
  const server = new OwnServer();
  await server.start();
  const desk = await newDevice(browser, server.url);
  const other = await emptyDevice(browser, server.url);
  await desk.goto('/');
  await expect(desk.getByRole('article')).toHaveCount(demoCount);
  await pair(desk, other);

  await other.goto('/');
  await expect(other.getByRole('article')).toHaveCount(demoCount);

  await desk.goto(addressOf('Meridian', 'bench'));
  await other.goto(addressOf('Meridian', 'bench'));
  const done = (page: Page) => page.getByTestId('hands-left');
  const before = await done(desk).innerText();
  await other.getByTestId('next').click();
  // it sends nothing of its own before it has been given everything
  await expect(done(desk)).not.toHaveText(before);
  const now = await done(desk).innerText();
  await other.getByTestId('next').click();
  // by the bench within a quarter of a second; here other tests run beside
  await expect(done(desk)).not.toHaveText(now, { timeout: 3000 });
  await keptAtBench(other);

  // both go on while the server is away
  await desk.goto(addressOf('Aurora', 'brief'));
  await expect(nameField(desk)).toBeVisible();
  await settled(desk, other);
  await server.stop();
  await rename(desk, 'Aurora of the desk');
  await other.getByTestId('next').click();
  await keptAtBench(other);
  await server.start();
  await desk.goto(addressOf('Meridian', 'bench'));
  await expect(done(desk)).toHaveText(await done(other).innerText(), { timeout: 40_000 });
  await other.goto(addressOf('Aurora', 'brief'));
  await expect(nameField(other)).toHaveValue('Aurora of the desk', { timeout: 40_000 });
  await server.stop();
});

test('both change one cake apart, and both changes stand', async ({ browser }) => {
  const server = new OwnServer();
  await server.start();
  const desk = await newDevice(browser, server.url);
  const other = await emptyDevice(browser, server.url);
  await desk.goto('/');
  await pair(desk, other);
  await other.goto(addressOf('Meridian', 'brief'));
  await desk.goto(addressOf('Meridian', 'brief'));
  for (const page of [desk, other]) await expect(nameField(page)).toHaveValue('Meridian');
  await settled(desk, other);
  await server.stop();
  await rename(desk, 'Meridian of the desk');
  const guests = (page: Page) => page.getByRole('textbox', { name: 'Servings wanted' });
  await guests(other).fill('31');
  await guests(other).press('Enter');
  await saved(other);
  await server.start();
  // each page shows what came, without a press
  await expect(nameField(other)).toHaveValue('Meridian of the desk', { timeout: 40_000 });
  await expect(guests(desk)).toHaveValue('31', { timeout: 40_000 });
  await server.stop();
});

test('what both changed alike is said, and the other is kept; a device is called otherwise', async ({
  browser,
}) => {
  const server = new OwnServer();
  await server.start();
  const desk = await newDevice(browser, server.url);
  const other = await emptyDevice(browser, server.url);
  await desk.goto('/');
  await pair(desk, other);
  // a device is called otherwise on all of them
  const name = other.getByLabel('Name of this device');
  await name.fill('Bench');
  await name.press('Enter');
  // after everything that the new device is still being given
  await expect(desk.getByTestId('device').filter({ hasText: 'Bench' })).toHaveCount(1, {
    timeout: 40_000,
  });
  await desk.goto(addressOf('Meridian', 'brief'));
  await other.goto(addressOf('Meridian', 'brief'));
  for (const page of [desk, other]) await expect(nameField(page)).toHaveValue('Meridian');
  await settled(desk, other);
  await server.stop();
  await rename(desk, 'Meridian of the desk');
  await rename(other, 'Meridian of the bench');
  await server.start();
  // whoever meets the other's change says so; both have the same in the end
  const said = (page: Page) => page.getByTestId('notice').getByText(/had both changed/);
  await expect
    .poll(async () => (await said(desk).count()) + (await said(other).count()), { timeout: 40_000 })
    .toBe(1);
  const [met, lost] = (await said(desk).count()) > 0 ? [desk, other] : [other, desk];
  const stands = await nameField(met).inputValue();
  await expect(nameField(lost)).toHaveValue(stands, { timeout: 40_000 });
  await met.getByRole('button', { name: 'History' }).click();
  await expect(met.getByText(met === desk ? /As Bench had it/ : /As .* had it/)).toBeVisible();
  await server.stop();
});

test('a wrong code lets nobody in, and who is shut out gets nothing more', async ({ browser }) => {
  const server = new OwnServer();
  await server.start();
  const desk = await newDevice(browser, server.url);
  const other = await emptyDevice(browser, server.url);
  await desk.goto('/backup?turn=devices');
  await desk.getByTestId('show-code').click();
  const code = (await desk.getByTestId('code').innerText()).replace(/\s/g, '');
  await other.goto('/backup?turn=devices');
  const field = other.getByLabel('Code that the other device shows');
  await field.fill(code.slice(0, 3) + String((Number(code.slice(3)) + 1) % 1e6).padStart(6, '0'));
  await other.getByTestId('join').click();
  await expect(other.getByTestId('pairing-problem')).toContainText('not the one that is shown');
  // the code is used up, and another one stands there
  await expect(desk.getByTestId('code')).not.toHaveText(code.replace(/(...)(?=.)/g, '$1 '));
  await field.fill('12345');
  await other.getByTestId('join').click();
  await expect(other.getByTestId('pairing-problem')).toContainText('nine digits');

  await pair(desk, other);
  await other.goto(addressOf('Meridian', 'brief'));
  await expect(nameField(other)).toHaveValue('Meridian');
  await desk.getByRole('button', { name: 'Shut Tablet out' }).click();
  await expect(desk.getByTestId('device')).toHaveCount(1);
  await desk.goto(addressOf('Meridian', 'brief'));
  await rename(desk, 'Meridian, after');
  await other.goto('/backup?turn=devices');
  await expect(other.getByTestId('device')).toHaveCount(0);
  // what it had stays there as it was
  await other.goto(addressOf('Meridian', 'brief'));
  await expect(nameField(other)).toHaveValue('Meridian');
  await server.stop();
});
