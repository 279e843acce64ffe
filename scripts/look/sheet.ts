import { chromium, selectors } from '@playwright/test';
import { buildServer } from '../../server/src/server.ts';
selectors.setTestIdAttribute('data-test');
const [out, w, h, cols, scheme, ...paths] = process.argv.slice(2);
const server = await buildServer({ demo: true, today: '2027-05-15T12:00:00' });
await server.listen({ port: 0, host: '127.0.0.1' });
const a = server.server.address(); if (!a || typeof a === 'string') throw 0;
const url = `http://127.0.0.1:${a.port}`;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu'] });
const W = Number(w), H = Number(h);
const touch = Math.min(W, H) < 600 || process.env.TOUCH === '1';
const ctx = await browser.newContext({ viewport: { width: W, height: H }, hasTouch: touch, isMobile: touch, locale: process.env.LOCALE ?? 'en-GB', serviceWorkers: 'block', colorScheme: scheme === 'night' ? 'dark' : 'light', reducedMotion: 'reduce' });
const page = await ctx.newPage();
page.on('pageerror', (e) => console.log('PAGEERROR', e.message.slice(0, 300)));
await page.clock.setFixedTime(new Date('2027-06-10T09:00:00'));
await page.goto(url + '/'); await page.waitForTimeout(3000);
const shots: string[] = [];
for (const p of paths) {
  const [path, scroll] = p.split('@');
  await page.goto(url + path); await page.waitForTimeout(1500);
  if (scroll) { if (/^\d+$/.test(scroll)) await page.mouse.wheel(0, Number(scroll)); else await page.getByTestId(scroll).first().click(); await page.waitForTimeout(700); }
  shots.push((await page.screenshot()).toString('base64'));
}
const c = Number(cols);
const board = await browser.newPage({ viewport: { width: c * (W + 12), height: Math.ceil(shots.length / c) * (H + 12) } });
await board.setContent(`<body style="margin:0;background:#888;display:grid;grid-template-columns:repeat(${c},${W}px);gap:12px">${shots.map((s) => `<img width=${W} height=${H} src="data:image/png;base64,${s}">`).join('')}</body>`);
await board.waitForTimeout(500);
await board.screenshot({ path: out });
await browser.close(); await server.close();
