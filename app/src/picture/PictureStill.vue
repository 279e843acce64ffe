<script setup lang="ts">
import { drawPicture, type Build, type CakePlan } from '@pyrgotect/core';
import { computed, onScopeDispose, ref, watch } from 'vue';
import ElevationDrawing from '../section/ElevationDrawing.vue';
import { usePantry } from '../stores/pantry.ts';
import { schemes } from '../styles/palette.ts';
import { stillOf } from './still.ts';
import { useCarvedMeshes } from './useCarvedMeshes.ts';

/** The finished cake as an image, for paper; from the front where the browser shows no solids. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const pantry = usePantry();
const picture = computed(() => drawPicture(props.build, props.plan, pantry.pantry));
const { meshes, isBusy } = useCarvedMeshes(
  () => props.build,
  () => pantry.pantry,
  picture,
  () => false,
);
/** Pixels: twice as fine as a screen shows it, for paper. */
const size = { wide: 1400, high: 1200 };
const address = ref<string | null>(null);
const failed = ref(false);
const drop = (): void => {
  if (address.value) URL.revokeObjectURL(address.value);
  address.value = null;
};
watch(
  [picture, meshes, isBusy],
  async () => {
    if (isBusy.value) return;
    try {
      // on paper, whatever the screen's scheme is
      const image = await stillOf({
        picture: picture.value,
        carved: meshes.value,
        colours: schemes.paper,
        ...size,
      });
      drop();
      address.value = URL.createObjectURL(image);
    } catch {
      failed.value = true;
    }
  },
  { immediate: true },
);
onScopeDispose(drop);
</script>

<template>
  <div class="still">
    <ElevationDrawing v-if="failed" :build="build" :plan="plan" :selected="null" />
    <img v-else-if="address" :src="address" :alt="`${build.name}, finished`" data-test="still" />
    <p v-else role="status">The picture is being drawn…</p>
  </div>
</template>

<style scoped>
.still {
  position: relative;
  aspect-ratio: 7 / 6;
}
img {
  width: 100%;
  height: 100%;
  object-fit: contain;
}
</style>
