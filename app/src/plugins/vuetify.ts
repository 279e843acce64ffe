import 'vuetify/styles/core';
import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

/** Colours of both schemes. The drawing's own colours are in styles/theme.css. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'paper',
    themes: {
      paper: {
        dark: false,
        colors: {
          background: '#fbf8f1',
          surface: '#fbf8f1',
          primary: '#1f6f6a',
          secondary: '#2a1f35',
          error: '#a8382a',
          'on-background': '#2a1f35',
          'on-surface': '#2a1f35',
        },
      },
      night: {
        dark: true,
        colors: {
          background: '#1c1626',
          surface: '#241c31',
          primary: '#7fc9bf',
          secondary: '#efe8d9',
          error: '#ff9b8a',
          'on-background': '#efe8d9',
          'on-surface': '#efe8d9',
        },
      },
    },
  },
  defaults: {
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VBtn: { variant: 'flat' },
    VDialog: { scrollable: true },
  },
});
