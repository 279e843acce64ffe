<script setup lang="ts">
import {
  pantryLimits,
  tinOutlineAt,
  tinVolumeMl,
  usualWall,
  widthMm,
  type Tin,
} from '@pyrgotect/core';
import { computed, ref } from 'vue';
import QuantityField from '../figures/QuantityField.vue';
import { useUnits } from '../figures/units.ts';
import type { StlUnit } from '@pyrgotect/core/solids';
import { stlBytes } from '../parts/stl-file.ts';
import StlKey from '../parts/StlKey.vue';

/** The wall of a mould as it is drawn: how wide it is at a few heights, or read from a solid of what it holds. */
const props = defineProps<{ tin: Tin }>();
const emit = defineEmits<{ change: [to: Partial<Tin>] }>();
const { text } = useUnits();

/** More widths than these came from a file and are not typed. */
const typedMost = 9;
const wall = computed(() => (props.tin.wall.length > 1 ? props.tin.wall : usualWall));
const isTyped = computed(() => wall.value.length <= typedMost);
const tin = computed((): Tin => ({ ...props.tin, wall: [...wall.value] }));
const atMm = (i: number): number => (props.tin.depthMm * i) / (wall.value.length - 1);
const set = (i: number, share: number): void =>
  emit('change', { wall: wall.value.map((one, k) => (k === i ? share : one)) });
if (props.tin.wall.length < 2) emit('change', { wall: [...usualWall] });

const problem = ref('');
const notes = ref('');
async function read(file: File, unit: StlUnit): Promise<void> {
  problem.value = '';
  notes.value = '';
  try {
    const bytes = await stlBytes(file);
    const { askSolids } = await import('../workers/solids.ts');
    const {
      volumeMl,
      notes: said,
      ...shape
    } = await askSolids((solids) => solids.tinWall(bytes, unit));
    const { min, max } = pantryLimits.tinDepthMm;
    if (shape.depthMm < min || shape.depthMm > max)
      throw new Error(
        `It is ${text(shape.depthMm, 'size')} high: a mould is ${text(min, 'size')} to ${text(max, 'size')} deep. Say in which unit it was drawn, or scale it there.`,
      );
    // its volume is exact, whatever its slices are
    emit('change', { ...shape, flareMm: 0, flutes: null, waterG: Math.round(volumeMl) });
    notes.value = said.join(' ');
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}

/** Room of the drawing, px. */
const [wide, high] = [132, 100];
const drawing = computed(() => {
  const steps = 24;
  const deep = props.tin.depthMm;
  const half = (i: number): number => widthMm(tinOutlineAt(tin.value, (deep * i) / steps)) / 2;
  const most = Math.max(...Array.from({ length: steps + 1 }, (_, i) => half(i)));
  const scale = Math.min(wide / (2 * most), high / deep);
  const X = (mm: number): number => 70 + mm * scale;
  const Y = (mm: number): number => 104 - mm * scale;
  const side = (sign: number): string[] =>
    Array.from({ length: steps + 1 }, (_, i) => `${X(sign * half(i))} ${Y((deep * i) / steps)}`);
  return `M${[...side(-1).reverse(), ...side(1)].join('L')}`;
});
</script>

<template>
  <span class="drawn" data-test="drawn-wall">
    <svg
      viewBox="0 0 140 108"
      width="140"
      height="108"
      role="img"
      :aria-label="`The mould from the side: ${text(tin.depthMm, 'size')} deep, ${text(widthMm(tin.outline), 'size')} where it is widest`"
    >
      <path :d="drawing" />
    </svg>
    <span>
      <template v-if="isTyped">
        Of its width it has
        <template v-for="(share, i) in wall" :key="i"
          ><template v-if="i > 0">, </template
          ><QuantityField
            :model-value="share"
            :of="pantryLimits.wallShare"
            :label="`Width of the wall at ${text(atMm(i), 'size')}`"
            @update:model-value="(to) => set(i, to)"
          />
          at
          {{
            i === 0 ? 'the bottom' : i === wall.length - 1 ? 'the brim' : text(atMm(i), 'size')
          }}</template
        >.
      </template>
      <template v-else
        >Its wall is read at {{ wall.length }} heights, as the round of equal area.</template
      >
      It holds {{ text(tinVolumeMl(tin, tin.depthMm), 'volume') }}.
      <StlKey label="STL file of the mould" @take="read">from an STL file of what it holds</StlKey>
      <KeyButton
        v-if="!isTyped"
        size="small"
        @click="emit('change', { wall: [...usualWall], waterG: null })"
      >
        type its widths instead
      </KeyButton>
      <span v-if="notes" class="soft">{{ notes }}</span>
      <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
    </span>
  </span>
</template>

<style scoped>
.drawn {
  display: flex;
  gap: 14px;
  align-items: center;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linejoin: round;
}
.key + .key {
  margin-left: 8px;
}
</style>
