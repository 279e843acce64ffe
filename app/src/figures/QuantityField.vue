<script setup lang="ts" generic="N extends number | null">
import { readField, showText, stepOf, type Quantity } from '@pyrgotect/core';
import { computed } from 'vue';
import { useDraft } from './draft.ts';
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
const { text, problem, isTyped, type, show, given } = useDraft(() => shown.value);

const read = (): ReturnType<typeof readField> =>
  readField(text.value, props.modelValue, props.of.kind, settings.system, props.of, props.density);
function take(): void {
  if (!isTyped()) return;
  if (text.value.trim() === '' && props.nullable) {
    give(null);
    return given();
  }
  if (props.modelValue === null && text.value === props.auto) return show();
  const typed = read();
  if (!typed.ok) {
    problem.value = typed.problem;
    return;
  }
  if (typed.value !== props.modelValue) give(typed.value);
  given();
}
/** A step from what is typed, where that is a figure, or from what stands. */
function step(by: number): void {
  const typed = isTyped() ? read() : null;
  const from = (typed?.ok ? typed.value : props.modelValue) ?? 0;
  const { min, max, kind } = props.of;
  const next = Math.min(max, Math.max(min, from + by * stepOf(kind, settings.system)));
  if (next !== props.modelValue) give(next);
  given();
}
const size = computed(() => Math.max(3, Math.min(16, text.value.length + 1)));
</script>

<template>
  <TypedField
    :model-value="text"
    :class="{ wide }"
    :size="size"
    :label="label"
    :problem="problem"
    @update:model-value="type"
    @take="take"
    @give-up="show"
    @keydown.up.prevent="step(1)"
    @keydown.down.prevent="step(-1)"
  />
</template>
