import { tierOf, type Build, type CakePicture, type Pantry } from '@pyrgotect/core';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import { askSolids } from '../workers/solids.ts';
import { toneOfPart } from '../solid/part-looks.ts';
import type { CarvedMesh } from './carved-mesh.ts';

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
      const carved = picture.value?.carved ?? [];
      const found: CarvedMesh[] = [];
      const failed: string[] = [];
      isBusy.value = carved.length > 0;
      for (const { tierId, part, question, at, coatMm, look, step } of carved)
        try {
          const view = await askSolids((solids) =>
            solids.view(question, 'rough', isOpen() ? 0 : null),
          );
          const tier = tierOf(build(), tierId);
          for (const { corners, normals, partOf, parts } of view.pieces)
            found.push({
              tierId,
              part,
              corners,
              normals,
              looks: Array.from(partOf, (n) =>
                isOpen() ? toneOfPart(tier, pantry(), parts[n]!) : (look ?? 'ivory'),
              ),
              at,
              // where it is open its own layers are seen, and no coat is grown over them
              coatMm: isOpen() ? 0 : coatMm,
              step,
            });
        } catch {
          failed.push(picture.value?.tiers.find(({ id }) => id === tierId)?.name ?? 'A tier');
        }
      if (mine !== latest) return;
      meshes.value = found;
      missing.value = failed;
      isBusy.value = false;
    },
    { immediate: true },
  );
  return { meshes, isBusy, missing };
}
