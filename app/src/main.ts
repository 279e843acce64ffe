import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { cspHead } from './plugins/csp-head.ts';
import { vuetify } from './plugins/vuetify.ts';
import { router } from './router.ts';
import { fetchCardEarly } from './shelf/card.ts';
import { report, watchFaults } from './stores/faults.ts';
import { watchParts } from './stores/parts.ts';
import { usePalette } from './styles/scheme.ts';
import { keepProgram } from './storage/updates.ts';
import './styles/fonts.css';
import './styles/theme.css';
import './styles/page.css';
import './styles/touch.css';

usePalette();
fetchCardEarly();
if (import.meta.env.DEV)
  void import('@pyrgotect/core').then(({ freezeDocuments }) => freezeDocuments());
watchFaults();
const app = createApp(App);
app.config.errorHandler = report;
app.provide('usehead', cspHead()).use(createPinia()).use(router).use(vuetify).mount('#app');

watchParts(router);
if (import.meta.env.PROD) window.addEventListener('load', () => void keepProgram());
