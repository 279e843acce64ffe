import { expect, keptAtBench, saved, test } from './support.ts';
import type { Locator, Page } from '@playwright/test';

/** Goes on with Tab until something has focus, as who uses no mouse does. */
async function tabTo(page: Page, what: Locator, most = 150): Promise<void> {
  await expect(what).toBeVisible();
  for (let i = 0; i < most; i++) {
    if (await what.evaluate((el) => el === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab does not come to it in ${most} strokes.`);
}

test('the whole way from New cake to the last step at the bench by the keyboard alone', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/');
  await expect(page.getByRole('article').first()).toBeVisible();
  // past the bar to the content, first of all
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('#content')).toBeFocused();

  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/new$/);
  await tabTo(page, page.getByRole('textbox', { name: 'Guests' }));
  await page.keyboard.type('24');
  await tabTo(page, page.getByRole('combobox', { name: 'Filling' }));
  await page.keyboard.type('strawberry');
  await tabTo(page, page.getByRole('textbox', { name: 'Occasion' }), 300);
  await page.keyboard.type('By keyboard');
  const take = page.getByTestId('take-design-0');
  await expect(take).toBeEnabled({ timeout: 45_000 });
  await tabTo(page, take, 300);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/stack$/);
  // a new page has focus at its content, and says where one is
  await expect(page.locator('#content')).toBeFocused();
  await saved(page);

  await page.keyboard.press('b');
  await expect(page.getByTestId('step')).toBeVisible();
  const next = page.getByTestId('next');
  await tabTo(page, next);
  for (let steps = 0; (await next.innerText()).startsWith('Done'); steps++) {
    expect(steps).toBeLessThan(120);
    const title = await page.getByTestId('step').locator('h1').innerText();
    await page.keyboard.press('Enter');
    // the button stays where it is, and the next step is told
    if ((await next.innerText()).startsWith('Done'))
      await expect(page.getByTestId('step').locator('h1')).not.toHaveText(title);
    await expect(next).toBeFocused();
  }
  await page.keyboard.press('Enter');
  await expect(next).toHaveText('Take it up again');
  await keptAtBench(page);
});

test('letters alone do nothing once they are switched off', async ({ page }) => {
  await page.goto('/help#keys');
  const single = page.getByTestId('single-keys').getByRole('checkbox');
  await expect(single).toBeChecked();
  await single.uncheck();
  await page.goto('/build/meridian/stack');
  await expect(page.getByTestId('sheet-title')).toBeVisible();
  await page.keyboard.press('b');
  await page.keyboard.press('?');
  await expect(page).toHaveURL(/\/stack$/);
  await expect(page.getByRole('dialog')).toHaveCount(0);
});
