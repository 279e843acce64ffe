<script setup lang="ts">
import {
  tierOf,
  type Build,
  type CarveQuestion,
  type CakePlan,
  type PlaneCut,
} from '@pyrgotect/core';
import type { CarveView } from '@pyrgotect/core/solids';
import { useElementSize } from '@vueuse/core';
import { computed, onScopeDispose, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { hatches } from '../section/tones.ts';
import StillDrawing from '../section/StillDrawing.vue';
import { useBuild } from '../stores/build.ts';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';
import { useScheme } from '../styles/scheme.ts';
import TroubleLine from '../figures/TroubleLine.vue';
import { askSolids } from '../workers/solids.ts';
import { SolidScene, type SceneColours, type ShownPlane } from './scene.ts';
import { toneOfPart } from './part-looks.ts';
import { turnByKey } from './turned-scene.ts';

/** The carved tier as a solid: turned, opened, its flat cut taken hold of, its offcuts beside it. */
const props = defineProps<{
  build: Build;
  plan: CakePlan;
  tierId: string;
  question: CarveQuestion;
  cutId: string | null;
}>();
const store = useBuild();
const pantry = usePantry();
const { text } = useUnits();
const { colours: scheme } = useScheme();
const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
const box = useTemplateRef<HTMLElement>('box');
const { width, height } = useElementSize(box);
const noWebGl = ref(false);
const busy = ref(true);
const trouble = ref<string | null>(null);
const tries = ref(0);
const openShare = ref(0);
const offcuts = ref(true);
const view = shallowRef<CarveView | null>(null);
let scene: SolidScene | null = null;

const tier = computed(() => tierOf(props.build, props.tierId));
const tierPlan = computed(() => props.plan.tiers.find((t) => t.tierId === props.tierId)!);
const toneOf = (part: string): string =>
  hatches[toneOfPart(tier.value, pantry.pantry, part)].ground;
function colours(): SceneColours {
  const { ink, accent, milk, line } = scheme.value;
  return { ink, accent, board: milk, ground: line, parts: toneOf };
}

const chosen = computed(
  () => tier.value.carving?.cuts.find((cut) => cut.id === props.cutId) ?? null,
);
const plane = computed<ShownPlane | null>(() => {
  const cut = chosen.value;
  if (!cut || !cut.on) return null;
  if (cut.kind === 'groove' || cut.kind === 'halves')
    return { normal: [0, 0, 1], at: [0, 0, cut.upMm] };
  if (cut.kind !== 'plane' && cut.kind !== 'step') return null;
  const b = (cut.bearingDeg * Math.PI) / 180;
  const s = (cut.slopeDeg * Math.PI) / 180;
  return {
    normal: [Math.sin(b) * Math.sin(s), Math.cos(b) * Math.sin(s), Math.cos(s)],
    at: [Math.sin(b) * cut.outMm, Math.cos(b) * cut.outMm, cut.upMm],
  };
});
/** The cut's sheet was moved by hand: the cut goes with it. */
function dragged([dx, dy, dz]: [number, number, number]): void {
  store.edit('Cut moved', (draft) => {
    const cut = tierOf(draft, props.tierId).carving?.cuts.find((each) => each.id === props.cutId);
    if (!cut || !('upMm' in cut)) return;
    const round = (mm: number): number => Math.round(mm * 2) / 2;
    cut.upMm = round(cut.upMm + dz);
    if (cut.kind !== 'plane' && cut.kind !== 'step') return;
    const b = (cut.bearingDeg * Math.PI) / 180;
    (cut as PlaneCut).outMm = round(cut.outMm + dx * Math.sin(b) + dy * Math.cos(b));
  });
}

const openMm = computed(() => {
  if (openShare.value === 0 || !view.value) return null;
  return (openShare.value * 2 - 1) * view.value.reachMm;
});
let latest = 0;
watch(
  () => [JSON.stringify(props.question), openMm.value, tries.value] as const,
  async ([text, open]) => {
    const mine = ++latest;
    busy.value = true;
    trouble.value = null;
    try {
      const found = await askSolids((solids) =>
        solids.view(JSON.parse(text) as CarveQuestion, 'rough', open),
      );
      if (mine !== latest) return;
      view.value = found;
    } catch (error) {
      if (mine === latest) trouble.value = error instanceof Error ? error.message : String(error);
    } finally {
      if (mine === latest) busy.value = false;
    }
  },
  { immediate: true },
);
watch(
  [canvas, view, offcuts, scheme],
  () => {
    if (!canvas.value || !view.value || noWebGl.value) return;
    try {
      scene ??= new SolidScene(canvas.value, colours(), dragged);
    } catch {
      noWebGl.value = true;
      return;
    }
    scene.recolour(colours());
    scene.show(view.value, offcuts.value);
    scene.showPlane(plane.value);
  },
  { flush: 'post' },
);
watch(plane, (now) => scene?.showPlane(now));
watch([width, height], () => scene?.size());
onScopeDispose(() => scene?.end());

const views = [
  { id: 'corner', text: 'Corner' },
  { id: 'front', text: 'Front' },
  { id: 'right', text: 'Right' },
  { id: 'above', text: 'Above' },
] as const;
const key = (event: KeyboardEvent): void => void turnByKey(event, scene);
const said = computed(() => {
  const { carve, stack } = tierPlan.value;
  const result = carve?.result;
  if (!result) return '';
  return `${text(result.leftG, 'bowl')} of ${text(result.stackG, 'bowl')} left, ${text(result.topMm, 'span')} high under its coat, ${text(stack.finishedMm, 'span')} with it`;
});
</script>

<template>
  <div ref="box" class="turned solid" data-test="solid">
    <StillDrawing
      v-if="noWebGl && tierPlan.carve?.result"
      :result="tierPlan.carve.result"
      :cover="tierPlan.carve.question.cover"
    />
    <canvas
      v-else
      ref="canvas"
      tabindex="0"
      role="img"
      :aria-label="`The carved ${tier.name} as a solid. ${said}. Arrow keys turn it, plus and minus come nearer.`"
      data-test="solid-canvas"
      @keydown="key"
    />
    <p class="head">
      <b>{{ tier.name }}</b><span>{{ said }}</span>
      <span v-if="busy" role="status">Cutting…</span>
    </p>
    <TroubleLine :trouble="trouble" what="The solid" class="trouble" @again="tries += 1" />
    <p v-if="noWebGl" class="busy" role="status">
      This browser shows no solids: front, side and plan instead.
    </p>
    <div v-else class="tools">
      <span role="group" aria-label="Look from" class="group">
        <KeyButton v-for="each in views" :key="each.id" size="small" @click="scene?.look(each.id)">
          {{ each.text }}
        </KeyButton>
      </span>
      <v-slider
        v-model="openShare"
        class="open"
        name="Open it from the front"
        label="Open it from the front"
        :min="0"
        :max="0.98"
        :step="0.02"
      />
      <v-checkbox v-model="offcuts" label="offcuts beside it" />
    </div>
  </div>
</template>

<style scoped src="./turned.css" />
<style scoped>
.head {
  position: absolute;
  left: 18px;
  top: 16px;
  right: 250px;
  margin: 0;
  font-size: var(--size-note);
  display: flex;
  flex-direction: column;
  pointer-events: none;
}
.trouble {
  position: absolute;
  left: 18px;
  right: 18px;
  top: 96px;
}
.busy {
  position: absolute;
  left: 18px;
  top: 72px;
  margin: 0;
  font-size: var(--size-note);
  color: var(--soft);
}
.open.v-input {
  flex: 0 1 300px;
}
</style>
