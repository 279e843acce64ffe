import { axeOf } from './readable.ts';
import { beyondEdge, beyondSheet, openScreen, screens, smallTargets } from './screens.ts';
import { expect, test } from './support.ts';

/* Every screen, for every hand: read by all rules, on every size, under a finger. */

/** Parts of the screens, so that two are looked at at once and none takes minutes. */
const count = 6;
const parts = Array.from({ length: count }, (_, n) => screens.filter((_, i) => i % count === n));
/** As a phone is held, on its side, a tablet; and a desk's page at 400 percent. */
const sizes = [
  { width: 390, height: 844 },
  { width: 844, height: 390 },
  { width: 800, height: 1280 },
  { width: 320, height: 480 },
];
/** Read by all rules: on a desk by light, and as it is held by night. */
const looks = [
  { size: { width: 1280, height: 800 }, colorScheme: 'light' },
  { size: sizes[0]!, colorScheme: 'dark' },
] as const;

for (const [i, some] of parts.entries())
  test.describe('every screen', () => {
    test.use({ viewport: looks[0].size, hasTouch: true, isMobile: true });
    test(`keeps all rules, and nothing is beyond the edge or too small to hit, part ${i + 1}`, async ({
      page,
    }) => {
      test.setTimeout(400_000);
      const found: string[] = [];
      for (const path of some) {
        await page.setViewportSize(looks[0].size);
        await openScreen(page, path);
        found.push(...(await beyondSheet(page)).map((each) => `${path} ${each}`));
        for (const { size, colorScheme } of looks) {
          await page.emulateMedia({ colorScheme });
          await page.setViewportSize(size);
          const { violations } = await axeOf(page).analyze();
          found.push(
            ...violations.map(
              (v) => `${path} ${colorScheme} ${v.id}: ${v.nodes[0]?.html.slice(0, 120)}`,
            ),
          );
        }
        for (const size of sizes) {
          await page.setViewportSize(size);
          // the drawings take the new size with the next frame
          await page.evaluate(() => new Promise((done) => requestAnimationFrame(done)));
          const wrong = [...(await beyondEdge(page)), ...(await smallTargets(page))];
          found.push(...wrong.map((each) => `${path} at ${size.width} px: ${each}`));
        }
      }
      expect(found).toEqual([]);
    });
  });
