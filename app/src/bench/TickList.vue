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
      <button
        type="button"
        role="checkbox"
        :aria-checked="ticked.includes(row.key)"
        :class="{ on: ticked.includes(row.key) }"
        @click="emit('tick', row.key)"
      >
        <i aria-hidden="true" />
        <span
          >{{ row.text }} <small v-if="row.note">{{ row.note }}</small></span
        >
        <b v-if="row.value">{{ row.value }}</b>
      </button>
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
button {
  width: 100%;
  min-height: 54px;
  text-align: left;
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 8px 4px;
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
i {
  width: 24px;
  height: 24px;
  flex: none;
  border: 2.4px solid var(--ink);
  border-radius: 3px;
}
.on i {
  background: var(--accent);
  border-color: var(--accent);
}
</style>
