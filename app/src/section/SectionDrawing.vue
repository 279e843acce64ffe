<script setup lang="ts">
import { depthMm, type Build, type CakePlan } from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { chosenBy, partName } from '../parts/part-edits.ts';
import { usePantry } from '../stores/pantry.ts';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import { footNow } from './flowing.ts';
import { fitSection, scaleText, type Scale } from './scale.ts';
import LoadPath from '../support/LoadPath.vue';
import PlanFromAbove from './PlanFromAbove.vue';
import SectionHandle from './SectionHandle.vue';
import SectionRuler from './SectionRuler.vue';
import { useSectionDrag } from './useSectionDrag.ts';
import { useSectionLabels, type PartBox } from './useSectionLabels.ts';
import { arcPath, cornersOf, fillOf, linesPath } from './tones.ts';

const props = defineProps<{
  build: Build;
  plan: CakePlan;
  selected: string | null;
  /** Shows what stands on each board. */
  loads?: boolean;
}>();
const emit = defineEmits<{ select: [id: string] }>();
const settings = useSettings();
const units = useUnits();
const store = useBuild();

const pane = useTemplateRef<HTMLElement>('pane');
const { width, height } = useElementSize(pane);

// while a boundary is dragged the scale stands still, or the drawing would run from the finger
const held = ref<Scale | null>(null);
const scale = computed<Scale>(
  () => held.value ?? fitSection(props.plan.section, width.value || 512, height.value || 640),
);
const X = (mm: number): number => scale.value.axisPx + mm * scale.value.pxPerMm;
const Y = (mm: number): number => scale.value.basePx - mm * scale.value.pxPerMm;

const boxes = computed<PartBox[]>(() =>
  props.plan.section.parts.map((part) => ({
    part,
    x: X(part.x0),
    y: Y(part.y1),
    w: (part.x1 - part.x0) * scale.value.pxPerMm,
    h: Math.max(0, (part.y1 - footNow(part, props.plan)) * scale.value.pxPerMm),
  })),
);
const marked = computed(
  () => boxes.value.find((box) => chosenBy(box.part.id) === props.selected) ?? null,
);
/** The tier that is being worked on: the chosen part's, or the lowest. */
const tower = computed(() => {
  const chosen = props.selected ? partName(props.selected)?.tierId : null;
  return props.plan.tiers.find((t) => t.tierId === chosen) ?? props.plan.tiers[0]!;
});
/** Right of the tier with its figures; handles stand just beside it. */
const edge = computed(() => {
  const span = props.plan.section.tiers.find((t) => t.tierId === tower.value.tierId);
  return X((span?.atMm ?? 0) + (span?.widthMm ?? 0) / 2);
});

const { handles, labels } = useSectionLabels({
  build: () => props.build,
  plan: () => props.plan,
  boxes: () => boxes.value,
  tower: () => tower.value,
  scale: () => scale.value,
  edgeX: () => edge.value,
  height: () => height.value,
  X,
  Y,
});

const otherTiers = computed(() =>
  props.plan.section.tiers.flatMap((span, i) =>
    span.tierId === tower.value.tierId
      ? []
      : [
          {
            id: span.tierId,
            name: props.build.tiers[i]!.name,
            y: (Y(span.fromMm) + Y(span.toMm)) / 2,
            x: X(span.atMm + span.widthMm / 2) + 10,
            high: units.text(span.toMm - span.fromMm, 'span'),
          },
        ],
  ),
);
const topY = computed(() => Y(props.plan.section.heightMm));
const leftX = computed(() =>
  Math.min(...props.plan.section.tiers.map((t) => X(t.atMm - t.widthMm / 2))),
);
const dimX = computed(() =>
  Math.max(34, Math.min(leftX.value, X(-props.plan.section.halfWidthMm)) - 26),
);

/* A flat cake leaves room above its section: there it is drawn from above, on the same axis. */
const pantry = usePantry();
const board = computed(
  () => pantry.pantry.boards.find((row) => row.id === props.build.boardId) ?? null,
);
const foot = computed(() => {
  const { coat } = props.plan.tiers[0]!;
  return coat.ok ? coat.value.finished : props.build.tiers[0]!.outline;
});
const above = computed(() => {
  const deep = depthMm(board.value?.outline ?? foot.value) * scale.value.pxPerMm;
  const room = topY.value - 46 - 30;
  return deep <= room ? { y: 46 + room / 2 } : null;
});

const cautionOf = computed(() => {
  const map = new Map<string, string>();
  for (const caution of store.cautions)
    if (caution.part && caution.severity !== 'note' && !map.has(caution.part))
      map.set(caution.part, units.say(caution.title));
  return map;
});

const { tip, drag, nudge, hold, letGo, dragHeight, nudgeHeight } = useSectionDrag({
  build: () => props.build,
  tower: () => tower.value,
  scale: () => scale.value,
  held,
  heightAt: () => ({ x: dimX.value + 60, y: topY.value }),
});
</script>

<template>
  <div ref="pane" class="pane">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      role="group"
      :aria-label="`Section through ${build.name}`"
    >
      <text x="20" y="34" font-size="16.5">Section, {{ scaleText(scale) }}</text>

      <PlanFromAbove
        v-if="above"
        :cake="build.tiers[0]!.outline"
        :finished="foot"
        :board="board"
        :brief="build.brief"
        :x="X(0)"
        :y="above.y"
        :px-per-mm="scale.pxPerMm"
      />
      <text
        v-if="above"
        class="soft-text when-tall"
        :x="width - 20"
        y="34"
        font-size="13.5"
        text-anchor="end"
      >
        above: from the top, same scale
      </text>

      <g class="ground">
        <line
          :x1="14"
          :x2="width - 14"
          :y1="Y(-plan.section.boardMm)"
          :y2="Y(-plan.section.boardMm)"
        />
        <path
          v-for="i in Math.floor((width - 36) / 15)"
          :key="i"
          :d="`M${14 + i * 15} ${Y(-plan.section.boardMm)}l-8 8`"
        />
      </g>

      <component
        :is="box.part.arc || box.part.lines ? 'path' : 'rect'"
        v-for="box in boxes"
        :key="box.part.id"
        :data-part="box.part.id"
        class="part"
        :class="[box.part.kind, { thin: box.h < 3 }]"
        v-bind="
          box.part.lines
            ? { d: linesPath(box.part.lines, X, Y) }
            : box.part.arc
              ? { d: arcPath(box.part.arc, box) }
              : {
                  x: box.x,
                  y: box.y,
                  width: box.w,
                  height: box.h,
                  ...cornersOf(box.part.kind, box),
                }
        "
        :fill="fillOf(box.part.tone)"
        @click="emit('select', chosenBy(box.part.id))"
      >
        <title>{{ box.part.label }}</title>
      </component>

      <LoadPath v-if="loads" :plan="plan" :to-x="X" :to-y="Y" />

      <line class="axis" :x1="X(0)" :x2="X(0)" :y1="topY - 14" :y2="Y(0)" />

      <rect
        v-if="marked"
        class="marked"
        :x="marked.x - 1.5"
        :y="marked.y - 1.5"
        :width="marked.w + 3"
        :height="marked.h + 3"
      />

      <!-- height, with its arrow to drag -->
      <g class="dimension">
        <line :x1="dimX" :x2="dimX" :y1="Y(0)" :y2="topY" />
        <path
          v-for="y in [Y(0), topY]"
          :key="y"
          :d="`M${dimX - 6} ${y}h12M${dimX - 4} ${y + 4}l8 -8`"
        />
        <path
          class="thinline"
          :d="`M${dimX + 9} ${topY}H${leftX - 4}M${dimX + 9} ${Y(0)}H${leftX - 4}`"
        />
        <text
          :x="dimX - 9"
          :y="(Y(0) + topY) / 2"
          text-anchor="middle"
          font-size="16.5"
          font-weight="600"
          :transform="`rotate(-90 ${dimX - 9} ${(Y(0) + topY) / 2})`"
        >
          {{ units.text(plan.section.heightMm, 'size') }}
        </text>
      </g>

      <!-- thickness of each layer and filling -->
      <g
        v-for="label in labels"
        :key="label.id"
        class="label when-tall"
        @click="emit('select', label.id)"
      >
        <path class="thinline" :d="`M${edge + 42} ${label.at}L${edge + 54} ${label.y}`" />
        <text
          :x="edge + 58"
          :y="label.y + 4.5"
          font-size="13.5"
          :class="{ chosen: label.id === selected }"
        >
          {{ label.text }}
          <tspan class="soft-text" font-size="12.5">{{ ' ' + label.kind }}</tspan>
          <tspan v-if="cautionOf.has(label.id)" class="alert">{{ ' ▲' }}</tspan>
        </text>
        <title>{{ cautionOf.get(label.id) ?? label.kind }}</title>
      </g>

      <g
        v-for="other in otherTiers"
        :key="other.id"
        class="label when-tall"
        @click="emit('select', other.id)"
      >
        <text :x="other.x" :y="other.y - 2" font-size="15" font-weight="600">
          {{ other.name.slice(0, 18) }}
        </text>
        <text class="soft-text" :x="other.x" :y="other.y + 15" font-size="13.5">
          {{ other.high }}
        </text>
      </g>

      <SectionHandle
        v-for="handle in handles"
        :key="handle.id"
        class="when-tall"
        :label="handle.label"
        :x="handle.x"
        :y="handle.y"
        :from="handle.from"
        :chosen="handle.id === selected"
        :value="handle.mm"
        :min="handle.range.min"
        :max="handle.range.max"
        :text="units.text(handle.mm, 'thickness')"
        @hold="
          hold();
          emit('select', handle.id);
        "
        @drag="(px, shift, at) => drag(handle.id, px.start, px.by, shift, at)"
        @nudge="(steps, shift) => nudge(handle.id, steps, shift)"
        @release="letGo"
      />
      <SectionHandle
        label="Finished height"
        arrow
        :x="dimX"
        :y="topY"
        :from="dimX"
        :chosen="false"
        :value="tower.stack.uncutMm"
        :min="20"
        :max="1000"
        :text="units.text(plan.section.heightMm, 'size')"
        @hold="hold"
        @drag="(px) => dragHeight(px.start, px.by)"
        @nudge="nudgeHeight"
        @release="letGo"
      />

      <SectionRuler
        class="when-tall"
        :scale="scale"
        :half-width-mm="plan.section.halfWidthMm"
        :y="Y(-plan.section.boardMm) + 20"
        :inches="settings.system.length === 'in'"
        :width-text="units.text(plan.tally.widthMm, 'size')"
      />

      <g
        v-if="tip"
        class="tip"
        :transform="`translate(${Math.max(70, Math.min(width - 80, tip.x))} ${tip.y - 22})`"
      >
        <rect x="-70" y="-15" width="140" height="23" rx="3" />
        <text text-anchor="middle" y="2" font-size="13.5">{{ tip.text }}</text>
      </g>
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
  touch-action: none;
}
.ground line {
  stroke: var(--ink);
  stroke-width: 2;
}
.ground path {
  stroke: var(--ink);
  stroke-width: 0.8;
}
.part {
  stroke: var(--pen);
  stroke-width: 0.9;
  cursor: pointer;
}
.part.coat {
  stroke-width: 1.7;
}
.part.crumb,
.part.thin {
  stroke-width: 0.5;
}
.part.band,
.part.between {
  stroke-width: 0.2;
}
.part:hover {
  filter: brightness(0.96);
}
.axis {
  stroke: var(--ink);
  stroke-width: 0.7;
  stroke-dasharray: 10 3 2 3;
  opacity: 0.55;
  pointer-events: none;
}
.marked {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2.6;
  pointer-events: none;
}
.dimension line,
.dimension path {
  stroke: var(--ink);
  stroke-width: 1.1;
  fill: none;
}
.thinline,
.dimension .thinline {
  stroke: var(--soft);
  stroke-width: 0.7;
  fill: none;
}
.label {
  cursor: pointer;
}
.label .chosen {
  font-weight: 600;
  fill: var(--accent);
}
.alert {
  fill: var(--warn-mark);
}
.tip {
  pointer-events: none;
}
.tip rect {
  fill: var(--ink);
}
.tip text {
  fill: var(--milk);
}
</style>
