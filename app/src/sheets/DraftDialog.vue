<script setup lang="ts">
import { anyWish, type Build, type Design } from '@pyrgotect/core';
import DesignCards from '../designs/DesignCards.vue';
import { useDesigns } from '../designs/useDesigns.ts';
import TroubleLine from '../figures/TroubleLine.vue';
import { useBuild } from '../stores/build.ts';
import DialogBox from '../parts/DialogBox.vue';

/** Whole cakes for the brief of this one, to take in its place. */
const props = defineProps<{ build: Build }>();
const emit = defineEmits<{ close: [] }>();
const store = useBuild();
const { answer, current, progress, trouble, again } = useDesigns(() => ({
  base: { ...props.build, bench: { ...props.build.bench, notes: [] } },
  wish: anyWish,
}));
function take(design: Design): void {
  store.edit('Draft', (build) => {
    build.tiers = design.build.tiers;
    build.boardId = design.build.boardId;
    build.brief.halves = design.build.brief.halves;
    build.rod = design.build.rod;
    build.piping = design.build.piping;
  });
  store.selected = null;
  emit('close');
}
</script>

<template>
  <DialogBox max-width="1240" @update:model-value="emit('close')">
    <v-card class="draft" data-test="proposals">
      <header>
        <h1 v-if="answer?.ok">
          {{ build.brief.servings }} servings, {{ answer.designs.length }} ways
        </h1>
        <h1 v-else-if="answer">Nothing can be drafted yet</h1>
        <h1 v-else>Weighing cakes for {{ build.brief.servings }}…</h1>
        <KeyButton size="small" @click="emit('close')">Close</KeyButton>
      </header>
      <v-progress-linear
        v-if="progress !== null"
        :model-value="100 * progress"
        color="primary"
        aria-label="Weighing cakes"
      />
      <TroubleLine :trouble="trouble" what="The drafts" @again="again" />
      <p v-if="answer && !answer.ok" class="lead">
        {{ answer.problem }} New cake can plan plain cakes beside.
      </p>
      <template v-if="answer?.ok">
        <p class="lead">
          All to one scale, planned whole: each stands, bakes and serves everyone. Sponge and
          frosting are a first guess; everything can be changed in the drawing.
        </p>
        <DesignCards :designs="answer.designs" :old="!current" @take="take" />
      </template>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.draft {
  padding: 20px 24px 24px;
  display: block;
  overflow: auto;
}
header {
  display: flex;
  justify-content: space-between;
}
</style>
