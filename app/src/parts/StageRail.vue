<script setup lang="ts">
import { computed, onMounted, useTemplateRef, watch } from 'vue';
import { useBuild } from '../stores/build.ts';
import { sheetStages, stageTitles, type SheetStage } from './stages.ts';

const props = defineProps<{ stage: SheetStage }>();
const store = useBuild();
const emit = defineEmits<{ go: [stage: SheetStage]; bench: [] }>();
const rail = useTemplateRef<HTMLElement>('rail');
/** Where the rail is a row that is longer than the screen, the open stage is in sight. */
watch(
  () => props.stage,
  () => rail.value?.querySelector('.on')?.scrollIntoView({ block: 'nearest', inline: 'center' }),
  { flush: 'post' },
);
onMounted(() =>
  rail.value?.querySelector('.on')?.scrollIntoView({ block: 'nearest', inline: 'center' }),
);
const alerts = computed(() => {
  const count: Record<string, number> = {};
  for (const caution of store.cautions)
    if (caution.severity !== 'note') count[caution.stage] = (count[caution.stage] ?? 0) + 1;
  return count;
});
</script>

<template>
  <nav ref="rail" class="rail" aria-label="Stages">
    <button
      v-for="(name, i) in sheetStages"
      :key="name"
      type="button"
      :class="{ on: name === stage }"
      :aria-current="name === stage ? 'page' : undefined"
      @click="emit('go', name)"
    >
      {{ stageTitles[name] }}
      <small :class="{ alert: alerts[name] }">{{ alerts[name] ? '▲' : '' }}{{ i + 1 }}</small>
    </button>
    <button type="button" @click="emit('bench')">Bench <small>b</small></button>
  </nav>
</template>

<style scoped>
.rail {
  border-left: 1.5px solid var(--ink);
  display: flex;
  flex-direction: column;
}
button {
  height: 62px;
  padding: 0 7px 0 15px;
  position: relative;
  color: var(--soft);
  font: 600 var(--size-text) var(--heading);
  display: flex;
  justify-content: space-between;
  align-items: center;
}
button::before {
  content: '';
  position: absolute;
  left: 0;
  top: 31px;
  width: 10px;
  border-top: 1.5px solid var(--ink);
}
button:hover {
  color: var(--ink);
}
button.on {
  background: var(--ink);
  color: var(--milk);
}
small {
  font: 500 var(--size-fine) var(--figure);
  color: var(--soft);
}
.on small {
  color: inherit;
}
small.alert {
  color: var(--warn);
}
.on small.alert {
  color: inherit;
  font-weight: 700;
}
@media (max-width: 1000px), (max-height: 499px) {
  .rail {
    flex-direction: row;
    border-left: 0;
    border-top: 1.5px solid var(--ink);
    overflow-x: auto;
  }
  button {
    flex: 1 0 auto;
    gap: 6px;
    padding: 0 10px;
    height: 46px;
  }
  button::before {
    display: none;
  }
}
</style>
