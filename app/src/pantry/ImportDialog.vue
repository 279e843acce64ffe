<script setup lang="ts">
import DialogBox from '../parts/DialogBox.vue';
import PasteRecipe from './PasteRecipe.vue';
import RecipeFiles from './RecipeFiles.vue';
import TableFiles from './TableFiles.vue';

/** What comes into a table of the pantry from outside, and leaves it: recipes pasted or as files, rows as a table. */
defineProps<{ table: 'recipes' | 'foods' | 'stock' }>();
const emit = defineEmits<{ close: [] }>();
</script>

<template>
  <DialogBox max-width="860" @update:model-value="emit('close')">
    <v-card class="import" data-test="import-dialog">
      <template v-if="table === 'recipes'">
        <PasteRecipe @close="emit('close')" />
        <RecipeFiles />
      </template>
      <TableFiles v-else :table="table" @close="emit('close')" />
    </v-card>
  </DialogBox>
</template>

<style scoped>
.import {
  padding: 20px 26px;
  display: block;
  overflow: auto;
}
</style>
