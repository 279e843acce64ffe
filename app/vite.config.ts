import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import vuetify from 'vite-plugin-vuetify';
import { schemes } from './src/styles/palette.ts';

export default defineConfig({
  plugins: [
    vue(),
    vuetify({ autoImport: true }),
    VitePWA({
      // a newer program waits until it is asked for
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Pyrgotect',
        short_name: 'Pyrgotect',
        theme_color: schemes.paper.oat,
        background_color: schemes.paper.milk,
        display: 'standalone',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2,wasm}'],
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
        clientsClaim: true,
        importScripts: ['/notify.js'],
        navigateFallbackDenylist: [/^\/api\//],
      },
    }),
  ],
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4173', ws: true } } },
  worker: { format: 'es' },
  build: { target: 'es2022', manifest: true, reportCompressedSize: false },
});
