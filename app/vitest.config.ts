import { defineProject, mergeConfig } from 'vitest/config';
import viteConfig from './vite.config.ts';

export default mergeConfig(
  viteConfig,
  defineProject({
    test: {
      name: 'app',
      environment: 'happy-dom',
      // a machine can be slow
      testTimeout: 120_000,
      setupFiles: ['./test/setup.ts'],
      server: { deps: { inline: ['vuetify'] } },
    },
  }),
);
