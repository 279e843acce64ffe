<script setup lang="ts">
import { freeSteps, inDayOrder, openCounts, type Step } from '@pyrgotect/core';
import {
  useElementSize,
  useEventListener,
  useLocalStorage,
  useTitle,
  useWakeLock,
} from '@vueuse/core';
import {
  computed,
  defineAsyncComponent,
  onMounted,
  onUnmounted,
  ref,
  useTemplateRef,
  watch,
} from 'vue';
import { useRouter } from 'vue-router';
import BenchFoot from '../bench/BenchFoot.vue';
import BenchNotes from '../bench/BenchNotes.vue';
import BenchSteps from '../bench/BenchSteps.vue';
import DevicesPanel from '../bench/DevicesPanel.vue';
import { notYetThere } from '../bench/progress.ts';
import MeanwhileList from '../bench/MeanwhileList.vue';
import StepBody from '../bench/StepBody.vue';
import TooEarlyNote from '../bench/TooEarlyNote.vue';
import { timersTitle, useAlarms } from '../bench/useAlarms.ts';
import { useBench } from '../bench/useBench.ts';
import { useMoved } from '../bench/useMoved.ts';
import { useStockLedger } from '../bench/useStockLedger.ts';
import WorkingDialog from '../figures/WorkingDialog.vue';
import CarvingNote from '../parts/CarvingNote.vue';
import FailedPlan from '../parts/FailedPlan.vue';
import { clock } from '../locale/when.ts';
import SaveNotices from '../parts/SaveNotices.vue';
import SectionThumb from '../section/SectionThumb.vue';
import { useBuild } from '../stores/build.ts';
import { useDay } from '../stores/day.ts';
import { useDevices } from '../stores/devices.ts';
import { useSettings } from '../stores/settings.ts';
import { announce } from '../parts/announce.ts';
import { isForPlace } from '../parts/keys.ts';

const BenchPicture = defineAsyncComponent(() => import('../bench/BenchPicture.vue'));

const props = defineProps<{ id: string }>();
const store = useBuild();
const settings = useSettings();
const router = useRouter();
const dialog = ref<'notes' | 'steps' | 'devices' | null>(null);
watch(
  () => props.id,
  (id) => void store.open(id),
  { immediate: true },
);
const day = useDay();
/** In the order of the plan of the days, where there is one; the run sheet's otherwise. */
const steps = computed<Step[]>(() => {
  if (!store.plan?.steps.ok) return [];
  const sheet = store.plan.steps.value;
  return day.plan ? inDayOrder(sheet, day.tasks, day.plan.placed) : sheet;
});
const bench = useBench(() => steps.value);
const counting = useStockLedger(
  () => steps.value,
  () => bench.done.value,
  () => store.build,
);
const step = computed(() => bench.step.value);
const moved = useMoved(
  () => steps.value,
  () => bench.done.value,
  () => step.value,
  () => store.build?.id,
);
/** As many as one takes in at a glance. */
const mostFree = 3;
/** What hands can take up while the step at hand waits. */
const free = computed<Step[]>(() => {
  if (!step.value?.timer) return [];
  const waiting = new Set(bench.timers.value.map(({ stepKey }) => stepKey));
  const keys = freeSteps(day.tasks, bench.done.value, waiting, step.value.key);
  return steps.value.filter(({ key }) => keys.includes(key)).slice(0, mostFree);
});
const take = ({ key }: Step): void => bench.goTo(steps.value.findIndex((one) => one.key === key));
const aside = useTemplateRef<HTMLElement>('aside');
const { width, height } = useElementSize(aside);
/** Under the name and the next steps, and over its own words, px. */
const pictureHigh = computed(() => Math.min(width.value, Math.max(60, height.value - 80)));
/** Under the next steps stands the section as far as it is built, or the picture of it. */
const shows = useLocalStorage<'section' | 'picture'>('pyrgotect bench shows', 'section');
const ghosts = computed(() =>
  store.plan ? notYetThere(store.plan.section, steps.value, bench.index.value) : new Set<string>(),
);
const allDone = computed(
  () => steps.value.length > 0 && steps.value.every((s) => bench.done.value.has(s.key)),
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
// what the browser took away while the page was hidden is asked for again
useEventListener(document, 'visibilitychange', () => {
  if (document.visibilityState === 'visible' && wake.isSupported.value && !wake.isActive.value)
    void wake.request('screen').catch(() => undefined);
});
onUnmounted(() => void wake.release().catch(() => undefined));

// scale and thermometer speak while the bench is open
const devices = useDevices();
const stopListening = devices.listen();
onUnmounted(stopListening);

const { mayNotify, ask: askToNotify } = useAlarms(bench.timers, () => store.build?.name ?? '');

const title = useTitle();
watch(
  () => timersTitle(bench.timers.value, clock) ?? `${store.build?.name ?? ''}, bench`,
  (said) => (title.value = said),
  { immediate: true },
);
useEventListener('keydown', (event: KeyboardEvent) => {
  if (!isForPlace(event)) return;
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
/* a new step is told to who does not see it come */
watch(
  () => step.value?.title,
  (now, before) => {
    if (now && before && now !== before) announce(now);
  },
);
/** The next step with a wait, and how many steps on. */
const aheadTimer = computed(() => {
  const from = bench.index.value;
  const at = steps.value.findIndex((s, i) => i >= from && s.timer && !bench.done.value.has(s.key));
  const next = steps.value[at];
  return next?.timer ? { title: next.title, minutes: next.timer.minutes, steps: at - from } : null;
});
const ahead = computed(() => steps.value.slice(bench.index.value + 1, bench.index.value + 4));
</script>

<template>
  <div
    v-if="store.build && store.plan"
    class="bench"
    data-read="far"
    data-test="bench"
    :data-state="store.saveState === 'saved' && counting ? 'saving' : store.saveState"
  >
    <aside ref="aside">
      <router-link
        class="out"
        :to="`/build/${id}/stack`"
        :aria-label="`← ${store.build.name}, back to the desk`"
        >← {{ store.build.name }}</router-link
      >
      <ol class="ahead" aria-label="Next steps">
        <li v-for="next in ahead" :key="next.key">{{ next.title }}</li>
      </ol>
      <BenchPicture
        v-if="width > 0 && shows === 'picture'"
        class="tower"
        :build="store.build"
        :plan="store.plan"
        :steps="steps"
        :index="bench.index.value"
        :width="width"
        :height="pictureHigh"
      />
      <SectionThumb
        v-else-if="width > 0"
        class="tower"
        :section="store.plan.section"
        :width="width"
        :height="Math.max(60, height - 50)"
        :ghost="ghosts"
        :marked="step?.part ?? null"
      />
      <KeyButton
        class="shows"
        size="small"
        data-test="bench-shows"
        @click="shows = shows === 'section' ? 'picture' : 'section'"
      >
        {{ shows === 'section' ? 'Picture' : 'Section' }}
      </KeyButton>
    </aside>

    <main v-if="step" id="content" :key="step.key" tabindex="-1" class="step" data-test="step">
      <CarvingNote :tiers="store.plan.tiers" />
      <TooEarlyNote :step="step" :steps="steps" :plan="store.plan" :bench="bench" @take="take" />
      <StepBody
        :step="step"
        :steps="steps"
        :bench="bench"
        :build="store.build"
        :plan="store.plan"
        :moved="moved"
        @steps="dialog = 'steps'"
        @notes="dialog = 'notes'"
        @devices="dialog = 'devices'"
      />
      <MeanwhileList :steps="free" @take="take" />
    </main>
    <main v-else id="content" tabindex="-1" class="step">
      <h1>The bench cannot be set up yet</h1>
      <p class="lead">
        {{ store.plan.steps.ok ? 'There is nothing to do.' : store.plan.steps.problem }}
      </p>
    </main>

    <BenchFoot
      :open-counts="openCounts(store.plan.nonFood).length"
      :step="step"
      :all-done="allDone"
      :bench="bench"
      :ahead="aheadTimer"
      :finished="store.build.bench.finished !== null"
      :may-notify="mayNotify"
      @ask-to-notify="askToNotify"
      @notes="dialog = 'notes'"
    />
    <DevicesPanel v-if="dialog === 'devices'" @close="dialog = null" />
    <BenchNotes
      v-if="dialog === 'notes' && step"
      :step="step"
      :build="store.build"
      :steps="steps"
      :bench="bench"
      @close="dialog = null"
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
    <WorkingDialog />
    <SaveNotices />
  </div>
  <FailedPlan v-else-if="store.planFault" :fault="store.planFault" :build-id="id" />
  <main v-else-if="store.missing" id="content" tabindex="-1" class="gone">
    <h1>This cake is not on the shelf</h1>
    <p><KeyButton to="/">To the shelf</KeyButton></p>
  </main>
</template>

<style scoped>
.bench {
  height: 100dvh;
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) 96px;
  background: var(--milk);
  font-size: var(--size-title);
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
  padding: 16px 100px 16px 18px;
  font: 600 var(--size-lead) var(--figure);
  text-decoration: none;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.ahead {
  list-style: none;
  margin: 0;
  padding: 58px 18px 0;
  font: 500 var(--size-lead)/1.25 var(--figure);
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
/* beside the way back, over the drawing in every layout */
.shows {
  position: absolute;
  right: 10px;
  top: 8px;
}
.step {
  padding: 22px 40px 18px;
  overflow: auto;
}
h1 {
  font-size: var(--size-big);
  line-height: 1.06;
  margin-top: 2px;
}
.lead {
  font-size: var(--size-title);
  margin-top: 10px;
}
.gone {
  padding: 40px;
}
h1 {
  font-size: var(--size-big);
}
@media (min-width: 1600px) and (min-height: 850px) {
  .bench {
    grid-template: minmax(0, 1fr) 128px / 400px minmax(0, 1fr);
  }
  .ahead {
    padding-top: 72px;
  }
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
}
/* a phone on its side: the step, and beside it what ends it */
@media (max-height: 499px) {
  .bench {
    grid-template: 44px minmax(0, 1fr) / minmax(0, 1fr) minmax(240px, 34%);
    font-size: var(--size-lead);
  }
  .bench > :deep(footer) {
    grid-area: 1 / 2 / 3 / 3;
  }
  aside {
    border-right: 0;
    border-bottom: 2px solid var(--ink);
  }
  .out {
    padding: 0 18px;
    line-height: 44px;
  }
  .ahead,
  .tower,
  .shows {
    display: none;
  }
  .step {
    padding: 8px 18px;
  }
}
@media (max-width: 500px) {
  .bench {
    grid-template-rows: 150px minmax(0, 1fr) auto;
    font-size: var(--size-title);
  }
  .step {
    padding: 14px 18px;
  }
}
</style>
