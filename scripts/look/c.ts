import { open } from './kit.ts';
const { page, url, end } = await open();
await page.goto(url + '/build/meridian/finish');
await page.waitForTimeout(1500);
await page.screenshot({ path: '/tmp/c1.png' });
await end();
