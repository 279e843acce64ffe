import { expect, test } from '@playwright/test';
import { demoState } from './demo-state.ts';
import { demoCount } from './support.ts';

test('the demo is laid on an empty shelf', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('article')).toHaveCount(demoCount);
  // what the demo brings of carvings is kept a moment later
  await page.goto('/build/harbour-light/carve');
  await expect(page.getByTestId('sheet-title')).toContainText('stand', { timeout: 90_000 });
  await page.context().storageState({ path: demoState, indexedDB: true });
});
