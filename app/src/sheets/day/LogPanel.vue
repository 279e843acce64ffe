<script setup lang="ts">
import {
  handRows,
  logOf,
  recordablesOf,
  type Build,
  type LogLine,
  type CakePlan,
} from '@pyrgotect/core';
import { parseISO } from 'date-fns';
import { dayAndHour } from '../../locale/when.ts';
import { computed } from 'vue';
import NotePhoto from '../../bench/NotePhoto.vue';
import { offBy } from '../../hand/bias-words.ts';
import { useBuild } from '../../stores/build.ts';
import { useUnits } from '../../figures/units.ts';

/** What was planned beside what really came, what is furthest off first; then words and photos. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const units = useUnits();
const store = useBuild();
const steps = computed(() => (store.plan?.steps.ok ? store.plan.steps.value : []));
const lines = computed(() => logOf(props.build, steps.value));
/** What has a planned figure, in the order of the work. */
const open = computed(() =>
  steps.value.flatMap((step) =>
    recordablesOf(step).map((one, i) => ({ ...one, key: `${step.key} ${i}`, title: step.title })),
  ),
);
const text = (value: number, line: LogLine): string => units.text(value, line.show);
/** Half of the bar is a third more or less. */
const widthOf = ({ ratio }: LogLine): number =>
  Math.min(50, (50 * Math.abs(Math.log(ratio))) / Math.log(1.5));
const at = (iso: string): string => dayAndHour(parseISO(iso), 'dated');
const told = computed(() =>
  props.build.bench.notes
    .filter((note) => note.kind === 'photo' || (note.text && note.kind !== 'count'))
    .map((note) => ({
      ...note,
      title:
        steps.value.find((step) => step.key === note.stepKey)?.title ??
        note.planned?.title ??
        'a step of an earlier plan',
    })),
);
const moves = computed(() => props.build.bench.finished?.moves ?? []);
</script>

<template>
  <div data-test="log">
    <p v-if="build.bench.finished" class="lead" data-test="finished">
      Finished {{ at(build.bench.finished.at) }}. It stays as it was planned and as it went<template
        v-if="moves.length > 0"
        >; what was learnt before had moved its
        {{
          moves
            .map(({ hand, factor }) => `${handRows[hand].title.toLowerCase()} by ${offBy(factor)}`)
            .join(', ')
        }}</template
      >.
    </p>
    <p v-if="lines.length === 0" class="lead">
      Nothing has been noted yet that was planned as a figure. At the bench, “Note what happened”
      takes what you weighed, measured or timed<template v-if="open.length > 0"
        >; of this cake that can be:</template
      ><template v-else>.</template>
    </p>
    <table v-if="lines.length === 0 && open.length > 0" class="ledger" data-test="can-be-noted">
      <thead>
        <tr>
          <th>Step</th>
          <th>What</th>
          <th class="end">Planned</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in open" :key="one.key">
          <td>{{ one.title }}</td>
          <td>{{ one.label }}</td>
          <td class="end">{{ one.planned > 0 ? units.text(one.planned, one.show) : '' }}</td>
        </tr>
      </tbody>
    </table>
    <template v-if="lines.length > 0">
      <table class="ledger">
        <thead>
          <tr>
            <th>Step</th>
            <th class="end">Planned</th>
            <th class="end">Really</th>
            <th class="end">Off by</th>
            <th class="bar"><span class="visually-hidden">Picture</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="line.noteId">
            <td>
              {{ line.title
              }}<small
                >{{ line.label
                }}{{ line.isLeft ? '; off by is said of what was taken' : '' }}</small
              >
              <small v-if="line.isWild" class="wild"
                >So far off that it may be a slip of the pen: it is left out until you look at
                it.</small
              >
            </td>
            <td class="end">{{ text(line.planned, line) }}</td>
            <td class="end">{{ text(line.actual, line) }}</td>
            <td class="end">
              <b>{{ offBy(line.ratio) }}</b>
            </td>
            <td class="bar">
              <span
                :class="{ wild: line.isWild }"
                :style="
                  line.ratio >= 1
                    ? { left: '50%', width: `${widthOf(line)}%` }
                    : { right: '50%', width: `${widthOf(line)}%` }
                "
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft">
        What is furthest off stands first; planned is what was planned when it was noted. What comes
        of it for the next plans stands under
        <router-link to="/learnt">Learnt</router-link>.
      </p>
    </template>
    <template v-if="told.length > 0">
      <h2>In words and pictures</h2>
      <ul>
        <li v-for="note in told" :key="note.id">
          <NotePhoto v-if="note.kind === 'photo'" :id="note.id" :title="note.title" />
          <span
            >{{ note.text }} <small>{{ note.title }}, {{ at(note.at) }}</small></span
          >
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.ledger {
  width: 100%;
}
small {
  display: block;
  color: var(--soft);
}
.wild {
  color: var(--stop);
}
.bar {
  position: relative;
  width: 20%;
  background: linear-gradient(var(--ink), var(--ink)) center / 1.5px 100% no-repeat;
}
.bar span {
  position: absolute;
  top: 30%;
  height: 12px;
  background: var(--accent);
}
.bar span.wild {
  background: var(--stop);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  gap: 14px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 6px 0;
}
</style>
