import { expect, type Page } from '@playwright/test';

const turns = (stage: string, ids: string): string[] =>
  ids.split(' ').map((id) => `/build/jubilee/${stage}?turn=${id}`);

/** Every screen that has an address of its own, and each turn of it. */
export const screens: readonly string[] = [
  ...[
    '/',
    '/new',
    '/calendar',
    '/calendar?by=week',
    '/shopping',
    '/learnt',
    '/learnt?turn=practice',
    '/help',
    '/backup',
    '/backup?turn=devices',
    '/nowhere',
  ],
  ...'sponges spreads tins boards others recipes foods ganaches dowels stock kitchen'
    .split(' ')
    .map((table) => `/pantry?table=${table}`),
  '/build/jubilee/brief',
  ...turns('stack', 'layers height level fillings centre'),
  ...turns('bake', 'tins oven heat cut bowl'),
  ...turns('carve', 'cuts carved offcuts guides stackfor'),
  ...turns('coat', 'coat covers bowls chance right cost'),
  ...turns('finish', 'drips ganache pour piping toppings right'),
  ...turns('support', 'stand dowels cut road count'),
  ...turns('day', 'hours tasks lists keeping warmth now log'),
  '/build/meridian/bench',
  '/build/meridian/print',
  '/build/jubilee/offer',
];

/** Opens a screen and waits until it stands. */
export async function openScreen(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.locator('h1').first().waitFor();
  const turn = new URL(path, page.url()).searchParams.get('turn');
  if (turn) await expect(page.getByTestId(`tab-${turn}`)).toHaveAttribute('aria-selected', 'true');
  // parts of it are fetched when it opens: until two looks in turn find as much of it
  let before = -1;
  await expect
    .poll(async () => {
      const now = await page.locator('body *').count();
      const stands = now === before;
      before = now;
      return stands;
    })
    .toBe(true);
  await expect(page.locator('.chart:not([data-ready=true])')).toHaveCount(0);
  await expect(page.getByTestId('carving-note')).toHaveCount(0, { timeout: 60_000 });
}

/** A sheet that runs off its place, in either unit system; the units are as before then. */
export async function beyondSheet(page: Page): Promise<string[]> {
  const sheet = page.locator('.sheet');
  if ((await sheet.count()) === 0) return [];
  const found: string[] = [];
  for (let system = 0; system < 2; system += 1) {
    const [wide, room, units] = await sheet.evaluate(
      (e) =>
        [
          e.scrollWidth,
          e.clientWidth,
          document.querySelector<HTMLElement>('.units')?.innerText,
        ] as const,
    );
    if (wide > room) found.push(`runs off its sheet by ${wide - room} px in ${units}`);
    await page.getByTestId('units').click();
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(done)));
  }
  return found;
}

/** What is wider than the screen and cannot be reached by scrolling in a place of its own. */
export const beyondEdge = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const wide = innerWidth + 1;
    const found: string[] = [];
    if (document.documentElement.scrollWidth > wide) found.push('the page scrolls sideways');
    for (const element of document.querySelectorAll('body *')) {
      const box = element.getBoundingClientRect();
      if (box.width === 0 || box.height === 0 || box.right <= wide) continue;
      if (element.closest('.visually-hidden, svg')) continue;
      let own = element.parentElement;
      while (own && !/auto|scroll/.test(getComputedStyle(own).overflowX)) own = own.parentElement;
      // what a row of tabs has beside it, its arrows bring
      if (own ?? element.closest('.v-slide-group__container')) continue;
      found.push(`${element.tagName} ${element.className} ends at ${Math.round(box.right)} px`);
    }
    return found.slice(0, 3);
  });

/** What a finger has to hit that is less than 44 px high or wide; what is part of a drawing left out. */
export const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const least = 43.5;
    const found: string[] = [];
    for (const element of document.querySelectorAll<HTMLElement>(
      'a[href], button, input, select, textarea, [role="button"], [role="checkbox"], summary',
    )) {
      if (element.closest('svg, .visually-hidden, [aria-hidden="true"]')) continue;
      // a box that is ticked is hit with its words
      const target = element.closest('label, .v-selection-control, .v-field') ?? element;
      const box = target.getBoundingClientRect();
      const { visibility, opacity } = getComputedStyle(element);
      if (box.width < 2 || box.height < 2 || visibility === 'hidden' || opacity === '0') continue;
      if (box.height < least || box.width < least)
        found.push(
          `${target.tagName} ${target.className} “${(target as HTMLElement).innerText.slice(0, 20)}” ${Math.round(box.width)} × ${Math.round(box.height)}`,
        );
    }
    return found;
  });
