import { expect, test } from '@playwright/test';
import { randomFrom } from '@pyrgotect/core';
import { demoCount } from './support.ts';
import { dropProfile, editAndKill, heightIn, newProfile, openProfile } from './killing.ts';

/* The program is ended as a crash ends it. The script of this name does it a thousand times. */

test('what was called saved is there after each of fifty kills', async ({ baseURL }) => {
  test.setTimeout(600_000);
  const profile = newProfile();
  try {
    const first = await openProfile(profile);
    await first.page.goto(baseURL!);
    await expect(first.page.getByRole('article')).toHaveCount(demoCount);
    let expected = await heightIn(first.page, baseURL!);
    await first.kill();
    const random = randomFrom(50);
    for (let i = 0; i < 50; i += 1) {
      const { found, kept } = await editAndKill(profile, baseURL!, random);
      expect(found, `after kill ${i}`).toBe(expected);
      expected = kept;
    }
  } finally {
    dropProfile(profile);
  }
});
