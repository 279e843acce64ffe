import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser, type Page } from '@playwright/test';
import { planBuild, readBuildFile, startingPantry } from '../core/src/index.ts';
import { buildServer } from '../server/src/server.ts';

interface Measure {
  name: string;
  unit: string;
  median: number;
  p95: number;
  budget: number;
  /** Which of the two the budget is for. */
  by: 'median' | 'p95';
}

const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;
function measure(
  name: string,
  unit: string,
  samples: number[],
  budget: number,
  by: Measure['by'],
): Measure {
  const sorted = [...samples].sort((a, b) => a - b);
  return { name, unit, median: quantile(sorted, 0.5), p95: quantile(sorted, 0.95), budget, by };
}

/** The whole plan of the demo cake, after warming up. */
function plan(): Measure {
  const text = readFileSync(new URL('../demo/meridian.json', import.meta.url), 'utf8');
  const read = readBuildFile(text);
  if (!read.ok) throw new Error(read.problems[0]!.message);
  const pantry = startingPantry();
  const samples: number[] = [];
  for (let i = 0; i < 400; i++) {
    // another layer each time, so that nothing can be kept from the last plan
    read.build.tiers[0]!.layers[1]!.heightMm = 20 + (i % 50) / 10;
    const started = performance.now();
    planBuild(read.build, pantry);
    if (i >= 100) samples.push(performance.now() - started);
  }
  return measure('plan', 'ms', samples, 2, 'median');
}

/** Script that the first opening asks for, gzipped. */
async function firstLoad(browser: Browser, url: string): Promise<Measure> {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const page = await context.newPage();
  const sizes: Promise<number>[] = [];
  page.on('response', (response) => {
    if (response.request().resourceType() === 'script')
      sizes.push(response.body().then((body) => gzipSync(body).length));
  });
  await page.goto(url, { waitUntil: 'networkidle' });
  const total = (await Promise.all(sizes)).reduce((sum, n) => sum + n, 0) / 1000;
  await context.close();
  return measure('first-load', 'kB', [total], 250, 'median');
}

/** Puts one demo build into the page's database so many times. */
async function fill(page: Page, times: number): Promise<void> {
  const file = JSON.parse(
    readFileSync(new URL('../demo/meridian.json', import.meta.url), 'utf8'),
  ) as { build: { id: string; name: string } };
  await page.evaluate(
    async ({ build, count }) => {
      const db = await new Promise<IDBDatabase>((done, fail) => {
        const open = indexedDB.open('pyrgotect');
        open.onsuccess = () => done(open.result);
        open.onerror = () => fail(new Error('no database'));
      });
      const work = db.transaction(['builds', 'shelf'], 'readwrite');
      for (let i = 0; i < count; i++) {
        const id = `cake-${i}`;
        const name = `Cake ${i}`;
        work.objectStore('builds').put({ id, revision: 1, build: { ...build, id, name } });
        const day = String(1 + (i % 28)).padStart(2, '0');
        const month = String(1 + (i % 12)).padStart(2, '0');
        work.objectStore('shelf').put({
          id,
          name,
          occasion: 'Jubilee',
          serveAt: `${2027 + (i % 3)}-${month}-${day}T16:00`,
          servings: 40,
          updatedAt: '2027-05-03T09:30:00Z',
        });
      }
      await new Promise((done) => (work.oncomplete = done));
      db.close();
    },
    { build: file.build, count: times },
  );
}

/** From the navigation to the first drawn card on a shelf of 2,000. */
async function shelf(browser: Browser, url: string): Promise<Measure> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(url, { waitUntil: 'networkidle' });
  await fill(page, 2000);
  // as text: the loader of this script adds a helper to named functions that a page does not have
  await page.addInitScript(`
    requestAnimationFrame(function seen() {
      if (document.querySelector('article .drawing svg'))
        document.documentElement.dataset.shelfAt = String(performance.now());
      else requestAnimationFrame(seen);
    });
  `);
  const samples: number[] = [];
  for (let i = 0; i < 12; i++) {
    await page.goto(url);
    await page.waitForSelector('html[data-shelf-at]', { state: 'attached' });
    const at = Number(await page.getAttribute('html', 'data-shelf-at'));
    if (i >= 2) samples.push(at);
  }
  await context.close();
  return measure('shelf-2000', 'ms', samples, 300, 'median');
}

/** A boundary dragged by a moving pointer: from each move to the paint that follows it. */
async function editRepaint(browser: Browser, url: string): Promise<Measure> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(url, { waitUntil: 'networkidle' });
  await fill(page, 1);
  await page.goto(`${url}/build/cake-0/stack`, { waitUntil: 'networkidle' });
  const knob = page.getByRole('slider', { name: 'Filling 2, thickness' }).locator('.reach');
  const box = (await knob.boundingBox())!;
  await page.mouse.move(box.x + 12, box.y + 12);
  await page.mouse.down();
  const samples = await page.evaluate(
    async ({ x, y }) => {
      const handle = document.querySelector('[role="slider"][aria-label="Filling 2, thickness"]')!;
      const taken: number[] = [];
      for (let i = 0; i < 130; i++) {
        const started = performance.now();
        handle.dispatchEvent(
          new PointerEvent('pointermove', {
            clientX: x,
            clientY: y - (i % 20) - (i % 2),
            pointerId: 1,
            bubbles: true,
          }),
        );
        await new Promise<void>((done) =>
          requestAnimationFrame(() => {
            // the task after the frame runs when it has been painted
            const after = new MessageChannel();
            after.port1.onmessage = () => done();
            after.port2.postMessage(0);
          }),
        );
        if (i >= 10) taken.push(performance.now() - started);
      }
      return taken;
    },
    { x: box.x + 12, y: box.y + 12 },
  );
  const moved = await page
    .getByRole('slider', { name: 'Filling 2, thickness' })
    .getAttribute('aria-valuenow');
  if (moved === '7') throw new Error('edit-repaint: the boundary did not follow the pointer');
  await page.mouse.up();
  await context.close();
  return measure('edit-repaint', 'ms', samples, 50, 'p95');
}

const server = await buildServer();
await server.listen({ port: 0, host: '127.0.0.1' });
const address = server.server.address();
if (address === null || typeof address === 'string') throw new Error('no port');
const url = `http://127.0.0.1:${address.port}`;
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-background-networking', '--disable-gpu', '--no-first-run'],
});
const measures = [
  plan(),
  await editRepaint(browser, url),
  await firstLoad(browser, url),
  await shelf(browser, url),
];
await browser.close();
await server.close();

if (process.argv.includes('--json')) process.stdout.write(`${JSON.stringify(measures, null, 2)}\n`);
else
  for (const m of measures) {
    const figure = (n: number): string => `${n.toFixed(n < 10 ? 2 : 0)} ${m.unit}`.padStart(10);
    process.stdout.write(
      `${m.name.padEnd(16)} median ${figure(m.median)}   p95 ${figure(m.p95)}   budget ${figure(m.budget)} ${m.by.padEnd(6)}  ${m[m.by] <= m.budget ? 'within' : 'over'}\n`,
    );
  }
