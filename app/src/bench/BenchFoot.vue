<script setup lang="ts">
import { type Step } from '@pyrgotect/core';
import { computed } from 'vue';
import { clock } from '../locale/when.ts';
import { useUnits } from '../figures/units.ts';
import type { MayNotify } from './useAlarms.ts';
import type { BenchHand } from './useBench.ts';

/** The foot of the bench: timers, back, note what happened, next. */
const props = defineProps<{
  step: Step | null;
  allDone: boolean;
  /** Counts of what is not food that are not closed. */
  openCounts: number;
  /** The next wait. */
  ahead: { title: string; minutes: number; steps: number } | null;
  finished: boolean;
  bench: BenchHand;
  /** What the browser lets this page show while it is not looked at. */
  mayNotify: MayNotify;
}>();
const emit = defineEmits<{ notes: []; askToNotify: [] }>();
/** As many timers as the foot has room for; the others are in a list. */
const mostShown = 2;
const units = useUnits();
const notesHere = computed(
  () => props.bench.bench.value.notes.filter((n) => n.stepKey === props.step?.key).length,
);
</script>

<template>
  <footer>
    <div class="timers" aria-live="off">
      <div
        v-for="timer in bench.timers.value.slice(0, mostShown)"
        :key="timer.id"
        class="running"
        :class="{ over: timer.left <= 0 }"
        data-test="timer"
      >
        <b>{{ clock(timer.left) }}</b>
        <span>{{ timer.label }}{{ timer.left <= 0 ? ', time is up' : '' }}</span>
        <span class="timer-keys">
          <KeyButton
            size="small"
            :aria-label="`Five minutes more for ${timer.label}`"
            @click="bench.addMinutes(timer.id, 5)"
          >
            +5
          </KeyButton>
          <KeyButton
            size="small"
            :aria-label="`Stop ${timer.label}`"
            @click="bench.stopTimer(timer.id)"
          >
            stop
          </KeyButton>
        </span>
      </div>
      <div
        v-if="
          bench.timers.value.length > 0 &&
          (mayNotify === 'default' || bench.timers.value.length > mostShown)
        "
        class="more"
      >
        <v-menu v-if="bench.timers.value.length > mostShown" location="top">
          <template #activator="{ props: opens }">
            <KeyButton size="small" data-test="more-timers" v-bind="opens"
              >{{ bench.timers.value.length - mostShown }} more</KeyButton
            >
          </template>
          <v-list>
            <v-list-item
              v-for="timer in bench.timers.value.slice(mostShown)"
              :key="timer.id"
              :title="`${clock(timer.left)} ${timer.label}`"
            >
              <template #append>
                <KeyButton
                  variant="text"
                  size="small"
                  :aria-label="`Stop ${timer.label}`"
                  @click="bench.stopTimer(timer.id)"
                  >stop</KeyButton
                >
              </template>
            </v-list-item>
          </v-list>
        </v-menu>
        <KeyButton
          v-if="mayNotify === 'default'"
          variant="text"
          size="small"
          data-test="ask-notify"
          @click="emit('askToNotify')"
          >Tell me when I look elsewhere</KeyButton
        >
      </div>
      <div v-if="bench.timers.value.length === 0" class="none">
        <template v-if="ahead">
          <b>{{ units.text(ahead.minutes, 'minutes') }} next</b>
          <span
            >{{ ahead.title
            }}{{
              ahead.steps === 0
                ? ', at this step'
                : `, ${ahead.steps} ${ahead.steps === 1 ? 'step' : 'steps'} on`
            }}</span
          >
        </template>
        <template v-else>no timer running</template>
      </div>
    </div>
    <KeyButton
      variant="text"
      class="back"
      aria-label="Previous step"
      :disabled="bench.index.value === 0"
      @click="bench.goTo(bench.index.value - 1)"
    >
      ←
    </KeyButton>
    <KeyButton variant="text" class="note" data-test="note" @click="emit('notes')">
      <b>Note what happened</b>
      <span>{{
        notesHere > 0 ? `${notesHere} noted here` : step?.record ? step.record.label : 'words'
      }}</span>
    </KeyButton>
    <KeyButton
      variant="text"
      class="next"
      data-test="next"
      :disabled="!step || (allDone && openCounts > 0)"
      @click="allDone ? bench.close(!finished) : bench.finish()"
    >
      {{
        !allDone
          ? 'Done, next step'
          : openCounts > 0
            ? `${openCounts} ${openCounts === 1 ? 'count' : 'counts'} open`
            : finished
              ? 'Take it up again'
              : 'All done: into the log'
      }}
    </KeyButton>
  </footer>
</template>

<style scoped>
footer {
  grid-column: 1 / -1;
  background: var(--foot);
  color: var(--foot-ink);
  display: grid;
  grid-template-columns: minmax(250px, 1.5fr) 84px minmax(0, 1fr) minmax(0, 1.1fr);
}
footer > * {
  border-left: 1px solid var(--foot-line);
  padding: 12px 20px;
  text-align: left;
  min-width: 0;
}
/* three of them are fields of the foot, as wide and high as their place */
footer > .key {
  border: 0;
  border-left: 1px solid var(--foot-line);
  border-radius: 0;
  display: grid;
  gap: 0;
  padding-inline: 20px;
  align-content: center;
  justify-content: stretch;
  white-space: normal;
}
footer > .key:hover:not(:disabled) {
  background: var(--foot-line);
}
footer .key:focus-visible {
  outline-color: var(--foot-ink);
  outline-offset: -4px;
}
.timers {
  display: flex;
  padding: 0;
  border-left: 0;
}
.running {
  flex: 1;
  padding: 12px 18px 8px;
  border-left: 1px solid var(--foot-line);
  position: relative;
  min-width: 0;
}
.running b {
  font: 600 var(--size-head)/1 var(--heading);
  display: block;
}
.running span {
  font-size: var(--size-text);
  color: var(--foot-soft);
}
.running.over b,
.running.over > span {
  color: var(--foot-warn);
}
.timer-keys {
  display: flex;
  gap: 6px;
}
.timer-keys .key {
  padding: 3px 12px;
  border-color: var(--foot-line);
  color: var(--foot-ink);
}
.timer-keys .key:hover:not(:disabled) {
  background: var(--foot-line);
}
.none {
  padding: 16px 20px;
  color: var(--foot-soft);
  font-size: var(--size-lead);
}
.none b {
  font: 600 var(--size-head)/1.2 var(--heading);
  display: block;
  color: var(--foot-ink);
}
footer > .back {
  font: 600 var(--size-head) var(--heading);
  text-align: center;
}
.note b {
  font: 600 var(--size-title)/1.1 var(--heading);
  display: block;
}
.note span {
  font-weight: 400;
  font-size: var(--size-text);
  color: var(--foot-soft);
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
footer > .next,
footer > .next:hover:not(:disabled) {
  background: var(--accent);
  color: var(--on-accent);
}
footer > .next {
  font: 700 var(--size-head)/1.1 var(--heading);
  text-align: center;
}
footer > .next:disabled {
  opacity: 1;
  background: var(--foot-line);
  color: var(--foot-soft);
}
@media (max-width: 860px) {
  footer {
    grid-template-columns: 84px minmax(0, 1fr) minmax(0, 1.1fr);
  }
  .timers {
    grid-column: 1 / -1;
    border-bottom: 1px solid var(--foot-line);
    min-height: 84px;
  }
  footer > .key {
    min-height: 92px;
  }
}
@media (max-height: 499px) {
  footer {
    grid-column: auto;
    grid-template: minmax(0, 1fr) auto auto / 56px minmax(0, 1fr);
  }
  .timers {
    grid-column: 1 / -1;
    flex-direction: column;
    overflow: auto;
    border-bottom: 1px solid var(--foot-line);
  }
  footer > .key {
    min-height: 64px;
  }
  footer > .next {
    grid-column: 1 / -1;
    min-height: 92px;
  }
}
@media (max-width: 500px) {
  footer {
    grid-template-columns: 56px minmax(0, 1fr) minmax(0, 1.2fr);
  }
  footer > *,
  footer > .key {
    padding: 8px 12px;
  }
  .timers {
    min-height: 0;
  }
  .none {
    padding: 8px 16px;
  }
  footer > .key {
    min-height: 72px;
  }
  .note b {
    font-size: var(--size-title);
  }
  footer > .next {
    font-size: var(--size-title);
  }
}
</style>
