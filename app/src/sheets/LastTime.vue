<script setup lang="ts">
import { logOf, type Build } from '@pyrgotect/core';
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
/** As many as one reads before beginning. */
const most = 6;
/** Nearer to the plan than this nothing has to be learnt. */
const worthSaying = 0.03;
const lines = computed(() =>
  (like.value ? logOf(like.value, []) : [])
    .filter(({ ratio, isWild }) => !isWild && Math.abs(ratio - 1) > worthSaying)
    .slice(0, most),
);
const told = computed(() =>
  (like.value?.bench.notes ?? []).filter(({ kind, text }) => text && kind !== 'count'),
);
</script>

<template>
  <section v-if="like" class="last" data-test="last-time">
    <h2>
      Last time: <router-link :to="`/build/${like.id}/day`">{{ like.name }}</router-link>
    </h2>
    <p v-if="lines.length === 0 && told.length === 0">
      Nothing was noted that differed from its plan.
    </p>
    <ul>
      <li v-for="line in lines" :key="line.noteId">
        {{ line.title }}, {{ line.label }}: {{ units.text(line.actual, line.show) }} where
        {{ units.text(line.planned, line.show) }} was planned, <b>{{ offBy(line.ratio) }}</b>
      </li>
      <li v-for="note in told" :key="note.id">“{{ note.text }}”</li>
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
