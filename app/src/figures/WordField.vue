<script setup lang="ts">
import { nextTick, ref, watch } from 'vue';

/**
 * Words the user decides, taken when the field is left or Enter is pressed. What is being typed
 * stays in the field while answers of the plan come in around it.
 */
const props = defineProps<{
  modelValue: string;
  /** As many characters at most. */
  most?: number;
  /** Nothing typed goes back to what was there. */
  needed?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [words: string] }>();
const words = ref(props.modelValue);
watch(
  () => props.modelValue,
  (now) => (words.value = now),
);

function take(): void {
  const now = words.value.trim().slice(0, props.most);
  if (now !== props.modelValue && (now || !props.needed)) emit('update:modelValue', now);
  void nextTick(() => (words.value = props.modelValue));
}
</script>

<template>
  <input v-model="words" :maxlength="most" @change="take" />
</template>
