<script setup lang="ts">
import { addUp, type Batch, type Bowl, type Look, type Spread } from '@pyrgotect/core';
import { computed } from 'vue';
import { spread as spreadApart } from '../../section/scale.ts';
import { fillOf } from '../../section/tones.ts';
import { useUnits } from '../../figures/units.ts';
import { useWorking } from '../../figures/working.ts';

/** A bowl as a column: what it is shared out to, in working order from the bottom up. */
const props = defineProps<{
  bowl: Bowl;
  batch: Batch;
  spread: Spread | null;
  pxPerG: number;
  high: number;
}>();
const units = useUnits();
const working = useWorking();
const look = computed<Look>(
  () => (props.bowl.tinted?.hex as Look | null) ?? props.spread?.tone ?? 'ivory',
);
const columnWide = 66;
const width = 252;

interface Band {
  label: string;
  massG: number;
  kind: 'use' | 'loss' | 'left';
  figure: string | null;
}
/** Equal uses that follow each other are shown as one: three fillings, not three lines. */
const bands = computed<Band[]>(() => {
  const groups = new Map<string, Band>();
  const names: Record<(typeof props.bowl.uses)[number]['kind'], string> = {
    dab: 'dab',
    dam: 'dams',
    gap: 'fillings',
    crumb: 'crumb coat',
    coat: 'coat',
    pour: 'poured over',
    tray: 'back in the tray',
    drip: 'drips and rim',
    flood: 'top',
    drizzle: 'drizzle',
    piping: 'piping',
    glue: 'between carved pieces',
    seat: 'seats on the side',
    inlay: 'inlays',
    reserve: 'patching',
  };
  for (const use of props.bowl.uses) {
    const known = groups.get(use.kind);
    if (known) known.massG += use.massG;
    else
      groups.set(use.kind, {
        label: names[use.kind],
        massG: use.massG,
        kind: 'use',
        figure: use.figure,
      });
  }
  const lost = props.bowl.lostG;
  const all: Band[] = [
    ...groups.values(),
    { label: 'lost on the way', massG: lost, kind: 'loss' as const, figure: null },
    { label: 'likely left', massG: props.bowl.leftG, kind: 'left' as const, figure: null },
  ];
  // what is shown adds up to what is shown over it
  const whole = addUp(all.map((band) => band.massG));
  return all.map((band, i) => ({ ...band, massG: whole[i]! })).filter((band) => band.massG > 0);
});
const drawn = computed(() => {
  let y = props.high;
  const boxes = bands.value.map((band) => {
    const h = band.massG * props.pxPerG;
    y -= h;
    return { band, y, h };
  });
  const placed = spreadApart(
    boxes.map((b) => b.y + b.h / 2),
    16,
    10,
    props.high - 4,
  );
  return boxes.map((box, i) => ({ ...box, textY: placed[i]! }));
});
</script>

<template>
  <figure>
    <svg
      :width="width"
      :height="high + 6"
      :viewBox="`0 0 ${width} ${high + 6}`"
      role="img"
      :aria-label="`${bowl.name}, ${units.text(bowl.makeG, 'bowl')}`"
    >
      <g v-for="(box, i) in drawn" :key="i" :class="box.band.kind">
        <rect
          x="2"
          :y="box.y"
          :width="columnWide"
          :height="box.h"
          :fill="box.band.kind === 'use' ? fillOf(look) : 'none'"
          class="band"
        />
        <path
          class="leader"
          :d="`M${columnWide + 4} ${box.y + box.h / 2}L${columnWide + 15} ${box.textY}`"
        />
        <text :x="columnWide + 19" :y="box.textY + 4.5" font-size="13.5">{{ box.band.label }}</text>
        <text
          :x="width - 4"
          :y="box.textY + 4.5"
          font-size="13.5"
          text-anchor="end"
          class="soft-text"
        >
          {{ units.text(box.band.massG, 'small') }}
        </text>
      </g>
      <path :d="`M-2 ${high}H${columnWide + 6}`" class="floor" />
    </svg>
    <figcaption>
      <button type="button" @click="working.open(`bowl/${bowl.id}/make`)">
        <b>{{ bowl.name }}</b>
        <span data-test="bowl-make">{{ units.text(bowl.makeG, 'bowl') }}</span>,
        {{
          batch.bowlIds.length > 1
            ? 'from the common batch'
            : batch.mixes === 1
              ? 'one mixing'
              : `${batch.mixes} mixings of ${units.text(batch.eachMixG, 'bowl')}`
        }}
      </button>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.band {
  stroke: var(--pen);
  stroke-width: 1;
}
.left .band {
  stroke: var(--soft);
  stroke-dasharray: 4 3;
}
.loss .band {
  stroke: var(--soft);
}
.leader {
  stroke: var(--soft);
  stroke-width: 0.7;
  fill: none;
}
.floor {
  stroke: var(--ink);
  stroke-width: 2.5;
}
figcaption button {
  text-align: left;
  line-height: 1.35;
  color: var(--soft);
}
figcaption b {
  display: block;
  color: var(--ink);
}
figcaption span {
  font-weight: 700;
  color: var(--ink);
}
figcaption button:hover b {
  color: var(--accent);
}
</style>
