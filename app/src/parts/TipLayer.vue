<script setup lang="ts">
import { tip } from './tip.ts';

/* One for the whole page: what is pointed at is one thing. */
</script>

<template>
  <v-tooltip
    :key="tip.text"
    :model-value="true"
    :target="tip.at!"
    location="bottom"
    :max-width="320"
    :open-delay="0"
    content-class="term"
    aria-hidden="true"
    :text="tip.text"
  />
</template>
