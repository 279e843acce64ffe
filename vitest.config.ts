import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // both cores of the smallest machine it is tested on
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'core',
          root: 'core',
          environment: 'node',
          setupFiles: ['./test/setup.ts'],
          // files share what they load, and are told apart by fixed seeds
          isolate: false,
          testTimeout: 120_000,
        },
      },
      { test: { name: 'server', root: 'server', environment: 'node', testTimeout: 120_000 } },
      { test: { name: 'cli', root: 'cli', environment: 'node', testTimeout: 120_000 } },
      'app/vitest.config.ts',
    ],
  },
});
