<script setup lang="ts">
import { computed } from 'vue';
import { placesText } from '../pairing/met-text.ts';
import { useBuild } from '../stores/build.ts';
import { useToFile } from './useToFile.ts';

/** What is to be known of saving: what failed, what another window changed or took off, and what can be done. */
const store = useBuild();
const places = computed(() => placesText(store.clash?.places ?? []));
const toFile = useToFile();
</script>

<template>
  <v-snackbar :model-value="store.saveState === 'gone'" :timeout="-1" data-test="gone">
    This cake was taken off the shelf in another window. What you type here is not kept.
    <template #actions>
      <KeyButton size="small" data-test="put-back" @click="store.putBack">Put it back</KeyButton>
      <KeyButton size="small" to="/">To the shelf</KeyButton>
    </template>
  </v-snackbar>
  <v-snackbar
    :model-value="store.clash !== null"
    :timeout="-1"
    data-test="clash"
    @update:model-value="store.clash = null"
  >
    Another window changed the same as you: {{ places }}. Yours stands.
    <template #actions>
      <KeyButton size="small" data-test="take-theirs" @click="store.takeTheirs"
        >Take the other</KeyButton
      >
      <KeyButton size="small" @click="store.clash = null">Keep mine</KeyButton>
    </template>
  </v-snackbar>
  <v-snackbar
    :model-value="store.notice !== null"
    :timeout="store.saveState === 'failed' ? -1 : 12000"
    data-test="notice"
    @update:model-value="store.notice = null"
  >
    {{ store.notice }}
    <template v-if="store.saveState === 'failed'" #actions>
      <KeyButton size="small" data-test="to-file" @click="toFile">Save it to a file</KeyButton>
    </template>
  </v-snackbar>
</template>
