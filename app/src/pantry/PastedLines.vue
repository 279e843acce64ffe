<script setup lang="ts">
import type { Food } from '@pyrgotect/core';
import QuantityField from '../figures/QuantityField.vue';
import FoodPick from './FoodPick.vue';
import type { PastedLine } from './pasted-line.ts';

/** The lines of a pasted recipe as they are read: ingredients in grams, and what the work says of itself. */
defineProps<{ rows: readonly PastedLine[] }>();
const emit = defineEmits<{ pick: [i: number, food: Food]; weigh: [i: number, g: number] }>();
</script>

<template>
  <div class="read" data-test="read-lines">
    <table>
      <tbody>
        <tr
          v-for="({ line, massG, foodId, name, isPutRight, odd, said }, i) in rows"
          :key="i"
          :class="{ unread: line.kind === 'ingredient' && massG === null }"
        >
          <td>
            <FoodPick
              v-if="line.kind === 'ingredient' && line.foodId === null"
              :model-value="foodId"
              :name="name"
              :label="`Which ingredient “${line.text.trim()}” is`"
              @pick="(food) => emit('pick', i, food)"
            />
            <template v-else>{{ line.kind === 'ingredient' ? line.name : line.text }}</template>
            <small v-if="line.kind === 'ingredient'">{{ line.text.trim() }}</small>
            <small v-if="line.problem && !isPutRight">{{ line.problem }}</small>
            <small v-if="odd" class="odd" role="alert">{{ odd }}</small>
          </td>
          <td v-if="line.kind !== 'ingredient'" class="end soft">
            {{ said || (line.kind === 'heading' ? 'a title' : 'method') }}
          </td>
          <td v-else class="end">
            <QuantityField
              :model-value="massG"
              :of="{ kind: (massG ?? 0) < 20 ? 'fineMass' : 'small', min: 0.1, max: 20000 }"
              :label="`Weight of ${line.name}`"
              auto="?"
              @update:model-value="(g) => g !== null && emit('weigh', i, g)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length === 0" class="soft">Each line appears here in grams as it is read.</p>
  </div>
</template>

<style scoped>
.read {
  max-height: 330px;
  overflow: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: var(--size-text);
}
td {
  border-top: 1px solid var(--line);
  padding: 3px 6px 3px 0;
  vertical-align: top;
}
td small {
  display: block;
  color: var(--soft);
}
td .odd {
  color: var(--warn);
}
.unread td {
  color: var(--stop);
}
.end {
  text-align: right;
}
td.end.soft {
  font-size: var(--size-note);
  max-width: 15em;
}
</style>
