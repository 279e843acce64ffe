import AxeBuilder from '@axe-core/playwright';
import { beyondEdge, openScreen, screens, smallTargets } from './screens.ts';
import { expect, test } from './support.ts';

/* Every screen, for every hand: read by all rules, on every size, under a finger. */

/** Parts of the screens, so that two are looked at at once. */
const halves = [0, 1].map((which) => screens.filter((_, i) => i % 2 === which));
/** As a phone is held, on its side, a tablet; and a desk's page at 400 percent. */
const sizes = [
  { width: 390, height: 844 },
  { width: 844, height: 390 },
  { width: 800, height: 1280 },
  { width: 320, height: 480 },
];

const desk = { width: 1280, height: 800 };

for (const [i, some] of halves.entries())
  test.describe('every screen', () => {
    test.use({ viewport: sizes[0]!, hasTouch: true, isMobile: true });
    test(`keeps all rules, and nothing is beyond the edge or too small to hit, part ${i + 1}`, async ({
      page,
    }) => {
      test.setTimeout(400_000);
      const found: string[] = [];
      for (const [k, path] of some.entries()) {
        // by turns on a phone by night and on a desk by light: all of both would take ten minutes
        const isNight = k % 2 === 0;
        await page.emulateMedia({ colorScheme: isNight ? 'dark' : 'light' });
        await page.setViewportSize(isNight ? sizes[0]! : desk);
        await openScreen(page, path);
        const { violations } = await new AxeBuilder({ page }).analyze();
        found.push(...violations.map((v) => `${path} ${v.id}: ${v.nodes[0]?.html.slice(0, 120)}`));
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
