<script setup lang="ts">
import { say, show, type Step } from '@pyrgotect/core';
import { useElementSize, useEventListener, useTitle, useWakeLock } from '@vueuse/core';
import { computed, onMounted, onUnmounted, ref, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import BenchNotes from '../bench/BenchNotes.vue';
import BenchSteps from '../bench/BenchSteps.vue';
import { notYetThere } from '../bench/progress.ts';
import { checkKey, useBench } from '../bench/useBench.ts';
import WorkingDialog from '../figures/WorkingDialog.vue';
import { useWorking } from '../figures/working.ts';
import { clock } from '../parts/when.ts';
import LevelPanel from '../sheets/stack/LevelPanel.vue';
import SectionThumb from '../section/SectionThumb.vue';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';

const props = defineProps<{ id: string }>();
const store = useBuild();
const settings = useSettings();
const router = useRouter();
const working = useWorking();
const dialog = ref<'notes' | 'steps' | null>(null);
watch(
  () => props.id,
  (id) => void store.open(id),
  { immediate: true },
);
const steps = computed<Step[]>(() => (store.plan?.steps.ok ? store.plan.steps.value : []));
const bench = useBench(() => steps.value);
const step = computed(() => bench.step.value);
const aside = useTemplateRef<HTMLElement>('aside');
const { width, height } = useElementSize(aside);
const ghosts = computed(() =>
  store.plan ? notYetThere(store.plan.section, steps.value, bench.index.value) : new Set<string>(),
);
const allDone = computed(
  () => steps.value.length > 0 && steps.value.every((s) => bench.done.value.has(s.key)),
);
const notesHere = computed(
  () => bench.bench.value.notes.filter((n) => n.stepKey === step.value?.key).length,
);

// the rims are those of the step's own tier
watch(
  () => step.value?.rimsOf,
  (tierId) => {
    if (tierId) store.selected = tierId;
  },
);

// the screen stays awake at the bench, where the browser can
const wake = useWakeLock();
onMounted(() => {
  if (wake.isSupported.value) void wake.request('screen').catch(() => undefined);
});
onUnmounted(() => void wake.release().catch(() => undefined));

const title = useTitle();
watch(
  () => bench.timers.value[0],
  (timer) => {
    title.value = timer
      ? `${clock(timer.left)} ${timer.label}`
      : `${store.build?.name ?? ''}, bench`;
  },
  { immediate: true },
);
useEventListener('keydown', (event: KeyboardEvent) => {
  const target = event.target as HTMLElement;
  if (target.closest('input, textarea, select, .v-overlay')) return;
  const undo = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z';
  if (undo) {
    event.preventDefault();
    return event.shiftKey ? store.redo() : store.undo();
  }
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === 'ArrowRight') bench.goTo(bench.index.value + 1);
  if (event.key === 'ArrowLeft') bench.goTo(bench.index.value - 1);
  if (event.key === 'n') dialog.value = 'notes';
  if (event.key === 'u') void settings.switchUnits();
  if (event.key === 'Escape') void router.push(`/build/${props.id}/stack`);
});
const shown = (value: number, kind: Parameters<typeof show>[1]) =>
  show(value, kind, settings.system);
const ahead = computed(() => steps.value.slice(bench.index.value + 1, bench.index.value + 4));
const running = computed(() => bench.timers.value.some((t) => t.stepKey === step.value?.key));
</script>

<template>
  <div v-if="store.build && store.plan" class="bench">
    <aside ref="aside">
      <router-link class="out" :to="`/build/${id}/stack`" aria-label="Back to the desk"
        >← {{ store.build.name }}</router-link
      >
      <ol class="ahead" aria-label="Next steps">
        <li v-for="next in ahead" :key="next.key">{{ next.title }}</li>
      </ol>
      <SectionThumb
        v-if="width > 0"
        class="tower"
        :section="store.plan.section"
        :width="width"
        :height="Math.max(60, height - 50)"
        :ghost="ghosts"
        :marked="step?.part ?? null"
      />
    </aside>

    <main v-if="step" :key="step.key" class="step" data-test="step">
      <div class="where">
        <button type="button" data-test="all-steps" @click="dialog = 'steps'">
          Step {{ bench.index.value + 1 }} of {{ steps.length }} · {{ step.chapter }}
        </button>
        <span v-if="bench.done.value.has(step.key)" class="ticked">done</span>
      </div>
      <h1 data-test="step-title">{{ step.title }}</h1>
      <p v-if="step.lead" class="lead">{{ say(step.lead, settings.system) }}</p>

      <div
        v-if="step.amounts.length > 0"
        class="amounts"
        :class="{ many: step.amounts.length > 3 }"
      >
        <div v-for="amount in step.amounts" :key="amount.label">
          <div class="what">{{ amount.label }}</div>
          <button
            v-if="amount.figure && store.plan.figures[amount.figure]"
            type="button"
            class="big"
            @click="working.open(amount.figure)"
          >
            {{ shown(amount.value, amount.kind).number
            }}<small>{{ ' ' + shown(amount.value, amount.kind).unit }}</small>
          </button>
          <div v-else class="big">
            {{ shown(amount.value, amount.kind).number
            }}<small>{{ ' ' + shown(amount.value, amount.kind).unit }}</small>
          </div>
        </div>
      </div>

      <ul v-if="step.list.length > 0" class="list" :class="{ long: step.list.length > 5 }">
        <li v-for="item in step.list" :key="item.label">
          <span
            >{{ item.label }} <small v-if="item.note">{{ item.note }}</small></span
          >
          <b>{{ shown(item.value, item.kind).number }} {{ shown(item.value, item.kind).unit }}</b>
        </li>
      </ul>

      <LevelPanel v-if="step.rimsOf !== null" :build="store.build" :plan="store.plan" big />

      <div v-if="step.timer && !running" class="timer">
        <button
          type="button"
          class="key solid start"
          data-test="start-timer"
          @click="bench.startTimer(step.timer.minutes)"
        >
          Start {{ step.timer.minutes }} min: {{ step.timer.label }}
        </button>
        <button
          v-if="step.timer.lookMin"
          type="button"
          class="key start"
          @click="bench.startTimer(Math.round(step.timer.lookMin))"
        >
          First look: {{ Math.round(step.timer.lookMin) }} min
        </button>
      </div>

      <ul class="checks">
        <li v-for="check in step.checks" :key="check">
          <button
            type="button"
            role="checkbox"
            :aria-checked="bench.bench.value.checks.includes(checkKey(step, check))"
            :class="{ on: bench.bench.value.checks.includes(checkKey(step, check)) }"
            @click="bench.toggleCheck(check)"
          >
            <i aria-hidden="true" />{{ check }}
          </button>
        </li>
      </ul>
      <p v-for="caution in step.cautions" :key="caution.text" class="caution">
        <b>▲</b> {{ say(caution, settings.system) }}
      </p>
    </main>
    <main v-else class="step">
      <h1>The bench cannot be set up yet</h1>
      <p class="lead">
        {{ store.plan.steps.ok ? 'There is nothing to do.' : store.plan.steps.problem }}
      </p>
    </main>

    <footer>
      <div class="timers" aria-live="off">
        <div
          v-for="timer in bench.timers.value.slice(0, 2)"
          :key="timer.id"
          class="running"
          :class="{ over: timer.left <= 0 }"
          data-test="timer"
        >
          <b>{{ clock(timer.left) }}</b>
          <span>{{ timer.label }}{{ timer.left <= 0 ? ', time is up' : '' }}</span>
          <span class="timer-keys">
            <button
              type="button"
              :aria-label="`Five minutes more for ${timer.label}`"
              @click="bench.addMinutes(timer.id, 5)"
            >
              +5
            </button>
            <button
              type="button"
              :aria-label="`Stop ${timer.label}`"
              @click="bench.stopTimer(timer.id)"
            >
              stop
            </button>
          </span>
        </div>
        <div v-if="bench.timers.value.length === 0" class="none">no timer running</div>
      </div>
      <button
        type="button"
        class="back"
        aria-label="Previous step"
        :disabled="bench.index.value === 0"
        @click="bench.goTo(bench.index.value - 1)"
      >
        ←
      </button>
      <button type="button" class="note" data-test="note" @click="dialog = 'notes'">
        <b>Note what happened</b>
        <span>{{
          notesHere > 0 ? `${notesHere} noted here` : step?.record ? step.record.label : 'words'
        }}</span>
      </button>
      <button
        type="button"
        class="next"
        data-test="next"
        :disabled="!step || allDone"
        @click="bench.finish()"
      >
        {{ allDone ? 'All done' : 'Done, next step' }}
      </button>
    </footer>

    <BenchNotes
      v-if="dialog === 'notes' && step"
      :step="step"
      :build="store.build"
      :steps="steps"
      @close="dialog = null"
      @add="bench.addNote"
      @remove="bench.removeNote"
    />
    <BenchSteps
      v-if="dialog === 'steps'"
      :steps="steps"
      :done="bench.done.value"
      :index="bench.index.value"
      @close="dialog = null"
      @go="
        (at) => {
          bench.goTo(at);
          dialog = null;
        }
      "
      @reopen="bench.reopen"
    />
    <WorkingDialog :figures="store.plan.figures" />
    <v-snackbar
      :model-value="store.notice !== null"
      :timeout="12000"
      @update:model-value="store.notice = null"
      >{{ store.notice }}</v-snackbar
    >
  </div>
  <main v-else-if="store.missing" class="gone">
    <h1>This cake is not on the shelf</h1>
    <p><router-link class="key" to="/">To the shelf</router-link></p>
  </main>
</template>

<style scoped>
.bench {
  height: 100dvh;
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) 96px;
  background: var(--milk);
  font-size: 19px;
}
aside {
  background: var(--oat);
  border-right: 2px solid var(--ink);
  position: relative;
  min-height: 0;
  overflow: hidden;
  --board: var(--ink);
}
.out {
  position: absolute;
  inset: 0 0 auto;
  padding: 16px 18px;
  font: 600 17px var(--figure);
  text-decoration: none;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.ahead {
  list-style: none;
  margin: 0;
  padding: 58px 18px 0;
  font: 500 16px/1.25 var(--figure);
  color: var(--soft);
}
.ahead li {
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
.ahead li:first-child {
  color: var(--ink);
}
.tower {
  position: absolute;
  bottom: 0;
  left: 0;
}
.step {
  padding: 22px 40px 18px;
  overflow: auto;
}
.where {
  display: flex;
  gap: 14px;
  font: 600 17px var(--figure);
  color: var(--soft);
}
.where button {
  min-height: 34px;
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
.ticked {
  color: var(--accent);
  line-height: 34px;
}
h1 {
  font-size: 40px;
  line-height: 1.06;
  margin-top: 2px;
}
.lead {
  font-size: 19px;
  margin-top: 10px;
}
.amounts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 44px;
  margin-top: 20px;
}
.what {
  font: 600 18px var(--figure);
  color: var(--soft);
}
.big {
  font: 700 84px/1 var(--heading);
  letter-spacing: -0.03em;
  white-space: nowrap;
  display: block;
}
.big small {
  font-size: 36px;
  letter-spacing: 0;
}
.many .big {
  font-size: 52px;
}
.many .big small {
  font-size: 26px;
}
.list,
.checks {
  list-style: none;
  margin: 18px 0 0;
  padding: 0;
}
.list.long {
  columns: 2;
  column-gap: 40px;
}
.list li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  border-top: 1.5px solid var(--line);
  padding: 8px 2px;
  break-inside: avoid;
}
.list b {
  font-size: 21px;
  white-space: nowrap;
}
.list small {
  white-space: nowrap;
  color: var(--soft);
  font-size: 15px;
}
.timer {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 18px;
}
.start {
  font: 700 20px var(--heading);
  padding: 13px 20px;
}
.checks li {
  border-top: 1.5px solid var(--line);
}
.checks button {
  width: 100%;
  min-height: 54px;
  text-align: left;
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 8px 4px;
}
.checks i {
  width: 24px;
  height: 24px;
  flex: none;
  border: 2.4px solid var(--ink);
  border-radius: 3px;
}
.checks .on i {
  background: var(--accent);
  border-color: var(--accent);
}
.caution {
  background: var(--warn-wash);
  border-left: 5px solid var(--warn-mark);
  padding: 10px 14px;
  font-size: 17px;
  margin-top: 10px;
}
.caution b {
  color: var(--warn-mark);
}
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
footer button:focus-visible {
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
  font: 600 30px/1 var(--heading);
  display: block;
}
.running span {
  font-size: 15px;
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
.timer-keys button {
  padding: 3px 12px;
  border: 1.5px solid var(--foot-line);
  border-radius: 4px;
  color: var(--foot-ink);
}
.none {
  padding: 34px 20px;
  color: var(--foot-soft);
  font-size: 16px;
}
.back {
  font: 600 30px var(--heading);
  text-align: center;
}
.back:disabled {
  color: var(--foot-line);
}
.note b {
  font: 600 21px/1.1 var(--heading);
  display: block;
}
.note span {
  font-size: 15px;
  color: var(--foot-soft);
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.next {
  background: var(--accent);
  color: var(--on-accent);
  font: 700 25px/1.1 var(--heading);
  text-align: center;
}
.next:disabled {
  background: var(--foot-line);
  color: var(--foot-soft);
}
.gone {
  padding: 40px;
}
@media (max-width: 860px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: 210px minmax(0, 1fr) auto;
  }
  aside {
    border-right: 0;
    border-bottom: 2px solid var(--ink);
  }
  .ahead {
    display: none;
  }
  footer {
    grid-template-columns: 84px minmax(0, 1fr) minmax(0, 1.1fr);
  }
  .timers {
    grid-column: 1 / -1;
    border-bottom: 1px solid var(--foot-line);
    min-height: 84px;
  }
  footer > button {
    min-height: 92px;
  }
  .list.long {
    columns: 1;
  }
}
</style>
