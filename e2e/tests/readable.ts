import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

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
  await look('dark', new AxeBuilder({ page }).withRules(['color-contrast']));
  await look('light', new AxeBuilder({ page }).disableRules(['region', 'page-has-heading-one']));
  expect(found).toEqual([]);
}
