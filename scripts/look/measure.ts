import AxeBuilder from '@axe-core/playwright';
import { chromium, selectors } from '@playwright/test';
import { buildServer } from '../../server/src/server.ts';
import { screens } from './screens.ts';
selectors.setTestIdAttribute('data-test');
const [w, h, touch, withAxe, only] = process.argv.slice(2);
const server = await buildServer({ demo: true, today: '2027-05-15T12:00:00' });
await server.listen({ port: 0, host: '127.0.0.1' });
const a = server.server.address(); if (!a || typeof a === 'string') throw 0;
const url = `http://127.0.0.1:${a.port}`;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox', '--disable-gpu'] });
const ctx = await browser.newContext({ viewport: { width: Number(w), height: Number(h) }, hasTouch: touch === '1', isMobile: touch === '1', locale: 'en-GB', serviceWorkers: 'block', reducedMotion: 'reduce' });
const page = await ctx.newPage();
await page.addInitScript('globalThis.__name = (f) => f');
await page.clock.setFixedTime(new Date('2027-06-10T09:00:00'));
await page.goto(url + '/'); await page.waitForTimeout(3000);
const rules = new Map<string, number>(); let overflow = 0, small = 0, targets = 0; const kinds = new Map<string, number>();
for (const path of screens) {
  if (only && !path.includes(only)) continue;
  await page.goto(url + path); await page.waitForTimeout(900);
  const r = await page.evaluate((touch) => {
    const W = innerWidth;
    const out: string[] = [];
    const scrolls = (e: Element): boolean => { for (let p: Element | null = e.parentElement; p; p = p.parentElement) { const s = getComputedStyle(p); if (/(auto|scroll|hidden|clip)/.test(s.overflowX) && p !== document.body && p !== document.documentElement) return true; } return false; };
    for (const e of document.querySelectorAll('body *')) { const b = e.getBoundingClientRect(); if (b.width === 0 || b.height === 0) continue; if ((b.right > W + 1) && !scrolls(e) && getComputedStyle(e).position !== 'fixed' && !e.closest('.visually-hidden')) out.push(`${e.tagName.toLowerCase()}.${e.getAttribute('class')??''} ${Math.round(b.right)}`); }
    const wide = document.documentElement.scrollWidth > W || document.body.scrollWidth > W;
    const small: string[] = []; let n = 0;
    for (const e of document.querySelectorAll('a[href],button,input,select,textarea,[role=button],[role=tab],[role=checkbox],summary,label')) {
      if (e.closest('.visually-hidden') || e.closest('[aria-hidden=true]')) continue;
      if (e.tagName === 'LABEL' && !(e.querySelector('input'))) continue;
      const b = e.getBoundingClientRect(); if (b.width < 2 || b.height < 2) continue;
      const st = getComputedStyle(e); if (st.visibility === 'hidden' || st.opacity === '0' || e.classList.contains('visually-hidden')) continue;
      if ((e.tagName === 'INPUT') && e.closest('label')) continue;
      n++;
      // a target may reach further than its box
      const cy = b.top + b.height / 2, cx = b.left + b.width / 2;
      if (b.height < 43.5 || b.width < 43.5) small.push(`${e.tagName.toLowerCase()}.${(e.getAttribute('class')??'').split(' ').slice(0,2).join('.')} ${Math.round(b.width)}x${Math.round(b.height)}`);
    }
    return { wide, out: out.slice(0, 4), small, n };
  }, touch);
  if (r.wide || r.out.length) { overflow++; console.log('OVER', path, r.wide, r.out.join(' | ').slice(0, 300)); }
  small += r.small.length; targets += r.n;
  for (const s of r.small) { const k = path.split('?')[0]!.slice(0,22) + ' ' + s.replace(/ \d+x(\d+)$/, ' h$1'); kinds.set(k, (kinds.get(k) ?? 0) + 1); }
  if (withAxe === '1') {
    const { violations } = await new AxeBuilder({ page }).analyze();
    for (const v of violations) { rules.set(v.id, (rules.get(v.id) ?? 0) + v.nodes.length); console.log('AXE', path, v.id, v.nodes.length, (v.nodes[0]?.html ?? '').slice(0, 160)); }
  }
}
console.log({ w, h, overflow, targets, small }, rules);
if (touch === '1') console.log([...kinds].sort((x, y) => y[1] - x[1]).slice(0, 45).map(([k, n]) => `${n} ${k}`).join('\n'));
await browser.close(); await server.close();
