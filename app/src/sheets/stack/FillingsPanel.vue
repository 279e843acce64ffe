<script setup lang="ts">
import {
  edgeRoomMm,
  isBare,
  isWorthSaying,
  limits,
  setGap,
  type Build,
  type Gap,
  type CakePlan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import GapLayers from './GapLayers.vue';
import TermWord from '../../help/TermWord.vue';

/** Each filling under what rests on it: how it settles, what lies in it, what keeps it in place. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const units = useUnits();
const { store, tier, tierPlan, editTier } = useSheet(props);
const loads = computed(() => tierPlan.value.loads ?? []);
const temps = [
  { value: 'room' as const, text: 'at room temperature' },
  { value: 'cold' as const, text: 'with everything cold' },
];
const change = (index: number, label: string, to: Partial<Gap>): void =>
  editTier(label, (t) => setGap(t, index, to));
const rows = computed(() => tier.value.gaps.map((gap, index) => ({ gap, index })).reverse());
const creeping = computed(
  () => loads.value.filter((load, i) => isWorthSaying(tier.value.gaps[i]!, load)).length,
);
/** How far setback and dam may go together before nothing is left to fill. */
const roomMm = computed(() => edgeRoomMm(tier.value));
const summary = computed(() => {
  if (tier.value.gaps.length === 0) return 'One layer: nothing to fill';
  if (loads.value.length === 0) return 'What rests on the fillings is not known yet';
  return creeping.value === 0
    ? 'Every filling holds what rests on it'
    : `${creeping.value} of ${loads.value.length} fillings creep out`;
});
</script>

<template>
  <div data-test="fillings">
    <h2>{{ summary }}</h2>
    <p class="sentence">
      It is stacked
      <ChoiceField
        :model-value="tier.stackedAt"
        label="Stacked at"
        :options="temps"
        @update:model-value="(v) => editTier('Stacked cold or not', (t) => void (t.stackedAt = v))"
      />
      and rests under
      <QuantityField
        :model-value="tier.restG"
        :of="limits.restG"
        label="Weight it rests under"
        @update:model-value="(g) => editTier('Weight it rests under', (t) => void (t.restG = g))"
      />
      of weight.
    </p>
    <ul>
      <li
        v-for="{ gap, index } in rows"
        :key="index"
        :class="{ chosen: store.selected === `${tier.id}/gap/${index}` }"
      >
        <p v-if="isBare(gap)" class="verdict">
          <b>Filling {{ index + 1 }}</b> is left out: layer {{ index + 2 }} lies on layer
          {{ index + 1 }}.
        </p>
        <p v-else-if="loads[index]" class="verdict">
          <b>Filling {{ index + 1 }}</b>
          <template v-if="loads[index].holds">
            holds {{ units.text(loads[index].aboveG, 'weight') }}:
            <FigureValue
              :value="loads[index].settledMm"
              kind="thickness"
              :figure="`${tier.id}/gap/${index}/settled`"
            />
          </template>
          <template v-else>
            <TermWord id="creep">creeps</TermWord> under
            {{ units.text(loads[index].aboveG, 'weight') }}:
            {{ units.text(gap.heightMm, 'thickness') }} settle to
            <FigureValue
              :value="loads[index].settledMm"
              kind="thickness"
              :figure="`${tier.id}/gap/${index}/settled`"
            /><template v-if="loads[index].bulgeMl > 0.5"
              >, {{ units.text(loads[index].bulgeMl, 'volume') }} stand out at the edge</template
            >
          </template>
        </p>
        <p class="sentence tight">
          <template v-if="!isBare(gap)">
            Kept
            <QuantityField
              :model-value="gap.setbackMm"
              :of="{
                kind: 'thickness',
                min: limits.setbackMm.min,
                max: Math.max(gap.setbackMm, Math.min(limits.setbackMm.max, roomMm - gap.damMm)),
              }"
              :label="`Filling ${index + 1} short of the edge by`"
              @update:model-value="(mm) => change(index, 'Setback', { setbackMm: mm })"
            />
            <TermWord id="setback">short of the edge</TermWord>.
            <KeyButton
              v-if="loads[index] && loads[index].flushMm > Math.max(0.5, gap.setbackMm)"
              size="small"
              @click="change(index, 'Setback', { setbackMm: Math.ceil(loads[index]!.flushMm) })"
            >
              {{ units.text(loads[index].flushMm, 'thickness') }} arrives flush
            </KeyButton>
          </template>
          <GapLayers :build="build" :plan="plan" :index="index" />
        </p>
      </li>
    </ul>
    <p class="lead">
      A soft filling spreads until it holds, its volume unchanged; what it loses in height is in the
      finished height. Stiffness is an estimate and changes with temperature.
    </p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
li {
  border-top: 1px solid var(--line);
  border-left: 4px solid transparent;
  padding: 6px 0 8px 8px;
}
li.chosen {
  border-left-color: var(--accent);
}
.verdict {
  margin: 0;
}
.tight .key + .key {
  margin-left: 6px;
}
.tight {
  font-size: var(--size-text);
  line-height: 1.95;
  max-width: none;
}
</style>
