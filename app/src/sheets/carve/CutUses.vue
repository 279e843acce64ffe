<script setup lang="ts">
import { cutTitles, cutUses, type CutKind } from '@pyrgotect/core';

/** The kinds of cuts, each with what it is good for, where nothing is cut yet. */
defineProps<{ kinds: readonly CutKind[] }>();
const emit = defineEmits<{ choose: [kind: CutKind] }>();
</script>

<template>
  <ul data-test="cut-uses">
    <li v-for="kind in kinds" :key="kind">
      <KeyButton @click="emit('choose', kind)">
        <span class="use"
          ><b>{{ cutTitles[kind] }}</b> <span class="soft">{{ cutUses[kind] }}</span></span
        >
      </KeyButton>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 12px 0 6px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 8px;
}
li :deep(.key) {
  width: 100%;
  height: 100%;
  min-height: 62px;
  padding: 8px 12px;
  justify-content: start;
  text-align: left;
  white-space: normal;
}
.use {
  display: grid;
  white-space: normal;
  line-height: 1.3;
}
.use .soft {
  font-weight: 400;
}
</style>
