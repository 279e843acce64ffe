import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { cspHead } from './plugins/csp-head.ts';
import { vuetify } from './plugins/vuetify.ts';
import { keepPlaces } from './parts/places.ts';
import { vTip } from './parts/tip.ts';
import { router } from './router.ts';
import { fetchCardEarly } from './shelf/card.ts';
import { report, watchFaults } from './stores/faults.ts';
import { watchParts } from './stores/parts.ts';
import { usePalette } from './styles/scheme.ts';
import { keepProgram } from './storage/updates.ts';
import './styles/fonts.css';
import './styles/theme.css';
import './styles/page.css';
import './styles/keys.css';
import './styles/fields.css';
import './styles/touch.css';
import './styles/contrast.css';
import './styles/print.css';

usePalette();
fetchCardEarly();
if (import.meta.env.DEV)
  void import('@pyrgotect/core').then(({ freezeDocuments }) => freezeDocuments());
watchFaults();
const app = createApp(App);
app.config.errorHandler = report;
app
  .provide('usehead', cspHead())
  .use(createPinia())
  .use(router)
  .use(vuetify)
  .directive('tip', vTip)
  .mount('#app');

watchParts(router);
keepPlaces(router);
if (import.meta.env.PROD) window.addEventListener('load', () => void keepProgram());
