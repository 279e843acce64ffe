<script setup lang="ts">
import { draftBuilds, findRow, planBuild, type Build, type Proposal } from '@pyrgotect/core';
import { computed } from 'vue';
import SectionThumb from '../section/SectionThumb.vue';
import { useBuild } from '../stores/build.ts';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';

const props = defineProps<{ build: Build }>();
const emit = defineEmits<{ close: [] }>();
const pantry = usePantry();
const settings = useSettings();
const units = useUnits();
const store = useBuild();

const draft = computed(() => draftBuilds(props.build, pantry.pantry));
const cards = computed(() =>
  draft.value.ok
    ? draft.value.proposals.map((proposal) => ({
        proposal,
        plan: planBuild(proposal.build, pantry.pantry, undefined, store.corrections),
        tin: findRow(pantry.pantry, 'tins', proposal.build.tiers[0]!.tinId).name,
      }))
    : [],
);
const fit = computed(() => ({
  width: Math.max(...cards.value.map((c) => c.plan.section.halfWidthMm * 2), 1),
  height: Math.max(...cards.value.map((c) => c.plan.section.heightMm), 1),
}));
function take(proposal: Proposal): void {
  store.edit(`Draft: ${proposal.title}`, (build) => {
    build.tiers = proposal.build.tiers;
    build.boardId = proposal.build.boardId;
    build.brief.halves = proposal.build.brief.halves;
    build.rod = proposal.build.rod;
    build.piping = proposal.build.piping;
  });
  store.selected = null;
  emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="960" @update:model-value="emit('close')">
    <v-card class="draft" data-test="proposals">
      <header>
        <h1>
          {{
            draft.ok
              ? `${build.brief.servings} servings, ${cards.length} ways`
              : 'Nothing can be drafted yet'
          }}
        </h1>
        <button type="button" class="key small" @click="emit('close')">Close</button>
      </header>
      <p v-if="!draft.ok" class="lead">{{ draft.problem }}</p>
      <p v-else class="lead">
        All to one scale. Sponge and frosting are a first guess; everything can be changed in the
        drawing.
      </p>
      <div class="cards">
        <button
          v-for="card in cards"
          :key="card.proposal.key"
          type="button"
          class="card"
          :data-test="`take-${card.proposal.key}`"
          @click="take(card.proposal)"
        >
          <SectionThumb :section="card.plan.section" :width="270" :height="190" :fit-mm="fit" />
          <b>{{ card.proposal.title }}</b>
          <span class="soft">{{ card.proposal.words }}</span>
          <span>
            {{ settings.words(card.tin) }},
            {{ card.proposal.build.tiers[0]!.layers.length }} layers,
            {{ units.text(card.plan.tally.heightMm, 'size') }} high
          </span>
          <span>
            <strong>{{ card.proposal.servings }} servings</strong>,
            {{ card.proposal.spare === 0 ? 'none over' : `${card.proposal.spare} over` }}
          </span>
          <span
            v-if="card.plan.tally.frostingG !== null && card.plan.tally.massG !== null"
            class="soft"
          >
            {{ units.text(card.plan.tally.massG, 'weight') }} in all,
            {{ units.text(card.plan.tally.frostingG, 'bowl') }} of it to whip up as filling and
            frosting
          </span>
          <span v-if="card.plan.price && card.plan.tally.handsOnMin !== null" class="soft">
            about {{ units.text(card.plan.price.total, 'money') }},
            {{ units.text(card.plan.tally.handsOnMin, 'minutes') }} of work
          </span>
        </button>
      </div>
    </v-card>
  </v-dialog>
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
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 14px;
  margin-top: 14px;
}
.card {
  display: grid;
  gap: 3px;
  text-align: left;
  justify-items: start;
  padding: 10px 14px 14px;
  border: 1.5px solid var(--line);
  border-radius: 5px;
  align-content: start;
}
.card:hover,
.card:focus-visible {
  border-color: var(--accent);
  background: var(--raised);
}
.card > svg {
  justify-self: center;
}
b {
  font: 700 var(--size-title) var(--heading);
}
</style>
