<script setup lang="ts">
import { modelledForms, type Modelled, type Topping } from '@pyrgotect/core';
import ChoiceField from '../../figures/ChoiceField.vue';

/** What pieces are modelled to, which says what they weigh. */
defineProps<{ topping: Topping }>();
const emit = defineEmits<{ change: [to: Partial<Topping>] }>();
const words: Record<Modelled['form'], string> = {
  ball: 'balls',
  egg: 'eggs, as long as they are high',
  cone: 'cones',
  rope: 'ropes, as long as they are high',
  block: 'blocks, as deep as they are wide',
};
const forms = modelledForms.map((value) => ({ value, text: words[value] }));
</script>

<template>
  <p class="sentence comes">
    Modelled to
    <ChoiceField
      :model-value="topping.modelled!.form"
      label="Form"
      :options="forms"
      @update:model-value="(form) => emit('change', { modelled: { form } })"
    />: their weight goes by their measures.
  </p>
</template>

<style scoped>
.comes {
  font-size: var(--size-text);
  line-height: 1.8;
}
</style>
