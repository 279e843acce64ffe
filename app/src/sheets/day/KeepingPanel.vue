<script setup lang="ts">
import { type Build, type CakePlan } from '@pyrgotect/core';
import { useDay } from '../../stores/day.ts';
import { useUnits } from '../../figures/units.ts';

/** What may not stand long out of the cold, and how long it does in this plan. */
defineProps<{ build: Build; plan: CakePlan }>();
const day = useDay();
const units = useUnits();
const text = (n: number): string => units.text(n, 'minutes');
const share = (out: number, most: number): number => Math.min(100, (100 * out) / (1.6 * most));
</script>

<template>
  <div data-test="keeping">
    <p v-if="day.clocks.length === 0" class="lead">
      Nothing in this cake is held to two hours out of the cold by usual guidance.
    </p>
    <div v-for="clock in day.clocks" :key="clock.tierId" class="clock">
      <p class="sentence">
        <b>{{ clock.tierName }}</b>, with {{ clock.name }}:
        <b :class="{ over: clock.outMin > clock.mostMin }">{{ text(clock.outMin) }}</b> out of the
        cold in all, of {{ text(clock.mostMin) }}.
      </p>
      <div class="track">
        <span
          :class="{ over: clock.outMin > clock.mostMin }"
          :style="{ width: `${share(clock.outMin, clock.mostMin)}%` }"
        />
        <i :style="{ left: `${100 / 1.6}%` }" />
      </div>
      <p v-if="clock.outMin > clock.mostMin" class="soft">
        Work on it in shorter turns and put it back between them, keep the box cold on the road, or
        take a filling that keeps. After twice the time it is not eaten.
      </p>
    </div>
    <p class="soft">
      Usual guidance: two hours out of the cold in all, one above 32 °C. Every minute of hands on
      the tier and every wait outside the fridge adds up; between tasks it is taken to stand in the
      cold. What holds for food that is sold or given away, your local food code decides.
    </p>
  </div>
</template>

<style scoped>
.track {
  position: relative;
  height: 16px;
  background: var(--raised);
}
.track span {
  display: block;
  height: 100%;
  background: var(--accent);
}
.track .over {
  background: var(--stop);
}
b.over {
  color: var(--stop);
}
.track i {
  position: absolute;
  top: -3px;
  bottom: -3px;
  border-left: 2px solid var(--ink);
}
</style>
