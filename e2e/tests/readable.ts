import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Looks a page over for what breaks a rule; what keeps them all is not gathered, and no second page opened for it. */
export const axeOf = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });

/**
 * That everybody can read and operate a page, or a part of it, by light and by dark. The schemes
 * differ in nothing but their colours, so that only they are looked at again.
 *
 * @param within where the rest of the page has been looked at before
 */
export async function expectReadable(page: Page, what: string, within?: string): Promise<void> {
  const found: string[] = [];
  const look = async (scheme: 'light' | 'dark', axe: AxeBuilder): Promise<void> => {
    await page.emulateMedia({ colorScheme: scheme });
    const { violations } = await (within ? axe.include(within) : axe).analyze();
    found.push(...violations.map((v) => `${what}, ${scheme}, ${v.id}: ${v.nodes[0]?.html}`));
  };
  await look('dark', axeOf(page).withRules(['color-contrast']));
  await look('light', axeOf(page).disableRules(['region', 'page-has-heading-one']));
  expect(found).toEqual([]);
}
