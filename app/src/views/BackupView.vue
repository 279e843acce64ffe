<script setup lang="ts">
import { computed, onMounted } from 'vue';
import MakeBackup from '../backup/MakeBackup.vue';
import ReadBack from '../backup/ReadBack.vue';
import { waitingFor } from '../backup/due.ts';
import PairingPanel from '../pairing/PairingPanel.vue';
import SheetTabs from '../parts/SheetTabs.vue';
import { useQueryChoice } from '../parts/useQueryChoice.ts';
import { agoText } from '../locale/when.ts';
import TopBar from '../parts/TopBar.vue';
import { useBackups } from '../stores/backups.ts';
import { usePairing } from '../stores/pairing.ts';
import { useShelf } from '../stores/shelf.ts';

/** Everything as one file, and back; and the devices that have it in common. */
const backups = useBackups();
const pairing = usePairing();
const shelf = useShelf();
onMounted(async () => {
  await Promise.all([backups.load(), shelf.load()]);
});
const turns = [
  { id: 'backup' as const, text: 'backup' },
  { id: 'devices' as const, text: 'desk, tablet and phone' },
];
const turn = useQueryChoice('turn', ['backup', 'devices'] as const, 'backup');
const devicesText = (count: number): string =>
  count === 1 ? 'One device, waiting for others' : `${count} devices, one kitchen`;
const title = computed(() => {
  const { lastAt } = backups.habit;
  if (turn.value === 'devices')
    return pairing.isPaired ? devicesText(pairing.state!.devices.length) : 'One kitchen on every device'; // prettier-ignore
  if (!backups.loaded) return 'Backup';
  return lastAt ? `Last backup ${agoText(new Date(lastAt), new Date())}` : 'No backup was made yet';
});
const waiting = computed(() => waitingFor(backups.habit, shelf.entries, shelf.examples).length);
</script>

<template>
  <div class="backup">
    <TopBar here="backup" />
    <main id="content" tabindex="-1" data-scrolls>
      <h1 data-test="backup-title">{{ title }}</h1>
      <p class="lead">
        {{
          pairing.isPaired
            ? 'What you plan is on the devices of your kitchen, and nowhere else.'
            : 'All that you plan is in this browser alone.'
        }}
        <template v-if="waiting > 0"
          >{{ waiting }} {{ waiting === 1 ? 'cake is' : 'cakes are' }} newer than the last
          backup.</template
        >
      </p>
      <SheetTabs v-model="turn" :tabs="turns" label="Turns of what is kept elsewhere">
        <PairingPanel v-if="turn === 'devices'" />
        <div v-else class="two">
          <MakeBackup />
          <ReadBack />
        </div>
      </SheetTabs>
    </main>
  </div>
</template>

<style scoped>
.backup {
  min-height: 100dvh;
  background: var(--milk);
}
main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 18px 24px 40px;
}
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 380px), 1fr));
  gap: 8px 44px;
}
</style>
