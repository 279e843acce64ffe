<script setup lang="ts">
import { showText, type ScaledIngredient } from '@pyrgotect/core';
import { useSettings } from '../stores/settings.ts';

defineProps<{ title: string; note: string; ingredients: ScaledIngredient[] }>();
const settings = useSettings();
</script>

<template>
  <section>
    <h2>{{ title }}</h2>
    <p class="soft">{{ note }}</p>
    <ul>
      <li v-for="item in ingredients" :key="item.name">
        <span>{{ item.name }}</span>
        <b>
          {{ showText(item.massG, item.massG < 20 ? 'small' : 'bowl', settings.system) }}
          <small v-if="item.pieces !== null">of {{ item.pieces }}</small>
        </b>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  columns: 2;
  column-gap: 34px;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  border-top: 1px solid var(--line);
  padding: 4px 0;
  break-inside: avoid;
}
b {
  white-space: nowrap;
}
small {
  font-weight: 400;
  color: var(--soft);
}
p {
  margin: 0;
}
</style>
