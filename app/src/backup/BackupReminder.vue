<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { report } from '../stores/faults.ts';
import { useBackups } from '../stores/backups.ts';
import { useShelf } from '../stores/shelf.ts';

/** Says that it is time for a backup; into a folder that may be written to it is made at once. */
const backups = useBackups();
const shelf = useShelf();
const put = ref(false);
onMounted(async () => {
  await backups.load();
  if (!backups.due()) return;
  try {
    await backups.makeInFolder(false);
  } catch (error) {
    report(error);
  }
});
const due = computed(() => (put.value || !shelf.loaded ? null : backups.due()));
const text = computed(() => {
  if (!due.value) return '';
  const { cakes, days } = due.value;
  const what = `${cakes} ${cakes === 1 ? 'cake is' : 'cakes are'} in this browser alone`;
  return backups.habit.lastAt
    ? `${what}: the last backup is ${days} days old.`
    : `${what}, and no backup was made in ${days} days.`;
});
const intoFolder = (): Promise<unknown> => backups.makeInFolder(true).catch(report);
</script>

<template>
  <p v-if="due" class="reminder" role="status" data-test="backup-reminder">
    {{ text }}
    <KeyButton v-if="backups.folder" size="small" @click="intoFolder"
      >Write into {{ backups.folder.name }}</KeyButton
    >
    <KeyButton v-else size="small" to="/backup">Make a backup</KeyButton>
    <KeyButton size="small" variant="text" @click="put = true">Later</KeyButton>
  </p>
</template>

<style scoped>
.reminder {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  margin: -10px 0 18px;
  padding: 6px 14px;
  border-left: 5px solid var(--accent);
  background: var(--accent-wash);
}
</style>
