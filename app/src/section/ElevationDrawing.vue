<script setup lang="ts">
import {
  depthMm,
  drawElevation,
  type Build,
  type CakePlan,
  type ElevationShape,
  type PartKind,
} from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { chosenBy } from '../parts/part-edits.ts';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import FinishFromAbove from './FinishFromAbove.vue';
import { footNow } from './flowing.ts';
import { fitSection, scaleText } from './scale.ts';
import SectionRuler from './SectionRuler.vue';
import { cornersOf, fillOf, linesPath } from './tones.ts';

/** The cake from the front, with drips, borders and toppings as they are planned. */
const props = defineProps<{ build: Build; plan: CakePlan; selected: string | null }>();
const emit = defineEmits<{ select: [id: string] }>();
const settings = useSettings();
const units = useUnits();
const pantry = usePantry();
const pane = useTemplateRef<HTMLElement>('pane');
const { width, height } = useElementSize(pane);
const drawing = computed(() => drawElevation(props.build, props.plan, pantry.pantry));
const scale = computed(() =>
  fitSection(
    {
      ...props.plan.section,
      halfWidthMm: drawing.value.halfWidthMm,
      topMm: drawing.value.heightMm,
    },
    width.value || 512,
    height.value || 640,
  ),
);
const X = (mm: number): number => scale.value.axisPx + mm * scale.value.pxPerMm;
const Y = (mm: number): number => scale.value.basePx - mm * scale.value.pxPerMm;
/** Parts of the front that the section knows under another name. */
const cornersAs: Partial<Record<ElevationShape['kind'], PartKind>> = {
  side: 'coat',
  flute: 'band',
};
const boxes = computed(() =>
  drawing.value.shapes.map((shape) => {
    const w = (shape.x1 - shape.x0) * scale.value.pxPerMm;
    const h = Math.max(0, (shape.y1 - footNow(shape, props.plan)) * scale.value.pxPerMm);
    return {
      shape,
      x: X(shape.x0),
      y: Y(shape.y1),
      w,
      h,
      corners: cornersOf(cornersAs[shape.kind] ?? (shape.kind as PartKind), { w, h }),
      on: chosenBy(shape.id) === props.selected,
    };
  }),
);
/** A flat cake leaves room above it: there it is drawn from above. */
const above = computed(() => {
  const outline = props.plan.board?.outline ?? props.plan.tiers[0]!.finished;
  const deep = depthMm(outline) * scale.value.pxPerMm;
  const room = Y(drawing.value.heightMm) - 66 - 20;
  return deep <= room ? 66 + room / 2 : null;
});
const front = computed(() => Y(-drawing.value.boardMm));
</script>

<template>
  <div ref="pane" class="pane" data-test="elevation">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      role="img"
      :aria-label="`${build.name} from the front`"
    >
      <text x="20" y="34" font-size="16.5">From the front, {{ scaleText(scale) }}</text>
      <template v-if="above !== null">
        <FinishFromAbove
          :build="build"
          :plan="plan"
          :x="X(0)"
          :y="above"
          :px-per-mm="scale.pxPerMm"
        />
        <text class="soft-text when-tall" x="20" y="56" font-size="13.5">
          above: from the top, same scale
        </text>
      </template>
      <line class="ground" :x1="14" :x2="width - 14" :y1="front" :y2="front" />
      <component
        :is="box.shape.lines ? 'path' : 'rect'"
        v-for="(box, i) in boxes"
        :key="i"
        v-bind="
          box.shape.lines
            ? { d: linesPath(box.shape.lines, X, Y) }
            : { x: box.x, y: box.y, width: box.w, height: box.h, ...box.corners }
        "
        :fill="fillOf(box.shape.tone)"
        :fill-opacity="box.shape.cover"
        class="part"
        :class="[box.shape.kind, { on: box.on }]"
        @click="emit('select', chosenBy(box.shape.id))"
      >
        <title>{{ box.shape.label }}</title>
      </component>
      <SectionRuler
        :scale="scale"
        :half-width-mm="drawing.halfWidthMm"
        :y="front + 20"
        :inches="settings.system.length === 'in'"
        :width-text="units.text(plan.tally.widthMm, 'size')"
      />
    </svg>
  </div>
</template>

<style scoped>
.pane {
  position: absolute;
  inset: 0;
  --board: var(--ink);
}
svg {
  display: block;
}
.ground {
  stroke: var(--ink);
  stroke-width: 2;
}
.part {
  stroke: var(--pen);
  stroke-width: 0.9;
  cursor: pointer;
}
.band {
  stroke: none;
}
.side {
  stroke-width: 1.6;
}
.flute {
  pointer-events: none;
}
.flood {
  stroke: none;
}
.on {
  stroke: var(--accent);
  stroke-width: 1.8;
}
</style>
