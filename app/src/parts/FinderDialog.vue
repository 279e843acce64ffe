<script setup lang="ts">
import { type CakePlan } from '@pyrgotect/core';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { useWorking } from '../figures/working.ts';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import { labelOf, walkable } from './part-edits.ts';
import { sheetStages, stageTitles, type SheetStage } from './stages.ts';
import DialogBox from './DialogBox.vue';
import SearchField from './SearchField.vue';

const props = defineProps<{ plan: CakePlan }>();
const emit = defineEmits<{
  close: [];
  select: [id: string];
  go: [stage: SheetStage];
  bench: [];
  print: [];
}>();
const settings = useSettings();
const units = useUnits();
const working = useWorking();
const store = useBuild();
const text = ref('');
const at = ref(0);

interface Entry {
  key: string;
  title: string;
  more: string;
  run: () => void;
}
/** Of several tiers each has its coat and its layers: which one a part or a figure is of. */
function ofTier(id: string, more: string): string {
  const tiers = store.build?.tiers ?? [];
  const tier = tiers.length > 1 ? tiers.find((each) => id.startsWith(`${each.id}/`)) : undefined;
  return tier ? `${tier.name}, ${more}` : more;
}
const entries = computed<Entry[]>(() => [
  ...sheetStages.map((stage) => ({
    key: `stage/${stage}`,
    title: stageTitles[stage],
    more: 'sheet',
    run: () => emit('go', stage),
  })),
  { key: 'bench', title: 'To the bench', more: 'action', run: () => emit('bench') },
  { key: 'print', title: 'Print the bench sheet', more: 'action', run: () => emit('print') },
  { key: 'units', title: 'Switch units', more: 'action', run: () => void settings.switchUnits() },
  { key: 'undo', title: 'Undo', more: 'action', run: () => store.undo() },
  ...walkable(props.plan).map((id) => ({
    key: `part/${id}`,
    title: labelOf(id),
    more: ofTier(id, 'part of the cake'),
    run: () => emit('select', id),
  })),
  ...(store.plan?.figures.all() ?? []).map((figure) => ({
    key: `figure/${figure.id}`,
    title: figure.label,
    more: ofTier(figure.id, units.text(figure.value, figure.kind)),
    run: () => working.open(figure.id),
  })),
]);
const found = computed(() => {
  const words = text.value.toLowerCase().split(/\s+/).filter(Boolean);
  return entries.value
    .filter((e) => words.every((w) => `${e.title} ${e.more}`.toLowerCase().includes(w)))
    .slice(0, 40);
});
function pick(entry: Entry | undefined): void {
  if (!entry) return;
  emit('close');
  entry.run();
}
const list = useTemplateRef<{ $el: HTMLElement }>('list');
async function move(by: number): Promise<void> {
  at.value = Math.min(found.value.length - 1, Math.max(0, at.value + by));
  await nextTick();
  list.value?.$el.querySelector('.v-list-item--active')?.scrollIntoView({ block: 'nearest' });
}
</script>

<template>
  <DialogBox max-width="520" @update:model-value="emit('close')">
    <v-card class="finder choices">
      <SearchField
        v-model="text"
        autofocus
        placeholder="A part, a figure, an action"
        label="Find"
        @update:model-value="at = 0"
        @keydown.down.prevent="move(1)"
        @keydown.up.prevent="move(-1)"
        @keydown.enter.prevent="pick(found[at])"
      />
      <PickList v-if="found.length > 0" ref="list" aria-label="Found" :selected="[found[at]?.key]">
        <v-list-item
          v-for="entry in found"
          :key="entry.key"
          :value="entry.key"
          :title="entry.title"
          @click="pick(entry)"
        >
          <template #append>
            <small>{{ entry.more }}</small>
          </template>
        </v-list-item>
      </PickList>
      <p v-else class="soft none">Nothing by that name in this build.</p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.finder {
  padding: 14px;
}
.v-list,
.none {
  height: 340px;
  margin: 8px 0 0;
}
.none {
  padding: 8px;
}
small {
  color: var(--soft);
  white-space: nowrap;
}
</style>
