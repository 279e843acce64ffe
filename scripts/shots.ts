import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { chromium, expect, type Page } from '@playwright/test';
import { buildServer } from '../server/src/server.ts';

/* One picture of each main view, from the demo data: npm run build, then npm run shots [names]. */

const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
mkdirSync(folder, { recursive: true });
const server = await buildServer({ demo: true, today: '2027-05-15T12:00:00' });
await server.listen({ port: 0, host: '127.0.0.1' });
const address = server.server.address();
if (address === null || typeof address === 'string') throw new Error('no port');
const url = `http://127.0.0.1:${address.port}`;
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-background-networking', '--disable-gpu', '--no-first-run'],
});
const context = await browser.newContext({
  viewport: { width: 1280, height: 800 },
  locale: 'en-GB',
  serviceWorkers: 'block',
});
const page = await context.newPage();
// the demo's own week, so that a picture does not change with the day it is taken
await page.clock.setFixedTime(new Date('2027-06-10T09:00:00'));

type Size = [width: number, height: number];
const desk: Size = [1280, 800];

interface View {
  name: string;
  path: string;
  size?: Size;
  before?: (page: Page) => Promise<void>;
}
const step = (title: string) => async (p: Page) => {
  await p.getByTestId('all-steps').click();
  await p.getByText(title).click();
};
/** Scale and thermometer are shown once somebody turns them on. */
async function devicesOn(p: Page): Promise<void> {
  const here = p.url();
  await p.goto(new URL('/', here).href);
  await p.getByRole('button', { name: 'Units and colours' }).click();
  await p.getByLabel('Scale and thermometer').check();
  await p.keyboard.press('Escape');
  await p.goto(here);
}
/** Something set on the stand-in scale. */
async function putOn(p: Page, grams: string): Promise<void> {
  await p.getByTestId('open-devices').click();
  const field = p.getByRole('textbox', { name: 'What is set on the scale' });
  await field.fill(grams);
  await field.press('Enter');
  await p.getByTestId('put').click();
  await p.getByTestId('devices').getByRole('button', { name: 'Close' }).click();
  await p.waitForTimeout(2500);
}
/** One turn of a sheet. */
const turn =
  (tab: string) =>
  (p: Page): Promise<void> =>
    p.getByTestId(`tab-${tab}`).click();
/** The solids have answered, and what they measured is shown. */
const carved = async (p: Page): Promise<void> => {
  await p.getByText(/ cuts? takes? .* stand$/).waitFor({ timeout: 60_000 });
  await p.waitForTimeout(4000);
};
/** Carved cakes have been worked out. */
async function workedOut(p: Page): Promise<void> {
  await p.waitForTimeout(1500);
  await expect(p.getByTestId('carving-note')).toHaveCount(0, { timeout: 120_000 });
}
/** What the solids measure is in: nothing in the tally is still being worked out. */
const settled = (p: Page): Promise<void> =>
  expect(p.getByTestId('tally-height')).not.toContainText('…', { timeout: 60_000 });
const views: View[] = [
  {
    name: 'shelf',
    path: '/',
    before: workedOut,
  },
  {
    name: 'new-cake',
    path: '/new',
    // the first are shown while the rest is weighed
    before: (p) => expect(p.getByTestId('take-design-0')).toBeEnabled({ timeout: 30_000 }),
  },
  { name: 'brief', path: '/build/meridian/brief' },
  {
    name: 'stack',
    path: '/build/meridian/stack',
    before: async (p) => {
      for (let i = 0; i < 5; i++) await p.keyboard.press(']');
    },
  },
  {
    name: 'stack-tiers',
    path: '/build/jubilee/stack',
    before: async (p) => {
      await settled(p);
      await p.getByTestId('tiers').getByRole('button', { name: 'Dome' }).click();
    },
  },
  { name: 'bake', path: '/build/meridian/bake' },
  {
    name: 'carve',
    path: '/build/harbour-light/carve',
    before: async (p) => {
      await carved(p);
      await p.getByTestId('cut-tower').locator('.name').click();
    },
  },
  { name: 'coat', path: '/build/meridian/coat' },
  {
    name: 'finish',
    path: '/build/jubilee/finish',
    before: async (p) => {
      await settled(p);
      await p.getByTestId('drip-time').getByText('all at rest').waitFor();
      await p.getByTestId('scrub').fill('120');
    },
  },
  {
    name: 'support',
    path: '/build/jubilee/support',
    before: async (p) => {
      await p.getByText('0.9 kg').first().waitFor({ timeout: 60_000 });
      await turn('dowels')(p);
    },
  },
  {
    name: 'support-road',
    path: '/build/jubilee/support',
    before: async (p) => {
      await p.getByText('0.9 kg').first().waitFor({ timeout: 60_000 });
      await p.getByTestId('view-tipping').click();
      await turn('road')(p);
    },
  },
  {
    name: 'day',
    path: '/build/jubilee/day',
    before: async (p) => {
      // the dome is carved, and the plan of the days follows from that
      await settled(p);
      await p.getByTestId('ready').waitFor({ timeout: 60_000 });
      await p.waitForTimeout(4000);
      await turn('tasks')(p);
    },
  },
  { name: 'bench-phone', path: '/build/meridian/bench', size: [390, 844] },
  {
    name: 'bench',
    path: '/build/meridian/bench',
    size: [1024, 768],
    before: async (p) => {
      await devicesOn(p);
      await step('Fill layer 1 and set layer 2 on it')(p);
      await p.getByRole('button', { name: 'The next one' }).click();
      await putOn(p, '350 g');
    },
  },
  {
    name: 'bench-portrait',
    path: '/build/jubilee/bench',
    size: [800, 1280],
    before: async (p) => {
      await devicesOn(p);
      await p.waitForTimeout(5000);
      await step('Gallery: drips round the rim')(p);
      await p.getByTestId('open-devices').click();
      await p.getByRole('button', { name: 'Take everything off' }).click();
      await p.getByTestId('hang').click();
      await p.getByTestId('devices').getByRole('button', { name: 'Close' }).click();
      // its curve is known after a while
      await p.getByText(/^In about/).waitFor({ timeout: 120_000 });
    },
  },
  {
    name: 'calendar',
    path: '/calendar',
    before: async (p) => {
      await workedOut(p);
      await p.getByTestId('over').waitFor({ timeout: 60_000 });
      await expect(p.getByRole('progressbar', { name: 'Planning the days' })).toHaveCount(0);
    },
  },
  {
    name: 'learnt',
    path: '/learnt',
    before: async (p) => {
      await p.locator('.chart[data-ready="true"]').first().waitFor();
      await p.waitForTimeout(800);
    },
  },
  {
    name: 'pantry',
    path: '/pantry',
    before: (p) => p.getByRole('tab', { name: 'Ingredients' }).click(),
  },
  {
    name: 'shopping',
    path: '/shopping',
    before: async (p) => {
      await p.locator('tbody tr').first().waitFor();
      await workedOut(p);
    },
  },
];
const { selectors } = await import('@playwright/test');
selectors.setTestIdAttribute('data-test');
await page.goto(url, { waitUntil: 'networkidle' });
const only = process.argv.slice(2);
for (const { name, path, size = desk, before } of views) {
  if (only.length > 0 && !only.includes(name)) continue;
  const [width, height] = size;
  await page.setViewportSize({ width, height });
  await page.goto(url + path, { waitUntil: path.endsWith('bench') ? 'load' : 'networkidle' });
  if (path.endsWith('bench')) await page.getByTestId('step-title').waitFor();
  await before?.(page);
  await page.mouse.move(1, 1);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${folder}${name}.png` });
}
await browser.close();
await server.close();
