<script setup lang="ts">
import { mdiMagnify } from '@mdi/js';

/** Where a list is searched while one types. */
defineProps<{ label: string; placeholder?: string; id?: string }>();
const text = defineModel<string>({ required: true });
</script>

<template>
  <v-text-field
    :id="id"
    v-model="text"
    class="search-field"
    type="search"
    variant="underlined"
    density="compact"
    hide-details
    autocomplete="off"
    :prepend-inner-icon="mdiMagnify"
    :placeholder="placeholder ?? label"
    persistent-placeholder
    :aria-label="label"
  />
</template>
