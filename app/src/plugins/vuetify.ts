import 'vuetify/styles/core';
import { createVuetify } from 'vuetify';
import { VBtn } from 'vuetify/components/VBtn';
import { VList } from 'vuetify/components/VList';
import { en } from 'vuetify/locale';
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

const language = import.meta.env.VITE_LANGUAGE;

export const vuetify = createVuetify({
  // ours in sheets and bars; what the library puts into its own parts keeps their look
  aliases: { KeyButton: VBtn, PickList: VList },
  // by which its calendars name the days; a build in another language has that language’s words instead of `en`
  ...(language ? { locale: { locale: language, messages: { [language]: en } } } : {}),
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
    KeyButton: { class: 'key', variant: 'outlined', ripple: false },
    // lines of which one is looked at
    PickList: { selectable: true, mandatory: true, selectStrategy: 'single-independent' },
    VCheckbox: { density: 'compact', hideDetails: true, color: 'primary' },
    VSlider: { density: 'compact', hideDetails: true, color: 'primary' },
    VDialog: { scrollable: true },
    // stands for what is told beside it: a heading or a bar says that it is being worked out
    VSkeletonLoader: { boilerplate: true, color: 'transparent' },
    VExpansionPanels: { elevation: 0 },
    VExpansionPanel: { elevation: 0 },
  },
});
