<script setup lang="ts">
import { colourOf, limits, setColour } from '@pyrgotect/core';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useBuild } from '../stores/build.ts';
import { suggestHex } from './suggest.ts';

/** A colour by its name, with how it looks: empty as it is. A new name gets a look that can be changed. */
const props = defineProps<{ modelValue: string; label: string }>();
const emit = defineEmits<{ 'update:modelValue': [name: string] }>();
const ColourDialog = defineAsyncComponent(() => import('./ColourDialog.vue'));
const store = useBuild();
const isOpen = ref(false);
const colours = computed(() => store.build?.colours ?? []);
const colour = computed(() => colourOf(colours.value, props.modelValue));

/* taken when the field is left, Enter is pressed or one is picked: letters alone are no colour yet */
// null, where the placeholder stands, for none
const words = ref<string | null>(props.modelValue || null);
watch(
  () => props.modelValue,
  (now) => (words.value = now || null),
);
function take(): void {
  const name = (words.value ?? '').trim();
  if (name === props.modelValue) return;
  if (name && !colourOf(colours.value, name))
    store.edit('A colour more', (draft) =>
      setColour(draft, { name, hex: suggestHex(name), gPerKg: null, doses: [] }),
    );
  emit('update:modelValue', colourOf(colours.value, name)?.name ?? name);
}
</script>

<template>
  <span class="tint-field">
    <v-combobox
      v-model="words"
      class="in-line worded tint"
      variant="plain"
      density="compact"
      hide-details
      hide-no-data
      persistent-placeholder
      :items="colours.map((one) => one.name)"
      :maxlength="limits.tintLength.max"
      :aria-label="label"
      placeholder="as it is"
      :menu-props="{ contentClass: 'choices' }"
      @blur="take"
      @keydown.enter="take"
      @update:menu="(open: boolean) => open || take()"
    />
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
.tint.v-input {
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
