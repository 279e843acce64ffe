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
import { drafts, firstDraft, resized } from './measures/designs.ts';
import { mergeTenThousand, planAny } from './measures/withstand.ts';
import { carving } from './measures/carve.ts';
import {
  benchStep,
  editRepaint,
  firstLoad,
  pantryFilter,
  shelf,
  supportDrag,
} from './measures/page.ts';

/* Takes every measure and prints it beside its budget. */

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
  operations(),
  planEdit(),
  planSame(),
  heightSolver(),
  levelSolver(),
  heatCurve(),
  chance(),
  shopping(),
  drips(),
  dripInverse(),
  supportLayout(),
  schedule(),
  replan(),
  scheduleExact(),
  handRecords(),
  drafts(75),
  drafts(300),
  firstDraft(75),
  firstDraft(300),
  resized(),
  mergeTenThousand(),
  planAny(),
  ...(await carving()),
  await pantryFilter(browser, url),
  await editRepaint(browser, url),
  await supportDrag(browser, url),
  await benchStep(browser, url),
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
