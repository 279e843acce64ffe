import { config } from '@vue/test-utils';
import { vuetify } from '../src/plugins/vuetify.ts';

/* What a component shows, it shows with the controls of the library. */
config.global.plugins = [vuetify];
