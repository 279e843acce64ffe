<script setup lang="ts">
import { planSessions, storeLabels } from '@pyrgotect/core';
import { dayAndHour, hourText, type DayForm } from '../locale/when.ts';
import { computed } from 'vue';
import { useListText } from '../bench/listText.ts';
import { useBuild } from '../stores/build.ts';
import { useDay } from '../stores/day.ts';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';

/** Before each stretch of work: what comes out of the fridge, what is weighed into which bowl, what is there. */
const store = useBuild();
const day = useDay();
const pantry = usePantry();
const settings = useSettings();
const { text } = useUnits();
const sessions = computed(() =>
  day.plan && store.plan?.steps.ok
    ? planSessions(day.tasks, day.plan.placed, store.plan.steps.value, pantry.pantry.foods)
    : [],
);
/** What is put away between two stretches, each with what is written on it. */
const labels = computed(() =>
  day.plan && store.build && store.plan?.bowls.ok
    ? storeLabels({
        build: store.build,
        bowls: store.plan.bowls.value,
        tasks: day.tasks,
        placed: day.plan.placed,
        pantry: pantry.pantry,
      })
    : [],
);
const hour = (min: number): string => hourText(day.dateOf(min));
const at = (min: number, form: DayForm): string => dayAndHour(day.dateOf(min), form);
const listText = useListText();
</script>

<template>
  <section v-for="session in sessions" :key="session.fromMin" class="session" data-test="session">
    <h2>
      {{ at(session.fromMin, 'long') }} to {{ hour(session.toMin) }}
      <small>{{ text(session.handsMin, 'minutes') }} of hands</small>
    </h2>
    <p v-if="session.warm.length > 0">
      Out of the fridge by {{ hour(session.outMin) }}:
      <b>{{
        session.warm.map(({ name, massG }) => `${name} ${text(massG, 'bowl')}`).join(', ')
      }}</b>. Beaten too cold they make a batter or a cream grainy.
    </p>
    <p v-if="session.ready.length > 0">
      There from before: {{ session.ready.map((title) => settings.words(title)).join('; ') }}.
    </p>
    <div class="bowls">
      <div v-for="bowl in session.weigh" :key="bowl.stepKey" class="bowl">
        <h3>{{ settings.words(bowl.title) }}</h3>
        <ul>
          <li v-for="line in bowl.lines" :key="line.label">
            <span>{{ line.label }}</span>
            <b>{{ listText(line) }}</b>
            <small v-if="line.note">{{ line.note }}</small>
          </li>
        </ul>
      </div>
    </div>
  </section>
  <section v-if="labels.length > 0" data-test="labels">
    <h2>Labels for what is put away</h2>
    <div class="labels">
      <p v-for="label in labels" :key="label.id" class="label">
        <b>{{ store.build?.name }}: {{ settings.words(label.name) }}</b>
        made {{ at(label.madeMin, 'short') }}<br />
        use by {{ at(label.useByMin, 'short') }}<br />
        {{ label.contents }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.session {
  break-inside: avoid;
}
.labels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 10px;
  margin-top: 6px;
}
.label {
  break-inside: avoid;
  border: 1.5px solid var(--ink);
  border-radius: 4px;
  padding: 7px 10px;
  margin: 0;
  font-size: var(--size-note);
}
.label b {
  display: block;
}
h3 {
  font-size: var(--size-text);
  margin-top: 10px;
}
.bowls {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 0 28px;
}
.bowl {
  break-inside: avoid;
}
ul {
  list-style: none;
  margin: 2px 0 0;
  padding: 0;
}
li {
  display: flex;
  gap: 8px;
  border-top: 1px solid var(--line);
  padding: 3px 0;
}
li span {
  flex: 1;
}
small {
  color: var(--soft);
  font-weight: 400;
}
</style>
