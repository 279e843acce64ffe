<script setup lang="ts">
import { computed, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import DialogBox from '../parts/DialogBox.vue';
import TroubleLine from '../figures/TroubleLine.vue';
import { downloadBytes } from '../parts/download.ts';
import { fileName } from '../parts/file-name.ts';
import { drawn } from '../styles/palette.ts';
import type { PictureScene } from './picture-scene.ts';

/** Saves the picture as it is turned now, or the solid, to a file. */
const props = defineProps<{ scene: PictureScene; name: string }>();
const isAsked = ref(false);
const wide = ref<'1024' | '2048' | '4096'>('2048');
const ground = ref<'white' | 'none'>('white');
const trouble = ref<string | null>(null);
const widths = ['1024', '2048', '4096'] as const;
const stem = computed(() => fileName(props.name));

/** What was tried last: it is that which is tried again. */
let tried: () => Promise<void> = () => Promise.resolve();
async function save(work: () => Promise<void>): Promise<void> {
  tried = work;
  trouble.value = null;
  try {
    await work();
    isAsked.value = false;
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error);
  }
}
const savePng = (): Promise<void> =>
  save(async () => {
    const px = Number(wide.value);
    const image = await props.scene.image(px, Math.round(px * 0.75), ground.value === 'white' ? drawn.paper : null); // prettier-ignore
    downloadBytes(`${stem.value}.png`, image, 'image/png');
  });
const saveSolid = (): Promise<void> =>
  save(async () => {
    const { GLTFExporter } = await import('three/addons/exporters/GLTFExporter.js');
    const file = await new GLTFExporter().parseAsync(props.scene.solids(), { binary: true });
    if (!(file instanceof ArrayBuffer)) throw new Error('The solid could not be written');
    downloadBytes(`${stem.value}.glb`, new Uint8Array(file), 'model/gltf-binary');
  });
const saveThreeMf = (): Promise<void> =>
  save(async () => {
    const { writeThreeMf } = await import('@pyrgotect/core');
    const { solids, liftMm } = props.scene.fileSolids();
    downloadBytes(`${stem.value}.3mf`, writeThreeMf(props.name, solids, liftMm), 'model/3mf');
  });
</script>

<template>
  <KeyButton size="small" data-test="save-picture" @click="isAsked = true">Save…</KeyButton>
  <DialogBox v-model="isAsked" max-width="480">
    <v-card v-if="isAsked" class="save">
      <h2>Save the picture</h2>
      <p>
        As it is turned now,
        <ChoiceField
          v-model="wide"
          label="Width, pixels"
          :options="widths.map((each) => ({ value: each, text: `${each} px wide` }))"
        />
        on
        <ChoiceField
          v-model="ground"
          label="Ground"
          :options="[
            { value: 'white', text: 'white' },
            { value: 'none', text: 'nothing' },
          ]"
        />.
      </p>
      <p class="ways">
        <KeyButton variant="flat" color="primary" data-test="save-png" @click="savePng"
          >Save as PNG</KeyButton
        >
      </p>
      <h2>Save the solid</h2>
      <p>
        Everything that is shown now, in its colours, for programs that turn or print solids: glTF
        in metres, or 3MF in millimetres (writing, which is drawn flat, is left out of it).
      </p>
      <p class="ways">
        <KeyButton data-test="save-glb" @click="saveSolid">Save as glTF</KeyButton>
        <KeyButton data-test="save-3mf" @click="saveThreeMf">Save as 3MF</KeyButton>
      </p>
      <p class="ways end">
        <KeyButton @click="isAsked = false">Cancel</KeyButton>
      </p>
      <TroubleLine :trouble="trouble" what="The file" @again="save(tried)" />
    </v-card>
  </DialogBox>
</template>

<style scoped>
.save {
  padding: 20px 24px;
  display: block;
}
.save h2 {
  margin-top: 0;
}
.ways + h2 {
  margin-top: 18px;
}
.end {
  justify-content: flex-end;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
