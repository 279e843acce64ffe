<script setup lang="ts">
import { drawPicture, type Build, type CakePlan, type Step } from '@pyrgotect/core';
import { watchDebounced } from '@vueuse/core';
import { computed, onScopeDispose, ref } from 'vue';
import { carvedMeshes } from '../picture/carved-meshes.ts';
import { stillOf } from '../picture/still.ts';
import { usePantry } from '../stores/pantry.ts';
import { useScheme } from '../styles/scheme.ts';
import { standingAt } from './standing.ts';

/** The picture of what stands once a step is done; of the finished cake where nothing does yet. */
const props = defineProps<{
  build: Build;
  plan: CakePlan;
  steps: readonly Step[];
  index: number;
  /** Pixels of the page. */
  width: number;
  height: number;
}>();
const pantry = usePantry();
const { colours } = useScheme();
const picture = computed(() => drawPicture(props.build, props.plan, pantry.pantry));
const standing = computed(() => standingAt(picture.value, props.plan, props.steps, props.index));
const address = ref<string | null>(null);
const failed = ref(false);
const show = (image: Blob | null): void => {
  if (address.value) URL.revokeObjectURL(address.value);
  address.value = image && URL.createObjectURL(image);
};
/** Who leafs through the steps waits for the one at which he stops, ms. */
const leafingMs = 120;
let latest = 0;
watchDebounced(
  [standing, colours, () => props.width, () => props.height],
  async () => {
    const mine = ++latest;
    const shown = standing.value ?? { picture: picture.value, bare: new Set<string>() };
    try {
      const { meshes } = await carvedMeshes(props.build, pantry.pantry, shown.picture, {
        isOpen: false,
        bare: shown.bare,
      });
      if (mine !== latest) return;
      const image = await stillOf({
        picture: shown.picture,
        carved: meshes,
        colours: colours.value,
        wide: Math.round(props.width * 2),
        high: Math.round(props.height * 2),
      });
      if (mine !== latest) return;
      show(image);
      failed.value = false;
    } catch {
      if (mine === latest) failed.value = true;
    }
  },
  { immediate: true, debounce: leafingMs },
);
onScopeDispose(() => {
  latest += 1;
  show(null);
});
const said = computed(() => (standing.value ? 'after this step' : 'as it will be'));
</script>

<template>
  <figure :style="{ width: `${width}px` }" data-test="bench-picture">
    <p v-if="failed" role="status">No picture here: this browser shows no solids.</p>
    <img
      v-else-if="address"
      :src="address"
      :width="width"
      :height="height"
      :alt="`${build.name}, ${said}`"
    />
    <figcaption v-if="!failed">{{ said }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  font-size: var(--size-text);
  color: var(--soft);
}
p {
  margin: 0;
  padding: 0 18px;
}
img {
  display: block;
}
figcaption {
  padding: 0 18px 6px;
}
</style>
