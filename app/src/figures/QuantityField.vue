<script setup lang="ts" generic="N extends number | null">
import { readField, showText, stepOf, type Quantity } from '@pyrgotect/core';
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue';
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
const id = useId();
const input = useTemplateRef<HTMLInputElement>('input');
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
  input.value?.blur();
}
const size = computed(() => Math.max(3, Math.min(16, text.value.length + 1)));
</script>

<template>
  <span class="field" :class="{ wrong: problem, wide }">
    <label class="visually-hidden" :for="id">{{ label }}</label>
    <input
      :id="id"
      ref="input"
      v-model="text"
      type="text"
      autocomplete="off"
      spellcheck="false"
      :size="size"
      :title="label"
      :aria-invalid="problem ? 'true' : undefined"
      :aria-describedby="problem ? `${id}-problem` : undefined"
      @focus="input?.select()"
      @blur="take"
      @keydown.enter.prevent="take"
      @keydown.esc.stop="giveUp"
      @keydown.up.prevent="step(1)"
      @keydown.down.prevent="step(-1)"
    />
    <span v-if="problem" :id="`${id}-problem`" class="problem" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped>
.field {
  position: relative;
  display: inline-block;
}
input {
  font: inherit;
  font-weight: 600;
  color: var(--accent);
  background: var(--raised);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  border-radius: 3px 3px 0 0;
  padding: 1px 5px;
  line-height: 1.35;
  text-align: center;
  field-sizing: content;
  min-width: 2.6em;
  font-variant-numeric: tabular-nums;
}
.wide input {
  min-width: 8em;
}
input:focus {
  outline: 2px solid var(--accent);
  outline-offset: 0;
}
.wrong input {
  color: var(--stop);
  border-color: var(--stop);
}
.problem {
  position: absolute;
  left: 0;
  top: calc(100% + 3px);
  z-index: 5;
  width: max-content;
  max-width: 300px;
  background: var(--stop-wash);
  color: var(--ink);
  border-left: 3px solid var(--stop);
  font-size: var(--size-note);
  font-weight: 400;
  line-height: 1.35;
  padding: 5px 9px;
}
</style>
