import { defineConfig } from 'vitest/config';

/* The tests that `npm run -s mutate` runs against each change of the code: those of one folder, named by it. */
export default defineConfig({
  test: {
    name: 'core',
    root: 'core',
    environment: 'node',
    isolate: false,
    include: (process.env.MUTATE_TESTS ?? '').split(',').map((name) => `test/${name}.test.ts`),
    testTimeout: 120_000,
  },
});
