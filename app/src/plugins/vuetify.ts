import 'vuetify/styles/core';
import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';
import { schemes, type Colours } from '../styles/palette.ts';

const themed = (colours: Colours) => ({
  background: colours.milk,
  surface: colours.milk,
  primary: colours.accent,
  secondary: colours.ink,
  error: colours.stop,
  'on-background': colours.ink,
  'on-surface': colours.ink,
});

export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'paper',
    themes: {
      paper: { dark: false, colors: themed(schemes.paper) },
      night: { dark: true, colors: themed(schemes.night) },
    },
  },
  defaults: {
    VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto', color: 'primary' },
    VBtn: { variant: 'flat' },
    VDialog: { scrollable: true },
    VExpansionPanels: { elevation: 0 },
    VExpansionPanel: { elevation: 0 },
  },
});
