<script setup lang="ts">
import { drawPicture, opened, type Build, type CakePlan } from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, onScopeDispose, ref, shallowRef, useTemplateRef, watch } from 'vue';
import ElevationDrawing from '../section/ElevationDrawing.vue';
import { useUnits } from '../figures/units.ts';
import TroubleLine from '../figures/TroubleLine.vue';
import type { LookFrom } from '../solid/solid-view.ts';
import { turnByKey } from '../solid/turned-scene.ts';
import { usePantry } from '../stores/pantry.ts';
import { useScheme } from '../styles/scheme.ts';
import { pictureColours } from './picture-colours.ts';
import { PictureScene } from './picture-scene.ts';
import SavePicture from './SavePicture.vue';
import { useCarvedMeshes } from './useCarvedMeshes.ts';

/** The finished cake as it will stand, turned, opened, its tiers lifted apart, built up step by step. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ select: [id: string] }>();
const pantry = usePantry();
const { text } = useUnits();
const { colours: scheme } = useScheme();
const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
const box = useTemplateRef<HTMLElement>('box');
const { width, height } = useElementSize(box);

/** Why there is no picture, in words; null where there is one. */
const trouble = ref<string | null>(null);
const noWebGl = ref(false);
const isOpen = ref(false);
const apart = ref(0);
const upTo = ref<number | null>(null);
/** The wedge opens to where the three-quarter view looks from, a little to the right of the front. */
const wedge = { towardsDeg: -75, wideDeg: 80 };
/** Tiers are lifted so far apart at most, as a share of the cake's height. */
const apartShare = 0.5;

const picture = computed(() => {
  try {
    return drawPicture(props.build, props.plan, pantry.pantry);
  } catch (error) {
    return error instanceof Error ? error : new Error(String(error));
  }
});
const whole = computed(() => (picture.value instanceof Error ? null : picture.value));
const { meshes, isBusy, missing } = useCarvedMeshes(
  () => props.build,
  () => pantry.pantry,
  whole,
  () => isOpen.value,
);
const steps = computed(() => whole.value?.steps ?? []);
const isStacked = computed(() => (whole.value?.tiers.length ?? 0) > 1);
const step = computed({
  get: () => upTo.value ?? steps.value.length - 1,
  set: (at: number) => (upTo.value = at >= steps.value.length - 1 ? null : at),
});

const scene = shallowRef<PictureScene | null>(null);
function start(at: HTMLCanvasElement): PictureScene | null {
  try {
    return new PictureScene(at, pictureColours(scheme.value), (part) => emit('select', part));
  } catch {
    noWebGl.value = true;
    return null;
  }
}
function draw(): void {
  if (!canvas.value || !whole.value || noWebGl.value) return;
  scene.value ??= start(canvas.value);
  if (!scene.value) return;
  try {
    scene.value.recolour(pictureColours(scheme.value));
    const high = whole.value.box.high.z;
    scene.value.show({
      picture: isOpen.value ? opened(whole.value, wedge) : whole.value,
      carved: meshes.value,
      upTo: upTo.value,
      isOpen: isOpen.value,
      apartMm: isStacked.value ? apart.value * apartShare * high : 0,
    });
    trouble.value = null;
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error);
  }
}
watch([canvas, whole, meshes, isOpen, apart, upTo, scheme], draw, { flush: 'post' });
watch([width, height], () => scene.value?.size());
watch(steps, (now) => {
  if (upTo.value !== null && upTo.value >= now.length) upTo.value = null;
});
onScopeDispose(() => scene.value?.end());
const views: { id: LookFrom; text: string }[] = [
  { id: 'corner', text: 'Three-quarter' },
  { id: 'front', text: 'Front' },
  { id: 'right', text: 'Right' },
  { id: 'above', text: 'Above' },
];
const key = (event: KeyboardEvent): void => void turnByKey(event, scene.value);
const said = computed(() => {
  const { tally } = props.plan;
  const tiers = props.plan.tiers.length;
  const { drips, groups, runs } = whole.value ?? { drips: [], groups: [], runs: [] };
  const on = [
    ...(drips.length > 0 ? [`${drips.length} drips`] : []),
    ...groups.map(({ pieces, label }) => `${label}: ${pieces.length}`),
    ...runs.map(({ label }) => label),
  ];
  return `${tiers} ${tiers === 1 ? 'tier' : 'tiers'}, ${text(tally.heightMm, 'size')} high and ${text(tally.widthMm, 'size')} wide${on.length > 0 ? `; ${on.join(', ')}` : ''}`;
});
</script>

<template>
  <div ref="box" class="turned picture" data-test="picture">
    <ElevationDrawing
      v-if="noWebGl || picture instanceof Error"
      :build="build"
      :plan="plan"
      :selected="null"
      @select="emit('select', $event)"
    />
    <canvas
      v-else
      ref="canvas"
      tabindex="0"
      role="img"
      :aria-label="`The finished cake: ${said}. Arrow keys turn it, plus and minus come nearer.`"
      data-test="picture-canvas"
      @keydown="key"
      @webglcontextrestored="draw"
    />
    <TroubleLine :trouble="trouble" what="The picture" class="note" @again="draw" />
    <p v-if="noWebGl" class="note" role="status">
      This browser shows no solids: the cake from the front instead.
    </p>
    <p v-else-if="isBusy" class="note" role="status">Cutting the shape…</p>
    <p v-else-if="missing.length > 0" class="note" role="status">
      {{ missing.join(' and ') }} could not be shown as carved.
    </p>
    <p v-else-if="whole && whole.left > 0" class="note" role="status">
      {{ whole.left }} small pieces are not drawn one by one.
    </p>
    <div v-if="!noWebGl && whole" class="tools">
      <span role="group" aria-label="Look from" class="group">
        <KeyButton v-for="each in views" :key="each.id" size="small" @click="scene?.look(each.id)">
          {{ each.text }}
        </KeyButton>
      </span>
      <v-checkbox v-model="isOpen" label="cut open" data-test="cut-open" />
      <SavePicture v-if="scene" :scene="scene" :name="build.name" />
      <v-slider
        v-if="isStacked"
        v-model="apart"
        class="slide"
        name="Tiers apart"
        label="Tiers apart"
        :min="0"
        :max="1"
        :step="0.05"
      />
      <v-slider
        v-model="step"
        class="slide"
        name="Built up to"
        label="Built up to"
        data-test="build-up"
        :min="0"
        :max="steps.length - 1"
        :step="1"
        :aria-valuetext="steps[step]"
      />
      <output class="step">{{ upTo === null ? 'finished' : steps[step] }}</output>
    </div>
  </div>
</template>

<style scoped src="../solid/turned.css" />
<style scoped>
.picture {
  container-type: size;
}
.note {
  position: absolute;
  left: 18px;
  right: 250px;
  top: 16px;
  margin: 0;
  font-size: var(--size-note);
  color: var(--soft);
}
.slide.v-input {
  flex: 1 1 150px;
  max-width: 240px;
}
/* in a strip over the sheet there is room for the cake alone */
@container (max-height: 320px) {
  .tools {
    display: none;
  }
}
/* beside the key that folds it */
@container (max-width: 450px) {
  .tools {
    padding-bottom: 44px;
  }
}
.step {
  flex: 0 0 7em;
}
</style>
