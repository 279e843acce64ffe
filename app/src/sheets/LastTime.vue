<script setup lang="ts">
import { lessonsOf, type Build } from '@pyrgotect/core';
import { computed, shallowRef, watch } from 'vue';
import { useUnits } from '../figures/units.ts';
import { offBy } from '../hand/bias-words.ts';
import { database } from '../storage/database.ts';

/** What the cake that this one is made like taught: what came otherwise than planned, and what was said of it. */
const props = defineProps<{ likeId: string }>();
const units = useUnits();
const like = shallowRef<Build | null>(null);
watch(
  () => props.likeId,
  async (id) => {
    const stored = await database.builds.get(id);
    if (id === props.likeId) like.value = stored?.build ?? null;
  },
  { immediate: true },
);
const lessons = computed(() => like.value && lessonsOf(like.value));
</script>

<template>
  <section v-if="like && lessons" class="last" data-test="last-time">
    <h2>
      Last time: <router-link :to="`/build/${like.id}/day`">{{ like.name }}</router-link>
    </h2>
    <p v-if="lessons.lines.length === 0 && lessons.words.length === 0">
      Nothing was noted that differed from its plan.
    </p>
    <ul>
      <li v-for="line in lessons.lines" :key="line.noteId">
        {{ line.title }}, {{ line.label }}: {{ units.text(line.actual, line.show) }} where
        {{ units.text(line.planned, line.show) }} was planned, <b>{{ offBy(line.ratio) }}</b>
      </li>
      <li v-for="note in lessons.words" :key="note.id">“{{ note.text }}”</li>
    </ul>
    <p class="soft">
      What your notes say of all your cakes is in the plan already: see
      <router-link to="/learnt">Learnt</router-link>.
    </p>
  </section>
</template>

<style scoped>
.last {
  margin: 12px 0;
  padding: 8px 14px 10px;
  background: var(--accent-wash);
  border-left: 3px solid var(--accent);
}
h2 {
  margin-top: 0;
}
p,
ul {
  margin: 4px 0;
}
</style>
