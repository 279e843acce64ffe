<script setup lang="ts" generic="T extends string">
import { valueWord, valueWords } from '@pyrgotect/core';
/** Several of a list, chosen in a menu behind a button that names them. */
const props = defineProps<{ modelValue: T[]; of: readonly T[]; none: string; label: string }>();
const emit = defineEmits<{ 'update:modelValue': [chosen: T[]] }>();
const toggle = (one: T): void =>
  emit(
    'update:modelValue',
    props.modelValue.includes(one)
      ? props.modelValue.filter((other) => other !== one)
      : [...props.modelValue, one],
  );
</script>

<template>
  <v-menu :close-on-content-click="false">
    <template #activator="{ props: activator }">
      <KeyButton v-bind="activator" size="small" :aria-label="label">
        {{ valueWords(modelValue) || none }}
      </KeyButton>
    </template>
    <v-card class="pick">
      <v-checkbox
        v-for="one in of"
        :key="one"
        :model-value="modelValue.includes(one)"
        @update:model-value="toggle(one)"
        ><template #label>{{ valueWord(one) }}</template></v-checkbox
      >
    </v-card>
  </v-menu>
</template>

<style scoped>
.pick {
  padding: 10px 16px;
  display: grid;
}
</style>
