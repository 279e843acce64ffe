<script setup lang="ts">
import type { BakedTogether, Together, UsedOver } from '@pyrgotect/core';
import { dayText } from '../locale/when.ts';
import { useUnits } from '../figures/units.ts';

/** What several cakes take of one bowl or one batter, worth making at once, and what of one goes into another. */
defineProps<{
  together: readonly Together[];
  baked: readonly BakedTogether[];
  usedOver: readonly UsedOver[];
}>();
const units = useUnits();
const dayMin = 1440;
const mass = (g: number): string => units.text(g, 'bowl');
const minutes = (min: number): string => units.text(min, 'minutes');
const day = (at: number): string => dayText(at, 'short');
/** "26 h", "3 days" */
const longText = (min: number): string =>
  min < 2 * dayMin ? minutes(min) : `${Math.round(min / dayMin)} days`;
const partsText = (parts: readonly { cake: string; massG: number }[]): string =>
  parts.map(({ cake, massG }) => `${mass(massG)} for ${cake}`).join(', ');
const counted = (n: number, one: string): string => (n === 1 ? `One ${one}` : `${n} ${one}s`);
const gainText = ({ savesMin, olderMin, keepsMin, mixes }: Together): string =>
  `${counted(mixes, 'mixing')}: saves ${minutes(savesMin)} of hands${olderMin < 1 ? '' : `; the last of it is ${longText(olderMin)} older, and keeps ${longText(keepsMin)} in the cold`}.`;
const bakedText = ({ mixes, loads, savesMin, ovenMin, olderMin }: BakedTogether): string => {
  const saved = [
    ...(savesMin > 0 ? [`${minutes(savesMin)} of hands`] : []),
    ...(ovenMin >= 1 ? [`${minutes(ovenMin)} of a hot oven`] : []),
  ].join(' and ');
  const older = olderMin < 1 ? '' : ` Wrapped, the last layers are ${longText(olderMin)} older.`;
  return `${counted(mixes, 'mixing')}, ${counted(loads, 'load').toLowerCase()} of the oven: saves ${saved}.${older}`;
};
const overWords: Record<UsedOver['kind'], string> = {
  left: 'is over of',
  'run-off': 'runs off, strained, of',
};
</script>

<template>
  <section v-if="together.length + baked.length > 0" data-test="together">
    <h2>Made at once</h2>
    <ul>
      <li v-for="one in baked" :key="one.id">
        <b>{{ one.name }}, {{ mass(one.massG) }}</b> baked on {{ day(one.bakedAt) }}:
        {{ partsText(one.parts) }}. {{ bakedText(one) }}
      </li>
      <li v-for="one in together" :key="one.id">
        <b>{{ one.name }}, {{ mass(one.massG) }}</b> on {{ day(one.madeAt) }}:
        {{ partsText(one.parts) }}. {{ gainText(one) }}
      </li>
    </ul>
  </section>
  <section v-if="usedOver.length > 0" data-test="used-over">
    <h2>Used up</h2>
    <ul>
      <li v-for="one in usedOver" :key="one.id">
        <b>{{ one.name }}, {{ mass(one.massG) }}</b> that {{ overWords[one.kind] }}
        {{ one.from }} from {{ day(one.fromAt) }} goes into the bowl for {{ one.to }}: so much less
        to make.
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 4px 0 14px;
  padding-left: 18px;
}
</style>
