import js from '@eslint/js';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import tseslint from 'typescript-eslint';
import vue from 'eslint-plugin-vue';
import prettier from 'eslint-config-prettier';

export default defineConfig([
  globalIgnores(['**/dist/**', '**/node_modules/**', 'docs/api/**', 'test-results/**']),
  js.configs.recommended,
  tseslint.configs.recommendedTypeChecked,
  vue.configs['flat/recommended'],
  {
    languageOptions: {
      parserOptions: {
        projectService: true,
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.vue'],
      },
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser }, globals: globals.browser },
  },
  { files: ['app/src/**/*.ts'], languageOptions: { globals: globals.browser } },
  {
    // core computes and nothing else
    files: ['core/src/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['vue', 'vue-*', 'pinia', 'vuetify', 'dexie', 'plotly*', 'fastify', 'node:*'],
              message: 'core computes and has no interface, storage or file access.',
            },
            {
              group: ['**/app/**', '**/server/**', '**/cli/**', '@pyrgotect/*'],
              message: 'core stands alone.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'navigator', 'localStorage', 'indexedDB', 'fetch', 'process'].map(
          (name) => ({ name, message: 'core has no page and no process.' }),
        ),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'core has no clock: pass the time in.' },
        { object: 'Math', property: 'random', message: 'core is deterministic: pass a seed in.' },
      ],
    },
  },
  {
    files: ['**/*.{js,mjs}'],
    extends: [tseslint.configs.disableTypeChecked],
    languageOptions: { globals: globals.node },
  },
  { rules: { 'vue/valid-v-slot': ['error', { allowModifiers: true }] } },
  prettier,
]);
