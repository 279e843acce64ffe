import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';
import { demoState } from './tests/demo-state.ts';

const port = Number(process.env.E2E_PORT ?? 4310);

/* Debian's browser without its windows starts three times as fast; either does. */
const browser =
  process.env.CHROMIUM ??
  ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((path) => existsSync(path));

export default defineConfig({
  testDir: 'tests',
  outputDir: '../test-results',
  // a test is long where the machine is slow: one of 20 s has taken 60
  timeout: 150_000,
  // the chart library alone takes seconds to be read on a busy machine
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: true,
  retries: 0,
  forbidOnly: true,
  use: {
    testIdAttribute: 'data-test',
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // only the test without a network needs one; each would fetch the whole program again
    serviceWorkers: 'block',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: browser,
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-gpu',
        '--no-first-run',
      ],
    },
  },
  projects: [
    { name: 'demo', testMatch: 'demo.setup.ts' },
    // the longest of them, and the only one that needs no demo: it begins first
    { name: 'words', testMatch: 'words.spec.ts' },
    {
      name: 'interface',
      dependencies: ['demo'],
      testIgnore: 'words.spec.ts',
      use: { storageState: demoState },
    },
  ],
  webServer: {
    command: 'node --import tsx server/src/main.ts',
    cwd: '..',
    // the demo's own day, so that its dates are those of the tests
    env: { PORT: String(port), DEMO: '1', DEMO_TODAY: '2027-05-15T12:00:00' },
    url: `http://127.0.0.1:${port}/api/health`,
    reuseExistingServer: false,
  },
});
