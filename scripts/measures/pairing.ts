import type { Browser, Page } from '@playwright/test';
import { measure, type Measure } from './measure.ts';

/** A tick at one bench until it is painted at another, on one machine. */
export async function syncTick(browser: Browser, url: string): Promise<Measure> {
  const newDevice = async (): Promise<Page> => {
    const context = await browser.newContext({ serviceWorkers: 'block', locale: 'en-GB' });
    // what runs a script here gives its functions names, which a page knows nothing of
    await context.addInitScript('globalThis.__name = (f) => f');
    return context.newPage();
  };
  const [desk, tablet] = [await newDevice(), await newDevice()];
  const at = (page: Page, name: string) => page.locator(`[data-test=${name}]`);
  await desk.goto(url, { waitUntil: 'networkidle' });
  await desk.locator('[data-test=bring-examples]').click();
  await desk.locator('article').nth(13).waitFor();
  await desk.goto(`${url}/backup?turn=devices`);
  await at(desk, 'show-code').click();
  const code = await at(desk, 'code').innerText();
  await tablet.goto(`${url}/backup?turn=devices`);
  await tablet.getByLabel('Code that the other device shows').fill(code);
  await at(tablet, 'join').click();
  await at(tablet, 'device').nth(1).waitFor();
  await tablet.goto(url);
  await tablet.locator('article').nth(13).waitFor();
  for (const page of [desk, tablet]) {
    await page.goto(`${url}/build/meridian/bench`);
    await at(page, 'hands-left').waitFor();
  }
  const left = (page: Page): Promise<string> => at(page, 'hands-left').innerText();
  const samples: number[] = [];
  for (let i = 0; i < 24; i++) {
    const before = await left(desk);
    const painted = desk.evaluate(
      (shown) =>
        new Promise<number>((done) => {
          const look = (): void => {
            const now = document.querySelector('[data-test=hands-left]')?.textContent ?? '';
            if (now.trim() === shown.trim()) requestAnimationFrame(look);
            // both browsers go by the clock of one machine
            else done(Date.now());
          };
          look();
        }),
      before,
    );
    const pressed = await at(tablet, 'next').evaluate((button: HTMLElement) => {
      const now = Date.now();
      button.click();
      return now;
    });
    // a step without hands moves nothing
    const took = await Promise.race([
      painted,
      new Promise<null>((no) => setTimeout(no, 5000, null)),
    ]);
    if (took !== null && i > 3) samples.push(took - pressed);
    if (took === null) await desk.reload().then(() => at(desk, 'hands-left').waitFor());
    await tablet.waitForTimeout(150);
  }
  await desk.context().close();
  await tablet.context().close();
  if (samples.length < 8) throw new Error(`only ${samples.length} ticks were seen`);
  return measure('sync-tick', 'ms', samples, 250, 'p95');
}
