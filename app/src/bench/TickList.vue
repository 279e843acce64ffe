<script setup lang="ts">
/** Lines to tick with a floury finger: what is looked at, or what lies weighed out. */
defineProps<{
  rows: readonly { key: string; text: string; note?: string | null; value?: string }[];
  ticked: readonly string[];
}>();
const emit = defineEmits<{ tick: [key: string] }>();
</script>

<template>
  <ul>
    <li v-for="row in rows" :key="row.key">
      <v-checkbox
        :model-value="ticked.includes(row.key)"
        @update:model-value="emit('tick', row.key)"
      >
        <template #label>
          <span
            >{{ row.text }} <small v-if="row.note">{{ row.note }}</small></span
          >
          <b v-if="row.value">{{ row.value }}</b>
        </template>
      </v-checkbox>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 18px 0 0;
  padding: 0;
}
li {
  border-top: 1.5px solid var(--line);
}
li :deep(.v-selection-control) {
  min-height: 54px;
}
/* all of the line is pressed, not the words alone */
li :deep(.v-label) {
  flex: 1;
  align-self: stretch;
  display: flex;
  gap: 16px;
  align-items: center;
  font: inherit;
}
span {
  flex: 1;
}
b {
  font-size: var(--size-title);
  white-space: nowrap;
}
small {
  color: var(--soft);
}
</style>
