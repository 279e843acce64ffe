<script setup lang="ts">
import { planBuild, type Build } from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { dayText, secondText } from '../locale/when.ts';
import { computed, onMounted, ref, shallowRef } from 'vue';
import SectionThumb from '../section/SectionThumb.vue';
import { revisionsOf } from '../storage/builds.ts';
import type { Revision } from '../storage/database.ts';
import { useBuild } from '../stores/build.ts';
import { useCarvings } from '../stores/carvings.ts';
import { usePantry } from '../stores/pantry.ts';
import DialogBox from './DialogBox.vue';

const props = defineProps<{ buildId: string }>();
const emit = defineEmits<{ close: [] }>();
const store = useBuild();
const pantry = usePantry();
const carvings = useCarvings();
const revisions = shallowRef<Revision[]>([]);
const chosen = ref<Revision | null>(null);

onMounted(async () => {
  await store.flush();
  revisions.value = await revisionsOf(props.buildId);
  chosen.value = revisions.value[1] ?? revisions.value[0] ?? null;
});
const section = computed(() =>
  chosen.value
    ? planBuild(chosen.value.build, pantry.pantry, carvings.answerTo, store.corrections).section
    : null,
);
function restore(): void {
  const from = chosen.value?.build;
  if (!from) return;
  store.edit(`Back to version ${chosen.value!.revision}`, (draft) => {
    Object.assign(draft, JSON.parse(JSON.stringify(from)) as Build);
  });
  emit('close');
}
</script>

<template>
  <DialogBox max-width="760" @update:model-value="emit('close')">
    <v-card class="history">
      <h2>Earlier versions</h2>
      <p class="soft">
        The last {{ revisions.length }} savings. Going back is an edit like any other: it can be
        undone.
      </p>
      <div class="both">
        <PickList
          class="lines"
          aria-label="Earlier versions"
          :selected="chosen ? [chosen.key] : []"
        >
          <v-list-item
            v-for="revision in revisions"
            :key="revision.key"
            :value="revision.key"
            :title="`${revision.revision} ${revision.label}`"
            :subtitle="`${dayText(parseISO(revision.at), 'plain')}, ${secondText(parseISO(revision.at))}`"
            @click="chosen = revision"
          />
        </PickList>
        <div class="drawing">
          <SectionThumb v-if="section" :section="section" :width="300" :height="260" />
        </div>
      </div>
      <p class="row">
        <KeyButton variant="flat" :disabled="!chosen" @click="restore">
          Go back to version {{ chosen?.revision }}
        </KeyButton>
        <KeyButton @click="emit('close')">Close</KeyButton>
      </p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.history {
  padding: 18px 24px 20px;
  display: block;
}
h2 {
  margin: 0;
}
.both {
  display: grid;
  grid-template-columns: 1fr 320px;
  gap: 16px;
  margin-top: 12px;
}
.v-list {
  max-height: 300px;
}
.row {
  display: flex;
  gap: 10px;
  margin-top: 14px;
}
</style>
