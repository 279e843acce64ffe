<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import ToggleRow from '../parts/ToggleRow.vue';
import { downloadBytes } from '../parts/download.ts';
import { report } from '../stores/faults.ts';
import { useBackups } from '../stores/backups.ts';
import { fixed } from '../locale/number.ts';
import { canKeepFolder, chooseFolder, forgetFolder } from './folder.ts';
import { everyChoices } from './due.ts';

/** Everything as one file: now, or by itself into a folder; and when to be reminded. */
const backups = useBackups();
const withVersions = ref(false);
const busy = ref(false);
const said = ref('');
const canFolder = computed(() => canKeepFolder());
onMounted(() => void backups.load());

async function doing(work: () => Promise<string>): Promise<void> {
  busy.value = true;
  said.value = '';
  try {
    said.value = await work();
  } catch (error) {
    report(error);
  } finally {
    busy.value = false;
  }
}
const save = (): Promise<void> =>
  doing(async () => {
    const { name, blob } = await backups.make(withVersions.value);
    downloadBytes(name, blob, 'application/zip');
    await backups.made();
    return `${name}, ${fixed(blob.size / 1e6, 1)} MB: keep it somewhere else than on this machine.`;
  });
const pick = (): Promise<void> =>
  doing(async () => {
    if (!(await chooseFolder())) return '';
    await backups.load();
    await backups.makeInFolder(true);
    return 'The first one is in the folder.';
  });
const writeNow = (): Promise<void> =>
  doing(async () =>
    (await backups.makeInFolder(true))
      ? 'Written into the folder.'
      : 'The browser does not let this page write there.',
  );
async function forget(): Promise<void> {
  await forgetFolder();
  await backups.load();
}
const every = everyChoices.map((value) => ({
  value,
  text: value === 0 ? 'never' : value === 7 ? 'week' : value === 14 ? 'two weeks' : 'month',
}));
</script>

<template>
  <section data-test="make-backup">
    <h2>The whole in one file</h2>
    <p class="lead">
      Cakes, photos, pantry, what was learnt and how this program is set, in one zip of plain files.
      Any program can open it; each cake in it opens by itself.
    </p>
    <v-checkbox
      v-model="withVersions"
      label="with earlier versions of the cakes (larger)"
      density="compact"
      hide-details
    />
    <p class="keys">
      <KeyButton variant="flat" :disabled="busy" data-test="save-backup" @click="save"
        >Save a backup</KeyButton
      >
      <template v-if="canFolder">
        <KeyButton v-if="!backups.folder" :disabled="busy" @click="pick"
          >Keep them in a folder …</KeyButton
        >
        <template v-else>
          <KeyButton :disabled="busy" @click="writeNow"
            >Write into {{ backups.folder.name }}</KeyButton
          >
          <KeyButton variant="text" @click="forget">Leave that folder</KeyButton>
        </template>
      </template>
    </p>
    <p v-if="backups.folder" class="soft">
      When one is due it is written into “{{ backups.folder.name }}” by itself, as far as the
      browser still allows it; the last eight stay there.
    </p>
    <v-progress-linear
      v-if="busy && backups.progress !== null"
      :model-value="backups.progress * 100"
      height="6"
      aria-label="How far the backup is"
    />
    <p v-if="said" role="status" data-test="backup-made">{{ said }}</p>
    <ToggleRow
      class="every"
      name="asked for every"
      :of="every"
      :model-value="backups.habit.everyDays"
      @update:model-value="(everyDays) => backups.setHabit({ everyDays })"
    />
  </section>
</template>

<style scoped>
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0 14px;
}
.every {
  margin-top: 14px;
}
</style>
