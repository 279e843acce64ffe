<script setup lang="ts">
import { valueWord } from '@pyrgotect/core';
import type { Step } from '@pyrgotect/core';
import { onMounted, useTemplateRef } from 'vue';
import { useSettings } from '../stores/settings.ts';
import DialogBox from '../parts/DialogBox.vue';

defineProps<{ steps: Step[]; done: Set<string>; index: number }>();
const settings = useSettings();
const emit = defineEmits<{ close: []; go: [index: number]; reopen: [key: string] }>();
const list = useTemplateRef<HTMLElement>('list');
onMounted(() => list.value?.querySelector('.on')?.scrollIntoView({ block: 'center' }));
</script>

<template>
  <DialogBox max-width="640" @update:model-value="emit('close')">
    <v-card class="steps">
      <h1>All {{ steps.length }} steps</h1>
      <ol ref="list">
        <li v-for="(step, i) in steps" :key="step.key" :class="{ on: i === index }">
          <button type="button" class="go" @click="emit('go', i)">
            <i :class="{ ticked: done.has(step.key) }" aria-hidden="true" />
            <span
              >{{ settings.words(step.title) }} <small>{{ valueWord(step.chapter) }}</small></span
            >
          </button>
          <KeyButton
            v-if="done.has(step.key)"
            size="small"
            :aria-label="`${step.title}: not done after all`"
            @click="emit('reopen', step.key)"
          >
            not done
          </KeyButton>
        </li>
      </ol>
      <p><KeyButton @click="emit('close')">Close</KeyButton></p>
    </v-card>
  </DialogBox>
</template>

<style scoped>
.steps {
  padding: 20px 24px;
  display: block;
}
ol {
  list-style: none;
  margin: 10px 0 14px;
  padding: 0;
  max-height: 58vh;
  overflow: auto;
}
li {
  display: flex;
  align-items: center;
  border-top: 1px solid var(--line);
  padding-right: 6px;
}
li.on {
  background: var(--accent-wash);
}
.go {
  flex: 1;
  min-height: 52px;
  display: flex;
  gap: 14px;
  align-items: center;
  text-align: left;
  padding: 6px 8px;
  font-size: var(--size-lead);
}
i {
  width: 20px;
  height: 20px;
  flex: none;
  border: 2px solid var(--ink);
  border-radius: 3px;
}
i.ticked {
  background: var(--accent);
  border-color: var(--accent);
}
small {
  color: var(--soft);
  margin-left: 6px;
}
</style>
