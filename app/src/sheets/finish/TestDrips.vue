<script setup lang="ts">
import {
  limits,
  pantryLimits,
  type Drip,
  type DripPlan,
  type Ganache,
  type TestDrip,
} from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import QuantityField from '../../figures/QuantityField.vue';
import { usePantry } from '../../stores/pantry.ts';
import { useUnits } from '../../figures/units.ts';

/** Test drips of this ganache: what was seen, what it says, and a place to note another. */
const props = defineProps<{ drip: DripPlan; asked: Drip }>();
const { text } = useUnits();
const pantry = usePantry();
const row = computed<Ganache>(() => props.drip.row);
const fit = computed(() => props.drip.fits.all);
const percent = (factor: number): string =>
  factor >= 1
    ? `${Math.round((factor - 1) * 100)} % stiffer`
    : `${Math.round((1 - factor) * 100)} % softer`;

const massG = ref<number | null>(null);
const fluidC = ref<number | null>(null);
const coatC = ref<number | null>(null);
const lengthMm = ref<number | null>(null);
const afterS = ref(60);
const meanG = computed(() => props.drip.amounts.dripsG / props.drip.count);
watch(
  () => row.value.id,
  () => {
    massG.value = fluidC.value = coatC.value = lengthMm.value = null;
  },
);
const problem = ref('');
async function keep(tests: TestDrip[]): Promise<void> {
  try {
    await pantry.saveRow('ganaches', { ...row.value, tests });
    problem.value = '';
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
async function note(): Promise<void> {
  if (lengthMm.value === null) {
    problem.value = 'How far did it run?';
    return;
  }
  await keep([
    ...row.value.tests,
    {
      massG: massG.value ?? Math.round(meanG.value * 10) / 10,
      fluidC: fluidC.value ?? props.asked.fluidC,
      coatC: coatC.value ?? props.asked.coatC,
      lengthMm: lengthMm.value,
      afterS: afterS.value,
      ratio: props.drip.ganache?.ratio ?? 0,
      at: new Date().toISOString(),
    },
  ]);
  if (!problem.value) lengthMm.value = null;
}
const drop = (i: number): Promise<void> => keep(row.value.tests.filter((_, k) => k !== i));
</script>

<template>
  <section data-test="test-drips">
    <h2>Test drip at the back</h2>
    <p class="sentence">
      A drip of
      <QuantityField
        :model-value="massG ?? meanG"
        :of="pantryLimits.testG"
        label="The test drip weighed"
        @update:model-value="(g) => (massG = g)"
      />
      at
      <QuantityField
        :model-value="fluidC ?? asked.fluidC"
        :of="limits.fluidC"
        label="The test drip’s temperature"
        @update:model-value="(c) => (fluidC = c)"
      />
      over
      <QuantityField
        :model-value="coatC ?? asked.coatC"
        :of="limits.coatC"
        label="The coat under the test drip"
        @update:model-value="(c) => (coatC = c)"
      />
      was
      <QuantityField
        :model-value="lengthMm"
        :of="pantryLimits.testMm"
        label="Length of the test drip"
        auto="so long"
        nullable
        @update:model-value="(mm) => (lengthMm = mm)"
      />
      long after
      <QuantityField
        :model-value="afterS"
        :of="pantryLimits.testS"
        label="Seconds until it was measured"
        @update:model-value="(s) => (afterS = s)"
      />
      s.
      <KeyButton size="small" data-test="note-test" @click="note">
        Note it and plan anew
      </KeyButton>
    </p>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <p v-if="fit" class="lead" data-test="test-says">
      {{ row.tests.length === 1 ? 'It says' : 'They say' }}: this ganache stands
      <b>{{ percent(fit.stiffer) }}</b> than the table has it, between {{ percent(fit.low) }} and
      {{ percent(fit.high) }}. Every drip above is planned with that, here and on other cakes.
    </p>
    <p v-else class="lead">
      Until one is noted the plan goes by a table, and a drip may come out half as long again or a
      third shorter.
    </p>
    <table v-if="row.tests.length > 0" class="ledger">
      <tbody>
        <tr v-for="(test, i) in row.tests" :key="i">
          <td>{{ test.at ? test.at.slice(0, 10) : '' }}</td>
          <td class="end">{{ text(test.massG, 'fineMass') }}</td>
          <td class="end">{{ text(test.fluidC, 'temperature') }}</td>
          <td class="end">on {{ text(test.coatC, 'temperature') }}</td>
          <td class="end">{{ text(test.lengthMm, 'span') }} after {{ test.afterS }} s</td>
          <td>
            {{ drip.fits.each[i]?.problem ?? percent(drip.fits.each[i]?.stiffer ?? 1) }}
          </td>
          <td>
            <KeyButton
              variant="text"
              size="small"
              :aria-label="`Drop test drip ${i + 1}`"
              @click="drop(i)"
            >
              ×
            </KeyButton>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.wrong {
  color: var(--stop);
}
</style>
