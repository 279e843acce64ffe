<script setup lang="ts">
import { logOf, showText, type Build, type LogLine, type Plan } from '@pyrgotect/core';
import { computed } from 'vue';
import { useSettings } from '../../stores/settings.ts';

/** What was planned beside what really came, what is furthest off first. */
const props = defineProps<{ build: Build; plan: Plan }>();
const settings = useSettings();
const lines = computed(() =>
  props.plan.steps.ok ? logOf(props.build, props.plan.steps.value) : [],
);
const text = (value: number, line: LogLine): string => showText(value, line.show, settings.system);
const offBy = ({ ratio }: LogLine): string => {
  const percent = Math.round((ratio - 1) * 100);
  return percent === 0 ? 'as planned' : `${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`;
};
/** Half of the bar is a third more or less. */
const widthOf = ({ ratio }: LogLine): number =>
  Math.min(50, (50 * Math.abs(Math.log(ratio))) / Math.log(1.5));
</script>

<template>
  <div data-test="log">
    <p v-if="lines.length === 0" class="lead">
      Nothing has been noted yet that was planned as a figure. At the bench, “Note what happened”
      takes what you weighed, measured or timed.
    </p>
    <template v-else>
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
              {{ line.title }}<small>{{ line.label }}</small>
              <small v-if="line.isWild" class="wild"
                >So far off that it may be a slip of the pen: look at the note again.</small
              >
            </td>
            <td class="end">{{ text(line.planned, line) }}</td>
            <td class="end">{{ text(line.actual, line) }}</td>
            <td class="end">
              <b>{{ offBy(line) }}</b>
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
        What is furthest off stands first. Plans do not follow these yet: they stay what they are.
      </p>
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
  width: 26%;
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
</style>
