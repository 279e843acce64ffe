<script setup lang="ts">
import { keyList } from './build-keys.ts';
import DialogBox from './DialogBox.vue';

const emit = defineEmits<{ close: [] }>();
</script>

<template>
  <DialogBox max-width="560" @update:model-value="emit('close')">
    <v-card class="keys">
      <h2>Keys</h2>
      <dl>
        <template v-for="[keys, what] in keyList" :key="keys">
          <dt>{{ keys }}</dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
      <button type="button" class="key" @click="emit('close')">Close</button>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.keys {
  padding: 18px 24px 22px;
  display: block;
  overflow: auto;
}
h2 {
  margin: 0 0 8px;
}
dl {
  display: grid;
  grid-template-columns: 170px 1fr;
  margin: 0 0 16px;
}
dt,
dd {
  margin: 0;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
dt {
  font-weight: 600;
}
</style>
