<script setup lang="ts">
import { onUnmounted, ref, watch } from 'vue';
import { database } from '../storage/database.ts';

/** A photo of a step, as small as a stamp; the whole of it in a window of its own. */
const props = defineProps<{ id: string; title: string }>();
const url = ref('');
const free = (): void => {
  if (url.value) URL.revokeObjectURL(url.value);
  url.value = '';
};
watch(
  () => props.id,
  async (id) => {
    free();
    const photo = await database.photos.get(id);
    if (photo && id === props.id) url.value = URL.createObjectURL(photo.blob);
  },
  { immediate: true },
);
onUnmounted(free);
</script>

<template>
  <a v-if="url" :href="url" target="_blank" rel="noopener"
    ><img :src="url" :alt="`Photo: ${title}`"
  /></a>
  <span v-else class="soft">a photo that is not in this browser</span>
</template>

<style scoped>
img {
  width: 84px;
  height: 64px;
  object-fit: cover;
  border-radius: 3px;
  display: block;
}
</style>
