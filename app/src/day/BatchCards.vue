<script setup lang="ts">
import { batchCards } from '@pyrgotect/core';
import { dayAndHour } from '../locale/when.ts';
import { computed } from 'vue';
import { useListText } from '../bench/listText.ts';
import { useBuild } from '../stores/build.ts';
import { useDay } from '../stores/day.ts';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';

/** A card for each batter and each batch, free-from first, with room for lot and yield. */
const store = useBuild();
const day = useDay();
const pantry = usePantry();
const settings = useSettings();
const { text } = useUnits();
const listText = useListText();
const cards = computed(() =>
  store.build && store.plan?.steps.ok
    ? batchCards({
        build: store.build,
        plan: store.plan,
        steps: store.plan.steps.value,
        tasks: day.tasks,
        placed: day.plan?.placed ?? [],
        pantry: pantry.pantry,
      })
    : [],
);
</script>

<template>
  <section v-if="cards.length > 0" data-test="batch-cards">
    <h2>Cards for the batches</h2>
    <p class="soft">
      What is free of an allergen is made before what holds it: in this order, where the days allow.
    </p>
    <div class="cards">
      <article v-for="card in cards" :key="card.id" class="card">
        <p v-if="card.washBefore" class="wash">Bowl, whisk and hands washed before this one.</p>
        <h3>
          {{ settings.words(card.name) }}
          <b>{{ text(card.makeG, 'bowl') }}</b>
        </h3>
        <p class="soft">
          {{ card.madeMin === null ? '' : `${dayAndHour(day.dateOf(card.madeMin), 'short')}. ` }}
          {{ card.mixes > 1 ? `${card.mixes} mixings, each:` : '' }}
        </p>
        <ul>
          <li v-for="(line, k) in card.lines" :key="k">
            <span>{{ line.label }}</span>
            <b>{{ listText(line) }}</b>
          </li>
        </ul>
        <p v-for="reach in card.reaches" :key="reach.title">
          {{ settings.words(reach.title)
          }}<template v-if="reach.toC !== null">, to {{ text(reach.toC, 'temperature') }}</template
          >:
          <b>{{ reach.readC === null ? '________' : text(reach.readC, 'temperature') }}</b>
        </p>
        <p>
          Into:
          {{
            card.goesInto
              .map(({ label, massG }) => `${settings.words(label)}: ${text(massG, 'small')}`)
              .join('; ')
          }}.
        </p>
        <p>
          Came to <b>{{ card.madeG === null ? '________' : text(card.madeG, 'bowl') }}</b>, lot
          ________________
        </p>
        <p class="soft">{{ card.contents }}</p>
      </article>
    </div>
  </section>
</template>

<style scoped>
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 12px;
  align-items: start;
}
.card {
  break-inside: avoid;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  padding: 9px 12px;
  font-size: var(--size-note);
}
.card p {
  margin: 4px 0 0;
}
.wash {
  font-weight: 600;
}
h3 {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  font-size: var(--size-text);
  margin: 0;
}
h3 b {
  white-space: nowrap;
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  display: flex;
  gap: 8px;
  border-top: 1px solid var(--line);
  padding: 2px 0;
}
li span {
  flex: 1;
}
</style>
