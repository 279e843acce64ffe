import { chromium } from '@playwright/test';
import { buildServer } from '../server/src/server.ts';
import {
  chance,
  dripInverse,
  drips,
  handRecords,
  heatCurve,
  heightSolver,
  levelSolver,
  operations,
  plan,
  planEdit,
  planSame,
  shopping,
  supportLayout,
  replan,
  scheduleExact,
  schedule,
} from './measures/core.ts';
import { backups } from './measures/backup.ts';
import { drafts, firstDraft, resized } from './measures/designs.ts';
import { mergeTenThousand, planAny } from './measures/withstand.ts';
import { carving } from './measures/carve.ts';
import type { Measure } from './measures/measure.ts';
import { syncTick } from './measures/pairing.ts';
import { pictureFirst, pictureHeap, pictureMoves } from './measures/picture.ts';
import {
  benchStep,
  editRepaint,
  firstLoad,
  firstPaint,
  pantryFilter,
  shelf,
  supportDrag,
} from './measures/page.ts';

/*
 * Takes measures and prints each beside its budget as it is taken: all but those of minutes, or the ones
 * that are named.
 */

type Taken = Measure | Measure[];
const usual: Record<string, () => Taken | Promise<Taken>> = {
  'first-load': () => firstLoad(browser, url),
  'first-paint': () => firstPaint(browser, url),
  shelf: () => shelf(browser, url),
  'bench-step': () => benchStep(browser, url),
  'edit-repaint': () => editRepaint(browser, url),
  'support-drag': () => supportDrag(browser, url),
  'picture-first': () => pictureFirst(browser, url),
  picture: () => pictureMoves(browser, url),
  'pantry-filter': () => pantryFilter(browser, url),
  backup: () => backups(browser, url),
  'sync-tick': () => syncTick(browser, url),
  plan,
  operations,
  'plan-edit': planEdit,
  'plan-same': planSame,
  height: heightSolver,
  level: levelSolver,
  heat: heatCurve,
  chance,
  shopping,
  drips,
  'drip-inverse': dripInverse,
  support: supportLayout,
  schedule,
  replan,
  'schedule-exact': scheduleExact,
  hand: handRecords,
  drafts: () => [drafts(75), drafts(300), firstDraft(75), firstDraft(300)],
  resize: resized,
  carving,
};
/** Minutes each: taken when they are named. */
const long: typeof usual = {
  'merge-10000': mergeTenThousand,
  'plan-any': planAny,
  'picture-heap': () => pictureHeap(browser, url),
};

const asked = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const unknown = asked.filter((name) => !(name in usual) && !(name in long));
if (unknown.length > 0)
  throw new Error(
    `No measure is called ${unknown.join(', ')}. There are ${Object.keys({ ...usual, ...long }).join(', ')}.`,
  );
const server = await buildServer();
await server.listen({ port: 0, host: '127.0.0.1' });
const address = server.server.address();
if (address === null || typeof address === 'string') throw new Error('no port');
const url = `http://127.0.0.1:${address.port}`;
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-background-networking', '--disable-gpu', '--no-first-run'],
});
const isJson = process.argv.includes('--json');
const all: Measure[] = [];
for (const [name, take] of Object.entries({ ...usual, ...long })) {
  if (asked.length > 0 ? !asked.includes(name) : name in long) continue;
  for (const m of [await take()].flat()) {
    all.push(m);
    if (isJson) continue;
    const figure = (n: number): string => `${n.toFixed(n < 10 ? 2 : 0)} ${m.unit}`.padStart(10);
    process.stdout.write(
      `${m.name.padEnd(16)} median ${figure(m.median)}   p95 ${figure(m.p95)}   budget ${figure(m.budget)} ${m.by.padEnd(6)}  ${m[m.by] <= m.budget ? 'within' : 'over'}\n`,
    );
  }
}
await browser.close();
await server.close();
if (isJson) process.stdout.write(`${JSON.stringify(all, null, 2)}\n`);
