<script setup lang="ts">
import { setAsideOf, type CakePlan } from '@pyrgotect/core';
import { computed } from 'vue';
import BowlColumn from './BowlColumn.vue';
import { usePantry } from '../../stores/pantry.ts';
import { useUnits } from '../../figures/units.ts';

/** Every bowl as a column to one scale, and what to set aside before the first layer is filled. */
const props = defineProps<{ plan: CakePlan }>();
const units = useUnits();
const pantry = usePantry();
const high = 250;
const bowls = computed(() => (props.plan.bowls.ok ? props.plan.bowls.value : []));
const pxPerG = computed(() => (high - 8) / Math.max(1, ...bowls.value.map((b) => b.makeG)));
const spreadOf = (id: string) => pantry.pantry.spreads.find((s) => s.id === id) ?? null;
const batchOf = (id: string) => props.plan.batches.find((batch) => batch.id === id)!;
</script>

<template>
  <div>
    <div class="bowls">
      <BowlColumn
        v-for="bowl in bowls"
        :key="bowl.id"
        :bowl="bowl"
        :batch="batchOf(bowl.batchId)"
        :spread="spreadOf(bowl.spreadId)"
        :px-per-g="pxPerG"
        :high="high"
      />
    </div>
    <template v-for="bowl in bowls" :key="bowl.id">
      <p v-if="setAsideOf(bowl).length > 0" class="aside">
        From the {{ bowl.name.toLowerCase() }} set aside first, covered:
        <template v-for="(use, i) in setAsideOf(bowl)" :key="use.label">
          {{ i > 0 ? ', and ' : '' }}<b>{{ units.text(use.massG, 'bowl') }}</b> for the
          {{ use.label }}</template
        >. Then fill and crumb coat from the rest.
      </p>
    </template>
  </div>
</template>

<style scoped>
.bowls {
  display: flex;
  flex-wrap: wrap;
  gap: 18px 30px;
  margin: 18px 0 12px;
  align-items: end;
}
.aside {
  border-left: 4px solid var(--accent);
  background: var(--accent-wash);
  padding: 7px 12px;
  margin-top: 8px;
}
</style>
