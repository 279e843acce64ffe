<script setup lang="ts">
/**
 * A text in a sentence that is read as something: taken when the field is left or Enter is pressed, given
 * up with Esc. What cannot be read stays, with the reason under it.
 */
defineProps<{ label: string; problem: string; placeholder?: string }>();
const text = defineModel<string>({ required: true });
const emit = defineEmits<{ take: []; giveUp: [] }>();
defineSlots<{ append?: () => unknown }>();
function leave(event: KeyboardEvent): void {
  emit('giveUp');
  (event.target as HTMLInputElement).blur();
}
</script>

<template>
  <v-text-field
    v-model="text"
    class="in-line"
    variant="plain"
    density="compact"
    hide-details="auto"
    persistent-placeholder
    autocomplete="off"
    spellcheck="false"
    :placeholder="placeholder"
    :aria-label="label"
    :aria-invalid="problem ? 'true' : undefined"
    :error-messages="problem ? [problem] : []"
    @focus="(event: FocusEvent) => (event.target as HTMLInputElement).select()"
    @blur="emit('take')"
    @keydown.enter.prevent="emit('take')"
    @keydown.esc.stop="leave"
  >
    <template v-if="$slots.append" #append-inner><slot name="append" /></template>
  </v-text-field>
</template>
