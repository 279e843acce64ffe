<script setup lang="ts">
import { type Figure, type Input } from '@pyrgotect/core';
import { computed } from 'vue';
import { useBuild } from '../stores/build.ts';
import { useUnits } from './units.ts';
import { useWorking } from './working.ts';
import DialogBox from '../parts/DialogBox.vue';

const store = useBuild();
const units = useUnits();
const { trail, deeper, back, close } = useWorking();
/** Of both layers of the plan, asked for when a working is opened. */
const figureOf = (id: string | undefined): Figure | null =>
  id === undefined ? null : (store.plan?.figures.of(id) ?? null);
const figure = computed(() => figureOf(trail.value.at(-1)));
const text = (input: Pick<Input, 'value' | 'kind'>): string => units.text(input.value, input.kind);
const range = (input: Input): string =>
  input.read?.range
    ? `${units.text(input.read.range[0], input.kind)} to ${units.text(input.read.range[1], input.kind)}`
    : '';
</script>

<template>
  <DialogBox :model-value="figure !== null" max-width="620" @update:model-value="close">
    <v-card v-if="figure" class="working" data-test="working">
      <header>
        <div>
          <h2>{{ figure.label }}</h2>
          <div class="answer">{{ text(figure) }}</div>
        </div>
        <KeyButton size="small" aria-label="Close" @click="close">Close</KeyButton>
      </header>
      <p>{{ figure.how }}</p>
      <table>
        <caption class="visually-hidden">
          What went in
        </caption>
        <tbody>
          <tr v-for="(input, i) in figure.inputs" :key="i">
            <th scope="row">
              {{ input.label }}
              <small v-if="input.read">
                from {{ input.read.table }}, “{{ input.read.row }}”: {{ input.read.source
                }}<template v-if="range(input)">, {{ range(input) }}</template>
              </small>
            </th>
            <td>
              <button
                v-if="input.from && figureOf(input.from)"
                type="button"
                class="link"
                @click="deeper(input.from)"
              >
                {{ text(input) }}
              </button>
              <template v-else>{{ text(input) }}</template>
            </td>
          </tr>
        </tbody>
      </table>
      <KeyButton v-if="trail.length > 1" size="small" @click="back">Back</KeyButton>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.working {
  padding: 20px 24px 22px;
  display: block;
  overflow: auto;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: start;
}
h2 {
  margin: 0;
  color: var(--soft);
  font-size: var(--size-text);
}
.answer {
  font: 700 var(--size-big)/1.15 var(--heading);
}
table {
  width: 100%;
  border-collapse: collapse;
  margin: 14px 0;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 6px 12px 6px 0;
}
td {
  text-align: right;
  white-space: nowrap;
  font-weight: 600;
  vertical-align: top;
  padding: 6px 0;
}
tr {
  border-top: 1px solid var(--line);
}
small {
  display: block;
  color: var(--soft);
  font-size: var(--size-note);
}
.link {
  text-decoration: underline;
  text-underline-offset: 3px;
  color: var(--accent);
  font-weight: 600;
}
</style>
