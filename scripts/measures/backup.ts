import type { Browser } from '@playwright/test';
import { demo, measure, type Measure } from './measure.ts';

/* A kitchen of 200 cakes and 400 photos as one file, and read back into an empty browser. */

const cakeNames = ['meridian', 'aurora', 'equinox', 'jubilee'];
const cakeCount = 200;
const photoBytes = 200_000;

export async function backups(browser: Browser, url: string): Promise<Measure[]> {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.goto(url, { waitUntil: 'networkidle' });
  await page.evaluate(
    async ({ cakes, count, size }) => {
      const db = await new Promise<IDBDatabase>((done, fail) => {
        const open = indexedDB.open('pyrgotect');
        open.onsuccess = () => done(open.result);
        open.onerror = () => fail(new Error('no database'));
      });
      const work = db.transaction(['builds', 'shelf', 'photos'], 'readwrite');
      const at = '2027-05-03T09:30:00.000Z';
      // the heads of a photo of 1280 by 960 pixels, and noise
      const head = [
        ...[0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 0, 0, 1, 0, 1, 0, 0],
        ...[0xff, 0xc0, 0, 17, 8, 3, 192, 5, 0, 3, 1, 0x22, 0, 2, 0x11, 1, 3, 0x11, 1],
      ];
      for (let i = 0; i < count; i++) {
        const id = `cake-${i}`;
        const build = { ...cakes[i % cakes.length]!, id, name: `Cake ${i}` };
        work.objectStore('builds').put({ id, revision: 1, build });
        work.objectStore('shelf').put({
          ...{ id, name: build.name, occasion: '', serveAt: null, servings: 12, updatedAt: at },
          ...{ finished: false, customer: '', order: 'open', isPattern: false },
        });
        for (let n = 0; n < 2; n++) {
          const bytes = new Uint8Array(size).map(() => Math.random() * 254);
          bytes.set(head);
          const blob = new Blob([bytes], { type: 'image/jpeg' });
          work.objectStore('photos').put({ id: `${id}-photo-${n}`, buildId: id, at, blob });
        }
      }
      await new Promise((done) => (work.oncomplete = done));
      db.close();
    },
    { cakes: cakeNames.map(demo), count: cakeCount, size: photoBytes },
  );
  await page.goto(`${url}/backup`, { waitUntil: 'networkidle' });
  const make = async (): Promise<{ ms: number; path: string }> => {
    const started = performance.now();
    const waiting = page.waitForEvent('download');
    await page.locator('[data-test=save-backup]').click();
    const download = await waiting;
    const ms = performance.now() - started;
    return { ms, path: await download.path() };
  };
  const first = await make();
  const second = await make();
  const restored: number[] = [];
  for (let run = 0; run < 2; run++) {
    const empty = await browser.newContext({ serviceWorkers: 'block' });
    const there = await empty.newPage();
    await there.goto(`${url}/backup`, { waitUntil: 'networkidle' });
    // the file is carried to the browser of the test first, which is none of the program's
    const begun = there.locator('[data-test=read-backup] [role=progressbar]').waitFor();
    await there.locator('[data-test=read-backup] input[type=file]').setInputFiles(second.path);
    await begun;
    const started = performance.now();
    await there.locator('[data-test=backup-changes]').waitFor({ timeout: 60_000 });
    const read = performance.now() - started;
    const again = performance.now();
    await there.locator('[data-test=take-backup]').click();
    await there.locator('[data-test=backup-taken]').waitFor({ timeout: 60_000 });
    restored.push(read + performance.now() - again);
    await empty.close();
  }
  await context.close();
  return [
    measure('backup-200', 'ms', [first.ms, second.ms], 3000, 'p95'),
    measure('restore-200', 'ms', restored, 5000, 'p95'),
  ];
}
