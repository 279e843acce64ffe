<script setup lang="ts">
import { grownLines, insetOf, type CarveResult, type Cover, type Lines } from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { useUnits } from '../figures/units.ts';
import { linesPath } from './tones.ts';

/**
 * A carved cake from the front, from the right and from above, to one scale: the line the knife
 * follows, and the finished line round it.
 */
const props = defineProps<{ result: CarveResult; cover: Cover }>();
const units = useUnits();
const box = useTemplateRef<HTMLElement>('box');
const { width, height } = useElementSize(box);
const gap = 44;
const boxOf = (lines: Lines) => {
  const xs = lines.flatMap((line) => line.map((p) => p[0]));
  const ys = lines.flatMap((line) => line.map((p) => p[1]));
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
};
const drawing = computed(() => {
  const t = insetOf(props.cover);
  const { front, side, plan } = props.result;
  const wide = boxOf(front).x1 - boxOf(front).x0 + 2 * t;
  const deep = boxOf(side).x1 - boxOf(side).x0 + 2 * t;
  const high = boxOf(front).y1 + t;
  const [w, h] = [Math.max(200, width.value), Math.max(200, height.value)];
  const px = Math.min((w - 3 * gap) / (wide + deep), (h - 4 * gap - 40) / (high + deep));
  const place = (lines: Lines, grow: Lines, left: number, base: number, x0: number, y0: number) => {
    const X = (mm: number): number => left + (mm - x0) * px;
    const Y = (mm: number): number => base - (mm - y0) * px;
    return { knife: linesPath(lines, X, Y), finished: linesPath(grow, X, Y) };
  };
  const base = gap + 24 + high * px;
  const f = boxOf(front);
  const s = boxOf(side);
  const p = boxOf(plan);
  const left2 = 2 * gap + wide * px;
  return {
    px,
    base,
    views: [
      {
        name: 'front',
        x: gap,
        y: gap + 12,
        ...place(front, grownLines(front, t), gap, base, f.x0 - t, 0),
      },
      {
        name: 'right side',
        x: left2,
        y: gap + 12,
        ...place(side, grownLines(side, t), left2, base, s.x0 - t, 0),
      },
      {
        name: 'from above, back uppermost',
        x: gap,
        y: base + gap + 12,
        ...place(
          plan,
          grownLines(plan, t, false),
          gap,
          base + gap + 24 + (p.y1 - p.y0 + 2 * t) * px,
          p.x0 - t,
          p.y0 - t,
        ),
      },
    ],
    guides: props.result.guides
      .filter((guide) => guide.upMm > 0)
      .map((guide) => ({
        y: base - guide.upMm * px,
        text: units.text(guide.upMm, 'span'),
        x0: gap,
        x1: gap + wide * px,
      })),
    words: { x: left2, y: base + gap + 30 },
  };
});
</script>

<template>
  <div ref="box" class="still" data-test="still-drawing">
    <svg
      :width="Math.max(200, width)"
      :height="Math.max(200, height)"
      role="img"
      aria-label="Front, right side and plan, with the line of the knife and the finished line"
    >
      <g v-for="view in drawing.views" :key="view.name">
        <text :x="view.x" :y="view.y" font-size="13.5">{{ view.name }}</text>
        <path class="finished" :d="view.finished" />
        <path class="knife" :d="view.knife" />
      </g>
      <g v-for="guide in drawing.guides" :key="guide.y" class="guide">
        <line :x1="guide.x0" :x2="guide.x1" :y1="guide.y" :y2="guide.y" />
        <text :x="guide.x1 + 2" :y="guide.y + 4" font-size="12.5" class="soft-text">
          {{ guide.text }}
        </text>
      </g>
      <g :transform="`translate(${drawing.words.x} ${drawing.words.y})`" font-size="12.5">
        <path d="M0 -4h26" class="finished" />
        <text x="34" y="0">finished, coat on</text>
        <path d="M0 16h26" class="knife" />
        <text x="34" y="20">the knife’s line</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.still {
  position: absolute;
  inset: 46px 0 0;
  overflow: hidden;
}
svg {
  display: block;
}
.knife {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.4;
  fill-rule: evenodd;
}
.finished {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1.4;
  stroke-dasharray: 5 3;
}
.guide line {
  stroke: var(--soft);
  stroke-width: 0.7;
  stroke-dasharray: 2 3;
}
</style>
