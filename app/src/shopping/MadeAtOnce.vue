<script setup lang="ts">
import type { Together } from '@pyrgotect/core';
import { format } from 'date-fns';
import { useUnits } from '../figures/units.ts';

/** Bowls that several cakes take and that are worth making at once: what it saves, and how old the last gets. */
defineProps<{ together: readonly Together[] }>();
const units = useUnits();
const dayMin = 1440;
const mass = (g: number): string => units.text(g, 'bowl');
/** "26 h", "3 days" */
const longText = (min: number): string =>
  min < 2 * dayMin ? units.text(min, 'minutes') : `${Math.round(min / dayMin)} days`;
const partsText = ({ parts }: Together): string =>
  parts.map(({ cake, massG }) => `${mass(massG)} for ${cake}`).join(', ');
const gainText = ({ savesMin, olderMin, keepsMin, mixes }: Together): string =>
  `${mixes === 1 ? 'One mixing' : `${mixes} mixings`}: saves ${units.text(savesMin, 'minutes')} of hands${olderMin < 1 ? '' : `; the last of it is ${longText(olderMin)} older, and keeps ${longText(keepsMin)} in the cold`}.`;
</script>

<template>
  <section v-if="together.length > 0" data-test="together">
    <h2>Made at once</h2>
    <ul>
      <li v-for="one in together" :key="one.id">
        <b>{{ one.name }}, {{ mass(one.massG) }}</b> on {{ format(one.madeAt, 'EEE d MMM') }}:
        {{ partsText(one) }}. {{ gainText(one) }}
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
