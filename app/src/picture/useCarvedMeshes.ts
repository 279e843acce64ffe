import type { Build, CakePicture, Pantry } from '@pyrgotect/core';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { CarvedMesh } from './carved-mesh.ts';
import { carvedMeshes } from './carved-meshes.ts';

/** The carved tiers of a picture as the solids give them, cut open where the picture is; which of them failed is told. */
export function useCarvedMeshes(
  build: () => Build,
  pantry: () => Pantry,
  picture: Readonly<Ref<CakePicture | null>>,
  isOpen: () => boolean,
): { meshes: Ref<CarvedMesh[]>; isBusy: Ref<boolean>; missing: Ref<string[]> } {
  const meshes = shallowRef<CarvedMesh[]>([]);
  const isBusy = ref(false);
  const missing = ref<string[]>([]);
  let latest = 0;
  // a picture is drawn anew with every edit; its solids only where the cuts, the coat or the place are others
  const asked = computed(() => JSON.stringify([picture.value?.carved ?? [], isOpen()]));
  watch(
    asked,
    async () => {
      const mine = ++latest;
      isBusy.value = (picture.value?.carved.length ?? 0) > 0;
      const found = await carvedMeshes(build(), pantry(), picture.value, { isOpen: isOpen() });
      if (mine !== latest) return;
      meshes.value = found.meshes;
      missing.value = found.missing;
      isBusy.value = false;
    },
    { immediate: true },
  );
  return { meshes, isBusy, missing };
}
