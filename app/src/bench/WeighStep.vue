<script setup lang="ts">
import {
  nearG,
  weighedKey,
  weighedNote,
  weighTargets,
  type Build,
  type Step,
  type WeighTarget,
} from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import { useDevices } from '../stores/devices.ts';
import { useUnits } from '../figures/units.ts';
import type { BenchHand } from './useBench.ts';

/** What is weighed at a step, with the scale's own reading: how much is to go, and taken when it stands still. */
const props = defineProps<{ step: Step; build: Build; bench: BenchHand }>();
const devices = useDevices();
const units = useUnits();
const text = (g: number): string => units.text(g, 'small');
const targets = computed(() => weighTargets(props.step));
const isDone = (target: WeighTarget): boolean =>
  props.bench.bench.value.checks.includes(weighedKey(props.step, target));
const chosen = ref<number | null>(null);
watch(
  () => props.step.key,
  () => (chosen.value = null),
);
const index = computed(() => {
  if (chosen.value !== null && chosen.value < targets.value.length) return chosen.value;
  const open = targets.value.findIndex((target) => !isDone(target));
  return open >= 0 ? open : Math.max(0, targets.value.length - 1);
});
const target = computed(() => targets.value[index.value]);
const grams = computed(() => devices.grams);
const isHere = computed(() => target.value?.wantedG ?? null);
const missing = computed(() =>
  isHere.value === null || grams.value === null ? null : isHere.value - grams.value,
);
const state = computed<'to go' | 'there' | 'over'>(() => {
  if (missing.value === null || isHere.value === null) return 'there';
  const near = nearG(isHere.value);
  return missing.value > near ? 'to go' : missing.value < -near ? 'over' : 'there';
});
const shown = computed(() => {
  if (missing.value === null) return '';
  if (state.value === 'there') return 'there';
  return state.value === 'over' ? `${text(-missing.value)} over` : `${text(missing.value)} to go`;
});
const filled = computed(() =>
  isHere.value ? Math.max(0, Math.min(1.15, (grams.value ?? 0) / isHere.value)) : 0,
);
const noted = computed(() =>
  target.value ? weighedNote(props.build, props.step, target.value)?.value : undefined,
);
function take(): void {
  const now = target.value;
  const settled = devices.settledG;
  if (!now || settled === null) return;
  props.bench.weighed(props.step, now, Math.max(0, Math.round(settled)));
  devices.ask({ do: 'tare' });
  chosen.value = null;
}
const go = (by: number): void => {
  const n = targets.value.length;
  chosen.value = (index.value + by + n) % n;
};
</script>

<template>
  <section v-if="target && devices.scaleIsThere" class="weigh" data-test="weigh" aria-label="Scale">
    <div class="what">
      <KeyButton
        v-if="targets.length > 1"
        variant="text"
        class="turn"
        aria-label="The one before"
        @click="go(-1)"
      >
        ←
      </KeyButton>
      <span>
        <b>{{ target.label }}</b>
        <small>
          {{ target.wantedG === null ? 'what the scale says' : `${text(target.wantedG)} wanted`
          }}<template v-if="targets.length > 1">, {{ index + 1 }} of {{ targets.length }}</template>
          <template v-if="isDone(target)"
            >, weighed{{ noted == null ? '' : `: ${text(noted)}` }}</template
          >
        </small>
      </span>
      <KeyButton
        v-if="targets.length > 1"
        variant="text"
        class="turn"
        aria-label="The next one"
        @click="go(1)"
      >
        →
      </KeyButton>
    </div>
    <div class="live" :class="state.replace(' ', '-')">
      <output data-test="grams">{{ text(grams ?? 0) }}</output>
      <span data-test="to-go">{{ shown }}</span>
      <span class="gauge" aria-hidden="true"
        ><i :style="{ width: `${(100 * filled) / 1.15}%` }" /><u
      /></span>
    </div>
    <KeyButton
      variant="flat"
      data-test="take"
      :disabled="devices.settledG === null || devices.settledG < 0.5"
      @click="take"
    >
      {{
        devices.settledG === null
          ? 'wait …'
          : devices.settledG < 0.5
            ? 'put it on the scale'
            : `Take ${text(devices.settledG)}`
      }}
    </KeyButton>
    <KeyButton data-test="tare" @click="devices.ask({ do: 'tare' })"> Tare </KeyButton>
  </section>
</template>

<style scoped>
.weigh {
  display: grid;
  grid-template-columns: minmax(150px, 1.1fr) minmax(190px, 1.3fr) auto auto;
  gap: 14px;
  align-items: center;
  border: 2px solid var(--ink);
  border-radius: 6px;
  padding: 10px 14px;
  margin-top: 18px;
  background: var(--raised);
}
.what {
  display: flex;
  gap: 8px;
  align-items: center;
  min-width: 0;
}
.what span {
  flex: 1;
  min-width: 0;
}
.what b {
  display: block;
  line-height: 1.15;
}
.what small {
  color: var(--soft);
  font-size: var(--size-text);
}
.live output {
  font: 700 var(--size-big)/1 var(--heading);
  white-space: nowrap;
  margin-right: 12px;
}
.live > span:first-of-type {
  font-weight: 700;
}
.there > span:first-of-type {
  color: var(--accent);
}
.over > span:first-of-type {
  color: var(--stop);
}
.gauge {
  display: block;
  position: relative;
  height: 10px;
  background: var(--line);
  margin-top: 8px;
}
.gauge i {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--ink);
}
.there .gauge i {
  background: var(--accent);
}
.over .gauge i {
  background: var(--stop);
}
.gauge u {
  position: absolute;
  left: 86.96%;
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: var(--ink);
}
.key {
  min-height: 56px;
  font-size: var(--size-title);
}
.key.turn {
  width: 48px;
  min-height: 48px;
  padding: 0;
  justify-content: center;
  font-size: var(--size-head);
  flex: none;
}
@media (max-width: 1100px) {
  .weigh {
    grid-template-columns: minmax(0, 1fr) auto auto;
  }
  .what {
    grid-column: 1 / -1;
  }
}
@media (max-width: 500px) {
  .weigh {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 10px;
  }
  .live {
    grid-column: 1 / -1;
  }
}
</style>
