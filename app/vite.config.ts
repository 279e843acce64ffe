import { readFileSync } from 'node:fs';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA, type ManifestOptions } from 'vite-plugin-pwa';
import vuetify from 'vite-plugin-vuetify';
import { firstWords } from './first-words.ts';
import { manifestIn, words } from './words/plugin.ts';
import { schemes } from './src/styles/palette.ts';

const { version } = JSON.parse(
  readFileSync(new URL('../package.json', import.meta.url), 'utf8'),
) as { version: string };

/**
 * What every page needs comes in a few large files: on a slow line each small one costs a way there and back.
 */
const startGroups = [
  {
    name: 'libraries',
    test: /node_modules\/(@vue\/|vue\/|vue-router\/|pinia\/|dexie\/|@vueuse\/|comlink\/|@mdi\/)/,
  },
  {
    name: 'controls',
    test: /vuetify\/lib\/(composables|util|directives|framework|components\/(VBtn|VIcon|VInput|VField|VTextField|VProgressLinear|VProgressCircular|VDefaultsProvider|VLabel|VCounter|VMessages|transitions|VApp|VLayout|VThemeProvider|VLocaleProvider)\/)/,
  },
];

/** The program as it is installed. */
const manifest: Partial<ManifestOptions> = {
  name: 'Pyrgotect',
  short_name: 'Pyrgotect',
  theme_color: schemes.paper.oat,
  background_color: schemes.paper.milk,
  display: 'standalone',
  start_url: './',
  description: 'Plans the build of layer cakes.',
  icons: [
    { src: 'icon.svg', sizes: 'any', type: 'image/svg+xml' },
    { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
    { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
    {
      src: 'icon-maskable-512.png',
      sizes: '512x512',
      type: 'image/png',
      purpose: 'maskable',
    },
  ],
  shortcuts: [
    { name: 'New cake', url: 'new' },
    { name: 'Shopping', url: 'shopping' },
    { name: 'Calendar', url: 'calendar' },
  ],
  // what another program shares is laid aside by the worker, and read on the shelf
  share_target: {
    action: 'shared',
    method: 'POST',
    enctype: 'multipart/form-data',
    params: {
      title: 'title',
      text: 'text',
      url: 'url',
      files: [
        {
          name: 'files',
          accept: [
            'application/json',
            'application/zip',
            'text/html',
            'text/csv',
            'text/plain',
            '.json',
            '.zip',
            '.html',
            '.csv',
            '.txt',
          ],
        },
      ],
    },
  },
  // a cake or a backup that is opened with the installed program
  file_handlers: [
    { action: './', accept: { 'application/json': ['.json'], 'application/zip': ['.zip'] } },
  ],
};

export default defineConfig({
  // the page says where it lies
  base: './',
  define: { 'import.meta.env.VITE_VERSION': JSON.stringify(version) },
  plugins: [
    words(process.env.WORDS),
    vue(),
    vuetify({ autoImport: true }),
    firstWords(),
    VitePWA({
      // a newer program waits until it is asked for
      registerType: 'prompt',
      injectRegister: null,
      manifest: manifestIn(manifest, process.env.WORDS),
      workbox: {
        globPatterns: [
          '**/*.{js,css,html,svg,png,woff2,wasm}',
          // the letters of templates, which a PDF takes in this form
          'assets/barlow-semi-condensed-latin-500-normal-*.woff',
        ],
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
        clientsClaim: true,
        importScripts: ['notify.js', 'share-target.js'],
        navigateFallbackDenylist: [/\/api\//, /\/licences\.txt$/],
      },
    }),
  ],
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4173', ws: true } } },
  worker: { format: 'es', plugins: () => [words(process.env.WORDS)] },
  build: {
    target: 'es2022',
    manifest: true,
    reportCompressedSize: false,
    rolldownOptions: { output: { advancedChunks: { groups: startGroups } } },
  },
});
