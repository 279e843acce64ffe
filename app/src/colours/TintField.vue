<script setup lang="ts">
import { colourOf, limits, setColour } from '@pyrgotect/core';
import { computed, defineAsyncComponent, ref, useId } from 'vue';
import WordField from '../figures/WordField.vue';
import { useBuild } from '../stores/build.ts';
import { suggestHex } from './suggest.ts';

/** A colour by its name, with how it looks: empty as it is. A new name gets a look that can be changed. */
const props = defineProps<{ modelValue: string; label: string }>();
const emit = defineEmits<{ 'update:modelValue': [name: string] }>();
const ColourDialog = defineAsyncComponent(() => import('./ColourDialog.vue'));
const store = useBuild();
const id = useId();
const isOpen = ref(false);
const colours = computed(() => store.build?.colours ?? []);
const colour = computed(() => colourOf(colours.value, props.modelValue));

function take(name: string): void {
  if (name && !colourOf(colours.value, name))
    store.edit('A colour more', (draft) =>
      setColour(draft, { name, hex: suggestHex(name), gPerKg: null }),
    );
  emit('update:modelValue', colourOf(colours.value, name)?.name ?? name);
}
</script>

<template>
  <span class="tint-field">
    <WordField
      class="tint"
      :most="limits.tintLength.max"
      :aria-label="label"
      placeholder="as it is"
      :list="id"
      :model-value="modelValue"
      @update:model-value="take"
    />
    <datalist :id="id">
      <option v-for="one in colours" :key="one.name" :value="one.name" />
    </datalist>
    <button
      v-if="modelValue"
      type="button"
      class="swatch"
      :style="{ background: colour?.hex ?? 'transparent' }"
      :aria-label="`How ${modelValue} looks`"
      data-test="swatch"
      @click="isOpen = true"
    />
    <ColourDialog v-if="isOpen" :name="modelValue" @close="isOpen = false" />
  </span>
</template>

<style scoped>
.tint-field {
  white-space: nowrap;
}
.tint {
  font: inherit;
  font-weight: 600;
  color: var(--accent);
  background: var(--raised);
  border: 0;
  border-bottom: 1.8px solid var(--accent);
  padding: 1px 6px;
  width: 8.5em;
}
.swatch {
  width: 26px;
  height: 26px;
  margin-left: 6px;
  border: 1.5px solid var(--pen);
  border-radius: 50%;
  vertical-align: middle;
  cursor: pointer;
}
</style>
