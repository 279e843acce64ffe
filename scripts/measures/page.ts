import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import type { Browser, Page } from '@playwright/test';
import { startingPantry } from '../../core/src/index.ts';
import { measure, type Measure } from './measure.ts';

/* What a person waits for in the browser. */

/** A letter typed into the search over 3,000 ingredients, until the table has been painted. */
export async function pantryFilter(browser: Browser, url: string): Promise<Measure> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(url, { waitUntil: 'networkidle' });
  const row = startingPantry().foods[0]!;
  await page.evaluate(
    async ({ pattern }) => {
      const db = await new Promise<IDBDatabase>((done, fail) => {
        const open = indexedDB.open('pyrgotect');
        open.onsuccess = () => done(open.result);
        open.onerror = () => fail(new Error('no database'));
      });
      const work = db.transaction(['pantry'], 'readwrite');
      for (let i = 0; i < 3000; i++) {
        const id = `own-${i}`;
        const name = `${['moon', 'star', 'comet', 'harbour'][i % 4]} ${['dust', 'sugar', 'flour'][i % 3]} ${i}`;
        work.objectStore('pantry').put({
          key: `foods/${id}`,
          table: 'foods',
          row: { ...pattern, id, name, aliases: [] },
          removed: false,
        });
      }
      await new Promise((done) => (work.oncomplete = done));
      db.close();
    },
    { pattern: row },
  );
  await page.goto(`${url}/pantry`, { waitUntil: 'networkidle' });
  await page.getByRole('tab', { name: 'Ingredients' }).click();
  await page.waitForSelector('tbody tr');
  const samples = await page.evaluate(async () => {
    const input = document.querySelector<HTMLInputElement>('input[type="search"]')!;
    const taken: number[] = [];
    const words = ['comet flour 17', 'moon sugar 2'];
    for (let run = 0; run < 4; run++) {
      const word = words[run % 2]!;
      for (let n = 1; n <= word.length; n++) {
        const started = performance.now();
        input.value = word.slice(0, n);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        await new Promise<void>((done) =>
          requestAnimationFrame(() => {
            const after = new MessageChannel();
            after.port1.onmessage = () => done();
            after.port2.postMessage(0);
          }),
        );
        if (run > 0) taken.push(performance.now() - started);
      }
    }
    return taken;
  });
  await context.close();
  return measure('pantry-3000', 'ms', samples, 100, 'median');
}

/** Script that the first opening asks for, gzipped. */
export async function firstLoad(browser: Browser, url: string): Promise<Measure> {
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
  return measure('first-load', 'kB', [total], 280, 'median');
}

/** A phone of the middle price on a slow line: a quarter of this machine, 150 ms away, 1.6 Mbit/s. */
const phone = {
  context: { viewport: { width: 390, height: 844 }, deviceScaleFactor: 2.6, hasTouch: true },
  slower: 4,
  line: { offline: false, latency: 150, downloadThroughput: 200_000, uploadThroughput: 94_000 },
};
/** Until the first words stand on the shelf of such a phone that was never here. */
export async function firstPaint(browser: Browser, url: string): Promise<Measure> {
  const samples: number[] = [];
  for (let run = 0; run < 5; run++) {
    const context = await browser.newContext({ ...phone.context, serviceWorkers: 'block' });
    const page = await context.newPage();
    const devtools = await context.newCDPSession(page);
    await devtools.send('Network.enable');
    await devtools.send('Network.emulateNetworkConditions', phone.line);
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: phone.slower });
    await page.goto(url, { waitUntil: 'commit' });
    await page.waitForFunction(
      () => performance.getEntriesByName('first-contentful-paint').length > 0,
    );
    samples.push(
      await page.evaluate(
        () => performance.getEntriesByName('first-contentful-paint')[0]!.startTime,
      ),
    );
    await context.close();
  }
  return measure('first-paint', 'ms', samples, 2000, 'median');
}

/** Puts one demo build into the page's database so many times. */
export async function fill(page: Page, times: number, cake = 'meridian'): Promise<void> {
  const file = JSON.parse(
    readFileSync(new URL(`../../demo/${cake}.json`, import.meta.url), 'utf8'),
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
export async function shelf(browser: Browser, url: string): Promise<Measure> {
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

/** Moves a slider that is held: from each move to the paint that follows it. */
async function paints(page: Page, name: string, grip: string): Promise<number[]> {
  const slider = page.getByRole('slider', { name, exact: true });
  const box = (await slider.locator(grip).boundingBox())!;
  const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  const samples = await page.evaluate(
    async ({ x, y, name }) => {
      const handle = document.querySelector(`[role="slider"][aria-label="${name}"]`)!;
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
    { ...at, name },
  );
  return samples;
}

/** A boundary dragged by a moving pointer. */
export async function editRepaint(browser: Browser, url: string): Promise<Measure> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(url, { waitUntil: 'networkidle' });
  await fill(page, 1);
  await page.goto(`${url}/build/cake-0/stack`, { waitUntil: 'networkidle' });
  const name = 'Filling 2, thickness';
  const samples = await paints(page, name, '.reach');
  const moved = await page.getByRole('slider', { name }).getAttribute('aria-valuenow');
  if (moved === '7') throw new Error('edit-repaint: the boundary did not follow the pointer');
  await page.mouse.up();
  await context.close();
  return measure('edit-repaint', 'ms', samples, 50, 'p95');
}

/** A dowel dragged under the three-tier cake, every share worked out at each move. */
export async function supportDrag(browser: Browser, url: string): Promise<Measure> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(url, { waitUntil: 'networkidle' });
  await fill(page, 1, 'jubilee');
  await page.goto(`${url}/build/cake-0/support`, { waitUntil: 'networkidle' });
  await page.getByRole('tab', { name: 'Dowels' }).click();
  const name = 'Dowel 1';
  const place = (): Promise<string | null> =>
    page.getByRole('slider', { name, exact: true }).locator('.full').getAttribute('cy');
  const before = await place();
  // the carving is worked out first
  await page.waitForTimeout(5000);
  const samples = await paints(page, name, '.full');
  if ((await place()) === before) throw new Error('support-drag: the dowel did not follow');
  await page.mouse.up();
  await context.close();
  return measure('support-drag', 'ms', samples, 50, 'p95');
}

/** From a key that turns to the next step at the bench until that is painted. */
export async function benchStep(browser: Browser, url: string): Promise<Measure> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(url, { waitUntil: 'networkidle' });
  await fill(page, 1, 'jubilee');
  await page.goto(`${url}/build/cake-0/bench`);
  const title = page.locator('[data-test="step-title"]');
  await title.waitFor();
  // the carving and the plan of the days are worked out first
  await page.waitForTimeout(6000);
  const before = await title.innerText();
  const samples = await page.evaluate(async () => {
    const taken: number[] = [];
    for (let i = 0; i < 70; i++) {
      const started = performance.now();
      window.dispatchEvent(
        new KeyboardEvent('keydown', { key: i < 35 ? 'ArrowRight' : 'ArrowLeft', bubbles: true }),
      );
      await new Promise<void>((done) =>
        requestAnimationFrame(() => {
          const after = new MessageChannel();
          after.port1.onmessage = () => done();
          after.port2.postMessage(0);
        }),
      );
      if (i >= 5) taken.push(performance.now() - started);
    }
    return taken;
  });
  if ((await title.innerText()) !== before) throw new Error('bench-step: not back where it began');
  await context.close();
  return measure('bench-step', 'ms', samples, 50, 'p95');
}
