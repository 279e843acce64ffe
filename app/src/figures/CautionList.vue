<script setup lang="ts">
import { applyAdvised, advisedWords, type Caution } from '@pyrgotect/core';
import { announce } from '../parts/announce.ts';
import { useBuild } from '../stores/build.ts';
import { useUnits } from './units.ts';

defineProps<{ cautions: Caution[] }>();
const emit = defineEmits<{ go: [caution: Caution] }>();
const units = useUnits();
const store = useBuild();
/** Does what is advised, as one edit that can be undone. */
function putRight({ advised }: Caution): void {
  if (!advised) return;
  const done = units.say(advisedWords(advised));
  store.edit(done, (draft) => void applyAdvised(draft, advised));
  announce(`Done: ${done}`);
}
const marks = { stop: '■', mind: '▲', note: '●' } as const;
const words = { stop: 'Cannot be made so', mind: 'Mind this', note: 'Good to know' } as const;
</script>

<template>
  <ul v-if="cautions.length > 0" class="cautions">
    <li v-for="caution in cautions" :key="caution.id" :class="caution.severity">
      <button type="button" @click="emit('go', caution)">
        <span class="mark" aria-hidden="true">{{ marks[caution.severity] }}</span>
        <span>
          <span class="visually-hidden">{{ words[caution.severity] }}: </span>
          <b>{{ units.say(caution.title) }}</b>
          {{ units.say(caution.todo) }}
        </span>
      </button>
      <KeyButton
        v-if="caution.advised"
        class="advised"
        size="small"
        :data-test="`advised-${caution.advised.do}`"
        @click="putRight(caution)"
        >{{ units.say(advisedWords(caution.advised)) }}</KeyButton
      >
    </li>
  </ul>
</template>

<style scoped>
.cautions {
  list-style: none;
  margin: 14px 0 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
li {
  background: var(--warn-wash);
  border-left: 4px solid var(--warn-mark);
}
li.stop {
  background: var(--stop-wash);
  border-color: var(--stop);
}
li.note {
  background: var(--accent-wash);
  border-color: var(--accent);
}
button {
  display: flex;
  gap: 9px;
  text-align: left;
  padding: 7px 12px 8px;
  width: 100%;
  font-size: var(--size-text);
  line-height: 1.38;
}
.advised {
  margin: 0 12px 9px 34px;
}
.mark {
  font-size: var(--size-fine);
  padding-top: 4px;
  color: var(--warn-mark);
}
.stop .advised {
  margin: 0 12px 9px 34px;
}
.mark {
  color: var(--stop);
}
.note .advised {
  margin: 0 12px 9px 34px;
}
.mark {
  color: var(--accent);
}
</style>
