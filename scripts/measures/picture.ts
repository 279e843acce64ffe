import type { Browser, Page } from '@playwright/test';
import { fill } from './page.ts';
import { measure, type Measure } from './measure.ts';

/* The solid picture, drawn by the machine's processor alone where it has no graphics. */

const canvas = '[data-test="picture-canvas"]';

/** A cake of the demo, opened where no picture is. */
async function opened(browser: Browser, url: string, cakes: number): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
  });
  const page = await context.newPage();
  // the loader of this script adds a helper to named functions that a page does not have
  await page.addInitScript('globalThis.__name = (f) => f');
  await page.goto(url, { waitUntil: 'networkidle' });
  await fill(page, cakes, 'jubilee');
  await page.goto(`${url}/build/cake-0/stack`, { waitUntil: 'networkidle' });
  // the carving is worked out first
  await page.waitForTimeout(5000);
  return page;
}
/** Until the picture shows something, ms from now. */
const untilDrawn = (page: Page, press: string): Promise<number> =>
  page.evaluate(
    async ({ canvas, press }) => {
      const started = performance.now();
      document.querySelector<HTMLElement>(press)!.click();
      for (;;) {
        await new Promise((done) => requestAnimationFrame(done));
        const at = document.querySelector<HTMLCanvasElement>(canvas);
        const gl = at?.getContext('webgl2');
        if (!gl || at!.width < 100) continue;
        const middle = new Uint8Array(4);
        gl.readPixels(at!.width / 2, at!.height / 2, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, middle);
        if (middle[3]! > 0) return performance.now() - started;
        if (performance.now() - started > 20_000) throw new Error('no picture came');
      }
    },
    { canvas, press },
  );
const toBrief = 'nav[aria-label="Stages"] button:first-of-type';

/** From the press that opens the sheet to the first frame, the program's part for it fetched on the way. */
export async function pictureFirst(browser: Browser, url: string): Promise<Measure> {
  const samples: number[] = [];
  for (let i = 0; i < 4; i++) {
    const page = await opened(browser, url, 1);
    samples.push(await untilDrawn(page, toBrief));
    await page.context().close();
  }
  return measure('picture-first', 'ms', samples, 1500, 'median');
}

/** From an event to the frame in which the picture is another, with all of it drawn. */
const frames = (page: Page, act: 'turn' | 'undo', times: number): Promise<number[]> =>
  page.evaluate(
    async ({ canvas, act, times }) => {
      const at = document.querySelector<HTMLCanvasElement>(canvas)!;
      const gl = at.getContext('webgl2')!;
      // reading it all tells one picture from another, and waits until it is drawn
      const look = {
        seen: (): string => {
          const all = new Uint8Array(at.width * at.height * 4);
          gl.readPixels(0, 0, at.width, at.height, gl.RGBA, gl.UNSIGNED_BYTE, all);
          let sum = at.width;
          for (let i = 0; i < all.length; i += 13) sum = (sum * 31 + all[i]!) % 1_000_003;
          return String(sum);
        },
      };
      const taken: number[] = [];
      for (let i = 0; i < times; i++) {
        const before = look.seen();
        const started = performance.now();
        const key = act === 'turn' ? { key: 'ArrowRight' } : { key: i % 2 ? 'Z' : 'z', ctrlKey: true, shiftKey: i % 2 === 1 }; // prettier-ignore
        (act === 'turn' ? at : document.body).dispatchEvent(
          new KeyboardEvent('keydown', { ...key, bubbles: true }),
        );
        do {
          await new Promise((done) => requestAnimationFrame(done));
          if (performance.now() - started > 5000)
            throw new Error(`picture: nothing came of ${act}`);
        } while (look.seen() === before);
        if (i >= 4) taken.push(performance.now() - started);
      }
      return taken;
    },
    { canvas, act, times },
  );

/** Turned by keys, and an edit taken back and put back. */
export async function pictureMoves(browser: Browser, url: string): Promise<Measure[]> {
  const page = await opened(browser, url, 1);
  await untilDrawn(page, toBrief);
  await page.waitForTimeout(3000);
  const turned = await frames(page, 'turn', 64);
  await page.locator('nav[aria-label="Stages"] button').nth(4).click();
  await page.waitForTimeout(2000);
  const coat = page.getByRole('textbox', { name: 'Coat on the side' }).first();
  await coat.fill('9');
  await coat.press('Enter');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.waitForTimeout(2500);
  const edited = await frames(page, 'undo', 24);
  await page.context().close();
  return [
    measure('picture-frame', 'ms', turned, 60, 'p95'),
    measure('picture-edit', 'ms', edited, 120, 'median'),
  ];
}

/** Cakes opened and left again: what the page holds after so many, over what it held after ten, MB. */
export async function pictureHeap(browser: Browser, url: string): Promise<Measure> {
  const page = await opened(browser, url, 3);
  const session = await page.context().newCDPSession(page);
  const held = async (): Promise<number> => {
    await session.send('HeapProfiler.collectGarbage');
    const { usedSize } = (await session.send('Runtime.getHeapUsage')) as { usedSize: number };
    return usedSize / 1e6;
  };
  const stack = 'nav[aria-label="Stages"] button:nth-of-type(2)';
  let after10 = 0;
  for (let i = 0; i < 50; i++) {
    await untilDrawn(page, toBrief);
    await page.evaluate((press) => document.querySelector<HTMLElement>(press)!.click(), stack);
    await page.waitForTimeout(150);
    if (i === 9) after10 = await held();
  }
  const grown = (await held()) - after10;
  await page.context().close();
  return measure('picture-heap', 'MB', [grown], 5, 'median');
}
