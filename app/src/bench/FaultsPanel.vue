<script setup lang="ts">
import {
  faultsAt,
  findRow,
  leaveOutLayer,
  leftLabel,
  thinnerFillingMm,
  tierOf,
  tornLayers,
  type Build,
  type Plan,
  type Step,
  type StepFault,
} from '@pyrgotect/core';
import { computed, defineAsyncComponent, nextTick, ref, useTemplateRef, watch } from 'vue';
import LeftAdvice from '../sheets/coat/LeftAdvice.vue';
import LevelPanel from '../sheets/stack/LevelPanel.vue';
import { useBuild } from '../stores/build.ts';
import { usePantry } from '../stores/pantry.ts';
import { useUnits } from '../figures/units.ts';
import type { BenchHand } from './useBench.ts';

const PutRightPanel = defineAsyncComponent(() => import('../sheets/coat/PutRightPanel.vue'));
const GanacheRight = defineAsyncComponent(() => import('../sheets/finish/GanacheRight.vue'));

/** What usually goes wrong at this step, how it is told, and what mends it, with the amount. */
const props = defineProps<{ step: Step; build: Build; plan: Plan; bench: BenchHand }>();
const emit = defineEmits<{ note: [] }>();
const store = useBuild();
const pantry = usePantry();
const units = useUnits();
const found = computed(() => faultsAt(props.step));
const chosen = ref<StepFault | null>(null);
const open = ref(false);
watch(
  () => props.step.key,
  () => {
    chosen.value = null;
    open.value = false;
  },
);

const panel = useTemplateRef<HTMLElement>('panel');
/** What is opened below the edge is brought up. */
const bringUp = (): void =>
  void nextTick(() => panel.value?.scrollIntoView({ block: 'start', behavior: 'smooth' }));
function choose(fault: StepFault): void {
  chosen.value = fault;
  bringUp();
}
function toggle(): void {
  open.value = !open.value;
  if (open.value) bringUp();
}

/** The tier that the step is about. */
const tier = computed(() => props.build.tiers.find((t) => t.id === props.step.tierId));
const tierPlan = computed(() => props.plan.tiers.find((t) => t.tierId === tier.value?.id));
/** Layers that may be the torn one. */
const torn = computed<number[]>(() => (tier.value ? tornLayers(props.step, tier.value) : []));
function leaveOut(layer: number): void {
  const id = tier.value?.id;
  if (!id) return;
  open.value = false;
  note(`Layer ${layer + 1} torn and left out`);
  store.edit(`Layer ${layer + 1} left out`, (draft) => leaveOutLayer(tierOf(draft, id), layer));
}
const gapIndex = computed(() => {
  const gap = props.step.kind === 'spread' ? props.step.layers[0]! - 1 : -1;
  return tier.value && gap >= 0 && gap < tier.value.gaps.length ? gap : null;
});
/** How thick a filling that runs may be here. */
const thinMm = computed(() => {
  const loads = tierPlan.value?.loads;
  if (gapIndex.value === null || !tier.value || !loads) return null;
  return thinnerFillingMm(
    tier.value,
    gapIndex.value,
    loads.map((load) => load.aboveG),
    (id) => findRow(pantry.pantry, 'spreads', id),
  );
});
function spreadThin(mm: number): void {
  const id = tier.value?.id;
  const from = gapIndex.value;
  if (!id || from === null) return;
  const { spreadId } = tier.value.gaps[from]!;
  open.value = false;
  note('The filling runs; spread thinner');
  store.edit('Filling spread thinner', (draft) =>
    tierOf(draft, id).gaps.forEach((gap, i) => {
      if (i >= from && gap.spreadId === spreadId) gap.heightMm = Math.min(gap.heightMm, mm);
    }),
  );
}
const leftG = computed(
  () =>
    props.build.bench.notes.findLast(
      (one) =>
        one.stepKey === props.step.key &&
        one.kind === 'mass' &&
        (one.planned === null || one.planned.label === leftLabel),
    )?.value ?? null,
);
const note = (words: string): unknown => props.bench.addNote(props.step, null, null, words);
</script>

<template>
  <section v-if="found.length > 0" ref="panel" class="faults" data-test="faults">
    <KeyButton :aria-expanded="open" data-test="something-wrong" @click="toggle">
      Something is wrong
    </KeyButton>
    <template v-if="open">
      <PickList class="lines" aria-label="What is wrong" :selected="chosen ? [chosen.id] : []">
        <v-list-item
          v-for="fault in found"
          :key="fault.id"
          :value="fault.id"
          :title="fault.name"
          :subtitle="fault.sign"
          lines="three"
          @click="choose(fault)"
        />
      </PickList>
      <div v-if="chosen" class="mend" data-test="mend">
        <p>{{ chosen.mend }}</p>
        <p v-if="chosen.desk === 'tear' && tier" class="row">
          <KeyButton v-for="layer in torn" :key="layer" @click="leaveOut(layer)">
            Leave layer {{ layer + 1 }} out
          </KeyButton>
          <span v-if="torn.length === 0" class="soft"
            >The tier cannot do without it: bake it again, or mend it.</span
          >
        </p>
        <p v-if="chosen.desk === 'thin' && gapIndex !== null && tier" class="row">
          <template v-if="thinMm !== null && thinMm < tier.gaps[gapIndex]!.heightMm">
            <KeyButton data-test="spread-thin" @click="spreadThin(thinMm)">
              Fill {{ units.text(thinMm, 'thickness') }} thick from here on
            </KeyButton>
            <span class="soft"
              >instead of {{ units.text(tier.gaps[gapIndex]!.heightMm, 'thickness') }}: so thick, a
              filling that is two fifths as firm as its row says stays in</span
            >
          </template>
          <span v-else-if="thinMm !== null" class="soft"
            >Even two fifths as firm as it should be, it stays in at this thickness: chill, and go
            on.</span
          >
          <span v-else class="soft"
            >However thin, it does not hold what comes on top. Chill it until it is firm, pipe a
            wider dam, or take another filling.</span
          >
        </p>
        <LevelPanel v-if="chosen.desk === 'level'" :build="build" :plan="plan" big />
        <PutRightPanel v-if="chosen.desk === 'bowl'" :build="build" :plan="plan" />
        <GanacheRight v-if="chosen.desk === 'ganache'" :build="build" :plan="plan" />
        <template v-if="chosen.desk === 'left' && tier">
          <LeftAdvice
            v-if="leftG !== null"
            :plan="plan"
            :tiers="[tier]"
            :left-g="leftG"
            :crumbed="step.kind === 'coat'"
          />
          <p v-else class="soft">Note what is left in the bowl first.</p>
        </template>
        <p class="row">
          <KeyButton
            data-test="note-fault"
            @click="
              note(chosen.name);
              open = false;
            "
          >
            Note: {{ chosen.name.toLowerCase() }}
          </KeyButton>
          <KeyButton
            v-if="chosen.desk === 'tins' || chosen.desk === 'left' || chosen.id === 'sunk-cold'"
            @click="emit('note')"
          >
            Note a figure
          </KeyButton>
        </p>
      </div>
    </template>
  </section>
</template>

<style scoped>
.faults {
  margin-top: 18px;
}
.key {
  min-height: 50px;
  font-size: var(--size-lead);
}
.lines {
  margin-top: 10px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 8px;
}
.lines > .v-list-item {
  min-height: 62px;
  margin: 0;
}
.mend {
  border-left: 4px solid var(--accent);
  padding: 4px 0 4px 16px;
  margin-top: 12px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-top: 10px;
}
</style>
