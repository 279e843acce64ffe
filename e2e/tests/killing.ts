import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';

/* A browser with a profile of its own that is ended as a crash ends it: without a word. */

const browser =
  process.env.CHROMIUM ??
  ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((path) => existsSync(path));

/** An empty profile; whoever asked for it drops it. */
export const newProfile = (): string => mkdtempSync(join(tmpdir(), 'kills-'));
/** Removes a profile. What cannot be removed yet is left to the system, which empties its folder. */
export function dropProfile(profile: string): void {
  try {
    rmSync(profile, { recursive: true, force: true });
  } catch {
    // a process that ends may write for a moment yet
  }
}
/** Ids of what runs with a profile. */
function running(profile: string): number[] {
  try {
    return execFileSync('pgrep', ['-f', profile]).toString().trim().split('\n').map(Number);
  } catch {
    // none
    return [];
  }
}

/** One window of a profile, and a way to end it as a crash does. */
export async function openProfile(
  profile: string,
): Promise<{ page: Page; kill: () => Promise<void> }> {
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: browser,
    args: ['--no-sandbox', '--disable-gpu', '--remote-debugging-port=0'],
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = context.pages()[0] ?? (await context.newPage());
  const kill = async (): Promise<void> => {
    const end = (): void => {
      for (const pid of running(profile))
        try {
          process.kill(pid, 'SIGKILL');
        } catch {
          // it ended with its parent
        }
    };
    end();
    await context.close().catch(() => undefined);
    // what was just being started is not there yet
    for (let i = 0; i < 50 && running(profile).length > 0; i += 1) {
      end();
      await new Promise((done) => setTimeout(done, 20));
    }
  };
  return { page, kill };
}

export const firstLayer = (page: Page) =>
  page.locator('[role="slider"][aria-label^="Layer 1, thickness"]');

/** How thick the first layer of a demo cake is, mm. */
export async function heightIn(page: Page, url: string): Promise<number> {
  await page.goto(`${url}/build/meridian/stack`);
  await firstLayer(page).waitFor();
  return Number(await firstLayer(page).getAttribute('aria-valuenow'));
}

/**
 * Turns a layer up or down by some presses, waits for "Saved", and ends the browser that moment.
 *
 * @returns how thick it was when the window opened, and when it was called saved, mm
 */
export async function editAndKill(
  profile: string,
  url: string,
  random: () => number,
): Promise<{ found: number; kept: number }> {
  const { page, kill } = await openProfile(profile);
  const found = await heightIn(page, url);
  await firstLayer(page).focus();
  const key = found > 40 ? 'ArrowDown' : 'ArrowUp';
  for (let k = Math.floor(random() * 5); k >= 0; k -= 1) {
    await page.keyboard.press(key);
    await page.waitForTimeout(random() * 150);
  }
  await page.waitForFunction(
    () => document.querySelector('[data-test="save-state"]')?.textContent === 'Saved',
    null,
    { polling: 'raf' },
  );
  const kept = Number(await firstLayer(page).getAttribute('aria-valuenow'));
  await kill();
  return { found, kept };
}
