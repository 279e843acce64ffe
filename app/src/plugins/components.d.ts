import type { VBtn } from 'vuetify/components/VBtn';

// what is registered for every template under a name of ours
declare module 'vue' {
  interface GlobalComponents {
    KeyButton: typeof VBtn;
  }
}
