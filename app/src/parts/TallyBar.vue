<script setup lang="ts">
import {
  carvingKnown,
  show,
  type Build,
  type Caution,
  type Kind,
  type CakePlan,
} from '@pyrgotect/core';
import { useNow } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useWorking } from '../figures/working.ts';
import CautionList from '../figures/CautionList.vue';
import { useBuild } from '../stores/build.ts';
import { useCarvings } from '../stores/carvings.ts';
import { useSettings } from '../stores/settings.ts';
import type { SheetStage } from './stages.ts';
import { timeLeft } from '../locale/when.ts';

const props = defineProps<{ build: Build; plan: CakePlan }>();
const emit = defineEmits<{ go: [stage: SheetStage]; goTo: [caution: Caution] }>();
const settings = useSettings();
const store = useBuild();
const carvings = useCarvings();
const working = useWorking();
const now = useNow({ interval: 30_000 });

const text = (value: number | null, kind: Kind): string => {
  if (value === null) return '–';
  const shown = show(value, kind, settings.system);
  return `${shown.number} ${shown.unit}`.trim();
};
const cells = computed(() => {
  const { tally } = props.plan;
  return [
    {
      key: 'height',
      value: text(tally.heightMm, 'size'),
      label: 'finished height',
      figure: 'height',
    },
    { key: 'mass', value: text(tally.massG, 'weight'), label: 'on the board', figure: 'mass' },
    {
      key: 'servings',
      value: text(tally.servings, 'count'),
      label: `servings, ${props.build.brief.servings} wanted`,
      figure: 'servings',
    },
    {
      key: 'frosting',
      value: text(tally.frostingG, 'bowl'),
      label: 'filling and frosting',
      figure: 'frosting',
    },
    {
      key: 'hands',
      value: text(store.making?.handsOnMin ?? null, 'minutes'),
      label: 'hands-on',
      figure: 'hands-on',
    },
  ];
});
/** Never where the solids cannot run: there nothing is being worked out. */
const waiting = computed(
  () => carvingKnown(props.plan.tiers) === 'stack only' && carvings.problem === null,
);
const left = computed(() => timeLeft(props.build.brief.serveAt, now.value));
/** On a phone the figures are one line until it is opened. */
const isOpen = ref(false);
const serious = computed(() => store.cautions.filter((c) => c.severity !== 'note').length);
</script>

<template>
  <footer class="tally" :class="{ open: isOpen }">
    <button
      type="button"
      class="line"
      data-test="tally-line"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
    >
      <b :class="{ waiting }"
        >{{
          cells
            .slice(0, 3)
            .map(({ value }) => value)
            .join(' · ')
        }}{{ waiting ? ' …' : ' servings' }}</b
      >
    </button>
    <button
      v-for="cell in cells"
      :key="cell.key"
      v-tip="
        waiting
          ? 'The carving is being worked out: this is still of the whole stack'
          : 'Where this comes from'
      "
      type="button"
      :data-test="`tally-${cell.key}`"
      :class="{ waiting }"
      @click="working.open(cell.figure)"
    >
      <b>{{ cell.value }}<template v-if="waiting"> …</template></b
      ><span>{{ waiting ? 'being worked out' : cell.label }}</span>
    </button>
    <button
      v-tip="'To the brief'"
      type="button"
      data-test="tally-left"
      @click="emit('go', 'brief')"
    >
      <b>{{ left }}</b><span>until it is served</span>
    </button>
    <v-menu location="top end" :max-width="560">
      <template #activator="{ props: activator }">
        <button
          v-bind="activator"
          type="button"
          class="cautions"
          :class="{ warn: serious > 0 }"
          :aria-label="`${store.cautions.length} ${store.cautions.length === 1 ? 'caution' : 'cautions'}`"
          data-test="tally-cautions"
        >
          <b>{{ serious > 0 ? '▲ ' : '' }}{{ store.cautions.length }}</b>
          <span>{{ store.cautions.length === 1 ? 'caution' : 'cautions' }}</span>
        </button>
      </template>
      <v-card class="list">
        <p v-if="store.cautions.length === 0">Nothing to mind: it can be built as drawn.</p>
        <CautionList :cautions="store.cautions" @go="(caution) => emit('goTo', caution)" />
      </v-card>
    </v-menu>
  </footer>
</template>

<style scoped>
.tally {
  background: var(--foot);
  color: var(--foot-ink);
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  min-height: 66px;
}
button {
  padding: 9px 8px 9px 18px;
  border-left: 1px solid var(--foot-line);
  text-align: left;
  min-width: 0;
}
button:first-child {
  border-left: 0;
}
button:hover {
  background: color-mix(in srgb, var(--foot-ink) 9%, transparent);
}
button:focus-visible {
  outline-color: var(--foot-ink);
  outline-offset: -3px;
}
b {
  font: 600 var(--size-title)/1.1 var(--heading);
  display: block;
  white-space: nowrap;
}
span {
  font-size: var(--size-note);
  color: var(--foot-soft);
  white-space: nowrap;
}
.waiting b {
  font-style: italic;
  opacity: 0.75;
}
.warn b {
  color: var(--foot-warn);
}
.list {
  padding: 4px 16px 16px;
}
.line {
  display: none;
}
@media (max-width: 1000px) {
  .tally {
    grid-template-columns: repeat(4, 1fr);
  }
  button {
    border-top: 1px solid var(--foot-line);
  }
}
/* on a phone one line, which opens; its words go into two lines rather than over their neighbours */
@media (max-width: 599px), (max-height: 499px) {
  .tally {
    grid-template-columns: repeat(2, minmax(0, 1fr)) minmax(80px, auto);
    min-height: 0;
  }
  .tally:not(.open) > button:not(.line, .cautions) {
    display: none;
  }
  .line {
    display: block;
    grid-column: 1 / 3;
  }
  .cautions {
    grid-column: 3;
    grid-row: 1;
  }
  button {
    min-height: 44px;
    padding: 5px 6px 5px 12px;
  }
  .cautions {
    padding-right: 14px;
  }
  .cautions span {
    display: none;
  }
  .line b {
    overflow: hidden;
    text-overflow: ellipsis;
  }
  b {
    font-size: var(--size-lead);
  }
  span {
    display: block;
    line-height: 1.15;
    white-space: normal;
  }
}
</style>
