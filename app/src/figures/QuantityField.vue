<script setup lang="ts" generic="N extends number | null">
import { readField, showText, stepOf, type Quantity } from '@pyrgotect/core';
import { computed, nextTick, ref, watch } from 'vue';
import TypedField from './TypedField.vue';
import { useSettings } from '../stores/settings.ts';

/**
 * A figure the user decides, typed in any unit. What is typed is taken when the field is left or
 * Enter is pressed; a text that is no good stays, with the reason, and changes nothing.
 */
const props = withDefaults(
  defineProps<{
    modelValue: N;
    /** What it is a figure of: its kind, its least and its greatest. */
    of: Quantity;
    label: string;
    density?: number;
    /** Shown where the value is null. */
    auto?: string;
    /** It may be left empty. */
    nullable?: boolean;
    wide?: boolean;
  }>(),
  { density: undefined, auto: '', nullable: false, wide: false },
);
// null comes only where the field may be left empty, and then its value may be null
const emit = defineEmits<{ 'update:modelValue': [value: N] }>();
const give = (value: number | null): void =>
  // eslint-disable-next-line @typescript-eslint/no-unnecessary-type-assertion -- it does not know the component's own type
  emit('update:modelValue', value as N);
const settings = useSettings();
const shown = computed(() =>
  props.modelValue === null
    ? props.auto
    : showText(props.modelValue, props.of.kind, settings.system),
);
const text = ref(shown.value);
const problem = ref('');
watch(shown, (now) => {
  text.value = now;
  problem.value = '';
});

function take(): void {
  if (text.value.trim() === '' && props.nullable) {
    problem.value = '';
    give(null);
    return;
  }
  if (props.modelValue === null && text.value === props.auto) return;
  const read = readField(
    text.value,
    props.modelValue,
    props.of.kind,
    settings.system,
    props.of,
    props.density,
  );
  if (!read.ok) {
    problem.value = read.problem;
    return;
  }
  problem.value = '';
  if (read.value !== props.modelValue) give(read.value);
  void nextTick(() => (text.value = shown.value));
}
function step(by: number): void {
  const from = props.modelValue ?? 0;
  const { min, max, kind } = props.of;
  const next = Math.min(max, Math.max(min, from + by * stepOf(kind, settings.system)));
  if (next !== props.modelValue) give(next);
}
function giveUp(): void {
  text.value = shown.value;
  problem.value = '';
}
const size = computed(() => Math.max(3, Math.min(16, text.value.length + 1)));
</script>

<template>
  <TypedField
    v-model="text"
    :class="{ wide }"
    :size="size"
    :label="label"
    :problem="problem"
    @take="take"
    @give-up="giveUp"
    @keydown.up.prevent="step(1)"
    @keydown.down.prevent="step(-1)"
  />
</template>
