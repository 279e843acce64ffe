<script setup lang="ts" generic="T extends string">
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
      <button v-bind="activator" type="button" class="key small" :aria-label="label">
        {{ modelValue.join(', ') || none }}
      </button>
    </template>
    <v-card class="pick">
      <label v-for="one in of" :key="one">
        <input type="checkbox" :checked="modelValue.includes(one)" @change="toggle(one)" />
        {{ one }}
      </label>
    </v-card>
  </v-menu>
</template>

<style scoped>
.pick {
  padding: 10px 16px;
  display: grid;
}
</style>
