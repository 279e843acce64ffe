<script setup lang="ts">
import {
  addUp,
  partsOfGanache,
  dripToolNames,
  dripLooks,
  dripPatterns,
  dripTools,
  limits,
  newDrip,
  lookOf,
  sideStripes,
  toneOfPoured,
  type Tone,
  type Build,
  type Drip,
  type DripLook,
  type DripPattern,
  type DripRun,
  type DripsQuestion,
  type DripTool,
  type LooksQuestion,
  type CakePlan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import ChoiceField from '../../figures/ChoiceField.vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import TroubleLine from '../../figures/TroubleLine.vue';
import { useAnswer } from '../../workers/useAnswer.ts';
import { useSheet } from '../useSheet.ts';
import PouredFields from './PouredFields.vue';
import TestDrips from './TestDrips.vue';
import UnrolledSide from './UnrolledSide.vue';
import TermWord from '../../help/TermWord.vue';

/** Drips of a tier: as they are wanted, what each takes, how they run, and what a test drip said. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { text } = useUnits();
const { pantry, tier, tierPlan, editTier } = useSheet(props);
const drip = computed(() => tier.value.drip);
const staged = computed(() => tierPlan.value.finish.drip);
const planned = computed(() => (staged.value.ok ? staged.value.value : null));
const set = (to: Partial<Drip>, label = 'Drips'): void =>
  editTier(label, (t) => void (t.drip && Object.assign(t.drip, to)));
const begin = (): void => {
  const third = Math.round(tierPlan.value.stack.finishedMm / 3);
  editTier('Drips', (t) => {
    t.drip = {
      ...newDrip(pantry.pantry.ganaches[0]?.id ?? 'dark-equal'),
      lengthMm: third,
      spreadMm: Math.round(third * 0.4),
    };
  });
};

const patternWords: Record<DripPattern, string> = {
  even: 'all alike',
  alternating: 'long and short in turn',
  random: 'no two alike',
  curve: 'as drawn by hand',
};
const patterns = dripPatterns.map((value) => ({ value, text: patternWords[value] }));
const toolWords: Record<DripTool, string> = {
  bottle: 'a squeeze bottle',
  bag: 'a piping bag',
  spoon: 'a spoon',
};
const tools = dripTools.map((value) => ({ value, text: toolWords[value] }));
const curvePoints = 48;
function setPattern(pattern: DripPattern): void {
  const { lengthMm = 40, spreadMm = 0, curveMm = [] } = drip.value ?? {};
  const wave = Array.from(
    { length: curvePoints },
    (_, i) => lengthMm + spreadMm * Math.sin((2 * Math.PI * 4 * i) / curvePoints),
  ).map((mm) => Math.max(limits.dripMm.min, Math.round(mm)));
  set(pattern === 'curve' && curveMm.length < 2 ? { pattern, curveMm: wave } : { pattern });
}
const shares = [
  { text: 'a quarter', share: 1 / 4 },
  { text: 'a third', share: 1 / 3 },
  { text: 'half', share: 1 / 2 },
];
function setShare(share: number): void {
  const lengthMm = Math.round(tierPlan.value.stack.finishedMm * share);
  const rate = drip.value ? drip.value.spreadMm / drip.value.lengthMm : 0.4;
  set({ lengthMm, spreadMm: Math.round(Math.min(0.6, rate) * lengthMm) }, 'Length of the drips');
}

const question = computed<DripsQuestion | null>(() =>
  planned.value
    ? {
        spec: planned.value.spec,
        sideMm: planned.value.freeMm,
        grams: planned.value.drips.map((one) => one.massG),
        seconds: 300,
        everyS: 0.5,
      }
    : null,
);
const {
  answer: runs,
  current,
  trouble,
  again,
} = useAnswer<DripsQuestion, DripRun[]>(
  () => question.value,
  (solver, q) => solver.drips(q),
);
const looksQuestion = computed<LooksQuestion | null>(() =>
  planned.value && drip.value ? { spec: planned.value.spec, lengthMm: drip.value.lengthMm } : null,
);
const { answer: looks } = useAnswer<LooksQuestion, Record<DripLook, number | null>>(
  () => looksQuestion.value,
  (solver, q) => solver.looks(q),
);
const lookWords: Record<DripLook, string> = {
  slender: 'slender',
  usual: 'usual',
  bold: 'bold and plump',
};
const lookNames = Object.keys(dripLooks) as DripLook[];

const toneOfSpread = (id: string): Tone =>
  pantry.pantry.spreads.find((row) => row.id === id)?.tone ?? 'ivory';
const coatTone = computed(
  () =>
    sideStripes(tier.value, props.build.colours, toneOfSpread(tier.value.coat.spreadId)).at(-1)!
      .look,
);
const piping = computed(() =>
  props.plan.piping
    .filter(
      ({ piped, noRoom }) =>
        piped?.tierId === tier.value.id &&
        !noRoom &&
        (piped.where === 'foot' || piped.where === 'side'),
    )
    .map((job) => ({
      job,
      tone: lookOf(props.build.colours, job.tint, toneOfSpread(job.spread)),
    })),
);
const tone = computed(() =>
  lookOf(
    props.build.colours,
    tier.value.drip?.tint ?? '',
    planned.value ? toneOfPoured(planned.value.row, pantry.pantry.foods) : 'ganache',
  ),
);
const grams = computed(() => planned.value?.drips.map((one) => one.massG) ?? []);
const range = computed(() => {
  const [low, high] = [Math.min(...grams.value), Math.max(...grams.value)];
  return high - low < 0.06
    ? text(high, 'fineMass')
    : `${text(low, 'fineMass')} to ${text(high, 'fineMass')}`;
});
const meanFilm = computed(() => {
  const all = planned.value?.drips ?? [];
  return all.reduce((sum, one) => sum + one.meanMm, 0) / Math.max(1, all.length);
});
const rows = computed(() => {
  const p = planned.value;
  if (!p) return [];
  const parts = [
    { text: `${p.count} drips of ${range.value}`, g: p.amounts.dripsG },
    { text: 'bead along the rim', g: p.amounts.rimG },
    { text: 'flood on top', g: p.amounts.floodG },
    { text: `stays in the ${dripToolNames[drip.value!.tool]}`, g: p.amounts.residueG },
  ].filter((row) => row.g > 0);
  // what is shown adds up to what is shown under it
  const whole = addUp(parts.map((row) => row.g));
  return parts.map((row, k) => ({ ...row, g: whole[k]! }));
});
const made = computed(() => {
  const { ganache, shares } = planned.value ?? {};
  return ganache && shares
    ? partsOfGanache(ganache, shares).map(({ name, massG }) => ({ text: name, g: massG }))
    : [];
});
</script>

<template>
  <div data-test="drips">
    <p v-if="!drip">
      <KeyButton data-test="add-drip" @click="begin">
        Let ganache drip down {{ build.tiers.length > 1 ? tier.name : 'the side' }}
      </KeyButton>
    </p>
    <template v-else>
      <p class="sentence">
        <PouredFields :poured="drip" @change="set" />, drips
        <ChoiceField
          :model-value="drip.pattern"
          label="Pattern of the drips"
          :options="patterns"
          @update:model-value="setPattern"
        />
        <template v-if="drip.pattern !== 'curve'">
          of
          <QuantityField
            :model-value="drip.lengthMm"
            :of="limits.dripMm"
            label="Length of the drips"
            @update:model-value="(mm) => set({ lengthMm: mm }, 'Length of the drips')"
          />
          (<button
            v-for="(each, i) in shares"
            :key="each.text"
            type="button"
            class="word"
            @click="setShare(each.share)"
          >
            {{ each.text }}{{ i < shares.length - 1 ? ',' : '' }}</button
          >&nbsp;of the side)<template v-if="drip.pattern !== 'even'"
            >,
            <QuantityField
              :model-value="drip.spreadMm"
              :of="limits.dripSpreadMm"
              label="More or less"
              @update:model-value="(mm) => set({ spreadMm: mm }, 'Spread of lengths')"
            />
            more or less</template
          > </template
        >, one every
        <QuantityField
          :model-value="drip.spacingMm"
          :of="limits.spacingMm"
          label="Room from drip to drip"
          @update:model-value="(mm) => set({ spacingMm: mm }, 'Spacing of the drips')"
        />.
        <KeyButton
          v-if="drip.pattern === 'random'"
          size="small"
          @click="set({ seed: (drip.seed + 1) % 10000 }, 'Another throw')"
        >
          Throw again
        </KeyButton>
      </p>
      <template v-if="planned">
        <TroubleLine :trouble="trouble" what="How far the drips run" @again="again" />
        <UnrolledSide
          :tier-id="tier.id"
          :drip="planned"
          :runs="runs"
          :current="current"
          :finished="tierPlan.rim.outline"
          :coat-tone="coatTone"
          :tone="tone"
          :flood-mm="drip.floodMm"
          :piping="piping"
          :hand="drip.pattern === 'curve' ? drip.curveMm : null"
          @curve="(curveMm) => set({ curveMm }, 'Lengths drawn by hand')"
        />
        <p class="sentence">
          The film that stays is {{ text(meanFilm, 'fine') }} thick.
          <TermWord id="fluid">Poured</TermWord> for this length:
          <template v-for="name in lookNames" :key="name">
            <button
              v-if="looks?.[name]"
              type="button"
              class="word"
              :data-test="`look-${name}`"
              @click="set({ fluidC: Math.round(looks[name]! * 2) / 2 }, `Drips: ${name}`)"
            >
              {{ lookWords[name] }} at {{ text(looks[name]!, 'temperature') }}</button
            ><span v-else class="soft">{{ lookWords[name] }} at no temperature</span
            >{{ name === 'bold' ? '.' : ', ' }}
          </template>
        </p>
        <div class="columns">
          <table class="ledger">
            <tbody>
              <tr v-for="row in rows" :key="row.text">
                <td>{{ row.text }}</td>
                <td class="end">{{ text(row.g, 'small') }}</td>
              </tr>
              <tr class="sum">
                <td>in all</td>
                <td class="end">
                  <FigureValue
                    :figure="planned && `${tier.id}/drips`"
                    :value="planned.amounts.totalG"
                    kind="small"
                  />
                </td>
              </tr>
            </tbody>
          </table>
          <table v-if="made.length > 0" class="ledger" data-test="drip-made">
            <tbody>
              <tr v-for="row in made" :key="row.text">
                <td>{{ row.text }}</td>
                <td class="end">{{ text(row.g, 'small') }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="sentence">
          From
          <ChoiceField
            :model-value="drip.tool"
            label="Tool for the drips"
            :options="tools"
            @update:model-value="(tool) => set({ tool }, 'Tool for the drips')"
          />, fed for
          <QuantityField
            :model-value="drip.feedS"
            :of="limits.feedS"
            label="Seconds to a drip"
            @update:model-value="(s) => set({ feedS: s })"
          />
          s each.
          <template v-if="drip.tool === 'bottle'">
            One squeeze, weighed:
            <QuantityField
              :model-value="drip.squeezeG"
              :of="limits.squeezeG"
              label="One squeeze weighs"
              auto="not yet"
              nullable
              @update:model-value="(g) => set({ squeezeG: g }, 'One squeeze')"
            /><template v-if="planned.squeezes"
              >, so about <b>{{ text(planned.squeezes, 'factor') }}</b> to a drip</template
            >.
          </template>
          <template v-else-if="drip.tool === 'bag'">
            Cut its end <b>{{ text(planned.bagCutMm, 'fine') }}</b> wide.
          </template>
          Over the top
          <QuantityField
            :model-value="drip.floodMm"
            :of="limits.floodMm"
            label="Flood on top"
            @update:model-value="(mm) => set({ floodMm: mm }, 'Flood on top')"
          />
          of it (the <TermWord id="flood" />), <TermWord id="drip">drips</TermWord>
          <QuantityField
            :model-value="drip.widthMm"
            :of="limits.dripWidthMm"
            label="Width of a drip"
            @update:model-value="(mm) => set({ widthMm: mm }, 'Width of the drips')"
          />
          wide.
        </p>
        <TestDrips :drip="planned" :asked="drip" />
      </template>
      <p v-else-if="!staged.ok" class="lead">{{ staged.problem }}</p>
      <p>
        <KeyButton
          variant="text"
          size="small"
          @click="editTier('Drips left off', (t) => void (t.drip = null))"
        >
          leave the drips off
        </KeyButton>
      </p>
    </template>
  </div>
</template>

<style scoped>
.word {
  text-decoration: underline dotted var(--accent) 1.5px;
  text-underline-offset: 4px;
  font-weight: 600;
}
button + .word {
  margin-left: 5px;
}
.columns {
  display: flex;
  align-items: flex-start;
  gap: 34px;
  flex-wrap: wrap;
  margin: 6px 0;
}
.sum td {
  font-weight: 700;
}
</style>
