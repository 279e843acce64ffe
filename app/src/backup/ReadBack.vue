<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import FileKey from '../parts/FileKey.vue';
import { useBackups } from '../stores/backups.ts';
import BackupChanges from './BackupChanges.vue';
import type { BackupPreview } from './backup-desk.ts';
import { handed } from './handed.ts';
import type { BackupChoice } from './take-in.ts';

/** Reads a backup, shows what it would change, and takes in what is chosen of it. */
const backups = useBackups();
const file = ref('');
const problem = ref('');
const said = ref('');
const preview = shallowRef<BackupPreview | null>(null);
const busy = ref(false);

async function doing(work: () => Promise<void>): Promise<void> {
  busy.value = true;
  problem.value = '';
  said.value = '';
  try {
    await work();
  } catch (error) {
    problem.value = `${error instanceof Error ? error.message : String(error)} Nothing has changed.`;
  } finally {
    busy.value = false;
  }
}
const open = (chosen: File): Promise<void> =>
  doing(async () => {
    preview.value = null;
    file.value = chosen.name;
    const opened = await backups.open(chosen);
    if (opened.ok) preview.value = opened.preview;
    else problem.value = `${opened.problem} Nothing has changed.`;
  });
const take = (choice: BackupChoice): Promise<void> =>
  doing(async () => {
    const { cakes, rows, pictures } = await backups.take(choice);
    preview.value = null;
    const parts = [
      count(cakes.length, 'cake', 'cakes'),
      count(rows, 'row of the pantry', 'rows of the pantry'),
      count(pictures, 'photo', 'photos'),
    ];
    said.value = `Taken in: ${parts.join(', ')}.`;
  });
const count = (n: number, one: string, more: string): string => `${n} ${n === 1 ? one : more}`;
// one that was opened on the shelf
onMounted(() => {
  if (handed.value) void open(handed.value);
  handed.value = null;
});
const isReading = computed(() => busy.value && backups.progress !== null);
</script>

<template>
  <section data-test="read-backup">
    <h2>Read one back</h2>
    <p class="lead">What it would change is shown first; nothing changes until you take it in.</p>
    <p class="open">
      <FileKey accept=".zip,application/zip" label="Backup file" @take="open"
        >Open a backup</FileKey
      >
    </p>
    <v-progress-linear
      v-if="isReading"
      :model-value="(backups.progress ?? 0) * 100"
      height="6"
      aria-label="How far it is read"
    />
    <p v-if="problem" class="problem" role="alert" data-test="backup-refused">
      {{ file }}: {{ problem }}
    </p>
    <p v-if="said" role="status" data-test="backup-taken">{{ said }}</p>
    <BackupChanges v-if="preview" :key="file" :preview="preview" :busy="busy" @take="take" />
  </section>
</template>

<style scoped>
.open {
  margin: 12px 0;
}
.problem {
  padding: 8px 14px;
  border-left: 5px solid var(--stop);
  background: var(--stop-wash);
}
</style>
