<script setup lang="ts">
import type { Section } from '@pyrgotect/core';
import { computed } from 'vue';
import { arcPath, cornersOf, fillOf, linesPath } from './tones.ts';

/** The true section, small: no figures, no handles. `fitMm` keeps several drawings to one scale. */
const props = defineProps<{
  section: Section;
  width: number;
  height: number;
  fitMm?: { width: number; height: number };
  ghost?: Set<string>;
  marked?: string | null;
}>();

const drawing = computed(() => {
  const { section } = props;
  const wide = props.fitMm?.width ?? section.halfWidthMm * 2;
  const high = Math.max(props.fitMm?.height ?? 0, section.topMm) + section.boardMm;
  const scale = Math.min((props.width - 12) / wide, (props.height - 16) / high);
  const base = props.height - 7 - section.boardMm * scale;
  const parts = section.parts.map((part) => ({
    ...part,
    x: props.width / 2 + part.x0 * scale,
    y: base - part.y1 * scale,
    w: (part.x1 - part.x0) * scale,
    h: Math.max(0, (part.y1 - part.y0) * scale),
    path: part.lines
      ? linesPath(
          part.lines,
          (mm) => props.width / 2 + mm * scale,
          (mm) => base - mm * scale,
        )
      : '',
  }));
  return { parts, ground: base + section.boardMm * scale };
});
</script>

<template>
  <svg :width="width" :height="height" :viewBox="`0 0 ${width} ${height}`" aria-hidden="true">
    <line :x1="4" :x2="width - 4" :y1="drawing.ground" :y2="drawing.ground" class="ground" />
    <component
      :is="part.arc || part.lines ? 'path' : 'rect'"
      v-for="part in drawing.parts"
      :key="part.id"
      v-bind="
        part.lines
          ? { d: part.path }
          : part.arc
            ? { d: arcPath(part.arc, part) }
            : {
                x: part.x,
                y: part.y,
                width: part.w,
                height: part.h,
                ...cornersOf(part.kind, part),
              }
      "
      :fill="ghost?.has(part.id) ? 'none' : fillOf(part.tone)"
      class="part"
      :class="{
        between: part.kind === 'between',
        ghost: ghost?.has(part.id),
        marked: marked === part.id,
      }"
    />
  </svg>
</template>

<style scoped>
.ground {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.part {
  stroke: var(--ink);
  stroke-width: 0.8;
}
.part.between {
  stroke-width: 0.15;
}
.part.ghost {
  stroke: var(--soft);
  stroke-dasharray: 4 3;
}
.part.marked {
  stroke: var(--accent);
  stroke-width: 3;
}
</style>
