import type { VBtn } from 'vuetify/components/VBtn';
import type { VList } from 'vuetify/components/VList';

// what is registered for every template under a name of ours
declare module 'vue' {
  interface GlobalComponents {
    KeyButton: typeof VBtn;
    PickList: typeof VList;
  }
}
