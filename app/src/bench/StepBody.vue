<script setup lang="ts">
import {
  handsLeft,
  isAtHand,
  isForGrownUps,
  isForHelper,
  leftLabel,
  show,
  type Build,
  type Kind,
  type Moved,
  type Plan,
  type Step,
  valueWord,
} from '@pyrgotect/core';
import { computed, defineAsyncComponent } from 'vue';
import AtHandList from './AtHandList.vue';
import CountStep from './CountStep.vue';
import FaultsPanel from './FaultsPanel.vue';
import ProbeStep from './ProbeStep.vue';
import TickList from './TickList.vue';
import WeighStep from './WeighStep.vue';
import { useWorking } from '../figures/working.ts';
import LeftAdvice from '../sheets/coat/LeftAdvice.vue';
import LevelPanel from '../sheets/stack/LevelPanel.vue';
import { useDevices } from '../stores/devices.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';
import { useListText } from './listText.ts';
import { checkKey, type BenchHand } from './useBench.ts';

const TestDrips = defineAsyncComponent(() => import('../sheets/finish/TestDrips.vue'));

/** One step, large: what, how much, the checks by eye, the cautions. */
const props = defineProps<{
  step: Step;
  steps: Step[];
  bench: BenchHand;
  build: Build;
  plan: Plan;
  /** Amounts of this step that are others now than they were when the bench showed them. */
  moved: readonly Moved[];
}>();
const emit = defineEmits<{ steps: []; notes: []; devices: [] }>();
const devices = useDevices();
const settings = useSettings();
const units = useUnits();
const working = useWorking();
const shown = (value: number, kind: Parameters<typeof show>[1]) =>
  show(value, kind, settings.system);
/** What an amount was before it changed; nothing where it did not. */
const wasText = (label: string, kind: Kind): string => {
  const was = props.moved.find((one) => one.label === label)?.was;
  return was === undefined ? '' : `changed: was ${units.text(was, kind)}`;
};
/** What was weighed as left in the bowl at this step, and the tier it still has to coat. */
const leftTier = computed(() => props.build.tiers.find((t) => t.id === props.step.leftFor));
/** The drips that a test drip at this step is about. */
const drip = computed(() => {
  if (props.step.dripOf === null) return null;
  const staged = props.plan.tiers.find((t) => t.tierId === props.step.dripOf)?.finish.drip;
  const asked = props.build.tiers.find((t) => t.id === props.step.dripOf)?.drip;
  return { plan: staged?.ok ? staged.value : null, asked };
});
const leftG = computed(
  () =>
    props.bench.bench.value.notes.findLast(
      (note) =>
        note.stepKey === props.step.key &&
        note.kind === 'mass' &&
        (note.planned === null || note.planned.label === leftLabel),
    )?.value ?? null,
);
const left = computed(() => handsLeft(props.steps, props.bench.done.value));
const listText = useListText();
/** All that cannot be fetched once it has begun lies there, or nothing has to. */
const opened = computed(
  () =>
    props.bench.done.value.has(props.step.key) ||
    isAtHand(props.step, props.bench.bench.value.checks),
);
const running = computed(() => props.bench.timers.value.some((t) => t.stepKey === props.step.key));
</script>

<template>
  <div class="where">
    <button type="button" data-test="all-steps" @click="emit('steps')">
      Step {{ bench.index.value + 1 }} of {{ steps.length }} · {{ valueWord(step.chapter) }}
    </button>
    <span v-if="left > 0" class="left" data-test="hands-left"
      >{{ units.text(left, 'minutes') }} of hands left</span
    >
    <span v-if="bench.done.value.has(step.key)" class="ticked">done</span>
    <span class="grow" />
    <span v-if="isForGrownUps(step)" class="who grown">not for children</span>
    <span v-if="isForHelper(step)" class="who">a helper can take it</span>
    <KeyButton
      v-if="settings.devices"
      variant="text"
      data-test="open-devices"
      @click="emit('devices')"
    >
      {{
        devices.scaleIsThere
          ? devices.probeIsThere
            ? 'scale and thermometer there'
            : 'scale there'
          : 'no scale: type it'
      }}
    </KeyButton>
  </div>
  <h1 data-test="step-title">{{ settings.words(step.title) }}</h1>
  <AtHandList v-if="!opened" :step="step" :bench="bench" />
  <p v-if="step.lead && opened" class="lead">{{ units.say(step.lead) }}</p>

  <div
    v-if="step.amounts.length > 0 && opened"
    class="amounts"
    :class="{ many: step.amounts.length > 3 }"
  >
    <div v-for="amount in step.amounts" :key="amount.label">
      <div class="what">{{ settings.words(amount.label) }}</div>
      <button
        v-if="amount.figure && plan.figures.of(amount.figure)"
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
      <div v-if="wasText(amount.label, amount.kind)" class="was" data-test="changed">
        {{ wasText(amount.label, amount.kind) }}
      </div>
    </div>
  </div>

  <WeighStep :step="step" :build="build" :bench="bench" />
  <ProbeStep v-if="step.probe" :step="step" :build="build" :bench="bench" />

  <ul v-if="step.list.length > 0 && opened" class="list" :class="{ long: step.list.length > 5 }">
    <li v-for="item in step.list" :key="item.label">
      <span
        >{{ settings.words(item.label) }} <small v-if="item.note">{{ item.note }}</small>
        <small v-if="wasText(item.label, item.kind)" class="was" data-test="changed">{{
          wasText(item.label, item.kind)
        }}</small></span
      >
      <b>{{ listText(item) }}</b>
    </li>
  </ul>

  <LeftAdvice
    v-if="leftTier && leftG !== null"
    :plan="plan"
    :tiers="[leftTier]"
    :left-g="leftG"
    crumbed
  />
  <TestDrips
    v-if="drip?.plan && drip.asked"
    class="at-bench"
    :drip="drip.plan"
    :asked="drip.asked"
  />
  <CountStep
    v-if="step.record?.kind === 'count'"
    :build="build"
    :step-key="step.key"
    :record="step.record"
  />
  <LevelPanel v-if="step.rimsOf !== null" :build="build" :plan="plan" big />

  <div v-if="step.timer && !running && opened" class="timer">
    <KeyButton
      class="start"
      variant="flat"
      data-test="start-timer"
      @click="bench.startTimer(step.timer.minutes)"
    >
      Start {{ units.text(step.timer.minutes, 'minutes') }}: {{ step.timer.label }}
      <small v-if="step.timer.usualMin !== undefined" class="usual"
        >yours; usual {{ units.text(step.timer.usualMin, 'minutes') }}</small
      >
    </KeyButton>
    <KeyButton
      v-if="step.timer.lookMin"
      class="start"
      @click="bench.startTimer(Math.round(step.timer.lookMin))"
    >
      First look: {{ Math.round(step.timer.lookMin) }} min
    </KeyButton>
  </div>

  <TickList
    v-if="opened && step.checks.length > 0"
    :rows="
      step.checks.map((check) => ({ key: checkKey(step, check), text: settings.words(check) }))
    "
    :ticked="bench.bench.value.checks"
    @tick="(key) => bench.tick([key])"
  />
  <FaultsPanel :step="step" :build="build" :plan="plan" :bench="bench" @note="emit('notes')" />
  <p v-for="caution in step.cautions" :key="caution.text" class="caution">
    <b>▲</b> {{ units.say(caution) }}
  </p>
</template>

<style scoped>
.at-bench :deep(.sentence) {
  font-size: var(--size-title);
  line-height: 2.2;
}
.at-bench :deep(.key) {
  font-size: var(--size-title);
  padding: 8px 14px;
}
.where {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  font: 600 var(--size-lead) var(--figure);
  color: var(--soft);
}
.was {
  font-weight: 600;
  color: var(--warn);
}
.where button {
  min-height: 34px;
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
.left {
  line-height: 34px;
}
.ticked,
.who {
  color: var(--accent);
  line-height: 34px;
}
.who {
  color: var(--soft);
}
.who.grown {
  color: var(--stop);
}
.grow {
  flex: 1;
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
.amounts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 44px;
  margin-top: 20px;
}
.what {
  font: 600 var(--size-title) var(--figure);
  color: var(--soft);
}
.big {
  font: 700 var(--size-huge)/1 var(--heading);
  letter-spacing: -0.03em;
  white-space: nowrap;
  display: block;
}
.big small {
  font-size: var(--size-big);
  letter-spacing: 0;
}
.many .big {
  font-size: var(--size-big);
}
.many .big small {
  font-size: var(--size-head);
}
.list {
  list-style: none;
  margin: 18px 0 0;
  padding: 0;
  max-width: 1180px;
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
  font-size: var(--size-title);
  white-space: nowrap;
}
.list small {
  white-space: nowrap;
  color: var(--soft);
  font-size: var(--size-text);
}
.timer {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 18px;
}
.start {
  font: 700 var(--size-title) var(--heading);
  padding: 13px 20px;
}
.caution {
  background: var(--warn-wash);
  border-left: 5px solid var(--warn-mark);
  padding: 10px 14px;
  font-size: var(--size-lead);
  margin-top: 10px;
}
.caution b {
  color: var(--warn-mark);
}
@media (max-width: 860px) {
  .list.long {
    columns: 1;
  }
}
@media (max-width: 500px) {
  h1 {
    font-size: var(--size-head);
  }
  .big {
    font-size: var(--size-huge);
  }
  .list.long {
    columns: 1;
  }
}
@media (max-height: 499px) {
  h1 {
    font-size: var(--size-head);
  }
  .lead {
    font-size: var(--size-lead);
    margin-top: 4px;
  }
  .amounts {
    margin-top: 8px;
  }
  .big {
    font-size: var(--size-big);
  }
}
</style>
