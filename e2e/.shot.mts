import { chromium } from '@playwright/test';
// usage: tsx shot.mts name url [w h] [js actions file]
const steps = JSON.parse(process.argv[2]!) as any[];
const b = await chromium.launch({ executablePath:'/usr/bin/chromium', args:['--no-sandbox','--disable-background-networking','--disable-component-update','--disable-sync','--disable-gpu','--no-first-run'] });
const ctx = await b.newContext({ viewport:{width:1280,height:800}, serviceWorkers:'block' });
const p = await ctx.newPage();
p.on('console', m => { if (['error','warning'].includes(m.type())) console.log('CONSOLE', m.type(), m.text()); });
p.on('pageerror', e => console.log('PAGEERROR', e.message, e.stack?.split('\n').slice(0,4).join('\n')));
for (const s of steps) {
  if (s.goto) await p.goto('http://127.0.0.1:4180'+s.goto, {waitUntil:'networkidle'});
  if (s.size) await p.setViewportSize({width:s.size[0],height:s.size[1]});
  if (s.click) await p.click(s.click, {timeout:5000});
  if (s.press) await p.keyboard.press(s.press);
  if (s.fill) { await p.fill(s.fill[0], s.fill[1]); await p.keyboard.press('Enter'); }
  if (s.wait) await p.waitForTimeout(s.wait);
  if (s.eval) console.log(JSON.stringify(await p.evaluate(s.eval)));
  if (s.shot) await p.screenshot({path:'/tmp/'+s.shot+'.png'});
}
await b.close();
