<script setup lang="ts">
import { type Build, type CakePlan } from '@pyrgotect/core';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import PlacesDrawing from './PlacesDrawing.vue';

/** The list that goes with the cake: what must come out, where it is, with room to write the counts. */
defineProps<{ build: Build; plan: CakePlan }>();
const settings = useSettings();
const units = useUnits();
const long = (plan: CakePlan, key: string): string => {
  const lift = plan.support?.lifts.find((one) => one.id === key);
  return lift ? `, ${units.text(lift.lengthMm, 'span')} long` : '';
};
</script>

<template>
  <section class="places" data-test="places">
    <h2>Not food: out before it is cut</h2>
    <div>
      <span class="plans">
        <span v-for="(tier, i) in build.tiers" :key="tier.id">
          <b>{{ tier.name }}</b>
          <PlacesDrawing :build="build" :plan="plan" :items="plan.nonFood" :tier="i" :size="150" />
        </span>
      </span>
      <table>
        <thead>
          <tr>
            <th>No.</th>
            <th>Part</th>
            <th>Where</th>
            <th>Planned</th>
            <th>In</th>
            <th>Out</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(item, n) in plan.nonFood" :key="item.key">
            <td>{{ n + 1 }}</td>
            <td>{{ settings.words(item.name) }}{{ long(plan, item.key) }}</td>
            <td>{{ item.where }}</td>
            <td>{{ item.count }}</td>
            <td class="box">{{ item.countedIn ?? '' }}</td>
            <td class="box">{{ item.countedOut ?? '' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p>
      The person who cuts takes out and counts, tier by tier from the top, before anybody is served.
      The back of the cake is at the top of each drawing.
    </p>
  </section>
</template>

<style scoped>
.places {
  break-inside: avoid;
}
h2 {
  font-size: var(--size-note);
  margin: 10px 0 4px;
}
.plans {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
}
.plans > span {
  display: grid;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 500;
}
td,
th {
  border-bottom: 0.5pt solid var(--ink);
  padding: 4px 8px 4px 0;
}
.box {
  border: 1pt solid var(--ink);
  width: 34px;
  text-align: center;
}
p {
  margin: 6px 0 0;
}
</style>
