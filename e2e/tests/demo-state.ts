import { fileURLToPath } from 'node:url';

/** Where the browser's store is kept once the demo lies on the shelf: every test begins with it. */
export const demoState = fileURLToPath(
  new URL('../../test-results/demo-state.json', import.meta.url),
);
