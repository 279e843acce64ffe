<script setup lang="ts">
import { valueWord } from '@pyrgotect/core';
import type { Paper, Template } from '@pyrgotect/core';

import { ref } from 'vue';
import { downloadBytes } from '../parts/download.ts';
import { fileName } from '../parts/file-name.ts';
import { plain } from '../storage/builds.ts';
import { letters } from './letters.ts';

/** Sheets at full size, to cut, prick or lay by: as PDF on either paper, or as SVG. */
const props = defineProps<{
  /** Made when they are asked for. */
  sheets: () => Template[];
  /** Whose they are, at the head of each page. */
  name: string;
  /** What they show, at the end of the file's name. */
  what: string;
}>();
const forms = ['A4', 'Letter', 'svg'] as const satisfies readonly (Paper | 'svg')[];
const isWorking = ref(false);
const problem = ref('');
async function save(as: (typeof forms)[number]): Promise<void> {
  isWorking.value = true;
  problem.value = '';
  try {
    const sheets = plain(props.sheets());
    const { askSolids } = await import('../workers/solids.ts');
    const font = await letters();
    const bytes = await askSolids((solids) => solids.templates(sheets, props.name, as, font));
    const isSvg = as === 'svg';
    downloadBytes(
      `${fileName(`${props.name} ${props.what}`)}.${isSvg ? 'svg' : 'pdf'}`,
      bytes,
      isSvg ? 'image/svg+xml' : 'application/pdf',
    );
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
  isWorking.value = false;
}
</script>

<template>
  <div class="full-size" role="group" :aria-label="what">
    <KeyButton
      v-for="form in forms"
      :key="form"
      size="small"
      :disabled="isWorking"
      @click="save(form)"
    >
      {{ form === 'svg' ? 'SVG' : `PDF, ${valueWord(form)}` }}
    </KeyButton>
    <slot />
    <span v-if="isWorking" role="status">Making it …</span>
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </div>
</template>

<style scoped>
.full-size {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 6px 0 10px;
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
