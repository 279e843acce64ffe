<script setup lang="ts">
import { widthMm, type Build, type CakePlan } from '@pyrgotect/core';
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { partName } from '../parts/part-edits.ts';
import { useUnits } from '../figures/units.ts';

/**
 * What tips over which edge: the chosen tier with all that stands on it, tilted to where its centre of
 * mass lies just over the edge, over the same upright. Seen in the direction of the nearest edge.
 */
const props = defineProps<{ build: Build; plan: CakePlan; selected: string | null }>();
const units = useUnits();
const pane = useTemplateRef<HTMLElement>('pane');
const { width, height } = useElementSize(pane);
const support = computed(() => props.plan.support);
/** From the tier that is chosen up; the weakest where none is. */
const from = computed(() => {
  const tiers = support.value?.tiers ?? [];
  const chosen = props.selected ? partName(props.selected)?.tierId : undefined;
  const at = tiers.findIndex((tier) => tier.tierId === chosen);
  if (at >= 0) return at;
  return tiers.reduce((best, tier, i) => (tier.margin < tiers[best]!.margin ? i : best), 0);
});
const stand = computed(() => support.value?.tiers[from.value] ?? null);
const blocks = computed(() =>
  (support.value?.tiers ?? []).map((tier, i) => {
    const wide = widthMm(props.build.tiers[i]!.outline);
    const high = props.plan.tiers[i]!.stack.finishedMm;
    return {
      id: tier.tierId,
      name: props.build.tiers[i]!.name,
      x: tier.foot.x - wide / 2,
      y: tier.foot.upMm,
      wide,
      high,
      moves: i >= from.value,
    };
  }),
);
const boardMm = computed(() => props.plan.board?.thicknessMm ?? 0);
const boardWide = computed(() =>
  props.plan.board ? widthMm(props.plan.board.outline) : (blocks.value[0]?.wide ?? 200),
);
/* The edge it turns over and its centre of mass, in the picture's own millimetres. */
const picture = computed(() => {
  const now = stand.value;
  if (!now) return null;
  const base = now.foot.cardMm - (from.value > 0 ? props.build.tiers[from.value]!.stand.postMm : 0);
  const centre = { x: now.foot.x + now.carried.x, y: base + now.tipping.upMm };
  return {
    centre,
    edge: { x: centre.x + now.tipping.edgeMm, y: base },
    tilt: Math.max(0, now.tipping.tiltDeg),
  };
});
const pxPerMm = computed(() => {
  const top = Math.max(80, ...blocks.value.map((block) => block.y + block.high));
  const wide = Math.max(boardWide.value, ...blocks.value.map((block) => block.wide));
  return Math.min(
    ((height.value || 600) - 190) / (top * 1.15),
    ((width.value || 500) - 60) / (wide * 1.5),
  );
});
const X = (mm: number): number => (width.value || 500) * 0.44 + mm * pxPerMm.value;
const Y = (mm: number): number => (height.value || 600) - 96 - mm * pxPerMm.value;
const turn = computed(() =>
  picture.value
    ? `rotate(${picture.value.tilt} ${X(picture.value.edge.x)} ${Y(picture.value.edge.y)})`
    : '',
);
const what = computed(() => {
  const name = props.build.tiers[from.value]?.name ?? '';
  return from.value === (support.value?.tiers.length ?? 1) - 1 ? name : `${name} and what is on it`;
});
</script>

<template>
  <div ref="pane" class="pane" data-test="tipping">
    <svg
      v-if="width > 0 && stand && picture"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="`${what} tips at ${Math.round(stand.tipping.tiltDeg)} degrees`"
    >
      <text x="20" y="34" font-size="16.5">What tips: {{ what }}</text>
      <line class="ground" x1="14" :x2="width - 14" :y1="Y(-boardMm)" :y2="Y(-boardMm)" />
      <rect
        class="board"
        :x="X(-boardWide / 2)"
        :y="Y(0)"
        :width="boardWide * pxPerMm"
        :height="boardMm * pxPerMm"
      />
      <rect
        v-for="block in blocks"
        :key="block.id"
        class="block"
        :class="{ moves: block.moves }"
        :x="X(block.x)"
        :y="Y(block.y + block.high)"
        :width="block.wide * pxPerMm"
        :height="block.high * pxPerMm"
      />
      <g :transform="turn">
        <rect
          v-for="block in blocks.filter((one) => one.moves)"
          :key="block.id"
          class="ghost"
          :x="X(block.x)"
          :y="Y(block.y + block.high)"
          :width="block.wide * pxPerMm"
          :height="block.high * pxPerMm"
        />
        <circle class="centre" :cx="X(picture.centre.x)" :cy="Y(picture.centre.y)" r="6" />
      </g>
      <line
        class="plumb"
        :x1="X(picture.edge.x)"
        :x2="X(picture.edge.x)"
        :y1="Y(picture.edge.y)"
        :y2="Y(picture.centre.y + Math.abs(stand.tipping.edgeMm))"
      />
      <circle class="centre" :cx="X(picture.centre.x)" :cy="Y(picture.centre.y)" r="6" />
      <path
        class="lever"
        :d="`M${X(picture.centre.x)} ${Y(picture.centre.y)}V${Y(picture.edge.y)}H${X(picture.edge.x)}`"
      />
      <circle class="edge" :cx="X(picture.edge.x)" :cy="Y(picture.edge.y)" r="5" />
      <text x="20" :y="height - 62" font-size="15" font-weight="600">
        Tips at {{ Math.round(stand.tipping.tiltDeg) }}°, and at
        {{ units.text(stand.tipping.margin, 'margin') }} times a hard braking.
      </text>
      <text x="20" :y="height - 42" font-size="13.5" class="soft-text">
        ● centre of mass, {{ units.text(stand.tipping.upMm, 'span') }} above the edge and
        {{ units.text(Math.abs(stand.tipping.edgeMm), 'span') }} from it.
      </text>
      <text x="20" :y="height - 22" font-size="13.5" class="soft-text">
        {{
          from > 0 && support?.lifts.some((l) => l.tierIndex === from - 1 && l.placed.length > 0)
            ? 'The edge is the line of its outer dowels. A rod is not counted here.'
            : 'The edge is that of its foot. A rod is not counted here.'
        }}
      </text>
    </svg>
    <p v-else-if="!support" class="none">Weights are not known yet.</p>
  </div>
</template>

<style scoped>
.pane {
  position: absolute;
  inset: 0;
}
text {
  fill: var(--ink);
}
.soft-text {
  fill: var(--soft);
}
.ground {
  stroke: var(--ink);
  stroke-width: 2;
}
.board {
  fill: var(--ink);
}
.block {
  fill: var(--milk);
  stroke: var(--soft);
  stroke-width: 1.2;
}
.block.moves {
  stroke: var(--ink);
  stroke-width: 1.8;
}
.ghost {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1.6;
  stroke-dasharray: 6 4;
}
.centre {
  fill: var(--accent);
}
.edge {
  fill: var(--ink);
}
.plumb {
  stroke: var(--accent);
  stroke-dasharray: 2 4;
}
.lever {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-dasharray: 3 3;
}
.none {
  padding: 40px 20px;
}
</style>
