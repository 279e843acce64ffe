<script setup lang="ts">
import { addTier, limits, removeTier, type Build } from '@pyrgotect/core';
import { computed } from 'vue';
import { useBuild } from '../stores/build.ts';
import { fitTinToTier } from './part-edits.ts';
import WordField from '../figures/WordField.vue';

/** The tiers from the bottom up: choose one, name it, set another on top, take one away. */
const props = defineProps<{ build: Build; tierId: string; mayAdd: boolean }>();
const store = useBuild();
const tier = computed(() => props.build.tiers.find((t) => t.id === props.tierId)!);
const several = computed(() => props.build.tiers.length > 1);
function add(): void {
  let id = '';
  store.edit('Another tier', (draft) => {
    const made = addTier(draft);
    fitTinToTier(made);
    id = made.id;
  });
  store.selected = id;
}
function remove(): void {
  store.edit(`${tier.value.name} taken away`, (draft) => removeTier(draft, props.tierId));
  store.selected = props.build.tiers[0]!.id;
}
function rename(name: string): void {
  store.edit('Name of the tier', (draft) => {
    draft.tiers.find((t) => t.id === props.tierId)!.name = name;
  });
}
</script>

<template>
  <div v-if="several || mayAdd" class="strip" data-test="tiers">
    <template v-if="several">
      <template v-for="each in build.tiers" :key="each.id">
        <WordField
          v-if="each.id === tierId"
          class="name"
          :model-value="each.name"
          :most="limits.nameLength.max"
          needed
          aria-label="Name of this tier"
          @update:model-value="rename"
        />
        <button v-else type="button" @click="store.selected = each.id">{{ each.name }}</button>
      </template>
    </template>
    <span class="grow" />
    <KeyButton
      v-if="mayAdd && build.tiers.length < limits.tiers.max"
      size="small"
      data-test="add-tier"
      @click="add"
    >
      Another tier on top
    </KeyButton>
    <KeyButton v-if="mayAdd && several" size="small" @click="remove">
      Take this tier away
    </KeyButton>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  margin-bottom: 6px;
  min-height: 30px;
}
.strip > button:not(.key) {
  color: var(--soft);
  font: 600 var(--size-text) var(--heading);
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
.strip > button:not(.key):hover {
  color: var(--ink);
}
.name.v-input {
  font: 700 var(--size-text) var(--heading);
  max-width: 16em;
}
.name :deep(.v-field) {
  font-weight: 700;
  color: var(--ink);
  background: var(--accent-wash);
}
.grow {
  flex: 1;
}
</style>
