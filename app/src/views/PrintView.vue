<script setup lang="ts">
import { heldBy, type Step, valueWord } from '@pyrgotect/core';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useListText } from '../bench/listText.ts';
import HoldsLine from '../figures/HoldsLine.vue';
import DayPrint from '../day/DayPrint.vue';
import CarvingNote from '../parts/CarvingNote.vue';
import FailedPlan from '../parts/FailedPlan.vue';
import { servedText } from '../locale/when.ts';
import MissingCake from '../parts/MissingCake.vue';
import HandOnKeys from '../parts/HandOnKeys.vue';
import { usePrint } from '../parts/usePrint.ts';
import SectionThumb from '../section/SectionThumb.vue';
import PlacesTable from '../support/PlacesTable.vue';
import CuttingMap from '../sheets/CuttingMap.vue';
import { useBuild } from '../stores/build.ts';
import { useSettings } from '../stores/settings.ts';
import { useUnits } from '../figures/units.ts';

const LabelsDialog = defineAsyncComponent(() => import('../labels/LabelsDialog.vue'));

const props = defineProps<{ id: string }>();
const store = useBuild();
const settings = useSettings();
const { text, say } = useUnits();
watch(
  () => props.id,
  (id) => void store.open(id),
  { immediate: true },
);
const steps = computed<Step[]>(() => (store.plan?.steps.ok ? store.plan.steps.value : []));
const chapters = computed(() => {
  const groups: { chapter: Step['chapter']; title: string; steps: Step[] }[] = [];
  for (const step of steps.value) {
    const last = groups.at(-1);
    if (last?.chapter === step.chapter) last.steps.push(step);
    else groups.push({ chapter: step.chapter, title: valueWord(step.chapter), steps: [step] });
  }
  return groups;
});
const isLabelling = ref(false);
const listText = useListText();
/** The sheet as a message: chapter by chapter, a line for each step with what goes into it. */
const sheetText = (): string => {
  const { build } = store;
  if (!build) return '';
  const amount = (label: string, value: string): string => `${settings.words(label)} ${value}`;
  return [
    build.name,
    [build.brief.occasion, servedText(build.brief.serveAt), build.brief.place]
      .filter(Boolean)
      .join(' · '),
    ...chapters.value.flatMap((chapter) => [
      '',
      chapter.title.toUpperCase(),
      ...chapter.steps.map((step) => {
        const parts = [
          ...step.amounts.map(({ label, value, kind }) => amount(label, text(value, kind))),
          ...step.list.map((item) => amount(item.label, listText(item))),
        ];
        const cautions = step.cautions.map((caution) => ` (${say(caution)})`);
        return `- ${settings.words(step.title)}${parts.length > 0 ? `: ${parts.join(', ')}` : ''}${cautions.join('')}`;
      }),
    ]),
  ].join('\n');
};
const { isLarge, print } = usePrint(() => `${store.build?.name ?? ''}: bench sheet`);
</script>

<template>
  <main v-if="store.build && store.plan" id="content" tabindex="-1" class="paper">
    <p class="no-print bar">
      <KeyButton :to="`/build/${id}/stack`">Back</KeyButton>
      <KeyButton variant="flat" data-test="print-now" @click="print"> Print this sheet </KeyButton>
      <KeyButton data-test="open-labels" @click="isLabelling = true">Labels</KeyButton>
      <KeyButton @click="settings.switchUnits()">
        {{ settings.unitsText }}
      </KeyButton>
      <HandOnKeys :title="`${store.build.name}: bench sheet`" :text="sheetText" />
      <v-checkbox v-model="isLarge" label="large type, for the wall" data-test="large" />
    </p>
    <LabelsDialog
      v-if="isLabelling"
      :build="store.build"
      :plan="store.plan"
      @close="isLabelling = false"
    />
    <CarvingNote :tiers="store.plan.tiers" />
    <header>
      <div>
        <h1>{{ store.build.name }}</h1>
        <p>
          {{
            [
              store.build.brief.occasion,
              servedText(store.build.brief.serveAt),
              store.build.brief.place,
            ]
              .filter(Boolean)
              .join(' · ')
          }}
        </p>
        <p>
          {{ text(store.plan.tally.heightMm, 'size') }} high,
          {{ text(store.plan.tally.widthMm, 'size') }} wide<template v-if="store.plan.tally.massG"
            >, {{ text(store.plan.tally.massG, 'weight') }} on its board</template
          >. {{ store.plan.tally.servings }} servings.
        </p>
        <p><HoldsLine :held="heldBy(store.plan)" /></p>
        <p v-if="store.plan.nonFood.length > 0">
          <b>Not food in it:</b>
          {{ store.plan.nonFood.reduce((sum, each) => sum + each.count, 0) }} parts, listed below.
        </p>
        <p v-if="store.build.brief.notes">{{ store.build.brief.notes }}</p>
      </div>
      <SectionThumb :section="store.plan.section" :width="230" :height="140" />
      <CuttingMap
        :outline="store.build.tiers[0]!.outline"
        :portion="store.build.brief.portion"
        :cutting="store.build.brief.cutting"
        :size="140"
      />
    </header>
    <PlacesTable v-if="store.plan.nonFood.length > 0" :build="store.build" :plan="store.plan" />
    <DayPrint />
    <section
      v-for="chapter in chapters"
      :key="chapter.title + chapter.steps[0]!.key"
      class="chapter"
    >
      <h2>{{ chapter.title }}</h2>
      <div v-for="step in chapter.steps" :key="step.key" class="step">
        <i aria-hidden="true" />
        <div>
          <b>{{ settings.words(step.title) }}</b>
          <span v-if="step.amounts.length > 0">
            <template v-for="(amount, k) in step.amounts" :key="amount.label"
              >{{ k > 0 ? '; ' : ' — ' }}{{ settings.words(amount.label) }}
              <b>{{ text(amount.value, amount.kind) }}</b></template
            >.
          </span>
          <span v-if="step.list.length > 0">
            —
            <template v-for="(item, k) in step.list" :key="item.label"
              >{{ k > 0 ? ', ' : '' }}{{ settings.words(item.label) }} <b>{{ listText(item) }}</b>{{
                item.note ? ` (${item.note})` : ''
              }}</template
            >.
          </span>
          <span v-if="step.lead" class="more">{{ say(step.lead) }}</span>
          <span v-if="step.checks.length > 0" class="more"
            >Look: {{ settings.words(step.checks.join('. ')) }}.</span
          >
          <span v-for="caution in step.cautions" :key="caution.text" class="more"
            >▲ {{ say(caution) }}</span
          >
        </div>
      </div>
    </section>
    <p v-if="!store.plan.steps.ok">{{ store.plan.steps.problem }}</p>
    <footer>Times and keeping are usual guidance; your local food code and licence decide.</footer>
  </main>
  <FailedPlan v-else-if="store.planFault" :fault="store.planFault" :build-id="id" />
  <MissingCake v-else-if="store.missing" />
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 14px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 8px;
}
h2 {
  font-size: var(--size-note);
  break-after: avoid;
  margin: 10px 0 2px;
}
.step {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 8px;
  padding: 4px 0;
  border-top: 0.5pt solid var(--line);
  break-inside: avoid;
}
i {
  width: 12px;
  height: 12px;
  border: 1.4px solid var(--ink);
  margin-top: 2px;
}
.more {
  display: block;
  color: var(--soft);
  font-size: var(--size-fine);
}
footer {
  margin-top: 12px;
  color: var(--soft);
  font-size: var(--size-fine);
}
/* on a small screen it is looked at, not yet on paper */
@media screen and (max-width: 699px) {
  header {
    grid-template-columns: 1fr;
  }
}
@media print {
  .more {
    font-size: var(--size-fine);
  }
}
</style>
