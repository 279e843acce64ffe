import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser, type Page } from '@playwright/test';
import {
  chancePartsOf,
  drawChance,
  newBuild,
  planBuild,
  planHeat,
  planShopping,
  readBuildFile,
  solveHeight,
  solveLevel,
  startingPantry,
  type Build,
} from '../core/src/index.ts';
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

/** Runs `work` so many times and keeps what the later runs took, in ms. */
function timed(times: number, warm: number, work: (run: number) => void): number[] {
  const samples: number[] = [];
  for (let run = 0; run < times; run++) {
    const started = performance.now();
    work(run);
    if (run >= warm) samples.push(performance.now() - started);
  }
  return samples;
}

function demo(name: string): Build {
  const text = readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8');
  const read = readBuildFile(text);
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.build;
}

/** The whole plan of the three-tier demo cake, after warming up. */
function plan(): Measure {
  const build = demo('jubilee');
  const pantry = startingPantry();
  const samples = timed(1200, 600, (run) => {
    // another layer each time, so that nothing can be kept from the last plan
    build.tiers[0]!.layers[1]!.heightMm = 20 + (run % 211) / 40;
    planBuild(build, pantry);
  });
  return measure('plan', 'ms', samples, 4, 'median');
}

/** Every way to a height from 12 tins, up to 8 layers. */
function heightSolver(): Measure {
  const pantry = startingPantry();
  const sponge = pantry.sponges.find((row) => row.id === 'butter')!;
  const spread = pantry.spreads.find((row) => row.id === 'cream')!;
  const tin = pantry.tins.find((row) => row.id === 'round-20')!;
  // twelve that are all large enough, of different depths
  const tins = Array.from({ length: 12 }, (_, i) => ({
    ...tin,
    id: `tin-${i}`,
    depthMm: 45 + 5 * i,
  }));
  const tier = newBuild('b', 'Bench', '2027-05-03T09:30:00Z').tiers[0]!;
  const samples = timed(40, 8, (run) => {
    solveHeight({
      heightMm: 100 + run,
      tier,
      layerMm: [10, 50],
      gapMm: [3, 15],
      fillingShare: 0.25,
      stepMm: 1,
      maxLayers: 8,
      sponge,
      spread,
      coatSpread: spread,
      tins,
      kitchen: pantry.kitchen,
      onlyOwned: true,
    });
  });
  return measure('height-solver', 'ms', samples, 150, 'median');
}

/** The exact turns of 8 layers, other tilts each time. */
function levelSolver(): Measure {
  const samples = timed(30, 6, (run) => {
    solveLevel(
      Array.from({ length: 8 }, (_, i) => {
        const [a, b] = [3 * Math.sin(7 * run + 3 * i), 3 * Math.cos(5 * run + 11 * i)];
        return {
          fit: { meanMm: 25, a, b, tiltMm: Math.hypot(a, b), highAt: 0, roughMm: 0.2 },
          radiusMm: 100,
          flipped: false,
        };
      }),
    );
  });
  return measure('level-solver', 'ms', samples, 50, 'median');
}

/** One cake from the oven to the table, with its curves. */
function heatCurve(): Measure {
  const { kitchen } = startingPantry();
  const samples = timed(60, 12, (run) => {
    const outline = { kind: 'round', diameterMm: 200 + run } as const;
    planHeat({
      baking: { outline, depthMm: 50, ovenC: 175, startC: 20 },
      rule: { ovenC: 175, minutes: 30, tinMm: 200, depthMm: 50 },
      slower: 1,
      cake: { outline, heightMm: 50, densityGPerMl: 0.44 },
      layer: { outline, heightMm: 24, densityGPerMl: 0.44 },
      tier: { outline, heightMm: 110, densityGPerMl: 0.6 },
      kitchen,
    });
  });
  return measure('heat-curve', 'ms', samples, 30, 'median');
}

/** 5,000 simulated cakes for all bowls of the three-tier demo. */
function chance(): Measure {
  const plan = planBuild(demo('jubilee'), startingPantry());
  if (!plan.bowls.ok) throw new Error(plan.bowls.problem);
  const bowls = plan.bowls.value.map((bowl) => ({
    id: bowl.id,
    parts: chancePartsOf(bowl),
    madeG: bowl.makeG,
  }));
  const samples = timed(30, 5, (seed) => {
    drawChance({ bowls, draws: 5000, seed, short: 0.05 });
  });
  return measure('chance-5000', 'ms', samples, 500, 'median');
}

/** The shopping for 50 cakes, each planned from scratch. */
function shopping(): Measure {
  const names = ['meridian', 'jubilee', 'harbour-light', 'fig-and-walnut', 'star-party'];
  const pantry = startingPantry();
  const builds = Array.from({ length: 50 }, (_, i) => ({
    ...demo(names[i % names.length]!),
    id: `cake-${i}`,
  }));
  const samples = timed(20, 5, (run) => {
    for (const build of builds) build.tiers[0]!.layers[0]!.heightMm = 20 + (run % 97) / 40;
    planShopping(builds, pantry, 2);
  });
  return measure('shopping-50', 'ms', samples, 100, 'median');
}

/** A letter typed into the search over 3,000 ingredients, until the table has been painted. */
async function pantryFilter(browser: Browser, url: string): Promise<Measure> {
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
  heightSolver(),
  levelSolver(),
  heatCurve(),
  chance(),
  shopping(),
  await pantryFilter(browser, url),
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
