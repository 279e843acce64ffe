<script setup lang="ts">
import { mdiTune } from '@mdi/js';
import { defineAsyncComponent, ref, useTemplateRef } from 'vue';
import { useSettings } from '../stores/settings.ts';
import IconPath from './IconPath.vue';

const SettingsPanel = defineAsyncComponent(() => import('./SettingsPanel.vue'));
const settings = useSettings();
const open = ref(false);
const button = useTemplateRef<HTMLElement>('button');
</script>

<template>
  <span class="row">
    <KeyButton
      v-tip="'Switch units (u)'"
      class="units"
      data-test="units"
      @click="settings.switchUnits()"
    >
      {{ settings.unitsText }}
    </KeyButton>
    <KeyButton
      ref="button"
      variant="text"
      aria-label="Units and colours"
      aria-haspopup="dialog"
      :aria-expanded="open"
      @click="open = !open"
    >
      <IconPath :path="mdiTune" />
    </KeyButton>
    <SettingsPanel v-if="open && button" :under="button" @close="open = false" />
  </span>
</template>

<style scoped>
.row {
  display: inline-flex;
  gap: 2px;
}
/* on a phone they are switched in the panel */
@media (max-width: 599px) {
  .units {
    display: none;
  }
}
</style>
