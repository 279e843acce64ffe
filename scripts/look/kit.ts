import { chromium, selectors, type Page } from '@playwright/test';
selectors.setTestIdAttribute('data-test');
import { buildServer } from '../../server/src/server.ts';
export async function open(
  size: [number, number] = [1280, 800],
): Promise<{ page: Page; url: string; end: () => Promise<void> }> {
  const server = await buildServer({ demo: true, today: '2027-05-15T12:00:00' });
  await server.listen({ port: 0, host: '127.0.0.1' });
  const a = server.server.address();
  if (!a || typeof a === 'string') throw 0;
  const url = `http://127.0.0.1:${a.port}`;
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const ctx = await browser.newContext({
    viewport: { width: size[0], height: size[1] },
    locale: 'en-GB',
    serviceWorkers: 'block',
  });
  const page = await ctx.newPage();
  page.on('pageerror', (e) => console.log('PAGEERROR', e.message.slice(0, 300)));
  await page.clock.setFixedTime(new Date('2027-06-10T09:00:00'));
  await page.goto(url + '/');
  await page.waitForTimeout(2500);
  return {
    page,
    url,
    end: async () => {
      await browser.close();
      await server.close();
    },
  };
}
