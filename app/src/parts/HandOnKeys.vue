<script setup lang="ts">
import { ref } from 'vue';
import { canShare, copyText, shareText } from './hand-on.ts';

/** Shares a text, where the device can, or copies it. */
const props = defineProps<{
  title: string;
  /** Made when it is asked for. */
  text: () => string;
  size?: 'small';
}>();
const mayShare = canShare();
const said = ref('');
let quiet: ReturnType<typeof setTimeout> | undefined;
function say(words: string): void {
  said.value = words;
  clearTimeout(quiet);
  quiet = setTimeout(() => (said.value = ''), 4000);
}
async function copy(): Promise<void> {
  say((await copyText(props.text())) ? 'Copied' : 'It cannot be copied here');
}
async function share(): Promise<void> {
  try {
    if (await shareText(props.title, props.text())) say('Shared');
  } catch {
    // what cannot be shared can still be copied
    await copy();
  }
}
</script>

<template>
  <span class="hand-on">
    <KeyButton v-if="mayShare" :size="size" data-test="share" @click="share">Share</KeyButton>
    <KeyButton :size="size" data-test="copy" @click="copy">Copy</KeyButton>
    <span role="status" class="soft">{{ said }}</span>
  </span>
</template>

<style scoped>
.hand-on {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
</style>
