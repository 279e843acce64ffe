<script setup lang="ts">
import type { StlUnit } from '@pyrgotect/core/solids';
import { ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import FileKey from './FileKey.vue';

/** Takes a solid from an STL file, and asks what the file does not say: in which unit it was drawn. */
defineProps<{ label: string }>();
const emit = defineEmits<{ take: [file: File, unit: StlUnit] }>();
const unit = ref<StlUnit>('guess');
const units: { value: StlUnit; text: string }[] = [
  { value: 'guess', text: 'as it looks: millimetres, or metres where it is tiny' },
  { value: 'mm', text: 'in millimetres' },
  { value: 'cm', text: 'in centimetres' },
  { value: 'in', text: 'in inches' },
  { value: 'm', text: 'in metres' },
];
</script>

<template>
  <span>
    <FileKey
      size="small"
      accept=".stl,model/stl"
      :label="label"
      @take="(file) => emit('take', file, unit)"
      ><slot /></FileKey
    >, drawn <ChoiceField v-model="unit" label="Unit of the file" :options="units" />
  </span>
</template>
